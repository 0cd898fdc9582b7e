/** What a point of a package can be found again from: its marks that stand and are not in doubt. */
import { tapedPairs, type PlanPoint, type Recovery, type Standing, type TapedPair, type TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { compareNames, markKey, type SiteState } from './state.ts';

export interface PointToFind {
  readonly corner: string;
  readonly item: string;
  readonly point: PlanPoint;
  /** The best pairs first. */
  readonly pairs: readonly TapedPair[];
  /** Marks of it that are not to be measured from, and why not. */
  readonly gone: readonly { readonly name: string; readonly why: 'destroyed' | 'moved' | 'inDoubt' | 'notSet' }[];
}

/** Farther than this nobody holds a tape level. */
const REACH = 30;
/** So many pairs are worth being offered for a point. */
const MOST_PAIRS = 30;

export function pointsToFind(state: SiteState, trust: TrustResult, work: Fact<'package'>): PointToFind[] {
  const root = state.packageRoots.get(work.id)!;
  const standings = new Map<string, Standing>(trust.marks.map((mark) => [mark.id, mark.standing]));
  const standingMarks: (Recovery & { readonly item: string; readonly corner: string })[] = [];
  const lost = new Map<string, PointToFind['gone'][number]>();
  for (const plan of work.body.plans) {
    const mark = state.marks.get(markKey(root, plan.key));
    const why = whyNot(state, standings, mark);
    if (why === null) standingMarks.push({ name: plan.name, e: mark!.body.place.e, n: mark!.body.place.n, item: plan.item, corner: plan.corner });
    else lost.set(plan.name, { name: plan.name, why });
  }
  const points = new Map<string, { corner: string; item: string; point: PlanPoint; names: string[] }>();
  for (const { item, corner, design, name } of work.body.plans) {
    const key = `${item}\n${corner}`;
    const known = points.get(key);
    if (known) known.names.push(name);
    else points.set(key, { corner, item, point: design, names: [name] });
  }
  return [...points.values()]
    .map(({ corner, item, point, names }) => ({
      corner,
      item,
      point,
      // A mark that stands on the point itself is no way back to it.
      pairs: tapedPairs(
        point,
        standingMarks.filter((mark) => Math.hypot(mark.e - point.e, mark.n - point.n) > REACH_OF_A_MARK),
        REACH,
      ).slice(0, MOST_PAIRS),
      gone: names.flatMap((name) => lost.get(name) ?? []),
    }))
    .sort((a, b) => compareNames(a.item, b.item) || compareNames(a.corner, b.corner));
}

/** A mark set for the point itself is off it by its tolerance at most. */
const REACH_OF_A_MARK = 0.05;

function whyNot(state: SiteState, standings: ReadonlyMap<string, Standing>, mark: Fact<'mark'> | undefined): PointToFind['gone'][number]['why'] | null {
  if (!mark || mark.body.state === 'rough') return 'notSet';
  const report = state.reports.get(mark.id);
  if (report) return report.body.kind;
  return standings.get(mark.id) === 'inDoubt' ? 'inDoubt' : null;
}

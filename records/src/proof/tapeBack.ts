/** What a point of a package can be found again from: its marks that stand and are not in doubt. */
import { planDistance, type PlanPoint, type Recovery, type Standing, type TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { compareNames, markKey, type SiteState } from '../site/state.ts';

export interface PointToFind {
  readonly corner: string;
  readonly item: string;
  readonly point: PlanPoint;
  /** Marks that stand within reach of a tape, the nearest first. */
  readonly marks: readonly Recovery[];
  /** Marks of it that are not to be measured from, and why not. */
  readonly gone: readonly { readonly name: string; readonly why: 'destroyed' | 'moved' | 'inDoubt' | 'notSet' }[];
}

/** Farther than this nobody holds a tape level. */
const REACH = 30;
/** Of more marks than these nobody would choose the far ones. */
const MOST_MARKS = 12;

export function pointsToFind(state: SiteState, trust: TrustResult, work: Fact<'package'>): PointToFind[] {
  const root = state.packageRoots.get(work.id)!;
  const standings = new Map<string, Standing>(trust.marks.map((mark) => [mark.id, mark.standing]));
  const standingMarks: Recovery[] = [];
  const lost = new Map<string, PointToFind['gone'][number]>();
  for (const plan of work.body.plans) {
    const mark = state.marks.get(markKey(root, plan.key));
    const why = whyNot(state, standings, mark);
    if (why === null) standingMarks.push({ name: plan.name, e: mark!.body.place.e, n: mark!.body.place.n });
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
      marks: standingMarks
        .map((mark) => ({ mark, away: planDistance(mark, point) }))
        // A mark that stands on the point itself is no way back to it.
        .filter(({ away }) => away > REACH_OF_A_MARK && away <= REACH)
        .sort((a, b) => a.away - b.away)
        .slice(0, MOST_MARKS)
        .map(({ mark: { name, e, n } }) => ({ name, e, n })),
      gone: names.flatMap((name) => lost.get(name) ?? []),
    }))
    .sort((a, b) => compareNames(a.item, b.item) || compareNames(a.corner, b.corner));
}

/** A mark set for the point itself is off it by its tolerance at most. */
const REACH_OF_A_MARK = 0.05;

function whyNot(
  state: SiteState,
  standings: ReadonlyMap<string, Standing>,
  mark: Fact<'mark'> | undefined,
): PointToFind['gone'][number]['why'] | null {
  if (!mark || mark.body.state === 'rough') return 'notSet';
  const report = state.reports.get(mark.id);
  if (report) return report.body.kind;
  return standings.get(mark.id) === 'inDoubt' ? 'inDoubt' : null;
}

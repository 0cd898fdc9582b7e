/** What has happened to marks since the sheet that a crew builds from was issued: whom to tell, and what. */
import { inOrder, type Standing, type TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { fallenStations } from '../station/checked.ts';
import { saysTheSame } from './conventions.ts';
import { isForPlan } from '../work/packagePlans.ts';
import { twiceAt } from '../work/setTwice.ts';
import { compareNames, markKey, type SiteState } from '../site/state.ts';

export type SheetTrouble =
  | 'inDoubt'
  | 'destroyed'
  | 'moved'
  | 'setAgain'
  | 'planChanged'
  | 'rewritten'
  | 'withdrawn'
  | 'setTwice'
  | 'stationFell';

export interface SheetNotice {
  readonly sheet: string;
  readonly number: number;
  readonly revision: number;
  readonly package: string;
  /** Who has it. */
  readonly givenTo: string;
  readonly issuedAt: string;
  readonly marks: readonly { readonly name: string; readonly trouble: SheetTrouble }[];
}

/** What a mark of an issued sheet has come to; null while it is as it was issued. */
function troubleOf(
  state: SiteState,
  standings: ReadonlyMap<string, Standing>,
  marks: ReadonlyMap<string, Fact<'mark'>>,
  fell: ReadonlySet<string>,
  sheet: Fact<'handover'>,
  mark: string,
): { readonly name: string; readonly trouble: SheetTrouble } | null {
  const issued = marks.get(mark);
  if (!issued) return null;
  const { name, package: packageId, key } = issued.body;
  const trouble = (what: SheetTrouble) => ({ name, trouble: what });
  if (state.withdrawn.has(mark)) return trouble('withdrawn');
  const root = state.packageRoots.get(packageId);
  const inForce = root === undefined ? undefined : state.marks.get(markKey(root, key));
  const work = state.packages.find((each) => state.packageRoots.get(each.id) === root);
  const isTwice = work !== undefined && root !== undefined && twiceAt(state, work, markKey(root, key)) !== null;
  if (inForce && inForce.id !== mark)
    return isOnlyConfirmed(marks.get(inForce.id)!, issued)
      ? troubleOf(state, standings, marks, fell, sheet, inForce.id)
      : trouble(isTwice ? 'setTwice' : 'setAgain');
  const report = state.reports.get(mark);
  if (report) return trouble(report.body.kind);
  if (standings.get(mark) === 'inDoubt') return trouble('inDoubt');
  const plan = work?.body.plans.find((each) => each.key === key);
  if (!plan || !isForPlan(issued.body, plan)) return trouble('planChanged');
  if (isTwice) return trouble('setTwice');
  if (standings.get(mark) !== 'held' && fell.has(mark)) return trouble('stationFell');
  const writing = state.writings.get(mark);
  if (writing && inOrder(sheet, writing) < 0) return trouble('rewritten');
  return null;
}

/** The same hub shot once more after driving tells nothing new to a crew when its figures are the same. */
const isOnlyConfirmed = (later: Fact<'mark'>, { body }: Fact<'mark'>): boolean =>
  later.body.supersedes !== null && saysTheSame(later.body, body);

/** Notices to the latest revision of each sheet, the newest first; sheets with none are left out. */
export function sheetNotices(state: SiteState, trust: TrustResult): SheetNotice[] {
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark.standing]));
  const marks = new Map(state.timeline.flatMap((fact) => (fact.type === 'mark' ? [[fact.id, fact] as const] : [])));
  const fell = new Set(fallenStations(state, trust).flatMap((station) => station.again.map((mark) => mark.id)));
  const latest = new Map<number, Fact<'handover'>>();
  for (const fact of state.timeline) {
    if (fact.type !== 'handover' || state.withdrawn.has(fact.id)) continue;
    const before = latest.get(fact.body.number);
    if (!before || before.body.revision < fact.body.revision) latest.set(fact.body.number, fact);
  }
  return [...latest.values()]
    .flatMap((fact): SheetNotice[] => {
      const troubled = fact.body.marks
        .map((mark) => troubleOf(state, standings, marks, fell, fact, mark))
        .filter((each) => each !== null)
        .sort((a, b) => compareNames(a.name, b.name));
      const work = state.timeline.find(
        (each): each is Fact<'package'> => each.type === 'package' && each.id === fact.body.package,
      );
      if (troubled.length === 0) return [];
      return [
        {
          sheet: fact.body.sheet,
          number: fact.body.number,
          revision: fact.body.revision,
          package: work?.body.name ?? '',
          givenTo: fact.body.givenTo ?? work?.body.crew ?? '',
          issuedAt: fact.at,
          marks: troubled,
        },
      ];
    })
    .sort((a, b) => b.issuedAt.localeCompare(a.issuedAt));
}

/** Whether the day may end: what is open, what is in doubt, and what whoever comes next has to know. */
import { fitsByChance, type Part, type Standing, type TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { heightDraft } from '../station/heightStation.ts';
import { measuredFromStations, type Measured } from '../proof/hungOn.ts';
import { progressOf } from '../work/progress.ts';
import { restakeList } from '../stake/restake.ts';
import { sheetNotices } from '../stake/sheetNotices.ts';
import { compareNames, decidedSolution, markKey, type SiteState } from '../site/state.ts';
import { failedParts } from '../station/stationClaim.ts';
import { setMarks } from '../site/indexes.ts';

export type ClosingItem =
  /**
   * Marks, or what was measured, came after the last good proof of a station that still stands: one sight would hold
   * them.
   */
  | {
      readonly code: 'CLOSING_PROOF_MISSING';
      readonly station: string;
      readonly marks: readonly string[];
      readonly measured: readonly string[];
    }
  /** A proof speaks against a station that still stands, and nothing has answered it. */
  | {
      readonly code: 'PROOF_UNANSWERED';
      readonly station: string;
      readonly parts: readonly Part[];
      readonly measured: readonly string[];
    }
  | { readonly code: 'STILL_SET_UP'; readonly station: string }
  /** The instrument has left without a last proof. */
  | {
      readonly code: 'LEFT_UNPROVEN';
      readonly station: string;
      readonly marks: readonly string[];
      readonly measured: readonly string[];
    }
  /** Measured from a station that a proof speaks against. */
  | { readonly code: 'MEASURED_IN_DOUBT'; readonly measured: readonly string[] }
  /** Heights read from a placing that nothing checks: one benchmark, or several that disagree. */
  | {
      readonly code: 'HEIGHTS_UNCHECKED';
      readonly station: string;
      readonly measured: readonly string[];
      readonly disagree: boolean;
    }
  | { readonly code: 'IN_DOUBT'; readonly marks: readonly string[] }
  | { readonly code: 'NOT_SHOT_AFTER_DRIVING'; readonly marks: readonly string[] }
  | { readonly code: 'TO_SET_AGAIN'; readonly marks: readonly string[] }
  | {
      readonly code: 'TELL';
      readonly who: string;
      readonly number: number;
      readonly revision: number;
      readonly marks: readonly string[];
    }
  | { readonly code: 'NOT_HANDED_OVER'; readonly package: string; readonly marks: number }
  | { readonly code: 'LEFT_TO_SET'; readonly package: string; readonly marks: number }
  | { readonly code: 'CONTROL_DOUBTFUL'; readonly marks: readonly string[] }
  | { readonly code: 'NOT_STORED'; readonly entries: number };

export interface Closing {
  /** These keep the day from being finished. */
  readonly missing: readonly ClosingItem[];
  readonly open: readonly ClosingItem[];
  readonly tomorrow: readonly ClosingItem[];
}

/**
 * @param waiting entries that the server has not stored yet
 * @returns nothing missing only when all that was set or measured from the stations that still stand is held by a proof
 *   after it,
 *   and no proof speaks against them
 */
export function closingOf(state: SiteState, trust: TrustResult, waiting: number): Closing {
  const standings = new Map<string, MarkParts>(trust.marks.map((mark) => [mark.id, mark]));
  const marks = setMarks(state).filter((mark) => !state.reports.has(mark.id));
  const names = (chosen: readonly Fact<'mark'>[]) => chosen.map((mark) => mark.body.name).sort(compareNames);
  const withStanding = (...wanted: readonly Standing[]) =>
    marks.filter((mark) => wanted.includes(standings.get(mark.id)?.standing ?? 'unproven'));
  const closed = new Set(
    state.timeline.flatMap((fact) =>
      fact.type === 'close' && !state.withdrawn.has(fact.id) ? [fact.body.occupation] : [],
    ),
  );
  const standing = state.occupations.filter(
    (occupation, i) => !closed.has(occupation.id) && i === state.occupations.length - 1,
  );
  const loose = withStanding('open', 'unproven');
  const byStation = new Map<
    string,
    { occupation: string; station: string; marks: Fact<'mark'>[]; measured: Measured[] }
  >();
  const hangOn = (id: string) => {
    const solution = decidedSolution(state, id);
    if (!solution) return null;
    const on = byStation.get(id) ?? {
      occupation: solution.occupation.id,
      station: solution.fact.body.name,
      marks: [],
      measured: [],
    };
    byStation.set(id, on);
    return on;
  };
  for (const mark of loose) hangOn(state.rehung.get(mark.id) ?? mark.body.solution)?.marks.push(mark);
  const measured = measuredFromStations(state);
  for (const each of measured)
    if (each.standing === 'open' || each.standing === 'unproven') hangOn(each.solution)?.measured.push(each);
  const stations = [...byStation.values()];
  const toldMeasured = (list: readonly Measured[]) => list.map(({ name }) => name);
  const doubted = measured.filter((each) => each.standing === 'inDoubt');
  const against = state.accepted.flatMap((solution) => {
    const judged = solution.withdrawn
      ? undefined
      : trust.solutions.find((each) => each.id === solution.fact.id && each.inForce);
    const parts = judged ? failedParts(judged) : [];
    const own = doubted.filter((each) => each.solution === solution.fact.id);
    return parts.length > 0
      ? [{ code: 'PROOF_UNANSWERED' as const, station: solution.fact.body.name, parts, measured: toldMeasured(own) }]
      : [];
  });
  const heights = uncheckedHeights(state);
  const isStanding = ({ id }: Fact<'occupation'>) => standing.some((occupation) => occupation.id === id);
  const stands = (each: (typeof stations)[number]) => standing.some((occupation) => occupation.id === each.occupation);
  const handed = new Set(
    state.timeline.flatMap((fact) =>
      fact.type === 'handover' && !state.withdrawn.has(fact.id) ? fact.body.marks : [],
    ),
  );
  const restake = restakeList(state);
  const some = <T extends ClosingItem>(item: T, list: readonly unknown[]): T[] => (list.length > 0 ? [item] : []);
  const doubtful = names(withStanding('inDoubt'));
  const notShot = names(marks.filter((mark) => mark.body.state === 'set' && mark.body.needs.height));
  const control = state.control
    .filter(({ revision }) => revision.body.condition === 'doubtful')
    .map(({ revision }) => revision.body.name);
  return {
    missing: [
      ...against,
      ...stations.filter(stands).map((each) => ({
        code: 'CLOSING_PROOF_MISSING' as const,
        station: each.station,
        marks: names(each.marks),
        measured: toldMeasured(each.measured),
      })),
      ...heights.filter(({ occupation }) => isStanding(occupation)).map(({ item }) => item),
      ...(waiting > 0 ? [{ code: 'NOT_STORED' as const, entries: waiting }] : []),
    ],
    open: [
      ...standing.map((occupation) => ({ code: 'STILL_SET_UP' as const, station: occupation.body.name })),
      ...stations
        .filter((each) => !stands(each))
        .map((each) => ({
          code: 'LEFT_UNPROVEN' as const,
          station: each.station,
          marks: names(each.marks),
          measured: toldMeasured(each.measured),
        })),
      ...heights.filter(({ occupation }) => !isStanding(occupation)).map(({ item }) => item),
      ...some({ code: 'IN_DOUBT', marks: doubtful }, doubtful),
      ...some({ code: 'MEASURED_IN_DOUBT', measured: toldMeasured(doubted) }, doubted),
      ...some({ code: 'NOT_SHOT_AFTER_DRIVING', marks: notShot }, notShot),
      ...some({ code: 'TO_SET_AGAIN', marks: restake.map(({ mark }) => mark.body.name) }, restake),
      ...sheetNotices(state, trust).map((notice) => ({
        code: 'TELL' as const,
        who: notice.givenTo,
        number: notice.number,
        revision: notice.revision,
        marks: notice.marks.map(({ name }) => name),
      })),
      ...state.packages.flatMap((work) => {
        const root = state.packageRoots.get(work.id)!;
        const unsaid = work.body.plans.filter((plan) => {
          const mark = state.marks.get(markKey(root, plan.key));
          return mark && standings.get(mark.id)?.standing === 'held' && !handed.has(mark.id);
        });
        return some({ code: 'NOT_HANDED_OVER', package: work.body.name, marks: unsaid.length }, unsaid);
      }),
    ],
    tomorrow: [
      ...progressOf(state, trust).flatMap(({ work, marks: all, set }) =>
        all > set ? [{ code: 'LEFT_TO_SET' as const, package: work.body.name, marks: all - set }] : [],
      ),
      ...some({ code: 'CONTROL_DOUBTFUL', marks: control }, control),
    ],
  };
}

type UncheckedHeights = Extract<ClosingItem, { code: 'HEIGHTS_UNCHECKED' }>;

/** Placings for heights alone from which heights were read, and whose benchmarks do not check each other. */
function uncheckedHeights(
  state: SiteState,
): { readonly occupation: Fact<'occupation'>; readonly item: UncheckedHeights }[] {
  return state.occupations
    .filter(({ id, body }) => body.method === 'heightOnly' && !state.withdrawn.has(id))
    .flatMap((occupation) => {
      const { spots, outcome } = heightDraft(state, occupation, NOTHING_LEFT_OUT);
      if (spots.length === 0 || !outcome?.ok) return [];
      const { height, reliability } = outcome.value;
      const disagree = !fitsByChance(height.fit);
      if (!disagree && reliability.state !== 'unchecked') return [];
      const measured = [...new Set(spots.map(({ name }) => name))].sort(compareNames);
      return [
        { occupation, item: { code: 'HEIGHTS_UNCHECKED' as const, station: occupation.body.name, measured, disagree } },
      ];
    });
}
const NOTHING_LEFT_OUT: ReadonlySet<string> = new Set();

interface MarkParts {
  readonly standing: Standing;
}

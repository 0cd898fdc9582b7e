/** The page of the field book for one placing of the instrument: what would be written by hand beside the tool. */
import { inOrder } from '@idle-marker/core';
import type { AnyFact, Fact } from '@idle-marker/contract';
import { heldUses } from '../control/heldUses.ts';
import { leftOut } from '../station/leftOut.ts';
import { compareNames, type AcceptedSolution, type SiteState } from '../site/state.ts';

/** How one mark was used and how well it fitted, as the accepted solution tells. */
export interface UsedMark {
  readonly name: string;
  readonly plan: boolean;
  readonly height: boolean;
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
}

export interface SetupPage {
  readonly occupation: Fact<'occupation'>;
  /** The last solution that was decided on, accepted or refused; null while there is none. */
  readonly solution: AcceptedSolution | null;
  readonly used: readonly UsedMark[];
  readonly leftOut: readonly string[];
  readonly proofs: readonly Fact<'proof'>[];
  readonly marks: readonly Fact<'mark'>[];
  /** Marks sighted again, fixed directions, and things measured as they stand. */
  readonly measured: readonly (Fact<'resight'> | Fact<'direction'> | Fact<'asBuilt'>)[];
  /** What happened to the instrument, and what was noted down meanwhile. */
  readonly remarks: readonly (Fact<'event'> | Fact<'note'>)[];
  readonly from: string;
  /** Instant of its close or of its last record. */
  readonly to: string;
  readonly closed: boolean;
}

interface PointJson {
  readonly name: string;
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
}

/** Facts that belong to an occupation: its sights, decisions, proofs, events and marks. */
export function factsOfOccupation(state: SiteState, occupation: string): AnyFact[] {
  const solutions = new Set(
    state.timeline.flatMap((fact) =>
      fact.type === 'solution' && fact.body.occupation === occupation ? [fact.id] : [],
    ),
  );
  return state.timeline.filter((fact) => {
    switch (fact.type) {
      case 'occupation':
        return fact.id === occupation;
      case 'sight':
      case 'solution':
      case 'event':
      case 'close':
        return fact.body.occupation === occupation;
      case 'correction':
        return (
          fact.body.occupation === occupation || (fact.body.what === 'station' && solutions.has(fact.body.station))
        );
      case 'decision':
      case 'proof':
      case 'mark':
      case 'asBuilt':
      case 'resight':
      case 'direction':
      case 'deferral':
        return solutions.has(fact.body.solution);
      case 'withdrawal':
        return fact.body.occupation === occupation || (fact.body.record !== null && solutions.has(fact.body.record));
      default:
        return false;
    }
  });
}

export function setupPage(state: SiteState, occupation: Fact<'occupation'>): SetupPage {
  const facts = factsOfOccupation(state, occupation.id);
  const of = <T extends AnyFact['type']>(type: T) =>
    facts.filter((fact): fact is Extract<AnyFact, { type: T }> => fact.type === type && !state.withdrawn.has(fact.id));
  const decided = [...state.accepted, ...state.refused].filter((each) => each.occupation.id === occupation.id);
  const solution = decided.at(-1) ?? null;
  const close = of('close').at(-1);
  const to = (close ?? facts.at(-1) ?? occupation).at;
  // A note says nothing of a set-up by itself: those written meanwhile belong to it, while it is open all since its
  // begin.
  const noted = state.timeline.filter(
    (fact): fact is Fact<'note'> =>
      fact.type === 'note' && fact.at >= occupation.at && (!close || fact.at <= to) && !state.withdrawn.has(fact.id),
  );
  return {
    occupation,
    solution,
    used: solution ? usedMarks(state, solution) : [],
    leftOut: solution ? leftOut(state, solution) : [],
    proofs: of('proof'),
    marks: of('mark').filter((mark) => mark.body.state !== 'rough'),
    measured: [...of('resight'), ...of('direction'), ...of('asBuilt')].sort(inOrder),
    remarks: [...of('event'), ...noted].sort((a, b) => a.at.localeCompare(b.at)),
    from: occupation.at,
    to,
    closed: close !== undefined,
  };
}

function usedMarks(state: SiteState, { fact, occupation }: AcceptedSolution): UsedMark[] {
  const points = (fact.body.result.points ?? []) as readonly PointJson[];
  const nameOf = (id: string) => state.control.find((mark) => mark.id === id)?.revision.body.name ?? 'unknown';
  const used = new Map<string, { plan: boolean; height: boolean }>();
  for (const { control, plan, height } of heldUses(fact, occupation)) {
    const before = used.get(control);
    used.set(control, { plan: plan || (before?.plan ?? false), height: height || (before?.height ?? false) });
  }
  return [...used]
    .map(([id, use]) => {
      const point = points.find((each) => each.name === id);
      return {
        name: nameOf(id),
        ...use,
        dEMm: point?.dEMm ?? null,
        dNMm: point?.dNMm ?? null,
        dZMm: point?.dZMm ?? null,
      };
    })
    .sort((a, b) => compareNames(a.name, b.name));
}

/**
 * What whoever comes next has to know: where the instrument stood, which control holds, what is left, what to beware
 * of.
 */
import type { Metres, TrustResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { closingOf, type Closing } from './closing.ts';
import { memberName } from '../stake/cutSheet.ts';
import { progressOf } from '../work/progress.ts';
import { compareNames, decidedSolution, type AcceptedSolution, type SiteState } from '../site/state.ts';

export interface ShiftHandover {
  readonly site: string;
  /** The last placing of the instrument; null while there was none. */
  readonly stood: {
    readonly name: string;
    readonly at: string;
    readonly isStanding: boolean;
    readonly ground: string;
    /** Of its last accepted station; null without one, and where it has no place. */
    readonly place: { readonly e: Metres; readonly n: Metres; readonly z: Metres | null } | null;
    readonly verdict: 'accepted' | 'provisional' | null;
    readonly marks: readonly string[];
  } | null;
  /** Every mark that is still there, with what it last proved good for. */
  readonly control: readonly {
    readonly name: string;
    readonly condition: Fact<'control'>['body']['condition'];
    readonly last: {
      readonly at: string;
      readonly as: 'used' | 'usedForPlan' | 'usedForHeight' | 'proved' | 'found';
    } | null;
  }[];
  readonly packages: readonly {
    readonly name: string;
    readonly marks: number;
    readonly set: number;
    readonly held: number;
    readonly inDoubt: number;
    readonly blocked: number;
  }[];
  readonly closing: Closing;
  /** What was said for who comes next, last. */
  readonly note: {
    readonly at: string;
    readonly by: string;
    readonly text: string;
    readonly unfinished: string;
  } | null;
}

type Seen = ShiftHandover['control'][number]['last'];

/** @param say what is said for who comes next now; what was said last where that is null */
export function shiftHandover(state: SiteState, trust: TrustResult, say: ShiftHandover['note'] = null): ShiftHandover {
  const occupation = state.occupations.at(-1) ?? null;
  const closed = state.timeline.some(
    (fact) => fact.type === 'close' && fact.body.occupation === occupation?.id && !state.withdrawn.has(fact.id),
  );
  const solution = state.accepted.findLast((each) => each.occupation.id === occupation?.id && !each.withdrawn) ?? null;
  const said = state.timeline.findLast(
    (fact): fact is Fact<'dayEnd'> => fact.type === 'dayEnd' && !state.withdrawn.has(fact.id),
  );
  const seen = lastSeen(state);
  return {
    site: state.settings.name,
    stood: occupation && {
      name: occupation.body.name,
      at: occupation.at,
      isStanding: !closed,
      ground: occupation.body.ground,
      place: solution && {
        e: solution.fact.body.result.e,
        n: solution.fact.body.result.n,
        z: solution.fact.body.result.z,
      },
      verdict: solution ? (solution.decision.body.verdict === 'provisional' ? 'provisional' : 'accepted') : null,
      marks: solution ? usedBy(state, solution) : [],
    },
    control: state.control
      .filter(({ revision }) => revision.body.condition !== 'lost')
      .map(({ id, revision }) => ({
        name: revision.body.name,
        condition: revision.body.condition,
        last: seen.get(id) ?? null,
      })),
    packages: progressOf(state, trust).map(({ work, marks, set, held, inDoubt, blocked }) => ({
      name: work.body.name,
      marks,
      set,
      held,
      inDoubt,
      blocked,
    })),
    closing: closingOf(state, trust, 0),
    note:
      say ??
      (said
        ? { at: said.at, by: memberName(state, said.by), text: said.body.note, unfinished: said.body.unfinished }
        : null),
  };
}

const usedBy = ({ control }: SiteState, { fact }: AcceptedSolution): string[] =>
  control
    .filter(({ id }) => fact.body.uses.some((use) => use.control === id && (use.plan || use.height)))
    .map(({ revision }) => revision.body.name)
    .sort(compareNames);

/** When each mark was last used by a station that stands, fitted in a proof, or was found when somebody looked. */
function lastSeen(state: SiteState): Map<string, NonNullable<Seen>> {
  const found = new Map<string, NonNullable<Seen>>();
  const see = (mark: string, at: string, as: NonNullable<Seen>['as']) => {
    const known = found.get(mark);
    if (!known || known.at <= at) found.set(mark, { at, as });
  };
  for (const [mark, visits] of state.visits)
    for (const { at, body } of visits)
      if (body.outcome === 'found' || body.outcome === 'refreshed') see(mark, at, 'found');
  for (const { fact, decision, withdrawn } of [
    ...state.accepted,
    ...state.paired.map((each) => ({ ...each, fact: each.solution })),
  ])
    for (const mark of withdrawn ? [] : state.control) {
      const uses = fact.body.uses.filter((use) => use.control === mark.id);
      const [plan, height] = [uses.some((use) => use.plan), uses.some((use) => use.height)];
      const { usePlan, useHeight } = mark.revision.body;
      // A part that was left out did not fit, or was never asked: it is no evidence that the mark is good.
      if (plan || height)
        see(mark.id, decision.at, !height && useHeight ? 'usedForPlan' : !plan && usePlan ? 'usedForHeight' : 'used');
    }
  for (const { at, body } of state.proofs) {
    const good =
      [body.plan, body.height].every((outcome) => outcome !== 'outside') && [body.plan, body.height].includes('good');
    if (good && body.control !== null && decidedSolution(state, body.solution)) see(body.control, at, 'proved');
  }
  return found;
}

/**
 * What the own sights of accepted stations check: as it was shown when they were decided on, and by the rules of now.
 */
import {
  isBeginning,
  largestEffect,
  type AskedOfStation,
  type Checkability,
  type Judgement,
  type Metres,
  type TrustResult,
  type Unnoticed,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { checkabilityWords, fallenWords, thenWords, unnoticedSubject, unnoticedWords } from '@idle-marker/words';
import { askedOf } from '../site/asked.ts';
import { namingOf } from '../site/naming.ts';
import { marksFrom } from '../site/indexes.ts';
import { reliabilityOf, stationSights } from './stationDraft.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { figuresOf, inMm, metresOrNull } from '../site/stored.ts';

type Judged = NonNullable<FactBody<'decision'>['judged']>;
type Decided = Omit<AcceptedSolution, 'withdrawn'>;

/** So many of the mistakes that would go unseen are kept with a decision. */
const KEPT = 20;
const mm = (metres: number | null): number | null => (metres === null ? null : Math.round(metres * 1e6) / 1e3);

/** What is kept of a judgement with the decision that was made on it. */
export const judgedBody = (judgement: Judgement, asked: AskedOfStation): Judged => ({
  verdict: judgement.verdict,
  checkability: judgement.checkability,
  goodToMm: mm(judgement.goodTo),
  askedMm: { plan: inMm(asked.plan), height: inMm(asked.height) },
  unnoticed: (judgement.reliability?.unnoticed ?? []).slice(0, KEPT).map(({ fault, names, noticed, effect, at }) => ({
    fault,
    names: [...names],
    noticedMm: mm(noticed),
    effectMm: mm(effect),
    at,
  })),
});

interface KeptObservation {
  readonly point?: string;
  readonly direction?: { readonly redundancy?: number } | null;
  readonly distance?: { readonly redundancy?: number } | null;
}

/** Less of a mistake than this was said to show nowhere. */
const LEAST_SHOWN = 0.01;

/**
 * The rule of before: redundancy numbers and the count of names, from the result that was kept. Only for what was
 * decided by it; it does not see that two marks may stand on one post.
 */
function byRedundancy({ method, result }: FactBody<'solution'>): Checkability {
  const observations = (result['observations'] ?? []) as readonly KeptObservation[];
  const dof = (result['dof'] as number | undefined) ?? 0;
  const used = observations.filter((each) => each.direction ?? each.distance);
  const marks = [...new Set(used.map((each) => each.point))];
  if (method === 'overMark' || method === 'carried')
    return marks.length < 2 ? 'unchecked' : marks.length === 2 ? 'checked' : 'traceable';
  if (method === 'onLines') return dof === 0 ? 'unchecked' : 'checked';
  if (marks.length < 3 || dof === 0) return 'unchecked';
  let traceable = marks.length > 3;
  for (const mark of marks) {
    const own = used
      .filter((each) => each.point === mark)
      .flatMap(({ direction, distance }) => [direction?.redundancy, distance?.redundancy]);
    const redundancies = own.filter((each) => each !== undefined);
    if (Math.max(...redundancies) < LEAST_SHOWN) return 'unchecked';
    if (dof - redundancies.length < 1) traceable = false;
  }
  return traceable ? 'traceable' : 'checked';
}

/**
 * What an accepted station is good to in plan, 95 %: as it was shown when it was decided on. Metres; null where nothing
 * bounds it.
 */
export const goodToOf = ({ fact, decision }: Pick<Decided, 'fact' | 'decision'>): Metres | null => {
  const { judged } = decision.body;
  return judged ? metresOrNull(judged.goodToMm) : figuresOf(fact).radius95;
};

export interface StationCheck {
  /** As it was shown when it was decided on. */
  readonly then: Checkability;
  /** It was decided on before the figures were kept, by rules that are not those of now. */
  readonly byRulesOfThen: boolean;
  readonly now: Checkability;
  /** What could be wrong unseen and would do most, by the rules of now. */
  readonly worst: Unnoticed | null;
  /** Called checked then, and not now. */
  readonly fell: boolean;
}

/** What is set from a station, by what its class asks: the marks that stand, and those that are still to come. */
function askedWithSet(state: SiteState, { fact }: Decided): AskedOfStation {
  const asked = askedOf(state, fact.body.class);
  const set = marksFrom(state, fact.id).map((mark) => mark.body.place);
  return set.length === 0 ? asked : { ...asked, work: set };
}

/** A state of a site is never changed, so what follows from it is computed once. */
const known = new WeakMap<SiteState, Map<string, StationCheck>>();

/** Null where a station gives heights alone. */
export function checkOf(state: SiteState, solution: Decided): StationCheck | null {
  const { fact, decision } = solution;
  if (fact.body.method === 'heightOnly' || fact.body.method === 'paired') return null;
  const checks = known.get(state) ?? new Map<string, StationCheck>();
  known.set(state, checks);
  const check =
    checks.get(decision.id) ?? (decision.body.judged ? asKept(decision.body.judged) : judgedAnew(state, solution));
  checks.set(decision.id, check);
  return check;
}

function asKept({ checkability, unnoticed: [worst] }: Judged): StationCheck {
  return {
    then: checkability,
    byRulesOfThen: false,
    now: checkability,
    worst: worst
      ? {
          fault: worst.fault,
          names: worst.names,
          noticed: metresOrNull(worst.noticedMm),
          effect: metresOrNull(worst.effectMm),
          at: worst.at,
          blind: null,
        }
      : null,
    fell: false,
  };
}

interface Anew {
  readonly from: readonly unknown[];
  readonly check: StationCheck;
}
/** What was judged anew, by the decision; found again where it would be judged from the very same. */
const anew = new WeakMap<Fact<'decision'>, Anew>();

/** Everything that a free station is judged from; null for the others, which more of the site has a say in. */
function judgedFrom(state: SiteState, { fact, occupation }: Decided, asked: AskedOfStation): readonly unknown[] | null {
  if (fact.body.method !== 'resection') return null;
  return [
    state.settings,
    state.control,
    occupation,
    asked.plan,
    asked.height,
    ...stationSights(state, occupation.id),
    ...asked.work,
  ];
}

function judgedAnew(state: SiteState, solution: Decided): StationCheck {
  const asked = askedWithSet(state, solution);
  const from = judgedFrom(state, solution, asked);
  const before = from && anew.get(solution.decision);
  if (before && before.from.length === from.length && isBeginning(before.from, from)) return before.check;
  const check = checkAnew(state, solution, asked);
  if (from) anew.set(solution.decision, { from, check });
  return check;
}

function checkAnew(state: SiteState, solution: Decided, asked: AskedOfStation): StationCheck {
  const reliability = reliabilityOf(state, solution, asked);
  const then = byRedundancy(solution.fact.body);
  const now = reliability?.state ?? 'unchecked';
  return {
    then,
    byRulesOfThen: true,
    now,
    worst: reliability?.unnoticed[0] ?? null,
    fell: then !== 'unchecked' && now === 'unchecked',
  };
}

const hiddenAt = (state: SiteState, solution: Decided, asked: AskedOfStation): number => {
  const reliability = reliabilityOf(state, solution, asked);
  return reliability ? largestEffect(reliability.unnoticed) : Infinity;
};

export interface FallenStation extends StationCheck {
  readonly solution: AcceptedSolution;
  /** Marks that were set from it and stand. */
  readonly set: number;
  /**
   * Marks set from it that no proof holds, in the order in which to sight them again from a station that is checked.
   */
  readonly again: readonly Fact<'mark'>[];
}

/**
 * A station that was called checked and is not by the rules of now; null where it still is. Its marks that are not held
 * are to be sighted again, first those where a hidden mistake would do most: a station that turns about a post is right
 * beside it.
 */
export function fallenStation(state: SiteState, trust: TrustResult, solution: AcceptedSolution): FallenStation | null {
  const check = solution.withdrawn ? null : checkOf(state, solution);
  if (!check?.fell) return null;
  const held = new Set(trust.marks.filter((mark) => mark.standing === 'held').map((mark) => mark.id));
  const asked = askedOf(state, solution.fact.body.class);
  const set = marksFrom(state, solution.fact.id);
  const open = set.filter((mark) => !held.has(mark.id));
  const effects = new Map(
    open.map((mark) => [mark.id, hiddenAt(state, solution, { ...asked, work: [mark.body.place] })]),
  );
  const again = open.sort((a, b) =>
    effects.get(b.id)! === effects.get(a.id)! ? b.at.localeCompare(a.at) : effects.get(b.id)! - effects.get(a.id)!,
  );
  return { ...check, solution, set: set.length, again };
}

/** All of them, in the order in which they were accepted. */
export const fallenStations = (state: SiteState, trust: TrustResult): FallenStation[] =>
  state.accepted.flatMap((solution) => fallenStation(state, trust, solution) ?? []);

/**
 * What a page of the book says of a station's check: its state, how it was called by rules of then, and what that asks
 * for.
 */
export function checkSentences(state: SiteState, trust: TrustResult, solution: AcceptedSolution): string[] {
  const check = checkOf(state, solution);
  if (!check) return [];
  const naming = namingOf(state);
  const fallen = fallenStation(state, trust, solution);
  if (fallen) {
    const again = fallen.again.map((mark) => mark.body.name);
    const { title, text, todo } = fallenWords(
      { station: solution.fact.body.name, worst: fallen.worst, set: fallen.set, again, inForce: false },
      naming,
    );
    return [`${title}.`, text, todo];
  }
  const { title, text } = checkabilityWords()[check.now];
  return [
    `${title}. ${text}`,
    ...(check.worst ? [`${unnoticedSubject(check.worst, naming)}: ${unnoticedWords(check.worst, naming)}`] : []),
    ...(check.byRulesOfThen ? [thenWords(check.then, check.now)] : []),
  ];
}

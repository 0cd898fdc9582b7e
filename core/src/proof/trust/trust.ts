/**
 * Standing of every mark and station: a pure function of all records of a site. Nothing it computes is stored.
 *
 * Evidence is taken from proofs on control marks that the solution did not use, from repeats, which carry it forward,
 * and from set marks sighted again from elsewhere. An instrument that has moved does not move back: the first bad
 * evidence that stands puts in doubt everything set after the last good evidence before it.
 */
import {
  marksById,
  newTrustMemory,
  recalled,
  setWith,
  siteFrom,
  solutionFrom,
  type JudgedSolution,
  type TrustMemory,
} from './memory.ts';
import { codeUnits, PARTS, type Part, type TrustInput } from './records.ts';
import { proposalsOf, type Proposal } from './proposals.ts';
import { readRecords, readSite, type TrustSite } from './site.ts';
import {
  partView,
  solutionStanding,
  standingsAt,
  type MarkStanding,
  type PartView,
  type SolutionStanding,
} from './standing.ts';

type Views = Readonly<Record<Part, PartView>>;

/** A target that better evidence spoke against and that nothing has cleared since. */
export interface SuspectTarget {
  readonly target: string;
  readonly plan: boolean;
  readonly height: boolean;
}

export interface TrustResult {
  /** By id; marks that were withdrawn or set again are left out. */
  readonly marks: readonly MarkStanding[];
  /** By id, withdrawn ones too. */
  readonly solutions: readonly SolutionStanding[];
  readonly targetsSuspect: readonly SuspectTarget[];
  readonly propose: readonly Proposal[];
}

const NONE: readonly never[] = [];

/** Solutions that are judged before whoever judges may look about. */
const SOLUTIONS_A_STEP = 10;

function* judgeSolutions(
  site: TrustSite,
  views: Views,
  memory: TrustMemory,
): Generator<void, ReadonlyMap<string, JudgedSolution>> {
  const sets = setWith(memory, site.listed);
  const shared = siteFrom(site);
  let judged = 0;
  const kept = new Map<string, NonNullable<ReturnType<typeof recalled>>>();
  for (const id of new Set([...site.solutions.keys(), ...sets.keys()])) {
    const solution = site.solutions.get(id);
    const set = sets.get(id) ?? NONE;
    const from = shared + solutionFrom(views, id, solution);
    const before = recalled(memory, id, from, solution?.record, set);
    if (before) kept.set(id, before);
    else {
      if (++judged % SOLUTIONS_A_STEP === 0) yield;
      const marks = standingsAt(views, id, set);
      const standing = solution ? solutionStanding(views, solution) : null;
      kept.set(id, {
        from,
        solution: solution?.record,
        set,
        judged: { marks, standing, propose: solution ? proposalsOf(views, solution, marks) : NONE },
      });
    }
  }
  memory.marks = marksById(memory, kept);
  memory.solutions = kept;
  return new Map([...kept].map(([id, { judged }]) => [id, judged]));
}

/**
 * Judges all marks and solutions of a site. The order and repetition of `records` do not matter.
 * @param memory of the judgement before, which makes this one quicker and never another
 */
export function judgeTrust(input: TrustInput, memory: TrustMemory = newTrustMemory()): TrustResult {
  const steps = trustSteps(input, memory);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The same in steps, between which something else may be done. */
export function* trustSteps(input: TrustInput, memory: TrustMemory): Generator<void, TrustResult> {
  memory.read = readRecords(input.records, memory.read);
  yield;
  const site = readSite(input, memory.read);
  yield;
  const views: Views = { plan: partView(site, 'plan'), height: partView(site, 'height') };
  yield;
  const judged = yield* judgeSolutions(site, views, memory);
  const suspects = Object.fromEntries(
    PARTS.map((part) => [part, new Set(views[part].lines.suspects.map((review) => review.target))]),
  ) as Record<Part, Set<string>>;
  const bySolution = [...site.solutions.keys()].sort(codeUnits).map((id) => judged.get(id)!);
  return {
    marks: memory.marks,
    solutions: bySolution.flatMap(({ standing }) => standing ?? []),
    targetsSuspect: [...new Set([...suspects.plan, ...suspects.height])]
      .sort(codeUnits)
      .map((target) => ({ target, plan: suspects.plan.has(target), height: suspects.height.has(target) })),
    propose: bySolution.flatMap(({ propose }) => propose),
  };
}

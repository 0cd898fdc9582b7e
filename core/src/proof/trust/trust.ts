/**
 * Standing of every mark and station: a pure function of all records of a site. Nothing it computes is stored.
 *
 * Evidence is taken from proofs on control marks that the solution did not use, from repeats, which carry it forward, and
 * from set marks sighted again from elsewhere. An instrument that has moved does not move back: the first bad evidence that
 * stands puts in doubt everything set after the last good evidence before it.
 */
import { grouped } from './grouped.ts';
import { codeUnits, PARTS, type Part, type TrustInput } from './records.ts';
import { proposalsOf, type Proposal } from './proposals.ts';
import { readSite } from './site.ts';
import { partView, solutionStanding, standingsAt, type MarkStanding, type SolutionStanding } from './standing.ts';

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

/** Judges all marks and solutions of a site. The order and repetition of `records` do not matter. */
export function judgeTrust(input: TrustInput): TrustResult {
  const site = readSite(input);
  const views: Readonly<Record<Part, ReturnType<typeof partView>>> = { plan: partView(site, 'plan'), height: partView(site, 'height') };
  const marksOf = new Map([...grouped(site.listed, ({ record }) => record.solution)].map(([solution, set]) => [solution, standingsAt(views, solution, set)]));
  const suspects = Object.fromEntries(PARTS.map((part) => [part, new Set(views[part].lines.suspects.map((review) => review.target))])) as Record<
    Part,
    Set<string>
  >;
  return {
    marks: [...marksOf.values()].flatMap((set) => set.map(({ standing }) => standing)).sort((a, b) => codeUnits(a.id, b.id)),
    solutions: [...site.solutions.values()].map((solution) => solutionStanding(views, solution)).sort((a, b) => codeUnits(a.id, b.id)),
    targetsSuspect: [...new Set([...suspects.plan, ...suspects.height])]
      .sort(codeUnits)
      .map((target) => ({ target, plan: suspects.plan.has(target), height: suspects.height.has(target) })),
    propose: proposalsOf(views, marksOf),
  };
}

/**
 * The stations that a paper hangs on, with everything that has to go along: how they were found, why they were accepted
 * all the same, what their own sights check, and what has proved them. Every product that leaves takes it from here.
 */
import type { Checkability, Part, TrustResult } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { coarserClass, type CoarserClass } from '../station/coarserClass.ts';
import { checkOf, goodToOf } from '../station/checked.ts';
import { claimOf, type Basis } from '../station/stationClaim.ts';
import { compareNames, type AcceptedSolution, type SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';
import { inMmOrNull } from '../site/stored.ts';

export interface StationOnPaper {
  readonly name: string;
  readonly marks: readonly string[];
  /** How it was found; not on papers of before it was kept. */
  readonly method?: FactBody<'solution'>['method'];
  readonly radius95Mm: number | null;
  readonly sdZMm: number | null;
  /** What was carried over from the placing before and not confirmed; not on papers of before it was kept. */
  readonly notConfirmed?: readonly string[];
  /** Why it was accepted against the class's terms; null when it met them. */
  readonly provisionalBecause: string | null;
  /** What its own sights check; not on papers of before it was kept. */
  readonly checked?: CheckOnPaper | null;
  /** For what it was accepted, and what has proved it since; not on papers of before it was kept. */
  readonly evidence?: EvidenceOnPaper;
  /** It was accepted for coarser work than this paper's; not on papers of before it was kept. */
  readonly coarser?: CoarserClass | null;
}

export interface CheckOnPaper {
  readonly checkability: Checkability;
  /** It was called checked by the rules of then, and is not by those of now. */
  readonly fell: boolean;
  /** Largest shift that could be hidden in it; null where nothing bounds it. */
  readonly hiddenMm: number | null;
}

export interface EvidenceOnPaper {
  readonly basis: Basis;
  readonly className: string;
  /** Parts that nothing independent has proved, and parts that a proof speaks against. */
  readonly unproven: readonly Part[];
  readonly failed: readonly Part[];
  readonly proofs: { readonly good: number; readonly missed: number; readonly last: string | null };
}

type Decided = Omit<AcceptedSolution, 'withdrawn'>;

function checkOnPaper(state: SiteState, solution: Decided): CheckOnPaper | null {
  const checked = checkOf(state, solution);
  if (!checked) return null;
  const effect = checked.worst === null ? 0 : checked.worst.effect;
  return {
    checkability: checked.now,
    fell: checked.fell,
    hiddenMm: effect === null ? null : Math.round(effect * 1000),
  };
}

function evidenceOnPaper(state: SiteState, trust: TrustResult, solution: Decided): EvidenceOnPaper {
  const { basis, unproven, failed } = claimOf(state, trust, solution);
  const { class: asked } = solution.fact.body;
  const proofs = state.proofs.filter((proof) => proof.body.solution === solution.fact.id);
  const missed = proofs.filter(({ body }) => body.plan === 'outside' || body.height === 'outside').length;
  return {
    basis,
    className: classOf(state, asked).name,
    unproven,
    failed,
    proofs: { good: proofs.length - missed, missed, last: proofs.at(-1)?.at ?? null },
  };
}

/** What the set-up check asks, as far as it was asked then. */
export const SETUP_CHECKED = ['weather', 'instrument', 'pole'] as const;
const notConfirmed = ({ body }: Fact<'occupation'>): string[] =>
  body.confirmed ? SETUP_CHECKED.filter((what) => !body.confirmed!.includes(what)) : [];

/** In the order in which they were accepted. `works`: classes of the work that the paper is of, by their ids. */
export function stationsOnPaper(
  state: SiteState,
  trust: TrustResult,
  solutions: ReadonlySet<string>,
  works: readonly string[] = [],
): StationOnPaper[] {
  const heights = state.paired.map(({ solution, decision, occupation }) => ({ fact: solution, decision, occupation }));
  return [...state.accepted, ...heights]
    .filter((each) => solutions.has(each.fact.id))
    .map(({ fact, decision, occupation }) => ({
      checked: checkOnPaper(state, { fact, decision, occupation }),
      evidence: evidenceOnPaper(state, trust, { fact, decision, occupation }),
      coarser: coarserClass(state, fact, works),
      name: fact.body.name,
      notConfirmed: notConfirmed(occupation),
      method: fact.body.method,
      marks: [
        ...new Set([
          ...fact.body.uses.filter((use) => use.plan || use.height).map((use) => controlName(state, use.revision)),
          ...(occupation.body.over ? [controlName(state, occupation.body.over.revision)] : []),
        ]),
      ].sort(compareNames),
      // Where the plan came from a receiver the placing has none of its own.
      radius95Mm: fact.body.method === 'paired' ? null : inMmOrNull(goodToOf({ fact, decision })),
      sdZMm: fact.body.result.sdTrunnionZMm,
      provisionalBecause: decision.body.verdict === 'provisional' ? decision.body.reason : null,
    }));
}

function controlName(state: SiteState, revision: string): string {
  for (const mark of state.control) for (const each of mark.revisions) if (each.id === revision) return each.body.name;
  return 'unknown';
}

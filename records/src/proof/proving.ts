/** From a check sight to the proof that is kept. */
import {
  addedSight,
  checkPoint,
  NEAREST_SIGHT,
  PARTS,
  placesOf,
  planDistance,
  type CheckInput,
  type CheckResult,
  type ControlPoint,
  type Metres,
  type Part,
  type ProofOutcome,
  type Result,
  type StationError,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { heldUses } from '../control/heldUses.ts';
import { askedOf } from '../site/asked.ts';
import { extensibleOfSolution } from '../station/stationDraft.ts';
import {
  controlPointOf,
  precisionOf,
  readingOf,
  reductionFrom,
  setupOf,
  stationOfSolution,
  type UseFlags,
} from '../station/observations.ts';
import type { AcceptedSolution, ControlMark, SiteState, ToleranceClass } from '../site/state.ts';

export interface ProofJudgement {
  readonly check: CheckResult;
  readonly plan: ProofOutcome;
  readonly height: ProofOutcome;
}

const outcome = (measured: boolean, within: boolean | null, significant: boolean): ProofOutcome =>
  !measured || within === null ? 'notMeasured' : !within ? 'outside' : significant ? 'moreThanChance' : 'good';

/** A sight from a solution compared with where something known is; plan and height come out apart. */
export function compareSight(
  state: SiteState,
  solution: AcceptedSolution,
  sight: Fact<'sight'>,
  point: ControlPoint,
  limits: CheckInput['limits'],
): Result<ProofJudgement, StationError> {
  const result = checkPoint({
    instrument: precisionOf(solution.occupation.body),
    station: stationOfSolution(solution.fact.body.result),
    setup: setupOf(solution.occupation.body),
    reduction: reductionFrom(state, solution),
    point,
    reading: readingOf(sight.body),
    limits,
  });
  return result.ok ? { ok: true, value: outcomesOf(result.value) } : result;
}

/** What a comparison amounts to, plan and height apart. */
export const outcomesOf = (check: CheckResult): ProofJudgement => ({
  check,
  plan: outcome(check.plan !== null, check.withinPlan, check.plan?.significant ?? false),
  height: outcome(check.height !== null, check.withinHeight, check.height?.significant ?? false),
});

/**
 * Judges a sight to a known mark by the tolerance class of the work. Parts that the mark is not trusted for are not
 * measured.
 */
export function judgeProof(
  state: SiteState,
  solution: AcceptedSolution,
  mark: ControlMark,
  sight: Fact<'sight'>,
  asked: ToleranceClass,
): Result<ProofJudgement, StationError> {
  const { body } = mark.revision;
  const point = { ...controlPointOf(body), name: body.name };
  return compareSight(state, solution, sight, body.usePlan ? point : { ...point, e: null, n: null }, {
    plan: asked.plan,
    height: body.useHeight ? asked.height : null,
  });
}

/**
 * Whether the solution used the mark, in plan or in height: a sight to it is then a repeat, not an independent proof.
 */
export const usedBy = (solution: AcceptedSolution, mark: string): { plan: boolean; height: boolean } => {
  const uses = heldUses(solution.fact, solution.occupation).filter((use) => use.control === mark);
  return { plan: uses.some((use) => use.plan), height: uses.some((use) => use.height) };
};

const gives = ({ revision: { body } }: ControlMark, part: Part): boolean =>
  part === 'plan' ? body.usePlan && body.e !== null && body.n !== null : body.useHeight && body.z !== null;

export interface ProofCandidate {
  readonly mark: ControlMark;
  readonly used: UseFlags;
  /** Parts that a good sight to it would prove: it has them, and the station did not take them from it. */
  readonly proves: readonly Part[];
  /** The last proof on it of this solution; null when there is none. */
  readonly last: Fact<'proof'> | null;
  /** A mark that the station used stands on the same post: if that moved, both did. */
  readonly onPostOf: string | null;
  /**
   * The largest mistake that could still hide in the station after a good proof on it; null where that is not known.
   */
  readonly hidden: Metres | null;
}

/** A mark under the tripod, or so near to it that no instrument measures there: it can be sighted by nobody. */
function isUnderfoot(solution: AcceptedSolution, { id, revision: { body } }: ControlMark): boolean {
  if (solution.occupation.body.over?.mark === id) return true;
  return (
    body.e !== null &&
    body.n !== null &&
    planDistance(solution.fact.body.result, { e: body.e, n: body.n }) < NEAREST_SIGHT
  );
}

/**
 * Marks to prove on, the best first: what would prove a part that is wanted, of these what the solution did not use and
 * no used mark shares its post with, of these the ones kept for it, of these the longest not sighted, of these what
 * leaves the least hidden.
 *
 * @param wanted parts that nothing has proved yet; none or not given: either part
 */
export function proofCandidates(
  state: SiteState,
  solution: AcceptedSolution,
  wanted: readonly Part[] = [],
): ProofCandidate[] {
  const asks = wanted.length > 0 ? wanted : PARTS;
  const extensible = extensibleOfSolution(state, solution);
  const asked = askedOf(state, solution.fact.body.class);
  const usedNames = new Set(solution.fact.body.uses.filter((use) => use.plan).map((use) => use.control));
  const usedMarks = state.control
    .filter((mark) => usedNames.has(mark.id))
    .map((mark) => controlPointOf(mark.revision.body));
  const postOf = (mark: ControlMark): string | null => {
    const places = placesOf([...usedMarks, controlPointOf(mark.revision.body)]);
    return places.find((names) => names.includes(mark.id))?.find((name) => name !== mark.id) ?? null;
  };
  const hiddenAfter = (mark: ControlMark): Metres | null => {
    const added = extensible && addedSight(extensible, controlPointOf(mark.revision.body), asked, false);
    return added?.worst?.effect ?? null;
  };
  const proofs = state.proofs.filter((proof) => proof.body.solution === solution.fact.id);
  return state.control
    .filter((mark) => mark.revision.body.condition !== 'lost' && !isUnderfoot(solution, mark))
    .filter(({ revision: { body } }) => body.usePlan || body.useHeight)
    .map((mark): ProofCandidate => {
      const used = usedBy(solution, mark.id);
      return {
        mark,
        used,
        proves: PARTS.filter((part) => !used[part] && gives(mark, part)),
        last: proofs.findLast((proof) => proof.body.control === mark.id) ?? null,
        onPostOf: used.plan ? null : postOf(mark),
        hidden: used.plan ? null : hiddenAfter(mark),
      };
    })
    .sort(
      (a, b) =>
        Number(!asks.some((part) => a.proves.includes(part))) - Number(!asks.some((part) => b.proves.includes(part))) ||
        Number(a.used.plan || a.used.height) - Number(b.used.plan || b.used.height) ||
        Number(a.onPostOf !== null) - Number(b.onPostOf !== null) ||
        Number(b.mark.revision.body.forProof) - Number(a.mark.revision.body.forProof) ||
        Number(b.mark.revision.body.usePlan) - Number(a.mark.revision.body.usePlan) ||
        (a.last?.at ?? '').localeCompare(b.last?.at ?? '') ||
        // Two that are not known are alike.
        (a.hidden ?? Infinity) - (b.hidden ?? Infinity) ||
        0,
    );
}

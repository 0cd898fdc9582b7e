/** Plan from a receiver, height from the instrument: what one moment of both gives, and what is kept of it. */
import {
  antennaHeightOf,
  comparePlace,
  compareHeights,
  CORE_VERSION,
  heightFromAxis,
  RADIANS_PER_DEGREE,
  receiverFoot,
  reduceReading,
  TARGET_HEIGHT_SD,
  type HeightsCompared,
  type Metres,
  type PairPole,
  type PlanCovariance,
  type PoleSet,
  type Reading,
  type ReceiverReading,
  type SiteFit,
  type TiltingAxis,
} from '@idle-marker/core';
import { digestOf, heightStationJson, type Fact, type FactBody } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { heightDraft, type HeightDraft } from './heightStation.ts';
import { controlPointOf, precisionOf, readingOf, reductionOf } from './observations.ts';
import { outcomesOf, type ProofJudgement } from '../proof/proving.ts';
import type { ShotPlace } from '../site/recording.ts';
import { placeAtGround } from '../work/setting.ts';
import type { ControlMark, PairedSolution, SiteState, ToleranceClass } from '../site/state.ts';
import { figuresOf, metresOf, MM } from '../site/stored.ts';

type Position = FactBody<'position'>;

/** The pair that a placing works with; null when there is none. */
export const pairingOf = (state: SiteState, occupation: Fact<'occupation'>): Fact<'pairing'> | null =>
  state.pairings.findLast((each) => each.body.occupation === occupation.id) ?? null;

/** The accepted heights that are worked from: of the placing that is in use. */
export const pairedInForce = (state: SiteState, occupation: Fact<'occupation'> | null): PairedSolution | null =>
  state.paired.findLast((each) => !each.withdrawn && each.occupation.id === occupation?.id) ?? null;

export const fitOf = ({ body }: Fact<'pairing'>): SiteFit => ({
  sdPlan: metresOf(body.fit.sdPlanMm),
  sdHeight: metresOf(body.fit.sdHeightMm),
});

/** The tilting axis as it was accepted. */
export function axisOf({ solution, occupation }: PairedSolution): TiltingAxis {
  const { z } = solution.body.result;
  return { z: z! + occupation.body.instrumentHeight, sd: figuresOf(solution).sdAxis ?? 0 };
}

export const receiverReadingOf = ({ sdPlanMm, sdHeightMm, leanDeg, ...read }: Position['read']): ReceiverReading => ({
  ...read,
  sdPlan: metresOf(sdPlanMm),
  sdHeight: metresOf(sdHeightMm),
  lean: leanDeg === null ? null : leanDeg * RADIANS_PER_DEGREE,
});

/** The pole up to the receiver: being out of plumb tells more up there than at the prism. */
const poleOf = (pairing: Fact<'pairing'>, { targetHeight, targetCentringSd }: PoleSet): PairPole => {
  const antennaHeight = antennaHeightOf(targetHeight, pairing.body.offset);
  return {
    antennaHeight,
    antennaHeightSd: TARGET_HEIGHT_SD,
    centringSd: targetHeight > 0 ? (targetCentringSd * antennaHeight) / targetHeight : targetCentringSd,
  };
};

/** The tip of the pole from both devices, each part with its own source. A part that is not measured is null. */
export interface PairedPlace {
  readonly plan: { readonly e: Metres; readonly n: Metres; readonly covariance: PlanCovariance } | null;
  readonly height: { readonly z: Metres; readonly variance: number } | null;
  /** The receiver's own height, which is held against the other and used for nothing else. */
  readonly receiver: { readonly z: Metres; readonly variance: number } | null;
  readonly compared: HeightsCompared | null;
}

/** @param reading to the prism at the same time; null while the instrument does not follow it */
export function pairedPlace(
  state: SiteState,
  occupation: Fact<'occupation'>,
  pairing: Fact<'pairing'>,
  axis: TiltingAxis | null,
  position: ReceiverReading | null,
  reading: Reading | null,
  pole: PoleSet,
): PairedPlace {
  const height =
    axis && reading
      ? heightFromAxis(axis, reduceReading(reading, precisionOf(occupation.body), reductionOf(state.settings)))
      : null;
  if (!position) return { plan: null, height, receiver: null, compared: null };
  const foot = receiverFoot(position, poleOf(pairing, pole), fitOf(pairing));
  const receiver = { z: foot.z, variance: foot.varZ };
  return {
    plan: { e: foot.e, n: foot.n, covariance: foot.plan },
    height,
    receiver,
    compared: height && compareHeights(receiver, height),
  };
}

/** The place that a kept position and its sight give. */
export function keptPlace(
  state: SiteState,
  paired: PairedSolution,
  position: Fact<'position'>,
  sight: Fact<'sight'>,
): PairedPlace {
  const reading = readingOf(sight.body);
  const pairing = state.pairings.find((each) => each.id === position.body.pairing) ?? paired.pairing;
  return pairedPlace(
    state,
    paired.occupation,
    pairing,
    axisOf(paired),
    receiverReadingOf(position.body.read),
    reading,
    reading,
  );
}

type Plan = FactBody<'package'>['plans'][number];

/** What is left to go to a planned mark; null while there is no plan. */
export function pairedStake(
  { plan: here, height }: PairedPlace,
  plan: Plan,
  groundZ: Metres | null = null,
): ShotPlace | null {
  if (!here) return null;
  const z = height?.z ?? null;
  const place = placeAtGround(plan, groundZ ?? z);
  return { measured: { e: here.e, n: here.n, z }, deltaE: place.e - here.e, deltaN: place.n - here.n };
}

/**
 * Heights as they were when work with the receiver began on them. One benchmark is provisional: nothing has checked it
 * yet.
 */
export function pairedBodies(
  state: SiteState,
  occupation: Fact<'occupation'>,
  pairing: Fact<'pairing'>,
  draft: HeightDraft,
  classId: string,
): { readonly solution: FactBody<'solution'>; readonly decision: Omit<FactBody<'decision'>, 'solution'> } | null {
  if (!draft.outcome?.ok) return null;
  const uses = draft.groups.flatMap((group) =>
    group.sights.map((sight) => ({
      sight: sight.id,
      control: group.mark,
      revision: state.control.find((mark) => mark.id === group.mark)!.revision.id,
      plan: false,
      height: group.observation.useHeight,
    })),
  );
  const result = heightStationJson(draft.outcome.value);
  const before = state.paired.findLast((each) => each.occupation.id === occupation.id && !each.withdrawn);
  return {
    solution: {
      occupation: occupation.id,
      name: occupation.body.name,
      method: 'paired',
      pairing: pairing.id,
      class: classId,
      uses,
      // It has neither place nor direction.
      result: result as unknown as FactBody<'solution'>['result'],
      inputDigest: digestOf({ uses, readings: draft.groups.map((group) => group.observation) }),
      coreVersion: CORE_VERSION,
      supersedes: before?.solution.id ?? null,
    },
    decision:
      draft.benchmarks > 1
        ? { verdict: 'accepted', reason: '' }
        : { verdict: 'provisional', reason: msg('records.oneBenchmarkNothingChecksItUntil') },
  };
}

/** Judges the pole on a known mark: plan by the receiver, height by the instrument, each by itself. */
export function judgePairedProof(
  state: SiteState,
  paired: PairedSolution,
  mark: ControlMark,
  position: Fact<'position'>,
  sight: Fact<'sight'>,
  asked: ToleranceClass,
): ProofJudgement {
  const { body } = mark.revision;
  const { plan, height } = keptPlace(state, paired, position, sight);
  const point = { ...controlPointOf(body), name: body.name };
  const usable = body.usePlan ? point : { ...point, e: null, n: null };
  const { e, n, covariance } = plan!;
  // No line of sight has to do with the plan: along is north and across is east.
  const measured = {
    e,
    n,
    z: height?.z ?? null,
    azimuth: 0,
    gridDistance: 0,
    plan: covariance,
    varZ: height?.variance ?? null,
  };
  return outcomesOf(comparePlace(measured, usable, { plan: asked.plan, height: body.useHeight ? asked.height : null }));
}

/** What is still asked for, the most important first. */
export type PairedDue =
  'PLAN_UNCHECKED' | 'SECOND_BENCHMARK' | 'PLAN_FAILED' | 'HEIGHT_FAILED' | 'PLAN_AGAIN' | 'BENCHMARK_AGAIN';

const isGood = (outcome: string): boolean => outcome === 'good' || outcome === 'moreThanChance';

/** Whether a part fails: on some known marks, and not on more others. Of each mark the last proof counts. */
function fails(proofs: readonly Fact<'proof'>[], part: 'plan' | 'height'): boolean {
  const last = new Map(
    proofs.filter(({ body }) => body[part] !== 'notMeasured').map(({ body }) => [body.control, body[part]]),
  );
  const outcomes = [...last.values()];
  const bad = outcomes.filter((outcome) => outcome === 'outside').length;
  return bad > 0 && outcomes.length - bad <= bad;
}

export function pairedDue(state: SiteState, paired: PairedSolution): PairedDue[] {
  const proofs = state.proofs.filter(({ body }) => body.solution === paired.solution.id);
  const used = new Set(paired.solution.body.uses.filter((use) => use.height).map((use) => use.control));
  const lastMark = [...state.marks.values()]
    .filter((mark) => mark.body.solution === paired.solution.id)
    .reduce((last, { at }) => (at > last ? at : last), '');
  const good = (part: 'plan' | 'height') => proofs.filter(({ body }) => isGood(body[part]));
  const since = (part: 'plan' | 'height') => good(part).some(({ at }) => at >= lastMark);
  const due: PairedDue[] = [];
  if (fails(proofs, 'plan')) due.push('PLAN_FAILED');
  else if (good('plan').length === 0) due.push('PLAN_UNCHECKED');
  else if (lastMark !== '' && !since('plan')) due.push('PLAN_AGAIN');
  if (fails(proofs, 'height')) due.push('HEIGHT_FAILED');
  else if (used.size < 2 && !good('height').some(({ body }) => body.control !== null && !used.has(body.control)))
    due.push('SECOND_BENCHMARK');
  else if (lastMark !== '' && !since('height')) due.push('BENCHMARK_AGAIN');
  return due;
}

type Effect = FactBody<'finding'>['effects'][number];

/**
 * The axis of accepted heights, solved again in another state of the site, without one of their benchmarks if so asked.
 */
function axisAgain(
  state: SiteState,
  { occupation, solution }: PairedSolution,
  without: string | null,
): TiltingAxis | null {
  const now = state.occupations.find((each) => each.id === occupation.id);
  if (!now) return null;
  const used = new Set(
    solution.body.uses.filter((use) => use.height && use.control !== without).map((use) => use.control),
  );
  const out = new Set(state.control.map((mark) => mark.id).filter((id) => !used.has(id)));
  return heightDraft(state, now, out).axis;
}

/** The height of a mark, or of the hub that was driven there, from an axis; null where its sight gives none. */
function markHeight(
  state: SiteState,
  { occupation }: PairedSolution,
  axis: TiltingAxis,
  mark: Fact<'mark'>,
): Metres | null {
  const sight = state.sights.get(mark.body.sight);
  const height =
    sight &&
    heightFromAxis(
      axis,
      reduceReading(readingOf(sight.body), precisionOf(occupation.body), reductionOf(state.settings)),
    );
  return height?.z ?? null;
}

/**
 * By how much the heights of marks change from one state of the site to another, or without a benchmark. Plan has no
 * part in it.
 */
export function pairedEffects(
  before: SiteState,
  after: SiteState,
  paired: PairedSolution,
  without: string | null,
): Effect[] {
  const was = axisOf(paired);
  const is = axisAgain(after, paired, without);
  return [...before.marks.values()]
    .filter((mark) => mark.body.solution === paired.solution.id && mark.body.state !== 'rough')
    .map((mark): Effect => {
      const from = markHeight(before, paired, was, mark);
      const to = is && markHeight(after, paired, is, mark);
      return {
        mark: mark.id,
        planMm: without === null ? null : 0,
        heightMm: from === null || to === null ? null : Math.round(((to - from) / MM) * 10) / 10,
      };
    });
}

/**
 * A station over a known mark, in the form of a free station, so that it is shown, accepted and used alike; and what it
 * proves.
 *
 * Its place is an assumption: neither a wrong mark under the tripod nor a poor centring shows in its own figures. With
 * one backsight the direction is forced to fit, and one distance is all that is tested.
 */
import { CRITICAL_T, CRITICAL_W, DETECTABLE_NONCENTRALITY } from '../adjust/criticalValues.ts';
import { fitsByChance } from '../adjust/globalTest.ts';
import type { Metres } from '../quantity/unit.ts';
import { ok, type Result } from '../result.ts';
import type { ReducedObservation } from '../sight/reduce.ts';
import {
  knownStation,
  type OccupiedMark,
  type KnownStationInput,
  type KnownStationObservation,
  type KnownStationResult,
} from './knownStation.ts';
import {
  heightDifference,
  heightFindings,
  heldHeight,
  type HeightFindings,
  type HeightFrom,
  type HeldHeight,
  type HeldHeightInput,
} from './heldHeight.ts';
import { furtherSight, SIGHT_ANY } from './furtherSight.ts';
import type { Reason, Step } from './findings.ts';
import { hiddenReason, type JudgedWith, type Judgement, type SolvedStation } from './judgement.ts';
import type { Extensible } from './freeReliability.ts';
import { expectedPole, planPrecisionOf } from './measuredPoint.ts';
import type { StationError } from './model.ts';
import {
  directionRow,
  distanceRow,
  placesOf,
  planReliability,
  USUALLY_ASKED,
  type AskedOfStation,
  type Reliability,
  type ReliabilityModel,
  type ReliabilityRow,
} from './reliability.ts';
import {
  stationOfResection,
  type ResectionObservation,
  type ResectionPoint,
  type ResectionResult,
} from './resection.ts';

/** A centring is never better than this. */
const LEAST_CENTRING: Metres = 0.0001;
/**
 * The mark that is stood over weighs so many times as much as it is known: its place is kept whatever the sights say.
 */
const HELD = 1e9;

function observationView({
  reduced,
  direction,
  distanceCheck,
  sdDistanceCheck,
}: KnownStationObservation): ResectionObservation {
  const redundancy = direction ? 1 - direction.weight : 0;
  const checked = direction !== null && redundancy > 1e-6;
  const root = Math.sqrt(Math.max(redundancy, 0));
  const bias = direction && checked ? (direction.sd * DETECTABLE_NONCENTRALITY) / root : null;
  return {
    reduced,
    direction: direction && {
      sd: direction.sd,
      residual: direction.residual,
      residualAtTarget: direction.residualAtTarget,
      redundancy,
      standardisedResidual: checked ? direction.residual / (direction.sd * root) : null,
      detectableBias: bias,
      detectableBiasAtTarget: bias !== null && reduced.horizontal !== null ? bias * reduced.horizontal : null,
    },
    distance:
      distanceCheck !== null && sdDistanceCheck !== null
        ? {
            sd: sdDistanceCheck,
            residual: -distanceCheck,
            redundancy: 1,
            standardisedResidual: -distanceCheck / sdDistanceCheck,
            detectableBias: sdDistanceCheck * DETECTABLE_NONCENTRALITY,
          }
        : null,
    height: null,
  };
}

const quotient = (value: number | null | undefined, sd: number | null | undefined): number | null =>
  typeof value === 'number' && typeof sd === 'number' ? value / sd : null;

function pointView(
  known: KnownStationResult,
  heights: HeldHeightInput,
  held: HeldHeight,
  name: string,
): ResectionPoint {
  const own = known.observations.filter((each) => each.reduced.point === name);
  const seen = own.find((each) => each.dE !== null);
  const w = quotient(seen?.distanceCheck, seen?.sdDistanceCheck);
  const sd = seen?.sdDistanceCheck ?? 0;
  return {
    name,
    dE: seen?.dE ?? null,
    dN: seen?.dN ?? null,
    dZ: heightDifference(heights, held, name),
    leaveOneOut:
      seen && w !== null
        ? {
            dE: seen.dE!,
            dN: seen.dN!,
            covariance: { ee: sd * sd, nn: sd * sd, en: 0 },
            t: w * w,
            critical: CRITICAL_T,
            exceeds: Math.abs(w) > CRITICAL_W,
            othersWithin: 0,
          }
        : null,
    leaveOneOutHeight: held.leaveOneOut.get(name) ?? null,
  };
}

export interface OverMarkOptions extends Pick<JudgedWith, 'open' | 'pole'> {
  /** Where the height comes from; null: work in plan alone. Not given: the mark under the instrument. */
  readonly heightFrom?: HeightFrom | null;
}

/** Backsights and the station's own mark: so many listed marks hold it. Errors as `knownStation`. */
export function stationOverMark(
  input: Omit<KnownStationInput, 'heightFrom'>,
  asked: AskedOfStation | null = null,
  { open = input.points, pole = expectedPole(input), heightFrom = 'mark' }: OverMarkOptions = {},
): Result<SolvedStation, StationError> {
  const solved = knownStation(input);
  if (!solved.ok) return solved;
  const known = solved.value;
  const wanted = asked ?? USUALLY_ASKED;
  const heights = heightsOver(
    input.station,
    heightFrom,
    input,
    known.observations.map((each) => each.reduced),
  );
  const held = heldHeight(heights, wanted.height);
  const [[ee, en], [, nn]] = known.covariance as readonly [
    readonly [number, number, number],
    readonly [number, number, number],
    unknown,
  ];
  const precision = planPrecisionOf({ ee, nn, en });
  const count = known.observations.filter((each) => each.direction).length;
  const result: ResectionResult = {
    ...precision,
    e: known.e,
    n: known.n,
    orientation: known.orientation,
    scale: null,
    sdScale: null,
    covariance: known.covariance,
    sdOrientation: known.sdOrientation,
    observationCount: count,
    unknownCount: 1,
    fit: known.fit,
    sumOfSquares: known.fit.s0 === null ? 0 : known.fit.s0 ** 2 * known.fit.dof,
    height: held.solution,
    observations: known.observations.map((each, i) => ({
      ...observationView(each),
      height: held.solution?.residuals[i] ?? null,
    })),
    points: input.points.map((point) => pointView(known, heights, held, point.name)),
  };
  const model = modelOverMark(input, known);
  const reliability: Reliability = { ...planReliability(model, wanted), height: held.reliability };
  const { station, setup } = input;
  const extensible: Extensible = {
    model,
    station: stationOfResection(result),
    byName: new Map([...input.points, { ...station, sdHeight: station.sdZ }].map((point) => [point.name, point])),
    sightedWith: { instrument: input.instrument, reduction: input.reduction, setup, pole },
    over: { varAxis: varAxisOf(input), radius95: result.ellipse95.a },
  };
  const sighted = result.observations.map((each) => each.reduced.point);
  const further = () => furtherSight(extensible, sighted, open, wanted);
  const found = heightFindings(heights, held, false);
  return ok({ result, judgement: judgeOverMark(input, result, reliability, found, asked, further), extensible });
}

/** What the height of a station over a mark hangs on. */
export const heightsOver = (
  { name, z, sdZ }: OccupiedMark,
  from: HeightFrom | null,
  { setup, points }: Pick<KnownStationInput, 'setup' | 'points'>,
  reduced: readonly ReducedObservation[],
): HeldHeightInput => ({
  from,
  mark: z === null ? null : { name, z, sdZ },
  setup,
  reduced,
  points: new Map(points.map((point) => [point.name, point])),
});

const varAxisOf = ({ station, setup }: KnownStationInput): number =>
  Math.max(station.sdPlan ** 2 + setup.instrumentCentringSd ** 2, LEAST_CENTRING ** 2);

/** The mark that is stood over is one place, sighted by the centring; without it the station is free. */
function modelOverMark(input: KnownStationInput, known: KnownStationResult): ReliabilityModel {
  const { station } = input;
  const sighted = known.observations.filter((each) => each.direction);
  const byName = new Map(input.points.map((point) => [point.name, point]));
  const places = placesOf([station, ...sighted.map((each) => byName.get(each.reduced.point)!)]);
  const varAxis = varAxisOf(input);
  const held = HELD / varAxis;
  const axis = { place: 0, weight: 1 / varAxis, kept: held, byPrism: 0, byScale: 0 };
  const rows: ReliabilityRow[] = [
    { ...axis, a: [1, 0, 0, 0] },
    { ...axis, a: [0, 1, 0, 0] },
  ];
  for (const { reduced } of sighted) {
    const point = byName.get(reduced.point)!;
    const place = places.findIndex((names) => names.includes(reduced.point));
    const [de, dn] = [point.e! - station.e, point.n! - station.n];
    const squared = de * de + dn * dn;
    const varPlace = reduced.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2;
    const varWithout = reduced.varDirection + varPlace / squared;
    rows.push(directionRow(place, de, dn, 1 / varWithout, 1 / (varWithout + varAxis / squared)));
    if (reduced.gridDistance === null) continue;
    const weight = 1 / (reduced.varRadial + varPlace);
    const byPrism = (reduced.gridDistance / reduced.slope!) * (1 + input.reduction.atmosphericRatio);
    // Distances only test: the kept station takes no place from them.
    rows.push(distanceRow(place, de, dn, weight, { kept: 0, byPrism, byScale: reduced.gridDistance }));
  }
  return {
    size: 3,
    station: { e: known.e, n: known.n },
    places,
    rows,
    anchor: 0,
    onLines: false,
    common: { prism: true, scale: true },
  };
}

function judgeOverMark(
  input: KnownStationInput,
  result: ResectionResult,
  reliability: Reliability,
  found: HeightFindings,
  asked: AskedOfStation | null,
  further: () => Step,
): Judgement {
  const backsights = [
    ...new Set(result.observations.filter((each) => each.direction).map((each) => each.reduced.point)),
  ];
  const off = result.points.filter((point) => point.leaveOneOut?.exceeds);
  const turned = !fitsByChance(result.fit);
  const distanceOf = (name: string): Metres | null => {
    const residual = result.observations.find((each) => each.reduced.point === name)?.distance?.residual;
    return residual === undefined ? null : -residual;
  };
  const { places } = reliability;
  const [hidden] = reliability.unnoticed;
  const goodTo = result.ellipse95.a;
  const isCoarse = asked !== null && goodTo > asked.plan;
  const isUnchecked = reliability.state === 'unchecked' || isCoarse;
  const because: Reason[] = [
    backsights.length === 1
      ? {
          code: 'OVER_ONE_BACKSIGHT',
          station: input.station.name,
          name: backsights[0]!,
          distanceOff: distanceOf(backsights[0]!),
        }
      : { code: 'OVER_SEVERAL_BACKSIGHTS', station: input.station.name, marks: backsights.length },
    ...(backsights.length > 1 && places.length < 3 ? [{ code: 'FEW_PLACES' as const, places }] : []),
    ...(places.length > 2 && hidden ? hiddenReason(reliability, hidden, (asked ?? USUALLY_ASKED).plan) : []),
    ...(isCoarse ? [{ code: 'TOO_COARSE' as const, radius95: goodTo }] : []),
    ...off.map((point): Reason => ({ code: 'BACKSIGHT_OFF', name: point.name, distanceOff: distanceOf(point.name) })),
    ...(turned ? [{ code: 'BACKSIGHTS_DISAGREE' as const, s0: result.fit.s0! }] : []),
    ...found.because,
  ];
  const bad = off.length > 0 || turned || found.speaksAgainst;
  const doThis: Step[] = [
    ...off.flatMap((point): Step[] => [
      { code: 'CHECK_NAME', name: point.name, other: null },
      { code: 'LEVEL_POLE', name: point.name },
      { code: 'SIGHT_AGAIN', name: point.name },
    ]),
    ...found.doThis,
    // Where only the height is wrong no further backsight is wanted.
    ...(off.length > 0 || turned ? [SIGHT_ANY] : isUnchecked ? [further()] : []),
  ];
  return {
    verdict: bad ? 'refused' : isUnchecked ? 'unchecked' : 'checked',
    checkability: reliability.state,
    reliability,
    explained: null,
    spread: null,
    goodTo,
    because,
    doThis: doThis.length === 0 ? [{ code: 'ACCEPT' }] : doThis,
    heightTrend: null,
  };
}

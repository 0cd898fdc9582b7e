/**
 * A station over a listed mark whose direction was typed instead of measured: a local system as good as what was typed.
 * Nothing of it is adjusted, and nothing is hidden: no redundancy, the verdict is never better than `unchecked`. Sights
 * that were taken all the same are compared: the height as anywhere, distance and direction with where the marks are
 * listed.
 */
import { CRITICAL_T, CRITICAL_W } from '../adjust/criticalValues.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { wrapHalfTurn, wrapTurn } from '../quantity/angle.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint, InstrumentPrecision, Observation, Reduction, Setup } from '../sight/observation.ts';
import { reduceObservations, type ReducedObservation } from '../sight/reduce.ts';
import type { Reason } from './findings.ts';
import { SIGHT_ANY } from './furtherSight.ts';
import { heightDifference, heightFindings, heldHeight, type HeightFrom } from './heldHeight.ts';
import type { OccupiedMark } from './knownStation.ts';
import { planPrecisionOf } from './measuredPoint.ts';
import type { SolvedStation } from './judgement.ts';
import type { StationError } from './model.ts';
import { heightsOver } from './overMark.ts';
import { USUAL_TOLERANCE } from './reliability.ts';
import type { PlanLeaveOneOut } from './resection.ts';
import {
  duplicateName,
  firstInvalidNumber,
  invalidObservation,
  missingCoordinates,
  COINCIDENT_POINT_TOLERANCE_M,
} from './validate.ts';

export interface AssumedDirectionInput {
  readonly instrument: InstrumentPrecision;
  readonly station: OccupiedMark;
  readonly setup: Setup & { readonly instrumentCentringSd: Metres };
  readonly reduction: Reduction;
  /** Azimuth that was typed, and what the circle read there. */
  readonly azimuth: Radians;
  readonly circle: Radians;
  /** Sights that are compared; of heights that are used, too. */
  readonly points: readonly ControlPoint[];
  readonly observations: readonly Observation[];
  /** Not given: from the mark under the instrument; null: work in plan alone. */
  readonly heightFrom?: HeightFrom | null;
}

/** A mark where it is seen from here and where it is listed. */
export interface Compared {
  readonly name: string;
  readonly dE: Metres;
  readonly dN: Metres;
  /** Measured distance less the one from coordinates. */
  readonly along: Metres;
  readonly sdAlong: Metres;
  /** How far right of the listed place it is seen, as a length there and as an angle. */
  readonly across: Metres;
  readonly sdAcross: Metres;
  readonly angle: Radians;
  /** In which it is seen. */
  readonly azimuth: Radians;
}

/**
 * Compares the sights with where their marks are listed; a sight without distance, or to a mark without a place, says
 * nothing.
 */
export function comparedInPlan(
  { station, setup, instrument, points }: Pick<AssumedDirectionInput, 'station' | 'setup' | 'instrument' | 'points'>,
  reduced: readonly ReducedObservation[],
  orientation: Radians,
): Compared[] {
  const varAxis = station.sdPlan ** 2 + setup.instrumentCentringSd ** 2;
  const byName = new Map(points.map((point) => [point.name, point]));
  return reduced.flatMap((each): Compared[] => {
    const point = byName.get(each.point);
    if (!point || point.e === null || point.n === null || each.gridDistance === null) return [];
    const [de, dn] = [point.e - station.e, point.n - station.n];
    const length = Math.hypot(de, dn);
    if (length <= COINCIDENT_POINT_TOLERANCE_M) return [];
    const t = orientation + each.hz;
    const angle = wrapHalfTurn(t - Math.atan2(de, dn));
    const varPlace = each.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2 + varAxis;
    return [
      {
        name: each.point,
        dE: each.gridDistance * Math.sin(t) - de,
        dN: each.gridDistance * Math.cos(t) - dn,
        along: each.gridDistance - length,
        sdAlong: Math.sqrt(each.varRadial + varPlace),
        across: angle * length,
        // Setting the circle was a pointing, too.
        sdAcross: Math.sqrt(length ** 2 * (each.varDirection + instrument.angleSd ** 2) + varPlace),
        angle,
        azimuth: t,
      },
    ];
  });
}

const isOff = (value: number, sd: number): boolean => Math.abs(value) > CRITICAL_W * sd;

/** What the sights say of a typed direction. `isUsed`: the station has its direction from it. */
export function typedDirectionFindings(compared: readonly Compared[], isUsed: boolean): Reason[] {
  const turned = compared.filter((each) => isOff(each.across, each.sdAcross));
  const first = turned.reduce<Compared | null>(
    (most, each) => (most === null || Math.abs(each.across) > Math.abs(most.across) ? each : most),
    null,
  );
  if (first)
    return [{ code: 'TYPED_DIRECTION_OFF', name: first.name, across: -first.across, angle: -first.angle, isUsed }];
  if (compared.length === 0) return [];
  return [
    {
      code: 'TYPED_DIRECTION_FITS',
      names: compared.map((each) => each.name),
      largest: Math.max(...compared.map((each) => Math.abs(each.across))),
    },
  ];
}

function asLeaveOneOut({ dE, dN, along, sdAlong, across, sdAcross, azimuth }: Compared): PlanLeaveOneOut {
  const t = (along / sdAlong) ** 2 + (across / sdAcross) ** 2;
  const [sin, cos] = [Math.sin(azimuth), Math.cos(azimuth)];
  const [far, wide] = [sdAlong * sdAlong, sdAcross * sdAcross];
  const covariance = {
    ee: far * sin * sin + wide * cos * cos,
    nn: far * cos * cos + wide * sin * sin,
    en: (far - wide) * sin * cos,
  };
  return {
    dE,
    dN,
    covariance,
    t,
    critical: CRITICAL_T,
    exceeds: isOff(along, sdAlong) || isOff(across, sdAcross),
    othersWithin: 0,
  };
}

function invalidIn({
  station,
  setup,
  azimuth,
  circle,
  points,
  observations,
}: AssumedDirectionInput): StationError | null {
  return (
    firstInvalidNumber(station, ['station'], ['z', 'sdZ']) ??
    firstInvalidNumber(setup, ['setup']) ??
    firstInvalidNumber({ azimuth, circle }, []) ??
    duplicateName(points) ??
    invalidObservation(observations) ??
    missingCoordinates(observations, new Map(points.map((point) => [point.name, point])))
  );
}

/**
 * The orientation is taken as exact but for the pointing; errors: `INVALID_NUMBER` with the path of the field, and
 * those of the sights.
 */
export function stationOnAssumedDirection(
  input: AssumedDirectionInput,
  tolerance: Metres = USUAL_TOLERANCE.height,
): Result<SolvedStation, StationError> {
  const { station, setup, azimuth, circle, instrument, points } = input;
  const observations = input.observations.map((each) => ({ ...each, usePlan: false }));
  const invalid = invalidIn({ ...input, observations });
  if (invalid) return fail(invalid);
  const varAxis = station.sdPlan ** 2 + setup.instrumentCentringSd ** 2;
  const orientation = wrapTurn(azimuth - circle);
  const reduced = reduceObservations(observations, instrument, input.reduction);
  const heights = heightsOver(station, input.heightFrom === undefined ? 'mark' : input.heightFrom, input, reduced);
  const held = heldHeight(heights, tolerance);
  const found = heightFindings(heights, held, false);
  const compared = comparedInPlan(input, reduced, orientation);
  const typed = typedDirectionFindings(compared, true);
  const far = compared.filter((each) => isOff(each.along, each.sdAlong));
  const speaksAgainst =
    found.speaksAgainst || far.length > 0 || typed.some((each) => each.code === 'TYPED_DIRECTION_OFF');
  return ok({
    result: {
      ...planPrecisionOf({ ee: varAxis, nn: varAxis, en: 0 }),
      e: station.e,
      n: station.n,
      orientation,
      scale: null,
      sdScale: null,
      covariance: [
        [varAxis, 0, 0],
        [0, varAxis, 0],
        [0, 0, instrument.angleSd ** 2],
      ],
      sdOrientation: instrument.angleSd,
      observationCount: 0,
      unknownCount: 0,
      fit: { dof: 0, s0: null, globalTest: null },
      sumOfSquares: 0,
      height: held.solution,
      observations: reduced.map((each, i) => ({
        reduced: each,
        direction: null,
        distance: null,
        height: held.solution?.residuals[i] ?? null,
      })),
      points: points.map(({ name }) => {
        const seen = compared.find((each) => each.name === name);
        return {
          name,
          dE: seen?.dE ?? null,
          dN: seen?.dN ?? null,
          dZ: heightDifference(heights, held, name),
          leaveOneOut: seen ? asLeaveOneOut(seen) : null,
          leaveOneOutHeight: held.leaveOneOut.get(name) ?? null,
        };
      }),
    },
    extensible: null,
    judgement: {
      verdict: speaksAgainst ? 'refused' : 'unchecked',
      checkability: 'unchecked',
      reliability: null,
      explained: null,
      spread: null,
      goodTo: planPrecisionOf({ ee: varAxis, nn: varAxis, en: 0 }).ellipse95.a,
      because: [
        { code: 'ASSUMED_DIRECTION', station: station.name },
        ...typed,
        ...far.map((each): Reason => ({ code: 'BACKSIGHT_OFF', name: each.name, distanceOff: each.along })),
        ...found.because,
      ],
      doThis: [...found.doThis, SIGHT_ANY],
      heightTrend: null,
    },
  });
}

/**
 * A station over a listed mark whose direction was typed instead of measured: a local system as good as what was typed.
 * Nothing is tested, and nothing of it is hidden: no observation, no redundancy, the verdict is `unchecked`.
 */
import type { Metres, Radians } from '../quantity/unit.ts';
import { wrapTurn } from '../quantity/angle.ts';
import { fail, ok, type Result } from '../result.ts';
import type { InstrumentPrecision, Setup } from '../sight/observation.ts';
import type { OccupiedMark } from './knownStation.ts';
import { planPrecisionOf } from './measuredPoint.ts';
import { SIGHT_ANY } from './furtherSight.ts';
import type { SolvedStation } from './judgement.ts';
import type { StationError } from './model.ts';
import { firstInvalidNumber } from './validate.ts';

export interface AssumedDirectionInput {
  readonly instrument: InstrumentPrecision;
  readonly station: OccupiedMark;
  readonly setup: Setup & { readonly instrumentCentringSd: Metres };
  /** Azimuth that was typed, and what the circle read there. */
  readonly azimuth: Radians;
  readonly circle: Radians;
}

/** The orientation is taken as exact but for the pointing; errors: `INVALID_NUMBER` with the path of the field. */
export function stationOnAssumedDirection(input: AssumedDirectionInput): Result<SolvedStation, StationError> {
  const { station, setup, azimuth, circle, instrument } = input;
  const invalid = firstInvalidNumber(station, ['station'], ['z', 'sdZ']) ?? firstInvalidNumber(setup, ['setup']) ?? firstInvalidNumber({ azimuth, circle }, []);
  if (invalid) return fail(invalid);
  const varAxis = station.sdPlan ** 2 + setup.instrumentCentringSd ** 2;
  const height = station.z === null ? null : { z: station.z, sdZ: station.sdZ ?? 0 };
  return ok({
    result: {
      ...planPrecisionOf({ ee: varAxis, nn: varAxis, en: 0 }),
      e: station.e,
      n: station.n,
      orientation: wrapTurn(azimuth - circle),
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
      height: height && {
        ...height,
        sdTrunnionZ: Math.hypot(height.sdZ, setup.instrumentHeightSd),
        observationCount: 0,
        fit: { dof: 0, s0: null, globalTest: null },
        sumOfSquares: 0,
        residuals: [],
      },
      observations: [],
      points: [],
    },
    extensible: null,
    judgement: {
      verdict: 'unchecked',
      checkability: 'unchecked',
      reliability: null,
      explained: null,
      spread: null,
      goodTo: planPrecisionOf({ ee: varAxis, nn: varAxis, en: 0 }).ellipse95.a,
      because: [
        { code: 'ASSUMED_DIRECTION', station: station.name },
        ...(height ? [] : [{ code: 'NO_HEIGHT' as const, why: 'NONE' as const }]),
        ...(height && setup.instrumentHeight === 0 ? [{ code: 'NO_INSTRUMENT_HEIGHT' as const }] : []),
      ],
      doThis: [SIGHT_ANY],
      heightTrend: null,
    },
  });
}

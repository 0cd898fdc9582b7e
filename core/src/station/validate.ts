import { planDistance } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import type {
  ControlPoint,
  InstrumentPrecision,
  Observation,
  Reading,
  Reduction,
  Setup,
} from '../sight/observation.ts';
import type { Station, StationError } from './model.ts';

/** Marks nearer than this in plan are one place for an adjustment: nothing can be oriented on them. */
export const COINCIDENT_POINT_TOLERANCE_M: Metres = 0.01;
/** A sight nearer than this to straight up or down has no direction. */
const STEEPEST_SINE = 1e-6;

type Path = readonly (string | number)[];

/** Name of the first field of a flat record whose number is not finite. `nullable` fields may be null. */
function firstInvalidField(record: object, nullable: readonly string[]): string | null {
  for (const field in record) {
    const value = (record as Record<string, unknown>)[field];
    if (typeof value === 'number' ? !Number.isFinite(value) : value === null && !nullable.includes(field)) return field;
  }
  return null;
}

/** The same as an error; the path is only made when there is one. */
export function firstInvalidNumber(record: object, path: Path, nullable: readonly string[] = []): StationError | null {
  const field = firstInvalidField(record, nullable);
  return field === null ? null : { code: 'INVALID_NUMBER', path: [...path, field] };
}

/** The first bad number of a list of records; their places in the list lead to them. */
function firstInvalidInList(
  records: readonly object[],
  name: string,
  nullable: readonly string[],
): StationError | null {
  for (let i = 0; i < records.length; i++) {
    const field = firstInvalidField(records[i]!, nullable);
    if (field !== null) return { code: 'INVALID_NUMBER', path: [name, i, field] };
  }
  return null;
}

const NULLABLE_OF_POINT = ['e', 'n', 'z', 'sdPlan', 'sdHeight'];

/** Numbers of the parts that every kind shares, in the order of the input. */
export function invalidNumberIn(input: {
  readonly instrument: InstrumentPrecision;
  readonly setup: object;
  readonly reduction: Reduction;
  readonly points?: readonly ControlPoint[];
  readonly observations?: readonly Observation[];
}): StationError | null {
  return (
    firstInvalidNumber(input.instrument, ['instrument']) ??
    firstInvalidNumber(input.setup, ['setup']) ??
    firstInvalidNumber(input.reduction, ['reduction']) ??
    firstInvalidInList(input.points ?? [], 'points', NULLABLE_OF_POINT) ??
    firstInvalidInList(input.observations ?? [], 'observations', ['slope'])
  );
}

export function duplicateName(points: readonly ControlPoint[], reserved?: string): StationError | null {
  const seen = new Set<string>(reserved === undefined ? [] : [reserved]);
  for (let i = 0; i < points.length; i++) {
    const point = points[i]!;
    if (seen.has(point.name)) return { code: 'DUPLICATE_NAME', path: ['points', i, 'name'], name: point.name };
    seen.add(point.name);
  }
  return null;
}

export const invalidSlope = (reading: Reading, path: Path): StationError | null =>
  reading.slope !== null && reading.slope <= 0
    ? { code: 'INVALID_SLOPE', path: [...path, 'slope'], slope: reading.slope }
    : null;

export function invalidZenith(reading: Reading, path: Path): StationError | null {
  const inside =
    reading.face === 1
      ? reading.zenith > 0 && reading.zenith < Math.PI
      : reading.zenith > Math.PI && reading.zenith < 2 * Math.PI;
  if (inside && Math.abs(Math.sin(reading.zenith)) >= STEEPEST_SINE) return null;
  return { code: 'INVALID_ZENITH', path: [...path, 'zenith'], zenith: reading.zenith, face: reading.face };
}

/** Slopes of all readings, then their zenith angles: the order in which a bad reading is reported. */
export function invalidReading(readings: readonly { reading: Reading; path: Path }[]): StationError | null {
  for (const { reading, path } of readings) {
    const error = invalidSlope(reading, path);
    if (error) return error;
  }
  for (const { reading, path } of readings) {
    const error = invalidZenith(reading, path);
    if (error) return error;
  }
  return null;
}

/** The same for a list of observations. */
export function invalidObservation(observations: readonly Observation[]): StationError | null {
  for (const check of [invalidSlope, invalidZenith]) {
    for (let i = 0; i < observations.length; i++) {
      const error = check(observations[i]!, NOWHERE);
      if (error) return { ...error, path: ['observations', i, ...error.path] };
    }
  }
  return null;
}

const NOWHERE: Path = [];

/** Observed points that are not listed, or are used in plan without coordinates. */
export function missingCoordinates(
  observations: readonly Observation[],
  byName: ReadonlyMap<string, ControlPoint>,
): StationError | null {
  for (let i = 0; i < observations.length; i++) {
    const observation = observations[i]!;
    const point = byName.get(observation.point);
    if (!point)
      return {
        code: 'MISSING_COORDINATES',
        path: ['observations', i, 'point'],
        name: observation.point,
        listed: false,
      };
    if (observation.usePlan && (point.e === null || point.n === null)) {
      return { code: 'MISSING_COORDINATES', path: ['observations', i, 'point'], name: observation.point, listed: true };
    }
  }
  return null;
}

/** Whether two or more marks used in plan all lie in one place. */
export function coincidentPoints(
  used: readonly { readonly name: string; readonly e: Metres; readonly n: Metres }[],
): StationError | null {
  if (used.length < 2) return null;
  for (let i = 0; i < used.length; i++) {
    for (let j = i + 1; j < used.length; j++)
      if (planDistance(used[i]!, used[j]!) > COINCIDENT_POINT_TOLERANCE_M) return null;
  }
  return { code: 'COINCIDENT_POINTS', path: ['observations'], names: used.map((point) => point.name) };
}

/** The checks that every sight from a station shares: numbers, slope, zenith. */
export function invalidSight(input: {
  readonly instrument: InstrumentPrecision;
  readonly station: Station;
  readonly setup: Setup;
  readonly reduction: Reduction;
  readonly reading: Reading;
}): StationError | null {
  const invalid =
    invalidNumberIn(input) ??
    firstInvalidNumber(input.station, ['station'], ['z', 'sdTrunnionZ']) ??
    firstInvalidNumber(input.reading, ['observation'], ['slope']) ??
    invalidReading([{ reading: input.reading, path: ['observation'] }]);
  if (invalid) return invalid;
  // Nothing can be placed without a distance.
  return input.reading.slope === null ? { code: 'INVALID_NUMBER', path: ['observation', 'slope'] } : null;
}

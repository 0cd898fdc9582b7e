import type { Ellipse } from '../adjust/ellipse.ts';
import type { Metres, Radians } from '../quantity/unit.ts';

/** Covariance of station easting, northing (m²) and orientation (rad², m·rad): three rows of three. */
export type StationCovariance = readonly (readonly [number, number, number])[];

/** Where the instrument stands, as later sights use it. */
export interface Station {
  readonly e: Metres;
  readonly n: Metres;
  /** Height of the ground mark: tilting axis minus instrument height. Null in plan-only work. */
  readonly z: Metres | null;
  /** Azimuth of circle zero, clockwise from grid north. */
  readonly orientation: Radians;
  readonly covariance: StationCovariance;
  /** Standard deviation of the tilting axis, the one that governs heights measured from here. */
  readonly sdTrunnionZ: Metres | null;
}

export interface PlanPrecision {
  readonly sdE: Metres;
  readonly sdN: Metres;
  readonly ellipse: Ellipse;
  readonly ellipse95: Ellipse;
}

/** Why a set-up can't be computed. `path` leads to the offending element of the input. */
export type StationError =
  | { readonly code: 'DUPLICATE_NAME'; readonly path: readonly (string | number)[]; readonly name: string }
  | { readonly code: 'INVALID_NUMBER'; readonly path: readonly (string | number)[] }
  | { readonly code: 'INVALID_SLOPE'; readonly path: readonly (string | number)[]; readonly slope: Metres }
  | {
      readonly code: 'INVALID_ZENITH';
      readonly path: readonly (string | number)[];
      readonly zenith: Radians;
      readonly face: 1 | 2;
    }
  | {
      readonly code: 'MISSING_COORDINATES';
      readonly path: readonly (string | number)[];
      readonly name: string;
      readonly listed: boolean;
    }
  | {
      readonly code: 'COINCIDENT_POINTS';
      readonly path: readonly (string | number)[];
      readonly names: readonly string[];
    }
  | {
      readonly code: 'TOO_FEW_OBSERVATIONS';
      readonly path: readonly (string | number)[];
      readonly given: number;
      readonly needed: number;
    }
  | {
      readonly code: 'UNDETERMINED';
      readonly path: readonly (string | number)[];
      /** `contradiction`: not the geometry, but what was sighted: names, units, or a mark that is far off. */
      readonly reason: 'rank' | 'divergence' | 'imprecise' | 'unweighted' | 'twofold' | 'contradiction';
    };

export type StationErrorCode = StationError['code'];

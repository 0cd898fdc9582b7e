/**
 * A point of a site as it is handed to other programs, whatever it is: control, a mark, a station, a thing measured.
 * Metres.
 */
import type { LengthUnit, Metres } from '@idle-marker/core';

export type PointGroup = 'control' | 'marks' | 'planned' | 'stations' | 'asBuilt';

export interface SitePoint {
  readonly name: string;
  readonly group: PointGroup;
  /** Of marks their package; of things measured their code. */
  readonly code: string;
  readonly note: string;
  readonly e: Metres;
  readonly n: Metres;
  readonly z: Metres | null;
  readonly designZ: Metres | null;
  readonly offset: Metres | null;
  readonly cutFill: Metres | null;
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly station: string;
  readonly standing: string;
  /** Instant, ISO 8601. */
  readonly at: string;
}

/** A line of the design. */
export interface SiteLine {
  readonly name: string;
  readonly closed: boolean;
  readonly points: readonly { readonly e: Metres; readonly n: Metres }[];
}

export const UNIT_WORD: Readonly<Record<LengthUnit, string>> = { metre: 'm', foot: 'ft', usSurveyFoot: 'US ft' };
/** A tenth of a millimetre: files are computed with again. */
export const EXPORT_DECIMALS = 4;

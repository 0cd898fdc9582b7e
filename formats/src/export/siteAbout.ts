/** What a file says of itself: of which site it is, in which coordinates, and what its points hang on. */
import type { LengthUnit } from '@idle-marker/core';

export interface SiteAbout {
  readonly site: string;
  /** System and zone of the plan coordinates, as people name them; empty where nobody has. */
  readonly coordinateSystem: string;
  /** What heights are counted from; empty where nobody has said. */
  readonly heightDatum: string;
  readonly unit: LengthUnit;
  /** Which of the two coordinates comes first where both orders are possible. */
  readonly axes: 'EN' | 'NE';
  /** Grid distance over horizontal distance; null where it was not kept. */
  readonly scaleFactor: number | null;
  /** Instant of writing, ISO 8601. */
  readonly at: string;
  readonly by: string;
  /** Each station that points hang on, and how it stands, in words. */
  readonly stations: readonly { readonly name: string; readonly standing: string }[];
  /** All of it as lines to be read, for formats that have no fields for it. */
  readonly lines: readonly string[];
}

/** What a table needs of it. */
export type TableAbout = Pick<SiteAbout, 'unit' | 'axes' | 'lines'>;

/** One line of a text that has lines for a meaning. */
export const oneLine = (text: string): string => text.replace(/[\s\u0085\u2028\u2029]+/g, ' ').trim();

/** What the papers of a site are printed on. */
import type { LengthUnit } from '@idle-marker/core';

export type SitePaper = 'A4' | 'letter';

/** What is said, or what is usual where lengths are in this unit: who builds in feet has letter paper in the printer. */
export const sitePaper = ({
  paper,
  lengthUnit,
}: {
  readonly paper?: SitePaper | undefined;
  readonly lengthUnit: LengthUnit;
}): SitePaper => paper ?? (lengthUnit === 'metre' ? 'A4' : 'letter');

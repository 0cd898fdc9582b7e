/** What two faces of one mark say about the instrument, or about whether it was one mark at all. */
import type { Radians } from '../quantity/unit.ts';
import type { ResectionResult } from './resection.ts';

export interface FacePair {
  readonly name: string;
  readonly collimation: Radians;
  readonly indexError: Radians;
  /** Far beyond any instrument: another mark was sighted in the second face. */
  readonly otherMark: boolean;
  /** More than the instrument's angles explain: it wants adjusting. */
  readonly unadjusted: boolean;
}

/** No instrument is out by so much; two readings that differ more were not to one target. */
const OTHER_MARK: Radians = (0.5 * Math.PI) / 180;
/** Collimation or index error, in standard deviations of a mean of two faces. */
const UNADJUSTED_FACTOR = 5;

export const facePairs = (result: ResectionResult, angleSd: Radians): FacePair[] =>
  result.observations.flatMap(({ reduced: { point, collimation, indexError } }) => {
    if (collimation === null || indexError === null) return [];
    const largest = Math.max(Math.abs(collimation), Math.abs(indexError));
    const otherMark = largest > OTHER_MARK;
    return [
      {
        name: point,
        collimation,
        indexError,
        otherMark,
        unadjusted: !otherMark && largest > (UNADJUSTED_FACTOR * angleSd) / Math.SQRT2,
      },
    ];
  });

import type { BritishOf } from './britishOf.ts';
import type { landXml as whole } from '../landXml.ts';

export const landXml: BritishOf<typeof whole> = {
  statesAnotherStation: '{place} states a chainage that differs by {metres} from the running one, which counts.',
  hasStationAfterTheStationsOfA:
    'has chainage {station} after {station2}: the chainages of a profile must be strictly increasing',
  beginsOrEndsWithAVerticalCurve:
    'begins or ends with a vertical curve at chainage {station}: there a plain PVI is needed',
  hasAVerticalCurveWithoutALength: 'has a vertical curve without a length or radius over 0 at chainage {station}',
  hasVerticalCurvesThatOverlapBetween:
    'has vertical curves that overlap between chainage {station} and {station2}: shorten one of them',
  thereIsAGapOfBetweenThe:
    'There is a gap of {metres} between the end of the element before and the start of {place}. The chainages go on without it; ask who drew it.',
  hasAStabackThatDiffersByFrom:
    '{place} has a staBack that differs by {metres} from the chainage that the line has there. staInternal is taken.',
};

import { formatLength, type StationError } from '@idle-marker/core';
import { msg, worded } from './message.ts';

const reasonWords = worded(
  () =>
    ({
      contradiction: msg('stationErrors.whatWasSightedContradictsItselfSoMuch'),
      rank: msg('stationErrors.theseSightsLeaveTheStationFreeTo'),
      divergence: msg('stationErrors.theseSightsContradictEachOtherTooMuch'),
      twofold: msg('stationErrors.twoPlacesFitTheseLinesEquallyWell'),
      unweighted: msg('stationErrors.everyStandardDeviationIsZeroSoNothing'),
      imprecise: msg('stationErrors.theStationWouldBeUncertainByMore'),
    }) as const,
);

/** One sentence for a set-up that can't be computed: what is wrong, and what to do. */
export function stationErrorSentence(error: StationError): string {
  switch (error.code) {
    case 'INVALID_NUMBER':
      return msg('stationErrors.isMissingOrNotAFiniteNumber', { path: String(error.path.at(-1)) });
    case 'DUPLICATE_NAME':
      return msg('stationErrors.isListedTwiceTwoMarksNeedTwo', { name: error.name });
    case 'INVALID_SLOPE':
      return msg('stationErrors.aSlopeDistanceOfMCantBe', { length: formatLength(error.slope, 'metre', 3) });
    case 'INVALID_ZENITH':
      return error.face === 1
        ? msg('stationErrors.theZenithAngleMustLieBetween0')
        : msg('stationErrors.theZenithAngleMustLieBetween180');
    case 'MISSING_COORDINATES':
      return error.listed
        ? msg('stationErrors.hasNoCoordinatesInPlanLeaveIt', { name: error.name })
        : msg('stationErrors.isNotInTheListOfMarks', { name: error.name });
    case 'COINCIDENT_POINTS':
      return msg('stationErrors.areTheSamePlaceWithin10Mm', { names: error.names.join(' and ') });
    case 'TOO_FEW_OBSERVATIONS':
      return error.given === 0
        ? msg('stationErrors.nothingHereCanBeUsedYetSight')
        : msg('stationErrors.areNeededAndGivenSightAnotherMark', { needed: error.needed, given: error.given });
    case 'UNDETERMINED':
      return msg('stationErrors.noStationFollowsFromThis', { reason: reasonWords()[error.reason] });
  }
}

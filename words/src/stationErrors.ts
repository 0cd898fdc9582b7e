import { formatLength, type StationError } from '@idle-marker/core';

const REASON = {
  contradiction: 'what was sighted contradicts itself so much that it gives no one place: a name, a unit or a mark is wrong',
  rank: 'these sights leave the station free to move: sight a mark in another direction, or with a distance',
  divergence: 'these sights contradict each other too much to find one place: check the names of the marks',
  twofold:
    'two places fit these lines equally well: touch the plan roughly where the instrument stands, or sight a line that does not go through the same crossing',
  unweighted: 'every standard deviation is zero, so nothing can be weighed: give those of the instrument',
  imprecise: 'the station would be uncertain by more than 10 m: the instrument stands on the circle through the marks, sight another one',
} as const;

/** One sentence for a set-up that can't be computed: what is wrong, and what to do. */
export function stationErrorSentence(error: StationError): string {
  switch (error.code) {
    case 'INVALID_NUMBER':
      return `${String(error.path.at(-1))} is missing or not a finite number: give a number.`;
    case 'DUPLICATE_NAME':
      return `${error.name} is listed twice: two marks need two names.`;
    case 'INVALID_SLOPE':
      return `A slope distance of ${formatLength(error.slope, 'metre', 3)} m can't be measured: it must be over 0.`;
    case 'INVALID_ZENITH':
      return error.face === 1
        ? 'The zenith angle must lie between 0° and 180° on face 1, and not point straight up or down.'
        : 'The zenith angle must lie between 180° and 360° on face 2, and not point straight up or down.';
    case 'MISSING_COORDINATES':
      return error.listed
        ? `${error.name} has no coordinates in plan: leave it out of plan, or list its easting and northing.`
        : `${error.name} is not in the list of marks: choose another name, or add it to the list.`;
    case 'COINCIDENT_POINTS':
      return `${error.names.join(' and ')} are the same place, within 10 mm: sight a mark somewhere else.`;
    case 'TOO_FEW_OBSERVATIONS':
      return error.given === 0
        ? 'Nothing here can be used yet: sight a listed mark.'
        : `${error.needed} are needed and ${error.given} given: sight another mark.`;
    case 'UNDETERMINED':
      return `No station follows from this: ${REASON[error.reason]}.`;
  }
}

import type { LineEndsError, OutlineError, PointsError } from '@idle-marker/core';

/** Why corners can't be an outline, and what to do. */
export function outlineErrorWords(error: OutlineError | LineEndsError | PointsError): string {
  switch (error.code) {
    case 'OFFSET_NOT_POSITIVE':
      return 'The offset must be over 0.';
    case 'NO_POINTS':
      return 'No points are given.';
    case 'POINT_NAMED_TWICE':
      return `${error.name} is named twice: every point needs a name of its own.`;
    case 'LINE_WITHOUT_END':
      return `Lines are given by their two ends: ${error.name} stands alone at the end of the list.`;
    case 'LINE_TOO_SHORT':
      return `The line from ${error.from} to ${error.to} has no length: give its two ends.`;
    case 'OUTLINE_TOO_FEW_CORNERS':
      return `At least three corners are needed; ${error.given} ${error.given === 1 ? 'is' : 'are'} given.`;
    case 'OUTLINE_NO_AREA':
      return 'These corners lie on one line and enclose nothing: give them some width.';
    case 'OUTLINE_REPEATED_CORNER':
      return `${error.name} stands twice in a row at the same place: take one away.`;
    case 'OUTLINE_CROSSES_ITSELF':
      return `The sides from ${error.between[0]} and from ${error.between[1]} cross: put the corners in order, one after the other round it.`;
  }
}

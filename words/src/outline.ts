import type { BoltsError, LineEndsError, MovedOutlineError, OutlineError, PathError, PointsError } from '@idle-marker/core';

interface RuleFault {
  readonly code: 'RULE_INCOMPLETE';
  readonly needs: 'along' | 'pattern' | 'rake' | 'designZ' | 'road';
}

const NEEDS: Readonly<Record<RuleFault['needs'], string>> = {
  along: 'Say how far apart the points along the line are.',
  road: 'The stations of the road are missing: make the package along the road again.',
  pattern: 'Give the pattern of the bolts.',
  rake: 'Say how far and whither the piles lean, and the level they are marked at.',
  designZ: 'Give the height of the pile heads: where a leaning pile comes through depends on it.',
};

/** Why corners can't be an outline, and what to do. */
export function outlineErrorWords(error: OutlineError | LineEndsError | PointsError | MovedOutlineError | PathError | BoltsError | RuleFault): string {
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
    case 'RULE_INCOMPLETE':
      return NEEDS[error.needs];
    case 'MOVED_TOO_FAR':
      return `Moved so far in, the side from ${error.side[0]} to ${error.side[1]} would vanish or turn round: the outline is not that wide.`;
    case 'PATH_TOO_FEW_CORNERS':
      return `A line needs at least two points; ${error.given} ${error.given === 1 ? 'is' : 'are'} given.`;
    case 'PATH_SIDE_WITHOUT_LENGTH':
      return `${error.from} and ${error.to} lie at the same place: take one of them away.`;
    case 'INTERVAL_NOT_POSITIVE':
      return 'The distance from point to point must be over 0.';
    case 'TOO_MANY_POINTS':
      return `${error.points} points would come along this line: choose a longer distance between them.`;
    case 'PATTERN_IMPOSSIBLE':
      return error.why === 'size'
        ? 'The spacing or diameter of the bolts must be over 0.'
        : 'A pattern has at least two bolts and at most 200, in whole numbers.';
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

import type {
  BoltsError,
  LineEndsError,
  MovedOutlineError,
  OutlineError,
  PathError,
  PointsError,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';

interface RuleFault {
  readonly code: 'RULE_INCOMPLETE';
  readonly needs: 'along' | 'pattern' | 'rake' | 'designZ' | 'road';
}

const needsWords = worded((): Readonly<Record<RuleFault['needs'], string>> => ({
  along: msg('outline.sayHowFarApartThePointsAlong'),
  road: msg('outline.theStationsOfTheRoadAreMissing'),
  pattern: msg('outline.giveThePatternOfTheBolts'),
  rake: msg('outline.sayHowFarAndWhitherThePiles'),
  designZ: msg('outline.giveTheHeightOfThePileHeads'),
}));

/** Why corners can't be an outline, and what to do. */
export function outlineErrorWords(
  error: OutlineError | LineEndsError | PointsError | MovedOutlineError | PathError | BoltsError | RuleFault,
): string {
  switch (error.code) {
    case 'OFFSET_NOT_POSITIVE':
      return msg('outline.theOffsetMustBeOver0');
    case 'NO_POINTS':
      return msg('outline.noPointsAreGiven');
    case 'POINT_NAMED_TWICE':
      return msg('outline.isNamedTwiceEveryPointNeedsA', { name: error.name });
    case 'LINE_WITHOUT_END':
      return msg('outline.linesAreGivenByTheirTwoEnds', { name: error.name });
    case 'LINE_TOO_SHORT':
      return msg('outline.theLineFromToHasNoLength', { from: error.from, to: error.to });
    case 'RULE_INCOMPLETE':
      return needsWords()[error.needs];
    case 'MOVED_TOO_FAR':
      return msg('outline.movedSoFarInTheSideFrom', { side: error.side[0], side2: error.side[1] });
    case 'PATH_TOO_FEW_CORNERS':
      return msg('outline.aLineNeedsAtLeastTwoPoints', { given: error.given });
    case 'PATH_SIDE_WITHOUT_LENGTH':
      return msg('outline.andLieAtTheSamePlaceTake', { from: error.from, to: error.to });
    case 'INTERVAL_NOT_POSITIVE':
      return msg('outline.theDistanceFromPointToPointMust');
    case 'TOO_MANY_POINTS':
      return msg('outline.pointsWouldComeAlongThisLineChoose', { points: error.points });
    case 'PATTERN_IMPOSSIBLE':
      return error.why === 'size'
        ? msg('outline.theSpacingOrDiameterOfTheBolts')
        : msg('outline.aPatternHasAtLeastTwoBolts');
    case 'OUTLINE_TOO_FEW_CORNERS':
      return msg('outline.atLeastThreeCornersAreNeededGiven', { given: error.given });
    case 'OUTLINE_NO_AREA':
      return msg('outline.theseCornersLieOnOneLineAnd');
    case 'OUTLINE_REPEATED_CORNER':
      return msg('outline.standsTwiceInARowAtThe', { name: error.name });
    case 'OUTLINE_CROSSES_ITSELF':
      return msg('outline.theSidesFromAndFromCrossPut', { between: error.between[0], between2: error.between[1] });
  }
}

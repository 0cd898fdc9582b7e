import { msg, worded } from './message.ts';
/** Where people who do this work differ, and how it is done here: said openly, with where to change it. */
export interface School {
  readonly question: string;
  readonly schools: readonly string[];
  readonly here: string;
}

export type SchoolTopic =
  | 'moves'
  | 'approach'
  | 'cutFill'
  | 'sides'
  | 'oldMarks'
  | 'zero'
  | 'along'
  | 'offset'
  | 'rounding'
  | 'kerb'
  | 'lath'
  | 'book'
  | 'heightFrom';

export const allSchools = worded((): Readonly<Record<SchoolTopic, School>> => ({
  moves: {
    question: msg('schools.whoseLeftAndRightAreMovesTold'),
    schools: [
      msg('schools.fromTheInstrument'),
      msg('schools.alongTheLineThatIsSetOut'),
      msg('schools.asTheHelperFaces'),
      msg('schools.asOneFacesOneself'),
    ],
    here: msg('schools.anyOfThemChosenAtThePole'),
  },
  approach: {
    question: msg('schools.howDoesOneComeToAPoint'),
    schools: [
      msg('schools.followTheFiguresUntilTheyAreZero'),
      msg('schools.aFewSingleShotsThenTheTape'),
      msg('schools.paintAllOfThemRoughlyFirstAnd'),
    ],
    here: msg('schools.chosenForEachPersonWhatIsKept'),
  },
  cutFill: {
    question: msg('schools.doesCutOrFillCarryASign'),
    schools: ['a dash', 'a plus', 'neither'],
    here: msg('schools.aWordOrItsLetterNeverA'),
  },
  sides: {
    question: msg('schools.linesChosenSoThatNoFigureIs'),
    schools: ['always', msg('schools.negativeFiguresAreFineIfOneRemembers')],
    here: msg('schools.noNeedEveryFigureOffALine'),
  },
  oldMarks: {
    question: msg('schools.whatHappensToMarksThatAreNot'),
    schools: [msg('schools.deletedSoThatTheScreenIsTidy'), msg('schools.keptAsLongAsTheJobRuns')],
    here: msg('schools.putAsideWithTheReasonOffThe'),
  },
  zero: {
    question: msg('schools.heightsAgainstTheFloorOrTrueHeights'),
    schools: [msg('schools.theFloorIsZero'), msg('schools.trueHeights')],
    here: msg('schools.bothTheSitesZeroIsASetting'),
  },
  along: {
    question: msg('schools.whatIsAPlaceAlongALine'),
    schools: ['chainage', 'station', msg('schools.soFarAlongIt')],
    here: msg('schools.aSettingOfTheSiteSearchingFinds'),
  },
  offset: {
    question: msg('schools.howFarOffDoHubsStand'),
    schools: [
      msg('schools.alwaysTheSameByTheFirmsRule'),
      msg('schools.byTheKindOfWork'),
      msg('schools.asThePlaceAllows'),
    ],
    here: msg('schools.aUsualOffsetForEachClassIn'),
  },
  kerb: {
    question: msg('schools.toWhatOfAKerbIsThe'),
    schools: [msg('schools.toItsFaceWithTheGradeTo'), msg('schools.toItsBack'), msg('schools.toTheFlowLine')],
    here: msg('schools.byPackageOffsetAndHeightEachName'),
  },
  lath: {
    question: msg('schools.whichWayDoesALathFace'),
    schools: [msg('schools.towardWhatItOffsetsTo'), msg('schools.turnedHalfwayTowardItToBeRead')],
    here: msg('schools.asTheSitesConventionSaysWithIts'),
  },
  book: {
    question: msg('schools.isAFieldBookWrittenByHand'),
    schools: [msg('schools.byHandBesideTheTool'), msg('schools.whatTheToolKeepsIsEnough')],
    here: msg('schools.itsPageIsWrittenFromWhatWas'),
  },
  heightFrom: {
    question: msg('schools.whereDoesAHeightComeFrom'),
    schools: [
      msg('schools.aBenchmarkThroughTheStation'),
      msg('schools.aReceiverThatWasCalibratedToThe'),
      msg('schools.levelsThatAreRun'),
    ],
    here: msg('schools.theSourceStandsBesideEveryHeightWith'),
  },
  rounding: {
    question: msg('schools.howFinelyIsAFigureWritten'),
    schools: [
      msg('schools.asItWasMeasured'),
      msg('schools.toTheHundredthOrTenth'),
      msg('schools.toASixteenthOfAnInch'),
    ],
    here: msg('schools.byPackageForWhoeverReadsItThe'),
  },
}));

/** A place along a line, as the site calls it. */
export type AlongWord = 'chainage' | 'station' | 'along';
export const alongLabel = worded((): Readonly<Record<AlongWord, string>> => ({
  chainage: 'chainage',
  station: 'station',
  along: msg('schools.soFarAlongIt'),
}));
export const alongHead = worded((): Readonly<Record<AlongWord, string>> => ({
  chainage: msg('schools.chainage'),
  station: msg('schools.stationAlong'),
  along: msg('common.along'),
}));

/** Kinds of names that count up. */
export const numberedFrom = worded(
  () =>
    ({
      asBuilt: msg('schools.asBuiltNamesFrom'),
      lines: msg('schools.namesOnLinesFrom'),
      ownControl: msg('schools.ownControlFrom'),
    }) as const,
);
export const numberedWords = worded(
  () =>
    ({
      asBuilt: msg('schools.thingsMeasuredAsTheyStand'),
      lines: msg('schools.whatIsReadAgainstLines'),
      ownControl: msg('schools.controlOfOnesOwn'),
    }) as const,
);

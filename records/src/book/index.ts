/** The field book, the end of a day, and what goes to others. */
export {
  controlElsewhere,
  factsOfRaw,
  rawSightsOf,
  stationOfRaw,
  targetHeightsThatCannotBe,
  usesOfRaw,
  type RawUses,
} from './rawSights.ts';
export { instrumentAssumed, rawOfSurvey } from './surveyFile.ts';
export { exportedAbout, exportedLines, exportedPoints, exportedSetups } from './siteExport.ts';
export { dayBook, daysOf, noticesOf, proofFigures, setupBook, type DayBook, type SetupBook } from './bookPage.ts';
export { activityTimes, dayOf } from './diary.ts';
export { shiftHandover, type ShiftHandover } from './shift.ts';
export { closingOf, type ClosingItem } from './closing.ts';
export { BOOK_TOPICS, bookLine, bookReader, bookTopic, type BookTopic } from './bookLine.ts';
export { factsOfOccupation, setupPage } from './setupPage.ts';
export {
  cautionsFor,
  isDriven,
  isIndependentlyChecked,
  laserCaution,
  uncheckedMarks,
  independentCheckFor,
  type Caution,
} from './cautions.ts';

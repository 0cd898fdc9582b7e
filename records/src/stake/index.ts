/** What is written on stakes and sheets, and who reads it. */
export {
  conventionFor,
  conventionsOf,
  offsetAsSet,
  pointOf,
  stakeAsSet,
  stakesBefore,
  stakeOf,
  type NamedConvention,
} from './conventions.ts';
export { stakeReading } from './stakeReading.ts';
export { restakeList } from './restake.ts';
export { sheetNotices } from './sheetNotices.ts';
export { crewMarks, crewView, pointOfMark, type CrewMark, type CrewView } from './crewView.ts';
export { SETUP_CHECKED, type CheckOnPaper } from './stationsOnPaper.ts';
export { cutSheet, memberName, type CutSheet, type CutSheetRow, type NumberedSheet } from './cutSheet.ts';
export { helpPackage } from './helpPackage.ts';

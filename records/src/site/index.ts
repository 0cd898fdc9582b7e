/** What all of these share: the state of a site, names, roles, revisions. */
export {
  compareNames,
  decidedSolution,
  markKey,
  type AcceptedSolution,
  type ControlMark,
  type PairedSolution,
  type SiteState,
  isPerson,
} from './state.ts';
export { markInForce, setMarks } from './indexes.ts';
export { revisedTwice, thisRevisionStands, type RevisedTwice } from './revisedTwice.ts';
export { sameAsBefore } from './revision.ts';
export { stampedAhead, type StampedAhead } from './stampedAhead.ts';
export { confirmedItem, startingLibrary } from './startingLibrary.ts';
export { namingOf } from './naming.ts';
export {
  heightRevision,
  revertedMarks,
  severalRevised,
  type SeveralChange,
  markBody,
  sightBody,
  type CarriedPole,
  solutionBody,
  stationMark,
  toleranceOf,
  writingBody,
  type ShotPlace,
} from './recording.ts';
export { askedBy, askedOf, toBeSet } from './asked.ts';
export { alikeName, freeName } from './names.ts';
export { nextNumbered, NUMBERED, reservedFor, type Numbered } from './numbering.ts';
export type { ToleranceClass } from './state.ts';
export { classOf, missingClasses, usualClass } from './toleranceClass.ts';
export { mayDecide, roleOf, ROLES, type Role } from './roles.ts';
export { effectOf, figuresOf, offOf, spreadOf } from './stored.ts';
export { sitePaper, type SitePaper } from './sitePaper.ts';

/** Stations: sights, drafts, what is accepted and on what evidence. */
export { currentOccupation, nextStationName, rivalSolutions, solutionInForce } from './inForce.ts';
export {
  groupSights,
  precisionOf,
  readingOf,
  reductionFrom,
  setupOf,
  stationOfSolution,
  type SightGroup,
  type UseFlags,
} from './observations.ts';
export {
  defaultUse,
  reliabilityOf,
  stationDraft,
  stationSights,
  type DraftOptions,
  type LineSight,
  type StationDraft,
} from './stationDraft.ts';
export { carriedTo, isFixed, isFixedKind, isPoleless, targetOnFixed, WITHOUT_POLE } from './fixedTarget.ts';
export { provisionToLift } from './provision.ts';
export { coarserClass } from './coarserClass.ts';
export { leftOut } from './leftOut.ts';
export { likelierMark, nextSights } from './nextSight.ts';
export { claimOf } from './stationClaim.ts';
export {
  checkOf,
  checkSentences,
  fallenStation,
  fallenStations,
  goodToOf,
  judgedBody,
  type FallenStation,
} from './checked.ts';
export { promiseFor } from './promise.ts';
export { judgeTurn } from './directions.ts';
export {
  axisOf,
  judgePairedProof,
  keptPlace,
  pairedBodies,
  pairedDue,
  pairedInForce,
  pairedPlace,
  pairedStake,
  pairingOf,
  type PairedPlace,
} from './paired.ts';
export { fewOf, placesAlong, sitedBenchmarks, standsForHeights, waitingPlaces } from './heightStands.ts';
export { heightDraft, type HeightDraft } from './heightStation.ts';
export { controlConcerns, type Concern } from './lookAfter.ts';
export { lastTest } from './lastTest.ts';
export { outsideWork } from './outsideWork.ts';

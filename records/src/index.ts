export { foldSite, NoSiteError, siteState, type SiteFold } from './fold/fold.ts';
export { packageRoots } from './fold/things.ts';
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
export { newSiteTrustMemory, siteTrustSteps, trustOf, trustRecords, type SiteTrustMemory } from './trust.ts';
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
  conventionFor,
  conventionsOf,
  offsetAsSet,
  pointOf,
  stakeAsSet,
  stakeOf,
  type NamedConvention,
} from './conventions.ts';
export { stakeReading } from './stakeReading.ts';
export { restakeList } from './restake.ts';
export { sheetNotices } from './sheetNotices.ts';
export { crewMarks, crewView, pointOfMark, type CrewMark, type CrewView } from './crewView.ts';
export { pointsToFind, type PointToFind } from './tapeBack.ts';
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
export { exportedLines, exportedPoints, exportedSetups } from './siteExport.ts';
export { dayBook, daysOf, noticesOf, proofFigures, setupBook, type DayBook, type SetupBook } from './bookPage.ts';
export { activityTimes, dayOf } from './diary.ts';
export { CONTROL_PACE, controlTime } from './controlTime.ts';
export { shiftHandover, type ShiftHandover } from './shift.ts';
export { closingOf, type ClosingItem } from './closing.ts';
export { controlCard, type ControlCard } from './controlCard.ts';
export { SETUP_CHECKED, type CheckOnPaper } from './stationsOnPaper.ts';
export { cutSheet, memberName, type CutSheet, type CutSheetRow, type NumberedSheet } from './cutSheet.ts';
export {
  alternativesFor,
  hubPlans,
  surfacePlaces,
  isForPlan,
  keepMoved,
  outwardOf,
  shapesOf,
  withOffset,
} from './packagePlans.ts';
export {
  defaultUse,
  reliabilityOf,
  stationDraft,
  stationSights,
  type DraftOptions,
  type LineSight,
  type StationDraft,
} from './stationDraft.ts';
export { revisedTwice, thisRevisionStands, type RevisedTwice } from './revisedTwice.ts';
export { sameAsBefore } from './revision.ts';
export { allSetAnew, setTwice, thisOneStands, twiceAt, type SetTwice } from './setTwice.ts';
export { stampedAhead, type StampedAhead } from './stampedAhead.ts';
export { olderControl, stationsOnOlderControl, type OlderControl } from './olderControl.ts';
export { carriedTo, isFixed, isFixedKind, isPoleless, targetOnFixed, WITHOUT_POLE } from './fixedTarget.ts';
export { provisionToLift } from './provision.ts';
export { confirmedItem, startingLibrary } from './startingLibrary.ts';
export {
  BUILT_SD_MM,
  controlCandidates,
  controlOfCandidates,
  pickedCandidate,
  type ControlCandidate,
} from './designControl.ts';
export { nearCode } from './nearCode.ts';
export { heldUses, supportingUses } from './heldUses.ts';
export { coarserClass } from './coarserClass.ts';
export { namingOf } from './naming.ts';
export { judgeProof, proofCandidates, usedBy, type ProofCandidate, type ProofJudgement } from './proving.ts';
export { placeAtGround, stakeAt } from './setting.ts';
export { BOOK_TOPICS, bookLine, bookReader, bookTopic, type BookTopic } from './bookLine.ts';
export { leftOut } from './leftOut.ts';
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
export { paceOf } from './pace.ts';
export { isOverdue, proofAge, type ProofAge } from './proofAge.ts';
export { isOpen, isOrdered, nextOpen, walkSteps, roundOf, roundRows, type RoundStop } from './round.ts';
export { likelierMark, nextSights } from './nextSight.ts';
export { askedBy, askedOf, toBeSet } from './asked.ts';
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
export { alikeName, freeName } from './names.ts';
export { isUnsteady, proofInterval } from './proofInterval.ts';
export { factsOfOccupation, setupPage } from './setupPage.ts';
export { controlSources, progressOf, type PackageProgress } from './progress.ts';
export { judgeResight } from './resighting.ts';
export { effectsOfMove } from './movedControl.ts';
export { familyOf, isProvenControl, markHistory, markTrend, type MarkLook } from './markHistory.ts';
export { broughtControl, frameDifferences, markLife } from './broughtControl.ts';
export { nextNumbered, NUMBERED, reservedFor, type Numbered } from './numbering.ts';
export { pairsOf } from './pairs.ts';
export { measuredMark, ownControlBody, placeForControl } from './ownControl.ts';
export { judgeTurn } from './directions.ts';
export { broughtFrom, isGroundOf } from './carriedForward.ts';
export { crossingsOf, gridCorners, gridGeometry, gridOf, lineEndsOf, midpointsOf } from './siteGrids.ts';
export { placeDoubt } from './saidPlace.ts';
export {
  draggedOffset,
  keepClearOf,
  offsetProposals,
  offsetStep,
  ownOffset,
  type OwnOffset,
  setInAreas,
  USUAL_AREA,
  roundBeside,
  usualLongest,
  withProposals,
  type AreaKind,
} from './keepClear.ts';
export type { ToleranceClass } from './state.ts';
export { classOf, missingClasses, usualClass } from './toleranceClass.ts';
export { pairTolerance, setPairs, type SetPair } from './setPairs.ts';
export { lineName, siteLines, type DrawnLine } from './siteLines.ts';
export {
  canBeRehung,
  effectsOfCorrection,
  isUntold,
  measuredWith,
  partsOfCorrections,
  recomputed,
  recomputedBefore,
  type Correction,
} from './correcting.ts';
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
export { measuredAlong, measuredAt, roadShot } from './roadShots.ts';
export { fewOf, placesAlong, sitedBenchmarks, standsForHeights, waitingPlaces } from './heightStands.ts';
export { heightDraft, type HeightDraft } from './heightStation.ts';
export { dayDrift } from './drift.ts';
export { controlConcerns, type Concern } from './lookAfter.ts';
export { controlListVersion, controlReport, type ControlReport, type ReportRow } from './controlReport.ts';
export { againstFirst, besideLine } from './firstLook.ts';
export { lastTest } from './lastTest.ts';
export { mayDecide, roleOf, ROLES, type Role } from './roles.ts';
export { helpPackage } from './helpPackage.ts';
export { outsideWork } from './outsideWork.ts';
export {
  asBuiltBody,
  boltGroups,
  clearanceOf,
  columnsAlong,
  controlFromBuilt,
  designDifferences,
  heightOverRoad,
  heightOverSurface,
  lineDifferences,
  meanPlace,
  nextName,
  usedCodes,
  type BoltGroup,
  type ColumnRow,
  type DesignDifference,
} from './asBuilt.ts';
export type { AffectedMark, AffectedPackage } from './affected.ts';
export {
  affectedPackages,
  drawingOfRevision,
  fromRetired,
  heightsToAsk,
  packagesFrom,
  type HeightOf,
} from './drawingEffects.ts';
export {
  againstRoad,
  alignmentPart,
  crossSection,
  keepsSections,
  placeBeyondRoad,
  placeOnRoad,
  roadOf,
  roadRemarks,
  toolFor,
  type AgainstRoad,
  type AlignmentFactBody,
  type Road,
} from './roads.ts';
export { crossCheck, olderRoads, roadItem, roadOfItem, roadWorkOf, type RoadWork } from './roadPackages.ts';
export { atSlope, designedCatch, hingeAt, slopePlaces, type AtSlope, type RoadSlope } from './slopes.ts';
export { drawnReturn, returnBetween, returnItem, type ReturnSide } from './kerbReturns.ts';
export { affectedByGrid, olderGrids } from './gridEffects.ts';
export { asBuiltReport, type AsBuiltReport, type AsBuiltRow } from './asBuiltReport.ts';
export {
  cautionsFor,
  isIndependentlyChecked,
  laserCaution,
  uncheckedMarks,
  independentCheckFor,
  type Caution,
} from './cautions.ts';
export { hindranceFrom, withProofDue } from './roundPlan.ts';
export { effectOf, figuresOf, offOf, spreadOf } from './stored.ts';

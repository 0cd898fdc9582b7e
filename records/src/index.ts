export { foldSite, NoSiteError, siteState, type SiteFold } from './fold/fold.ts';
export { packageRoots } from './fold/things.ts';
export { compareNames, decidedSolution, markKey, type AcceptedSolution, type ControlMark, type PairedSolution, type SiteState, isPerson } from './state.ts';
export { markInForce, marksFrom, setMarks, sightsOf } from './indexes.ts';
export { newSiteTrustMemory, siteTrustSteps, trustOf, trustRecords, type SiteTrustMemory } from './trust.ts';
export { currentOccupation, nextStationName, rivalSolutions, solutionInForce } from './inForce.ts';
export {
  controlPointOf,
  EARTH_RADIUS_M,
  groupSights,
  pointsOf,
  precisionOf,
  readingOf,
  reductionFrom,
  reductionOf,
  REFRACTION,
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
  stakeContent,
  stakeOf,
  stakeStyle,
  type AsSet,
  type NamedConvention,
} from './conventions.ts';
export { stakeReading } from './stakeReading.ts';
export { restakeList, type Restake } from './restake.ts';
export { sheetNotices, type SheetNotice, type SheetTrouble } from './sheetNotices.ts';
export { crewMarks, crewView, pointOfMark, type CrewAsked, type CrewMark, type CrewView } from './crewView.ts';
export { pointsToFind, type PointToFind } from './tapeBack.ts';
export {
  controlElsewhere,
  factsOfRaw,
  rawSightsOf,
  stationOfRaw,
  targetHeightsThatCannotBe,
  usesOfRaw,
  type RawUses,
  type OtherPlace,
  type SaidBody,
} from './rawSights.ts';
export { instrumentAssumed, rawOfSurvey } from './surveyFile.ts';
export { exportedLines, exportedPoints, exportedSetups } from './siteExport.ts';
export { dayBook, daysOf, noticesOf, proofFigures, setupBook, type BookMark, type BookSight, type DayBook, type SetupBook } from './bookPage.ts';
export { activityTimes, dayOf, type Activity, type ActivityTime } from './diary.ts';
export { CONTROL_PACE, controlTime, type ControlTime } from './controlTime.ts';
export { shiftHandover, type ShiftHandover } from './shift.ts';
export { measuredFromStations, type Measured } from './hungOn.ts';
export { closingOf, type Closing, type ClosingItem } from './closing.ts';
export { controlCard, type ControlCard, type Tie } from './controlCard.ts';
export { SETUP_CHECKED, stationsOnPaper, type CheckOnPaper, type EvidenceOnPaper, type StationOnPaper } from './stationsOnPaper.ts';
export { cutSheet, memberName, type CutSheet, type CutSheetRow, type NumberedSheet, type WithheldReason } from './cutSheet.ts';
export {
  alternativesFor,
  hubPlans,
  surfacePlaces,
  isForPlan,
  keepMoved,
  outlinesOf,
  outwardOf,
  shapesOf,
  withOffset,
  type PlanError,
  type RuleError,
} from './packagePlans.ts';
export { defaultUse, reliabilityOf, stationDraft, stationSights, type DraftOptions, type LineSight, type StationDraft } from './stationDraft.ts';
export { revisedTwice, thisRevisionStands, type RevisedTwice } from './revisedTwice.ts';
export { sameAsBefore, type RevisedKind } from './revision.ts';
export { allSetAnew, setTwice, thisOneStands, twiceAt, type SetTwice } from './setTwice.ts';
export { stampedAhead, stampOf, type StampedAhead } from './stampedAhead.ts';
export { olderControl, stationsOnOlderControl, type OlderControl } from './olderControl.ts';
export { carriedTo, isFixed, isFixedKind, isPoleless, targetOnFixed, WITHOUT_POLE } from './fixedTarget.ts';
export { provisionToLift, type LiftedProvision } from './provision.ts';
export { confirmedItem, startingLibrary } from './startingLibrary.ts';
export { BUILT_SD_MM, controlCandidates, controlOfCandidates, pickedCandidate, type ControlCandidate } from './designControl.ts';
export { nearCode } from './nearCode.ts';
export { heldUses, supportingUses } from './heldUses.ts';
export { coarserClass, type CoarserClass } from './coarserClass.ts';
export { namingOf } from './naming.ts';
export { judgeProof, proofCandidates, usedBy, type ProofCandidate, type ProofJudgement } from './proving.ts';
export { placeAtGround, stakeAt } from './setting.ts';
export { BOOK_TOPICS, bookLine, bookReader, bookTopic, type BookLine, type BookTopic } from './bookLine.ts';
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
  type MarkSetting,
  type ShotPlace,
} from './recording.ts';
export { paceOf, type Pace } from './pace.ts';
export { isOverdue, proofAge, type ProofAge } from './proofAge.ts';
export { isOpen, isOrdered, nextOpen, walkSteps, roundOf, roundRows, type RoundStop } from './round.ts';
export { likelierMark, nextSights } from './nextSight.ts';
export { askedBy, askedOf, toBeSet } from './asked.ts';
export { claimOf, type Basis, type StationClaim } from './stationClaim.ts';
export { checkOf, checkSentences, fallenStation, fallenStations, goodToOf, judgedBody, type FallenStation, type StationCheck } from './checked.ts';
export { promiseFor, type Cure, type Promised } from './promise.ts';
export { alikeName, freeName } from './names.ts';
export { isUnsteady, proofInterval } from './proofInterval.ts';
export { factsOfOccupation, setupPage, type SetupPage, type UsedMark } from './setupPage.ts';
export { controlSources, progressOf, type PackageProgress } from './progress.ts';
export { judgeResight } from './resighting.ts';
export { effectsOfMove, stationWithout, type Parts } from './movedControl.ts';
export { familyOf, isProvenControl, markHistory, markTrend, type FamilyLine, type MarkLook, type MarkTrend } from './markHistory.ts';
export { broughtControl, frameDifferences, markLife, type LifeLine } from './broughtControl.ts';
export { nextNumbered, NUMBERED, reservedFor, type Numbered } from './numbering.ts';
export { pairsOf } from './pairs.ts';
export { measuredMark, ownControlBody, placeForControl } from './ownControl.ts';
export { judgeTurn, type TurnJudgement } from './directions.ts';
export { broughtFrom, isGroundOf, type Forward } from './carriedForward.ts';
export { crossingsOf, gridCorners, gridGeometry, gridOf, lineEndsOf, midpointsOf } from './siteGrids.ts';
export { placeDoubt, type PlaceDoubt } from './saidPlace.ts';
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
export { classOf, missingClasses, usualClass, type MissingClass } from './toleranceClass.ts';
export { pairTolerance, setPairs, type SetPair } from './setPairs.ts';
export { lineName, siteLines, type DrawnLine } from './siteLines.ts';
export { canBeRehung, effectsOfCorrection, isUntold, measuredWith, partsOfCorrections, recomputed, recomputedBefore, type Correction } from './correcting.ts';
export {
  axisOf,
  fitOf,
  judgePairedProof,
  keptPlace,
  pairedBodies,
  pairedDue,
  pairedInForce,
  pairedPlace,
  pairedStake,
  pairingOf,
  receiverReadingOf,
  type PairedDue,
  type PairedPlace,
} from './paired.ts';
export { measuredAlong, measuredAt, roadShot, type RoadMeasured, type RoadShot } from './roadShots.ts';
export { fewOf, placesAlong, sitedBenchmarks, standsForHeights, waitingPlaces } from './heightStands.ts';
export { heightDraft, type HeightDraft, type HeightSpot } from './heightStation.ts';
export { dayDrift, type DayDrift } from './drift.ts';
export { controlConcerns, type Concern } from './lookAfter.ts';
export { controlListVersion, controlReport, type ControlReport, type ReportPair, type ReportRow } from './controlReport.ts';
export { againstFirst, besideLine, type FirstLook } from './firstLook.ts';
export { lastTest, type LastTest } from './lastTest.ts';
export { mayDecide, roleOf, ROLES, type Role } from './roles.ts';
export { helpPackage, type HelpPackage } from './helpPackage.ts';
export { outsideWork, type OutsideWork } from './outsideWork.ts';
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
  type LineDifference,
  type MeanPlace,
} from './asBuilt.ts';
export type { AffectedMark, AffectedPackage } from './affected.ts';
export { affectedPackages, drawingOfRevision, fromRetired, heightsToAsk, packagesFrom, revisionsOf, type HeightOf } from './drawingEffects.ts';
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
  type AcrossRoad,
  type AgainstRoad,
  type AlignmentFactBody,
  type Road,
  type RoadError,
  type RoadRemark,
} from './roads.ts';
export { crossCheck, olderRoads, roadItem, roadOfItem, roadWorkOf, type CrossCheck, type RoadOptions, type RoadWork } from './roadPackages.ts';
export { atSlope, designedCatch, hingeAt, slopePlaces, type AtSlope, type Hinge, type RoadSlope } from './slopes.ts';
export { drawnReturn, returnBetween, returnItem, type ReturnError, type ReturnSide, type ReturnWork, type RoadReturn } from './kerbReturns.ts';
export { affectedByGrid, olderGrids } from './gridEffects.ts';
export { asBuiltReport, type AsBuiltReport, type AsBuiltRow } from './asBuiltReport.ts';
export { openCautions, type OpenCaution } from './cautions.ts';
export { cautionsFor, isIndependentlyChecked, laserCaution, uncheckedMarks, independentCheckFor, type Caution, type CautionCode } from './cautions.ts';
export { hindranceFrom, withProofDue, type RoundEntry } from './roundPlan.ts';
export { effectOf, figuresOf, offOf, spreadOf } from './stored.ts';

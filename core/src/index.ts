export { CORE_VERSION } from './version.ts';
export { fail, ok, type Result } from './result.ts';
export {
  METRES_PER_UNIT,
  RADIANS_PER_DEGREE,
  RADIANS_PER_SECOND,
  type AngleUnit,
  type LengthUnit,
  type Metres,
  type Radians,
} from './quantity/unit.ts';
export {
  angleFromRadians,
  angleToRadians,
  formatAngle,
  parseAngle,
  sexagesimalExcess,
  sexagesimalOrDecimal,
  wrapHalfTurn,
  wrapTurn,
} from './quantity/angle.ts';
export {
  formatFeetInches,
  formatLength,
  formatSigned,
  lengthFromMetres,
  lengthToMetres,
  parseLength,
  sharedLead,
  steadyDigits,
  apartByBlanks,
  twoReadings,
} from './quantity/length.ts';
export {
  azimuth,
  carriedAlong,
  compassWord,
  planDistance,
  polar,
  type PlanPoint,
  type SitePoint,
} from './plane/point.ts';
export { distanceToPolygon, insidePolygon, segmentMeetsPolygon, signedArea } from './plane/polygon.ts';
export { heightReach, heightSdAt } from './station/heightReach.ts';
export { heightOn, rimOf, surfaceOf, type Surface, type Triangles } from './surface/surface.ts';
export { alongOff, intersectLines, pointAlongOff } from './plane/line.ts';
export { crossCircles, crossLineCircle, crossLines, type Circle, type Segment } from './plane/crossing.ts';
export {
  convertLength,
  formatStation,
  parseDms,
  parseFeetInches,
  parseGon,
  parseStation,
  plainCutFill,
  plainDms,
  plainFeetInches,
  plainGon,
  type StationFormat,
} from './quantity/fixedText.ts';
export {
  fitSimilarity,
  transformed,
  type PointPair,
  type Similarity,
  type SimilarityFit,
} from './adjust/similarity.ts';
export { faceAgainstLine, type FaceResult, type FaceShot } from './asBuilt/face.ts';
export { fitPattern, type PatternFit } from './asBuilt/pattern.ts';
export type { DesignFault } from './layout/designFault.ts';
export { anglePoint } from './layout/anglePoint.ts';
export {
  againstGridLine,
  columnGrid,
  gridCrossing,
  gridIntersections,
  gridLine,
  placeInGrid,
  type ColumnGrid,
  type ColumnGridDefinition,
  type GridError,
  type GridLine,
} from './layout/columnGrid.ts';
export { beyondEnd, rectangleMarks } from './layout/recoveryMarks.ts';
export { measuredAgainstLine, pointOnReferenceLine, referenceLineFacts } from './layout/referenceLine.ts';
export { measuredAgainstArc, pointOnReferenceArc, referenceArc } from './layout/referenceArc.ts';
export { CRITICAL_T, CRITICAL_W, NORMAL_95_FACTOR } from './adjust/criticalValues.ts';
export { ELLIPSE_95_FACTOR, type Ellipse } from './adjust/ellipse.ts';
export { fitsByChance, type Fit } from './adjust/globalTest.ts';
export {
  NEAREST_SIGHT,
  TRACKING_ERROR_FACTOR,
  type ControlPoint,
  type InstrumentPrecision,
  type Observation,
  type Reading,
  type Reduction,
  type Setup,
} from './sight/observation.ts';
export { reduceObservations, reduceReading, type ReducedObservation } from './sight/reduce.ts';
export { composedTargetHeight, noticeTargetHeight, type TargetHeightNotice } from './sight/targetHeight.ts';
export { atmosphericCorrection, SIMULATED_REFERENCE, type ReferenceAtmosphere } from './sight/weather.ts';
export type { PlanPrecision, Station, StationCovariance, StationError } from './station/model.ts';
export type { HeightLeaveOneOut, HeightResidual, HeightSolution } from './station/heightAdjustment.ts';
export {
  largestRatio,
  resection,
  resectionOf,
  stationOfResection,
  type ResectionInput,
  type ResectionObservation,
  type ResectionResult,
} from './station/resection.ts';
export {
  addedSight,
  extensibleOf,
  freeReliability,
  worthOf,
  type AddedSight,
  type Extensible,
} from './station/freeReliability.ts';
export { freeStation } from './station/freeStation.ts';
export { type Spread } from './station/spread.ts';
export {
  largestEffect,
  placesOf,
  USUALLY_ASKED,
  type AskedOfStation,
  type Checkability,
  type HeightReliability,
  type Reliability,
  type Unnoticed,
} from './station/reliability.ts';
export { explainMisfit, shareOf, type Explained } from './station/explain/explain.ts';
export type { Explanation } from './station/explain/explanation.ts';
export { likelierPoint, type LikelyPoint } from './station/likelyPoint.ts';
export { heightStation, type HeightStationResult } from './station/heightStation.ts';
export { type HeightFrom } from './station/heldHeight.ts';
export { knownStation, type KnownStationInput, type KnownStationResult } from './station/knownStation.ts';
export { facePairs } from './station/faces.ts';
export { spanOf, stationGeometry, workOutside, type GeometryGrade, type GeometryRemark } from './station/geometry.ts';
export { stationOverMark } from './station/overMark.ts';
export { withoutEach } from './station/withoutEach.ts';
export { comparedInPlan, stationOnAssumedDirection, typedDirectionFindings } from './station/assumedDirection.ts';
export { stationOnLines, type LineResidual, type SiteLine } from './station/lineStation.ts';
export { traverse, type TraverseResult } from './station/traverse.ts';
export {
  expectedPole,
  expectedReading,
  measurePoint,
  predictAt,
  type MeasuredPoint,
  type PlanCovariance,
  type PoleSet,
  type Prediction,
} from './station/measuredPoint.ts';
export { controlPairs, type ControlPair } from './proof/pairs.ts';
export { driftOf, type Drift, type Sample } from './proof/drift.ts';
export { checkPoint, comparePlace, type CheckInput, type CheckResult } from './proof/check.ts';
export { stake, type StakeResult } from './guidance/stake.ts';
export { obstaclesTo, type Obstacle } from './station/acceptance.ts';
export { judgeStation, type JudgedStation, type Judgement, type SolvedStation } from './station/judgement.ts';
export type { Reason, Step, TellApart, Verdict } from './station/findings.ts';
export type { NoiseSource } from './station/noiseSource.ts';
export {
  inOrder,
  PARTS,
  type Part,
  type ProofOutcome,
  type ProofTarget,
  type TrustInput,
  type TrustRecord,
} from './proof/trust/records.ts';
export type { Proposal } from './proof/trust/proposals.ts';
export {
  type MarkStanding,
  type PartStanding,
  type SolutionStanding,
  type Standing,
  type StandingReason,
} from './proof/trust/standing.ts';
export { isBeginning } from './proof/trust/beginning.ts';
export { grouped } from './proof/trust/grouped.ts';
export { newTrustMemory, type TrustMemory } from './proof/trust/memory.ts';
export { judgeTrust, trustSteps, type TrustResult } from './proof/trust/trust.ts';
export { offsetHubs, type Corner, type HubPlan, type OutlineError } from './layout/outline.ts';
export { linePairs } from './layout/linePairs.ts';
export { lineEndHubs, type LineEndsError } from './layout/lineEnds.ts';
export { markOn, pointMarks, pointsError, pointsWithRecoveries, type PointsError } from './layout/pointMarks.ts';
export {
  againstPath,
  bulgeOf,
  drawnSide,
  marksAlongPath,
  measuredAgainstSide,
  pathOf,
  pointOnPath,
  type AgainstSide,
  type PathCorner,
  type PathError,
  type PathSide,
  type ReferenceSide,
} from './layout/path.ts';
export { snapAt, type Snap, type SnapKind } from './layout/snap.ts';
export { batterShift, movedOutline, type MovedOutlineError } from './layout/movedOutline.ts';
export { boltMarks, boltsOf, type BoltsError } from './layout/boltPattern.ts';
export { rakedAt, rakedLength } from './layout/rakedPile.ts';
export { otherOffsets, type OtherOffset } from './layout/otherOffsets.ts';
export {
  hindrancesAt,
  survivingOffsets,
  type Hindrance,
  type KeepClear,
  type OffsetProposal,
} from './layout/survivingOffsets.ts';
export { walkingOrder, walkingSteps } from './layout/round.ts';
export {
  graduation,
  moveFor,
  moveGrade,
  TAPE_UNDER,
  tapeAdvised,
  VIEWPOINTS,
  type Move,
  type MoveGrade,
  type MoveInput,
  type Viewpoint,
} from './guidance/viewpoint.ts';
export {
  heightTerm,
  kerbPartOf,
  offsetTerm,
  stakeSides,
  type AngleMark,
  type CornerMeaning,
  type HeightReference,
  type PointOnMark,
  type StakeContent,
  type StakeLine,
} from './lath/stakeText.ts';
export {
  conventionFaults,
  roomOn,
  roundingStep,
  STAKE_MARK_KINDS,
  STAKE_PARTS,
  STAKE_SIDES,
  STAKE_TERMS,
  type ConventionFault,
  type FigureRounding,
  type StakeConvention,
  type StakeMarkKind,
  type StakePart,
  type StakeSide,
  type StakeTerm,
} from './lath/convention.ts';
export type { Reach, ReadHeight, StakeReading, WordOnStake } from './lath/reading.ts';
export { tapedPairs, type Recovery, type TapedPair } from './layout/tapeBack.ts';
export { fitStake, type StakeFaces, type StakeNotice, type WrittenLine } from './lath/fit.ts';
export { SHIPPED_CONVENTIONS } from './lath/shipped.ts';
export { normal, uniform, type Draw } from './simulator/random.ts';
export {
  antennaHeightMisfit,
  antennaHeightOf,
  compareHeights,
  heightFromAxis,
  pairFaults,
  partsLeft,
  receiverFoot,
  SAME_HEIGHT,
  type Fix,
  type HeightsCompared,
  type PairFault,
  type PairPole,
  type ReceiverReading,
  type SiteFit,
  type TiltingAxis,
} from './receiver/pair.ts';
export { angleAlong } from './alignment/angle.ts';
export { crossingTriangles, type CrossingTriangles } from './surface/crossing.ts';
export { orderedSections, sectionAt, sectionHeight, type DesignedSection } from './alignment/sections.ts';
export { extentOf, farOff, type FarOff } from './plane/farOff.ts';
export { heightStands, type HeightStand } from './layout/heightStands.ts';
export {
  BUSY_CHANNELS,
  CHANNELS,
  COMPENSATOR_RANGE,
  newStand,
  isLevel,
  LEVEL_GOOD,
  levelStep,
  type LevelStep,
  putDown,
  selfLevel,
  turnScrew,
} from './simulator/stand.ts';
export { type GroundTruth } from './simulator/truth.ts';
export {
  advance,
  aimFar,
  cancel,
  driveHub,
  liveReading,
  liveReceiver,
  markGround,
  measure,
  placeHub,
  type SimulatedPlace,
  search,
  setPole,
  setUpInstrument,
  setUpOver,
  startSimulator,
  switchReceiver,
  turnTo,
  walkNear,
  walkTo,
  type Lock,
  type SimulatedReading,
  type SimulatedShot,
  type SimulatorState,
  type SearchWindow,
  type SimulatorTrouble,
} from './simulator/simulator.ts';
export { TARGET_HEIGHT_SD, targetCentringSd } from './sight/pole.ts';
export { SIMULATED_INSTRUMENT, SIMULATED_PRECISION } from './simulator/kit.ts';
export {
  alignmentNotes,
  alignmentOf,
  equationJumps,
  keyPoints,
  placeAlong,
  placeBeyond,
  type Alignment,
  type AlignmentDefinition,
  type AlignmentError,
  type JunctionName,
  type PlaceAlong,
} from './alignment/alignment.ts';
export { directionOn, placeOn, shapeOf, type ElementFault, type HorizontalElement } from './alignment/element.ts';
export { displayedStation, stationBack, stationsShown, type StationEquation } from './alignment/equations.ts';
export { againstAlignment, feetWithin, type AgainstAlignment, type Foot } from './alignment/foot.ts';
export {
  elementsAlong,
  elementsThrough,
  type IntersectionError,
  type IntersectionPoint,
  type TypedElement,
  type TypedElementError,
} from './alignment/intersectionPoints.ts';
export {
  profileAt,
  profileExtremes,
  profileOf,
  type GradePoint,
  type Profile,
  type ProfileError,
  type VerticalRounding,
} from './alignment/profile.ts';
export {
  CENTRELINE,
  placeOnString,
  templateOf,
  type KerbDefinition,
  type PlaceOnString,
  type StationTable,
  type StringDefinition,
  type Template,
  type TemplateError,
} from './alignment/strings.ts';
export {
  stationList,
  type StationListError,
  type StationListRule,
  type StationReason,
} from './alignment/stationList.ts';
export {
  catchGuidance,
  catchPoint,
  type CatchGuidance,
  type CatchOutcome,
  type SlopeAsked,
} from './alignment/catchPoint.ts';
export { besideReturn, kerbReturn, type KerbReturn, type ReturnPointName } from './layout/kerbReturn.ts';

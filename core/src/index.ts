export { CORE_VERSION } from './version.ts';
export { fail, ok, type Result } from './result.ts';
export {
  METRES_PER_UNIT,
  RADIANS_PER_DEGREE,
  RADIANS_PER_GON,
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
  type TwoReadings,
} from './quantity/length.ts';
export { azimuth, carriedAlong, compassWord, planDistance, polar, type CompassWord, type PlanPoint, type SitePoint } from './plane/point.ts';
export { distanceToPolygon, insidePolygon, segmentMeetsPolygon, signedArea } from './plane/polygon.ts';
export { heightReach, heightSdAt, type HeightReachAsked } from './station/heightReach.ts';
export { heightOn, rimOf, surfaceOf, type Surface, type SurfaceError, type Triangles } from './surface/surface.ts';
export { alongOff, intersectLines, pointAlongOff } from './plane/line.ts';
export { crossCircles, crossLineCircle, crossLines, type Circle, type Crossings, type CrossingStatus, type Segment } from './plane/crossing.ts';
export { exactCount } from './quantity/exactCount.ts';
export {
  convertLength,
  feetInchesParts,
  formatStation,
  parseDms,
  parseFeetInches,
  parseGon,
  parseStation,
  plainCutFill,
  plainDms,
  plainFeetInches,
  plainGon,
  sexagesimalParts,
  type CutFillFormat,
  type FeetInchesParts,
  type SexagesimalParts,
  type StationFormat,
} from './quantity/fixedText.ts';
export { fitSimilarity, transformed, type PointPair, type Similarity, type SimilarityError, type SimilarityFit } from './adjust/similarity.ts';
export { faceAgainstLine, type FaceAsked, type FaceResult, type FaceShot, type FaceSide } from './asBuilt/face.ts';
export { fitPattern, type BuiltPoint, type PatternFit } from './asBuilt/pattern.ts';
export type { DesignFault } from './layout/designFault.ts';
export { anglePoint, type AnglePoint } from './layout/anglePoint.ts';
export {
  againstGridLine,
  columnGrid,
  gridCrossing,
  gridIntersections,
  gridLine,
  placeInGrid,
  type AgainstGridLine,
  type ColumnGrid,
  type ColumnGridDefinition,
  type GridError,
  type GridFamily,
  type GridLine,
} from './layout/columnGrid.ts';
export { beyondEnd, rectangleMarks, type RectangleCorner, type RectangleMarks } from './layout/recoveryMarks.ts';
export {
  measuredAgainstLine,
  pointOnReferenceLine,
  referenceLineFacts,
  type AgainstLine,
  type ReferenceLine,
  type ReferenceLineFacts,
} from './layout/referenceLine.ts';
export { measuredAgainstArc, pointOnReferenceArc, referenceArc, type AgainstArc, type ArcDefinition, type ReferenceArc } from './layout/referenceArc.ts';
export { CRITICAL_T, CRITICAL_W, NORMAL_95_FACTOR } from './adjust/criticalValues.ts';
export { chiSquareProbability, chiSquareQuantile } from './adjust/chiSquare.ts';
export { ELLIPSE_95_FACTOR, ellipseOf, scaleEllipse, type Ellipse } from './adjust/ellipse.ts';
export { fitsByChance, type Fit, type GlobalTest } from './adjust/globalTest.ts';
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
export { reduceObservations, reduceReading, type ReducedObservation, type ReducedReading } from './sight/reduce.ts';
export { composedTargetHeight, noticeTargetHeight, type TargetHeightChange, type TargetHeightNotice } from './sight/targetHeight.ts';
export { atmosphericCorrection, groupRefractivity, SIMULATED_REFERENCE, type Atmosphere, type ReferenceAtmosphere } from './sight/weather.ts';
export type { PlanPrecision, Station, StationCovariance, StationError, StationErrorCode } from './station/model.ts';
export type { HeightLeaveOneOut, HeightResidual, HeightSolution } from './station/heightAdjustment.ts';
export {
  largestRatio,
  resection,
  resectionOf,
  stationOfResection,
  type DirectionResidual,
  type DistanceResidual,
  type PlanLeaveOneOut,
  type ResectionInput,
  type ResectionObservation,
  type ResectionPoint,
  type ResectionResult,
} from './station/resection.ts';
export { addedSight, extensibleOf, freeReliability, worthOf, type AddedSight, type Extensible } from './station/freeReliability.ts';
export { freeStation, type FreeStation } from './station/freeStation.ts';
export { spreadOf, type Spread } from './station/spread.ts';
export {
  heightReliability,
  largestEffect,
  MOST_HIDDEN,
  placesOf,
  USUAL_TOLERANCE,
  USUALLY_ASKED,
  type AskedOfStation,
  type Checkability,
  type HeightReliability,
  type Reliability,
  type Unnoticed,
  type UnnoticedHeight,
} from './station/reliability.ts';
export { explainMisfit, shareOf, stillStanding, type Explained } from './station/explain/explain.ts';
export type { Explanation, ExplanationCode, ExplanationFigures } from './station/explain/explanation.ts';
export { likelierPoint, type LikelyPoint } from './station/likelyPoint.ts';
export { heightStation, type HeightStationResult } from './station/heightStation.ts';
export { type HeightFrom } from './station/heldHeight.ts';
export { knownStation, type KnownStationInput, type KnownStationResult } from './station/knownStation.ts';
export { facePairs, type FacePair } from './station/faces.ts';
export { gradeAngle, spanOf, stationGeometry, workOutside, type GeometryGrade, type GeometryRemark, type StationGeometry } from './station/geometry.ts';
export { stationOverMark } from './station/overMark.ts';
export { withoutEach, type WithoutEach, type WithoutMark } from './station/withoutEach.ts';
export { comparedInPlan, stationOnAssumedDirection, typedDirectionFindings, type AssumedDirectionInput } from './station/assumedDirection.ts';
export {
  lineStation,
  stationOnLines,
  type LineObservation,
  type LineResidual,
  type LineStationInput,
  type LineStationResult,
  type SiteLine,
} from './station/lineStation.ts';
export { traverse, type TraverseInput, type TraverseResult } from './station/traverse.ts';
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
export { stake, type StakeInput, type StakeResult } from './guidance/stake.ts';
export { marksUsedInPlan, obstaclesTo, type Obstacle, type ToleranceClass } from './station/acceptance.ts';
export { hiddenIn, judgeStation, type JudgedStation, type JudgedWith, type Judgement, type SolvedStation } from './station/judgement.ts';
export type { Reason, Step, TellApart, Verdict } from './station/findings.ts';
export type { NoiseSource } from './station/noiseSource.ts';
export type { HeightTrend } from './station/heightTrend.ts';
export {
  inOrder,
  PARTS,
  type Condition,
  type FindingEffect,
  type Part,
  type ProofOutcome,
  type ProofTarget,
  type TrustInput,
  type TrustRecord,
} from './proof/trust/records.ts';
export type { Proposal, ProposedAction } from './proof/trust/proposals.ts';
export {
  type MarkNote,
  type MarkStanding,
  type PartStanding,
  type ProofDue,
  type SolutionPartState,
  type SolutionStanding,
  type Standing,
  type StandingReason,
} from './proof/trust/standing.ts';
export { isBeginning } from './proof/trust/beginning.ts';
export { newTrustMemory, type TrustMemory } from './proof/trust/memory.ts';
export { judgeTrust, trustSteps, type SuspectTarget, type TrustResult } from './proof/trust/trust.ts';
export { offsetHubs, outlineError, type Corner, type HubPlan, type OutlineError } from './layout/outline.ts';
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
  type AgainstPath,
  type AgainstSide,
  type AlongAsked,
  type Path,
  type PathCorner,
  type PathError,
  type PathSide,
  type ReferenceSide,
} from './layout/path.ts';
export { snapAt, type NearThings, type Snap, type SnapKind, type SnapSide } from './layout/snap.ts';
export { batterShift, movedOutline, type MovedOutlineError } from './layout/movedOutline.ts';
export { boltMarks, boltsOf, type BoltPattern, type BoltsError } from './layout/boltPattern.ts';
export { rakedAt, rakedLength, type Rake } from './layout/rakedPile.ts';
export { otherOffsets, type OtherOffset } from './layout/otherOffsets.ts';
export {
  hindrancesAt,
  survivingOffsets,
  type Hindrance,
  type KeepClear,
  type OffsetAsked,
  type OffsetHub,
  type OffsetProposal,
} from './layout/survivingOffsets.ts';
export { walkingOrder, walkingSteps, walkLength } from './layout/round.ts';
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
  type ConventionLine,
  type FigureRounding,
  type LathSize,
  type StakeConvention,
  type StakeMarkKind,
  type StakePart,
  type StakeSide,
  type StakeTerm,
} from './lath/convention.ts';
export type { Reach, ReadHeight, StakeReading, WordOnStake } from './lath/reading.ts';
export { FLATTEST, tapedPairs, tapesTo, type Recovery, type TapedPair, type Tapes } from './layout/tapeBack.ts';
export { fitStake, type FittedLine, type StakeFaces, type StakeNotice, type WrittenLine } from './lath/fit.ts';
export { isShipped, SHIPPED_CONVENTIONS, type ShippedConvention } from './lath/shipped.ts';
export { normal, uniform, type Draw } from './simulator/random.ts';
export { fixOf, newReceiver, skyHiddenBy, type SimulatedReceiver } from './simulator/receiver.ts';
export {
  antennaHeightMisfit,
  antennaHeightOf,
  compareHeights,
  heightFromAxis,
  LARGEST_LEAN,
  OLD_CORRECTIONS_SECONDS,
  OLD_HEIGHT_SECONDS,
  pairFaults,
  partsLeft,
  receiverFoot,
  SAME_HEIGHT,
  type Fix,
  type HeightsCompared,
  type PairFault,
  type PairNow,
  type PairPole,
  type ReceiverFoot,
  type ReceiverReading,
  type SiteFit,
  type TiltingAxis,
} from './receiver/pair.ts';
export { angleAlong, LEAST_ANGLE, type AngleAlong } from './alignment/angle.ts';
export { crossingTriangles, type CrossingTriangles } from './surface/crossing.ts';
export { orderedSections, sectionAt, sectionHeight, type DesignedSection, type SectionLine, type SectionPoint } from './alignment/sections.ts';
export { extentOf, farOff, type Extent, type FarOff } from './plane/farOff.ts';
export { heightStands, type HeightStand, type HeightStandsInput } from './layout/heightStands.ts';
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
  type SimulatedLevel,
  type SimulatedStand,
} from './simulator/stand.ts';
export { groundHeight, hiddenBy, type GroundTruth, type TrueMark, type TrueObstruction } from './simulator/truth.ts';
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
  trueReading,
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
  elementAt,
  equationJumps,
  junctionName,
  keyPoints,
  placeAlong,
  placeBeyond,
  type Alignment,
  type AlignmentDefinition,
  type AlignmentElement,
  type AlignmentError,
  type AlignmentNote,
  type JunctionName,
  type KeyPoint,
  type PlaceAlong,
} from './alignment/alignment.ts';
export {
  directionOn,
  placeOn,
  shapeOf,
  type CurveElement,
  type ElementFault,
  type ElementShape,
  type HorizontalElement,
  type LineElement,
  type Rotation,
  type SpiralElement,
} from './alignment/element.ts';
export { displayedStation, stationBack, stationsShown, type DisplayedStation, type StationEquation } from './alignment/equations.ts';
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
  type Extreme,
  type GradePoint,
  type Profile,
  type ProfileError,
  type VerticalCurve,
  type VerticalRounding,
} from './alignment/profile.ts';
export {
  CENTRELINE,
  placeOnString,
  templateOf,
  valueAt,
  type Across,
  type KerbDefinition,
  type PlaceOnString,
  type StationTable,
  type StringDefinition,
  type Template,
  type TemplateDefinition,
  type TemplateError,
} from './alignment/strings.ts';
export { specialStations, stationList, type ListedStation, type StationListError, type StationListRule, type StationReason } from './alignment/stationList.ts';
export { catchGuidance, catchPoint, type CatchGuidance, type CatchOutcome, type CatchPoint, type SlopeAsked } from './alignment/catchPoint.ts';
export { besideReturn, kerbReturn, RETURN_POINTS, type KerbReturn, type ReturnPoint, type ReturnPointName } from './layout/kerbReturn.ts';

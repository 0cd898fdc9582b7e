/** Stations from sights: adjusted, judged, explained. */
export { heightReach, heightSdAt } from './heightReach.ts';
export type { PlanPrecision, Station, StationCovariance, StationError } from './model.ts';
export type { HeightLeaveOneOut, HeightResidual, HeightSolution } from './heightAdjustment.ts';
export {
  largestRatio,
  resection,
  resectionOf,
  stationOfResection,
  type ResectionInput,
  type ResectionObservation,
  type ResectionResult,
} from './resection.ts';
export {
  addedSight,
  extensibleOf,
  freeReliability,
  worthOf,
  type AddedSight,
  type Extensible,
} from './freeReliability.ts';
export { freeStation } from './freeStation.ts';
export { type Spread } from './spread.ts';
export {
  largestEffect,
  placesOf,
  USUALLY_ASKED,
  type AskedOfStation,
  type Checkability,
  type HeightReliability,
  type Reliability,
  type Unnoticed,
} from './reliability.ts';
export { explainMisfit, shareOf, type Explained } from './explain/explain.ts';
export type { Explanation } from './explain/explanation.ts';
export { likelierPoint, type LikelyPoint } from './likelyPoint.ts';
export { heightStation, type HeightStationResult } from './heightStation.ts';
export { type HeightFrom } from './heldHeight.ts';
export { knownStation, type KnownStationInput, type KnownStationResult } from './knownStation.ts';
export { facePairs } from './faces.ts';
export { spanOf, stationGeometry, workOutside, type GeometryGrade, type GeometryRemark } from './geometry.ts';
export { stationOverMark } from './overMark.ts';
export { withoutEach } from './withoutEach.ts';
export { comparedInPlan, stationOnAssumedDirection, typedDirectionFindings } from './assumedDirection.ts';
export { stationOnLines, type LineResidual, type SiteLine } from './lineStation.ts';
export { traverse, type TraverseResult } from './traverse.ts';
export {
  expectedPole,
  expectedReading,
  measurePoint,
  predictAt,
  type MeasuredPoint,
  type PlanCovariance,
  type PoleSet,
  type Prediction,
} from './measuredPoint.ts';
export { obstaclesTo, type Obstacle } from './acceptance.ts';
export { judgeStation, type JudgedStation, type Judgement, type SolvedStation } from './judgement.ts';
export type { Reason, Step, TellApart, Verdict } from './findings.ts';
export type { NoiseSource } from './noiseSource.ts';

/** From what an instrument read to what was measured. */
export {
  NEAREST_SIGHT,
  TRACKING_ERROR_FACTOR,
  type ControlPoint,
  type InstrumentPrecision,
  type Observation,
  type Reading,
  type Reduction,
  type Setup,
} from './observation.ts';
export { reduceObservations, reduceReading, type ReducedObservation } from './reduce.ts';
export { composedTargetHeight, noticeTargetHeight, type TargetHeightNotice } from './targetHeight.ts';
export { atmosphericCorrection, SIMULATED_REFERENCE, type ReferenceAtmosphere } from './weather.ts';
export { TARGET_HEIGHT_SD, targetCentringSd } from './pole.ts';

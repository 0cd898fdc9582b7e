/** An instrument, a pole and a ground that behave as real ones do. */
export { normal, uniform, type Draw } from './random.ts';
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
} from './stand.ts';
export { type GroundTruth } from './truth.ts';
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
} from './simulator.ts';
export { SIMULATED_INSTRUMENT, SIMULATED_PRECISION } from './kit.ts';

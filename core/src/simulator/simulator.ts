/**
 * A robotic instrument, a pole and the ground they stand on. Pure: `advance` and the commands take a state and
 * give the next one; time and the seed are handed in. Works in true coordinates only.
 */
import { wrapHalfTurn, wrapTurn } from '../quantity/angle.ts';
import { planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { type Metres, type Radians, RADIANS_PER_DEGREE } from '../quantity/unit.ts';
import type { ReceiverReading } from '../receiver/pair.ts';
import { NEAREST_SIGHT, TRACKING_ERROR_FACTOR, type InstrumentPrecision } from '../sight/observation.ts';
import { normal, uniform } from './random.ts';
import { newReceiver, readReceiver, receiverOn, type SimulatedReceiver } from './receiver.ts';
import { isClashing, isCompensated, newStand, selfLevel, standOn, type SimulatedStand } from './stand.ts';
import { groundHeight, hiddenBy, type GroundTruth } from './truth.ts';

export type Lock = 'none' | 'searching' | 'locked' | 'lost';

export interface SimulatedInstrument extends PlanPoint {
  readonly groundZ: Metres;
  readonly height: Metres;
  /** Azimuth of circle zero, unknown to everybody but the simulator. */
  readonly orientation: Radians;
}

export interface SimulatedPole extends PlanPoint {
  /** Height of the tip. */
  readonly z: Metres;
  /** Tip to prism centre. */
  readonly targetHeight: Metres;
  readonly legs: boolean;
  /** Additive constant of the prism that is screwed on: slopes are read short by it. */
  readonly prismConstant?: Metres;
  /** Mark or hub that the tip stands on; null on the ground. */
  readonly onto: string | null;
}

export interface SimulatedReading {
  readonly circle: Radians;
  readonly zenith: Radians;
  readonly slope: Metres;
}

/** A finished shot; no slope when it was aimed at something far without a prism. */
export interface SimulatedShot {
  readonly circle: Radians;
  readonly zenith: Radians;
  readonly slope: Metres | null;
}

/** Where the prism is looked for, seen from where the telescope points. */
export interface SearchWindow {
  readonly side: 'left' | 'right' | 'both';
  /** Of the whole window; half of it lies to each side when that is `both`. */
  readonly width: Radians;
}

type Task =
  | { readonly kind: 'turn'; readonly circle: Radians; readonly zenith: Radians }
  | { readonly kind: 'search'; readonly left: number; readonly window: SearchWindow | null }
  | { readonly kind: 'measure'; readonly left: number; readonly face: 1 | 2 };

export interface SimulatorState {
  readonly random: number;
  readonly stand: SimulatedStand;
  readonly instrument: SimulatedInstrument | null;
  readonly pole: SimulatedPole;
  readonly walk: {
    readonly e: Metres;
    readonly n: Metres;
    readonly z: Metres | null;
    readonly onto: string | null;
  } | null;
  readonly hubs: readonly { readonly name: string; readonly e: Metres; readonly n: Metres; readonly z: Metres }[];
  readonly circle: Radians;
  readonly zenith: Radians;
  readonly lock: Lock;
  readonly task: Task | null;
  /** Finished careful shot, until it is taken. */
  readonly shot: SimulatedShot | null;
  /** On the same pole, above the prism; switched off until it is wanted. */
  readonly receiver: SimulatedReceiver;
  /** Why the last command came to nothing. */
  readonly trouble: SimulatorTrouble | null;
}

export type SimulatorTrouble =
  | { readonly code: 'NOT_SET_UP' }
  | { readonly code: 'NO_SUCH_MARK'; readonly name: string }
  | { readonly code: 'MARK_COVERED'; readonly name: string }
  | { readonly code: 'NOT_FOUND' }
  | { readonly code: 'NOT_IN_WINDOW' }
  | { readonly code: 'HIDDEN'; readonly by: string }
  | { readonly code: 'NOT_LOCKED' }
  | { readonly code: 'POLE_MOVING' }
  | { readonly code: 'NOT_LEVEL' }
  | { readonly code: 'BATTERY_EMPTY' }
  | { readonly code: 'CHANNEL_CLASH'; readonly channel: number };

const WALKING_SPEED = 1.4;
const TURNING_SPEED: Radians = 90 * RADIANS_PER_DEGREE;
const SEARCH_SECONDS = 1.2;
const MEASURE_SECONDS = 0.8;
/** Plumb of the pole: standard deviation by hand and with legs. */
const LEAN_BY_HAND: Radians = (4 / 60) * RADIANS_PER_DEGREE;
const LEAN_WITH_LEGS: Radians = (1.5 / 60) * RADIANS_PER_DEGREE;
const PRISM_CENTRING: Metres = 0.0007;
/** Top of a freshly driven hub above the ground, and how far driving pushes it aside. */
const HUB_TOP: Metres = 0.08;
const HUB_PUSH_SD: Metres = 0.0012;
/** The receiver draws from a row of its own, so that switching it on changes nothing about the instrument. */
const RECEIVER_SEED = 0x5eed;

export function startSimulator(seed: number, place: PlanPoint, truth: GroundTruth): SimulatorState {
  return {
    random: seed | 0,
    stand: newStand,
    instrument: null,
    pole: { ...place, z: groundHeight(truth, place), targetHeight: 1.5, legs: true, onto: null },
    walk: null,
    hubs: [],
    circle: 0,
    zenith: Math.PI / 2,
    lock: 'none',
    task: null,
    shot: null,
    receiver: newReceiver(seed ^ RECEIVER_SEED),
    trouble: null,
  };
}

/** Stands the instrument at a place; circle zero points anywhere, unless an `orientation` is to be taken up again. */
export function setUpInstrument(
  state: SimulatorState,
  truth: GroundTruth,
  place: PlanPoint,
  height: Metres,
  orientation?: Radians,
): SimulatorState {
  const draw = uniform(state.random);
  return {
    ...state,
    random: draw.state,
    instrument: {
      e: place.e,
      n: place.n,
      groundZ: groundHeight(truth, place),
      height,
      orientation: orientation ?? draw.value * 2 * Math.PI,
    },
    // What was not brought in by hand it brings in itself.
    stand: isCompensated(state.stand) ? state.stand : selfLevel(state.stand),
    lock: 'none',
    task: null,
    shot: null,
    trouble: null,
  };
}

/** Per axis, of a laser plummet brought over a mark with care. */
const PLUMMET_SD: Metres = 0.001;

/** Stands the instrument over a mark or hub, as well as a plummet allows. */
export function setUpOver(state: SimulatorState, truth: GroundTruth, name: string, height: Metres): SimulatorState {
  const mark = state.hubs.find((hub) => hub.name === name) ?? truth.marks.find((each) => each.name === name);
  if (!mark) return { ...state, trouble: { code: 'NO_SUCH_MARK', name } };
  if ('covered' in mark && mark.covered) return { ...state, trouble: { code: 'MARK_COVERED', name } };
  const east = normal(state.random);
  const north = normal(east.state);
  const place = { e: mark.e + east.value * PLUMMET_SD, n: mark.n + north.value * PLUMMET_SD };
  const standing = setUpInstrument({ ...state, random: north.state }, truth, place, height);
  return { ...standing, instrument: { ...standing.instrument!, groundZ: mark.z } };
}

/** Sends the pole to a place on the ground, or onto a mark or hub by name. */
/** Somebody who walks to a place that nothing marks stops this far beside it, from and to. */
const STOPS: readonly [Metres, Metres] = [0.5, 2];

/** Walks near a place, as one does who follows figures: the last steps are still to be made. */
export function walkNear(state: SimulatorState, truth: GroundTruth, goal: PlanPoint): SimulatorState {
  const far = uniform(state.random);
  const way = uniform(far.state);
  const stop = polar(goal, 2 * Math.PI * way.value, STOPS[0] + (STOPS[1] - STOPS[0]) * far.value);
  return walkTo({ ...state, random: way.state }, truth, stop);
}

export function walkTo(state: SimulatorState, truth: GroundTruth, goal: PlanPoint | string): SimulatorState {
  if (typeof goal !== 'string') return { ...state, walk: { e: goal.e, n: goal.n, z: null, onto: null }, trouble: null };
  const place = state.hubs.find((hub) => hub.name === goal) ?? truth.marks.find((mark) => mark.name === goal);
  if (!place) return { ...state, trouble: { code: 'NO_SUCH_MARK', name: goal } };
  if ('covered' in place && place.covered) return { ...state, trouble: { code: 'MARK_COVERED', name: goal } };
  return { ...state, walk: { e: place.e, n: place.n, z: place.z, onto: goal }, trouble: null };
}

/** Drives a hub where the pole stands. It goes in a little off, and its top stands above the ground. */
export function driveHub(state: SimulatorState, truth: GroundTruth, name: string): SimulatorState {
  const east = normal(state.random);
  const north = normal(east.state);
  const top = uniform(north.state);
  const place = { e: state.pole.e + east.value * HUB_PUSH_SD, n: state.pole.n + north.value * HUB_PUSH_SD };
  const hub = { name, ...place, z: groundHeight(truth, place) + HUB_TOP + top.value * 0.04 };
  return {
    ...state,
    random: top.state,
    hubs: [...state.hubs.filter((each) => each.name !== name), hub],
    pole: { ...state.pole, ...place, z: hub.z, onto: name },
    trouble: null,
  };
}

/** A hub that was driven before this simulator began: it stands where it was measured, as far as anybody knows. */
/** Where something stands that the simulator has not driven itself. */
export interface SimulatedPlace {
  readonly name: string;
  readonly e: Metres;
  readonly n: Metres;
  /** Null: on the ground there, or `above` it; the ground knows its height, whoever else does not. */
  readonly z: Metres | null;
  readonly above?: Metres;
  /** It was drawn, and built that well: where it truly stands is a little beside, always at the same place. */
  readonly builtSd?: Metres;
}

/** The same for a name, whoever asks. */
function builtOff(name: string, sd: Metres): PlanPoint {
  let seed = 7;
  for (const letter of name) seed = (Math.imul(seed, 31) + letter.codePointAt(0)!) | 0;
  const e = normal(seed);
  const n = normal(e.state);
  return { e: e.value * sd, n: n.value * sd };
}

export function placeHub(
  state: SimulatorState,
  truth: GroundTruth,
  { name, e, n, z, above = 0, builtSd = 0 }: SimulatedPlace,
): SimulatorState {
  const off = builtSd === 0 ? { e: 0, n: 0 } : builtOff(name, builtSd);
  const hub = { name, e: e + off.e, n: n + off.n, z: z ?? groundHeight(truth, { e, n }) + above };
  return { ...state, hubs: [...state.hubs.filter((each) => each.name !== name), hub] };
}

/** A nail under the plummet: what is looked back to when the instrument has moved on. */
export function markGround(state: SimulatorState, truth: GroundTruth, name: string): SimulatorState {
  const { instrument } = state;
  return instrument
    ? placeHub(state, truth, { name, e: instrument.e, n: instrument.n, z: instrument.groundZ })
    : needsInstrument(state);
}

/** Aims by hand at something far and fixed: a direction and a zenith angle, no distance. The prism is let go. */
export function aimFar(
  state: SimulatorState,
  truth: GroundTruth,
  precision: InstrumentPrecision,
  name: string,
): SimulatorState {
  if (!state.instrument) return needsInstrument(state);
  const target = truth.far?.find((each) => each.name === name);
  if (!target) return { ...state, trouble: { code: 'NO_SUCH_MARK', name } };
  const exact = trueReading(state.instrument, target);
  const circle = normal(state.random);
  const zenith = normal(circle.state);
  const shot = {
    circle: wrapTurn(exact.circle + circle.value * precision.angleSd),
    zenith: exact.zenith + zenith.value * precision.angleSd,
    slope: null,
  };
  return {
    ...state,
    random: zenith.state,
    circle: shot.circle,
    zenith: shot.zenith,
    lock: 'none',
    task: null,
    shot,
    trouble: null,
  };
}

export const setPole = (
  state: SimulatorState,
  change: Partial<Pick<SimulatedPole, 'targetHeight' | 'legs' | 'prismConstant'>>,
): SimulatorState => ({
  ...state,
  pole: { ...state.pole, ...change },
});

const needsInstrument = (state: SimulatorState): SimulatorState => ({ ...state, trouble: { code: 'NOT_SET_UP' } });

/** What keeps the instrument itself from working; null when nothing does. */
function unfit({ stand }: SimulatorState): SimulatorTrouble | null {
  if (stand.battery <= 0) return { code: 'BATTERY_EMPTY' };
  if (isClashing(stand)) return { code: 'CHANNEL_CLASH', channel: stand.channel };
  return isCompensated(stand) ? null : { code: 'NOT_LEVEL' };
}

export function turnTo(state: SimulatorState, circle: Radians, zenith: Radians): SimulatorState {
  if (!state.instrument) return needsInstrument(state);
  return { ...state, lock: 'none', task: { kind: 'turn', circle: wrapTurn(circle), zenith }, trouble: null };
}

/** Looks for the prism in a window, or all round when there is none: the other crew's prism may come first then. */
export function search(state: SimulatorState, window: SearchWindow | null = null): SimulatorState {
  if (!state.instrument) return needsInstrument(state);
  const trouble = unfit(state);
  if (trouble) return { ...state, lock: 'none', task: null, trouble };
  return { ...state, lock: 'searching', task: { kind: 'search', left: SEARCH_SECONDS, window }, trouble: null };
}

/** One careful shot, in the normal or the turned face of the telescope. */
export function measure(state: SimulatorState, face: 1 | 2 = 1): SimulatorState {
  if (!state.instrument) return needsInstrument(state);
  const trouble = unfit(state);
  if (trouble) return { ...state, trouble };
  if (state.walk) return { ...state, trouble: { code: 'POLE_MOVING' } };
  if (state.lock !== 'locked') return { ...state, trouble: { code: 'NOT_LOCKED' } };
  return { ...state, task: { kind: 'measure', left: MEASURE_SECONDS, face }, shot: null, trouble: null };
}

export const cancel = (state: SimulatorState): SimulatorState => ({
  ...state,
  task: null,
  walk: null,
  lock: state.lock === 'searching' ? 'none' : state.lock,
});

/** What the instrument would read to the prism without any error. */
export function trueReading(
  instrument: SimulatedInstrument,
  prism: PlanPoint & { readonly z: Metres },
): SimulatedReading {
  const de = prism.e - instrument.e;
  const dn = prism.n - instrument.n;
  const horizontal = Math.hypot(de, dn);
  // Curvature and refraction make the prism appear lower by (1 - k) d² / 2R; k = 0.13.
  const vertical = prism.z - instrument.groundZ - instrument.height - (0.87 * horizontal * horizontal) / (2 * 6371000);
  return {
    circle: wrapTurn(Math.atan2(de, dn) - instrument.orientation),
    zenith: Math.atan2(horizontal, vertical),
    slope: Math.hypot(horizontal, vertical),
  };
}

/** A reading with the errors of pole and instrument, `factor` times the stated ones. */
function noisyReading(
  state: SimulatorState,
  precision: InstrumentPrecision,
  factor: number,
): { reading: SimulatedReading; random: number } {
  const { pole } = state;
  let random = state.random;
  const draw = (sd: number): number => {
    const next = normal(random);
    random = next.state;
    return next.value * sd;
  };
  const lean = Math.hypot(pole.targetHeight * Math.tan(pole.legs ? LEAN_WITH_LEGS : LEAN_BY_HAND), PRISM_CENTRING);
  const prism = { e: pole.e + draw(lean), n: pole.n + draw(lean), z: pole.z + pole.targetHeight };
  const exact = trueReading(state.instrument!, prism);
  const sdSlope = Math.hypot(precision.distanceSd, precision.distanceSdRatio * exact.slope);
  const reading = {
    circle: wrapTurn(exact.circle + draw(precision.angleSd * factor)),
    zenith: exact.zenith + draw(precision.angleSd * factor),
    slope: exact.slope + draw(sdSlope * factor) - (pole.prismConstant ?? 0),
  };
  return { reading, random };
}

/** Moves everything on by `seconds`. */
export function advance(
  state: SimulatorState,
  truth: GroundTruth,
  precision: InstrumentPrecision,
  seconds: number,
): SimulatorState {
  const stood = walkOn({ ...state, stand: standOn(state.stand, seconds, state.instrument !== null) }, truth, seconds);
  const { pole } = stood;
  const steady = pole.legs ? LEAN_WITH_LEGS : LEAN_BY_HAND;
  const walked = {
    ...stood,
    receiver: receiverOn(stood.receiver, truth, pole, { walking: stood.walk !== null, steady, seconds }),
  };
  const { instrument } = walked;
  if (!instrument) return walked;
  return workOn(followPole(walked, truth, instrument), truth, instrument, precision, seconds);
}

function walkOn(state: SimulatorState, truth: GroundTruth, seconds: number): SimulatorState {
  const { walk, pole } = state;
  if (!walk) return state;
  const left = planDistance(pole, walk);
  const stride = WALKING_SPEED * seconds;
  if (left <= stride) {
    const place = { e: walk.e, n: walk.n };
    return {
      ...state,
      walk: null,
      pole: { ...pole, ...place, z: walk.z ?? groundHeight(truth, place), onto: walk.onto },
    };
  }
  const f = stride / left;
  const place = { e: pole.e + f * (walk.e - pole.e), n: pole.n + f * (walk.n - pole.n) };
  return { ...state, pole: { ...pole, ...place, z: groundHeight(truth, place), onto: null } };
}

const prismOf = (pole: SimulatedPole) => ({ e: pole.e, n: pole.n, z: pole.z + pole.targetHeight });

/** What hides the prism, if anything does. */
function hidden(state: SimulatorState, truth: GroundTruth, instrument: SimulatedInstrument): string | null {
  const prism = prismOf(state.pole);
  return hiddenBy(truth, instrument, instrument.groundZ + instrument.height, prism, prism.z);
}

function followPole(state: SimulatorState, truth: GroundTruth, instrument: SimulatedInstrument): SimulatorState {
  if (state.lock !== 'locked') return state;
  const by = hidden(state, truth, instrument);
  if (by !== null) return { ...state, lock: 'lost', task: null, trouble: { code: 'HIDDEN', by } };
  const { circle, zenith } = trueReading(instrument, prismOf(state.pole));
  return { ...state, circle, zenith };
}

/** @param turn from where the telescope points, positive to the right */
function isWithin({ side, width }: SearchWindow, turn: Radians): boolean {
  if (side === 'both') return Math.abs(turn) <= width / 2;
  return side === 'right' ? turn >= 0 && turn <= width : turn <= 0 && turn >= -width;
}

function workOn(
  state: SimulatorState,
  truth: GroundTruth,
  instrument: SimulatedInstrument,
  precision: InstrumentPrecision,
  seconds: number,
): SimulatorState {
  const { task } = state;
  switch (task?.kind) {
    case undefined:
      return state;
    case 'turn': {
      const turn = TURNING_SPEED * seconds;
      const left = wrapHalfTurn(task.circle - state.circle);
      if (Math.abs(left) <= turn) return { ...state, circle: task.circle, zenith: task.zenith, task: null };
      return { ...state, circle: wrapTurn(state.circle + Math.sign(left) * turn) };
    }
    case 'search': {
      if (task.left > seconds) return { ...state, task: { ...task, left: task.left - seconds } };
      const by = hidden(state, truth, instrument);
      if (by !== null) return { ...state, lock: 'none', task: null, trouble: { code: 'HIDDEN', by } };
      if (planDistance(instrument, state.pole) < NEAREST_SIGHT)
        return { ...state, lock: 'none', task: null, trouble: { code: 'NOT_FOUND' } };
      if (
        task.window &&
        !isWithin(task.window, wrapHalfTurn(trueReading(instrument, prismOf(state.pole)).circle - state.circle))
      )
        return { ...state, lock: 'none', task: null, trouble: { code: 'NOT_IN_WINDOW' } };
      return followPole({ ...state, lock: 'locked', task: null }, truth, instrument);
    }
    case 'measure': {
      if (state.walk) return { ...state, task: null, trouble: { code: 'POLE_MOVING' } };
      if (task.left > seconds) return { ...state, task: { ...task, left: task.left - seconds } };
      const { reading, random } = noisyReading(state, precision, 1);
      const turned = {
        circle: wrapTurn(reading.circle + Math.PI),
        zenith: 2 * Math.PI - reading.zenith,
        slope: reading.slope,
      };
      return { ...state, random, task: null, shot: task.face === 2 ? turned : reading };
    }
  }
}

/** What the instrument shows while it follows the pole; null when it does not. */
export function liveReading(
  state: SimulatorState,
  precision: InstrumentPrecision,
): { readonly reading: SimulatedReading; readonly state: SimulatorState } | null {
  if (!state.instrument || state.lock !== 'locked') return null;
  const { reading, random } = noisyReading(state, precision, TRACKING_ERROR_FACTOR);
  return { reading, state: { ...state, random } };
}

/** The receiver's own switches. */
export const switchReceiver = (
  state: SimulatorState,
  change: Partial<Pick<SimulatedReceiver, 'on' | 'compensating' | 'linked' | 'offset'>>,
): SimulatorState => ({ ...state, receiver: { ...state.receiver, ...change } });

/** What the receiver shows now; null while it is off. */
export function liveReceiver(
  state: SimulatorState,
  truth: GroundTruth,
): { readonly reading: ReceiverReading; readonly state: SimulatorState } | null {
  const read = readReceiver(state.receiver, truth, state.pole);
  return read && { reading: read.reading, state: { ...state, receiver: read.receiver } };
}

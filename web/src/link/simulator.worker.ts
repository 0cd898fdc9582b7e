/**
 * Runs the simulated instrument, pole and ground apart from the page, so that it works with no network and no server.
 */
import {
  advance,
  aimFar,
  azimuth,
  cancel,
  COMPENSATOR_RANGE,
  driveHub,
  isLevel,
  liveReading,
  liveReceiver,
  markGround,
  measure,
  newStand,
  placeHub,
  polar,
  putDown,
  RADIANS_PER_DEGREE,
  RADIANS_PER_SECOND,
  search,
  selfLevel,
  setPole,
  setUpInstrument,
  setUpOver,
  startSimulator,
  switchReceiver,
  turnScrew,
  turnTo,
  walkNear,
  walkTo,
  type GroundTruth,
  type InstrumentPrecision,
  type ReceiverReading,
  type SimulatedReading,
  type SimulatedShot,
  type SimulatorState,
} from '@idle-marker/core';
import type { LiveReceiver } from './instrumentLink.ts';
import { READINGS_PER_SECOND, type FromSimulator, type ToSimulator } from './simulatorProtocol.ts';

let state: SimulatorState | null = null;
let truth: GroundTruth;
const pending: ToSimulator[] = [];
let precision: InstrumentPrecision;
let pace = 1;
let seq = 0;
let handled = 0;

const BUSY = { turn: 'turning', search: 'searching', measure: 'measuring' } as const;
const ANGLE_DECIMALS = 5;
const SAVE_EVERY = 10;

/** Grounds that can be practised on. Only this worker ever reads them. */
const GROUNDS: Readonly<Record<string, () => Promise<{ default: GroundTruth }>>> = {
  ternhaven: () => import('../../../demo/ternhaven/truth.json'),
  cobbleford: () => import('../../../demo/cobbleford/truth.json'),
};
const round = (value: number, decimals: number): number => Number(value.toFixed(decimals));

/**
 * What the instrument's display would show: degrees to a few hundredths of a second, slopes to a tenth of a millimetre.
 */
const shown = (reading: SimulatedReading) => ({
  circleDeg: round(reading.circle / RADIANS_PER_DEGREE, ANGLE_DECIMALS),
  zenithDeg: round(reading.zenith / RADIANS_PER_DEGREE, ANGLE_DECIMALS),
  slope: round(reading.slope, 4),
});
const shownShot = ({ slope, ...angles }: SimulatedShot) =>
  slope === null ? { ...shown({ ...angles, slope: 0 }), slope: null } : shown({ ...angles, slope });

/** What the receiver's display would show: tenths of a millimetre, tenths of a second, hundredths of a degree. */
const shownReceiver = ({ fix, lean, ...reading }: ReceiverReading, linked: boolean): LiveReceiver => ({
  e: round(reading.e, 4),
  n: round(reading.n, 4),
  z: round(reading.z, 4),
  sdPlan: round(reading.sdPlan, 4),
  sdHeight: round(reading.sdHeight, 4),
  fix: fix === 'none' ? 'single' : fix,
  correctionAge: reading.correctionAge === null ? null : round(reading.correctionAge, 1),
  compensating: reading.compensating,
  leanDeg: lean === null ? null : round(lean / RADIANS_PER_DEGREE, 2),
  linked,
});

function tell(current: SimulatorState, live: SimulatedReading | null, receiver: ReceiverReading | null): void {
  const message: FromSimulator = {
    handled,
    seq: seq++,
    setUp: current.instrument !== null,
    lock: current.lock,
    circleDeg: current.circle / RADIANS_PER_DEGREE,
    zenithDeg: current.zenith / RADIANS_PER_DEGREE,
    live: live && shown(live),
    shot: current.shot && shownShot(current.shot),
    busy: current.task ? BUSY[current.task.kind] : null,
    pole: {
      targetHeight: current.pole.targetHeight,
      legs: current.pole.legs,
      walking: current.walk !== null,
      onto: current.pole.onto,
    },
    stand: {
      alongSec: round(current.stand.level.shownAlong / RADIANS_PER_SECOND, 1),
      acrossSec: round(current.stand.level.shownAcross / RADIANS_PER_SECOND, 1),
      compensated: Math.hypot(current.stand.level.along, current.stand.level.across) <= COMPENSATOR_RANGE,
      isLevel: isLevel(current.stand),
      battery: round(current.stand.battery, 3),
      channel: current.stand.channel,
    },
    trouble: current.trouble,
    receiver: receiver && shownReceiver(receiver, current.receiver.linked),
    far: (truth.far ?? []).map((each) => each.name),
    save: seq % SAVE_EVERY === 0 ? current : null,
  };
  self.postMessage(message);
}

function tick(): void {
  if (!state) return;
  // Small steps whatever the pace, so that the sight is checked all along the way.
  const step = 1 / READINGS_PER_SECOND;
  for (let i = 0; i < pace; i++) state = advance(state, truth, precision, step);
  const live = liveReading(state, precision);
  if (live) state = live.state;
  const receiver = liveReceiver(state, truth);
  if (receiver) state = receiver.state;
  tell(state, live?.reading ?? null, receiver?.reading ?? null);
  if (state.shot || state.trouble) state = { ...state, shot: null, trouble: null };
}

/** A step of the person at the pole, seen facing the instrument. */
function stepPole(current: SimulatorState, toward: number, right: number): SimulatorState {
  const from = current.walk ?? current.pole;
  if (!current.instrument) return walkTo(current, truth, { e: from.e + right, n: from.n + toward });
  const facing = azimuth(from, current.instrument);
  return walkTo(current, truth, polar(polar(from, facing, toward), facing + Math.PI / 2, right));
}

async function start(message: Extract<ToSimulator, { command: 'start' }>): Promise<void> {
  const load = GROUNDS[message.ground];
  if (!load) return;
  truth = (await load()).default;
  precision = message.precision;
  const { ground } = truth;
  const begun = startSimulator(message.seed, { e: ground.e, n: ground.n }, truth);
  // What was saved before the simulator learned something new goes on with it as new.
  state = message.saved ? { ...begun, ...message.saved } : begun;
  for (const each of pending.splice(0)) obey(each);
  setInterval(tick, 1000 / READINGS_PER_SECOND);
}

function obey(message: ToSimulator): void {
  if (message.command === 'pace') {
    pace = message.factor;
    return;
  }
  // The ground is still being fetched: what was asked meanwhile is done after.
  if (!state) {
    pending.push(message);
    return;
  }
  switch (message.command) {
    case 'start':
      break;
    case 'setUp':
      state = setUpInstrument(state, truth, message.place, message.height, message.orientation);
      break;
    case 'setUpOver':
      state = setUpOver(state, truth, message.name, message.height);
      break;
    case 'walk':
      state =
        message.near && typeof message.goal !== 'string'
          ? walkNear(state, truth, message.goal)
          : walkTo(state, truth, message.goal);
      break;
    case 'step':
      state = stepPole(state, message.toward, message.right);
      break;
    case 'pole': {
      const { command: _command, ...change } = message;
      state = setPole(state, change);
      break;
    }
    case 'putDown':
      state = { ...state, stand: putDown(state.stand, state.random) };
      break;
    case 'screw':
      state = { ...state, stand: turnScrew(state.stand, message.screw, message.liftSec * RADIANS_PER_SECOND) };
      break;
    case 'selfLevel':
      state = { ...state, stand: selfLevel(state.stand) };
      break;
    case 'battery':
      state = { ...state, stand: { ...state.stand, battery: newStand.battery } };
      break;
    case 'channel':
      state = { ...state, stand: { ...state.stand, channel: message.channel } };
      break;
    case 'turn':
      state = turnTo(state, message.circleDeg * RADIANS_PER_DEGREE, message.zenithDeg * RADIANS_PER_DEGREE);
      break;
    case 'search':
      state = search(state, message.window);
      break;
    case 'measure':
      state = measure(state, message.face);
      break;
    case 'driveHub':
      state = driveHub(state, truth, message.name);
      break;
    case 'placeHub':
      state = placeHub(state, truth, message.hub);
      break;
    case 'markGround':
      state = markGround(state, truth, message.name);
      break;
    case 'aimFar':
      state = aimFar(state, truth, precision, message.name);
      break;
    case 'receiver': {
      const { command: _command, ...change } = message;
      state = switchReceiver(state, change);
      break;
    }
    case 'cancel':
      state = cancel(state);
      break;
  }
}

self.onmessage = (event: MessageEvent<ToSimulator>) => {
  if (event.data.command === 'start') {
    handled++;
    void start(event.data);
    return;
  }
  obey(event.data);
  handled++;
};

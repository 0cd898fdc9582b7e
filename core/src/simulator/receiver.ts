/** A simulated GNSS receiver on top of the pole: its noise, its slow errors, its outages and its tilt switch. */
import type { PlanPoint } from '../plane/point.ts';
import { distanceToPolygon, insidePolygon } from '../plane/polygon.ts';
import { RADIANS_PER_DEGREE, type Metres, type Radians } from '../quantity/unit.ts';
import type { Fix, ReceiverReading } from '../receiver/pair.ts';
import { normal } from './random.ts';
import type { GroundTruth } from './truth.ts';

export interface SimulatedReceiver {
  readonly random: number;
  readonly on: boolean;
  /** Its reference point above the prism's centre. */
  readonly offset: Metres;
  /** Its switch: whether it takes the lean out by itself, as it does when it is taken out of its case. */
  readonly compensating: boolean;
  /** Whether corrections reach it. */
  readonly linked: boolean;
  /** Seconds since the last ones were made; null before the first. */
  readonly age: number | null;
  /** Seconds until the ambiguities are fixed; 0 when they are. */
  readonly untilFixed: number;
  /** What the fix was resolved to and the paths of the signals make of it: changes slowly. */
  readonly drift: { readonly e: Metres; readonly n: Metres; readonly z: Metres };
  /** Of the pole now, toward east and north. */
  readonly lean: { readonly e: Radians; readonly n: Radians };
}

export const newReceiver = (seed: number): SimulatedReceiver => ({
  random: seed | 0,
  on: false,
  offset: 0.12,
  compensating: true,
  linked: true,
  age: null,
  untilFixed: FIXING_SECONDS,
  drift: { e: 0, n: 0, z: 0 },
  lean: { e: 0, n: 0 },
});

const FIXING_SECONDS = 8;
/** Corrections come this often. */
const CORRECTION_EVERY = 1;
/** After so long without them the fix is given up, and later every correction. */
const FIX_LASTS = 20;
const FLOAT_LASTS = 60;
/** Standard deviations: from reading to reading, and of what changes slowly within `DRIFT_SECONDS`. */
const NOISE_PLAN: Metres = 0.004;
const NOISE_HEIGHT: Metres = 0.007;
const DRIFT_PLAN: Metres = 0.004;
const DRIFT_HEIGHT: Metres = 0.008;
const DRIFT_SECONDS = 90;
const FACTOR_OF: Readonly<Record<Exclude<Fix, 'none'>, number>> = { fixed: 1, float: 30, single: 200 };
/** What a receiver states of itself is a little too good. */
const STATED = 0.9;
/** Beside something this high the sky is half hidden. */
const HIGH: Metres = 2.5;
const BESIDE: Metres = 2;
const LEAN_WALKING: Radians = 1.6 * RADIANS_PER_DEGREE;

/** What hides too much of the sky at a place; null under free sky. */
export function skyHiddenBy(truth: GroundTruth, place: PlanPoint): string | null {
  const found = truth.obstructions.find(
    ({ height, outline }) =>
      height >= HIGH && (insidePolygon(place, outline) || distanceToPolygon(place, outline) < BESIDE),
  );
  return found?.name ?? null;
}

/**
 * Moves the receiver on by `seconds` while the pole is at `place`; `steady`: how well it is held, standard deviation.
 */
export function receiverOn(
  receiver: SimulatedReceiver,
  truth: GroundTruth,
  place: PlanPoint,
  { walking, steady, seconds }: { readonly walking: boolean; readonly steady: Radians; readonly seconds: number },
): SimulatedReceiver {
  if (!receiver.on) return receiver;
  let { random } = receiver;
  const draw = (sd: number): number => {
    const next = normal(random);
    random = next.state;
    return next.value * sd;
  };
  const age = receiver.linked
    ? receiver.age === null || receiver.age + seconds >= CORRECTION_EVERY
      ? Math.max(0.2, (receiver.age ?? 0) + seconds - CORRECTION_EVERY) % CORRECTION_EVERY
      : receiver.age + seconds
    : receiver.age === null
      ? null
      : receiver.age + seconds;
  const holds = age !== null && age <= FIX_LASTS && skyHiddenBy(truth, place) === null;
  const untilFixed = holds ? Math.max(0, receiver.untilFixed - seconds) : FIXING_SECONDS;
  // A first-order Gauss-Markov process; a new fix draws its own.
  const keep = receiver.untilFixed > 0 && untilFixed === 0 ? 0 : Math.exp(-seconds / DRIFT_SECONDS);
  const fresh = Math.sqrt(1 - keep * keep);
  const slow = (value: Metres, sd: Metres): Metres => keep * value + draw(sd) * fresh;
  const drift = {
    e: slow(receiver.drift.e, DRIFT_PLAN),
    n: slow(receiver.drift.n, DRIFT_PLAN),
    z: slow(receiver.drift.z, DRIFT_HEIGHT),
  };
  const sd = walking ? LEAN_WALKING : steady;
  return { ...receiver, random, age, untilFixed, drift, lean: { e: draw(sd), n: draw(sd) } };
}

export function fixOf(receiver: SimulatedReceiver): Fix {
  if (!receiver.on) return 'none';
  if (receiver.age === null || receiver.age > FLOAT_LASTS) return 'single';
  return receiver.untilFixed > 0 ? 'float' : 'fixed';
}

/**
 * What it shows now, of a pole with its tip at `tip`. It works in the coordinates that it was fitted to the site with,
 * so the truth's `receiver` shifts all of its readings alike. Null while it is off.
 */
export function readReceiver(
  receiver: SimulatedReceiver,
  truth: GroundTruth,
  tip: PlanPoint & { readonly z: Metres; readonly targetHeight: Metres },
): { readonly reading: ReceiverReading; readonly receiver: SimulatedReceiver } | null {
  const fix = fixOf(receiver);
  if (fix === 'none') return null;
  let { random } = receiver;
  const draw = (sd: number): number => {
    const next = normal(random);
    random = next.state;
    return next.value * sd;
  };
  const factor = FACTOR_OF[fix];
  const height = tip.targetHeight + receiver.offset;
  const lean = Math.hypot(receiver.lean.e, receiver.lean.n);
  const { dE = 0, dN = 0, dZ = 0 } = truth.receiver ?? {};
  // While it compensates it shows the place of the tip, at the height of a plumb pole.
  const aside = receiver.compensating
    ? { e: 0, n: 0, z: height }
    : { e: height * Math.sin(receiver.lean.e), n: height * Math.sin(receiver.lean.n), z: height * Math.cos(lean) };
  const reading: ReceiverReading = {
    e: tip.e + aside.e + dE + (receiver.drift.e + draw(NOISE_PLAN)) * factor,
    n: tip.n + aside.n + dN + (receiver.drift.n + draw(NOISE_PLAN)) * factor,
    z: tip.z + aside.z + dZ + (receiver.drift.z + draw(NOISE_HEIGHT)) * factor,
    sdPlan: STATED * factor * Math.hypot(NOISE_PLAN, DRIFT_PLAN),
    sdHeight: STATED * factor * Math.hypot(NOISE_HEIGHT, DRIFT_HEIGHT),
    fix,
    correctionAge: receiver.age,
    compensating: receiver.compensating,
    lean,
  };
  return { reading, receiver: { ...receiver, random } };
}

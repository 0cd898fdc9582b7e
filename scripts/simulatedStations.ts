/** Simulated stations for the studies: true marks, what is listed of them, what is read, and what was done wrong. */
import { normal, uniform, type ControlPoint, type Observation, type ResectionInput } from '@idle-marker/core';

const DEGREE = Math.PI / 180;

export interface Mix {
  readonly name: string;
  readonly marks: readonly [number, number];
  readonly distance: readonly [number, number];
  /** Actual noise over the stated one. */
  readonly noise: number;
  readonly faults: 1 | 2;
  /**
   * How errors are spread: normal, with heavy tails of the same variance, or with 5 in 100 of them four times as large.
   */
  readonly errors?: 'normal' | 'tails' | 'outliers';
  /** Actual centring of a target, metres, where it is not the stated one. */
  readonly centring?: number;
}
const ANGLE_SD = (2 / 3600) * DEGREE;
const DISTANCE_SD = 0.0015;
const DISTANCE_RATIO = 2e-6;
const CENTRING_SD = 0.002;
const CONTROL_SD = 0.002;
const TARGET_HEIGHT_SD = 0.001;
const LISTED = 20;
const FOOT = 0.3048;
const EARTH_RADIUS = 6_371_000;
const REFRACTION = 0.13;

export const FAULTS = [
  'MARK_MOVED_PLAN',
  'MARK_MOVED_HEIGHT',
  'POINTS_SWAPPED',
  'POINT_MISNAMED',
  'PRISM_CONSTANT',
  'TARGET_HEIGHT',
  'LENGTH_UNIT',
  'SCALE',
  'DIRECTION_READING',
] as const;
export type Fault = (typeof FAULTS)[number] | 'NONE';

/** Random numbers from one seed. */
export function dice(seed: number) {
  let state = seed | 0;
  const next = (draw: typeof uniform): number => {
    const { value, state: after } = draw(state);
    state = after;
    return value;
  };
  const unit = () => next(uniform);
  return {
    unit,
    gauss: (sd: number) => next(normal) * sd,
    /** Student's distribution with three degrees of freedom, brought to the same variance. */
    tailed: (sd: number) => {
      const [z, ...chi] = Array.from({ length: 4 }, () => next(normal));
      return (sd * z!) / Math.sqrt(chi.reduce((sum, each) => sum + each * each, 0));
    },
    between: (low: number, high: number) => low + (high - low) * unit(),
    whole: (low: number, high: number) => low + Math.floor(unit() * (high - low + 1)),
    sign: () => (unit() < 0.5 ? -1 : 1),
    pick: <T>(from: readonly T[]): T => from[Math.floor(unit() * from.length)]!,
  };
}
export type Dice = ReturnType<typeof dice>;

export interface TrueMark {
  readonly name: string;
  e: number;
  n: number;
  z: number;
}

/** Marks about the station at 0, 0, on at least half of the horizon. */
export function marksAbout(die: Dice, count: number, [near, far]: readonly [number, number]): TrueMark[] {
  for (;;) {
    const azimuths = Array.from({ length: count }, () => die.between(0, 2 * Math.PI)).sort((a, b) => a - b);
    const gaps = azimuths.map((azimuth, i) => (azimuths[(i + 1) % count]! - azimuth + 2 * Math.PI) % (2 * Math.PI));
    if (Math.max(...gaps) > Math.PI) continue;
    return azimuths.map((azimuth, i) => {
      const distance = die.between(near, far);
      return {
        name: `K${i + 1}`,
        e: distance * Math.sin(azimuth),
        n: distance * Math.cos(azimuth),
        z: die.between(-4, 4),
      };
    });
  }
}

/** A slip of the keys: one digit of degrees or minutes wrong, or two neighbouring ones exchanged. */
function slipped(die: Dice, circle: number): number {
  for (;;) {
    const text = `${String(Math.floor(circle / DEGREE)).padStart(3, '0')}${String(Math.floor(((circle / DEGREE) % 1) * 60)).padStart(2, '0')}`;
    const digits = [...text].map(Number);
    const at = die.whole(0, 4);
    if (die.unit() < 0.5) digits[at] = die.whole(0, 9);
    else if (at < 4) [digits[at], digits[at + 1]] = [digits[at + 1]!, digits[at]!];
    const degrees = digits[0]! * 100 + digits[1]! * 10 + digits[2]!;
    const minutes = digits[3]! * 10 + digits[4]!;
    if (degrees >= 360 || minutes >= 60 || digits.join('') === text) continue;
    const rest = circle - (Math.floor(circle / DEGREE) + Math.floor(((circle / DEGREE) % 1) * 60) / 60) * DEGREE;
    return (degrees + minutes / 60) * DEGREE + rest;
  }
}

/** Draws an error of a standard deviation. */
type Errors = (sd: number) => number;

/** What every studied station is stationed with. */
export const STUDIED: Pick<ResectionInput, 'instrument' | 'setup' | 'reduction'> = {
  instrument: { angleSd: ANGLE_SD, distanceSd: DISTANCE_SD, distanceSdRatio: DISTANCE_RATIO },
  setup: { instrumentHeight: 1.6, instrumentHeightSd: 0.001 },
  reduction: {
    combinedScaleFactor: 1,
    refraction: REFRACTION,
    earthRadius: EARTH_RADIUS,
    prismConstant: 0,
    atmosphericRatio: 0,
  },
};

/** A mark as it is listed: not quite where it is. */
export const listedFrom = (error: Errors, mark: TrueMark): ControlPoint => ({
  name: mark.name,
  e: mark.e + error(CONTROL_SD),
  n: mark.n + error(CONTROL_SD),
  z: mark.z + error(CONTROL_SD),
  sdPlan: CONTROL_SD,
  sdHeight: CONTROL_SD,
});

interface Told {
  readonly scale: number;
  readonly ofAll: (slope: number) => number;
  readonly centring: number;
}

/** A sight from 0, 0 to a mark, with errors. */
export function sight(
  error: Errors,
  mark: TrueMark,
  orientation: number,
  told: Told = { scale: 1, ofAll: (slope) => slope, centring: CENTRING_SD },
): Observation {
  const e = mark.e + error(told.centring);
  const n = mark.n + error(told.centring);
  const targetHeight = 1.5;
  const level = Math.hypot(e, n) * told.scale;
  const drop = ((1 - REFRACTION) * level * level) / (2 * EARTH_RADIUS);
  const rise = mark.z + targetHeight + error(TARGET_HEIGHT_SD) - 1.6 - drop;
  const slope = Math.hypot(level, rise);
  const circle = Math.atan2(e, n) - orientation + error(ANGLE_SD);
  return {
    point: mark.name,
    face: 1,
    circle: ((circle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI),
    zenith: Math.atan2(level, rise) + error(ANGLE_SD),
    slope: told.ofAll(slope + error(Math.hypot(DISTANCE_SD, DISTANCE_RATIO * slope))),
    targetHeight,
    targetHeightSd: TARGET_HEIGHT_SD,
    targetCentringSd: CENTRING_SD,
    usePlan: true,
    useHeight: true,
  };
}

export interface Made {
  readonly input: ResectionInput;
  /** What would be right: code and marks. */
  readonly truth: readonly { readonly code: Fault; readonly points: readonly string[] }[];
}

export function make(die: Dice, mix: Mix, faults: readonly Fault[]): Made {
  const error = (sd: number): number => {
    const size = sd * mix.noise;
    if (mix.errors === 'tails') return die.tailed(size);
    return die.gauss(mix.errors === 'outliers' && die.unit() < 0.05 ? 4 * size : size);
  };
  const marks = marksAbout(die, die.whole(...mix.marks), mix.distance);
  const names = marks.map((mark) => mark.name);
  const truth: { code: Fault; points: string[] }[] = [];
  const points = marks.map((mark) => listedFrom(error, mark));
  while (points.length < LISTED) {
    const place = { e: die.between(-160, 160), n: die.between(-160, 160), z: die.between(-4, 4) };
    points.push({ name: `K${points.length + 1}`, ...place, sdPlan: CONTROL_SD, sdHeight: CONTROL_SD });
  }
  const orientation = die.between(0, 2 * Math.PI);
  const misread: Record<string, (observation: Observation) => Observation> = {};
  let ofAll = (slope: number) => slope;
  let scale = 1;
  for (const fault of faults) {
    const name = die.pick(names.filter((each) => !(each in misread)));
    const mark = marks.find((each) => each.name === name)!;
    truth.push({ code: fault, points: [name] });
    const about = truth.at(-1)!;
    if (fault === 'MARK_MOVED_PLAN') {
      const bearing = die.between(0, 2 * Math.PI);
      const by = die.between(0.018, 0.06);
      mark.e += by * Math.sin(bearing);
      mark.n += by * Math.cos(bearing);
    } else if (fault === 'MARK_MOVED_HEIGHT') mark.z += die.sign() * die.between(0.015, 0.05);
    else if (fault === 'POINTS_SWAPPED') {
      const other = die.pick(names.filter((each) => each !== name));
      misread[name] = (observation) => ({ ...observation, point: other });
      misread[other] = (observation) => ({ ...observation, point: name });
      about.points = [name, other].sort();
    } else if (fault === 'POINT_MISNAMED') {
      // The one that was sighted is listed; another name that was not sighted is given for it.
      const given = points[die.whole(marks.length, LISTED - 1)]!.name;
      misread[name] = (observation) => ({ ...observation, point: given });
      about.points = [given, name];
    } else if (fault === 'TARGET_HEIGHT') {
      const by = (die.sign() * die.whole(1, 10)) / 10;
      misread[name] = (observation) => ({ ...observation, targetHeight: observation.targetHeight + by });
    } else if (fault === 'DIRECTION_READING')
      misread[name] = (observation) => ({ ...observation, circle: slipped(die, observation.circle) });
    else {
      about.points = [];
      if (fault === 'PRISM_CONSTANT') {
        const by = die.sign() * die.between(0.012, 0.04);
        ofAll = (slope) => slope + by;
      } else if (fault === 'LENGTH_UNIT') {
        const factor = die.unit() < 0.5 ? FOOT : 1 / FOOT;
        ofAll = (slope) => slope * factor;
      } else if (fault === 'SCALE') scale = 1 + die.sign() * die.between(250e-6, 900e-6);
    }
  }
  const observations = marks.map((mark): Observation => {
    const observation = sight(error, mark, orientation, { scale, ofAll, centring: mix.centring ?? CENTRING_SD });
    return misread[mark.name]?.(observation) ?? observation;
  });
  return { truth, input: { ...STUDIED, freeScale: false, points, observations } };
}

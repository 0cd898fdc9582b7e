/**
 * How often the right fault is named: simulated stations, a tenth of them faultless, the rest with one fault (or two).
 * Run with `npm run study -- [COUNT] [SEED]`. Not a test: it prints tables and takes its time.
 */
import { explainMisfit, normal, uniform, type ControlPoint, type Observation, type ResectionInput } from '@idle-marker/core';

const [countText = '2000', seedText = '1'] = process.argv.slice(2);
const COUNT = Number(countText);
const DEGREE = Math.PI / 180;

interface Mix {
  readonly name: string;
  readonly marks: readonly [number, number];
  readonly distance: readonly [number, number];
  /** Actual noise over the stated one. */
  readonly noise: number;
  readonly faults: 1 | 2;
}
const MIXES: readonly Mix[] = [
  { name: 'as stated', marks: [4, 8], distance: [15, 150], noise: 1, faults: 1 },
  { name: 'three marks', marks: [3, 3], distance: [15, 150], noise: 1, faults: 1 },
  { name: 'five marks at 20 to 60 m', marks: [5, 5], distance: [20, 60], noise: 1, faults: 1 },
  { name: 'noise a third over the stated one', marks: [4, 8], distance: [15, 150], noise: 4 / 3, faults: 1 },
  { name: 'two faults at once', marks: [4, 8], distance: [15, 150], noise: 1, faults: 2 },
];

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

const FAULTS = [
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
type Fault = (typeof FAULTS)[number] | 'NONE';

/** Random numbers from one seed. */
function dice(seed: number) {
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
    between: (low: number, high: number) => low + (high - low) * unit(),
    whole: (low: number, high: number) => low + Math.floor(unit() * (high - low + 1)),
    sign: () => (unit() < 0.5 ? -1 : 1),
    pick: <T>(from: readonly T[]): T => from[Math.floor(unit() * from.length)]!,
  };
}
type Dice = ReturnType<typeof dice>;

interface TrueMark {
  readonly name: string;
  e: number;
  n: number;
  z: number;
}

/** Marks about the station at 0, 0, on at least half of the horizon. */
function marksAbout(die: Dice, count: number, [near, far]: readonly [number, number]): TrueMark[] {
  for (;;) {
    const azimuths = Array.from({ length: count }, () => die.between(0, 2 * Math.PI)).sort((a, b) => a - b);
    const gaps = azimuths.map((azimuth, i) => (azimuths[(i + 1) % count]! - azimuth + 2 * Math.PI) % (2 * Math.PI));
    if (Math.max(...gaps) > Math.PI) continue;
    return azimuths.map((azimuth, i) => {
      const distance = die.between(near, far);
      return { name: `K${i + 1}`, e: distance * Math.sin(azimuth), n: distance * Math.cos(azimuth), z: die.between(-4, 4) };
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

interface Made {
  readonly input: ResectionInput;
  /** What would be right: code and marks. */
  readonly truth: readonly { readonly code: Fault; readonly points: readonly string[] }[];
}

function make(die: Dice, mix: Mix, faults: readonly Fault[]): Made {
  const marks = marksAbout(die, die.whole(...mix.marks), mix.distance);
  const names = marks.map((mark) => mark.name);
  const truth: { code: Fault; points: string[] }[] = [];
  const points: ControlPoint[] = marks.map((mark) => ({
    name: mark.name,
    e: mark.e + die.gauss(CONTROL_SD * mix.noise),
    n: mark.n + die.gauss(CONTROL_SD * mix.noise),
    z: mark.z + die.gauss(CONTROL_SD * mix.noise),
    sdPlan: CONTROL_SD,
    sdHeight: CONTROL_SD,
  }));
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
    } else if (fault === 'DIRECTION_READING') misread[name] = (observation) => ({ ...observation, circle: slipped(die, observation.circle) });
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
    const e = mark.e + die.gauss(CENTRING_SD * mix.noise);
    const n = mark.n + die.gauss(CENTRING_SD * mix.noise);
    const targetHeight = 1.5;
    const level = Math.hypot(e, n) * scale;
    const drop = ((1 - REFRACTION) * level * level) / (2 * EARTH_RADIUS);
    const rise = mark.z + targetHeight + die.gauss(TARGET_HEIGHT_SD * mix.noise) - 1.6 - drop;
    const slope = Math.hypot(level, rise);
    const circle = Math.atan2(e, n) - orientation + die.gauss(ANGLE_SD * mix.noise);
    const observation: Observation = {
      point: mark.name,
      face: 1,
      circle: ((circle % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI),
      zenith: Math.atan2(level, rise) + die.gauss(ANGLE_SD * mix.noise),
      slope: ofAll(slope + die.gauss(Math.hypot(DISTANCE_SD, DISTANCE_RATIO * slope) * mix.noise)),
      targetHeight,
      targetHeightSd: TARGET_HEIGHT_SD,
      targetCentringSd: CENTRING_SD,
      usePlan: true,
      useHeight: true,
    };
    return misread[mark.name]?.(observation) ?? observation;
  });
  return {
    truth,
    input: {
      instrument: { angleSd: ANGLE_SD, distanceSd: DISTANCE_SD, distanceSdRatio: DISTANCE_RATIO },
      setup: { instrumentHeight: 1.6, instrumentHeightSd: 0.001 },
      reduction: { combinedScaleFactor: 1, refraction: REFRACTION, earthRadius: EARTH_RADIUS, prismConstant: 0, atmosphericRatio: 0 },
      freeScale: false,
      points,
      observations,
    },
  };
}

interface Row {
  cases: number;
  right: number;
  cannotTell: number;
  wrong: number;
  missed: number;
}

function study(mix: Mix, seed: number): Map<string, Row> {
  const rows = new Map<string, Row>();
  for (let i = 0; i < COUNT; i++) {
    const die = dice(seed * 1_000_003 + i * 7919);
    const faults: Fault[] = mix.faults === 2 ? twoFaults(die) : i % 10 === 0 ? [] : [FAULTS[i % FAULTS.length]!];
    const { input, truth } = make(die, mix, faults);
    const key = mix.faults === 2 ? 'two faults' : (faults[0] ?? 'NONE');
    const row = rows.get(key) ?? { cases: 0, right: 0, cannotTell: 0, wrong: 0, missed: 0 };
    rows.set(key, row);
    row.cases++;
    const explained = explainMisfit(input);
    if (!explained.ok || explained.value.best === null) row.cannotTell++;
    else {
      const { best, also } = explained.value;
      const named = [best, ...(also ? [also] : [])];
      const isTrue = (each: typeof best) => truth.some((fault) => fault.code === each.code && fault.points.join() === each.points.join());
      if (truth.length === 0) row[best.code === 'NONE' && !also ? 'right' : 'wrong']++;
      else if (best.code === 'NONE') row.missed++;
      else row[named.every(isTrue) ? 'right' : 'wrong']++;
    }
  }
  return rows;
}

function twoFaults(die: Dice): Fault[] {
  const first = die.pick(FAULTS);
  return [first, die.pick(FAULTS.filter((each) => each !== first))];
}

for (const mix of MIXES) {
  console.log(`\n${mix.name}, ${COUNT} stations, seed ${seedText}; in 100 of each kind`);
  console.log('fault               cases   right  can’t tell   wrong  missed');
  const rows = study(mix, Number(seedText));
  const all: Row = { cases: 0, right: 0, cannotTell: 0, wrong: 0, missed: 0 };
  for (const row of rows.values()) for (const field of Object.keys(all) as (keyof Row)[]) all[field] += row[field];
  for (const [name, row] of [...[...rows].sort(([a], [b]) => a.localeCompare(b)), ['all', all] as const]) {
    const share = (value: number) => ((100 * value) / row.cases).toFixed(1).padStart(8);
    console.log(`${name.padEnd(18)}${String(row.cases).padStart(7)}${share(row.right)}${share(row.cannotTell)}    ${share(row.wrong)}${share(row.missed)}`);
  }
}

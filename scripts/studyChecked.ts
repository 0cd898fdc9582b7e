/**
 * What stations promise: of those called checked with nothing wrong, how many are off by more than the work bears; how
 * many good ones are asked for another mark; whether "good to 95 %" covers what it says, also where it can't be told
 * what is wrong. Run with `npm run study:checked -- [COUNT] [SEED]`. Not a test: it prints tables and takes its time.
 */
import {
  judgeStation,
  obstaclesTo,
  planDistance,
  type JudgedStation,
  type Observation,
  type ResectionInput,
} from '@idle-marker/core';
import { dice, listedFrom, sight, STUDIED, type Dice, type TrueMark } from './simulatedStations.ts';

const [countText = '20000', seedText = '1'] = process.argv.slice(2);
const COUNT = Number(countText);
const CLASS = 0.01;
const ASKED = { plan: CLASS, height: 0.005, work: [] };
const GRID = { plan: ASKED.plan, height: ASKED.height, leastMarks: 3 };
/** A mistake may hide up to so many times the class. */
const BORNE = 3 * CLASS;

const SHAPES = ['all round', 'half', 'sector', 'cluster', 'stacked', 'line'] as const;
type Shape = (typeof SHAPES)[number];

/** Marks about a station at 0, 0: spread, in a sector, in clusters, several targets on one post, along a line. */
function marksOf(die: Dice, shape: Shape, count: number): TrueMark[] {
  const mark = (i: number, azimuth: number, distance: number): TrueMark => ({
    name: `K${i + 1}`,
    e: distance * Math.sin(azimuth),
    n: distance * Math.cos(azimuth),
    z: die.between(-4, 4),
  });
  const away = () => die.between(12, 150);
  const turn = die.between(0, 2 * Math.PI);
  if (shape === 'all round')
    return Array.from({ length: count }, (_, i) =>
      mark(i, turn + ((i + die.between(-0.25, 0.25)) * 2 * Math.PI) / count, die.between(30, 150)),
    );
  if (shape === 'half') return Array.from({ length: count }, (_, i) => mark(i, turn + die.between(0, Math.PI), away()));
  if (shape === 'sector') {
    const width = die.between(0.15, 1.3);
    return Array.from({ length: count }, (_, i) => mark(i, turn + die.between(0, width), away()));
  }
  const first = [mark(0, turn, away()), mark(1, turn + die.between(0.3, 5.5), away())];
  if (shape === 'line') {
    const [a, b] = first as [TrueMark, TrueMark];
    return Array.from({ length: count }, (_, i) => {
      const t = die.between(-0.5, 1.5);
      return { name: `K${i + 1}`, e: a.e + t * (b.e - a.e), n: a.n + t * (b.n - a.n), z: die.between(-4, 4) };
    });
  }
  const reach = shape === 'stacked' ? 0.2 : 3;
  const posts =
    shape === 'stacked' && die.unit() < 0.5 ? [...first, mark(2, turn + die.between(0.3, 5.5), away())] : first;
  return Array.from({ length: count }, (_, i) => {
    if (i < posts.length) return posts[i]!;
    const of = die.pick(posts);
    return {
      name: `K${i + 1}`,
      e: of.e + die.between(-reach, reach),
      n: of.n + die.between(-reach, reach),
      z: die.between(-4, 4),
    };
  });
}

/** A station with noise, and perhaps one place that moved with everything on it. */
function station(die: Dice, marks: readonly TrueMark[], moved: boolean): ResectionInput {
  const points = marks.map((mark) => listedFrom(die.gauss, mark));
  const knocked = die.pick(marks);
  const by = moved ? die.between(0.01, 0.4) : 0;
  const bearing = die.between(0, 2 * Math.PI);
  const orientation = die.between(0, 2 * Math.PI);
  const observations = marks.map((mark): Observation => {
    const along = planDistance(mark, knocked) <= 0.5 ? by : 0;
    return sight(
      die.gauss,
      { ...mark, e: mark.e + along * Math.sin(bearing), n: mark.n + along * Math.cos(bearing) },
      orientation,
    );
  });
  return { ...STUDIED, freeScale: false, points, observations };
}

const judge = (input: ResectionInput): JudgedStation | null => {
  const judged = judgeStation(input, { asked: ASKED });
  return judged.ok && judged.value.result ? judged.value : null;
};

const isClear = ({ judgement }: JudgedStation): boolean =>
  judgement.explained!.best?.code === 'NONE' && !judgement.explained!.also && judgement.checkability !== 'unchecked';
const offBy = ({ result }: JudgedStation): number => Math.hypot(result!.e, result!.n);
const share = (count: number, of: number): string =>
  `${((100 * count) / Math.max(1, of)).toFixed(2).padStart(7)} %  (${count} of ${of})`;

console.log(
  `one place moved by 10 to 400 mm, 3 to 8 marks in every shape, class ${CLASS * 1000} mm, ${COUNT} stations, seed ${seedText}`,
);
const clear = { all: 0, off: 0 };
const byShape = new Map(SHAPES.map((shape) => [shape, { all: 0, off: 0, unchecked: 0, stations: 0 }]));
const unsure = { all: 0, unbounded: 0, covered: 0, naive: 0 };
for (let i = 0; i < COUNT; i++) {
  const die = dice(Number(seedText) * 1_000_003 + i * 7919);
  const shape = SHAPES[i % SHAPES.length]!;
  const judged = judge(station(die, marksOf(die, shape, die.whole(3, 8)), true));
  if (!judged) continue;
  const row = byShape.get(shape)!;
  row.stations++;
  if (judged.judgement.checkability === 'unchecked') row.unchecked++;
  if (isClear(judged)) {
    clear.all++;
    row.all++;
    if (offBy(judged) > BORNE) {
      clear.off++;
      row.off++;
    }
  }
  if (judged.judgement.explained!.best === null) {
    unsure.all++;
    if (judged.judgement.goodTo === null) unsure.unbounded++;
    else if (offBy(judged) <= judged.judgement.goodTo) unsure.covered++;
    if (offBy(judged) <= judged.result!.ellipse95.a) unsure.naive++;
  }
}
console.log(
  `called checked or traceable with nothing wrong, off by more than ${BORNE * 1000} mm: ${share(clear.off, clear.all)}   asked: at most 1 %`,
);
for (const [shape, row] of byShape)
  console.log(`  ${shape.padEnd(10)} ${share(row.off, row.all)}   unchecked ${share(row.unchecked, row.stations)}`);
console.log(
  `can't tell: the range given covers the true place ${share(unsure.covered, unsure.all - unsure.unbounded)}   asked: at least 90 %`,
);
console.log(`            no range is given, nothing bounds it    ${share(unsure.unbounded, unsure.all)}`);
console.log(`            the ellipse of the fit would have       ${share(unsure.naive, unsure.all)}`);

console.log(`\nfaultless, marks all round at 30 to 150 m`);
for (const marks of [3, 4, 5, 6]) {
  const row = { checkable: 0, judged: 0, accepted: 0, covered: 0, all: 0 };
  for (let i = 0; i < COUNT / 5; i++) {
    const die = dice(Number(seedText) * 2_000_003 + i * 104_729 + marks);
    const judged = judge(station(die, marksOf(die, 'all round', marks), false));
    if (!judged) continue;
    row.all++;
    if (judged.judgement.checkability !== 'unchecked') row.checkable++;
    if (judged.judgement.verdict === 'checked') row.judged++;
    if (
      judged.judgement.verdict === 'checked' &&
      obstaclesTo({ result: judged.result!, judgement: judged.judgement }, GRID, true).length === 0
    )
      row.accepted++;
    if (offBy(judged) <= judged.judgement.goodTo!) row.covered++;
  }
  console.log(
    `${marks} marks: no further mark asked ${share(row.checkable, row.all)}   judged checked ${share(row.judged, row.all)}   accepted ${share(row.accepted, row.all)}   good to 95 % covers ${share(row.covered, row.all)}`,
  );
}

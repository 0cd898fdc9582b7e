/** Times of the computation, in a warm process. Run with `npm run bench`. */
import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import {
  freeReliability,
  freeStation,
  judgeStation,
  judgeTrust,
  polar,
  reduceObservations,
  resection,
  walkingOrder,
  type ResectionInput,
} from '@idle-marker/core';
import { resectionInputOf } from '@idle-marker/contract';
import { hubPlans } from '@idle-marker/records';
import { judgedStation } from './judgedStation.ts';
import { trustSite } from '../core/test/trustSite.ts';

const file = 'cli/test/reference/station/resection-04-six-points.json';
const input: ResectionInput = resectionInputOf((JSON.parse(readFileSync(file, 'utf8')) as { input: never }).input);

/** The same plan problem for a general solver: residuals divided by their standard deviations, all observed as zero. */
const byName = new Map(input.points.map((point) => [point.name, point]));
const reduced = reduceObservations(input.observations, input.instrument, input.reduction);
const exact = resection(input, { leaveOneOut: false });
if (!exact.ok) throw new Error(exact.error.code);
const rows = reduced.flatMap((each) => {
  const point = byName.get(each.point)!;
  const place = each.targetCentringSd ** 2 + (point.sdPlan ?? 0) ** 2;
  const direction = {
    point,
    value: each.hz,
    sd: Math.sqrt(each.varDirection + place / each.horizontal! ** 2),
    isDirection: true,
  };
  return [direction, { point, value: each.gridDistance!, sd: Math.sqrt(each.varRadial + place), isDirection: false }];
});
const wrap = (angle: number) => Math.atan2(Math.sin(angle), Math.cos(angle));
const model =
  ([e, n, o]: number[]) =>
  (i: number) => {
    const { point, value, sd, isDirection } = rows[i]!;
    const de = point.e! - e!;
    const dn = point.n! - n!;
    return (isDirection ? wrap(Math.atan2(de, dn) - o! - value) : Math.hypot(de, dn) - value) / sd;
  };
const { value: solution } = exact;
const start = [solution.e + 0.5, solution.n - 0.5, solution.orientation + 0.001];
const general = () =>
  levenbergMarquardt({ x: rows.map((_, i) => i), y: rows.map(() => 0) }, model, {
    initialValues: start,
    damping: 1e-3,
    gradientDifference: 1e-7,
    maxIterations: 20,
    errorTolerance: 1e-12,
  });
const found = general().parameterValues;
console.log(
  `the general solver ends ${(Math.hypot(found[0]! - solution.e, found[1]! - solution.n) * 1000).toFixed(3)} mm away`,
);

// What one station promises where 500 marks are still to be set from it.
const read = freeStation(input);
if (!read.ok || !read.value.solved.ok) throw new Error('no station');
const solvedStation = read.value;
const planSolution = read.value.solved.value;
const work500 = Array.from({ length: 500 }, (_, i) => polar(solution, i * 2.39996323, 5 * Math.sqrt(i)));

const listed20 = judgedStation(20);
const listed500 = judgedStation(500);
const site = trustSite({ stations: 200, marksEach: 25, proofsEach: 10, resightsEach: 5, badShare: 0.02 }, 7);
const ring = (i: number) =>
  Array.from({ length: 12 }, (_, k) => ({
    name: `c${k}`,
    ...polar({ e: (i % 20) * 100, n: Math.floor(i / 20) * 100 }, (k * Math.PI) / 6, 30),
  }));
const items5000 = [
  ...Array.from({ length: 200 }, (_, i) => ({
    name: `O${i}`,
    meaning: 'outsideFace' as const,
    designZ: 0,
    rule: 'outline' as const,
    source: 'x',
    corners: ring(i),
  })),
  {
    name: 'Points',
    meaning: 'gridLine' as const,
    designZ: 0,
    rule: 'points' as const,
    source: 'x',
    corners: Array.from({ length: 200 }, (_, i) => ({ name: `p${i}`, e: i, n: i })),
  },
];
// Spread evenly over a hectare, by the golden angle.
const marks300 = Array.from({ length: 300 }, (_, i) => polar({ e: 0, n: 0 }, i * 2.39996323, 5.6 * Math.sqrt(i)));
const bench = new Bench({ time: 1500, warmupTime: 500 });
bench
  .add('resection, six targets, without leave-one-out', () => {
    resection(input, { leaveOneOut: false });
  })
  .add('resection, six targets, with leave-one-out', () => {
    resection(input);
  })
  .add('ml-levenberg-marquardt, the same plan problem', () => {
    general();
  });
bench
  .add('judgement, ten sights, every explanation, 20 listed marks', () => {
    judgeStation(listed20);
  })
  .add('judgement, ten sights, every explanation, 500 listed marks', () => {
    judgeStation(listed500);
  })
  .add('checkability, six targets, 500 marks still to be set', () => {
    freeReliability(solvedStation, planSolution, { plan: 0.01, height: 0.005, work: work500 });
  })
  .add('rules for 5000 marks: 200 outlines of twelve corners, and 200 points', () => {
    hubPlans(items5000, 2, 'M');
  })
  .add('walk through 300 marks, put in order', () => {
    walkingOrder({ e: 0, n: 0 }, marks300);
  })
  .add('trust, 200 stations, 5000 marks, 2000 proofs, 1000 re-sights', () => {
    judgeTrust(site);
  });
await bench.run();
console.table(bench.table());
const mean = (name: string) => {
  const result = bench.getTask(name)?.result;
  return result && 'latency' in result ? result.latency.mean : NaN;
};
const ratio =
  mean('ml-levenberg-marquardt, the same plan problem') / mean('resection, six targets, without leave-one-out');
console.log(`resection is ${ratio.toFixed(0)} times as fast as the general solver`);
await import('./benchRoads.ts');

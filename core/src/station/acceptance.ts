/** Whether a station may be accepted for a tolerance class, and how well its own sights check it. */
import { NORMAL_95_FACTOR } from '../adjust/criticalValues.ts';
import type { Metres } from '../quantity/unit.ts';
import type { ResectionResult } from './resection.ts';

/** What a crew's work asks of plan and height, and of the station under it. */
export interface ToleranceClass {
  readonly plan: Metres;
  readonly height: Metres;
  /** Least number of control marks used. */
  readonly leastMarks: number;
}

/** From its own sights: nothing would catch a mistake; a mistake would show; one bad mark could be named. */
export type Checkability = 'unchecked' | 'checked' | 'traceable';

export const marksUsedInPlan = (result: ResectionResult): string[] => [
  ...new Set(result.observations.filter((each) => each.direction !== null || each.distance !== null).map((each) => each.reduced.point)),
];

const usedMarks = (result: ResectionResult): Set<string> =>
  new Set(result.observations.filter((each) => each.direction ?? each.distance ?? each.height).map((each) => each.reduced.point));

/** Less of a mistake than this would show in the residuals of a mark: then nothing checks it. */
const LEAST_SHOWN = 0.01;

/**
 * From redundancy numbers, not from a count alone: a mistake shows where some of it goes into the residuals, and a bad mark
 * can be named where the rest would still check itself without it.
 */
export function checkability(result: ResectionResult): Checkability {
  const marks = marksUsedInPlan(result);
  if (marks.length < 3 || result.fit.dof === 0) return 'unchecked';
  let traceable = marks.length > 3;
  for (const mark of marks) {
    const redundancies = result.observations
      .filter((each) => each.reduced.point === mark)
      .flatMap(({ direction, distance }) => [direction?.redundancy, distance?.redundancy])
      .filter((each) => each !== undefined);
    if (Math.max(...redundancies) < LEAST_SHOWN) return 'unchecked';
    if (result.fit.dof - redundancies.length < 1) traceable = false;
  }
  return traceable ? 'traceable' : 'checked';
}

/** One thing that stands against accepting the station for the class. */
export type Obstacle =
  | { readonly code: 'TOO_FEW_MARKS'; readonly used: number; readonly needed: number }
  | { readonly code: 'PLAN_IMPRECISE'; readonly radius95: Metres; readonly allowed: Metres }
  | { readonly code: 'HEIGHT_IMPRECISE'; readonly interval95: Metres; readonly allowed: Metres }
  | { readonly code: 'NO_HEIGHT' }
  | { readonly code: 'PLAN_MISFIT'; readonly s0: number }
  | { readonly code: 'HEIGHT_MISFIT'; readonly s0: number }
  | { readonly code: 'MARK_MISFIT'; readonly name: string; readonly distance: Metres }
  | { readonly code: 'MARK_HEIGHT_MISFIT'; readonly name: string; readonly dZ: Metres }
  /** Made from an earlier station and confirmed by none since. */
  | { readonly code: 'MARK_UNPROVEN'; readonly name: string };

/**
 * Everything that stands against accepting; empty when nothing does. Plan-only work does not ask for a height.
 *
 * @param alsoHeld marks or lines that hold the station beside those sighted
 * @param unproven names of control of one's own that no second station has confirmed
 */
export function obstaclesTo(
  result: ResectionResult,
  asked: ToleranceClass,
  needsHeight: boolean,
  alsoHeld = 0,
  unproven: ReadonlySet<string> = new Set(),
): Obstacle[] {
  const obstacles: Obstacle[] = [];
  const used = marksUsedInPlan(result).length + alsoHeld;
  if (used < asked.leastMarks) obstacles.push({ code: 'TOO_FEW_MARKS', used, needed: asked.leastMarks });
  if (result.ellipse95.a > asked.plan) obstacles.push({ code: 'PLAN_IMPRECISE', radius95: result.ellipse95.a, allowed: asked.plan });
  if (result.fit.globalTest?.verdict === 'aboveUpper') obstacles.push({ code: 'PLAN_MISFIT', s0: result.fit.s0! });
  for (const point of result.points) {
    if (!point.leaveOneOut?.exceeds) continue;
    obstacles.push({ code: 'MARK_MISFIT', name: point.name, distance: Math.hypot(point.leaveOneOut.dE, point.leaveOneOut.dN) });
  }
  for (const name of usedMarks(result)) if (unproven.has(name)) obstacles.push({ code: 'MARK_UNPROVEN', name });
  return needsHeight ? [...obstacles, ...heightObstacles(result, asked)] : obstacles;
}

function heightObstacles(result: ResectionResult, asked: ToleranceClass): Obstacle[] {
  const { height } = result;
  if (!height) return [{ code: 'NO_HEIGHT' }];
  const obstacles: Obstacle[] = [];
  const interval95 = NORMAL_95_FACTOR * height.sdTrunnionZ;
  if (interval95 > asked.height) obstacles.push({ code: 'HEIGHT_IMPRECISE', interval95, allowed: asked.height });
  if (height.fit.globalTest?.verdict === 'aboveUpper') obstacles.push({ code: 'HEIGHT_MISFIT', s0: height.fit.s0! });
  for (const point of result.points) {
    if (!point.leaveOneOutHeight?.exceeds) continue;
    obstacles.push({ code: 'MARK_HEIGHT_MISFIT', name: point.name, dZ: point.leaveOneOutHeight.dZ });
  }
  return obstacles;
}

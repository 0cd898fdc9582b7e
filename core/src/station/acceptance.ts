/** Whether a station may be accepted for a tolerance class: from the same figures as its judgement. */
import { NORMAL_95_FACTOR } from '../adjust/criticalValues.ts';
import { fitsByChance } from '../adjust/globalTest.ts';
import type { Metres } from '../quantity/unit.ts';
import type { Explanation } from './explain/explanation.ts';
import type { Judgement } from './judgement.ts';
import { MOST_HIDDEN, type Unnoticed } from './reliability.ts';
import type { ResectionResult } from './resection.ts';

/** What a crew's work asks of plan and height, and of the station under it. */
export interface ToleranceClass {
  readonly plan: Metres;
  readonly height: Metres;
  /** Least number of control marks used. */
  readonly leastMarks: number;
}

export const marksUsedInPlan = (result: ResectionResult): string[] => [
  ...new Set(
    result.observations
      .filter((each) => each.direction !== null || each.distance !== null)
      .map((each) => each.reduced.point),
  ),
];

const usedMarks = (result: ResectionResult): Set<string> =>
  new Set(
    result.observations
      .filter((each) => each.direction ?? each.distance ?? each.height)
      .map((each) => each.reduced.point),
  );

/** One thing that stands against accepting the station for the class. */
export type Obstacle =
  /** Places, not names: what stands on one post counts once. */
  | { readonly code: 'TOO_FEW_MARKS'; readonly used: number; readonly needed: number }
  /** A mistake would do more than the work bears before it were noticed; `null`: nothing is tested at all. */
  | { readonly code: 'HARDLY_CHECKED'; readonly of: Unnoticed | null; readonly allowed: Metres }
  | {
      readonly code: 'HEIGHT_HARDLY_CHECKED';
      readonly names: readonly string[];
      readonly effect: Metres;
      readonly allowed: Metres;
    }
  | { readonly code: 'PLAN_IMPRECISE'; readonly radius95: Metres; readonly allowed: Metres }
  /** Something is wrong, and nothing bounds what it does. */
  | { readonly code: 'PLAN_UNBOUNDED' }
  | { readonly code: 'HEIGHT_IMPRECISE'; readonly interval95: Metres; readonly allowed: Metres }
  | { readonly code: 'NO_HEIGHT' }
  | { readonly code: 'PLAN_MISFIT'; readonly s0: number }
  | { readonly code: 'HEIGHT_MISFIT'; readonly s0: number }
  /** Neither part by itself is worse than chance, both together are. */
  | { readonly code: 'MISFIT'; readonly s0: number }
  /** A fault that is named; the mark it is about is not told twice. */
  | { readonly code: 'FAULT'; readonly explanation: Explanation }
  /** Something is wrong, and it can't be told what. */
  | { readonly code: 'CANNOT_TELL'; readonly first: Explanation; readonly second: Explanation | null }
  | { readonly code: 'LINE_MISFIT'; readonly name: string; readonly off: Metres }
  /** `isUsed`: false where the direction was typed, and the mark only compared. */
  | { readonly code: 'MARK_MISFIT'; readonly name: string; readonly distance: Metres; readonly isUsed: boolean }
  | { readonly code: 'MARK_HEIGHT_MISFIT'; readonly name: string; readonly dZ: Metres }
  /** The height is taken from the mark under the instrument, and the benchmarks put that mark elsewhere. */
  | { readonly code: 'OCCUPIED_HEIGHT_MISFIT'; readonly name: string; readonly dZ: Metres }
  | { readonly code: 'HEIGHTS_DISAGREE'; readonly names: readonly string[]; readonly largest: Metres }
  /** Made from an earlier station and confirmed by none since. */
  | { readonly code: 'MARK_UNPROVEN'; readonly name: string };

/** Work that asks for no more than two marks is done with stations that nothing checks, and says so. */
const CHECKED_FROM = 3;

type JudgedFor = Pick<Judgement, 'reliability' | 'goodTo' | 'checkability' | 'because'>;

/**
 * Everything that stands against accepting; empty when nothing does. Plan-only work does not ask for a height.
 *
 * @param alsoHeld marks or lines that hold the station beside those sighted
 * @param unproven names of control of one's own that no second station has confirmed
 */
export function obstaclesTo(
  { result, judgement }: { readonly result: ResectionResult; readonly judgement: JudgedFor },
  asked: ToleranceClass,
  needsHeight: boolean,
  alsoHeld = 0,
  unproven: ReadonlySet<string> = new Set(),
): Obstacle[] {
  const obstacles: Obstacle[] = [];
  const { reliability, goodTo, checkability } = judgement;
  // The mark under the instrument is one of the places already.
  const used = reliability ? reliability.places.length : marksUsedInPlan(result).length + alsoHeld;
  if (used < asked.leastMarks) obstacles.push({ code: 'TOO_FEW_MARKS', used, needed: asked.leastMarks });
  else if (checkability === 'unchecked' && asked.leastMarks >= CHECKED_FROM)
    obstacles.push({
      code: 'HARDLY_CHECKED',
      of: reliability?.unnoticed[0] ?? null,
      allowed: MOST_HIDDEN * asked.plan,
    });
  if (goodTo === null) obstacles.push({ code: 'PLAN_UNBOUNDED' });
  else if (goodTo > asked.plan) obstacles.push({ code: 'PLAN_IMPRECISE', radius95: goodTo, allowed: asked.plan });
  if (!fitsByChance(result.fit)) obstacles.push({ code: 'PLAN_MISFIT', s0: result.fit.s0! });
  for (const point of result.points) {
    if (!point.leaveOneOut?.exceeds) continue;
    const isUsed = !judgement.because.some((reason) => reason.code === 'ASSUMED_DIRECTION');
    obstacles.push({
      code: 'MARK_MISFIT',
      name: point.name,
      distance: Math.hypot(point.leaveOneOut.dE, point.leaveOneOut.dN),
      isUsed,
    });
  }
  for (const name of usedMarks(result)) if (unproven.has(name)) obstacles.push({ code: 'MARK_UNPROVEN', name });
  if (needsHeight) obstacles.push(...heightObstacles(result, judgement, asked));
  const named = judgement.because.flatMap((reason) =>
    reason.code === 'EXPLAINED' && (needsHeight || reason.explanation.part !== 'height') ? [reason.explanation] : [],
  );
  const rest = obstacles.filter((each) => !isOnlyPulled(each, named));
  return [...faultsBeside(named, rest), ...rest, ...saidAgainst(judgement, needsHeight, rest)];
}

/** A mark that fits badly because something else is wrong, which is named. */
function isOnlyPulled(obstacle: Obstacle, named: readonly Explanation[]): boolean {
  if (obstacle.code !== 'MARK_MISFIT' && obstacle.code !== 'MARK_HEIGHT_MISFIT') return false;
  const about = named.filter(
    (each) => each.part === 'both' || (each.part === 'height') === (obstacle.code === 'MARK_HEIGHT_MISFIT'),
  );
  return about.length > 0 && !about.some((each) => each.points.includes(obstacle.name));
}

/** Faults that are named and that no mark's own misfit tells already. */
function faultsBeside(named: readonly Explanation[], said: readonly Obstacle[]): Obstacle[] {
  const isSaid = ({ code, points }: Explanation) =>
    (code === 'MARK_MOVED_PLAN' && said.some((each) => each.code === 'MARK_MISFIT' && points.includes(each.name))) ||
    (code === 'MARK_MOVED_HEIGHT' &&
      said.some((each) => each.code === 'MARK_HEIGHT_MISFIT' && points.includes(each.name)));
  return named.filter((each) => !isSaid(each)).map((explanation) => ({ code: 'FAULT', explanation }));
}

/**
 * What else the judgement says against its sights, and no figure has said yet: what is refused is not accepted as good.
 */
function saidAgainst({ because }: JudgedFor, needsHeight: boolean, said: readonly Obstacle[]): Obstacle[] {
  const concerns = (each: Explanation) => needsHeight || each.part !== 'height';
  return because.flatMap((reason): Obstacle[] => {
    switch (reason.code) {
      case 'CANNOT_TELL': {
        const { first, second } = reason;
        return concerns(first) || (second && concerns(second)) ? [{ code: 'CANNOT_TELL', first, second }] : [];
      }
      case 'NOISIER_THAN_STATED':
        return needsHeight && !said.some((each) => each.code === 'PLAN_MISFIT' || each.code === 'HEIGHT_MISFIT')
          ? [{ code: 'MISFIT', s0: reason.s0 }]
          : [];
      case 'LINE_OFF':
        return [{ code: 'LINE_MISFIT', name: reason.name, off: reason.off }];
      default:
        return [];
    }
  });
}

/** Of a height that is held otherwise the judgement has said already which one is wrong; the others are only pulled. */
function heldHeightObstacles({ because }: JudgedFor): Obstacle[] {
  return because.flatMap((reason): Obstacle[] => {
    switch (reason.code) {
      case 'OCCUPIED_HEIGHT_OFF':
        return reason.isUsed ? [{ code: 'OCCUPIED_HEIGHT_MISFIT', name: reason.station, dZ: reason.dZ }] : [];
      case 'HEIGHTS_DISAGREE':
        return [{ code: 'HEIGHTS_DISAGREE', names: reason.names, largest: reason.largest }];
      case 'BACKSIGHT_HEIGHT_OFF':
        return [{ code: 'MARK_HEIGHT_MISFIT', name: reason.name, dZ: reason.dZ }];
      default:
        return [];
    }
  });
}
const IS_HELD: ReadonlySet<string> = new Set([
  'OVER_ONE_BACKSIGHT',
  'OVER_SEVERAL_BACKSIGHTS',
  'CARRIED_FORWARD',
  'ASSUMED_DIRECTION',
  'ON_LINES',
]);

function heightObstacles(result: ResectionResult, judgement: JudgedFor, asked: ToleranceClass): Obstacle[] {
  const { reliability } = judgement;
  const { height } = result;
  if (!height) return [{ code: 'NO_HEIGHT' }];
  const obstacles: Obstacle[] = [];
  const interval95 = NORMAL_95_FACTOR * height.sdTrunnionZ;
  if (interval95 > asked.height) obstacles.push({ code: 'HEIGHT_IMPRECISE', interval95, allowed: asked.height });
  const isHeld = judgement.because.some((reason) => IS_HELD.has(reason.code));
  if (!isHeld && !fitsByChance(height.fit)) obstacles.push({ code: 'HEIGHT_MISFIT', s0: height.fit.s0! });
  const [hidden] = reliability?.height?.unnoticed ?? [];
  if (
    hidden &&
    hidden.effect !== null &&
    hidden.effect > MOST_HIDDEN * asked.height &&
    asked.leastMarks >= CHECKED_FROM
  ) {
    obstacles.push({
      code: 'HEIGHT_HARDLY_CHECKED',
      names: hidden.names,
      effect: hidden.effect,
      allowed: MOST_HIDDEN * asked.height,
    });
  }
  if (isHeld) return [...obstacles, ...heldHeightObstacles(judgement)];
  for (const point of result.points) {
    if (!point.leaveOneOutHeight?.exceeds) continue;
    obstacles.push({ code: 'MARK_HEIGHT_MISFIT', name: point.name, dZ: point.leaveOneOutHeight.dZ });
  }
  return obstacles;
}

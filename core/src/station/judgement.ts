/**
 * Plain reading of a station from its own sights: what holds, what does not, and what to do next in the order of action
 * (right mark? right target? plumb? sight again, leave out, other control), as codes with figures.
 */
import { CRITICAL_W } from '../adjust/criticalValues.ts';
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { ControlPoint } from '../sight/observation.ts';
import { marksUsedInPlan } from './acceptance.ts';
import { explainMisfit, isExplicable, shareOf, stillStanding, type Explained } from './explain/explain.ts';
import type { Explanation } from './explain/explanation.ts';
import { extensibleOf, freeReliability, type Extensible } from './freeReliability.ts';
import { furtherSight, SIGHT_ANY } from './furtherSight.ts';
import type { Reason, Step, TellApart, Verdict } from './findings.ts';
import { freeStation, type FreeStation, type ResectionInput } from './freeStation.ts';
import { noiseSource } from './noiseSource.ts';
import { heightTrend, type HeightTrend } from './heightTrend.ts';
import { expectedPole, type PoleSet } from './measuredPoint.ts';
import type { StationError } from './model.ts';
import { resectionOf, type ResectionResult } from './resection.ts';
import {
  largestEffect,
  placesOf,
  USUALLY_ASKED,
  workInReach,
  type AskedOfStation,
  type Checkability,
  type Reliability,
  type Unnoticed,
} from './reliability.ts';
import { spreadOf, type Spread } from './spread.ts';

export interface Judgement {
  readonly verdict: Verdict;
  readonly checkability: Checkability;
  /** What could be wrong without being noticed; null where nothing at all is tested. */
  readonly reliability: Reliability | null;
  /** `best` null: the evidence can't tell. Null over a mark, where no surplus could tell explanations apart. */
  readonly explained: Explained | null;
  /** How far apart the station is under the explanations that still stand; null where it can be told. */
  readonly spread: Spread | null;
  /**
   * What the station may be called good to in plan, 95 %: never less than what its own doubt leaves. Null where nothing
   * bounds it, and without a station.
   */
  readonly goodTo: Metres | null;
  readonly because: readonly Reason[];
  readonly doThis: readonly Step[];
  readonly heightTrend: HeightTrend | null;
}

/** A station in the form of a free one, whichever way it was found, and what to think of it. */
export interface SolvedStation {
  readonly result: ResectionResult;
  readonly judgement: Judgement;
  /** To what further sights are added in thought; null where none can be. */
  readonly extensible: Extensible | null;
}

export interface JudgedStation {
  /** Null when the sights contradict each other so much that, as they are, they give no station. */
  readonly result: ResectionResult | null;
  readonly judgement: Judgement;
  readonly extensible: Extensible | null;
}

/** What a station is judged with beside its sights. */
export interface JudgedWith {
  /** All listed marks, sighted or not: any may be the one that was sighted. Not given: those of the input. */
  readonly listed?: readonly ControlPoint[];
  /** Those that may be sighted next. Not given: what is listed and was not sighted. */
  readonly open?: readonly ControlPoint[];
  /** How often each mark was sighted. */
  readonly times?: ReadonlyMap<string, number>;
  /** What the work asks; not given: the usual figures, and no class to be too coarse for. */
  readonly asked?: AskedOfStation;
  /** The pole that further sights are thought to be made to; not given: that of the first sight. */
  readonly pole?: PoleSet;
}

/** After so many sights to one mark a prettier figure is only fished for. */
const OFTEN = 3;
const NOBODY: ReadonlyMap<string, number> = new Map();

/**
 * Judges a free station. Errors as `resection`; sights that contradict each other are no error but a station that is
 * refused: `UNDETERMINED` is told of geometry alone.
 */
export function judgeStation(input: ResectionInput, judgedWith: JudgedWith = {}): Result<JudgedStation, StationError> {
  const read = freeStation(input);
  if (!read.ok) return read;
  const station = read.value;
  const solved = resectionOf(station);
  if (!solved.ok && !isExplicable(station)) return fail(solved.error);
  const explained = explainMisfit(station, judgedWith.listed);
  // What is wrong with names or units shows in one of the explanations; where none gives a station, it is the geometry.
  if (!solved.ok && explained.explanations.every((each) => each.stands === null)) return fail(solved.error);
  return ok(judgeExplained(station, solved.ok ? solved.value : null, explained, judgedWith));
}

function judgeExplained(
  station: FreeStation,
  result: ResectionResult | null,
  explained: Explained,
  judgedWith: JudgedWith,
): JudgedStation {
  const { best, also, fits } = explained;
  const { times = NOBODY, asked = USUALLY_ASKED, open, listed } = judgedWith;
  const trend = result && heightTrend(result);
  const reliability = station.solved.ok ? freeReliability(station, station.solved.value, asked) : null;
  const checkability = reliability?.state ?? 'unchecked';
  // What nothing checks is bounded by nothing, once something is known to be wrong.
  const bounded = explained.best !== null || !reliability?.unnoticed.some((each) => each.effect === null);
  const spread = result ? spreadOf(result, stillStanding(explained), workInReach(asked, result), bounded) : null;
  const goodTo = result && (spread ? spread.goodTo : result.ellipse95.a);
  // Once a fault is named, its cure comes first: what the station is worth after that is another question.
  const isNamed = best !== null && best.code !== 'NONE';
  const own = reliability ? ownCheck(reliability, asked.plan) : [];
  const tooCoarse = judgedWith.asked !== undefined && goodTo !== null && goodTo > asked.plan;
  const because = [
    ...(isNamed ? [] : own),
    ...whatIsWrong(explained, result),
    ...(isNamed ? own : []),
    ...(tooCoarse && !isNamed ? [{ code: 'TOO_COARSE' as const, radius95: goodTo }] : []),
    // What explains the heights already is not told a second time.
    ...(trend &&
    Math.abs(trend.w) > CRITICAL_W &&
    (best === null || best.code === 'NONE' || (best.part === 'plan' && !also))
      ? [{ code: 'HEIGHT_GROWS' as const, perMetre: trend.perMetre }]
      : []),
    ...[...times]
      .filter(([, count]) => count >= OFTEN)
      .map(([name, count]): Reason => ({ code: 'SIGHTED_OFTEN', name, times: count })),
    ...(result ? aboutHeight(reliability, station) : []),
  ];
  const holds = best?.code === 'NONE' && fits && !also;
  const extensible =
    station.solved.ok && result
      ? extensibleOf(station, station.solved.value, result, judgedWith.pole ?? expectedPole(station.input))
      : null;
  const isWanting = checkability === 'unchecked' && result !== null;
  const further =
    isWanting && extensible
      ? furtherSight(
          extensible,
          station.reduced.map((each) => each.point),
          open ?? listed ?? station.input.points,
          asked,
        )
      : null;
  return {
    result,
    extensible,
    judgement: {
      verdict: verdictOf(
        holds,
        placesOf(station.names.map((name) => station.byName.get(name)!)).length < 3,
        isWanting || tooCoarse,
      ),
      checkability,
      reliability,
      explained,
      spread,
      goodTo,
      because,
      doThis: steps(explained, result, because, further, times),
      heightTrend: trend,
    },
  };
}

/**
 * With two places nothing can be refused, only left unchecked; with more, what does not hold is refused before anything
 * else.
 */
function verdictOf(holds: boolean, fewPlaces: boolean, isWanting: boolean): Verdict {
  if (!holds) return fewPlaces ? 'unchecked' : 'refused';
  return isWanting ? 'unchecked' : 'checked';
}

/** What its own sights check of it. */
function ownCheck(reliability: Reliability, allowed: Metres): Reason[] {
  const { places, unnoticed } = reliability;
  const names = places.flat();
  if (names.length < 3) return [{ code: 'TWO_MARKS', names }];
  if (places.length < 3) return [{ code: 'FEW_PLACES', places }];
  return unnoticed[0] ? hiddenReason(reliability, unnoticed[0], allowed) : [];
}

/** What is to be said of the largest mistake that would stay hidden. */
export function hiddenReason({ state }: Reliability, of: Unnoticed, allowed: Metres): Reason[] {
  if (state === 'unchecked') return [{ code: 'HARDLY_CHECKED', of }];
  return (of.effect ?? Infinity) > allowed ? [{ code: 'PARTLY_HIDDEN', of, allowed }] : [];
}

function whatIsWrong({ none, best, also, explanations, fits }: Explained, result: ResectionResult | null): Reason[] {
  if (best === null) {
    // Where not even the best explanation would do, chance and many small faults are likelier than any one of them.
    const [first, second] = explanations.filter((each) => each.code !== 'NONE');
    if (!first) return noisy(none, result);
    return [
      ...(fits ? [] : noisy(none, result)),
      { code: 'CANNOT_TELL', first, second: second ?? null, apart: apartFrom(first, second ?? null) },
    ];
  }
  if (best.code !== 'NONE') return [best, ...(also ? [also] : [])].map((each) => explainedBy(each, result, none));
  const names = result ? marksUsedInPlan(result) : [];
  if (!fits) return noisy(none, result);
  return result && names.length > 2
    ? [{ code: 'FITS', marks: names.length, largest: largestDifference(result, names) }]
    : [];
}

function noisy(none: Explanation, result: ResectionResult | null): Reason[] {
  const dof = none.dofPlan + none.dofHeight;
  if (!result || dof <= 0) return [];
  return [{ code: 'NOISIER_THAN_STATED', s0: Math.sqrt((none.plan + none.height) / dof), look: noiseSource(result) }];
}

function explainedBy(explanation: Explanation, result: ResectionResult | null, none: Explanation): Reason {
  const [name] = explanation.points;
  const used = result ? marksUsedInPlan(result) : [];
  const point = result?.points.find((each) => each.name === name);
  const within =
    explanation.code === 'MARK_MOVED_PLAN'
      ? point?.leaveOneOut?.othersWithin
      : result && name
        ? heightsWithin(result, name)
        : null;
  return {
    code: 'EXPLAINED',
    explanation,
    share: shareOf(explanation, none),
    others: Math.max(0, used.length - explanation.points.length),
    othersWithin: within ?? null,
  };
}

/** Largest departure of the other marks' station heights from their mean. */
function heightsWithin(result: ResectionResult, except: string): Metres | null {
  const heights = result.observations
    .filter((each) => each.height && each.reduced.point !== except)
    .map((each) => each.height!.stationZ);
  if (heights.length === 0) return null;
  const mean = heights.reduce((sum, z) => sum + z, 0) / heights.length;
  return heights.reduce((largest, z) => Math.max(largest, Math.abs(z - mean)), 0);
}

function largestDifference(result: ResectionResult, names: readonly string[]): Metres {
  const used = result.points.filter((point) => names.includes(point.name) && point.dE !== null);
  return used.reduce((largest, point) => Math.max(largest, Math.hypot(point.dE!, point.dN!)), 0);
}

function apartFrom(first: Explanation, second: Explanation | null): TellApart {
  const codes = [first.code, second?.code];
  const [name] = first.points;
  if (codes.includes('PRISM_CONSTANT') && codes.includes('SCALE')) return { by: 'OTHER_DISTANCE' };
  if (name !== undefined && name === second?.points[0]) {
    return codes.includes('TARGET_HEIGHT') ? { by: 'CHECK_TARGET', name } : { by: 'SIGHT_AGAIN', name };
  }
  return { by: 'ANOTHER_MARK' };
}

/** Whether a sight gives a height that is not used. */
const isHeightLeft = ({ reduced, byName }: FreeStation): boolean =>
  reduced.some((each) => !each.useHeight && each.slope !== null && byName.get(each.point)!.z !== null);

function aboutHeight(reliability: Reliability | null, station: FreeStation): Reason[] {
  const height = reliability?.height;
  if (!height) return [{ code: 'NO_HEIGHT', why: isHeightLeft(station) ? 'NOT_USED' : 'NONE' }];
  if (height.unnoticed.length === 1) return [{ code: 'HEIGHT_UNCHECKED', name: height.unnoticed[0]!.names[0]! }];
  const [of] = height.unnoticed;
  if (height.state !== 'unchecked' || !of || of.noticed === null || of.effect === null) return [];
  return [{ code: 'HEIGHT_HARDLY_CHECKED', names: of.names, noticed: of.noticed, effect: of.effect }];
}

function stepsFor(explanation: Explanation, usedInPlan: number, times: ReadonlyMap<string, number>): Step[] {
  const [name, other] = explanation.points as readonly [string, string | undefined];
  const repeated = (times.get(name) ?? 1) > 1;
  const again: Step[] = repeated
    ? []
    : [
        { code: 'LEVEL_POLE', name },
        { code: 'SIGHT_AGAIN', name },
      ];
  switch (explanation.code) {
    case 'NONE':
      return [];
    case 'MARK_MOVED_PLAN':
      // Leaving it out of three leaves two, and two check nothing.
      return [
        { code: 'CHECK_NAME', name, other: null },
        ...again,
        ...(usedInPlan - explanation.points.length > 2
          ? explanation.points.map((each): Step => ({ code: 'LEAVE_OUT_PLAN', name: each, repeated }))
          : [{ code: 'OTHER_CONTROL' as const }]),
      ];
    case 'MARK_MOVED_HEIGHT':
      return [{ code: 'CHECK_TARGET', name }, ...again, { code: 'LEAVE_OUT_HEIGHT', name, repeated }];
    case 'TARGET_HEIGHT':
      return [{ code: 'CHECK_TARGET', name }, ...again];
    case 'POINTS_SWAPPED':
    case 'POINT_MISNAMED':
      return [{ code: 'CHECK_NAME', name, other: other ?? null }];
    case 'PRISM_CONSTANT':
      return [{ code: 'CHECK_PRISM' }];
    case 'LENGTH_UNIT':
      return [{ code: 'CHECK_UNIT' }];
    case 'SCALE':
      return [{ code: 'CHECK_SCALE' }];
    case 'DIRECTION_READING':
      return [{ code: 'SIGHT_AGAIN', name }];
  }
}

function steps(
  { best, also }: Explained,
  result: ResectionResult | null,
  because: readonly Reason[],
  further: Step | null,
  times: ReadonlyMap<string, number>,
): Step[] {
  const used = result ? marksUsedInPlan(result).length : 0;
  const list: Step[] = [best, also].flatMap((each) => (each ? stepsFor(each, used, times) : []));
  for (const reason of because) {
    if (reason.code === 'CANNOT_TELL') {
      const { apart } = reason;
      if (apart.by === 'SIGHT_AGAIN')
        list.push({ code: 'LEVEL_POLE', name: apart.name }, { code: 'SIGHT_AGAIN', name: apart.name });
      else if (apart.by === 'CHECK_TARGET')
        list.push({ code: 'CHECK_TARGET', name: apart.name }, { code: 'SIGHT_AGAIN', name: apart.name });
      else list.push(further ?? SIGHT_ANY);
    }
    if (reason.code === 'HEIGHT_GROWS') list.push({ code: 'LEVEL_INSTRUMENT' });
    if (reason.code === 'NOISIER_THAN_STATED' || reason.code === 'TOO_COARSE') list.push(further ?? SIGHT_ANY);
  }
  if (further) list.push(further);
  if (list.length === 0) list.push({ code: 'ACCEPT' });
  const key = (step: Step) => `${step.code} ${'name' in step ? step.name : ''}`;
  return list.filter((step, i) => list.findIndex((other) => key(other) === key(step)) === i);
}

/** The largest that would stay hidden in a station, in plan; infinite where something would never show. */
export const hiddenIn = ({ reliability }: Judgement): Metres =>
  reliability ? largestEffect(reliability.unnoticed) : Infinity;

/**
 * Plain reading of a station from its own sights: what holds, what does not, and what to do next in the order of action
 * (right mark? right target? plumb? sight again, leave out, other control), as codes with figures.
 */
import { CRITICAL_W } from '../adjust/criticalValues.ts';
import type { Metres } from '../quantity/unit.ts';
import { ok, type Result } from '../result.ts';
import { checkability, marksUsedInPlan, type Checkability } from './acceptance.ts';
import { smallestNoticed, type SmallestNoticed } from './detectable.ts';
import { explainMisfit, shareOf, type Explained } from './explain/explain.ts';
import type { Explanation } from './explain/hypotheses.ts';
import { heightTrend, type HeightTrend } from './heightTrend.ts';
import type { StationError } from './model.ts';
import type { ResectionInput, ResectionResult } from './resection.ts';

export type Verdict = 'checked' | 'unchecked' | 'refused';

/** How two explanations that fit alike could be told apart. */
export type TellApart =
  | { readonly by: 'SIGHT_AGAIN'; readonly name: string }
  | { readonly by: 'CHECK_TARGET'; readonly name: string }
  | { readonly by: 'OTHER_DISTANCE' }
  | { readonly by: 'ANOTHER_MARK' };

export type Reason =
  /** Two marks: one distance between them is compared, a shift across their line does not show. */
  | { readonly code: 'TWO_MARKS'; readonly names: readonly string[] }
  /** Enough marks, but too little surplus to catch a mistake. */
  | { readonly code: 'NO_SURPLUS' }
  | { readonly code: 'FITS'; readonly marks: number; readonly largest: Metres }
  /** One explanation that stands out; `others` marks agree within `othersWithin` without it. */
  | { readonly code: 'EXPLAINED'; readonly explanation: Explanation; readonly share: number; readonly others: number; readonly othersWithin: Metres | null }
  | { readonly code: 'CANNOT_TELL'; readonly first: Explanation; readonly second: Explanation | null; readonly apart: TellApart }
  | { readonly code: 'NOISIER_THAN_STATED'; readonly s0: number }
  | { readonly code: 'HEIGHT_GROWS'; readonly perMetre: number }
  /** Sighted again and again: all readings count together. */
  | { readonly code: 'SIGHTED_OFTEN'; readonly name: string; readonly times: number }
  | { readonly code: 'NO_HEIGHT' }
  | { readonly code: 'HEIGHT_UNCHECKED'; readonly name: string }
  /** Over a mark: the direction is forced to fit, one distance (measured minus listed) is all that is tested. */
  | { readonly code: 'OVER_ONE_BACKSIGHT'; readonly station: string; readonly name: string; readonly distanceOff: Metres | null }
  | { readonly code: 'OVER_SEVERAL_BACKSIGHTS'; readonly station: string; readonly marks: number }
  | { readonly code: 'BACKSIGHT_OFF'; readonly name: string; readonly distanceOff: Metres | null }
  | { readonly code: 'BACKSIGHTS_DISAGREE'; readonly s0: number }
  | { readonly code: 'BACKSIGHT_HEIGHT_OFF'; readonly name: string; readonly dZ: Metres }
  /** Heights are taken from the mark under the instrument, whose height above it was not given. */
  | { readonly code: 'NO_INSTRUMENT_HEIGHT' }
  /** The direction was typed: nothing is tested. */
  | { readonly code: 'ASSUMED_DIRECTION'; readonly station: string }
  /** The station is carried forward: it is as good as the one before and the new mark. */
  | { readonly code: 'CARRIED_FORWARD'; readonly from: string; readonly distanceOff: Metres | null }
  /** Points on lines: how many surplus sights there are, and the largest distance off a line. */
  | { readonly code: 'ON_LINES'; readonly surplus: number; readonly largest: Metres }
  | { readonly code: 'LINE_OFF'; readonly name: string; readonly off: Metres };

export type Step =
  | { readonly code: 'CHECK_NAME'; readonly name: string; readonly other: string | null }
  | { readonly code: 'CHECK_TARGET'; readonly name: string }
  | { readonly code: 'CHECK_PRISM' }
  | { readonly code: 'CHECK_UNIT' }
  | { readonly code: 'CHECK_SCALE' }
  | { readonly code: 'LEVEL_POLE'; readonly name: string }
  | { readonly code: 'SIGHT_AGAIN'; readonly name: string }
  /** `repeated`: it was sighted again already, and came out the same. */
  | { readonly code: 'LEAVE_OUT_PLAN'; readonly name: string; readonly repeated: boolean }
  | { readonly code: 'LEAVE_OUT_HEIGHT'; readonly name: string; readonly repeated: boolean }
  /** Leaving it out would leave too few marks to check anything. */
  | { readonly code: 'OTHER_CONTROL' }
  | { readonly code: 'SIGHT_ANOTHER' }
  | { readonly code: 'LEVEL_INSTRUMENT' }
  | { readonly code: 'ACCEPT' };

export interface Judgement {
  readonly verdict: Verdict;
  readonly checkability: Checkability;
  /** `best` null: the evidence can't tell. Null over a mark, where no surplus could tell explanations apart. */
  readonly explained: Explained | null;
  readonly because: readonly Reason[];
  readonly doThis: readonly Step[];
  readonly noticed: readonly SmallestNoticed[];
  readonly heightTrend: HeightTrend | null;
}

/** A station in the form of a free one, whichever way it was found, and what to think of it. */
export interface SolvedStation {
  readonly result: ResectionResult;
  readonly judgement: Judgement;
}

export interface JudgedStation {
  /** Null when the sights contradict each other so much that, as they are, they give no station. */
  readonly result: ResectionResult | null;
  readonly judgement: Judgement;
}

/** After so many sights to one mark a prettier figure is only fished for. */
const OFTEN = 3;

/**
 * Judges a station. `input.points` are all listed marks, sighted or not; `times`: how often each was sighted.
 * Errors as `resection`.
 */
export function judgeStation(input: ResectionInput, times: ReadonlyMap<string, number> = new Map()): Result<JudgedStation, StationError> {
  const explained = explainMisfit(input);
  return explained.ok ? ok(judgeExplained(explained.value, times)) : explained;
}

function judgeExplained(explained: Explained, times: ReadonlyMap<string, number>): JudgedStation {
  const { result, best, also, fits } = explained;
  const trend = result && heightTrend(result);
  const check = result ? checkability(result) : 'traceable';
  const because = [
    ...(result ? ownSurplus(result, check) : []),
    ...whatIsWrong(explained),
    // What explains the heights already is not told a second time.
    ...(trend && Math.abs(trend.w) > CRITICAL_W && (best === null || best.code === 'NONE' || (best.part === 'plan' && !also))
      ? [{ code: 'HEIGHT_GROWS' as const, perMetre: trend.perMetre }]
      : []),
    ...[...times].filter(([, count]) => count >= OFTEN).map(([name, count]): Reason => ({ code: 'SIGHTED_OFTEN', name, times: count })),
    ...(result ? aboutHeight(result) : []),
  ];
  const holds = best?.code === 'NONE' && fits && !also;
  return {
    result,
    judgement: {
      verdict: check === 'unchecked' ? 'unchecked' : holds ? 'checked' : 'refused',
      checkability: check,
      explained,
      because,
      doThis: steps(explained, because, check, times),
      noticed: result ? smallestNoticed(result) : [],
      heightTrend: trend,
    },
  };
}

function ownSurplus(result: ResectionResult, check: Checkability): Reason[] {
  const names = marksUsedInPlan(result);
  if (names.length < 3) return [{ code: 'TWO_MARKS', names }];
  return check === 'unchecked' ? [{ code: 'NO_SURPLUS' }] : [];
}

function whatIsWrong({ result, none, best, also, explanations, fits }: Explained): Reason[] {
  if (best === null) {
    // Where not even the best explanation would do, chance and many small faults are likelier than any one of them.
    const [first, second] = explanations.filter((each) => each.code !== 'NONE');
    if (!first) return noisy(result);
    return [...(fits ? [] : noisy(result)), { code: 'CANNOT_TELL', first, second: second ?? null, apart: apartFrom(first, second ?? null) }];
  }
  if (best.code !== 'NONE') return [best, ...(also ? [also] : [])].map((each) => explainedBy(each, result, none));
  const names = result ? marksUsedInPlan(result) : [];
  if (!fits) return noisy(result);
  return result && names.length > 2 ? [{ code: 'FITS', marks: names.length, largest: largestDifference(result, names) }] : [];
}

const noisy = (result: ResectionResult | null): Reason[] =>
  result?.fit.globalTest?.verdict === 'aboveUpper' ? [{ code: 'NOISIER_THAN_STATED', s0: result.fit.s0! }] : [];

function explainedBy(explanation: Explanation, result: ResectionResult | null, none: Explanation): Reason {
  const [name] = explanation.points;
  const used = result ? marksUsedInPlan(result) : [];
  const point = result?.points.find((each) => each.name === name);
  const within = explanation.code === 'MARK_MOVED_PLAN' ? point?.leaveOneOut?.othersWithin : result && name ? heightsWithin(result, name) : null;
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
  const heights = result.observations.filter((each) => each.height && each.reduced.point !== except).map((each) => each.height!.stationZ);
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

function aboutHeight(result: ResectionResult): Reason[] {
  if (!result.height) return [{ code: 'NO_HEIGHT' }];
  const names = new Set(result.observations.filter((each) => each.height).map((each) => each.reduced.point));
  return names.size === 1 ? [{ code: 'HEIGHT_UNCHECKED', name: [...names][0]! }] : [];
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
      return [{ code: 'CHECK_NAME', name, other: null }, ...again, usedInPlan > 3 ? { code: 'LEAVE_OUT_PLAN', name, repeated } : { code: 'OTHER_CONTROL' }];
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

function steps({ result, best, also }: Explained, because: readonly Reason[], check: Checkability, times: ReadonlyMap<string, number>): Step[] {
  const used = result ? marksUsedInPlan(result).length : 0;
  const list: Step[] = [best, also].flatMap((each) => (each ? stepsFor(each, used, times) : []));
  for (const reason of because) {
    if (reason.code === 'CANNOT_TELL') {
      const { apart } = reason;
      if (apart.by === 'SIGHT_AGAIN') list.push({ code: 'LEVEL_POLE', name: apart.name }, { code: 'SIGHT_AGAIN', name: apart.name });
      else if (apart.by === 'CHECK_TARGET') list.push({ code: 'CHECK_TARGET', name: apart.name }, { code: 'SIGHT_AGAIN', name: apart.name });
      else list.push({ code: 'SIGHT_ANOTHER' });
    }
    if (reason.code === 'HEIGHT_GROWS') list.push({ code: 'LEVEL_INSTRUMENT' });
    if (reason.code === 'NOISIER_THAN_STATED') list.push({ code: 'SIGHT_ANOTHER' });
  }
  if (check === 'unchecked') list.push({ code: 'SIGHT_ANOTHER' });
  if (list.length === 0) list.push({ code: 'ACCEPT' });
  const key = (step: Step) => `${step.code} ${'name' in step ? step.name : ''}`;
  return list.filter((step, i) => list.findIndex((other) => key(other) === key(step)) === i);
}

/**
 * Plain reading of a resection: what fits, what does not, and the next step, as codes with figures.
 *
 * It rests on the global test and on "without this mark" alone. With three marks two can agree by chance, so one
 * is only named when leaving it out settles the matter and leaving out no other does.
 * Sources: Baarda (1968), Caspary, "Concepts of Network and Deformation Analysis".
 */
import { azimuth } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { checkability, marksUsedInPlan, type Checkability } from './acceptance.ts';
import type { ResectionResult } from './resection.ts';

export type Reason =
  /** Two marks: one distance between them is compared, a shift across their line does not show. */
  | { readonly code: 'TWO_MARKS'; readonly names: readonly string[] }
  | { readonly code: 'FITS'; readonly marks: number; readonly largest: Metres }
  | {
      readonly code: 'MARK_OFF_PLAN';
      readonly name: string;
      readonly distance: Metres;
      readonly bearing: Radians;
      readonly othersWithin: Metres;
      readonly others: number;
    }
  /** Positive: the mark stands higher than listed. */
  | { readonly code: 'MARK_OFF_HEIGHT'; readonly name: string; readonly dZ: Metres; readonly othersWithin: Metres; readonly others: number }
  | { readonly code: 'CANNOT_TELL_PLAN'; readonly names: readonly string[] }
  | { readonly code: 'CANNOT_TELL_HEIGHT'; readonly names: readonly string[] }
  | { readonly code: 'NOISIER_THAN_STATED'; readonly s0: number }
  | { readonly code: 'NO_HEIGHT' }
  | { readonly code: 'HEIGHT_UNCHECKED'; readonly name: string };

export type Step =
  | { readonly code: 'SIGHT_AGAIN'; readonly name: string }
  | { readonly code: 'LEAVE_OUT_PLAN'; readonly name: string }
  | { readonly code: 'LEAVE_OUT_HEIGHT'; readonly name: string }
  | { readonly code: 'SIGHT_ANOTHER' }
  | { readonly code: 'ACCEPT' };

export interface Judgement {
  readonly verdict: 'unchecked' | 'good' | 'misfit' | 'cannotTell';
  readonly checkability: Checkability;
  readonly because: readonly Reason[];
  readonly doThis: readonly Step[];
}

/** `repeated`: marks sighted at least twice already; a misfit that repeats is left out rather than sighted again. */
export function judgeResection(result: ResectionResult, repeated: ReadonlySet<string> = new Set()): Judgement {
  const plan = judgePlan(result);
  const height = judgeHeight(result);
  const because = [...plan, ...height];
  const doThis: Step[] = [];
  for (const reason of because) {
    if (reason.code === 'MARK_OFF_PLAN') doThis.push(...stepsFor(reason.name, 'LEAVE_OUT_PLAN', repeated));
    if (reason.code === 'MARK_OFF_HEIGHT') doThis.push(...stepsFor(reason.name, 'LEAVE_OUT_HEIGHT', repeated));
  }
  const unsure = because.some((reason) => reason.code === 'CANNOT_TELL_PLAN' || reason.code === 'CANNOT_TELL_HEIGHT' || reason.code === 'NOISIER_THAN_STATED');
  const check = checkability(result);
  if (unsure || check === 'unchecked') doThis.push({ code: 'SIGHT_ANOTHER' });
  if (doThis.length === 0) doThis.push({ code: 'ACCEPT' });
  const misfit = because.some((reason) => reason.code === 'MARK_OFF_PLAN' || reason.code === 'MARK_OFF_HEIGHT');
  const verdict = misfit ? 'misfit' : unsure ? 'cannotTell' : check === 'unchecked' ? 'unchecked' : 'good';
  return { verdict, checkability: check, because, doThis: doThis.filter((step, i) => doThis.findIndex((other) => sameStep(other, step)) === i) };
}

const sameStep = (a: Step, b: Step) => a.code === b.code && ('name' in a ? a.name : '') === ('name' in b ? b.name : '');

const stepsFor = (name: string, leaveOut: 'LEAVE_OUT_PLAN' | 'LEAVE_OUT_HEIGHT', repeated: ReadonlySet<string>): Step[] =>
  repeated.has(name)
    ? [{ code: leaveOut, name }]
    : [
        { code: 'SIGHT_AGAIN', name },
        { code: leaveOut, name },
      ];

function judgePlan(result: ResectionResult): Reason[] {
  const names = marksUsedInPlan(result);
  if (names.length < 3) return [...(isAbove(result) ? [noisy(result)] : []), { code: 'TWO_MARKS', names }];
  const exceeding = result.points.filter((point) => point.leaveOneOut?.exceeds);
  if (exceeding.length === 0) {
    return isAbove(result) ? [noisy(result)] : [{ code: 'FITS', marks: names.length, largest: largestDifference(result, names) }];
  }
  const worst = exceeding.reduce((a, b) => (b.leaveOneOut!.t > a.leaveOneOut!.t ? b : a));
  // With three marks the remaining two always nearly agree, whichever is left out.
  const rivals = exceeding.filter((point) => point !== worst && point.leaveOneOut!.t > worst.leaveOneOut!.t / 2);
  if (names.length === 3 || rivals.length > 0) {
    return [{ code: 'CANNOT_TELL_PLAN', names: names.length === 3 ? names : [worst.name, ...rivals.map((each) => each.name)] }];
  }
  const { dE, dN, othersWithin } = worst.leaveOneOut!;
  return [
    {
      code: 'MARK_OFF_PLAN',
      name: worst.name,
      distance: Math.hypot(dE, dN),
      bearing: azimuth({ e: 0, n: 0 }, { e: dE, n: dN }),
      othersWithin,
      others: names.length - 1,
    },
  ];
}

const isAbove = (result: ResectionResult) => result.fit.globalTest?.verdict === 'aboveUpper';
const noisy = (result: ResectionResult): Reason => ({ code: 'NOISIER_THAN_STATED', s0: result.fit.s0! });

function largestDifference(result: ResectionResult, names: readonly string[]): Metres {
  const used = result.points.filter((point) => names.includes(point.name) && point.dE !== null);
  return used.reduce((largest, point) => Math.max(largest, Math.hypot(point.dE!, point.dN!)), 0);
}

function judgeHeight(result: ResectionResult): Reason[] {
  const { height } = result;
  if (!height) return [{ code: 'NO_HEIGHT' }];
  const names = [...new Set(result.observations.filter((each) => each.height).map((each) => each.reduced.point))];
  if (names.length === 1) return [{ code: 'HEIGHT_UNCHECKED', name: names[0]! }];
  const exceeding = result.points.filter((point) => point.leaveOneOutHeight?.exceeds);
  if (exceeding.length === 0) return [];
  const worst = exceeding.reduce((a, b) => (Math.abs(b.leaveOneOutHeight!.w) > Math.abs(a.leaveOneOutHeight!.w) ? b : a));
  const rivals = exceeding.filter((point) => point !== worst && Math.abs(point.leaveOneOutHeight!.w) > Math.abs(worst.leaveOneOutHeight!.w) * 0.7);
  if (names.length < 3 || rivals.length > 0)
    return [{ code: 'CANNOT_TELL_HEIGHT', names: names.length < 3 ? names : [worst.name, ...rivals.map((each) => each.name)] }];
  return [
    {
      code: 'MARK_OFF_HEIGHT',
      name: worst.name,
      // Station height without it, minus what it says: positive when the mark stands higher than listed.
      dZ: worst.leaveOneOutHeight!.dZ,
      othersWithin: spreadWithout(result, worst.name),
      others: names.length - 1,
    },
  ];
}

/** Largest departure of the other marks' station heights from their mean. */
function spreadWithout(result: ResectionResult, except: string): Metres {
  const heights = result.observations.filter((each) => each.height && each.reduced.point !== except).map((each) => each.height!.stationZ);
  const mean = heights.reduce((sum, z) => sum + z, 0) / heights.length;
  return heights.reduce((largest, z) => Math.max(largest, Math.abs(z - mean)), 0);
}

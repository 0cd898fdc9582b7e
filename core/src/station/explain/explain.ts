/**
 * Which single explanation fits the misfit of a station, or that it can't be told.
 *
 * Scores are on the scale of 2 ln of a Bayes factor. An explanation must beat "nothing is wrong" by a clear margin,
 * lead over all its rivals together, and itself leave a fit that noise can explain; several faults at once end in
 * "can't tell". Sources: Kass, Raftery, "Bayes Factors" (1995); Teunissen, "Testing Theory".
 */
import { isByChance } from '../../adjust/globalTest.ts';
import type { ControlPoint } from '../../sight/observation.ts';
import type { FreeStation } from '../freeStation.ts';
import { station0, type Explanation } from './explanation.ts';
import { explanationsOf, type Tried } from './hypotheses.ts';
import type { RoughSight } from './roughSights.ts';
import { fitUnder, noiseOf } from './noise.ts';

/** Below the first nothing is accused, below the second nobody is named. */
const GAIN_TO_DOUBT = 2.1;
const GAIN_TO_NAME = 6;
/** A second fault is rarer than a first, and is named on its own evidence only. */
const GAIN_FOR_SECOND = 10;
export const LEAD_TO_NAME = 3.5;
/** Noise of more than so many times the stated one is not believed: then something else is wrong. */
const MOST_NOISE = 2.5;

export interface Explained {
  readonly none: Explanation;
  /** Null: the evidence can't tell. */
  readonly best: Explanation | null;
  /** A second fault in the other part. */
  readonly also: Explanation | null;
  /** Best first; NONE is among them. */
  readonly explanations: readonly Explanation[];
  /** Whether the sights, as they are, fit what was stated of instrument, targets and marks. */
  readonly fits: boolean;
  /** How much noisier than stated the sights are, under what is likeliest. */
  readonly noise: number;
}

const wholeOf = (each: Explanation): readonly [sum: number, dof: number] => [
  each.plan + each.height,
  each.dofPlan + each.dofHeight,
];

/** All rivals count, not only the nearest. */
function rivalScore(rivals: readonly number[]): number {
  if (rivals.length === 0) return Infinity;
  const least = Math.min(...rivals);
  return least === Infinity
    ? Infinity
    : least - 2 * Math.log(rivals.reduce((sum, score) => sum + Math.exp(-(score - least) / 2), 0));
}

interface Candidate {
  readonly each: Explanation;
  readonly score: number;
}

interface Decision {
  readonly best: Explanation | null;
  readonly unsure: boolean;
}

/** The explanation among `candidates` that is to be named; `null` and not unsure: nothing is wrong. */
function decide(none: number, sound: number, candidates: readonly Candidate[], gainToName = GAIN_TO_NAME): Decision {
  const first = candidates.reduce<Candidate | null>((a, b) => (a === null || b.score < a.score ? b : a), null);
  if (!first || first.score === Infinity) return { best: null, unsure: none === Infinity };
  if (none - first.score < GAIN_TO_DOUBT) return { best: null, unsure: false };
  const gain = sound - first.score;
  const lead = rivalScore(candidates.filter((other) => other !== first).map((other) => other.score)) - first.score;
  return gain >= gainToName && lead >= LEAD_TO_NAME
    ? { best: first.each, unsure: false }
    : { best: null, unsure: true };
}

type SinglePart = 'plan' | 'height';
const dofIn = (part: SinglePart, each: Explanation): number => (part === 'plan' ? each.dofPlan : each.dofHeight);
const scoreIn = (part: SinglePart, each: Explanation): number => fitUnder(each[part], dofIn(part, each)) + each.cost;

/** Nothing is wrong, in one part or in both: with every sight as stated, or with one that is rough. */
function soundScore(part: SinglePart | 'both', none: Explanation, rough: readonly RoughSight[]): number {
  const dof = part === 'both' ? none.dofPlan + none.dofHeight : dofIn(part, none);
  const rest = (each: RoughSight) => (part === 'both' ? (each.part === 'plan' ? none.height : none.plan) : 0);
  const asStated = fitUnder(part === 'both' ? none.plan + none.height : none[part], dof);
  const withOne = rough
    .filter((each) => part === 'both' || each.part === part)
    .map((each) => fitUnder(each.sum + rest(each), dof) + each.cost);
  return rivalScore([asStated, ...withOne]);
}

/** One part judged by itself, by the evidence of that part alone: explanations that touch nothing else. */
function decidePart(
  part: SinglePart,
  none: Explanation,
  { explanations, rough }: Tried,
  gainToName?: number,
): Decision {
  const candidates = explanations
    .filter((each) => each.part === part)
    .map((each) => ({ each, score: scoreIn(part, each) }));
  const decision = decide(scoreIn(part, none), soundScore(part, none, rough), candidates, gainToName);
  const winner = decision.best ?? (decision.unsure ? null : none);
  return winner && isByChance(winner[part], dofIn(part, winner), MOST_NOISE) ? decision : { best: null, unsure: true };
}

/** A fault in plan and one in height at once, when no single explanation will do. */
function decideBoth(none: Explanation, all: Tried): readonly [Explanation, Explanation] | null {
  const plan = decidePart('plan', none, all).best;
  const height = decidePart('height', none, all).best;
  if (!plan || !height) return null;
  const score = fitUnder(plan.plan + height.height, plan.dofPlan + height.dofHeight) + plan.cost + height.cost;
  const rivals = all.explanations.filter((each) => each.part === 'both').map((each) => each.score);
  if (rivalScore(rivals) - score < LEAD_TO_NAME) return null;
  return none.plan - plan.plan >= none.height - height.height ? [plan, height] : [height, plan];
}

function decideAll(
  none: Explanation,
  all: Tried,
): { readonly best: Explanation | null; readonly also: Explanation | null } {
  const single = decide(
    none.score,
    soundScore('both', none, all.rough),
    all.explanations.map((each) => ({ each, score: each.score })),
  );
  const winner = single.best ?? (single.unsure ? null : none);
  if (winner && isByChance(...wholeOf(winner), MOST_NOISE)) {
    const rest = winner.part === 'both' ? null : winner.part === 'plan' ? 'height' : 'plan';
    return { best: winner, also: rest && decidePart(rest, none, all, GAIN_FOR_SECOND).best };
  }
  const both = decideBoth(none, all);
  return both ? { best: both[0], also: both[1] } : { best: null, also: null };
}

/**
 * Whether sights without a station could be explained at all: with nothing left over they can't contradict each other.
 */
export const isExplicable = (station: FreeStation): boolean => {
  const { none, usedInPlan } = station0(station, []);
  return none.dofPlan > 0 && usedInPlan.length >= 2;
};

/** Tries every explanation. `listed`: every mark that could have been sighted in the place of another. */
export function explainMisfit(station: FreeStation, listed: readonly ControlPoint[] = station.input.points): Explained {
  const start = station0(station, listed);
  const { none } = start;
  const all = explanationsOf(start);
  const { best, also } = decideAll(none, all);
  const ranked = [none, ...all.explanations].sort((a, b) => a.score - b.score);
  const likeliest = best ?? ranked[0]!;
  return {
    none,
    best,
    also,
    explanations: best ? [best, ...ranked.filter((each) => each !== best)] : ranked,
    fits: isByChance(...wholeOf(none)),
    noise: likeliest.score === Infinity ? 1 : noiseOf(...wholeOf(likeliest)),
  };
}

/** So far behind the likeliest an explanation still counts for what a station may be off by, as long as it fits. */
const STILL_COUNTS = 8;

/** Explanations that the evidence does not rule out beside the likeliest one; only that one where it can be told. */
export function stillStanding({ best, explanations }: Explained): readonly Explanation[] {
  if (best) return [best];
  const least = explanations[0]!.score;
  return explanations.filter(
    (each) =>
      each.score <= least + LEAD_TO_NAME ||
      (each.score <= least + STILL_COUNTS && isByChance(...wholeOf(each), MOST_NOISE)),
  );
}

/** The part of the misfit that an explanation removes, 0 to 1. For display: more parameters always explain more. */
export function shareOf(each: Explanation, none: Explanation): number {
  const whole = none.plan + none.height;
  if (whole === Infinity) return each === none ? 0 : 1;
  return whole > 0 ? Math.min(1, Math.max(0, (whole - each.plan - each.height) / whole)) : 0;
}

/**
 * Which single explanation fits the misfit of a station, or that it can't be told.
 *
 * Scores are on the scale of 2 ln of a Bayes factor. An explanation must beat "nothing is wrong" by a clear margin, lead over
 * all its rivals together, and itself pass the chi-square test; several faults at once, or noise beyond what was stated, end
 * in "can't tell". Sources: Kass, Raftery, "Bayes Factors" (1995); Teunissen, "Testing Theory".
 */
import { chiSquareQuantile } from '../../adjust/chiSquare.ts';
import { fail, ok, type Result } from '../../result.ts';
import type { StationError } from '../model.ts';
import { resection, type ResectionInput, type ResectionResult } from '../resection.ts';
import { explanationsOf, station0, type Explanation } from './hypotheses.ts';

/** Below the first nothing is accused, below the second nobody is named. */
const GAIN_TO_DOUBT = 2;
const GAIN_TO_NAME = 8;
const LEAD_TO_NAME = 5;
/** A model passes when chance alone gives a worse fit once in a thousand. */
const FIT_PROBABILITY = 0.999;

export interface Explained {
  /** Null when the sights contradict each other so much that, as they are, they give no station. */
  readonly result: ResectionResult | null;
  readonly none: Explanation;
  /** Null: the evidence can't tell. */
  readonly best: Explanation | null;
  /** A second fault in the other part. */
  readonly also: Explanation | null;
  /** Best first; NONE is among them. */
  readonly explanations: readonly Explanation[];
  /** Whether the sights, as they are, fit what was stated of instrument, targets and marks. */
  readonly fits: boolean;
}

const passes = (sum: number, dof: number): boolean => dof <= 0 || sum <= chiSquareQuantile(FIT_PROBABILITY, dof);
const fitsWhole = (each: Explanation): boolean => passes(each.plan + each.height, each.dofPlan + each.dofHeight);

/** All rivals count, not only the nearest. */
function rivalScore(rivals: readonly number[]): number {
  if (rivals.length === 0) return Infinity;
  const least = Math.min(...rivals);
  return least - 2 * Math.log(rivals.reduce((sum, score) => sum + Math.exp(-(score - least) / 2), 0));
}

/** Degrees of freedom that the stated precision is believed to be worth against what the sights themselves show. */
const BELIEF_IN_PRECISION = 6;

/**
 * How much noisier than stated the sights are under an explanation, as a factor on variances, not below 1: gains shrink by
 * it, so that noise beyond what was stated accuses nobody.
 */
const noiseFactor = (sum: number, dof: number): number => Math.max(1, (sum + BELIEF_IN_PRECISION) / (Math.max(0, dof) + BELIEF_IN_PRECISION));

interface Candidate {
  readonly each: Explanation;
  readonly score: number;
  readonly noise: number;
}

interface Decision {
  readonly best: Explanation | null;
  readonly unsure: boolean;
}

/** The explanation among `candidates` that is to be named; `null` and not unsure: nothing is wrong. */
function decide(none: number, candidates: readonly Candidate[]): Decision {
  const first = candidates.reduce<Candidate | null>((a, b) => (a === null || b.score < a.score ? b : a), null);
  const gain = first ? (none - first.score) / first.noise : 0;
  if (!first || gain < GAIN_TO_DOUBT) return { best: null, unsure: false };
  const lead = rivalScore(candidates.filter((other) => other !== first).map((other) => other.score)) - first.score;
  return gain >= GAIN_TO_NAME && lead >= LEAD_TO_NAME ? { best: first.each, unsure: false } : { best: null, unsure: true };
}

/** One part judged by itself: explanations that touch nothing else, each with its score in that part. */
function decidePart(part: 'plan' | 'height', none: Explanation, all: readonly Explanation[]): Decision {
  const other = part === 'plan' ? none.height : none.plan;
  const dof = (each: Explanation) => (part === 'plan' ? each.dofPlan : each.dofHeight);
  const candidates = all.filter((each) => each.part === part).map((each) => ({ each, score: each.score - other, noise: noiseFactor(each[part], dof(each)) }));
  const decision = decide(none[part], candidates);
  const winner = decision.best ?? (decision.unsure ? null : none);
  return winner && passes(winner[part], dof(winner)) ? decision : { best: null, unsure: true };
}

/** A fault in plan and one in height at once, when no single explanation will do. */
function decideBoth(none: Explanation, all: readonly Explanation[]): readonly [Explanation, Explanation] | null {
  const plan = decidePart('plan', none, all).best;
  const height = decidePart('height', none, all).best;
  if (!plan || !height) return null;
  const score = plan.score - none.height + (height.score - none.plan);
  const rivals = all.filter((each) => each.part === 'both').map((each) => each.score);
  if (rivalScore(rivals) - score < LEAD_TO_NAME) return null;
  return none.plan - plan.plan >= none.height - height.height ? [plan, height] : [height, plan];
}

function decideAll(none: Explanation, all: readonly Explanation[]): { readonly best: Explanation | null; readonly also: Explanation | null } {
  const single = decide(
    none.score,
    all.map((each) => ({ each, score: each.score, noise: noiseFactor(each.plan + each.height, each.dofPlan + each.dofHeight) })),
  );
  const winner = single.best ?? (single.unsure ? null : none);
  if (winner && fitsWhole(winner)) {
    const rest = winner.part === 'both' ? null : winner.part === 'plan' ? 'height' : 'plan';
    return { best: winner, also: rest && decidePart(rest, none, all).best };
  }
  const both = decideBoth(none, all);
  return both ? { best: both[0], also: both[1] } : { best: null, also: null };
}

/** Tries every explanation. Errors as `resection`. */
export function explainMisfit(input: ResectionInput): Result<Explained, StationError> {
  const solved = resection(input);
  if (!solved.ok && solved.error.code !== 'UNDETERMINED') return fail(solved.error);
  const station = station0(input);
  const { none } = station;
  // Without surplus the sights can't contradict each other: then it is their geometry that gives no station.
  if (!solved.ok && (none.dofPlan <= 0 || station.usedInPlan.length < 3)) return fail(solved.error);
  const all = explanationsOf(station);
  const { best, also } = decideAll(none, all);
  if (!solved.ok && best === null) return fail(solved.error);
  const ranked = [none, ...all].sort((a, b) => a.score - b.score);
  return ok({
    result: solved.ok ? solved.value : null,
    none,
    best,
    also,
    explanations: best ? [best, ...ranked.filter((each) => each !== best)] : ranked,
    fits: fitsWhole(none),
  });
}

/** The part of the misfit that an explanation removes, 0 to 1. For display: more parameters always explain more. */
export function shareOf(each: Explanation, none: Explanation): number {
  const whole = none.plan + none.height;
  if (whole === Infinity) return each === none ? 0 : 1;
  return whole > 0 ? Math.min(1, Math.max(0, (whole - each.plan - each.height) / whole)) : 0;
}

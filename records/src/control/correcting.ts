/**
 * Something that was entered wrongly, put right afterwards: the target height or the prism constant of a range of
 * sights, the station that they were taken from, or the height of the instrument. What was read stays; every mark that
 * it concerns is computed again, and both figures are kept.
 */
import { measurePoint, reduceReading, type Metres, type Station } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { precisionOf, readingOf, reductionFrom, setupOf, stationOfSolution } from '../station/observations.ts';
import { controlAsUsed, draftAsUsed } from '../station/stationDraft.ts';
import { pairedEffects } from '../station/paired.ts';
import { siteState } from '../fold/fold.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';

type Unreasoned<Body> = Body extends { readonly reason: string } ? Omit<Body, 'reason'> : never;
export type Correction = Unreasoned<FactBody<'correction'>>;
type Effect = FactBody<'finding'>['effects'][number];

const MM = 1000;

/** A height that was entered wrongly leaves the plan where it is. */
const concernsPlan = ({ what }: Pick<Correction, 'what'>): boolean => what === 'prismConstant' || what === 'station';

/**
 * Sights that can be said to have been taken from another station: those that no station and no proof was made with.
 */
export const canBeRehung = ({ body }: Fact<'sight'>): boolean =>
  ['mark', 'driven', 'ground', 'spot', 'asBuilt'].includes(body.purpose);

const uncorrected = new WeakMap<SiteState, SiteState>();

/** The site as it was entered, without any correction. */
function asEntered(state: SiteState): SiteState {
  const known = uncorrected.get(state);
  if (known) return known;
  const entered = siteState(state.timeline.filter((fact) => fact.type !== 'correction'));
  uncorrected.set(state, entered);
  return entered;
}

/** The site as it would be with the correction in it. */
function corrected(state: SiteState, correction: Correction): SiteState {
  const last = state.timeline.at(-1)!;
  const fact: Fact<'correction'> = {
    ...last,
    id: 'correction',
    seq: last.seq + 1,
    type: 'correction',
    body: { ...correction, reason: '' },
  };
  return siteState([...state.timeline, fact]);
}

/** The station of a solution from the sights that it used, with the same uses; null when they give none any more. */
function solvedAgain(state: SiteState, solution: AcceptedSolution): Station | null {
  const occupation = state.occupations.find((each) => each.id === solution.occupation.id);
  if (!occupation) return null;
  const { body } = solution.fact;
  const { outcome } = draftAsUsed({ ...state, control: controlAsUsed(state, body) }, occupation, body);
  if (!outcome?.ok) return null;
  const { result } = outcome.value;
  return { ...result, z: result.height?.z ?? null, sdTrunnionZ: result.height?.sdTrunnionZ ?? null };
}

/** The foot of the target of a sight, from a station. */
function footFrom(state: SiteState, solution: AcceptedSolution, station: Station, sight: Fact<'sight'>) {
  const occupation = state.occupations.find((each) => each.id === solution.occupation.id) ?? solution.occupation;
  const reduced = reduceReading(readingOf(sight.body), precisionOf(occupation.body), reductionFrom(state, solution));
  return measurePoint(station, setupOf(occupation.body), reduced);
}

/** The sight that the height of a mark comes from: the one to its driven hub, or the one it was set by. */
function heightSight(state: SiteState, mark: Fact<'mark'>): string {
  const to = [...state.sights.values()].filter(
    ({ body }) =>
      body.purpose === 'driven' &&
      body.target.kind === 'plan' &&
      body.target.package === mark.body.package &&
      body.target.key === mark.body.key,
  );
  return to.at(-1)?.id ?? mark.body.sight;
}

interface Footing {
  readonly state: SiteState;
  readonly solution: AcceptedSolution;
  /** Null where the sights give none. */
  readonly station: Station | null;
}

interface Place {
  readonly plan: { readonly e: Metres; readonly n: Metres } | null;
  readonly height: Metres | null;
}

function placeOn({ state, solution, station }: Footing, mark: Fact<'mark'>, heightFrom: string): Place {
  const from = (id: string) => {
    const sight = state.sights.get(id);
    return sight && station ? footFrom(state, solution, station, sight) : null;
  };
  return { plan: from(mark.body.sight), height: from(heightFrom)?.z ?? null };
}

const tenth = (metres: Metres): number => Math.round(metres * MM * 10) / 10;

/** By how much one mark changes; nothing where it stays. */
function effectOn(mark: Fact<'mark'>, parts: { readonly plan: boolean }, was: Place, is: Place): Effect[] {
  const planMm =
    parts.plan && was.plan && is.plan ? tenth(Math.hypot(is.plan.e - was.plan.e, is.plan.n - was.plan.n)) : null;
  const heightMm = was.height === null || is.height === null ? null : tenth(is.height - was.height);
  const effect = { mark: mark.id, planMm, heightMm };
  const stays = (planMm ?? 0) === 0 && (heightMm ?? 0) === 0;
  return stays && !isUntold(mark, effect, parts) ? [] : [effect];
}

/** Whether a part that the mark needs could not be computed again. */
export const isUntold = ({ body }: Fact<'mark'>, effect: Effect, parts: { readonly plan: boolean }): boolean =>
  (parts.plan && body.needs.plan && effect.planMm === null) || (body.needs.height && effect.heightMm === null);

/**
 * By how much marks change against what they were set with once all corrections so far and this one are in, in plan (a
 * distance) and in height (positive: higher than was thought), millimetres; null where that can't be told, and in plan
 * where nothing that was corrected has to do with it. Told are the marks that were set from the placing, those that
 * hang on it since, and those of the finding that this one takes the place of; marks that stay are not listed.
 */
export function effectsOfCorrection(state: SiteState, correction: Correction): Effect[] {
  const before = asEntered(state);
  const after = corrected(state, correction);
  const parts = partsOfCorrections(state, correction);
  const told = new Set(recomputedBefore(state, correction.occupation)?.body.effects.map((effect) => effect.mark));
  const footings = new Map<string, Footing>();
  const footingOf = (of: SiteState, id: string): Footing | null => {
    const known = footings.get(`${of === before} ${id}`);
    if (known) return known;
    const solution = of.accepted.find((each) => each.fact.id === id);
    if (!solution) return null;
    const station = of === before ? stationOfSolution(solution.fact.body.result) : solvedAgain(after, solution);
    const footing = { state: of, solution, station };
    footings.set(`${of === before} ${id}`, footing);
    return footing;
  };
  const now = new Map([...after.marks.values()].map((mark) => [mark.id, mark]));
  const stations = [...before.marks.values()].flatMap((mark) => {
    const set = footingOf(before, mark.body.solution);
    const hangs = now.get(mark.id);
    if (!set || set.solution.withdrawn || !hangs || mark.body.state === 'rough') return [];
    const since = footingOf(after, hangs.body.solution);
    const concerned = [set, since].some((footing) => footing?.solution.occupation.id === correction.occupation);
    if (!concerned && !told.has(mark.id)) return [];
    const height = heightSight(before, mark);
    const was = placeOn(set, mark, height);
    const is = since ? placeOn(since, mark, height) : { plan: null, height: null };
    // A hub that was driven later, and from where it was kept to be, has its height from there.
    const elsewhere = since !== null && after.sights.get(height)?.body.occupation !== since.solution.occupation.id;
    return effectOn(mark, parts, was, elsewhere ? { ...is, height: was.height } : is);
  });
  const paired = before.paired.filter((each) => !each.withdrawn && each.occupation.id === correction.occupation);
  // The plan of these comes from the receiver, whatever the prism.
  const fromPairs = paired
    .flatMap((each) => pairedEffects(before, after, each, null))
    .filter(({ heightMm }) => heightMm !== 0);
  return [...stations, ...fromPairs.map((effect) => (parts.plan ? { ...effect, planMm: 0 } : effect))];
}

/** The finding on marks of the same placing that one more correction takes the place of; null for the first. */
export function recomputedBefore(state: SiteState, occupation: string): Fact<'finding'> | null {
  const here = new Set(state.accepted.filter((each) => each.occupation.id === occupation).map((each) => each.fact.id));
  for (const each of state.paired) if (each.occupation.id === occupation) here.add(each.solution.id);
  const set = state.timeline.flatMap((fact) => (fact.type === 'mark' && here.has(fact.body.solution) ? [fact.id] : []));
  const hanging = [...state.marks.values()].filter((mark) => here.has(mark.body.solution)).map((mark) => mark.id);
  const marks = new Set([...set, ...hanging]);
  return (
    state.findings.findLast(
      ({ body }) => body.cause === 'recomputed' && body.effects.some(({ mark }) => marks.has(mark)),
    ) ?? null
  );
}

/** What one correction and those that were recomputed before it may change. */
export function partsOfCorrections(
  state: SiteState,
  correction: Correction,
): { readonly plan: boolean; readonly height: boolean } {
  const before = recomputedBefore(state, correction.occupation)?.body.plan ?? false;
  return { plan: before || concernsPlan(correction), height: true };
}

/** Things measured as they stand with sights that a correction is for: their figures stay as they were found. */
export function measuredWith(state: SiteState, { what, occupation, sights }: Correction): Fact<'asBuilt'>[] {
  const chosen = new Set(sights);
  const ofOccupation = (id: string) => state.sights.get(id)?.body.occupation === occupation;
  return state.asBuilt.filter(({ body }) =>
    body.sights.some((id) => (what === 'instrumentHeight' ? ofOccupation(id) : chosen.has(id))),
  );
}

/** How a mark was computed again last, as a change of what it was set with; null when it never was. */
export function recomputed(state: SiteState, mark: string): Effect | null {
  const finding = state.findings.findLast(
    (each) => each.body.cause === 'recomputed' && each.body.effects.some((effect) => effect.mark === mark),
  );
  return finding?.body.effects.find((effect) => effect.mark === mark) ?? null;
}

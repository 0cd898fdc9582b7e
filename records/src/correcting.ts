/**
 * A height that was entered wrongly, put right afterwards: a target height for a range of sights, or the height of the
 * instrument. What was read stays; every mark that it concerns is computed again, and both figures are kept.
 */
import { measurePoint, reduceReading, type Metres, type Station } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { precisionOf, readingOf, reductionFrom, setupOf, stationOfSolution } from './observations.ts';
import { stationDraft } from './stationDraft.ts';
import { pairedEffects } from './paired.ts';
import type { AcceptedSolution, SiteState } from './state.ts';

export type Correction = Pick<FactBody<'correction'>, 'what' | 'occupation' | 'sights' | 'value'>;
type Effect = FactBody<'finding'>['effects'][number];

const MM = 1000;

/** The site as it would be with the correction in it. */
function corrected(state: SiteState, { what, occupation, sights, value }: Correction): SiteState {
  if (what === 'instrumentHeight') {
    const occupations = state.occupations.map((each) => (each.id === occupation ? { ...each, body: { ...each.body, instrumentHeight: value } } : each));
    return { ...state, occupations };
  }
  const chosen = new Set(sights);
  const changed = new Map([...state.sights].map(([id, sight]) => [id, chosen.has(id) ? { ...sight, body: { ...sight.body, targetHeight: value } } : sight]));
  return { ...state, sights: changed };
}

/** The station of a solution from the sights that it used, with the same uses; null when they give none any more. */
function solvedAgain(state: SiteState, solution: AcceptedSolution): Station | null {
  const occupation = state.occupations.find((each) => each.id === solution.occupation.id);
  if (!occupation) return null;
  const uses = new Map(solution.fact.body.uses.map((use) => [use.sight, use]));
  const unused = { plan: false, height: false };
  const flags = Object.fromEntries([...state.sights.keys()].map((id) => [id, uses.get(id) ?? unused]));
  const outcome = stationDraft(state, occupation, flags, { freeScale: (solution.fact.body.result.scale ?? null) !== null }).outcome;
  if (!outcome?.ok) return null;
  const { result } = outcome.value;
  return { ...result, z: result.height?.z ?? null, sdTrunnionZ: result.height?.sdTrunnionZ ?? null };
}

/** The height at the foot of the target of a sight, from a station. */
function heightFrom(state: SiteState, solution: AcceptedSolution, station: Station, sight: Fact<'sight'>): Metres | null {
  const occupation = state.occupations.find((each) => each.id === solution.occupation.id) ?? solution.occupation;
  const reduced = reduceReading(readingOf(sight.body), precisionOf(occupation.body), reductionFrom(state, solution));
  return measurePoint(station, setupOf(occupation.body), reduced)?.z ?? null;
}

/** Sights that the height of a mark comes from: the one it was set by, and the one to its driven hub. */
function heightSight(state: SiteState, mark: Fact<'mark'>): Fact<'sight'> | null {
  const to = [...state.sights.values()].filter(
    ({ body }) => body.purpose === 'driven' && body.target.kind === 'plan' && body.target.package === mark.body.package && body.target.key === mark.body.key,
  );
  return to.at(-1) ?? state.sights.get(mark.body.sight) ?? null;
}

/** By how much the height of each mark set from the placing changes; null where that can't be told. Marks that stay are not listed. */
export function effectsOfCorrection(state: SiteState, correction: Correction): Effect[] {
  const after = corrected(state, correction);
  const marks = [...state.marks.values()].filter((mark) => mark.body.state !== 'rough');
  const paired = state.paired.filter((each) => !each.withdrawn && each.occupation.id === correction.occupation);
  const stations = state.accepted
    .filter((each) => !each.withdrawn && each.occupation.id === correction.occupation)
    .flatMap((solution) => {
      const again = solvedAgain(after, solution);
      const before = stationOfSolution(solution.fact.body.result);
      return marks
        .filter((mark) => mark.body.solution === solution.fact.id)
        .flatMap((mark): Effect[] => {
          const sight = heightSight(state, mark);
          const then = sight && after.sights.get(sight.id);
          const was = sight && heightFrom(state, solution, before, sight);
          const is = then && again ? heightFrom(after, solution, again, then) : null;
          if (was === null || is === null) return mark.body.needs.height ? [{ mark: mark.id, planMm: null, heightMm: null }] : [];
          const heightMm = Math.round((is - was) * MM * 10) / 10;
          return heightMm === 0 ? [] : [{ mark: mark.id, planMm: null, heightMm }];
        });
    });
  return [...stations, ...paired.flatMap((each) => pairedEffects(state, after, each, null)).filter(({ heightMm }) => heightMm !== 0)];
}

/** Latest recomputed height of a mark as a change of what it was set with, millimetres; null when it was never recomputed. */
export function recomputedHeight(state: SiteState, mark: string): number | null {
  const finding = state.findings.findLast((each) => each.body.cause === 'recomputed' && each.body.effects.some((effect) => effect.mark === mark));
  return finding?.body.effects.find((effect) => effect.mark === mark)?.heightMm ?? null;
}

/** Which mark to sight next, and whether a sight was to the mark that was named. */
import { addedSight, likelierPoint, measurePoint, reduceReading, type AddedSight, type LikelyPoint, type PoleSet, type Station } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { controlPointOf, precisionOf, readingOf, reductionOf, setupOf } from './observations.ts';
import { isProvenControl } from './markHistory.ts';
import type { ControlMark, SiteState } from './state.ts';
import type { StationDraft } from './stationDraft.ts';

const usable = ({ revision: { body } }: ControlMark): boolean =>
  (body.condition === 'secure' || body.condition === 'usable') && body.usePlan && body.e !== null && body.n !== null;

/** What each mark not sighted yet would add to the station, the best first; those kept for proofs are left for them. */
export function nextSights(state: SiteState, draft: StationDraft, pole: PoleSet): AddedSight[] {
  // Over a mark a further sight is a backsight more: the farther the better, and nothing is computed beforehand.
  if (!draft.outcome?.ok || draft.over) return [];
  const { result } = draft.outcome.value;
  const sighted = new Set(draft.groups.map((group) => group.mark));
  return state.control
    .filter((mark) => usable(mark) && isProvenControl(state, mark) && !mark.revision.body.forProof && !sighted.has(mark.id))
    .flatMap((mark) => addedSight(draft.input, result, controlPointOf(mark.revision.body), pole) ?? [])
    .sort((a, b) => a.radius95 - b.radius95);
}

/** The mark that a sight fits far better than the named one, seen from `station`; null when the name is not doubted. */
export function likelierMark(state: SiteState, occupation: Fact<'occupation'>, station: Station, sight: Fact<'sight'>): LikelyPoint | null {
  if (sight.body.target.kind !== 'control') return null;
  const reduced = reduceReading(readingOf(sight.body), precisionOf(occupation.body), reductionOf(state.settings));
  const measured = measurePoint(station, setupOf(occupation.body), reduced);
  if (!measured) return null;
  const listed = state.control.flatMap(({ id, revision: { body } }) => (body.e === null || body.n === null ? [] : [{ name: id, e: body.e, n: body.n }]));
  return likelierPoint(measured, sight.body.target.mark, listed);
}

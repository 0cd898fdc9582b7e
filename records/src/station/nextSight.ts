/** Which mark to sight next, and whether a sight was to the mark that was named. */
import {
  addedSight,
  likelierPoint,
  measurePoint,
  reduceReading,
  worthOf,
  type AddedSight,
  type AskedOfStation,
  type LikelyPoint,
  type Station,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { controlPointOf, precisionOf, readingOf, reductionOf, setupOf } from './observations.ts';
import type { SiteState } from '../site/state.ts';
import { sightable, type StationDraft } from './stationDraft.ts';

/**
 * What each mark not sighted yet would do to the station, in precision and in what could go unseen, the best first;
 * those kept for proofs are left for them.
 */
export function nextSights(state: SiteState, draft: StationDraft, asked: AskedOfStation): AddedSight[] {
  const extensible = draft.outcome?.ok ? draft.outcome.value.extensible : null;
  if (!extensible) return [];
  const points = sightable(
    state,
    new Set([...draft.groups.map((group) => group.mark), ...(draft.over ? [draft.over] : [])]),
  ).map((mark) => controlPointOf(mark.revision.body));
  const [best, ...others] = points
    .flatMap((point) => addedSight(extensible, point, asked, false) ?? [])
    .sort((a, b) => worthOf(a) - worthOf(b) || a.radius95 - b.radius95);
  // Only of the best is it told whether one bad mark could then be named.
  return best
    ? [
        addedSight(
          extensible,
          points.find((point) => point.name === best.name)!,
          asked,
        ) ?? best,
        ...others,
      ]
    : [];
}

/** The mark that a sight fits far better than the named one, seen from `station`; null when the name is not doubted. */
export function likelierMark(
  state: SiteState,
  occupation: Fact<'occupation'>,
  station: Station,
  sight: Fact<'sight'>,
): LikelyPoint | null {
  if (sight.body.target.kind !== 'control') return null;
  const reduced = reduceReading(readingOf(sight.body), precisionOf(occupation.body), reductionOf(state.settings));
  const measured = measurePoint(station, setupOf(occupation.body), reduced);
  if (!measured) return null;
  const listed = state.control.flatMap(({ id, revision: { body } }) =>
    body.e === null || body.n === null ? [] : [{ name: id, e: body.e, n: body.n }],
  );
  return likelierPoint(measured, sight.body.target.mark, listed);
}

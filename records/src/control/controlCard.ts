/**
 * One control mark for whoever has to find it or set it again: where it is, and how it lies to what stands round it.
 */
import { azimuth, planDistance, type Metres, type PlanPoint, type Radians } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { markKey, type ControlMark, type SiteState } from '../site/state.ts';

export interface Tie extends PlanPoint {
  readonly name: string;
  readonly what: 'control' | 'mark';
  /** Level, from the mark of the card. */
  readonly distance: Metres;
  readonly azimuth: Radians;
  /** Above the mark of the card; null where one of the two has no height. */
  readonly rise: Metres | null;
}

export interface ControlCard {
  readonly mark: ControlMark;
  /** Counted from the first one that was listed. */
  readonly revision: number;
  readonly listedAt: string;
  readonly ties: readonly Tie[];
  readonly visits: readonly Fact<'visit'>[];
  readonly photos: readonly Fact<'photo'>[];
}

const MOST_TIES = 6;
const MOST_STAKES = 2;
/** Ties are so far from each other at least. */
const APART: Metres = 5;
/** Ties nearer than this are no help, and marks farther off than that are no ties. */
const [NEAREST, FARTHEST]: readonly [Metres, Metres] = [0.5, 150];

export function controlCard(state: SiteState, id: string): ControlCard | null {
  const mark = state.control.find((each) => each.id === id);
  if (!mark) return null;
  const { e, n, z } = mark.revision.body;
  const tieOf = (name: string, what: Tie['what'], place: PlanPoint, height: Metres | null): Tie[] => {
    if (e === null || n === null) return [];
    const distance = planDistance({ e, n }, place);
    if (distance < NEAREST || distance > FARTHEST) return [];
    return [
      {
        name,
        what,
        e: place.e,
        n: place.n,
        distance,
        azimuth: azimuth({ e, n }, place),
        rise: height === null || z === null ? null : height - z,
      },
    ];
  };
  const control = state.control.flatMap(({ id: other, revision: { body } }) =>
    other === id || body.e === null || body.n === null || body.condition === 'lost'
      ? []
      : tieOf(body.name, 'control', { e: body.e, n: body.n }, body.z),
  );
  const set = state.packages.flatMap((work) => {
    const root = state.packageRoots.get(work.id)!;
    return work.body.plans.flatMap((plan) => {
      const stake = state.marks.get(markKey(root, plan.key));
      return !stake || stake.body.state === 'rough' || state.reports.has(stake.id)
        ? []
        : tieOf(plan.name, 'mark', stake.body.place, stake.body.hubZ);
    });
  });
  const byDistance = (ties: readonly Tie[]) => [...ties].sort((a, b) => a.distance - b.distance);
  // Other control lasts longer than stakes do.
  const ties = byDistance(control).slice(0, MOST_TIES - MOST_STAKES);
  for (const stake of byDistance(set)) {
    // Two stakes of one corner tell no more than one of them.
    if (ties.length < MOST_TIES && !ties.some((tie) => planDistance(tie, stake) < APART)) ties.push(stake);
  }
  return {
    mark,
    revision: mark.revisions.length,
    listedAt: mark.revision.at,
    ties: byDistance(ties),
    visits: state.visits.get(id) ?? [],
    photos: state.photos.get(id) ?? [],
  };
}

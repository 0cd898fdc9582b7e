/**
 * Marks that two tablets set without knowing of each other. The later one is in force by the rules, the other stands as
 * it is; that there are two is told until somebody decides which of them stands.
 */
import { planDistance, type Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { withdrawBranches, type Withdrawn } from '../proof/branches.ts';
import { toleranceOf } from '../site/recording.ts';
import { compareNames, markKey, type SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';

export interface SetTwice {
  readonly work: Fact<'package'>;
  readonly name: string;
  /** All that stand, oldest first; the last one is in force. */
  readonly marks: readonly Fact<'mark'>[];
  /** Largest distance of another one from the one in force, and largest difference of height where both have one. */
  readonly apart: Metres;
  readonly apartZ: Metres | null;
  /** They lie farther apart than the work allows: whoever builds has to know which is meant. */
  readonly differ: boolean;
}

/** Marks of a package by name, packages in their order. */
export function setTwice(state: SiteState): SetTwice[] {
  if (state.marksBeside.size === 0) return [];
  return state.packages.flatMap((work) => {
    const root = state.packageRoots.get(work.id)!;
    return work.body.plans
      .flatMap((plan) => twiceAt(state, work, markKey(root, plan.key)) ?? [])
      .sort((a, b) => compareNames(a.name, b.name));
  });
}

/**
 * Of one mark, by its `markKey`; null where only one stands. A painted place that was driven later by somebody else is
 * no second mark.
 */
export function twiceAt(state: SiteState, work: Fact<'package'>, key: string): SetTwice | null {
  const inForce = state.marks.get(key);
  const beside = (state.marksBeside.get(key) ?? []).filter((mark) => mark.body.state !== 'rough');
  if (!inForce || beside.length === 0) return null;
  const apart = Math.max(...beside.map((mark) => planDistance(mark.body.place, inForce.body.place)));
  const heights = beside.flatMap(({ body }) =>
    body.hubZ === null || inForce.body.hubZ === null ? [] : [Math.abs(body.hubZ - inForce.body.hubZ)],
  );
  const apartZ = heights.length > 0 ? Math.max(...heights) : null;
  return {
    work,
    name: inForce.body.name,
    marks: [...beside, inForce],
    apart,
    apartZ,
    differ: apart > toleranceOf(state, work) || (apartZ !== null && apartZ > heightToleranceOf(state, work)),
  };
}

const heightToleranceOf = (state: SiteState, work: Fact<'package'>): Metres => classOf(state, work.body.class).height;

/** What is said when one of them stands: the others are withdrawn, and stay in the book as what they were. */
export const thisOneStands = (
  state: SiteState,
  { name, marks }: SetTwice,
  stands: Fact<'mark'>,
  by: string,
): Withdrawn[] =>
  withdrawBranches(
    state,
    marks.flatMap(({ id }) => (id === stands.id ? [] : [id])),
    stands.id,
    msg('records.wasSetTwiceAndTheOneOf', { name, by }),
  );

/** What is said beside a mark that is set anew in the place of all that stand. */
export function allSetAnew(state: SiteState, key: string, name: string): Withdrawn[] {
  const inForce = state.marks.get(key);
  const beside = (state.marksBeside.get(key) ?? []).map(({ id }) => id);
  return inForce ? withdrawBranches(state, beside, inForce.id, msg('records.wasSetTwiceAndWasSetAnew', { name })) : [];
}

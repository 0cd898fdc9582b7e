/** What the work asks of a station: the tolerance of its class, and the marks that are still to be set. */
import type { AskedOfStation, Metres, PlanPoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { once, planKeys } from './indexes.ts';
import type { SiteState } from './state.ts';
import { classOf } from './toleranceClass.ts';

/** Longest useful sight to a pole: for heights, and for plan alone. */
export const REACH: Readonly<Record<'height' | 'plan', Metres>> = { height: 200, plan: 300 };

/** Marks of a package that are planned and not set yet, by what stands in the ground. */
export function toBeSet(state: SiteState, work: Fact<'package'>): FactPlans {
  const keys = planKeys(state, work);
  return work.body.plans.filter((_, i) => {
    const mark = state.marks.get(keys[i]!);
    return !mark || mark.body.state === 'rough';
  });
}
type FactPlans = Fact<'package'>['body']['plans'];

/** Places that are still to be set, by class; each is found when it is asked for. */
const leftByClass = once(
  (_: SiteState['marks'], _packages: SiteState['packages']) => new Map<string, readonly PlanPoint[]>(),
);

/** For a class: its figures, and what is still to be set of the packages that ask for it. */
export function askedOf(state: SiteState, classId: string): AskedOfStation {
  const left = leftByClass(state.marks, state.packages);
  let work = left.get(classId);
  if (!work) {
    work = state.packages
      .filter((each) => each.body.class === classId)
      .flatMap((each) => toBeSet(state, each).map((plan) => plan.place));
    left.set(classId, work);
  }
  return { ...toleranceAsked(state, classId), work, reach: REACH.plan };
}

/** For one package: all of it that is still to be set. */
export const askedBy = (state: SiteState, work: Fact<'package'>): AskedOfStation => ({
  ...toleranceAsked(state, work.body.class),
  work: toBeSet(state, work).map((plan) => plan.place),
  reach: REACH.plan,
});

function toleranceAsked(state: SiteState, classId: string): { readonly plan: Metres; readonly height: Metres } {
  const { plan, height } = classOf(state, classId);
  return { plan, height };
}

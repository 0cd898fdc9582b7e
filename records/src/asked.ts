/** What the work asks of a station: the tolerance of its class, and the marks that are still to be set. */
import type { AskedOfStation, Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { markKey, type SiteState } from './state.ts';
import { classOf } from './toleranceClass.ts';

/** Longest useful sight to a pole: for heights, and for plan alone. */
export const REACH: Readonly<Record<'height' | 'plan', Metres>> = { height: 200, plan: 300 };

/** Marks of a package that are planned and not set yet, by what stands in the ground. */
export function toBeSet(state: SiteState, work: Fact<'package'>): FactPlans {
  const root = state.packageRoots.get(work.id)!;
  return work.body.plans.filter((plan) => {
    const mark = state.marks.get(markKey(root, plan.key));
    return !mark || mark.body.state === 'rough';
  });
}
type FactPlans = Fact<'package'>['body']['plans'];

/** For a class: its figures, and what is still to be set of the packages that ask for it. */
export function askedOf(state: SiteState, classId: string): AskedOfStation {
  const work = state.packages.filter((each) => each.body.class === classId).flatMap((each) => toBeSet(state, each).map((plan) => plan.place));
  return { ...toleranceAsked(state, classId), work, reach: REACH.plan };
}

/** For one package: all of it that is still to be set. */
export const askedBy = (state: SiteState, work: Fact<'package'>): AskedOfStation => ({
  ...toleranceAsked(state, work.body.class),
  work: toBeSet(state, work).map((plan) => plan.place),
  reach: REACH.plan,
});

function toleranceAsked(state: SiteState, classId: string): { readonly plan: Metres; readonly height: Metres } {
  const { planMm, heightMm } = classOf(state, classId);
  return { plan: planMm / 1000, height: heightMm / 1000 };
}

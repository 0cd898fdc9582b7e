/** Marks that have to be set again, or looked at again, before anybody builds from them. */
import { isBeginning } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { isForPlan } from '../work/packagePlans.ts';
import { planKeys } from '../site/indexes.ts';
import { compareNames, type SiteState } from '../site/state.ts';

export interface Restake {
  readonly mark: Fact<'mark'>;
  readonly work: Fact<'package'>;
  readonly why: 'destroyed' | 'moved' | 'planChanged';
  /** What was said, and by whom; null where the plan has changed. */
  readonly report: Fact<'report'> | null;
}

/** In the order of packages and names. */
export const restakeList = (state: SiteState): readonly Restake[] =>
  state.packages.flatMap((work) =>
    changedIn(state, work)
      .map(({ mark, report }): Restake => ({ mark, work, report, why: report ? report.body.kind : 'planChanged' }))
      .sort((a, b) => compareNames(a.mark.body.name, b.mark.body.name)),
  );

interface Changed {
  readonly mark: Fact<'mark'>;
  readonly report: Fact<'report'> | null;
}

/**
 * What a package’s plans were looked through with: it is asked for at every fact, and most of them change none of it.
 */
const looked = new WeakMap<
  Fact<'package'>,
  {
    readonly marks: readonly (Fact<'mark'> | undefined)[];
    readonly reports: SiteState['reports'];
    readonly changed: readonly Changed[];
  }
>();

function changedIn(state: SiteState, work: Fact<'package'>): readonly Changed[] {
  const marks = planKeys(state, work).map((key) => state.marks.get(key));
  const before = looked.get(work);
  if (before && before.reports === state.reports && isBeginning(before.marks, marks)) return before.changed;
  const changed = work.body.plans.flatMap((plan, i): Changed[] => {
    const mark = marks[i];
    if (!mark || mark.body.state === 'rough') return [];
    const report = state.reports.get(mark.id) ?? null;
    return report || !isForPlan(mark.body, plan) ? [{ mark, report }] : [];
  });
  looked.set(work, { marks, reports: state.reports, changed });
  return changed;
}

/** Marks that have to be set again, or looked at again, before anybody builds from them. */
import type { Fact } from '@idle-marker/contract';
import { isForPlan } from './packagePlans.ts';
import { compareNames, markKey, type SiteState } from './state.ts';

export interface Restake {
  readonly mark: Fact<'mark'>;
  readonly work: Fact<'package'>;
  readonly why: 'destroyed' | 'moved' | 'planChanged';
  /** What was said, and by whom; null where the plan has changed. */
  readonly report: Fact<'report'> | null;
}

/** In the order of packages and names. */
export function restakeList(state: SiteState): Restake[] {
  return state.packages.flatMap((work) => {
    const root = state.packageRoots.get(work.id)!;
    return work.body.plans
      .flatMap((plan): Restake[] => {
        const mark = state.marks.get(markKey(root, plan.key));
        if (!mark || mark.body.state === 'rough') return [];
        const report = state.reports.get(mark.id) ?? null;
        if (report) return [{ mark, work, why: report.body.kind, report }];
        return isForPlan(mark.body, plan) ? [] : [{ mark, work, why: 'planChanged', report: null }];
      })
      .sort((a, b) => compareNames(a.mark.body.name, b.mark.body.name));
  });
}

import type { AcceptedSolution, SiteState } from '../site/state.ts';

/** What was sighted but left out of the solution, by mark and part: "K5 plan", "K4 height", "K6". */
export function leftOut(state: SiteState, solution: AcceptedSolution): string[] {
  const uses = solution.fact.body.uses;
  return [...new Set(uses.map((use) => use.control))].flatMap((control) => {
    const own = uses.filter((use) => use.control === control);
    const mark = state.control.find((each) => each.id === control)?.revision.body;
    if (!mark) return [];
    // A part that the mark was never trusted for is not left out.
    const plan = mark.usePlan && !own.some((use) => use.plan);
    const height = mark.useHeight && !own.some((use) => use.height);
    if (!plan && !height) return [];
    return [plan && height ? mark.name : `${mark.name} ${plan ? 'plan' : 'height'}`];
  });
}

/** How long the control of a first day takes: what is still to be found, and sighted from two stands. */
import type { SiteState } from '../site/state.ts';
import { stationSights } from '../station/stationDraft.ts';

/**
 * Minutes of somebody who is used to it and does not hurry: the walk to a mark with its label, a set-up, a mark in both
 * faces.
 */
export const CONTROL_PACE = { find: 6, setUp: 20, sight: 4 } as const;
/** From one stand alone no mark of it is proven by another. */
const STANDS = 2;

export interface ControlTime {
  readonly marks: number;
  readonly toFind: number;
  readonly stands: number;
  readonly minutes: number;
}

/** Of the control that is still there; stands that have sighted marks already are done. */
export function controlTime(state: SiteState): ControlTime {
  const here = state.control.filter(({ revision: { body } }) => body.condition !== 'lost');
  const toFind = here.filter((mark) => (state.visits.get(mark.id)?.length ?? 0) === 0).length;
  const stood = state.occupations.filter((each) => stationSights(state, each.id).length > 0).length;
  const stands = Math.max(0, STANDS - stood);
  const minutes = toFind * CONTROL_PACE.find + stands * (CONTROL_PACE.setUp + here.length * CONTROL_PACE.sight);
  return { marks: here.length, toFind, stands, minutes };
}

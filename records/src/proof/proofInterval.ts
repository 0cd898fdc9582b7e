/** How long a proof lasts where the instrument stands. */
import { currentOccupation } from '../station/inForce.ts';
import type { SiteState } from '../site/state.ts';

/** On asphalt, on a deck and in wind the tripod moves sooner. */
const UNSTEADY_MINUTES = 30;
const UNSTEADY_GROUND: ReadonlySet<string> = new Set(['asphalt', 'deck']);

export const isUnsteady = ({ ground, windy }: { readonly ground: string; readonly windy: boolean }): boolean =>
  windy || UNSTEADY_GROUND.has(ground);

/** Minutes between proofs for the occupation of now. */
export function proofInterval(state: SiteState): number {
  const { proofIntervalMinutes } = state.settings;
  const occupation = currentOccupation(state);
  return occupation && isUnsteady(occupation.body)
    ? Math.min(UNSTEADY_MINUTES, proofIntervalMinutes)
    : proofIntervalMinutes;
}

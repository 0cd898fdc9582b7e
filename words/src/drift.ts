import type { Drift, LengthUnit } from '@idle-marker/core';
import { smallLength } from './small.ts';

export type DriftOf = 'height' | 'turn';

/** What a day's proofs say about the instrument: nothing, a step at a moment, or a creep. `clock` writes an instant. */
export function driftWords(
  drift: Drift,
  of: DriftOf,
  unit: LengthUnit,
  clock: (at: number) => string,
): { readonly title: string; readonly text: string } | null {
  const what = of === 'height' ? 'height' : 'direction';
  const at100 = of === 'turn' ? ' at 100 m' : '';
  switch (drift.kind) {
    case 'none':
      return null;
    case 'step':
      return {
        title: `A step in ${what} between ${clock(drift.from)} and ${clock(drift.to)}`,
        text: `The proofs before and after differ by ${smallLength(drift.size, unit)}${at100}. Something was bumped then, or a mark: what was set after it hangs on what comes now.`,
      };
    case 'creep':
      return {
        title: `The ${what} creeps`,
        text: `By ${smallLength(drift.perTime * 3_600_000, unit)}${at100} an hour. The tripod settles, turns in the sun, or stands on asphalt: station anew on firmer ground.`,
      };
  }
}

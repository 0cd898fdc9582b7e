import type { Drift, LengthUnit } from '@idle-marker/core';
import { partWord } from './claim.ts';
import { msg } from './message.ts';
import { smallLength } from './small.ts';

export type DriftOf = 'height' | 'turn';

/** What a day's proofs say about the instrument: nothing, a step at a moment, or a creep. `clock` writes an instant. */
export function driftWords(
  drift: Drift,
  of: DriftOf,
  unit: LengthUnit,
  clock: (at: number) => string,
): { readonly title: string; readonly text: string } | null {
  const what = of === 'height' ? partWord('height') : 'direction';
  const at100 = of === 'turn' ? ' at 100 m' : '';
  switch (drift.kind) {
    case 'none':
      return null;
    case 'step':
      return {
        title: msg('drift.aStepInBetweenAnd', { what, clock: clock(drift.from), clock2: clock(drift.to) }),
        text: msg('drift.theProofsBeforeAndAfterDifferBy', { smallLength: smallLength(drift.size, unit), at100 }),
      };
    case 'creep':
      return {
        title: msg('drift.theCreeps', { what }),
        text: msg('drift.byAnHourTheTripodSettlesTurns', {
          smallLength: smallLength(drift.perTime * 3_600_000, unit),
          at100,
        }),
      };
  }
}

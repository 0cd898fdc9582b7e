/** What whoever builds from the marks does with them, and what marks suit that. */
import type { StakeMarkKind } from '@idle-marker/core';
import type { Rounding } from './rounding.ts';

export interface NextTrade {
  readonly id: 'dig' | 'forms' | 'laser' | 'steel' | 'paving';
  readonly name: string;
  /** As it is said on the sheet. */
  readonly use: string;
  readonly advice: string;
  readonly markKind: StakeMarkKind;
  readonly rounding: Rounding;
}

export const NEXT_TRADES: readonly NextTrade[] = [
  {
    id: 'dig',
    name: 'Dig',
    use: 'digging to depth',
    advice: 'The machine takes what stands near: hubs beyond the edge of the dig and its slope, laths that are seen from the seat, cut to the hundredth.',
    markKind: 'hubAndLath',
    rounding: 'hundredth',
  },
  {
    id: 'forms',
    name: 'Set forms',
    use: 'setting forms',
    advice: 'Forms are set from a nail with tape and level: a hub out of the way of the braces, the offset to the face that the board stands on.',
    markKind: 'hubAndLath',
    rounding: 'finest',
  },
  {
    id: 'laser',
    name: 'Laser',
    use: 'setting up a laser for heights',
    advice: 'A laser wants few heights and firm ones: a nail where nobody drives, all to one reference, and its height as it was read.',
    markKind: 'nail',
    rounding: 'finest',
  },
  {
    id: 'steel',
    name: 'Steel or walls',
    use: 'placing steel or walls on the slab',
    advice: 'Lines and crosses on the concrete itself, so far off that they are still seen beside the plate or the sill.',
    markKind: 'scribedLine',
    rounding: 'finest',
  },
  {
    id: 'paving',
    name: 'Paving',
    use: 'a string line for paving',
    advice: 'A string is pulled from hub to hub: closer on curves and crests, all on one side and at one offset.',
    markKind: 'hubAndLath',
    rounding: 'finest',
  },
];

import type { BritishOf } from './britishOf.ts';
import type { commands as whole } from '../commands.ts';

export const commands: BritishOf<typeof whole> = {
  warnUnitAssumed: 'the file states no coordinate system: its figures are taken as metres',
  warnStation: 'a chainage isn’t the one that is stated',
};

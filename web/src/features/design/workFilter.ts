/** What of the work is shown: by what is searched for, and how far packages are. */
import type { PackageProgress } from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';

export type WorkState = 'all' | 'toSet' | 'inDoubt' | 'done';

export const workStates = worded((): readonly (readonly [WorkState, string])[] => [
  ['all', msg('design.allStates')],
  ['toSet', msg('design.stateToSet')],
  ['inDoubt', msg('design.stateInDoubt')],
  ['done', msg('design.stateDone')],
]);

/** Every word of the search stands somewhere in one of the texts. */
export function matches(search: string, texts: readonly string[]): boolean {
  const words = search.trim().toLowerCase().split(/\s+/);
  return words.every((word) => word === '' || texts.some((text) => text.toLowerCase().includes(word)));
}

export function isInState({ marks, set, inDoubt }: PackageProgress, wanted: WorkState): boolean {
  switch (wanted) {
    case 'all':
      return true;
    case 'toSet':
      return set < marks;
    case 'inDoubt':
      return inDoubt > 0;
    case 'done':
      return set === marks && inDoubt === 0;
  }
}

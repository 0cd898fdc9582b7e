import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { currentLink } from '../../link/linkStore.ts';
import type { LesserAction } from './PoleView.tsx';

const ASIDE = 90 * RADIANS_PER_DEGREE;

/** Where else the prism is looked for once the lock is lost. */
export const searchesAside = (): readonly LesserAction[] => [
  {
    label: msg('pole.searchLeft'),
    onPress: () => currentLink()?.search({ side: 'left', width: ASIDE }),
  },
  { label: msg('pole.searchRound'), onPress: () => currentLink()?.search() },
  {
    label: msg('pole.searchRight'),
    onPress: () => currentLink()?.search({ side: 'right', width: ASIDE }),
  },
];

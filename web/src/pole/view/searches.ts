import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { currentLink } from '../../link/linkStore.ts';
import { searchWindow } from '../../link/searchWindow.ts';
import { openFieldMenu } from '../../site/fullView.ts';
import type { PoleAction } from './PoleAction.tsx';
import type { PoleReading } from './poleReading.ts';
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

/** What is done first once the prism is lost, in the part of the horizon that was chosen; or the link itself. */
export const searchAction = ({ kind }: PoleReading): PoleAction =>
  kind === 'noLink'
    ? { label: msg('pole.reconnect'), onPress: () => openFieldMenu(true) }
    : {
        label: msg('pole.search'),
        notes: [msg('pole.standStill'), msg('pole.prismToTheInstrument')],
        onPress: () => currentLink()?.search(searchWindow()),
      };

import { keptChoice } from '../../ui/kept.ts';
import { CARRIED, useMedia } from '../../ui/useMedia.ts';

/** Which hand holds the screen: the columns change sides, the board never does. */
export const hand = keptChoice('idle-marker hand', ['right', 'left']);

/** Phones, tablets, and whatever is touched rather than pointed at. */
export const useIsCarried = (): boolean => useMedia(CARRIED);

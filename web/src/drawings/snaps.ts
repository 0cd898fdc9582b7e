import type { SnapKind } from '@idle-marker/core';
import { msg, worded } from '@idle-marker/words';

/** What a touch is drawn to, in words. */
export const snapWords = worded((): Readonly<Record<SnapKind, string>> => ({
  point: 'points',
  end: 'ends',
  crossing: 'crossings',
  centre: 'centres',
  middle: 'middles',
  perpendicular: msg('drawings.squareFromTheLast'),
  extension: msg('drawings.whereLinesWouldMeet'),
  on: msg('drawings.anywhereOnALine'),
}));

/** What a picked place is. */
export const snappedWords = worded((): Readonly<Record<SnapKind, string>> => ({
  point: 'point',
  end: 'end',
  crossing: 'crossing',
  centre: 'centre',
  middle: 'middle',
  perpendicular: msg('drawings.squareFromTheLast'),
  extension: msg('drawings.whereLinesWouldMeet'),
  on: msg('drawings.onALine'),
}));

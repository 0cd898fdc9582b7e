import type { SnapKind } from '@idle-marker/core';

/** What a touch is drawn to, in words. */
export const SNAPS: Readonly<Record<SnapKind, string>> = {
  point: 'points',
  end: 'ends',
  crossing: 'crossings',
  centre: 'centres',
  middle: 'middles',
  perpendicular: 'square from the last',
  extension: 'where lines would meet',
  on: 'anywhere on a line',
};

/** What a picked place is. */
export const SNAPPED: Readonly<Record<SnapKind, string>> = {
  point: 'point',
  end: 'end',
  crossing: 'crossing',
  centre: 'centre',
  middle: 'middle',
  perpendicular: 'square from the last',
  extension: 'where lines would meet',
  on: 'on a line',
};

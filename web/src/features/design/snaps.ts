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

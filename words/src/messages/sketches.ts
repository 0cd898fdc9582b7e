/** Messages of sketches. */
export const sketches = {
  n1InFt1: '1 in = {scale} ft (1 : {scale2})',
  off: '{writtenLength} off {corner}',
  partOf: 'part {i} of {tiles}',
  keyToParts: 'key to {tiles} parts',
  cutSheetRevision: 'Cut sheet {number}, revision {revision}: {package}',
  heightsAreTrueHeights: 'Elevations are true elevations.',
  heightsAreTrueHeightsSiteZeroIs: 'Elevations are true elevations; site zero is {writtenLength} {unit}.',
  lengthsInLevelBetweenTheMarksAs: 'Lengths in {unit}, level, between the marks as set. {heights}',
  noRoomToName: 'Names that didn’t fit: {fitted}',
  for: '{site} · for {crew} · {marks, plural, one {# mark} other {# marks}}',
  drawnFor: 'drawn for {paper}',
  mark: 'mark, {held}',
  mark2: 'mark, {others}',
  toBuild: 'to build',
} as const;

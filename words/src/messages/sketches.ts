/** Messages of sketches. */
export const sketches = {
  n1InFt1: '1 in = {scale} ft (1 : {scale2})',
  off: '{writtenLength} off {corner}',
  partOf: 'part {i} of {tiles}',
  keyToParts: 'key to {tiles} parts',
  cutSheetRevision: 'Cut sheet {number}, revision {revision}: {package}',
  heightsAreTrueHeights: 'Heights are true heights.',
  heightsAreTrueHeightsSiteZeroIs: 'Heights are true heights; site zero is {writtenLength} {unit}.',
  lengthsInLevelBetweenTheMarksAs: 'Lengths in {unit}, level, between the marks as set. {heights}',
  noRoomToName: 'No room to name: {fitted}',
  for: '{site} · for {crew} · {marks, plural, one {# mark} other {# marks}}',
  drawnFor: 'drawn for {paper}',
  mark: 'mark, {held}',
  mark2: 'mark, {others}',
  toBuild: 'to build',
} as const;

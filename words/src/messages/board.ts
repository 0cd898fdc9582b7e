/** Messages of board. */
export const board = {
  northIsUp: 'North is up',
  zoomIn: 'Zoom in',
  zoomOut: 'Zoom out',
  showEverything: 'Show everything',
  thePlan: 'The plan',
  drawingThePlan: 'Drawing the plan…',
  heightsTimesAsLarge: '; vertical exaggeration {exaggeration}',
  theGroundIsDashed: '; the ground is dashed',
  lookingAhead: '{title}, looking ahead{exaggeration}{grounds}.',
  crossSection: 'Cross section: {strings}',
  left: 'left',
  right: 'right',
  backAhead: '{station} back = {station2} ahead',
  namesLeftOut: '{names, plural, one {# name} other {# names}} more: zoom in',
} as const;

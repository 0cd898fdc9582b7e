import type { BritishOf } from './britishOf.ts';
import type { handover as whole } from '../handover.ts';

export const handover: BritishOf<typeof whole> = {
  pointNorthEastElevationCode: 'Point, N, E, level, code',
  pointEastNorthElevationCode: 'Point, E, N, level, code',
  giveTheLathItsSizesFirst: 'Enter the stake’s sizes first.',
  neither: 'Word for on level',
  heightsAreWritten: 'Level rounding',
  colourForTheUnusual: 'Colour for exceptions',
  theLath: 'The stake',
  side: 'Side of stake',
  aHubOfABuilding: 'A peg of a building',
  aHubBehindAKerb: 'A peg behind a kerb',
  colours: 'Colours',
  heightsTo: 'levels to {heightTo}',
  anotherColour: 'another colour',
  pointsComeBackUnderControlDrawingsAnd:
    'Points come back under Control, drawings and lines under Work. GeoJSON has the site’s own coordinates in metres, no degrees.',
  forWithinPlanHeightOfMarks: 'for {crew} · within {smallLength} plan, {smallLength2} level · {rows} of {rows2} marks',
  proofBeforeAfter: 'Check sight before / after',
  heightsAgainstTheSitesZeroBesideTrue: 'Also show levels above site datum',
  centreLine: 'centre line',
  heightsCutAndFill: 'Levels, cut and fill',
  itsStationComputedAgainHeight: 'Its station computed again: {axes}, level {length}{same}',
  towardWhatIsToBeBuilt: 'Face it towards the work.',
  turnedHalfwayTowardWhatIsToBe: 'Face it halfway towards the work.',
  hallHubs: 'Hall pegs',
  lettersUnderCanNotBeReadStanding:
    'Letters under {least} mm can’t be read at arm’s length: make them larger, or write along the stake.',
  kerbHubs: 'Kerb pegs',
  beforeDrivingSays:
    '{before, plural, one {# stake} other {# stakes}} not set yet: everything but the peg and the cut or fill is written, with space for these.',
};

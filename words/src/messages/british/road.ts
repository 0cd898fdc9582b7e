import type { BritishOf } from './britishOf.ts';
import type { road as whole } from '../road.ts';

export const road: BritishOf<typeof whole> = {
  lockLostNoElevation: 'Lock lost: no level',
  shootHere: 'Observe {wanted} here',
  stationTheInstrumentThenTheGroundCan:
    'Station the instrument, then the ground can be kept with its chainage and offset.',
  heightsAlong: 'Levels along {name}{ground}; {unit}.',
  takeALandxmlFileWithAlignmentsThere:
    'Take a LandXML file with alignments there, or type one: a road, a rail line, a pipe run. Then anything can be found along it by chainage and offset.',
  planWithStationsWhereItChangesAnd:
    'Plan with {name}: chainages, where it changes, and what is looked at. Touching another line works along that one.',
  kerbReturn: 'Add radius kerb…',
  slopeToTheGround: 'Batter peg',
  inCut1In: 'Cut batter, 1 in',
  inFill1In: 'Fill batter, 1 in',
  giveAPlaceOrAStation: 'Enter a place or a chainage.',
  hasNoHeightThereASlopeCant: '{string} has no level there, so no slope can start.',
  hereItIsOutASlopeHas: 'Pole {length} {unit} from the hinge; a {kind} batter reaches this level at {length2} {unit}.',
  keepThisSlopeStake: 'Save batter peg',
  byAt1InCaughtHeight: 'By {name} at {at}: {kind} 1 in {kind2}, caught {strong}, level {length}.',
  hasNoHeightOutTheSlopeIs: '{name} has no level {length} {unit} out, so no catch point.',
  theStationBefore: 'The chainage before',
  theNextStation: 'The next chainage',
  whichOfThePlacesWithThisStation: 'Which of the places with this chainage',
  thisStationComesTimesAlongTheLine: 'This chainage comes {found} times along the line: which one?',
  noHeightHere: 'no level here',
  height: 'level {length}',
  listOfStations: 'Chainage list',
  stations: '{value} chainages.',
  nearestIsABendNothingIsSquare: 'Nearest point is an angle point: no square offset here.',
  hasNoHeightHere: '{name} has no level here.',
  theDesignedCrossSectionsHaveNoHeight: 'The designed cross sections have no level here.',
  whatTheRoadIsLikeThereIts: 'Geometry, design level, cut/fill',
  theWayToTheStationThatWas: 'Move to target chainage',
  theChosenSurfaceUnderIt: 'Surface level',
  coordinatesAndHeightOfThePlace: 'Coordinates and level',
  noPlaceOfThisLineHasThat: 'That chainage isn’t on this alignment.',
};

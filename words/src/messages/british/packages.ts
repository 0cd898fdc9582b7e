import type { BritishOf } from './britishOf.ts';
import type { packages as whole } from '../packages.ts';

export const packages: BritishOf<typeof whole> = {
  itTouches: 'Kerb line',
  heightsOf: 'Levels from',
  upItsStations: 'Increasing chainage',
  downItsStations: 'Decreasing chainage',
  aKerbReturn: 'New radius kerb',
  theArcAndItsRadiusPoint: 'Arc and centre of radius',
  theRadiusPointAlone: 'Centre of radius only',
  soSmallAReturnIsStrappedFrom: 'A radius this small can be swung with a tape from its centre.',
  leftGoingRound: 'Left, going from first to second kerb',
  rightGoingRound: 'Right, going from first to second kerb',
  noHeight: 'no level',
  rightLookingUpTheStations: 'Right, looking up-chainage',
  leftLookingUpTheStations: 'Left, looking up-chainage',
  heightsCheckedAgainst: 'Check levels against',
  nothingStringsAndProfileAlone: 'None (vertical alignment and strings only)',
  heightsComeFromNotFromTheStrings: 'Use levels of {name}',
  atThePlaceOfEachHubNot: 'Take surface level at the peg',
  atOfStationsStringsAndSurfaceDiffer:
    'At {differing} of {corners} chainages, strings and surface differ by more than {smallLength}, most at {name}: {length} from the strings, {length2} {unit} from the surface. Ask the designer which is right before you set anything.',
  stringsAndSurfaceAgreeWithinWherever: 'Strings and surface agree within {smallLength} wherever both have a level.',
  offsetsOfTheirOwnOneALine: 'Individual offsets (chainage: offset)',
  lineIsNotAStationAColon: 'Line {i} isn’t a chainage, a colon and an offset.',
  lineTheLineHasNoSuchStation: 'Line {i}: the line has no such chainage.',
  theLineHasNoStation: 'Chainage {text} isn’t on this alignment.',
  upTheStations: 'Increasing chainage',
  downTheStations: 'Decreasing chainage',
  andAtTheseStations: 'Extra chainages',
  secondElevation: 'Second level',
};

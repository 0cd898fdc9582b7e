import type { BritishOf } from './britishOf.ts';
import type { roadWords as whole } from '../roadWords.ts';

export const roadWords: BritishOf<typeof whole> = {
  centerline: 'centreline',
  spiralBegins: 'Start of transition',
  spiralEndsCurveBegins: 'Transition to curve',
  curveEndsSpiralBegins: 'curve ends, transition begins',
  spiralEnds: 'transition ends',
  spiralMeetsSpiral: 'transition meets transition',
  curveEnds: 'TP (end of curve)',
  curveMeetsACurveOfTheSame: 'Compound curve',
  curveMeetsACurveOfTheOther: 'Reverse curve',
  roundStation: 'round chainage',
  gradeBreak: 'change of gradient',
  stationsJumpBack: 'chainages jump: back {station}',
  thatWouldBeStationsTakeALonger: 'That would be {stations} chainages: take a longer interval or a shorter stretch.',
  theStationsJumpAtWhichLiesOutside: 'The chainage equation at {station} lies outside the line.',
  theStationsJumpTwiceAtOnePlace: 'Two chainage equations at {station}: one position can have only one.',
  pointHasSpiralsButNoRadius: 'Point {point} has transitions but no radius.',
  theSpiralsOfPointTurnByMore:
    'The transitions of point {point} turn by more than the line does there: shorten them, or take a larger radius.',
  betweenPointsAndTheCurvesNeedMore:
    'Between points {point} and {point2} the curves need {length} more than there is: take smaller radii or shorter transitions.',
  elementIsASpiralAndNeedsA: 'Element {element} is a transition and needs a radius at one of its ends.',
  itHasNoProfileThereAreNo: 'No vertical alignment, so no design levels.',
  theProfileBeginsAfterTheLineAt: 'The profile begins {length} after the line, at {station}: there is no level before.',
  theProfileEndsBeforeTheLineAt: 'The profile ends {length} before the line, at {station}: there is no level after.',
  stationsFromToComeTwiceSayWhich:
    'Chainages from {shortStation} to {shortStation2} come twice: say which one is meant.',
  noHeightTheLineHasNoProfile: 'no level: the line has no profile',
  noHeightTheProfileDoesNotReach: 'no level: beyond the vertical alignment',
  noHeightBeyondTheEndOfThe: 'no level: beyond the end of the line',
  noHeightOffTheEdgeOfThe: 'no level: off the edge of the surface, or in a hole of it',
  onTheStraight: 'on straight',
  onTheSpiralWhereItIsStraight: 'on the transition, where it is straight',
  onTheSpiralRadiusHere: 'on the transition {way}, radius {radius} here',
  slopeStake1In: 'BATTER PEG, {kind} 1 in {run}',
  onTheCatchPointTheSlopeMeets: 'On the catch point: set the batter peg here.',
  andShootAgainTheGroundChangesOn: '{move} {length}, and observe again: the ground changes on the way.',
  theTwoKerbsRunTheSameWay:
    'The two kerbs run the same way there: no arc joins them. Choose other chainages, or reverse one of the directions.',
  noArcOfThisRadiusTouchesBoth:
    'No arc of this radius touches both kerbs near there: give chainages nearer to the corner, or a smaller radius.',
  curveBegins: 'TP (start of curve)',
};

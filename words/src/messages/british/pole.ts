import type { BritishOf } from './britishOf.ts';
import type { pole as whole } from '../pole.ts';

export const pole: BritishOf<typeof whole> = {
  noHeightTheStakesGetNone: 'No level: no cut or fill on stakes',
  siteZero: ', site datum {length}',
  heightsFromTheStationsMarks: 'Levels from the station’s marks{siteZero}',
  noOtherOffsetOnThisLineIs:
    'No other offset on this line is free of outlines, areas and other pegs, and seen from the instrument.',
  bothArmsUpTheShotIsTaken: 'Both arms up. The reading is taken: drive the peg.',
  twoColoursOneForEachSideOf:
    'Two colours, one for each side of the line of sight. Only one colour: walk towards the other until both are seen. Both by turns: the pole is on the line. Which colour is which side differs between instruments: walk across once and look. On most, a quick flash says that the prism is locked and a slow one that it is lost; without lock the figures here stand still and are called old.',
  theVerticalHairKeepsTheDirectionThe:
    'The vertical hair keeps the direction; the horizontal one is for level only. Whoever looks through calls the pole’s left and right, not his own: facing each other, one’s right is the other’s left.',
  eachFigureIsTheMoveStillTo:
    'Each figure is the move still to make, with its direction in words; there are no plus or minus signs to interpret. Circle readings grow clockwise, so “turn right” makes them bigger. Grey last digits are beyond the accuracy of the live figure: rely on one careful reading.',
  againstSiteZero: '{length} above site datum',
  noDesignHeight: 'No design level',
  cutOrFillAfterTheFirstShot: 'Cut or fill after the first reading',
  theStationHasNoHeightTheStake: 'No cut/fill: the station has no level',
  fromTheGroundTheStakeGetsIt: 'from the ground; the stake gets it from the peg',
  fromTheHub: 'from the peg',
  frontOfTheLath: 'front of the stake',
  nailInTheKerbNorthOfThe: 'nail in the kerb, north of the gate',
  shootHub: 'Observe peg',
  shoot: 'Observe',
  setNotShotAgainAfterDriving: 'Set, not observed again after driving',
  off2: '{state} · off {smallLength} {dEMm}, {smallLength2} {dNMm} · {standing} · {shots, plural, one {# reading} other {# readings}}{firm}',
  wayOfWorking: 'Setting-out method',
  aProofIsOverdueGoOnAll: 'Check sight overdue. Continue anyway?',
  drivenIsItFirm: 'Is the peg firm?',
  driveItDeeperOrSetALonger:
    'Drive it deeper, or set a longer one beside it; then observe it. Nobody can build from a loose peg.',
  pushItWithTheBootThenShoot: 'Push it with the boot, then observe it for its place and level.',
  thanTheShotBeforeCutAndFill: '{smallLength} {deeper} than the previous reading; cut/fill updated.',
  thePackageAsksForAnotherPlaceOr: 'The package has another position or level now. Pull the peg and set it again.',
  nobodyShouldBuildFromItPullThe: 'Don’t build from it. Pull the peg and set it again from this station.',
  aProofOfThisStationFailed: 'A check sight of this station failed.',
  minSinceTheLastProof: '{minutes} min since the last check sight.',
  sightAnUnusedMarkWithAHeight: 'Sight an unused mark with a level before the next one.',
  eachShotIsKeyedInTheFigures: 'Each reading is keyed in; the figures are those of the last one.',
  theHubIsDrivenShootItFor: 'The peg is driven. Observe it for its level and place.',
  nowLookAtTheBubbleHoldPlumb: 'Now look at the bubble. Hold, plumb the pole, observe once.',
  nearEnoughForPaintCrossItAnd:
    'Near enough for paint: mark a cross and go on. Drive the peg once you know where it lands.',
  noReadingOfThePole: 'No reading to the pole yet',
  shootToGetTheFirstFigure: 'Observe to get the first figure',
  poleTowardTheInstrument: 'Pole towards the instrument',
  putItOff: 'Postpone check sight',
  whatIsSetFromNowOnStays:
    'Marks set from now on aren’t verified until the next good check sight. Your reason goes into the field book.',
  sayWhyTheProofCantBeMade: 'Say why the check sight can’t be made now.',
  shotsAveraged: 'Readings, averaged',
  hub: 'peg',
  theReadingHasNoDistanceNothingCan: 'No distance in this reading, so no point can be computed.',
  theShotGivesNoPlace: 'The reading gives no place',
  fewShotsThenTheTape: 'few readings, then the tape',
  paintAllRoughlyFirst: 'Paint all first, pegs later',
  saveShot: 'Save reading',
  layoutPoints: 'Setting-out points',
  shootKeepAndGoOn: 'One key: observe, keep if inside, go on (painted or drilled marks)',
  shootAndKeep: 'Observe and keep',
};

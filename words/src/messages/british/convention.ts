import type { BritishOf } from './britishOf.ts';
import type { convention as whole } from '../convention.ts';

export const convention: BritishOf<typeof whole> = {
  shortForms: 'Short shutters',
  curbFace: 'Kerb: to the face, level to the top',
  curbBack: 'Kerb: to the back, level to the top at the back',
  pegLevels: 'Pegs with levels',
  stationOfTheRoad: 'Chainage',
  heightOfTheHub: 'Peg level',
  designHeight: 'design level',
  aLathBesideTheHub: 'a stake beside the peg',
  thePegItself: 'On the peg',
  facesWhatIsToBeBuilt: 'Towards the work',
  turnedHalfwayTowardItReadFromThe: 'turned halfway towards it, read from the road',
  hubAndLath: 'Peg and stake',
  onGrade: 'on level',
  theLathIsInTheGroundFrom: 'The stake is in the ground from end to end.',
  theLettersAreTooLargeForThe: 'The letters are too large for the stake.',
};

import type { BritishOf } from './britishOf.ts';
import type { guidance as whole } from '../guidance.ts';

export const guidance: BritishOf<typeof whole> = {
  towardInstrument: 'towards instrument',
  theDrivenHubIsOffTheClass:
    'The driven peg is off by {smallLength}; tolerance {smallLength2}. Pull it and set it again.',
  itWantsToGoALittleOf:
    'Move the peg {parts}. A few millimetres: pry it over with a bar in the ground behind it, tamp the gap, then observe again. More than that: pull it and drive a new one.',
  shotsAMarkOverTheDrivenHub:
    '{shotsPerMark} readings a mark over {marks, plural, one {# mark} other {# marks}}, the driven peg included.',
  walkByTheLiveFigureTapeThe: '{so} Walk by the live figure, tape the last metre, and observe only when it says hold.',
  closeEnoughToTapeStepOntoThe:
    'Close enough to tape: step {figure} {side} onto the line, mark the spot, tape {figure2} {along}, observe once.',
};

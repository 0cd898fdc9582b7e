import type { BritishOf } from './britishOf.ts';
import type { setupSteps as whole } from '../setupSteps.ts';

export const setupSteps: BritishOf<typeof whole> = {
  aBumpCostsEveryMarkSinceThe:
    'A bump costs every mark since the last check sight. On a deck a bracket on a column stands stiller than any tripod.',
  plummetOverTheMarkLevelledLookedAt: 'Plummet over the mark, levelled, looked at again',
  moveItFlatOnThePlateNever:
    'Move it flat on the plate, never past its edge. Shifting upsets the level, and levelling the centring: repeat until both hold. Put a boot beside the mark to focus on: first the crosshair ring until it is sharp, then the mark.',
  aMinuteOfTiltThatNothingTakes:
    'A minute of tilt that nothing takes out is 29 mm of level at 100 m. Inside the inner circle is good enough: the compensator does the rest, as far as it reaches.',
  changingItLaterMayTurnTheInstrument:
    'Changing it later may turn the instrument: a check sight is due after it. An active target has its own battery.',
  rightTargetChosenItsHeightReadFrom: 'Right target chosen, its height read from tip to centre',
};

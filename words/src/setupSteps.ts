import { msg, worded } from './message.ts';
/** Setting up, step by step: short for those who know, explained for those who learn. */
export interface SetupStep {
  readonly id: string;
  readonly short: string;
  readonly why: string;
  /** Asked for where the instrument can't tell it by itself. */
  readonly needed?: true;
  /** Only where it matters. */
  readonly when?: 'smooth' | 'unsteady' | 'overMark';
}

export const setupSteps = worded((): readonly SetupStep[] => [
  {
    id: 'ground',
    short: msg('setupSteps.allThreeFeetOnOneFirmSurface'),
    why: msg('setupSteps.twoSurfacesMoveDifferentlyTreadTheFeet'),
  },
  {
    id: 'spread',
    short: msg('setupSteps.legsSpreadHeadAtChestHeightAnd'),
    why: msg('setupSteps.closedLegsReachTheChinSpreadThey'),
  },
  {
    id: 'strap',
    short: msg('setupSteps.strapOrStarOnTheSmoothFloor'),
    why: msg('setupSteps.legsSlideApartOnConcreteAndSteel'),
    when: 'smooth',
  },
  {
    id: 'guard',
    short: msg('setupSteps.standGuardedFrameOrBarrierAwayFrom'),
    why: msg('setupSteps.aBumpCostsEveryMarkSinceThe'),
    when: 'unsteady',
  },
  {
    id: 'screw',
    short: msg('setupSteps.oneHandOnTheInstrumentUntilThe'),
    why: msg('setupSteps.itIsTheMostExpensiveFallOn'),
  },
  {
    id: 'centre',
    short: msg('setupSteps.plummetOverTheMarkLevelledLookedAt'),
    why: msg('setupSteps.moveItFlatOnThePlateNever'),
    when: 'overMark',
  },
  {
    id: 'level',
    needed: true,
    short: msg('setupSteps.levelBroughtInByStagesHandsOff'),
    why: msg('setupSteps.openTheLevelPageFirstManyClose'),
  },
  {
    id: 'compensator',
    needed: true,
    short: msg('setupSteps.compensatorOnTelescopeInTheNormalFace'),
    why: msg('setupSteps.aMinuteOfTiltThatNothingTakes'),
  },
  {
    id: 'power',
    short: msg('setupSteps.batteryAndAChargedSpare'),
    why: msg('setupSteps.changingItLaterMayTurnTheInstrument'),
  },
  {
    id: 'target',
    needed: true,
    short: msg('setupSteps.rightTargetChosenItsHeightReadFrom'),
    why: msg('setupSteps.aWrongKindOfTargetMakesEvery'),
  },
]);

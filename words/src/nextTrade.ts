/** What whoever builds from the marks does with them, and what marks suit that. */
import type { StakeMarkKind } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import type { Rounding } from './rounding.ts';

export interface NextTrade {
  readonly id: 'dig' | 'forms' | 'laser' | 'steel' | 'paving';
  readonly name: string;
  /** As it is said on the sheet. */
  readonly use: string;
  readonly advice: string;
  readonly markKind: StakeMarkKind;
  readonly rounding: Rounding;
}

export const nextTrades = worded((): readonly NextTrade[] => [
  {
    id: 'dig',
    name: msg('nextTrade.dig'),
    use: msg('nextTrade.diggingToDepth'),
    advice: msg('nextTrade.theMachineTakesWhatStandsNearHubs'),
    markKind: 'hubAndLath',
    rounding: 'hundredth',
  },
  {
    id: 'forms',
    name: msg('nextTrade.setForms'),
    use: msg('nextTrade.settingForms'),
    advice: msg('nextTrade.formsAreSetFromANailWith'),
    markKind: 'hubAndLath',
    rounding: 'finest',
  },
  {
    id: 'laser',
    name: msg('nextTrade.laser'),
    use: msg('nextTrade.settingUpALaserForHeights'),
    advice: msg('nextTrade.aLaserWantsFewHeightsAndFirm'),
    markKind: 'nail',
    rounding: 'finest',
  },
  {
    id: 'steel',
    name: msg('nextTrade.steelOrWalls'),
    use: msg('nextTrade.placingSteelOrWallsOnTheSlab'),
    advice: msg('nextTrade.linesAndCrossesOnTheConcreteItself'),
    markKind: 'scribedLine',
    rounding: 'finest',
  },
  {
    id: 'paving',
    name: msg('nextTrade.paving'),
    use: msg('nextTrade.aStringLineForPaving'),
    advice: msg('nextTrade.aStringIsPulledFromHubTo'),
    markKind: 'hubAndLath',
    rounding: 'finest',
  },
]);

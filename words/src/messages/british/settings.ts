import type { BritishOf } from './britishOf.ts';
import type { settings as whole } from '../settings.ts';

export const settings: BritishOf<typeof whole> = {
  a4AsIsUsualInMetres: 'A4 (usual in metres)',
  heightWithinMm: 'Tolerance, level ({unit})',
  heightWithin: 'level within',
  hubsUsuallyOffBy2: '{name}, pegs usually off by',
  nowPlanFromHeightFromAndIts: 'Now: plan from {receiver}, level from {name} and its TBMs.',
  heightsAreCountedFrom: 'Level datum',
  suchAsBenchmarkAtTheGate: 'such as: TBM at the gate',
  trueHeightOfSiteZeroEmptyHeights: 'Site datum level',
  paintColoursAndWhereItHasTo: 'Paint colours and limits',
  whiteForControlPinkForHubsDiscreet: 'white for control, pink for pegs; discreet at the entrance',
  stationsAlongARoadAreWritten: 'Chainage format',
  kerbAndDrainage: 'Kerb and drainage',
  giveAHeightSuchAs6250: 'Enter a level such as 6.250, or leave it empty.',
  everyClassNeedsAPlanAndA: 'Every class needs a plan and a level figure over 0.',
};

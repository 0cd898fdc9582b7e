import type { BritishOf } from './britishOf.ts';
import type { common as whole } from '../common.ts';

export const common: BritishOf<typeof whole> = {
  benchmark: 'TBM',
  height: 'Level',
  keptForProofs: 'Reserve for check sights',
  againstZero: 'Above site datum',
  heightFrom: 'Level from',
  sightAnotherBenchmark: 'Sight another TBM',
  proofs: 'Check sights',
  hub: 'Peg',
  givesHeightsAlone: '{name} gives levels only',
  shootAgain: 'Observe again',
  shot: 'Reading {shots}: {move}.',
  benchmarks: 'TBMs',
  theBenchmarksDoNotAgree: 'The TBMs disagree',
  height2: 'Level ({unit})',
  takeBack: 'Withdraw reading',
  searchForThePoleOrShoot: 'Search for the pole, or observe',
  height3: '{axes}, level {length}',
  curb: 'kerb',
};

import type { BritishOf } from './britishOf.ts';
import type { prove as whole } from '../prove.ts';

export const prove: BritishOf<typeof whole> = {
  height: ', level {figure}',
  onThePostOfHardlyAProof: 'on the post of {name}: hardly a check sight',
  farMark: 'Reference object',
  putTheProofOff: 'Postpone check sight…',
  goOnWithoutTheProofThatIs: 'Go on without the check sight that is due?',
  aProofOnAMarkThatThe:
    '{unnoticed} A check sight on a mark that the station didn’t use would show it: prove it before the first stake.',
  aProofOnOnThatSideWould: 'A check sight on {name}, on that side, would.',
  proofsOfThisStation: 'Check sights of this station',
  farDirection: 'Reference object (RO)',
  withAReceiverOnThePoleBoth:
    'With a receiver on the pole both are proved on a known mark: the plan by the receiver, the level by the instrument.',
  aProofComparesAKnownMarkWith:
    'A check sight compares a known mark with what the accepted station measures. Station the instrument first.',
  aProofFailed: 'a check sight failed',
  lastGoodProofMinAgo: 'last good check sight {minutes} min ago',
  noProofWasMade: 'No check sight stored',
  planHeight: 'plan {proofOutcome}, level {proofOutcome2}',
  usedInHeight: 'used in level',
};

import type { BritishOf } from './britishOf.ts';
import type { proof as whole } from '../proof.ts';

export const proof: BritishOf<typeof whole> = {
  itsListedHeight: 'its listed level',
  planAndHeight: 'plan and level',
  stopTheProofFailsIn: 'Stop: check sight out of tolerance in {what}',
  thisMarkHasNeitherPlanNorHeight: 'This mark has neither plan nor level that can be used. Sight another.',
  nothingHasAnsweredTheProofThatFailed:
    'Nothing has answered the check sight that failed in {parts}: sight a third mark, which tells whether that mark or the instrument has moved.',
  nothingHasProvedItsHeightYetSight:
    'Nothing has proved its level yet: sight a mark with a level that it didn’t use, before anything gets a cut or a fill.',
  inHeight: 'in level',
  height: 'level {figure} {name}',
  withAHeight: ' with a level',
};

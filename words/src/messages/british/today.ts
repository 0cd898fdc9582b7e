import type { BritishOf } from './britishOf.ts';
import type { today as whole } from '../today.ts';

export const today: BritishOf<typeof whole> = {
  siteZeroIs: '; site datum is {length} {unit}',
  noHeight: ', no level',
  height: ', {smallLength} level',
  lastProof: 'Last check sight',
  aWorkPackageTurnsAnOutlineInto: 'A work package turns an outline into offset pegs for a crew.',
  planAndHeightOfAreProvedPlan:
    'Plan and level of {name} are proved: plan from the receiver, level from the instrument.',
  stopAProofOfFailed: 'Stop: check sight failed at station {name}',
  somethingHappenedAtTheInstrumentSince: 'Something happened at the instrument since the last check sight.',
  minutesSinceTheLastProof: '{minutes} minutes since the last check sight.',
  heightDatum: 'Level datum',
  noDesignElevation: 'In plan only: no design level',
  withoutDesignElevation: '{without} of {ofValue} marks without design level',
};

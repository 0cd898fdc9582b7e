import type { BritishOf } from './britishOf.ts';
import type { book as whole } from '../book.ts';

export const book: BritishOf<typeof whole> = {
  eNHeight: '{name} {supersedes}: {place}, level {length3}, {condition}; {source}{note}',
  provedOnPlanHeight: '{solution} proved on {control}: plan {proofOutcome}, level {proofOutcome2}',
  sightedAgainFromPlanHeight: '{mark} sighted again from {solution}: plan {proofOutcome}, level {proofOutcome2}',
  proofPutOff: '{solution}: check sight postponed, {reason}',
  receiverAtENHeightAntenna:
    '{occupation}: receiver at {target}, {place}, level {length3}, {fixWord}, {old}, antenna {length4}',
  heightsFromPlanFromTheReceiverHeight: '{name}: levels from {used}, plan from the receiver; level {length}',
  solvedFromENHeight95: '{name} solved from {used}: {place}, level {length3}, 95 % {goodTo}',
  planFromReceiverOffsetAntennaFittedTo:
    '{occupation}: plan from receiver {receiver} ({name}), offset {length}, antenna {length2}; fitted to the site within {plan} plan, {elevation} level{note}',
  hub: ', peg {length}, {cutFill}',
  whereItsIsCaught: ', catch point of the {kind} batter',
  measuredENHeight: '{name}{code} measured {againstSaid}: {place}, level {length3}',
};

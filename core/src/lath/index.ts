/** How a stake is written and read. */
export {
  heightTerm,
  kerbPartOf,
  offsetTerm,
  stakeSides,
  type AngleMark,
  type CornerMeaning,
  type HeightReference,
  type PointOnMark,
  type StakeContent,
  type StakeLine,
} from './stakeText.ts';
export {
  conventionFaults,
  roomOn,
  roundingStep,
  STAKE_MARK_KINDS,
  STAKE_PARTS,
  STAKE_SIDES,
  STAKE_TERMS,
  type ConventionFault,
  type FigureRounding,
  type StakeConvention,
  type StakeMarkKind,
  type StakePart,
  type StakeSide,
  type StakeTerm,
} from './convention.ts';
export type { Reach, ReadHeight, StakeReading, WordOnStake } from './reading.ts';
export { fitStake, type StakeFaces, type StakeNotice, type WrittenLine } from './fit.ts';
export { SHIPPED_CONVENTIONS, type ShippedConvention } from './shipped.ts';

/** How a stake is written and read. */
export {
  heightTerm,
  kerbOf,
  kerbPartOf,
  offsetTerm,
  stakeSides,
  type AngleMark,
  type CornerMeaning,
  type HeightReference,
  type PointOnMark,
  type ReasonOnStake,
  type StakeContent,
  type StakeLine,
  type TransitionOnStake,
} from './stakeText.ts';
export {
  conventionFaults,
  openSides,
  READABLE_LETTERS,
  roomOn,
  roundingStep,
  STAKE_MARK_KINDS,
  STAKE_PARTS,
  STAKE_SIDES,
  STAKE_TERMS,
  STATION_TERMS,
  type ConventionFault,
  type FigureRounding,
  type StakeConvention,
  type StakeMarkKind,
  type StakePart,
  type StakeSide,
  type StakeTerm,
  type StationTerm,
} from './convention.ts';
export type { Reach, ReadHeight, StakeReading, WordOnStake } from './reading.ts';
export { fitStake, rowsOf, type StakeFaces, type StakeNotice, type StakeRow, type WrittenLine } from './fit.ts';
export { SHIPPED_CONVENTIONS, type ShippedConvention } from './shipped.ts';

/** A receiver and a prism on one pole. */
export {
  antennaHeightMisfit,
  antennaHeightOf,
  compareHeights,
  heightFromAxis,
  pairFaults,
  partsLeft,
  receiverFoot,
  SAME_HEIGHT,
  type Fix,
  type HeightsCompared,
  type PairFault,
  type PairPole,
  type ReceiverReading,
  type SiteFit,
  type TiltingAxis,
} from './pair.ts';

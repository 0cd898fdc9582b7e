/** A receiver above the prism on one pole: which pair it is, and what it read. */
import {
  closed,
  Coordinate,
  Name,
  NullableDay,
  nullableReference,
  NullableUuid,
  reference,
  SdMm,
  Text,
  Type,
  Words,
} from '../parts.ts';
import { SightTarget } from './station.ts';

/** Reference point of the receiver above the centre of the prism, metres. */
export const PairOffset = Type.Number({ minimum: 0, maximum: 2 });

/** From now on the plan of this placing comes from a receiver, and its heights from the instrument. */
export const PairingBody = closed({
  occupation: reference('occupation'),
  /** The pair of the library, if it is listed there; what it said then is kept here. */
  item: NullableUuid,
  name: Name,
  receiver: Name,
  offset: PairOffset,
  /** Antenna height as it is entered at the receiver: checked against target height and offset. */
  antennaHeight: Type.Number({ minimum: 0, maximum: 20 }),
  targetHeight: Type.Number({ minimum: -5, maximum: 20 }),
  /**
   * How well its coordinates are fitted to the control of the site: as found when it was calibrated there, or as said.
   */
  fit: closed({ sdPlanMm: SdMm, sdHeightMm: SdMm, on: NullableDay }),
  note: Text,
  supersedes: nullableReference('pairing'),
});

/**
 * One reading of the receiver, as read, together with the sight that was taken to the prism below it at the same time.
 */
export const PositionBody = closed({
  occupation: reference('occupation'),
  pairing: reference('pairing'),
  purpose: Words('proof', 'mark', 'driven', 'spot', 'asBuilt'),
  target: SightTarget,
  sight: reference('sight'),
  /** In coordinates of the site, of its reference point; metres and seconds. */
  read: closed({
    e: Coordinate,
    n: Coordinate,
    z: Coordinate,
    sdPlanMm: SdMm,
    sdHeightMm: SdMm,
    fix: Words('single', 'float', 'fixed'),
    correctionAge: Type.Unsafe<number | null>({ type: ['number', 'null'], minimum: 0, maximum: 86_400 }),
    compensating: Type.Boolean(),
    leanDeg: Type.Unsafe<number | null>({ type: ['number', 'null'], minimum: 0, maximum: 90 }),
  }),
  antennaHeight: Type.Number({ minimum: 0, maximum: 20 }),
});

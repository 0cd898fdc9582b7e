/** The library: instruments, targets, poles and pairs of the site, each with what the figures need to know of it. */
import type { Static } from '../../schema.ts';
import { PairOffset } from './receiver.ts';
import { closed, Name, NullableDay, nullableReference, NullableUuid, Type, Uuid, Words } from '../parts.ts';

const InstrumentItem = closed({
  kind: Words('instrument'),
  name: Name,
  angleSdSec: Type.Number({ exclusiveMinimum: 0, maximum: 600 }),
  distSdMm: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  distSdPpm: Type.Number({ minimum: 0, maximum: 1000 }),
  /** The air for which it shows true distances, and its carrier's wavelength. */
  referenceC: Type.Number({ minimum: -60, maximum: 70 }),
  referenceHPa: Type.Number({ minimum: 300, maximum: 1100 }),
  wavelengthUm: Type.Number({ minimum: 0.3, maximum: 2 }),
  plummet: Type.Boolean(),
  /** Last test of collimation and index. */
  adjusted: NullableDay,
});

const TargetItem = closed({
  kind: Words('target'),
  name: Name,
  form: Words('round', 'allRound', 'small', 'foil', 'active', 'surface'),
  /** Added to every slope measured to it. */
  constantMm: Type.Number({ minimum: -500, maximum: 500 }),
  /** Centre above the mark of the pole that carries it, metres. */
  ownHeight: Type.Number({ minimum: -1, maximum: 5 }),
});

const PoleItem = closed({
  kind: Words('pole'),
  name: Name,
  /** How far its bubble is out of plumb, arc minutes, and when that was last tested. */
  bubbleMinutes: Type.Number({ minimum: 0, maximum: 120 }),
  bubbleChecked: NullableDay,
});

/** A receiver that is screwed on above a prism. */
const PairItem = closed({
  kind: Words('pair'),
  name: Name,
  receiver: Name,
  /** The target below it. */
  target: NullableUuid,
  offset: PairOffset,
  /** When the offset was last measured or tried out. */
  checked: NullableDay,
});

const Item = Type.Unsafe<
  Static<typeof InstrumentItem> | Static<typeof TargetItem> | Static<typeof PoleItem> | Static<typeof PairItem>
>({
  type: 'object',
  required: ['kind'],
  discriminator: { propertyName: 'kind' },
  oneOf: [InstrumentItem, TargetItem, PoleItem, PairItem],
});

export const EquipmentBody = closed({
  /** Identity over all revisions. */
  item: Uuid,
  what: Item,
  /** Its figures are the usual ones of its kind; nobody has compared them with the thing itself yet. */
  toConfirm: Type.Optional(Type.Boolean()),
  retired: Type.Boolean(),
  supersedes: nullableReference('equipment'),
});

/** Pieces that several facts share. Metres, decimal degrees or gon as read, millimetres where a name ends in `Mm`. */
import { NullableNumber, NullableString, REFERS_SINCE_LATER, REFERS_TO, Type, Words } from '../schema.ts';

export const closed = <P extends Parameters<typeof Type.Object>[0]>(properties: P) =>
  Type.Object(properties, { additionalProperties: false });

const UUID_PATTERN = '^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$';
export const Uuid = Type.String({ pattern: UUID_PATTERN });
export const NullableUuid = Type.Unsafe<string | null>({ type: ['string', 'null'], pattern: UUID_PATTERN });

/** The id of another fact, which this one can't be understood without. `to` is its type. */
export const reference = (to: string) => Type.String({ pattern: UUID_PATTERN, [REFERS_TO]: to });
export const laterReference = (to: string) =>
  Type.String({ pattern: UUID_PATTERN, [REFERS_TO]: to, [REFERS_SINCE_LATER]: true });
export const nullableReference = (to: string) =>
  Type.Unsafe<string | null>({ type: ['string', 'null'], pattern: UUID_PATTERN, [REFERS_TO]: to });

/** An instant in UTC, to the millisecond at most. */
export const Instant = Type.String({
  format: 'date-time',
  pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}(\\.\\d{1,3})?Z$',
});
/** What a device calls itself, and how many facts it has made on a site. */
export const Device = Type.String({ minLength: 1, maxLength: 60 });
export const Sequence = Type.Integer({ minimum: 0, maximum: Number.MAX_SAFE_INTEGER });

/** A name that people say: trimmed, on one line, not empty. */
export const NAME_PATTERN = '^\\S([^\\r\\n\\t]*\\S)?$';
export const Name = Type.String({ minLength: 1, maxLength: 80, pattern: NAME_PATTERN });
export const Text = Type.String({ maxLength: 2000 });

/** Coordinates and heights stay within what a site grid can be; more is a slip of the keyboard. */
const LARGEST_COORDINATE = 1e8;
export const Coordinate = Type.Number({ minimum: -LARGEST_COORDINATE, maximum: LARGEST_COORDINATE });
export const NullableCoordinate = Type.Unsafe<number | null>({
  type: ['number', 'null'],
  minimum: -LARGEST_COORDINATE,
  maximum: LARGEST_COORDINATE,
});
export const SdMm = Type.Number({ minimum: 0, maximum: 10_000 });
export const NullableSdMm = Type.Unsafe<number | null>({ type: ['number', 'null'], minimum: 0, maximum: 10_000 });

export const LengthUnitName = Words('metre', 'foot', 'usSurveyFoot');
export const AngleUnitName = Words('dms', 'degree', 'gon');

/** A day, as on a calendar. */
export const Day = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' });
export const NullableDay = Type.Unsafe<string | null>({
  type: ['string', 'null'],
  pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$',
});

export const PlacePlan = closed({ e: Coordinate, n: Coordinate });
export const Place = closed({ e: Coordinate, n: Coordinate, z: NullableCoordinate });

export { NullableNumber, NullableString, Type, Words };

import { Type, type TSchema, type Static } from 'typebox';

/** A number, or null where the field may be absent or unknown. */
export const NullableNumber = Type.Unsafe<number | null>({ type: ['number', 'null'] });
export const NullableString = Type.Unsafe<string | null>({ type: ['string', 'null'] });

/** One of a few words. */
export const Words = <const T extends readonly string[]>(...words: T) =>
  Type.Unsafe<T[number]>({ type: 'string', enum: [...words] });

/** Keyword of a schema whose value names another fact: of which type, or of any. */
export const REFERS_TO = 'x-refers-to';
/** Beside it where facts were kept before the reference was held to: such a one may point at nothing. */
export const REFERS_SINCE_LATER = 'x-refers-since-later';

export { Type, type TSchema, type Static };

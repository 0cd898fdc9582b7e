import { Type, type TSchema, type Static } from 'typebox';

/** A number, or null where the field may be absent or unknown. */
export const NullableNumber = Type.Unsafe<number | null>({ type: ['number', 'null'] });
export const NullableString = Type.Unsafe<string | null>({ type: ['string', 'null'] });

/** One of a few words. */
export const Words = <const T extends readonly string[]>(...words: T) => Type.Unsafe<T[number]>({ type: 'string', enum: [...words] });

export { Type, type TSchema, type Static };

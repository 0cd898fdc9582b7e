/**
 * Messages: the sentences and labels a person reads, each in a table under a key, in the ICU message syntax (Unicode
 * Technical Standard 35, part 9, "MessageFormat"): "{n, plural, one {# mark} other {# marks}} from {name}". Code names
 * the key and gives the values; the tables can be rewritten, or exchanged for another wording, without touching it.
 */
import { IntlMessageFormat } from 'intl-messageformat';
import { MESSAGES } from './messages/index.ts';

type Tables = typeof MESSAGES;
/** "room.message" */
export type MessageKey = { [R in keyof Tables]: `${R}.${keyof Tables[R] & string}` }[keyof Tables];
type TextOf<K extends string> = K extends `${infer R}.${infer M}`
  ? R extends keyof Tables
    ? M extends keyof Tables[R]
      ? Tables[R][M]
      : never
    : never
  : never;
/**
 * What stands in braces, up to the first comma; words within a plural are no names: they have a space or a # in them.
 */
type Head<T extends string> = T extends `${infer Name},${string}` ? Name : T;
type Named<T extends string> = T extends `${string} ${string}` | `#${string}` | '' ? never : T;
type Names<T extends string> = T extends `${string}{${infer Rest}`
  ? Rest extends `${infer Inner}}${infer Tail}`
    ? Named<Head<Inner>> | Names<NextOf<Inner, Tail>>
    : never
  : never;
/** A brace that opens within the first one (a plural's first form) is looked into, too. */
type NextOf<Inner extends string, Tail extends string> = Inner extends `${string}{${infer Deeper}`
  ? `{${Deeper}}${Tail}`
  : Tail;

/** What can stand in a text; nothing is shown for what is missing or false. */
export type MessageValue = string | number | false | null | undefined;
type ValuesOf<K extends string, V> = [Names<TextOf<K> & string>] extends [never]
  ? []
  : [values: Readonly<Record<Names<TextOf<K> & string>, V>>];

const formats = new Map<string, IntlMessageFormat>();

const plain = { format: String } as unknown as Intl.NumberFormat;
const english = new Intl.PluralRules('en');
/** A count stands as it is, without marks between its thousands: figures of the job are put into words before. */
const formatters = {
  getNumberFormat: () => plain,
  getDateTimeFormat: () => new Intl.DateTimeFormat('en'),
  getPluralRules: () => english,
};

/** The text under a key. */
function textOf(key: string): string {
  const dot = key.indexOf('.');
  const table: Readonly<Record<string, string>> | undefined = MESSAGES[key.slice(0, dot) as keyof Tables];
  const text = table?.[key.slice(dot + 1)];
  if (text === undefined) throw new Error(`no message ${key}`);
  return text;
}

function formatOf(key: string): IntlMessageFormat {
  let format = formats.get(key);
  if (!format)
    formats.set(key, (format = new IntlMessageFormat(textOf(key), 'en', undefined, { ignoreTag: true, formatters })));
  return format;
}

/** A message as text, with its values put in. */
export function msg<K extends MessageKey>(key: K, ...[values]: ValuesOf<K, MessageValue>): string {
  if (values === undefined) return textOf(key);
  return formatOf(key).format<string>(values) as string;
}

/**
 * A message in its pieces, where some values are more than text (a link, a name set in bold): texts and those, in
 * order.
 */
export function messageParts<V, K extends MessageKey = MessageKey>(
  key: K,
  ...[values]: ValuesOf<K, V>
): readonly (string | V)[] {
  const parts = formatOf(key).format(values as Record<string, string>) as unknown;
  return Array.isArray(parts) ? (parts as (string | V)[]) : [parts as string];
}

/**
 * A table of words, put together when it is first asked for and not when its module is loaded: a page, a paper or a
 * worker decides before that which messages there are.
 */
export function worded<T>(make: () => T): () => T {
  let made: { readonly words: T } | null = null;
  return () => (made ??= { words: make() }).words;
}

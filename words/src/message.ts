/**
 * Messages: the sentences and labels a person reads, each in a table under a key, in the ICU message syntax (Unicode
 * Technical Standard 35, part 9, "MessageFormat"): "{n, plural, one {# mark} other {# marks}} from {name}". Code names
 * the key and gives the values; the tables can be rewritten, or exchanged for another wording, without touching it.
 */
import { IntlMessageFormat } from 'intl-messageformat';
import { BRITISH_MESSAGES } from './messages/british/index.ts';
import { MESSAGES } from './messages/index.ts';
import { inOwnWords, wordingKey, wordingNow, type Preset, type Wording } from './wording.ts';

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

type Texts = Readonly<Record<string, Readonly<Record<string, string>> | undefined>>;

/** The text under a key in a preset: British where it has one of its own. */
export function presetText(key: string, preset: Preset): string {
  const dot = key.indexOf('.');
  const table = key.slice(0, dot);
  const name = key.slice(dot + 1);
  const whole = (MESSAGES as Texts)[table]?.[name];
  if (whole === undefined) throw new Error(`no message ${key}`);
  return (preset === 'british' ? (BRITISH_MESSAGES as Texts)[table]?.[name] : undefined) ?? whole;
}

/** The text under a key, in the wording that stands. */
function textIn(key: string, wording: Wording): string {
  if (!wording.own || Object.keys(wording.own).length === 0) return presetText(key, wording.preset);
  const texts = { northAmerican: presetText(key, 'northAmerican'), british: presetText(key, 'british') };
  return inOwnWords(texts, wording);
}

const textOf = (key: string): string => textIn(key, wordingNow());

function formatOf(key: string): IntlMessageFormat {
  const text = textOf(key);
  let format = formats.get(text);
  if (!format)
    formats.set(text, (format = new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true, formatters })));
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
 * A table of words, put together when it is first asked for in a wording, and not when its module is loaded: a page, a
 * paper or a worker decides before that which messages there are.
 */
export function worded<T>(make: () => T): () => T {
  const made = new Map<string, T>();
  return () => {
    const key = wordingKey(wordingNow());
    if (!made.has(key)) made.set(key, make());
    return made.get(key)!;
  };
}

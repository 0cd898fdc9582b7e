/** Mutants of files: the same seed gives the same ones, so that a number is enough to find one again. */

/** mulberry32: small, and good enough to choose with. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

type Random = () => number;
const below = (random: Random, n: number): number => Math.floor(random() * n);
const oneOf = <T>(random: Random, list: readonly T[]): T => list[below(random, list.length)]!;

/** What stands in files that were made by hand, by other programs, or to do harm. */
const ODD = [
  '-',
  '',
  ' ',
  '0',
  '-1',
  'null',
  'NaN',
  'Infinity',
  '1e300',
  '-1e308',
  '1e-320',
  '2147483648',
  '4294967296',
  '9007199254740993',
  '99999999999999999999',
  '0.1.2',
  '1,5',
  '0x10',
  '\0',
  '\ud800',
  '\u202e',
  '﻿',
  '"',
  "'",
  '<',
  '&amp;',
  '&x;',
  '[]',
  '{}',
  '../../etc',
  '=1+1',
  'x'.repeat(5000),
] as const;
const ODD_VALUES: readonly unknown[] = [
  null,
  true,
  '',
  'x',
  0,
  -1,
  1e300,
  -1e300,
  2 ** 31,
  0.5,
  [],
  {},
  [null],
  { x: null },
  'é\ud800',
  '\0',
  'x'.repeat(5000),
];

type Change = (text: string, random: Random, other: string) => string;

const cut = (text: string, at: number, length: number, put: string): string =>
  text.slice(0, at) + put + text.slice(at + length);
/** A word or a number somewhere in the text. */
function token(text: string, random: Random): { readonly at: number; readonly length: number } {
  const from = below(random, text.length);
  const found = /[^\s<>"=,;:[\]{}]+/.exec(text.slice(from, from + 500));
  return found ? { at: from + found.index, length: found[0].length } : { at: from, length: 1 };
}
function lineAt(text: string, random: Random): { readonly at: number; readonly length: number } {
  const from = below(random, text.length);
  const at = text.lastIndexOf('\n', from) + 1;
  const end = text.indexOf('\n', from);
  return { at, length: (end < 0 ? text.length : end + 1) - at };
}

const TEXT_CHANGES: readonly Change[] = [
  (text, random) => {
    const { at, length } = token(text, random);
    return cut(text, at, length, oneOf(random, ODD));
  },
  (text, random) => {
    const { at, length } = token(text, random);
    return cut(
      text,
      at,
      length,
      text.slice(at, at + length).replace(/\d/, () => String(below(random, 10))),
    );
  },
  (text, random) => {
    const { at, length } = lineAt(text, random);
    return cut(text, at, length, '');
  },
  (text, random) => {
    const { at, length } = lineAt(text, random);
    return cut(text, at, 0, text.slice(at, at + length).repeat(1 + below(random, 50)));
  },
  (text, random) => {
    const [one, two] = [lineAt(text, random), lineAt(text, random)];
    return cut(cut(text, one.at, one.length, text.slice(two.at, two.at + two.length)), two.at, 0, '');
  },
  (text, random) => text.slice(0, below(random, text.length)),
  (text, random) => text.slice(below(random, text.length)),
  (text, random) => cut(text, below(random, text.length), below(random, 200), ''),
  (text, random, other) => {
    const from = below(random, other.length);
    return cut(text, below(random, text.length), 0, other.slice(from, from + below(random, 2000)));
  },
  (text, random) => cut(text, below(random, text.length), 1, String.fromCharCode(below(random, 256))),
  // The same opening over and over: deep nesting.
  (text, random) => {
    const at = below(random, text.length);
    const found = /<[A-Za-z][^<>/]*>|[[{]/.exec(text.slice(at));
    return found ? cut(text, at + found.index, 0, found[0].repeat(20_000)) : text;
  },
];

export function mutatedText(text: string, random: Random, other: string): string {
  let mutant = text;
  for (let i = 1 + below(random, 4); i > 0; i--)
    if (mutant.length > 0) mutant = oneOf(random, TEXT_CHANGES)(mutant, random, other);
  return mutant;
}

/** A document with one of its values replaced, taken away or doubled, at any depth. */
export function mutatedDocument(document: unknown, random: Random): unknown {
  if (typeof document !== 'object' || document === null || random() < 0.08) return oneOf(random, ODD_VALUES);
  const entries = Object.entries(document);
  if (entries.length === 0) return oneOf(random, ODD_VALUES);
  const [name, value] = oneOf(random, entries);
  const way = random();
  const changed =
    way < 0.1
      ? entries.filter(([each]) => each !== name)
      : way < 0.15
        ? [...entries, [`${name}x`, value] as const]
        : entries.map(([each, old]) => [each, each === name ? mutatedDocument(old, random) : old] as const);
  return Array.isArray(document) ? changed.map(([, each]): unknown => each) : Object.fromEntries(changed);
}

/** Lines of JSON with some of their documents changed, and lines of their own put between. */
export function mutatedLines(text: string, random: Random): string {
  const lines = text.split('\n').filter((line) => line !== '');
  for (let i = 1 + below(random, 3); i > 0 && lines.length > 0; i--) {
    const at = below(random, lines.length);
    const way = random();
    if (way < 0.1) lines.splice(at, 1);
    else if (way < 0.2)
      lines.splice(at, 0, oneOf(random, ['null', '[]', '7', '""', '{}', 'x', lines[below(random, lines.length)]!]));
    else if (way < 0.3) lines[at] = mutatedText(lines[at]!, random, lines[below(random, lines.length)]!);
    else {
      try {
        lines[at] = JSON.stringify(mutatedDocument(JSON.parse(lines[at]!), random)) ?? 'null';
      } catch {
        // Mutated before into something that is no JSON.
        lines[at] = mutatedText(lines[at]!, random, '');
      }
    }
  }
  return lines.map((line) => `${line}\n`).join('');
}

/** The mutant of a number, for a reader by its name. */
export function mutantOf(reader: string, seeds: readonly string[], i: number): string {
  const random = randomFrom(i * 7919 + reader.length);
  const seed = seeds[i % seeds.length]!;
  return reader === 'rawSights'
    ? mutatedLines(seed, random)
    : mutatedText(seed, random, seeds[(i * 31) % seeds.length]!);
}

/** Names that count up by themselves, from where the site says each kind begins. */
import type { SiteState } from './state.ts';

/** What is measured as it stands, what is read against a line, and control marks of one's own. */
export type Numbered = 'asBuilt' | 'lines' | 'ownControl';

export const NUMBERED: readonly Numbered[] = ['asBuilt', 'lines', 'ownControl'];

/** Letters before the number where the site reserves no range. */
const PREFIX: Readonly<Record<Numbered, string>> = { asBuilt: '', lines: 'L', ownControl: 'N' };

const namesOf = (state: SiteState, kind: Numbered): readonly string[] =>
  kind === 'ownControl'
    ? state.control.map(({ revision }) => revision.body.name)
    : state.asBuilt.map(({ body }) => body.name);

/**
 * The next free name of a kind: the first number of its range that nothing on the site has, or the one after the
 * highest with its letter.
 */
export function nextNumbered(state: SiteState, kind: Numbered): string {
  const start = state.settings.numbers?.[kind] ?? null;
  const prefix = start === null ? PREFIX[kind] : '';
  const taken = new Set([
    ...namesOf(state, kind),
    ...(start === null ? [] : NUMBERED.flatMap((each) => namesOf(state, each))),
  ]);
  let number =
    start ??
    Math.max(0, ...[...taken].map((name) => (name.startsWith(prefix) ? numberOf(name.slice(prefix.length)) : 0))) + 1;
  while (taken.has(`${prefix}${number}`)) number++;
  return `${prefix}${number}`;
}

const numberOf = (text: string): number => (/^\d{1,9}$/.test(text) ? Number(text) : 0);

/**
 * Whose range a name lies in: each reaches up to where the next begins. Null for names that are no number, or before
 * all ranges.
 */
export function reservedFor(state: SiteState, name: string): Numbered | null {
  if (!/^\d{1,9}$/.test(name)) return null;
  const begun = NUMBERED.flatMap((kind) => {
    const start = state.settings.numbers?.[kind] ?? null;
    return start === null || start > Number(name) ? [] : [{ kind, start }];
  }).sort((a, b) => b.start - a.start);
  return begun[0]?.kind ?? null;
}

/** The site, its people, its library, and what is said about it. */
import { CARE, EQUIPMENT_KIND, SITE_SETTING, withoutStop } from '@idle-marker/words';
import type { Fact, FactBody } from '@idle-marker/contract';
import type { Book } from './book.ts';
import type { Kinds } from './kind.ts';

function settingsSaid({ state }: Book, { id, body }: Fact<'site'>): string {
  const all = state.ofType.site;
  const before = all[all.findIndex((each) => each.id === id) - 1]?.body;
  if (!before) return `Site settings: ${body.name}`;
  // Every setting has its words, or this does not compile.
  const words: Readonly<Record<keyof FactBody<'site'>, string>> = SITE_SETTING;
  const changed = (Object.keys(words) as (keyof FactBody<'site'>)[]).filter((key) => JSON.stringify(before[key]) !== JSON.stringify(body[key]));
  return changed.length === 0 ? 'Site settings kept as they were' : `Site settings changed: ${changed.map((key) => words[key]).join(', ')}`;
}

function withdrawalSaid({ state, says }: Book, { body }: Fact<'withdrawal'>): string {
  const taken = state.byId.get(body.record ?? body.occupation ?? '');
  const what = !taken ? '' : taken.type === 'occupation' ? `: the set-up ${taken.body.name}` : `: “${says(taken)}”`;
  return `Withdrawn, ${withoutStop(body.reason)}${what}`;
}

export const SITE_FACTS: Kinds<'site' | 'member' | 'equipment' | 'convention' | 'care' | 'withdrawal' | 'note' | 'dayEnd'> = {
  site: { topic: 'site', activity: 'office', line: (fact, book) => settingsSaid(book, fact) },
  member: { topic: 'site', activity: 'office', line: ({ body }) => `${body.name} joins` },
  equipment: {
    topic: 'site',
    activity: 'office',
    thing: ({ item }) => item,
    line: ({ body: { what, retired, supersedes } }) =>
      `${EQUIPMENT_KIND[what.kind]} ${what.name} ${retired ? 'taken off the list' : supersedes ? 'changed' : 'listed'}`,
  },
  convention: {
    topic: 'site',
    activity: 'office',
    thing: ({ convention }) => convention,
    line: ({ body: { rules, retired, supersedes } }) => `How stakes are written: ${rules.name}${retired ? ', put aside' : supersedes ? ', changed' : ''}`,
  },
  care: { topic: 'note', activity: 'marking', line: ({ body: { what, text } }) => `${CARE[what]}${text ? `: ${text}` : ''}` },
  withdrawal: { topic: 'note', activity: 'office', line: (fact, book) => withdrawalSaid(book, fact) },
  note: { topic: 'note', activity: 'office', line: ({ body }) => body.text },
  dayEnd: {
    topic: 'note',
    activity: 'office',
    line: ({ body: { unfinished, note } }) => `The day ends${unfinished ? `, unfinished: ${unfinished}` : ''}${note ? `. For who comes next: ${note}` : ''}`,
  },
};

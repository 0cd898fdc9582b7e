/** The site, its people, its library, and what is said about it. */
import { msg, careWords, equipmentKindWords, siteSettingWords, withoutStop } from '@idle-marker/words';
import type { Fact, FactBody } from '@idle-marker/contract';
import type { Book } from './book.ts';
import type { Kinds } from './kind.ts';

function settingsSaid({ state }: Book, { id, body }: Fact<'site'>): string {
  const all = state.ofType.site;
  const before = all[all.findIndex((each) => each.id === id) - 1]?.body;
  if (!before) return msg('book.siteSettings', { name: body.name });
  // Every setting has its words, or this does not compile.
  const words: Readonly<Record<keyof FactBody<'site'>, string>> = siteSettingWords();
  const changed = (Object.keys(words) as (keyof FactBody<'site'>)[]).filter(
    (key) => JSON.stringify(before[key]) !== JSON.stringify(body[key]),
  );
  return changed.length === 0
    ? msg('book.siteSettingsKeptAsTheyWere')
    : msg('book.siteSettingsChanged', { changed: changed.map((key) => words[key]).join(', ') });
}

function withdrawalSaid({ state, says }: Book, { body }: Fact<'withdrawal'>): string {
  const taken = state.byId.get(body.record ?? body.occupation ?? '');
  const what = !taken
    ? ''
    : taken.type === 'occupation'
      ? msg('book.theSetUp', { name: taken.body.name })
      : `: “${says(taken)}”`;
  return msg('book.withdrawn', { withoutStop: withoutStop(body.reason), what });
}

export const SITE_FACTS: Kinds<
  'site' | 'member' | 'equipment' | 'convention' | 'care' | 'withdrawal' | 'note' | 'dayEnd'
> = {
  site: { topic: 'site', activity: 'office', line: (fact, book) => settingsSaid(book, fact) },
  member: { topic: 'site', activity: 'office', line: ({ body }) => msg('book.joins', { name: body.name }) },
  equipment: {
    topic: 'site',
    activity: 'office',
    thing: ({ item }) => item,
    line: ({ body: { what, retired, supersedes } }) =>
      `${equipmentKindWords()[what.kind]} ${what.name} ${retired ? msg('book.takenOffTheList') : supersedes ? 'changed' : 'listed'}`,
  },
  convention: {
    topic: 'site',
    activity: 'office',
    thing: ({ convention }) => convention,
    line: ({ body: { rules, retired, supersedes } }) =>
      msg('book.howStakesAreWritten', {
        name: rules.name,
        retired: retired ? msg('book.putAside') : supersedes ? ', changed' : '',
      }),
  },
  care: {
    topic: 'note',
    activity: 'marking',
    line: ({ body: { what, text } }) => `${careWords()[what]}${text ? `: ${text}` : ''}`,
  },
  withdrawal: { topic: 'note', activity: 'office', line: (fact, book) => withdrawalSaid(book, fact) },
  note: { topic: 'note', activity: 'office', line: ({ body }) => body.text },
  dayEnd: {
    topic: 'note',
    activity: 'office',
    line: ({ body: { unfinished, note } }) =>
      msg('book.theDayEnds', {
        unfinished: unfinished ? msg('book.unfinished', { unfinished }) : '',
        note: note ? msg('book.forWhoComesNext', { note }) : '',
      }),
  },
};

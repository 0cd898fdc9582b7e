import { useDeferredValue, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { AnyFact } from '@idle-marker/contract';
import {
  BOOK_TOPICS,
  bookReader,
  bookTopic,
  factsOfOccupation,
  memberName,
  type BookTopic,
} from '@idle-marker/records';
import { msg, worded } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { useIsPhone } from '../../ui/useMedia.ts';
import { TABLE, TD_WORD, TH_WORD } from '../../ui/table.ts';
import { clockTime, dayAndTime } from '../../ui/time.ts';
import { BookWays } from './BookWays.tsx';
import { toggled } from '../../ui/toggled.ts';
import { SetupPageCard } from './SetupPageCard.tsx';

const topicWords = worded((): Readonly<Record<BookTopic, string>> => ({
  site: msg('common.site'),
  control: msg('common.control'),
  station: msg('common.station'),
  proof: msg('common.proofs'),
  mark: msg('common.marks'),
  handover: msg('fieldbook.sheets'),
  note: msg('fieldbook.notes'),
}));
const PAGE = 200;
const ALL = 'all';

/** Everything that was said and measured, in order; nothing can be taken away. */
export function Place() {
  const { state, say } = useSite();
  const [topics, setTopics] = useState<ReadonlySet<BookTopic>>(new Set());
  const [query] = useSearchParams();
  const [search, setSearch] = useState(query.get('find') ?? '');
  const [text, setText] = useState('');
  const [shown, setShown] = useState(PAGE);
  const [setUp, setSetUp] = useState(ALL);
  const occupation = state.occupations.find((each) => each.id === setUp) ?? null;
  const facts = useMemo(
    () => (occupation ? factsOfOccupation(state, occupation.id) : state.timeline).toReversed(),
    [state, occupation],
  );
  // A season has thousands of entries: what one says is written when it is looked at, or looked through.
  const lineOf = useMemo(() => bookReader(state), [state]);
  const whoOf = (fact: AnyFact) => memberName(state, fact.type === 'member' ? fact.id : fact.by);
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const found = useMemo(
    () =>
      facts.filter(
        (fact) =>
          (topics.size === 0 || topics.has(bookTopic(fact))) &&
          (wanted === '' ||
            `${lineOf(fact).text} ${memberName(state, fact.type === 'member' ? fact.id : fact.by)}`
              .toLowerCase()
              .includes(wanted)),
      ),
    [facts, topics, wanted, lineOf, state],
  );
  const isPhone = useIsPhone();
  const note = async () => {
    if (text.trim() === '') return;
    await say({ type: 'note', body: { text: text.trim() } });
    setText('');
  };
  const filters = (
    <div
      className="flex flex-wrap items-end gap-2 max-md:gap-1 max-md:pb-2"
      role="group"
      aria-label={msg('fieldbook.show')}
    >
      {BOOK_TOPICS.map((topic) => (
        <button
          key={topic}
          type="button"
          aria-pressed={topics.has(topic)}
          onClick={() => setTopics(toggled(topics, topic))}
          className={`min-h-11 rounded-sm border px-3 font-medium ${topics.has(topic) ? 'border-spruce bg-spruce text-on-spruce' : 'border-ink2 bg-sheet'}`}
        >
          {topicWords()[topic]}
        </button>
      ))}
      <span className="ml-auto flex items-center gap-2">
        <Choice
          label={msg('common.setUp')}
          value={setUp}
          options={[
            [ALL, msg('fieldbook.everySetUp')],
            ...[...state.occupations]
              .reverse()
              .map((each) => [each.id, `${each.body.name}, ${clockTime(each.at)}`] as const),
          ]}
          onChange={setSetUp}
        />
      </span>
      <SearchField
        label={msg('fieldbook.findInTheBook')}
        value={search}
        onChange={setSearch}
        className="w-56 self-end"
      />
    </div>
  );
  return (
    <div className="flex h-full flex-col overflow-hidden">
      <BookWays />
      <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-hidden p-5 max-md:gap-2 max-md:p-3">
        <div className="flex flex-wrap items-end justify-between gap-3">
          <div>
            <h1 className="text-2xl">{msg('common.fieldBook')}</h1>
            <p className="text-ink2">
              {msg('fieldbook.newestFirstNothingHereCanBeChanged', {
                found:
                  found.length === facts.length
                    ? msg('fieldbook.entries', { facts: facts.length })
                    : msg('fieldbook.ofEntries', { found: found.length, facts: facts.length }),
              })}
            </p>
          </div>
          <form
            className="flex items-end gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              void note();
            }}
          >
            <Field
              label={msg('fieldbook.addANote')}
              value={text}
              maxLength={2000}
              className="w-72 max-w-full"
              onChange={(event) => setText(event.target.value)}
            />
            <Button type="submit" disabled={text.trim() === ''}>
              {msg('fieldbook.write')}
            </Button>
          </form>
        </div>
        {isPhone ? (
          <details className="flex-none border-y border-rule">
            <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">{msg('fieldbook.choose')}</summary>
            {filters}
          </details>
        ) : (
          filters
        )}
        <div
          className="min-h-0 flex-1 overflow-auto border-[1.5px] border-ink bg-sheet px-3"
          tabIndex={0}
          role="region"
          aria-label={msg('common.entries')}
        >
          {occupation && <SetupPageCard occupation={occupation} />}
          <table className={TABLE}>
            <thead className="sticky top-0 bg-sheet">
              <tr>
                <th className={TH_WORD}>{msg('common.at')}</th>
                <th className={`${TH_WORD} max-md:hidden`}>{msg('fieldbook.who')}</th>
                <th className={`${TH_WORD} max-md:hidden`}>{msg('fieldbook.about')}</th>
                <th className={TH_WORD}>{msg('fieldbook.entry')}</th>
              </tr>
            </thead>
            <tbody>
              {found.slice(0, shown).map((fact) => {
                const [line, who] = [lineOf(fact), whoOf(fact)];
                const withdrawn = state.withdrawn.has(fact.id);
                return (
                  <tr key={fact.id} className={withdrawn ? 'text-ink2 line-through' : ''}>
                    <td className={`${TD_WORD} figures whitespace-nowrap max-md:align-top`}>
                      {dayAndTime(fact.at)}
                      <span className="block text-ink2 md:hidden">{who}</span>
                    </td>
                    <td className={`${TD_WORD} whitespace-nowrap max-md:hidden`}>{who}</td>
                    <td className={`${TD_WORD} text-ink2 max-md:hidden`}>{topicWords()[line.topic]}</td>
                    <td className={`${TD_WORD} figures w-full`}>{line.text}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {found.length === 0 && <p className="p-6 text-ink2">{msg('fieldbook.noEntryMatchesTakeAwayAFilter')}</p>}
          {found.length > shown && (
            <Button look="quiet" onClick={() => setShown(shown + PAGE)}>
              {msg('fieldbook.showOlderEntries', { min: Math.min(PAGE, found.length - shown) })}
            </Button>
          )}
        </div>
      </div>
    </div>
  );
}

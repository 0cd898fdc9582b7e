import { useMemo, useState } from 'react';
import { fileWord } from '@idle-marker/paper';
import { dayBook, daysOf, setupBook } from '@idle-marker/records';
import { msg, activityWords } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { saveAs } from '../../ui/saveAs.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime, TIME_ZONE } from '../../ui/time.ts';
import { BookWays } from './BookWays.tsx';
import { SetupPageCard } from './SetupPageCard.tsx';

/** The book by days: who was there, where the time went, and a page for each set-up; as PDF and as JSON. */
export function Place() {
  const { id, state, trust, who } = useSite();
  const days = useMemo(() => daysOf(state, TIME_ZONE), [state]);
  const [chosen, setChosen] = useState<string | null>(null);
  const day = chosen !== null && days.includes(chosen) ? chosen : days[0]!;
  const book = useMemo(() => dayBook(state, trust, day, TIME_ZONE), [state, trust, day]);
  const papers = usePaper();
  const asked = { at: now().toISOString(), by: who, timeZone: TIME_ZONE };
  const site = fileWord(state.settings.name);
  const setups = state.occupations.filter((occupation) =>
    book.setups.some((setup) => setup.name === occupation.body.name && setup.from === occupation.at),
  );
  const spent = book.times.filter(({ minutes, count }) => minutes > 0 || count > 0);
  return (
    <div className="flex h-full flex-col">
      <BookWays />
      <div className="min-h-0 flex-1 overflow-y-auto p-5 max-md:p-3">
        <section
          className="border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('fieldbook.fieldBookOf', { day })}
        >
          <div className="flex flex-wrap items-end justify-between gap-3">
            <div>
              <h1 className="text-2xl">{msg('fieldbook.fieldBook', { day })}</h1>
              <p className="text-ink2">{book.people.join(', ')}</p>
            </div>
            <div className="flex flex-wrap items-end gap-2">
              {days.length > 1 && (
                <Choice
                  label={msg('fieldbook.day')}
                  value={day}
                  options={days.map((each) => [each, each] as const)}
                  onChange={setChosen}
                />
              )}
              <Button
                onClick={() =>
                  saveAs(`field-book-${day}-${site}.json`, 'application/json', `${JSON.stringify(book, null, 1)}\n`)
                }
              >
                {msg('fieldbook.json')}
              </Button>
              <Button
                look="primary"
                disabled={papers.progress !== null}
                onClick={() => void papers.fetchPaper('dayPaper', { site: id }, { body: { ...asked, day } })}
              >
                {msg('common.pdf')}
              </Button>
            </div>
          </div>
          <PaperProgress papers={papers} />
          {book.ended && (
            <p className={`mt-2 border-l-4 pl-3 ${book.ended.unfinished ? 'border-brick text-brick' : 'border-good'}`}>
              {msg('fieldbook.theDayEndedAtSaid', {
                clockTime: clockTime(book.ended.at),
                by: book.ended.by,
                unfinished: book.ended.unfinished && msg('fieldbook.unfinished', { unfinished: book.ended.unfinished }),
                note: book.ended.note && msg('fieldbook.forWhoComesNext2', { note: book.ended.note }),
              })}
            </p>
          )}
          <div className="mt-3 grid gap-5 lg:grid-cols-2">
            <table className={TABLE}>
              <caption className="text-left text-[15px] font-semibold">{msg('fieldbook.whereTheTimeWent')}</caption>
              <thead>
                <tr>
                  <th className={TH_WORD}>{msg('fieldbook.activity')}</th>
                  <th className={TH}>{msg('fieldbook.minutes')}</th>
                  <th className={TH}>{msg('common.done')}</th>
                </tr>
              </thead>
              <tbody>
                {spent.map(({ activity, minutes, count }) => (
                  <tr key={activity}>
                    <td className={TD_WORD}>{activityWords()[activity]}</td>
                    <td className={TD}>{minutes}</td>
                    <td className={TD}>{count}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <div>
              <h2 className="text-[15px]">{msg('fieldbook.controlNotUsedAndWhy')}</h2>
              {book.rejected.length === 0 && (
                <p className="text-ink2">{msg('fieldbook.noneWasLeftOutOrCalledDoubtful')}</p>
              )}
              <ul>
                {book.rejected.map(({ name, why }, i) => (
                  <li key={i}>
                    <strong>{name}</strong>: {why}
                  </li>
                ))}
              </ul>
              <h2 className="mt-3 text-[15px]">{msg('fieldbook.sheets')}</h2>
              {book.sheets.length === 0 && <p className="text-ink2">{msg('fieldbook.noSheetWasIssued')}</p>}
              <ul>
                {book.sheets.map((sheet) => (
                  <li key={`${sheet.number} ${sheet.revision}`}>
                    {msg('fieldbook.cutSheetRevisionMarksOfTo', {
                      clockTime: clockTime(sheet.at),
                      number: sheet.number,
                      revision: sheet.revision,
                      marks: sheet.marks,
                      package: sheet.package,
                      givenTo: sheet.givenTo,
                    })}
                  </li>
                ))}
              </ul>
            </div>
          </div>
          {book.entries.length > 0 && (
            <details className="mt-3">
              <summary className="min-h-11 cursor-pointer py-2 font-semibold">
                {msg('fieldbook.outsideOfSetUps', { entries: book.entries.length })}
              </summary>
              <ul>
                {book.entries.map(({ at, by, text }, i) => (
                  <li key={i} className="border-b border-rule py-1">
                    <span className="figures text-ink2">{clockTime(at)}</span> {by}: {text}
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
        {setups.map((occupation) => (
          <section key={occupation.id} className="mt-4 border-[1.5px] border-ink bg-sheet px-5 pb-3 max-md:px-3">
            <SetupPageCard occupation={occupation} />
            <div className="mt-2 flex gap-2 print:hidden">
              <Button
                disabled={papers.progress !== null}
                onClick={() =>
                  void papers.fetchPaper(
                    'setupPaper',
                    { site: id },
                    {
                      body: { ...asked, occupation: occupation.id },
                    },
                  )
                }
              >
                {msg('fieldbook.pdfWithEverySight')}
              </Button>
              <Button
                onClick={() =>
                  saveAs(
                    `set-up-${fileWord(occupation.body.name)}-${site}.json`,
                    'application/json',
                    `${JSON.stringify(setupBook(state, trust, occupation), null, 1)}\n`,
                  )
                }
              >
                {msg('fieldbook.json')}
              </Button>
            </div>
          </section>
        ))}
        {setups.length === 0 && <p className="mt-4 text-ink2">{msg('fieldbook.theInstrumentWasNotSetUpThat')}</p>}
      </div>
    </div>
  );
}

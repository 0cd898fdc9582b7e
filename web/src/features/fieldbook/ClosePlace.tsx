import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { closingOf, dayOf, memberName, type ClosingItem } from '@idle-marker/records';
import { msg, closingWords, worded } from '@idle-marker/words';
import { now as clock } from '../../data/clock.ts';
import { useLedger } from '../../data/useLedger.ts';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { clockTime, TIME_ZONE } from '../../ui/time.ts';
import { BookWays } from './BookWays.tsx';

/** Where each thing is put right. */
const whereToGo = worded((): Readonly<Record<ClosingItem['code'], readonly [string, string] | null>> => ({
  CLOSING_PROOF_MISSING: ['prove', msg('fieldbook.proveItNow')],
  HEIGHTS_UNCHECKED: ['station', msg('common.sightAnotherBenchmark')],
  STILL_SET_UP: ['station', msg('common.toTheStation')],
  PROOF_UNANSWERED: ['prove', msg('common.toProve')],
  LEFT_UNPROVEN: ['prove', msg('common.toProve')],
  MEASURED_IN_DOUBT: ['mark/as-built', msg('fieldbook.toAsBuilt')],
  IN_DOUBT: ['today', msg('fieldbook.toToday')],
  NOT_SHOT_AFTER_DRIVING: ['mark', msg('common.toMark')],
  TO_SET_AGAIN: ['hand-over/crew', msg('fieldbook.toTheList')],
  TELL: ['hand-over', msg('common.toTheSheets')],
  NOT_HANDED_OVER: ['hand-over', msg('common.handOver')],
  LEFT_TO_SET: null,
  CONTROL_DOUBTFUL: ['control', msg('common.toControl')],
  NOT_STORED: null,
}));

/** May I pack up? What is missing, what is open, and what whoever comes next has to know. */
export function Place() {
  const { id, state, trust, who, say, now } = useSite();
  const papers = usePaper();
  const ledger = useLedger();
  const closing = useMemo(() => closingOf(state, trust, ledger.waiting ?? 0), [state, trust, ledger.waiting]);
  const [note, setNote] = useState('');
  const [unfinished, setUnfinished] = useState('');
  const [leaving, setLeaving] = useState(false);
  const day = dayOf(now.toISOString(), TIME_ZONE);
  const ended = state.timeline.findLast(
    (fact): fact is Fact<'dayEnd'> => fact.type === 'dayEnd' && fact.body.day === day && !state.withdrawn.has(fact.id),
  );
  const isMissing = closing.missing.length > 0;
  const end = async () => {
    await say({ type: 'dayEnd', body: { day, note: note.trim(), unfinished: isMissing ? unfinished.trim() : '' } });
    setLeaving(false);
    setUnfinished('');
  };
  return (
    <div className="flex h-full flex-col">
      <BookWays />
      <div className="min-h-0 flex-1 overflow-y-auto p-5 max-md:p-3">
        <section
          className="max-w-4xl border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('common.closeTheDay')}
        >
          <h1 className={`text-[28px] leading-tight ${isMissing ? 'text-brick' : 'text-good'}`}>
            {isMissing ? msg('fieldbook.notYetSomethingIsMissing') : msg('fieldbook.youMayPackUp')}
          </h1>
          <p className="text-ink2">
            {isMissing
              ? msg('fieldbook.whatIsMissingCanBeMendedIn')
              : msg('fieldbook.nothingThatWasSetOrMeasuredWaits')}
          </p>
          {ended && (
            <p className="mt-2 border-l-4 border-ink pl-3">
              {msg('fieldbook.theDayWasEndedAtByWhat', {
                clockTime: clockTime(ended.at),
                memberName: memberName(state, ended.by),
                unfinished: ended.body.unfinished && msg('fieldbook.unfinished', { unfinished: ended.body.unfinished }),
              })}
            </p>
          )}
          <Items title={msg('fieldbook.missing')} items={closing.missing} tone="brick" />
          <Items title={msg('fieldbook.open')} items={closing.open} tone="ochre" />
          <Items title={msg('fieldbook.forTomorrow')} items={closing.tomorrow} tone="ink" />
          <div className="mt-5 border-t border-rule pt-3">
            <Field
              label={msg('fieldbook.forWhoComesNext')}
              value={note}
              maxLength={2000}
              placeholder={msg('fieldbook.whereTheInstrumentStoodWhichControl')}
              onChange={(event) => setNote(event.target.value)}
            />
            {leaving && (
              <Field
                className="mt-3"
                label={msg('fieldbook.whyItEndsUnfinished')}
                value={unfinished}
                maxLength={500}
                onChange={(event) => setUnfinished(event.target.value)}
                help={msg('fieldbook.itIsPrintedOnThePageOf')}
                autoFocus
              />
            )}
            <PaperProgress papers={papers} />
            <div className="mt-3 flex flex-wrap justify-end gap-2">
              <Button
                className="mr-auto"
                disabled={papers.progress !== null}
                onClick={() =>
                  void papers.fetchPaper(
                    'shiftPaper',
                    { site: id },
                    {
                      body: {
                        at: clock().toISOString(),
                        by: who,
                        timeZone: TIME_ZONE,
                        ...(note.trim() ? { note: note.trim() } : {}),
                        ...(leaving && unfinished.trim() ? { unfinished: unfinished.trim() } : {}),
                      },
                    },
                  )
                }
              >
                {msg('fieldbook.pageForWhoComesNextPdf')}
              </Button>
              {isMissing && !leaving && (
                <Button onClick={() => setLeaving(true)}>{msg('fieldbook.leaveItUnfinished')}</Button>
              )}
              {leaving && (
                <Button look="quiet" onClick={() => setLeaving(false)}>
                  {msg('common.cancel')}
                </Button>
              )}
              {leaving ? (
                <Button look="danger" disabled={unfinished.trim() === ''} onClick={() => void end()}>
                  {msg('fieldbook.endTheDayUnfinished')}
                </Button>
              ) : (
                <Button look="primary" disabled={isMissing} onClick={() => void end()}>
                  {msg('common.closeTheDay')}
                </Button>
              )}
            </div>
          </div>
        </section>
      </div>
    </div>
  );
}

const TONE = { brick: 'border-brick', ochre: 'border-ochre', ink: 'border-ink' } as const;
const HEAD = { brick: 'text-brick', ochre: 'text-ochre', ink: '' } as const;

function Items({
  title,
  items,
  tone,
}: {
  readonly title: string;
  readonly items: readonly ClosingItem[];
  readonly tone: keyof typeof TONE;
}) {
  const { id } = useSite();
  if (items.length === 0) return null;
  return (
    <section className="mt-4" aria-label={title}>
      <h2 className={`text-[17px] ${HEAD[tone]}`}>{title}</h2>
      <ul className="mt-1 flex flex-col gap-2">
        {items.map((item, i) => {
          const words = closingWords(item);
          const where = whereToGo()[item.code];
          return (
            <li key={i} className={`flex flex-wrap items-center gap-x-4 border-l-4 pl-3 ${TONE[tone]}`}>
              <span className="min-w-0 flex-1">
                <strong>{words.title}</strong> <span className="block text-[15px] text-ink2">{words.text}</span>
              </span>
              {where && (
                <Link className={LINK} to={`/sites/${id}/${where[0]}`}>
                  {where[1]}
                </Link>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

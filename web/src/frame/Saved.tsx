import { useState } from 'react';
import { dismissRefused, tryNow, type LedgerState } from '../data/ledger.ts';
import { CLOCKS_AGREE_MS } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { clockBehindServer } from '../data/clock.ts';
import { useLedger } from '../data/useLedger.ts';
import { troubleWords } from '../data/trouble.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { useMissingParts } from '../ui/fetchedPart.tsx';
import { clockTime } from '../ui/time.ts';

const entries = (n: number): string => msg('frame.entries', { n });

/** What the chip says, and how it looks: the worst first. */
function chipOf({ refused, unkept, trouble, stuck, waiting }: LedgerState): readonly [string, string] {
  const bad = 'border-brick text-brick';
  const doubtful = 'border-ochre text-ochre';
  if (refused.length > 0) return [msg('frame.refused', { refused: refused.length }), bad];
  if (unkept) return [msg('frame.inThisPageAlone', { count: unkept.count }), bad];
  if (trouble)
    return [msg('frame.waiting', { chip: troubleWords()[trouble.what].chip, waiting: waiting ?? '?' }), doubtful];
  if (stuck.length > 0) return [msg('frame.notStored', { stuck: stuck.length }), doubtful];
  if (waiting === null) return [msg('frame.counting'), 'border-ink2 text-ink2'];
  return [msg('frame.savedWaiting', { waiting }), 'border-good text-good'];
}

function standOf({ trouble, waiting, unkept }: LedgerState): string {
  if (waiting === null) return msg('frame.whatWaitsInThisBrowserIsBeing');
  if (!trouble)
    return waiting === 0
      ? msg('frame.everythingSaidOnThisDeviceIsStored')
      : msg('frame.onTheWay', { entries: entries(waiting) });
  const { why, until } = troubleWords()[trouble.what];
  const kept = unkept ? '' : msg('frame.everythingYouDoIsKeptInThis');
  return msg('frame.itHasBeenSoSince', {
    why,
    clockTime: clockTime(trouble.since),
    kept,
    until: kept && ` ${until}.`,
    waiting: waiting > 0 ? msg('frame.waiting2', { entries: entries(waiting) }) : '',
  });
}

/** Whether everything said here is stored, and what waits. */
export function Saved() {
  const ledger = useLedger();
  const [open, setOpen] = useState(false);
  const missing = useMissingParts();
  const behind = clockBehindServer();
  const [text, tone] = chipOf(ledger);
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} className="min-h-11" aria-live="polite">
        <span className={`rounded-sm border px-2 py-1 text-[13px] font-semibold whitespace-nowrap ${tone}`}>
          {text}
        </span>
      </button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={msg('frame.whatIsStored')}
        foot={<Button onClick={tryNow}>{msg('frame.tryNow')}</Button>}
      >
        <p>{standOf(ledger)}</p>
        {ledger.unkept && (
          <p className="mt-3 border-l-4 border-brick pl-3 font-medium text-brick" role="alert">
            {msg('frame.ofThisDeviceInThisPageAlone', {
              why:
                ledger.unkept.why === 'full'
                  ? msg('frame.theBrowserHasNoRoomLeft')
                  : msg('frame.theBrowserKeepsNothingForThisPage'),
              entries: entries(ledger.unkept.count),
              count: ledger.unkept.count,
              why2: ledger.unkept.why === 'full' ? msg('frame.andFreeSomeStorageOnTheDevice') : '',
            })}
          </p>
        )}
        {ledger.persistent === false && <p className="mt-3 text-ink2">{msg('frame.thisBrowserMayTakeAwayWhatIt')}</p>}
        {missing.length > 0 && (
          <p className="mt-3 text-ochre">
            {msg('frame.notFetchedByThisDeviceYetAnd', { missing: missing.join(', ') })}
          </p>
        )}
        {ledger.stuck.map(({ fact, reason }) => (
          <div key={fact.id} className="mt-3 border-l-4 border-ochre pl-3">
            <p className="font-semibold">
              {msg('frame.ofIsNotStoredYet', { type: fact.type, clockTime: clockTime(fact.at) })}
            </p>
            <p>{msg('frame.theEntriesAfterItGoOnThis', { reason })}</p>
          </div>
        ))}
        {Math.abs(behind) > CLOCKS_AGREE_MS && (
          <p className="mt-3 text-ochre">
            {msg('frame.theClockOfThisDeviceIsMin', {
              behind: Math.round(Math.abs(behind) / 60_000),
              behind2: behind > 0 ? 'behind' : msg('frame.aheadOf'),
            })}
          </p>
        )}
        {ledger.refused.map((entry) => (
          <div key={entry.key} className="mt-3 border-l-4 border-brick pl-3">
            <p className="font-semibold">
              {msg('frame.ofWasRefused', { type: entry.fact.type, clockTime: clockTime(entry.fact.at) })}
            </p>
            <p>{entry.reason}</p>
            <Button look="quiet" onClick={() => void dismissRefused(entry.key)}>
              {msg('frame.seenTakeItOffTheList')}
            </Button>
          </div>
        ))}
      </Dialog>
    </>
  );
}

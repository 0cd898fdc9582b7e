import { useState } from 'react';
import { dismissRefused, tryNow, type LedgerState } from '../data/ledger.ts';
import { CLOCKS_AGREE_MS } from '@idle-marker/contract';
import { clockBehindServer } from '../data/clock.ts';
import { useLedger } from '../data/useLedger.ts';
import { TROUBLE } from '../data/trouble.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { useMissingParts } from '../ui/fetchedPart.tsx';
import { clockTime } from '../ui/time.ts';

const entries = (n: number): string => (n === 1 ? '1 entry' : `${n} entries`);

/** What the chip says, and how it looks: the worst first. */
function chipOf({ refused, unkept, trouble, stuck, waiting }: LedgerState): readonly [string, string] {
  const bad = 'border-brick text-brick';
  const doubtful = 'border-ochre text-ochre';
  if (refused.length > 0) return [`${refused.length} refused`, bad];
  if (unkept) return [`${unkept.count} in this page alone`, bad];
  if (trouble) return [`${TROUBLE[trouble.what].chip} · ${waiting ?? '?'} waiting`, doubtful];
  if (stuck.length > 0) return [`${stuck.length} not stored`, doubtful];
  if (waiting === null) return ['Counting…', 'border-ink2 text-ink2'];
  return [`Saved · ${waiting} waiting`, 'border-good text-good'];
}

function standOf({ trouble, waiting, unkept }: LedgerState): string {
  if (waiting === null) return 'What waits in this browser is being counted.';
  if (!trouble) return waiting === 0 ? 'Everything said on this device is stored.' : `${entries(waiting)} on the way.`;
  const { why, until } = TROUBLE[trouble.what];
  const kept = unkept ? '' : ' Everything you do is kept in this browser, also when you close it, and goes out by itself';
  return `${why} It has been so since ${clockTime(trouble.since)}.${kept}${kept && ` ${until}.`}${waiting > 0 ? ` ${entries(waiting)} waiting.` : ''}`;
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
        <span className={`rounded-sm border px-2 py-1 text-[13px] font-semibold whitespace-nowrap ${tone}`}>{text}</span>
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title="What is stored" foot={<Button onClick={tryNow}>Try now</Button>}>
        <p>{standOf(ledger)}</p>
        {ledger.unkept && (
          <p className="mt-3 border-l-4 border-brick pl-3 font-medium text-brick" role="alert">
            {ledger.unkept.why === 'full' ? 'The browser has no room left' : 'The browser keeps nothing for this page'}: {entries(ledger.unkept.count)} of this
            device {ledger.unkept.count === 1 ? 'is' : 'are'} in this page alone. Leave it open until they are stored
            {ledger.unkept.why === 'full' ? ', and free some storage on the device' : ''}.
          </p>
        )}
        {ledger.persistent === false && (
          <p className="mt-3 text-ink2">This browser may take away what it keeps when the device runs out of room. Keep some free.</p>
        )}
        {missing.length > 0 && <p className="mt-3 text-ochre">Not fetched by this device yet, and tried again by itself: {missing.join(', ')}.</p>}
        {ledger.stuck.map(({ fact, reason }) => (
          <div key={fact.id} className="mt-3 border-l-4 border-ochre pl-3">
            <p className="font-semibold">
              {fact.type} of {clockTime(fact.at)} is not stored yet
            </p>
            <p>{reason} The entries after it go on; this one is tried again and again. If it stays, tell whoever looks after the server.</p>
          </div>
        ))}
        {Math.abs(behind) > CLOCKS_AGREE_MS && (
          <p className="mt-3 text-ochre">
            The clock of this device is {Math.round(Math.abs(behind) / 60_000)} min {behind > 0 ? 'behind' : 'ahead of'} the server’s. Entries carry the
            server’s time.
          </p>
        )}
        {ledger.refused.map((entry) => (
          <div key={entry.key} className="mt-3 border-l-4 border-brick pl-3">
            <p className="font-semibold">
              {entry.fact.type} of {clockTime(entry.fact.at)} was refused
            </p>
            <p>{entry.reason}</p>
            <Button look="quiet" onClick={() => void dismissRefused(entry.key)}>
              Seen, take it off the list
            </Button>
          </div>
        ))}
      </Dialog>
    </>
  );
}

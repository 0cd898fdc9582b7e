import { useState } from 'react';
import { dismissRefused, tryNow } from '../ledger/ledger.ts';
import { CLOCKS_AGREE_MS, clockBehindServer } from '../ledger/clock.ts';
import { useLedger } from '../ledger/useLedger.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { clockTime } from '../ui/time.ts';

/** Whether everything said here is stored, and what waits. */
export function Saved() {
  const ledger = useLedger();
  const [open, setOpen] = useState(false);
  const away = ledger.awaySince !== null;
  const behind = clockBehindServer();
  const text =
    ledger.refused.length > 0 ? `${ledger.refused.length} refused` : away ? `Database away · ${ledger.waiting} waiting` : `Saved · ${ledger.waiting} waiting`;
  const tone = ledger.refused.length > 0 ? 'border-brick text-brick' : away ? 'border-ochre text-ochre' : 'border-good text-good';
  return (
    <>
      <button type="button" onClick={() => setOpen(true)} className="min-h-11" aria-live="polite">
        <span className={`rounded-sm border px-2 py-1 text-[13px] font-semibold whitespace-nowrap ${tone}`}>{text}</span>
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title="What is stored" foot={<Button onClick={tryNow}>Try now</Button>}>
        {away ? (
          <p>
            The database has not answered since {clockTime(ledger.awaySince)}. Everything you do is kept in this browser, also when you close it, and goes out
            by itself when the database is back.
            {ledger.waiting > 0 && ` ${ledger.waiting} entries wait.`}
          </p>
        ) : (
          <p>{ledger.waiting === 0 ? 'Everything said on this device is stored.' : `${ledger.waiting} entries are on their way.`}</p>
        )}
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

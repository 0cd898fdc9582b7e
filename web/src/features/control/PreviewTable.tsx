import { useState } from 'react';
import type { ControlRow } from '@idle-marker/formats';
import { msg } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

export interface PreviewRow {
  readonly row: ControlRow;
  readonly faults: readonly string[];
  readonly questions: readonly string[];
  readonly notes: readonly string[];
  /** Easting and northing are probably exchanged. */
  readonly swap: boolean;
}

interface PreviewTableProps {
  readonly rows: readonly PreviewRow[];
  readonly skipped: ReadonlySet<number>;
  readonly turned: ReadonlySet<number>;
  onSkip(row: number): void;
  onTurn(row: number): void;
}

const PAGE = 100;

/** The rows as they were read; those with something to say come first. */
export function PreviewTable({ rows, skipped, turned, onSkip, onTurn }: PreviewTableProps) {
  const units = useUnits();
  const [shown, setShown] = useState(PAGE);
  const weight = (row: PreviewRow) => (row.faults.length > 0 ? 0 : row.questions.length > 0 ? 1 : 2);
  const sorted = [...rows].sort((a, b) => weight(a) - weight(b) || a.row.row - b.row.row);
  return (
    <div className="mt-3 overflow-x-auto">
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH}>{msg('control.row')}</th>
            <th className={TH_WORD}>{msg('common.mark')}</th>
            <th className={TH}>{msg('common.east')}</th>
            <th className={TH}>{msg('common.north')}</th>
            <th className={TH}>{msg('common.height')}</th>
            <th className={TH_WORD}>{msg('control.toLookAt')}</th>
            <th className={TH}>
              <span className="sr-only">{msg('control.whatToDoWithIt')}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sorted.slice(0, shown).map(({ row, faults, questions, notes, swap }) => (
            <tr key={row.row} className={skipped.has(row.row) ? 'text-ink2 line-through' : ''}>
              <td className={TD}>{row.row}</td>
              <td className={`${TD_WORD} font-semibold`}>{row.name || '–'}</td>
              <td className={TD}>{units.length(row.e)}</td>
              <td className={TD}>{units.length(row.n)}</td>
              <td className={TD}>{units.length(row.z)}</td>
              <td className={TD_WORD}>
                {faults.length > 0 && (
                  <strong className="text-brick">{msg('control.fault', { faults: faults.join('; ') })} </strong>
                )}
                {questions.length > 0 && <span className="font-medium text-ochre">{questions.join('; ')}. </span>}
                {notes.join('; ')}
              </td>
              <td className={`${TD} whitespace-nowrap`}>
                {swap && (
                  <Button
                    className="px-2 text-[13px]"
                    aria-pressed={turned.has(row.row)}
                    onClick={() => onTurn(row.row)}
                  >
                    {turned.has(row.row) ? msg('control.exchanged') : msg('control.exchangeEAndN')}
                  </Button>
                )}{' '}
                <Button
                  className="px-2 text-[13px]"
                  aria-pressed={skipped.has(row.row)}
                  onClick={() => onSkip(row.row)}
                  aria-label={msg('control.row2', {
                    has: skipped.has(row.row) ? msg('control.take') : msg('control.leaveOut'),
                    row: row.row,
                  })}
                >
                  {skipped.has(row.row) ? msg('control.includeRow') : msg('control.leaveOut')}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {sorted.length > shown && (
        <Button look="quiet" onClick={() => setShown(shown + 500)}>
          {msg('control.moreRows', { sorted: sorted.length - shown })}
        </Button>
      )}
    </div>
  );
}

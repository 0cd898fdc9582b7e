import { useId, useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { msg } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';

/** What stands in the cells of a row, in the order of the columns. */
export type Cells = readonly string[];

export interface CellColumn {
  readonly label: string;
  readonly unit?: string;
  /** One of a few words; the first where nothing was chosen. */
  readonly options?: readonly (readonly [value: string, label: string])[];
  /** Wider than a figure needs. */
  readonly isWide?: boolean;
  /** What is wrong with what stands there; null when nothing is. */
  check?(cell: string): string | null;
  /** May stay empty. */
  readonly isOptional?: boolean;
  /** Means nothing in this row. */
  isOff?(row: Cells): boolean;
}

interface CellTableProps {
  readonly label: string;
  readonly columns: readonly CellColumn[];
  readonly rows: readonly Cells[];
  onRows(rows: readonly Cells[]): void;
  /** Exactly one row, which stays. */
  readonly isSingle?: boolean;
  /** Its name stands over it. */
  readonly hasCaption?: boolean;
  /** Rows of a pasted text that is no block of cells; null where it is one. */
  readRows?(pasted: string): readonly Cells[] | null;
  /** Said of empty cells, too: somebody has tried to keep it. */
  readonly tried: boolean;
}

/** What a spreadsheet copies: rows by lines, cells by tabs; a list with commas or semicolons where there are no tabs. */
export function cellsPasted(text: string): string[][] {
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n+$/, '').split('\n');
  const apart = lines.some((line) => line.includes('\t')) ? '\t' : lines.some((line) => line.includes(';')) ? ';' : ',';
  return lines.map((line) => line.split(apart).map((cell) => cell.trim()));
}

/** The value of a choice that a pasted word means; the word itself where it means none. */
const asOption = (cell: string, { options }: CellColumn): string =>
  options?.find(([value, label]) => [value, label].some((each) => each.toLowerCase() === cell.toLowerCase()))?.[0] ??
  cell;

const emptyRow = (columns: readonly CellColumn[]): Cells => columns.map(({ options }) => options?.[0]?.[0] ?? '');
const isEmpty = (row: Cells, columns: readonly CellColumn[]): boolean =>
  row.every((cell, i) => cell.trim() === '' || columns[i]?.options !== undefined);

/** Rows with something in them: the empty one that waits at the end is none. */
export const filledRows = (rows: readonly Cells[], columns: readonly CellColumn[]): readonly Cells[] =>
  rows.filter((row) => !isEmpty(row, columns));

function faultOf(cell: string, column: CellColumn, row: Cells, tried: boolean): string | null {
  if (column.options || column.isOff?.(row)) return null;
  if (cell.trim() === '') return tried && !column.isOptional ? msg('field.cellNeeded') : null;
  return column.check?.(cell) ?? null;
}

/**
 * A table that is typed: each cell with its unit and what is wrong with it, Enter to the next row, a block from a
 * spreadsheet pasted where the cursor stands.
 */
export function CellTable({
  label,
  columns,
  rows,
  onRows,
  isSingle = false,
  hasCaption = false,
  tried,
  readRows,
}: CellTableProps) {
  const id = useId();
  const table = useRef<HTMLTableElement>(null);
  const [before, setBefore] = useState<readonly (readonly Cells[])[]>([]);
  const shown = isSingle
    ? [rows[0] ?? emptyRow(columns)]
    : rows.length > 0 && isEmpty(rows.at(-1)!, columns)
      ? rows
      : [...rows, emptyRow(columns)];
  /** What cannot be taken back by typing can be by a press. */
  const change = (next: readonly Cells[]) => {
    setBefore([...before, rows]);
    onRows(next);
  };
  const write = (i: number, k: number, cell: string) =>
    onRows(shown.map((row, j) => (j === i ? row.map((each, l) => (l === k ? cell : each)) : row)));
  const focus = (i: number, k: number) =>
    requestAnimationFrame(() => table.current?.querySelector<HTMLElement>(`[data-cell="${i} ${k}"]`)?.focus());
  const paste = (event: ClipboardEvent, i: number, k: number) => {
    const pasted = event.clipboardData.getData('text');
    const read = pasted.includes('\t') ? null : readRows?.(pasted);
    if (read) {
      event.preventDefault();
      return change([...shown.slice(0, i), ...read, ...shown.slice(i + 1)]);
    }
    const block = cellsPasted(pasted);
    if (block.length === 1 && block[0]!.length === 1) return;
    event.preventDefault();
    const next = shown.map((row) => [...row]);
    block.slice(0, isSingle ? 1 : undefined).forEach((cells, down) => {
      const row = (next[i + down] ??= [...emptyRow(columns)]);
      cells.forEach((cell, along) => {
        const column = columns[k + along];
        if (column) row[k + along] = asOption(cell, column);
      });
    });
    change(next);
  };
  const key = (event: KeyboardEvent, i: number, k: number) => {
    const isList = event.currentTarget instanceof HTMLSelectElement;
    const down = event.key === 'Enter' || (event.key === 'ArrowDown' && !isList);
    const up = event.key === 'ArrowUp' && !isList;
    if (!down && !up) return;
    event.preventDefault();
    focus(i + (down ? 1 : -1), k);
  };
  return (
    <div className="overflow-x-auto">
      <table ref={table} aria-label={label} className="w-full border-collapse text-[14px]">
        {hasCaption && <caption className="py-1 text-left text-[14px] font-semibold">{label}</caption>}
        <thead>
          <tr>
            {!isSingle && <th className="w-6" aria-label={msg('field.row')} />}
            {columns.map((column) => (
              <th key={column.label} className="px-0.5 pb-1 text-left text-[13px] font-semibold text-ink2">
                {column.label}
                {column.unit !== undefined && <span className="font-normal"> ({column.unit})</span>}
              </th>
            ))}
            {!isSingle && (
              <th>
                <span className="sr-only">{msg('field.removeRow')}</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {shown.map((row, i) => {
            const isLast = !isSingle && i === shown.length - 1 && isEmpty(row, columns);
            return (
              <tr key={i} className="align-top">
                {!isSingle && <td className="figures pt-3 pr-1 text-right text-[13px] text-ink2">{i + 1}</td>}
                {columns.map((column, k) => {
                  const cell = row[k] ?? '';
                  const fault = isLast ? null : faultOf(cell, column, row, tried);
                  const isOff = column.isOff?.(row) ?? false;
                  const about = {
                    'data-cell': `${i} ${k}`,
                    'aria-label': msg('field.cell', { column: column.label, row: i + 1 }),
                    value: cell,
                    disabled: isOff,
                    onKeyDown: (event: KeyboardEvent) => key(event, i, k),
                  };
                  const look = `h-11 w-full rounded-sm border bg-sheet px-1.5 disabled:border-rule disabled:bg-paper ${fault ? 'border-2 border-brick' : 'border-ink2'}`;
                  return (
                    <td key={column.label} className={`px-0.5 py-0.5 ${column.isWide ? 'min-w-32' : 'min-w-20'}`}>
                      {column.options ? (
                        <select {...about} className={look} onChange={(event) => write(i, k, event.target.value)}>
                          {column.options.map(([value, words]) => (
                            <option key={value} value={value}>
                              {words}
                            </option>
                          ))}
                        </select>
                      ) : (
                        <input
                          {...about}
                          className={`${look} ${column.isWide ? '' : 'figures text-right'}`}
                          aria-invalid={fault !== null}
                          aria-describedby={fault === null ? undefined : `${id} ${i} ${k}`}
                          onChange={(event) => write(i, k, event.target.value)}
                          onPaste={(event) => paste(event, i, k)}
                        />
                      )}
                      {fault !== null && (
                        <p id={`${id} ${i} ${k}`} className="max-w-40 text-[13px] leading-tight font-medium text-brick">
                          {fault}
                        </p>
                      )}
                    </td>
                  );
                })}
                {!isSingle && (
                  <td>
                    {!isLast && (
                      <button
                        type="button"
                        className="h-11 w-11 text-lg"
                        aria-label={msg('field.removeRowNumber', { row: i + 1 })}
                        onClick={() => change(shown.filter((_, j) => j !== i))}
                      >
                        ×
                      </button>
                    )}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      {before.length > 0 && (
        <Button
          look="quiet"
          onClick={() => {
            onRows(before.at(-1)!);
            setBefore(before.slice(0, -1));
          }}
        >
          {msg('field.undoRows')}
        </Button>
      )}
    </div>
  );
}

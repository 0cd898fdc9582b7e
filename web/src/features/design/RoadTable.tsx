import { useState } from 'react';
import { msg, type GlossaryTerm } from '@idle-marker/words';
import { CellTable, filledRows, type Cells } from '../../field/CellTable.tsx';
import { Button } from '../../ui/Button.tsx';
import { Explained } from '../../ui/Explained.tsx';
import { Lines } from './Lines.tsx';
import type { RoadPart } from './roadCells.ts';

interface NamedPart {
  readonly part: RoadPart;
  readonly label: string;
  readonly isSingle?: boolean;
}

interface RoadTableProps {
  readonly label: string;
  readonly term?: GlossaryTerm;
  /** Tables whose rows are the lines of one text, in this order. */
  readonly parts: readonly NamedPart[];
  readonly text: string;
  onText(text: string): void;
  /** What its reader says of it as a whole. */
  readonly error: string | null;
  readonly help: string;
  /** How it is written as text. */
  readonly textHelp: string;
  readonly tried: boolean;
}

type Tables = readonly (readonly Cells[])[];

/** Every line in the table that can show it; null when one finds none. */
function tablesOf(parts: readonly NamedPart[], text: string): Tables | null {
  const tables: Cells[][] = parts.map(() => []);
  for (const raw of text.split('\n')) {
    const line = raw.trim();
    if (line === '') continue;
    const at = parts.findIndex(({ part }) => part.fromLine(line) !== null);
    if (at < 0) return null;
    tables[at]!.push(parts[at]!.part.fromLine(line)!);
  }
  return tables;
}

const textOf = (parts: readonly NamedPart[], tables: Tables): string =>
  parts.flatMap(({ part }, k) => filledRows(tables[k] ?? [], part.columns).map((row) => part.toLine(row))).join('\n');

/** What was pasted, where it is the text form of this part rather than cells. */
function rowsOf({ fromLine }: RoadPart, pasted: string): readonly Cells[] | null {
  if (!/[a-z]/i.test(pasted)) return null;
  const rows = pasted.split('\n').flatMap((line) => (line.trim() === '' ? [] : [fromLine(line.trim())]));
  return rows.every((row) => row !== null) ? rows : null;
}

/** A part of a road, typed as a table; the same as text for who has it as text. */
export function RoadTable({ label, term, parts, text, onText, error, help, textHelp, tried }: RoadTableProps) {
  const [held, setHeld] = useState(() => ({ text, tables: tablesOf(parts, text) }));
  // What was written elsewhere, as text, is read anew; what was typed here keeps its empty cells.
  const tables = held.text === text ? held.tables : tablesOf(parts, text);
  const [asksText, setAsksText] = useState(false);
  const isText = asksText || tables === null;
  const change = (k: number, rows: readonly Cells[]) => {
    const next = parts.map((_, i) => (i === k ? rows : (tables?.[i] ?? [])));
    const nextText = textOf(parts, next);
    setHeld({ text: nextText, tables: next });
    onText(nextText);
  };
  return (
    <section aria-label={label}>
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h3 className="flex items-center gap-1 text-[17px]">
          {label}
          {term && <Explained term={term} />}
        </h3>
        <Button look="quiet" disabled={tables === null} onClick={() => setAsksText(!isText)}>
          {isText ? msg('design.asTable') : msg('design.asText')}
        </Button>
      </div>
      {isText ? (
        <Lines
          label={msg('design.textOf', { part: label })}
          value={text}
          onChange={onText}
          error={error}
          help={textHelp}
          rows={Math.max(4, text.split('\n').length + 1)}
        />
      ) : (
        <>
          {parts.map(({ part, label: name, isSingle }, k) => (
            <CellTable
              key={name}
              label={name}
              columns={part.columns}
              rows={tables[k] ?? []}
              onRows={(rows) => change(k, rows)}
              isSingle={isSingle ?? false}
              hasCaption={parts.length > 1}
              tried={tried}
              readRows={(pasted) => rowsOf(part, pasted)}
            />
          ))}
          <p className={`mt-1 text-[13px] ${error ? 'font-medium text-brick' : 'text-ink2'}`}>{error ?? help}</p>
        </>
      )}
    </section>
  );
}

import { useState } from 'react';
import type { Corner } from '@idle-marker/core';
import { readControlCsv, textOf } from '@idle-marker/formats';
import { controlFileWords, controlRowWords } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';

export interface FoundOutline {
  readonly name: string;
  readonly corners: readonly Corner[];
}

/** Corners from a file: a list of points as CSV. */
export function CornerSource({ onCorners }: { onCorners(found: FoundOutline, source: string): void }) {
  const units = useUnits();
  const [fault, setFault] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    setFault(null);
    if (!file) return;
    const text = textOf(new Uint8Array(await file.arrayBuffer()));
    const list = text.ok ? readControlCsv(text.value, { unit: units.lengthUnit, xIsNorth: false }) : text;
    if (!list.ok) {
      setFault(controlFileWords(list.error));
      return;
    }
    const bad = list.value.rows.find((row) => row.issues.length > 0 || row.e === null || row.n === null);
    if (bad) {
      setFault(`Row ${bad.row} ${bad.issues[0] ? controlRowWords(bad.issues[0]) : 'has no place'}.`);
      return;
    }
    onCorners({ name: file.name.replace(/\.[^.]+$/, ''), corners: list.value.rows.map((row) => ({ name: row.name, e: row.e!, n: row.n! })) }, file.name);
  };
  return (
    <div className="mt-2">
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-ink2">Or from a file: points as CSV, in order round the outline</span>
        <input
          type="file"
          accept=".csv,.txt,text/csv"
          onChange={(event) => void take(event.target.files?.[0])}
          className="min-h-11 rounded-sm border border-ink2 p-2"
        />
      </label>
      {fault && <p className="text-[13px] font-medium text-brick">{fault}</p>}
    </div>
  );
}

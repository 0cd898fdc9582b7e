import { useMemo, useRef, useState } from 'react';
import type { LengthUnit } from '@idle-marker/core';
import { LARGEST_UPLOAD_BYTES, type ListSaidAsked } from '@idle-marker/contract';
import { compareControl, type ListSaid } from '@idle-marker/formats';
import { msg, controlRowWords, listRemarkWords } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { tryNow, untilSent } from '../../data/ledger.ts';
import { call, troubleOf } from '../../data/server.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { useControlList, type PickedFile } from './useControlList.ts';
import { type PreviewRow } from './PreviewTable.tsx';
import { usualSd, smallOf } from '../../field/draft.ts';

/** What was said, as it is sent along: what nobody said is left out. */
const saidAsked = ({ unit, decimal, columns }: ListSaid): ListSaidAsked => ({
  ...(unit ? { unit } : {}),
  ...(decimal ? { decimal } : {}),
  ...(columns ? { columns: [...columns] } : {}),
});

/** What ImportControl shows, and what its buttons do. */
export function useImportControl({
  onWritten,
}: Pick<
  {
    /** Points of the design, or of what stands, instead of a list. */
    onDesign(): void;
    onClose(): void;
    /** So many marks were written. */
    onWritten(marks: number): void;
    /** Single marks of another site instead of a list. */ onOtherSite(): void;
  },
  'onWritten'
>) {
  const { id, state, who } = useSite();
  const units = useUnits();
  const [picked, setPicked] = useState<PickedFile | null>(null);
  const [unit, setUnit] = useState<LengthUnit>(state.settings.lengthUnit);
  const [xIsNorth, setXIsNorth] = useState(false);
  const [skipped, setSkipped] = useState<ReadonlySet<number>>(new Set());
  const [turned, setTurned] = useState<ReadonlySet<number>>(new Set());
  const [sdH, setSdH] = useState(() => usualSd(units.lengthUnit));
  const [sdZ, setSdZ] = useState(() => usualSd(units.lengthUnit));
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const [importId] = useState(newId);

  const [said, setSaid] = useState<ListSaid>({});
  const { read: found, isReading, hasFailed, again } = useControlList(picked, unit, xIsNorth, said);
  const read = found?.list ?? null;
  const head = found?.head ?? null;
  const list = read?.ok ? read.value : null;
  const listed = useMemo(
    () =>
      state.control.map((mark) => ({
        name: mark.revision.body.name,
        e: mark.revision.body.e,
        n: mark.revision.body.n,
      })),
    [state.control],
  );
  const remarks = useMemo(
    () =>
      list
        ? compareControl(
            list.rows.map((row) => (turned.has(row.row) ? { ...row, e: row.n, n: row.e } : row)),
            listed,
          )
        : [],
    [list, listed, turned],
  );
  const rows = useMemo((): PreviewRow[] => {
    const byRow = new Map<number, typeof remarks>();
    for (const remark of remarks)
      if ('row' in remark) byRow.set(remark.row, [...(byRow.get(remark.row) ?? []), remark]);
    return (
      list?.rows.map((row) => {
        const own = byRow.get(row.row) ?? [];
        return {
          row: turned.has(row.row) ? { ...row, e: row.n, n: row.e } : row,
          faults: [
            ...row.issues.map(controlRowWords),
            ...own
              .filter((remark) => remark.code === 'DUPLICATE_NAME')
              .map((remark) => listRemarkWords(remark, units.lengthUnit)),
          ],
          questions: own
            .filter((remark) => remark.code === 'PROBABLY_SWAPPED' || remark.code === 'PROBABLY_TWICE')
            .map((remark) => listRemarkWords(remark, units.lengthUnit)),
          notes: own
            .filter((remark) => remark.code === 'NEW_REVISION')
            .map((remark) => listRemarkWords(remark, units.lengthUnit)),
          swap: own.some((remark) => remark.code === 'PROBABLY_SWAPPED') || turned.has(row.row),
        };
      }) ?? []
    );
  }, [list, remarks, turned, units.lengthUnit]);
  const taken = rows.filter((row) => !skipped.has(row.row.row));
  const faulty = taken.filter((row) => row.faults.length > 0);
  const mixed = remarks.find((remark) => remark.code === 'FEET_MIXED');

  const pick = async (file: File | undefined) => {
    setProblem(null);
    setSkipped(new Set());
    setTurned(new Set());
    setSaid({});
    setPicked(null);
    if (!file) return;
    if (file.size > LARGEST_UPLOAD_BYTES) {
      setProblem(
        msg('control.isOverMbSplitIt', { name: file.name, largestUploadBytes: LARGEST_UPLOAD_BYTES / 1024 / 1024 }),
      );
      return;
    }
    setPicked({ key: newId(), name: file.name, bytes: new Uint8Array(await file.arrayBuffer()) });
  };
  const cancel = () => {
    setPicked(null);
    // The same file can be chosen again.
    if (input.current) input.current.value = '';
  };
  const save = async () => {
    if (!picked) return;
    setSaving(true);
    setProblem(null);
    const options = {
      at: now().toISOString(),
      by: who,
      fileName: picked.name.slice(0, 120),
      unit,
      xIsNorth,
      sdHMm: smallOf(sdH, units.lengthUnit) || 0,
      sdZMm: smallOf(sdZ, units.lengthUnit) || 0,
      skipRows: [...skipped],
      swapRows: [...turned],
      said: saidAsked(said),
    };
    try {
      // The site itself may still be on its way.
      await untilSent();
      const file = { mediaType: 'text/csv', bytes: picked.bytes as Uint8Array<ArrayBuffer> };
      await call('importControlList', { site: id, id: importId }, { query: { options }, file });
      tryNow();
      onWritten(taken.length);
    } catch (error) {
      setProblem(troubleOf(error, msg('control.nothingWasWrittenTheListIsStill')));
    } finally {
      setSaving(false);
    }
  };
  return {
    units,
    picked,
    unit,
    setUnit,
    xIsNorth,
    setXIsNorth,
    said,
    setSaid,
    head,
    skipped,
    setSkipped,
    turned,
    setTurned,
    sdH,
    setSdH,
    sdZ,
    setSdZ,
    problem,
    saving,
    input,
    read,
    isReading,
    hasFailed,
    again,
    list,
    rows,
    taken,
    faulty,
    mixed,
    pick,
    cancel,
    save,
  };
}

export type ImportControlModel = ReturnType<typeof useImportControl>;

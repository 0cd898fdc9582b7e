import { useMemo, useRef, useState } from 'react';
import type { LengthUnit } from '@idle-marker/core';
import { LARGEST_UPLOAD_BYTES } from '@idle-marker/contract';
import { compareControl } from '@idle-marker/formats';
import { msg, controlFileWords, controlRowWords, listRemarkWords, UNIT_NAME } from '@idle-marker/words';
import { now } from '../../data/clock.ts';
import { tryNow, untilSent } from '../../data/ledger.ts';
import { ask, troubleOf, type IsAnswer } from '../../data/server.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { LENGTH_CHOICES } from '../../field/lengthChoices.ts';
import { toggled } from '../../ui/toggled.ts';
import { ReadingOn } from '../../ui/ReadingOn.tsx';
import { useControlList, type PickedFile } from './useControlList.ts';
import { PreviewTable, type PreviewRow } from './PreviewTable.tsx';

const isWritten: IsAnswer<object> = (document) => (typeof document['written'] === 'number' ? document : null);

/** A control list from a file: everything that is wrong or odd is said before anything is written. */
export function ImportControl({
  onClose,
  onWritten,
  onDesign,
  onOtherSite,
}: {
  /** Points of the design, or of what stands, instead of a list. */
  onDesign(): void;
  onClose(): void;
  /** So many marks were written. */
  onWritten(marks: number): void;
  /** Single marks of another site instead of a list. */ onOtherSite(): void;
}) {
  const { id, state, who } = useSite();
  const units = useUnits();
  const [picked, setPicked] = useState<PickedFile | null>(null);
  const [unit, setUnit] = useState<LengthUnit>(state.settings.lengthUnit);
  const [xIsNorth, setXIsNorth] = useState(false);
  const [skipped, setSkipped] = useState<ReadonlySet<number>>(new Set());
  const [turned, setTurned] = useState<ReadonlySet<number>>(new Set());
  const [sdH, setSdH] = useState('2');
  const [sdZ, setSdZ] = useState('2');
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const [importId] = useState(newId);

  const { read, isReading, hasFailed, again } = useControlList(picked, unit, xIsNorth);
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
      sdHMm: Number(sdH) || 0,
      sdZMm: Number(sdZ) || 0,
      skipRows: [...skipped],
      swapRows: [...turned],
    };
    try {
      // The site itself may still be on its way.
      await untilSent();
      await ask(
        `/api/v1/sites/${id}/control-lists/${importId}?options=${encodeURIComponent(JSON.stringify(options))}`,
        isWritten,
        {
          method: 'PUT',
          headers: { 'Content-Type': 'text/csv' },
          body: picked.bytes as Uint8Array<ArrayBuffer>,
        },
      );
      tryNow();
      onWritten(taken.length);
    } catch (error) {
      setProblem(troubleOf(error, msg('control.nothingWasWrittenTheListIsStill')));
    } finally {
      setSaving(false);
    }
  };
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('control.importControlMarks')}
      foot={
        <>
          {list && (
            <span className={`mr-auto ${faulty.length > 0 ? 'font-medium text-brick' : 'text-ink2'}`}>
              {faulty.length > 0
                ? msg('control.ofRowsHaveFaultsMendTheFile', { faulty: faulty.length, taken: taken.length })
                : msg('control.marksWillBeWritten', { taken: taken.length })}
            </span>
          )}
          {faulty.length > 0 && (
            <Button onClick={() => setSkipped(new Set([...skipped, ...faulty.map((row) => row.row.row)]))}>
              {msg('control.leaveThemOut')}
            </Button>
          )}
          {!list && (
            <span className="mr-auto flex flex-wrap gap-2">
              <Button onClick={onOtherSite}>{msg('control.fromAnotherSite')}</Button>
              <Button onClick={onDesign}>{msg('control.fromTheDesign')}</Button>
            </span>
          )}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button
            look="primary"
            disabled={!list || faulty.length > 0 || taken.length === 0 || saving}
            onClick={() => void save()}
          >
            {saving ? msg('control.writing') : msg('control.writeMarks')}
          </Button>
        </>
      }
    >
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-ink2">{msg('control.csvWithAHeaderRowNameE')}</span>
        <input
          type="file"
          accept=".csv,.txt,.xml,text/csv,text/plain,text/xml,application/xml"
          ref={input}
          onChange={(event) => void pick(event.target.files?.[0])}
          className="min-h-11 rounded-sm border border-ink2 p-2"
        />
      </label>
      {picked && isReading && <ReadingOn fileName={picked.name} onCancel={cancel} />}
      {picked && hasFailed && (
        <p
          role="alert"
          className="mt-3 flex flex-wrap items-baseline gap-3 border-l-4 border-brick pl-3 font-medium text-brick"
        >
          {msg('control.couldNotBeReadJustNowNothing', { name: picked.name })}
          <Button onClick={again}>{msg('common.readAgain')}</Button>
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-3 border-l-4 border-brick pl-3 font-medium text-brick">
          {problem}
        </p>
      )}
      {read && !read.ok && (
        <p role="alert" className="mt-3 border-l-4 border-brick pl-3 font-medium text-brick">
          {msg('control.nothingWasWritten', { controlFile: controlFileWords(read.error) })}
        </p>
      )}
      {list && (
        <>
          <div className="mt-3 grid gap-3 sm:grid-cols-3">
            {list.unitFromFile ? (
              <p className="self-end">{msg('control.theHeaderSays', { unitName: UNIT_NAME[list.unit] })}</p>
            ) : (
              <Choice
                label={msg('control.unitOfTheCoordinates')}
                value={unit}
                options={LENGTH_CHOICES}
                onChange={setUnit}
              />
            )}
            <Field
              label={msg('control.standardDeviationInPlanWhereNoneIs')}
              unit="mm"
              value={sdH}
              onChange={(event) => setSdH(event.target.value)}
              inputMode="decimal"
            />
            <Field
              label={msg('control.standardDeviationInHeightWhereNoneIs')}
              unit="mm"
              value={sdZ}
              onChange={(event) => setSdZ(event.target.value)}
              inputMode="decimal"
            />
            {list.usesXY && (
              <Choice
                label={msg('control.theHeaderSaysXAndY')}
                value={xIsNorth ? 'n' : 'e'}
                options={[
                  ['e', msg('control.xIsTheEasting')],
                  ['n', msg('control.xIsTheNorthing')],
                ]}
                onChange={(value) => setXIsNorth(value === 'n')}
              />
            )}
          </div>
          {list.ignoredColumns.length > 0 && (
            <p className="mt-2 text-ink2">
              {msg('control.leftAsideNotUnderstood', { ignoredColumns: list.ignoredColumns.join(', ') })}
            </p>
          )}
          {mixed && (
            <p className="mt-2 border-l-4 border-ochre pl-3 font-medium">{listRemarkWords(mixed, units.lengthUnit)}</p>
          )}
          <PreviewTable
            rows={rows}
            skipped={skipped}
            turned={turned}
            onSkip={(row) => setSkipped(toggled(skipped, row))}
            onTurn={(row) => setTurned(toggled(turned, row))}
          />
        </>
      )}
    </Dialog>
  );
}

import { msg, controlFileWords, listRemarkWords, listWarningWords } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { toggled } from '../../ui/toggled.ts';
import { ReadingOn } from '../../ui/ReadingOn.tsx';
import { ListOnPlan } from './ListOnPlan.tsx';
import { PreviewTable } from './PreviewTable.tsx';
import { useImportControl } from './useImportControl.ts';
import { ControlColumns } from './ControlColumns.tsx';

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
  const model = useImportControl({ onWritten });
  const {
    units,
    picked,
    skipped,
    setSkipped,
    turned,
    setTurned,
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
  } = model;
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
          // The same file, mended meanwhile, can be chosen again.
          onClick={(event) => (event.currentTarget.value = '')}
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
      {picked && !isReading && <ControlColumns model={model} />}
      {list && (
        <>
          {list.warnings.map((warning) => (
            <p key={warning} className="mt-2 border-l-4 border-ochre pl-3 font-medium">
              {listWarningWords()[warning]}
            </p>
          ))}
          {list.ignoredColumns.length > 0 && (
            <p className="mt-2 text-ink2">
              {msg('control.leftAsideNotUnderstood', { ignoredColumns: list.ignoredColumns.join(', ') })}
            </p>
          )}
          {mixed && (
            <p className="mt-2 border-l-4 border-ochre pl-3 font-medium">{listRemarkWords(mixed, units.lengthUnit)}</p>
          )}
          <ListOnPlan
            rows={taken}
            unit={list.unit}
            isUnitSaid={Boolean(model.said.unit)}
            fitKey={JSON.stringify([picked?.key, list.unit, list.order, model.said])}
          />
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

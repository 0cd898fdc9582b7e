import { useId } from 'react';
import type { Fact } from '@idle-marker/contract';
import { type AlignmentFactBody } from '@idle-marker/records';
import { msg, ALIGNMENT_KIND, stationText } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { DraftField } from '../../field/DraftField.tsx';
import { typed } from '../../field/draft.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { SectionDrawing } from '../../board/SectionDrawing.tsx';
import { useEditRoad } from './useEditRoad.ts';

const KINDS = Object.entries(ALIGNMENT_KIND) as [AlignmentFactBody['kind'], string][];

/**
 * Types a line with stations, or a new revision of one: its way, heights and strings, drawn before anything is kept.
 */
export function EditRoad({ fact, onClose }: { readonly fact: Fact<'alignment'> | null; onClose(): void }) {
  const {
    units,
    style,
    before,
    name,
    setName,
    kind,
    setKind,
    start,
    setStart,
    corridor,
    setCorridor,
    shift,
    setShift,
    shiftSide,
    setShiftSide,
    reason,
    setReason,
    way,
    setWay,
    equations,
    setEquations,
    profile,
    setProfile,
    strings,
    setStrings,
    tried,
    shiftRead,
    errors,
    whole,
    drawn,
    scene,
    keep,
    shown,
  } = useEditRoad({ fact, onClose });
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={before ? msg('common.newRevision', { name: before.name }) : msg('design.newRoadOrAnotherLineWithStations')}
      foot={
        <>
          {before && <Button onClick={() => void keep(true)}>{msg('design.noLongerUsed')}</Button>}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep(false)}>
            {before ? msg('common.keepAsNewRevision') : msg('common.keepIt')}
          </Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-4">
        <Field
          label={msg('common.name')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={shown(errors.name, name)}
          autoFocus
        />
        <Choice label={msg('common.kind')} value={kind} options={KINDS} onChange={setKind} />
        <DraftField
          label={msg('design.stationOfItsStart')}
          inputMode="text"
          draft={start}
          onDraft={setStart}
          error={errors.start}
        />
        <DraftField
          label={msg('design.belongsToItEachSide')}
          unit={units.unit}
          draft={corridor}
          onDraft={setCorridor}
          error={errors.corridor}
          help={msg('design.fartherOffItIsAskedWhetherThis')}
        />
        <DraftField
          label={msg('design.everythingShiftedBy')}
          unit={units.unit}
          draft={shift}
          placeholder="0"
          onDraft={setShift}
          error={errors.shift}
        />
        <Choice
          label={msg('common.toThe')}
          value={shiftSide}
          options={[
            ['right', 'right'],
            ['left', 'left'],
          ]}
          onChange={setShiftSide}
        />
        {shiftRead !== 0 && (
          <Field
            className="sm:col-span-2"
            label={msg('common.why')}
            value={reason}
            maxLength={300}
            onChange={(event) => setReason(event.target.value)}
            error={shown(errors.reason, reason)}
          />
        )}
      </div>
      <div className="mt-3 grid gap-4 md:grid-cols-2">
        <div className="flex flex-col gap-3">
          <Lines
            label={msg('design.itsWay')}
            value={way}
            onChange={setWay}
            error={errors.way !== null && (tried || way !== '') ? errors.way : null}
            help={
              before !== null && way.trim() === ''
                ? msg('design.asItCameFromElementsTypePoints', {
                    source: before.source,
                    elements: before.elements.length,
                  })
                : msg('design.intersectionPointsOneALineRadius80', {
                    axes: units.axes[0] === 'e' ? '4018, 8052' : '8052, 4018',
                  })
            }
            rows={7}
          />
          <Lines
            label={msg('design.whereItsStationsJump')}
            value={equations.text}
            onChange={(text) => setEquations(typed(text))}
            error={errors.equations}
            help={msg('design.backAheadOneALineEmptyWhen', {
              station: stationText(200, style, 0),
              station2: stationText(500, style, 0),
            })}
            rows={2}
          />
          <Lines
            label={msg('common.heights')}
            value={profile.text}
            onChange={(text) => setProfile(typed(text))}
            error={errors.profile}
            help={msg('design.gradePointsOneALine615', { station: stationText(110, style, 0) })}
            rows={5}
          />
          <Lines
            label={msg('design.stringsAndKerbs')}
            value={strings.text}
            onChange={(text) => setStrings(typed(text))}
            error={errors.strings}
            help={msg('design.oneALineLeftEdgeLeft3')}
            rows={7}
          />
        </div>
        <div className="flex min-h-[420px] flex-col gap-2">
          <div className="relative min-h-[260px] flex-1 border border-ink2">
            <Board
              scene={scene}
              description={msg('design.theLineAsItWouldLieOn')}
              fitTo={drawn ? drawn.alignment.elements.flatMap(({ start: from, end }) => [from, end]) : []}
              fitKey={String(drawn?.alignment.length)}
            />
          </div>
          {drawn && (
            <div className="h-[260px] border border-ink2">
              <SectionDrawing
                road={drawn}
                station={drawn.alignment.startStation}
                title={msg('design.at', { station: stationText(drawn.alignment.startStation, style) })}
                at={null}
                chosen={null}
              />
            </div>
          )}
        </div>
      </div>
      {whole && <p className="mt-3 font-medium text-brick">{whole}</p>}
    </Dialog>
  );
}

interface LinesProps {
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
  readonly error: string | null;
  readonly help: string;
  readonly rows: number;
}

/** Several lines of text, with what is wrong with them or how they are written. */
function Lines({ label, value, onChange, error, help, rows }: LinesProps) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-ink2">
        {label}
      </label>
      <textarea
        id={id}
        rows={rows}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-invalid={error ? true : undefined}
        aria-describedby={`${id}-note`}
        className={`figures w-full rounded-sm border bg-sheet p-2 ${error ? 'border-2 border-brick' : 'border-ink2'}`}
        spellCheck={false}
      />
      <span id={`${id}-note`} className={`text-[13px] ${error ? 'font-medium text-brick' : 'text-ink2'}`}>
        {error ?? help}
      </span>
    </div>
  );
}

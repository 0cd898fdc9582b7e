import { planDistance, type ColumnGrid } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { gridGeometry } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { Board } from '../../board/LazyBoard.tsx';
import { typed } from '../../field/draft.ts';
import { AngleField } from '../../field/AngleField.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { AffectedPackages } from './Compared.tsx';
import { DrawnGrids } from './DrawnGrids.tsx';
import { gridDraft, readPlace, type GridDraft } from './gridDraft.ts';
import { useEditGrid } from './useEditGrid.tsx';

/** Draws a grid, or a new revision of one; what is typed is on the plan before anything is kept. */
export function EditGrid({ grid, onClose }: { grid: Fact<'grid'> | null; onClose(): void }) {
  const {
    units,
    draft,
    setDraft,
    setSource,
    tried,
    change,
    read,
    lines,
    affected,
    bring,
    setBring,
    nameError,
    error,
    whole,
    keep,
    scene,
    a,
    one,
    place,
    fromControl,
    family,
  } = useEditGrid({ grid, onClose });
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={grid ? msg('design.gridNewRevision', { name: grid.body.name }) : msg('design.newGrid2')}
      foot={
        <>
          <span className="mr-auto text-ink2">
            {lines
              ? msg('design.byLinesCrossings', {
                  letters: lines.letters.length,
                  numbers: lines.numbers.length,
                  letters2: lines.letters.length * lines.numbers.length,
                })
              : msg('design.notDrawnYet')}
          </span>
          {grid && <Button onClick={() => void keep(true)}>{msg('design.takeOffThePlan')}</Button>}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep(false)}>
            {grid ? msg('common.keepAsNewRevision') : msg('design.keepTheGrid')}
          </Button>
        </>
      }
    >
      <DrawnGrids
        onTake={(found, file) => {
          setDraft({
            ...gridDraft({ ...gridGeometry(found.definition), name: draft.name.trim() || found.layer }, units),
          });
          setSource(file);
        }}
      />
      <div className="mt-3 grid gap-4 md:grid-cols-2">
        <div className="grid content-start gap-3 sm:grid-cols-2">
          <Field
            label={msg('common.name')}
            value={draft.name}
            maxLength={80}
            onChange={(event) => change({ name: event.target.value })}
            error={tried ? nameError : null}
            autoFocus
          />
          <Choice
            label={msg('design.spacingsAreMeasured')}
            value={draft.spacingMeasured}
            options={[
              ['perpendicular', msg('design.squareToTheLines')],
              ['alongCrossing', msg('design.alongTheCrossingLines')],
            ]}
            onChange={(spacingMeasured) => change({ spacingMeasured })}
          />
          {family('letters', msg('design.lettered'))}
          {family('numbers', msg('design.numbered'))}
          {fromControl('origin', msg('design.originAt', { a, one }))}
          {place('origin', 0, msg('design.whereMeets', { a, one }))}
          {place('origin', 1, msg('design.whereMeets', { a, one }))}
          <Choice
            label={msg('design.lineIsGivenBy', { a })}
            value={draft.by}
            options={[
              ['secondPlace', msg('design.aSecondPlaceOnIt')],
              ['azimuth', msg('design.itsDirection')],
            ]}
            onChange={(by) => change({ by })}
          />
          {draft.by === 'azimuth' ? (
            <AngleField
              label={msg('design.directionOfLineClockwiseFromNorth', { a })}
              value={draft.azimuth.text}
              onChange={(azimuth) => change({ azimuth: typed(azimuth) })}
              error={error('direction')}
            />
          ) : (
            <>
              {fromControl('second', msg('design.secondPointAt'))}
              {place('second', 0, msg('design.ofAPlaceAlong', { a }))}
              {place('second', 1, msg('design.ofAPlaceAlong', { a }))}
            </>
          )}
          <AngleField
            label={msg('design.fromLineClockwiseToLine', { a, one })}
            value={draft.turn.text}
            onChange={(turn) => change({ turn: typed(turn) })}
            error={error('turn')}
            help={msg('design.squareIsWhenTheyRunTheOther', {
              angle: units.angle(Math.PI / 2),
              angle2: units.angle((3 * Math.PI) / 2),
            })}
          />
        </div>
        <div className="flex min-h-[280px] flex-col">
          <div className="relative min-h-[260px] flex-1 border border-ink2">
            <Board
              scene={scene}
              description={
                lines ? msg('design.planWithGrid', { name: draft.name }) : msg('design.planTheGridIsNotCompleteYet')
              }
              {...(lines ? { fitTo: [...lines.letters, ...lines.numbers].flatMap(({ from, to }) => [from, to]) } : {})}
              fitKey={lines ? JSON.stringify(read) : 'none'}
            />
          </div>
          {lines && <SecondPlaceCheck draft={draft} lines={lines} />}
        </div>
      </div>
      {affected.length > 0 && (
        <section className="mt-4 border-t border-rule pt-3" aria-label={msg('design.whatTheChangedGridMoves')}>
          <h3 className="text-[17px]">{msg('design.packagesThatWereTakenFromIt')}</h3>
          <AffectedPackages affected={affected} bring={bring} onBring={setBring} />
        </section>
      )}
      {whole && <p className="mt-3 font-medium text-brick">{whole}</p>}
      {tried && !read.ok && <p className="mt-3 font-medium text-brick">{read.error.text}</p>}
    </Dialog>
  );
}

/** Nearer than this to a crossing, a second place was meant to be that crossing. */
const MEANT = 0.5;

const AGREES = 0.002;

/** A second place that is nearly a crossing tells how well the typed spacings agree with the coordinates. */
function SecondPlaceCheck({ draft, lines }: { draft: GridDraft; lines: ColumnGrid }) {
  const units = useUnits();
  const place = draft.by === 'secondPlace' ? readPlace(draft.second, units) : null;
  if (!place) return null;
  const [a] = lines.letters;
  const [near] = lines.numbers
    .map((number) => ({ label: number.label, off: planDistance(number.from, place) }))
    .sort((one, other) => one.off - other.off)
    .filter(({ off }) => off < MEANT);
  if (!near) return null;
  return (
    <p className={`mt-2 text-[14px] ${near.off > AGREES ? 'font-medium text-ochre' : 'text-ink2'}`}>
      {near.off > AGREES
        ? msg('design.theSecondPlaceIsFromWhereMeets', {
            length: units.length(near.off),
            unit: units.unit,
            label: a!.label,
            label2: near.label,
          })
        : msg('design.spacingsAndCoordinatesAgreeWhereMeets', { label: a!.label, label2: near.label })}
    </p>
  );
}

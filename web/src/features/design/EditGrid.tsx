import { useMemo, useState } from 'react';
import { planDistance, type ColumnGrid } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { affectedByGrid, alikeName, gridGeometry, gridOf, sameAsBefore } from '@idle-marker/records';
import { msg, designFaultWords } from '@idle-marker/words';
import type { Said } from '../../data/ledger.ts';
import { newId } from '../../data/uuid.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { gridScene } from '../../board/gridScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { DraftField } from '../../field/DraftField.tsx';
import { typed } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { AngleField } from '../../field/AngleField.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { AffectedPackages, canBeBrought } from './Compared.tsx';
import { useBrought } from './useBrought.ts';
import { DrawnGrids } from './DrawnGrids.tsx';
import { gridDraft, readGrid, readPlace, type DraftFault, type FamilyDraft, type GridDraft } from './gridDraft.ts';

/** Draws a grid, or a new revision of one; what is typed is on the plan before anything is kept. */
export function EditGrid({ grid, onClose }: { grid: Fact<'grid'> | null; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const [draft, setDraft] = useState(() => gridDraft(grid?.body ?? null, units));
  const [source, setSource] = useState(grid?.body.source ?? 'typed');
  const [tried, setTried] = useState(false);
  const change = (next: Partial<GridDraft>) => {
    setDraft({ ...draft, ...next });
    if (!('name' in next)) setSource('typed');
  };
  const read = useMemo(() => readGrid(draft, units), [draft, units]);
  const drawn = useMemo(() => (read.ok ? gridOf(read.value) : null), [read]);
  const lines = drawn?.ok ? drawn.value : null;
  const affected = useMemo(
    () =>
      grid && read.ok
        ? affectedByGrid(state, { ...read.value, grid: grid.body.grid }, grid.id).filter(
            (each) => canBeBrought(each) || each.lost.length > 0,
          )
        : [],
    [state, grid, read],
  );
  const [bring, setBring] = useBrought(affected);
  const alike = alikeName(
    draft.name,
    state.grids.filter((each) => each.body.grid !== grid?.body.grid).map((each) => each.body.name),
  );
  const nameError =
    draft.name.trim() === ''
      ? msg('design.giveTheGridAName')
      : alike === null
        ? null
        : msg('design.thereIsAGridAlreadyTwoNames', { alike });
  const error = (field: DraftFault['field']) =>
    tried && !read.ok && read.error.field === field ? read.error.text : null;
  const whole = drawn && !drawn.ok ? designFaultWords(drawn.error) : null;
  const keep = async (retired: boolean) => {
    setTried(true);
    if (!read.ok || !lines || nameError !== null) return;
    const body: FactBody<'grid'> = {
      grid: grid?.body.grid ?? newId(),
      name: draft.name.trim(),
      ...read.value,
      source,
      retired,
      supersedes: grid?.id ?? null,
    };
    // Whole or not at all: a grid without the packages that hang on it is neither the old design nor the new one.
    const id = sameAsBefore(state, { type: 'grid', body })?.id ?? newId();
    const packages = (retired ? [] : affected).flatMap(({ work, next }): Said[] => {
      if (!bring.has(work.id) || !next.ok) return [];
      const items = next.value.items.map((item) => (item.grid === grid!.id ? { ...item, grid: id } : item));
      return [{ type: 'package', body: { ...next.value, items } }];
    });
    await say({ type: 'grid', body, id }, ...packages);
    onClose();
  };
  const scene = useMemo(
    () => joinScenes(outlineScene(state.packages), lines ? gridScene(lines) : {}, controlScene(state.control, null)),
    [state, lines],
  );
  const first = (family: FamilyDraft, other: string) => family.labels.trim().split(/[\s,;-]/)[0] || other;
  const [a, one] = [first(draft.letters, 'A'), first(draft.numbers, '1')];
  const coordinate = units.axes.map((axis) => (axis === 'e' ? msg('common.east') : msg('common.north')));
  const place = (of: 'origin' | 'second', index: 0 | 1, label: string) => (
    <DraftField
      label={`${coordinate[index]!} ${label}`}
      unit={units.unit}
      draft={draft[of][index]}
      onDraft={(next) => change({ [of]: index === 0 ? [next, draft[of][1]] : [draft[of][0], next] })}
      error={error(of === 'origin' ? 'origin' : 'direction')}
    />
  );
  const family = (of: 'letters' | 'numbers', what: string) => (
    <>
      <Field
        label={msg('design.lines2', { what })}
        value={draft[of].labels}
        onChange={(event) => change({ [of]: { ...draft[of], labels: event.target.value } })}
        error={error(`${of}Labels`)}
      />
      <DraftField
        label={msg('design.spacingsOfTheLines', { what: what.toLowerCase() })}
        unit={units.unit}
        inputMode="text"
        draft={draft[of].spacings}
        placeholder={
          of === 'letters' ? `3 x ${units.edit(7.2)}` : `${units.edit(6)}, ${units.edit(6)}, ${units.edit(7.5)}`
        }
        onDraft={(spacings) => change({ [of]: { ...draft[of], spacings } })}
        error={error(`${of}Spacings`)}
      />
    </>
  );
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
          {draft.by === 'azimuth' ? (
            <AngleField
              label={msg('design.directionOfLineClockwiseFromNorth', { a })}
              value={draft.azimuth.text}
              onChange={(azimuth) => change({ azimuth: typed(azimuth) })}
              error={error('direction')}
            />
          ) : (
            <>
              {place('second', 0, msg('design.ofAPlaceAlong', { a }))}
              {place('second', 1, msg('design.ofAPlaceAlong', { a }))}
            </>
          )}
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

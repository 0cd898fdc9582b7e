import { useMemo, useState } from 'react';
import { planDistance, type ColumnGrid } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { affectedByGrid, alikeName, gridGeometry, gridOf, sameAsBefore } from '@idle-marker/records';
import { designFaultWords } from '@idle-marker/words';
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
        ? affectedByGrid(state, { ...read.value, grid: grid.body.grid }, grid.id).filter((each) => canBeBrought(each) || each.lost.length > 0)
        : [],
    [state, grid, read],
  );
  const [bring, setBring] = useBrought(affected);
  const alike = alikeName(
    draft.name,
    state.grids.filter((each) => each.body.grid !== grid?.body.grid).map((each) => each.body.name),
  );
  const nameError =
    draft.name.trim() === '' ? 'Give the grid a name.' : alike === null ? null : `There is a grid “${alike}” already: two names that look alike get mixed up.`;
  const error = (field: DraftFault['field']) => (tried && !read.ok && read.error.field === field ? read.error.text : null);
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
  const scene = useMemo(() => joinScenes(outlineScene(state.packages), lines ? gridScene(lines) : {}, controlScene(state.control, null)), [state, lines]);
  const first = (family: FamilyDraft, other: string) => family.labels.trim().split(/[\s,;-]/)[0] || other;
  const [a, one] = [first(draft.letters, 'A'), first(draft.numbers, '1')];
  const coordinate = units.axes.map((axis) => (axis === 'e' ? 'East' : 'North'));
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
        label={`${what} lines`}
        value={draft[of].labels}
        onChange={(event) => change({ [of]: { ...draft[of], labels: event.target.value } })}
        error={error(`${of}Labels`)}
      />
      <DraftField
        label={`Spacings of the ${what.toLowerCase()} lines`}
        unit={units.unit}
        inputMode="text"
        draft={draft[of].spacings}
        placeholder={of === 'letters' ? `3 x ${units.edit(7.2)}` : `${units.edit(6)}, ${units.edit(6)}, ${units.edit(7.5)}`}
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
      title={grid ? `Grid ${grid.body.name}: new revision` : 'New grid'}
      foot={
        <>
          <span className="mr-auto text-ink2">
            {lines ? `${lines.letters.length} by ${lines.numbers.length} lines, ${lines.letters.length * lines.numbers.length} crossings` : 'Not drawn yet'}
          </span>
          {grid && <Button onClick={() => void keep(true)}>Take off the plan</Button>}
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" onClick={() => void keep(false)}>
            {grid ? 'Keep as new revision' : 'Keep the grid'}
          </Button>
        </>
      }
    >
      <DrawnGrids
        onTake={(found, file) => {
          setDraft({ ...gridDraft({ ...gridGeometry(found.definition), name: draft.name.trim() || found.layer }, units) });
          setSource(file);
        }}
      />
      <div className="mt-3 grid gap-4 md:grid-cols-2">
        <div className="grid content-start gap-3 sm:grid-cols-2">
          <Field
            label="Name"
            value={draft.name}
            maxLength={80}
            onChange={(event) => change({ name: event.target.value })}
            error={tried ? nameError : null}
            autoFocus
          />
          <Choice
            label="Spacings are measured"
            value={draft.spacingMeasured}
            options={[
              ['perpendicular', 'square to the lines'],
              ['alongCrossing', 'along the crossing lines'],
            ]}
            onChange={(spacingMeasured) => change({ spacingMeasured })}
          />
          {family('letters', 'Lettered')}
          {family('numbers', 'Numbered')}
          {place('origin', 0, `where ${a} meets ${one}`)}
          {place('origin', 1, `where ${a} meets ${one}`)}
          <Choice
            label={`Line ${a} is given by`}
            value={draft.by}
            options={[
              ['secondPlace', 'a second place on it'],
              ['azimuth', 'its direction'],
            ]}
            onChange={(by) => change({ by })}
          />
          <AngleField
            label={`From line ${a} clockwise to line ${one}`}
            value={draft.turn.text}
            onChange={(turn) => change({ turn: typed(turn) })}
            error={error('turn')}
            help={`Square is ${units.angle(Math.PI / 2)}; ${units.angle((3 * Math.PI) / 2)} when they run the other way.`}
          />
          {draft.by === 'azimuth' ? (
            <AngleField
              label={`Direction of line ${a}, clockwise from north`}
              value={draft.azimuth.text}
              onChange={(azimuth) => change({ azimuth: typed(azimuth) })}
              error={error('direction')}
            />
          ) : (
            <>
              {place('second', 0, `of a place along ${a}`)}
              {place('second', 1, `of a place along ${a}`)}
            </>
          )}
        </div>
        <div className="flex min-h-[280px] flex-col">
          <div className="relative min-h-[260px] flex-1 border border-ink2">
            <Board
              scene={scene}
              description={lines ? `Plan with grid ${draft.name}` : 'Plan; the grid is not complete yet'}
              {...(lines ? { fitTo: [...lines.letters, ...lines.numbers].flatMap(({ from, to }) => [from, to]) } : {})}
              fitKey={lines ? JSON.stringify(read) : 'none'}
            />
          </div>
          {lines && <SecondPlaceCheck draft={draft} lines={lines} />}
        </div>
      </div>
      {affected.length > 0 && (
        <section className="mt-4 border-t border-rule pt-3" aria-label="What the changed grid moves">
          <h3 className="text-[17px]">Packages that were taken from it</h3>
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
        ? `The second place is ${units.length(near.off)} ${units.unit} from where ${a!.label} meets ${near.label} by the spacings. Which of them is right?`
        : `Spacings and coordinates agree where ${a!.label} meets ${near.label}.`}
    </p>
  );
}

import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { affectedByGrid, alikeName, controlCorner, gridOf, sameAsBefore } from '@idle-marker/records';
import { msg, designFaultWords } from '@idle-marker/words';
import type { Said } from '../../data/ledger.ts';
import { newId } from '../../data/uuid.ts';
import { gridScene } from '../../board/gridScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft, typed, type Draft } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Choice, Field } from '../../ui/Field.tsx';
import { canBeBrought } from './Compared.tsx';
import { useBrought } from './useBrought.ts';
import { gridDraft, readGrid, type DraftFault, type FamilyDraft, type GridDraft } from './gridDraft.ts';

/** What EditGrid shows, and what its buttons do. */
export function useEditGrid({
  grid,
  onClose,
}: Pick<{ grid: Fact<'grid'> | null; onClose(): void }, 'grid' | 'onClose'>) {
  const { state, say } = useSite();
  const units = useUnits();
  const control = useMemo(() => state.control.flatMap(controlCorner), [state.control]);
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
  /** A control mark whose place it is, instead of figures that are typed. */
  const fromControl = (of: 'origin' | 'second', label: string) =>
    control.length === 0 ? null : (
      <Choice
        label={label}
        value={
          control.find((mark) => units.axes.every((axis, i) => (draft[of][i] as Draft<number>).exact === mark[axis]))
            ?.name ?? ''
        }
        options={[['', msg('design.typedCoordinates')], ...control.map(({ name }) => [name, name] as const)]}
        onChange={(name) => {
          const mark = control.find((each) => each.name === name);
          change({
            [of]: units.axes.map((axis) => (mark ? lengthDraft(mark[axis], units) : typed(''))),
          });
        }}
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
          of === 'letters'
            ? `3 x ${units.edit(units.round(7.2, 24))}`
            : [units.round(6, 20), units.round(6, 20), units.round(7.5, 25)].map(units.edit).join(', ')
        }
        onDraft={(spacings) => change({ [of]: { ...draft[of], spacings } })}
        error={error(`${of}Spacings`)}
      />
    </>
  );
  return {
    units,
    fromControl,
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
    family,
  };
}

import { useMemo, useState } from 'react';
import { polar, type Metres } from '@idle-marker/core';
import { columnsAlong, gridOf, type ColumnRow, classOf, usualClass } from '@idle-marker/records';
import { type faceEdgeWords } from '@idle-marker/words';
import { gridScene } from '../../board/gridScene.ts';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { lengthDraft, lengthOf, type Draft } from '../../field/draft.ts';
import { useUnits, type Units } from '../../field/useUnits.ts';
import { useIsCarried } from '../../pole/view/hand.ts';
import { useKey } from '../../ui/useKey.ts';
import { useMeasuring, type Shots } from '../../pole/useMeasuring.ts';

/** A prism that nobody has listed: its constant is 0. */
export const NO_PRISM = 'none';

export type Edge = keyof ReturnType<typeof faceEdgeWords>;

type Level = 'low' | 'high';

/** What is shot at a column, in this order; the upper ones tell whether it leans, and may be left. */
const SEQUENCE: readonly (readonly [Edge, Level])[] = [
  ['first', 'low'],
  ['second', 'low'],
  ['first', 'high'],
  ['second', 'high'],
];

/** A small prism's centre stands about this far before the face that it is held against. */
/** From the face to the prism, metres and feet. */
const USUAL_TARGET = [0.015, 0.05] as const;

/** Of a column nobody has taped yet, to stand the simulated pole near it. */
const USUAL_WIDTH: Metres = 0.3;

const HIGH: Metres = 2.5;

/** Widths that are in the fields now: they count while they are typed. */
function typedWidths(
  widths: Readonly<Record<string, Draft<Metres>>>,
  units: Units,
): ReadonlyMap<string, Metres | null> {
  return new Map(
    Object.entries(widths).flatMap(([name, draft]): [string, Metres | null][] => {
      const width = lengthOf(draft, units);
      return width === null && draft.text.trim() !== '' ? [] : [[name, width]];
    }),
  );
}

const hasShot = (row: ColumnRow, edge: Edge, level: Level): boolean =>
  row.face?.sides.some((each) => each.edge === edge && each.level === level) ?? false;

export const isDone = (row: ColumnRow): boolean =>
  row.face !== null && row.face.twist !== null && row.face.centreOffset !== null;

/** What ColumnsPlace shows, and what its buttons do. */
export function useColumnsPlace() {
  const { state, inForce, say } = useSite();
  const units = useUnits();
  const isCarried = useIsCarried();
  const underlay = useUnderlay();
  const grids = state.grids.flatMap((fact) => {
    const grid = gridOf(fact.body);
    return grid.ok ? [{ fact, grid: grid.value }] : [];
  });
  const [gridId, setGrid] = useRemembered('columns grid', grids[0]?.fact.body.grid ?? '');
  const chosenGrid = grids.find(({ fact }) => fact.body.grid === gridId) ?? grids[0] ?? null;
  const labels = chosenGrid ? [...chosenGrid.grid.letters, ...chosenGrid.grid.numbers].map(({ label }) => label) : [];
  const [label, setLabel] = useRemembered('columns line', labels[0] ?? '');
  const line = labels.includes(label) ? label : (labels[0] ?? '');
  const [widths, setWidths] = useState<Readonly<Record<string, Draft<Metres>>>>({});
  const taped = useMemo(() => typedWidths(widths, units), [widths, units]);
  const rows = useMemo(
    () => (chosenGrid ? (columnsAlong(state, chosenGrid.fact, line, taped) ?? []) : []),
    [state, chosenGrid, line, taped],
  );
  const [crossing, setCrossing] = useRemembered<string | null>('column', null);
  const row =
    rows.find((each) => each.crossing.label === crossing) ?? rows.find((each) => !isDone(each)) ?? rows[0] ?? null;
  const [side, setSide] = useRemembered<'right' | 'left'>('columns side', 'right');
  const [target, setTarget] = useRemembered<Draft<Metres>>(
    'columns target offset',
    lengthDraft(units.round(...USUAL_TARGET), units),
  );
  const [classId, setClass] = useState(usualClass(state, 'steel').id);
  const [use, setUse] = useState('');
  const [shots, setShots] = useRemembered<Shots>('columns shots', '3');
  const [withLean, setWithLean] = useRemembered<'no' | 'yes'>('columns lean', 'no');
  const prisms = state.equipment.flatMap(({ body: { item, what } }) =>
    what.kind === 'target' ? [{ item, name: what.name, constantMm: what.constantMm, ownHeight: 0 }] : [],
  );
  const [prismItem, setPrism] = useRemembered('columns prism', prisms[0]?.item ?? NO_PRISM);
  // What is held against a face has a constant and no height, whatever the pole is set to.
  const facePrism = prisms.find(({ item }) => item === prismItem) ?? null;
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const busy = shooting.doing !== null;
  const tolerance = classOf(state, classId).plan;
  const widthDraft = (row && widths[row.name]) ?? lengthDraft(row?.width, units);
  const width = lengthOf(widthDraft, units);
  const isWidthGood = width !== null || widthDraft.text.trim() === '';
  const targetOffset = lengthOf(target, units);
  const due = row
    ? SEQUENCE.find(([edge, level]) => (level === 'low' || withLean === 'yes') && !hasShot(row, edge, level))
    : undefined;
  const take = async (edge: Edge, level: Level) => {
    if (!row || !chosenGrid || targetOffset === null || !inForce) return;
    const name = `${row.name} ${edge} ${level}`;
    const half = (width ?? USUAL_WIDTH) / 2;
    const out = (side === 'right' ? 1 : -1) * (half + targetOffset);
    const along = row.crossingAlong + (edge === 'first' ? -half : edge === 'second' ? half : 0);
    const base = polar(row.line.from, row.line.azimuth, along);
    const at = polar(base, row.line.azimuth + Math.PI / 2, out);
    await measuring.take({
      name,
      code: 'column face',
      against: {
        kind: 'face',
        grid: chosenGrid.fact.body.grid,
        line: row.line.label,
        crossing: row.crossing.label,
        edge,
        level,
        targetOffset,
        width,
      },
      supersedes: null,
      shots,
      onFace: facePrism,
      note: use.trim(),
      onto: { name, hub: { e: at.e, n: at.n, z: null, above: level === 'high' ? HIGH : 0 } },
    });
    setCrossing(row.crossing.label);
  };
  /** Shots of this column that were kept with another width, or another target: the same sights, with what is right. */
  const reckonAnew = async (change: { readonly width: Metres | null } | { readonly targetOffset: Metres }) => {
    for (const { id, body } of row?.shots ?? []) {
      const { against } = body;
      if (
        against?.kind !== 'face' ||
        Object.entries(change).every(([field, value]) => against[field as keyof typeof change] === value)
      )
        continue;
      await say({ type: 'asBuilt', body: { ...body, against: { ...against, ...change }, supersedes: id } });
    }
  };
  const otherTarget =
    targetOffset !== null &&
    row?.shots.some(({ body }) => body.against?.kind === 'face' && body.against.targetOffset !== targetOffset);
  const next = () => {
    const at = rows.findIndex((each) => each === row);
    const following =
      [...rows.slice(at + 1), ...rows.slice(0, at)].find((each) => !isDone(each)) ?? rows[(at + 1) % rows.length];
    if (following) setCrossing(following.crossing.label);
  };
  const act = () => (due ? void take(...due) : next());
  useKey(' ', isCarried || busy || !row ? null : act);
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), chosenGrid ? gridScene(chosenGrid.grid) : {}, {
        lines: row ? [{ points: [row.line.from, row.line.to], ink: 'spruce', width: 3 }] : [],
        symbols: rows.map((each): SceneSymbol => ({
          id: each.crossing.label,
          at: polar(each.line.from, each.line.azimuth, each.crossingAlong),
          symbol: each.shots.length > 0 ? 'set' : 'toSet',
          label: each.name,
          ink: each.shots.length > 0 ? 'ink' : 'pencil',
          chosen: each === row,
        })),
        instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
      }),
    [state.packages, chosenGrid, rows, row, inForce],
  );
  return {
    isCarried,
    prisms,
    prismItem: facePrism?.item ?? NO_PRISM,
    setPrism,
    state,
    inForce,
    units,
    underlay,
    grids,
    gridId,
    setGrid,
    chosenGrid,
    labels,
    setLabel,
    line,
    widths,
    setWidths,
    rows,
    setCrossing,
    row,
    side,
    setSide,
    target,
    setTarget,
    classId,
    setClass,
    use,
    setUse,
    shots,
    setShots,
    withLean,
    setWithLean,
    measuring,
    shooting,
    busy,
    tolerance,
    widthDraft,
    isWidthGood,
    width,
    targetOffset,
    due,
    take,
    reckonAnew,
    otherTarget,
    next,
    act,
    scene,
  };
}

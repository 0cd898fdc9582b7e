import { useEffect, useMemo, useState } from 'react';
import {
  extentOf,
  farOff,
  feetApart,
  fitSimilarity,
  RADIANS_PER_DEGREE,
  type Metres,
  type SimilarityFit,
  type PlanPoint,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  affectedPackages,
  alikeName,
  heightsToAsk,
  packagesFrom,
  type AffectedPackage,
  type HeightOf,
  type SiteState,
} from '@idle-marker/records';
import { METRES_PER_FILE_UNIT, type ReadAlignment, type ComparedDrawings } from '@idle-marker/formats';
import { drawingUnitWords, farOffWords, feetApartWords, fileUnitWords, msg } from '@idle-marker/words';
import { askDrawing } from '../../drawings/drawings.ts';
import { tilesOf } from '../../drawings/tiles.ts';
import { similarityOf, useDrawings } from '../../drawings/useDrawings.ts';
import { listSaidOf, nameFor, useTakeFile, type ReadFile, type FileSaid } from '../../drawings/useTakeFile.ts';
import { roadScene } from '../../board/roadScene.ts';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import type { Underlay } from '../../board/underlay.ts';
import type { Said } from '../../data/ledger.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { roadBodies, useTakenRoads } from './TakenRoads.tsx';
import { pairName, readPairs, targetOf, type PairDraft } from './pairDraft.ts';
import { useBrought } from './useBrought.ts';

export interface DrawingDialogProps {
  /** The drawing that is replaced or changed; null for a new one. */
  readonly drawing: Fact<'drawing'> | null;
  /** Only its layers, name and use are changed; the file stays. */
  readonly sameFile: boolean;
  /** Dropped on the page. */
  readonly file?: File | null | undefined;
  onClose(): void;
  /** A new drawing was taken in; `key`: under which it is open. */
  readonly onTaken?: ((drawing: Fact<'drawing'>, key: string) => void) | undefined;
  /** A file that is a drawing of the site already is taken as that. */
  readonly takesKnown?: boolean | undefined;
}

const MOVED_SHOWN = 200;
/** Layers with more points are not painted point by point. */
const MOST_POINTS_SHOWN = 2000;

/** A point of the drawing on the plan. */
interface DrawnSymbol {
  readonly layer: string;
  readonly at: PlanPoint;
  readonly label: string;
}

const tenthMm = (metres: Metres): number => Math.round(metres * 1e4) / 10;

const NO_HEIGHTS: ReadonlyMap<string, Metres | null> = new Map();

const NO_ROADS: readonly ReadAlignment[] = [];

const NO_NAMES: ReadonlySet<string> = new Set();

const heightKey = (surface: string, { e, n }: { readonly e: number; readonly n: number }): string =>
  `${surface}\n${e} ${n}`;

/** Packages of the older revision, with their corners where the comparison found them. */
function affectedBy(
  state: SiteState,
  drawing: Fact<'drawing'>,
  compared: ComparedDrawings,
  heightOf?: HeightOf,
  missing?: ReadonlySet<string>,
): AffectedPackage[] {
  const corners = packagesFrom(state, drawing.body.drawing).flatMap((work) =>
    work.body.items.flatMap((item) => item.corners),
  );
  const places = new Map(corners.map((corner, i) => [`${corner.e} ${corner.n}`, compared.places[i] ?? null]));
  return affectedPackages(
    state,
    drawing.body.drawing,
    drawing.id,
    ({ e, n }) => places.get(`${e} ${n}`) ?? null,
    heightOf,
    missing,
  );
}

const cornersOf = ([w, s, e, n]: readonly [number, number, number, number]): PlanPoint[] => [
  { e: w, n: s },
  { e, n },
];

/** What DrawingDialog shows, and what its buttons do. */
export function useDrawingDialog({
  drawing,
  sameFile,
  file,
  onClose,
  onTaken,
  takesKnown = false,
}: DrawingDialogProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const take = useTakeFile();
  const [read, setRead] = useState<ReadFile | null>(null);
  const [unitSaid, setUnitSaid] = useState(false);
  const [name, setName] = useState(drawing?.body.name ?? '');
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set(drawing?.body.hidden ?? []));
  const [ownPlace, setOwnPlace] = useState(drawing ? drawing.body.placing !== null : false);
  const [pairs, setPairs] = useState<readonly PairDraft[]>([]);
  const [heldScale, setHeldScale] = useState(true);
  const [tiles, setTiles] = useState<Underlay[]>([]);
  const [points, setPoints] = useState<readonly DrawnSymbol[]>([]);
  const [compared, setCompared] = useState<ComparedDrawings | null>(null);
  /** Heights of the newer drawing's surfaces where packages need them, by surface and place. */
  const [heights, setHeights] = useState<ReadonlyMap<string, Metres | null>>(NO_HEIGHTS);
  /** Surfaces that packages use and the newer drawing lacks. */
  const [missing, setMissing] = useState<ReadonlySet<string>>(NO_NAMES);
  const [tried, setTried] = useState(false);
  const others = state.drawings
    .filter((each) => each.body.drawing !== drawing?.body.drawing)
    .map((each) => each.body.name);
  const readable = readPairs(pairs, units);
  const fit = useMemo((): SimilarityFit | null => {
    if (readable.length < 2) return null;
    const found = fitSimilarity(readable, heldScale ? 1 : null);
    return found.ok ? found.value : null;
  }, [readable, heldScale]);
  const before = drawing ? similarityOf(drawing.body.placing) : null;
  const similarity = useMemo(() => (ownPlace ? (fit ?? before) : null), [ownPlace, fit, before]);
  const needsUnit = read !== null && read.summary.unitFromFile === null && !unitSaid;
  const usedUnit = read && !needsUnit ? read.summary.unit : null;

  const doubt = useMemo(() => {
    if (!read || !usedUnit || ownPlace) return null;
    const { list } = read.summary;
    // A list comes in metres, whatever it was written in.
    const unitMetres = list ? METRES_PER_FILE_UNIT[list.unit] : usedUnit.metres;
    const along = read.summary.alignments.flatMap(({ definition }) =>
      definition.elements.flatMap(({ start, end }) => [start, end]),
    );
    const control = state.control.flatMap(
      ({
        revision: {
          body: { e, n },
        },
      }) => (e === null || n === null ? [] : [{ e, n }]),
    );
    const [site, extent] = [
      extentOf(control),
      extentOf([...along, ...(read.summary.extent ? cornersOf(read.summary.extent) : [])]),
    ];
    const off = site && extent && farOff(site, extent, unitMetres);
    if (off)
      return farOffWords(off, units.lengthUnit) + (off.code === 'FAR' ? ` ${msg('drawing.bringItByPairs')}` : '');
    // Who chose the unit has been asked.
    const isSaid = read.said.unit !== null || Boolean(read.said.list.unit);
    const apart = isSaid ? null : extent && feetApart(units.lengthUnit, extent, unitMetres);
    return apart === null
      ? null
      : feetApartWords(apart, units.lengthUnit, list ? fileUnitWords()[list.unit] : drawingUnitWords(usedUnit.name));
  }, [read, usedUnit, ownPlace, state, units.lengthUnit]);

  const choose = async (chosen: File | undefined) => {
    setRead(null);
    setPoints([]);
    setCompared(null);
    setUnitSaid(false);
    if (!chosen) return;
    // The same list is read as it was said to be; of another one nobody said anything yet.
    const same = drawing?.body.format === 'csv' && drawing.body.bytes === chosen.size ? drawing.body : null;
    // A revision is most likely drawn as the one before it was.
    let found = await take.read(chosen, drawing?.body.unit ?? null, same ? listSaidOf(same) : {});
    if (found && same && found.digest !== same.digest)
      found = await take.place(found, { ...found.said, list: {} }, null);
    if (!found) return;
    const known = takesKnown ? state.drawings.find(({ body }) => body.digest === found.digest) : undefined;
    if (known && onTaken) {
      onTaken(known, known.id);
      return;
    }
    if (drawing && found.summary.unitFromFile === null) setUnitSaid(true);
    setRead(found);
    if (name === '') setName(nameFor(chosen.name, others));
  };
  useEffect(() => {
    if (file) void choose(file);
    // Once, for the file that was dropped.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [file]);

  /** In another unit than the file states or than was said before; a list in another way. */
  const sayFile = async (said: FileSaid) => {
    const from = read ?? take.unread;
    if (!from) return;
    const again = await take.place(from, said, null);
    setRead(again);
    if (!again) return;
    if (said.unit !== null) setUnitSaid(true);
    if (name === '') setName(nameFor(again.fileName, others));
  };

  // The drawing as it would lie, and what it changes: read anew whenever its place changes.
  const older = useDrawings().find(({ fact }) => fact.id === drawing?.id)?.state ?? null;
  const placed = JSON.stringify([read?.digest, usedUnit?.name, read?.said.list, similarity]);
  useEffect(() => {
    if (!read || !usedUnit) return;
    let gone = false;
    const show = async () => {
      // The usual unit of a revision was nobody's word for this file, but it is what it is taken in.
      const said = {
        unit: read.summary.unitFromFile === null ? usedUnit : read.said.unit,
        list: read.said.list,
      };
      const again = await take.place(read, said, similarity);
      if (!again) return;
      const found = await tilesOf((await askDrawing('lines', { key: again.key })) ?? []);
      const shown: DrawnSymbol[] = [];
      for (const { name: layer, elements } of again.summary.pointLayers) {
        if (shown.length + elements > MOST_POINTS_SHOWN) continue;
        const points = await askDrawing('points', { key: again.key, layer });
        for (const { name: label, e, n } of points ?? []) shown.push({ layer, at: { e, n }, label });
      }
      if (gone) return;
      setTiles([{ tiles: found, extent: again.summary.extent, ink: 'spruce' }]);
      setPoints(shown);
      // What is compared with has to be read itself first; until it is, the comparison waits.
      if (!drawing || older?.status !== 'open') return;
      const corners = packagesFrom(state, drawing.body.drawing).flatMap((work) =>
        work.body.items.flatMap((item) => item.corners),
      );
      const changes = await askDrawing('compare', { key: drawing.id, after: again.key, corners, most: MOVED_SHOWN });
      if (gone || !changes) return;
      const toAsk = heightsToAsk(state, drawing.body.drawing, affectedBy(state, drawing, changes));
      const asked: [string, Metres | null][] = [];
      const lacking = new Set<string>();
      for (const [surface, places] of toAsk) {
        const answer = await askDrawing('heights', { key: again.key, surface, places });
        if (answer) places.forEach((place, i) => asked.push([heightKey(surface, place), answer[i] ?? null]));
        else lacking.add(surface);
      }
      if (gone) return;
      setHeights(new Map(asked));
      setMissing(lacking);
      setCompared(changes);
    };
    void show();
    return () => {
      gone = true;
    };
    // oxlint-disable-next-line react/exhaustive-deps
  }, [placed, older?.status]);

  const affected = useMemo((): AffectedPackage[] => {
    if (!drawing || !compared) return [];
    return affectedBy(state, drawing, compared, (surface, place) => heights.get(heightKey(surface, place)), missing);
  }, [state, drawing, compared, heights, missing]);
  const [bring, setBring] = useBrought(affected);

  const roads = useTakenRoads(read?.summary.alignments ?? NO_ROADS, drawing);
  const alike = alikeName(name, others);
  const nameError =
    name.trim() === ''
      ? msg('design.giveTheDrawingAName')
      : alike === null
        ? null
        : msg('design.thereIsADrawingAlready', { alike });
  const placing = (): FactBody<'drawing'>['placing'] =>
    !ownPlace || !similarity
      ? null
      : fit
        ? {
            scale: fit.scale,
            rotationDeg: fit.rotation / RADIANS_PER_DEGREE,
            shiftE: fit.shift.e,
            shiftN: fit.shift.n,
            pairs: readable.length,
            misfitMm: tenthMm(fit.maxResidual),
            misfits: pairs
              .filter((pair) => targetOf(pair, units) !== null)
              .map((pair, i) => ({
                name: pairName(pair, i),
                dEMm: tenthMm(fit.residuals[i]!.e),
                dNMm: tenthMm(fit.residuals[i]!.n),
              })),
          }
        : drawing!.body.placing;
  const isReady = !roads.every(({ fault }) => fault === null)
    ? false
    : sameFile
      ? drawing !== null
      : read !== null && !needsUnit && (!ownPlace || similarity !== null);
  const keep = async () => {
    setTried(true);
    if (!isReady || nameError !== null) return;
    if (sameFile) {
      await say({
        type: 'drawing',
        body: { ...drawing!.body, name: name.trim(), hidden: [...hidden], supersedes: drawing!.id },
      });
      onClose();
      return;
    }
    const kept = take.keep(read!, { name: name.trim(), placing: placing(), hidden: [...hidden], replaces: drawing });
    const packages = affected.flatMap(({ work, next }): Said[] => {
      if (!bring.has(work.id) || !next.ok) return [];
      const items = next.value.items.map((item) => ({
        ...item,
        ...(item.drawing === drawing!.id ? { drawing: kept.id } : {}),
        ...(item.surface?.drawing === drawing!.id
          ? { surface: { name: item.surface.name, heights: item.surface.heights, drawing: kept.id } }
          : {}),
      }));
      return [{ type: 'package', body: { ...next.value, items } }];
    });
    // Whole or not at all: a drawing without the roads and packages that hang on it is neither the old design nor the
    // new one.
    const [said] = await say(
      kept,
      ...roadBodies(roads, units, kept).map((body): Said => ({ type: 'alignment', body })),
      ...packages,
    );
    if (drawing === null && onTaken) onTaken(said as Fact<'drawing'>, read!.key);
    else onClose();
  };
  const retire = async () => {
    await say({ type: 'drawing', body: { ...drawing!.body, retired: true, supersedes: drawing!.id } });
    onClose();
  };
  const layers = read?.summary.layers ?? [];
  const style = useStationStyle();
  const scene = useMemo(
    () =>
      joinScenes(
        outlineScene(state.packages),
        controlScene(state.control, null),
        ...roads.flatMap(({ road, taken }) => (road && taken ? [roadScene(road, style, 'other')] : [])),
        {
          symbols: points.flatMap(({ layer, at, label }, i): SceneSymbol[] =>
            hidden.has(layer) ? [] : [{ id: `point ${i}`, at, label, symbol: 'toSet', ink: 'spruce', pickable: false }],
          ),
        },
      ),
    [state, roads, style, points, hidden],
  );
  const fitTo = [
    ...tiles.flatMap(({ extent }) =>
      extent
        ? [
            { e: extent[0], n: extent[1] },
            { e: extent[2], n: extent[3] },
          ]
        : [],
    ),
    ...roads.flatMap(({ road, taken }) =>
      road && taken ? road.alignment.elements.flatMap(({ start, end }) => [start, end]) : [],
    ),
  ];
  return {
    units,
    take,
    read,
    sayFile,
    name,
    setName,
    hidden,
    setHidden,
    ownPlace,
    setOwnPlace,
    pairs,
    setPairs,
    heldScale,
    setHeldScale,
    tiles,
    compared,
    tried,
    fit,
    before,
    needsUnit,
    usedUnit,
    doubt,
    choose,
    older,
    placed,
    affected,
    bring,
    setBring,
    roads,
    nameError,
    isReady,
    keep,
    retire,
    layers,
    scene,
    fitTo,
  };
}

export type DrawingDialogModel = ReturnType<typeof useDrawingDialog>;

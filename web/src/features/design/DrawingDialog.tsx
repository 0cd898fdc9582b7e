import { useEffect, useMemo, useState } from 'react';
import {
  extentOf,
  farOff,
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
import type { ReadAlignment, ComparedDrawings } from '@idle-marker/formats';
import { msg, farOffWords, crossingWords, landXmlWarningWords, leftOutWords } from '@idle-marker/words';
import { askDrawing } from '../../drawings/drawings.ts';

import { tilesOf } from '../../drawings/tiles.ts';
import { similarityOf, useDrawings } from '../../drawings/useDrawings.ts';
import { nameFor, useTakeFile, type ReadFile } from '../../drawings/useTakeFile.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { roadScene } from '../../board/roadScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import type { Underlay } from '../../board/underlay.ts';
import type { Said } from '../../data/ledger.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field, Tick } from '../../ui/Field.tsx';
import { AskUnit, ChooseFile, ReadingFile } from './FileInput.tsx';
import { Compared } from './Compared.tsx';
import { PlacePairs } from './PlacePairs.tsx';
import { TakenRoads, roadBodies, useTakenRoads } from './TakenRoads.tsx';
import { pairName, readPairs, targetOf, type PairDraft } from './pairDraft.ts';
import { useBrought } from './useBrought.ts';
import { useLayers } from './useLayers.ts';

interface DrawingDialogProps {
  /** The drawing that is replaced or changed; null for a new one. */
  readonly drawing: Fact<'drawing'> | null;
  /** Only its layers, name and use are changed; the file stays. */
  readonly sameFile: boolean;
  /** Dropped on the page. */
  readonly file?: File | null;
  onClose(): void;
  /** A new drawing was taken in. */
  onTaken?(name: string): void;
}

const MOVED_SHOWN = 200;
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

/** Takes a drawing, or a newer revision of one: unit, place, layers, and what it changes, before anything is kept. */
export function DrawingDialog({ drawing, sameFile, file, onClose, onTaken }: DrawingDialogProps) {
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
    return site && extent && farOff(site, extent, usedUnit.metres);
  }, [read, usedUnit, ownPlace, state]);

  const choose = async (chosen: File | undefined) => {
    setRead(null);
    setCompared(null);
    setUnitSaid(false);
    if (!chosen) return;
    // A revision is most likely drawn as the one before it was.
    const found = await take.read(chosen, drawing?.body.unit ?? null, null);
    if (!found) return;
    if (drawing && found.summary.unitFromFile === null) setUnitSaid(true);
    setRead(found);
    if (name === '') setName(nameFor(chosen.name, others));
  };
  useEffect(() => {
    if (file) void choose(file);
    // Once, for the file that was dropped.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [file]);

  // The drawing as it would lie, and what it changes: read anew whenever its place changes.
  const older = useDrawings().find(({ fact }) => fact.id === drawing?.id)?.state ?? null;
  const placed = JSON.stringify([read?.digest, usedUnit?.name, similarity]);
  useEffect(() => {
    if (!read || !usedUnit) return;
    let gone = false;
    const show = async () => {
      const again = await take.place(read, usedUnit, similarity);
      const found = await tilesOf((await askDrawing('lines', { key: again.key })) ?? []);
      if (gone) return;
      setTiles([{ tiles: found, extent: again.summary.extent, ink: 'spruce' }]);
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
    await say(kept, ...roadBodies(roads, kept).map((body): Said => ({ type: 'alignment', body })), ...packages);
    if (drawing === null && onTaken) onTaken(name.trim());
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
      ),
    [state, roads, style],
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
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={
        drawing
          ? sameFile
            ? msg('design.drawing', { name: drawing.body.name })
            : msg('design.aNewer', { name: drawing.body.name })
          : msg('design.takeADrawing2')
      }
      foot={
        <>
          {drawing && sameFile && <Button onClick={() => void retire()}>{msg('design.noLongerUsed')}</Button>}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={!isReady} onClick={() => void keep()}>
            {drawing ? msg('common.keepAsNewRevision') : msg('common.takeIt')}
          </Button>
        </>
      }
    >
      {!sameFile && (
        <ChooseFile label={msg('design.aDxfDrawingLandxmlGeojsonOrA')} onFile={(chosen) => void choose(chosen)} />
      )}
      <ReadingFile take={take} />
      {needsUnit && (
        <AskUnit
          read={read}
          onUnit={(unit) =>
            void take.place(read, unit, null).then((again) => {
              setRead(again);
              setUnitSaid(true);
            })
          }
        />
      )}
      {(sameFile || (read && !needsUnit)) && (
        <div className="mt-3 grid gap-4 md:grid-cols-2">
          <div>
            <Field
              label={msg('common.name')}
              value={name}
              maxLength={80}
              onChange={(event) => setName(event.target.value)}
              error={tried || sameFile ? nameError : null}
            />
            {read && (read.summary.elements > 0 || read.summary.leftOut.length > 0) && (
              <p className="mt-2 text-[14px]">
                {msg('design.elementsOnIn', {
                  elements: read.summary.elements,
                  layers: layers.length,
                  name: read.summary.unit.name,
                  value: read.summary.unitFromFile === null && msg('design.asSaidHere'),
                  length:
                    read.summary.extent &&
                    msg('design.by3', {
                      length: units.length(read.summary.extent[2] - read.summary.extent[0], 1),
                      length2: units.length(read.summary.extent[3] - read.summary.extent[1], 1),
                      unit: units.unit,
                    }),
                })}
                {read.summary.leftOut.length > 0 && (
                  <span className="text-ochre">
                    {' '}
                    {msg('design.notTaken2', { leftOut: leftOutWords(read.summary.leftOut) })}
                  </span>
                )}
              </p>
            )}
            {read && read.summary.warnings.length > 0 && (
              <ul
                className="mt-2 max-h-40 list-disc overflow-auto pl-5 text-[14px] font-medium text-ochre"
                tabIndex={0}
                aria-label={msg('design.toBeAskedAbout')}
              >
                {read.summary.warnings.map((warning, i) => (
                  <li key={i}>{landXmlWarningWords(warning)}</li>
                ))}
              </ul>
            )}
            {doubt && <p className="mt-2 text-[14px] font-medium text-ochre">{farOffWords(doubt, units.lengthUnit)}</p>}
            {read?.summary.surfaces.map(
              ({ name: surface, crossing }) =>
                crossing && (
                  <p key={surface} className="mt-2 text-[14px] font-medium text-ochre">
                    {crossingWords(surface, crossing, units.axes, units.lengthUnit)}
                  </p>
                ),
            )}
            <TakenRoads roads={roads} />
            {!sameFile && (
              <>
                <Tick label={msg('design.itHasCoordinatesOfItsOwnBring')} checked={ownPlace} onChange={setOwnPlace} />
                {ownPlace && read && (
                  <PlacePairs
                    read={read}
                    pairs={pairs}
                    onPairs={setPairs}
                    fit={fit}
                    heldScale={heldScale}
                    onHeldScale={setHeldScale}
                  />
                )}
                {ownPlace && !fit && before && (
                  <p className="text-[13px] text-ink2">{msg('design.untilPairsAreGivenItIsPlaced')}</p>
                )}
              </>
            )}
            <Layers
              layers={sameFile ? [] : layers}
              drawing={sameFile ? drawing : null}
              hidden={hidden}
              onHidden={setHidden}
            />
          </div>
          {!sameFile && (
            <div className="relative min-h-[260px] border border-ink2 max-md:h-[300px]">
              <Board
                scene={scene}
                underlay={tiles.map((each) => ({
                  ...each,
                  tiles: each.tiles.filter(({ layer }) => !hidden.has(layer)),
                }))}
                description={msg('design.theDrawingAsItWouldLieOn')}
                fitTo={fitTo}
                fitKey={`${placed} ${tiles.length}`}
              />
            </div>
          )}
        </div>
      )}
      {drawing && read && usedUnit && !compared && (
        <p className="mt-4 border-t border-rule pt-3 text-[14px]" aria-live="polite">
          {older?.status === 'failed' ? (
            <span className="font-medium text-ochre">
              {msg('design.whatTheNewerOneChangesCantBe', { trouble: older.trouble })}
            </span>
          ) : (
            msg('design.comparingWithTheOneBeforeIt')
          )}
        </p>
      )}
      {compared && <Compared compared={compared} affected={affected} bring={bring} onBring={setBring} />}
    </Dialog>
  );
}

interface LayersProps {
  readonly layers: readonly { readonly name: string; readonly elements: number }[];
  /** Its layers are asked for when they are not given. */
  readonly drawing: Fact<'drawing'> | null;
  readonly hidden: ReadonlySet<string>;
  onHidden(next: ReadonlySet<string>): void;
}

/** Layers, listed and switched. */
function Layers({ layers, drawing, hidden, onHidden }: LayersProps) {
  const found = useLayers(drawing);
  const listed = layers.length > 0 ? layers : found;
  if (listed.length === 0) return null;
  return (
    <fieldset className="mt-2">
      <legend className="text-[13px] text-ink2">{msg('design.layersThatAreDrawn')}</legend>
      <div className="max-h-52 overflow-auto" tabIndex={0} role="region" aria-label={msg('design.layers')}>
        {listed.map(({ name, elements }) => (
          <Tick
            key={name}
            label={
              <>
                {name} <span className="text-ink2">{elements}</span>
              </>
            }
            checked={!hidden.has(name)}
            onChange={(on) => onHidden(new Set(on ? [...hidden].filter((each) => each !== name) : [...hidden, name]))}
          />
        ))}
      </div>
    </fieldset>
  );
}

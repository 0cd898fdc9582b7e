/** Drawings of the site as they lie under the plan: read once for a revision, shared by all screens. */
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { RADIANS_PER_DEGREE, type Similarity } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { msg, drawingWords } from '@idle-marker/words';
import type { DrawingSummary } from '@idle-marker/formats';
import { sourceBytes } from '../data/beside.ts';
import type { Underlay, UnderlayTile } from '../board/underlay.ts';
import { useSite } from '../site/SiteContext.tsx';
import { askDrawing, drawingWorkerAge } from './drawings.ts';

import { tilesOf } from './tiles.ts';
import { listSaidOf } from './useTakeFile.ts';

type DrawingFact = Fact<'drawing'>;

export interface ShownDrawing {
  readonly fact: DrawingFact;
  readonly state:
    | { readonly status: 'reading'; readonly share: number }
    | { readonly status: 'open'; readonly summary: DrawingSummary; readonly tiles: readonly UnderlayTile[] }
    | { readonly status: 'failed'; readonly trouble: string };
}

export const similarityOf = (placing: FactBody<'drawing'>['placing']): Similarity | null =>
  placing && {
    scale: placing.scale,
    rotation: placing.rotationDeg * RADIANS_PER_DEGREE,
    shift: { e: placing.shiftE, n: placing.shiftN },
  };

/** By id of the revision; an entry of an older worker is read again. */
let known: ReadonlyMap<string, { readonly age: number; readonly state: ShownDrawing['state'] }> = new Map();
const listeners = new Set<() => void>();
const tell = (id: string, state: ShownDrawing['state']) => {
  known = new Map(known).set(id, { age: drawingWorkerAge(), state });
  for (const listener of listeners) listener();
};
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Reads a drawing once more that failed or was cancelled. */
export async function readAgain(
  site: string,
  fact: DrawingFact,
  siteUnit: FactBody<'site'>['lengthUnit'],
): Promise<void> {
  const rest = new Map(known);
  rest.delete(fact.id);
  known = rest;
  await openRevision(site, fact, siteUnit);
}

/** Opens a revision in the worker and gets what is painted of it. */
export async function openRevision(
  site: string,
  fact: DrawingFact,
  siteUnit: FactBody<'site'>['lengthUnit'],
): Promise<void> {
  const found = known.get(fact.id);
  // What failed or was cancelled waits for somebody to ask again.
  if (found && found.age === drawingWorkerAge()) return;
  tell(fact.id, { status: 'reading', share: 0 });
  const failed = (trouble: string) => tell(fact.id, { status: 'failed', trouble });
  const bytes = await sourceBytes(site, fact.body.file);
  if (!bytes) return failed(msg('drawings.itsFileIsNeitherInThisBrowser'));
  const { unit, placing } = fact.body;
  const opened = await askDrawing(
    'open',
    { key: fact.id, bytes, siteUnit, unit, list: listSaidOf(fact.body), similarity: similarityOf(placing) },
    (done, total) => tell(fact.id, { status: 'reading', share: done / total }),
  );
  if (opened && !opened.ok) return failed(drawingWords(opened.error));
  const lines = opened && (await askDrawing('lines', { key: fact.id }));
  if (!lines) return failed(msg('drawings.readingWasCancelled'));
  tell(fact.id, { status: 'open', summary: opened.value, tiles: await tilesOf(lines) });
}

export function useDrawings(): readonly ShownDrawing[] {
  const { id, state } = useSite();
  const { drawings } = state;
  const siteUnit = state.settings.lengthUnit;
  const shown = useSyncExternalStore(subscribe, () => known);
  const age = drawingWorkerAge();
  useEffect(() => {
    for (const fact of drawings) void openRevision(id, fact, siteUnit);
  }, [id, drawings, siteUnit, age]);
  return useMemo(
    () => drawings.map((fact) => ({ fact, state: shown.get(fact.id)?.state ?? { status: 'reading', share: 0 } })),
    [drawings, shown],
  );
}

/** What lies under the plan: the layers of all drawings that are switched on. */
export function useUnderlay(): readonly Underlay[] {
  const drawings = useDrawings();
  return useMemo(
    () =>
      drawings.flatMap(({ fact, state }): Underlay[] => {
        if (state.status !== 'open') return [];
        const hidden = new Set(fact.body.hidden);
        return [
          { tiles: state.tiles.filter(({ layer }) => !hidden.has(layer)), extent: state.summary.extent, ink: 'pencil' },
        ];
      }),
    [drawings],
  );
}

/** Surfaces of the site's drawings, and their heights. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Metres, PlanPoint } from '@idle-marker/core';
import type { SurfaceSummary } from '@idle-marker/formats';
import { msg } from '@idle-marker/words';
import { askDrawing } from './drawings.ts';

import { useDrawings } from './useDrawings.ts';

/** A surface by the drawing it is in, whatever its revision. */
export interface SurfaceChoice {
  readonly drawing: string;
  readonly name: string;
}
export interface OpenSurface extends SurfaceChoice {
  readonly id: string;
  /** The revision in force. */
  readonly revision: string;
  readonly label: string;
  readonly summary: SurfaceSummary;
}

export const surfaceId = ({ drawing, name }: SurfaceChoice): string => `surface ${drawing} ${name}`;

export function useSurfaces(): readonly OpenSurface[] {
  const drawings = useDrawings();
  return useMemo(
    () =>
      drawings.flatMap(({ fact, state }) =>
        state.status !== 'open'
          ? []
          : state.summary.surfaces.map((summary): OpenSurface => {
              const choice = { drawing: fact.body.drawing, name: summary.name };
              return {
                ...choice,
                id: surfaceId(choice),
                revision: fact.id,
                label: msg('drawings.of', { name: summary.name, name2: fact.body.name }),
                summary,
              };
            }),
      ),
    [drawings],
  );
}

/** Heights at places, null for each that lies off the surface; null when the surface is not open. */
export const heightsOf = (surface: OpenSurface, places: readonly PlanPoint[]): Promise<(Metres | null)[] | null> =>
  askDrawing('heights', { key: surface.revision, surface: surface.name, places });

/**
 * The height of a surface under a place that moves; null until it is known, and a height of null off the surface. One
 * question at a time: places that come while it is answered are left out but for the last.
 */
export function useHeightUnder(
  surface: OpenSurface | null,
  place: PlanPoint | null,
): { readonly z: Metres | null } | null {
  const [found, setFound] = useState<{ readonly surface: OpenSurface; readonly z: Metres | null } | null>(null);
  const asking = useRef(false);
  const latest = useRef(place);
  latest.current = place;
  useEffect(() => {
    if (!surface || !place || asking.current) return;
    asking.current = true;
    const ask = async () => {
      let asked: PlanPoint | null = null;
      while (latest.current && latest.current !== asked) {
        asked = latest.current;
        const heights = await heightsOf(surface, [asked]);
        // A surface that is not open has no answer, which is something else than no height.
        setFound(heights && { surface, z: heights[0] ?? null });
      }
      asking.current = false;
    };
    void ask();
  }, [surface, place]);
  return surface && place && found?.surface === surface ? found : null;
}

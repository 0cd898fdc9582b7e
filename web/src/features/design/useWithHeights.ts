import { useEffect, useMemo, useState } from 'react';
import type { Metres } from '@idle-marker/core';
import { surfacePlaces } from '@idle-marker/records';
import { heightsOf, surfaceId, useSurfaces, type SurfaceChoice } from '../../drawings/useSurfaces.ts';
import { useUnits } from '../../field/useUnits.ts';
import type { Item } from './itemDraft.ts';

const placeOf = ({ at }: ReturnType<typeof surfacePlaces>[number]) => at;

interface Answered {
  readonly question: string;
  readonly heights: readonly ((Metres | null)[] | null)[];
}

/**
 * Items with the heights of the surfaces that were chosen for them; null while these are being asked, or when one is
 * not there.
 */
export function useWithHeights(
  items: readonly Item[] | null,
  choices: readonly (SurfaceChoice | null)[],
  offset: Metres | null,
): Item[] | null {
  const units = useUnits();
  const surfaces = useSurfaces();
  const [answered, setAnswered] = useState<Answered | null>(null);
  const asked = useMemo(
    () =>
      items && offset !== null
        ? items.map((item, i) => {
            const choice = choices[i] ?? null;
            if (!choice) return null;
            const surface = surfaces.find(({ id }) => id === surfaceId(choice)) ?? null;
            return { surface, places: surfacePlaces(item, offset, units.lengthUnit) };
          })
        : null,
    [items, choices, offset, surfaces, units],
  );
  const question = JSON.stringify(
    asked?.map((each) => each && [each.surface?.revision, each.surface?.name, each.places]) ?? null,
  );
  useEffect(() => {
    if (!asked?.some((each) => each?.surface)) return;
    let gone = false;
    const ask = async () => {
      const heights: Answered['heights'][number][] = [];
      for (const each of asked)
        heights.push(each?.surface ? await heightsOf(each.surface, each.places.map(placeOf)) : null);
      if (!gone) setAnswered({ question, heights });
    };
    void ask();
    return () => {
      gone = true;
    };
    // oxlint-disable-next-line react/exhaustive-deps
  }, [question]);
  return useMemo(() => {
    if (!items || !asked) return null;
    if (asked.every((each) => each === null)) return [...items];
    if (answered?.question !== question) return null;
    const whole = items.flatMap((item, i): Item[] => {
      const one = asked[i];
      if (!one) return [item];
      const heights = answered.heights[i];
      if (!one.surface || !heights) return [];
      return [
        {
          ...item,
          surface: {
            drawing: one.surface.revision,
            name: one.surface.name,
            heights: one.places.map(({ key }, k) => ({ key, z: heights[k] ?? null })),
          },
        },
      ];
    });
    return whole.length === items.length ? whole : null;
  }, [items, asked, answered, question]);
}

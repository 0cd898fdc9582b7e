import { useEffect, useState } from 'react';
import type { Metres } from '@idle-marker/core';
import { placeOnRoad, type Road } from '@idle-marker/records';
import { heightsOf, type OpenSurface } from '../../drawings/useSurfaces.ts';

/** How far to each side the ground is looked at, and how closely. */
const ACROSS: Metres = 12;
const GROUND_STEP: Metres = 0.5;

/** Heights of a surface across the road at a station. */
export function useGround(
  surface: OpenSurface | null,
  road: Road | null,
  station: Metres,
): readonly { offset: number; z: number | null }[] {
  const [found, setFound] = useState<readonly { offset: number; z: number | null }[]>([]);
  // In steps of a metre: the ground under a pole that moves is not asked for anew at every reading.
  const near = Math.round(station);
  useEffect(() => {
    setFound([]);
    if (!surface || !road) return;
    let gone = false;
    const offsets = Array.from({ length: (2 * ACROSS) / GROUND_STEP + 1 }, (_, i) => i * GROUND_STEP - ACROSS);
    const places = offsets.flatMap((offset) => {
      const place = placeOnRoad(road, { station: near, extraOffset: offset });
      return place ? [{ offset, place }] : [];
    });
    void heightsOf(
      surface,
      places.map(({ place }) => place),
    ).then((heights) => {
      if (!gone && heights) setFound(places.map(({ offset }, i) => ({ offset, z: heights[i] ?? null })));
    });
    return () => {
      gone = true;
    };
  }, [surface, road, near]);
  return found;
}

const ALONG_SAMPLES = 120;

/** Heights of a surface under the centreline. */
export function useGroundAlong(
  surface: OpenSurface | null,
  road: Road | null,
): readonly { station: number; z: number | null }[] {
  const [found, setFound] = useState<readonly { station: number; z: number | null }[]>([]);
  useEffect(() => {
    setFound([]);
    if (!surface || !road) return;
    let gone = false;
    const { startStation, length } = road.alignment;
    const stations = Array.from({ length: ALONG_SAMPLES + 1 }, (_, i) => startStation + (length * i) / ALONG_SAMPLES);
    const places = stations.map((station) => placeOnRoad(road, { station })!);
    void heightsOf(surface, places).then((heights) => {
      if (!gone && heights) setFound(stations.map((station, i) => ({ station, z: heights[i] ?? null })));
    });
    return () => {
      gone = true;
    };
  }, [surface, road]);
  return found;
}

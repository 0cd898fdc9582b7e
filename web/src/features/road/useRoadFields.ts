/** Which figures stand above the plan along a road: each person has room for what is looked at, and for no more. */
import { useState } from 'react';
import { msg } from '@idle-marker/words';

export const ROAD_FIELDS = [
  ['height', msg('road.whatTheRoadIsLikeThereIts')],
  ['move', msg('road.theWayToTheStationThatWas')],
  ['surface', msg('road.theChosenSurfaceUnderIt')],
  ['sections', msg('road.theDesignedCrossSections')],
  ['coordinates', msg('road.coordinatesAndHeightOfThePlace')],
] as const;
export type RoadField = (typeof ROAD_FIELDS)[number][0];

const KEY = 'idle-marker road figures';
const USUAL: readonly RoadField[] = ['height', 'move', 'surface', 'sections'];

const isField = (text: string): text is RoadField => ROAD_FIELDS.some(([field]) => field === text);

/** Remembered on this device. */
export function useRoadFields(): readonly [ReadonlySet<RoadField>, (field: RoadField, on: boolean) => void] {
  const [fields, setFields] = useState<ReadonlySet<RoadField>>(() => {
    const kept = localStorage.getItem(KEY);
    return new Set(kept === null ? USUAL : kept.split(' ').filter(isField));
  });
  return [
    fields,
    (field, on) => {
      const next = new Set(ROAD_FIELDS.flatMap(([each]) => ((each === field ? on : fields.has(each)) ? [each] : [])));
      localStorage.setItem(KEY, [...next].join(' '));
      setFields(next);
    },
  ];
}

/** Which figures stand above the plan along a road: each person has room for what is looked at, and for no more. */
import { useState } from 'react';
import { msg, worded } from '@idle-marker/words';

export const roadFields = worded(
  () =>
    [
      ['height', msg('road.whatTheRoadIsLikeThereIts')],
      ['move', msg('road.theWayToTheStationThatWas')],
      ['surface', msg('road.theChosenSurfaceUnderIt')],
      ['sections', msg('road.theDesignedCrossSections')],
      ['coordinates', msg('road.coordinatesAndHeightOfThePlace')],
    ] as const,
);
export type RoadField = ReturnType<typeof roadFields>[number][0];

const KEY = 'idle-marker road figures';
const USUAL: readonly RoadField[] = ['height', 'move', 'surface', 'sections'];

const isField = (text: string): text is RoadField => roadFields().some(([field]) => field === text);

/** Remembered on this device. */
export function useRoadFields(): readonly [ReadonlySet<RoadField>, (field: RoadField, on: boolean) => void] {
  const [fields, setFields] = useState<ReadonlySet<RoadField>>(() => {
    const kept = localStorage.getItem(KEY);
    return new Set(kept === null ? USUAL : kept.split(' ').filter(isField));
  });
  return [
    fields,
    (field, on) => {
      const next = new Set(roadFields().flatMap(([each]) => ((each === field ? on : fields.has(each)) ? [each] : [])));
      localStorage.setItem(KEY, [...next].join(' '));
      setFields(next);
    },
  ];
}

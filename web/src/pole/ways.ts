/** How a person likes to come to a mark; what is kept is the same either way. */
import { useState } from 'react';
import type { Viewpoint } from '@idle-marker/core';
import { msg, viewpointWords, worded } from '@idle-marker/words';

export const waysOfWorking = worded(
  () =>
    [
      ['follow', msg('pole.walkAndFollowTheFigures')],
      ['tape', msg('pole.fewShotsThenTheTape')],
      ['rough', msg('pole.paintAllRoughlyFirst')],
      ['roughCorners', msg('pole.paintTheCornersFirst')],
      ['oneKey', msg('pole.shootKeepAndGoOn')],
    ] as const,
);
export type WayOfWorking = ReturnType<typeof waysOfWorking>[number][0];

const WAY_KEY = 'idle-marker way of working';
const PACE_KEY = 'idle-marker pace';

const isWay = (text: string | null): text is WayOfWorking => waysOfWorking().some(([way]) => way === text);

/** Remembered on this device. */
export function useWayOfWorking(): readonly [WayOfWorking, (way: WayOfWorking) => void] {
  const [way, setWay] = useState<WayOfWorking>(() => {
    const kept = localStorage.getItem(WAY_KEY);
    return isWay(kept) ? kept : 'follow';
  });
  return [
    way,
    (next) => {
      localStorage.setItem(WAY_KEY, next);
      setWay(next);
    },
  ];
}

const VIEWPOINT_KEY = 'idle-marker viewpoint';

/** In whose left and right moves are told, remembered on this device. */
export function useViewpoint(): readonly [Viewpoint, (viewpoint: Viewpoint) => void] {
  const [viewpoint, setViewpoint] = useState<Viewpoint>(() => {
    const kept = localStorage.getItem(VIEWPOINT_KEY);
    return kept !== null && kept in viewpointWords() ? (kept as Viewpoint) : 'facingInstrument';
  });
  return [
    viewpoint,
    (next) => {
      localStorage.setItem(VIEWPOINT_KEY, next);
      setViewpoint(next);
    },
  ];
}

/** Length of a person's pace in metres, on this device; null while it was not counted. */
export function usePaceLength(who: string): readonly [number | null, (length: number | null) => void] {
  const key = `${PACE_KEY} ${who}`;
  const [length, setLength] = useState<number | null>(() => {
    const kept = Number(localStorage.getItem(key));
    return kept > 0 ? kept : null;
  });
  return [
    length,
    (next) => {
      if (next === null) localStorage.removeItem(key);
      else localStorage.setItem(key, String(next));
      setLength(next);
    },
  ];
}

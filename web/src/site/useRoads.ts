/** Roads of the site that can be asked, and the one that is worked along on this device. */
import { useMemo, useSyncExternalStore } from 'react';
import { displayedStation, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { againstRoad, roadOf, type Road } from '@idle-marker/records';
import { msg, shortStation, usualStationFormat, type StationStyle } from '@idle-marker/words';
import { useSite } from './SiteContext.tsx';

export interface SiteRoad {
  /** Of the line over all its revisions. */
  readonly id: string;
  readonly fact: Fact<'alignment'>;
  readonly road: Road;
}

export function useRoads(): readonly SiteRoad[] {
  const { alignments } = useSite().state;
  return useMemo(
    () =>
      alignments.flatMap((fact): SiteRoad[] => {
        const road = roadOf(fact.body);
        return road.ok ? [{ id: fact.body.alignment, fact, road: road.value }] : [];
      }),
    [alignments],
  );
}

const keyOf = (site: string): string => `idle-marker road ${site}`;
const listeners = new Set<() => void>();
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The first one until another is chosen. */
export function useActiveRoad(): readonly [SiteRoad | null, (id: string) => void] {
  const { id } = useSite();
  const roads = useRoads();
  const kept = useSyncExternalStore(subscribe, () => localStorage.getItem(keyOf(id)));
  return [roads.find((each) => each.id === kept) ?? roads[0] ?? null, (next) => workAlong(id, next)];
}

export function workAlong(site: string, road: string): void {
  localStorage.setItem(keyOf(site), road);
  for (const listener of listeners) listener();
}

/** The road whose line runs nearest to a touched place, within `reach`; null where none does. */
export function roadAt(roads: readonly SiteRoad[], place: PlanPoint, reach: Metres): SiteRoad | null {
  const near = roads.flatMap((each) => {
    const { nearest } = againstRoad(each.road, place);
    return 'station' in nearest && Math.abs(nearest.offset) <= reach ? [{ each, off: Math.abs(nearest.offset) }] : [];
  });
  return near.sort((a, b) => a.off - b.off)[0]?.each ?? null;
}

/** How far from a line a finger may touch, pixels. */
export const TOUCH = 14;

/** What a place along a road is called here; “along” is no name for it. */
export function useStationWord(): string {
  return useSite().state.settings.alongWord === 'chainage' ? msg('site.chainage') : msg('common.station');
}

/** A distance along a road as it is typed: the station that is shown there. */
export const typedStation = ({ alignment }: Road, station: number, style: StationStyle): string =>
  shortStation(displayedStation(alignment, station).displayed, style).replace('−', '-');

/** How this site writes stations. */
export function useStationStyle(): StationStyle {
  const { settings } = useSite().state;
  return useMemo(
    () => ({ unit: settings.lengthUnit, format: settings.stationFormat ?? usualStationFormat(settings.lengthUnit) }),
    [settings],
  );
}

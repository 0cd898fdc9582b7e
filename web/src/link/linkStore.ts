/** The one link of this page, and what its state is. It outlives the screens that use it. */
import { useSyncExternalStore } from 'react';
import { RADIANS_PER_DEGREE, type PlanPoint, type Radians, type SimulatorState, type Metres } from '@idle-marker/core';
import { readSetting, writeSetting } from '../data/storage.ts';
import type { InstrumentLink, LinkState, PoleChange } from './instrumentLink.ts';
import { SimulatorLink } from './simulatorLink.ts';
import { TypedLink } from './typedLink.ts';

interface Held {
  readonly site: string;
  readonly link: SimulatorLink | TypedLink;
}

let held: Held | null = null;
const listeners = new Set<() => void>();
let unsubscribe: (() => void) | null = null;

const tell = () => {
  for (const listener of listeners) listener();
};

function hold(next: Held | null): void {
  unsubscribe?.();
  held?.link.close();
  held = next;
  unsubscribe = next?.link.subscribe(tell) ?? null;
  tell();
}

const SEED = 20310506;
export const PACES = [1, 5, 20, 60] as const;

export async function openSimulator(site: string, ground: string, usualHeight?: Metres): Promise<void> {
  if (held?.site === site && held.link.kind === 'simulator') return;
  const saved = (await readSetting<SimulatorState>(`simulator ${site}`)) ?? null;
  // Left before the instrument's stand was saved: it has to be put there again.
  if (!saved?.instrument) await writeSetting(`simulated occupation ${site}`, null);
  const pace = (await readSetting<number>('pace')) ?? 5;
  const link = new SimulatorLink(ground, SEED, saved, (state) => void writeSetting(`simulator ${site}`, state));
  link.setPace(pace);
  link.setStopsNear((await readSetting<boolean>('stops near')) ?? true);
  hold({ site, link });
  await takeUpPole(site, usualHeight);
}

export function openTyped(site: string, usualHeight?: Metres): void {
  if (held?.site === site && held.link.kind === 'typed') return;
  hold({ site, link: new TypedLink() });
  void takeUpPole(site, usualHeight);
}

/** Pole and target are what they were when the page was left; a round height of the site's unit at first. */
async function takeUpPole(site: string, usualHeight: Metres | undefined): Promise<void> {
  const kept = await readSetting<PoleChange>(`pole ${site}`);
  const change = kept ?? (usualHeight === undefined ? null : { targetHeight: usualHeight });
  if (change && held?.site === site) held.link.setPole(change);
}

/** Changes what the prism is carried on, and remembers it. */
export function changePole(change: PoleChange): void {
  if (!held) return;
  held.link.setPole(change);
  const { targetHeight, legs, target, item } = { ...held.link.state().pole, ...change };
  void writeSetting(`pole ${held.site}`, { targetHeight, legs, target: target ?? null, item: item ?? null });
}

/** A station that was made with the simulator, perhaps on another device. */
export interface SimulatedStation {
  readonly occupation: string;
  readonly place: PlanPoint;
  readonly height: number;
  readonly orientation: number;
}

/**
 * Stands the simulated instrument where the station in force says it stands, when this browser did not put it there
 * itself.
 */
export async function resumeStation(site: string, station: SimulatedStation): Promise<void> {
  const key = `simulated occupation ${site}`;
  if (held?.site !== site || held.link.kind !== 'simulator' || (await readSetting<string>(key)) === station.occupation)
    return;
  held.link.setUpAt(station.place, station.height, station.orientation);
  await writeSetting(key, station.occupation);
}

/** Remembers that this browser's simulator stands for an occupation. */
export const rememberOccupation = (site: string, occupation: string): Promise<void> =>
  writeSetting(`simulated occupation ${site}`, occupation);

/** Opens the link a site was last used with. */
export async function openUsualLink(site: string, ground: string | null): Promise<void> {
  // A ground that was taken away from the site's settings takes the simulator with it.
  if (held?.site === site && (ground !== null || held.link.kind === 'typed')) return;
  const kind = (await readSetting<'simulator' | 'typed'>(`link ${site}`)) ?? (ground === null ? 'typed' : 'simulator');
  if (kind === 'simulator' && ground !== null) await openSimulator(site, ground);
  else openTyped(site);
}

export const currentLink = (): SimulatorLink | TypedLink | null => held?.link ?? null;

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
const snapshot = (): LinkState | null => held?.link.state() ?? null;

/** The whole state, for what shows the readings themselves: it changes ten times a second. */
export const useLinkState = (): LinkState | null => useSyncExternalStore(subscribe, snapshot);

/**
 * One thing of the link's state, a plain value or an object of the state: the screen is drawn again only when that one
 * changes.
 */
export const useLinked = <T>(select: (state: LinkState | null) => T): T =>
  useSyncExternalStore(subscribe, () => select(snapshot()));

export const useLinkKind = (): LinkState['kind'] | null => useLinked((link) => link?.kind ?? null);

/** No drawing shows less than this; the noise of the readings is far below it. */
const DRAWN_DEG = 0.05;
/** Where the telescope points, radians of the site's azimuths, as fine as it is drawn; null when nothing is set up. */
export function useFacing(orientation: Radians | null): Radians | null {
  const circle = useLinked((link) => (link?.setUp ? Math.round(link.circleDeg / DRAWN_DEG) * DRAWN_DEG : null));
  return orientation === null || circle === null ? null : orientation + circle * RADIANS_PER_DEGREE;
}
export const useLink = (): InstrumentLink | null => useSyncExternalStore(subscribe, currentLink);

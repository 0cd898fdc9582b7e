/**
 * The field clock: this device's own, put right by the server's, which all devices of a site share. A server started
 * with a fixed clock (pictures, tests) moves it there.
 */
import { CLOCKS_AGREE_MS } from '@idle-marker/contract';
import { call } from './server.ts';

const KEPT = 'idle-marker clock offset';
const EVERY_MS = 10 * 60_000;
/** Less than this may be the way of the question rather than the clock. */
const NOISE_MS = 2000;

let offsetMs = Number(localStorage.getItem(KEPT) ?? 0) || 0;
let isFixed = false;

/** Asks the server for its time. Without an answer the last known difference holds. */
export async function readClock(): Promise<void> {
  // A fixed clock stands still on the server and runs on here.
  if (isFixed) return;
  const asked = Date.now();
  const told = await call('readClock', {}).catch(() => null);
  const server = Date.parse(told?.now ?? '');
  if (told === null || Number.isNaN(server)) return;
  const { fixed } = told;
  isFixed = fixed;
  const off = server - (asked + Date.now()) / 2;
  offsetMs = fixed || Math.abs(off) > NOISE_MS ? Math.round(off) : 0;
  if (fixed || offsetMs === 0) localStorage.removeItem(KEPT);
  else localStorage.setItem(KEPT, String(offsetMs));
}

/** Keeps the clock right for as long as the page is open. */
export async function keepClock(): Promise<void> {
  await readClock();
  setInterval(() => void readClock(), EVERY_MS);
}

export const now = (): Date => new Date(Date.now() + offsetMs);

/** By how much this device's own clock is behind the server's, milliseconds; 0 where the server's stands still. */
export const clockBehindServer = (): number => (isFixed ? 0 : offsetMs);

/**
 * The instant to stamp something with: after all that is known already, since the order of what is told decides what
 * stands and between devices an equal instant would leave it to their names, unless a clock is so far off that this
 * would falsify the time.
 */
export function stampAfter(latest: string | null, instant: Date = now()): string {
  const ahead = latest === null ? 0 : Date.parse(latest) - instant.getTime();
  const isNear = latest !== null && ahead >= 0 && ahead <= CLOCKS_AGREE_MS;
  return new Date(instant.getTime() + (isNear ? ahead + 1 : 0)).toISOString();
}

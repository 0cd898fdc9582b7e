/** The field clock. A server started with a fixed clock (pictures, tests) moves this one to it. */
let offsetMs = 0;

export async function readClock(): Promise<void> {
  const response = await fetch('/api/v1/clock').catch(() => null);
  if (!response?.ok) return;
  const { now, fixed } = (await response.json()) as { now: string; fixed: boolean };
  if (fixed) offsetMs = Date.parse(now) - Date.now();
}

export const now = (): Date => new Date(Date.now() + offsetMs);

/** Clocks that differ by no more than this are put right in silence; beyond it a person has to know. */
export const CLOCKS_AGREE_MS = 60_000;

/**
 * The instant to stamp something with: never before what is known already, since the order of what is told decides what
 * stands, unless a clock is so far off that this would falsify the time.
 */
export function notBefore(latest: string | null, instant: Date = now()): string {
  const ahead = latest === null ? 0 : Date.parse(latest) - instant.getTime();
  return ahead > 0 && ahead <= CLOCKS_AGREE_MS ? new Date(instant.getTime() + ahead).toISOString() : instant.toISOString();
}

/** The field clock. A server started with a fixed clock (pictures, tests) moves this one to it. */
let offsetMs = 0;

export async function readClock(): Promise<void> {
  const response = await fetch('/api/v1/clock').catch(() => null);
  if (!response?.ok) return;
  const { now, fixed } = (await response.json()) as { now: string; fixed: boolean };
  if (fixed) offsetMs = Date.parse(now) - Date.now();
}

export const now = (): Date => new Date(Date.now() + offsetMs);

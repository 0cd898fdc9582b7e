/** The round as it will be walked: what can not be seen or reached from here, and where the next proof comes. */
import { planDistance, segmentMeetsPolygon, type KeepClear, type Metres, type PlanPoint } from '@idle-marker/core';
import { REACH } from '../site/asked.ts';
import type { RoundStop } from './round.ts';

export type RoundHindrance =
  | { readonly code: 'HIDDEN'; readonly by: string }
  | { readonly code: 'FAR'; readonly distance: Metres; readonly most: Metres };

/** What keeps a mark from being set from where the instrument stands; null when nothing does. */
export function hindranceFrom(
  instrument: PlanPoint,
  { plan }: RoundStop,
  areas: readonly KeepClear[],
): RoundHindrance | null {
  const most = REACH[plan.designZ === null ? 'plan' : 'height'];
  const distance = planDistance(instrument, plan.place);
  if (distance > most) return { code: 'FAR', distance, most };
  const hiding = areas.find((area) => area.blocksSight && segmentMeetsPolygon(instrument, plan.place, area.corners));
  return hiding ? { code: 'HIDDEN', by: hiding.name } : null;
}

export type RoundEntry<T, P> =
  | { readonly kind: 'mark'; readonly stop: T }
  | { readonly kind: 'proof'; readonly on: P; readonly afterMinutes: number };

/** A mark takes about this long from one to the next where nothing is known yet. */
const USUAL_MINUTES = 5;

/**
 * Works the next proof into a walk: after so many open marks as fit into the time that is left until it is due.
 *
 * @param minutesLeft until a proof is due; 0 when it is due now
 * @param isOpen whether a stop takes time
 */
export function withProofDue<T, P>(
  stops: readonly T[],
  isOpen: (stop: T) => boolean,
  candidate: P | null,
  minutesLeft: number,
  minutesPerMark: number | null,
): RoundEntry<T, P>[] {
  const marks = stops.map((stop): RoundEntry<T, P> => ({ kind: 'mark', stop }));
  if (!candidate) return marks;
  const each = minutesPerMark ?? USUAL_MINUTES;
  const before = Math.max(0, Math.floor(minutesLeft / each));
  const open = stops.map((stop, i) => (isOpen(stop) ? i : -1)).filter((i) => i >= 0);
  // Fewer open marks than fit in: the proof comes after the last of them.
  const at = before >= open.length ? (open.at(-1) ?? -1) + 1 : open[before]!;
  return [
    ...marks.slice(0, at),
    { kind: 'proof', on: candidate, afterMinutes: Math.max(0, minutesLeft) },
    ...marks.slice(at),
  ];
}

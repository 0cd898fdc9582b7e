/** Pairs of one place in a drawing and on the site, as they are put together. */
import type { PlanPoint, PointPair } from '@idle-marker/core';
import type { Units } from '../../field/useUnits.ts';

export interface PairDraft {
  /** In the drawing, metres, nothing turned or shifted. */
  readonly source: PlanPoint;
  /** Name of the mark or crossing that it is; null when its coordinates are typed. */
  readonly named: { readonly name: string; readonly at: PlanPoint } | null;
  readonly typed: readonly [string, string];
}

export function targetOf({ named, typed }: PairDraft, units: Units): PlanPoint | null {
  if (named) return named.at;
  const [first, second] = typed.map((text) => units.readLength(text));
  if (first === null || second === null || first === undefined || second === undefined) return null;
  return units.axes[0] === 'e' ? { e: first, n: second } : { e: second, n: first };
}

/** A pair as it is spoken of. */
export const pairName = ({ named }: PairDraft, i: number): string => named?.name ?? `pair ${i + 1}`;

/** Pairs that are whole. */
export const readPairs = (pairs: readonly PairDraft[], units: Units): PointPair[] =>
  pairs.flatMap((pair) => {
    const target = targetOf(pair, units);
    return target ? [{ source: pair.source, target }] : [];
  });

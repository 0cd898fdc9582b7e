/** Distances between marks that are set, against the design: a rectangle proves itself without the instrument. */
import { planDistance, type Metres } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { markKey, type SiteState } from '../site/state.ts';
import { classOf } from '../site/toleranceClass.ts';

export interface SetPair {
  readonly from: Fact<'mark'>;
  readonly to: Fact<'mark'>;
  /** Between the planned places, and between the measured ones. */
  readonly design: Metres;
  readonly asSet: Metres;
  readonly kind: 'neighbours' | 'diagonal';
  /** The last tape between the two. */
  readonly tape: Fact<'tape'> | null;
}

/** How far the distance of two marks may be off: each may be off by its class, in any direction. */
export const pairTolerance = (state: Pick<SiteState, 'classes'>, ...asked: readonly string[]): Metres =>
  Math.SQRT2 * Math.max(...asked.map((id) => classOf(state, id).plan));

/** Nearer marks than this tell nothing about the shape of the work. */
const LEAST: Metres = 1;

/**
 * For every mark of a package that is set, the one next to it and the one farthest away; the largest difference first.
 */
export function setPairs(state: SiteState, work: Fact<'package'>): SetPair[] {
  const root = state.packageRoots.get(work.id)!;
  const marks = work.body.plans.flatMap((plan) => {
    const mark = state.marks.get(markKey(root, plan.key));
    return mark && mark.body.state !== 'rough' ? [mark] : [];
  });
  const pairs = new Map<string, SetPair>();
  const add = (a: Fact<'mark'>, b: Fact<'mark'>, kind: SetPair['kind']) => {
    const [from, to] = marks.indexOf(a) < marks.indexOf(b) ? [a, b] : [b, a];
    const key = `${from.id} ${to.id}`;
    if (pairs.has(key)) return;
    const tape =
      state.tapes.findLast(
        ({ body }) => (body.from === from.id && body.to === to.id) || (body.from === to.id && body.to === from.id),
      ) ?? null;
    pairs.set(key, {
      from,
      to,
      design: planDistance(from.body.planned, to.body.planned),
      asSet: planDistance(from.body.place, to.body.place),
      kind,
      tape,
    });
  };
  for (const mark of marks) {
    const others = marks
      .filter((other) => other !== mark)
      .map((other) => ({ other, distance: planDistance(other.body.planned, mark.body.planned) }))
      .filter(({ distance }) => distance >= LEAST)
      .sort((a, b) => a.distance - b.distance);
    if (others.length === 0) continue;
    add(mark, others[0]!.other, 'neighbours');
    if (others.length > 1) add(mark, others.at(-1)!.other, 'diagonal');
  }
  return [...pairs.values()].sort((a, b) => Math.abs(b.asSet - b.design) - Math.abs(a.asSet - a.design));
}

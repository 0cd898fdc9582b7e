import Flatbush from 'flatbush';
import type { Corner, Metres, PlanPoint } from '@idle-marker/core';
import type { DrawnPlace, DrawnText } from './drawing.ts';

/** A text this near to a corner names it. */
const NAME_REACH: Metres = 1.5;
const LONGEST_NAME = 6;

/** The text nearest to a place, of those near enough to name it. */
function nearestTo(texts: readonly DrawnText[]): (place: PlanPoint) => string | null {
  if (texts.length === 0) return () => null;
  const index = new Flatbush(texts.length);
  for (const { at } of texts) index.add(at.e, at.n, at.e, at.n);
  index.finish();
  return ({ e, n }) => {
    let best: { readonly i: number; readonly away: Metres } | null = null;
    for (const i of index.search(e - NAME_REACH, n - NAME_REACH, e + NAME_REACH, n + NAME_REACH)) {
      const { at } = texts[i]!;
      const away = Math.hypot(at.e - e, at.n - n);
      if (away > NAME_REACH) continue;
      // Of two that stand as near, the first of the drawing.
      if (!best || away < best.away || (away === best.away && i < best.i)) best = { i, away };
    }
    return best && texts[best.i]!.text;
  };
}

/** Corners with the names that stand beside them in the drawing; numbers where none does. */
export function namedCorners(corners: readonly DrawnPlace[], texts: readonly DrawnText[]): Corner[] {
  const taken = new Set<string>();
  const textBeside = nearestTo(texts);
  return corners.map((corner, i) => {
    const text = textBeside(corner);
    const fits = text !== null && text.length > 0 && text.length <= LONGEST_NAME && !taken.has(text);
    const name = fits ? text : String(i + 1);
    taken.add(name);
    return { name, e: corner.e, n: corner.n, ...(corner.z === null ? {} : { z: corner.z }) };
  });
}

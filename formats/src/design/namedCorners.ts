import type { Corner, Metres, PlanPoint } from '@idle-marker/core';
import type { DrawnPlace, DrawnText } from './drawing.ts';

/** A text this near to a corner names it. */
const NAME_REACH: Metres = 1.5;
const LONGEST_NAME = 6;

interface Near {
  readonly text: string;
  readonly away: Metres;
}

const nearest = (corner: PlanPoint, texts: readonly DrawnText[]): Near | null =>
  texts.reduce<Near | null>((best, { at, text }) => {
    const away = Math.hypot(at.e - corner.e, at.n - corner.n);
    return best && best.away <= away ? best : { text, away };
  }, null);

/** Corners with the names that stand beside them in the drawing; numbers where none does. */
export function namedCorners(corners: readonly DrawnPlace[], texts: readonly DrawnText[]): Corner[] {
  const taken = new Set<string>();
  return corners.map((corner, i) => {
    const near = nearest(corner, texts);
    const fits =
      near &&
      near.away <= NAME_REACH &&
      near.text.length > 0 &&
      near.text.length <= LONGEST_NAME &&
      !taken.has(near.text);
    const name = fits ? near.text : String(i + 1);
    taken.add(name);
    return { name, e: corner.e, n: corner.n, ...(corner.z === null ? {} : { z: corner.z }) };
  });
}

/**
 * Places for labels so that none lies on another or on what is drawn: tried in a fixed order, so that a drawing is
 * always the same.
 */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

const CELL = 24;

/** Boxes that are taken, found by the cells of a grid that they touch. */
export class Taken {
  private readonly cells = new Map<string, Box[]>();

  private keys({ x, y, w, h }: Box): string[] {
    const keys: string[] = [];
    for (let i = Math.floor(x / CELL); i <= Math.floor((x + w) / CELL); i++)
      for (let k = Math.floor(y / CELL); k <= Math.floor((y + h) / CELL); k++) keys.push(`${i} ${k}`);
    return keys;
  }

  add(box: Box): void {
    for (const key of this.keys(box)) {
      const there = this.cells.get(key);
      if (there) there.push(box);
      else this.cells.set(key, [box]);
    }
  }

  /** Small boxes strung along a line. */
  addLine(points: readonly (readonly [number, number])[]): void {
    for (const box of strung(points)) this.add(box);
  }

  isFreeLine(points: readonly (readonly [number, number])[]): boolean {
    return strung(points).every((box) => this.isFree(box));
  }

  isFree(box: Box): boolean {
    return !this.keys(box).some((key) => this.cells.get(key)?.some((other) => touches(box, other)));
  }
}

const STRING_STEP = 5;
const strung = (points: readonly (readonly [number, number])[]): Box[] =>
  points.slice(1).flatMap((to, i) => {
    const from = points[i]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(to[0] - from[0], to[1] - from[1]) / STRING_STEP));
    return Array.from({ length: steps + 1 }, (_, k): Box => ({
      x: from[0] + ((to[0] - from[0]) * k) / steps - 1,
      y: from[1] + ((to[1] - from[1]) * k) / steps - 1,
      w: 2,
      h: 2,
    }));
  });
export const touches = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;

/** Sixteen ways out from a point, those to the sides before those up and down. */
const WAYS = [0, 8, 4, 12, 2, 6, 10, 14, 1, 7, 9, 15, 3, 5, 11, 13].map((way) => (way * Math.PI) / 8);
const RINGS = [7, 12, 20, 30, 44, 60, 80, 104, 132];
/** A longer leader leads nobody. */
const LONGEST_LEADER = 60;

/** Where labels may stand. */
export interface LabelRoom {
  /** Everything that is drawn. */
  readonly taken: Taken;
  /**
   * The labels alone, through which no leader may run; without it a label stands wherever there is room, and has none.
   */
  readonly words?: Taken;
  readonly frame: Box;
  /** Direction that is tried first, in radians, x to the right and y down. */
  readonly away?: number;
}

type Line = readonly [readonly [number, number], readonly [number, number]];

/**
 * The free box nearest to a point for a label of `w` by `h`; null where there is none. One that stands apart has a
 * leader, which runs through no other label.
 */
export function placeLabel(
  x: number,
  y: number,
  w: number,
  h: number,
  { taken, words, frame, away = 0 }: LabelRoom,
): { readonly box: Box; readonly leader: Line | null } | null {
  for (const [ring, distance] of RINGS.entries())
    for (const way of WAYS) {
      const [cos, sin] = [Math.cos(way + away), Math.sin(way + away)];
      const box = {
        x: x + distance * cos - w / 2 + (cos * w) / 2,
        y: y + distance * sin - h / 2 + (sin * h) / 2,
        w,
        h,
      };
      const inside =
        box.x >= frame.x && box.y >= frame.y && box.x + w <= frame.x + frame.w && box.y + h <= frame.y + frame.h;
      if (!inside || !taken.isFree(box)) continue;
      if (ring <= 1 || !words) return { box, leader: null };
      if (distance > LONGEST_LEADER) return null;
      const leader: Line = [
        [x, y],
        [Math.min(Math.max(x, box.x), box.x + w), Math.min(Math.max(y, box.y), box.y + h)],
      ];
      if (words.isFreeLine(leader)) return { box, leader };
    }
  return null;
}

export const isInside = ([px, py]: readonly [number, number], { x, y, w, h }: Box): boolean =>
  px >= x && px <= x + w && py >= y && py <= y + h;

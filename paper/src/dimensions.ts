/** Distances between the marks of a sketch: which are worth drawing, and where their figures find room. */
import { planDistance, type LengthUnit, type Metres, type PlanPoint } from '@idle-marker/core';
import type { CutSheet } from '@idle-marker/records';
import { writtenLength } from '@idle-marker/words';
import type { Board } from './board.ts';
import type { Taken } from './labels.ts';
import { path, SMALL, text, type Measure, type SceneItem } from './scene.ts';

type Row = CutSheet['rows'][number];

/** So many points of paper have to lie between two marks for their distance to be written. */
const SHORTEST_DIMENSION = 46;
const MOST_DIAGONALS = 4;
/** How finely the way of a line is looked at, points. */
const STEP = 2;

/**
 * Dimensions that are worth drawing: the shortest lines that join all marks (Prim, Shortest connection networks), and a
 * few long ones across, no two of them from one mark.
 */
export function dimensionsOf(rows: readonly Row[]): {
  readonly near: readonly (readonly [Row, Row])[];
  readonly across: readonly (readonly [Row, Row])[];
} {
  const near: (readonly [Row, Row])[] = [];
  const far: { readonly pair: readonly [Row, Row]; readonly distance: Metres }[] = [];
  // Of each mark that is not joined yet: the joined one that is nearest.
  const open = new Map(
    rows.slice(1).map((row) => [row, { to: rows[0]!, distance: planDistance(row.place, rows[0]!.place) }]),
  );
  while (open.size > 0) {
    const [next, { to }] = [...open].reduce((a, b) => (b[1].distance < a[1].distance ? b : a));
    open.delete(next);
    near.push([to, next]);
    for (const [row, best] of open) {
      const distance = planDistance(row.place, next.place);
      if (distance < best.distance) open.set(row, { to: next, distance });
    }
  }
  for (const [i, row] of rows.entries()) {
    const farthest = rows
      .slice(i + 1)
      .reduce<Row | null>(
        (a, b) => (a === null || planDistance(row.place, b.place) > planDistance(row.place, a.place) ? b : a),
        null,
      );
    if (farthest) far.push({ pair: [row, farthest], distance: planDistance(row.place, farthest.place) });
  }
  const across: (readonly [Row, Row])[] = [];
  const used = new Set<Row>();
  for (const { pair } of far.sort((a, b) => b.distance - a.distance)) {
    if (
      across.length >= MOST_DIAGONALS ||
      pair.some((row) => used.has(row)) ||
      near.some(([a, b]) => pair.includes(a) && pair.includes(b))
    )
      continue;
    pair.forEach((row) => used.add(row));
    across.push(pair);
  }
  return { near, across };
}

/** A level distance, and what is written of it along the line between the two places. */
export interface Dimension {
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly words: string;
}

/** Between two marks as set. */
export const betweenMarks = ([a, b]: readonly [Row, Row], unit: LengthUnit): Dimension => ({
  from: a.place,
  to: b.place,
  words: writtenLength(planDistance(a.place, b.place), unit, 'finest'),
});

/** A distance written along its line, with the line to both sides of the figure. */
export function drawDimension(
  items: SceneItem[],
  { from: a, to: b, words }: Dimension,
  { frame, x, y }: Board,
  { taken, words: labels }: { readonly taken: Taken; readonly words: Taken },
  measure: Measure,
  kind: 'near' | 'across',
): void {
  const [ax, ay, bx, by] = [x(a), y(a), x(b), y(b)];
  const drawn = Math.hypot(bx - ax, by - ay);
  if (drawn < SHORTEST_DIMENSION) return;
  const w = measure(words, SMALL, 'regular');
  const slope = (Math.atan2(by - ay, bx - ax) * 180) / Math.PI;
  const turn = slope > 90 ? slope - 180 : slope <= -90 ? slope + 180 : slope;
  for (const part of kind === 'near' ? [0.5, 0.35, 0.65] : [0.5, 0.42, 0.58, 0.33, 0.67, 0.25, 0.75]) {
    const [mx, my] = [ax + (bx - ax) * part, ay + (by - ay) * part];
    const [cos, sin] = [Math.abs(Math.cos((turn * Math.PI) / 180)), Math.abs(Math.sin((turn * Math.PI) / 180))];
    const [bw, bh] = [w * cos + SMALL * sin + 2, w * sin + SMALL * cos + 2];
    const around = { x: mx - bw / 2, y: my - bh / 2, w: bw, h: bh };
    const inside =
      around.x >= frame.x &&
      around.y >= frame.y &&
      around.x + bw <= frame.x + frame.w &&
      around.y + bh <= frame.y + frame.h;
    if (!inside || !taken.isFree(around)) continue;
    taken.add(around);
    const [ux, uy] = [(bx - ax) / drawn, (by - ay) / drawn];
    const gap = w / 2 + 3;
    const [before, after] = [drawn * part - gap, drawn * part + gap];
    const line = (from: number, to: number) =>
      path(
        'dimensions',
        [
          [ax + ux * from, ay + uy * from],
          [ax + ux * to, ay + uy * to],
        ],
        { stroke: 'ink2', width: 0.35, ...(kind === 'across' ? { dash: 5 } : {}) },
      );
    // From the figure outward, and no farther than the next name: a line through it would strike it out.
    const reach = (from: number, end: number): number => {
      const step = from < end ? STEP : -STEP;
      let at = from;
      while (
        (end - at) * step > STEP * STEP &&
        labels.isFree({ x: ax + ux * (at + step) - 1, y: ay + uy * (at + step) - 1, w: 2, h: 2 })
      )
        at += step;
      return (end - at) * step > STEP * STEP ? at : end;
    };
    const [first, last] = [reach(before, 5), reach(after, drawn - 5)];
    for (const [from, to] of [
      [first, before],
      [after, last],
    ] as const) {
      if (to - from <= 3) continue;
      const drawnLine = line(from, to);
      items.push(drawnLine);
      taken.addLine(drawnLine.points);
    }
    labels.add(around);
    items.push(
      text(
        'dimensions',
        mx - Math.sin((turn * Math.PI) / 180) * -SMALL * 0.34,
        my + Math.cos((turn * Math.PI) / 180) * SMALL * 0.34,
        words,
        SMALL,
        {
          align: 'middle',
          ink: 'ink2',
          turn,
        },
      ),
    );
    return;
  }
}

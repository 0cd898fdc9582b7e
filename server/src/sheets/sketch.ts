/** The sheet's sketch: outlines, hubs with their names, the offset as a dashed line, north and a scale bar. */
import { planDistance, type PlanPoint } from '@idle-marker/core';
import type { NumberedSheet } from '@idle-marker/records';
import { INKS, widthOfText, write, type Page } from '../paper/pdfPage.ts';

interface Frame {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

const touches = (a: Box, b: Box): boolean => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;
/** Points between boxes along a line: half a label's height. */
const STRING_STEP = 5;
const ROUND = [1, 2, 5, 10, 20, 50, 100, 200, 500];

export function drawSketch(page: Page, sheet: NumberedSheet, frame: Frame): void {
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  if (points.length === 0) return;
  const east = points.map((point) => point.e);
  const north = points.map((point) => point.n);
  const [minE, maxE, minN, maxN] = [Math.min(...east), Math.max(...east), Math.min(...north), Math.max(...north)];
  const pad = 46;
  const scale = Math.min((frame.width - 2 * pad) / Math.max(maxE - minE, 1), (frame.height - 2 * pad) / Math.max(maxN - minN, 1));
  const x = (point: PlanPoint) => frame.x + frame.width / 2 + (point.e - (minE + maxE) / 2) * scale;
  const y = (point: PlanPoint) => frame.y + frame.height / 2 - (point.n - (minN + maxN) / 2) * scale;
  page.lineWidth(1);
  for (const { closed, points } of sheet.shapes) {
    points.forEach((corner, i) => (i === 0 ? page.moveTo(x(corner), y(corner)) : page.lineTo(x(corner), y(corner))));
    if (closed) page.closePath().fillOpacity(0.06).fillAndStroke(INKS.pencil, INKS.pencil).fillOpacity(1);
    else page.lineWidth(0.6).strokeColor(INKS.pencil).stroke().lineWidth(1);
    if (closed) drawSides(page, points, x, y, scale);
  }
  const taken: Box[] = [
    ...sheet.rows.map((row) => ({ x: x(row.place) - 4, y: y(row.place) - 4, w: 8, h: 8 })),
    ...sheet.shapes.flatMap((shape) => boxesAlong(shape, x, y)),
  ];
  for (const row of sheet.rows) {
    page.moveTo(x(row.place), y(row.place)).lineTo(x(row.design), y(row.design)).lineWidth(0.7).dash(2, { space: 2 }).strokeColor(INKS.ink).stroke().undash();
    page.rect(x(row.place) - 3, y(row.place) - 3, 6, 6).fill(INKS.ink);
  }
  for (const row of sheet.rows) labelHub(page, row.name, x(row.place), y(row.place), x(row.place) < x(row.design), taken);
  for (const { closed, points } of sheet.shapes) if (closed) for (const corner of points) labelCorner(page, corner.name, corner, points, x, y, taken);
  drawNorth(page, frame.x + frame.width - 14, frame.y + 6);
  drawScaleBar(page, frame, scale);
}

/** Small boxes strung along the drawn lines, so that hub labels keep off them. */
function boxesAlong({ closed, points }: NumberedSheet['shapes'][number], x: (p: PlanPoint) => number, y: (p: PlanPoint) => number): Box[] {
  const ends = closed ? [...points, points[0]!] : points;
  return ends.slice(1).flatMap((to, i) => {
    const from = ends[i]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(x(to) - x(from), y(to) - y(from)) / STRING_STEP));
    return Array.from({ length: steps + 1 }, (_, k) => {
      const at = { e: from.e + ((to.e - from.e) * k) / steps, n: from.n + ((to.n - from.n) * k) / steps };
      return { x: x(at) - 1, y: y(at) - 1, w: 2, h: 2 };
    });
  });
}

/** Length of each side, along its middle. */
function drawSides(page: Page, corners: readonly PlanPoint[], x: (p: PlanPoint) => number, y: (p: PlanPoint) => number, scale: number): void {
  corners.forEach((corner, i) => {
    const next = corners[(i + 1) % corners.length]!;
    const length = planDistance(corner, next);
    if (length * scale < 70) return;
    const angle = (Math.atan2(y(next) - y(corner), x(next) - x(corner)) * 180) / Math.PI;
    const upright = angle > 90 || angle <= -90 ? angle + 180 : angle;
    const [mx, my] = [(x(corner) + x(next)) / 2, (y(corner) + y(next)) / 2];
    page.save().rotate(upright, { origin: [mx, my] });
    write(page, length.toFixed(3), mx - 30, my + 2, 'regular', 7, INKS.pencil, { width: 60, align: 'center' });
    page.restore();
  });
}

/** A hub's label goes away from its corner first, so that it does not lie on the outline. */
function labelHub(page: Page, name: string, px: number, py: number, isLeft: boolean, taken: Box[]): void {
  const w = widthOfText(page, name, 'bold', 8);
  const h = 10;
  const places = [
    [px + 6, py - 5],
    [px - 6 - w, py - 5],
    [px - w / 2, py - 15],
    [px - w / 2, py + 6],
    [px + 6, py - 15],
    [px - 6 - w, py + 6],
  ] as const;
  const tried = isLeft ? [places[1], places[5], places[2], places[3], places[0], places[4]] : places;
  const free = tried.find(([bx, by]) => !taken.some((other) => touches({ x: bx, y: by, w, h }, other))) ?? tried[0];
  taken.push({ x: free[0], y: free[1], w, h });
  write(page, name, free[0], free[1], 'bold', 8, INKS.ink);
}

/** Corner names stand inside the outline, toward its middle. */
function labelCorner(
  page: Page,
  name: string,
  corner: PlanPoint,
  corners: readonly PlanPoint[],
  x: (p: PlanPoint) => number,
  y: (p: PlanPoint) => number,
  taken: Box[],
): void {
  const middle = { e: corners.reduce((sum, each) => sum + each.e, 0) / corners.length, n: corners.reduce((sum, each) => sum + each.n, 0) / corners.length };
  const length = Math.max(planDistance(corner, middle), 1e-6);
  const w = widthOfText(page, name, 'medium', 8);
  const bx = x(corner) + ((middle.e - corner.e) / length) * 14 - w / 2;
  const by = y(corner) - ((middle.n - corner.n) / length) * 14 - 5;
  if (taken.some((other) => touches({ x: bx, y: by, w, h: 10 }, other))) return;
  taken.push({ x: bx, y: by, w, h: 10 });
  write(page, name, bx, by, 'medium', 8, INKS.pencil);
}

function drawNorth(page: Page, x: number, y: number): void {
  page
    .moveTo(x, y + 28)
    .lineTo(x, y)
    .moveTo(x - 4, y + 7)
    .lineTo(x, y)
    .lineTo(x + 4, y + 7)
    .lineWidth(1)
    .strokeColor(INKS.ink)
    .stroke();
  write(page, 'N', x - 3, y + 30, 'bold', 8, INKS.ink);
}

function drawScaleBar(page: Page, frame: Frame, scale: number): void {
  const metres = ROUND.find((each) => each * scale >= 50) ?? 1000;
  const y = frame.y + frame.height - 6;
  const x = frame.x + frame.width - metres * scale - 4;
  page
    .moveTo(x, y - 4)
    .lineTo(x, y)
    .lineTo(x + metres * scale, y)
    .lineTo(x + metres * scale, y - 4)
    .lineWidth(0.8)
    .strokeColor(INKS.ink2)
    .stroke();
  write(page, `${metres} m`, x, y - 12, 'regular', 7, INKS.ink2, { width: metres * scale, align: 'center' });
}

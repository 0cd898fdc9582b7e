/**
 * The sketch that goes with a cut sheet: the thing, its marks with offsets and heights, dimensions between them, north, scale
 * and legend, to a round scale on a sheet of paper.
 */
import { lengthFromMetres, planDistance, type LengthUnit, type Metres, type PlanPoint, type Standing } from '@idle-marker/core';
import type { CutSheet } from '@idle-marker/records';
import { cutFillWords, STANDING, UNIT_ABBREVIATION, writtenLength } from '@idle-marker/words';
import { placeLabel, Taken, type Box } from './labels.ts';
import { box, path, POINTS_PER_METRE, text, type Measure, type Scene, type SceneItem } from './scene.ts';

/** Width and height upright, points. */
export const PAPERS = {
  A4: [595.28, 841.89],
  A3: [841.89, 1190.55],
  letter: [612, 792],
  tabloid: [792, 1224],
} as const;
export type Paper = keyof typeof PAPERS;

export interface SketchOptions {
  readonly paper: Paper;
  readonly upright: boolean;
  /** Level distances as set, from each mark to the next ones. */
  readonly dimensions: boolean;
  readonly diagonals: boolean;
  readonly heights: boolean;
  readonly offsets: boolean;
}

export const SKETCH_OPTIONS: SketchOptions = { paper: 'A4', upright: false, dimensions: true, diagonals: true, heights: true, offsets: true };

const MARGIN = 34;
const HEAD = 44;
const FOOT = 46;
const LABEL = 8;
const SMALL = 6.8;
/** So many points of paper have to lie between two marks for their distance to be written. */
const SHORTEST_DIMENSION = 46;
const MOST_DIAGONALS = 4;
/** Scales that people have rulers for. */
const SCALES = [10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 2500, 5000, 10_000, 20_000, 50_000, 100_000];

type Row = CutSheet['rows'][number];

/** What a scale is written as: 1 : 200, or for feet so many to the inch. */
export const scaleWords = (scale: number, unit: LengthUnit): string =>
  unit === 'metre' ? `1 : ${scale}` : `1 in = ${Number((scale / 12).toFixed(1))} ft (1 : ${scale})`;

/** Feet have scales of so many feet to the inch. */
const scalesOf = (unit: LengthUnit): readonly number[] =>
  unit === 'metre' ? SCALES : [1, 2, 4, 5, 8, 10, 20, 30, 40, 50, 60, 100, 200, 400, 500, 1000, 2000].map((feet) => feet * 12);

interface Board {
  readonly frame: Box;
  readonly x: (point: PlanPoint) => number;
  readonly y: (point: PlanPoint) => number;
  /** One to so many. */
  readonly scale: number;
  readonly ground: NonNullable<Scene['ground']>;
}

/** Fits the ground to a frame at the largest round scale. */
export function boardFor(points: readonly PlanPoint[], frame: Box, unit: LengthUnit): Board {
  const east = points.map((point) => point.e);
  const north = points.map((point) => point.n);
  const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b), -Infinity);
  const [minE, maxE, minN, maxN] = [least(east), most(east), least(north), most(north)];
  const wanted = Math.max((maxE - minE) / frame.w, (maxN - minN) / frame.h, 1e-6) * POINTS_PER_METRE;
  const scales = scalesOf(unit);
  const scale = scales.find((each) => each >= wanted) ?? Math.ceil(wanted / 100_000) * 100_000;
  const perPoint = scale / POINTS_PER_METRE;
  const e = (minE + maxE) / 2 - (frame.x + frame.w / 2) * perPoint;
  const n = (minN + maxN) / 2 + (frame.y + frame.h / 2) * perPoint;
  return { frame, scale, ground: { e, n, perPoint }, x: (point) => (point.e - e) / perPoint, y: (point) => (n - point.n) / perPoint };
}

/**
 * Dimensions that are worth drawing: the shortest lines that join all marks (Prim, Shortest connection networks), and a few
 * long ones across, no two of them from one mark.
 */
export function dimensionsOf(rows: readonly Row[]): { readonly near: readonly (readonly [Row, Row])[]; readonly across: readonly (readonly [Row, Row])[] } {
  const near: (readonly [Row, Row])[] = [];
  const far: { readonly pair: readonly [Row, Row]; readonly distance: Metres }[] = [];
  // Of each mark that is not joined yet: the joined one that is nearest.
  const open = new Map(rows.slice(1).map((row) => [row, { to: rows[0]!, distance: planDistance(row.place, rows[0]!.place) }]));
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
      .reduce<Row | null>((a, b) => (a === null || planDistance(row.place, b.place) > planDistance(row.place, a.place) ? b : a), null);
    if (farthest) far.push({ pair: [row, farthest], distance: planDistance(row.place, farthest.place) });
  }
  const across: (readonly [Row, Row])[] = [];
  const used = new Set<Row>();
  for (const { pair } of far.sort((a, b) => b.distance - a.distance)) {
    if (across.length >= MOST_DIAGONALS || pair.some((row) => used.has(row)) || near.some(([a, b]) => pair.includes(a) && pair.includes(b))) continue;
    pair.forEach((row) => used.add(row));
    across.push(pair);
  }
  return { near, across };
}

export interface SketchResult {
  readonly scene: Scene;
  /** Marks whose label had no room; they are named in the sketch's foot, and drawn. */
  readonly unlabelled: readonly string[];
}

/** The marks and the thing they stand for, in a frame. */
export function planItems(sheet: CutSheet, board: Board, options: SketchOptions, measure: Measure): { items: SceneItem[]; unlabelled: string[] } {
  const { frame, x, y } = board;
  const items: SceneItem[] = [];
  const taken = new Taken();
  const at = (point: PlanPoint) => [x(point), y(point)] as const;
  for (const { closed, points } of sheet.shapes) {
    const drawn = points.map(at);
    items.push(path('thing', drawn, { closed, stroke: 'pencil', width: closed ? 1 : 0.6, ...(closed ? { fill: 'pencil', opacity: 0.06 } : {}) }));
    taken.addLine(closed && drawn.length > 0 ? [...drawn, drawn[0]!] : drawn);
  }
  for (const row of sheet.rows) {
    const [px, py] = at(row.place);
    taken.add({ x: px - 4, y: py - 4, w: 8, h: 8 });
  }
  for (const row of sheet.rows) {
    if (row.offset > 0) {
      items.push(path('offsets', [at(row.place), at(row.design)], { stroke: 'ink2', width: 0.7, dash: 2 }));
      taken.addLine([at(row.place), at(row.design)]);
    }
    items.push(...markSymbol(x(row.place), y(row.place), row.standing));
  }
  const unlabelled: string[] = [];
  for (const row of sheet.rows) if (!labelMark(items, row, sheet, board, options, taken, measure)) unlabelled.push(row.name);
  for (const { closed, points } of sheet.shapes) if (closed) for (const corner of points) labelCorner(items, corner, points, board, taken, measure);
  const { near, across } = dimensionsOf(options.dimensions || options.diagonals ? sheet.rows : []);
  if (options.dimensions) for (const [a, b] of near) dimension(items, a, b, sheet.lengthUnit, board, taken, measure, 'near');
  if (options.diagonals) for (const [a, b] of across) dimension(items, a, b, sheet.lengthUnit, board, taken, measure, 'across');
  return { items: items.filter((item) => item.kind === 'text' || item.points.every(([px, py]) => withinFrame(px, py, frame))), unlabelled };
}

/** Lines that lead off the paper are left out rather than drawn over its head. */
const withinFrame = (px: number, py: number, { x, y, w, h }: Box): boolean => px > x - MARGIN && px < x + w + MARGIN && py > y - HEAD && py < y + h + HEAD;

/** A set mark is a full square; one that is not held yet is open, so that the paper says it too. */
function markSymbol(px: number, py: number, standing: Standing): SceneItem[] {
  const square = box(px - 3, py - 3, 6, 6);
  return standing === 'held'
    ? [path('marks', square, { closed: true, fill: 'ink', width: 0.8 })]
    : [path('marks', square, { closed: true, fill: 'paper', width: 1.1 })];
}

function labelMark(items: SceneItem[], row: Row, sheet: CutSheet, { frame, x, y }: Board, options: SketchOptions, taken: Taken, measure: Measure): boolean {
  const { lengthUnit, rounding } = sheet;
  const lines: { text: string; size: number; bold: boolean }[] = [{ text: row.name, size: LABEL, bold: true }];
  if (options.heights && row.hubZ !== null)
    lines.push({
      text: `${writtenLength(row.hubZ, lengthUnit, 'finest')}  ${cutFillWords(row.cutFill, lengthUnit, row.reading?.rounding.height ?? rounding)}`,
      size: SMALL,
      bold: false,
    });
  if (options.offsets && row.offset > 0)
    lines.push({
      text: `${writtenLength(row.reading?.offset ?? row.offset, lengthUnit, row.reading?.rounding.offset ?? rounding ?? 'finest')} off ${row.corner}`,
      size: SMALL,
      bold: false,
    });
  for (const shown of [lines, lines.slice(0, 1)]) {
    const w = Math.max(...shown.map((line) => measure(line.text, line.size, line.bold ? 'bold' : 'regular'))) + 2;
    const h = shown.reduce((sum, line) => sum + line.size + 1.4, 1);
    const away = row.offset > 0 ? Math.atan2(y(row.place) - y(row.design), x(row.place) - x(row.design)) : 0;
    const placed = placeLabel(x(row.place), y(row.place), w, h, taken, frame, away);
    if (!placed) continue;
    taken.add(placed.box);
    if (placed.far) items.push(leader(x(row.place), y(row.place), placed.box));
    let top = placed.box.y + 0.5;
    for (const line of shown) {
      items.push(text('labels', placed.box.x + 1, top + line.size * 0.9, line.text, line.size, { weight: line.bold ? 'bold' : 'regular' }));
      top += line.size + 1.4;
    }
    return true;
  }
  return false;
}

function leader(px: number, py: number, { x, y, w, h }: Box): SceneItem {
  const to = [Math.min(Math.max(px, x), x + w), Math.min(Math.max(py, y), y + h)] as const;
  return path('labels', [[px, py], to], { stroke: 'ink2', width: 0.4 });
}

/** Corner names stand inside the outline, toward its middle. */
function labelCorner(
  items: SceneItem[],
  corner: PlanPoint & { readonly name: string },
  corners: readonly PlanPoint[],
  { frame, x, y }: Board,
  taken: Taken,
  measure: Measure,
): void {
  const middle = { e: corners.reduce((sum, each) => sum + each.e, 0) / corners.length, n: corners.reduce((sum, each) => sum + each.n, 0) / corners.length };
  const w = measure(corner.name, LABEL, 'medium');
  const toward = Math.atan2(y(middle) - y(corner), x(middle) - x(corner));
  const placed = placeLabel(x(corner), y(corner), w, LABEL + 1, taken, frame, toward);
  if (!placed || placed.far) return;
  taken.add(placed.box);
  items.push(text('labels', placed.box.x, placed.box.y + LABEL * 0.9, corner.name, LABEL, { weight: 'medium', ink: 'pencil' }));
}

/** The level distance between two marks as set, written along the line between them. */
function dimension(
  items: SceneItem[],
  a: Row,
  b: Row,
  unit: LengthUnit,
  { frame, x, y }: Board,
  taken: Taken,
  measure: Measure,
  kind: 'near' | 'across',
): void {
  const [ax, ay, bx, by] = [x(a.place), y(a.place), x(b.place), y(b.place)];
  const drawn = Math.hypot(bx - ax, by - ay);
  if (drawn < SHORTEST_DIMENSION) return;
  const words = writtenLength(planDistance(a.place, b.place), unit, 'finest');
  const w = measure(words, SMALL, 'regular');
  const slope = (Math.atan2(by - ay, bx - ax) * 180) / Math.PI;
  const turn = slope > 90 ? slope - 180 : slope <= -90 ? slope + 180 : slope;
  for (const part of kind === 'near' ? [0.5, 0.35, 0.65] : [0.5, 0.42, 0.58, 0.33, 0.67, 0.25, 0.75]) {
    const [mx, my] = [ax + (bx - ax) * part, ay + (by - ay) * part];
    const [cos, sin] = [Math.abs(Math.cos((turn * Math.PI) / 180)), Math.abs(Math.sin((turn * Math.PI) / 180))];
    const [bw, bh] = [w * cos + SMALL * sin + 2, w * sin + SMALL * cos + 2];
    const around = { x: mx - bw / 2, y: my - bh / 2, w: bw, h: bh };
    const inside = around.x >= frame.x && around.y >= frame.y && around.x + bw <= frame.x + frame.w && around.y + bh <= frame.y + frame.h;
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
    taken.addLine([
      [ax, ay],
      [mx - ux * gap, my - uy * gap],
    ]);
    taken.addLine([
      [mx + ux * gap, my + uy * gap],
      [bx, by],
    ]);
    if (before > 8) items.push(line(5, before));
    if (drawn - after > 8) items.push(line(after, drawn - 5));
    items.push(
      text('dimensions', mx - Math.sin((turn * Math.PI) / 180) * -SMALL * 0.34, my + Math.cos((turn * Math.PI) / 180) * SMALL * 0.34, words, SMALL, {
        align: 'middle',
        ink: 'ink2',
        turn,
      }),
    );
    return;
  }
}

export function north(x: number, y: number): SceneItem[] {
  return [
    path('frame', [
      [x, y + 28],
      [x, y],
    ]),
    path(
      'frame',
      [
        [x - 4, y + 8],
        [x, y],
        [x + 4, y + 8],
      ],
      { closed: true, fill: 'ink' },
    ),
    text('frame', x, y + 38, 'N', LABEL, { weight: 'bold', align: 'middle' }),
  ];
}

const ROUND = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];
export function scaleBar(right: number, y: number, { scale }: Pick<Board, 'scale'>, unit: LengthUnit): SceneItem[] {
  const perPoint = lengthFromMetres(scale / POINTS_PER_METRE, unit);
  const length = ROUND.find((each) => each / perPoint >= 56) ?? ROUND.at(-1)!;
  const w = length / perPoint;
  const x = right - w;
  return [
    path('frame', box(x, y - 3, w / 2, 3), { closed: true, fill: 'ink', width: 0.5 }),
    path('frame', box(x + w / 2, y - 3, w / 2, 3), { closed: true, fill: 'paper', width: 0.5 }),
    text('frame', x, y - 6, '0', SMALL, { align: 'middle' }),
    text('frame', right, y - 6, `${length} ${UNIT_ABBREVIATION[unit]}`, SMALL, { align: 'end' }),
  ];
}

/** What the symbols mean, in one line. */
function legend(x: number, y: number, sheet: CutSheet, measure: Measure): SceneItem[] {
  const items: SceneItem[] = [];
  let left = x;
  const entry = (draw: (at: number) => SceneItem[], words: string) => {
    items.push(...draw(left + 6).map((item) => ({ ...item, layer: 'frame' as const })), text('frame', left + 16, y + 2.5, words, SMALL, { ink: 'ink2' }));
    left += 16 + measure(words, SMALL, 'regular') + 14;
  };
  const standings = [...new Set(sheet.rows.map((row) => row.standing))];
  if (standings.includes('held')) entry((at) => markSymbol(at, y, 'held'), `mark, ${STANDING.held}`);
  const others = standings.filter((each) => each !== 'held');
  if (others.length > 0) entry((at) => markSymbol(at, y, others[0]!), `mark, ${others.map((each) => STANDING[each]).join(' or ')}`);
  if (sheet.rows.some((row) => row.offset > 0))
    entry(
      (at) => [
        path(
          'frame',
          [
            [at - 6, y],
            [at + 6, y],
          ],
          { stroke: 'ink2', width: 0.7, dash: 2 },
        ),
      ],
      'offset',
    );
  if (sheet.shapes.length > 0)
    entry(
      (at) => [
        path(
          'frame',
          [
            [at - 6, y],
            [at + 6, y],
          ],
          { stroke: 'pencil', width: 1 },
        ),
      ],
      'to build',
    );
  return items;
}

/** The whole page. */
export function sketchScene(
  sheet: CutSheet & { readonly number?: number; readonly revision?: number },
  options: SketchOptions,
  measure: Measure,
): SketchResult {
  const [short, long] = PAPERS[options.paper];
  const [width, height] = options.upright ? [short, long] : [long, short];
  const frame: Box = { x: MARGIN + 8, y: MARGIN + HEAD + 8, w: width - 2 * MARGIN - 16, h: height - 2 * MARGIN - HEAD - FOOT - 16 };
  // Room for labels on every side of what is drawn.
  const inner = { x: frame.x + 46, y: frame.y + 26, w: frame.w - 92, h: frame.h - 52 };
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  const board = { ...boardFor(points.length > 0 ? points : [{ e: 0, n: 0 }], inner, sheet.lengthUnit), frame };
  const { items, unlabelled } = planItems(sheet, board, options, measure);
  const title = sheet.number === undefined ? sheet.package : `Cut sheet ${sheet.number}, revision ${sheet.revision}: ${sheet.package}`;
  const bottom = height - MARGIN;
  const unit = UNIT_ABBREVIATION[sheet.lengthUnit];
  const heights =
    sheet.siteZero === null
      ? 'Heights are true heights.'
      : `Heights are true heights; site zero is ${writtenLength(sheet.siteZero, sheet.lengthUnit, 'finest')} ${unit}.`;
  const notes = [
    `Lengths in ${unit}, level, between the marks as set. ${heights}`,
    ...(unlabelled.length > 0 ? [`No room to name: ${fitted(unlabelled.join(', '), width - 2 * MARGIN - 190, SMALL, measure)}`] : []),
  ];
  return {
    unlabelled,
    scene: {
      title,
      width,
      height,
      ground: board.ground,
      items: [
        ...items,
        path('frame', box(MARGIN, MARGIN + HEAD, width - 2 * MARGIN, height - 2 * MARGIN - HEAD - FOOT), { closed: true, width: 1 }),
        text('frame', MARGIN, MARGIN + 16, fitted(title, width - 2 * MARGIN - 120, 16, measure, 'bold'), 16, { weight: 'bold' }),
        text(
          'frame',
          MARGIN,
          MARGIN + 32,
          fitted(
            `${sheet.site} · for ${sheet.crew} · ${sheet.rows.length} ${sheet.rows.length === 1 ? 'mark' : 'marks'}`,
            width - 2 * MARGIN - 120,
            9.5,
            measure,
          ),
          9.5,
          { ink: 'ink2' },
        ),
        text('frame', width - MARGIN, MARGIN + 16, scaleWords(board.scale, sheet.lengthUnit), 11, { weight: 'bold', align: 'end' }),
        text('frame', width - MARGIN, MARGIN + 32, `drawn for ${options.paper}`, 9.5, { align: 'end', ink: 'ink2' }),
        ...north(width - MARGIN - 14, MARGIN + HEAD + 8),
        ...scaleBar(width - MARGIN - 8, bottom - FOOT - 8, board, sheet.lengthUnit),
        ...legend(MARGIN, bottom - FOOT + 14, sheet, measure),
        ...notes.map((note, i) => text('frame', MARGIN, bottom - FOOT + 30 + i * 10, note, SMALL + 0.7, { ink: 'ink2' })),
      ],
    },
  };
}

/** Cut at the end where it would run out of its room, and said to be cut. */
export function fitted(words: string, width: number, size: number, measure: Measure, weight: 'regular' | 'bold' = 'regular'): string {
  if (measure(words, size, weight) <= width) return words;
  let letters = [...words];
  while (letters.length > 1 && measure(`${letters.join('')}…`, size, weight) > width)
    letters = letters.slice(0, Math.max(1, Math.floor(letters.length * 0.95) - 1));
  return `${letters.join('').trimEnd()}…`;
}

/**
 * The sketch that goes with a cut sheet: the thing, its marks with offsets and heights, dimensions between them, north, scale
 * and legend, to a round scale on a sheet of paper.
 */
import type { PlanPoint, Standing } from '@idle-marker/core';
import type { CutSheet } from '@idle-marker/records';
import { cutFillWords, STANDING, UNIT_ABBREVIATION, writtenLength } from '@idle-marker/words';
import { boardFor, north, PAPERS, scaleBar, scaleWords, type Board, type Paper } from './board.ts';
import { dimensionsOf, drawDimension } from './dimensions.ts';
import { fitted } from './fitted.ts';
import { placeLabel, Taken, type Box } from './labels.ts';
import { box, LABEL, path, SMALL, text, type Measure, type Scene, type SceneItem } from './scene.ts';

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
type Row = CutSheet['rows'][number];

export interface SketchResult {
  readonly scene: Scene;
  /** Marks whose label had no room; they are named in the sketch's foot, and drawn. */
  readonly unlabelled: readonly string[];
}

/** How much of a drawing is placed. */
export interface Drawn {
  readonly done: number;
  readonly of: number;
}

/** The marks and the thing they stand for, in a frame: one label or dimension at each step. */
function* planSteps(
  sheet: CutSheet,
  board: Board,
  options: SketchOptions,
  measure: Measure,
): Generator<Drawn, { readonly items: SceneItem[]; readonly unlabelled: string[] }> {
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
    if (row.offset <= 0) continue;
    items.push(path('offsets', [at(row.place), at(row.design)], { stroke: 'ink2', width: 0.7, dash: 2 }));
    taken.addLine([at(row.place), at(row.design)]);
  }
  for (const row of sheet.rows) items.push(...markSymbol(x(row.place), y(row.place), row.standing));
  const corners = sheet.shapes.flatMap(({ closed, points }) => (closed ? points.map((corner) => ({ corner, points })) : []));
  const { near, across } = dimensionsOf(options.dimensions || options.diagonals ? sheet.rows : []);
  const dimensions = [
    ...(options.dimensions ? near.map((pair) => ({ pair, kind: 'near' as const })) : []),
    ...(options.diagonals ? across.map((pair) => ({ pair, kind: 'across' as const })) : []),
  ];
  const of = sheet.rows.length + corners.length + dimensions.length;
  let done = 0;
  const unlabelled: string[] = [];
  for (const row of sheet.rows) {
    if (!labelMark(items, row, sheet, board, options, taken, measure)) unlabelled.push(row.name);
    yield { done: ++done, of };
  }
  for (const { corner, points } of corners) {
    labelCorner(items, corner, points, board, taken, measure);
    yield { done: ++done, of };
  }
  for (const { pair, kind } of dimensions) {
    drawDimension(items, pair, sheet.lengthUnit, board, taken, measure, kind);
    yield { done: ++done, of };
  }
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

type NumberedSheet = CutSheet & { readonly number?: number; readonly revision?: number };

/** The whole page at once. */
export const sketchScene = (sheet: NumberedSheet, options: SketchOptions, measure: Measure): SketchResult => toEnd(sketchSteps(sheet, options, measure));

/** The marks alone, in a frame of a page that holds more. */
export const planItems = (sheet: CutSheet, board: Board, options: SketchOptions, measure: Measure): readonly SceneItem[] =>
  toEnd(planSteps(sheet, board, options, measure)).items;

function toEnd<T>(steps: Generator<Drawn, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** The whole page, a small piece at each step: who draws for a person rests between them. */
export function* sketchSteps(sheet: NumberedSheet, options: SketchOptions, measure: Measure): Generator<Drawn, SketchResult> {
  const [short, long] = PAPERS[options.paper];
  const [width, height] = options.upright ? [short, long] : [long, short];
  const frame: Box = { x: MARGIN + 8, y: MARGIN + HEAD + 8, w: width - 2 * MARGIN - 16, h: height - 2 * MARGIN - HEAD - FOOT - 16 };
  // Room for labels on every side of what is drawn.
  const inner = { x: frame.x + 46, y: frame.y + 26, w: frame.w - 92, h: frame.h - 52 };
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  const board = { ...boardFor(points.length > 0 ? points : [{ e: 0, n: 0 }], inner, sheet.lengthUnit), frame };
  const { items, unlabelled } = yield* planSteps(sheet, board, options, measure);
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

/** The marks of a sheet and the thing they stand for, drawn in a frame with their names, figures and distances. */
import type { PlanPoint, Standing } from '@idle-marker/core';
import type { CutSheet } from '@idle-marker/records';
import { msg, cutFillWords, writtenLength } from '@idle-marker/words';
import type { Board } from './board.ts';
import { clipped } from './clip.ts';
import { betweenMarks, dimensionsOf, drawDimension } from './dimensions.ts';
import { isInside, placeLabel, Taken } from './labels.ts';
import { box, LABEL, path, SMALL, text, type Measure, type SceneItem } from './scene.ts';
import type { SketchOptions } from './sketchOptions.ts';

type Row = CutSheet['rows'][number];

/** What is being drawn, and the room that is taken. */
interface Drawing {
  readonly items: SceneItem[];
  readonly sheet: CutSheet;
  readonly board: Board;
  readonly options: SketchOptions;
  readonly measure: Measure;
  readonly taken: Taken;
  /** The boxes of texts alone: no line may lead through them. */
  readonly words: Taken;
}

export interface PlanDrawn {
  readonly items: SceneItem[];
  /** Marks whose name had no room. */
  readonly unlabelled: string[];
}

/** One label or dimension at each step, which tells how much of it is done, from 0 to 1. */
export function* planSteps(
  sheet: CutSheet,
  board: Board,
  options: SketchOptions,
  measure: Measure,
): Generator<number, PlanDrawn> {
  const { frame, x, y } = board;
  const items: SceneItem[] = [];
  const taken = new Taken();
  const drawing: Drawing = { items, sheet, board, options, measure, taken, words: new Taken() };
  const at = (point: PlanPoint) => [x(point), y(point)] as const;
  for (const { closed, points } of sheet.shapes) {
    const drawn = points.map(at);
    if (drawn.every((place) => isInside(place, frame))) {
      items.push(
        path('thing', drawn, {
          closed,
          stroke: 'pencil',
          width: closed ? 1 : 0.6,
          ...(closed ? { fill: 'pencil', opacity: 0.06 } : {}),
        }),
      );
      taken.addLine(closed && drawn.length > 0 ? [...drawn, drawn[0]!] : drawn);
      continue;
    }
    for (const piece of clipped(drawn, closed, frame)) {
      items.push(path('thing', piece, { stroke: 'pencil', width: closed ? 1 : 0.6 }));
      taken.addLine(piece);
    }
  }
  for (const row of sheet.rows) {
    const [px, py] = at(row.place);
    taken.add({ x: px - 4, y: py - 4, w: 8, h: 8 });
  }
  for (const row of sheet.rows) {
    if (row.offset <= 0) continue;
    for (const piece of clipped([at(row.place), at(row.design)], false, frame)) {
      items.push(path('offsets', piece, { stroke: 'ink2', width: 0.7, dash: 2 }));
      taken.addLine(piece);
    }
  }
  for (const row of sheet.rows) items.push(...markSymbol(x(row.place), y(row.place), row.standing));
  const corners = sheet.shapes.flatMap(({ closed, points }) =>
    closed ? points.filter((corner) => isInside(at(corner), frame)).map((corner) => ({ corner, points })) : [],
  );
  const { near, across } = dimensionsOf(options.dimensions || options.diagonals ? sheet.rows : []);
  const dimensions = [
    ...(options.dimensions ? near.map((pair) => ({ pair, kind: 'near' as const })) : []),
    ...(options.diagonals ? across.map((pair) => ({ pair, kind: 'across' as const })) : []),
  ];
  const of = sheet.rows.length + corners.length + dimensions.length;
  let done = 0;
  const unlabelled: string[] = [];
  for (const row of sheet.rows) {
    if (!labelMark(drawing, row)) unlabelled.push(row.name);
    yield ++done / of;
  }
  for (const { corner, points } of corners) {
    labelCorner(drawing, corner, points);
    yield ++done / of;
  }
  for (const { pair, kind } of dimensions) {
    drawDimension(items, betweenMarks(pair, sheet.lengthUnit), board, drawing, measure, kind);
    yield ++done / of;
  }
  for (const { other, gap, at: from, to } of sheet.gaps ?? []) {
    if (!isInside(at(from), frame)) continue;
    const length = writtenLength(gap, sheet.lengthUnit, 'finest');
    const words = gap > 0 ? msg('sketches.gapTo', { length, other }) : msg('sketches.overlaps', { other });
    labelGap(drawing, from, words);
    for (const piece of clipped([at(from), at(to)], false, frame))
      items.push(path('dimensions', piece, { stroke: 'ink', width: 1 }));
  }
  return { items, unlabelled };
}

/** A set mark is a full square; one that is not held yet is open, so that the paper says it too. */
export function markSymbol(px: number, py: number, standing: Standing): SceneItem[] {
  const square = box(px - 3, py - 3, 6, 6);
  return standing === 'held'
    ? [path('marks', square, { closed: true, fill: 'ink', width: 0.8 })]
    : [path('marks', square, { closed: true, fill: 'paper', width: 1.1 })];
}

/** "2.000 off C5", or how far beyond the end of a line. */
function offWords(row: Row, unit: CutSheet['lengthUnit'], rounding: CutSheet['rounding']): string {
  const figures = {
    writtenLength: writtenLength(
      row.reading?.offset ?? row.offset,
      unit,
      row.reading?.rounding.offset ?? rounding ?? 'finest',
    ),
    corner: row.corner,
  };
  return row.reach === 'line' ? msg('sketches.beyond', figures) : msg('sketches.off', figures);
}

function labelMark(drawing: Drawing, row: Row): boolean {
  const { items, sheet, board, options, taken, words, measure } = drawing;
  const { frame, x, y } = board;
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
      text: offWords(row, lengthUnit, rounding),
      size: SMALL,
      bold: false,
    });
  for (const shown of [lines, lines.slice(0, 1)]) {
    const w = Math.max(...shown.map((line) => measure(line.text, line.size, line.bold ? 'bold' : 'regular'))) + 2;
    const h = shown.reduce((sum, line) => sum + line.size + 1.4, 1);
    const away = row.offset > 0 ? Math.atan2(y(row.place) - y(row.design), x(row.place) - x(row.design)) : 0;
    const placed = placeLabel(x(row.place), y(row.place), w, h, { taken, words, frame, away });
    if (!placed) continue;
    taken.add(placed.box);
    words.add(placed.box);
    if (placed.leader) {
      items.push(path('labels', placed.leader, { stroke: 'ink2', width: 0.4 }));
      taken.addLine(placed.leader);
    }
    let top = placed.box.y + 0.5;
    for (const line of shown) {
      items.push(
        text('labels', placed.box.x + 1, top + line.size * 0.9, line.text, line.size, {
          weight: line.bold ? 'bold' : 'regular',
        }),
      );
      top += line.size + 1.4;
    }
    return true;
  }
  return false;
}

/** What is left to something else, beside where it is left. */
function labelGap({ items, board, taken, words, measure }: Drawing, from: PlanPoint, said: string): void {
  const { frame, x, y } = board;
  const w = measure(said, SMALL, 'bold') + 2;
  const placed = placeLabel(x(from), y(from), w, SMALL + 2, { taken, words, frame, away: 0 });
  if (!placed) return;
  taken.add(placed.box);
  words.add(placed.box);
  if (placed.leader) items.push(path('labels', placed.leader, { stroke: 'ink2', width: 0.4 }));
  items.push(text('labels', placed.box.x + 1, placed.box.y + SMALL, said, SMALL, { weight: 'bold' }));
}

/** Corner names stand inside the outline, toward its middle. */
function labelCorner(
  { items, board, taken, words, measure }: Drawing,
  corner: PlanPoint & { readonly name: string },
  corners: readonly PlanPoint[],
): void {
  const { frame, x, y } = board;
  const middle = {
    e: corners.reduce((sum, each) => sum + each.e, 0) / corners.length,
    n: corners.reduce((sum, each) => sum + each.n, 0) / corners.length,
  };
  const w = measure(corner.name, LABEL, 'medium');
  const toward = Math.atan2(y(middle) - y(corner), x(middle) - x(corner));
  const placed = placeLabel(x(corner), y(corner), w, LABEL + 1, { taken, words, frame, away: toward });
  if (!placed || placed.leader) return;
  taken.add(placed.box);
  words.add(placed.box);
  items.push(
    text('labels', placed.box.x, placed.box.y + LABEL * 0.9, corner.name, LABEL, { weight: 'medium', ink: 'pencil' }),
  );
}

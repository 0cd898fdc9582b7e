/**
 * The sketch that goes with a cut sheet: the thing, its marks with offsets and heights, dimensions between them, north,
 * scale and legend, to a round scale on a sheet of paper. Where one page has no room for the names, a key of all of it
 * and pages at a larger scale.
 */
import type { CutSheet } from '@idle-marker/records';
import { msg, standingWords, unitAbbreviationWords, writtenLength } from '@idle-marker/words';
import {
  boardAt,
  boardFor,
  finerScales,
  north,
  PAPERS,
  scaleBar,
  scaleWords,
  type Board,
  type Paper,
} from './board.ts';
import { fitted } from './fitted.ts';
import type { Box } from './labels.ts';
import { markSymbol, planSteps, type PlanDrawn } from './planDrawing.ts';
import { box, path, POINTS_PER_METRE, SMALL, text, type Measure, type Scene, type SceneItem } from './scene.ts';
import type { SketchOptions } from './sketchOptions.ts';
import { tilesOf, type Tile } from './tiles.ts';

const MARGIN = 34;
const HEAD = 44;
/** Legend and notes; below them stays a strip for what says which page it is. */
const FOOT = 58;
const STRIP = 34;
/** So many of a hundred marks may stay without a name before the plan is parted. */
const UNNAMED_SHARE = 0.02;
const MOST_PAGES = 40;
/** What a label takes of a page with the room that it leaves around it, square points. */
const LABEL_AREA = 2600;

type Row = CutSheet['rows'][number];
type NumberedSheet = CutSheet & { readonly number?: number; readonly revision?: number };

/** How the paper lies so that the drawing on it is at the larger scale. */
export function liesUpright(sheet: CutSheet, paper: Paper): boolean {
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  if (points.length === 0) return false;
  const scaleOf = (upright: boolean) => boardFor(points, pageOf({ paper, upright }).inner, sheet.lengthUnit).scale;
  return scaleOf(true) < scaleOf(false);
}

export interface SketchResult {
  /** One page, or the key of all of it with its pages after it. */
  readonly pages: readonly [Scene, ...Scene[]];
  /** Marks whose label had no room; they are named in the sketch's foot, and drawn. */
  readonly unlabelled: readonly string[];
}

/** The whole sketch at once. */
export const sketchScene = (sheet: NumberedSheet, options: SketchOptions, measure: Measure): SketchResult =>
  toEnd(sketchSteps(sheet, options, measure));

/** The marks alone, in a frame of a page that holds more; null where not all of their names have room. */
export function planItems(
  sheet: CutSheet,
  board: Board,
  options: SketchOptions,
  measure: Measure,
): readonly SceneItem[] | null {
  const { items, unlabelled } = toEnd(planSteps(sheet, board, options, measure));
  return isCrowded(sheet.rows, unlabelled) ? null : items;
}

function toEnd<T>(steps: Generator<number, T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

const isCrowded = (rows: readonly Row[], unlabelled: readonly string[]): boolean =>
  unlabelled.length > rows.length * UNNAMED_SHARE;

interface Page {
  readonly width: number;
  readonly height: number;
  readonly frame: Box;
  /** Within the frame, with room for labels on every side of what is drawn. */
  readonly inner: Box;
}

function pageOf({ paper, upright }: Pick<SketchOptions, 'paper' | 'upright'>): Page {
  const [short, long] = PAPERS[paper];
  const [width, height] = upright ? [short, long] : [long, short];
  const frame = {
    x: MARGIN + 8,
    y: MARGIN + HEAD + 8,
    w: width - 2 * MARGIN - 16,
    h: height - 2 * MARGIN - HEAD - FOOT - STRIP - 16,
  };
  return { width, height, frame, inner: { x: frame.x + 46, y: frame.y + 26, w: frame.w - 92, h: frame.h - 52 } };
}

/**
 * The whole sketch, a small piece at each step: who draws for a person rests between them. Each step tells how much is
 * done, from 0 to 1. One page is tried first; each further try takes half of what is left.
 */
export function* sketchSteps(
  sheet: NumberedSheet,
  options: SketchOptions,
  measure: Measure,
): Generator<number, SketchResult> {
  const page = pageOf(options);
  const points = [...sheet.shapes.flatMap((shape) => shape.points), ...sheet.rows.map((row) => row.place)];
  const board = {
    ...boardFor(points.length > 0 ? points : [{ e: 0, n: 0 }], page.inner, sheet.lengthUnit),
    frame: page.frame,
  };
  const asked = { sheet, options, measure, page };
  let told = 0;
  const share = function* <T>(steps: Generator<number, T>): Generator<number, T> {
    const [from, span] = [told, (1 - told) / 2];
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      told = from + span * step.value;
      yield told;
    }
  };
  const whole = yield* share(planSteps(sheet, board, options, measure));
  let result: SketchResult = {
    pages: [sceneOf(asked, board, whole, sheet.rows.length, '')],
    unlabelled: whole.unlabelled,
  };
  let named = whole.unlabelled.length;
  for (const { scale, tiles } of isCrowded(sheet.rows, whole.unlabelled) ? partings(sheet, board, page) : []) {
    const parted = yield* share(partSteps(asked, board, scale, tiles));
    if (parted.unlabelled.length < named) [result, named] = [parted, parted.unlabelled.length];
    if (!isCrowded(sheet.rows, parted.unlabelled)) break;
  }
  yield 1;
  return result;
}

/** Round scales at which the plan takes more than one page, the smallest number of pages first. */
function partings(
  { rows, lengthUnit }: CutSheet,
  { scale }: Board,
  { inner }: Page,
): { readonly scale: number; readonly tiles: readonly Tile<Row>[] }[] {
  const room = (inner.w * inner.h) / LABEL_AREA;
  return finerScales(scale, lengthUnit)
    .map((finer) => ({
      scale: finer,
      tiles: tilesOf(rows, (inner.w * finer) / POINTS_PER_METRE, (inner.h * finer) / POINTS_PER_METRE),
    }))
    .filter(
      ({ tiles }) => tiles.length > 1 && tiles.length <= MOST_PAGES && tiles.every((tile) => tile.rows.length <= room),
    );
}

interface Asked {
  readonly sheet: NumberedSheet;
  readonly options: SketchOptions;
  readonly measure: Measure;
  readonly page: Page;
}

/** A key of all pages, and each of them. */
function* partSteps(
  asked: Asked,
  whole: Board,
  scale: number,
  tiles: readonly Tile<Row>[],
): Generator<number, SketchResult> {
  const { sheet, options, measure, page } = asked;
  const unlabelled: string[] = [];
  const pages: Scene[] = [];
  for (const [i, tile] of tiles.entries()) {
    const board = { ...boardAt(tile.centre, scale, page.inner), frame: page.frame };
    const steps = planSteps({ ...sheet, rows: tile.rows }, board, { ...options, diagonals: false }, measure);
    for (;;) {
      const step = steps.next();
      if (step.done) {
        unlabelled.push(...step.value.unlabelled);
        pages.push(
          sceneOf(
            asked,
            board,
            step.value,
            tile.rows.length,
            msg('sketches.partOf', { i: i + 1, tiles: tiles.length }),
          ),
        );
        break;
      }
      yield (i + step.value) / tiles.length;
    }
  }
  return { pages: [keyOf(asked, whole, tiles), ...pages], unlabelled };
}

/** All of it without names, and where each page lies. */
function keyOf(asked: Asked, board: Board, tiles: readonly Tile<Row>[]): Scene {
  const { sheet, options, measure } = asked;
  const { x, y } = board;
  const plain = toEnd(planSteps({ ...sheet, rows: [] }, board, options, measure));
  const marks = sheet.rows.flatMap((row) => markSymbol(x(row.place), y(row.place), row.standing));
  const parts = tiles.flatMap(({ centre, width, height }, i): SceneItem[] => {
    const [px, py] = [x({ e: centre.e - width / 2, n: 0 }), y({ e: 0, n: centre.n + height / 2 })];
    const [w, h] = [width / board.ground.perPoint, height / board.ground.perPoint];
    return [
      path('frame', box(px - 3, py - 3, w + 6, h + 6), { closed: true, stroke: 'brick', width: 0.9, dash: 5 }),
      text('frame', px + w / 2, py + h / 2 + 8, String(i + 1), 22, { weight: 'bold', align: 'middle', ink: 'brick' }),
    ];
  });
  const items = [...plain.items.filter(({ layer }) => layer !== 'labels'), ...marks, ...parts];
  return sceneOf(
    asked,
    board,
    { items, unlabelled: [] },
    sheet.rows.length,
    msg('sketches.keyToParts', { tiles: tiles.length }),
  );
}

/** A page around what is drawn: title, frame, north, scale, legend and notes. */
function sceneOf(
  { sheet, options, measure, page }: Asked,
  board: Board,
  { items, unlabelled }: PlanDrawn,
  marks: number,
  part: string,
): Scene {
  const { width, height } = page;
  const called =
    sheet.number === undefined
      ? sheet.package
      : msg('sketches.cutSheetRevision', { number: sheet.number, revision: sheet.revision, package: sheet.package });
  const title = part === '' ? called : `${called}, ${part}`;
  const bottom = height - MARGIN - STRIP;
  const unit = unitAbbreviationWords()[sheet.lengthUnit];
  const heights =
    sheet.siteZero === null
      ? msg('sketches.heightsAreTrueHeights')
      : msg('sketches.heightsAreTrueHeightsSiteZeroIs', {
          writtenLength: writtenLength(sheet.siteZero, sheet.lengthUnit, 'finest'),
          unit,
        });
  const notes = [
    msg('sketches.lengthsInLevelBetweenTheMarksAs', { unit, heights }),
    ...(unlabelled.length > 0
      ? [
          msg('sketches.noRoomToName', {
            fitted: fitted(unlabelled.join(', '), width - 2 * MARGIN - 190, SMALL, measure),
          }),
        ]
      : []),
  ];
  const about = msg('sketches.for', { site: sheet.site, crew: sheet.crew, marks });
  return {
    title,
    width,
    height,
    ground: board.ground,
    items: [
      ...items,
      path('frame', box(MARGIN, MARGIN + HEAD, width - 2 * MARGIN, height - 2 * MARGIN - HEAD - FOOT - STRIP), {
        closed: true,
        width: 1,
      }),
      text('frame', MARGIN, MARGIN + 16, fitted(title, width - 2 * MARGIN - 120, 16, measure, 'bold'), 16, {
        weight: 'bold',
      }),
      text('frame', MARGIN, MARGIN + 32, fitted(about, width - 2 * MARGIN - 120, 10, measure), 10, { ink: 'ink2' }),
      text('frame', width - MARGIN, MARGIN + 16, scaleWords(board.scale, sheet.lengthUnit), 11, {
        weight: 'bold',
        align: 'end',
      }),
      text('frame', width - MARGIN, MARGIN + 32, msg('sketches.drawnFor', { paper: options.paper }), 10, {
        align: 'end',
        ink: 'ink2',
      }),
      ...north(width - MARGIN - 14, MARGIN + HEAD + 8),
      ...scaleBar(width - MARGIN - 8, bottom - FOOT - 8, board, sheet.lengthUnit),
      ...legend(MARGIN, bottom - FOOT + 14, sheet, measure),
      ...notes.map((note, i) => text('frame', MARGIN, bottom - FOOT + 32 + i * 12, note, SMALL, { ink: 'ink2' })),
    ],
  };
}

/** What the symbols mean, in one line. */
function legend(x: number, y: number, sheet: CutSheet, measure: Measure): SceneItem[] {
  const items: SceneItem[] = [];
  let left = x;
  const entry = (draw: (at: number) => SceneItem[], words: string) => {
    items.push(
      ...draw(left + 6).map((item) => ({ ...item, layer: 'frame' as const })),
      text('frame', left + 16, y + 2.5, words, SMALL, { ink: 'ink2' }),
    );
    left += 16 + measure(words, SMALL, 'regular') + 14;
  };
  const standings = [...new Set(sheet.rows.map((row) => row.standing))];
  if (standings.includes('held'))
    entry((at) => markSymbol(at, y, 'held'), msg('sketches.mark', { held: standingWords().held }));
  const others = standings.filter((each) => each !== 'held');
  if (others.length > 0)
    entry(
      (at) => markSymbol(at, y, others[0]!),
      msg('sketches.mark2', { others: others.map((each) => standingWords()[each]).join(' or ') }),
    );
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
      msg('sketches.toBuild'),
    );
  return items;
}

/** How to read one stake, drawn from its own figures: from the side, and from above with north up. */
import { planDistance, type LengthUnit, type PlanPoint, type StakeReading } from '@idle-marker/core';
import { filled, heightThing, offsetThing, readLength, type CrewWords } from '@idle-marker/words';
import { placeLabel, Taken, type Box } from './labels.ts';
import { box, path, text, type Measure, type Scene, type SceneItem } from './scene.ts';
import { north } from './board.ts';
import { fitted } from './fitted.ts';

export const READING_WIDTH = 300;
export const READING_HEIGHT = 190;

const SIZE = 11;
/** Where the hub stands in the section. */
const HUB_X = 62;
/** Lowest and highest height that a feature is drawn at. */
const TOP = 44;
const BOTTOM = 136;
const BAR = 8;

export interface ReadingDrawn {
  readonly words: CrewWords;
  readonly unit: LengthUnit;
  readonly measure: Measure;
}

/** What stands where a cut or fill figure does: never a bare sign. */
const cutFillText = (cutFill: number, reading: StakeReading, { words, unit }: ReadingDrawn): string =>
  `${cutFill > 0 ? words.cut : words.fill} ${readLength(cutFill, unit, reading.rounding, 'height')}`;

/** A feature in the section: its own column, so that no figure lies on another. */
interface Feature {
  readonly what: string;
  readonly height: StakeReading['heights'][number] | null;
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

/**
 * From the side: the hub with its lath, level to the thing, then down or up. Not to scale; what is higher is drawn
 * higher.
 */
export function sectionScene(reading: StakeReading, drawn: ReadingDrawn): Scene {
  const { words, unit, measure } = drawn;
  const { heights } = reading;
  const on = reading.reach.way === 'on';
  const lower = heights.some(({ cutFill }) => cutFill > 0);
  const higher = heights.some(({ cutFill }) => cutFill < 0);
  const hubY = lower && higher ? (TOP + BOTTOM) / 2 : lower ? TOP + 8 : higher ? BOTTOM - 12 : (TOP + BOTTOM) / 2 + 10;
  const largest = Math.max(...heights.map(({ cutFill }) => Math.abs(cutFill)), 1e-9);
  // The smaller of two is drawn at half way at least, so that both can be read.
  const deep = (cutFill: number) =>
    cutFill === 0 ? 0 : Math.sign(cutFill) * (0.5 + 0.5 * (Math.abs(cutFill) / largest)) * (lower && higher ? 40 : 72);
  const first = on ? HUB_X + 24 : heights.length > 1 ? 138 : 190;
  const width = (READING_WIDTH - first - 4) / Math.max(heights.length, 1) - 4;
  const features: Feature[] =
    heights.length === 0
      ? [{ what: offsetThing(reading, words), height: null, x: first, y: hubY, width }]
      : heights.map((height, i) => ({
          what: heightThing(height, words),
          height,
          x: first + i * (width + 4),
          y: hubY + deep(height.cutFill),
          width,
        }));
  const groundY = reading.carrier === 'surface' ? hubY : Math.min(BOTTOM + 26, hubY + 24);
  const groundEnd = on ? HUB_X + 16 : first - 22;
  const items: SceneItem[] = [
    path(
      'frame',
      [
        [6, groundY],
        [groundEnd, groundY],
      ],
      { width: 1.2 },
    ),
    ...Array.from({ length: Math.floor((groundEnd - 10) / 22) }, (_, i) =>
      path(
        'frame',
        [
          [14 + i * 22, groundY],
          [8 + i * 22, groundY + 7],
        ],
        { stroke: 'ink2', width: 0.6 },
      ),
    ),
    ...carrierItems(reading.carrier, hubY, groundY),
    path(
      'marks',
      [
        [HUB_X, hubY - 5],
        [HUB_X, hubY + 3],
      ],
      { width: 1.6 },
    ),
    text('labels', HUB_X + 4, hubY - 8, words.point[reading.point], SIZE, { weight: 'medium' }),
  ];
  if (!on) {
    const end = features.at(-1)!.x + (heights.length > 1 ? 10 : 0);
    items.push(
      path(
        'dimensions',
        [
          [HUB_X, hubY],
          [end, hubY],
        ],
        { width: 1, dash: 3 },
      ),
    );
    if (heights.length < 2) items.push(...arrow(first - 2, hubY, 0));
    const level = `${words.reading.level} ${readLength(reading.offset, unit, reading.rounding, 'offset')}`;
    items.push(
      text('dimensions', (HUB_X + first) / 2 + 8, hubY + 13, level, SIZE + 1, { align: 'middle', weight: 'bold' }),
    );
  }
  for (const feature of features) items.push(...featureItems(feature, hubY, reading, drawn));
  items.push(
    text('frame', 6, READING_HEIGHT - 6, words.reading.section, SIZE - 0.5, { ink: 'ink2' }),
    text('labels', 6, groundY + 20, fitted(reading.name, first - 12, SIZE, measure), SIZE, { weight: 'bold' }),
  );
  return {
    title: filled(words.reading.title, { name: reading.name }),
    width: READING_WIDTH,
    height: READING_HEIGHT,
    items,
    ground: null,
  };
}

/** The hub or peg in the ground, and the lath beside a hub. */
function carrierItems(carrier: StakeReading['carrier'], hubY: number, groundY: number): SceneItem[] {
  if (carrier === 'surface')
    return [
      path(
        'marks',
        [
          [HUB_X - 6, hubY],
          [HUB_X + 6, hubY],
        ],
        { width: 2 },
      ),
    ];
  const top = Math.max(hubY - 52, 4);
  const lath =
    carrier === 'lath'
      ? [
          path('marks', box(HUB_X - 30, top, 11, groundY - top + 6), { closed: true, fill: 'lath', width: 1 }),
          ...[12, 19, 26].map((down) =>
            path(
              'marks',
              [
                [HUB_X - 28, top + down],
                [HUB_X - 21, top + down],
              ],
              { width: 0.7 },
            ),
          ),
        ]
      : [];
  return [
    ...lath,
    path('marks', box(HUB_X - 6, hubY, 12, groundY - hubY + 10), { closed: true, fill: 'hub', width: 1 }),
  ];
}

function featureItems(
  { what, height, x, y, width }: Feature,
  hubY: number,
  reading: StakeReading,
  drawn: ReadingDrawn,
): SceneItem[] {
  const { words, measure } = drawn;
  const flat = Math.abs(y - hubY) < 2;
  const isAbove = y < hubY - 2;
  const items: SceneItem[] = [
    path('thing', box(x, y, width, BAR), { closed: true, stroke: 'pencil', fill: 'pencil', opacity: 0.18, width: 1 }),
    // Above the thing where the figure comes to it from below.
    text('labels', x + 2, isAbove ? y - 5 : y + 19, fitted(what, width, SIZE, measure), SIZE, {
      ink: 'pencil',
      weight: 'medium',
    }),
  ];
  if (!height) return items;
  if (flat) return [...items, text('dimensions', x + 14, y - 6, words.onGrade, SIZE + 1, { weight: 'bold' })];
  const to = isAbove ? y + BAR : y;
  const figure = cutFillText(height.cutFill, reading, drawn);
  // Long words of cut and fill stay on the paper, in smaller letters.
  const size = Math.min(SIZE + 1, ((SIZE + 1) * (READING_WIDTH - x - 20)) / measure(figure, SIZE + 1, 'bold'));
  return [
    ...items,
    path(
      'dimensions',
      [
        [x + 10, hubY],
        [x + 10, to],
      ],
      { width: 1 },
    ),
    ...arrow(x + 10, to, isAbove ? -90 : 90),
    text('dimensions', x + 16, (hubY + to) / 2 + 4, figure, size, {
      weight: 'bold',
      ink: height.cutFill > 0 ? 'cut' : 'fill',
    }),
  ];
}

/** A filled head at the end of a line; degrees clockwise from the right. */
function arrow(x: number, y: number, degrees: number): SceneItem[] {
  const at = (along: number, across: number): readonly [number, number] => {
    const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
    return [x + along * cos - across * sin, y + along * sin + across * cos];
  };
  return [path('dimensions', [at(0, 0), at(-7, -3), at(-7, 3)], { closed: true, fill: 'ink', width: 0.5 })];
}

/** How the face of the lath stands to the way that leads to the thing, degrees. */
const TURNED = { toItem: 0, angled: 45, alongRoad: 90 } as const;

/** From above: the mark, the thing and the way between them, with north up and to its own scale. */
export function planScene(reading: StakeReading, { words, unit, measure }: ReadingDrawn): Scene {
  const frame: Box = { x: 10, y: 14, w: READING_WIDTH - 40, h: READING_HEIGHT - 34 };
  const reach = Math.max(planDistance(reading.place, reading.design), 0.5);
  const middle = { e: (reading.place.e + reading.design.e) / 2, n: (reading.place.n + reading.design.n) / 2 };
  const perPoint = (reach * 2.1) / Math.min(frame.w, frame.h);
  const x = (point: PlanPoint) => frame.x + frame.w / 2 + (point.e - middle.e) / perPoint;
  const y = (point: PlanPoint) => frame.y + frame.h / 2 - (point.n - middle.n) / perPoint;
  const taken = new Taken();
  const items: SceneItem[] = [];
  for (const line of reading.lines) {
    for (let i = 1; i < line.length; i++) {
      const piece = clipped([x(line[i - 1]!), y(line[i - 1]!)], [x(line[i]!), y(line[i]!)], frame);
      if (!piece) continue;
      items.push(path('thing', piece, { stroke: 'pencil', width: 2 }));
      taken.addLine(piece);
    }
  }
  const [px, py, dx, dy] = [x(reading.place), y(reading.place), x(reading.design), y(reading.design)];
  const on = reading.reach.way === 'on';
  if (!on) {
    const slope = (Math.atan2(dy - py, dx - px) * 180) / Math.PI;
    items.push(
      path(
        'dimensions',
        [
          [px, py],
          [dx, dy],
        ],
        { width: 1.1, dash: 3 },
      ),
      ...arrow(dx, dy, slope),
    );
    taken.addLine([
      [px, py],
      [dx, dy],
    ]);
    if (reading.carrier === 'lath') items.push(lath(px, py, slope, TURNED[reading.facing]));
  }
  items.push(
    path('marks', box(px - 4, py - 4, 8, 8), { closed: true, fill: 'hub', width: 1.2 }),
    path('marks', box(px - 0.8, py - 0.8, 1.6, 1.6), { closed: true, fill: 'ink', width: 0.5 }),
  );
  taken.add({ x: px - 8, y: py - 8, w: 16, h: 16 });
  taken.add({ x: dx - 4, y: dy - 4, w: 8, h: 8 });
  const label = (cx: number, cy: number, words: string, away: number, rest: Parameters<typeof text>[5]) => {
    const shown = fitted(words, frame.w * 0.62, SIZE, measure);
    const w = measure(shown, SIZE, rest?.weight ?? 'regular') + 2;
    const placed = placeLabel(cx, cy, w, SIZE + 2, { taken, frame, away });
    if (!placed) return;
    taken.add(placed.box);
    items.push(text('labels', placed.box.x + 1, placed.box.y + SIZE, shown, SIZE, rest));
  };
  const outward = Math.atan2(py - dy, px - dx);
  if (!on)
    label(
      (px + dx) / 2,
      (py + dy) / 2,
      readLength(reading.offset, unit, reading.rounding, 'offset'),
      outward + Math.PI / 2,
      { weight: 'bold' },
    );
  label(px, py, reading.name, outward, { weight: 'bold' });
  label(
    dx,
    dy,
    reading.reach.way === 'road' || reading.string !== null
      ? `${reading.to}, ${offsetThing(reading, words)}`
      : reading.to,
    outward + Math.PI,
    {
      ink: 'pencil',
      weight: 'medium',
    },
  );
  items.push(
    ...north(READING_WIDTH - 18, 10),
    text('frame', 6, READING_HEIGHT - 6, words.reading.plan, SIZE - 0.5, { ink: 'ink2' }),
  );
  return {
    title: filled(words.reading.title, { name: reading.name }),
    width: READING_WIDTH,
    height: READING_HEIGHT,
    items,
    ground: null,
  };
}

/** The lath behind its hub, a bar across the way it faces. */
function lath(px: number, py: number, slope: number, turned: number): SceneItem {
  const radians = ((slope + turned) * Math.PI) / 180;
  const behind = ((slope + 180) * Math.PI) / 180;
  const [cx, cy] = [px + 9 * Math.cos(behind), py + 9 * Math.sin(behind)];
  const [ax, ay] = [-Math.sin(radians) * 8, Math.cos(radians) * 8];
  return path(
    'marks',
    [
      [cx - ax, cy - ay],
      [cx + ax, cy + ay],
    ],
    { width: 3, stroke: 'hub' },
  );
}

/** The part of a line inside a frame (Liang and Barsky); null when it lies outside. */
function clipped(
  from: readonly [number, number],
  to: readonly [number, number],
  { x, y, w, h }: Box,
): [readonly [number, number], readonly [number, number]] | null {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  let [begin, end] = [0, 1];
  for (const [p, q] of [
    [-dx, from[0] - x],
    [dx, x + w - from[0]],
    [-dy, from[1] - y],
    [dy, y + h - from[1]],
  ] as const) {
    if (p === 0) {
      if (q < 0) return null;
      continue;
    }
    const r = q / p;
    if (p < 0) begin = Math.max(begin, r);
    else end = Math.min(end, r);
    if (begin > end) return null;
  }
  return [
    [from[0] + begin * dx, from[1] + begin * dy],
    [from[0] + end * dx, from[1] + end * dy],
  ];
}

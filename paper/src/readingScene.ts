/** How to read one stake, drawn from its own figures: from the side, and from above with north up. */
import { planDistance, type LengthUnit, type PlanPoint, type StakeReading } from '@idle-marker/core';
import { filled, heightThing, offsetThing, readLength, type CrewWords } from '@idle-marker/words';
import { placeLabel, Taken, type Box } from './labels.ts';
import { box, path, text, type Measure, type Scene, type SceneItem } from './scene.ts';
import { fitted, north } from './sketch.ts';

export const READING_WIDTH = 300;
export const READING_HEIGHT = 190;

const SIZE = 9.5;
/** Where the hub stands in the section, and where the thing begins. */
const HUB_X = 62;
const THING_X = 190;
const THING_W = READING_WIDTH - THING_X - 8;
/** Lowest and highest height that a feature is drawn at. */
const TOP = 44;
const BOTTOM = 136;

export interface ReadingDrawn {
  readonly words: CrewWords;
  readonly unit: LengthUnit;
  readonly measure: Measure;
}

/** What stands where a cut or fill figure does: never a bare sign. */
const cutFillText = (cutFill: number, reading: StakeReading, { words, unit }: ReadingDrawn): string =>
  `${cutFill > 0 ? words.cut : words.fill} ${readLength(cutFill, unit, reading.rounding, 'height')}`;

/** From the side: the hub with its lath, level to the thing, then down or up. Not to scale; what is higher is drawn higher. */
export function sectionScene(reading: StakeReading, drawn: ReadingDrawn): Scene {
  const { words, unit, measure } = drawn;
  const form = words.reading;
  // Positive: the thing is lower than the hub. With two features each has its own line.
  const largest = Math.max(...reading.heights.map(({ cutFill }) => Math.abs(cutFill)), 1e-9);
  const lower = reading.heights.some(({ cutFill }) => cutFill > 0);
  const higher = reading.heights.some(({ cutFill }) => cutFill < 0);
  const hubY = lower && higher ? (TOP + BOTTOM) / 2 : lower ? TOP + 8 : higher ? BOTTOM - 12 : (TOP + BOTTOM) / 2 + 10;
  // The smaller of two is drawn at half way at least, so that both can be read.
  const deep = (cutFill: number) => (cutFill === 0 ? 0 : Math.sign(cutFill) * (0.45 + 0.55 * (Math.abs(cutFill) / largest)) * (lower && higher ? 40 : 74));
  const groundY = Math.min(BOTTOM + 26, hubY + 24);
  const items: SceneItem[] = [
    path(
      'frame',
      [
        [6, groundY],
        [THING_X - 26, groundY],
      ],
      { width: 1.2 },
    ),
    ...Array.from({ length: 6 }, (_, i) =>
      path(
        'frame',
        [
          [14 + i * 24, groundY],
          [8 + i * 24, groundY + 7],
        ],
        { stroke: 'ink2', width: 0.6 },
      ),
    ),
  ];
  if (reading.carrier === 'lath')
    items.push(
      path('marks', box(HUB_X - 30, Math.max(hubY - 52, 4), 11, groundY - Math.max(hubY - 52, 4) + 6), { closed: true, fill: 'lath', width: 1 }),
      ...[12, 19, 26].map((down) =>
        path(
          'marks',
          [
            [HUB_X - 28, Math.max(hubY - 52, 4) + down],
            [HUB_X - 21, Math.max(hubY - 52, 4) + down],
          ],
          { width: 0.7 },
        ),
      ),
    );
  if (reading.carrier !== 'surface') items.push(path('marks', box(HUB_X - 6, hubY, 12, groundY - hubY + 10), { closed: true, fill: 'hub', width: 1 }));
  else
    items.push(
      path(
        'marks',
        [
          [HUB_X - 6, hubY],
          [HUB_X + 6, hubY],
        ],
        { width: 2 },
      ),
    );
  items.push(
    path(
      'marks',
      [
        [HUB_X, hubY - 5],
        [HUB_X, hubY + 3],
      ],
      { width: 1.6 },
    ),
    text('labels', HUB_X + 4, hubY - 8, words.point[reading.point], SIZE, { weight: 'medium' }),
  );
  const on = reading.reach.way === 'on';
  const things =
    reading.heights.length > 0
      ? reading.heights.map((height) => ({ y: hubY + deep(height.cutFill), what: heightThing(height, words), height }))
      : [{ y: hubY, what: offsetThing(reading, words), height: null }];
  // One below the other, never on top of each other.
  const sorted = [...things].sort((a, b) => a.y - b.y);
  sorted.forEach((each, i) => {
    if (i > 0 && each.y - sorted[i - 1]!.y < 26) each.y = sorted[i - 1]!.y + 26;
  });
  if (!on) {
    items.push(
      path(
        'dimensions',
        [
          [HUB_X, hubY],
          [THING_X, hubY],
        ],
        { stroke: 'ink', width: 1, dash: 3 },
      ),
      ...arrow(THING_X - 2, hubY, 0),
    );
    const level = filled('{level} {length}', { level: form.level, length: readLength(reading.offset, unit, reading.rounding, 'offset') });
    items.push(text('dimensions', (HUB_X + THING_X) / 2 + 12, hubY + (lower ? -6 : 13), level, SIZE + 1, { align: 'middle', weight: 'bold' }));
  }
  for (const [i, { y, what, height }] of sorted.entries()) {
    const x = on ? HUB_X + 20 : THING_X;
    items.push(path('thing', box(x, y, on ? 150 : THING_W, 8), { closed: true, stroke: 'pencil', fill: 'pencil', opacity: 0.18, width: 1 }));
    items.push(text('labels', x + 2, y + 19, fitted(what, (on ? 210 : THING_W) - 2, SIZE, measure), SIZE, { ink: 'pencil', weight: 'medium' }));
    if (!height) continue;
    const upright = x + 16 + i * 26;
    const figure = cutFillText(height.cutFill, reading, drawn);
    const flat = Math.abs(y - hubY) < 2;
    if (!flat)
      items.push(
        path(
          'dimensions',
          [
            [upright, hubY],
            [upright, y],
          ],
          { stroke: 'ink', width: 1 },
        ),
        ...arrow(upright, y + (y > hubY ? -1 : 1), y > hubY ? 90 : -90),
      );
    const words90 = flat ? `${words.onGrade}` : figure;
    items.push(
      text('dimensions', upright + 6, flat ? y - 5 : y > hubY ? y - 6 - i * 2 : y + (sorted.length > 1 && i < sorted.length - 1 ? 34 : 34), words90, SIZE + 1, {
        weight: 'bold',
        ink: flat ? 'ink' : height.cutFill > 0 ? 'cut' : 'fill',
      }),
    );
  }
  items.push(
    text('frame', 6, READING_HEIGHT - 6, form.section, SIZE - 1, { ink: 'ink2' }),
    text('labels', 6, groundY + 20, fitted(reading.name, THING_X - 40, SIZE, measure), SIZE, { weight: 'bold' }),
  );
  return { title: filled(form.title, { name: reading.name }), width: READING_WIDTH, height: READING_HEIGHT, items, ground: null };
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
    const placed = placeLabel(cx, cy, w, SIZE + 2, taken, frame, away);
    if (!placed) return;
    taken.add(placed.box);
    items.push(text('labels', placed.box.x + 1, placed.box.y + SIZE, shown, SIZE, rest));
  };
  const outward = Math.atan2(py - dy, px - dx);
  if (!on) label((px + dx) / 2, (py + dy) / 2, readLength(reading.offset, unit, reading.rounding, 'offset'), outward + Math.PI / 2, { weight: 'bold' });
  label(px, py, reading.name, outward, { weight: 'bold' });
  label(dx, dy, reading.reach.way === 'road' || reading.string !== null ? `${reading.to}, ${offsetThing(reading, words)}` : reading.to, outward + Math.PI, {
    ink: 'pencil',
    weight: 'medium',
  });
  items.push(...north(READING_WIDTH - 18, 10), text('frame', 6, READING_HEIGHT - 6, words.reading.plan, SIZE - 1, { ink: 'ink2' }));
  return { title: filled(words.reading.title, { name: reading.name }), width: READING_WIDTH, height: READING_HEIGHT, items, ground: null };
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

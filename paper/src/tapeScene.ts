/** Two tapes from two marks to a point, drawn as they lie on the ground, north up. */
import { formatLength, type LengthUnit, type PlanPoint, type TapedPair } from '@idle-marker/core';
import { LENGTH_DECIMALS, unitAbbreviationWords } from '@idle-marker/words';
import { north as northArrow } from './board.ts';
import { placeLabel, Taken } from './labels.ts';
import { box, path, text, type Measure, type Scene, type SceneItem, type ScenePath } from './scene.ts';

const WIDTH = 300;
const HEIGHT = 190;
const SIZE = 11;
/** Room for names beside and above what is drawn. */
const [SIDE, OVER] = [62, 34];
/** Of the arc that a tape is swung along, to either side of the point, radians. */
const SWING = 0.12;

export interface TapeDrawn {
  readonly point: PlanPoint & { readonly name: string };
  readonly pair: TapedPair;
  /** What the drawing is called, in the crew's words. */
  readonly title: string;
  readonly unit: LengthUnit;
  readonly measure: Measure;
}

export function tapeScene({ point, pair: { a, b, tapes }, title, unit, measure }: TapeDrawn): Scene {
  const frame = { x: 8, y: 8, w: WIDTH - 16, h: HEIGHT - 16 };
  const ground = groundFor([a, b, point]);
  const at = (place: PlanPoint) =>
    [(place.e - ground.e) / ground.perPoint, (ground.n - place.n) / ground.perPoint] as const;
  const [pa, pb, pp] = [at(a), at(b), at(point)];
  const taken = new Taken();
  const items: SceneItem[] = [];
  const length = (metres: number) => `${formatLength(metres, unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  const written = (
    words: string,
    [x, y]: readonly [number, number],
    size: number,
    weight: 'regular' | 'bold',
    ink: 'ink' | 'ink2' | 'pencil',
  ) => {
    const placed = placeLabel(x, y, measure(words, size, weight) + 2, size + 2, { taken, frame });
    if (!placed) return;
    taken.add(placed.box);
    items.push(text('labels', placed.box.x + 1, placed.box.y + size * 0.9, words, size, { weight, ink }));
  };
  const middle = (from: readonly [number, number], to: readonly [number, number]) =>
    [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const;
  items.push(
    path('dimensions', [pa, pb], { stroke: 'ink2', width: 0.6, dash: 4 }),
    path('offsets', [pa, pp], { width: 1.3 }),
    path('offsets', [pb, pp], { width: 1.3 }),
  );
  for (const from of [pa, pb]) {
    const arc = swing(from, pp);
    items.push(arc);
    taken.addLine(arc.points);
  }
  for (const line of [
    [pa, pb],
    [pa, pp],
    [pb, pp],
  ])
    taken.addLine(line);
  for (const [x, y] of [pa, pb]) {
    items.push(path('marks', box(x - 4, y - 4, 8, 8), { closed: true, fill: 'ink' }));
    taken.add({ x: x - 5, y: y - 5, w: 10, h: 10 });
  }
  const [px, py] = pp;
  items.push(
    path(
      'thing',
      [
        [px - 6, py],
        [px + 6, py],
      ],
      { stroke: 'pencil', width: 1.6 },
    ),
    path(
      'thing',
      [
        [px, py - 6],
        [px, py + 6],
      ],
      { stroke: 'pencil', width: 1.6 },
    ),
  );
  taken.add({ x: px - 7, y: py - 7, w: 14, h: 14 });
  taken.add({ x: WIDTH - 24, y: 0, w: 24, h: 54 });
  written(point.name, pp, SIZE + 1, 'bold', 'pencil');
  written(a.name, pa, SIZE, 'bold', 'ink');
  written(b.name, pb, SIZE, 'bold', 'ink');
  written(length(tapes.fromA), middle(pa, pp), SIZE, 'regular', 'ink');
  written(length(tapes.fromB), middle(pb, pp), SIZE, 'regular', 'ink');
  written(length(tapes.apart), middle(pa, pb), SIZE - 1, 'regular', 'ink2');
  return { title, width: WIDTH, height: HEIGHT, items: [...items, ...northArrow(WIDTH - 14, 8)], ground };
}

/** As large as the drawing takes them: nobody measures on it, so the scale need not be round. */
function groundFor(places: readonly PlanPoint[]): NonNullable<Scene['ground']> {
  const [east, north] = [places.map(({ e }) => e), places.map(({ n }) => n)];
  const [minE, maxE, minN, maxN] = [Math.min(...east), Math.max(...east), Math.min(...north), Math.max(...north)];
  const perPoint = Math.max((maxE - minE) / (WIDTH - 2 * SIDE), (maxN - minN) / (HEIGHT - 2 * OVER));
  return { e: (minE + maxE) / 2 - (WIDTH / 2) * perPoint, n: (minN + maxN) / 2 + (HEIGHT / 2) * perPoint, perPoint };
}

/** A piece of the circle that the end of a tape runs along. */
function swing([fx, fy]: readonly [number, number], [x, y]: readonly [number, number]): ScenePath {
  const radius = Math.hypot(x - fx, y - fy);
  const middle = Math.atan2(y - fy, x - fx);
  const half = Math.min(SWING * 2, Math.max(SWING, 14 / Math.max(radius, 1)));
  const points = Array.from({ length: 9 }, (_, i) => {
    const angle = middle - half + (i / 8) * 2 * half;
    return [fx + radius * Math.cos(angle), fy + radius * Math.sin(angle)] as const;
  });
  return path('dimensions', points, { stroke: 'ink2', width: 0.6 });
}

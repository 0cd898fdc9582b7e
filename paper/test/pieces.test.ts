/**
 * The pieces that drawings are made of: lines cut to a frame, pages side by side, labels that keep apart, texts for
 * SVG.
 */
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { clipped } from '../src/clip.ts';
import { fileWord, placeLabel, sceneSvg, scaleWords, Taken, type Scene, type SceneItem } from '../src/index.ts';
import { touches } from '../src/labels.ts';
import { tilesOf } from '../src/tiles.ts';

const BOX = { x: 10, y: 20, w: 100, h: 60 };
const isIn = ([x, y]: readonly [number, number], slack = 1e-9) =>
  x >= BOX.x - slack && x <= BOX.x + BOX.w + slack && y >= BOX.y - slack && y <= BOX.y + BOX.h + slack;
const place = fc.tuple(
  fc.double({ min: -200, max: 300, noNaN: true }),
  fc.double({ min: -200, max: 300, noNaN: true }),
);
const lengthOf = (points: readonly (readonly [number, number])[]) =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - points[i]![0], y - points[i]![1]), 0);

describe('a line cut to a frame', () => {
  it('keeps what lies inside and nothing else', () => {
    fc.assert(
      fc.property(fc.array(place, { minLength: 2, maxLength: 6 }), fc.boolean(), (points, closed) => {
        const pieces = clipped(points, closed, BOX);
        for (const piece of pieces) for (const point of piece) expect(isIn(point, 1e-6)).toBe(true);
        // As long as what a walk along it in small steps finds inside.
        const ring = closed ? [...points, points[0]!] : points;
        const steps = 400;
        const walked = ring.slice(1).reduce((sum, [x2, y2], i) => {
          const [x1, y1] = ring[i]!;
          const inside = Array.from({ length: steps }, (_, k) => (k + 0.5) / steps).filter((t) =>
            isIn([x1 + (x2 - x1) * t, y1 + (y2 - y1) * t]),
          ).length;
          return sum + (inside / steps) * Math.hypot(x2 - x1, y2 - y1);
        }, 0);
        const kept = pieces.reduce((sum, piece) => sum + lengthOf(piece), 0);
        expect(Math.abs(kept - walked)).toBeLessThan((ring.length * 2 * 750) / steps);
      }),
    );
  });
  it('that stays inside is one piece with all of its corners', () => {
    const inside: [number, number][] = [
      [20, 30],
      [90, 30],
      [90, 70],
    ];
    expect(clipped(inside, false, BOX)).toEqual([inside]);
    expect(clipped(inside, true, BOX)).toEqual([[...inside, inside[0]]]);
    expect(clipped([], true, BOX)).toEqual([]);
  });
  it('that leaves and comes back is two pieces, cut on the frame', () => {
    const cut = clipped(
      [
        [50, 40],
        [150, 40],
        [150, 60],
        [50, 60],
      ],
      false,
      BOX,
    );
    expect(cut).toEqual([
      [
        [50, 40],
        [110, 40],
      ],
      [
        [110, 60],
        [50, 60],
      ],
    ]);
  });
});

describe('pages side by side', () => {
  const point = fc.record({
    e: fc.double({ min: 0, max: 900, noNaN: true }),
    n: fc.double({ min: 0, max: 900, noNaN: true }),
  });
  it('hold every place once, each within its page', () => {
    fc.assert(
      fc.property(
        fc.array(
          point.map((at) => ({ place: at })),
          { minLength: 1, maxLength: 40 },
        ),
        (rows) => {
          const tiles = tilesOf(rows, 200, 120);
          expect(tiles.flatMap((tile) => tile.rows)).toHaveLength(rows.length);
          expect(new Set(tiles.flatMap((tile) => tile.rows)).size).toBe(rows.length);
          for (const { centre, width, height, rows: inTile } of tiles) {
            expect(width).toBeLessThanOrEqual(200 + 1e-9);
            expect(height).toBeLessThanOrEqual(120 + 1e-9);
            for (const { place: at } of inTile) {
              expect(Math.abs(at.e - centre.e)).toBeLessThanOrEqual(width / 2 + 1e-6);
              expect(Math.abs(at.n - centre.n)).toBeLessThanOrEqual(height / 2 + 1e-6);
            }
          }
        },
      ),
    );
  });
  it('go row by row from the north-west, without empty ones', () => {
    const at = (e: number, n: number) => ({ place: { e, n } });
    const rows = [at(0, 0), at(300, 0), at(0, 200), at(300, 200)];
    expect(tilesOf(rows, 200, 120).map((tile) => tile.rows.map(({ place: { e, n } }) => [e, n]))).toEqual([
      [[0, 200]],
      [[300, 200]],
      [[0, 0]],
      [[300, 0]],
    ]);
    expect(tilesOf([], 200, 120)).toEqual([]);
    expect(tilesOf([at(5, 5)], 200, 120)).toMatchObject([{ centre: { e: 5, n: 5 }, width: 0, height: 0 }]);
  });
});

describe('a label', () => {
  it('never lies on what was there before, or is given no place at all', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.integer({ min: 20, max: 180 }), y: fc.integer({ min: 20, max: 180 }) }), {
          minLength: 1,
          maxLength: 25,
        }),
        (marks) => {
          const taken = new Taken();
          const placed = marks.flatMap(({ x, y }) => {
            const found = placeLabel(x, y, 40, 10, { taken, frame: { x: 0, y: 0, w: 200, h: 200 } });
            if (!found) return [];
            taken.add(found.box);
            return [found.box];
          });
          placed.forEach((one, i) => placed.slice(i + 1).forEach((other) => expect(touches(one, other)).toBe(false)));
          for (const { x, y, w, h } of placed)
            expect([x >= 0, y >= 0, x + w <= 200, y + h <= 200]).toEqual([true, true, true, true]);
        },
      ),
    );
  });
});

describe('a scene as SVG', () => {
  const scene = (items: readonly SceneItem[], title = 'x'): Scene => ({
    width: 100,
    height: 50,
    title,
    items,
    ground: null,
  });
  const words = (text: string): SceneItem => ({
    kind: 'text',
    layer: 'labels',
    x: 1,
    y: 2,
    text,
    size: 8,
    weight: 'bold',
    ink: 'ink',
    align: 'start',
  });
  it('writes any letters that people type, and none that XML refuses', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 30 }), (text) => {
        const written = /<text [^>]*>(.*)<\/text>/s.exec(sceneSvg(scene([words(text)])))![1]!;
        expect(written).not.toMatch(/[<>]|&(?!#\d+;)/);
        // oxlint-disable-next-line no-control-regex
        expect(written).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/);
        expect(() => encodeURIComponent(written)).not.toThrow();
      }),
    );
  });
  it('keeps layers together in the order in which they first come', () => {
    const line = (layer: 'thing' | 'marks'): SceneItem => ({
      kind: 'path',
      layer,
      points: [
        [0, 0],
        [1, 1],
      ],
      closed: false,
      stroke: 'ink',
      width: 1,
    });
    const svg = sceneSvg(scene([line('thing'), words('a'), line('thing'), line('marks')], 'A & B'));
    expect([...svg.matchAll(/data-layer="(\w+)"/g)].map(([, layer]) => layer)).toEqual(['thing', 'labels', 'marks']);
    expect(svg.match(/<path /g)).toHaveLength(3);
    expect(svg).toContain('<title>A &#38; B</title>');
  });
});

describe('words of files and scales', () => {
  it.each([
    ['Ticket hall hubs', 'ticket-hall-hubs'],
    ['Süd, Zürich', 'sud-zurich'],
    ['日本', 'marks'],
    ['../../etc/passwd', 'etc-passwd'],
  ])('%s becomes %s', (name, word) => expect(fileWord(name)).toBe(word));
  it('are of the unit of the site', () => {
    expect(scaleWords(250, 'metre')).toBe('1 : 250');
    expect(scaleWords(240, 'foot')).toBe('1 in = 20 ft (1 : 240)');
  });
});

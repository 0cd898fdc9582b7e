/**
 * Drawings on paper: nothing lies on anything else, what is to scale is to scale, and other programs read what is
 * written.
 */
import { describe, expect, it } from '@jest/globals';
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { SaxesParser } from 'saxes';
import { planDistance, tapedPairs, type StakeReading } from '@idle-marker/core';
import { cutSheet, type CutSheet } from '@idle-marker/records';
import { crewWords, allLanguages } from '@idle-marker/words';
import {
  fileWord,
  PAPERS,
  planScene,
  POINTS_PER_METRE,
  sceneDxf,
  sceneSvg,
  sectionScene,
  SKETCH_OPTIONS,
  sketchDxf,
  sketchScene,
  sketchSteps,
  tapeScene,
  type Measure,
  type Paper,
  type Scene,
  type ScenePath,
  type SceneText,
} from '../src/index.ts';
import { Story } from '../../records/test/story.ts';

/** As wide as the letters of the sheets' font on average. */
const measure: Measure = (text, size, weight) => [...text].length * size * (weight === 'bold' ? 0.56 : 0.52);

function hall(): CutSheet {
  const story = new Story().control();
  const work = story.work();
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  work.body.plans.forEach((_plan, i) => story.set(solution, work, i));
  return cutSheet(
    story.state,
    story.trust(),
    { package: work, issuedBy: 'Mara', issuedAt: story.instant(), timeZone: 'UTC' },
    null,
  );
}

/** The box that an upright text takes. */
const boxOf = ({ x, y, text, size, weight, align }: SceneText) => {
  const w = measure(text, size, weight);
  return { x: x - (align === 'middle' ? w / 2 : align === 'end' ? w : 0), y: y - size * 0.75, w, h: size * 0.9 };
};
const overlapping = (texts: readonly SceneText[]) =>
  texts.flatMap((one, i) =>
    texts.slice(i + 1).flatMap((other) => {
      const [a, b] = [boxOf(one), boxOf(other)];
      return a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h
        ? [`${one.text} / ${other.text}`]
        : [];
    }),
  );
const textsOf = (scene: Scene): SceneText[] => scene.items.filter((item): item is SceneText => item.kind === 'text');

describe('a sketch', () => {
  const sheet = hall();

  it('is drawn a little at a time, and comes out the same', () => {
    const steps = sketchSteps(sheet, SKETCH_OPTIONS, measure);
    const told: number[] = [];
    for (;;) {
      const step = steps.next();
      if (step.done) {
        expect(step.value).toEqual(sketchScene(sheet, SKETCH_OPTIONS, measure));
        break;
      }
      told.push(step.value);
    }
    expect(told.length).toBeGreaterThan(sheet.rows.length);
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
  });

  it('names every mark once, and no label lies on another, on any paper either way up', () => {
    for (const paper of Object.keys(PAPERS) as Paper[])
      for (const upright of [true, false]) {
        const {
          pages: [scene],
          unlabelled,
        } = sketchScene(sheet, { ...SKETCH_OPTIONS, paper, upright }, measure);
        expect(unlabelled).toEqual([]);
        const texts = textsOf(scene);
        for (const { name } of sheet.rows)
          expect([name, texts.filter(({ text }) => text === name).length]).toEqual([name, 1]);
        expect(overlapping(texts.filter(({ layer, turn }) => layer === 'labels' && !turn))).toEqual([]);
        const [w, h] = upright ? PAPERS[paper] : [PAPERS[paper][1], PAPERS[paper][0]];
        expect([scene.width, scene.height]).toEqual([w, h]);
        for (const text of texts) {
          const box = boxOf(text);
          expect([text.text, box.x >= 0 && box.x + box.w <= w && text.y <= h]).toEqual([text.text, true]);
        }
      }
  });

  it('tells where less is left than the work asks for, and how far beyond the end of a line a hub stands', () => {
    const { place, corner, offset } = sheet.rows[0]!;
    const near = {
      ...sheet,
      gaps: [
        { other: 'Shed', gap: 0.42, at: place, to: { e: place.e + 0.42, n: place.n } },
        { other: 'Wall', gap: 0, at: sheet.rows[1]!.place, to: sheet.rows[1]!.place },
        { other: 'Far off', gap: 0.1, at: { e: place.e + 5000, n: place.n }, to: { e: place.e + 5000.1, n: place.n } },
      ],
      rows: sheet.rows.map((row, i) => (i === 0 ? { ...row, reach: 'line' as const } : row)),
    };
    const {
      pages: [scene],
    } = sketchScene(near, SKETCH_OPTIONS, measure);
    const texts = textsOf(scene).map(({ text }) => text);
    expect(texts).toEqual(
      expect.arrayContaining(['0.420 to Shed', 'overlaps Wall', expect.stringMatching(/^[\d.]+ beyond /)]),
    );
    expect(texts.join(' ')).toContain(` beyond ${corner}`);
    expect(texts.join(' ')).not.toContain('Far off');
    expect(offset).toBeGreaterThan(0);
    expect(overlapping(textsOf(scene).filter(({ layer, turn }) => layer === 'labels' && !turn))).toEqual([]);
  });

  it('is to the scale that it says, which is a round one, with north up', () => {
    const {
      pages: [scene],
    } = sketchScene(sheet, SKETCH_OPTIONS, measure);
    const said = textsOf(scene).find(({ text }) => text.startsWith('1 : '))!;
    const scale = Number(said.text.slice(4));
    expect([50, 100, 200, 250, 500]).toContain(scale);
    expect(scene.ground!.perPoint * POINTS_PER_METRE).toBeCloseTo(scale, 9);
    const outline = scene.items.find((item) => item.kind === 'path' && item.layer === 'thing' && item.closed)!;
    const corners = sheet.shapes.find(({ closed }) => closed)!.points;
    if (outline.kind !== 'path') throw new Error('no outline');
    outline.points.forEach(([x, y], i) => {
      const { e, n, perPoint } = scene.ground!;
      expect(planDistance({ e: e + x * perPoint, n: n - y * perPoint }, corners[i]!)).toBeLessThan(1e-6);
    });
  });

  it('writes distances between marks as they were set', () => {
    const {
      pages: [scene],
    } = sketchScene(sheet, { ...SKETCH_OPTIONS, paper: 'A3' }, measure);
    const written = textsOf(scene)
      .filter(({ layer }) => layer === 'dimensions')
      .map(({ text }) => Number(text));
    expect(written.length).toBeGreaterThan(3);
    const distances = sheet.rows.flatMap((a, i) => sheet.rows.slice(i + 1).map((b) => planDistance(a.place, b.place)));
    for (const each of written) expect(distances.some((distance) => Math.abs(distance - each) <= 0.0005)).toBe(true);
    expect(
      textsOf(sketchScene(sheet, { ...SKETCH_OPTIONS, dimensions: false, diagonals: false }, measure).pages[0]).some(
        ({ layer }) => layer === 'dimensions',
      ),
    ).toBe(false);
  });

  const crowdOf = (count: number, apart: number) =>
    Array.from({ length: count }, (_, i) => {
      const row = sheet.rows[0]!;
      const place = { e: 4000 + (i % 20) * apart, n: 8000 + Math.floor(i / 20) * apart };
      return { ...row, name: `CROWDED-${i}`, place, design: { e: place.e + 0.3, n: place.n }, offset: 0.3 };
    });
  /** Leaders, and lines of distances. */
  const leadersOf = (scene: Scene) =>
    scene.items.filter(
      (item): item is ScenePath => item.kind === 'path' && (item.layer === 'labels' || item.layer === 'dimensions'),
    );

  it('of hundreds of marks is a key and parts at a larger scale, on which each is named once and no leader runs through a name', () => {
    const rows = crowdOf(400, 2.5);
    const corners = [
      { e: 3990, n: 7990, name: 'A' },
      { e: 4060, n: 7990, name: 'B' },
      { e: 4060, n: 8060, name: 'C' },
      { e: 3990, n: 8060, name: 'D' },
    ];
    const { pages, unlabelled } = sketchScene(
      { ...sheet, shapes: [{ closed: true, points: corners }], rows },
      SKETCH_OPTIONS,
      measure,
    );
    const [key, ...parts] = pages;
    expect(parts.length).toBeGreaterThan(3);
    expect(unlabelled.length).toBeLessThanOrEqual(8);
    const names = parts.flatMap((part) =>
      textsOf(part).filter(({ layer, text }) => layer === 'labels' && text.startsWith('CROWDED-')),
    );
    expect([...names.map(({ text }) => text), ...unlabelled].sort()).toEqual(rows.map(({ name }) => name).sort());
    expect(
      textsOf(key)
        .filter(({ text }) => /^\d+$/.test(text))
        .map(({ text }) => Number(text))
        .filter((text) => text <= parts.length && text > 0).length,
    ).toBeGreaterThanOrEqual(parts.length);
    for (const part of parts) {
      const { e, n, perPoint } = part.ground!;
      expect(perPoint).toBe(parts[0]!.ground!.perPoint);
      expect(perPoint).toBeLessThan(key.ground!.perPoint);
      const labels = textsOf(part).filter(({ layer }) => layer === 'labels');
      expect(overlapping(labels)).toEqual([]);
      for (const { points } of leadersOf(part))
        for (let share = 0.1; share < 0.85; share += 0.05) {
          const [x, y] = [0, 1].map((axis) => points[0]![axis]! + (points[1]![axis]! - points[0]![axis]!) * share) as [
            number,
            number,
          ];
          expect(
            labels
              .filter((label) => {
                const box = boxOf(label);
                return x > box.x + 1 && x < box.x + box.w - 1 && y > box.y + 1 && y < box.y + box.h - 1;
              })
              .map(({ text }) => text),
          ).toEqual([]);
        }
      // The outline leads off each part, and ends at its frame.
      for (const item of part.items) {
        if (item.kind !== 'path') continue;
        for (const [x, y] of item.points)
          expect([x >= 0 && x <= part.width && y >= 0 && y <= part.height, e, n]).toEqual([true, e, n]);
      }
    }
    const drawn = new DxfParser().parseSync(
      new TextDecoder('windows-1252').decode(
        sketchDxf(
          pages,
          'metre',
          rows.map((row) => ({ name: row.name, ...row.place, z: null })),
        ),
      ),
    )!;
    const texts = drawn.entities.filter(({ type }) => type === 'TEXT') as unknown as { text: string }[];
    expect(texts.filter(({ text }) => text.startsWith('CROWDED-'))).toHaveLength(names.length);
    expect(drawn.entities.filter(({ type, layer }) => type === 'POLYLINE' && layer === 'THING-TO-BUILD')).toHaveLength(
      1,
    );
    expect(drawn.entities.some(({ layer }) => layer === 'FRAME')).toBe(false);
  });

  it('whose marks stand too close for any page says which it could not name, and still draws them', () => {
    const { pages, unlabelled } = sketchScene(
      { ...sheet, shapes: [], rows: crowdOf(400, 0.04) },
      { ...SKETCH_OPTIONS, heights: false },
      measure,
    );
    const last = pages.at(-1)!;
    expect(unlabelled.length).toBeGreaterThan(0);
    expect(textsOf(last).some(({ text }) => text.startsWith('Names that didn’t fit: CROWDED-'))).toBe(true);
    expect(overlapping(textsOf(last).filter(({ layer }) => layer === 'labels'))).toEqual([]);
    expect(pages[0].items.filter((item) => item.kind === 'path' && item.layer === 'marks')).toHaveLength(400);
  });

  it('as SVG is well formed, whatever the names are', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', minLength: 1, maxLength: 30 }), (name) => {
        const svg = sceneSvg(sketchScene({ ...sheet, package: `<${name}>&"` }, SKETCH_OPTIONS, measure).pages[0]);
        let title = '';
        const parser = new SaxesParser();
        parser.on('error', (error) => {
          throw error;
        });
        parser.on('text', (text) => (title ||= text.trim()));
        parser.write(svg).close();
        expect(title.startsWith('<')).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('as DXF has the ground’s own coordinates and heights, by layers', () => {
    for (const [unit, factor] of [
      ['metre', 1],
      ['foot', 1 / 0.3048],
    ] as const) {
      const {
        pages: [scene],
      } = sketchScene({ ...sheet, lengthUnit: unit }, SKETCH_OPTIONS, measure);
      const marks = sheet.rows.map((row) => ({ name: row.name, ...row.place, z: row.hubZ }));
      const read = new DxfParser().parseSync(new TextDecoder('windows-1252').decode(sceneDxf([scene], unit, marks)))!;
      expect(read.header['$INSUNITS']).toBe(unit === 'metre' ? 6 : 2);
      expect(Object.keys(read.tables.layer.layers)).toEqual([
        'THING-TO-BUILD',
        'OFFSETS',
        'MARKS',
        'LABELS',
        'DIMENSIONS',
        'FRAME',
      ]);
      const points = read.entities.filter(({ type }) => type === 'POINT') as unknown as {
        position: { x: number; y: number; z: number };
      }[];
      expect(points).toHaveLength(marks.length);
      points.forEach(({ position }, i) => {
        expect(position.x).toBeCloseTo(marks[i]!.e * factor, 5);
        expect(position.y).toBeCloseTo(marks[i]!.n * factor, 5);
        expect(position.z).toBeCloseTo(marks[i]!.z! * factor, 5);
      });
      const outline = read.entities.find(
        ({ type, layer }) => type === 'POLYLINE' && layer === 'THING-TO-BUILD',
      ) as unknown as {
        vertices: { x: number; y: number }[];
      };
      expect(outline.vertices[0]!.x).toBeCloseTo(sheet.shapes[0]!.points[0]!.e * factor, 4);
      const texts = (read.entities as unknown as { type: string; text?: string }[])
        .filter(({ type }) => type === 'TEXT')
        .map(({ text }) => text);
      for (const { name } of sheet.rows) expect(texts).toContain(name);
    }
  });
});

describe('how a stake is read', () => {
  const reading = hall().rows[0]!.reading!;
  const scenes = (each: StakeReading, code = 'en') => {
    const drawn = { words: crewWords(code), unit: 'metre' as const, measure };
    return [sectionScene(each, drawn), planScene(each, drawn)] as const;
  };
  const heights = (...cutFills: number[]): StakeReading => ({
    ...reading,
    heights: cutFills.map((cutFill, i) => ({
      reference: i === 0 ? ('topOfWall' as const) : ('finishedFloor' as const),
      string: null,
      cutFill,
    })),
  });

  it('draws what is lower below the hub and what is higher above it, each with its own figure', () => {
    for (const [cutFill, word] of [
      [0.4, 'CUT 0.400 m'],
      [-0.4, 'FILL 0.400 m'],
    ] as const) {
      const [section] = scenes(heights(cutFill));
      const hub = section.items.find((item) => item.kind === 'path' && item.fill === 'hub')!;
      const thing = section.items.find((item) => item.kind === 'path' && item.layer === 'thing')!;
      if (hub.kind !== 'path' || thing.kind !== 'path') throw new Error('no hub');
      expect(Math.sign(thing.points[0]![1] - hub.points[0]![1])).toBe(Math.sign(cutFill));
      expect(textsOf(section).map(({ text }) => text)).toEqual(
        expect.arrayContaining([word, 'top of wall', `level ${reading.offset.toFixed(3)} m`]),
      );
    }
    expect(textsOf(scenes(heights(0))[0]).map(({ text }) => text)).toContain('ON GRADE');
  });

  it('stays on its paper with no text on another, in every language and for two heights', () => {
    for (const { code } of allLanguages())
      for (const each of [
        heights(),
        heights(0.4),
        heights(-0.4),
        heights(0),
        heights(0.4, 1.6),
        heights(-0.2, 1.1),
        heights(-1.1, -0.2),
        { ...heights(0.3), carrier: 'peg' as const },
      ])
        for (const scene of scenes(each, code)) {
          const texts = textsOf(scene);
          expect([code, each.heights, overlapping(texts)]).toEqual([code, each.heights, []]);
          for (const text of texts) {
            const box = boxOf(text);
            expect([text.text, box.x > -1 && box.x + box.w < scene.width + 2]).toEqual([text.text, true]);
          }
        }
  });

  it('from above shows the way from the mark to the thing with north up', () => {
    const there = { ...reading, place: { e: 10, n: 20 }, design: { e: 10, n: 22 }, lines: [] };
    const [, plan] = scenes(there);
    const way = plan.items.find(
      (item) => item.kind === 'path' && item.layer === 'dimensions' && item.dash !== undefined,
    )!;
    if (way.kind !== 'path') throw new Error('no way');
    expect(way.points[0]![0]).toBeCloseTo(way.points[1]![0], 9);
    expect(way.points[1]![1]).toBeLessThan(way.points[0]![1]);
  });
});

describe('a file’s name', () => {
  it('is of letters that every system takes', () => {
    expect(['Ticket hall: Nord-Süd', '../../etc/passwd', '你好', ' = '].map(fileWord)).toEqual([
      'ticket-hall-nord-sud',
      'etc-passwd',
      'marks',
      'marks',
    ]);
  });
});

describe('two tapes', () => {
  const place = fc.record({
    e: fc.double({ min: -12, max: 12, noNaN: true }),
    n: fc.double({ min: -12, max: 12, noNaN: true }),
  });
  it('are drawn where they lie, with every figure once and none on another', () => {
    fc.assert(
      fc.property(
        place,
        place,
        place,
        fc.constantFrom('metre' as const, 'usSurveyFoot' as const),
        (first, second, at, unit) => {
          const point = { ...at, name: 'B3' };
          const [pair] = tapedPairs(point, [
            { ...first, name: 'H-1 W' },
            { ...second, name: 'H-12 N' },
          ]);
          fc.pre(pair !== undefined);
          const scene = tapeScene({ point, pair: pair, title: 'Two tapes to B3', unit, measure });
          const texts = textsOf(scene);
          for (const name of ['B3', 'H-1 W', 'H-12 N'])
            expect(texts.filter(({ text }) => text === name)).toHaveLength(1);
          expect(overlapping(texts)).toEqual([]);
          for (const box of texts.map(boxOf)) {
            expect(box.x).toBeGreaterThanOrEqual(0);
            expect(box.x + box.w).toBeLessThanOrEqual(scene.width);
          }
          const tapes = scene.items.filter((item) => item.kind === 'path' && item.layer === 'offsets');
          const { perPoint } = scene.ground!;
          expect(
            tapes.map((tape) =>
              tape.kind === 'path'
                ? Math.hypot(tape.points[0]![0] - tape.points[1]![0], tape.points[0]![1] - tape.points[1]![1]) *
                  perPoint
                : 0,
            ),
          ).toEqual([expect.closeTo(pair.tapes.fromA, 6), expect.closeTo(pair.tapes.fromB, 6)]);
        },
      ),
      { numRuns: 200 },
    );
  });
});

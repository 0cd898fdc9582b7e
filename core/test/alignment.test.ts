import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  againstAlignment,
  alignmentNotes,
  alignmentOf,
  elementsThrough,
  feetWithin,
  keyPoints,
  placeAlong,
  placeBeyond,
  planDistance,
  shapeOf,
  stationsShown,
  type Alignment,
  type HorizontalElement,
  type PlanPoint,
} from '../src/index.ts';
import { bendBefore } from '../src/alignment/alignment.ts';
import { definitionAlong, made, numbersFrom, smoothElements } from './roads.ts';

/** Smallest distance over the line looked at every few centimetres, refined around the best. */
function bySearch(alignment: Alignment, point: PlanPoint): { station: number; distance: number } {
  const at = (station: number) => planDistance(placeAlong(alignment, station)!, point);
  let best = { station: alignment.startStation, distance: at(alignment.startStation) };
  const step = 0.25;
  for (let station = alignment.startStation; station <= alignment.endStation; station += step) {
    const distance = at(station);
    if (distance < best.distance) best = { station, distance };
  }
  for (let width = step; width > 1e-9; width /= 2)
    for (const station of [best.station - width, best.station + width]) {
      if (station < alignment.startStation || station > alignment.endStation) continue;
      const distance = at(station);
      if (distance < best.distance) best = { station, distance };
    }
  return best;
}

describe('alignments', () => {
  it('go through their elements without a jump in place or direction', () => {
    const alignment = made(definitionAlong(smoothElements(60, 7)));
    for (const { startStation } of alignment.elements.slice(1)) {
      const [before, after] = [
        placeAlong(alignment, startStation - 1e-5)!,
        placeAlong(alignment, startStation + 1e-5)!,
      ];
      expect(planDistance(before, after)).toBeCloseTo(2e-5, 8);
    }
    alignment.elements.forEach((_, i) => expect(Math.abs(bendBefore(alignment, i))).toBeLessThan(1e-9));
    expect(planDistance(placeAlong(alignment, alignment.endStation)!, alignment.elements.at(-1)!.end)).toBeLessThan(
      1e-8,
    );
  });

  it('give back station and offset of any place beside them', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: -35, max: 35, noNaN: true }),
        (seed, share, offset) => {
          const alignment = made(definitionAlong(smoothElements(12, seed)));
          const station = alignment.startStation + share * alignment.length;
          const place = placeAlong(alignment, station, offset)!;
          const feet = feetWithin(alignment, place, 40);
          // Inside of the smallest radius (40 m, spirals between 16 m) the foot is a nearest one.
          if (1 - place.curvature * offset > 0.02)
            expect(
              feet.some((foot) => Math.abs(foot.station - station) < 1e-5 && Math.abs(foot.offset - offset) < 1e-5),
            ).toBe(true);
          for (const foot of feet)
            expect(planDistance(placeAlong(alignment, foot.station, foot.offset)!, place)).toBeLessThan(1e-5);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('find the nearest of all places, against a search through all of them', () => {
    const next = numbersFrom(11);
    for (const seed of [3, 5, 8]) {
      const alignment = made(definitionAlong(smoothElements(14, seed)));
      for (let i = 0; i < 25; i++) {
        const on = placeAlong(alignment, alignment.startStation + next() * alignment.length)!;
        const point = { e: on.e + 160 * (next() - 0.5), n: on.n + 160 * (next() - 0.5) };
        const [found, searched] = [againstAlignment(alignment, point), bySearch(alignment, point)];
        expect(Math.abs(found.distance - searched.distance)).toBeLessThan(1e-6);
        if (found.status === 'onAlignment' && Math.abs(found.station - searched.station) > 1e-3)
          // Two places are as near: then both are feet.
          expect(
            feetWithin(alignment, point, 200).some(({ station }) => Math.abs(station - searched.station) < 1e-3),
          ).toBe(true);
      }
    }
  });

  it('turn right with positive curvature and have right offsets on the right, mirrored for the other hand', () => {
    const [right, left] = (['cw', 'ccw'] as const).map((rotation) =>
      made(
        definitionAlong(
          [
            { kind: 'line', length: 10 },
            { kind: 'spiral', length: 30, radiusStart: null, radiusEnd: 60, rotation },
            { kind: 'curve', length: 40, radius: 60, rotation },
          ],
          0,
        ),
      ),
    );
    const [a, b] = [placeAlong(right!, 60, 3)!, placeAlong(left!, 60, -3)!];
    expect([a.e - 4000, a.n]).toEqual([expect.closeTo(4000 - b.e, 9), expect.closeTo(b.n, 9)]);
    expect(a.curvature).toBeGreaterThan(0);
    expect(planDistance(placeAlong(right!, 60)!, a)).toBeCloseTo(3, 9);
    expect(keyPoints(right!).map(({ name }) => name)).toEqual(['BOP', 'TS', 'SC', 'EOP']);
  });

  it('take a circle that closes, and one seen from its centre', () => {
    const circle = made({
      startStation: 0,
      equations: [],
      elements: [
        { kind: 'curve', start: { e: 10, n: 0 }, end: { e: 10, n: 0 }, centre: { e: 0, n: 0 }, rotation: 'cw' },
      ],
    });
    expect(circle.length).toBeCloseTo(20 * Math.PI, 9);
    expect(placeAlong(circle, 5 * Math.PI)).toMatchObject({ e: expect.closeTo(0, 9), n: expect.closeTo(-10, 9) });
    expect(againstAlignment(circle, { e: 0, n: 12 })).toMatchObject({
      station: expect.closeTo(15 * Math.PI, 9),
      offset: expect.closeTo(-2, 9),
    });
    expect(againstAlignment(circle, { e: 0, n: 0 }).distance).toBeCloseTo(10, 9);
  });

  it('say what lies beyond their ends, and carry on straight there', () => {
    const alignment = made(definitionAlong(smoothElements(8, 21), 0.4, 1000));
    for (const [station, status] of [
      [990, 'beyondStart'],
      [alignment.endStation + 12, 'beyondEnd'],
    ] as const) {
      const place = placeBeyond(alignment, station, 2.5)!;
      expect(placeAlong(alignment, station)).toBeNull();
      expect(againstAlignment(alignment, place)).toMatchObject({
        status,
        extension: expect.closeTo(status === 'beyondStart' ? 10 : 12, 8),
        offset: expect.closeTo(2.5, 8),
      });
    }
    expect(placeBeyond(alignment, 1001)).toBeNull();
  });

  it('know a bend from a joint that rounding has bent', () => {
    const line = (start: PlanPoint, end: PlanPoint): HorizontalElement => ({ kind: 'line', start, end });
    const [a, b] = [
      { e: 0, n: 0 },
      { e: 0, n: 100 },
    ];
    const bent = made({ startStation: 0, equations: [], elements: [line(a, b), line(b, { e: 100, n: 100 })] });
    expect(keyPoints(bent).map(({ name }) => name)).toEqual(['BOP', 'PI', 'EOP']);
    expect(againstAlignment(bent, { e: -3, n: 104 })).toMatchObject({
      status: 'atAngle',
      station: 100,
      offset: expect.closeTo(-5, 12),
    });
    expect(feetWithin(bent, { e: -3, n: 104 }, 10)).toEqual([]);
    // On the inner side both lines have their foot.
    expect(feetWithin(bent, { e: 3, n: 96 }, 10).map(({ station, offset }) => [station, offset])).toEqual([
      [96, 3],
      [103, 4],
    ]);
    const rounded = made({ startStation: 0, equations: [], elements: [line(a, b), line(b, { e: 0.0005, n: 200 })] });
    expect(againstAlignment(rounded, { e: -50, n: 100.0001 })).toMatchObject({
      status: 'onAlignment',
      offset: expect.closeTo(-50, 4),
    });
    expect(feetWithin(rounded, { e: -50, n: 100.0001 }, 60)).toHaveLength(1);
    expect(feetWithin(rounded, { e: 50, n: 100.0001 }, 60)).toHaveLength(1);
    expect(
      keyPoints(made({ startStation: 0, equations: [], elements: [line(a, b), line(b, { e: 0, n: 200 })] })),
    ).toHaveLength(2);
  });

  it('are refused with the element where they can not be, and asked about where they do not fit', () => {
    const spiral: HorizontalElement = {
      kind: 'spiral',
      start: { e: 0, n: 0 },
      end: { e: 0, n: 40 },
      radiusStart: null,
      radiusEnd: null,
      length: 40,
      rotation: 'cw',
    };
    const line: HorizontalElement = { kind: 'line', start: { e: 0, n: -50 }, end: { e: 0, n: -0.02 } };
    const fault = (
      elements: readonly HorizontalElement[],
      equations: { at: number; ahead: number; counts: 1 }[] = [],
    ) => {
      const result = alignmentOf({ startStation: 0, elements, equations });
      return result.ok ? null : result.error;
    };
    expect(fault([])).toEqual({ code: 'ALIGNMENT_WITHOUT_ELEMENTS' });
    expect(fault([line, spiral])).toEqual({
      code: 'ELEMENT_FAULT',
      element: 1,
      kind: 'spiral',
      fault: { code: 'SPIRAL_STRAIGHT_AT_BOTH_ENDS' },
    });
    expect(fault([{ ...spiral, radiusEnd: 50, length: 60 }])).toMatchObject({
      fault: { code: 'SPIRAL_DOES_NOT_REACH' },
    });
    expect(fault([{ ...spiral, radiusEnd: -5 }])).toMatchObject({ fault: { code: 'RADIUS_NOT_POSITIVE' } });
    expect(fault([{ ...spiral, radiusEnd: 1e-9 }])).toMatchObject({ fault: { code: 'ELEMENT_WINDS' } });
    expect(fault([{ ...spiral, radiusEnd: 5, length: 0 }])).toMatchObject({
      fault: { code: 'ELEMENT_WITHOUT_LENGTH' },
    });
    expect(fault([{ ...line, end: line.start }])).toMatchObject({ fault: { code: 'ELEMENT_WITHOUT_LENGTH' } });
    expect(fault([line], [{ at: 80, ahead: 100, counts: 1 }])).toEqual({ code: 'EQUATION_OUTSIDE', at: 80 });
    expect(
      fault(
        [line],
        [
          { at: 20, ahead: 100, counts: 1 },
          { at: 20, ahead: 50, counts: 1 },
        ],
      ),
    ).toEqual({ code: 'EQUATIONS_AT_ONE_PLACE', at: 20 });
    const curve: HorizontalElement = {
      kind: 'curve',
      start: { e: 0, n: 0 },
      end: { e: 10, n: 10.02 },
      centre: { e: 10, n: 0 },
      rotation: 'cw',
    };
    expect(alignmentNotes({ startStation: 0, elements: [line, curve], equations: [] })).toEqual([
      { code: 'GAP', element: 1, size: expect.closeTo(0.02, 12) },
      { code: 'CENTRE_OFF', element: 1, size: expect.closeTo(0.02, 9) },
    ]);
    expect(shapeOf(curve)).toMatchObject({ ok: true, value: { kind: 'curve', end: curve.end } });
  });

  it('number afresh at equations: gaps, overlaps, and counting down', () => {
    const alignment = made({
      ...definitionAlong([{ kind: 'line', length: 500 }], 0, 0),
      equations: [
        { at: 300, ahead: 1000, counts: -1 },
        { at: 100, ahead: 50, counts: 1 },
      ],
    });
    expect(
      [50, 100, 150, 300, 350]
        .map((station) => placeAlong(alignment, station))
        .map((place) => [place!.displayed, place!.region]),
    ).toEqual([
      [50, 0],
      [50, 1],
      [100, 1],
      [1000, 2],
      [950, 2],
    ]);
    expect(stationsShown(alignment, 75)).toEqual([
      { station: 75, region: 0 },
      { station: 125, region: 1 },
    ]);
    expect(stationsShown(alignment, 100).map(({ station }) => station)).toEqual([100, 150]);
    expect(stationsShown(alignment, 900).map(({ station }) => station)).toEqual([400]);
    expect(stationsShown(alignment, 500)).toEqual([]);
  });
});

describe('alignments through intersection points', () => {
  const corner = (e: number, n: number, radius: number | null = null, spiralIn = 0, spiralOut = 0) => ({
    e,
    n,
    radius,
    spiralIn,
    spiralOut,
  });

  it('meet their tangents smoothly, with spirals as long as asked, for any corner', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -2.4, max: 2.4, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (turn, spiralIn, spiralOut) => {
          fc.pre(Math.abs(turn) > 0.55);
          const points = [
            corner(0, 0),
            corner(0, 400, 60, spiralIn, spiralOut),
            corner(400 * Math.sin(turn), 400 + 400 * Math.cos(turn)),
          ];
          const elements = elementsThrough(points);
          if (!elements.ok) throw new Error(elements.error.code);
          const alignment = made({ startStation: 0, elements: elements.value, equations: [] });
          alignment.elements.forEach((element, i) => {
            expect(Math.abs(bendBefore(alignment, i))).toBeLessThan(1e-8);
            if (i > 0) expect(planDistance(alignment.elements[i - 1]!.end, element.start)).toBeLessThan(1e-9);
          });
          expect(alignment.elements.at(-1)!.end).toEqual({ e: points[2]!.e, n: points[2]!.n });
          const curve = alignment.elements.find(({ kind }) => kind === 'curve')!;
          expect(Math.abs(1 / curve.curvatureStart)).toBeCloseTo(60, 6);
          expect(Math.sign(curve.curvatureStart)).toBe(Math.sign(turn));
        },
      ),
      { numRuns: 200 },
    );
  });

  it('bend without a radius, and say which point does not fit', () => {
    const straight = elementsThrough([corner(0, 0), corner(0, 50), corner(50, 50)]);
    expect(straight.ok && straight.value.map(({ kind }) => kind)).toEqual(['line', 'line']);
    const fault = (...points: ReturnType<typeof corner>[]) => {
      const result = elementsThrough(points);
      return result.ok ? null : result.error;
    };
    expect(fault(corner(0, 0))).toEqual({ code: 'TOO_FEW_INTERSECTIONS', given: 1 });
    expect(fault(corner(0, 0), corner(0, 0))).toEqual({ code: 'INTERSECTIONS_IN_ONE_PLACE', point: 1 });
    expect(fault(corner(0, 0), corner(0, 50, null, 5), corner(50, 50))).toEqual({
      code: 'SPIRAL_WITHOUT_RADIUS',
      point: 1,
    });
    expect(fault(corner(0, 0), corner(0, 50, -3), corner(50, 50))).toEqual({
      code: 'INTERSECTION_RADIUS_NOT_POSITIVE',
      point: 1,
    });
    expect(fault(corner(0, 0), corner(0, 50, 20), corner(0, 90))).toEqual({ code: 'NO_TURN_TO_ROUND', point: 1 });
    expect(fault(corner(0, 0), corner(0, 500, 20, 40, 40), corner(500, 500))).toMatchObject({
      code: 'SPIRALS_TURN_TOO_FAR',
      point: 1,
      spirals: 2,
    });
    expect(fault(corner(0, 0), corner(0, 50, 60), corner(200, 50))).toEqual({
      code: 'CURVES_OVERLAP',
      point: 1,
      by: expect.closeTo(10, 9),
    });
    expect(fault(corner(0, 0), corner(0, 100, 60), corner(100, 100, 60), corner(100, 300))).toEqual({
      code: 'CURVES_OVERLAP',
      point: 2,
      by: expect.closeTo(20, 9),
    });
  });
});

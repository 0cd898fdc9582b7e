import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { alongOff } from '../plane/line.ts';
import { azimuth, planDistance, polar } from '../plane/point.ts';
import { anglePoint } from './anglePoint.ts';
import {
  againstGridLine,
  columnGrid,
  gridCrossing,
  gridIntersections,
  gridLine,
  placeInGrid,
  type ColumnGridDefinition,
} from './columnGrid.ts';
import { beyondEnd, rectangleMarks } from './recoveryMarks.ts';
import { measuredAgainstArc, pointOnReferenceArc, referenceArc } from './referenceArc.ts';
import { measuredAgainstLine, pointOnReferenceLine } from './referenceLine.ts';

const coordinate = fc.double({ min: -500, max: 500, noNaN: true });
const point = fc.record({ e: coordinate, n: coordinate });
const turn = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true });
const length = fc.double({ min: 1, max: 200, noNaN: true });

describe('a reference line', () => {
  it('measures what was set out from it', () => {
    fc.assert(
      fc.property(point, turn, length, coordinate, coordinate, (from, direction, size, chainage, offset) => {
        const line = {
          from: { ...from, z: 3 },
          to: { ...polar(from, direction, size), z: 5 },
          heightMode: 'grade' as const,
          startChainage: 100,
        };
        const place = pointOnReferenceLine(line, chainage, offset, 0.25)!;
        const back = measuredAgainstLine(line, place)!;
        expect(back.chainage).toBeCloseTo(chainage, 6);
        expect(back.offset).toBeCloseTo(offset, 6);
        expect(back.heightDifference).toBeCloseTo(0.25, 9);
        expect(back.position).toBe(chainage < 100 - 1e-6 ? 'before' : chainage > 100 + size + 1e-6 ? 'after' : 'on');
      }),
    );
  });

  it('has no height when an end has none, unless it is level', () => {
    const ends = { from: { e: 0, n: 0, z: 4 }, to: { e: 0, n: 10, z: null }, startChainage: 0 };
    expect(pointOnReferenceLine({ ...ends, heightMode: 'grade' }, 5, 1, 0)).toEqual({ e: 1, n: 5, z: null });
    expect(pointOnReferenceLine({ ...ends, heightMode: 'level' }, 5, 1, 0.5)).toEqual({ e: 1, n: 5, z: 4.5 });
    expect(measuredAgainstLine({ ...ends, to: ends.from, heightMode: 'level' }, ends.from)).toBeNull();
  });
});

describe('a reference arc', () => {
  const arcs = fc
    .record({
      start: point,
      end: point,
      slack: fc.double({ min: 0.01, max: 3, noNaN: true }),
      rotation: fc.constantFrom('cw' as const, 'ccw' as const),
      majorArc: fc.boolean(),
    })
    .filter(({ start, end }) => planDistance(start, end) > 1)
    .map(({ slack, ...arc }) => ({
      ...arc,
      radius: (planDistance(arc.start, arc.end) / 2) * (1 + slack),
      startChainage: 50,
    }));

  it('runs from its start to its end, with its radius and hand', () => {
    fc.assert(
      fc.property(arcs, (definition) => {
        const arc = referenceArc(definition)!;
        expect(planDistance(pointOnReferenceArc(arc, 50, 0)!, definition.start)).toBeLessThan(1e-6);
        expect(planDistance(pointOnReferenceArc(arc, 50 + arc.length, 0)!, definition.end)).toBeLessThan(1e-6);
        expect(arc.delta > Math.PI).toBe(definition.majorArc);
        // A right hand arc has its centre to the right of its tangent.
        const ahead = polar(definition.start, arc.azimuthStart, 1);
        expect(Math.sign(alongOff(arc.centre, definition.start, ahead)!.off)).toBe(
          definition.rotation === 'cw' ? 1 : -1,
        );
      }),
    );
  });

  it('measures what was set out from it', () => {
    fc.assert(
      fc.property(
        arcs,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: -0.9, max: 0.9, noNaN: true }),
        (definition, share, aside) => {
          const arc = referenceArc(definition)!;
          const [chainage, offset] = [50 + share * arc.length, aside * arc.radius];
          const back = measuredAgainstArc(arc, pointOnReferenceArc(arc, chainage, offset)!);
          expect(back).toMatchObject({
            status: 'onAlignment',
            offset: expect.closeTo(offset, 5),
            chainage: expect.closeTo(chainage, 4),
          });
        },
      ),
    );
  });

  it('carries its tangents on beyond its ends', () => {
    const arc = referenceArc({
      start: { e: 0, n: 0 },
      end: { e: 10, n: 10 },
      radius: 10,
      rotation: 'cw',
      majorArc: false,
      startChainage: 0,
    })!;
    expect(measuredAgainstArc(arc, { e: 1, n: -2 })).toEqual({
      status: 'beyondStart',
      offset: expect.closeTo(1, 9),
      extension: expect.closeTo(2, 9),
    });
    expect(measuredAgainstArc(arc, { e: 13, n: 9 })).toEqual({
      status: 'beyondEnd',
      offset: expect.closeTo(1, 9),
      extension: expect.closeTo(3, 9),
    });
  });

  it('is none when the chord is longer than the diameter or there is no chord', () => {
    const ends = {
      start: { e: 0, n: 0 },
      end: { e: 10, n: 0 },
      rotation: 'cw',
      majorArc: false,
      startChainage: 0,
    } as const;
    expect(referenceArc({ ...ends, radius: 4.9 })).toBeNull();
    expect(referenceArc({ ...ends, radius: 5 })!.delta).toBeCloseTo(Math.PI, 9);
    expect(referenceArc({ ...ends, end: ends.start, radius: 5 })).toBeNull();
    expect(referenceArc({ ...ends, radius: -5 })).toBeNull();
  });
});

describe('a grid', () => {
  const skewed = (
    letters: number,
    skew: number,
    spacingMeasured: ColumnGridDefinition['spacingMeasured'] = 'perpendicular',
  ): ColumnGridDefinition => ({
    origin: { e: 100, n: 200 },
    letters: { azimuth: letters, labels: ['A', 'B', 'C'], spacings: [6, 7.5] },
    numbers: { azimuth: letters + skew, labels: ['1', '2', '3', '4'], spacings: [5, 5.5, 6] },
    spacingMeasured,
  });
  const skews = fc.double({ min: 0.3, max: 2.8, noNaN: true }).chain((skew) => fc.constantFrom(skew, -skew));

  it('has its lines as far apart as said, square or along, whichever way it turns', () => {
    fc.assert(
      fc.property(turn, skews, (letters, skew) => {
        for (const measured of ['perpendicular', 'alongCrossing'] as const) {
          const result = columnGrid(skewed(letters, skew, measured));
          if (!result.ok) throw new Error(result.error.code);
          const [a, b] = result.value.letters;
          const one = result.value.numbers[0]!;
          const [a1, b1] = [gridCrossing(a!, one)!, gridCrossing(b!, one)!];
          expect(Math.abs(againstGridLine(a!, b1).offset)).toBeCloseTo(
            measured === 'perpendicular' ? 6 : 6 * Math.abs(Math.sin(skew)),
            6,
          );
          if (measured === 'alongCrossing') expect(planDistance(a1, b1)).toBeCloseTo(6, 6);
          expect(againstGridLine(a!, b1).toward).toBe('B');
          expect(againstGridLine(b!, a1).toward).toBe('A');
          expect(againstGridLine(a!, a1).toward).toBe('on');
        }
      }),
    );
  });

  it('finds a place said as people say it, and tells it back', () => {
    fc.assert(
      fc.property(
        turn,
        skews,
        fc.double({ min: 0.01, max: 4, noNaN: true }),
        fc.double({ min: 0.01, max: 4, noNaN: true }),
        (letters, skew, fromTwo, fromB) => {
          const result = columnGrid(skewed(letters, skew));
          if (!result.ok) throw new Error(result.error.code);
          const place = placeInGrid(
            result.value,
            { line: '2', toward: '3', distance: fromTwo },
            { line: 'B', toward: 'C', distance: fromB },
          )!;
          expect(againstGridLine(gridLine(result.value, '2')!, place)).toMatchObject({ toward: '3' });
          expect(Math.abs(againstGridLine(gridLine(result.value, '2')!, place).offset)).toBeCloseTo(fromTwo, 6);
          expect(Math.abs(againstGridLine(gridLine(result.value, 'B')!, place).offset)).toBeCloseTo(fromB, 6);
        },
      ),
    );
  });

  it('names all crossings, and has none within a family', () => {
    const result = columnGrid(skewed(1, 1.2));
    if (!result.ok) throw new Error(result.error.code);
    expect(gridIntersections(result.value).map((each) => each.name)).toHaveLength(12);
    expect(gridIntersections(result.value)[0]).toMatchObject({
      name: 'A-1',
      e: expect.closeTo(100, 9),
      n: expect.closeTo(200, 9),
    });
    expect(gridCrossing(result.value.letters[0]!, result.value.letters[1]!)).toBeNull();
    expect(
      placeInGrid(result.value, { line: '2', toward: '4', distance: 1 }, { line: 'B', toward: 'C', distance: 1 }),
    ).toBeNull();
    expect(
      againstGridLine(
        result.value.letters[2]!,
        polar(result.value.letters[2]!.from, result.value.numbers[0]!.azimuth, 2),
      ).toward,
    ).toBe('outside');
  });

  it.each([
    ['GRID_SPACING_NOT_POSITIVE', { letters: { azimuth: 0, labels: ['A', 'B'], spacings: [0] } }],
    ['GRID_SPACING_COUNT', { letters: { azimuth: 0, labels: ['A', 'B'], spacings: [] } }],
    ['GRID_WITHOUT_LINES', { letters: { azimuth: 0, labels: [], spacings: [] } }],
    ['GRID_LABEL_TWICE', { letters: { azimuth: 0, labels: ['A', '1'], spacings: [5] } }],
    ['GRID_LINES_PARALLEL', { letters: { azimuth: 1.2 + Math.PI, labels: ['A', 'B'], spacings: [5] } }],
  ] as const)('is refused with %s', (code, change) => {
    expect(columnGrid({ ...skewed(0, 1.2), ...change })).toMatchObject({ ok: false, error: { code } });
  });
});

describe('a corner with offsets', () => {
  it('has its mitre off both lines', () => {
    fc.assert(
      fc.property(
        point,
        turn,
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (corner, way, bend, back, ahead) => {
          fc.pre(Math.abs(bend) > 0.05);
          const [from, to] = [polar(corner, way + Math.PI, 20), polar(corner, way + bend, 20)];
          const found = anglePoint(from, corner, to, back, ahead)!;
          expect(found.deflection).toBeCloseTo(bend, 9);
          expect(alongOff(found.mitre!, from, corner)!.off).toBeCloseTo(back, 6);
          expect(alongOff(found.mitre!, corner, to)!.off).toBeCloseTo(ahead, 6);
          expect(planDistance(found.back, corner)).toBeCloseTo(Math.abs(back), 9);
        },
      ),
    );
  });

  it('tells inside from outside and from neither', () => {
    const corner = (back: number, ahead: number) =>
      anglePoint({ e: 0, n: 0 }, { e: 0, n: 10 }, { e: 10, n: 10 }, back, ahead)!.mitreSide;
    expect([corner(3, 3), corner(-3, -3), corner(3, -3), corner(0, 3)]).toEqual([
      'inside',
      'outside',
      'mixed',
      'mixed',
    ]);
    expect(anglePoint({ e: 0, n: 0 }, { e: 0, n: 10 }, { e: 0, n: 0 }, 3, 3)!.mitre).toBeNull();
    expect(anglePoint({ e: 0, n: 0 }, { e: 0, n: 0 }, { e: 0, n: 5 }, 3, 3)).toBeNull();
  });
});

describe('recovery marks', () => {
  it('of a rectangle are in line with the corners of their side', () => {
    fc.assert(
      fc.property(
        point,
        turn,
        length,
        length,
        fc.constantFrom('left' as const, 'right' as const),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (first, way, long, wide, side, distance) => {
          const { corners, diagonal } = rectangleMarks(first, way, long, wide, side, distance);
          expect(planDistance(corners[0]!, corners[2]!)).toBeCloseTo(diagonal, 6);
          expect(planDistance(corners[1]!, corners[3]!)).toBeCloseTo(diagonal, 6);
          corners.forEach((corner, i) => {
            const [before, after] = [corners[(i + 3) % 4]!, corners[(i + 1) % 4]!];
            expect(planDistance(corner.previousSide, beyondEnd(before, corner, distance, 'to')!)).toBeLessThan(1e-6);
            expect(planDistance(corner.nextSide, beyondEnd(after, corner, distance, 'to')!)).toBeLessThan(1e-6);
          });
          expect(Math.cos(azimuth(corners[0]!, corners[1]!) - way)).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  it('do not exist beyond a line without length', () => {
    expect(beyondEnd({ e: 1, n: 1 }, { e: 1, n: 1 }, 5, 'to')).toBeNull();
    expect(beyondEnd({ e: 0, n: 0 }, { e: 0, n: 10 }, 5, 'from')).toEqual({ e: expect.closeTo(0, 9), n: -5 });
  });
});

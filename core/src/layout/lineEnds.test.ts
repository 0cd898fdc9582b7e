import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { alongOff } from '../plane/line.ts';
import { planDistance } from '../plane/point.ts';
import { lineEndHubs } from './lineEnds.ts';

const at = (name: string, e: number, n: number) => ({ name, e, n });

describe('hubs beyond the ends of lines', () => {
  it('stand on the line, the offset beyond each end', () => {
    const hubs = lineEndHubs([at('A1', 10, 20), at('A5', 10, 50)], 3);
    expect(hubs).toMatchObject({
      ok: true,
      value: [
        { key: 'A5-A1', corner: 'A1', place: { e: 10, n: 17 }, onLine: ['A5', 'A1'], offFace: null },
        { key: 'A1-A5', corner: 'A5', place: { e: 10, n: 53 }, onLine: ['A1', 'A5'] },
      ],
    });
  });

  it('leave the line between them untouched, wherever it runs', () => {
    const coordinate = fc.double({ min: -1e6, max: 1e6, noNaN: true });
    fc.assert(
      fc.property(
        coordinate,
        coordinate,
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: 1, max: 500, noNaN: true }),
        (e, n, angle, length) => {
          const [from, to] = [at('a', e, n), at('b', e + length * Math.sin(angle), n + length * Math.cos(angle))];
          const hubs = lineEndHubs([from, to], 2);
          if (!hubs.ok) throw new Error(hubs.error.code);
          const [before, after] = [hubs.value[0]!.place, hubs.value[1]!.place];
          expect(planDistance(before, after)).toBeCloseTo(length + 4, 6);
          for (const end of [from, to]) expect(Math.abs(alongOff(end, before, after)!.off)).toBeLessThan(1e-6);
        },
      ),
    );
  });

  it('give every line of a grid its own keys, also where lines share an end', () => {
    const hubs = lineEndHubs([at('A1', 0, 0), at('A5', 0, 30), at('A1', 0, 0), at('D1', 20, 0)], 2);
    if (!hubs.ok) throw new Error(hubs.error.code);
    expect(new Set(hubs.value.map((hub) => hub.key)).size).toBe(4);
  });

  it.each([
    [[at('a', 0, 0), at('b', 0, 5), at('c', 1, 1)], 2, { code: 'LINE_WITHOUT_END', name: 'c' }],
    [[at('a', 0, 0), at('b', 0.001, 0)], 2, { code: 'LINE_TOO_SHORT', from: 'a', to: 'b' }],
    [[at('a', 0, 0), at('b', 9, 0)], 0, { code: 'OFFSET_NOT_POSITIVE', offset: 0 }],
  ])('are refused for lines that are none (%#)', (ends, offset, error) => {
    expect(lineEndHubs(ends, offset)).toEqual({ ok: false, error });
  });
});

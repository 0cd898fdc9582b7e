import { describe, expect, it } from '@jest/globals';
import { crossingTriangles } from './crossing.ts';
import { surfaceOf, type Triangles } from './surface.ts';

/** A square of `size` by `size` squares of 10 m, each in two triangles, with a ripple of heights. */
function sheet(size: number): { places: number[]; faces: number[] } {
  const places: number[] = [];
  const faces: number[] = [];
  for (let r = 0; r <= size; r++)
    for (let q = 0; q <= size; q++) places.push(q * 10, r * 10, Math.sin(q) + Math.cos(r));
  for (let r = 0; r < size; r++)
    for (let q = 0; q < size; q++) {
      const a = r * (size + 1) + q;
      faces.push(a, a + 1, a + size + 1, a + 1, a + size + 2, a + size + 1);
    }
  return { places, faces };
}
const of = ({ places, faces }: { places: number[]; faces: number[] }) => {
  const triangles: Triangles = { places: Float64Array.from(places), faces: Uint32Array.from(faces) };
  const made = surfaceOf(triangles);
  if (!made.ok) throw new Error(made.error.code);
  return crossingTriangles(made.value);
};

describe('triangles that lie over one another', () => {
  it('are none in a sheet, whichever way its triangles run and with holes in it', () => {
    const { places, faces } = sheet(12);
    expect(of({ places, faces })).toBeNull();
    const turned = faces.flatMap((_, i) => (i % 3 === 0 ? [faces[i]!, faces[i + 2]!, faces[i + 1]!] : []));
    expect(of({ places, faces: turned })).toBeNull();
    expect(of({ places, faces: faces.filter((_, i) => Math.floor(i / 3) % 7 !== 0) })).toBeNull();
  });

  it('are found where one lies over its neighbours, with the first two and where', () => {
    const { places, faces } = sheet(4);
    const corners = places.length / 3;
    // From the middle of one square across into the next.
    const found = of({
      places: [...places, 12, 12, 5, 27, 14, 5, 14, 26, 5],
      faces: [...faces, corners, corners + 1, corners + 2],
    })!;
    expect(found.count).toBeGreaterThan(3);
    expect(found.first[1]).toBe(faces.length / 3);
    expect(found.at.e).toBeGreaterThan(5);
    expect(found.at.e).toBeLessThan(30);
  });

  it('are found where the same triangle comes twice, and where two only cross without a corner in one another', () => {
    expect(of({ places: [0, 0, 1, 10, 0, 1, 0, 10, 1], faces: [0, 1, 2, 0, 1, 2] })).toEqual({
      count: 2,
      first: [0, 1],
      at: { e: 10 / 3, n: 10 / 3 },
    });
    const star = [0, 0, 1, 10, 0, 1, 5, 9, 1, 0, 6, 2, 10, 6, 2, 5, -3, 2];
    expect(of({ places: star, faces: [0, 1, 2, 3, 4, 5] })).toMatchObject({ count: 2 });
  });

  it('are not made of corners that a file has rounded', () => {
    // A corner on the long side of its neighbour, 1 mm over it.
    const tee = [0, 0, 0, 20, 0, 0, 10, 10, 0, 10, 0.001, 0, 0, -10, 0, 20, -10, 0];
    expect(of({ places: tee, faces: [0, 1, 2, 0, 3, 4, 3, 1, 5] })).toBeNull();
    expect(
      of({ places: tee.map((value, i) => (i === 10 ? 0.05 : value)), faces: [0, 1, 2, 0, 3, 4, 3, 1, 5] }),
    ).not.toBeNull();
  });
});

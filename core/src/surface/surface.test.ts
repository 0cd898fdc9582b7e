import { expect, test } from '@jest/globals';
import { heightOn, rimOf, surfaceOf, type Surface, type Triangles } from './surface.ts';

/** A square net of `size` × `size` cells of one metre, two triangles each, with heights by a rule. */
function net(
  size: number,
  z: (e: number, n: number) => number,
  without: (q: number, r: number) => boolean = () => false,
): Triangles {
  const places: number[] = [];
  for (let r = 0; r <= size; r++)
    for (let q = 0; q <= size; q++) places.push(1000 + q, 2000 + r, z(1000 + q, 2000 + r));
  const faces: number[] = [];
  const at = (q: number, r: number) => r * (size + 1) + q;
  for (let r = 0; r < size; r++)
    for (let q = 0; q < size; q++)
      if (!without(q, r))
        faces.push(at(q, r), at(q + 1, r), at(q + 1, r + 1), at(q, r), at(q + 1, r + 1), at(q, r + 1));
  return { places: Float64Array.from(places), faces: Uint32Array.from(faces) };
}

const made = (triangles: Triangles): Surface => {
  const surface = surfaceOf(triangles);
  if (!surface.ok) throw new Error(surface.error.code);
  return surface.value;
};

const plane = (e: number, n: number) => 50 + 0.02 * (e - 1000) - 0.03 * (n - 2000);

test('a plane is a plane everywhere on it, on its edges and corners too, and nowhere beside it', () => {
  const surface = made(net(20, plane));
  for (let i = 0; i <= 400; i++) {
    const at = { e: 1000 + ((i * 7.31) % 20.0001), n: 2000 + ((i * 3.17) % 20.0001) };
    if (at.e > 1020 || at.n > 2020) continue;
    expect(heightOn(surface, at)).toBeCloseTo(plane(at.e, at.n), 9);
  }
  for (const e of [1000, 1007, 1020])
    for (const n of [2000, 2013, 2020]) expect(heightOn(surface, { e, n })).toBeCloseTo(plane(e, n), 9);
  for (const at of [
    { e: 999.999, n: 2010 },
    { e: 1020.001, n: 2010 },
    { e: 1010, n: 1999.999 },
    { e: 1010, n: 2020.001 },
    { e: NaN, n: 2000 },
  ])
    expect(heightOn(surface, at)).toBeNull();
});

test('each triangle is found by its own height, as a search through all of them finds it', () => {
  const triangles = net(12, (e, n) => 20 + 3 * Math.sin(e) + 2 * Math.cos(n * 1.7));
  const surface = made(triangles);
  const byHand = (e: number, n: number): number | null => {
    for (let f = 0; f < triangles.faces.length; f += 3) {
      const [a, b, c] = [0, 1, 2].map((k) =>
        [0, 1, 2].map((j) => triangles.places[triangles.faces[f + k]! * 3 + j]!),
      ) as [number[], number[], number[]];
      const area = (b[0]! - a[0]!) * (c[1]! - a[1]!) - (c[0]! - a[0]!) * (b[1]! - a[1]!);
      const part = (p: number[], q: number[]) => ((q[0]! - p[0]!) * (n - p[1]!) - (e - p[0]!) * (q[1]! - p[1]!)) / area;
      const [wc, wa, wb] = [part(a, b), part(b, c), part(c, a)];
      if (Math.min(wa, wb, wc) >= -1e-12) return wa * a[2]! + wb * b[2]! + wc * c[2]!;
    }
    return null;
  };
  for (let i = 0; i < 500; i++) {
    const [e, n] = [999 + ((i * 0.61803) % 14), 1999 + ((i * 0.41421) % 14)];
    const wanted = byHand(e, n);
    const found = heightOn(surface, { e, n });
    if (wanted === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(wanted, 9);
  }
});

test('a hole has no height, and its rim is the rim of the surface too', () => {
  const holed = net(6, plane, (q, r) => q === 2 && r === 3);
  expect(heightOn(made(holed), { e: 1002.5, n: 2003.4 })).toBeNull();
  expect(heightOn(made(holed), { e: 1003.5, n: 2003.4 })).not.toBeNull();
  expect(rimOf(holed).length / 2).toBe(4 * 6 + 4);
  expect(rimOf(net(6, plane)).length / 2).toBe(24);
});

test('upright triangles are counted and carry no height', () => {
  const places = Float64Array.from([0, 0, 1, 10, 0, 2, 0, 10, 3, 0, 0, 9]);
  const surface = made({ places, faces: Uint32Array.from([0, 1, 2, 0, 3, 1]) });
  expect(surface.upright).toBe(1);
  expect(heightOn(surface, { e: 0, n: 0 })).toBeCloseTo(1, 12);
  expect(heightOn(surface, { e: 2, n: 3 })).toBeCloseTo(1 + 0.2 + 0.6, 12);
});

test('what is no surface is refused with the triangle or corner', () => {
  const places = Float64Array.from([0, 0, 1, 10, 0, 2, 0, 10, 3]);
  const refused = (triangles: Triangles) => {
    const surface = surfaceOf(triangles);
    return surface.ok ? null : surface.error;
  };
  expect(refused({ places, faces: new Uint32Array() })).toEqual({ code: 'SURFACE_WITHOUT_TRIANGLES' });
  expect(refused({ places, faces: Uint32Array.from([0, 1, 2, 0, 1, 7]) })).toEqual({
    code: 'SURFACE_CORNER_MISSING',
    triangle: 1,
  });
  expect(refused({ places: Float64Array.from([0, 0, NaN]), faces: Uint32Array.from([0, 0, 0]) })).toEqual({
    code: 'SURFACE_CORNER_NOT_FINITE',
    corner: 0,
  });
  expect(refused({ places, faces: Uint32Array.from([0, 1, 1]) })).toEqual({ code: 'SURFACE_WITHOUT_TRIANGLES' });
});

/**
 * Alignments and surfaces, beside what a user would otherwise take: a line made of many short sides, and a
 * triangulation searched triangle by triangle through an index of boxes.
 */
import Flatbush from 'flatbush';
import { Bench } from 'tinybench';
import {
  againstAlignment,
  feetWithin,
  heightOn,
  placeAlong,
  profileOf,
  stationList,
  surfaceOf,
  templateOf,
  type PlanPoint,
} from '@idle-marker/core';
import { readLandXml } from '@idle-marker/formats';
import { definitionAlong, made, numbersFrom, smoothElements } from '../core/test/roads.ts';

const next = numbersFrom(5);
const road = made(definitionAlong(smoothElements(200, 5)));
const places: PlanPoint[] = Array.from({ length: 4096 }, () =>
  placeAlong(road, road.startStation + next() * road.length, 40 * (next() - 0.5))!,
);

/** The same line every half metre, in an index of boxes: the generic way. */
const SIDE = 0.5;
const sides = Math.ceil(road.length / SIDE);
const dense = Array.from({ length: sides + 1 }, (_, i) =>
  placeAlong(road, Math.min(road.startStation + i * SIDE, road.endStation))!,
);
const index = new Flatbush(sides);
for (let i = 0; i < sides; i++) {
  const [a, b] = [dense[i]!, dense[i + 1]!];
  index.add(Math.min(a.e, b.e), Math.min(a.n, b.n), Math.max(a.e, b.e), Math.max(a.n, b.n));
}
index.finish();
function onPolyline({ e, n }: PlanPoint): { station: number; distance: number } {
  let best = { station: 0, distance: Infinity };
  for (const i of index.neighbors(e, n, 8)) {
    const [a, b] = [dense[i]!, dense[i + 1]!];
    const [de, dn] = [b.e - a.e, b.n - a.n];
    const share = Math.min(1, Math.max(0, ((e - a.e) * de + (n - a.n) * dn) / (de * de + dn * dn)));
    const distance = Math.hypot(e - a.e - share * de, n - a.n - share * dn);
    if (distance < best.distance) best = { station: road.startStation + (i + share) * SIDE, distance };
  }
  return best;
}
const errors = places.map((place) => {
  const exact = againstAlignment(road, place);
  return 'station' in exact ? Math.abs(onPolyline(place).distance - exact.distance) : 0;
});
console.log(`the line of half-metre sides is up to ${(Math.max(...errors) * 1000).toFixed(2)} mm off`);

/** A million triangles on a hilly square. */
const GRID = 708;
const ground = (e: number, n: number) => 50 + 8 * Math.sin(e / 90) * Math.cos(n / 130);
const corner = (i: number) => ({ e: (i % GRID) * 1.5, n: Math.floor(i / GRID) * 1.5 });
const faces: number[] = [];
for (let r = 0; r + 1 < GRID; r++)
  for (let c = 0; c + 1 < GRID; c++) {
    const at = r * GRID + c;
    faces.push(at, at + 1, at + GRID + 1, at, at + GRID + 1, at + GRID);
  }
const triangles = {
  places: Float64Array.from({ length: 3 * GRID * GRID }, (_, i) => {
    const { e, n } = corner(Math.floor(i / 3));
    return i % 3 === 0 ? e : i % 3 === 1 ? n : ground(e, n);
  }),
  faces: Uint32Array.from(faces),
};
const surface = surfaceOf(triangles);
if (!surface.ok) throw new Error(surface.error.code);
const boxes = new Flatbush(triangles.faces.length / 3);
for (let f = 0; f < triangles.faces.length; f += 3) {
  const at = [0, 1, 2].map((k) => corner(triangles.faces[f + k]!));
  boxes.add(
    Math.min(...at.map(({ e }) => e)),
    Math.min(...at.map(({ n }) => n)),
    Math.max(...at.map(({ e }) => e)),
    Math.max(...at.map(({ n }) => n)),
  );
}
boxes.finish();
const asked: PlanPoint[] = Array.from({ length: 4096 }, () => ({ e: next() * 1060, n: next() * 1060 }));
function generic({ e, n }: PlanPoint): number | null {
  for (const f of boxes.search(e, n, e, n)) {
    const [a, b, c] = [0, 1, 2].map((k) => triangles.faces[3 * f + k]!) as [number, number, number];
    const [A, B, C] = [corner(a), corner(b), corner(c)];
    const area = (B.e - A.e) * (C.n - A.n) - (C.e - A.e) * (B.n - A.n);
    const [u, v] = [
      ((e - A.e) * (C.n - A.n) - (C.e - A.e) * (n - A.n)) / area,
      ((B.e - A.e) * (n - A.n) - (e - A.e) * (B.n - A.n)) / area,
    ];
    if (u >= 0 && v >= 0 && u + v <= 1)
      return (
        triangles.places[3 * a + 2]! * (1 - u - v) + triangles.places[3 * b + 2]! * u + triangles.places[3 * c + 2]! * v
      );
  }
  return null;
}

/** Fifty kilometres with four strings that widen and narrow. */
const long = made(definitionAlong(smoothElements(640, 9)));
const { length } = long;
const template = templateOf({
  strings: ['a', 'b', 'c', 'd'].map((name, i) => ({
    name,
    from: null,
    offset: Array.from({ length: 100 }, (_, k) => ({
      station: (k * long.length) / 100,
      value: (i - 1.5) * 3 + (k % 2),
    })),
    height: { rule: 'fall' as const, values: [{ station: 0, value: 2.5 }] },
  })),
  kerbs: [],
});
const profile = profileOf(
  Array.from({ length: 300 }, (_, k) => ({
    station: (k * long.length) / 299,
    z: 20 + (k % 2) * 3,
    rounding: k === 0 || k === 299 ? null : { kind: 'parabola' as const, length: 40 },
  })),
);
if (!template.ok || !profile.ok) throw new Error('the long road is not made');
const strings = template.value.names.slice(1);

let i = 0;
let sum = 0;
const turn = <T>(list: readonly T[]): T => list[i++ & 4095]!;
/** So many calls a turn of the clock: reading it takes as long as one of them. */
const CALLS = 1000;
const times = (act: () => void) => () => {
  for (let k = 0; k < CALLS; k++) act();
};
const bench = new Bench({ time: 1000, warmupTime: 400 });
bench
  .add(
    'nearest foot on 200 elements',
    times(() => {
      sum += againstAlignment(road, turn(places)).distance;
    }),
  )
  .add(
    'every foot within 40 m on 200 elements',
    times(() => {
      sum += feetWithin(road, turn(places), 40).length;
    }),
  )
  .add(
    'nearest of half-metre sides by an index of boxes',
    times(() => {
      sum += onPolyline(turn(places)).distance;
    }),
  )
  .add(
    'height on a million triangles',
    times(() => {
      sum += heightOn(surface.value, turn(asked)) ?? 0;
    }),
  )
  .add(
    'the same by an index of boxes',
    times(() => {
      sum += generic(turn(asked)) ?? 0;
    }),
  )
  .add(`station lists of ${(length / 1000).toFixed(0)} km, four strings, every 10 m with special points`, () => {
    for (const string of strings) {
      const list = stationList(long, profile.value, template.value, [string], {
        from: null,
        to: null,
        interval: 10,
        byRadius: [{ upTo: 100, interval: 5 }],
        equalParts: null,
        special: true,
        extra: [],
        direction: 'up',
      });
      sum += list.ok ? list.value.length : 0;
    }
  });
await bench.run();
console.table(
  bench.tasks.map((task) => ({
    task: task.name,
    // In microseconds a call; the lists are one call a turn.
    'µs (mean)':
      task.result && 'latency' in task.result
        ? ((task.result.latency.mean * 1000) / (task.name.startsWith('station lists') ? 1 : CALLS)).toFixed(3)
        : '–',
  })),
);
if (!(sum > 0)) throw new Error('nothing was computed');

/** A file as designers send it: a million triangles, read as bytes that come piece by piece. */
const pieces: string[] = [
  '<?xml version="1.0"?><LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units><Surfaces><Surface name="Ground"><Definition surfType="TIN"><Pnts>',
];
for (let k = 0; k < GRID * GRID; k++) {
  const { e, n } = corner(k);
  pieces.push(
    `<P id="${k + 1}">${(8_000_000 + n).toFixed(9)} ${(400_000 + e).toFixed(9)} ${ground(e, n).toFixed(9)}</P>\n`,
  );
}
pieces.push('</Pnts><Faces>');
for (let f = 0; f < faces.length; f += 3)
  pieces.push(`<F n="0 0 0">${faces[f]! + 1} ${faces[f + 1]! + 1} ${faces[f + 2]! + 1}</F>\n`);
pieces.push('</Faces></Definition></Surface></Surfaces></LandXML>');
const bytes = new TextEncoder().encode(pieces.join(''));
pieces.length = 0;
const began = performance.now();
const read = readLandXml(bytes);
const seconds = (performance.now() - began) / 1000;
if (!read.ok) throw new Error(read.error.code);
console.log(
  `LandXML of ${(bytes.length / 1e6).toFixed(0)} MB with ${read.value.surfaces[0]!.triangles.faces.length / 3} triangles read in ${seconds.toFixed(1)} s`,
);

import { azimuth, directionOn, placeOn, shapeOf, wrapTurn } from '@idle-marker/core';
import type { DrawnCorner, DrawnPath } from '../design/drawing.ts';
import type { ReadElement } from './coordGeom.ts';

/** Spirals of lines that are only drawn are written as so many sides. */
const SPIRAL_SIDES = 16;

/** Lines that are only drawn: runs of sides that go on where the one before ended. */
export function pathsOf(layer: string, read: readonly ReadElement[]): DrawnPath[] {
  const paths: DrawnPath[] = [];
  let corners: DrawnCorner[] = [];
  const finish = () => {
    if (corners.length > 1) {
      const [first, last] = [corners[0]!, corners.at(-1)!];
      const closes = corners.length > 3 && Math.hypot(first.e - last.e, first.n - last.n) < 1e-6;
      paths.push({ layer, closed: closes, corners: closes ? corners.slice(0, -1) : corners });
    }
    corners = [];
  };
  for (const each of read) {
    const added = cornersOf(each);
    const last = corners.at(-1);
    const goesOn = last && Math.hypot(last.e - added[0]!.e, last.n - added[0]!.n) < 1e-6;
    if (!goesOn) finish();
    corners = [...corners.slice(0, goesOn ? -1 : undefined), ...added];
  }
  finish();
  return paths;
}

function cornersOf({ element, startZ, endZ }: ReadElement): DrawnCorner[] {
  const from: DrawnCorner = { ...element.start, z: startZ, bulge: 0 };
  const to: DrawnCorner = { ...element.end, z: endZ, bulge: 0 };
  if (element.kind === 'line') return [from, to];
  if (element.kind === 'curve') {
    const clockwise = element.rotation === 'cw';
    const turn = wrapTurn(
      (clockwise ? 1 : -1) * (azimuth(element.centre, element.end) - azimuth(element.centre, element.start)),
    );
    return [{ ...from, bulge: (clockwise ? -1 : 1) * Math.tan(turn / 4) }, to];
  }
  const shape = shapeOf(element);
  if (!shape.ok) return [from, to];
  const inner = Array.from({ length: SPIRAL_SIDES + 1 }, (_, i) => (shape.value.length * i) / SPIRAL_SIDES);
  return inner.map((along, i): DrawnCorner => {
    const z = startZ === null || endZ === null ? null : startZ + ((endZ - startZ) * i) / SPIRAL_SIDES;
    const next = inner[i + 1];
    const turn =
      next === undefined ? 0 : directionOn(shape.value, next).azimuth - directionOn(shape.value, along).azimuth;
    return { ...placeOn(shape.value, along), z, bulge: -Math.tan(Math.atan2(Math.sin(turn), Math.cos(turn)) / 4) };
  });
}

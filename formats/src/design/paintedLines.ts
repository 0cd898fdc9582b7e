/** A drawing as it is painted: its lines by layers, arcs and circles as short straight pieces. */
import { bulgedArc, rimOf, type PlanPoint } from '@idle-marker/core';
import type { Drawing, DrawnCircle, DrawnCorner, DrawnPath, DrawnSurface } from './drawing.ts';

/** Lines of a layer as they are painted: places in metres from `origin`, each run of them one line. */
export interface LayerLines {
  readonly layer: string;
  readonly origin: PlanPoint;
  readonly places: Float32Array;
  /** Where each line begins in `places`, counted in places; one more at the end. */
  readonly starts: Uint32Array;
}

/** Points of an arc when it is painted, by its angle. */
const ARC_STEP = Math.PI / 16;
const CIRCLE_STEPS = 48;
/** A surface of more triangles is painted by its rim alone. */
const MOST_PAINTED = 1000;
/** Layers are painted in tiles of so many lines, so that what is out of view costs nothing. */
const TILE_LINES = 1000;

type Painted = DrawnPath | DrawnCircle | readonly PlanPoint[];

export function paintedLines({ paths, circles, surfaces }: Drawing): LayerLines[] {
  const byLayer = new Map<string, Painted[]>();
  const add = (layer: string, line: Painted) => {
    const list = byLayer.get(layer);
    if (list) list.push(line);
    else byLayer.set(layer, [line]);
  };
  for (const path of paths) add(path.layer, path);
  for (const circle of circles) add(circle.layer, circle);
  for (const surface of surfaces) for (const line of surfaceLines(surface)) add(surface.layer, line);
  return [...byLayer].flatMap(([layer, lines]) => {
    // Neighbours in the file are near each other as a rule; sorting by place makes tiles of them.
    if (lines.length > TILE_LINES) lines.sort((a, b) => eastingOf(a) - eastingOf(b));
    // Places are made of a tile at a time: those of a whole drawing would fill the memory.
    return Array.from({ length: Math.ceil(lines.length / TILE_LINES) }, (_, i) =>
      packed(layer, lines.slice(i * TILE_LINES, (i + 1) * TILE_LINES).map(placesOf)),
    );
  });
}

const eastingOf = (line: Painted): number =>
  'corners' in line ? line.corners[0]!.e : 'centre' in line ? line.centre.e : line[0]!.e;

const placesOf = (line: Painted): readonly PlanPoint[] =>
  'corners' in line ? pathPlaces(line.corners, line.closed) : 'centre' in line ? circlePlaces(line) : line;

const circlePlaces = ({ centre, radius }: DrawnCircle): PlanPoint[] =>
  Array.from({ length: CIRCLE_STEPS + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / CIRCLE_STEPS;
    return { e: centre.e + radius * Math.cos(angle), n: centre.n + radius * Math.sin(angle) };
  });

function pathPlaces(corners: readonly DrawnCorner[], closed: boolean): PlanPoint[] {
  const line: PlanPoint[] = [];
  const count = closed ? corners.length : corners.length - 1;
  for (let i = 0; i < count; i++) {
    const [from, to] = [corners[i]!, corners[(i + 1) % corners.length]!];
    line.push(from);
    if (from.bulge !== 0) line.push(...arcPlaces(from, to, from.bulge));
  }
  line.push(closed ? corners[0]! : corners.at(-1)!);
  return line;
}

/** Places on an arc between its ends, from its bulge. */
function arcPlaces(from: PlanPoint, to: PlanPoint, bulge: number): PlanPoint[] {
  const { centre, radius, start, angle: delta } = bulgedArc(from, to, bulge);
  const steps = Math.max(2, Math.ceil(Math.abs(delta) / ARC_STEP));
  return Array.from({ length: steps - 1 }, (_, i) => {
    const angle = start + (delta * (i + 1)) / steps;
    return { e: centre.e + radius * Math.cos(angle), n: centre.n + radius * Math.sin(angle) };
  });
}

/** The triangles of a surface, or of a large one its rim. */
function surfaceLines({ triangles }: DrawnSurface): PlanPoint[][] {
  const { places, faces } = triangles;
  const at = (corner: number): PlanPoint => ({ e: places[3 * corner]!, n: places[3 * corner + 1]! });
  if (faces.length / 3 <= MOST_PAINTED)
    return Array.from({ length: faces.length / 3 }, (_, i) => [0, 1, 2, 0].map((k) => at(faces[3 * i + k]!)));
  const rim = rimOf(triangles);
  return Array.from({ length: rim.length / 2 }, (_, i) => [at(rim[2 * i]!), at(rim[2 * i + 1]!)]);
}

function packed(layer: string, lines: readonly (readonly PlanPoint[])[]): LayerLines {
  const origin = { e: lines[0]![0]!.e, n: lines[0]![0]!.n };
  const count = lines.reduce((sum, line) => sum + line.length, 0);
  const places = new Float32Array(count * 2);
  const starts = new Uint32Array(lines.length + 1);
  let at = 0;
  lines.forEach((line, i) => {
    starts[i] = at;
    for (const { e, n } of line) {
      places[at * 2] = e - origin.e;
      places[at * 2 + 1] = n - origin.n;
      at++;
    }
  });
  starts[lines.length] = at;
  return { layer, origin, places, starts };
}

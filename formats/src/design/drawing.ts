/** A drawing as it was read, in its own units, and as it is placed on the site. X is east, Y north. */
import {
  METRES_PER_UNIT,
  planDistance,
  signedArea,
  transformed,
  type LengthUnit,
  type Metres,
  type PlanPoint,
  type Similarity,
  type Triangles,
} from '@idle-marker/core';
import type { ReadAlignment } from '../landXml/landXmlDesign.ts';
import type { DecimalSign } from '../list/figures.ts';
import type { FileUnit } from '../list/fileUnits.ts';
import type { FileIssue, ListWarning } from '../control/controlCsv.ts';
import { placedAlignment } from '../landXml/placedAlignment.ts';
import type { LandXmlFault, LandXmlWarning } from '../landXml/landXmlFault.ts';
import { joinedLines } from './joinedLines.ts';

export interface DrawnCorner extends PlanPoint {
  readonly z: number | null;
  /**
   * Of the side that leaves it: tangent of a quarter of its angle at the centre, positive turning left; 0 when
   * straight.
   */
  readonly bulge: number;
}
/** A place with its height, where the file gives it one. */
export type DrawnPlace = Omit<DrawnCorner, 'bulge'>;
export interface DrawnPath {
  readonly layer: string;
  readonly corners: readonly DrawnCorner[];
  readonly closed: boolean;
}
export interface DrawnPoint {
  readonly layer: string;
  readonly at: PlanPoint;
  readonly z: number | null;
  /** Its own, or the block's that stands there. */
  readonly name: string | null;
  /** What the file calls its kind. */
  readonly code?: string;
  /** Where a block stands that has neither a name nor a height of its own. */
  readonly isBlockOnly?: boolean;
}
export interface DrawnCircle {
  readonly layer: string;
  readonly centre: PlanPoint;
  readonly radius: number;
  readonly z?: number;
}
export interface DrawnText {
  readonly layer: string;
  readonly at: PlanPoint;
  readonly text: string;
}
/** Heights: a ground or a design made of triangles, in the units of the file. */
export interface DrawnSurface {
  /** The surface's own name, or the layer that its faces are on. */
  readonly layer: string;
  readonly triangles: Triangles;
}
export interface LeftOut {
  readonly what: string;
  readonly layer: string;
  readonly count: number;
}
export interface DrawingUnit {
  readonly name: string;
  readonly metres: Metres;
}

/** How a list of points was read. */
export interface ReadList {
  readonly unit: FileUnit;
  /** The list says its unit itself. */
  readonly isStated: boolean;
  readonly order: 'EN' | 'NE';
  readonly decimal: DecimalSign;
  /** Its headings say X and Y, which may be either. */
  readonly usesXY: boolean;
}

/** What was assumed of a file; `UNIT_ASSUMED`: no coordinate system, and figures that can be no degrees. */
export type DrawingRemark = 'UNIT_ASSUMED' | ListWarning;

/** As it stands in the file: coordinates in the file's unit, nothing turned or shifted. */
export interface RawDrawing {
  /** As the file says; null when it says nothing and it must be asked. */
  readonly unit: DrawingUnit | null;
  /** Of a list of points, whose figures come in metres. */
  readonly list?: ReadList;
  readonly paths: readonly DrawnPath[];
  readonly points: readonly DrawnPoint[];
  readonly circles: readonly DrawnCircle[];
  readonly texts: readonly DrawnText[];
  readonly surfaces: readonly DrawnSurface[];
  readonly alignments: readonly ReadAlignment[];
  /** What was read and should be looked at. */
  readonly warnings: readonly LandXmlWarning[];
  /** What was taken without the file or a person saying so. */
  readonly remarks?: readonly DrawingRemark[];
  /** What was not understood or not taken, by kind and layer, with how many. */
  readonly leftOut: readonly LeftOut[];
}

export interface DrawnOutline {
  readonly layer: string;
  readonly corners: readonly DrawnPlace[];
  /** Square metres. */
  readonly area: number;
}
export interface DrawnLine {
  readonly layer: string;
  readonly from: DrawnPlace;
  readonly to: DrawnPlace;
}
export interface DrawnLayer {
  readonly name: string;
  readonly elements: number;
}

/** On the site, in metres. */
export interface Drawing extends Omit<RawDrawing, 'unit' | 'list'> {
  readonly unitFromFile: string | null;
  /** Closed rings of straight sides, largest first. */
  readonly outlines: readonly DrawnOutline[];
  /** Straight sides that belong to no closed ring. */
  readonly lines: readonly DrawnLine[];
  readonly layers: readonly DrawnLayer[];
}

export type DrawingError =
  | { readonly code: 'NOT_A_DRAWING'; readonly detail: string }
  | { readonly code: 'BINARY_DRAWING' }
  | { readonly code: 'PACKED_DRAWING' }
  | { readonly code: 'CUT_OFF'; readonly elements: number }
  | { readonly code: 'EMPTY_DRAWING'; readonly leftOut: readonly LeftOut[] }
  | { readonly code: 'DEGREES_NOT_METRES' }
  | { readonly code: 'UNIT_UNKNOWN'; readonly text: string }
  | { readonly code: 'LIST'; readonly issue: FileIssue }
  | { readonly code: 'BAD_ROW'; readonly row: number; readonly detail: string }
  | { readonly code: 'LANDXML'; readonly fault: LandXmlFault };

/** Units that site drawings come in; asked for where the file names none. */
export const DRAWING_UNITS: readonly DrawingUnit[] = [
  { name: 'metres', metres: 1 },
  { name: 'millimetres', metres: 0.001 },
  { name: 'centimetres', metres: 0.01 },
  { name: 'feet', metres: METRES_PER_UNIT.foot },
  { name: 'US survey feet', metres: METRES_PER_UNIT.usSurveyFoot },
  { name: 'inches', metres: METRES_PER_UNIT.foot / 12 },
  { name: 'decimetres', metres: 0.1 },
  { name: 'kilometres', metres: 1000 },
  { name: 'yards', metres: 3 * METRES_PER_UNIT.foot },
];
/** The unit of a length; metres alone where it is none that site drawings come in. */
export const drawingUnitOf = (metres: Metres): DrawingUnit =>
  DRAWING_UNITS.find((unit) => Math.abs(unit.metres / metres - 1) < 1e-9) ?? DRAWING_UNITS[0]!;
export const unitOfLength = (unit: LengthUnit): DrawingUnit =>
  DRAWING_UNITS.find(({ metres }) => metres === METRES_PER_UNIT[unit])!;

/** Farther from the origin than a site grid reaches; such elements are left out and counted. */
const FARTHEST: Metres = 1e8;
/** A ring closes when its ends lie this near. */
const CLOSES: Metres = 0.002;

/** How a drawing comes onto the site: its unit, and where it does not have the site's coordinates a shift and turn. */
export interface Placing {
  readonly metresPerUnit: number;
  /** Of coordinates in metres; null when they are the site's already. */
  readonly similarity: Similarity | null;
}

export function placeDrawing(raw: RawDrawing, { metresPerUnit, similarity }: Placing): Drawing {
  const at = ({ e, n }: PlanPoint): PlanPoint => {
    const metres = { e: e * metresPerUnit, n: n * metresPerUnit };
    return similarity ? transformed(similarity, metres) : metres;
  };
  const height = (z: number | null) => (z === null ? null : z * metresPerUnit);
  const isNear = (point: PlanPoint) => Math.abs(point.e) <= FARTHEST && Math.abs(point.n) <= FARTHEST;
  const far = new Map<string, number>();
  const near = <T extends { readonly layer: string }>(
    list: readonly T[],
    placesOf: (each: T) => readonly PlanPoint[],
  ): T[] =>
    list.filter((each) => {
      if (placesOf(each).every(isNear)) return true;
      far.set(each.layer, (far.get(each.layer) ?? 0) + 1);
      return false;
    });
  /** What lies as the file says is not copied: of a large drawing that would be as much again. */
  const placed = <T>(list: readonly T[], place: (each: T) => T): readonly T[] =>
    metresPerUnit === 1 && similarity === null ? list : list.map(place);
  const paths = near(
    placed(raw.paths, ({ layer, corners, closed }) => ({
      layer,
      closed,
      corners: corners.map((corner) => {
        const { e, n } = at(corner);
        return { e, n, z: height(corner.z), bulge: corner.bulge };
      }),
    })),
    ({ corners }) => corners,
  );
  const points = near(
    placed(raw.points, (point) => ({ ...point, at: at(point.at), z: height(point.z) })),
    (point) => [point.at],
  );
  const scale = metresPerUnit * (similarity?.scale ?? 1);
  const circles = near(
    placed(raw.circles, (circle) => ({
      ...circle,
      centre: at(circle.centre),
      radius: circle.radius * scale,
      ...(circle.z === undefined ? {} : { z: circle.z * metresPerUnit }),
    })),
    ({ centre }) => [centre],
  );
  const texts = near(
    placed(raw.texts, (text) => ({ ...text, at: at(text.at) })),
    (text) => [text.at],
  );
  const surfaces = raw.surfaces.flatMap(({ layer, triangles: { places, faces } }): DrawnSurface[] => {
    const lying = new Float64Array(places.length);
    for (let i = 0; i < places.length; i += 3) {
      const to = at({ e: places[i]!, n: places[i + 1]! });
      if (!isNear(to)) {
        far.set(layer, (far.get(layer) ?? 0) + 1);
        return [];
      }
      lying.set([to.e, to.n, places[i + 2]! * metresPerUnit], i);
    }
    return [{ layer, triangles: { places: lying, faces } }];
  });
  const alignments = raw.alignments
    .map((alignment) => placedAlignment(alignment, at, metresPerUnit, similarity?.scale ?? 1))
    .filter(({ name, definition }) => {
      if (definition.elements.every(({ start, end }) => isNear(start) && isNear(end))) return true;
      far.set(name, (far.get(name) ?? 0) + 1);
      return false;
    });
  const outlines: DrawnOutline[] = [];
  const lines: DrawnLine[] = [];
  for (const { layer, corners, closed } of paths) {
    if (corners.some(({ bulge }) => bulge !== 0)) continue;
    const closesItself = corners.length > 3 && planDistance(corners[0]!, corners.at(-1)!) < CLOSES;
    const ring = closesItself ? corners.slice(0, -1) : corners;
    if ((closed || closesItself) && ring.length >= 3)
      outlines.push({ layer, corners: ring, area: Math.abs(signedArea(ring)) });
    else for (let i = 1; i < ring.length; i++) lines.push({ layer, from: ring[i - 1]!, to: ring[i]! });
  }
  outlines.push(...joinedLines(lines));
  return {
    unitFromFile: raw.unit?.name ?? null,
    paths,
    points,
    circles,
    texts,
    surfaces,
    alignments,
    warnings: raw.warnings,
    ...(raw.remarks ? { remarks: raw.remarks } : {}),
    outlines: outlines.sort((a, b) => b.area - a.area),
    lines,
    layers: layersOf([paths, points, circles, texts], surfaces),
    leftOut: [...raw.leftOut, ...[...far].map(([layer, count]) => ({ what: 'too far from the site', layer, count }))],
  };
}

function layersOf(
  lists: readonly (readonly { readonly layer: string }[])[],
  surfaces: readonly DrawnSurface[],
): DrawnLayer[] {
  const counts = new Map<string, number>();
  for (const { layer, triangles } of surfaces) counts.set(layer, triangles.faces.length / 3);
  for (const list of lists) for (const { layer } of list) counts.set(layer, (counts.get(layer) ?? 0) + 1);
  return [...counts]
    .map(([name, elements]) => ({ name, elements }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
}

/**
 * The box that holds a drawing but for what lies far from all the rest: a stray point a thousand kilometres away would
 * leave nothing of it to be seen. Null when there is nothing.
 */
export function usualExtent({
  paths,
  points,
  circles,
  surfaces,
}: Pick<Drawing, 'paths' | 'points' | 'circles' | 'surfaces'>): readonly [number, number, number, number] | null {
  const boxes = surfaces.flatMap(cornersOf);
  const corners = paths.reduce((sum, path) => sum + path.corners.length, 0);
  const count = corners + points.length + circles.length + boxes.length;
  if (count === 0) return null;
  const [es, ns] = [new Float64Array(count), new Float64Array(count)];
  let at = 0;
  const add = ({ e, n }: PlanPoint) => {
    es[at] = e;
    ns[at++] = n;
  };
  for (const path of paths) path.corners.forEach(add);
  for (const point of points) add(point.at);
  for (const { centre } of circles) add(centre);
  boxes.forEach(add);
  const span = (values: Float64Array): [number, number] => {
    const sorted = values.sort();
    const [low, high] = [sorted[Math.floor(sorted.length * 0.02)]!, sorted[Math.ceil(sorted.length * 0.98) - 1]!];
    const reach = Math.max(high - low, 1) * 2;
    return [sorted.find((value) => value >= low - reach)!, sorted.findLast((value) => value <= high + reach)!];
  };
  const [e0, e1] = span(es);
  const [n0, n1] = span(ns);
  return [e0, n0, e1, n1];
}

/** Corners of the box round a surface. */
function cornersOf({ triangles: { places } }: DrawnSurface): PlanPoint[] {
  let [e0, n0, e1, n1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = 0; i < places.length; i += 3) {
    [e0, e1] = [Math.min(e0, places[i]!), Math.max(e1, places[i]!)];
    [n0, n1] = [Math.min(n0, places[i + 1]!), Math.max(n1, places[i + 1]!)];
  }
  return [
    { e: e0, n: n0 },
    { e: e1, n: n1 },
  ];
}

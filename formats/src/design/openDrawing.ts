/** A drawing that is open: read, placed, and asked about. Runs in a worker, or where there are none on the spot. */
import {
  type Corner,
  heightOn,
  METRES_PER_UNIT,
  snapAt,
  crossingTriangles,
  surfaceOf,
  type CrossingTriangles,
  type LengthUnit,
  type Metres,
  type PlanPoint,
  type Result,
  type Similarity,
  type Snap,
  type SnapKind,
  type Surface,
} from '@idle-marker/core';
import type { ReadAlignment } from '../landXml/landXmlDesign.ts';
import type { LandXmlWarning } from '../landXml/landXmlFault.ts';
import { compareDrawings, type MovedCorner } from './compareDrawings.ts';
import {
  placeDrawing,
  usualExtent,
  type Drawing,
  type DrawingError,
  type DrawingRemark,
  type DrawingUnit,
  type DrawnCorner,
  type DrawnLayer,
  type DrawnSurface,
  type LeftOut,
  type RawDrawing,
  type ReadList,
} from './drawing.ts';
import { gridFromLines, type DrawnGrid } from './drawnGrid.ts';
import type { Progress } from './dxf.ts';
import { DrawnSides } from './drawnSides.ts';
import { namedCorners } from './namedCorners.ts';
import { paintedLines, type LayerLines } from './paintedLines.ts';
import { readRawDrawing, type DrawingFormat, type DrawingSaid } from './readDrawing.ts';

export interface PlacedAs {
  readonly unit: DrawingUnit;
  readonly similarity: Similarity | null;
}

/** How a file is to be opened. */
export interface OpenAsked {
  /** Of a list of points that nobody says the unit of. */
  readonly siteUnit: LengthUnit;
  /** As a person says, whatever the file says; null where nobody did. */
  readonly unit?: DrawingUnit | null;
  /** Where the file says nothing. */
  readonly usual?: DrawingUnit | null;
  /** Of a list of points, as a person says. */
  readonly list?: DrawingSaid;
  readonly similarity: Similarity | null;
}

export interface FoundPlace {
  readonly isThere: boolean;
  readonly z: Metres | null;
}

/** What the page is told of a drawing, without its thousands of corners. */
export interface DrawingSummary {
  readonly format: DrawingFormat;
  /** Null when the file does not say and it has to be asked. */
  readonly unitFromFile: string | null;
  readonly unit: DrawingUnit;
  /** Of a list of points. */
  readonly list: ReadList | null;
  readonly layers: readonly DrawnLayer[];
  readonly elements: number;
  readonly leftOut: readonly LeftOut[];
  readonly extent: readonly [number, number, number, number] | null;
  readonly outlines: readonly { readonly layer: string; readonly corners: number }[];
  readonly grids: readonly DrawnGrid[];
  /** Layers with points, and how many. */
  readonly pointLayers: readonly DrawnLayer[];
  readonly surfaces: readonly SurfaceSummary[];
  /** As they lie on the site. */
  readonly alignments: readonly ReadAlignment[];
  readonly warnings: readonly LandXmlWarning[];
  readonly remarks: readonly DrawingRemark[];
}

export interface SurfaceSummary {
  readonly name: string;
  readonly triangles: number;
  readonly low: Metres;
  readonly high: Metres;
  /** Where triangles lie over one another; null where every place has one height. */
  readonly crossing: CrossingTriangles | null;
}

/** What lies at a touch: an element to be taken whole. */
export type Touched =
  | {
      readonly kind: 'path';
      readonly layer: string;
      readonly closed: boolean;
      readonly corners: readonly (DrawnCorner & { readonly name: string })[];
    }
  | { readonly kind: 'circle'; readonly layer: string; readonly centre: PlanPoint; readonly radius: Metres }
  | { readonly kind: 'point'; readonly layer: string; readonly name: string | null; readonly at: PlanPoint };

export interface ComparedDrawings {
  readonly moved: readonly MovedCorner[];
  readonly gone: readonly { readonly layer: string; readonly elements: number }[];
  readonly come: readonly { readonly layer: string; readonly elements: number }[];
  readonly unchanged: number;
  /** Where each of the corners that were asked about is now. */
  readonly places: readonly (PlanPoint | null)[];
}

/** The place itself first, then a millimetre to each side. */
const AROUND = [0, -1, 1];
const MOST_LISTED = 30;
/** Grids have few lines; a layer with more is none, and looking would take long. */
const MOST_GRID_LINES = 300;
/** Sides that are looked at for one touch. */
const MOST_NEAR = 40;
export class OpenDrawing {
  readonly #format: DrawingFormat;
  readonly #list: ReadList | null;
  readonly #unit: DrawingUnit;
  readonly drawing: Drawing;
  #sides: DrawnSides | null = null;
  readonly #surfaces = new Map<string, Surface | null>();

  constructor(raw: RawDrawing & { readonly format: DrawingFormat }, { unit, similarity }: PlacedAs) {
    this.#format = raw.format;
    this.#list = raw.list ?? null;
    this.#unit = unit;
    this.drawing = placeDrawing(raw, { metresPerUnit: unit.metres, similarity });
  }

  /** What a person says goes before what the file says; metres where nobody says anything. */
  static read(
    bytes: Uint8Array,
    { siteUnit, unit = null, usual = null, list, similarity }: OpenAsked,
    onProgress?: Progress,
  ): Result<OpenDrawing, DrawingError> {
    const raw = readRawDrawing(bytes, siteUnit, onProgress, list);
    if (!raw.ok) return raw;
    // Lists come in metres already.
    const said = raw.value.list ? null : unit;
    const taken = said ?? raw.value.unit ?? usual ?? { name: 'metres', metres: METRES_PER_UNIT.metre };
    return { ok: true, value: new OpenDrawing(raw.value, { unit: taken, similarity }) };
  }

  /** What stands at places: whether a point or a corner of the drawing does, to a millimetre, and its height. */
  found(places: readonly PlanPoint[]): FoundPlace[] {
    const millimetres = (metres: Metres) => Math.round(metres * 1000);
    const key = (e: number, n: number) => `${e} ${n}`;
    const keysOf = ({ e, n }: PlanPoint) =>
      AROUND.flatMap((de) => AROUND.map((dn) => key(millimetres(e) + de, millimetres(n) + dn)));
    // Only what is asked about is kept: a drawing has a million places, and few marks.
    const asked = new Set(places.flatMap(keysOf));
    const heights = new Map<string, Metres | null>();
    const add = ({ e, n }: PlanPoint, z: Metres | null) => {
      const at = key(millimetres(e), millimetres(n));
      if (asked.has(at)) heights.set(at, heights.get(at) ?? z);
    };
    for (const { at, z } of this.drawing.points) add(at, z);
    for (const { corners } of this.drawing.paths) for (const corner of corners) add(corner, corner.z);
    for (const { centre, z } of this.drawing.circles) add(centre, z ?? null);
    return places.map((place) => {
      const at = keysOf(place).find((each) => heights.has(each));
      return at === undefined ? { isThere: false, z: null } : { isThere: true, z: heights.get(at) ?? null };
    });
  }

  summary(siteUnit: LengthUnit): DrawingSummary {
    const { layers, leftOut, outlines, lines, texts, unitFromFile } = this.drawing;
    const counts = new Map<string, number>();
    for (const { layer } of lines) counts.set(layer, (counts.get(layer) ?? 0) + 1);
    const pointCounts = new Map<string, number>();
    for (const { layer } of this.drawing.points) pointCounts.set(layer, (pointCounts.get(layer) ?? 0) + 1);
    const grids = [...counts].flatMap(([layer, count]) => {
      const grid = count <= MOST_GRID_LINES ? gridFromLines(layer, lines, texts, siteUnit) : null;
      return grid?.ok ? [grid.value] : [];
    });
    return {
      format: this.#format,
      unitFromFile,
      unit: this.#unit,
      list: this.#list,
      layers,
      elements: layers.reduce((sum, { elements }) => sum + elements, 0),
      leftOut,
      extent: usualExtent(this.drawing),
      outlines: outlines.slice(0, MOST_LISTED).map(({ layer, corners }) => ({ layer, corners: corners.length })),
      grids,
      pointLayers: [...pointCounts].map(([name, elements]) => ({ name, elements })),
      surfaces: this.drawing.surfaces.map((drawn) => {
        const surface = this.#surface(drawn.layer);
        return { ...surfaceSummary(drawn), crossing: surface && crossingTriangles(surface) };
      }),
      alignments: this.drawing.alignments,
      warnings: this.drawing.warnings,
      remarks: this.drawing.remarks ?? [],
    };
  }

  /** Heights of a surface at places, null for those that lie off it; null when there is no such surface. */
  heights(name: string, places: readonly PlanPoint[]): (Metres | null)[] | null {
    const surface = this.#surface(name);
    return surface && places.map((place) => heightOn(surface, place));
  }

  #surface(name: string): Surface | null {
    const known = this.#surfaces.get(name);
    if (known !== undefined) return known;
    const drawn = this.drawing.surfaces.find(({ layer }) => layer === name);
    const made = drawn && surfaceOf(drawn.triangles);
    const surface = made?.ok ? made.value : null;
    this.#surfaces.set(name, surface);
    return surface;
  }

  /** An outline of the list, with the names that stand beside its corners. */
  outline(i: number): { readonly layer: string; readonly corners: readonly Corner[] } | null {
    const outline = this.drawing.outlines[i];
    return outline ? { layer: outline.layer, corners: namedCorners(outline.corners, this.drawing.texts) } : null;
  }

  /** Points of a layer, named as they are or by the text beside them. */
  pointsOn(layer: string): readonly Corner[] {
    const own = this.drawing.points.filter((point) => point.layer === layer);
    const named = namedCorners(
      own.map(({ at, z }) => ({ ...at, z })),
      this.drawing.texts,
    );
    const taken = new Set<string>();
    /** The last number given out under a name: thousands of points may have the same. */
    const numbers = new Map<string, number>();
    return own.map(({ name, at, z, code }, i) => {
      const wanted = name ?? named[i]!.name;
      let free = wanted;
      for (let k = numbers.get(wanted) ?? 2; taken.has(free); k++) {
        free = `${wanted} ${k}`;
        numbers.set(wanted, k + 1);
      }
      taken.add(free);
      return { name: free, e: at.e, n: at.n, ...(z === null ? {} : { z }), ...(code ? { code } : {}) };
    });
  }

  layerLines(): LayerLines[] {
    return paintedLines(this.drawing);
  }

  get #drawnSides(): DrawnSides {
    return (this.#sides ??= new DrawnSides(this.drawing.paths));
  }

  snap(
    point: PlanPoint,
    radius: Metres,
    from: PlanPoint | null,
    wanted: readonly SnapKind[],
    hidden: readonly string[],
  ): Snap | null {
    const off = new Set(hidden);
    // Lines that would have to be carried on to meet lie a little farther away.
    const reach = wanted.includes('extension') ? radius * 8 : radius;
    const near = this.#drawnSides.near(point, reach, MOST_NEAR, (layer) => !off.has(layer)).map(({ side }) => side);
    const isNear = (at: PlanPoint) => Math.abs(at.e - point.e) <= radius && Math.abs(at.n - point.n) <= radius;
    return snapAt(
      point,
      radius,
      {
        sides: near,
        circles: this.drawing.circles
          .filter(
            (circle) =>
              !off.has(circle.layer) &&
              Math.hypot(circle.centre.e - point.e, circle.centre.n - point.n) <= circle.radius + radius,
          )
          .slice(0, MOST_NEAR),
        points: this.drawing.points.filter(({ at, layer }) => !off.has(layer) && isNear(at)).map(({ at }) => at),
      },
      from,
      new Set(wanted),
    );
  }

  touched(point: PlanPoint, radius: Metres, hidden: readonly string[]): Touched | null {
    const { points, circles, texts } = this.drawing;
    const off = new Set(hidden);
    const spot = points.find(
      ({ at, layer }) => !off.has(layer) && Math.hypot(at.e - point.e, at.n - point.n) <= radius,
    );
    if (spot) return { kind: 'point', layer: spot.layer, name: spot.name, at: spot.at };
    const circle = circles.find(
      (each) =>
        !off.has(each.layer) &&
        Math.abs(Math.hypot(each.centre.e - point.e, each.centre.n - point.n) - each.radius) <= radius,
    );
    const nearest = this.#drawnSides
      .near(point, radius, Infinity, (layer) => !off.has(layer))
      .map(({ path, side }) => ({
        path,
        side,
        at: snapAt(point, radius, { sides: [side], circles: [], points: [] }, null, new Set(['on'])),
      }))
      .flatMap(({ path, side, at }) => (at ? [{ path, side, away: Math.hypot(at.e - point.e, at.n - point.n) }] : []))
      .sort((a, b) => a.away - b.away)[0];
    if (!nearest)
      return circle ? { kind: 'circle', layer: circle.layer, centre: circle.centre, radius: circle.radius } : null;
    const { path, side } = nearest;
    // A side of a ring that was drawn line by line means the ring.
    const ring = path.closed || path.corners.length > 2 ? null : this.#ringWith(side.from, side.to, path.layer);
    const corners: readonly DrawnCorner[] = ring ?? path.corners;
    const names = namedCorners(corners, texts);
    return {
      kind: 'path',
      layer: path.layer,
      closed: ring !== null || path.closed,
      corners: corners.map((corner, i) => ({ ...corner, name: names[i]!.name })),
    };
  }

  #ringWith(from: PlanPoint, to: PlanPoint, layer: string): DrawnCorner[] | null {
    const has = (corners: readonly PlanPoint[], at: PlanPoint) =>
      corners.some((corner) => Math.hypot(corner.e - at.e, corner.n - at.n) < 0.003);
    const ring = this.drawing.outlines.find(
      (outline) => outline.layer === layer && has(outline.corners, from) && has(outline.corners, to),
    );
    return ring ? ring.corners.map(({ e, n }) => ({ e, n, z: null, bulge: 0 })) : null;
  }

  compare(after: OpenDrawing, corners: readonly PlanPoint[], most: number): ComparedDrawings {
    const { moved, gone, come, unchanged, placeOf } = compareDrawings(this.drawing, after.drawing);
    return { moved: moved.slice(0, most), gone, come, unchanged, places: corners.map(placeOf) };
  }
}

function surfaceSummary({ layer, triangles: { places, faces } }: DrawnSurface): Omit<SurfaceSummary, 'crossing'> {
  let [low, high] = [Infinity, -Infinity];
  for (const corner of faces) {
    const z = places[3 * corner + 2]!;
    [low, high] = [Math.min(low, z), Math.max(high, z)];
  }
  return { name: layer, triangles: faces.length / 3, low, high };
}

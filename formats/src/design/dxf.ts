/**
 * Drawings in DXF: lines, polylines with their arcs, arcs, circles, points, blocks as points, texts, and faces as
 * surfaces. Layers are kept.
 */
import { fail, METRES_PER_UNIT, ok, type LengthUnit, type PlanPoint, type Result } from '@idle-marker/core';
import {
  DRAWING_UNITS,
  placeDrawing,
  unitOfLength,
  type Drawing,
  type DrawingError,
  type DrawingUnit,
  type DrawnCircle,
  type DrawnCorner,
  type DrawnPath,
  type DrawnPoint,
  type DrawnText,
  type RawDrawing,
} from './drawing.ts';
import { GrowingSurface } from './growingSurface.ts';
import { dxfRecords, type DxfPlace, type DxfRecord } from './dxfElement.ts';
import { dxfGroups, type DxfElement } from './dxfGroups.ts';

/** Told after every few thousand elements. */
export type Progress = (done: number, total: number) => void;

/** `$INSUNITS` of the header, for the units that site drawings come in. */
const HEADER_UNITS: Readonly<Record<number, DrawingUnit>> = Object.fromEntries(
  (
    [
      [1, METRES_PER_UNIT.foot / 12],
      [2, METRES_PER_UNIT.foot],
      [4, 0.001],
      [5, 0.01],
      [6, 1],
      [21, METRES_PER_UNIT.usSurveyFoot],
    ] as const
  ).map(([code, metres]) => [code, DRAWING_UNITS.find((unit) => unit.metres === metres)!]),
);

const TAKEN: ReadonlySet<string> = new Set([
  'LINE',
  'LWPOLYLINE',
  'POLYLINE',
  'ARC',
  'CIRCLE',
  'POINT',
  'INSERT',
  'TEXT',
  'MTEXT',
  '3DFACE',
]);
/** Elements between two words of how far it is. */
const AT_A_TIME = 2000;

export function readRawDxf(text: string, onProgress: Progress = () => undefined): Result<RawDrawing, DrawingError> {
  const groups = dxfGroups(text);
  if (!groups.ok) return groups;
  const { elements, insUnits } = groups.value;
  const taking = new Taking();
  for (let i = 0; i < elements.length; i += AT_A_TIME) {
    for (const element of elements.slice(i, i + AT_A_TIME)) taking.take(element, text);
    onProgress(Math.min(i + AT_A_TIME, elements.length), elements.length);
  }
  const { paths, points, circles, texts } = taking;
  const surfaces = [...taking.surfaces].flatMap(([layer, growing]) => {
    const surface = growing.finish(layer);
    if (!surface) return [];
    // Faces of a plan lie at 0 throughout: that is no height, and no surface.
    if (surface.triangles.places.some((value, i) => i % 3 === 2 && value !== 0)) return [surface];
    taking.leave('3DFACE at height 0', layer, surface.triangles.faces.length / 3);
    return [];
  });
  const leftOut = [...taking.left].map(([key, count]) => ({
    what: key.split('\n')[0]!,
    layer: key.split('\n')[1]!,
    count,
  }));
  if (paths.length + points.length + circles.length + surfaces.length === 0)
    return fail({ code: 'EMPTY_DRAWING', leftOut });
  return ok({
    unit: HEADER_UNITS[insUnits] ?? null,
    paths,
    points,
    circles,
    texts,
    surfaces,
    alignments: [],
    warnings: [],
    leftOut,
  });
}

/** A drawing in the site's coordinates; `unit` is used where its header names none. */
export function readDxf(text: string, unit: LengthUnit): Result<Drawing, DrawingError> {
  const raw = readRawDxf(text);
  return raw.ok
    ? ok(placeDrawing(raw.value, { metresPerUnit: (raw.value.unit ?? unitOfLength(unit)).metres, similarity: null }))
    : raw;
}

const finite = (...values: readonly (number | undefined)[]): boolean => values.every((value) => Number.isFinite(value));

/** Arcs and polylines may be drawn from below: their X runs the other way then. */
const isFromBelow = (record: DxfRecord): boolean => record.number(230) < 0;

/** A flag of a polyline that is a mesh, or a folded face. */
const MESH = 16 | 64;
/** A vertex that only shapes a spline and is not on the line. */
const SPLINE_FRAME = 16;
/** A polyline whose corners have heights of their own. */
const IN_SPACE = 8;

class Taking {
  readonly paths: DrawnPath[] = [];
  readonly points: DrawnPoint[] = [];
  readonly circles: DrawnCircle[] = [];
  readonly texts: DrawnText[] = [];
  /** Faces by their layer. */
  readonly surfaces = new Map<string, GrowingSurface>();
  /** By what and layer. */
  readonly left = new Map<string, number>();

  leave(what: string, layer: string, count = 1): void {
    const key = `${what}\n${layer}`;
    this.left.set(key, (this.left.get(key) ?? 0) + count);
  }

  take(element: DxfElement, text: string): void {
    const why = this.#whyNot(element) ?? this.#taken(element, text.slice(element.start, element.end));
    if (why !== null) this.leave(why, element.layer);
  }

  /** Before it is read; null where it can be. */
  #whyNot({ type, whole, broken }: DxfElement): string | null {
    if (broken !== null) return `${type} with no group code on line ${broken}`;
    if (!whole) return `${type} without an end`;
    return TAKEN.has(type) ? null : type;
  }

  #takeFace(record: DxfRecord, layer: string): string | null {
    const corners = [10, 11, 12, 13].map((code) => record.place(code)).map(({ x, y, z }) => [x, y, z] as const);
    if (!corners.slice(0, 3).every((corner) => finite(...corner))) return '3DFACE without a place';
    const growing = this.surfaces.get(layer) ?? new GrowingSurface();
    this.surfaces.set(layer, growing);
    const [a, b, c, d] = corners.map((corner) => (finite(...corner) ? growing.at(...corner) : undefined));
    growing.triangle(a!, b!, c!);
    // A triangle repeats its third corner as the fourth.
    if (d !== undefined && d !== c) growing.triangle(a!, c!, d);
    return null;
  }

  /** Null when it was taken; what it is called in the list of what was left out otherwise. */
  #taken({ type, layer, attribute }: DxfElement, groups: string): string | null {
    const [record, ...parts] = dxfRecords(groups);
    const nowhere = `${type} without a place`;
    const mirrored = isFromBelow(record);
    const place = ({ x, y }: Pick<DxfPlace, 'x' | 'y'>, turn = mirrored): PlanPoint => ({ e: turn ? -x : x, n: y });
    switch (type) {
      case '3DFACE':
        return this.#takeFace(record, layer);
      case 'LINE': {
        const [from, to] = [record.place(10), record.place(11)];
        if (!finite(from.x, from.y, to.x, to.y)) return nowhere;
        if (from.x === to.x && from.y === to.y) return 'LINE without length';
        this.paths.push({
          layer,
          closed: false,
          corners: withHeights([from, to]).map(({ at, z }) => ({ e: at.x, n: at.y, z, bulge: 0 })),
        });
        return null;
      }
      case 'LWPOLYLINE':
        return this.#takePath(type, layer, record, atElevation(record.corners(), record.number(38)));
      case 'POLYLINE': {
        if ((record.flags(70) & MESH) !== 0) return 'mesh';
        const vertices = parts.filter((part) => part.type === 'VERTEX' && (part.flags(70) & SPLINE_FRAME) === 0);
        return this.#takePath(
          type,
          layer,
          record,
          atElevation(
            vertices.map((part) => ({ ...part.place(), bulge: part.flags(42) })),
            (record.flags(70) & IN_SPACE) !== 0 ? null : record.place().z,
          ),
        );
      }
      case 'ARC': {
        const [centre, radius, start, end] = [
          record.place(),
          record.number(40),
          inRadians(record.number(50)),
          inRadians(record.number(51)),
        ];
        if (!finite(centre.x, centre.y, radius, start, end) || radius <= 0) return nowhere;
        const delta = (((end - start) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
        const at = (angle: number) =>
          place({ x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) });
        if (delta > 2 * Math.PI - 1e-9) this.circles.push({ layer, centre: place(centre), radius });
        else {
          const corner = (angle: number, bulge: number): DrawnCorner => ({ ...at(angle), z: null, bulge });
          this.paths.push({
            layer,
            closed: false,
            corners: [corner(start, (mirrored ? -1 : 1) * Math.tan(delta / 4)), corner(start + delta, 0)],
          });
        }
        return null;
      }
      case 'CIRCLE': {
        const [centre, radius] = [record.place(), record.number(40)];
        if (!finite(centre.x, centre.y, radius) || radius <= 0) return nowhere;
        this.circles.push({ layer, centre: place(centre), radius });
        return null;
      }
      case 'POINT': {
        const at = record.place();
        if (!finite(at.x, at.y)) return nowhere;
        this.points.push({ layer, at: place(at, false), z: heightOf(at), name: null });
        return null;
      }
      case 'INSERT': {
        const at = record.place();
        if (!finite(at.x, at.y)) return nowhere;
        this.points.push({ layer, at: place(at), z: heightOf(at), name: attribute ?? (record.text(2) || null) });
        return null;
      }
      default: {
        const at = record.place();
        const text = (type === 'MTEXT' ? record.texts(3, 1) : (record.text(1) ?? ''))
          .replace(/\\[A-Za-z][^;]*;|[{}]/g, '')
          .trim();
        if (!finite(at.x, at.y) || text === '') return nowhere;
        this.texts.push({ layer, at: { e: at.x, n: at.y }, text });
        return null;
      }
    }
  }

  #takePath(
    type: string,
    layer: string,
    record: DxfRecord,
    drawn: readonly (DxfPlace & { readonly bulge: number })[],
  ): string | null {
    const mirrored = isFromBelow(record);
    const closed = (record.flags(70) & 1) === 1;
    const isInSpace = type === 'POLYLINE' && (record.flags(70) & IN_SPACE) !== 0;
    const corners = withHeights(drawn).map(({ at, z }): DrawnCorner => ({
      e: mirrored ? -at.x : at.x,
      n: at.y,
      z: mirrored && z !== null && !isInSpace ? -z : z,
      bulge: mirrored && at.bulge !== 0 ? -at.bulge : at.bulge,
    }));
    if (corners.length < 2 || !corners.every(({ e, n, bulge }) => finite(e, n, bulge)))
      return `${type} without a place`;
    const apart = corners.filter(
      (corner, i) => i === 0 || corner.e !== corners[i - 1]!.e || corner.n !== corners[i - 1]!.n,
    );
    if (apart.length < 2) return `${type} without length`;
    // The last corner of an open line leads nowhere.
    this.paths.push({
      layer,
      closed,
      corners: closed ? apart : apart.map((corner, i) => (i === apart.length - 1 ? { ...corner, bulge: 0 } : corner)),
    });
    return null;
  }
}

const inRadians = (degrees: number): number => (degrees * Math.PI) / 180;

/** Of an element all of whose heights are 0 that is no height, as in drawings in plan; else 0 is a height, too. */
function withHeights<T extends DxfPlace>(places: readonly T[]): { readonly at: T; readonly z: number | null }[] {
  const isFlat = places.every((at) => heightOf(at) === null);
  return places.map((at) => ({ at, z: isFlat || !Number.isFinite(at.z) ? null : at.z }));
}

/** Corners of a polyline that lies in a plane have the height of that; null for one in space, which has its own. */
const atElevation = <T extends DxfPlace>(corners: readonly T[], elevation: number | null): readonly T[] =>
  elevation === null ? corners : corners.map((corner) => ({ ...corner, z: elevation }));

/** Drawings in plan have heights of 0 throughout: that is no height. */
const heightOf = ({ z }: DxfPlace): number | null => (Number.isFinite(z) && z !== 0 ? z : null);

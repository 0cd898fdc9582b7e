/** Drawings in DXF: lines, polylines with their arcs, arcs, circles, points, blocks as points, texts, and faces as surfaces. Layers are kept. */
import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IEntity,
  type IInsertEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IMtextEntity,
  type IPointEntity,
  type IPolylineEntity,
  type ITextEntity,
} from 'dxf-parser';
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

const TAKEN: ReadonlySet<string> = new Set(['LINE', 'LWPOLYLINE', 'POLYLINE', 'ARC', 'CIRCLE', 'POINT', 'INSERT', 'TEXT', 'MTEXT']);
/** Elements that the library is given at a time. */
const AT_A_TIME = 2000;

export function readRawDxf(text: string, onProgress: Progress = () => undefined): Result<RawDrawing, DrawingError> {
  const groups = dxfGroups(text);
  if (!groups.ok) return groups;
  const { elements, insUnits } = groups.value;
  const taking = new Taking();
  for (let i = 0; i < elements.length; i += AT_A_TIME) {
    takeAll(text, elements.slice(i, i + AT_A_TIME), taking);
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
  const leftOut = [...taking.left].map(([key, count]) => ({ what: key.split('\n')[0]!, layer: key.split('\n')[1]!, count }));
  if (paths.length + points.length + circles.length + surfaces.length === 0) return fail({ code: 'EMPTY_DRAWING', leftOut });
  return ok({ unit: HEADER_UNITS[insUnits] ?? null, paths, points, circles, texts, surfaces, alignments: [], warnings: [], leftOut });
}

/** A drawing in the site's coordinates; `unit` is used where its header names none. */
export function readDxf(text: string, unit: LengthUnit): Result<Drawing, DrawingError> {
  const raw = readRawDxf(text);
  return raw.ok ? ok(placeDrawing(raw.value, { metresPerUnit: (raw.value.unit ?? unitOfLength(unit)).metres, similarity: null })) : raw;
}

const asDocument = (text: string, elements: readonly DxfElement[]): string =>
  `0\nSECTION\n2\nENTITIES\n${elements.map(({ start, end }) => text.slice(start, end)).join('')}0\nENDSEC\n0\nEOF\n`;

function parse(text: string, elements: readonly DxfElement[]): IEntity[] | null {
  try {
    const entities = new DxfParser().parseSync(asDocument(text, elements))?.entities;
    return entities?.length === elements.length ? entities : null;
  } catch {
    return null;
  }
}

function takeAll(text: string, elements: readonly DxfElement[], taking: Taking): void {
  const known = elements.filter((element) => {
    if (element.type === '3DFACE') {
      taking.takeFace(text.slice(element.start, element.end), element.layer);
      return false;
    }
    if (TAKEN.has(element.type) && element.whole) return true;
    taking.leave(element.whole ? element.type : `${element.type} without an end`, element.layer);
    return false;
  });
  const entities = parse(text, known);
  if (entities) entities.forEach((entity, i) => taking.take(entity, known[i]!));
  else {
    // One of them can not be read: each by itself, so that only that one is lost.
    for (const element of known) {
      const [entity] = parse(text, [element]) ?? [];
      if (entity) taking.take(entity, element);
      else taking.leave(`${element.type} that can not be read`, element.layer);
    }
  }
}

interface At {
  readonly x: number;
  readonly y: number;
  readonly z?: number;
}
const finite = (...values: readonly (number | undefined)[]): boolean => values.every((value) => Number.isFinite(value));

/** Arcs and polylines may be drawn from below: their X runs the other way then. */
const isFromBelow = (entity: { readonly extrusionDirectionZ?: number; readonly extrusionDirection?: { readonly z?: number } }): boolean =>
  (entity.extrusionDirectionZ ?? entity.extrusionDirection?.z ?? 1) < 0;

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

  /** Of a face the library loses the fourth corner when its edges are marked, so that its twelve numbers are read here. */
  takeFace(groups: string, layer: string): void {
    const values = new Map<string, number>();
    const lines = groups.split('\n');
    for (let i = 0; i + 1 < lines.length; i += 2) values.set(lines[i]!.trim(), Number(lines[i + 1]));
    const corners = [0, 1, 2, 3].map((i) => [10, 20, 30].map((code) => values.get(String(code + i)) ?? NaN) as [number, number, number]);
    if (!corners.slice(0, 3).every((corner) => finite(...corner))) return this.leave('3DFACE without a place', layer);
    const growing = this.surfaces.get(layer) ?? new GrowingSurface();
    this.surfaces.set(layer, growing);
    const [a, b, c, d] = corners.map((corner) => (finite(...corner) ? growing.at(...corner) : undefined));
    growing.triangle(a!, b!, c!);
    // A triangle repeats its third corner as the fourth.
    if (d !== undefined && d !== c) growing.triangle(a!, c!, d);
  }

  take(entity: IEntity, { type, layer, attribute }: DxfElement): void {
    const why = this.#taken(entity, type, layer, attribute);
    if (why !== null) this.leave(why, layer);
  }

  /** Null when it was taken; what it is called in the list of what was left out otherwise. */
  #taken(entity: IEntity, type: string, layer: string, attribute: string | null): string | null {
    const nowhere = `${type} without a place`;
    const mirrored = isFromBelow(entity as unknown as Parameters<typeof isFromBelow>[0]);
    const place = ({ x, y }: At, turn = mirrored): PlanPoint => ({ e: turn ? -x : x, n: y });
    switch (type) {
      case 'LINE': {
        const [from, to] = (entity as ILineEntity).vertices as (At | undefined)[];
        if (!from || !to || !finite(from.x, from.y, to.x, to.y)) return nowhere;
        if (from.x === to.x && from.y === to.y) return 'LINE without length';
        this.paths.push({ layer, closed: false, corners: [from, to].map((at) => ({ e: at.x, n: at.y, z: heightOf(at), bulge: 0 })) });
        return null;
      }
      case 'LWPOLYLINE':
      case 'POLYLINE': {
        const { vertices, shape, ...rest } = entity as ILwpolylineEntity | IPolylineEntity;
        if ('is3dPolygonMesh' in rest && (rest.is3dPolygonMesh || rest.isPolyfaceMesh)) return 'mesh';
        const corners = vertices.map((vertex): DrawnCorner => {
          const bulge = ('bulge' in vertex ? vertex.bulge : 0) || 0;
          return { ...place(vertex), z: heightOf(vertex), bulge: mirrored ? -bulge : bulge };
        });
        if (corners.length < 2 || !corners.every(({ e, n, bulge }) => finite(e, n, bulge))) return nowhere;
        const apart = corners.filter((corner, i) => i === 0 || corner.e !== corners[i - 1]!.e || corner.n !== corners[i - 1]!.n);
        if (apart.length < 2) return `${type} without length`;
        // The last corner of an open line leads nowhere.
        this.paths.push({
          layer,
          closed: shape,
          corners: shape ? apart : apart.map((corner, i) => (i === apart.length - 1 ? { ...corner, bulge: 0 } : corner)),
        });
        return null;
      }
      case 'ARC': {
        const { center, radius, startAngle, endAngle } = entity as IArcEntity;
        if (!(center as At | undefined) || !finite(center.x, center.y, radius, startAngle, endAngle) || radius <= 0) return nowhere;
        const delta = (((endAngle - startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
        const at = (angle: number) => place({ x: center.x + radius * Math.cos(angle), y: center.y + radius * Math.sin(angle) });
        if (delta > 2 * Math.PI - 1e-9) this.circles.push({ layer, centre: place(center), radius });
        else {
          const corner = (angle: number, bulge: number): DrawnCorner => ({ ...at(angle), z: null, bulge });
          this.paths.push({ layer, closed: false, corners: [corner(startAngle, (mirrored ? -1 : 1) * Math.tan(delta / 4)), corner(startAngle + delta, 0)] });
        }
        return null;
      }
      case 'CIRCLE': {
        const { center, radius } = entity as ICircleEntity;
        if (!(center as At | undefined) || !finite(center.x, center.y, radius) || radius <= 0) return nowhere;
        this.circles.push({ layer, centre: place(center), radius });
        return null;
      }
      case 'POINT': {
        const { position } = entity as IPointEntity;
        if (!(position as At | undefined) || !finite(position.x, position.y)) return nowhere;
        this.points.push({ layer, at: place(position, false), z: heightOf(position), name: null });
        return null;
      }
      case 'INSERT': {
        const { position, name } = entity as IInsertEntity;
        if (!(position as At | undefined) || !finite(position.x, position.y)) return nowhere;
        this.points.push({ layer, at: place(position), z: heightOf(position), name: attribute ?? (name || null) });
        return null;
      }
      default: {
        const words = entity as unknown as Partial<ITextEntity & IMtextEntity>;
        const at = words.startPoint ?? words.position;
        const text = (words.text ?? '').replace(/\\[A-Za-z][^;]*;|[{}]/g, '').trim();
        if (!at || !finite(at.x, at.y) || text === '') return nowhere;
        this.texts.push({ layer, at: { e: at.x, n: at.y }, text });
        return null;
      }
    }
  }
}

/** Drawings in plan have heights of 0 throughout: that is no height. */
const heightOf = ({ z }: At): number | null => (z !== undefined && Number.isFinite(z) && z !== 0 ? z : null);

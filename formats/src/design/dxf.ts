/**
 * Drawings in DXF: lines, polylines with their arcs, arcs, circles, ellipses, splines, boundaries of hatches, points,
 * blocks with what is in them and as points, texts, and faces as surfaces. Layers are kept. Source: DXF reference,
 * "ENTITIES section", "BLOCKS section" and "Object coordinate systems (OCS)".
 */
import { DXF_APPLICATION } from '../export/dxfText.ts';
import { fail, METRES_PER_UNIT, ok, type LengthUnit, type Result } from '@idle-marker/core';
import {
  DRAWING_UNITS,
  placeDrawing,
  unitOfLength,
  type Drawing,
  type DrawingError,
  type DrawingUnit,
  type DrawnCircle,
  type DrawnPath,
  type DrawnPoint,
  type DrawnText,
  type RawDrawing,
} from './drawing.ts';
import { GrowingSurface } from './growingSurface.ts';
import { arcsAlong, isWhole, splineCorners } from './dxfCurves.ts';
import { dxfRecords, type DxfPlace, type DxfRecord } from './dxfElement.ts';
import { dxfGroups, type DxfBlock, type DxfElement } from './dxfGroups.ts';
import { hatchBoundaries } from './dxfHatch.ts';
import {
  after,
  AT_REST,
  FROM_BELOW,
  moved,
  movedCorners,
  scaleOf,
  tidied,
  type Corner3,
  type Motion,
  type Place3,
} from './dxfShapes.ts';
import { multilineText, plainText, withSigns } from './dxfText.ts';

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
      [7, 1000],
      [10, 3 * METRES_PER_UNIT.foot],
      [14, 0.1],
      [21, METRES_PER_UNIT.usSurveyFoot],
    ] as const
  ).map(([code, metres]) => [code, DRAWING_UNITS.find((unit) => unit.metres === metres)!]),
);

/** Elements between two words of how far it is. */
const AT_A_TIME = 2000;

export function readRawDxf(text: string, onProgress: Progress = () => undefined): Result<RawDrawing, DrawingError> {
  const groups = dxfGroups(text);
  if (!groups.ok) return groups;
  const { elements, insUnits, blocks } = groups.value;
  const taking = new Taking(text, blocks);
  for (let i = 0; i < elements.length; i++) {
    taking.take(elements.at(i));
    if ((i + 1) % AT_A_TIME === 0 || i + 1 === elements.length) onProgress(i + 1, elements.length);
  }
  // Sheets beside the one that is open are kept as blocks.
  for (const [name, block] of blocks)
    if (name.startsWith('*PAPER_SPACE')) for (const element of block.elements) taking.onSheet(element);
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

/** A flag of a polyline that is a mesh, or a folded face. */
const MESH = 16 | 64;
/** A vertex that only shapes a spline and is not on the line. */
const SPLINE_FRAME = 16;
/** A polyline whose corners have heights of their own. */
const IN_SPACE = 8;
const CLOSED = 1;

/** Elements whose places are in a plane of their own, which may be looked at from below or lie aslant. */
const OWN_PLANE: ReadonlySet<string> = new Set([
  'CIRCLE',
  'ARC',
  'LWPOLYLINE',
  'POLYLINE',
  'TEXT',
  'INSERT',
  'HATCH',
  'ELLIPSE',
]);
const ASLANT = 1e-6;

/** Nothing of a drawing, or told with what it belongs to. */
const NOTHING: ReadonlySet<string> = new Set(['ATTDEF', 'VIEWPORT', 'SEQEND', 'ATTRIB', 'VERTEX']);

/** Blocks in blocks go no deeper, and no drawing has more in it than this. */
const DEEPEST = 24;
const MOST_ELEMENTS = 1_000_000;
const MOST_COPIES = 10_000;

const NAME_TAGS = ['PT', 'PTNO', 'POINT', 'NAME', 'NO', 'NUMBER', 'ID'];
const HEIGHT_TAGS = ['ELEV', 'ELEVATION', 'Z', 'HEIGHT'];
const CODE_TAGS = ['CODE', 'DESC'];

/** Name, code and height of a point: as its extended data say where this project wrote it, else without the first two. */
function knownOf(record: DxfRecord, z: number): Pick<DrawnPoint, 'name' | 'code' | 'z'> {
  const { groups } = record;
  const from = groups.findIndex(({ code, value }) => code === 1001 && value === DXF_APPLICATION);
  if (from < 0) return { z: z === 0 ? null : z, name: null };
  const said = groups.slice(from + 1, from + 4);
  const [name, code] = said.filter((group) => group.code === 1000).map(({ value }) => plainText(value));
  const hasHeight = said.find((group) => group.code === 1070)?.value.trim() !== '0';
  return { z: hasHeight ? z : null, name: name || null, ...(code ? { code } : {}) };
}

const ELLIPSE_ARCS = 96;
/** A point of a block this near to where the block stands is the block's own, metres or whatever the drawing is in. */
const OWN_POINT = 1e-4;

/** Where an element stands: in which block, on whose layer. */
interface Within {
  readonly motion: Motion;
  /** Layer of the insert, which layer 0 of its block takes; null outside of blocks. */
  readonly layer: string | null;
  /** Where the block stands. */
  readonly at: Place3 | null;
  readonly depth: number;
}

const OUTSIDE: Within = { motion: AT_REST, layer: null, at: null, depth: 0 };

class Taking {
  readonly paths: DrawnPath[] = [];
  readonly points: DrawnPoint[] = [];
  readonly circles: DrawnCircle[] = [];
  readonly texts: DrawnText[] = [];
  /** Faces by their layer. */
  readonly surfaces = new Map<string, GrowingSurface>();
  /** By what and layer. */
  readonly left = new Map<string, number>();
  /** Layers as they are told, by what the file calls them: one word for all elements of a layer. */
  readonly #layers = new Map<string, string>();
  readonly #text: string;
  readonly #blocks: ReadonlyMap<string, DxfBlock>;
  #taken = 0;

  constructor(text: string, blocks: ReadonlyMap<string, DxfBlock>) {
    this.#text = text;
    this.#blocks = blocks;
  }

  leave(what: string, layer: string, count = 1): void {
    const key = `${what}\n${layer}`;
    this.left.set(key, (this.left.get(key) ?? 0) + count);
  }

  /** What stands on a sheet is no part of the site. */
  onSheet(element: DxfElement): void {
    if (!NOTHING.has(element.type)) this.leave('PAPER_SPACE', withSigns(element.layer));
  }

  take(element: DxfElement, within: Within = OUTSIDE): void {
    if (NOTHING.has(element.type)) return;
    const own = this.#layerOf(element.layer);
    const layer = own === '0' && within.layer !== null ? within.layer : own;
    const why = this.#why(element, layer, within);
    if (why !== null) this.leave(why, layer);
  }

  #layerOf(written: string): string {
    const known = this.#layers.get(written);
    if (known !== undefined) return known;
    const layer = withSigns(written);
    this.#layers.set(written, layer);
    return layer;
  }

  /** Null when it was taken; what it is called in the list of what was left out otherwise. */
  #why(element: DxfElement, layer: string, within: Within): string | null {
    const { type, whole, broken, start, end } = element;
    if (broken !== null) return `${type} with no group code on line ${broken}`;
    if (!whole) return `${type} without an end`;
    if (++this.#taken > MOST_ELEMENTS) return type;
    const [record, ...parts] = dxfRecords(this.#text, start, end);
    if (within.depth === 0 && record.flags(67) === 1) return 'PAPER_SPACE';
    if (record.flags(60) === 1) return 'INVISIBLE';
    const from = planeOf(type, record);
    if (from === null) return 'TILTED';
    const motion = from === 'below' ? after(within.motion, FROM_BELOW) : within.motion;
    return this.#shape({ type, layer, record, parts, motion, within, isFromBelow: from === 'below' });
  }

  #shape(drawn: Drawn): string | null {
    const { type, layer, record, motion, within } = drawn;
    const nowhere = `${type} without a place`;
    switch (type) {
      case '3DFACE':
        return this.#takeFace(record, layer, within.motion);
      case 'LINE': {
        const corners = [record.place(10), record.place(11)].map(cornerAt);
        if (!corners.every(({ e, n }) => finite(e, n))) return nowhere;
        const [a, b] = corners as [Corner3, Corner3];
        return a.e === b.e && a.n === b.n ? 'NO_LENGTH' : this.#path(drawn, corners, false);
      }
      case 'LWPOLYLINE': {
        const z = record.number(38) || 0;
        return this.#polyline(
          drawn,
          record.corners().map(({ x, y, bulge }) => ({ e: x, n: y, z, bulge })),
        );
      }
      case 'POLYLINE':
        return this.#heavyPolyline(drawn);
      case 'ARC':
      case 'CIRCLE':
        return this.#round(drawn);
      case 'ELLIPSE':
        return this.#ellipse(drawn);
      case 'SPLINE':
        return this.#spline(drawn);
      case 'HATCH': {
        const boundaries = hatchBoundaries(record);
        if (!boundaries) return type;
        for (const corners of boundaries) this.#path(drawn, corners, true);
        return null;
      }
      case 'POINT': {
        const at = record.place();
        if (!finite(at.x, at.y)) return nowhere;
        const to = moved(within.motion, placeAt(at));
        // A block that stands for a point often has one in it.
        if (within.at && Math.hypot(to.e - within.at.e, to.n - within.at.n) <= OWN_POINT) return null;
        this.points.push({ layer, at: { e: to.e, n: to.n }, ...knownOf(record, to.z) });
        return null;
      }
      case 'INSERT':
        return this.#insert(drawn);
      case 'TEXT':
      case 'MTEXT': {
        const at = record.place();
        const text = type === 'MTEXT' ? multilineText(record.texts(3, 1)) : plainText(record.text(1) ?? '');
        if (!finite(at.x, at.y) || text === '') return nowhere;
        const { e, n } = moved(type === 'MTEXT' ? within.motion : motion, placeAt(at));
        this.texts.push({ layer, at: { e, n }, text });
        return null;
      }
      default:
        return type;
    }
  }

  #path({ layer, motion, type, within }: Drawn, corners: readonly Corner3[], isClosed: boolean): string | null {
    // Lines, splines and what lies in space are in the drawing's own coordinates already.
    const inWorld = type === 'LINE' || type === 'SPLINE' || type === 'ELLIPSE';
    const { corners: apart, closed } = tidied(
      movedCorners(inWorld ? within.motion : motion, corners, isClosed),
      isClosed,
    );
    if (apart.length < 2) return 'NO_LENGTH';
    this.paths.push({ layer, closed, corners: apart });
    return null;
  }

  #polyline(drawn: Drawn, corners: readonly Corner3[]): string | null {
    if (corners.length === 0 || !corners.every(({ e, n, bulge }) => finite(e, n, bulge)))
      return `${drawn.type} without a place`;
    return this.#path(drawn, corners, (drawn.record.flags(70) & CLOSED) !== 0);
  }

  #heavyPolyline(drawn: Drawn): string | null {
    const { record, parts, within } = drawn;
    const flags = record.flags(70);
    if ((flags & MESH) !== 0) return drawn.type;
    const vertices = parts.filter((part) => part.type === 'VERTEX' && (part.flags(70) & SPLINE_FRAME) === 0);
    const inSpace = (flags & IN_SPACE) !== 0;
    const elevation = record.place().z || 0;
    const corners = vertices.map((part) => {
      const { x, y, z } = part.place();
      return { e: x, n: y, z: inSpace ? z || 0 : elevation, bulge: part.flags(42) };
    });
    return this.#polyline(inSpace ? { ...drawn, motion: within.motion } : drawn, corners);
  }

  #round(drawn: Drawn): string | null {
    const { type, record, motion, layer } = drawn;
    const [centre, radius] = [placeAt(record.place()), record.number(40)];
    if (!finite(centre.e, centre.n, radius) || radius <= 0) return `${type} without a place`;
    const [start, end] =
      type === 'CIRCLE' ? [0, 2 * Math.PI] : [inRadians(record.number(50)), inRadians(record.number(51))];
    if (!finite(start, end)) return `${type} without a place`;
    const span = (((end - start) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI) || 2 * Math.PI;
    const at = (angle: number, bulge: number): Corner3 => ({
      e: centre.e + radius * Math.cos(angle),
      n: centre.n + radius * Math.sin(angle),
      z: centre.z,
      bulge,
    });
    if (span < 2 * Math.PI - 1e-9)
      return this.#path(drawn, [at(start, Math.tan(span / 4)), at(start + span, 0)], false);
    const scale = scaleOf(motion);
    // Stretched unevenly it is a circle no more.
    if (scale === null) return this.#path(drawn, [at(0, 1), at(Math.PI, 1)], true);
    const to = moved(motion, centre);
    this.circles.push({
      layer,
      centre: { e: to.e, n: to.n },
      radius: radius * scale,
      ...(to.z === 0 ? {} : { z: to.z }),
    });
    return null;
  }

  #ellipse(drawn: Drawn): string | null {
    const { record, isFromBelow } = drawn;
    const [centre, major, ratio] = [placeAt(record.place()), placeAt(record.place(11)), record.number(40)];
    const [from, to] = [record.number(41) || 0, Number.isFinite(record.number(42)) ? record.number(42) : 2 * Math.PI];
    if (!finite(centre.e, centre.n, major.e, major.n, ratio) || !(ratio > 0)) return 'ELLIPSE without a place';
    const hand = isFromBelow ? -1 : 1;
    const span = to > from ? Math.min(to - from, 2 * Math.PI) : to - from + 2 * Math.PI;
    const isWholeTurn = span > 2 * Math.PI - 1e-9;
    const corners = arcsAlong(
      (angle) => ({
        e: centre.e + major.e * Math.cos(angle) - hand * major.n * ratio * Math.sin(angle),
        n: centre.n + major.n * Math.cos(angle) + hand * major.e * ratio * Math.sin(angle),
        z: centre.z,
      }),
      from,
      from + span,
      ELLIPSE_ARCS,
    );
    return this.#path(drawn, isWholeTurn ? corners.slice(0, -1) : corners, isWholeTurn);
  }

  #spline(drawn: Drawn): string | null {
    const { record } = drawn;
    const points = placesOf(record, 10);
    const curve = { degree: record.number(71), knots: record.numbers(40), points, weights: record.numbers(41) };
    if (!isWhole(curve)) return 'SPLINE';
    const corners = splineCorners(curve);
    const [first, last] = [corners[0]!, corners.at(-1)!];
    const size = Math.max(1, Math.abs(first.e), Math.abs(first.n));
    const closes = Math.hypot(first.e - last.e, first.n - last.n) <= 1e-9 * size;
    return this.#path(drawn, closes ? corners.slice(0, -1) : corners, closes || (record.flags(70) & CLOSED) !== 0);
  }

  #takeFace(record: DxfRecord, layer: string, motion: Motion): string | null {
    const corners = [10, 11, 12, 13].map((code) => record.place(code));
    if (!corners.slice(0, 3).every(({ x, y, z }) => finite(x, y, z))) return '3DFACE without a place';
    const growing = this.surfaces.get(layer) ?? new GrowingSurface();
    this.surfaces.set(layer, growing);
    const [a, b, c, d] = corners.map(({ x, y, z }) => {
      if (!finite(x, y, z)) return undefined;
      const to = moved(motion, { e: x, n: y, z });
      return growing.at(to.e, to.n, to.z);
    });
    growing.triangle(a!, b!, c!);
    // A triangle repeats its third corner as the fourth.
    if (d !== undefined && d !== c) growing.triangle(a!, c!, d);
    return null;
  }

  /** What is in a block comes in where it stands, and the block is a point, once for each row and column. */
  #insert({ record, parts, layer, motion, within }: Drawn): string | null {
    const at = placeAt(record.place());
    if (!finite(at.e, at.n)) return 'INSERT without a place';
    const one = (code: number) => (Number.isFinite(record.number(code)) ? record.number(code) : 1);
    const name = withSigns(record.text(2) ?? '');
    const block = this.#blocks.get((record.text(2) ?? '').toUpperCase());
    const turn = inRadians(record.number(50) || 0);
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    const [sx, sy, sz] = [one(41), one(42), one(43)];
    const own = attributesOf(parts);
    const columns = Math.max(1, Math.floor(record.flags(70)));
    const rows = Math.max(1, Math.floor(record.flags(71)));
    if (columns * rows > MOST_COPIES) return 'INSERT';
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const [along, up] = [column * record.flags(44), row * record.flags(45)];
        const stands = { e: at.e + along * cos - up * sin, n: at.n + along * sin + up * cos, z: at.z };
        const to = moved(motion, stands);
        if (within.depth === 0 || own.name !== null || own.height !== null)
          this.points.push({
            layer,
            at: { e: to.e, n: to.n },
            z: own.height ?? (to.z === 0 ? null : to.z),
            name: own.name ?? (name || null),
            ...(own.code === null ? {} : { code: own.code }),
            ...(own.name === null && own.height === null ? { isBlockOnly: true } : {}),
          });
        if (!block || within.depth >= DEEPEST) continue;
        const into: Motion = { ee: sx * cos, en: -sy * sin, ne: sx * sin, nn: sy * cos, e: 0, n: 0, zScale: sz, z: 0 };
        const base = moved(into, { e: block.base.x, n: block.base.y, z: block.base.z });
        const placed = { ...into, e: stands.e - base.e, n: stands.n - base.n, z: stands.z - base.z };
        const inner: Within = { motion: after(motion, placed), layer, at: to, depth: within.depth + 1 };
        for (const element of block.elements) {
          if (this.#taken > MOST_ELEMENTS) return 'INSERT';
          this.take(element, inner);
        }
      }
    return null;
  }
}

interface Drawn {
  readonly type: string;
  readonly layer: string;
  readonly record: DxfRecord;
  readonly parts: readonly DxfRecord[];
  /** From the plane of the element. */
  readonly motion: Motion;
  readonly within: Within;
  readonly isFromBelow: boolean;
}

/** Whether an element is drawn from above or from below; null where it lies aslant. */
function planeOf(type: string, record: DxfRecord): 'above' | 'below' | null {
  if (!OWN_PLANE.has(type)) return 'above';
  const isInSpace = type === 'POLYLINE' && (record.flags(70) & IN_SPACE) !== 0;
  const [x, y, z] = [record.number(210) || 0, record.number(220) || 0, record.number(230)];
  if (isInSpace || !Number.isFinite(z)) return 'above';
  const length = Math.hypot(x, y, z);
  if (!(length > 0)) return 'above';
  if (Math.hypot(x, y) / length > ASLANT) return null;
  return z < 0 ? 'below' : 'above';
}

/** Name, height and code of a point that a block stands for, by the tags of its attributes. */
function attributesOf(parts: readonly DxfRecord[]): {
  readonly name: string | null;
  readonly height: number | null;
  readonly code: string | null;
} {
  const tagged = parts
    .filter(({ type }) => type === 'ATTRIB')
    .map((part) => ({ tag: (part.text(2) ?? '').trim().toUpperCase(), text: plainText(part.text(1) ?? '') }));
  const filled = (tags: readonly string[]) =>
    tags.flatMap((tag) => tagged.filter((each) => each.tag === tag && each.text !== '').map(({ text }) => text))[0] ??
    null;
  const height = filled(HEIGHT_TAGS);
  const read = height === null ? NaN : Number(height.replace(',', '.'));
  return { name: filled(NAME_TAGS), height: Number.isFinite(read) ? read : null, code: filled(CODE_TAGS) };
}

const inRadians = (degrees: number): number => (degrees * Math.PI) / 180;

const placeAt = ({ x, y, z }: DxfPlace): Place3 => ({ e: x, n: y, z: z || 0 });
const cornerAt = (at: DxfPlace): Corner3 => ({ ...placeAt(at), bulge: 0 });

/** Every place that begins with this code, in its order. */
function placesOf(record: DxfRecord, code: number): Place3[] {
  const [e, n, z] = [record.numbers(code), record.numbers(code + 10), record.numbers(code + 20)];
  return e.map((value, i) => ({ e: value, n: n[i] ?? NaN, z: z[i] ?? 0 }));
}

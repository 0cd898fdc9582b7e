/**
 * GeoJSON with the site's coordinates: points, lines and polygons, names and layers from their properties. Source: RFC
 * 7946.
 */
import { fail, ok, type PlanPoint, type Result } from '@idle-marker/core';
import { METRES_PER_FILE_UNIT } from '../list/fileUnits.ts';
import { drawingUnitOf, type DrawingUnit } from './drawing.ts';
import { unitOfEpsg } from './epsgUnits.ts';
import type { DrawingError, DrawnCorner, DrawnPath, DrawnPoint, RawDrawing } from './drawing.ts';

interface Loose {
  readonly type?: unknown;
  readonly features?: unknown;
  readonly geometry?: unknown;
  readonly geometries?: unknown;
  readonly coordinates?: unknown;
  readonly properties?: unknown;
  readonly id?: unknown;
  readonly coordinateSystem?: unknown;
  readonly crs?: unknown;
}
const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const LAYER_PROPERTIES = ['layer', 'Layer', 'class', 'kind'] as const;
const CODE_PROPERTIES = ['code', 'Code', 'desc'];
const GEOMETRIES: ReadonlySet<string> = new Set([
  'Point',
  'MultiPoint',
  'LineString',
  'MultiLineString',
  'Polygon',
  'MultiPolygon',
  'GeometryCollection',
]);
/** What has no places: told with how many, the rest comes in. */
const EMPTY = 'EMPTY_GEOMETRY';
const NAME_PROPERTIES = ['name', 'Name', 'id', 'label'] as const;
/** Deeper nesting is no drawing. */
const DEEPEST = 20;

interface Stated {
  /** Null where nothing is said. */
  readonly unit: DrawingUnit | null;
  readonly isDegrees: boolean;
}

/** What a document says of its unit: in words, or by the number of its coordinate system. */
function statedUnit({ coordinateSystem, crs }: Loose): Result<Stated, DrawingError> {
  if (typeof coordinateSystem === 'string' && /met(re|er)s?\b/i.test(coordinateSystem))
    return ok({ unit: METRES, isDegrees: false });
  const properties = isObject(crs) ? crs.properties : null;
  const name = isObject(properties) ? (properties as { name?: unknown }).name : null;
  if (typeof name !== 'string') return ok({ unit: null, isDegrees: false });
  if (/CRS84/i.test(name)) return ok({ unit: null, isDegrees: true });
  const number = /EPSG:(?:[\d.]*:)?(\d+)$/i.exec(name)?.[1];
  if (number === undefined) return ok({ unit: null, isDegrees: false });
  const unit = unitOfEpsg(Number(number));
  if (unit === 'other') return fail({ code: 'UNIT_UNKNOWN', text: name.slice(0, 80) });
  if (unit === 'degrees') return ok({ unit: null, isDegrees: true });
  return ok({ unit: drawingUnitOf(METRES_PER_FILE_UNIT[unit]), isDegrees: false });
}

const METRES: DrawingUnit = drawingUnitOf(1);

/** Degrees of longitude and latitude lie within these. */
const isWithinDegrees = ({ e, n }: PlanPoint): boolean => Math.abs(e) <= 180 && Math.abs(n) <= 90;

/** @param isUnitSaid a person says the unit: then nothing is taken for degrees */
export function readRawGeoJson(text: string, isUnitSaid = false): Result<RawDrawing, DrawingError> {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (cause) {
    return fail({
      code: 'NOT_A_DRAWING',
      detail: `it is no whole JSON: ${cause instanceof Error ? cause.message : 'it can not be read'}`,
    });
  }
  if (!isObject(document)) return fail({ code: 'NOT_A_DRAWING', detail: 'it holds no features' });
  const stated = statedUnit(document);
  if (!stated.ok && !isUnitSaid) return stated;
  const says = stated.ok ? stated.value : { unit: null, isDegrees: false };
  if (says.isDegrees && !isUnitSaid) return fail({ code: 'DEGREES_NOT_METRES' });
  const features =
    document.type === 'FeatureCollection' && Array.isArray(document.features)
      ? (document.features as unknown[])
      : [document];
  const [paths, points]: [DrawnPath[], DrawnPoint[]] = [[], []];
  const left = new Map<string, number>();
  for (const [i, feature] of features.entries()) {
    if (!isObject(feature)) return fail({ code: 'BAD_ROW', row: i + 1, detail: 'is no feature' });
    const properties = isObject(feature.properties) ? (feature.properties as Readonly<Record<string, unknown>>) : {};
    const word = (names: readonly string[]) => {
      const value = names
        .map((name) => properties[name])
        .find((each) => typeof each === 'string' || typeof each === 'number');
      return value === undefined ? null : String(value).trim().slice(0, 80) || null;
    };
    const layer = word(LAYER_PROPERTIES) ?? 'features';
    const geometry = feature.type === 'Feature' ? feature.geometry : feature;
    const code = word(CODE_PROPERTIES);
    const own =
      typeof feature.id === 'string' || typeof feature.id === 'number' ? String(feature.id).slice(0, 80) : null;
    const named = { name: word(NAME_PROPERTIES) ?? own, ...(code === null ? {} : { code }) };
    const fault = take(geometry, layer, named, { paths, points, left }, 0);
    if (fault !== null) return fail({ code: 'BAD_ROW', row: i + 1, detail: fault });
  }
  const leftOut = [...left].map(([what, count]) => ({ what, layer: 'features', count }));
  if (paths.length + points.length === 0) return fail({ code: 'EMPTY_DRAWING', leftOut });
  const places = [...points.map(({ at }) => at), ...paths.flatMap(({ corners }) => corners)];
  if (says.unit === null && !isUnitSaid && places.every(isWithinDegrees)) return fail({ code: 'DEGREES_NOT_METRES' });
  return ok({
    unit: says.unit,
    ...(says.unit === null && !isUnitSaid ? { remarks: ['UNIT_ASSUMED' as const] } : {}),
    paths,
    points,
    circles: [],
    texts: [],
    surfaces: [],
    alignments: [],
    warnings: [],
    leftOut,
  });
}

type Named = Pick<DrawnPoint, 'name' | 'code'>;

interface Into {
  readonly paths: DrawnPath[];
  readonly points: DrawnPoint[];
  readonly left: Map<string, number>;
}

/** Null when it was taken; what is wrong otherwise. */
function take(geometry: unknown, layer: string, named: Named, into: Into, depth: number): string | null {
  if (depth > DEEPEST) return null;
  const empty = () => {
    into.left.set(EMPTY, (into.left.get(EMPTY) ?? 0) + 1);
    return null;
  };
  if (geometry === null || geometry === undefined) return empty();
  if (!isObject(geometry)) return 'has no geometry';
  const { coordinates } = geometry;
  const lists = Array.isArray(coordinates) ? (coordinates as unknown[]) : [];
  const each = (list: readonly unknown[], add: (value: unknown) => string | null) =>
    list.map(add).find((fault) => fault !== null) ?? null;
  const isEmpty = (value: unknown) => Array.isArray(value) && value.length === 0;
  const point = (value: unknown) => {
    if (isEmpty(value)) return empty();
    const at = cornerOf(value);
    if (!at) return 'has a point without two numbers';
    into.points.push({ layer, at: { e: at.e, n: at.n }, z: at.z, ...named });
    return null;
  };
  const path = (closed: boolean) => (value: unknown) => {
    if (isEmpty(value)) return empty();
    const corners = Array.isArray(value) ? value.map(cornerOf) : [];
    if (corners.length < 2 || corners.some((corner) => corner === null))
      return 'has a line with a point without two numbers';
    const hasHeights = corners.every((corner) => corner!.z !== null);
    const whole = (corners as DrawnCorner[])
      .map((corner) => (hasHeights ? corner : { ...corner, z: null }))
      .filter(({ e, n, z }, i, all) => i === 0 || e !== all[i - 1]!.e || n !== all[i - 1]!.n || z !== all[i - 1]!.z);
    // A ring ends where it begins.
    const [first, last] = [whole[0]!, whole.at(-1)!];
    const ends = whole.length > 2 && first.e === last.e && first.n === last.n;
    const ring = ends ? whole.slice(0, -1) : whole;
    if (ring.length < 2) return empty();
    into.paths.push({ layer, closed: closed || ends, corners: ring });
    return null;
  };
  const isKnown = typeof geometry.type === 'string' && GEOMETRIES.has(geometry.type);
  if (isKnown && (isEmpty(coordinates) || isEmpty(geometry.geometries))) return empty();
  switch (geometry.type) {
    case 'Point':
      return point(coordinates);
    case 'MultiPoint':
      return each(lists, point);
    case 'LineString':
      return path(false)(coordinates);
    case 'MultiLineString':
      return each(lists, path(false));
    case 'Polygon':
      return each(lists, path(true));
    case 'MultiPolygon':
      return each(lists, (rings) => (Array.isArray(rings) ? each(rings, path(true)) : 'has a polygon without rings'));
    case 'GeometryCollection':
      return each(Array.isArray(geometry.geometries) ? (geometry.geometries as unknown[]) : [], (inner) =>
        take(inner, layer, named, into, depth + 1),
      );
    default: {
      const what = typeof geometry.type === 'string' ? geometry.type.slice(0, 40) : 'feature without a type';
      into.left.set(what, (into.left.get(what) ?? 0) + 1);
      return null;
    }
  }
}

function cornerOf(value: unknown): DrawnCorner | null {
  if (!Array.isArray(value)) return null;
  const [e, n, z] = value as unknown[];
  if (typeof e !== 'number' || typeof n !== 'number' || !Number.isFinite(e) || !Number.isFinite(n)) return null;
  return { e, n, z: typeof z === 'number' && Number.isFinite(z) ? z : null, bulge: 0 };
}

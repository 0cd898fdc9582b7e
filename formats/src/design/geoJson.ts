/**
 * GeoJSON with the site's coordinates: points, lines and polygons, names and layers from their properties. Source: RFC
 * 7946.
 */
import { fail, ok, type Result } from '@idle-marker/core';
import type { DrawingError, DrawnCorner, DrawnPath, DrawnPoint, RawDrawing } from './drawing.ts';

interface Loose {
  readonly type?: unknown;
  readonly features?: unknown;
  readonly geometry?: unknown;
  readonly geometries?: unknown;
  readonly coordinates?: unknown;
  readonly properties?: unknown;
}
const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const LAYER_PROPERTIES = ['layer', 'Layer', 'class', 'kind'] as const;
const CODE_PROPERTIES = ['code', 'Code', 'desc'];
const NAME_PROPERTIES = ['name', 'Name', 'id', 'label'] as const;
/** Deeper nesting is no drawing. */
const DEEPEST = 20;

export function readRawGeoJson(text: string): Result<RawDrawing, DrawingError> {
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
    const named = { name: word(NAME_PROPERTIES), ...(code === null ? {} : { code }) };
    const fault = take(geometry, layer, named, { paths, points, left }, 0);
    if (fault !== null) return fail({ code: 'BAD_ROW', row: i + 1, detail: fault });
  }
  const leftOut = [...left].map(([what, count]) => ({ what, layer: 'features', count }));
  if (paths.length + points.length === 0) return fail({ code: 'EMPTY_DRAWING', leftOut });
  return ok({
    unit: { name: 'metres', metres: 1 },
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
  if (geometry === null || depth > DEEPEST) return null;
  if (!isObject(geometry)) return 'has no geometry';
  const { coordinates } = geometry;
  const lists = Array.isArray(coordinates) ? (coordinates as unknown[]) : [];
  const each = (list: readonly unknown[], add: (value: unknown) => string | null) =>
    list.map(add).find((fault) => fault !== null) ?? null;
  const point = (value: unknown) => {
    const at = cornerOf(value);
    if (!at) return 'has a point without two numbers';
    into.points.push({ layer, at: { e: at.e, n: at.n }, z: at.z, ...named });
    return null;
  };
  const path = (closed: boolean) => (value: unknown) => {
    const corners = Array.isArray(value) ? value.map(cornerOf) : [];
    if (corners.length < 2 || corners.some((corner) => corner === null))
      return 'has a line with a point without two numbers';
    const whole = corners as DrawnCorner[];
    // A ring ends where it begins.
    const [first, last] = [whole[0]!, whole.at(-1)!];
    const ring = closed && first.e === last.e && first.n === last.n ? whole.slice(0, -1) : whole;
    into.paths.push({ layer, closed, corners: ring });
    return null;
  };
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

/**
 * Points, planar features and surfaces of a LandXML file (1.0 to 1.2): `CgPoint`, `PlanFeature` with the `Line` and `Curve` of
 * its `CoordGeom`, and `Surface` with its points and faces; northing first. Entities are never resolved, and a document type is refused. Source: LandXML.org, LandXML-1.2
 * schema.
 */
import { SaxesParser } from 'saxes';
import { azimuth, fail, METRES_PER_UNIT, ok, wrapTurn, type Result } from '@idle-marker/core';
import {
  unitOfLength,
  type DrawingError,
  type DrawingUnit,
  type DrawnCorner,
  type DrawnPath,
  type DrawnPoint,
  type DrawnSurface,
  type RawDrawing,
} from './drawing.ts';
import { GrowingSurface } from './growingSurface.ts';

const UNITS: Readonly<Record<string, DrawingUnit>> = {
  meter: unitOfLength('metre'),
  metre: unitOfLength('metre'),
  foot: unitOfLength('foot'),
  ussurveyfoot: unitOfLength('usSurveyFoot'),
  millimeter: { name: 'millimetres', metres: METRES_PER_UNIT.metre / 1000 },
};

interface Open {
  readonly kind: 'Line' | 'Curve';
  readonly rotation: string;
  readonly ends: Partial<Record<'Start' | 'End' | 'Center', DrawnCorner>>;
}

const localName = (name: string): string => name.replace(/^.*:/, '');

function cornerOf(text: string): DrawnCorner | null {
  const [n, e, z] = text.trim().split(/\s+/).map(Number);
  return n === undefined || e === undefined || !Number.isFinite(n) || !Number.isFinite(e)
    ? null
    : { e, n, z: z !== undefined && Number.isFinite(z) ? z : null, bulge: 0 };
}

/** Corners of a line or curve, the first with its bulge; null when an end is missing. */
function sideOf({ kind, rotation, ends }: Open): DrawnCorner[] | null {
  const { Start: from, End: to, Center: centre } = ends;
  if (!from || !to) return null;
  if (kind === 'Line') return [from, to];
  if (!centre) return null;
  const clockwise = rotation.toLowerCase() === 'cw';
  const turn = wrapTurn((clockwise ? 1 : -1) * (azimuth(centre, to) - azimuth(centre, from)));
  return [{ ...from, bulge: (clockwise ? -1 : 1) * Math.tan(turn / 4) }, to];
}

export function readRawLandXml(text: string): Result<RawDrawing, DrawingError> {
  const parser = new SaxesParser();
  const [paths, points]: [DrawnPath[], DrawnPoint[]] = [[], []];
  const left = new Map<string, number>();
  let [root, broken, forbidden]: [string | null, string | null, boolean] = [null, null, false];
  let unit: DrawingUnit | null = null;
  let unknownUnit: string | null = null;
  let feature: { name: string; corners: DrawnCorner[] } | null = null;
  let side: Open | null = null;
  let point: { name: string | null } | null = null;
  let surface: { readonly name: string; readonly growing: GrowingSurface } | null = null;
  /** Of the corner that is being read, or of the triangle; null for one that is not there to be seen. */
  let corner: string | null = null;
  let isSeen = true;
  const surfaces: DrawnSurface[] = [];
  const leave = (what: string) => left.set(what, (left.get(what) ?? 0) + 1);
  let collected = '';
  const finish = () => {
    if (feature && feature.corners.length > 1) {
      const [first, last] = [feature.corners[0]!, feature.corners.at(-1)!];
      const closes = feature.corners.length > 3 && Math.hypot(first.e - last.e, first.n - last.n) < 1e-6;
      paths.push({ layer: feature.name, closed: closes, corners: closes ? feature.corners.slice(0, -1) : feature.corners });
    }
  };
  parser.on('error', (error) => {
    broken ??= error.message;
  });
  parser.on('doctype', () => {
    forbidden = true;
  });
  parser.on('opentag', ({ name, attributes }) => {
    const local = localName(name);
    const attribute = (key: string) => (attributes[key] as string | undefined) ?? '';
    root ??= local;
    collected = '';
    if (local === 'Metric' || local === 'Imperial') {
      const word = attribute('linearUnit');
      unit = UNITS[word.toLowerCase()] ?? null;
      if (word !== '' && unit === null) unknownUnit = word;
    } else if (local === 'PlanFeature') feature = { name: attribute('name').trim() || 'plan features', corners: [] };
    else if ((local === 'Line' || local === 'Curve') && feature) side = { kind: local, rotation: attribute('rot'), ends: {} };
    else if (local === 'CgPoint' && attribute('pntRef') === '') point = { name: attribute('name').trim() || null };
    else if (local === 'Surface') surface = { name: attribute('name').trim() || 'surface', growing: new GrowingSurface() };
    else if (surface && local === 'P') corner = attribute('id').trim();
    // Faces marked so are holes.
    else if (surface && local === 'F') isSeen = attribute('i') !== '1';
    else if (surface && (local === 'Breakline' || local === 'Contour' || local === 'Boundary')) leave(`${local} of a surface`);
    else if (feature && (local === 'Spiral' || local === 'IrregularLine' || local === 'Chain')) leave(local);
  });
  parser.on('text', (chunk) => {
    collected += chunk;
  });
  parser.on('closetag', ({ name }) => {
    const local = localName(name);
    if (local === 'CgPoint' && point) {
      const at = cornerOf(collected);
      if (at) points.push({ layer: 'points', at: { e: at.e, n: at.n }, z: at.z, name: point.name });
      else leave('CgPoint without a place');
      point = null;
    } else if (side && (local === 'Start' || local === 'End' || local === 'Center')) {
      const at = cornerOf(collected);
      if (at) side.ends[local] = at;
    } else if (side && feature && local === side.kind) {
      const corners = sideOf(side);
      if (!corners) leave(`${local} without both ends`);
      else {
        const last = feature.corners.at(-1);
        const goesOn = last && Math.hypot(last.e - corners[0]!.e, last.n - corners[0]!.n) < 1e-6;
        if (!goesOn && feature.corners.length > 0) {
          finish();
          feature = { name: feature.name, corners: [] };
        }
        feature.corners = [...feature.corners.slice(0, goesOn ? -1 : undefined), ...corners];
      }
      side = null;
    } else if (local === 'PlanFeature') {
      finish();
      feature = null;
    } else if (surface && local === 'P' && corner !== null) {
      const at = cornerOf(collected);
      if (at && at.z !== null) surface.growing.corner(corner, at.e, at.n, at.z);
      else leave('P of a surface without a height');
      corner = null;
    } else if (surface && local === 'F' && isSeen) {
      const [a, b, c] = collected
        .trim()
        .split(/\s+/)
        .map((each) => surface!.growing.named(each));
      if (a === undefined || b === undefined || c === undefined) leave('F of a surface without its three corners');
      else surface.growing.triangle(a, b, c);
    } else if (local === 'Surface' && surface) {
      const { name: own, growing } = surface;
      const again = surfaces.filter(({ layer }) => layer === own || layer.startsWith(`${own} `)).length;
      const grown = growing.finish(again === 0 ? own : `${own} ${again + 1}`);
      if (grown) surfaces.push(grown);
      else leave('Surface without triangles');
      surface = null;
    }
  });
  parser.write(text.replace(/^\uFEFF/, '')).close();
  if (forbidden) return fail({ code: 'NOT_A_DRAWING', detail: 'it declares a document type, which is not read' });
  if (broken !== null) return fail({ code: 'NOT_A_DRAWING', detail: `it is no whole XML: ${String(broken)}` });
  if (root !== 'LandXML') return fail({ code: 'NOT_A_DRAWING', detail: `it is XML, but ${root === null ? 'empty' : `“${String(root)}”`} instead of LandXML` });
  if (unknownUnit !== null) return fail({ code: 'NOT_A_DRAWING', detail: `its linear unit “${String(unknownUnit)}” is not known` });
  const leftOut = [...left].map(([what, count]) => ({ what, layer: 'LandXML', count }));
  if (paths.length + points.length + surfaces.length === 0) return fail({ code: 'EMPTY_DRAWING', leftOut });
  return ok({ unit, paths, points, circles: [], texts: [], surfaces, leftOut });
}

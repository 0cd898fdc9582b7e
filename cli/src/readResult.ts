/** What a file was read as, in the shape that `read` prints: metres, east and north, lists in their order. */
import { alignmentOf, equationJumps, lengthOfSide, reachOfSide } from '@idle-marker/core';
import {
  drawingFormatOf,
  fileUnitOf,
  METRES_PER_FILE_UNIT,
  placeDrawing,
  readControlBytes,
  readRawDrawing,
  type ControlRow,
  type Drawing,
  type DrawingSaid,
  type FileUnit,
  type RawDrawing,
} from '@idle-marker/formats';
import { controlFileWords, drawingWords } from '@idle-marker/words';

export type ReadOutcome =
  | { readonly ok: true; readonly result: Readonly<Record<string, unknown>> }
  | { readonly ok: false; readonly error: { readonly code: string; readonly message: string } };

const refused = (code: string, message: string): ReadOutcome => ({ ok: false, error: { code, message } });

/** Codes under which what can not be read is told. */
const CODES: Readonly<Record<string, string>> = {
  NOT_TEXT: 'NOT_TEXT_ENCODING',
  UNKNOWN_UNIT: 'UNIT_UNKNOWN',
  PACKED_DRAWING: 'NOT_A_DRAWING',
  BINARY_DRAWING: 'NOT_A_DRAWING',
};

const FAULTS: Readonly<Record<string, string>> = {
  NO_NAME: 'NO_NAME',
  NOT_A_NUMBER: 'NOT_A_NUMBER',
  OTHER_UNIT: 'NOT_A_NUMBER',
  HALF_A_PLACE: 'HALF_A_PLACE',
  NO_COORDINATES: 'NO_COORDINATES',
};

/** A list of control points. */
export function controlResult(bytes: Uint8Array, said: DrawingSaid): ReadOutcome {
  const order = said.order ?? null;
  const list = readControlBytes(bytes, { unit: null, xIsNorth: order === null ? null : order === 'NE', said });
  if (!list.ok) return refused(CODES[list.error.code] ?? list.error.code, controlFileWords(list.error));
  const { rows, unit, unitFromFile, decimal, ignoredColumns, warnings } = list.value;
  const names = new Set<string>();
  const faults: { row: number; code: string }[] = [];
  const good: ControlRow[] = [];
  for (const row of rows) {
    const isTwice = row.name !== '' && names.size === names.add(row.name).size;
    const codes = row.issues.flatMap(({ code }) => FAULTS[code] ?? []);
    // A row too short for its place lacks it.
    if (row.issues.some(({ code }) => code === 'TOO_FEW_CELLS'))
      codes.push(row.e !== null || row.n !== null ? 'HALF_A_PLACE' : 'NO_COORDINATES');
    if (isTwice && codes.length === 0) codes.push('NAME_TWICE');
    if (codes.length > 0) faults.push({ row: row.row, code: codes[0]! });
    else good.push(row);
  }
  return {
    ok: true,
    result: {
      unit: { name: unit, stated: unitFromFile },
      order: list.value.order,
      decimal,
      points: good.map(({ name, e, n, z, sdPlanMm, sdHeightMm, code }) => ({
        name,
        e,
        n,
        z,
        sdHMm: sdPlanMm,
        sdZMm: sdHeightMm,
        code: code || null,
      })),
      faults,
      leftAside: ignoredColumns,
      warnings: [...warnings].sort(),
    },
  };
}

/** A drawing in any format. */
export function drawingResult(bytes: Uint8Array, said: DrawingSaid): ReadOutcome {
  const raw = readRawDrawing(bytes, null, undefined, said);
  if (!raw.ok) {
    const { error } = raw;
    const code = error.code === 'LIST' ? error.issue.code : error.code === 'LANDXML' ? error.fault.code : error.code;
    return refused(CODES[code] ?? code, drawingWords(error));
  }
  const unit = unitOf(raw.value, said.unit ?? null);
  if (unit === null) return refused('NO_UNIT_STATED', controlFileWords({ code: 'NO_UNIT_STATED' }));
  const inMetres = raw.value.list !== undefined;
  const drawing = placeDrawing(raw.value, {
    metresPerUnit: inMetres ? 1 : METRES_PER_FILE_UNIT[unit.name],
    similarity: null,
  });
  return { ok: true, result: shown(drawing, raw.value, unit, raw.value.format) };
}

interface Unit {
  readonly name: FileUnit;
  readonly stated: boolean;
  readonly isOverridden: boolean;
}

/** What a person says wins over what the file states. */
function unitOf(raw: RawDrawing, said: FileUnit | null): Unit | null {
  if (raw.list) return { name: raw.list.unit, stated: raw.list.isStated, isOverridden: false };
  const stated = raw.unit && fileUnitOf(raw.unit.metres);
  const assumed = raw.remarks?.includes('UNIT_ASSUMED') ? ('m' as const) : null;
  const name = said ?? stated ?? assumed;
  return name && { name, stated: stated !== null, isOverridden: said !== null && stated !== null && said !== stated };
}

const byPlain = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
const inMm = (metres: number): number => Math.round(metres * 1000);

function shown(drawing: Drawing, raw: RawDrawing, unit: Unit, format: string): Readonly<Record<string, unknown>> {
  const paths = [
    ...drawing.paths.map(({ layer, corners, closed }) => pathShown(layer, corners, closed)),
    ...drawing.circles.map(({ layer, centre, radius, z }) => ({
      layer,
      closed: true,
      length: 2 * Math.PI * radius,
      vertices: 0,
      minZ: z ?? null,
      maxZ: z ?? null,
      minE: centre.e - radius,
      minN: centre.n - radius,
      maxE: centre.e + radius,
      maxN: centre.n + radius,
    })),
  ].sort(
    (a, b) =>
      byPlain(a.layer, b.layer) ||
      inMm(a.length) - inMm(b.length) ||
      inMm(a.minE) - inMm(b.minE) ||
      inMm(a.minN) - inMm(b.minN),
  );
  const points = drawing.points
    .map(({ name, layer, at, z, code }) => ({ name, layer, e: at.e, n: at.n, z, code: code ?? null }))
    .sort((a, b) => byPlain(a.name ?? '', b.name ?? '') || a.e - b.e || a.n - b.n);
  const at = drawing.warnings.flatMap(placeShown).sort(byPlace);
  const warnings = new Set<string>([
    ...raw.leftOut.flatMap(({ what }) => LEFT_OUT_CODES[what] ?? []),
    ...at.map(({ code }) => code),
    ...(drawing.remarks ?? []),
    ...(unit.isOverridden ? ['UNIT_OVERRIDDEN'] : []),
  ]);
  return {
    unit: { name: unit.name, stated: unit.stated },
    extent: extentOf(drawing, paths),
    layers: [...layersOf(drawing)]
      .map(([name, elements]) => ({ name, elements }))
      .sort((a, b) => byPlain(a.name, b.name)),
    points,
    texts: drawing.texts
      .map(({ layer, at, text }) => ({ layer, e: at.e, n: at.n, text }))
      .sort((a, b) => byPlain(a.text, b.text) || a.e - b.e),
    paths,
    surfaces: drawing.surfaces
      .map(({ layer, triangles: { places, faces } }) => ({
        name: layer,
        triangles: faces.length / 3,
        areaPlan: areaPlan(places, faces),
      }))
      .sort((a, b) => byPlain(a.name, b.name)),
    alignments: drawing.alignments.map(alignmentShown).sort((a, b) => byPlain(a.name, b.name)),
    leftOut: leftOutOf(raw),
    warnings: [...warnings].sort(),
    ...(format === 'landxml' ? { at } : {}),
  };
}

const LEFT_OUT_CODES: Readonly<Record<string, string>> = {
  PAPER_SPACE: 'PAPER_SPACE_LEFT_OUT',
  INVISIBLE: 'INVISIBLE_LEFT_OUT',
  TILTED: 'TILTED_LEFT_OUT',
};

const WARNING_CODES: Readonly<Record<string, string>> = {
  XML_GAP: 'GAP',
  XML_RADIUS_OFF: 'RADIUS_DISAGREES',
  XML_LENGTH_OFF: 'LENGTH_DISAGREES',
  XML_STATION_OFF: 'STATION_DISAGREES',
  XML_UNREADABLE: 'ELEMENT_UNREADABLE',
};

interface WarnedAt {
  readonly code: string;
  readonly owner: string;
  readonly element: string;
  readonly number: number | null;
}

/** Where a warning lies: the alignment, and which of its elements. */
function placeShown({ code, at }: Drawing['warnings'][number]): WarnedAt[] {
  const shownAs = WARNING_CODES[code];
  if (!shownAs) return [];
  return [
    {
      code: shownAs,
      owner: /“(.*)”/.exec(at.owner ?? '')?.[1] ?? '',
      element: at.element.split(' of ').at(-1)!,
      number: at.element === 'Alignment' ? null : at.number,
    },
  ];
}

const byPlace = (a: WarnedAt, b: WarnedAt): number =>
  byPlain(a.code, b.code) ||
  byPlain(a.owner, b.owner) ||
  byPlain(a.element, b.element) ||
  (a.number ?? 0) - (b.number ?? 0);

/** Layers with their paths, points, texts and triangles. */
function layersOf({ paths, points, circles, texts, surfaces }: Drawing): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { layer } of [...paths, ...points, ...circles, ...texts]) counts.set(layer, (counts.get(layer) ?? 0) + 1);
  for (const { layer, triangles } of surfaces) counts.set(layer, (counts.get(layer) ?? 0) + triangles.faces.length / 3);
  return counts;
}

function alignmentShown({ name, definition, profiles, crossSections }: Drawing['alignments'][number]) {
  const made = alignmentOf(definition);
  const alignment = made.ok ? made.value : null;
  return {
    name,
    length: alignment?.length ?? 0,
    startStation: definition.startStation,
    elements: definition.elements.length,
    equations: alignment ? equationJumps(alignment).map(({ at, back, ahead }) => ({ internal: at, back, ahead })) : [],
    crossSections: crossSections.filter(({ lines }) => lines.length > 0).length,
    profiles: profiles.map((profile) => profile.name).sort(byPlain),
  };
}

/** By what it is, over all layers. */
function leftOutOf({ leftOut }: RawDrawing): { what: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const { what, count } of leftOut) counts.set(what, (counts.get(what) ?? 0) + count);
  return [...counts].map(([what, count]) => ({ what, count })).sort((a, b) => byPlain(a.what, b.what));
}

type Corners = Drawing['paths'][number]['corners'];

function pathShown(layer: string, corners: Corners, closed: boolean) {
  let length = 0;
  const [first] = corners;
  const box = { minE: first!.e, minN: first!.n, maxE: first!.e, maxN: first!.n };
  for (let i = 0; i < corners.length - (closed ? 0 : 1); i++) {
    const [from, to] = [corners[i]!, corners[(i + 1) % corners.length]!];
    length += lengthOfSide(from, to, from.bulge);
    for (const { e, n } of reachOfSide(from, to, from.bulge)) widen(box, e, n);
  }
  // A path of hundreds of thousands of corners is no list of arguments.
  let [minZ, maxZ]: [number | null, number | null] = [Infinity, -Infinity];
  for (const { z } of corners) {
    [minZ, maxZ] = z === null || minZ === null || maxZ === null ? [null, null] : [Math.min(minZ, z), Math.max(maxZ, z)];
    if (minZ === null) break;
  }
  return { layer, closed, length, vertices: corners.length, minZ, maxZ, ...box };
}

type Box = Record<'minE' | 'minN' | 'maxE' | 'maxN', number>;

function widen(box: Box, e: number, n: number): void {
  box.minE = Math.min(box.minE, e);
  box.minN = Math.min(box.minN, n);
  box.maxE = Math.max(box.maxE, e);
  box.maxN = Math.max(box.maxN, n);
}

function areaPlan(places: Float64Array, faces: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < faces.length; i += 3) {
    const [a, b, c] = [3 * faces[i]!, 3 * faces[i + 1]!, 3 * faces[i + 2]!];
    sum += Math.abs(
      (places[b]! - places[a]!) * (places[c + 1]! - places[a + 1]!) -
        (places[c]! - places[a]!) * (places[b + 1]! - places[a + 1]!),
    );
  }
  return sum / 2;
}

function extentOf(
  { points, surfaces, alignments }: Drawing,
  paths: readonly { readonly minE: number; readonly minN: number; readonly maxE: number; readonly maxN: number }[],
): Readonly<Box> | null {
  const box = { minE: Infinity, minN: Infinity, maxE: -Infinity, maxN: -Infinity };
  const reach = (e: number, n: number) => widen(box, e, n);
  for (const path of paths) {
    reach(path.minE, path.minN);
    reach(path.maxE, path.maxN);
  }
  for (const { at, isBlockOnly } of points) if (!isBlockOnly) reach(at.e, at.n);
  for (const { triangles } of surfaces)
    for (const corner of triangles.faces) reach(triangles.places[3 * corner]!, triangles.places[3 * corner + 1]!);
  for (const { definition } of alignments)
    for (const { start, end } of definition.elements) {
      reach(start.e, start.n);
      reach(end.e, end.n);
    }
  return box.minE === Infinity ? null : box;
}

/** What a file is told as, where nobody says whether it is control or a drawing. */
export const isListOfPoints = (bytes: Uint8Array): boolean => {
  const format = drawingFormatOf(bytes);
  return format.ok && format.value === 'csv';
};

/** Any file that a design comes in, told apart by what stands in it rather than by its name. */
import { fail, ok, type LengthUnit, type Result } from '@idle-marker/core';
import type { ControlRow, ListSaid } from '../control/controlCsv.ts';
import { readControlBytes } from '../control/controlList.ts';
import { decodedText } from '../text.ts';
import { dxfTextOf } from './dxfEncoding.ts';
import type { DrawingError, RawDrawing } from './drawing.ts';
import { readRawDxf, type Progress } from './dxf.ts';
import { readRawGeoJson } from './geoJson.ts';
import { readRawLandXml } from './landXmlDrawing.ts';

/**
 * Counts how files are read: raised when the same file gives other units, places, heights or elements than before, so
 * that what was taken earlier can be looked at again.
 */
export const DRAWING_READING = 2;

export type DrawingFormat = 'dxf' | 'landxml' | 'geojson' | 'csv';

const startOf = (bytes: Uint8Array, length: number): string => String.fromCharCode(...bytes.subarray(0, length));

/** What a file holds, from its first bytes. */
export function drawingFormatOf(bytes: Uint8Array): Result<DrawingFormat, DrawingError> {
  const start = startOf(bytes, 1024);
  if (start.slice(0, 60).includes('Binary DXF\r\n\u001a')) return fail({ code: 'BINARY_DRAWING' });
  if (/^AC1\d{3}/.test(start)) return fail({ code: 'PACKED_DRAWING' });
  if (/^(\u00ff\u00fe<\0|\u00fe\u00ff\0<)/.test(start)) return ok('landxml');
  const words = start.replace(/^(\u00ef\u00bb\u00bf)?\s*/, '');
  if (words.startsWith('<')) return ok('landxml');
  if (words.startsWith('{')) return ok('geojson');
  // A comment (group 999) may come before the first section.
  if (/^(999\s*\n[^\n]*\n\s*)*0\s*\r?\n\s*SECTION/.test(words)) return ok('dxf');
  return ok('csv');
}

/** What a person says of a file; what is left out nobody said. */
export interface DrawingSaid extends ListSaid {
  /** What X is in a list that says X and Y. */
  readonly order?: 'EN' | 'NE' | null;
}

/**
 * @param unit of a list of points, which says none itself; null to refuse one that nobody says the unit of
 * @param said by a person: goes before what the file says
 */
export function readRawDrawing(
  bytes: Uint8Array,
  unit: LengthUnit | null,
  onProgress?: Progress,
  said: DrawingSaid = {},
): Result<RawDrawing & { readonly format: DrawingFormat }, DrawingError> {
  const format = drawingFormatOf(bytes);
  if (!format.ok) return format;
  if (format.value === 'landxml') {
    const read = readRawLandXml(bytes, onProgress);
    return read.ok ? ok({ ...read.value, format: format.value }) : read;
  }
  if (format.value === 'csv') {
    const read = readPoints(bytes, unit, said);
    return read.ok ? ok({ ...read.value, format: format.value }) : read;
  }
  const text = format.value === 'dxf' ? dxfTextOf(bytes) : decodedText(bytes);
  if (!text.ok)
    return fail({
      code: 'NOT_A_DRAWING',
      detail: text.error.code === 'EMPTY_FILE' ? 'the file is empty' : 'it is not text',
    });
  const read = {
    dxf: () => readRawDxf(text.value.text, onProgress),
    geojson: () => readRawGeoJson(text.value.text, (said.unit ?? null) !== null),
  }[format.value]();
  if (!read.ok) return read;
  const { assumed } = text.value;
  const remarks = [...(read.value.remarks ?? []), ...(assumed ? (['ENCODING_ASSUMED'] as const) : [])];
  return ok({ ...read.value, ...(remarks.length > 0 ? { remarks } : {}), format: format.value });
}

/** More points than this in one list are no drawing that a page can show. */
const MOST_DRAWN_POINTS = 200_000;

/** Longer descriptions are cut: a code is a word. */
const LONGEST_CODE = 80;

function readPoints(bytes: Uint8Array, unit: LengthUnit | null, said: DrawingSaid): Result<RawDrawing, DrawingError> {
  const order = said.order ?? null;
  const list = readControlBytes(bytes, {
    unit,
    xIsNorth: order === null ? (unit === null ? null : false) : order === 'NE',
    said,
    most: MOST_DRAWN_POINTS,
  });
  if (!list.ok) {
    const { error } = list;
    if (error.code === 'EMPTY_FILE') return fail({ code: 'NOT_A_DRAWING', detail: 'the file is empty' });
    if (error.code === 'NOT_TEXT') return fail({ code: 'NOT_A_DRAWING', detail: 'it is not text' });
    // What is a list but for something that can be said is told as that; anything else is no drawing.
    return SAYABLE.has(error.code)
      ? fail({ code: 'LIST', issue: error })
      : fail({
          code: 'NOT_A_DRAWING',
          detail: 'it is neither a drawing nor a list with a name and two coordinates in every row',
        });
  }
  const isWhole = (row: ControlRow) => row.issues.length === 0 && row.e !== null && row.n !== null;
  const good = list.value.rows.filter(isWhole);
  const bad = list.value.rows.find((row) => !isWhole(row));
  if (bad && good.length === 0)
    return fail({ code: 'BAD_ROW', row: bad.row, detail: 'has no name with two coordinates' });
  // Rows come in metres already.
  return ok({
    unit: { name: 'metres', metres: 1 },
    list: {
      unit: list.value.unit,
      isStated: list.value.unitFromFile,
      order: list.value.order,
      decimal: list.value.decimal,
      usesXY: list.value.usesXY,
    },
    ...(list.value.warnings.length > 0 ? { remarks: list.value.warnings } : {}),
    paths: [],
    points: good.map((row) => ({
      layer: 'points',
      at: { e: row.e!, n: row.n! },
      z: row.z,
      name: row.name,
      ...(row.code ? { code: row.code.slice(0, LONGEST_CODE) } : {}),
    })),
    circles: [],
    texts: [],
    surfaces: [],
    alignments: [],
    warnings: [],
    leftOut: bad ? [{ what: 'ROW', layer: 'points', count: list.value.rows.length - good.length }] : [],
  });
}

/** What can be said, and limits: they are told as what they are. */
const SAYABLE: ReadonlySet<string> = new Set([
  'NO_UNIT_STATED',
  'XY_ORDER_UNKNOWN',
  'DECIMAL_MIXED',
  'TOO_MANY_ROWS',
  'TOO_MANY_CELLS',
]);

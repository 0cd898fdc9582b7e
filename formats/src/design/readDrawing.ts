/** Any file that a design comes in, told apart by what stands in it rather than by its name. */
import { fail, ok, type LengthUnit, type Result } from '@idle-marker/core';
import { readControlCsv } from '../control/controlCsv.ts';
import { textOf } from '../text.ts';
import type { DrawingError, RawDrawing } from './drawing.ts';
import { readRawDxf, type Progress } from './dxf.ts';
import { readRawGeoJson } from './geoJson.ts';
import { readRawLandXml } from './landXmlDrawing.ts';

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

/** @param unit of a list of points, which says none itself */
export function readRawDrawing(
  bytes: Uint8Array,
  unit: LengthUnit,
  onProgress?: Progress,
): Result<RawDrawing & { readonly format: DrawingFormat }, DrawingError> {
  const format = drawingFormatOf(bytes);
  if (!format.ok) return format;
  if (format.value === 'landxml') {
    const read = readRawLandXml(bytes, onProgress);
    return read.ok ? ok({ ...read.value, format: format.value }) : read;
  }
  const text = textOf(bytes);
  if (!text.ok)
    return fail({
      code: 'NOT_A_DRAWING',
      detail: text.error.code === 'EMPTY_FILE' ? 'the file is empty' : 'it is not text',
    });
  const read = {
    dxf: () => readRawDxf(text.value, onProgress),
    geojson: () => readRawGeoJson(text.value),
    csv: () => readPoints(text.value, unit),
  }[format.value]();
  return read.ok ? ok({ ...read.value, format: format.value }) : read;
}

/** Longer descriptions are cut: a code is a word. */
const LONGEST_CODE = 80;

function readPoints(text: string, unit: LengthUnit): Result<RawDrawing, DrawingError> {
  const list = readControlCsv(text, { unit, xIsNorth: false });
  if (!list.ok)
    return fail({
      code: 'NOT_A_DRAWING',
      detail: 'it is neither a drawing nor a list with a name and two coordinates in every row',
    });
  const bad = list.value.rows.find((row) => row.issues.length > 0 || row.e === null || row.n === null);
  if (bad) return fail({ code: 'BAD_ROW', row: bad.row, detail: 'has no name with two coordinates' });
  // Rows come in metres already.
  return ok({
    unit: { name: 'metres', metres: 1 },
    paths: [],
    points: list.value.rows.map((row) => ({
      layer: 'points',
      at: { e: row.e!, n: row.n! },
      z: row.z,
      name: row.name,
      ...(row.note ? { code: row.note.slice(0, LONGEST_CODE) } : {}),
    })),
    circles: [],
    texts: [],
    surfaces: [],
    alignments: [],
    warnings: [],
    leftOut: [],
  });
}

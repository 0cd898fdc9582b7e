/** A LandXML file as a drawing. */
import { fail, ok, type Result } from '@idle-marker/core';
import { readLandXml } from '../landXml/readLandXml.ts';
import type { DrawingError, RawDrawing } from './drawing.ts';
import type { Progress } from './dxf.ts';

export function readRawLandXml(bytes: Uint8Array, onProgress?: Progress): Result<RawDrawing, DrawingError> {
  const design = readLandXml(bytes, onProgress);
  if (!design.ok) return fail({ code: 'LANDXML', fault: design.error });
  const { unit, alignments, paths, points, surfaces, warnings, leftOut } = design.value;
  if (alignments.length + paths.length + points.length + surfaces.length === 0)
    return fail({ code: 'EMPTY_DRAWING', leftOut });
  return ok({ unit, alignments, paths, points, circles: [], texts: [], surfaces, warnings, leftOut });
}

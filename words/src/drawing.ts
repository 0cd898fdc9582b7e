import { formatLength, type CrossingTriangles, type FarOff, type LengthUnit } from '@idle-marker/core';
import type { DrawingError, GridError, LeftOut } from '@idle-marker/formats';
import { landXmlFaultWords } from './landXml.ts';
import { UNIT_ABBREVIATION } from './vocabulary.ts';

/** Why a drawing or a grid in it can't be used. */
type DrawingFault = DrawingError | GridError;

/** So many kinds are named; the rest is counted. */
const NAMED = 6;

/** "3 HATCH on WALLS, 1 SPLINE on KERB". */
export function leftOutWords(leftOut: readonly LeftOut[]): string {
  const named = leftOut.slice(0, NAMED).map(({ count, what, layer }) => `${count} ${what} on ${layer}`);
  const more = leftOut.slice(NAMED).reduce((sum, { count }) => sum + count, 0);
  return [...named, ...(more > 0 ? [`${more} more`] : [])].join(', ');
}

export function drawingWords(fault: DrawingFault): string {
  switch (fault.code) {
    case 'NOT_A_DRAWING':
      return `This is nothing that a design can be read from: ${fault.detail}. Take a DXF drawing, LandXML, GeoJSON or a list of points.`;
    case 'BINARY_DRAWING':
      return 'This drawing is in binary DXF: save it as text (ASCII) DXF and take that.';
    case 'PACKED_DRAWING':
      return 'This is a DWG drawing, which only the program that made it can read: save it as text (ASCII) DXF and take that.';
    case 'CUT_OFF':
      return `The drawing ends in the middle, after ${fault.elements} ${fault.elements === 1 ? 'element' : 'elements'}: it was cut off on its way. Get it again; nothing was taken.`;
    case 'EMPTY_DRAWING':
      return fault.leftOut.length === 0
        ? 'There are no lines, arcs, circles or points in this drawing.'
        : `There is nothing in this drawing to set out from; it holds only ${leftOutWords(fault.leftOut)}.`;
    case 'BAD_ROW':
      return `Row ${fault.row} ${fault.detail}. Put it right in the file; nothing was taken.`;
    case 'LANDXML':
      return landXmlFaultWords(fault.fault);
    case 'GRID_TOO_FEW_LINES':
      return `A grid needs at least two lines each way; ${fault.lines} are on this layer.`;
    case 'GRID_MANY_DIRECTIONS':
      return `The lines of this layer run in ${fault.directions} directions; a grid has two.`;
  }
}

/** Where triangles of a surface lie over one another, so that a place has two heights. */
export function crossingWords(surface: string, { count, first, at }: CrossingTriangles, axes: readonly ('e' | 'n')[], unit: LengthUnit): string {
  const place = axes.map((axis) => `${axis.toUpperCase()} ${formatLength(at[axis], unit, 1)}`).join(', ');
  return `Surface “${surface}” has ${count} triangles that lie over one another, first ${first[0] + 1} and ${first[1] + 1} of the file, at ${place}: there it has two heights, and either may be given. Ask who made it before heights are taken from it.`;
}

/** Why a drawing lies far from the control of its site, and what to ask. */
export function farOffWords(doubt: FarOff, unit: LengthUnit): string {
  switch (doubt.code) {
    case 'OTHER_UNIT':
      return `It lies far from the control of this site; were its figures ${doubt.unit}, it would lie on it. Which unit was it drawn in?`;
    case 'AXES_EXCHANGED':
      return 'It lies far from the control of this site; with east and north exchanged it would lie on it. Ask who wrote the file.';
    case 'FAR':
      return `It lies ${formatLength(doubt.distance, unit, 0)} ${UNIT_ABBREVIATION[unit]} from the control of this site: are these its coordinates? One with its own is brought here by pairs of points.`;
  }
}

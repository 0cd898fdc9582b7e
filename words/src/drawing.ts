import { formatLength, type CrossingTriangles, type FarOff, type LengthUnit, type Metres } from '@idle-marker/core';
import type { DrawingError, DrawingRemark, GridError, LeftOut } from '@idle-marker/formats';
import { msg } from './message.ts';
import { controlFileWords, listWarningWords } from './controlList.ts';
import { landXmlFaultWords } from './landXml.ts';
import { drawingUnitWords, unitAbbreviationWords, unitNameWords } from './vocabulary.ts';

/** Why a drawing or a grid in it can't be used. */
type DrawingFault = DrawingError | GridError;

/** So many kinds are named; the rest is counted. */
const NAMED = 6;

/** "3 HATCH on WALLS, 1 SPLINE on KERB". */
export function leftOutWords(leftOut: readonly LeftOut[]): string {
  const named = leftOut.slice(0, NAMED).map(({ count, what, layer }) => msg('drawing.on', { count, what, layer }));
  const more = leftOut.slice(NAMED).reduce((sum, { count }) => sum + count, 0);
  return [...named, ...(more > 0 ? [msg('drawing.more', { more })] : [])].join(', ');
}

export function drawingWords(fault: DrawingFault): string {
  switch (fault.code) {
    case 'NOT_A_DRAWING':
      return msg('drawing.thisIsNothingThatADesignCan', { detail: fault.detail });
    case 'BINARY_DRAWING':
      return msg('drawing.thisDrawingIsInBinaryDxfSave');
    case 'PACKED_DRAWING':
      return msg('drawing.thisIsADwgDrawingWhichOnly');
    case 'CUT_OFF':
      return msg('drawing.theDrawingEndsInTheMiddleAfter', { elements: fault.elements });
    case 'EMPTY_DRAWING':
      return fault.leftOut.length === 0
        ? msg('drawing.thereAreNoLinesArcsCirclesOr')
        : msg('drawing.thereIsNothingInThisDrawingTo', { leftOut: leftOutWords(fault.leftOut) });
    case 'BAD_ROW':
      return msg('drawing.rowPutItRightInTheFile', { row: fault.row, detail: fault.detail });
    case 'DEGREES_NOT_METRES':
      return msg('drawing.degreesNotMetres');
    case 'UNIT_UNKNOWN':
      return msg('drawing.unitUnknown', { text: fault.text });
    case 'LIST':
      return controlFileWords(fault.issue);
    case 'LANDXML':
      return landXmlFaultWords(fault.fault);
    case 'GRID_TOO_FEW_LINES':
      return msg('drawing.aGridNeedsAtLeastTwoLines', { lines: fault.lines });
    case 'GRID_MANY_DIRECTIONS':
      return msg('drawing.theLinesOfThisLayerRunIn', { directions: fault.directions });
  }
}

/** What was assumed of a file. */
export const drawingRemarkWords = (remark: DrawingRemark): string =>
  remark === 'UNIT_ASSUMED' ? msg('drawing.unitAssumed') : listWarningWords()[remark];

/** Where triangles of a surface lie over one another, so that a place has two heights. */
export function crossingWords(
  surface: string,
  { count, first, at }: CrossingTriangles,
  axes: readonly ('e' | 'n')[],
  unit: LengthUnit,
): string {
  const place = axes.map((axis) => `${axis.toUpperCase()} ${formatLength(at[axis], unit, 1)}`).join(', ');
  return msg('drawing.surfaceHasTrianglesThatLieOverOne', {
    surface,
    count,
    first: first[0] + 1,
    first2: first[1] + 1,
    place,
  });
}

/** Why a drawing lies far from the control of its site, and what to ask. */
/** Feet of two kinds: how far apart they put what is in the file. */
export const feetApartWords = (apart: Metres, siteUnit: LengthUnit, fileUnit: string): string =>
  msg('drawing.feetOfTwoKinds', {
    feet: fileUnit,
    siteFeet: unitNameWords()[siteUnit],
    length: formatLength(apart, siteUnit, 3),
    unit: unitAbbreviationWords()[siteUnit],
  });

export function farOffWords(doubt: FarOff, unit: LengthUnit): string {
  switch (doubt.code) {
    case 'OTHER_UNIT':
      return msg('drawing.itLiesFarFromTheControlOf', { unit: drawingUnitWords(doubt.unit) });
    case 'AXES_EXCHANGED':
      return msg('drawing.itLiesFarFromTheControlOf2');
    case 'FAR':
      return msg('drawing.itLiesFromTheControlOfThis', {
        length: formatLength(doubt.distance, unit, 0),
        unitAbbreviation: unitAbbreviationWords()[unit],
      });
  }
}

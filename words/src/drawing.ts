/** Why a drawing or a grid in it can't be used. */
type DrawingFault =
  | { readonly code: 'NOT_DXF'; readonly detail: string }
  | { readonly code: 'EMPTY_DRAWING' }
  | { readonly code: 'GRID_TOO_FEW_LINES'; readonly lines: number }
  | { readonly code: 'GRID_MANY_DIRECTIONS'; readonly directions: number };

export function drawingWords(fault: DrawingFault): string {
  switch (fault.code) {
    case 'NOT_DXF':
      return `This is not a DXF drawing that can be read (${fault.detail}): save it as ASCII DXF and choose that.`;
    case 'EMPTY_DRAWING':
      return 'There are no straight lines or closed polylines in this drawing.';
    case 'GRID_TOO_FEW_LINES':
      return `A grid needs at least two lines each way; ${fault.lines} are on this layer.`;
    case 'GRID_MANY_DIRECTIONS':
      return `The lines of this layer run in ${fault.directions} directions; a grid has two.`;
  }
}

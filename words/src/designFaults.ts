import { formatLength, type DesignFault } from '@idle-marker/core';

const FAMILY = { letters: 'lettered', numbers: 'numbered' } as const;

/** Why a line or a grid of the design gives no place, and what to do. */
export function designFaultWords(fault: DesignFault): string {
  switch (fault.code) {
    case 'LINE_WITHOUT_LENGTH':
      return 'The two points of a line are one place: give two different ones.';
    case 'UNKNOWN_GRID_LINE':
      return `The grid has no line ${fault.label}: take one of its labels.`;
    case 'GRID_WITHOUT_LINES':
      return `The grid has no ${FAMILY[fault.family]} lines: name at least one.`;
    case 'GRID_SPACING_COUNT':
      return `${fault.labels} ${FAMILY[fault.family]} lines have ${fault.labels - 1} spacings between them, but ${fault.spacings} are given.`;
    case 'GRID_SPACING_NOT_POSITIVE':
      return `Spacing ${fault.index + 1} of the ${FAMILY[fault.family]} lines is ${formatLength(fault.spacing, 'metre', 3)} m: it must be over 0.`;
    case 'GRID_LABEL_TWICE':
      return `${fault.label} stands for two lines of the grid: every line needs a name of its own.`;
    case 'GRID_LINES_PARALLEL':
      return 'The lettered and the numbered lines run the same way: turn one of them.';
  }
}

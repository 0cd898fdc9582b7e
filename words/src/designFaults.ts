import { formatLength, type DesignFault } from '@idle-marker/core';
import { msg } from './message.ts';

const FAMILY = { letters: 'lettered', numbers: 'numbered' } as const;

/** Why a line or a grid of the design gives no place, and what to do. */
export function designFaultWords(fault: DesignFault): string {
  switch (fault.code) {
    case 'LINE_WITHOUT_LENGTH':
      return msg('designFaults.theTwoPointsOfALineAre');
    case 'UNKNOWN_GRID_LINE':
      return msg('designFaults.theGridHasNoLineTakeOne', { label: fault.label });
    case 'GRID_WITHOUT_LINES':
      return msg('designFaults.theGridHasNoLinesNameAt', { family: FAMILY[fault.family] });
    case 'GRID_SPACING_COUNT':
      return msg('designFaults.linesHaveSpacingsBetweenThemButAre', {
        labels: fault.labels,
        family: FAMILY[fault.family],
        labels2: fault.labels - 1,
        spacings: fault.spacings,
      });
    case 'GRID_SPACING_NOT_POSITIVE':
      return msg('designFaults.spacingOfTheLinesIsMIt', {
        index: fault.index + 1,
        family: FAMILY[fault.family],
        length: formatLength(fault.spacing, 'metre', 3),
      });
    case 'GRID_LABEL_TWICE':
      return msg('designFaults.standsForTwoLinesOfTheGrid', { label: fault.label });
    case 'GRID_LINES_PARALLEL':
      return msg('designFaults.theLetteredAndTheNumberedLinesRun');
  }
}

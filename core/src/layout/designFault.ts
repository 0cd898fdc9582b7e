import type { GridError } from './columnGrid.ts';

/** What a design can be asked that has no answer. */
export type DesignFault =
  GridError | { readonly code: 'LINE_WITHOUT_LENGTH' } | { readonly code: 'UNKNOWN_GRID_LINE'; readonly label: string };

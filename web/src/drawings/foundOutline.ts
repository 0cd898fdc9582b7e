/** Corners that were found in a drawing, and what they are. */
import type { PathCorner } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';

type Rule = FactBody<'package'>['items'][number]['rule'];

export interface FoundOutline {
  readonly name: string;
  readonly corners: readonly PathCorner[];
  readonly rule: Rule;
  readonly isGrid: boolean;
  /** The revision of the drawing that they were taken from. */
  readonly drawing?: string;
}

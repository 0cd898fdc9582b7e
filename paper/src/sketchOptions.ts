import type { Paper } from './board.ts';

export interface SketchOptions {
  readonly paper: Paper;
  readonly upright: boolean;
  /** Level distances as set, from each mark to the next ones. */
  readonly dimensions: boolean;
  readonly diagonals: boolean;
  readonly heights: boolean;
  readonly offsets: boolean;
}

export const SKETCH_OPTIONS: SketchOptions = {
  paper: 'A4',
  upright: false,
  dimensions: true,
  diagonals: true,
  heights: true,
  offsets: true,
};

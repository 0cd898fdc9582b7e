/**
 * A drawing on paper as data: paths and texts in points, x to the right and y down, made once and written as PDF, SVG,
 * DXF or PNG. Where it is to scale it says how paper and ground belong together.
 */
import type { Metres } from '@idle-marker/core';

export const INKS = {
  ink: '#16262a',
  ink2: '#435050',
  rule: '#dad3c0',
  pencil: '#5a3d98',
  brick: '#8f1d15',
  cut: '#8a3b12',
  fill: '#0b5878',
  hub: '#c9a35b',
  lath: '#f1e2c0',
  tint: '#fbefe9',
  paper: '#fffdf6',
} as const;
export type Ink = keyof typeof INKS;
export type Weight = 'regular' | 'medium' | 'bold';
export type Layer = 'thing' | 'offsets' | 'marks' | 'labels' | 'dimensions' | 'frame';

export interface ScenePath {
  readonly kind: 'path';
  readonly layer: Layer;
  readonly points: readonly (readonly [number, number])[];
  readonly closed: boolean;
  readonly stroke: Ink | null;
  readonly width: number;
  readonly dash?: number;
  readonly fill?: Ink;
  /** From 0 to 1; 1 when nothing is said. */
  readonly opacity?: number;
}

export interface SceneText {
  readonly kind: 'text';
  readonly layer: Layer;
  /** On the base line. */
  readonly x: number;
  readonly y: number;
  readonly text: string;
  readonly size: number;
  readonly weight: Weight;
  readonly ink: Ink;
  readonly align: 'start' | 'middle' | 'end';
  /** Degrees clockwise about (x, y). */
  readonly turn?: number;
}

export type SceneItem = ScenePath | SceneText;

export interface Scene {
  readonly title: string;
  readonly width: number;
  readonly height: number;
  readonly items: readonly SceneItem[];
  /** Ground of the paper's point (0, 0), and ground length of one point. Null where it is not to scale. */
  readonly ground: { readonly e: Metres; readonly n: Metres; readonly perPoint: Metres } | null;
}

/** Width in points of a text in one line: whoever writes the scene knows its fonts. */
export type Measure = (text: string, size: number, weight: Weight) => number;

/** Letters of a plan, points: names, and the figures beside them. */
export const LABEL = 10.5;
export const SMALL = 9;

export const POINTS_PER_METRE = 72 / 0.0254;

export const path = (
  layer: Layer,
  points: ScenePath['points'],
  rest: Partial<Omit<ScenePath, 'kind' | 'layer' | 'points'>> = {},
): ScenePath => ({
  kind: 'path',
  layer,
  points,
  closed: false,
  stroke: 'ink',
  width: 0.8,
  ...rest,
});

export const text = (
  layer: Layer,
  x: number,
  y: number,
  words: string,
  size: number,
  rest: Partial<Omit<SceneText, 'kind' | 'layer' | 'x' | 'y' | 'text' | 'size'>> = {},
): SceneText => ({
  kind: 'text',
  layer,
  x,
  y,
  text: words,
  size,
  weight: 'regular',
  ink: 'ink',
  align: 'start',
  ...rest,
});

export const box = (x: number, y: number, w: number, h: number): ScenePath['points'] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

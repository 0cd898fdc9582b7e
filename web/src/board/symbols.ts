/**
 * The plan's symbols, as paths about their point in units of one symbol radius (x right, y down).
 * One module for all surfaces: the board strokes them on a canvas, sheets write them into files.
 */
import type { SymbolName } from './scene.ts';

export type PathStep =
  | { readonly to: 'move' | 'line'; readonly x: number; readonly y: number }
  | { readonly to: 'close' }
  | { readonly to: 'circle'; readonly x: number; readonly y: number; readonly r: number };

export interface SymbolPart {
  readonly path: readonly PathStep[];
  readonly fill: boolean;
  readonly stroke: boolean;
  readonly hatched?: boolean;
}

const poly = (...points: readonly (readonly [number, number])[]): PathStep[] => [
  ...points.map(([x, y], i): PathStep => ({ to: i === 0 ? 'move' : 'line', x, y })),
  { to: 'close' },
];
const line = (x1: number, y1: number, x2: number, y2: number): PathStep[] => [
  { to: 'move', x: x1, y: y1 },
  { to: 'line', x: x2, y: y2 },
];
const circle = (x: number, y: number, r: number): PathStep[] => [{ to: 'circle', x, y, r }];

const outline = (path: PathStep[]): SymbolPart => ({ path, fill: false, stroke: true });
const solid = (path: PathStep[]): SymbolPart => ({ path, fill: true, stroke: false });

const square = outline(poly([-1, -1], [1, -1], [1, 1], [-1, 1]));
/** What was made on the site, from other marks: the given ones stand square. */
const diamond = outline(poly([0, -1.3], [1.3, 0], [0, 1.3], [-1.3, 0]));
/** A stake driven at the point: its foot is the place. */
const post = solid(poly([-0.18, 0], [-0.18, -2.1], [0.18, -2.1], [0.18, 0], [0, 0.35]));
const pennant = poly([0.18, -2.05], [1.6, -1.65], [0.18, -1.2]);

export const SYMBOLS: Readonly<Record<SymbolName, readonly SymbolPart[]>> = {
  control: [square, solid(circle(0, 0, 0.28))],
  benchmark: [square, outline(line(-1, 0, 1, 0))],
  proof: [square, outline(line(-1, 1, 1, -1))],
  wallTarget: [square, solid(circle(0, 0, 0.28)), outline(line(0, 1, 0, 1.9))],
  ownControl: [diamond, solid(circle(0, 0, 0.28))],
  ownBenchmark: [diamond, outline(line(-1.3, 0, 1.3, 0))],
  ownProof: [diamond, outline(line(-0.65, 0.65, 0.65, -0.65))],
  drawnControl: [diamond, outline(poly([-0.45, -0.45], [0.45, -0.45], [0.45, 0.45], [-0.45, 0.45]))],
  ownTarget: [diamond, solid(circle(0, 0, 0.28)), outline(line(0, 1.3, 0, 2))],
  toSet: [outline(circle(0, 0, 0.7))],
  // A cross of paint on the ground.
  rough: [outline([...line(-0.75, -0.75, 0.75, 0.75), ...line(-0.75, 0.75, 0.75, -0.75)])],
  blocked: [outline(circle(0, 0, 0.8)), outline(line(-0.56, 0.56, 0.56, -0.56))],
  set: [post],
  confirmed: [post, outline(pennant)],
  held: [post, outline(pennant), solid(pennant)],
  inDoubt: [post, { path: pennant, fill: false, stroke: true, hatched: true }],
  destroyed: [solid(poly([-0.2, 0.2], [1.9, -0.35], [1.95, 0], [-0.1, 0.45]))],
  pole: [solid(circle(0, 0, 0.85))],
};

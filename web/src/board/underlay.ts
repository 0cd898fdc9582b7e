/** Drawings under the plan: thousands of lines as a few paths that are made once and only moved after that. */
import type { PlanPoint } from '@idle-marker/core';
import type { Palette } from './paint.ts';
import type { Ink } from './scene.ts';

export type Extent = readonly [number, number, number, number];

export interface UnderlayTile {
  readonly layer: string;
  /** Places of the path are metres from here. */
  readonly origin: PlanPoint;
  readonly path: Path2D;
  readonly extent: Extent;
}
export interface Underlay {
  readonly tiles: readonly UnderlayTile[];
  /** The box that holds it but for strays. */
  readonly extent: Extent | null;
  readonly ink: Ink;
}

const WIDTH_PX = 1;

/** The path of a tile; `places` are metres from `origin`, `starts` tell where each of its lines begins. */
export function underlayTile(
  layer: string,
  origin: PlanPoint,
  places: Float32Array,
  starts: Uint32Array,
): UnderlayTile {
  const path = new Path2D();
  const extent: [number, number, number, number] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let line = 0; line + 1 < starts.length; line++) {
    for (let i = starts[line]!; i < starts[line + 1]!; i++) {
      const [x, y] = [places[2 * i]!, places[2 * i + 1]!];
      if (i === starts[line]) path.moveTo(x, y);
      else path.lineTo(x, y);
      extent[0] = Math.min(extent[0], x);
      extent[1] = Math.min(extent[1], y);
      extent[2] = Math.max(extent[2], x);
      extent[3] = Math.max(extent[3], y);
    }
  }
  return {
    layer,
    origin,
    path,
    extent: [extent[0] + origin.e, extent[1] + origin.n, extent[2] + origin.e, extent[3] + origin.n],
  };
}

export function underlayExtent(underlays: readonly Underlay[]): Extent | null {
  const boxes = underlays.flatMap(({ extent }) => (extent ? [extent] : []));
  if (boxes.length === 0) return null;
  return [
    Math.min(...boxes.map((box) => box[0])),
    Math.min(...boxes.map((box) => box[1])),
    Math.max(...boxes.map((box) => box[2])),
    Math.max(...boxes.map((box) => box[3])),
  ];
}

/** @param toPixel places in metres to pixels: x' = [0] x + [2] y + [4], y' = [1] x + [3] y + [5] */
export function paintUnderlay(
  context: CanvasRenderingContext2D,
  palette: Palette,
  underlays: readonly Underlay[],
  toPixel: readonly number[],
  view: readonly number[] | null,
  ratio: number,
): void {
  if (underlays.length === 0) return;
  const [a, b, c, d, e, f] = toPixel as [number, number, number, number, number, number];
  context.save();
  context.globalAlpha = 0.75;
  for (const { tiles, ink } of underlays) {
    context.strokeStyle = palette[ink];
    for (const { origin, path, extent } of tiles) {
      if (view && (extent[2] < view[0]! || extent[0] > view[2]! || extent[3] < view[1]! || extent[1] > view[3]!))
        continue;
      context.setTransform(
        ratio * a,
        ratio * b,
        ratio * c,
        ratio * d,
        ratio * (e + a * origin.e + c * origin.n),
        ratio * (f + b * origin.e + d * origin.n),
      );
      context.lineWidth = WIDTH_PX / Math.hypot(a, b);
      context.stroke(path);
    }
  }
  context.restore();
}

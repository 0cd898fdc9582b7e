/** A scene that is to scale as DXF, in ground coordinates of the site's unit, a layer for each kind of line. */
import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { dxfBytes, type DxfEntity } from '@idle-marker/formats';
import { POINTS_PER_METRE, type Layer, type Scene, type SceneItem } from './scene.ts';

const LAYER: Readonly<Record<Layer, { readonly name: string; readonly colour: number }>> = {
  thing: { name: 'THING-TO-BUILD', colour: 6 },
  offsets: { name: 'OFFSETS', colour: 8 },
  marks: { name: 'MARKS', colour: 7 },
  labels: { name: 'LABELS', colour: 7 },
  dimensions: { name: 'DIMENSIONS', colour: 5 },
  frame: { name: 'FRAME', colour: 8 },
};
/** Letters are so much lower than their size. */
const CAPITAL = 0.72;

export interface DxfMark {
  readonly name: string;
  readonly e: number;
  readonly n: number;
  readonly z: number | null;
}

/**
 * The sketch in ground coordinates; of several pages the thing from the key, and everything else from the pages
 * themselves.
 */
export function sketchDxf(
  pages: readonly [Scene, ...Scene[]],
  unit: LengthUnit,
  marks: readonly DxfMark[],
): Uint8Array {
  const [first, ...parts] = pages;
  if (parts.length === 0) return sceneDxf([first], unit, marks);
  const only = (scene: Scene, wanted: (layer: Layer) => boolean): Scene => ({
    ...scene,
    items: scene.items.filter(({ layer }) => wanted(layer)),
  });
  const rest = parts.map((part) => only(part, (layer) => layer !== 'thing' && layer !== 'frame'));
  return sceneDxf([only(first, (layer) => layer === 'thing'), ...rest], unit, marks);
}

const NO_GROUND: NonNullable<Scene['ground']> = { e: 0, n: 0, perPoint: 1 / POINTS_PER_METRE };

/** @param marks written as points with their heights, for whoever measures in the drawing */
export function sceneDxf(scenes: readonly Scene[], unit: LengthUnit, marks: readonly DxfMark[]): Uint8Array {
  const length = (metres: number) => lengthFromMetres(metres, unit);
  const entityOf = (item: SceneItem, ground: NonNullable<Scene['ground']>): DxfEntity => {
    const x = (px: number) => length(ground.e + px * ground.perPoint);
    const y = (py: number) => length(ground.n - py * ground.perPoint);
    const layer = LAYER[item.layer].name;
    return item.kind === 'text'
      ? {
          kind: 'text',
          layer,
          x: x(item.x),
          y: y(item.y),
          height: length(item.size * CAPITAL * ground.perPoint),
          text: item.text,
          turn: -(item.turn ?? 0),
          align: item.align,
        }
      : { kind: 'line', layer, closed: item.closed, points: item.points.map(([px, py]) => [x(px), y(py)]) };
  };
  const points = marks.map((mark): DxfEntity => ({
    kind: 'point',
    layer: LAYER.marks.name,
    x: length(mark.e),
    y: length(mark.n),
    z: mark.z === null ? 0 : length(mark.z),
  }));
  const items = scenes.flatMap((scene) => scene.items.map((item) => entityOf(item, scene.ground ?? NO_GROUND)));
  return dxfBytes([...items, ...points], Object.values(LAYER), unit);
}

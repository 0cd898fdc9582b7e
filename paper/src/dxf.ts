/** A scene that is to scale as DXF, in ground coordinates of the site's unit, a layer for each kind of line. */
import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { dxfText, type DxfEntity } from '@idle-marker/formats';
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

/** @param marks written as points with their heights, for whoever measures in the drawing */
export function sceneDxf(scene: Scene, unit: LengthUnit, marks: readonly DxfMark[]): string {
  const ground = scene.ground ?? { e: 0, n: 0, perPoint: 1 / POINTS_PER_METRE };
  const length = (metres: number) => lengthFromMetres(metres, unit);
  const x = (px: number) => length(ground.e + px * ground.perPoint);
  const y = (py: number) => length(ground.n - py * ground.perPoint);
  const entityOf = (item: SceneItem): DxfEntity => {
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
  return dxfText([...scene.items.map(entityOf), ...points], Object.values(LAYER), unit);
}

/**
 * A scene that is to scale as DXF (drawing exchange format, release 12: the oldest that everything reads), in ground
 * coordinates of the site's unit, a layer for each kind of line.
 */
import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { POINTS_PER_METRE, type Layer, type Scene, type SceneItem } from './scene.ts';

const COLOUR: Readonly<Record<Layer, number>> = { thing: 6, offsets: 8, marks: 7, labels: 7, dimensions: 5, frame: 8 };
const NAME: Readonly<Record<Layer, string>> = {
  thing: 'THING-TO-BUILD',
  offsets: 'OFFSETS',
  marks: 'MARKS',
  labels: 'LABELS',
  dimensions: 'DIMENSIONS',
  frame: 'FRAME',
};
const ALIGN = { start: 0, middle: 1, end: 2 } as const;

/** Release 12 knows no other letters than ASCII: the rest is written by number, as its readers expect. */
const dxfText = (text: string): string =>
  [...text.replace(/[\r\n\t]+/g, ' ')]
    .map((letter) => {
      const code = letter.codePointAt(0)!;
      if (code === 0xb0) return '%%d';
      if (code >= 32 && code < 127) return letter;
      return [...Array(letter.length).keys()].map((i) => `\\U+${letter.charCodeAt(i).toString(16).toUpperCase().padStart(4, '0')}`).join('');
    })
    .join('');

/** Units of DXF headers: metres, feet, US survey feet. */
const INSUNITS: Readonly<Record<LengthUnit, number>> = { metre: 6, foot: 2, usSurveyFoot: 21 };

export interface DxfMark {
  readonly name: string;
  readonly e: number;
  readonly n: number;
  readonly z: number | null;
}

/**
 * @param marks written as points with their heights, for whoever measures in the drawing
 * @param lines the thing itself, where arcs and strings come from the design rather than from the paper
 */
export function sceneDxf(scene: Scene, unit: LengthUnit, marks: readonly DxfMark[]): string {
  const ground = scene.ground ?? { e: 0, n: 0, perPoint: 1 / POINTS_PER_METRE };
  const at = (x: number, y: number) =>
    [lengthFromMetres(ground.e + x * ground.perPoint, unit), lengthFromMetres(ground.n - y * ground.perPoint, unit)] as const;
  const size = (points: number) => lengthFromMetres(points * ground.perPoint, unit);
  const out: (string | number)[] = [];
  const put = (...pairs: (string | number)[]) => void out.push(...pairs);
  const coordinate = (value: number) => value.toFixed(6);
  put(0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, INSUNITS[unit], 0, 'ENDSEC');
  put(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LTYPE', 70, 1, 0, 'LTYPE', 2, 'CONTINUOUS', 70, 0, 3, '', 72, 65, 73, 0, 40, 0, 0, 'ENDTAB');
  put(0, 'TABLE', 2, 'LAYER', 70, Object.keys(NAME).length);
  for (const [layer, name] of Object.entries(NAME) as [Layer, string][]) put(0, 'LAYER', 2, name, 70, 0, 62, COLOUR[layer], 6, 'CONTINUOUS');
  put(0, 'ENDTAB', 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES');
  const entity = (item: SceneItem): void => {
    const layer = NAME[item.layer];
    if (item.kind === 'text') {
      const [x, y] = at(item.x, item.y);
      put(0, 'TEXT', 8, layer, 10, coordinate(x), 20, coordinate(y), 40, size(item.size * 0.72).toFixed(6), 1, dxfText(item.text), 50, -(item.turn ?? 0));
      if (item.align !== 'start') put(72, ALIGN[item.align], 11, coordinate(x), 21, coordinate(y));
      return;
    }
    if (item.points.length < 2) return;
    put(0, 'POLYLINE', 8, layer, 66, 1, 10, 0, 20, 0, 30, 0, 70, item.closed ? 1 : 0);
    for (const [px, py] of item.points) {
      const [x, y] = at(px, py);
      put(0, 'VERTEX', 8, layer, 10, coordinate(x), 20, coordinate(y), 30, 0);
    }
    put(0, 'SEQEND', 8, layer);
  };
  scene.items.forEach(entity);
  for (const mark of marks) {
    const length = (metres: number) => coordinate(lengthFromMetres(metres, unit));
    put(0, 'POINT', 8, NAME.marks, 10, length(mark.e), 20, length(mark.n), 30, mark.z === null ? 0 : length(mark.z));
  }
  put(0, 'ENDSEC', 0, 'EOF');
  const lines: string[] = [];
  for (let i = 0; i < out.length; i += 2) lines.push(String(out[i]).padStart(3), String(out[i + 1]));
  return `${lines.join('\r\n')}\r\n`;
}

/** DXF (drawing exchange format) of release 12, the oldest that everything reads: points, texts and lines on layers. */
import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import type { SiteLine, SitePoint } from './sitePoint.ts';

export type DxfEntity =
  | { readonly kind: 'point'; readonly layer: string; readonly x: number; readonly y: number; readonly z: number }
  | {
      readonly kind: 'line';
      readonly layer: string;
      readonly closed: boolean;
      readonly points: readonly (readonly [number, number])[];
    }
  | {
      readonly kind: 'text';
      readonly layer: string;
      readonly x: number;
      readonly y: number;
      readonly height: number;
      readonly text: string;
      /** Degrees anticlockwise. */
      readonly turn: number;
      readonly align: 'start' | 'middle' | 'end';
    };

export interface DxfLayer {
  readonly name: string;
  /** AutoCAD colour index. */
  readonly colour: number;
}

/** Units of DXF headers: metres, feet, US survey feet. */
const INSUNITS: Readonly<Record<LengthUnit, number>> = { metre: 6, foot: 2, usSurveyFoot: 21 };
const ALIGN = { start: 0, middle: 1, end: 2 } as const;

/** Release 12 knows no other letters than ASCII: the rest is written by number, as its readers expect. */
const asciiText = (text: string): string =>
  [...text.replace(/[\r\n\t]+/g, ' ')]
    .map((letter) => {
      const code = letter.codePointAt(0)!;
      if (code >= 32 && code < 127) return letter;
      return Array.from(
        { length: letter.length },
        (_, i) => `\\U+${letter.charCodeAt(i).toString(16).toUpperCase().padStart(4, '0')}`,
      ).join('');
    })
    .join('');

/** Letters, digits and a few signs: what release 12 takes as the name of a layer. */
export const layerName = (name: string): string =>
  name
    .normalize('NFD')
    .replace(/[^A-Za-z0-9$_-]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 31)
    .toUpperCase() || '0';

const coordinate = (value: number): string => value.toFixed(6);

/** Coordinates of entities are in the unit already. */
export function dxfText(entities: Iterable<DxfEntity>, layers: readonly DxfLayer[], unit: LengthUnit): string {
  const lines: string[] = [];
  const put = (...pairs: (string | number)[]) => {
    for (let i = 0; i < pairs.length; i += 2) lines.push(String(pairs[i]).padStart(3), String(pairs[i + 1]));
  };
  put(0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, INSUNITS[unit], 0, 'ENDSEC');
  put(
    0,
    'SECTION',
    2,
    'TABLES',
    0,
    'TABLE',
    2,
    'LTYPE',
    70,
    1,
    0,
    'LTYPE',
    2,
    'CONTINUOUS',
    70,
    0,
    3,
    '',
    72,
    65,
    73,
    0,
    40,
    0,
    0,
    'ENDTAB',
  );
  put(0, 'TABLE', 2, 'LAYER', 70, layers.length);
  for (const { name, colour } of layers) put(0, 'LAYER', 2, name, 70, 0, 62, colour, 6, 'CONTINUOUS');
  put(0, 'ENDTAB', 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES');
  for (const entity of entities) {
    if (entity.kind === 'point')
      put(0, 'POINT', 8, entity.layer, 10, coordinate(entity.x), 20, coordinate(entity.y), 30, coordinate(entity.z));
    else if (entity.kind === 'text') {
      const { layer, x, y, height, text, turn, align } = entity;
      put(
        0,
        'TEXT',
        8,
        layer,
        10,
        coordinate(x),
        20,
        coordinate(y),
        40,
        height.toFixed(6),
        1,
        asciiText(text),
        50,
        turn.toFixed(4),
      );
      if (align !== 'start') put(72, ALIGN[align], 11, coordinate(x), 21, coordinate(y));
    } else if (entity.points.length > 1) {
      put(0, 'POLYLINE', 8, entity.layer, 66, 1, 10, 0, 20, 0, 30, 0, 70, entity.closed ? 1 : 0);
      for (const [x, y] of entity.points)
        put(0, 'VERTEX', 8, entity.layer, 10, coordinate(x), 20, coordinate(y), 30, 0);
      put(0, 'SEQEND', 8, entity.layer);
    }
  }
  put(0, 'ENDSEC', 0, 'EOF');
  return `${lines.join('\r\n')}\r\n`;
}

const GROUP_COLOUR = { control: 1, marks: 7, planned: 8, stations: 5, asBuilt: 3 } as const;
/** Height of names beside points, metres. */
const TEXT_HEIGHT = 0.25;

/** A site's points by group and code, each with its name beside it, and the lines of its design. */
export function siteDxf(points: readonly SitePoint[], design: readonly SiteLine[], unit: LengthUnit): string {
  const length = (metres: number) => lengthFromMetres(metres, unit);
  const layers = new Map<string, number>([['DESIGN', 6]]);
  const entities: DxfEntity[] = design.map((line) => ({
    kind: 'line',
    layer: 'DESIGN',
    closed: line.closed,
    points: line.points.map((point) => [length(point.e), length(point.n)]),
  }));
  for (const point of points) {
    const layer = layerName(point.code === '' ? point.group : `${point.group} ${point.code}`);
    layers.set(layer, GROUP_COLOUR[point.group]);
    const [x, y] = [length(point.e), length(point.n)];
    entities.push({ kind: 'point', layer, x, y, z: point.z === null ? 0 : length(point.z) });
    entities.push({
      kind: 'text',
      layer,
      x: x + length(TEXT_HEIGHT),
      y,
      height: length(TEXT_HEIGHT),
      text: point.name,
      turn: 0,
      align: 'start',
    });
  }
  return dxfText(
    entities,
    [...layers].map(([name, colour]) => ({ name, colour })),
    unit,
  );
}

/** DXF (drawing exchange format) of release 12, the oldest that everything reads: points, texts and lines on layers. */
import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { codePageFor, type CodePage } from './codePage.ts';
import { oneLine, type SiteAbout } from './siteAbout.ts';
import type { SiteLine, SitePoint } from './sitePoint.ts';

/**
 * What is known of a point beyond its place. It goes along as extended data, which programs keep and leave alone that do
 * not know them (DXF reference, "Extended data").
 */
export interface DxfPointKnown {
  readonly name: string;
  readonly code: string;
  /** Whether its height is one: DXF has no point without. */
  readonly hasHeight: boolean;
}

/** Under this name the extended data of points are found again. */
export const DXF_APPLICATION = 'IDLE_MARKER';

export type DxfEntity =
  | {
      readonly kind: 'point';
      readonly layer: string;
      readonly x: number;
      readonly y: number;
      readonly z: number;
      readonly known?: DxfPointKnown;
    }
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

/** A text as release 12 takes it: signs that would be codes stand for themselves, letters without a byte by number. */
const writtenText = (text: string, page: CodePage): string =>
  [
    ...text
      .replace(/[\r\n\t]+/g, ' ')
      // What would be taken for a code of a sign stands for itself.
      .replace(/%{2,}/g, (signs) => '%%%'.repeat(signs.length))
      .replace(/\\(?=[UM]\+)/g, '\\U+005C'),
  ]
    .map((letter) => {
      if (letter < ' ' || letter === '\u007f') return '';
      if (page.has(letter)) return letter;
      return Array.from(
        { length: letter.length },
        (_, i) => `\\U+${letter.charCodeAt(i).toString(16).toUpperCase().padStart(4, '0')}`,
      ).join('');
    })
    .join('');

function* textsOf(entities: readonly DxfEntity[]): Generator<string> {
  for (const entity of entities)
    if (entity.kind === 'text') yield entity.text;
    else if (entity.kind === 'point' && entity.known) yield entity.known.name + entity.known.code;
}

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
export function dxfBytes(entities: readonly DxfEntity[], layers: readonly DxfLayer[], unit: LengthUnit): Uint8Array {
  const page = codePageFor(textsOf(entities));
  const asWritten = (text: string) => writtenText(text, page);
  const lines: string[] = [];
  const put = (...pairs: (string | number)[]) => {
    for (let i = 0; i < pairs.length; i += 2) lines.push(String(pairs[i]).padStart(3), String(pairs[i + 1]));
  };
  put(
    0,
    'SECTION',
    2,
    'HEADER',
    9,
    '$ACADVER',
    1,
    'AC1009',
    9,
    '$DWGCODEPAGE',
    3,
    page.name,
    9,
    '$INSUNITS',
    70,
    INSUNITS[unit],
    0,
    'ENDSEC',
  );
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
  put(0, 'TABLE', 2, 'APPID', 70, 1, 0, 'APPID', 2, DXF_APPLICATION, 70, 0, 0, 'ENDTAB');
  put(0, 'TABLE', 2, 'LAYER', 70, layers.length);
  for (const { name, colour } of layers) put(0, 'LAYER', 2, name, 70, 0, 62, colour, 6, 'CONTINUOUS');
  put(0, 'ENDTAB', 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES');
  for (const entity of entities) {
    if (entity.kind === 'point') {
      put(0, 'POINT', 8, entity.layer, 10, coordinate(entity.x), 20, coordinate(entity.y), 30, coordinate(entity.z));
      if (entity.known) {
        const { name, code, hasHeight } = entity.known;
        put(1001, DXF_APPLICATION, 1000, asWritten(name), 1000, asWritten(code), 1070, hasHeight ? 1 : 0);
      }
    } else if (entity.kind === 'text') {
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
        asWritten(text),
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
  return page.bytesOf(`${lines.join('\r\n')}\r\n`);
}

const GROUP_COLOUR = { control: 1, marks: 7, planned: 8, stations: 5, asBuilt: 3 } as const;
/** Height of names beside points, metres. */
const TEXT_HEIGHT = 0.25;

/** Lines that say what the drawing is stand below it, in letters that are read beside the points. */
function aboutEntities(about: SiteAbout, drawn: readonly DxfEntity[], unit: LengthUnit): DxfEntity[] {
  let [left, below] = [Infinity, Infinity];
  for (const entity of drawn)
    for (const [x, y] of entity.kind === 'line' ? entity.points : [[entity.x, entity.y] as const])
      [left, below] = [Math.min(left, x), Math.min(below, y)];
  if (!Number.isFinite(left)) [left, below] = [0, 0];
  const height = lengthFromMetres(2 * TEXT_HEIGHT, unit);
  return about.lines.map((line, i) => ({
    kind: 'text',
    layer: ABOUT_LAYER,
    x: left,
    y: below - height * (4 + 1.6 * i),
    height,
    text: oneLine(line),
    turn: 0,
    align: 'start',
  }));
}
const ABOUT_LAYER = 'ABOUT';

/** A site's points by group and code, each with its name beside it, the lines of its design, and what it is. */
export function siteDxf(points: readonly SitePoint[], design: readonly SiteLine[], about: SiteAbout): Uint8Array {
  const { unit } = about;
  const length = (metres: number) => lengthFromMetres(metres, unit);
  const layers = new Map<string, number>([
    ['DESIGN', 6],
    [ABOUT_LAYER, 8],
  ]);
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
    entities.push({
      kind: 'point',
      layer,
      x,
      y,
      z: point.z === null ? 0 : length(point.z),
      known: { name: point.name, code: point.code, hasHeight: point.z !== null },
    });
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
  return dxfBytes(
    [...entities, ...aboutEntities(about, entities, unit)],
    [...layers].map(([name, colour]) => ({ name, colour })),
    unit,
  );
}

/** Drawings: outlines from closed polylines and from lines that join up, grids from straight lines. X is east, Y north. */
import DxfParser, {
  type IDxf,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type ITextEntity,
  type IMtextEntity,
} from 'dxf-parser';
import { fail, METRES_PER_UNIT, ok, planDistance, signedArea, type LengthUnit, type Metres, type PlanPoint, type Result } from '@idle-marker/core';

export interface DrawnOutline {
  readonly layer: string;
  readonly corners: readonly PlanPoint[];
  /** Square metres. */
  readonly area: number;
}

export interface DrawnLine {
  readonly layer: string;
  readonly from: PlanPoint;
  readonly to: PlanPoint;
}

export interface DrawnText {
  readonly layer: string;
  readonly at: PlanPoint;
  readonly text: string;
}

export interface Drawing {
  /** Size of the drawing's unit as its header says; null when the header says nothing and it must be asked. */
  readonly unitFromFile: string | null;
  readonly outlines: readonly DrawnOutline[];
  readonly lines: readonly DrawnLine[];
  readonly texts: readonly DrawnText[];
  /** What was not understood or not taken, by kind and layer, with how many. */
  readonly leftOut: readonly { readonly what: string; readonly layer: string; readonly count: number }[];
}

export type DrawingError = { readonly code: 'NOT_DXF'; readonly detail: string } | { readonly code: 'EMPTY_DRAWING' };

/** `$INSUNITS` of the header to metres, for the units that site drawings come in. */
const HEADER_UNITS: Readonly<Record<number, readonly [string, number]>> = {
  1: ['inches', 0.0254],
  2: ['feet', METRES_PER_UNIT.foot],
  4: ['millimetres', 0.001],
  5: ['centimetres', 0.01],
  6: ['metres', 1],
  21: ['US survey feet', METRES_PER_UNIT.usSurveyFoot],
};

/** Ends nearer than this join up. */
const JOIN: Metres = 0.002;

/** Reads a drawing. `unit` is used where its header names none. */
export function readDxf(text: string, unit: LengthUnit): Result<Drawing, DrawingError> {
  const parsed = parse(text);
  if (!parsed.ok) return parsed;
  const header = HEADER_UNITS[Number(parsed.value.header?.['$INSUNITS'] ?? 0)];
  const scale = header?.[1] ?? METRES_PER_UNIT[unit];
  const left = new Map<string, number>();
  const outlines: DrawnOutline[] = [];
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  const point = (at: { x: number; y: number }): PlanPoint => ({ e: at.x * scale, n: at.y * scale });
  for (const entity of parsed.value.entities) {
    if (!take(entity, point, outlines, lines, texts)) {
      const key = `${entity.type}\n${entity.layer}`;
      left.set(key, (left.get(key) ?? 0) + 1);
    }
  }
  outlines.push(...joinedLines(lines));
  if (outlines.length === 0 && lines.length === 0) return fail({ code: 'EMPTY_DRAWING' });
  return ok({
    unitFromFile: header?.[0] ?? null,
    outlines: outlines.sort((a, b) => b.area - a.area),
    lines,
    texts,
    leftOut: [...left].map(([key, count]) => ({ what: key.split('\n')[0]!, layer: key.split('\n')[1]!, count })),
  });
}

function parse(text: string): Result<IDxf, DrawingError> {
  if (!/^\s*0\s*\r?\n\s*SECTION/m.test(text.slice(0, 20_000))) return fail({ code: 'NOT_DXF', detail: 'it has no sections' });
  try {
    const drawing = new DxfParser().parseSync(text);
    return drawing ? ok(drawing) : fail({ code: 'NOT_DXF', detail: 'it ends too early' });
  } catch (cause) {
    return fail({ code: 'NOT_DXF', detail: cause instanceof Error ? cause.message : 'it can not be read' });
  }
}

const finite = (points: readonly PlanPoint[]): boolean => points.every((each) => Number.isFinite(each.e) && Number.isFinite(each.n));

/** Takes one entity into the lists; false when it is left out. */
function take(entity: IEntity, point: (at: { x: number; y: number }) => PlanPoint, outlines: DrawnOutline[], lines: DrawnLine[], texts: DrawnText[]): boolean {
  const { layer } = entity;
  switch (entity.type) {
    case 'LINE': {
      const [from, to] = (entity as ILineEntity).vertices.map(point);
      if (!from || !to || !finite([from, to])) return false;
      lines.push({ layer, from, to });
      return true;
    }
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity | IPolylineEntity;
      // A bulge makes an arc of a side; hubs are for straight sides.
      if (vertices.some((vertex) => 'bulge' in vertex && Boolean(vertex.bulge))) return false;
      const corners = vertices.map(point);
      if (corners.length < 2 || !finite(corners)) return false;
      const closesItself = corners.length > 3 && planDistance(corners[0]!, corners.at(-1)!) < JOIN;
      const ring = closesItself ? corners.slice(0, -1) : corners;
      if (!(shape || closesItself) || ring.length < 3) {
        ring.slice(1).forEach((to, i) => lines.push({ layer, from: ring[i]!, to }));
        return true;
      }
      outlines.push({ layer, corners: ring, area: Math.abs(signedArea(ring)) });
      return true;
    }
    case 'TEXT':
    case 'MTEXT': {
      const words = entity as unknown as ITextEntity & IMtextEntity;
      const at = words.startPoint ?? words.position;
      if (!at || !words.text) return false;
      texts.push({ layer, at: point(at), text: words.text.replace(/\\[A-Za-z][^;]*;|[{}]/g, '').trim() });
      return true;
    }
    default:
      return false;
  }
}

/** Rings made of lines of one layer that join end to end, each line once, where no third line meets. */
function joinedLines(lines: readonly DrawnLine[]): DrawnOutline[] {
  const key = (at: PlanPoint) => `${Math.round(at.e / JOIN)} ${Math.round(at.n / JOIN)}`;
  const byLayer = new Map<string, DrawnLine[]>();
  for (const line of lines) byLayer.set(line.layer, [...(byLayer.get(line.layer) ?? []), line]);
  const rings: DrawnOutline[] = [];
  for (const [layer, own] of byLayer) {
    const ends = new Map<string, DrawnLine[]>();
    for (const line of own) for (const end of [line.from, line.to]) ends.set(key(end), [...(ends.get(key(end)) ?? []), line]);
    const used = new Set<DrawnLine>();
    for (const start of own) {
      if (used.has(start)) continue;
      const ring = [start.from];
      const chain = [start];
      let at = start.to;
      while (key(at) !== key(start.from)) {
        const next = (ends.get(key(at)) ?? []).filter((line) => !chain.includes(line));
        if (next.length !== 1) break;
        ring.push(at);
        chain.push(next[0]!);
        at = key(next[0]!.from) === key(at) ? next[0]!.to : next[0]!.from;
      }
      if (key(at) !== key(start.from) || ring.length < 3) continue;
      for (const line of chain) used.add(line);
      rings.push({ layer, corners: ring, area: Math.abs(signedArea(ring)) });
    }
  }
  return rings;
}

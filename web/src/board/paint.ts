/** Paints a scene on a canvas. `toPixel` places site metres; sizes are CSS pixels. */
import type { PlanPoint } from '@idle-marker/core';
import type {
  Ink,
  Scene,
  SceneEllipse,
  SceneInstrument,
  SceneLine,
  SceneShade,
  SceneSymbol,
  SymbolName,
} from './scene.ts';
import { SYMBOLS, type PathStep } from './symbols.ts';
import { overlaps, placeLabels, type Box } from './labels.ts';
import type { Visible } from './visible.ts';

export type Palette = Readonly<Record<Ink | 'sheet' | 'paper' | 'rule', string>>;

export interface Painter {
  readonly context: CanvasRenderingContext2D;
  readonly palette: Palette;
  readonly toPixel: (point: PlanPoint) => readonly [number, number];
  /** Pixels a metre. */
  readonly scale: number;
  /** Clockwise turn of the view, radians. */
  readonly rotation: number;
  /** Height of the letters, pixels. */
  readonly letters: number;
  /** Names stay within it, and off what lies over the drawing. */
  readonly frame: Box;
  readonly covered: readonly Box[];
}

export const SYMBOL_RADIUS_PX = 9;
const INK_WIDTH_PX = 1.5;
const fontOf = (letters: number): string => `600 ${letters}px Barlow, sans-serif`;

/**
 * Paints the scene with those of its symbols that are in view; a crowd gets one batched path a kind, and few names.
 * @returns how many names found no room
 */
export function paintScene(painter: Painter, whole: Scene, visible: Visible): number {
  const scene: Scene = { ...whole, symbols: visible.symbols };
  paintShades(painter, scene.shades);
  for (const each of scene.lines) paintLine(painter, each);
  for (const each of scene.ellipses) paintEllipse(painter, each);
  for (const each of scene.arrows) paintArrow(painter, each.from, each.to, painter.palette[each.ink]);
  const huddled = visible.crowded ? new Set<SceneSymbol>() : huddledMarks(painter, scene.symbols);
  if (visible.crowded) paintCrowd(painter, scene.symbols);
  else
    for (const each of scene.symbols)
      paintSymbol(painter, each, huddled.has(each) ? HUDDLED_RADIUS_PX : SYMBOL_RADIUS_PX);
  for (const each of scene.instruments) paintInstrument(painter, each);
  const named = visible.crowded
    ? scene.symbols.filter((each) => each.chosen || each.symbol === 'inDoubt')
    : scene.symbols;
  const unnamed = scene.symbols.length - named.length;
  const radiusOf = (each: SceneSymbol) => (huddled.has(each) ? HUDDLED_RADIUS_PX + 1 : SYMBOL_RADIUS_PX);
  return unnamed + paintNames(painter, scene, named, painter.covered, radiusOf);
}

/** Stakes nearer to each other than this are drawn small: large ones would only be a blot. */
const HUDDLE_PX = 24;
const HUDDLED_RADIUS_PX = 4;
const STAKES: ReadonlySet<SymbolName> = new Set(['set', 'confirmed', 'held', 'destroyed']);
const MARKS: ReadonlySet<SymbolName> = new Set(['toSet', 'rough', 'blocked', 'set', 'confirmed', 'held', 'inDoubt']);

function huddledMarks({ toPixel }: Painter, symbols: readonly SceneSymbol[]): ReadonlySet<SceneSymbol> {
  const marks = symbols.filter((each) => MARKS.has(each.symbol)).map((each) => ({ each, at: toPixel(each.at) }));
  const huddled = new Set<SceneSymbol>();
  for (const { each, at } of marks) {
    const near = marks.filter(
      (other) => Math.abs(other.at[0] - at[0]) < HUDDLE_PX && Math.abs(other.at[1] - at[1]) < HUDDLE_PX,
    );
    // Two hubs of one corner stand close; three in one place are a huddle.
    if (near.length > 2 && !each.chosen) huddled.add(each);
  }
  return huddled;
}

/** Many symbols at once: one path for all of a kind and ink. Details that nobody could make out are left away. */
function paintCrowd(painter: Painter, symbols: readonly SceneSymbol[]): void {
  const { context, palette, toPixel } = painter;
  const kinds = new Map<string, SceneSymbol[]>();
  for (const each of symbols) {
    const key = `${each.symbol} ${each.ink ?? 'ink'}`;
    const list = kinds.get(key);
    if (list) list.push(each);
    else kinds.set(key, [each]);
  }
  const radius = SYMBOL_RADIUS_PX * 0.5;
  context.lineWidth = 1.2;
  for (const list of kinds.values()) {
    const [first] = list;
    context.beginPath();
    for (const { at } of list) {
      const [x, y] = toPixel(at);
      context.rect(x - radius, y - radius, 2 * radius, 2 * radius);
    }
    context.strokeStyle = palette[first!.ink ?? 'ink'];
    context.stroke();
  }
  for (const each of symbols) if (each.chosen) paintSymbol(painter, each);
}

function paintLine(
  { context, palette, toPixel }: Painter,
  { points, ink, closed, dash, filled, width }: SceneLine,
): void {
  if (points.length < 2) return;
  context.beginPath();
  points.forEach((point, i) => {
    const [x, y] = toPixel(point);
    if (i === 0) context.moveTo(x, y);
    else context.lineTo(x, y);
  });
  if (closed) context.closePath();
  if (filled) {
    context.globalAlpha = 0.08;
    context.fillStyle = palette[ink];
    context.fill();
    context.globalAlpha = 1;
  }
  context.setLineDash([...(dash ?? [])]);
  context.lineWidth = width ?? INK_WIDTH_PX;
  context.strokeStyle = palette[ink];
  context.stroke();
  context.setLineDash([]);
}

const SHADE_RADIUS_PX = 7;

/** One path for each ink: where spots lie over each other they do not add up, and thousands of them stay cheap. */
function paintShades({ context, palette, toPixel }: Painter, shades: readonly SceneShade[]): void {
  for (const ink of new Set(shades.map((each) => each.ink))) {
    context.beginPath();
    for (const each of shades) {
      if (each.ink !== ink) continue;
      const [x, y] = toPixel(each.at);
      context.moveTo(x + SHADE_RADIUS_PX, y);
      context.arc(x, y, SHADE_RADIUS_PX, 0, 2 * Math.PI);
    }
    context.globalAlpha = 0.6;
    context.fillStyle = palette[ink];
    context.fill();
    context.globalAlpha = 1;
  }
}

function paintEllipse(
  { context, palette, toPixel, scale, rotation }: Painter,
  { at, a, b, azimuth }: SceneEllipse,
): void {
  const [x, y] = toPixel(at);
  context.beginPath();
  // Azimuths run clockwise from up, canvas angles clockwise from right.
  context.ellipse(
    x,
    y,
    Math.max(a * scale, 2),
    Math.max(b * scale, 2),
    azimuth - Math.PI / 2 + rotation,
    0,
    2 * Math.PI,
  );
  context.globalAlpha = 0.25;
  context.fillStyle = palette.spruce;
  context.fill();
  context.globalAlpha = 1;
  context.lineWidth = INK_WIDTH_PX;
  context.strokeStyle = palette.spruce;
  context.stroke();
}

function paintArrow({ context, toPixel }: Painter, from: PlanPoint, to: PlanPoint, colour: string): void {
  const [x1, y1] = toPixel(from);
  const [x2, y2] = toPixel(to);
  const length = Math.hypot(x2 - x1, y2 - y1);
  if (length < 3) return;
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const head = Math.min(12, length * 0.6);
  context.lineWidth = 2.5;
  context.strokeStyle = colour;
  context.fillStyle = colour;
  context.beginPath();
  context.moveTo(x1, y1);
  context.lineTo(x2 - head * 0.8 * Math.cos(angle), y2 - head * 0.8 * Math.sin(angle));
  context.stroke();
  context.beginPath();
  context.moveTo(x2, y2);
  context.lineTo(x2 - head * Math.cos(angle - 0.4), y2 - head * Math.sin(angle - 0.4));
  context.lineTo(x2 - head * Math.cos(angle + 0.4), y2 - head * Math.sin(angle + 0.4));
  context.closePath();
  context.fill();
}

function trace(
  context: CanvasRenderingContext2D,
  path: readonly PathStep[],
  x: number,
  y: number,
  radius: number,
): void {
  context.beginPath();
  for (const step of path) {
    if (step.to === 'close') context.closePath();
    else if (step.to === 'circle') {
      context.moveTo(x + (step.x + step.r) * radius, y + step.y * radius);
      context.arc(x + step.x * radius, y + step.y * radius, step.r * radius, 0, 2 * Math.PI);
    } else if (step.to === 'move') context.moveTo(x + step.x * radius, y + step.y * radius);
    else context.lineTo(x + step.x * radius, y + step.y * radius);
  }
}

function paintSymbol(
  { context, palette, toPixel }: Painter,
  { at, symbol, ink = 'ink', dashed, struck, chosen }: SceneSymbol,
  radius = SYMBOL_RADIUS_PX,
): void {
  const [x, y] = toPixel(at);
  const colour = palette[ink];
  if (chosen) {
    context.beginPath();
    context.arc(x, y, radius * 1.9, 0, 2 * Math.PI);
    context.globalAlpha = 0.2;
    context.fillStyle = palette.spruce;
    context.fill();
    context.globalAlpha = 1;
    context.lineWidth = 2;
    context.strokeStyle = palette.spruce;
    context.stroke();
  }
  context.lineWidth = radius < SYMBOL_RADIUS_PX ? 1.2 : 2;
  context.strokeStyle = colour;
  const first = SYMBOLS[symbol][0]!;
  // A halo of paper keeps the symbol readable over lines.
  if (!first.fill) {
    trace(context, first.path, x, y, radius);
    context.fillStyle = palette.sheet;
    context.fill();
  }
  for (const part of SYMBOLS[symbol]) {
    trace(context, part.path, x, y, radius);
    if (part.fill) {
      context.fillStyle = colour;
      context.fill();
    }
    if (part.hatched) {
      hatch(context, x, y, radius, colour);
      // Hatching leaves its own lines as the path.
      trace(context, part.path, x, y, radius);
    }
    if (part.stroke) {
      context.setLineDash(dashed ? [3, 3] : []);
      context.stroke();
      context.setLineDash([]);
    }
  }
  if (struck) {
    context.beginPath();
    context.moveTo(x - radius * 1.4, y + radius * 1.4);
    context.lineTo(x + radius * 1.4, y - radius * 1.4);
    context.stroke();
  }
}

function hatch(context: CanvasRenderingContext2D, x: number, y: number, radius: number, colour: string): void {
  context.save();
  context.clip();
  context.lineWidth = 1.5;
  context.beginPath();
  for (let i = -3; i < 6; i++) {
    context.moveTo(x + i * 4 - radius, y);
    context.lineTo(x + i * 4 + radius, y - radius * 2.2);
  }
  context.stroke();
  context.restore();
  context.font = '600 12px Barlow, sans-serif';
  context.fillStyle = colour;
  context.textAlign = 'left';
  context.fillText('?', x + radius * 1.75, y - radius * 1.3);
}

function paintInstrument({ context, palette, toPixel, rotation }: Painter, { at, facing }: SceneInstrument): void {
  const [x, y] = toPixel(at);
  context.fillStyle = palette.ink;
  if (facing !== null) {
    const angle = facing - Math.PI / 2 + rotation;
    context.beginPath();
    context.moveTo(x + 4 * Math.cos(angle), y + 4 * Math.sin(angle));
    context.lineTo(x + 32 * Math.cos(angle - 0.2), y + 32 * Math.sin(angle - 0.2));
    context.lineTo(x + 32 * Math.cos(angle + 0.2), y + 32 * Math.sin(angle + 0.2));
    context.closePath();
    context.fill();
  }
  context.beginPath();
  context.arc(x, y, 9, 0, 2 * Math.PI);
  context.fill();
}

function paintText(
  { context, palette, letters }: Painter,
  text: string,
  x: number,
  y: number,
  colour: string,
  align: CanvasTextAlign,
): void {
  context.font = fontOf(letters);
  context.textAlign = align;
  context.textBaseline = 'middle';
  context.lineWidth = 4;
  context.lineJoin = 'round';
  context.strokeStyle = palette.paper;
  context.strokeText(text, x, y);
  context.fillStyle = colour;
  context.fillText(text, x, y);
}

const boxAbout = ([x, y]: readonly [number, number], halfWidth: number, halfHeight: number): Box => ({
  left: x - halfWidth,
  right: x + halfWidth,
  top: y - halfHeight,
  bottom: y + halfHeight,
});

/** What is named before what: the chosen mark, what nobody should build from, what is to be set, control, the rest. */
const PRIORITIES: Partial<Record<SymbolName, number>> = { pole: 0, inDoubt: 1, blocked: 2, toSet: 2, rough: 2 };
const CONTROL = 3;
const REST = 4;
const priorityOf = ({ symbol, chosen, dashed, struck }: SceneSymbol): number =>
  chosen ? 0 : (PRIORITIES[symbol] ?? (dashed || struck ? 2 : STAKES.has(symbol) ? REST : CONTROL));

/**
 * Texts of the drawing that do not stand on a mark, then the names of the marks.
 * @returns how many names found no room
 */
function paintNames(
  painter: Painter,
  scene: Scene,
  named: readonly SceneSymbol[],
  covered: readonly Box[],
  radiusOf: (symbol: SceneSymbol) => number,
): number {
  const { context, palette, toPixel, letters } = painter;
  context.font = fontOf(letters);
  const symbols = scene.symbols.map((each) => boxAbout(toPixel(each.at), radiusOf(each), radiusOf(each)));
  const drawn = [...covered];
  for (const { at, text, ink } of scene.texts) {
    const box = boxAbout(toPixel(at), context.measureText(text).width / 2 + 2, letters / 2 + 1);
    if ([...drawn, ...symbols].some((other) => overlaps(box, other))) continue;
    drawn.push(box);
    paintText(painter, text, (box.left + box.right) / 2, (box.top + box.bottom) / 2, palette[ink], 'center');
  }
  const wanted = [
    ...scene.instruments.map(({ at, label }) => ({
      at,
      label,
      ink: 'ink' as const,
      priority: 0,
      radius: SYMBOL_RADIUS_PX,
    })),
    ...named.flatMap((each) =>
      each.label === undefined
        ? []
        : [
            {
              at: each.at,
              label: each.label,
              ink: each.ink ?? ('ink' as const),
              priority: priorityOf(each),
              radius: radiusOf(each),
            },
          ],
    ),
  ];
  // What is drawn without a name is not written over either.
  const nameless = scene.symbols.filter((each) => each.label === undefined || !named.includes(each));
  for (const { at } of nameless) drawn.push(boxAbout(toPixel(at), SYMBOL_RADIUS_PX - 2, SYMBOL_RADIUS_PX - 2));
  const { places, leftOut } = placeLabels(
    wanted.map(({ at, label, priority, radius }) => {
      const [x, y] = toPixel(at);
      return { x, y, radius, width: context.measureText(label).width, priority, leads: true };
    }),
    drawn,
    painter.frame,
    letters + 4,
  );
  places.forEach((place, i) => {
    if (!place) return;
    const { label, ink } = wanted[i]!;
    if (place.leader) {
      context.beginPath();
      place.leader.forEach(([x, y], k) => (k === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
      context.lineWidth = 1.2;
      context.strokeStyle = palette[ink];
      context.stroke();
    }
    paintText(painter, label, place.box.left, (place.box.top + place.box.bottom) / 2, palette[ink], 'left');
  });
  return leftOut;
}

import { memo, useMemo } from 'react';
import type { Ink, Measure, Scene, SceneItem, ScenePath, SceneText, Weight } from '@idle-marker/paper';

/** The inks of paper as the roles of the screen's theme. */
const ROLE: Readonly<Record<Ink, string>> = {
  ink: 'var(--ink)',
  ink2: 'var(--ink2)',
  rule: 'var(--rule)',
  pencil: 'var(--pencil)',
  brick: 'var(--brick)',
  cut: 'var(--cut)',
  fill: 'var(--fill)',
  hub: '#c9a35b',
  lath: 'var(--lath)',
  tint: 'var(--brick-tint)',
  paper: 'var(--sheet)',
};
const WEIGHT: Readonly<Record<Weight, number>> = { regular: 400, medium: 500, bold: 600 };
const ANCHOR = { start: 'start', middle: 'middle', end: 'end' } as const;

let context: CanvasRenderingContext2D | null = null;
const widths = new Map<string, number>();
/** Many more texts than a drawing has. */
const MOST_WIDTHS = 20_000;

/** Width of a text as this browser writes it, in the unit of its size. */
export const measureOnScreen: Measure = (text, size, weight) => {
  const key = `${WEIGHT[weight]} ${text}`;
  let width = widths.get(key);
  if (width === undefined) {
    context ??= document.createElement('canvas').getContext('2d');
    if (widths.size > MOST_WIDTHS) widths.clear();
    // Without a canvas, as in a page that nobody sees, letters are taken for half as wide as high.
    if (context) context.font = `${WEIGHT[weight]} 100px Barlow, sans-serif`;
    width = context ? context.measureText(text).width / 100 : [...text].length * 0.5;
    widths.set(key, width);
  }
  return width * size;
};

/** A drawing on the screen, in the colours of its theme. */
export const SceneView = memo(function SceneView({
  scene,
  className = '',
}: {
  readonly scene: Scene;
  readonly className?: string;
}) {
  const pieces = useMemo(() => piecesOf(scene.items), [scene]);
  return (
    <svg
      viewBox={`0 0 ${scene.width} ${scene.height}`}
      className={className}
      role="img"
      aria-label={scene.title}
      fontFamily="Barlow, sans-serif"
    >
      {pieces.map((piece, i) =>
        piece.kind === 'text' ? <Words key={i} {...piece} /> : <Strokes key={i} paths={piece.paths} />,
      )}
    </svg>
  );
});

type Piece = SceneText | { readonly kind: 'paths'; readonly paths: readonly [ScenePath, ...ScenePath[]] };

const styleOf = ({ closed, fill, opacity, stroke, width, dash }: ScenePath): string =>
  [closed, fill, opacity, stroke, width, dash].join(' ');

/** Paths in a row that look the same are one element: a browser lays out a few of them faster than many hundreds. */
function piecesOf(items: readonly SceneItem[]): Piece[] {
  const pieces: (SceneText | { kind: 'paths'; paths: [ScenePath, ...ScenePath[]] })[] = [];
  for (const item of items) {
    const last = pieces.at(-1);
    if (item.kind === 'text') pieces.push(item);
    // What shines through would do so twice where two of them overlap, but not within one element.
    else if (last?.kind === 'paths' && item.opacity === undefined && styleOf(last.paths[0]) === styleOf(item))
      last.paths.push(item);
    else pieces.push({ kind: 'paths', paths: [item] });
  }
  return pieces;
}

const Words = ({ x, y, text, size, weight, ink, align, turn }: SceneText) => (
  <text
    x={x}
    y={y}
    fontSize={size}
    fontWeight={WEIGHT[weight]}
    fill={ROLE[ink]}
    textAnchor={ANCHOR[align]}
    transform={turn ? `rotate(${turn} ${x} ${y})` : undefined}
  >
    {text}
  </text>
);

function Strokes({ paths }: { readonly paths: readonly [ScenePath, ...ScenePath[]] }) {
  const [{ fill, opacity, stroke, width, dash }] = paths;
  const d = paths.map(
    ({ points, closed }) =>
      points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('') + (closed ? 'Z' : ''),
  );
  return (
    <path
      d={d.join('')}
      fill={fill ? ROLE[fill] : 'none'}
      fillOpacity={opacity}
      stroke={stroke ? ROLE[stroke] : 'none'}
      strokeWidth={width}
      strokeDasharray={dash ? `${dash} ${dash}` : undefined}
    />
  );
}

import type { Ink, Measure, Scene, SceneItem, Weight } from '@idle-marker/paper';

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
export function SceneView({ scene, className = '' }: { readonly scene: Scene; readonly className?: string }) {
  return (
    <svg viewBox={`0 0 ${scene.width} ${scene.height}`} className={className} role="img" aria-label={scene.title} fontFamily="Barlow, sans-serif">
      {scene.items.map((item, i) => (
        <Item key={i} item={item} />
      ))}
    </svg>
  );
}

function Item({ item }: { readonly item: SceneItem }) {
  if (item.kind === 'text')
    return (
      <text
        x={item.x}
        y={item.y}
        fontSize={item.size}
        fontWeight={WEIGHT[item.weight]}
        fill={ROLE[item.ink]}
        textAnchor={ANCHOR[item.align]}
        transform={item.turn ? `rotate(${item.turn} ${item.x} ${item.y})` : undefined}
      >
        {item.text}
      </text>
    );
  return (
    <path
      d={item.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('') + (item.closed ? 'Z' : '')}
      fill={item.fill ? ROLE[item.fill] : 'none'}
      fillOpacity={item.opacity}
      stroke={item.stroke ? ROLE[item.stroke] : 'none'}
      strokeWidth={item.width}
      strokeDasharray={item.dash ? `${item.dash} ${item.dash}` : undefined}
    />
  );
}

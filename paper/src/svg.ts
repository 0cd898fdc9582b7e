/** A scene as SVG 1.1 (Scalable Vector Graphics, W3C). */
import { INKS, type Scene, type SceneItem, type Weight } from './scene.ts';

const WEIGHT: Readonly<Record<Weight, number>> = { regular: 400, medium: 500, bold: 600 };
const ANCHOR = { start: 'start', middle: 'middle', end: 'end' } as const;

/** What XML has no place for: control characters, halves of letters, and two that are none. */
const UNWRITABLE =
  // oxlint-disable-next-line no-control-regex
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;
const escaped = (text: string): string =>
  text.replace(UNWRITABLE, '').replace(/[&<>"']/g, (letter) => `&#${letter.charCodeAt(0)};`);
const number = (value: number): string => String(Math.round(value * 100) / 100);

function itemSvg(item: SceneItem): string {
  if (item.kind === 'text') {
    const turn = item.turn ? ` transform="rotate(${number(item.turn)} ${number(item.x)} ${number(item.y)})"` : '';
    return `<text x="${number(item.x)}" y="${number(item.y)}" font-size="${number(item.size)}" font-weight="${WEIGHT[item.weight]}" fill="${INKS[item.ink]}" text-anchor="${ANCHOR[item.align]}"${turn}>${escaped(item.text)}</text>`;
  }
  const d =
    item.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${number(x)} ${number(y)}`).join('') +
    (item.closed ? 'Z' : '');
  const opacity = item.opacity === undefined ? '' : ` fill-opacity="${item.opacity}"`;
  const dash = item.dash ? ` stroke-dasharray="${item.dash} ${item.dash}"` : '';
  return `<path d="${d}" fill="${item.fill ? INKS[item.fill] : 'none'}"${opacity} stroke="${item.stroke ? INKS[item.stroke] : 'none'}" stroke-width="${item.width}"${dash}/>`;
}

/** @param style CSS to go with it, such as the faces of its fonts */
export function sceneSvg(scene: Scene, style = ''): string {
  const layers = [...new Set(scene.items.map((item) => item.layer))];
  const groups = layers.map(
    (layer) =>
      `<g data-layer="${layer}">${scene.items
        .filter((item) => item.layer === layer)
        .map(itemSvg)
        .join('')}</g>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(scene.width)}pt" height="${number(scene.height)}pt" viewBox="0 0 ${number(scene.width)} ${number(scene.height)}" font-family="Barlow, 'DejaVu Sans Condensed', sans-serif" role="img">`,
    `<title>${escaped(scene.title)}</title>`,
    style === '' ? '' : `<style>${style}</style>`,
    `<rect width="100%" height="100%" fill="#fff"/>`,
    ...groups,
    '</svg>',
  ].join('\n');
}

/** Drawings as files that this browser writes by itself. */
import type { Paper, Scene } from '@idle-marker/paper';
import regular from '@fontsource/barlow/files/barlow-latin-400-normal.woff2?url';
import medium from '@fontsource/barlow/files/barlow-latin-500-normal.woff2?url';
import bold from '@fontsource/barlow/files/barlow-latin-600-normal.woff2?url';
import { msg, worded } from '@idle-marker/words';

export const paperNames = worded((): readonly (readonly [Paper, string])[] => [
  ['A4', 'A4'],
  ['A3', 'A3'],
  ['letter', msg('print.letter')],
  ['tabloid', msg('print.tabloid')],
]);

const asData = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(reader.result as string);
    reader.onerror = () => reject(new Error('the font can not be read'));
    reader.readAsDataURL(blob);
  });

/** The faces of the drawing's font, inside of the file: it looks the same where nobody has it. */
export async function svgStyle(): Promise<string> {
  const faces = await Promise.all(
    (
      [
        [400, regular],
        [500, medium],
        [600, bold],
      ] as const
    ).map(async ([weight, address]) => {
      const font = await asData(await (await fetch(address)).blob());
      return `@font-face{font-family:Barlow;font-weight:${weight};src:url(${font.replace(/^data:[^;]*/, 'data:font/woff2')})}`;
    }),
  );
  return faces.join('');
}

/** Dots to the point: 216 to the inch. */
const PNG_SCALE = 3;

/** The drawing as a picture, white where it is empty. */
export async function pngOf(svg: string, { width, height }: Scene): Promise<Blob> {
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(width * PNG_SCALE);
    canvas.height = Math.round(height * PNG_SCALE);
    canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    if (!blob) throw new Error('the picture can not be written');
    return blob;
  } finally {
    URL.revokeObjectURL(address);
  }
}

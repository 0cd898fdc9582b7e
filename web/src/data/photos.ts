/** Photos on their way: made small before they are kept. */
import { LARGEST_IMAGE_BYTES } from '@idle-marker/contract';
import { besideAddress, besideHere, keepBeside, sendBeside, type Beside } from './beside.ts';

export interface Photo extends Beside {
  readonly mediaType: 'image/jpeg' | 'image/png' | 'image/webp';
}

/** Longest side that is kept: a nail in a kerb is seen at that. */
const LONGEST_PX = 1600;
const QUALITY = 0.85;
const KNOWN: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp']);

/** The picture of a file, no larger than it has to be. Throws when the file is no picture. */
export async function shrink(file: Blob): Promise<Photo> {
  const bitmap = await createImageBitmap(file);
  const factor = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height));
  if (factor === 1 && KNOWN.has(file.type) && file.size <= LARGEST_IMAGE_BYTES)
    return { mediaType: file.type as Photo['mediaType'], bytes: await file.arrayBuffer() };
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(bitmap.width * factor);
  canvas.height = Math.round(bitmap.height * factor);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY));
  if (!blob) throw new Error('the picture can not be written');
  return { mediaType: 'image/jpeg', bytes: await blob.arrayBuffer() };
}

/** Keeps a photo here, and sends it. Gives what keeps it from the server, null once it is there. */
export const keepPhoto = (site: string, id: string, photo: Photo): Promise<string | null> =>
  keepBeside(site, 'images', id, photo);

/** Sends what waits; the first refusal or a server that is away ends it. */
export const sendPhotos = (site: string): Promise<string | null> => sendBeside(site, 'images');

/** Where a photo is shown from: this browser while it waits, else the server. */
export async function photoAddress(site: string, id: string): Promise<string> {
  const waiting = await besideHere('images', id);
  return waiting
    ? URL.createObjectURL(new Blob([waiting.bytes], { type: waiting.mediaType }))
    : besideAddress(site, 'images', id);
}

/** Photos on their way: made small, kept in the browser until the server has them, sent again whenever somebody looks. */
import { LARGEST_IMAGE_BYTES } from '@idle-marker/contract';
import { readSetting, writeSetting } from './storage.ts';

export interface Photo {
  readonly mediaType: 'image/jpeg' | 'image/png' | 'image/webp';
  readonly bytes: ArrayBuffer;
}

/** Longest side that is kept: a nail in a kerb is seen at that. */
const LONGEST_PX = 1600;
const QUALITY = 0.85;
const KNOWN: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp']);

const address = (site: string, id: string): string => `/api/v1/sites/${site}/images/${id}`;
const waitingKey = (site: string): string => `photos waiting ${site}`;
const photoKey = (id: string): string => `photo ${id}`;

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
export async function keepPhoto(site: string, id: string, photo: Photo): Promise<string | null> {
  await writeSetting(photoKey(id), photo);
  await writeSetting(waitingKey(site), [...((await readSetting<string[]>(waitingKey(site))) ?? []), id]);
  return sendPhotos(site);
}

/** Sends what waits; the first refusal or a server that is away ends it. */
export async function sendPhotos(site: string): Promise<string | null> {
  for (const id of (await readSetting<string[]>(waitingKey(site))) ?? []) {
    const photo = await readSetting<Photo>(photoKey(id));
    if (photo) {
      try {
        const response = await fetch(address(site, id), { method: 'PUT', headers: { 'Content-Type': photo.mediaType }, body: photo.bytes });
        if (!response.ok) return ((await response.json()) as { detail?: string }).detail ?? 'The server did not take the photo.';
      } catch {
        return 'The server does not answer: the photo waits in this browser and goes out by itself.';
      }
      await writeSetting(photoKey(id), null);
    }
    await writeSetting(
      waitingKey(site),
      ((await readSetting<string[]>(waitingKey(site))) ?? []).filter((each) => each !== id),
    );
  }
  return null;
}

/** Where a photo is shown from: this browser while it waits, else the server. */
export async function photoAddress(site: string, id: string): Promise<string> {
  const waiting = await readSetting<Photo | null>(photoKey(id));
  return waiting ? URL.createObjectURL(new Blob([waiting.bytes], { type: waiting.mediaType })) : address(site, id);
}

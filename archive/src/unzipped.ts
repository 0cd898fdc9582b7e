/**
 * The files of an archive piece by piece, as they are unpacked. An archive is made by whoever sends it: how many files,
 * how large each, and how much comes out of how little is limited, so that none fills the memory.
 */
import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { LARGEST_DRAWING_BYTES, LARGEST_IMAGE_BYTES } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { FACTS, MANIFEST, refused, SHEETS } from './manifest.ts';

export interface Part {
  readonly path: string;
  readonly bytes: Uint8Array;
  /** The last of this file. */
  readonly final: boolean;
}

const MIB = 1024 * 1024;
const MOST_FILES = 50_000;
const LARGEST_TEXT = 1024 * MIB;
const LARGEST_MANIFEST = 16 * MIB;
/** Lines of entries come to about a tenth when they are packed; what grows more than this was made to. */
const MOST_TIMES = 200;
/** Short files are packed by chance as well as they are by intent. */
const RATIO_FROM = MIB;
/** Unpacked at once: a piece of this size can’t become more than a thousand times as much. */
const PIECE = 8 * 1024;

function largest(path: string): number {
  if (path === MANIFEST) return LARGEST_MANIFEST;
  if (path === FACTS || path === SHEETS) return LARGEST_TEXT;
  return path.startsWith('images/') ? LARGEST_IMAGE_BYTES : LARGEST_DRAWING_BYTES;
}

/** Throws INVALID_ARCHIVE for what is none, is damaged, or comes to more than an archive may. */
export async function* unzipped(stream: AsyncIterable<Uint8Array>): AsyncGenerator<Part> {
  const done: Part[] = [];
  const limits = { came: 0, unpacked: 0, files: 0, open: 0 };
  let failure: Error | null = null;
  const fail = (what: string) => (failure ??= refused(what));
  const unzip = new Unzip((file) => {
    const path = file.name;
    let size = 0;
    limits.open++;
    if (++limits.files > MOST_FILES) fail(msg('answers.theArchiveHoldsMoreThanFiles', { mostFiles: MOST_FILES }));
    file.ondata = (error, bytes, final) => {
      if (error) fail(msg('answers.ofTheArchiveCantBeUnpackedThe', { path }));
      if (failure) return;
      size += bytes.length;
      limits.unpacked += bytes.length;
      if (size > largest(path)) fail(msg('answers.ofTheArchiveIsLargerThanSuch', { path }));
      else if (limits.unpacked > RATIO_FROM + MOST_TIMES * limits.came)
        fail(msg('answers.ofTheArchiveUnpacksToFarMore', { path }));
      if (failure) return;
      if (final) limits.open--;
      done.push({ path, bytes, final });
    };
    if (!failure) file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  const push = (bytes: Uint8Array, final: boolean) => {
    try {
      unzip.push(bytes, final);
    } catch {
      fail(msg('answers.thisIsNoZipFileThatCan'));
    }
    if (failure) throw failure;
  };
  for await (const piece of pieces(stream)) {
    limits.came += piece.length;
    push(piece, false);
    yield* done.splice(0);
  }
  if (limits.came > 0) push(new Uint8Array(0), true);
  yield* done.splice(0);
  if (limits.came === 0 || limits.open > 0) throw refused(msg('answers.theArchiveEndsBeforeAllOfIt'));
}

async function* pieces(stream: AsyncIterable<Uint8Array>): AsyncGenerator<Uint8Array> {
  for await (const bytes of stream)
    for (let at = 0; at < bytes.length; at += PIECE) yield bytes.subarray(at, at + PIECE);
}

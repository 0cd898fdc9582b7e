/** A file that a design is taken from: read whole, its size and kind told apart before anything is made of it. */
import { fail, ok, type LengthUnit, type Result } from '@idle-marker/core';
import { LARGEST_UPLOAD_BYTES } from '@idle-marker/contract';
import { gridFromLines, textOf, type Drawing, type DrawnGrid } from '@idle-marker/formats';
import { controlFileWords } from '@idle-marker/words';

/** The text of a file, or why there is none. */
export async function textOfFile(file: File): Promise<Result<string, string>> {
  if (file.size > LARGEST_UPLOAD_BYTES) return fail(`${file.name} is over ${LARGEST_UPLOAD_BYTES / 1024 / 1024} MB: take out what is not needed.`);
  const text = textOf(new Uint8Array(await file.arrayBuffer()));
  return text.ok ? ok(text.value) : fail(controlFileWords(text.error));
}

/** Layers whose lines run in just two directions. */
export const gridsOf = ({ lines, texts }: Drawing, unit: LengthUnit): DrawnGrid[] =>
  [...new Set(lines.map((line) => line.layer))].flatMap((layer) => {
    const grid = gridFromLines(layer, lines, texts, unit);
    return grid.ok ? [grid.value] : [];
  });

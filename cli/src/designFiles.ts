/** Design files beside a case: LandXML, read as the application reads it. */
import { readFileSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { fail, ok } from '@idle-marker/core';
import type { OpenDesignFile } from '@idle-marker/contract';
import { readLandXml } from '@idle-marker/formats';
import { landXmlFaultWords, landXmlWarningWords } from '@idle-marker/words';

const LARGEST_DESIGN_BYTES = 1024 * 1024 * 1024;

/** @param folder of the case: its files lie beside it, and nowhere else is looked */
export const designFilesIn =
  (folder: string): OpenDesignFile =>
  (name) => {
    if (basename(name) !== name || name === '..' || name === '.') return fail('name a file that lies beside the case, without a path');
    const path = join(folder, name);
    let bytes: Uint8Array;
    try {
      if (statSync(path).size > LARGEST_DESIGN_BYTES) return fail('it is over 1 GiB: split it');
      bytes = readFileSync(path);
    } catch (cause) {
      return fail(
        (cause as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file beside the case' : `it can't be read: ${(cause as Error).message}`,
      );
    }
    const design = readLandXml(bytes);
    if (!design.ok) return fail(landXmlFaultWords(design.error));
    const { unit, linearUnit, alignments, surfaces, warnings } = design.value;
    return ok({
      linearUnit,
      metresPerUnit: unit.metres,
      alignments,
      surfaces: surfaces.map(({ layer, triangles }) => ({ name: layer, triangles })),
      warnings: warnings.map(landXmlWarningWords),
    });
  };

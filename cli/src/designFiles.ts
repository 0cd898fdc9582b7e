/** Design files beside a case: LandXML, read as the application reads it. */
import { readFileSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { fail, ok } from '@idle-marker/core';
import type { OpenDesignFile } from '@idle-marker/contract';
import { readLandXml } from '@idle-marker/formats';
import { msg, landXmlFaultWords, landXmlWarningWords } from '@idle-marker/words';

const LARGEST_DESIGN_BYTES = 1024 * 1024 * 1024;

/** @param folder of the case: its files lie beside it, and nowhere else is looked */
export const designFilesIn =
  (folder: string): OpenDesignFile =>
  (name) => {
    if (basename(name) !== name || name === '..' || name === '.')
      return fail(msg('commands.nameAFileThatLiesBesideThe'));
    const path = join(folder, name);
    let bytes: Uint8Array;
    try {
      if (statSync(path).size > LARGEST_DESIGN_BYTES) return fail(msg('commands.itIsOver1GibSplitIt'));
      bytes = readFileSync(path);
    } catch (cause) {
      return fail(
        (cause as NodeJS.ErrnoException).code === 'ENOENT'
          ? msg('commands.thereIsNoSuchFileBesideThe')
          : msg('commands.itCantBeRead', { message: (cause as Error).message }),
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

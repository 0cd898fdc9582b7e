/**
 * All that a contractor starts from in one file: the sheet, its sketch, the control that it hangs on, and the photos of
 * its marks.
 */
import { zipSync, type Zippable } from 'fflate';
import type { EntityManager } from '@mikro-orm/postgresql';
import { controlCsv, type SiteAbout } from '@idle-marker/formats';
import { fileWord, SKETCH_OPTIONS } from '@idle-marker/paper';
import { sheetCsv, sheetPdf, sheetXlsx, sketchPdf, type Progress } from '@idle-marker/press';
import { controlListVersion, sitePaper, type NumberedSheet, type SiteState } from '@idle-marker/records';
import { photoOf } from '../database/files.ts';

export interface SheetSource {
  readonly em: EntityManager;
  readonly site: string;
  readonly state: SiteState;
  readonly notices: readonly string[];
  /** What files say that are written of the site as it stands now. */
  readonly about: SiteAbout;
}

const ENDING: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };
/** More photos than this are looked at on the site itself. */
const MOST_PHOTOS = 200;

export async function handoverPackage(
  sheet: NumberedSheet,
  { em, site, state, notices, about }: SheetSource,
  progress: Progress,
): Promise<Buffer> {
  const name = `cut-sheet-${sheet.number}-revision-${sheet.revision}`;
  const text = (content: string) => new TextEncoder().encode(content);
  const used = new Set(sheet.stations.flatMap((station) => station.marks));
  const files: Zippable = {
    [`${name}.pdf`]: await sheetPdf(sheet, { notices, progress }),
    [`${name}.csv`]: text(sheetCsv(sheet)),
    [`${name}.xlsx`]: await sheetXlsx(sheet, notices),
    'sketch.pdf': await sketchPdf(sheet, { ...SKETCH_OPTIONS, paper: sitePaper(sheet) === 'A4' ? 'A3' : 'tabloid' }),
    // As it stands now; the sheet says which of it was used.
    [`control-v${controlListVersion(state).version}.csv`]: text(
      controlCsv(
        state.control.map((mark) => mark.revision.body).filter((body) => used.has(body.name)),
        about,
      ),
    ),
  };
  const photos = sheet.rows.flatMap((row) =>
    (state.photos.get(row.mark) ?? []).map((photo, i) => ({ photo, name: `${fileWord(row.name)}-${i + 1}` })),
  );
  for (const { photo, name: photoName } of photos.slice(0, MOST_PHOTOS)) {
    const image = await photoOf(em, site, photo.body.image);
    // Pictures are compressed as they are.
    if (image) files[`photos/${photoName}.${ENDING[image.mediaType] ?? 'bin'}`] = [image.bytes, { level: 0 }];
  }
  return Buffer.from(zipSync(files));
}

/** What an archive of a site is, and reading it: held to every rule, whoever keeps what is in it. */
export {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  ArchiveRefused,
  FACTS,
  LONGEST_NAME,
  MANIFEST,
  SHEETS,
  type Manifest,
} from './manifest.ts';
export { archiveInMemory, type ArchiveContent } from './inMemory.ts';
export { imageTypeOf, type ImageType } from './imageType.ts';
export { readArchive, type ArchivedFact, type ArchivedFile, type ArchiveKeeper } from './readArchive.ts';
export type { SheetLine } from './sheetLine.ts';
export { isTimeZone } from './timeZone.ts';

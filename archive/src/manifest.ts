/**
 * What an archive of a site is: a ZIP file (APPNOTE of its inventor) with a list of contents that tells whether any of
 * them was changed.
 */
import { closed, Type, Uuid } from '@idle-marker/contract';

export const ARCHIVE_FORMAT = 'idle-marker site archive';
/**
 * The second form has what a server put beside the facts, and which of them are quarantined; what has neither is
 * written in the first.
 */
export const ARCHIVE_VERSION = 2;
export const MANIFEST = 'manifest.json';
export const FACTS = 'facts.jsonl';
export const SHEETS = 'sheets.jsonl';

export const LONGEST_NAME = 80;

export const ManifestSchema = closed({
  format: Type.Literal(ARCHIVE_FORMAT),
  version: Type.Integer({ minimum: 1 }),
  site: Uuid,
  name: Type.String({ maxLength: LONGEST_NAME }),
  /** Facts that were kept before a rule held for them. */
  quarantined: Type.Optional(Type.Array(Uuid, { maxItems: 100_000 })),
  /** SHA-256 of every other file, by its path. */
  files: Type.Record(Type.String({ maxLength: 120 }), Type.String({ pattern: '^[0-9a-f]{64}$' })),
});

export interface Manifest {
  readonly format: typeof ARCHIVE_FORMAT;
  readonly version: number;
  readonly site: string;
  readonly name: string;
  readonly quarantined?: readonly string[];
  readonly files: Readonly<Record<string, string>>;
}

/** Why an archive can't be taken, in words. */
export class ArchiveRefused extends Error {}

export const refused = (what: string): ArchiveRefused => new ArchiveRefused(what);

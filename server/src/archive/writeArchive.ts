/**
 * A whole site as one file: its facts in order of arrival, its sheets as they were issued, and its photos and drawings.
 */
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  FACTS,
  LONGEST_NAME,
  MANIFEST,
  SHEETS,
  type Manifest,
} from '@idle-marker/archive';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { canonicalJson, digestOfBytes, quarantinedAmong, type Fact, type StoredFact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { bytesOf, filesOf, type FileTable } from '../database/files.ts';
import { sheetsForArchive } from '../database/sheets.ts';
import { readAllFacts } from '../facts/ledger.ts';
import { ProblemError } from '../http/problems.ts';
/** Files beside the ledger: their table and their folder in the archive. */
const BESIDE = [
  { table: 'image', folder: 'images' },
  { table: 'source_file', folder: 'sources' },
] as const;
/** The same site gives the same bytes: no file carries the time of its writing. */
const NO_TIME = new Date(1980, 0, 1);

const factLine = ({ id, type, at, device, seq, by, body, orderedAt }: StoredFact): string =>
  canonicalJson({ id, type, at, device, seq, by, body, orderedAt });

interface SheetRecord {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly content: object;
  readonly issuedAt: string;
}

/** Writes the archive piece by piece; `put` is awaited, so that a slow reader is not buried. */
export async function writeArchive(
  em: EntityManager,
  site: string,
  put: (bytes: Uint8Array) => Promise<void>,
): Promise<void> {
  const facts = await readAllFacts(em, site);
  const settings = facts.findLast((fact): fact is StoredFact & Fact<'site'> => fact.type === 'site');
  if (!settings) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchSite'));
  const sheets = await sheetsForArchive<SheetRecord['content']>(em, site);
  const texts: Record<string, string> = {
    [FACTS]: facts.map((fact) => `${factLine(fact)}\n`).join(''),
    [SHEETS]: sheets.map((sheet) => `${canonicalJson(sheet)}\n`).join(''),
  };
  const files: Record<string, string> = Object.fromEntries(
    Object.entries(texts).map(([name, text]) => [name, digestOfBytes(Buffer.from(text))]),
  );
  const beside: { readonly table: FileTable; readonly id: string; readonly path: string }[] = [];
  for (const { table, folder } of BESIDE)
    for (const { id, digest } of await filesOf(em, table, site)) {
      beside.push({ table, id, path: `${folder}/${id}` });
      files[`${folder}/${id}`] = digest;
    }
  const quarantined = quarantinedAmong(facts).map(({ fact }) => fact.id);
  const isPlain = quarantined.length === 0 && facts.every(({ orderedAt }) => orderedAt === undefined);
  const manifest: Manifest = {
    format: ARCHIVE_FORMAT,
    version: isPlain ? 1 : ARCHIVE_VERSION,
    site,
    name: settings.body.name.slice(0, LONGEST_NAME),
    ...(quarantined.length > 0 ? { quarantined } : {}),
    files,
  };

  const written: Uint8Array[] = [];
  let failure: Error | null = null;
  const zip = new Zip((error, part) => {
    if (error) failure = error;
    else written.push(part);
  });
  const flush = async () => {
    if (failure) throw failure;
    for (const part of written.splice(0)) await put(part);
  };
  const text = async (name: string, content: string) => {
    const file = new ZipDeflate(name, { level: 6 });
    file.mtime = NO_TIME;
    zip.add(file);
    file.push(Buffer.from(content), true);
    await flush();
  };
  await text(MANIFEST, `${canonicalJson(manifest)}\n`);
  for (const [name, content] of Object.entries(texts)) await text(name, content);
  for (const { table, id, path } of beside) {
    const bytes = await bytesOf(em, table, id);
    const file = new ZipPassThrough(path);
    file.mtime = NO_TIME;
    zip.add(file);
    file.push(bytes, true);
    await flush();
  }
  zip.end();
  await flush();
}

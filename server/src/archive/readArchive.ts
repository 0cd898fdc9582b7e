/**
 * An archive read back: everything is checked against its list of contents and against the rules that hold for facts that
 * come one by one. All of it is taken in, or nothing.
 */
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { Unzip, UnzipInflate, UnzipPassThrough } from 'fflate';
import { invalidAgainst, invalidFact, LARGEST_DRAWING_BYTES, LARGEST_IMAGE_BYTES, type AnyFact } from '@idle-marker/contract';
import { query } from '../database/query.ts';
import { appendFacts } from '../facts/ledger.ts';
import { ProblemError } from '../http/problems.ts';
import { imageTypeOf } from '../images/sniff.ts';
import { ARCHIVE_VERSION, digestOfBytes, FACTS, MANIFEST, ManifestSchema, SHEETS, type Manifest } from './manifest.ts';

/** The most that one file may come to, by what it is: an archive may not fill the memory. */
const LARGEST_TEXT = 512 * 1024 * 1024;
const UUID = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
const BESIDE_PATH = new RegExp(`^(images|sources)/(${UUID})$`);
/** Facts a statement. */
const AT_ONCE = 1000;

const refused = (what: string): ProblemError => new ProblemError('INVALID_ARCHIVE', `${what} Nothing was written.`);

const largest = (path: string): number =>
  path.startsWith('images/') ? LARGEST_IMAGE_BYTES : path.startsWith('sources/') ? LARGEST_DRAWING_BYTES : LARGEST_TEXT;

/** Files of the archive as they end, in its order. Throws what says that it is none. */
async function* filesOf(stream: AsyncIterable<Uint8Array>): AsyncGenerator<{ readonly path: string; readonly bytes: Buffer }> {
  const done: { path: string; bytes: Buffer }[] = [];
  let open = 0;
  let failure: Error | null = null;
  const unzip = new Unzip((file) => {
    const path = file.name;
    const parts: Uint8Array[] = [];
    let size = 0;
    open++;
    file.ondata = (error, part, final) => {
      if (error) failure ??= refused(`${path} of the archive can’t be unpacked: the file is damaged.`);
      if (failure) return;
      size += part.length;
      if (size > largest(path)) {
        failure = refused(`${path} of the archive is larger than such a file may be.`);
        return;
      }
      parts.push(part);
      if (final) {
        open--;
        done.push({ path, bytes: Buffer.concat(parts) });
      }
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  let any = false;
  for await (const part of stream) {
    any = true;
    try {
      unzip.push(part);
    } catch {
      failure ??= refused('This is no ZIP file that can be read, or it is damaged.');
    }
    if (failure) throw failure;
    yield* done.splice(0);
  }
  try {
    if (any) unzip.push(new Uint8Array(0), true);
  } catch {
    failure ??= refused('This is no ZIP file that can be read, or it is damaged.');
  }
  if (failure) throw failure;
  yield* done.splice(0);
  if (!any || open > 0) throw refused('The archive ends before all of it has come.');
}

export interface ArchiveTaken {
  readonly site: string;
  readonly name: string;
  /** Facts that were not here yet. */
  readonly facts: number;
  readonly files: number;
}

export async function readArchive(orm: MikroORM, stream: AsyncIterable<Uint8Array>): Promise<ArchiveTaken> {
  return orm.em.fork().transactional(async (em) => {
    let manifest: Manifest | null = null;
    const seen = new Set<string>();
    let facts = 0;
    let files = 0;
    for await (const { path, bytes } of filesOf(stream)) {
      if (manifest === null) {
        manifest = manifestOf(path, bytes);
        continue;
      }
      const digest = manifest.files[path];
      if (digest === undefined) throw refused(`${path} is not on the archive’s list of contents: somebody has put it there.`);
      if (digestOfBytes(bytes) !== digest) throw refused(`${path} is not as it was written: the archive was changed, or damaged on its way.`);
      seen.add(path);
      if (path === FACTS) facts = await takeFacts(em, manifest.site, bytes);
      else if (path === SHEETS) await takeSheets(em, manifest.site, bytes);
      else files += await takeBeside(em, manifest.site, path, bytes, digest);
    }
    if (manifest === null) throw refused('This is no archive of a site: it has no list of contents.');
    const missing = Object.keys(manifest.files).find((path) => !seen.has(path));
    if (missing) throw refused(`${missing} is on the archive’s list of contents, but not in it.`);
    return { site: manifest.site, name: manifest.name, facts, files };
  });
}

function parsed(path: string, text: string, line?: number): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw refused(`${path}${line === undefined ? '' : `, line ${line},`} is not JSON.`);
  }
}

function manifestOf(path: string, bytes: Buffer): Manifest {
  if (path !== MANIFEST) throw refused('This is no archive of a site: it does not begin with its list of contents.');
  const manifest = parsed(path, bytes.toString('utf8'));
  const invalid = invalidAgainst(ManifestSchema, manifest);
  if (invalid) throw refused(`The archive’s list of contents is not one: ${invalid.message}.`);
  const { version } = manifest as Manifest;
  if (version > ARCHIVE_VERSION) throw refused(`The archive was written by a later version of Idle Marker (form ${version}): take that one, or a newer one.`);
  return manifest as Manifest;
}

const linesOf = (bytes: Buffer): string[] =>
  bytes
    .toString('utf8')
    .split('\n')
    .filter((line) => line !== '');

async function takeFacts(em: EntityManager, site: string, bytes: Buffer): Promise<number> {
  const facts = linesOf(bytes).map((text, i): AnyFact => {
    const fact = parsed(FACTS, text, i + 1);
    const invalid = invalidFact(fact);
    if (invalid) throw refused(`${FACTS}, line ${i + 1}: ${invalid.message} (${invalid.path || 'the fact itself'}).`);
    return fact as AnyFact;
  });
  if (!facts.some((fact) => fact.type === 'site')) throw refused(`${FACTS} does not say what site it is of.`);
  let written = 0;
  try {
    for (let i = 0; i < facts.length; i += AT_ONCE) written += (await appendFacts(em, site, facts.slice(i, i + AT_ONCE))).written;
  } catch (error) {
    throw error instanceof ProblemError ? againstWhatIsHere(error, facts) : error;
  }
  return written;
}

/** The same site, gone on differently in two places, is told by what differs rather than by ids that nobody has ever seen. */
function againstWhatIsHere(error: ProblemError, facts: readonly AnyFact[]): ProblemError {
  const line = facts.findIndex((fact) => fact.id === error.about);
  const which = line < 0 ? '' : ` (line ${line + 1} of ${FACTS}: ${facts[line]!.type} of ${facts[line]!.at.slice(0, 16).replace('T', ' ')} UTC)`;
  switch (error.code) {
    case 'CONFLICT':
    case 'SEQUENCE_TAKEN':
      return new ProblemError(
        error.code,
        `This site is here already, and tells something else than the archive${which}. Entries are never changed, so the two can’t be put together: open the archive on a server that does not have the site. Nothing was written.`,
      );
    case 'MISSING_REFERENCE':
      return refused(`An entry in ${FACTS} refers to another that is neither in the archive nor here.`);
    default:
      return error;
  }
}

interface SheetLine {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly content: object;
  readonly issuedAt: string;
}

const isSheet = (line: unknown): line is SheetLine => {
  const { id, number, revision, content, issuedAt } = line as Record<string, unknown>;
  return (
    new RegExp(`^${UUID}$`).test(String(id)) &&
    Number.isInteger(number) &&
    Number.isInteger(revision) &&
    typeof content === 'object' &&
    content !== null &&
    !Number.isNaN(Date.parse(String(issuedAt)))
  );
};

async function takeSheets(em: EntityManager, site: string, bytes: Buffer): Promise<void> {
  for (const [i, text] of linesOf(bytes).entries()) {
    const sheet = parsed(SHEETS, text, i + 1);
    if (!isSheet(sheet)) throw refused(`${SHEETS}, line ${i + 1}, is no sheet.`);
    const [known] = await query<{ same: boolean }>(
      em,
      'select (site_id = ? and number = ? and revision = ? and content = ?::jsonb) as same from sheet where id = ?',
      [site, sheet.number, sheet.revision, JSON.stringify(sheet.content), sheet.id],
    );
    if (known && !known.same)
      throw new ProblemError('CONFLICT', `Cut sheet ${sheet.number}, revision ${sheet.revision}, is kept here with other content. Nothing was written.`);
    if (known) continue;
    await query(em, 'insert into sheet (id, site_id, number, revision, content, issued_at) values (?, ?, ?, ?, ?::jsonb, ?)', [
      sheet.id,
      site,
      sheet.number,
      sheet.revision,
      JSON.stringify(sheet.content),
      sheet.issuedAt,
    ]);
  }
}

/** A photo or a drawing; gives how many were written. */
async function takeBeside(em: EntityManager, site: string, path: string, bytes: Buffer, digest: string): Promise<number> {
  const [, folder, id] = BESIDE_PATH.exec(path) ?? [];
  if (!folder || !id) throw refused(`${path} is nothing that belongs in an archive.`);
  const table = folder === 'images' ? 'image' : 'source_file';
  const [known] = await query<{ digest: string; siteId: string }>(em, `select digest, site_id as "siteId" from ${table} where id = ?`, [id]);
  if (known) {
    if (known.digest !== digest || known.siteId !== site) throw new ProblemError('CONFLICT', `${path} is kept here with other content. Nothing was written.`);
    return 0;
  }
  if (table === 'image') {
    const mediaType = imageTypeOf(bytes);
    if (mediaType === null) throw refused(`${path} is no JPEG, PNG or WebP picture.`);
    await query(em, 'insert into image (id, site_id, media_type, digest, bytes) values (?, ?, ?, ?, ?)', [id, site, mediaType, digest, bytes]);
  } else await query(em, 'insert into source_file (id, site_id, digest, bytes) values (?, ?, ?, ?)', [id, site, digest, bytes]);
  return 1;
}

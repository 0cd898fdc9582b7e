/** Photos and files of designs: kept whole beside the ledger under their id, and never changed. */
import { createHash } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { query } from './query.ts';
import { isSite } from './sites.ts';

/** The tables of what is kept beside the ledger. */
export type FileTable = 'image' | 'source_file';

export interface Photo {
  readonly mediaType: string;
  readonly bytes: Buffer;
}

/** The digest that a file is known by. */
export const digestOfFile = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

/**
 * Keeps a file under its id: `written`, or `known` where it is there already with the same bytes; `other` where another
 * is kept under this id, `homeless` where the site has not arrived. A photo says what kind of picture it is.
 */
export async function keepFile(
  em: EntityManager,
  table: FileTable,
  file: {
    readonly site: string;
    readonly id: string;
    readonly bytes: Buffer;
    readonly digest: string;
    readonly mediaType?: string | undefined;
  },
): Promise<'written' | 'known' | 'other' | 'homeless'> {
  const { site, id, bytes, digest } = file;
  const [known] = await query<{ digest: string; siteId: string }>(
    em,
    `select digest, site_id as "siteId" from ${table} where id = ?`,
    [id],
  );
  if (known) return known.digest === digest && known.siteId === site ? 'known' : 'other';
  if (!(await isSite(em, site))) return 'homeless';
  if (table === 'image')
    await query(em, 'insert into image (id, site_id, media_type, digest, bytes) values (?, ?, ?, ?, ?)', [
      id,
      site,
      file.mediaType,
      digest,
      bytes,
    ]);
  else
    await query(em, 'insert into source_file (id, site_id, digest, bytes) values (?, ?, ?, ?)', [
      id,
      site,
      digest,
      bytes,
    ]);
  return 'written';
}

export const photoOf = async (em: EntityManager, site: string, id: string): Promise<Photo | undefined> =>
  (
    await query<Photo>(em, 'select media_type as "mediaType", bytes from image where id = ? and site_id = ?', [
      id,
      site,
    ])
  )[0];

/** Those of some photos that a PDF can hold by their kind. */
export const photosForPrint = (
  em: EntityManager,
  site: string,
  ids: readonly string[],
): Promise<{ id: string; bytes: Buffer }[]> =>
  query(
    em,
    "select id, bytes from image where id = any(?::uuid[]) and site_id = ? and media_type in ('image/jpeg', 'image/png')",
    [ids, site],
  );

export const sourceFileOf = async (em: EntityManager, site: string, id: string): Promise<Buffer | undefined> =>
  (await query<{ bytes: Buffer }>(em, 'select bytes from source_file where id = ? and site_id = ?', [id, site]))[0]
    ?.bytes;

/** All that is kept beside a site's ledger, without its bytes. */
export const filesOf = (em: EntityManager, table: FileTable, site: string): Promise<{ id: string; digest: string }[]> =>
  query(em, `select id, digest from ${table} where site_id = ? order by id`, [site]);

export const bytesOf = async (em: EntityManager, table: FileTable, id: string): Promise<Buffer> =>
  (await query<{ bytes: Buffer }>(em, `select bytes from ${table} where id = ?`, [id]))[0]!.bytes;

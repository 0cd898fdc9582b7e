/** Issued sheets: numbered, frozen, never changed. */
import type { EntityManager } from '@mikro-orm/postgresql';
import { query } from './query.ts';

export interface SheetRow<Content> {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly content: Content;
}

export const sheetsOf = <Content>(em: EntityManager, site: string): Promise<SheetRow<Content>[]> =>
  query(em, 'select id, number, revision, content from sheet where site_id = ? order by number, revision', [site]);

/** The same with the instant of issue, as it stands in an archive. */
export const sheetsForArchive = <Content>(
  em: EntityManager,
  site: string,
): Promise<(SheetRow<Content> & { readonly issuedAt: string })[]> =>
  query(
    em,
    `select id, number, revision, content, to_char(issued_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as "issuedAt" from sheet where site_id = ? order by number, revision`,
    [site],
  );

export const insertSheet = (
  em: EntityManager,
  site: string,
  { id, number, revision, content }: SheetRow<unknown>,
  issuedAt: string,
): Promise<unknown> =>
  query(em, 'insert into sheet (id, site_id, number, revision, content, issued_at) values (?, ?, ?, ?, ?::jsonb, ?)', [
    id,
    site,
    number,
    revision,
    JSON.stringify(content),
    issuedAt,
  ]);

/** Whether a sheet of this id is kept with the same number, revision and content; null where none is. */
export async function isSheetSame(
  em: EntityManager,
  site: string,
  { id, number, revision, content }: SheetRow<unknown>,
): Promise<boolean | null> {
  const [row] = await query<{ same: boolean }>(
    em,
    'select (site_id = ? and number = ? and revision = ? and content = ?::jsonb) as same from sheet where id = ?',
    [site, number, revision, JSON.stringify(content), id],
  );
  return row ? row.same : null;
}

/** Whether an entry says that a sheet was handed over under this number. */
export const isHandedOver = async (
  em: EntityManager,
  site: string,
  { id, number, revision }: Omit<SheetRow<unknown>, 'content'>,
): Promise<boolean> =>
  (
    await query(
      em,
      `select id from fact where site_id = ? and type = 'handover' and body->>'sheet' = ? and body->>'number' = ? and body->>'revision' = ?`,
      [site, id, String(number), String(revision)],
    )
  ).length > 0;

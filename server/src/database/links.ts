/** Links of crews. */
import type { EntityManager } from '@mikro-orm/postgresql';
import { query } from './query.ts';

export interface LinkRow {
  readonly id: string;
  readonly site: string;
  readonly token: string;
  readonly label: string;
  /** Whom the crew asks. */
  readonly who: string;
  /** First revisions of packages; null for all. */
  readonly roots: readonly string[] | null;
  /** As whom its reports are kept. */
  readonly member: string;
  readonly createdAt: Date;
  readonly expiresAt: Date;
  readonly revokedAt: Date | null;
}

/** As the database gives it: instants come as text. */
type Row = Omit<LinkRow, 'createdAt' | 'expiresAt' | 'revokedAt'> & {
  readonly createdAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};

const linkOf = (row: Row): LinkRow => ({
  ...row,
  createdAt: new Date(row.createdAt),
  expiresAt: new Date(row.expiresAt),
  revokedAt: row.revokedAt === null ? null : new Date(row.revokedAt),
});

const COLUMNS = `id, site_id as "site", token, label, who, roots, member_id as "member", created_at as "createdAt", expires_at as "expiresAt", revoked_at as "revokedAt"`;

export const linksOf = async (em: EntityManager, site: string): Promise<LinkRow[]> =>
  (await query<Row>(em, `select ${COLUMNS} from crew_link where site_id = ? order by created_at, id`, [site])).map(
    linkOf,
  );

/** Writes a link; undefined where the id is used already. */
export async function insertLink(em: EntityManager, link: Omit<LinkRow, 'revokedAt'>): Promise<LinkRow | undefined> {
  const [row] = await query<Row>(
    em,
    `insert into crew_link (id, site_id, token, label, who, roots, member_id, created_at, expires_at) values (?, ?, ?, ?, ?, ?::uuid[], ?, ?, ?)
       on conflict (id) do nothing returning ${COLUMNS}`,
    [link.id, link.site, link.token, link.label, link.who, link.roots, link.member, link.createdAt, link.expiresAt],
  );
  return row && linkOf(row);
}

/** Ends a link; one that has ended stays as it ended. */
export const endLink = (em: EntityManager, site: string, id: string, now: Date): Promise<unknown> =>
  query(em, 'update crew_link set revoked_at = coalesce(revoked_at, ?) where id = ? and site_id = ?', [now, id, site]);

export async function linkOfToken(em: EntityManager, token: string): Promise<LinkRow | undefined> {
  const [row] = await query<Row>(em, `select ${COLUMNS} from crew_link where token = ?`, [token]);
  return row && linkOf(row);
}

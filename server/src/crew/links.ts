/**
 * Links for crews: made with a token that nobody guesses, ended by a day or by hand. They are no facts: an archive must
 * not hand them on.
 */
import { randomBytes, randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import { msg } from '@idle-marker/words';
import { query } from '../database/query.ts';
import { ProblemError } from '../http/problems.ts';

export interface CrewLink {
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
type Row = Omit<CrewLink, 'createdAt' | 'expiresAt' | 'revokedAt'> & {
  readonly createdAt: string;
  readonly expiresAt: string;
  readonly revokedAt: string | null;
};

const linkOf = (row: Row): CrewLink => ({
  ...row,
  createdAt: new Date(row.createdAt),
  expiresAt: new Date(row.expiresAt),
  revokedAt: row.revokedAt === null ? null : new Date(row.revokedAt),
});

const COLUMNS = `id, site_id as "site", token, label, who, roots, member_id as "member", created_at as "createdAt", expires_at as "expiresAt", revoked_at as "revokedAt"`;

export interface LinkAsked {
  readonly label: string;
  readonly who: string;
  readonly roots: readonly string[] | null;
  readonly days: number;
}

export const linksOf = async (em: EntityManager, site: string): Promise<CrewLink[]> =>
  (await query<Row>(em, `select ${COLUMNS} from crew_link where site_id = ? order by created_at, id`, [site])).map(
    linkOf,
  );

/** Makes a link once: the same id again gives the same link. */
export async function makeLink(
  em: EntityManager,
  site: string,
  id: string,
  asked: LinkAsked,
  now: Date,
): Promise<{ link: CrewLink; fresh: boolean }> {
  return em.transactional(async (transaction) => {
    const [owner] = await query(transaction, 'select id from site where id = ?', [site]);
    if (!owner) throw new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedYetNo'));
    const expires = new Date(now.getTime() + asked.days * 86_400_000);
    const made = await query<Row>(
      transaction,
      `insert into crew_link (id, site_id, token, label, who, roots, member_id, created_at, expires_at) values (?, ?, ?, ?, ?, ?::uuid[], ?, ?, ?)
       on conflict (id) do nothing returning ${COLUMNS}`,
      [
        id,
        site,
        randomBytes(16).toString('base64url'),
        asked.label,
        asked.who,
        asked.roots,
        randomUUID(),
        now,
        expires,
      ],
    );
    if (made[0]) return { link: linkOf(made[0]), fresh: true };
    const known = (await linksOf(transaction, site)).find((link) => link.id === id);
    if (!known) throw new ProblemError('CONFLICT', msg('answers.thisIdIsUsedOnAnotherSite'));
    return { link: known, fresh: false };
  });
}

/** Ends a link; one that has ended stays as it ended. */
export async function revokeLink(em: EntityManager, site: string, id: string, now: Date): Promise<CrewLink> {
  await query(em, 'update crew_link set revoked_at = coalesce(revoked_at, ?) where id = ? and site_id = ?', [
    now,
    id,
    site,
  ]);
  const link = (await linksOf(em, site)).find((each) => each.id === id);
  if (!link) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchLinkOnThis'));
  return link;
}

/**
 * The link of a token while it holds. One answer for all that do not: what does not exist is not told from what has
 * ended.
 */
export async function openLink(em: EntityManager, token: string, now: Date): Promise<CrewLink> {
  const [row] = /^[A-Za-z0-9_-]{22}$/.test(token)
    ? await query<Row>(em, `select ${COLUMNS} from crew_link where token = ?`, [token])
    : [];
  const link = row && linkOf(row);
  if (!link || link.revokedAt !== null || link.expiresAt.getTime() <= now.getTime())
    throw new ProblemError('LINK_ENDED', msg('answers.thisPageHasBeenClosedAskThe'));
  return link;
}

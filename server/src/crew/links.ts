/**
 * Links for crews: made with a token that nobody guesses, ended by a day or by hand. They are no facts: an archive must
 * not hand them on.
 */
import { randomBytes, randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/postgresql';
import type { CrewLinkAsked } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { endLink, insertLink, linkOfToken, linksOf, type LinkRow } from '../database/links.ts';
import { isSite } from '../database/sites.ts';
import { ProblemError } from '../http/problems.ts';

export type CrewLink = LinkRow;
export { linksOf };

/** Makes a link once: the same id again gives the same link. */
export async function makeLink(
  em: EntityManager,
  site: string,
  id: string,
  asked: CrewLinkAsked,
  now: Date,
): Promise<{ link: CrewLink; fresh: boolean }> {
  return em.transactional(async (transaction) => {
    if (!(await isSite(transaction, site)))
      throw new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedYetNo'));
    const made = await insertLink(transaction, {
      id,
      site,
      token: randomBytes(16).toString('base64url'),
      label: asked.label,
      who: asked.who,
      roots: asked.roots,
      member: randomUUID(),
      createdAt: now,
      expiresAt: new Date(now.getTime() + asked.days * 86_400_000),
    });
    if (made) return { link: made, fresh: true };
    const known = (await linksOf(transaction, site)).find((link) => link.id === id);
    if (!known) throw new ProblemError('CONFLICT', msg('answers.thisIdIsUsedOnAnotherSite'));
    return { link: known, fresh: false };
  });
}

/** Ends a link; one that has ended stays as it ended. */
export async function revokeLink(em: EntityManager, site: string, id: string, now: Date): Promise<CrewLink> {
  await endLink(em, site, id, now);
  const link = (await linksOf(em, site)).find((each) => each.id === id);
  if (!link) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchLinkOnThis'));
  return link;
}

/**
 * The link of a token while it holds. One answer for all that do not: what does not exist is not told from what has
 * ended.
 */
export async function openLink(em: EntityManager, token: string, now: Date): Promise<CrewLink> {
  const link = /^[A-Za-z0-9_-]{22}$/.test(token) ? await linkOfToken(em, token) : undefined;
  if (!link || link.revokedAt !== null || link.expiresAt.getTime() <= now.getTime())
    throw new ProblemError('LINK_ENDED', msg('answers.thisPageHasBeenClosedAskThe'));
  return link;
}

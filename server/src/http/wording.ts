/** Every request is answered in the wording of the site it is about. */
import { AsyncLocalStorage } from 'node:async_hooks';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql';
import { NORTH_AMERICAN, wordingFrom, type Wording } from '@idle-marker/words';
import { linkOfToken } from '../database/links.ts';
import { siteWording } from '../database/sites.ts';

const requests = new AsyncLocalStorage<Wording>();
wordingFrom(() => requests.getStore() ?? NORTH_AMERICAN);

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

const inWordingOf =
  (orm: MikroORM, siteOf: (em: EntityManager, request: Request) => Promise<string | null>): RequestHandler =>
  async (request: Request, _response: Response, next: NextFunction) => {
    const em = orm.em.fork();
    const site = await siteOf(em, request);
    requests.run((site && (await siteWording(em, site))) || NORTH_AMERICAN, next);
  };

/** For what stands under /sites/:site; an address that is none is told by whoever answers it. */
export const inWordingOfSite = (orm: MikroORM): RequestHandler =>
  inWordingOf(orm, (_em, { params }) => {
    const site = String(params['site']);
    return Promise.resolve(UUID.test(site) ? site : null);
  });

/** For what stands under /crew/:token. */
export const inWordingOfLink = (orm: MikroORM): RequestHandler =>
  inWordingOf(orm, async (em, { params }) => (await linkOfToken(em, String(params['token'])))?.site ?? null);

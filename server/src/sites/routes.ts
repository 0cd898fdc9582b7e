import { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { allSites } from '../database/sites.ts';

export function siteRoutes(orm: MikroORM): Router {
  const router = Router();
  router.get('/sites', async (_request, response) => {
    const rows = await allSites(orm.em.fork());
    response.json({ sites: rows.filter((row) => row.name !== null) });
  });
  return router;
}

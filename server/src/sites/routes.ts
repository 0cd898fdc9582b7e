import { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { query } from '../database/query.ts';

interface SiteLine {
  readonly id: string;
  readonly name: string;
  readonly lastAt: string | null;
}

/** The sites with the name each has now, the busiest of late first. */
const SITES = `select s.id,
    (select f.body->>'name' from fact f where f.site_id = s.id and f.type = 'site' order by coalesce(f.ordered_at, f.at) desc, f.device desc, f.seq desc limit 1) as name,
    (select max(coalesce(f.ordered_at, f.at)) from fact f where f.site_id = s.id) as "lastAt"
  from site s order by "lastAt" desc nulls last`;

export function siteRoutes(orm: MikroORM): Router {
  const router = Router();
  router.get('/sites', async (_request, response) => {
    const rows = await query<SiteLine>(orm.em.fork(), SITES);
    response.json({ sites: rows.filter((row) => row.name !== null) });
  });
  return router;
}

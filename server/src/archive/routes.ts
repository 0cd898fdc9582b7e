import { once } from 'node:events';
import { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { siteState } from '@idle-marker/records';
import { fileWord } from '@idle-marker/paper';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { ProblemError } from '../http/problems.ts';
import { ArchiveQueue, type ArchiveReader } from './archiveQueue.ts';
import { writeArchive } from './writeArchive.ts';

const ARCHIVE_TYPES = ['application/zip', 'application/x-zip-compressed', 'application/octet-stream'];

export function archiveRoutes(orm: MikroORM, read: ArchiveReader): Router {
  const router = Router();
  const queue = new ArchiveQueue(read);
  router.get('/sites/:site/archive', async (request, response) => {
    const site = uuidOf(request, 'site');
    const em = orm.em.fork();
    const facts = await readAllFacts(em, site);
    if (!facts.some((fact) => fact.type === 'site')) throw new ProblemError('NOT_FOUND', 'There is no such site.');
    response.setHeader('Content-Disposition', `attachment; filename="${fileWord(siteState(facts).settings.name)}.zip"`);
    response.type('application/zip');
    // One view of the site, whatever is written meanwhile.
    await em.transactional(
      (transaction) =>
        writeArchive(transaction, site, async (bytes) => {
          if (!response.write(bytes)) await once(response, 'drain');
        }),
      { isolationLevel: 'repeatable read' as never },
    );
    response.end();
  });
  router.post('/archives', async (request, response) => {
    if (!request.is(ARCHIVE_TYPES)) throw new ProblemError('UNSUPPORTED_TYPE', 'Send the archive as application/zip. Nothing was written.');
    const gone = new AbortController();
    response.once('close', () => gone.abort());
    try {
      response.status(201).json(await queue.take(request, gone.signal));
    } catch (error) {
      // Nobody is left to be told.
      if (!response.destroyed) throw error;
    }
  });
  return router;
}

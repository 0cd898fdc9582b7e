import { once } from 'node:events';
import { Router, type Response } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { siteState } from '@idle-marker/records';
import { fileWord } from '@idle-marker/paper';
import { msg } from '@idle-marker/words';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { ProblemError } from '../http/problems.ts';
import { ArchiveQueue, type ArchiveReader } from './archiveQueue.ts';
import { writeArchive } from './writeArchive.ts';

const ARCHIVE_TYPES = ['application/zip', 'application/x-zip-compressed', 'application/octet-stream'];

/** Once whoever asked is there no more, or has everything. */
function whenGone(response: Response): AbortSignal {
  const gone = new AbortController();
  response.once('close', () => gone.abort());
  return gone.signal;
}

export function archiveRoutes(orm: MikroORM, read: ArchiveReader): Router {
  const router = Router();
  const queue = new ArchiveQueue(read);
  router.get('/sites/:site/archive', async (request, response) => {
    const site = uuidOf(request, 'site');
    const em = orm.em.fork();
    const facts = await readAllFacts(em, site);
    if (!facts.some((fact) => fact.type === 'site'))
      throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchSite'));
    response.setHeader('Content-Disposition', `attachment; filename="${fileWord(siteState(facts).settings.name)}.zip"`);
    response.type('application/zip');
    // Whoever goes away in the middle must not keep a connection waiting for room that never comes.
    const gone = whenGone(response);
    // One view of the site, whatever is written meanwhile.
    const written = em.transactional(
      (transaction) =>
        writeArchive(transaction, site, async (bytes) => {
          if (!response.write(bytes)) await once(response, 'drain', { signal: gone });
          gone.throwIfAborted();
        }),
      { isolationLevel: 'repeatable read' as never },
    );
    await written.then(
      () => response.end(),
      (error: unknown) => {
        if (!gone.aborted) throw error;
      },
    );
  });
  router.post('/archives', async (request, response) => {
    if (!request.is(ARCHIVE_TYPES))
      throw new ProblemError('UNSUPPORTED_TYPE', msg('answers.sendTheArchiveAsApplicationZipNothing'));
    try {
      response.status(201).json(await queue.take(request, whenGone(response)));
    } catch (error) {
      // Nobody is left to be told.
      if (!response.destroyed) throw error;
    }
  });
  return router;
}

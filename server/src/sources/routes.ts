/**
 * Files that designs came in: kept whole beside the ledger, which says how each one is placed and what was taken from
 * it.
 */
import { createHash } from 'node:crypto';
import express, { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { LARGEST_DRAWING_BYTES } from '@idle-marker/contract';
import { drawingFormatOf } from '@idle-marker/formats';
import { msg, drawingWords } from '@idle-marker/words';
import { query } from '../database/query.ts';
import { ProblemError } from '../http/problems.ts';
import { uuidOf } from '../facts/routes.ts';

export async function keepSource(
  orm: MikroORM,
  site: string,
  id: string,
  bytes: Buffer,
): Promise<{ readonly fresh: boolean; readonly digest: string }> {
  const digest = createHash('sha256').update(bytes).digest('hex');
  const fresh = await orm.em.fork().transactional(async (em) => {
    const [known] = await query<{ digest: string; siteId: string }>(
      em,
      'select digest, site_id as "siteId" from source_file where id = ?',
      [id],
    );
    if (known) {
      if (known.digest !== digest || known.siteId !== site)
        throw new ProblemError('CONFLICT', msg('answers.anotherFileIsKeptUnderThisId'));
      return false;
    }
    const [owner] = await query<{ id: string }>(em, 'select id from site where id = ?', [site]);
    if (!owner) throw new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedYetSend2'));
    await query(em, 'insert into source_file (id, site_id, digest, bytes) values (?, ?, ?, ?)', [
      id,
      site,
      digest,
      bytes,
    ]);
    return true;
  });
  return { fresh, digest };
}

export function sourceRoutes(orm: MikroORM): Router {
  const router = Router();
  router.put(
    '/sites/:site/sources/:id',
    express.raw({ type: 'application/octet-stream', limit: LARGEST_DRAWING_BYTES }),
    async (request, response) => {
      const site = uuidOf(request, 'site');
      const id = uuidOf(request, 'id');
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes))
        throw new ProblemError('UNSUPPORTED_TYPE', msg('answers.sendTheFileAsApplicationOctetStream'));
      if (bytes.length === 0) throw new ProblemError('INVALID_FILE', msg('answers.theFileIsEmptyNothingWasWritten'));
      const format = drawingFormatOf(bytes);
      if (!format.ok)
        throw new ProblemError(
          'UNSUPPORTED_TYPE',
          msg('answers.nothingWasWritten3', { drawing: drawingWords(format.error) }),
        );
      const { fresh, digest } = await keepSource(orm, site, id, bytes);
      response.status(fresh ? 201 : 200).json({ id, digest, bytes: bytes.length });
    },
  );
  router.get('/sites/:site/sources/:id', async (request, response) => {
    const [file] = await query<{ bytes: Buffer }>(
      orm.em.fork(),
      'select bytes from source_file where id = ? and site_id = ?',
      [uuidOf(request, 'id'), uuidOf(request, 'site')],
    );
    if (!file) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchFileOnThis'));
    // Files never change under their id; a browser is to save them, not to show them.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.setHeader('Content-Disposition', 'attachment');
    response.type('application/octet-stream').send(file.bytes);
  });
  return router;
}

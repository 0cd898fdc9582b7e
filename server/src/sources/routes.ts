/**
 * Files that designs came in: kept whole beside the ledger, which says how each one is placed and what was taken from
 * it.
 */
import express, { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { LARGEST_DRAWING_BYTES } from '@idle-marker/contract';
import { drawingFormatOf } from '@idle-marker/formats';
import { msg, drawingWords } from '@idle-marker/words';
import { digestOfFile, keepFile, sourceFileOf } from '../database/files.ts';
import { ProblemError } from '../http/problems.ts';
import { uuidOf } from '../facts/routes.ts';

export async function keepSource(
  orm: MikroORM,
  site: string,
  id: string,
  bytes: Buffer,
): Promise<{ readonly fresh: boolean; readonly digest: string }> {
  const digest = digestOfFile(bytes);
  const kept = await orm.em.fork().transactional((em) => keepFile(em, 'source_file', { site, id, bytes, digest }));
  if (kept === 'other') throw new ProblemError('CONFLICT', msg('answers.anotherFileIsKeptUnderThisId'));
  if (kept === 'homeless') throw new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedYetSend2'));
  return { fresh: kept === 'written', digest };
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
    const file = await sourceFileOf(orm.em.fork(), uuidOf(request, 'site'), uuidOf(request, 'id'));
    if (!file) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchFileOnThis'));
    // Files never change under their id; a browser is to save them, not to show them.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.setHeader('Content-Disposition', 'attachment');
    response.type('application/octet-stream').send(file);
  });
  return router;
}

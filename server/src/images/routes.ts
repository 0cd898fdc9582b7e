/** Photographs of marks: kept whole beside the ledger, which only says which mark each one shows. */
import express, { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { LARGEST_IMAGE_BYTES } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { digestOfFile, keepFile, photoOf } from '../database/files.ts';
import { ProblemError } from '../http/problems.ts';
import { uuidOf } from '../facts/routes.ts';
import { imageTypeOf } from '@idle-marker/archive';

export function imageRoutes(orm: MikroORM): Router {
  const router = Router();
  router.put(
    '/sites/:site/images/:id',
    express.raw({ type: ['image/*', 'application/octet-stream'], limit: LARGEST_IMAGE_BYTES }),
    async (request, response) => {
      const site = uuidOf(request, 'site');
      const id = uuidOf(request, 'id');
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes))
        throw new ProblemError('UNSUPPORTED_TYPE', msg('answers.sendThePhotoAsThePictureThat'));
      if (bytes.length === 0) throw new ProblemError('INVALID_FILE', msg('answers.thePhotoIsEmptyNothingWasWritten'));
      const mediaType = imageTypeOf(bytes);
      if (mediaType === null) throw new ProblemError('UNSUPPORTED_TYPE', msg('answers.thisIsNoJpegPngOrWebp'));
      const digest = digestOfFile(bytes);
      const kept = await orm.em
        .fork()
        .transactional((em) => keepFile(em, 'image', { site, id, bytes, digest, mediaType }));
      if (kept === 'other') throw new ProblemError('CONFLICT', msg('answers.anotherPhotoIsKeptUnderThisId'));
      if (kept === 'homeless') throw new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedYetSend'));
      response.status(kept === 'written' ? 201 : 200).json({ id, mediaType, bytes: bytes.length });
    },
  );
  router.get('/sites/:site/images/:id', async (request, response) => {
    const image = await photoOf(orm.em.fork(), uuidOf(request, 'site'), uuidOf(request, 'id'));
    if (!image) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchPhotoOnThis2'));
    // Pictures never change under their id.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(image.mediaType).send(image.bytes);
  });
  return router;
}

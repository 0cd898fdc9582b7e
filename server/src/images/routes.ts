/** Photographs of marks: kept whole beside the ledger, which only says which mark each one shows. */
import { createHash } from 'node:crypto';
import express, { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { LARGEST_IMAGE_BYTES } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { query } from '../database/query.ts';
import { ProblemError } from '../http/problems.ts';
import { uuidOf } from '../facts/routes.ts';
import { imageTypeOf } from './sniff.ts';

interface ImageRecord {
  readonly mediaType: string;
  readonly bytes: Buffer;
}

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
      const digest = createHash('sha256').update(bytes).digest('hex');
      const fresh = await orm.em.fork().transactional(async (em) => {
        const [known] = await query<{ digest: string; siteId: string }>(
          em,
          'select digest, site_id as "siteId" from image where id = ?',
          [id],
        );
        if (known) {
          if (known.digest !== digest || known.siteId !== site)
            throw new ProblemError('CONFLICT', msg('answers.anotherPhotoIsKeptUnderThisId'));
          return false;
        }
        const [owner] = await query<{ id: string }>(em, 'select id from site where id = ?', [site]);
        if (!owner) throw new ProblemError('MISSING_REFERENCE', msg('answers.theSiteHasNotArrivedYetSend'));
        await query(em, 'insert into image (id, site_id, media_type, digest, bytes) values (?, ?, ?, ?, ?)', [
          id,
          site,
          mediaType,
          digest,
          bytes,
        ]);
        return true;
      });
      response.status(fresh ? 201 : 200).json({ id, mediaType, bytes: bytes.length });
    },
  );
  router.get('/sites/:site/images/:id', async (request, response) => {
    const found = await query<ImageRecord>(
      orm.em.fork(),
      'select media_type as "mediaType", bytes from image where id = ? and site_id = ?',
      [uuidOf(request, 'id'), uuidOf(request, 'site')],
    );
    const [image] = found;
    if (!image) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchPhotoOnThis2'));
    // Pictures never change under their id.
    response.setHeader('Cache-Control', 'private, max-age=31536000, immutable');
    response.type(image.mediaType).send(image.bytes);
  });
  return router;
}

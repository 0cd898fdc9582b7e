/** Files of raw sights are checked here: what the page may run has no place for checks that are made from schemas. */
import express, { Router } from 'express';
import { LARGEST_UPLOAD_BYTES, readRawSights } from '@idle-marker/contract';

/** Reads a file and gives what is in it, or what is wrong with it; nothing is kept. */
export function rawSightsRoutes(): Router {
  const router = Router();
  router.post('/raw-sights', express.text({ type: () => true, limit: LARGEST_UPLOAD_BYTES }), (request, response) => {
    response.json(readRawSights(typeof request.body === 'string' ? request.body : ''));
  });
  return router;
}

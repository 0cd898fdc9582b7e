/** Files of raw sights are checked here: what the page may run has no place for checks that are made from schemas. */
import express, { Router } from 'express';
import { LARGEST_UPLOAD_BYTES, readRawSights } from '@idle-marker/contract';
import { msg, rawSightsFaultWords } from '@idle-marker/words';
import { ProblemError, sendProblem } from '../http/problems.ts';

const LINES_OF_JSON = 'application/x-ndjson';

/** Reads a file and gives what is in it, or refuses it with the line and what is wrong there; nothing is kept. */
export function rawSightsRoutes(): Router {
  const router = Router();
  router.post(
    '/raw-sights',
    express.text({ type: LINES_OF_JSON, limit: LARGEST_UPLOAD_BYTES }),
    (request, response) => {
      if (typeof request.body !== 'string')
        throw new ProblemError(
          'UNSUPPORTED_TYPE',
          msg('answers.sendTheFileAsNothingWasRead', { linesOfJson: LINES_OF_JSON }),
        );
      const read = readRawSights(request.body);
      if (read.ok) response.json(read.value);
      else sendProblem(response, new ProblemError('INVALID_FILE', rawSightsFaultWords(read.error)));
    },
  );
  return router;
}

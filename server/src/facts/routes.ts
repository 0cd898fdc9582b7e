import { Router, type Request } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import type { Logger } from 'pino';
import { FactsSchema, invalidAgainst, quarantinedAmong } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';
import { keepFacts } from './batch.ts';
import { appendFacts, orderedOnArrival, readAllFacts, readFactsAsJson } from './ledger.ts';
import { sendable } from './sendable.ts';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;
/** Read by a page between two frames. */
const MOST_FACTS_A_PAGE = 1000;

export function uuidOf(request: Request, name: string): string {
  const value = request.params[name];
  if (typeof value !== 'string' || !UUID.test(value))
    throw new ProblemError('INVALID_ID', msg('answers.inTheAddressMustBeAUuid', { name }));
  return value;
}

export function factRoutes(orm: MikroORM, arrival: () => Date | null, log: Logger): Router {
  const router = Router();
  router.get('/sites/:site/facts', async (request, response) => {
    const site = uuidOf(request, 'site');
    const after = Number(request.query['after'] ?? 0);
    if (!Number.isSafeInteger(after) || after < 0)
      throw new ProblemError('INVALID_INPUT', msg('answers.afterMustBeAWholeNumberFrom'), '/after');
    const { cursor, more, json } = await readFactsAsJson(orm.em.fork(), site, after, MOST_FACTS_A_PAGE);
    // Known before the page is read: the next one can be asked for at once.
    if (more) response.set('Next-After', String(cursor));
    response.type('json').send(json);
  });
  router.get('/sites/:site/quarantine', async (request, response) => {
    const facts = await readAllFacts(orm.em.fork(), uuidOf(request, 'site'));
    response.json({
      quarantined: quarantinedAmong(facts).map(({ fact, invalid }) => ({
        id: fact.id,
        path: invalid.path,
        message: invalid.message,
      })),
    });
  });
  router.put('/sites/:site/facts/:id', async (request, response) => {
    const site = uuidOf(request, 'site');
    const id = uuidOf(request, 'id');
    const fact = sendable(request.body);
    if (fact.id !== id) throw new ProblemError('INVALID_INPUT', msg('answers.idInTheBodyDiffersFromThe'), '/id');
    const { written } = await appendFacts(orm.em.fork(), site, [fact], orderedOnArrival(arrival()));
    response.status(written > 0 ? 201 : 200).json({ id, written: written > 0 });
  });
  router.post('/sites/:site/facts', async (request, response) => {
    const site = uuidOf(request, 'site');
    const invalid = invalidAgainst(FactsSchema, request.body);
    if (invalid)
      throw new ProblemError(
        invalid.code,
        msg('answers.nothingWasWritten2', { message: invalid.message }),
        invalid.path,
      );
    const { facts } = request.body as { readonly facts: readonly unknown[] };
    response.json({ results: await keepFacts(orm, site, facts, orderedOnArrival(arrival()), log) });
  });
  return router;
}

/** Papers that are made from the marks as they stand now and kept by nobody: labels, cards for the crew, sketches. */
import { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { invalidAgainst, PaperSchemas, type PaperAsked, type PaperKind } from '@idle-marker/contract';
import { paperMade, PaperRefused, type PaperSource } from '@idle-marker/press';
import { memberName, siteState, trustOf } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { linksOf } from '../crew/links.ts';
import { photosForPrint } from '../database/files.ts';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { ProblemError } from '../http/problems.ts';
import { sendPaper } from '../http/sendPaper.ts';
import { isTimeZone } from '@idle-marker/archive';

const isKind = (text: string): text is PaperKind => Object.hasOwn(PaperSchemas, text);

export function paperRoutes(orm: MikroORM): Router {
  const router = Router();
  router.post('/sites/:site/papers/:kind', async (request, response) => {
    const site = uuidOf(request, 'site');
    const kind = String(request.params['kind']);
    if (!isKind(kind))
      throw new ProblemError(
        'NOT_FOUND',
        msg('papers.thereIsNoSuchPaperTake', { keys: Object.keys(PaperSchemas).join(', ') }),
      );
    const invalid = invalidAgainst(PaperSchemas[kind], request.body);
    if (invalid)
      throw new ProblemError(invalid.code, msg('papers.nothingWasPrinted', { message: invalid.message }), invalid.path);
    const asked = request.body as PaperAsked<PaperKind>;
    if (!isTimeZone(asked.timeZone))
      throw new ProblemError('INVALID_INPUT', msg('papers.timezoneIsNotATimeZoneThat'), '/timeZone');
    const em = orm.em.fork();
    const facts = await readAllFacts(em, site);
    if (!facts.some((fact) => fact.type === 'site'))
      throw new ProblemError('NOT_FOUND', msg('papers.thereIsNoSuchSite'));
    const state = siteState(facts);
    const source: PaperSource = {
      state,
      trust: trustOf(state, asked.at),
      by: memberName(state, asked.by),
      photos: (ids) => photosForPrint(em, site, ids),
      token: async (link) => (await linksOf(em, site)).find((each) => each.id === link)?.token ?? null,
    };
    const made = await paperMade(kind, source, asked).catch((error: unknown) => {
      throw error instanceof PaperRefused ? new ProblemError(error.code, error.message, error.field) : error;
    });
    await sendPaper(request, response, { ...made, type: 'application/pdf' });
  });
  return router;
}

import { Router, type Request } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { asBuiltReport, siteState, type AsBuiltReport } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';
import { reportOptions } from '../http/reportOptions.ts';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { asBuiltCsv } from './reportCsv.ts';
import { asBuiltPdf } from './reportPdf.ts';

export function asBuiltRoutes(orm: MikroORM): Router {
  const router = Router();
  const report = async (request: Request): Promise<{ report: AsBuiltReport; timeZone: string }> => {
    const { at, by, timeZone } = reportOptions(request.query);
    const facts = await readAllFacts(orm.em.fork(), uuidOf(request, 'site'));
    if (!facts.some((fact) => fact.type === 'site'))
      throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchSite'));
    return { report: asBuiltReport(siteState(facts), at, by), timeZone };
  };
  router.get('/sites/:site/as-built.pdf', async (request, response) => {
    const asked = await report(request);
    response.setHeader('Content-Disposition', 'attachment; filename="as-built.pdf"');
    response.type('application/pdf').send(await asBuiltPdf(asked.report, asked.timeZone));
  });
  router.get('/sites/:site/as-built.csv', async (request, response) => {
    const asked = await report(request);
    response.setHeader('Content-Disposition', 'attachment; filename="as-built.csv"');
    response.type('text/csv; charset=utf-8').send(asBuiltCsv(asked.report, asked.timeZone));
  });
  return router;
}

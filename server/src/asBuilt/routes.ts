import { Router, type Request } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { asBuiltCsv, asBuiltPdf } from '@idle-marker/press';
import { asBuiltReport, exportedAbout, siteState, trustOf, type AsBuiltReport } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';
import { reportOptions } from '../http/reportOptions.ts';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';

export function asBuiltRoutes(orm: MikroORM): Router {
  const router = Router();
  const report = async (
    request: Request,
  ): Promise<{ report: AsBuiltReport; timeZone: string; lines: readonly string[] }> => {
    const { head: _, ...options } = request.query;
    const { at, by, timeZone } = reportOptions(options);
    const facts = await readAllFacts(orm.em.fork(), uuidOf(request, 'site'));
    if (!facts.some((fact) => fact.type === 'site'))
      throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchSite'));
    const state = siteState(facts);
    const { lines } = exportedAbout(state, trustOf(state, at), { at, by });
    return { report: asBuiltReport(state, at, by), timeZone, lines };
  };
  router.get('/sites/:site/as-built.pdf', async (request, response) => {
    const asked = await report(request);
    response.setHeader('Content-Disposition', 'attachment; filename="as-built.pdf"');
    response.type('application/pdf').send(await asBuiltPdf(asked.report, asked.timeZone));
  });
  router.get('/sites/:site/as-built.csv', async (request, response) => {
    const asked = await report(request);
    const lines = request.query['head'] === 'no' ? [] : asked.lines;
    response.setHeader('Content-Disposition', 'attachment; filename="as-built.csv"');
    response.type('text/csv; charset=utf-8').send(asBuiltCsv(asked.report, asked.timeZone, lines));
  });
  return router;
}

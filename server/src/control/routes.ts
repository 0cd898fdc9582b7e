import express, { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { ControlImportSchema, invalidAgainst, LARGEST_UPLOAD_BYTES, type ControlImport } from '@idle-marker/contract';
import { controlReportPdf } from '@idle-marker/press';
import { controlReport, siteState } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';
import { reportOptions } from '../http/reportOptions.ts';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { importControl } from './controlImport.ts';

function optionsOf(text: unknown): ControlImport {
  let options: unknown;
  try {
    options = JSON.parse(String(text));
  } catch {
    throw new ProblemError('INVALID_INPUT', msg('answers.optionsInTheAddressMustBeJson'), '/options');
  }
  const invalid = invalidAgainst(ControlImportSchema, options);
  if (invalid)
    throw new ProblemError(
      invalid.code,
      msg('answers.nothingWasWritten2', { message: invalid.message }),
      `/options${invalid.path}`,
    );
  return options as ControlImport;
}

export function controlRoutes(orm: MikroORM, arrival: () => Date | null): Router {
  const router = Router();
  const body = express.raw({
    type: ['text/csv', 'application/xml', 'text/xml', 'application/octet-stream'],
    limit: LARGEST_UPLOAD_BYTES,
  });
  router.put('/sites/:site/control-lists/:id', body, async (request, response) => {
    const site = uuidOf(request, 'site');
    const id = uuidOf(request, 'id');
    const options = optionsOf(request.query['options']);
    if (!Buffer.isBuffer(request.body))
      throw new ProblemError('UNSUPPORTED_TYPE', msg('answers.sendTheListAsTextCsvNothing'));
    response.json(await importControl(orm.em.fork(), site, id, request.body, options, arrival()));
  });
  router.get('/sites/:site/control-report', async (request, response) => {
    const facts = await readAllFacts(orm.em.fork(), uuidOf(request, 'site'));
    const { at, by, timeZone } = reportOptions(request.query);
    if (!facts.some((fact) => fact.type === 'site'))
      throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchSite'));
    const pdf = await controlReportPdf(controlReport(siteState(facts), at, by), timeZone);
    response.setHeader('Content-Disposition', 'attachment; filename="control-report.pdf"');
    response.type('application/pdf').send(pdf);
  });
  return router;
}

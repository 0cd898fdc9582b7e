import { Router, type Response } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { closed, Device, Instant, invalidAgainst, Sequence, Uuid } from '@idle-marker/contract';
import type { NumberedSheet } from '@idle-marker/records';
import { ProblemError } from '../http/problems.ts';
import { isTimeZone, TimeZone } from '../http/timeZone.ts';
import { uuidOf } from '../facts/routes.ts';
import { issueSheet, numbered, readSheets, type IssueRequest } from './issue.ts';
import { sheetCsv } from './sheetCsv.ts';
import { sheetPdf } from './sheetPdf.ts';

export const IssueSchema = closed({
  package: Uuid,
  fact: Uuid,
  at: Instant,
  device: Device,
  seq: Sequence,
  by: Uuid,
  timeZone: TimeZone,
});

const fileName = (sheet: NumberedSheet, ending: string): string => `cut-sheet-${sheet.number}-revision-${sheet.revision}.${ending}`;

function sendFile(response: Response, name: string, type: string, body: string | Buffer): void {
  response.setHeader('Content-Disposition', `attachment; filename="${name}"`);
  response.type(type).send(body);
}

export function sheetRoutes(orm: MikroORM): Router {
  const router = Router();
  const find = async (site: string, id: string): Promise<NumberedSheet> => {
    const sheet = (await readSheets(orm.em.fork(), site)).find((each) => each.id === id);
    if (!sheet) throw new ProblemError('NOT_FOUND', 'There is no such sheet on this site.');
    return numbered(sheet);
  };
  router.get('/sites/:site/sheets', async (request, response) => {
    const sheets = await readSheets(orm.em.fork(), uuidOf(request, 'site'));
    response.json({
      sheets: sheets.map(({ id, number, revision, content }) => ({
        id,
        number,
        revision,
        package: content.package,
        packageRoot: content.packageRoot,
        crew: content.crew,
        issuedAt: content.issuedAt,
        issuedBy: content.issuedBy,
        marks: content.rows.map((row) => ({ mark: row.mark, name: row.name })),
        withheld: content.withheld,
      })),
    });
  });
  router.put('/sites/:site/sheets/:id', async (request, response) => {
    const invalid = invalidAgainst(IssueSchema, request.body);
    if (invalid) throw new ProblemError(invalid.code, `${invalid.message}. Nothing was issued.`, invalid.path);
    if (!isTimeZone((request.body as IssueRequest).timeZone))
      throw new ProblemError('INVALID_INPUT', 'timeZone is not a time zone that is known, such as Europe/Berlin. Nothing was issued.', '/timeZone');
    const { sheet, fresh } = await issueSheet(orm, uuidOf(request, 'site'), uuidOf(request, 'id'), request.body as IssueRequest);
    response.status(fresh ? 201 : 200).json(sheet);
  });
  router.get('/sites/:site/sheets/:id', async (request, response) => {
    response.json(await find(uuidOf(request, 'site'), uuidOf(request, 'id')));
  });
  router.get('/sites/:site/sheets/:id/csv', async (request, response) => {
    const sheet = await find(uuidOf(request, 'site'), uuidOf(request, 'id'));
    sendFile(response, fileName(sheet, 'csv'), 'text/csv; charset=utf-8', sheetCsv(sheet));
  });
  router.get('/sites/:site/sheets/:id/pdf', async (request, response) => {
    const sheet = await find(uuidOf(request, 'site'), uuidOf(request, 'id'));
    sendFile(response, fileName(sheet, 'pdf'), 'application/pdf', await sheetPdf(sheet));
  });
  return router;
}

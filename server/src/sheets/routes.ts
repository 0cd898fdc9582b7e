import { Router } from 'express';
import type { MikroORM } from '@mikro-orm/postgresql';
import { invalidAgainst, IssueSchema, type IssueRequest } from '@idle-marker/contract';
import { sheetCsv, sheetPdf, sheetXlsx, type Progress } from '@idle-marker/press';
import { exportedAbout, sheetNotices, siteState, trustOf, type NumberedSheet } from '@idle-marker/records';
import { msg, sheetTroubleWords } from '@idle-marker/words';
import { ProblemError } from '../http/problems.ts';
import { sendPaper } from '../http/sendPaper.ts';
import { isTimeZone } from '@idle-marker/archive';
import { readAllFacts } from '../facts/ledger.ts';
import { uuidOf } from '../facts/routes.ts';
import { issueSheet, numbered, readSheets } from './issue.ts';
import { handoverPackage, type SheetSource } from './handoverPackage.ts';

const fileName = (sheet: NumberedSheet, ending: SheetEnding): string =>
  `cut-sheet-${sheet.number}-revision-${sheet.revision}.${ending}`;

export function sheetRoutes(orm: MikroORM, clock: () => Date, arrival: () => Date | null): Router {
  const router = Router();
  const find = async (site: string, id: string): Promise<NumberedSheet> => {
    const sheet = (await readSheets(orm.em.fork(), site)).find((each) => each.id === id);
    if (!sheet) throw new ProblemError('NOT_FOUND', msg('answers.thereIsNoSuchSheetOnThis'));
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
        selection: content.selection ?? null,
        givenTo: content.givenTo ?? null,
        validUntil: content.validUntil ?? null,
        issuedAt: content.issuedAt,
        issuedBy: content.issuedBy,
        marks: content.rows.map((row) => ({ mark: row.mark, name: row.name })),
        withheld: content.withheld,
      })),
    });
  });
  router.put('/sites/:site/sheets/:id', async (request, response) => {
    const invalid = invalidAgainst(IssueSchema, request.body);
    if (invalid)
      throw new ProblemError(invalid.code, msg('answers.nothingWasIssued', { message: invalid.message }), invalid.path);
    if (!isTimeZone((request.body as IssueRequest).timeZone))
      throw new ProblemError('INVALID_INPUT', msg('answers.timezoneIsNotATimeZoneThat2'), '/timeZone');
    const { sheet, fresh } = await issueSheet(
      orm,
      uuidOf(request, 'site'),
      uuidOf(request, 'id'),
      request.body as IssueRequest,
      arrival(),
    );
    response.status(fresh ? 201 : 200).json(sheet);
  });
  router.get('/sites/:site/sheets/:id', async (request, response) => {
    response.json(await find(uuidOf(request, 'site'), uuidOf(request, 'id')));
  });
  for (const [ending, type] of Object.entries(SHEET_TYPES) as [SheetEnding, string][])
    router.get(`/sites/:site/sheets/:id/${ending}`, async (request, response) => {
      const site = uuidOf(request, 'site');
      const sheet = await find(site, uuidOf(request, 'id'));
      const source = await sourceOf(orm, site, uuidOf(request, 'id'), clock());
      await sendPaper(request, response, {
        name: fileName(sheet, ending),
        type,
        make: (progress) => WRITERS[ending](sheet, source, progress, request.query['head'] !== 'no'),
      });
    });
  return router;
}

const SHEET_TYPES = {
  pdf: 'application/pdf',
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  zip: 'application/zip',
} as const;
type SheetEnding = keyof typeof SHEET_TYPES;

const WRITERS: Readonly<
  Record<
    SheetEnding,
    (sheet: NumberedSheet, source: SheetSource, progress: Progress, head: boolean) => Promise<Buffer | string>
  >
> = {
  pdf: (sheet, { notices }, progress) => sheetPdf(sheet, { notices, progress }),
  csv: (sheet, _source, _progress, head) => Promise.resolve(sheetCsv(sheet, { head })),
  xlsx: (sheet, { notices }) => sheetXlsx(sheet, notices),
  zip: handoverPackage,
};

/**
 * What happened to the marks of a sheet after it was issued, as sentences for its head; the sheet itself stays as it
 * was.
 */
async function sourceOf(orm: MikroORM, site: string, sheet: string, now: Date): Promise<SheetSource> {
  const em = orm.em.fork();
  const state = siteState(await readAllFacts(em, site));
  const at = new Date(Math.max(now.getTime(), Date.parse(state.timeline.at(-1)!.at))).toISOString();
  const trust = trustOf(state, at);
  const issued = state.timeline.find((fact) => fact.type === 'handover' && fact.body.sheet === sheet);
  const about = exportedAbout(state, trust, { at, by: issued?.by ?? '' });
  const notices = sheetNotices(state, trust)
    .filter((notice) => notice.sheet === sheet)
    .map((notice) => msg('answers.sinceThisSheetWasIssued', { sheetTrouble: sheetTroubleWords(notice.marks) }));
  return { em, site, state, notices, about };
}

/**
 * Everything that the server can be asked: the description of the API is made from it, and the client of the pages is
 * typed by it.
 */
import { FactEnvelope } from '../facts/fact.ts';
import { Type, type Static, type TSchema, Words } from '../schema.ts';
import {
  ArchiveAnswer,
  ClockAnswer,
  ControlListAnswer,
  CrewLinkAnswer,
  CrewLinksAnswer,
  CrewPageAnswer,
  FactsAnswer,
  KeptAnswer,
  OutcomesAnswer,
  QuarantineAnswer,
  RawSightsAnswer,
  SheetAnswer,
  SheetsAnswer,
  SitesAnswer,
} from './answers.ts';
import {
  ControlImportSchema,
  CrewLinkSchema,
  CrewReportSchema,
  FactsSchema,
  IssueSchema,
  PaperSchemas,
  ReportOptionsSchema,
} from './bodies.ts';

export interface Operation {
  readonly method: 'get' | 'put' | 'post' | 'delete';
  /** Under the server's /api/v1; {names} are filled in. */
  readonly path: string;
  /** Those with a schema of their own that is no text or number are written as JSON. */
  readonly query?: Readonly<Record<string, TSchema>>;
  readonly body?: TSchema;
  /** Media type of a body that is a file. */
  readonly file?: string;
  readonly answer?: TSchema;
  /** Media types of an answer that is a file. */
  readonly gives?: readonly string[];
}

const LINES = 'application/x-ndjson';
const PDF = 'application/pdf';
const WORKBOOK = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
const paper = <K extends keyof typeof PaperSchemas>(kind: K) =>
  ({
    method: 'post',
    path: `/sites/{site}/papers/${kind}`,
    body: PaperSchemas[kind],
    gives: [PDF, LINES],
  }) as const;
const report = ReportOptionsSchema.properties;
/** Whether lines above the headings of a table say what it is; they do where nothing is said. */
const head = { head: Type.Optional(Words('yes', 'no')) };

export const OPERATIONS = {
  listSites: { method: 'get', path: '/sites', answer: SitesAnswer },
  readClock: { method: 'get', path: '/clock', answer: ClockAnswer },
  readFacts: {
    method: 'get',
    path: '/sites/{site}/facts',
    query: { after: Type.Optional(Type.Integer({ minimum: 0 })) },
    answer: FactsAnswer,
  },
  appendFacts: { method: 'post', path: '/sites/{site}/facts', body: FactsSchema, answer: OutcomesAnswer },
  readQuarantine: { method: 'get', path: '/sites/{site}/quarantine', answer: QuarantineAnswer },
  appendFact: { method: 'put', path: '/sites/{site}/facts/{id}', body: FactEnvelope, answer: KeptAnswer },
  importControlList: {
    method: 'put',
    path: '/sites/{site}/control-lists/{id}',
    query: { options: ControlImportSchema },
    file: 'text/csv',
    answer: ControlListAnswer,
  },
  controlReport: { method: 'get', path: '/sites/{site}/control-report', query: report, gives: [PDF] },
  asBuiltPdf: { method: 'get', path: '/sites/{site}/as-built.pdf', query: report, gives: [PDF] },
  asBuiltCsv: {
    method: 'get',
    path: '/sites/{site}/as-built.csv',
    query: { ...report, ...head },
    gives: ['text/csv'],
  },
  readImage: { method: 'get', path: '/sites/{site}/images/{id}', gives: ['image/*'] },
  keepImage: { method: 'put', path: '/sites/{site}/images/{id}', file: 'image/*', answer: KeptAnswer },
  readSource: { method: 'get', path: '/sites/{site}/sources/{id}', gives: ['application/octet-stream'] },
  keepSource: {
    method: 'put',
    path: '/sites/{site}/sources/{id}',
    file: 'application/octet-stream',
    answer: KeptAnswer,
  },
  listSheets: { method: 'get', path: '/sites/{site}/sheets', answer: SheetsAnswer },
  readSheet: { method: 'get', path: '/sites/{site}/sheets/{id}', answer: SheetAnswer },
  issueSheet: { method: 'put', path: '/sites/{site}/sheets/{id}', body: IssueSchema, answer: SheetAnswer },
  sheetPdf: { method: 'get', path: '/sites/{site}/sheets/{id}/pdf', gives: [PDF, LINES] },
  sheetCsv: {
    method: 'get',
    path: '/sites/{site}/sheets/{id}/csv',
    query: head,
    gives: ['text/csv', LINES],
  },
  sheetXlsx: { method: 'get', path: '/sites/{site}/sheets/{id}/xlsx', gives: [WORKBOOK, LINES] },
  sheetZip: { method: 'get', path: '/sites/{site}/sheets/{id}/zip', gives: ['application/zip', LINES] },
  labelsPaper: paper('labels'),
  cardsPaper: paper('cards'),
  sketchPaper: paper('sketch'),
  setupPaper: paper('setup'),
  dayPaper: paper('day'),
  shiftPaper: paper('shift'),
  controlCardPaper: paper('controlCard'),
  controlLabelsPaper: paper('controlLabels'),
  listCrewLinks: { method: 'get', path: '/sites/{site}/crew-links', answer: CrewLinksAnswer },
  makeCrewLink: {
    method: 'put',
    path: '/sites/{site}/crew-links/{id}',
    body: CrewLinkSchema,
    answer: CrewLinkAnswer,
  },
  endCrewLink: { method: 'delete', path: '/sites/{site}/crew-links/{id}', answer: CrewLinkAnswer },
  readCrewPage: { method: 'get', path: '/crew/{token}', answer: CrewPageAnswer },
  reportMark: { method: 'put', path: '/crew/{token}/reports/{id}', body: CrewReportSchema, answer: KeptAnswer },
  readCrewImage: { method: 'get', path: '/crew/{token}/images/{id}', gives: ['image/*'] },
  writeArchive: { method: 'get', path: '/sites/{site}/archive', gives: ['application/zip'] },
  readArchive: { method: 'post', path: '/archives', file: 'application/zip', answer: ArchiveAnswer },
  checkRawSights: { method: 'post', path: '/raw-sights', file: LINES, answer: RawSightsAnswer },
  readDescription: { method: 'get', path: '/openapi.json', answer: Type.Object({ openapi: Type.String() }) },
} as const satisfies Readonly<Record<string, Operation>>;

type Operations = typeof OPERATIONS;
export type OperationName = keyof Operations;
type Named<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}` ? Name | Named<Rest> : never;

/** What stands in the braces of its path. */
export type PathOf<K extends OperationName> = Readonly<Record<Named<Operations[K]['path']>, string>>;
type Values<Q> = {
  readonly [Name in keyof Q]: Q[Name] extends TSchema ? Static<Q[Name]> : never;
};
export type QueryOf<K extends OperationName> = Operations[K] extends { readonly query: infer Q }
  ? Values<Q>
  : undefined;
export type BodyOf<K extends OperationName> = Operations[K] extends { readonly body: infer B extends TSchema }
  ? Static<B>
  : undefined;
/** Operations that answer with a document. */
export type Answering = {
  [K in OperationName]: Operations[K] extends { readonly answer: TSchema } ? K : never;
}[OperationName];
export type AnswerOf<K extends Answering> = Operations[K] extends { readonly answer: infer A extends TSchema }
  ? Static<A>
  : never;
/** Operations that give a file. */
export type Giving = {
  [K in OperationName]: Operations[K] extends { readonly gives: readonly string[] } ? K : never;
}[OperationName];

/** The API's description, made from the schemas that the bodies are checked by. */
import {
  closed,
  FACT_BODIES,
  FactEnvelope,
  LARGEST_BODY_BYTES,
  LARGEST_UPLOAD_BYTES,
  OPERATIONS,
  Type,
  Uuid,
  type FactType,
  type Operation,
  type OperationName,
  type TSchema,
} from '@idle-marker/contract';

type Json = Record<string, unknown>;

const ProblemSchema = Type.Object({
  type: Type.String(),
  title: Type.String(),
  status: Type.Integer(),
  code: Type.String(),
  detail: Type.String(),
  field: Type.Optional(Type.String()),
});

/** Schemas carry symbols and functions of their library; JSON drops them. */
const plain = (schema: TSchema): Json => JSON.parse(JSON.stringify(schema)) as Json;

const problem = (description: string): Json => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});
const json = (description: string, schema: Json): Json => ({
  description,
  content: { 'application/json': { schema } },
});
const TOKEN = { type: 'string', pattern: '^[A-Za-z0-9_-]{22}$' };
const inPath = (name: string): Json => ({
  name,
  in: 'path',
  required: true,
  schema: name === 'token' ? TOKEN : plain(Uuid),
});
/** In an address a value with parts is written as JSON. */
function inQuery(name: string, schema: TSchema): Json {
  const described = plain(schema);
  return {
    name,
    in: 'query',
    required: !Type.IsOptional(schema),
    ...(described['type'] === 'object'
      ? { content: { 'application/json': { schema: described } } }
      : { schema: described }),
  };
}

const refusals = {
  '400': problem('The body is not JSON, or an id in the address is no UUID'),
  '409': problem(
    'Same id with other content, a reference that has not arrived, or a place in the sequence that is taken',
  ),
  '413': problem(`Over ${LARGEST_BODY_BYTES} bytes of JSON, or ${LARGEST_UPLOAD_BYTES} bytes of a file`),
  '422': problem('A field is not valid; `field` is a JSON Pointer to it'),
  '403': problem('Another page asked for a change'),
  '503': problem('The database does not answer; nothing was saved'),
  '507': problem('The server has no room, or takes nothing any more; nothing was saved'),
};

/** A fact of each type: the envelope with that type's body. */
function factSchemas(): Json {
  const envelope = plain(FactEnvelope) as { properties: Json };
  return Object.fromEntries(
    Object.entries(FACT_BODIES).map(([type, body]) => [
      `Fact.${type as FactType}`,
      { ...envelope, properties: { ...envelope.properties, type: { const: type }, body: plain(body) } },
    ]),
  );
}

type Refusal = keyof typeof refusals;
const ANY: readonly Refusal[] = ['400', '403', '409', '413', '422', '503', '507'];

interface Said {
  /** What comes of it, by the status that says so. */
  readonly answers: Readonly<Partial<Record<'200' | '201', string>>>;
  readonly refuses?: readonly Refusal[];
  /** Statuses that mean something of their own here. */
  readonly own?: Readonly<Record<string, string>>;
}

const PAPER: Said = { answers: { '200': 'The paper as PDF, or lines of JSON with its progress' }, refuses: ANY };
const AS_BUILT: Said = {
  answers: { '200': 'What was measured as it stands' },
  refuses: ANY,
  own: { '404': 'No such site' },
};
const sheet = (description: string): Said => ({ answers: { '200': description }, own: { '404': 'No such sheet' } });

const SAID: Readonly<Record<OperationName, Said>> = {
  listSites: { answers: { '200': 'The sites' }, refuses: ['503'] },
  readClock: { answers: { '200': 'The server’s clock, and whether it is fixed' } },
  readFacts: { answers: { '200': 'Facts in order of arrival after the cursor' }, refuses: ANY },
  appendFacts: {
    answers: {
      '200': 'What came of each, in the order in which they were sent: written or not, or what is wrong with it',
    },
    refuses: ANY,
  },
  readQuarantine: {
    answers: { '200': 'Facts that were kept before a rule held for them, and which' },
    refuses: ANY,
  },
  appendFact: { answers: { '200': 'Kept already, with the same content', '201': 'Written' }, refuses: ANY },
  importControlList: { answers: { '200': 'How many marks were written' }, refuses: ANY },
  controlReport: {
    answers: { '200': 'The control report as PDF' },
    refuses: ANY,
    own: { '404': 'No such site' },
  },
  asBuiltPdf: AS_BUILT,
  asBuiltCsv: AS_BUILT,
  readImage: { answers: { '200': 'The photo' }, own: { '404': 'No such photo' } },
  keepImage: {
    answers: { '200': 'Kept already', '201': 'Kept' },
    refuses: ANY,
    own: { '415': 'No JPEG, PNG or WebP picture' },
  },
  readSource: { answers: { '200': 'The file as it came' }, own: { '404': 'No such file' } },
  keepSource: {
    answers: { '200': 'Kept already', '201': 'Kept' },
    refuses: ANY,
    own: { '415': 'A drawing that can not be read, such as a binary one' },
  },
  listSheets: { answers: { '200': 'The issued sheets' }, refuses: ANY },
  readSheet: sheet('A sheet as issued'),
  issueSheet: { answers: { '200': 'Issued before', '201': 'Issued, with its number' }, refuses: ANY },
  sheetPdf: sheet('The sheet as PDF, with what happened to its marks since'),
  sheetCsv: sheet('The sheet’s rows as CSV'),
  sheetXlsx: sheet('The sheet as a workbook'),
  sheetZip: sheet('The sheet with its sketch, control and photos'),
  labelsPaper: PAPER,
  cardsPaper: PAPER,
  sketchPaper: PAPER,
  setupPaper: PAPER,
  dayPaper: PAPER,
  shiftPaper: PAPER,
  controlCardPaper: PAPER,
  controlLabelsPaper: PAPER,
  listCrewLinks: { answers: { '200': 'The links of crews' }, refuses: ANY },
  makeCrewLink: { answers: { '200': 'Made before', '201': 'Made, with its token' }, refuses: ANY },
  endCrewLink: { answers: { '200': 'Ended' }, own: { '404': 'No such link' } },
  readCrewPage: { answers: { '200': 'The marks of the link' }, own: { '410': 'The link has ended' } },
  reportMark: {
    answers: { '201': 'Kept' },
    refuses: ANY,
    own: { '410': 'The link has ended', '429': 'Too many in an hour' },
  },
  readCrewImage: {
    answers: { '200': 'A photo of a mark on the page' },
    own: { '404': 'No such photo on this page' },
  },
  writeArchive: { answers: { '200': 'The whole site' }, own: { '404': 'No such site' } },
  readArchive: {
    answers: { '201': 'Taken in' },
    own: {
      '409': 'Kept here with other content',
      '415': 'Not sent as application/zip',
      '422': 'No archive, one that was changed, or one that comes to more than an archive may',
      '429': 'Others are being read',
    },
  },
  checkRawSights: { answers: { '200': 'What is in the file; nothing is kept' }, refuses: ANY },
  readDescription: { answers: { '200': 'This document' } },
};

const FACT = { $ref: '#/components/schemas/Fact' };

/** Facts are described by their types, though they are checked one by one. */
function bodyOf(name: string, body: TSchema): Json {
  if (name === 'appendFact') return FACT;
  const schema = plain(body);
  if (name !== 'appendFacts') return schema;
  const { facts } = (schema as { readonly properties: { readonly facts: Json } }).properties;
  return { ...schema, properties: { facts: { ...facts, items: FACT } } };
}

function requestBodyOf(name: string, { body, file }: Operation): Json {
  if (body) return { requestBody: { required: true, content: { 'application/json': { schema: bodyOf(name, body) } } } };
  if (!file) return {};
  const content = file.startsWith('text/') || file.endsWith('json') ? { schema: { type: 'string' } } : {};
  return { requestBody: { required: true, content: { [file]: content } } };
}

function describe(name: string, operation: Operation, { answers, refuses = [], own = {} }: Said): Json {
  const { answer, gives = [], path, query = {} } = operation;
  const files = Object.fromEntries(gives.map((type) => [type, {}]));
  const parameters = [
    ...[...path.matchAll(/\{(\w+)\}/g)].map(([, named]) => inPath(named!)),
    ...Object.entries(query).map(([named, schema]) => inQuery(named, schema)),
  ];
  return {
    operationId: name,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...requestBodyOf(name, operation),
    responses: Object.fromEntries([
      ...Object.entries(answers).map(([status, description]) => [
        status,
        answer ? json(description, plain(answer)) : { description, content: files },
      ]),
      ...refuses.map((status) => [status, refusals[status]]),
      ...Object.entries(own).map(([status, description]) => [status, problem(description)]),
    ]),
  };
}

export function openApiDocument(): Json {
  const facts = factSchemas();
  const paths: Record<string, Json> = {};
  for (const [name, operation] of Object.entries(OPERATIONS) as [OperationName, Operation][])
    (paths[operation.path] ??= {})[operation.method] = describe(name, operation, SAID[name]);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Idle Marker',
      version: '1',
      description: 'Facts are appended under ids that the client makes; sending one again is no error.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/api/v1' }],
    paths,
    components: {
      schemas: {
        Problem: plain(closed(ProblemSchema.properties)),
        Fact: { oneOf: Object.keys(facts).map((name) => ({ $ref: `#/components/schemas/${name}` })) },
        ...facts,
      },
    },
  };
}

/** The API's description, made from the schemas that the bodies are checked by. */
import {
  closed,
  FACT_BODIES,
  FactEnvelope,
  LARGEST_BODY_BYTES,
  LARGEST_UPLOAD_BYTES,
  MOST_FACTS_AT_ONCE,
  Type,
  Uuid,
  type FactType,
  type TSchema,
} from '@idle-marker/contract';
import { ControlImportSchema } from '../control/routes.ts';
import { CrewLinkSchema, CrewReportSchema } from '../crew/routes.ts';
import { FactsSchema } from '../facts/batch.ts';
import { PaperSchemas } from '../papers/routes.ts';
import { ReportOptionsSchema } from '../http/reportOptions.ts';
import { IssueSchema } from '../sheets/routes.ts';

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
const inPath = (name: string): Json => ({ name, in: 'path', required: true, schema: plain(Uuid) });
const site = inPath('site');
const id = inPath('id');
const token = { name: 'token', in: 'path', required: true, schema: { type: 'string', pattern: '^[A-Za-z0-9_-]{22}$' } };
const reportParameters = Object.entries(ReportOptionsSchema.properties).map(([name, schema]) => ({
  name,
  in: 'query',
  required: true,
  schema: plain(schema),
}));
const refusals = {
  '400': problem('The body is not JSON, or an id in the address is no UUID'),
  '409': problem(
    'Same id with other content, a reference that has not arrived, or a place in the sequence that is taken',
  ),
  '413': problem(`Over ${LARGEST_BODY_BYTES} bytes of JSON, or ${LARGEST_UPLOAD_BYTES} bytes of a file`),
  '422': problem('A field is not valid; `field` is a JSON Pointer to it'),
  '403': problem('Another page asked for a change'),
  '503': problem('The database does not answer; nothing was written'),
  '507': problem('The server has no room, or takes nothing any more; nothing was written'),
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

export function openApiDocument(): Json {
  const facts = factSchemas();
  const fact = { oneOf: Object.keys(facts).map((name) => ({ $ref: `#/components/schemas/${name}` })) };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Idle Marker',
      version: '1',
      description: 'Facts are appended under ids that the client makes; sending one again is no error.',
      license: { name: 'MIT', identifier: 'MIT' },
    },
    servers: [{ url: '/api/v1' }],
    paths: {
      '/sites': {
        get: {
          operationId: 'listSites',
          responses: {
            '200': json('The sites', { type: 'object', properties: { sites: { type: 'array' } } }),
            '503': refusals['503'],
          },
        },
      },
      '/clock': {
        get: {
          operationId: 'readClock',
          responses: { '200': json('The server’s clock, and whether it is fixed', { type: 'object' }) },
        },
      },
      '/sites/{site}/facts': {
        get: {
          operationId: 'readFacts',
          parameters: [site, { name: 'after', in: 'query', schema: { type: 'integer', minimum: 0 } }],
          responses: {
            '200': json('Facts in order of arrival after the cursor', {
              type: 'object',
              properties: {
                facts: { type: 'array', items: fact },
                cursor: { type: 'integer' },
                more: { type: 'boolean' },
                ledger: { type: ['string', 'null'] },
              },
            }),
            ...refusals,
          },
        },
        post: {
          operationId: 'appendFacts',
          parameters: [site],
          requestBody: {
            required: true,
            content: {
              'application/json': {
                schema: {
                  ...plain(FactsSchema),
                  properties: { facts: { type: 'array', minItems: 1, maxItems: MOST_FACTS_AT_ONCE, items: fact } },
                },
              },
            },
          },
          responses: {
            '200': json(
              'What came of each, in the order in which they were sent: written or not, or what is wrong with it',
              {
                type: 'object',
                properties: {
                  results: {
                    type: 'array',
                    items: {
                      type: 'object',
                      properties: {
                        id: { type: ['string', 'null'] },
                        written: { type: 'boolean' },
                        problem: { $ref: '#/components/schemas/Problem' },
                      },
                    },
                  },
                },
              },
            ),
            ...refusals,
          },
        },
      },
      '/sites/{site}/quarantine': {
        get: {
          operationId: 'readQuarantine',
          parameters: [site],
          responses: {
            '200': json('Facts that were kept before a rule held for them, and which', { type: 'object' }),
            ...refusals,
          },
        },
      },
      '/sites/{site}/facts/{id}': {
        put: {
          operationId: 'appendFact',
          parameters: [site, id],
          requestBody: { required: true, content: { 'application/json': { schema: fact } } },
          responses: {
            '200': json('Kept already, with the same content', { type: 'object' }),
            '201': json('Written', { type: 'object' }),
            ...refusals,
          },
        },
      },
      '/sites/{site}/control-lists/{id}': {
        put: {
          operationId: 'importControlList',
          parameters: [
            site,
            id,
            {
              name: 'options',
              in: 'query',
              required: true,
              content: { 'application/json': { schema: plain(ControlImportSchema) } },
            },
          ],
          requestBody: { required: true, content: { 'text/csv': { schema: { type: 'string' } } } },
          responses: {
            '200': json('How many marks were written', {
              type: 'object',
              properties: { written: { type: 'integer' }, rows: { type: 'integer' } },
            }),
            ...refusals,
          },
        },
      },
      '/sites/{site}/control-report': {
        get: {
          operationId: 'controlReport',
          parameters: [site, ...reportParameters],
          responses: {
            '200': { description: 'The control report as PDF', content: { 'application/pdf': {} } },
            '404': problem('No such site'),
            ...refusals,
          },
        },
      },
      ...Object.fromEntries(
        (
          [
            ['pdf', 'application/pdf'],
            ['csv', 'text/csv'],
          ] as const
        ).map(([ending, mediaType]) => [
          `/sites/{site}/as-built.${ending}`,
          {
            get: {
              operationId: `asBuilt${ending === 'pdf' ? 'Pdf' : 'Csv'}`,
              parameters: [site, ...reportParameters],
              responses: {
                '200': { description: 'What was measured as it stands', content: { [mediaType]: {} } },
                '404': problem('No such site'),
                ...refusals,
              },
            },
          },
        ]),
      ),
      '/sites/{site}/images/{id}': {
        get: {
          operationId: 'readImage',
          parameters: [site, id],
          responses: {
            '200': { description: 'The photo', content: { 'image/*': {} } },
            '404': problem('No such photo'),
          },
        },
        put: {
          operationId: 'keepImage',
          parameters: [site, id],
          requestBody: { required: true, content: { 'image/*': {} } },
          responses: {
            '200': json('Kept already', { type: 'object' }),
            '201': json('Kept', { type: 'object' }),
            '415': problem('No JPEG, PNG or WebP picture'),
            ...refusals,
          },
        },
      },
      '/sites/{site}/sources/{id}': {
        get: {
          operationId: 'readSource',
          parameters: [site, id],
          responses: {
            '200': { description: 'The file as it came', content: { 'application/octet-stream': {} } },
            '404': problem('No such file'),
          },
        },
        put: {
          operationId: 'keepSource',
          parameters: [site, id],
          requestBody: { required: true, content: { 'application/octet-stream': {} } },
          responses: {
            '200': json('Kept already', { type: 'object' }),
            '201': json('Kept', { type: 'object' }),
            '415': problem('A drawing that can not be read, such as a binary one'),
            ...refusals,
          },
        },
      },
      '/sites/{site}/sheets': {
        get: {
          operationId: 'listSheets',
          parameters: [site],
          responses: { '200': json('The issued sheets', { type: 'object' }), ...refusals },
        },
      },
      '/sites/{site}/sheets/{id}': {
        get: {
          operationId: 'readSheet',
          parameters: [site, id],
          responses: { '200': json('A sheet as issued', { type: 'object' }), '404': problem('No such sheet') },
        },
        put: {
          operationId: 'issueSheet',
          parameters: [site, id],
          requestBody: { required: true, content: { 'application/json': { schema: plain(IssueSchema) } } },
          responses: {
            '200': json('Issued before', { type: 'object' }),
            '201': json('Issued, with its number', { type: 'object' }),
            ...refusals,
          },
        },
      },
      ...Object.fromEntries(
        (
          [
            ['pdf', 'application/pdf', 'The sheet as PDF, with what happened to its marks since'],
            ['csv', 'text/csv', 'The sheet’s rows as CSV'],
            ['xlsx', 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', 'The sheet as a workbook'],
            ['zip', 'application/zip', 'The sheet with its sketch, control and photos'],
          ] as const
        ).map(([ending, mediaType, description]) => [
          `/sites/{site}/sheets/{id}/${ending}`,
          {
            get: {
              operationId: `sheet${ending.charAt(0).toUpperCase()}${ending.slice(1)}`,
              parameters: [site, id],
              responses: {
                '200': { description, content: { [mediaType]: {}, 'application/x-ndjson': {} } },
                '404': problem('No such sheet'),
              },
            },
          },
        ]),
      ),
      ...Object.fromEntries(
        Object.entries(PaperSchemas).map(([kind, schema]) => [
          `/sites/{site}/papers/${kind}`,
          {
            post: {
              operationId: `${kind}Paper`,
              parameters: [site],
              requestBody: { required: true, content: { 'application/json': { schema: plain(schema) } } },
              responses: {
                '200': {
                  description: 'The paper as PDF, or lines of JSON with its progress',
                  content: { 'application/pdf': {}, 'application/x-ndjson': {} },
                },
                ...refusals,
              },
            },
          },
        ]),
      ),
      '/sites/{site}/crew-links': {
        get: {
          operationId: 'listCrewLinks',
          parameters: [site],
          responses: { '200': json('The links of crews', { type: 'object' }), ...refusals },
        },
      },
      '/sites/{site}/crew-links/{id}': {
        put: {
          operationId: 'makeCrewLink',
          parameters: [site, id],
          requestBody: { required: true, content: { 'application/json': { schema: plain(CrewLinkSchema) } } },
          responses: {
            '200': json('Made before', { type: 'object' }),
            '201': json('Made, with its token', { type: 'object' }),
            ...refusals,
          },
        },
        delete: {
          operationId: 'endCrewLink',
          parameters: [site, id],
          responses: { '200': json('Ended', { type: 'object' }), '404': problem('No such link') },
        },
      },
      '/crew/{token}': {
        get: {
          operationId: 'readCrewPage',
          parameters: [token],
          responses: { '200': json('The marks of the link', { type: 'object' }), '410': problem('The link has ended') },
        },
      },
      '/crew/{token}/reports/{id}': {
        put: {
          operationId: 'reportMark',
          parameters: [token, id],
          requestBody: { required: true, content: { 'application/json': { schema: plain(CrewReportSchema) } } },
          responses: {
            '201': json('Kept', { type: 'object' }),
            '410': problem('The link has ended'),
            '429': problem('Too many in an hour'),
            ...refusals,
          },
        },
      },
      '/crew/{token}/images/{id}': {
        get: {
          operationId: 'readCrewImage',
          parameters: [token, id],
          responses: {
            '200': { description: 'A photo of a mark on the page', content: { 'image/*': {} } },
            '404': problem('No such photo on this page'),
          },
        },
      },
      '/sites/{site}/archive': {
        get: {
          operationId: 'writeArchive',
          parameters: [site],
          responses: {
            '200': { description: 'The whole site', content: { 'application/zip': {} } },
            '404': problem('No such site'),
          },
        },
      },
      '/archives': {
        post: {
          operationId: 'readArchive',
          requestBody: { required: true, content: { 'application/zip': {} } },
          responses: {
            '201': json('Taken in', { type: 'object' }),
            '409': problem('Kept here with other content'),
            '415': problem('Not sent as application/zip'),
            '422': problem('No archive, one that was changed, or one that comes to more than an archive may'),
            '429': problem('Others are being read'),
          },
        },
      },
      '/raw-sights': {
        post: {
          operationId: 'checkRawSights',
          requestBody: { required: true, content: { 'application/x-ndjson': { schema: { type: 'string' } } } },
          responses: { '200': json('What is in the file; nothing is kept', { type: 'object' }), ...refusals },
        },
      },
      '/openapi.json': {
        get: { operationId: 'readDescription', responses: { '200': json('This document', { type: 'object' }) } },
      },
    },
    components: { schemas: { Problem: plain(closed(ProblemSchema.properties)), ...facts } },
  };
}

import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { FACT_TYPES, invalidAgainst, OPERATIONS, type Answering, type AnyFact, type Fact } from '@idle-marker/contract';
import { siteState, trustOf } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { id, startHarness, type Harness } from './harness.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T10:00:00.000Z';
let harness: Harness;
let facts: AnyFact[];
beforeAll(async () => {
  harness = await startHarness('sheets');
  await loadDemo(harness.orm, DEMO, NOW, pino({ level: 'silent' }));
  facts = (await request(harness.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts;
}, 240_000);
afterAll(() => harness.stop());

describe('the demo', () => {
  it('ends twenty minutes before now, with a refused, a withdrawn and a good station', () => {
    const state = siteState(facts);
    expect(state.timeline.at(-1)!.at).toBe('2031-05-06T09:40:00.000Z');
    expect(state.refused.map((each) => each.fact.body.name)).toEqual(['S1']);
    expect(state.accepted.map((each) => [each.fact.body.name, each.decision.body.verdict, each.withdrawn])).toEqual([
      ['S2', 'provisional', true],
      ['S3', 'accepted', false],
    ]);
    const standings = trustOf(state, NOW).marks.map((mark) => mark.standing);
    expect(standings.filter((standing) => standing === 'inDoubt')).toHaveLength(1);
    expect(standings.filter((standing) => standing === 'held').length).toBeGreaterThanOrEqual(8);
    expect(state.proofs.every((proof) => proof.body.plan === 'good')).toBe(true);
  });

  it('is the same to the byte when it is made again', async () => {
    const other = await startHarness('again');
    try {
      await loadDemo(other.orm, DEMO, NOW, pino({ level: 'silent' }));
      const again = (await request(other.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[];
      const plain = (list: AnyFact[]) =>
        JSON.stringify(
          list.map(({ id: factId, type, at, device, seq, by, body }) => ({
            id: factId,
            type,
            at,
            device,
            seq,
            by,
            body,
          })),
        );
      expect(plain(again)).toBe(plain(facts));
      // Loaded on first start only.
      await loadDemo(other.orm, DEMO, '2031-05-07T10:00:00.000Z', pino({ level: 'silent' }));
      expect((await request(other.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts).toHaveLength(facts.length);
    } finally {
      await other.stop();
    }
  }, 240_000);

  it('holds no true coordinate: the ground truth stays out of the database', async () => {
    const truth = JSON.parse((await import('node:fs')).readFileSync(join(DEMO, 'truth.json'), 'utf8')) as {
      marks: { name: string; e: number; n: number }[];
    };
    const text = JSON.stringify(facts);
    // The mark that was knocked: nobody but the simulator knows where it is now.
    const knocked = truth.marks.find((mark) => mark.name === 'K5')!;
    for (const figure of [knocked.e, knocked.n]) expect(text).not.toContain(String(figure));
  });
});

describe('sheets', () => {
  const work = () =>
    facts.find((fact): fact is Fact<'package'> => fact.type === 'package' && fact.body.name === 'Ticket hall hubs')!;
  const lead = () => facts.find((fact) => fact.type === 'member')!.id;
  let seq = 0;
  const issue = (sheet: string, packageId: string) =>
    request(harness.app).put(`/api/v1/sites/${SITE}/sheets/${sheet}`).send({
      package: packageId,
      fact: id(),
      at: NOW,
      device: 'office tablet',
      seq: seq++,
      by: lead(),
      timeZone: 'Europe/Lisbon',
    });

  it('are numbered once and frozen; a second one of the package is its next revision', async () => {
    const first = id();
    const issued = (await issue(first, work().id).expect(201)).body;
    expect(issued).toMatchObject({ number: 1, revision: 1, changes: [] });
    expect(issued.rows).toHaveLength(9);
    expect((await issue(first, work().id).expect(200)).body).toEqual(issued);
    expect((await issue(id(), work().id).expect(201)).body).toMatchObject({ number: 1, revision: 2 });
    const { body } = await request(harness.app).get(`/api/v1/sites/${SITE}/facts`);
    expect(body.facts.filter((fact: AnyFact) => fact.type === 'handover')).toHaveLength(2);
  });

  it('withhold a mark in doubt and say why', async () => {
    const grid = facts.find(
      (fact): fact is Fact<'package'> => fact.type === 'package' && fact.body.name === 'Ticket hall grid',
    )!;
    const { body } = await issue(id(), grid.id).expect(201);
    expect(body).toMatchObject({ number: 2, withheld: [{ standing: 'inDoubt', reason: 'STATION_WITHDRAWN' }] });
    expect(body.rows).toHaveLength(4);
  });

  it('are refused for a package that is not there, and by unknown fields', async () => {
    expect((await issue(id(), id()).expect(409)).body.code).toBe('MISSING_REFERENCE');
    const { body } = await request(harness.app)
      .put(`/api/v1/sites/${SITE}/sheets/${id()}`)
      .send({ package: work().id, number: 7 })
      .expect(422);
    expect(body.detail).toMatch(/Nothing was issued/);
  });

  it('are refused at a time that does not exist, and the same id gives the same sheet', async () => {
    const order = {
      package: work().id,
      fact: id(),
      at: '2031-02-30T08:00:00Z',
      device: 'office tablet',
      seq: 900,
      by: lead(),
      timeZone: 'Europe/Lisbon',
    };
    expect(
      (await request(harness.app).put(`/api/v1/sites/${SITE}/sheets/${id()}`).send(order).expect(422)).body.field,
    ).toBe('/at');
    const taken = id();
    await issue(taken, work().id).expect(201);
    expect((await issue(taken, work().id).expect(200)).body.number).toBe(1);
  });

  it('come as CSV and PDF with names of their own', async () => {
    const sheet = id();
    await issue(sheet, work().id).expect(201);
    const csv = await request(harness.app).get(`/api/v1/sites/${SITE}/sheets/${sheet}/csv`).expect(200);
    expect(csv.headers['content-disposition']).toMatch(/cut-sheet-1-revision-\d+\.csv/);
    const rows = csv.text.split('\r\n');
    expect(rows.filter((line) => line.replace(/^\uFEFF/, '').startsWith('# '))).toHaveLength(7);
    const bare = await request(harness.app).get(`/api/v1/sites/${SITE}/sheets/${sheet}/csv?head=no`).expect(200);
    expect(bare.text.split('\r\n')).toHaveLength(11);
    expect(rows.slice(7)).toEqual(bare.text.split('\r\n'));
    const pdf = await request(harness.app)
      .get(`/api/v1/sites/${SITE}/sheets/${sheet}/pdf`)
      .expect(200)
      .expect('Content-Type', /application\/pdf/);
    expect((pdf.body as Buffer).subarray(0, 5).toString()).toBe('%PDF-');
    await request(harness.app).get(`/api/v1/sites/${SITE}/sheets/${id()}/pdf`).expect(404);
  });
});

describe('the description of the API', () => {
  it('has every address and every type of fact', async () => {
    const { body } = await request(harness.app).get('/api/v1/openapi.json').expect(200);
    expect(body.openapi).toBe('3.1.0');
    for (const type of FACT_TYPES)
      expect(body.components.schemas[`Fact.${type}`].properties.body.additionalProperties ?? false).toBe(false);
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining([
        '/sites',
        '/sites/{site}/facts/{id}',
        '/sites/{site}/control-lists/{id}',
        '/sites/{site}/sheets/{id}',
      ]),
    );
  });

  it('promises answers that have the form of those that are given', async () => {
    const site = { site: SITE };
    const given: Readonly<Partial<Record<Answering, object>>> = {
      listSites: {},
      readClock: {},
      readQuarantine: site,
      listSheets: site,
      listCrewLinks: site,
      readDescription: {},
    };
    for (const [name, path] of Object.entries(given) as [Answering, Readonly<Record<string, string>>][]) {
      const operation = OPERATIONS[name];
      const address = operation.path.replace(/\{(\w+)\}/g, (_, part: string) => path[part]!);
      const { body } = await request(harness.app).get(`/api/v1${address}`).expect(200);
      expect([name, invalidAgainst(operation.answer, body)]).toEqual([name, null]);
    }
  });

  it('names no address that the server does not know', async () => {
    for (const { method, path } of Object.values(OPERATIONS)) {
      const address = path.replace('{token}', 'x'.repeat(22)).replace(/\{\w+\}/g, id());
      const { body } = await request(harness.app)[method](`/api/v1${address}`);
      const { detail } = body as { readonly detail?: string };
      expect([path, detail]).not.toEqual([path, msg('answers.thereIsNoSuchAddressInThis')]);
    }
  });
});

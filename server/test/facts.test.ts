import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { AnyFact, Fact } from '@idle-marker/contract';
import { device, id, SITE_BODY, startHarness, type Harness } from './harness.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness('facts');
});
afterAll(() => harness.stop());

const put = (site: string, fact: AnyFact) =>
  request(harness.app).put(`/api/v1/sites/${site}/facts/${fact.id}`).send(fact);

async function newSite() {
  const site = id();
  const member = id();
  const make = device(member);
  await put(site, make('member', { name: 'Mara' }, member)).expect(201);
  await put(site, make('site', SITE_BODY)).expect(201);
  return { site, make };
}

describe('the ledger', () => {
  it('keeps a fact once, however often it is sent', async () => {
    const { site, make } = await newSite();
    const note = make('note', { text: 'first light' });
    await put(site, note).expect(201);
    await put(site, note).expect(200, { id: note.id, written: false });
    const { body } = await request(harness.app).get(`/api/v1/sites/${site}/facts`).expect(200);
    expect(body.facts.filter((fact: AnyFact) => fact.id === note.id)).toHaveLength(1);
  });

  it('refuses the same id with other content', async () => {
    const { site, make } = await newSite();
    const note = make('note', { text: 'as said' });
    await put(site, note).expect(201);
    const { body } = await put(site, { ...note, body: { text: 'as wished' } } as AnyFact).expect(409);
    expect(body).toMatchObject({ code: 'CONFLICT', status: 409, field: '/id' });
    await put(id(), note).expect(409);
  });

  it('takes many together, each once, and tells what came of each', async () => {
    const { site, make } = await newSite();
    const post = (facts: readonly unknown[]) =>
      request(harness.app).post(`/api/v1/sites/${site}/facts`).send({ facts });
    const notes = Array.from({ length: 200 }, (_, i) => make('note', { text: `${i}` }));
    expect((await post(notes).expect(200)).body.results).toEqual(notes.map((note) => ({ id: note.id, written: true })));
    expect((await post(notes.slice(0, 2)).expect(200)).body.results).toEqual(
      notes.slice(0, 2).map((note) => ({ id: note.id, written: false })),
    );
    // One that is wrong keeps back what refers to it, and nothing else.
    const [before, occupation, close, after] = [
      make('note', { text: 'before' }),
      { ...make('note', { text: '' }) },
      make('close', { occupation: id(), note: '' }),
      make('note', { text: 'after' }),
    ];
    const odd = [
      before,
      occupation,
      close,
      { id: 7 },
      make('handover', { sheet: id(), number: 1, revision: 1, package: id(), marks: [], withheld: [] }),
      after,
    ];
    const { results } = (await post(odd).expect(200)).body as {
      results: { id: string | null; written?: boolean; problem?: { code: string; field?: string } }[];
    };
    expect(results).toMatchObject([
      { id: before.id, written: true },
      { id: occupation.id, problem: { code: 'INVALID_INPUT', field: '/body/text', status: 422 } },
      { id: close.id, problem: { code: 'MISSING_REFERENCE' } },
      { id: null, problem: { status: 422 } },
      { problem: { status: 422, field: '/type' } },
      { id: after.id, written: true },
    ]);
    const kept = (await request(harness.app).get(`/api/v1/sites/${site}/facts?after=0`).expect(200)).body as {
      facts: AnyFact[];
      more: boolean;
    };
    expect(kept.facts.slice(2).map((fact) => fact.id)).toEqual([...notes, before, after].map((fact) => fact.id));
    for (const facts of [[], Array.from({ length: 201 }, () => notes[0])])
      expect((await post(facts).expect(422)).body).toMatchObject({ field: '/facts' });
    await request(harness.app).post(`/api/v1/sites/${site}/facts`).send([notes[0]]).expect(422);
  });

  it('is read page by page, in the order of arrival', async () => {
    const { site, make } = await newSite();
    const notes = Array.from({ length: 1100 }, (_, i) => make('note', { text: `${i}` }));
    for (let i = 0; i < notes.length; i += 200)
      await request(harness.app)
        .post(`/api/v1/sites/${site}/facts`)
        .send({ facts: notes.slice(i, i + 200) })
        .expect(200);
    const read: string[] = [];
    let [after, more, pages] = [0, true, 0];
    for (; more; pages++) {
      const page = (await request(harness.app).get(`/api/v1/sites/${site}/facts?after=${after}`).expect(200)).body as {
        facts: AnyFact[];
        cursor: number;
        more: boolean;
      };
      read.push(...page.facts.map((fact) => fact.id));
      [after, more] = [page.cursor, page.more];
    }
    expect(read.slice(2)).toEqual(notes.map((note) => note.id));
    expect(pages).toBe(2);
  });

  it('refuses what refers to something that has not arrived, and takes it once it has', async () => {
    const { site, make } = await newSite();
    const occupation = make('occupation', {
      name: 'S1',
      instrument: { name: 'i', angleSdSec: 1, distSdMm: 1, distSdPpm: 1.5 },
      instrumentHeight: 1.6,
      instrumentHeightSdMm: 1,
      temperatureC: 18,
      pressureHPa: 1013,
      ppm: 6,
      ground: 'gravel',
      windy: false,
      link: 'typed',
    });
    const close = make('close', { occupation: occupation.id, note: '' });
    const { body } = await put(site, close).expect(409);
    expect(body).toMatchObject({ code: 'MISSING_REFERENCE' });
    await put(site, occupation).expect(201);
    await put(site, close).expect(201);
  });

  it('refuses a place in the sequence that is taken', async () => {
    const { site, make } = await newSite();
    const note = make('note', { text: 'one' });
    await put(site, note).expect(201);
    const { body } = await put(site, { ...note, id: id() }).expect(409);
    expect(body).toMatchObject({ code: 'SEQUENCE_TAKEN' });
  });

  it('gives facts in order of arrival, from any cursor on', async () => {
    const { site, make } = await newSite();
    const first = await request(harness.app).get(`/api/v1/sites/${site}/facts`);
    for (let i = 0; i < 3; i++) await put(site, make('note', { text: `note ${i}` }));
    const { body } = await request(harness.app)
      .get(`/api/v1/sites/${site}/facts?after=${first.body.cursor}`)
      .expect(200);
    expect(body.facts.map((fact: Fact<'note'>) => fact.body.text)).toEqual(['note 0', 'note 1', 'note 2']);
    expect(body.ledger).toBe(first.body.ledger);
    await request(harness.app).get(`/api/v1/sites/${site}/facts?after=x`).expect(422);
  });

  it('is guarded by the database itself against changing, deleting and emptying', async () => {
    const em = harness.orm.em.fork();
    await expect(em.execute("update fact set device = 'other'")).rejects.toThrow(/kept as they are/);
    await expect(em.execute('delete from fact')).rejects.toThrow(/kept as they are/);
    await expect(em.execute('truncate fact cascade')).rejects.toThrow(/kept as they are/);
  });

  it('keeps numbers to the last digit', async () => {
    const { site, make } = await newSite();
    const e = 4218.334123456789;
    const control = make('control', {
      mark: id(),
      name: 'K1',
      e,
      n: 0.1 + 0.2,
      z: null,
      sdHMm: 2,
      sdZMm: null,
      kind: 'pin',
      usePlan: true,
      useHeight: false,
      forProof: false,
      condition: 'secure',
      note: '',
      source: 'typed',
      supersedes: null,
    });
    await put(site, control).expect(201);
    const { body } = await request(harness.app).get(`/api/v1/sites/${site}/facts`);
    expect(body.facts.at(-1).body).toMatchObject({ e, n: 0.1 + 0.2 });
    await put(site, control).expect(200);
  });
});

describe('bad bodies', () => {
  it.each([
    ['an unknown field', { extra: 1 }, 'INVALID_INPUT', '/body/extra'],
    ['a missing field', { text: undefined }, 'INVALID_INPUT', '/body/text'],
    ['an empty text', { text: '' }, 'INVALID_INPUT', '/body/text'],
    ['a text that no database keeps', { text: 'a\u0000b' }, 'INVALID_INPUT', '/body/text'],
    ['half of a character', { text: 'a\ud800b' }, 'INVALID_INPUT', '/body/text'],
  ])('%s is rejected by field', async (_what, change, code, field) => {
    const { site, make } = await newSite();
    const note = make('note', { text: 'x', ...change });
    const { body } = await put(site, note).expect(422);
    expect(body).toMatchObject({ code, field });
    expect(body.detail).toMatch(/Nothing was saved/);
  });

  it('refuses an envelope with unknown fields, a strange type, an impossible time, an unnamed author', async () => {
    const { site, make } = await newSite();
    const note = make('note', { text: 'x' });
    for (const change of [
      { verdict: 'held' },
      { type: 'verdict' },
      { at: '2031-02-31T08:00:00Z' },
      { at: 'yesterday' },
      { by: null as unknown as string },
      { seq: -1 },
    ]) {
      await put(site, { ...note, ...change } as AnyFact).expect(422);
    }
    const { body } = await request(harness.app).get(`/api/v1/sites/${site}/facts`);
    expect(body.facts).toHaveLength(2);
  });

  it('answers a slope of 0 and a coordinate out of reach by field', async () => {
    const { site, make } = await newSite();
    const sight = {
      occupation: id(),
      purpose: 'station',
      target: { kind: 'control', mark: id() },
      face: 1,
      read: {
        circle: 10,
        zenith: 90,
        slope: 0,
        angleUnit: 'degree',
        lengthUnit: 'metre',
        angleDecimals: 4,
        lengthDecimals: 3,
        keyed: null,
      },
      targetHeight: 1.5,
      targetHeightSdMm: 1,
      targetCentringSdMm: 1,
      prismConstantMm: 0,
      ppm: 0,
    };
    const { body } = await put(site, make('sight', sight)).expect(422);
    expect(body.field).toBe('/body/read/slope');
  });

  it('says that 2 MB is the limit, and that JSON is not JSON', async () => {
    const { site, make } = await newSite();
    const note = make('note', { text: 'x'.repeat(2.2 * 1024 * 1024) });
    const large = await put(site, note).expect(413);
    expect(large.body).toMatchObject({ code: 'BODY_TOO_LARGE' });
    expect(large.body.detail).toContain('2 MB');
    expect(large.headers['content-type']).toContain('application/problem+json');
    const broken = await request(harness.app)
      .put(`/api/v1/sites/${site}/facts/${note.id}`)
      .set('Content-Type', 'application/json')
      .send('{"id":')
      .expect(400);
    expect(broken.body.code).toBe('INVALID_JSON');
  });

  it('answers nobody who was led here under another name', async () => {
    const { body } = await request(harness.app).get('/api/v1/sites').set('Host', 'evil.example').expect(421);
    expect(body.code).toBe('WRONG_HOST');
  });

  it('answers odd addresses with problem documents', async () => {
    expect((await request(harness.app).get('/api/v1/sites/1/facts').expect(400)).body.code).toBe('INVALID_ID');
    expect((await request(harness.app).get('/api/v1/nothing').expect(404)).body.code).toBe('NOT_FOUND');
    expect((await request(harness.app).get('/healthz').expect(200)).body).toEqual({
      status: 'ok',
      database: 'answers',
      writes: 'taken',
      freeMb: expect.any(Number),
    });
  });
});

describe('a database that went away', () => {
  it('is said with 503 and a sentence, on every route', async () => {
    const other = await startHarness('away');
    await other.orm.close(true);
    const { app } = other;
    await request(app).get('/healthz').expect(503);
    const { body } = await request(app)
      .get('/api/v1/sites')
      .expect((response) => expect(response.status).toBeGreaterThanOrEqual(500));
    expect(body.detail).toMatch(/Nothing was saved/);
  });
});

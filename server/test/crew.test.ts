/** The crew's page over its real database: what a token opens, what it does not, and what comes back through it. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { FACT_TYPES, type AnyFact, type Fact } from '@idle-marker/contract';
import { siteState, type CrewView } from '@idle-marker/records';
import { createApp, createCrewApp } from '../src/app.ts';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { id, startHarness, type Harness } from './harness.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T08:00:00.000Z';
const silent = pino({ level: 'silent' });
let harness: Harness;
beforeAll(async () => {
  harness = await startHarness('crew');
  await loadDemo(harness.orm, DEMO, NOW, silent);
}, 240_000);
afterAll(() => harness.stop());

const facts = async (): Promise<AnyFact[]> =>
  (await request(harness.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[];
const hubs = async () =>
  (await facts()).find(
    (fact): fact is Fact<'package'> => fact.type === 'package' && fact.body.name === 'Ticket hall hubs',
  )!;
const ASKED = { label: 'Formwork', who: 'Mara, 555 0100', roots: null as string[] | null, days: 30 };
const make = async (change: object = {}): Promise<{ id: string; token: string }> =>
  (
    await request(harness.app)
      .put(`/api/v1/sites/${SITE}/crew-links/${id()}`)
      .send({ ...ASKED, ...change })
      .expect(201)
  ).body as { id: string; token: string };
const open = (token: string, app = harness.app) => request(app).get(`/api/v1/crew/${token}`);
const view = async (token: string): Promise<CrewView> => (await open(token).expect(200)).body as CrewView;

describe('a link', () => {
  it('is made once under its id, with a token that nobody guesses', async () => {
    const link = id();
    const first = (await request(harness.app).put(`/api/v1/sites/${SITE}/crew-links/${link}`).send(ASKED).expect(201))
      .body as {
      token: string;
      expiresAt: string;
    };
    expect(first.token).toMatch(/^[A-Za-z0-9_-]{22}$/);
    expect(first.expiresAt).toBe('2031-06-05T08:00:00.000Z');
    expect(
      (await request(harness.app).put(`/api/v1/sites/${SITE}/crew-links/${link}`).send(ASKED).expect(200)).body,
    ).toEqual(first);
    expect((await make()).token).not.toBe(first.token);
  });
  it('opens the packages that it is for, and tells no secret of the site', async () => {
    const work = await hubs();
    const { token } = await make({ roots: [work.id] });
    const answer = await open(token).expect(200);
    const found = answer.body as CrewView;
    expect(found.packages).toEqual(['Ticket hall hubs']);
    expect(found.marks).toHaveLength(9);
    expect(found).toMatchObject({ site: 'Ternhaven Ferry Landing', who: 'Mara, 555 0100', label: 'Formwork' });
    expect(answer.headers['cache-control']).toBe('no-store');
    expect(answer.headers['referrer-policy']).toBe('no-referrer');
    expect((await view((await make()).token)).packages.length).toBeGreaterThan(3);
  });
  it('that was closed, has run out or never was gets one answer', async () => {
    const closed = await make();
    await request(harness.app).delete(`/api/v1/sites/${SITE}/crew-links/${closed.id}`).expect(200);
    const again = (await request(harness.app).delete(`/api/v1/sites/${SITE}/crew-links/${closed.id}`).expect(200))
      .body as { revokedAt: string };
    expect(again.revokedAt).toBe(NOW);
    const short = await make({ days: 1 });
    const later = createApp({
      orm: harness.orm,
      log: silent,
      webFolder: null,
      now: '2031-05-07T08:00:00.000Z',
      loopbackOnly: true,
      archives: harness.archives,
    });
    await open(short.token).expect(200);
    const answers = [
      await open(closed.token),
      await open(short.token, later),
      await open('A'.repeat(22)),
      await open("x' or 1=1"),
    ];
    for (const answer of answers) {
      expect(answer.status).toBe(410);
      expect(answer.body).toMatchObject({
        code: 'LINK_ENDED',
        detail: 'This link is no longer valid. Ask the layout crew for a new one.',
      });
    }
    const report = { mark: id(), kind: 'destroyed', who: '', text: '' };
    await request(harness.app).put(`/api/v1/crew/${closed.token}/reports/${id()}`).send(report).expect(410);
  });
  it('is refused with days, roots or fields that are none', async () => {
    for (const [field, change] of [
      ['/days', { days: 0 }],
      ['/roots', { roots: [] }],
      ['/label', { label: '' }],
      ['/token', { token: 'mine' }],
    ] as const) {
      const { body } = await request(harness.app)
        .put(`/api/v1/sites/${SITE}/crew-links/${id()}`)
        .send({ ...ASKED, ...change })
        .expect(422);
      expect([field, body.field ?? '/token']).toEqual([field, field]);
      expect(body.detail).toMatch(/No link was made\.$/);
    }
    await request(harness.app).put(`/api/v1/sites/${id()}/crew-links/${id()}`).send(ASKED).expect(409);
  });
});

describe('a report', () => {
  const report = (token: string, mark: string, change: object = {}, reportId = id()) =>
    request(harness.app)
      .put(`/api/v1/crew/${token}/reports/${reportId}`)
      .send({ mark, kind: 'destroyed', who: 'Jo', text: 'loader', ...change });

  it('reaches the site as a fact of the crew, once however often it is sent', async () => {
    const { token } = await make();
    const mark = (await view(token)).marks[0]!;
    const reportId = id();
    await report(token, mark.id, {}, reportId).expect(201);
    await report(token, mark.id, {}, reportId).expect(201);
    const state = siteState(await facts());
    expect(state.reports.get(mark.id)).toMatchObject({
      id: reportId,
      body: { kind: 'destroyed', who: 'Jo', text: 'loader' },
    });
    const crew = state.members.find(({ id: member }) => member === state.reports.get(mark.id)!.by)!;
    expect(crew.body).toEqual({ name: 'Formwork', crew: true });
    expect((await view(token)).marks.find(({ id: each }) => each === mark.id)).toMatchObject({
      standing: 'destroyed',
      report: { kind: 'destroyed' },
    });
  });
  it('is taken for marks of its own page alone', async () => {
    const work = await hubs();
    const { token } = await make({ roots: [work.id] });
    const all = await view((await make()).token);
    const foreign = all.marks.find((mark) => mark.package !== 'Ticket hall hubs')!;
    expect((await report(token, foreign.id).expect(404)).body.detail).toMatch(/Nothing was reported/);
    expect((await report(token, foreign.id, { kind: 'painted' }).expect(422)).body.field).toBe('/kind');
  });
  it('is not taken by the hundred', async () => {
    const { token } = await make();
    const [mark] = (await view(token)).marks;
    const statuses: number[] = [];
    for (let i = 0; i < 62; i++) statuses.push((await report(token, mark!.id, { text: String(i) })).status);
    expect(statuses.slice(0, 60).every((status) => status === 201)).toBe(true);
    expect(statuses.slice(60)).toEqual([429, 429]);
  }, 240_000);
});

describe('what the network is served', () => {
  it('is the crew’s pages and nothing else', async () => {
    const crew = createCrewApp({ orm: harness.orm, log: silent, webFolder: null, now: NOW });
    const { token } = await make();
    await open(token, crew).expect(200);
    await request(crew).get('/api/v1/clock').expect(200);
    for (const path of [
      '/',
      '/sites',
      '/api/v1/sites',
      `/api/v1/sites/${SITE}/facts`,
      `/api/v1/sites/${SITE}/crew-links`,
      '/api/v1/openapi.json',
      '/healthz',
    ])
      expect([path, (await request(crew).get(path)).status]).toEqual([path, 404]);
    await request(crew).put(`/api/v1/sites/${SITE}/crew-links/${id()}`).send(ASKED).expect(404);
    const [mark] = (await view(token)).marks;
    await request(crew)
      .put(`/api/v1/crew/${token}/reports/${id()}`)
      .send({ mark: mark!.id, kind: 'moved', who: '', text: 'x'.repeat(20_000) })
      .expect(413);
  });
  it('is asked so often and no more: links that open nothing, reports, and pages', async () => {
    const crew = createCrewApp({ orm: harness.orm, log: silent, webFolder: null, now: NOW });
    const { token } = await make();
    const guess = (i: number) => open(`AAAAAAAAAAAAAAAAAAAA${String(i).padStart(2, '0')}`, crew);
    const guesses: number[] = [];
    for (let i = 0; i < 62; i++) guesses.push((await guess(i)).status);
    expect([guesses.slice(0, 60).every((status) => status === 410), guesses.slice(60)]).toEqual([true, [429, 429]]);
    const blocked = await open(token, crew).expect(429);
    expect(blocked.body).toMatchObject({ code: 'TOO_MANY' });
    // Another door counts for itself: pages that open are no guesses.
    const other = createCrewApp({ orm: harness.orm, log: silent, webFolder: null, now: NOW });
    const asked: number[] = [];
    for (let i = 0; i < 242; i++) asked.push((await open(token, other)).status);
    expect([asked.slice(0, 240).every((status) => status === 200), asked.slice(240)]).toEqual([true, [429, 429]]);
    const third = createCrewApp({ orm: harness.orm, log: silent, webFolder: null, now: NOW });
    const told: number[] = [];
    for (let i = 0; i < 22; i++)
      told.push((await request(third).put(`/api/v1/crew/${token}/reports/${id()}`).send({})).status);
    expect([told.slice(0, 20).every((status) => status === 422), told.slice(20)]).toEqual([true, [429, 429]]);
  }, 240_000);
  it('shows what has changed since it was asked for', async () => {
    const { token } = await make();
    const [mark] = (await view(token)).marks;
    await view(token);
    await request(harness.app)
      .put(`/api/v1/crew/${token}/reports/${id()}`)
      .send({ mark: mark!.id, kind: 'moved', who: '', text: '' })
      .expect(201);
    expect((await view(token)).marks.find((each) => each.id === mark!.id)).toMatchObject({
      standing: 'inDoubt',
      report: { kind: 'moved' },
    });
  });
  it('has no photo that is not of a mark on the page', async () => {
    const { token } = await make();
    await request(harness.app).get(`/api/v1/crew/${token}/images/${id()}`).expect(404);
  });
  it('and every type of fact is still described', () => {
    expect(FACT_TYPES).toEqual(expect.arrayContaining(['report', 'convention']));
  });
});

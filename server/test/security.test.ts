/** Who may change anything, and where it is served. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { readConfiguration } from '../src/configuration.ts';
import { id, startHarness, type Harness } from './harness.ts';

let harness: Harness;
beforeAll(async () => {
  harness = await startHarness('security');
});
afterAll(() => harness.stop());

const CHANGES = [
  ['post', '/api/v1/archives'],
  ['post', '/api/v1/raw-sights'],
  ['put', `/api/v1/sites/${id()}/facts/${id()}`],
  ['put', `/api/v1/sites/${id()}/images/${id()}`],
  ['put', `/api/v1/sites/${id()}/sources/${id()}`],
  ['put', `/api/v1/sites/${id()}/sheets/${id()}`],
  ['put', `/api/v1/sites/${id()}/crew-links/${id()}`],
  ['post', '/api/v1/crew/token/reports'],
] as const;

describe('a page of another origin', () => {
  it.each(CHANGES)('can’t %s %s', async (method, address) => {
    const ask = () =>
      request(harness.app)[method](address).set('Host', '127.0.0.1:4180').set('Content-Type', 'text/plain');
    for (const origin of ['http://evil.example', 'http://127.0.0.1:8080', 'null', 'nonsense'])
      expect((await ask().set('Origin', origin).send('x').expect(403)).body.code).toBe('FOREIGN_ORIGIN');
    for (const site of ['cross-site', 'same-site'])
      expect((await ask().set('Sec-Fetch-Site', site).send('x').expect(403)).body.code).toBe('FOREIGN_ORIGIN');
    // Its own page, and a program that is no browser, come to the route itself.
    const own = await ask().set('Origin', 'http://127.0.0.1:4180').set('Sec-Fetch-Site', 'same-origin').send('x');
    expect(own.body.code).not.toBe('FOREIGN_ORIGIN');
    expect((await ask().send('x')).body.code).not.toBe('FOREIGN_ORIGIN');
    const proxied = await ask().set('Origin', 'https://stakes.example').set('Sec-Fetch-Site', 'same-origin').send('x');
    expect(proxied.body.code).not.toBe('FOREIGN_ORIGIN');
  });

  it('can be led to its pages, which change nothing', async () => {
    await request(harness.app)
      .get('/api/v1/sites')
      .set('Host', '127.0.0.1')
      .set('Sec-Fetch-Site', 'cross-site')
      .expect(200);
  });
});

describe('a body that any page may send', () => {
  it.each(CHANGES)('isn’t taken by %s %s', async (method, address) => {
    const ask = () => request(harness.app)[method](address).set('Host', '127.0.0.1:4180');
    for (const type of [
      'text/plain',
      'text/plain; charset=utf-8',
      'TEXT/PLAIN',
      'application/x-www-form-urlencoded',
      'multipart/form-data; boundary=x',
      '',
    ])
      expect([type, (await ask().set('Content-Type', type).send('x')).body.code]).toEqual([type, 'UNSUPPORTED_TYPE']);
  });

  it('is taken by no route as something else than it is', async () => {
    for (const [method, address] of CHANGES.slice(0, 5)) {
      const ask = request(harness.app);
      const { status, body } = await ask[method](address)
        .set('Host', '127.0.0.1')
        .set('Content-Type', 'application/x-unheard-of')
        .send('x');
      expect([address, status, body.code]).toEqual([
        address,
        expect.any(Number),
        expect.stringMatching(/UNSUPPORTED_TYPE|INVALID_INPUT/),
      ]);
    }
  });
});

describe('a disk that is full', () => {
  it('is told as what it is, by the routes and by its health', async () => {
    const full = await startHarness('full');
    await full.orm.em.fork().execute(`create function no_room() returns trigger language plpgsql as $$
      begin raise exception 'no room' using errcode = '53100'; end $$`);
    for (const table of ['site', 'health'])
      await full.orm.em
        .fork()
        .execute(`create trigger full_${table} before insert on ${table} for each row execute function no_room()`);
    const member = id();
    const fact = {
      id: member,
      type: 'member',
      at: '2031-05-06T07:00:00.000Z',
      device: 'tablet',
      seq: 0,
      by: member,
      body: { name: 'Mara' },
    };
    const { body } = await request(full.app).put(`/api/v1/sites/${id()}/facts/${member}`).send(fact).expect(507);
    expect(body).toMatchObject({
      code: 'STORAGE_FULL',
      detail: expect.stringMatching(/disk is full.*Nothing was saved/),
    });
    expect((await request(full.app).get('/healthz').expect(503)).body).toMatchObject({
      status: 'degraded',
      database: 'answers',
      writes: 'refused',
    });
    await full.stop();
  });
});

describe('the host it is served on', () => {
  const read = (host?: string) =>
    readConfiguration({ IDLE_PG_PASSWORD: 'secret', ...(host === undefined ? {} : { IDLE_HOST: host }) }).host;
  it('is this machine alone', () => {
    expect([read(), read(''), read('localhost'), read('::1')]).toEqual(['127.0.0.1', '127.0.0.1', 'localhost', '::1']);
    for (const host of ['0.0.0.0', '::', '192.168.1.20', 'site.example'])
      expect(() => read(host)).toThrow(/served on this machine alone.*IDLE_CREW_HOST/);
  });
});

import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import type { AnyFact } from '@idle-marker/contract';
import { device, id, SITE_BODY, startHarness, type Harness } from './harness.ts';

let harness: Harness;
let site: string;
let member: string;
beforeAll(async () => {
  harness = await startHarness('control');
});
afterAll(() => harness.stop());

const put = (fact: AnyFact) => request(harness.app).put(`/api/v1/sites/${site}/facts/${fact.id}`).send(fact);

async function freshSite() {
  site = id();
  member = id();
  const make = device(member);
  await put(make('member', { name: 'Mara' }, member)).expect(201);
  await put(make('site', SITE_BODY)).expect(201);
}

const OPTIONS = {
  at: '2031-05-06T07:30:00.000Z',
  fileName: 'list.csv',
  unit: 'metre',
  xIsNorth: false,
  sdHMm: 2,
  sdZMm: 2,
  skipRows: [] as number[],
  swapRows: [] as number[],
};
const send = (text: string | Buffer, change: object = {}, list = id()) =>
  request(harness.app)
    .put(`/api/v1/sites/${site}/control-lists/${list}`)
    .query({ options: JSON.stringify({ ...OPTIONS, by: member, ...change }) })
    .set('Content-Type', 'text/csv')
    .send(text as string);
const controls = async () =>
  ((await request(harness.app).get(`/api/v1/sites/${site}/facts`)).body.facts as AnyFact[]).filter(
    (fact) => fact.type === 'control',
  );

describe('control lists', () => {
  it('that come before their site are refused as that', async () => {
    await freshSite();
    const elsewhere = id();
    const alone = { id: member, type: 'member', at: OPTIONS.at, device: 'x', seq: 0, by: member, body: { name: 'Jo' } };
    const other = { ...alone, id: id() };
    await request(harness.app)
      .put(`/api/v1/sites/${elsewhere}/facts/${other.id}`)
      .send({ ...other, by: other.id })
      .expect(201);
    const { body } = await request(harness.app)
      .put(`/api/v1/sites/${elsewhere}/control-lists/${id()}`)
      .query({ options: JSON.stringify({ ...OPTIONS, by: other.id }) })
      .set('Content-Type', 'text/csv')
      .send('name,E,N\nK1,1,2')
      .expect(409);
    expect(body.code).toBe('MISSING_REFERENCE');
  });

  it.each([
    ['name,E,N,note\nK1,500000000,20,ok', /^Row 2: e must be at most 100000000/],
    ['name,E,N,H\nK1,10,20,3\nK2,10,1e300,3', /^Row 3: n must be at most 100000000/],
    [`name,E,N,note\nK1,10,20,${'x'.repeat(3000)}`, /^Row 2: note must not have more than 2000 characters/],
    ['name,E,N\n"K1\nK2",10,20', /^Row 2: name must match|^Row 2: name/],
    ['name,E,N,sdh\nK1,10,20,1e12', /^Row 2: sdHMm must be at most 10000/],
  ])('are rejected by the rules that hold for facts, with their row: %#', async (text, reason) => {
    await freshSite();
    const { body } = await send(text).expect(422);
    expect(body).toMatchObject({ code: 'INVALID_FILE', detail: expect.stringMatching(reason) });
    expect(await controls()).toEqual([]);
  });

  it('are read as a person says: columns without headings, another unit, letters of older programs', async () => {
    await freshSite();
    const bytes = Buffer.from('S\xfcd,1000,2000,10,pin\r\n', 'latin1');
    await send(bytes, { said: { columns: ['name', 'n', 'e', 'z', 'code'], unit: 'ft' } }).expect(200);
    const [mark] = await controls();
    expect(mark!.body).toMatchObject({ name: 'Süd', n: 304.8, e: 609.6, z: 3.048 });
    await send('K1,1,2\n').expect(422);
    await send('Point,E,N\nK1,1,2\n', { said: { unit: 'furlong' } }).expect(422);
  });

  it('are written whole, in metres, and once when sent twice', async () => {
    await freshSite();
    const list = id();
    const text = 'Point,Northing (ft),Easting (ft),Elev (ft)\nK1,1000,2000,10\nP1,1100,2100,\n';
    expect((await send(text, {}, list).expect(200)).body).toEqual({ written: 2, rows: 2 });
    expect((await send(text, {}, list).expect(200)).body).toEqual({ written: 0, rows: 2 });
    const [first, second] = await controls();
    expect(first!.body).toMatchObject({
      name: 'K1',
      n: 304.8,
      e: 609.6,
      z: 3.048,
      usePlan: true,
      useHeight: true,
      forProof: false,
    });
    expect(second!.body).toMatchObject({ name: 'P1', z: null, useHeight: false, forProof: true });
  });

  it('make new revisions of marks that are known', async () => {
    await freshSite();
    await send('name,E,N\nK1,10,20\n').expect(200);
    await send('name,E,N\nk1,10.010,20\n', { at: '2031-05-06T09:00:00.000Z' }).expect(200);
    const [first, second] = await controls();
    expect(second!.body).toMatchObject({
      mark: (first as AnyFact & { body: { mark: string } }).body.mark,
      supersedes: first!.id,
      e: 10.01,
    });
  });

  it.each([
    ['a bad number', 'name,E,N\nK1,10,20\nK2,abc,5\n', 'Row 3'],
    ['a name twice', 'name,E,N\nK1,10,20\nK1,11,20\n', 'Row 3'],
    ['infinity', 'name,E,N\nK1,Infinity,20\n', 'Row 2'],
    ['no header', 'K1,10,20\nK2,11,20\n', 'NO_HEADER'],
    ['mixed units', 'name,E (m),N (ft)\nK1,10,20\n', 'MIXED_UNITS'],
    ['nothing', '', 'empty'],
  ])('with %s write nothing and name the place', async (_what, text, named) => {
    await freshSite();
    const { body } = await send(text).expect(422);
    expect(body.detail).toContain(named);
    expect(body.detail).toContain('Nothing was saved');
    expect(await controls()).toEqual([]);
  });

  it('that are no text are refused', async () => {
    await freshSite();
    expect((await send(Buffer.from([0x50, 0x4b, 3, 4, 0, 0, 1, 2])).expect(422)).body.detail).toMatch(/isn’t text/);
  });

  it('are refused at a time that does not exist', async () => {
    await freshSite();
    expect((await send('name,E,N\nK1,10,20\n', { at: '2031-02-30T08:00:00Z' }).expect(422)).body.field).toBe(
      '/options/at',
    );
    expect(await controls()).toEqual([]);
  });

  it('can leave rows out and exchange coordinates', async () => {
    await freshSite();
    await send('name,E,N\nK1,10,20\nK2,abc,5\nK3,7,8\n', { skipRows: [3], swapRows: [4] }).expect(200);
    expect((await controls()).map((fact) => fact.body)).toMatchObject([{ name: 'K1' }, { name: 'K3', e: 8, n: 7 }]);
  });

  it('of ten thousand rows go in as one', async () => {
    await freshSite();
    const rows = Array.from({ length: 10_000 }, (_, i) => `M${i},${(i % 100) * 5},${Math.floor(i / 100) * 5},3`);
    expect((await send(`name,E,N,H\n${rows.join('\n')}\n`).expect(200)).body.written).toBe(10_000);
    const page = await request(harness.app).get(`/api/v1/sites/${site}/facts`);
    expect(page.body).toMatchObject({ more: true });
    expect(page.body.facts).toHaveLength(1000);
  });
});

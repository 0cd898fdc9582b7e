import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import request from 'supertest';
import { LARGEST_IMAGE_BYTES, type AnyFact } from '@idle-marker/contract';
import { imageTypeOf } from '@idle-marker/archive';
import { device, id, SITE_BODY, startHarness, type Harness } from './harness.ts';

let harness: Harness;
let site: string;
let member: string;
beforeAll(async () => {
  harness = await startHarness('images');
  site = id();
  member = id();
  const make = device(member);
  const put = (fact: AnyFact) => request(harness.app).put(`/api/v1/sites/${site}/facts/${fact.id}`).send(fact);
  await put(make('member', { name: 'Mara' }, member)).expect(201);
  await put(make('site', SITE_BODY)).expect(201);
});
afterAll(() => harness.stop());

const JPEG = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('a made-up photo')]);
const PNG = Buffer.concat([Buffer.from([0x89]), Buffer.from('PNG\r\n\x1a\n'), Buffer.alloc(20)]);
const WEBP = Buffer.concat([Buffer.from('RIFF'), Buffer.alloc(4), Buffer.from('WEBPVP8 ')]);
const send = (image: string, bytes: Buffer, type = 'image/jpeg', at = site) =>
  request(harness.app).put(`/api/v1/sites/${at}/images/${image}`).set('Content-Type', type).send(bytes);

describe('a photo', () => {
  it('is kept whole, once, and given back as what it is', async () => {
    const image = id();
    expect((await send(image, JPEG).expect(201)).body).toEqual({
      id: image,
      mediaType: 'image/jpeg',
      bytes: JPEG.length,
    });
    await send(image, JPEG).expect(200);
    const answer = await request(harness.app).get(`/api/v1/sites/${site}/images/${image}`).expect(200);
    expect(answer.headers['content-type']).toBe('image/jpeg');
    expect(answer.headers['x-content-type-options']).toBe('nosniff');
    expect(answer.headers['cache-control']).toContain('immutable');
    expect(Buffer.compare(answer.body as Buffer, JPEG)).toBe(0);
  });

  it('is what its bytes say, whatever it is called', async () => {
    expect([JPEG, PNG, WEBP].map(imageTypeOf)).toEqual(['image/jpeg', 'image/png', 'image/webp']);
    expect(
      [Buffer.from('<svg onload="x">'), Buffer.from('GIF89a'), Buffer.from([0xff, 0xd8])].map(imageTypeOf),
    ).toEqual([null, null, null]);
    expect((await send(id(), PNG, 'image/jpeg').expect(201)).body).toMatchObject({ mediaType: 'image/png' });
    expect((await send(id(), Buffer.from('<html>'), 'image/png').expect(415)).body).toMatchObject({
      code: 'UNSUPPORTED_TYPE',
    });
  });

  it('is refused empty, too large, for a site that is not there, and under an id with another one', async () => {
    const image = id();
    await send(image, WEBP, 'image/webp').expect(201);
    expect((await send(image, JPEG).expect(409)).body).toMatchObject({ code: 'CONFLICT' });
    expect((await send(id(), Buffer.alloc(0)).expect(422)).body).toMatchObject({ code: 'INVALID_FILE' });
    const large = Buffer.concat([JPEG, Buffer.alloc(LARGEST_IMAGE_BYTES)]);
    expect((await send(id(), large).expect(413)).body.detail).toContain('make the photo smaller');
    expect((await send(id(), JPEG, 'image/jpeg', id()).expect(409)).body).toMatchObject({ code: 'MISSING_REFERENCE' });
    await request(harness.app).get(`/api/v1/sites/${id()}/images/${image}`).expect(404);
  });
});

describe('the control report', () => {
  const report = (query: object) => request(harness.app).get(`/api/v1/sites/${site}/control-report`).query(query);
  const good = () => ({ at: '2031-05-06T09:00:00Z', by: member, timeZone: 'Europe/Berlin' });

  it('is one page of PDF, with however many marks', async () => {
    const make = device(member);
    for (let i = 1; i <= 40; i++) {
      const mark = make('control', {
        mark: id(),
        name: `K${i}`,
        e: 1000 + i * 7,
        n: 2000 + (i % 5) * 11,
        z: 5,
        sdHMm: 2,
        sdZMm: 2,
        kind: 'cross',
        usePlan: true,
        useHeight: true,
        forProof: false,
        condition: i % 9 === 0 ? 'lost' : 'secure',
        note: '',
        source: 'typed',
        useBefore: '2031-05-07',
        supersedes: null,
      });
      await request(harness.app).put(`/api/v1/sites/${site}/facts/${mark.id}`).send(mark).expect(201);
    }
    const answer = await report(good()).responseType('blob').expect(200);
    expect(answer.headers['content-type']).toBe('application/pdf');
    const text = (answer.body as Buffer).toString('latin1');
    expect(text.startsWith('%PDF-')).toBe(true);
    expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
  });

  it('is refused with the field that is wrong', async () => {
    expect((await report({ ...good(), at: 'today' }).expect(422)).body).toMatchObject({ field: '/at' });
    expect((await report({ ...good(), timeZone: 'Nowhere/Town' }).expect(422)).body).toMatchObject({
      field: '/timeZone',
    });
    expect((await report({ ...good(), more: 1 }).expect(422)).body).toMatchObject({ field: '/more' });
    await request(harness.app).get(`/api/v1/sites/${id()}/control-report`).query(good()).expect(404);
  });
});

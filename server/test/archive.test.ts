/** A whole site out of one server and into another: identical, or refused with nothing written. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import type { AnyFact, Fact } from '@idle-marker/contract';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { id, startHarness, type Harness } from './harness.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T10:00:00.000Z';
const PHOTO = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('a made-up photo')]);
let from: Harness;
let to: Harness;
let archive: Buffer;
const binary = (response: request.Response, done: (error: Error | null, bytes: Buffer) => void) => {
  const parts: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => parts.push(part));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};
const out = async (harness: Harness): Promise<Buffer> =>
  (await request(harness.app).get(`/api/v1/sites/${SITE}/archive`).buffer(true).parse(binary).expect(200)).body as Buffer;
const into = (bytes: Buffer, harness = to) => request(harness.app).post('/api/v1/archives').set('Content-Type', 'application/zip').send(bytes);
const sites = async (harness: Harness): Promise<unknown[]> => (await request(harness.app).get('/api/v1/sites')).body.sites as unknown[];

beforeAll(async () => {
  [from, to] = [await startHarness('archive_from'), await startHarness('archive_to')];
  await loadDemo(from.orm, DEMO, NOW, pino({ level: 'silent' }));
  await request(from.app).put(`/api/v1/sites/${SITE}/images/${id()}`).set('Content-Type', 'image/jpeg').send(PHOTO).expect(201);
  const facts = (await request(from.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[];
  const work = facts.find((fact): fact is Fact<'package'> => fact.type === 'package' && fact.body.name === 'Ticket hall hubs')!;
  const order = { package: work.id, fact: id(), at: NOW, device: 'office', seq: 0, by: facts.find(({ type }) => type === 'member')!.id, timeZone: 'UTC' };
  await request(from.app).put(`/api/v1/sites/${SITE}/sheets/${id()}`).send(order).expect(201);
  archive = await out(from);
}, 60_000);
afterAll(async () => {
  await from.stop();
  await to.stop();
});

/** The archive with one file changed, and its list of contents put right for it when asked to. */
function edited(path: string, change: (text: string) => string, listed = false): Buffer {
  const files = unzipSync(new Uint8Array(archive));
  files[path] = strToU8(change(strFromU8(files[path] ?? new Uint8Array())));
  if (listed) {
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, string> };
    manifest.files[path] = createHash('sha256').update(files[path]).digest('hex');
    files['manifest.json'] = strToU8(JSON.stringify(manifest));
  }
  const { 'manifest.json': first, ...rest } = files;
  return Buffer.from(zipSync({ 'manifest.json': first!, ...rest }));
}

describe('an archive', () => {
  it('that was changed, cut short or is none is refused with its reason, and nothing is written', async () => {
    const cases: readonly (readonly [Buffer, RegExp])[] = [
      [edited('facts.jsonl', (text) => text.replace('Ternhaven', 'Elsewhere')), /facts\.jsonl is not as it was written/],
      [edited('facts.jsonl', (text) => `${text}{"id":1}\n`, true), /facts\.jsonl, line \d+: /],
      [edited('facts.jsonl', (text) => text.replace('"type":"site"', '"type":"palace"'), true), /facts\.jsonl, line \d+: /],
      [edited('facts.jsonl', () => 'not json\n', true), /line 1, is not JSON/],
      [edited('sheets.jsonl', () => '{"id":"x"}\n', true), /sheets\.jsonl, line 1, is no sheet/],
      [edited('facts.jsonl', (text) => text.replace(/^.*"type":"occupation".*\n/m, ''), true), /An entry in facts\.jsonl refers to another that is neither/],
      [edited('images/extra.php', () => '<?php', true), /nothing that belongs in an archive/],
      [edited('images/extra.php', () => '<?php'), /is not on the archive’s list/],
      [edited('manifest.json', (text) => text.replace('"version":1', '"version":2')), /later version/],
      [edited('manifest.json', (text) => text.replace('site archive', 'zoo')), /list of contents is not one/],
      [archive.subarray(0, archive.length - 2000), /ends before all of it|not in it|damaged/],
      [Buffer.from('PK but not really'), /no archive of a site|no ZIP file|ends before/],
      [Buffer.from(zipSync({ 'readme.txt': strToU8('hello') })), /does not begin with its list/],
    ];
    for (const [bytes, reason] of cases) {
      const { body, status } = await into(bytes);
      expect([reason.source, status, String(body.detail)]).toEqual([reason.source, 422, expect.stringMatching(reason)]);
      expect(body.detail).toMatch(/Nothing was written\.$/);
      expect(await sites(to)).toEqual([]);
    }
  }, 60_000);

  it('comes in whole, is the same to the byte when it is written again, and may be sent twice', async () => {
    const { body } = await into(archive).expect(201);
    expect(body).toMatchObject({ site: SITE, name: 'Ternhaven Ferry Landing' });
    expect(body.facts).toBeGreaterThan(200);
    expect(body.files).toBeGreaterThan(0);
    expect(Buffer.compare(await out(to), archive)).toBe(0);
    expect((await into(archive).expect(201)).body).toMatchObject({ facts: 0, files: 0 });
    expect((await request(to.app).get(`/api/v1/sites/${SITE}/sheets`)).body.sheets).toHaveLength(1);
  }, 60_000);

  it('keeps no key of a crew’s page', async () => {
    const { body } = await request(from.app).put(`/api/v1/sites/${SITE}/crew-links/${id()}`).send({ label: 'x', who: 'y', roots: null, days: 1 }).expect(201);
    const files = unzipSync(new Uint8Array(await out(from)));
    for (const file of Object.values(files)) expect(strFromU8(file, true)).not.toContain(String(body.token));
  });

  it('of a site that is here with other content is refused', async () => {
    const other = edited('facts.jsonl', (text) => text.replace('Mara Lindqvist', 'Somebody else'), true);
    const { body } = await into(other, from).expect(409);
    expect(body.code).toBe('CONFLICT');
    expect(body.detail).toMatch(/^This site is here already, and tells something else than the archive \(line \d+ of facts\.jsonl: member of .* UTC\)\./);
    await request(from.app).get(`/api/v1/sites/${id()}/archive`).expect(404);
  });

  it('of a site that went on here by itself is refused with what differs', async () => {
    const renamed = edited(
      'facts.jsonl',
      (text) => {
        const lines = text.trimEnd().split('\n');
        const last = JSON.parse(lines.at(-1)!) as { id: string };
        return [...lines.slice(0, -1), JSON.stringify({ ...last, id: id() })].join('\n');
      },
      true,
    );
    expect((await into(renamed, from).expect(409)).body).toMatchObject({
      code: 'SEQUENCE_TAKEN',
      detail: expect.stringMatching(/^This site is here already, and tells something else than the archive\. Entries are never changed/),
    });
  });
});

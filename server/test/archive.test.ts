/** A whole site out of one server and into another: identical, or refused with nothing written. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { createHash, randomBytes } from 'node:crypto';
import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pathToFileURL } from 'node:url';
import { pino } from 'pino';
import request from 'supertest';
import type { AnyFact, Fact, StoredFact } from '@idle-marker/contract';
import { ArchiveQueue, threadReader } from '../src/archive/archiveQueue.ts';
import { query } from '../src/database/query.ts';
import { appendFacts, orderedOnArrival, type KeptBefore } from '../src/facts/ledger.ts';
import { insertLaterReferences } from '../src/database/laterReferences.ts';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { device, id, SITE_BODY, startHarness, type Harness } from './harness.ts';

const DEMO = join(import.meta.dirname, '../../demo/ternhaven');
const SITE = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const NOW = '2031-05-06T10:00:00.000Z';
const PHOTO = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.from('a made-up photo')]);
let from: Harness;
let to: Harness;
let archive: Buffer;
let issued = 0;
const binary = (response: request.Response, done: (error: Error | null, bytes: Buffer) => void) => {
  const parts: Buffer[] = [];
  const stream = response as unknown as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => parts.push(part));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};
const out = async (harness: Harness): Promise<Buffer> =>
  (await request(harness.app).get(`/api/v1/sites/${SITE}/archive`).buffer(true).parse(binary).expect(200))
    .body as Buffer;
const into = (bytes: Buffer, harness = to) =>
  request(harness.app).post('/api/v1/archives').set('Content-Type', 'application/zip').send(bytes);
const sites = async (harness: Harness): Promise<unknown[]> =>
  (await request(harness.app).get('/api/v1/sites')).body.sites as unknown[];

beforeAll(async () => {
  [from, to] = [await startHarness('archive_from'), await startHarness('archive_to')];
  await loadDemo(from.orm, DEMO, NOW, pino({ level: 'silent' }));
  await request(from.app)
    .put(`/api/v1/sites/${SITE}/images/${id()}`)
    .set('Content-Type', 'image/jpeg')
    .send(PHOTO)
    .expect(201);
  const facts = (await request(from.app).get(`/api/v1/sites/${SITE}/facts`)).body.facts as AnyFact[];
  const by = facts.find(({ type }) => type === 'member')!.id;
  // Of every package that has marks: hubs, lines, a road.
  for (const [seq, work] of facts.filter((fact): fact is Fact<'package'> => fact.type === 'package').entries()) {
    const order = { package: work.id, fact: id(), at: NOW, device: 'office', seq, by, timeZone: 'UTC' };
    const { status } = await request(from.app).put(`/api/v1/sites/${SITE}/sheets/${id()}`).send(order);
    if (status === 201) issued++;
  }
  archive = await out(from);
}, 240_000);
afterAll(async () => {
  await from.stop();
  await to.stop();
});

/** The archive with one file changed, and its list of contents put right for it when asked to. */
const edited = (path: string, change: (text: string) => string, listed = false): Buffer =>
  editedOf(archive, path, change, listed);

/** The archive with photos and drawings before the entries that they belong to. */
function filesFirst(bytes: Buffer): Buffer {
  const {
    'manifest.json': first,
    'facts.jsonl': facts,
    'sheets.jsonl': sheets,
    ...files
  } = unzipSync(new Uint8Array(bytes));
  const order = { 'manifest.json': first!, ...files, 'facts.jsonl': facts!, 'sheets.jsonl': sheets! };
  return Buffer.from(zipSync(order, { level: 0 }));
}

function editedOf(bytes: Buffer, path: string, change: (text: string) => string, listed: boolean): Buffer {
  const files = unzipSync(new Uint8Array(bytes));
  files[path] = strToU8(change(strFromU8(files[path] ?? new Uint8Array())));
  if (listed) {
    const manifest = JSON.parse(strFromU8(files['manifest.json']!)) as { files: Record<string, string> };
    manifest.files[path] = createHash('sha256').update(files[path]).digest('hex');
    files['manifest.json'] = strToU8(JSON.stringify(manifest));
  }
  const { 'manifest.json': first, ...rest } = files;
  return Buffer.from(zipSync({ 'manifest.json': first!, ...rest }, { level: 0 }));
}

type Sheet = {
  id: string;
  number: number;
  revision: number;
  issuedAt: string;
  content: Record<string, unknown> & { rows: Record<string, unknown>[] };
};
const changedSheet = (change: (sheet: Sheet) => void): Buffer =>
  edited(
    'sheets.jsonl',
    (text) => {
      const [first, ...others] = text.trimEnd().split('\n');
      const sheet = JSON.parse(first!) as Sheet;
      change(sheet);
      return [JSON.stringify(sheet), ...others].map((line) => `${line}\n`).join('');
    },
    true,
  );
/** Sheets that nobody issued, or that no paper can be written from. */
const MADE_UP_SHEETS: readonly ((sheet: Sheet) => void)[] = [
  (sheet) => (sheet.id = id()),
  (sheet) => (sheet.number = 2),
  (sheet) => (sheet.number = 1e300),
  (sheet) => (sheet.revision = -1),
  (sheet) => (sheet.issuedAt = '1'),
  (sheet) => (sheet.content = { rows: [] }),
  (sheet) => (sheet.content.rows[0]!['stakeText'] = null),
  (sheet) => (sheet.content.rows[0]!['place'] = {}),
  (sheet) => (sheet.content['stations'] = [null]),
  (sheet) => (sheet.content['timeZone'] = 'Moon/Far_Side'),
  (sheet) => (sheet.content['site'] = 'half a letter \ud800'),
];

/** A ZIP of one file that comes to far more than it is. */
const bomb = (path: string, bytes: number): Buffer => {
  const manifest = {
    format: 'idle-marker site archive',
    version: 1,
    site: id(),
    name: 'x',
    files: { [path]: '0'.repeat(64) },
  };
  return Buffer.from(
    zipSync({ 'manifest.json': strToU8(JSON.stringify(manifest)), [path]: new Uint8Array(bytes).fill(32) }),
  );
};

describe('an archive', () => {
  it('that unpacks to far more than it is ends as soon as that is seen', async () => {
    for (const path of ['facts.jsonl', 'sheets.jsonl', `images/${id()}`, 'manifest.json']) {
      const bytes = bomb(path, 8 * 1024 * 1024);
      expect(bytes.length).toBeLessThan(100_000);
      expect((await into(bytes).expect(422)).body.detail).toMatch(
        /unpacks to far more|larger than such a file may be|list of contents/,
      );
    }
  });

  it('is only taken as what it is, and one at a time', async () => {
    expect(
      (await request(to.app).post('/api/v1/archives').set('Content-Type', 'text/csv').send('x').expect(415)).body.code,
    ).toBe('UNSUPPORTED_TYPE');
    let now = 0;
    let most = 0;
    const queue = new ArchiveQueue(async () => {
      most = Math.max(most, ++now);
      await new Promise((resolve) => setTimeout(resolve, 20));
      now--;
      return { site: SITE, name: 'x', facts: 0, files: 0 };
    });
    const told = await Promise.allSettled(
      Array.from({ length: 8 }, () => queue.take(Readable.from([archive]), new AbortController().signal)),
    );
    expect([most, told.filter(({ status }) => status === 'fulfilled').length]).toEqual([1, 5]);
    expect(told.find(({ status }) => status === 'rejected')).toMatchObject({ reason: { code: 'TOO_MANY' } });
    expect(await queue.take(Readable.from([archive]), new AbortController().signal)).toMatchObject({ site: SITE });
  });

  it('is taken again once there is room for its file', async () => {
    const folder = join(tmpdir(), `idle-marker-room-${id()}`);
    const queue = new ArchiveQueue(() => Promise.resolve({ site: SITE, name: 'x', facts: 0, files: 0 }), folder);
    const take = () => queue.take(Readable.from([archive]), new AbortController().signal);
    for (let i = 0; i < 8; i++) await expect(take()).rejects.toThrow('ENOENT');
    await mkdir(folder);
    expect(await take()).toMatchObject({ site: SITE });
    await rm(folder, { recursive: true });
  });

  it('is read by a thread that may come to grief between two of them', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'idle-marker-thread-'));
    const script = join(folder, 'thread.mjs');
    await writeFile(
      script,
      `import { parentPort, threadId } from 'node:worker_threads';
       parentPort.on('message', () => {
         parentPort.postMessage({ taken: { site: String(threadId), name: 'x', facts: 0, files: 0 } });
         setTimeout(() => { throw new Error('the connection is gone'); }, 50);
       });`,
    );
    const read = threadReader(pathToFileURL(script), {
      host: '127.0.0.1',
      port: 1,
      name: 'x',
      user: 'x',
      password: 'x',
    });
    const first = await read('a', new AbortController().signal);
    await new Promise((resolve) => setTimeout(resolve, 300));
    const second = await read('b', new AbortController().signal);
    expect(second.site).not.toBe(first.site);
    await new Promise((resolve) => setTimeout(resolve, 300));
    await rm(folder, { recursive: true });
  });

  it('that was changed, cut short or is none is refused with its reason, and nothing is written', async () => {
    const cases: readonly (readonly [Buffer, RegExp])[] = [
      [
        edited('facts.jsonl', (text) => text.replace('Ternhaven', 'Elsewhere')),
        /facts\.jsonl differs from what was written/,
      ],
      [edited('facts.jsonl', (text) => `${text}{"id":1}\n`, true), /facts\.jsonl, line \d+: /],
      [
        edited('facts.jsonl', (text) => text.replace('"type":"site"', '"type":"palace"'), true),
        /facts\.jsonl, line \d+: /,
      ],
      [edited('facts.jsonl', () => 'not json\n', true), /line 1, isn’t JSON/],
      [edited('facts.jsonl', (text) => `null\n${text}`, true), /facts\.jsonl, line 1: /],
      [
        edited('facts.jsonl', (text) => text.replace(/"at":"\d{4}/, '"at":"0000'), true),
        /facts\.jsonl, line \d+: at isn’t a date/,
      ],
      [
        edited('facts.jsonl', (text) => `${text}"${'x'.repeat(3 * 1024 * 1024)}`, true),
        /line \d+, is longer than allowed/,
      ],
      [edited('sheets.jsonl', () => '{"id":"x"}\n', true), /sheets\.jsonl, line 1, isn’t a cut sheet/],
      ...['null', '[]', '7', '"sheet"'].map(
        (text) => [edited('sheets.jsonl', () => text, true), /sheets\.jsonl, line 1, isn’t a cut sheet/] as const,
      ),
      ...MADE_UP_SHEETS.map(
        (change) =>
          [changedSheet(change), /sheets\.jsonl, line 1(, isn’t a cut sheet|: no entry says that cut sheet)/] as const,
      ),
      [
        edited('facts.jsonl', (text) => text.replace(/^.*"type":"occupation".*\n/m, ''), true),
        /An entry in facts\.jsonl refers to another that is neither/,
      ],
      [edited('images/extra.php', () => '<?php', true), /nothing that belongs in an archive/],
      [edited('images/extra.php', () => '<?php'), /isn’t on the archive’s list/],
      [edited('manifest.json', (text) => text.replace('"version":1', '"version":3')), /later version/],
      [edited('manifest.json', (text) => text.replace('site archive', 'zoo')), /list of contents can’t be read/],
      [archive.subarray(0, archive.length - 2000), /ends before all of it|not in it|damaged/],
      [Buffer.from('PK but not really'), /isn’t a site archive|isn’t a readable ZIP file|ends before/],
      [Buffer.from(zipSync({ 'readme.txt': strToU8('hello') })), /doesn’t begin with its list/],
      [filesFirst(archive), /comes before the entries of its site/],
    ];
    for (const [bytes, reason] of cases) {
      const { body, status } = await into(bytes);
      expect([reason.source, status, String(body.detail)]).toEqual([reason.source, 422, expect.stringMatching(reason)]);
      expect(body.detail).toMatch(/Nothing was saved\.$/);
      expect(await sites(to)).toEqual([]);
    }
  }, 240_000);

  it('comes in whole, is the same to the byte when it is written again, and may be sent twice', async () => {
    const { body } = await into(archive).expect(201);
    expect(body).toMatchObject({ site: SITE, name: 'Ternhaven Ferry Landing' });
    expect(body.facts).toBeGreaterThan(200);
    expect(body.files).toBeGreaterThan(0);
    expect(Buffer.compare(await out(to), archive)).toBe(0);
    expect((await into(archive).expect(201)).body).toMatchObject({ facts: 0, files: 0 });
    expect((await request(to.app).get(`/api/v1/sites/${SITE}/sheets`)).body.sheets).toHaveLength(issued);
    expect(issued).toBeGreaterThan(2);
  }, 240_000);

  it('gives its connection back when whoever fetches it goes away in the middle', async () => {
    const site = id();
    const member = id();
    const make = device(member);
    for (const fact of [make('member', { name: 'Mara' }, member), make('site', { ...SITE_BODY, name: 'Large' })])
      await request(from.app).put(`/api/v1/sites/${site}/facts/${fact.id}`).send(fact).expect(201);
    for (let i = 0; i < 4; i++)
      await request(from.app)
        .put(`/api/v1/sites/${site}/images/${id()}`)
        .set('Content-Type', 'image/jpeg')
        .send(Buffer.concat([PHOTO, randomBytes(3_500_000)]))
        .expect(201);
    const server = from.app.listen(0);
    const { port } = server.address() as AddressInfo;
    await new Promise<void>((resolve) => {
      get({ port, path: `/api/v1/sites/${site}/archive` }, (response) => {
        response.once('data', () => {
          response.pause();
          setTimeout(() => resolve(void response.destroy()), 200);
        });
      });
    });
    const open = () =>
      query<{ count: string }>(
        from.orm.em.fork(),
        `select count(*) from pg_stat_activity where datname = ? and state like 'idle in transaction%'`,
        [from.database.name],
      );
    let left = '';
    for (let tries = 0; tries < 50 && left !== '0'; tries++) {
      await new Promise((resolve) => setTimeout(resolve, 50));
      left = (await open())[0]!.count;
    }
    server.close();
    expect(left).toBe('0');
  });

  it('carries the server’s instant beside a stamp of a clock that was ahead, and is written in the first form without one', async () => {
    expect(JSON.parse(strFromU8(unzipSync(new Uint8Array(archive))['manifest.json']!))).toMatchObject({ version: 1 });
    const running = await startHarness('archive_ahead', null);
    const elsewhere = await startHarness('archive_ahead_too', null);
    const site = id();
    const member = id();
    const put = async (fact: Record<string, unknown> & { readonly id: string }) =>
      request(running.app).put(`/api/v1/sites/${site}/facts/${fact.id}`).send(fact).expect(201);
    const said = (seq: number, type: string, body: object, at: number, factId = id()) =>
      put({ id: factId, type, at: new Date(at).toISOString(), device: 'tablet', seq, by: member, body });
    const now = Date.now();
    await said(0, 'member', { name: 'Mara' }, now, member);
    await said(1, 'site', SITE_BODY, now);
    await said(2, 'note', { text: 'half a minute ahead' }, now + 30_000);
    await said(3, 'note', { text: 'a day ahead' }, now + 86_400_000);
    const facts = (await request(running.app).get(`/api/v1/sites/${site}/facts`)).body.facts as StoredFact[];
    expect(facts.map(({ orderedAt }) => orderedAt !== undefined)).toEqual([false, false, false, true]);
    expect(Math.abs(Date.parse(facts[3]!.orderedAt!) - Date.parse(facts[3]!.receivedAt))).toBeLessThan(5000);
    const get = async (harness: Harness) =>
      (await request(harness.app).get(`/api/v1/sites/${site}/archive`).buffer(true).parse(binary).expect(200))
        .body as Buffer;
    const written = await get(running);
    expect(JSON.parse(strFromU8(unzipSync(new Uint8Array(written))['manifest.json']!))).toMatchObject({ version: 2 });
    await into(written, elsewhere).expect(201);
    expect(Buffer.compare(await get(elsewhere), written)).toBe(0);
    const lines = (change: (line: string) => string) => editedOf(written, 'facts.jsonl', change, true);
    for (const order of ['"2000-01-01"', '7', '"2999-01-01T00:00:00.000Z"'])
      expect(
        (
          await into(
            lines((text) => text.replace(/"orderedAt":"[^"]*"/, `"orderedAt":${order}`)),
            to,
          ).expect(422)
        ).body.detail,
      ).toMatch(/line 4: .*orderedAt/);
    await running.stop();
    await elsewhere.stop();
  }, 240_000);

  it('carries facts that were kept before a rule held for them, and lists them', async () => {
    const running = await startHarness('archive_poisoned');
    const elsewhere = await startHarness('archive_poisoned_too');
    const site = id();
    const member = id();
    const said = (seq: number, type: string, body: object, factId = id()): AnyFact =>
      ({ id: factId, type, at: NOW, device: 'tablet', seq, by: member, body }) as AnyFact;
    const control = (name: string, change: object) => ({
      ...{
        mark: id(),
        name,
        e: 10,
        n: 20,
        z: 3,
        sdHMm: 2,
        sdZMm: 2,
        kind: 'pin',
        usePlan: true,
        useHeight: true,
        forProof: false,
      },
      ...{ condition: 'secure', note: '', source: 'list', supersedes: null, ...change },
    });
    const sound = [said(0, 'member', { name: 'Mara' }, member), said(1, 'site', SITE_BODY)];
    const poisoned = [
      said(2, 'control', control('K1', { e: 5e8 })),
      said(3, 'control', control('K2', { note: 'x'.repeat(3000) })),
      said(4, 'control', control('K3\nK4', {})),
      said(5, 'control', control('K5', { n: 1e300, z: -1e300 })),
    ];
    const ids = new Set(poisoned.map((fact) => fact.id));
    await expect(
      appendFacts(running.orm.em.fork(), site, [...sound, ...poisoned], orderedOnArrival(null)),
    ).rejects.toMatchObject({ code: 'INVALID_INPUT' });
    await appendFacts(running.orm.em.fork(), site, [...sound, ...poisoned], orderedOnArrival(null), {
      quarantined: ids,
    });
    const listed = async (harness: Harness) =>
      (
        (await request(harness.app).get(`/api/v1/sites/${site}/quarantine`).expect(200)).body as {
          quarantined: { id: string; path: string }[];
        }
      ).quarantined;
    expect((await listed(running)).map(({ path }) => path)).toEqual(['/body/e', '/body/note', '/body/name', '/body/n']);
    const get = async (harness: Harness) =>
      (await request(harness.app).get(`/api/v1/sites/${site}/archive`).buffer(true).parse(binary).expect(200))
        .body as Buffer;
    const written = await get(running);
    await into(written, elsewhere).expect(201);
    expect(Buffer.compare(await get(elsewhere), written)).toBe(0);
    expect((await listed(elsewhere)).map((each) => each.id)).toEqual([...ids]);
    const report = { at: NOW, by: member, timeZone: 'UTC' };
    await request(elsewhere.app).get(`/api/v1/sites/${site}/control-report`).query(report).expect(200);
    // What is not on its list is refused as ever, and what is on it has to be what it says.
    expect(
      (
        await into(
          editedOf(written, 'manifest.json', (text) => text.replace(/"quarantined":\[[^\]]*\],/, ''), false),
        ).expect(422)
      ).body.detail,
    ).toMatch(/line 3: /);
    const shapeless = editedOf(written, 'facts.jsonl', (text) => text.replace('"kind":"pin"', '"kind":null'), true);
    expect((await into(shapeless).expect(422)).body.detail).toMatch(/line 3: kind/);
    await running.stop();
    await elsewhere.stop();
  }, 240_000);

  it('carries facts whose reference was not held to when they were kept, lists them, and the database has the others', async () => {
    const running = await startHarness('archive_loose');
    const elsewhere = await startHarness('archive_loose_too');
    const [site, member, gridId, nowhere] = [id(), id(), id(), id()];
    const said = (seq: number, type: string, body: object, factId = id()): AnyFact =>
      ({ id: factId, type, at: NOW, device: 'tablet', seq, by: member, body }) as AnyFact;
    const corners = [{ name: 'A', e: 1, n: 2 }];
    const item = { name: 'Hall', meaning: 'gridLine', designZ: null, rule: 'points', corners, source: 'typed' };
    const work = (seq: number, grid: string) =>
      said(seq, 'package', {
        ...{
          name: `Hall ${seq}`,
          crew: 'Formwork',
          class: 'grid',
          heightReference: 'finishedFloor',
          offset: 2,
          items: [{ ...item, grid }],
          plans: [],
        },
        supersedes: null,
      });
    const family = { azimuthDeg: 0, labels: ['A'], spacings: [] };
    const grid = said(
      4,
      'grid',
      {
        ...{
          grid: id(),
          name: 'Hall',
          origin: { e: 0, n: 0 },
          letters: family,
          numbers: { ...family, azimuthDeg: 90 },
        },
        ...{ spacingMeasured: 'perpendicular', source: 'typed', retired: false, supersedes: null },
      },
      gridId,
    );
    const [late, loose] = [work(2, gridId), work(3, nowhere)];
    const first = [said(0, 'member', { name: 'Mara' }, member), said(1, 'site', SITE_BODY)];
    const append = (facts: readonly AnyFact[], keptBefore: KeptBefore | null) =>
      appendFacts(running.orm.em.fork(), site, facts, orderedOnArrival(null), keptBefore);
    await expect(append([...first, loose], null)).rejects.toMatchObject({
      code: 'MISSING_REFERENCE',
      field: '/body/items/0/grid',
    });
    // As an earlier version has kept them: the package before its grid, and one whose grid never came.
    const before = { quarantined: new Set<string>() };
    await append([...first, late, loose], before);
    await append([grid], before);
    const referenced = async (harness: Harness) =>
      query<{ from: string }>(harness.orm.em.fork(), 'select from_id as "from" from fact_reference where to_id = ?', [
        gridId,
      ]);
    const listed = async (harness: Harness) =>
      (
        (await request(harness.app).get(`/api/v1/sites/${site}/quarantine`).expect(200)).body as {
          quarantined: { id: string; path: string }[];
        }
      ).quarantined;
    expect(await referenced(running)).toEqual([]);
    await query(running.orm.em.fork(), insertLaterReferences());
    expect(await referenced(running)).toEqual([{ from: late.id }]);
    expect(await listed(running)).toMatchObject([{ id: loose.id, path: '/body/items/0/grid' }]);
    const written = (
      await request(running.app).get(`/api/v1/sites/${site}/archive`).buffer(true).parse(binary).expect(200)
    ).body as Buffer;
    // An archive of before has no such list.
    const older = editedOf(written, 'manifest.json', (text) => text.replace(/"quarantined":\[[^\]]*\],/, ''), false);
    await into(older, elsewhere).expect(201);
    expect(await referenced(elsewhere)).toEqual([{ from: late.id }]);
    expect(await listed(elsewhere)).toMatchObject([{ id: loose.id }]);
    await running.stop();
    await elsewhere.stop();
  }, 240_000);

  it('keeps no key of a crew’s page', async () => {
    const { body } = await request(from.app)
      .put(`/api/v1/sites/${SITE}/crew-links/${id()}`)
      .send({ label: 'x', who: 'y', roots: null, days: 1 })
      .expect(201);
    const files = unzipSync(new Uint8Array(await out(from)));
    for (const file of Object.values(files)) expect(strFromU8(file, true)).not.toContain(String(body.token));
  });

  it('of a site that is here with other content is refused', async () => {
    const other = edited('facts.jsonl', (text) => text.replace('Mara Lindqvist', 'Somebody else'), true);
    const { body } = await into(other, from).expect(409);
    expect(body.code).toBe('CONFLICT');
    expect(body.detail).toMatch(
      /^This site is already here and differs from the archive \(line \d+ of facts\.jsonl: member of .* UTC\)\./,
    );
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
      detail: expect.stringMatching(
        /^This site is already here and differs from the archive\. Entries are never changed/,
      ),
    });
  });
});

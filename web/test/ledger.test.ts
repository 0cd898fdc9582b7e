import { beforeEach, describe, expect, it } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { clockBehindServer, stampAfter, now, readClock } from '../src/data/clock.ts';
import { dismissRefused, openSite, say, snapshot, tryNow } from '../src/data/ledger.ts';
import { forgetFacts, keepFacts, keptCursor, keptFacts, waiting } from '../src/data/storage.ts';
import { begin, server, SITE_ID } from './page.tsx';

const note = (text: string) => ({ type: 'note' as const, body: { text } });

const MARA = '33333333-3333-4333-8333-333333333333';

beforeEach(async () => {
  await begin();
  await waitFor(async () => expect(await waiting()).toEqual([]));
  await forgetFacts(SITE_ID);
  // A page reads on from where it is: another site and back begins anew.
  await openSite(MARA);
  await openSite(SITE_ID);
});

describe('the field clock', () => {
  /** Reads the clock of a server that is `ahead` of this device, or gives no answer. */
  async function read(ahead: number | null, fixed = false) {
    const usual = globalThis.fetch;
    const body = () => ({ now: new Date(Date.now() + (ahead ?? 0)).toISOString(), fixed });
    globalThis.fetch = () =>
      ahead === null
        ? Promise.reject(new TypeError('no server'))
        : Promise.resolve({ ok: true, json: () => Promise.resolve(body()) } as Response);
    try {
      await readClock();
    } finally {
      globalThis.fetch = usual;
    }
    // A hair before is not a zero of its own.
    return Math.round((now().getTime() - Date.now()) / 1000) || 0;
  }
  it('is put right by the server’s, unless that is nearer than an answer takes, and holds while there is no answer', async () => {
    expect(await read(0)).toBe(0);
    expect(await read(7 * 60_000)).toBe(420);
    expect(Math.round(clockBehindServer() / 1000)).toBe(420);
    expect(Number(localStorage.getItem('idle-marker clock offset')) / 1000).toBeCloseTo(420, 0);
    expect(await read(null)).toBe(420);
    expect(await read(-90_000)).toBe(-90);
    expect(await read(1500)).toBe(0);
    expect(localStorage.getItem('idle-marker clock offset')).toBeNull();
  });
});

describe('the outbox', () => {
  it('shows facts at once, sends them in order, and counts on in its sequence', async () => {
    const [first] = await say(SITE_ID, MARA, [note('one')]);
    const [second] = await say(SITE_ID, MARA, [note('two')]);
    expect(snapshot().facts.map((fact) => fact.id)).toEqual(expect.arrayContaining([first!.id, second!.id]));
    expect(second!.seq).toBe(first!.seq + 1);
    expect(second!.device).toBe(first!.device);
    await waitFor(() => expect(server.stored.map((fact) => fact.id)).toEqual([first!.id, second!.id]));
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, trouble: null }));
  });

  it('never stamps before what is known, unless a clock is far off', async () => {
    const [own] = await say(SITE_ID, MARA, [note('mine')]);
    const others = new Date(Date.parse(own!.at) + 40_000).toISOString();
    server.stored.push({
      ...own!,
      id: '22222222-2222-4222-8222-222222222223',
      device: 'a clock 40 s ahead',
      at: others,
    });
    tryNow();
    await waitFor(() => expect(snapshot().facts.some((fact) => fact.at === others)).toBe(true));
    const [after] = await say(SITE_ID, MARA, [note('after it')]);
    expect(Date.parse(after!.at)).toBe(Date.parse(others) + 1);
    await waitFor(() => expect(snapshot().waiting).toBe(0));
    const instant = new Date('2031-04-06T07:00:00.000Z');
    expect(stampAfter(null, instant)).toBe(instant.toISOString());
    expect(stampAfter('2031-04-06T06:59:00.000Z', instant)).toBe(instant.toISOString());
    expect(stampAfter('2031-04-06T07:00:00.000Z', instant)).toBe('2031-04-06T07:00:00.001Z');
    expect(stampAfter('2031-04-06T07:01:00.000Z', instant)).toBe('2031-04-06T07:01:00.001Z');
    expect(stampAfter('2031-04-06T07:01:00.001Z', instant)).toBe(instant.toISOString());
  });

  it('keeps a group whole, in one order', async () => {
    const group = await say(SITE_ID, MARA, [note('a'), note('b'), note('c')]);
    expect(group.map((fact) => fact.seq - group[0]!.seq)).toEqual([0, 1, 2]);
    await waitFor(() => expect(server.stored).toHaveLength(3));
  });

  it('waits while the server is away, says so, and sends each fact once when it is back', async () => {
    server.away = true;
    await say(SITE_ID, MARA, [note('while away')]);
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 1 }));
    await waitFor(() => expect(snapshot().trouble).toMatchObject({ what: 'silent' }));
    expect(await waiting()).toHaveLength(1);
    server.away = false;
    tryNow();
    tryNow();
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, trouble: null }));
    expect(server.stored).toHaveLength(1);
  });

  it('keeps what the server refuses for good until somebody has seen it', async () => {
    server.refused.set('note', { status: 422, body: { code: 'INVALID_INPUT', detail: 'text is too long' } });
    await say(SITE_ID, MARA, [note('x')]);
    await waitFor(() => expect(snapshot().refused).toMatchObject([{ reason: 'text is too long' }]));
    expect(snapshot().waiting).toBe(0);
    await dismissRefused(snapshot().refused[0]!.key);
    expect(snapshot().refused).toEqual([]);
  });

  it('tries again what refers to something that has not arrived yet', async () => {
    server.refused.set('note', { status: 409, body: { code: 'MISSING_REFERENCE', detail: 'not there' } });
    await say(SITE_ID, MARA, [note('early')]);
    await waitFor(() => expect(snapshot().waiting).toBe(1));
    server.refused.clear();
    await waitFor(() => expect(server.stored).toHaveLength(1), { timeout: 4000 });
    expect(snapshot().refused).toEqual([]);
  });

  it('reads what others said, from where it stopped', async () => {
    const [own] = await say(SITE_ID, MARA, [note('mine')]);
    await waitFor(() => expect(server.stored).toHaveLength(1));
    server.stored.push({
      ...own!,
      id: '22222222-2222-4222-8222-222222222222',
      device: 'another',
      body: { text: 'theirs' },
    } as never);
    tryNow();
    await waitFor(() => expect(snapshot().facts.some((fact) => fact.device === 'another')).toBe(true));
    await waitFor(async () => expect(await keptCursor(SITE_ID)).toBe(2));
  });

  it.each([
    [
      'a page that anybody could send',
      { ok: true, status: 200, json: () => Promise.reject(new SyntaxError('<html>')) },
    ],
    [
      'an answer about something else',
      { ok: true, status: 200, json: () => Promise.resolve({ id: 'another', written: true }) },
    ],
    ['an empty answer', { ok: true, status: 200, json: () => Promise.resolve({}) }],
    ['a list', { ok: true, status: 200, json: () => Promise.resolve([]) }],
    ['a gateway', { ok: false, status: 502, json: () => Promise.reject(new SyntaxError('<html>')) }],
    ['a refusal that isn’t the server’s', { ok: false, status: 403, json: () => Promise.resolve({ error: 'log in' }) }],
  ])('keeps what it has when %s comes in the server’s place', async (_what, response) => {
    server.stranger = response as unknown as Response;
    await say(SITE_ID, MARA, [note('for the server alone')]);
    await waitFor(() => expect(snapshot().trouble).toMatchObject({ what: 'stranger' }));
    expect(await waiting()).toHaveLength(1);
    expect(snapshot().refused).toEqual([]);
    server.stranger = null;
    tryNow();
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, trouble: null }));
    expect(server.stored).toHaveLength(1);
  });

  it('goes on behind an entry that the server fails on, and says which', async () => {
    server.refused.set('note', { status: 500, body: { code: 'INTERNAL', detail: 'Something went wrong.' } });
    const [bad] = await say(SITE_ID, MARA, [note('stumbled over')]);
    const [good] = await say(SITE_ID, MARA, [{ type: 'dayEnd', body: { note: '' } }]);
    await waitFor(() => expect(server.stored.map(({ id }) => id)).toEqual([good!.id]));
    await waitFor(() =>
      expect(snapshot()).toMatchObject({
        trouble: null,
        waiting: 1,
        stuck: [{ fact: { id: bad!.id }, reason: 'Something went wrong.' }],
      }),
    );
    server.refused.clear();
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, stuck: [] }), { timeout: 5000 });
    expect(server.stored).toHaveLength(2);
  });

  it('sends what waits together, in its order, and tells what came of each', async () => {
    server.away = true;
    await say(
      SITE_ID,
      MARA,
      Array.from({ length: 450 }, (_, i) => note(`${i}`)),
    );
    server.refused.set('dayEnd', { status: 422, body: { code: 'INVALID_INPUT', detail: 'no day' } });
    await say(SITE_ID, MARA, [{ type: 'dayEnd', body: { note: '' } }]);
    await say(SITE_ID, MARA, [note('the last')]);
    server.away = false;
    tryNow();
    await waitFor(() =>
      expect(snapshot()).toMatchObject({ waiting: 0, trouble: null, refused: [{ reason: 'no day' }] }),
    );
    expect(server.stored.map(({ body }) => (body as { text: string }).text)).toEqual([
      ...Array.from({ length: 450 }, (_, i) => `${i}`),
      'the last',
    ]);
    expect(server.batches).toEqual([200, 200, 52]);
    await dismissRefused(snapshot().refused[0]!.key);
  });

  it('says that the server’s disk is full, and still reads', async () => {
    server.refused.set('note', { status: 507, body: { code: 'STORAGE_FULL', detail: 'No room.' } });
    const [own] = await say(SITE_ID, MARA, [note('no room')]);
    server.stored.push({
      ...own!,
      id: '22222222-2222-4222-8222-222222222224',
      device: 'another',
      receivedAt: own!.at,
    } as never);
    tryNow();
    await waitFor(() => expect(snapshot().trouble).toMatchObject({ what: 'full' }));
    await waitFor(() => expect(snapshot().facts.some(({ device }) => device === 'another')).toBe(true));
    expect(snapshot()).toMatchObject({ waiting: 1, refused: [] });
    server.refused.clear();
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, trouble: null }), { timeout: 5000 });
  });

  it('says that the database is away', async () => {
    server.refused.set('note', { status: 503, body: { code: 'DATABASE_AWAY', detail: 'Away.' } });
    await say(SITE_ID, MARA, [note('waits')]);
    await waitFor(() => expect(snapshot().trouble).toMatchObject({ what: 'database' }));
    server.refused.clear();
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, trouble: null }), { timeout: 5000 });
  });
});

describe('what the browser keeps', () => {
  const clear = (): Promise<unknown> =>
    new Promise((resolve, reject) => {
      const gone = indexedDB.deleteDatabase('idle-marker');
      gone.onsuccess = resolve;
      gone.onerror = reject;
    });

  it('is kept again after it was cleared under the page, and goes out', async () => {
    await say(SITE_ID, MARA, [note('stored before')]);
    await waitFor(() => expect(snapshot().waiting).toBe(0));
    tryNow();
    await waitFor(async () => expect(await keptFacts(SITE_ID)).toHaveLength(1));
    server.away = true;
    await say(SITE_ID, MARA, [note('one')]);
    await waitFor(() => expect(snapshot().trouble).not.toBeNull());
    await clear();
    tryNow();
    await waitFor(async () => expect(await waiting()).toHaveLength(1));
    await waitFor(async () => expect(await keptFacts(SITE_ID)).toHaveLength(1));
    await say(SITE_ID, MARA, [note('two')]);
    expect(await waiting()).toHaveLength(2);
    server.away = false;
    tryNow();
    await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, unkept: null }));
    expect(server.stored.map(({ body }) => (body as { text: string }).text)).toEqual(['stored before', 'one', 'two']);
  });

  it('was kept fact by fact once, and is read as it is now', async () => {
    const [first] = await say(SITE_ID, MARA, [note('of before')]);
    await waitFor(() => expect(snapshot().waiting).toBe(0));
    await clear();
    const older = (): Promise<IDBDatabase> =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('idle-marker', 1);
        open.onupgradeneeded = () => {
          const facts = open.result.createObjectStore('facts', { keyPath: 'id' });
          facts.createIndex('site', 'site');
          facts.add({ id: first!.id, site: SITE_ID, fact: { ...first!, receivedAt: first!.at } });
          open.result.createObjectStore('outbox', { autoIncrement: true });
          open.result.createObjectStore('settings').add(7, `cursor ${SITE_ID}`);
        };
        open.onsuccess = () => resolve(open.result);
        open.onerror = () => reject(new Error('not opened'));
      });
    (await older()).close();
    expect(await keptFacts(SITE_ID)).toMatchObject([{ id: first!.id }]);
    expect(await keptCursor(SITE_ID)).toBe(7);
  });

  it('comes in small pages while work goes on, and is put together', async () => {
    const [fact] = await say(SITE_ID, MARA, [note('x')]);
    await waitFor(() => expect(snapshot().waiting).toBe(0));
    const other = 'aaaaaaaa-0000-4000-8000-000000000000';
    const stored = (i: number) => ({
      ...fact!,
      id: `aaaaaaaa-0000-4000-8000-${String(i).padStart(12, '0')}`,
      receivedAt: fact!.at,
    });
    for (let i = 1; i <= 210; i++) await keepFacts(other, [stored(i)], i);
    const before = await keptFacts(other);
    expect(before.map(({ id }) => id)).toEqual(Array.from({ length: 210 }, (_, i) => stored(i + 1).id));
    await keepFacts(other, [stored(211)], 211);
    // Read by two pages at once, one of which puts them together.
    for (let i = 212; i <= 420; i++) await keepFacts(other, [stored(i)], i);
    const first = keptFacts(other);
    for (let i = 0; i < 60; i++) await keptCursor(other);
    const [one, two] = await Promise.all([first, keptFacts(other)]);
    expect([one.length, two.length]).toEqual([420, 420]);
    expect((await keptFacts(other)).map(({ id }) => id)).toEqual(
      Array.from({ length: 420 }, (_, i) => stored(i + 1).id),
    );
    expect(await keptFacts(SITE_ID)).not.toContainEqual(expect.objectContaining({ id: stored(1).id }));
    await forgetFacts(other);
    expect(await keptFacts(other)).toEqual([]);
  });

  it('may come to an end of its room: what it refuses shows, is told, and goes out from the page', async () => {
    const { add } = IDBObjectStore.prototype;
    const noRoom = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    try {
      server.away = true;
      IDBObjectStore.prototype.add = noRoom;
      const [alone] = await say(SITE_ID, MARA, [note('in the page alone')]);
      expect(snapshot().facts.some(({ id }) => id === alone!.id)).toBe(true);
      expect(snapshot()).toMatchObject({ waiting: 1, unkept: { count: 1, why: 'full' } });
      IDBObjectStore.prototype.add = add;
      tryNow();
      await waitFor(async () => expect(await waiting()).toHaveLength(1));
      await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 1, unkept: null }));
      IDBObjectStore.prototype.add = noRoom;
      await say(SITE_ID, MARA, [note('sent from the page')]);
      server.away = false;
      tryNow();
      await waitFor(() => expect(server.stored).toHaveLength(2));
      await waitFor(() => expect(snapshot()).toMatchObject({ waiting: 0, unkept: null }));
    } finally {
      IDBObjectStore.prototype.add = add;
    }
  });
});

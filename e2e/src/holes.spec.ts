/**
 * What was once got through, tried again on the running product: other origins, stand-ins for the server, cleared
 * storage, two tablets, kills.
 */
import { execFile, spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readFile, rm, mkdtemp, chmod } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { promisify } from 'node:util';
import type { Page, Route } from '@playwright/test';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { freePort } from './server.ts';
import { DEMO, enter, expect, hurry, place, provedStation, setMark, stored, test } from './site.ts';

test.use({ ownSite: 'holes' });

const siteOf = (page: Page): string => /sites\/([0-9a-f-]+)/.exec(page.url())![1]!;
const note = async (page: Page, text: string): Promise<void> => {
  await page.getByLabel('Add a note').fill(text);
  await page.getByRole('button', { name: 'Save note', exact: true }).click();
  await expect(page.getByRole('cell', { name: text })).toBeVisible();
};

/** The archive of a site under other ids throughout: a site that is not here yet. */
function ofAnotherSite(archive: Buffer): Buffer {
  const files = unzipSync(new Uint8Array(archive));
  const kept = Object.entries(files).filter(([path]) => !/^(sources|images)\//.test(path));
  const made = Object.fromEntries(
    kept.map(([path, bytes]) => [
      path,
      strToU8(
        strFromU8(bytes)
          .replaceAll(DEMO, 'A copy')
          .replace(/[0-9a-f]{8}(?=-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-)/g, (head) =>
            head.split('').reverse().join(''),
          ),
      ),
    ]),
  );
  const manifest = JSON.parse(strFromU8(made['manifest.json']!)) as { name: string; files: Record<string, string> };
  const { 'manifest.json': _manifest, ...rest } = made;
  manifest.files = Object.fromEntries(
    Object.entries(rest).map(([path, bytes]) => [path, createHash('sha256').update(bytes).digest('hex')]),
  );
  return Buffer.from(zipSync({ 'manifest.json': strToU8(JSON.stringify(manifest)), ...rest }));
}

test('a page of another origin changes nothing', async ({ page, server, request }) => {
  const sites = async () =>
    ((await (await request.get('/api/v1/sites')).json()) as { sites: { id: string; name: string }[] }).sites;
  const before = await sites();
  const archive = ofAnotherSite(
    await (await request.get(`/api/v1/sites/${before.find(({ name }) => name === DEMO)!.id}/archive`)).body(),
  );
  const evil: Server = createServer((_request, response) =>
    response.setHeader('Content-Type', 'text/html').end('<title>a page</title>'),
  );
  await new Promise<void>((resolve) => evil.listen(0, '127.0.0.1', resolve));
  try {
    await page.goto(`http://127.0.0.1:${(evil.address() as AddressInfo).port}/`);
    await page.evaluate(
      async ([origin, text]) => {
        const bytes = Uint8Array.from(atob(text!), (letter) => letter.charCodeAt(0));
        // What needs no leave of the server: it comes to the route itself. The rest is asked about first, and nobody
        // answers that.
        for (const body of [bytes, new Blob([bytes]), new Blob([bytes], { type: 'text/plain' })])
          await fetch(`${origin}/api/v1/archives`, { method: 'POST', mode: 'no-cors', body }).catch(() => null);
        await fetch(`${origin}/api/v1/archives`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/zip' },
          body: bytes,
        }).catch(() => null);
      },
      [server, archive.toString('base64')],
    );
    expect(await sites()).toHaveLength(before.length);
  } finally {
    evil.close();
  }
  // The very same, sent by whoever may.
  const taken = await request.post('/api/v1/archives', {
    headers: { 'Content-Type': 'application/zip' },
    data: archive,
  });
  expect(taken.status()).toBe(201);
  expect(await sites()).toHaveLength(before.length + 1);
});

test('entries wait for the server itself: a page in its place, one that it fails on, a full disk', async ({ page }) => {
  await enter(page);
  await place(page, 'Field book').click();
  const facts = '**/api/v1/sites/*/facts';
  const portal = (route: Route) => route.fulfill({ status: 200, contentType: 'text/html', body: '<h1>Log in</h1>' });
  await page.route(facts, portal);
  await note(page, 'said behind a log-in page');
  const chip = page.getByRole('button', { name: /^Not the server · 1 waiting$/ });
  await expect(chip).toBeVisible();
  await chip.click();
  await expect(page.getByText(/network’s log-in page.*is sent automatically/)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.unroute(facts, portal);
  await stored(page);

  // The server fails on one entry: the next one goes on.
  const problem = (status: number, code: string, detail: string) => ({
    status,
    contentType: 'application/problem+json',
    body: JSON.stringify({ type: 'about:blank', title: '', status, code, detail }),
  });
  let failed: string | null = null;
  const fails = async (route: Route) => {
    const sent = (route.request().postDataJSON() as { facts: { id: string }[] }).facts;
    failed ??= sent[0]!.id;
    const others = sent.filter(({ id }) => id !== failed);
    const taken =
      others.length === 0
        ? []
        : (
            (await (await route.fetch({ postData: JSON.stringify({ facts: others }) })).json()) as {
              results: { id: string }[];
            }
          ).results;
    const stumbled = {
      id: failed,
      problem: JSON.parse(problem(500, 'INTERNAL', 'Nothing was saved.').body) as object,
    };
    await route.fulfill({
      json: { results: sent.map(({ id }) => (id === failed ? stumbled : taken.find((each) => each.id === id))) },
    });
  };
  await page.route(facts, fails);
  await note(page, 'the server stumbles over this');
  await note(page, 'and takes this');
  await page.getByRole('button', { name: '1 not stored' }).click();
  await expect(page.getByText(/^note of .* isn’t stored yet$/)).toBeVisible();
  await page.keyboard.press('Escape');
  const kept = await page.request.get(`/api/v1/sites/${siteOf(page)}/facts`);
  expect(JSON.stringify(await kept.json())).toContain('and takes this');
  await page.unroute(facts, fails);
  await stored(page);

  const full = (route: Route) => route.fulfill(problem(507, 'STORAGE_FULL', 'No room.'));
  await page.route(facts, full);
  await note(page, 'no room for this');
  await expect(page.getByRole('button', { name: 'Server’s disk full · 1 waiting' })).toBeVisible();
  await page.unroute(facts, full);
  await stored(page);
});

test('storage that is cleared under the page is filled again, and a place comes by itself once the server is back', async ({
  page,
  context,
}) => {
  await page.route('**/assets/ProvePlace*', (route) => route.abort());
  await enter(page);
  await place(page, 'Field book').click();
  await stored(page);
  await page.route('**/api/**', (route) => route.abort());
  await note(page, 'kept by the page alone');
  await expect(page.getByRole('button', { name: /^Server away · 1 waiting$/ })).toBeVisible();
  await page.evaluate(
    () =>
      new Promise((resolve) => {
        const gone = indexedDB.deleteDatabase('idle-marker');
        gone.onsuccess = resolve;
      }),
  );
  // The page makes it anew and puts what it holds back; who looked before it does would make an empty one.
  const kept = () =>
    page.evaluate(async () => {
      const there = (await indexedDB.databases()).some(({ name }) => name === 'idle-marker');
      if (!there) return -1;
      const opened = await new Promise<IDBDatabase>((resolve) => {
        const open = indexedDB.open('idle-marker');
        open.onsuccess = () => resolve(open.result);
      });
      const count = await new Promise<number>((resolve) => {
        const counted = opened.transaction('outbox').objectStore('outbox').count();
        counted.onsuccess = () => resolve(counted.result);
      });
      opened.close();
      return count;
    });
  await expect.poll(kept).toBe(1);
  await place(page, 'Prove').click();
  await expect(page.getByRole('heading', { name: 'Prove isn’t here yet' })).toBeVisible();
  await page.unroute('**/api/**');
  await page.unroute('**/assets/ProvePlace*');
  await expect(page.getByRole('heading', { name: 'Prove isn’t here yet' })).toBeHidden();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await stored(page);
  // Everything has been fetched by now: what was never gone to opens while nobody answers.
  await context.setOffline(true);
  await place(page, 'Hand over').click();
  await expect(
    page
      .getByRole('navigation', { name: 'Hand over' })
      .or(page.getByRole('heading', { level: 1 }))
      .first(),
  ).toBeVisible();
  await context.setOffline(false);
});

test('a browser that has no room says so, and the entry is stored all the same', async ({ page, context, server }) => {
  const devTools = await context.newCDPSession(page);
  const room = (quotaSize?: number) =>
    devTools.send('Storage.overrideQuotaForOrigin', {
      origin: server,
      ...(quotaSize === undefined ? {} : { quotaSize }),
    });
  // Before the page is there: a browser remembers for a while how much room there was.
  await room(1);
  await enter(page);
  await place(page, 'Field book').click();
  await page.route('**/api/**', (route) => route.abort());
  await note(page, 'no room in this browser');
  await expect(page.getByRole('button', { name: /^1 in this page alone/ })).toBeVisible();
  await page.unroute('**/api/**');
  await stored(page);
  await room();
  const kept = await page.request.get(`/api/v1/sites/${siteOf(page)}/facts`);
  expect(JSON.stringify(await kept.json())).toContain('no room in this browser');
});

test('two tablets that set the same mark are told, until one of them says which stands', async ({
  page,
  browser,
  baseURL,
}) => {
  test.slow();
  await enter(page, DEMO, 'Mara Lindqvist');
  await hurry(page);
  await provedStation(page);
  const other = await browser.newPage({ baseURL: baseURL! });
  await enter(other, DEMO, 'Tomas Okafor');
  await hurry(other);
  const begin = async (tablet: Page) => {
    await place(tablet, 'Mark').click();
    await tablet.getByLabel('Work package').selectOption('Gangway piles');
    await tablet
      .getByRole('row', { name: /to set|now/ })
      .first()
      .getByRole('button')
      .first()
      .click();
  };
  await begin(other);
  await stored(other);
  await other.context().setOffline(true);
  await begin(page);
  const name = await setMark(page);
  await stored(page);
  expect(await setMark(other)).toBe(name);
  await other.context().setOffline(false);
  await stored(other);
  for (const tablet of [page, other]) {
    await place(tablet, 'Today').click();
    const card = tablet.getByRole('region', { name: 'Marks that were set twice' });
    await expect(card).toContainText(new RegExp(`${name} was set twice.*Mara Lindqvist.*Tomas Okafor.*apart`, 's'), {
      timeout: 30_000,
    });
  }
  await page.getByRole('button', { name: 'Say which stands…' }).click();
  // Said of all that has come by then: what is still on its way would stand beside it again.
  await expect(page.getByRole('region', { name: 'Set by Tomas Okafor' })).toContainText('· confirmed ·');
  await page
    .getByRole('region', { name: 'Set by Mara Lindqvist' })
    .getByRole('button', { name: 'This one stands' })
    .click();
  await stored(page);
  for (const tablet of [page, other])
    await expect(tablet.getByRole('region', { name: 'Marks that were set twice' })).toBeHidden({ timeout: 30_000 });
  await other.close();
});

test('what ./start runs comes back when its database is killed, and starts again after it was killed itself', async () => {
  const folder = await mkdtemp(join(process.env['IDLE_TEST_FOLDER']!, 'start-'));
  await chmod(folder, 0o755);
  const [port, database] = [String(await freePort()), String(await freePort())];
  const said: string[] = [];
  const start = () => {
    const child = spawn('../start', {
      env: { ...process.env, IDLE_DATA: folder, IDLE_PORT: port, IDLE_PG_PORT: database, IDLE_LOG: 'error' },
      detached: true,
    });
    child.stdout.on('data', (text: Buffer) => said.push(text.toString()));
    child.stderr.on('data', (text: Buffer) => said.push(text.toString()));
    return child;
  };
  const health = async (): Promise<unknown> =>
    fetch(`http://127.0.0.1:${port}/healthz`).then(
      (response) => response.json(),
      () => null,
    );
  const well = () =>
    expect
      .poll(health, { timeout: 60_000, intervals: [500] })
      .toMatchObject({ status: 'ok', database: 'answers', writes: 'taken' });
  let running = start();
  try {
    await well();
    const postmaster = async () =>
      Number((await readFile(join(folder, 'postgres/postmaster.pid'), 'utf8')).split('\n')[0]);
    const first = await postmaster();
    process.kill(first, 'SIGKILL');
    await expect.poll(postmaster, { timeout: 60_000 }).not.toBe(first);
    await well();
    await expect
      .poll(() => said.join(''))
      .toMatch(/The database has ended by itself: it is started again.*The database answers again/s);
    // The whole of it is killed outright, and its server lives on; then it is started at once.
    said.length = 0;
    const server = () => readFile(join(folder, 'server.pid'), 'utf8');
    const left = await server();
    process.kill(running.pid!, 'SIGKILL');
    running = start();
    await expect.poll(server, { timeout: 60_000 }).not.toBe(left);
    await well();
    expect(() => process.kill(Number(left), 0), 'the server that was left behind').toThrow();
    expect(said.join('')).not.toMatch(/^\s+at .*:\d+:\d+\)?$/m);
  } finally {
    const ended = new Promise((resolve) => running.on('close', resolve));
    process.kill(running.pid!, 'SIGTERM');
    await ended;
    await promisify(execFile)('pkill', ['-f', folder]).catch(() => null);
    await rm(folder, { recursive: true, force: true });
  }
});

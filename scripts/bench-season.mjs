// A season's site in Chromium: opening it for the first time and again, the longest task on every place, one more fact,
// and facts that waited. Starts the application by itself, unless it is told where it runs and which site: node
// scripts/bench-season.mjs [http://127.0.0.1:4180]
import { execFile } from 'node:child_process';
import { createRequire } from 'node:module';
import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import { started } from './started.mjs';

const COUNT = Number(process.env.FACTS ?? 20_000);
const PLACES = ['today', 'control', 'station', 'prove', 'design', 'mark', 'hand-over', 'field-book'];
const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const own = process.argv[2] ? null : await started();
const base = own?.url ?? process.argv[2];

const { stdout } = await promisify(execFile)(
  'node',
  [new URL('run.mjs', import.meta.url).pathname, new URL('seasonFile.ts', import.meta.url).pathname, String(COUNT)],
  {
    maxBuffer: 1 << 28,
  },
);
const { who, facts } = JSON.parse(stdout);
const site = randomUUID();
// Ids of a story are the same in each run; a database may hold several.
const head = randomUUID().slice(0, 8);
const renamed = JSON.parse(JSON.stringify(facts).replaceAll('"00000000-', `"${head}-`));
const member = who.replace('00000000-', `${head}-`);

async function post(some) {
  const response = await fetch(`${base}/api/v1/sites/${site}/facts`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ facts: some }),
  });
  const { results, detail } = await response.json();
  const bad = results?.find(({ problem }) => problem);
  if (!response.ok || bad) throw new Error(detail ?? JSON.stringify(bad));
}
const began = Date.now();
const members = renamed.filter(({ type }) => type === 'member');
await post(members);
const rest = renamed.filter(({ type }) => type !== 'member');
for (let i = 0; i < rest.length; i += 200) await post(rest.slice(i, i + 200));
console.log(`${renamed.length} facts written in ${((Date.now() - began) / 1000).toFixed(1)} s`);

const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
await context.addInitScript(() => {
  globalThis.tasks = [];
  new PerformanceObserver((list) =>
    globalThis.tasks.push(...list.getEntries().map(({ duration, startTime }) => ({ duration, startTime }))),
  ).observe({
    type: 'longtask',
    buffered: true,
  });
});
const page = await context.newPage();
const longest = async () => {
  const tasks = await page.evaluate(() => globalThis.tasks.splice(0));
  return Math.max(0, ...tasks.map(({ duration }) => duration)).toFixed(0);
};

async function opened(what, address, ready) {
  const start = Date.now();
  await page.goto(`${base}${address}`);
  await ready();
  console.log(`${what}: ${Date.now() - start} ms, longest task ${await longest()} ms`);
}
const choose = () => page.getByRole('button', { name: 'Mara Lindqvist' });
// The program itself is in the browser before the site is.
await page.goto(base);
await page.waitForTimeout(1500);
await page.evaluate(() => globalThis.tasks.splice(0));
await opened('opened for the first time (3000 asked)', `/sites/${site}/today`, () =>
  choose().waitFor({ timeout: 60_000 }),
);
await choose().click();
await page.getByRole('navigation', { name: 'Places' }).waitFor();
await page.waitForTimeout(3000);
console.log(`Today after it: longest task ${await longest()} ms (100 asked)`);
await opened('opened again (1000 asked)', `/sites/${site}/today`, () =>
  page.getByRole('navigation', { name: 'Places' }).waitFor(),
);
await page.waitForTimeout(2000);
await longest();

for (const place of PLACES) {
  const link = page.getByRole('navigation', { name: 'Places' }).locator(`a[href$="/${place}"]`);
  if ((await link.count()) === 0) continue;
  const start = Date.now();
  await link.first().click();
  await page.waitForFunction((end) => location.pathname.endsWith(end), `/${place}`);
  await page.getByRole('heading').first().waitFor();
  await page.waitForTimeout(2500);
  console.log(`${place}: longest task ${await longest()} ms (100 asked), ${Date.now() - start - 2500} ms`);
}

/** Watches the count of entries on the rail and the gaps between turns of the page, until the count has changed. */
const oneMore = () =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const rail = document.querySelector('a[href$="/field-book"]');
        const channel = new MessageChannel();
        let [last, gap, on, shown] = [performance.now(), 0, true, null];
        channel.port1.onmessage = () => {
          const now = performance.now();
          // What was there before the fact is none of its work.
          const [taken] = performance.getEntriesByName('facts taken').slice(-1);
          if (taken && last >= taken.startTime - 1) gap = Math.max(gap, now - last);
          last = now;
          if (on) channel.port2.postMessage(null);
        };
        performance.clearMarks('facts taken');
        channel.port2.postMessage(null);
        const observer = new MutationObserver(() => {
          const [taken] = performance.getEntriesByName('facts taken').slice(-1);
          shown ??= taken ? performance.now() - taken.startTime : null;
          if (shown === null) return;
          observer.disconnect();
          setTimeout(() => {
            on = false;
            resolve({ shown, gap });
          }, 400);
        });
        observer.observe(rail, { characterData: true, childList: true, subtree: true });
      }),
  );
const note = (i) => ({
  id: randomUUID(),
  type: 'note',
  at: new Date().toISOString(),
  device: 'another',
  seq: i,
  by: member,
  body: { text: `one more ${i}` },
});
let said = 0;
for (const place of ['mark', 'field-book', 'today', 'station', 'hand-over']) {
  await page.getByRole('navigation', { name: 'Places' }).locator(`a[href$="/${place}"]`).first().click();
  await page.waitForTimeout(2500);
  await longest();
  const times = [];
  for (let k = 0; k < 4; k++) {
    const seen = oneMore();
    await post([note(said++)]);
    times.push(await seen);
  }
  const figures = (name) => times.map((each) => each[name].toFixed(0)).join(', ');
  console.log(
    `one more fact on ${place}: on screen after ${figures('shown')} ms (50 asked), longest turn ${figures('gap')} ms (16 asked)`,
  );
}

// What was said without a server goes out once it is back.
const WAITING = 500;
await context.setOffline(true);
await page.evaluate(
  ([id, by, count]) =>
    new Promise((resolve, reject) => {
      const open = indexedDB.open('idle-marker');
      open.onerror = reject;
      open.onsuccess = () => {
        const transaction = open.result.transaction('outbox', 'readwrite');
        for (let i = 0; i < count; i++) {
          const fact = {
            id: crypto.randomUUID(),
            type: 'note',
            at: new Date().toISOString(),
            device: 'waited',
            seq: i,
            by,
            body: { text: `waited ${i}` },
          };
          transaction.objectStore('outbox').add({ site: id, fact, refused: null });
        }
        transaction.oncomplete = resolve;
      };
    }),
  [site, member, WAITING],
);
const arrived = async () => {
  let [after, count, more] = [0, 0, true];
  while (more) {
    const read = await (await fetch(`${base}/api/v1/sites/${site}/facts?after=${after}`)).json();
    count += read.facts.filter(({ device }) => device === 'waited').length;
    [after, more] = [read.cursor, read.more];
  }
  return count;
};
await context.setOffline(false);
const left = () =>
  page.evaluate(
    () =>
      new Promise((resolve) => {
        const open = indexedDB.open('idle-marker');
        open.onsuccess = () => {
          const asked = open.result.transaction('outbox').objectStore('outbox').count();
          asked.onsuccess = () => resolve(asked.result);
        };
      }),
  );
await page
  .waitForFunction(() => performance.getEntriesByName('facts sent').length > 0, undefined, {
    timeout: 30_000,
    polling: 20,
  })
  .catch(() => undefined);
const start = Date.now();
while ((await left()) > 0 && Date.now() - start < 60_000) await page.waitForTimeout(50);
console.log(
  `${WAITING} waiting facts delivered within ${Date.now() - start} ms of the first of them (3000 asked); ${await arrived()} have arrived`,
);
await browser.close();
await own?.stop();

// Measures the application in Chromium: size of the first load, time from the link's message to the changed sentence,
// script time of painting while panning 20 000 symbols, a control list of 10 000 rows, and a drawing of 100 000
// elements. Starts the application by itself, unless it is told where it runs: node scripts/bench-browser.mjs
// [http://127.0.0.1:4180]
import { createRequire } from 'node:module';
import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { started } from './started.mjs';

const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const own = process.argv[2] ? null : await started();
const base = own?.url ?? process.argv[2];
const quantile = (values, p) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(p * values.length))];

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
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

async function put(url, body, type = 'application/json') {
  const response = await page.request.put(base + url, { data: body, headers: { 'Content-Type': type } });
  if (!response.ok()) throw new Error(`${url}: ${response.status()} ${await response.text()}`);
}

/** A site with a grid of marks, written through the API. */
async function siteWithMarks(count) {
  const site = randomUUID();
  const member = randomUUID();
  const at = new Date().toISOString();
  const fact = (type, body, by, seq, id = randomUUID()) =>
    put(`/api/v1/sites/${site}/facts/${id}`, { id, type, at, device: 'bench', seq, by, body });
  const classes = [{ id: 'grid', name: 'Building grid', planMm: 6, heightMm: 5, leastMarks: 3 }];
  const settings = {
    name: `Measured ${count}`,
    lengthUnit: 'metre',
    angleUnit: 'dms',
    axisOrder: 'EN',
    siteZero: null,
    coordinateSystem: '',
    heightDatum: '',
    combinedScaleFactor: 1,
    proofIntervalMinutes: 60,
    classes,
    convention: 'plainWords',
    practiceGround: null,
  };
  await fact('member', { name: 'Bench' }, member, 0, member);
  await fact('site', settings, member, 1);
  const side = Math.ceil(Math.sqrt(count));
  const rows = Array.from(
    { length: count },
    (_, i) => `M${i},${1000 + (i % side) * 3},${2000 + Math.floor(i / side) * 3},5`,
  ).join('\n');
  const options = {
    at,
    by: member,
    fileName: 'bench.csv',
    unit: 'metre',
    xIsNorth: false,
    sdHMm: 2,
    sdZMm: 2,
    skipRows: [],
    swapRows: [],
  };
  const text = `name,E,N,H\n${rows}\n`;
  const began = Date.now();
  await put(
    `/api/v1/sites/${site}/control-lists/${randomUUID()}?options=${encodeURIComponent(JSON.stringify(options))}`,
    text,
    'text/csv',
  );
  return { site, seconds: (Date.now() - began) / 1000, text };
}

async function enter(site) {
  await page.goto(`${base}/sites/${site}/control`);
  await page.getByRole('button', { name: 'Bench', exact: true }).click();
  await page.getByRole('button', { name: /^About M0$/ }).waitFor();
}

// First load: compressed script of Today, before the board's drawing library. Chromium counts transferred bytes; the
// server sends plain files, so they are compressed here as a proxy would.
const { gzipSync } = await import('node:zlib');
const scripts = new Map();
page.on('response', async (response) => {
  if (response.url().endsWith('.js'))
    scripts.set(response.url(), gzipSync(await response.body().catch(() => Buffer.alloc(0))).length);
});
await page.goto(base);
await page.getByRole('link', { name: /Ternhaven/ }).click();
await page.getByRole('button', { name: 'Mara Lindqvist' }).click();
await page.getByRole('heading', { level: 1 }).waitFor();
await page.waitForTimeout(500);
const sum = (test) => [...scripts].filter(([url]) => test(url)).reduce((total, [, size]) => total + size, 0) / 1000;
console.log(
  `first load: ${sum((url) => !/Board|Chart|worker/.test(url)).toFixed(0)} kB of compressed script without the board and the chart (350 asked)`,
);

// From the link's message to the changed sentence.
const { site: demo } = { site: /sites\/([0-9a-f-]+)/.exec(page.url())[1] };
await page.goto(`${base}/sites/${demo}/mark`);
await page.getByRole('button', { name: /^Walk to point/ }).click();
await page.getByRole('button', { name: /^Search(?! or run)/ }).click();
await page.waitForTimeout(3000);
const delays = await page.evaluate(
  () =>
    new Promise((resolve) => {
      const found = [];
      const sentence = document.querySelector('[data-testid=move]');
      new MutationObserver(() => {
        const [mark] = performance.getEntriesByName('link message');
        if (mark) found.push(performance.now() - mark.startTime);
        if (found.length >= 100) resolve(found);
      }).observe(sentence, { characterData: true, childList: true, subtree: true });
      setTimeout(() => resolve(found), 20_000);
    }),
);
console.log(
  `link to sentence: median ${quantile(delays, 0.5).toFixed(1)} ms, 95th percentile ${quantile(delays, 0.95).toFixed(1)} ms over ${delays.length} readings (30 asked)`,
);

// Panning 20 000 symbols.
const crowd = await siteWithMarks(20_000);
await enter(crowd.site);
await page.waitForTimeout(1500);
await page.evaluate(() => performance.clearMeasures('board paint'));
await page.mouse.move(330, 400);
await page.mouse.down();
for (let i = 0; i < 120; i++) await page.mouse.move(330 + 120 * Math.sin(i / 8), 400 + 90 * Math.cos(i / 9));
await page.mouse.up();
const paints = await page.evaluate(() => performance.getEntriesByName('board paint').map((each) => each.duration));
console.log(
  `panning 20 000 symbols: median ${quantile(paints, 0.5).toFixed(1)} ms, 95th percentile ${quantile(paints, 0.95).toFixed(1)} ms of script a frame over ${paints.length} frames (8 and 16 asked)`,
);

// A control list of 10 000 rows.
const list = await siteWithMarks(10_000);
console.log(`10 000 rows saved in ${list.seconds.toFixed(1)} s`);
await enter(list.site);
await page.getByRole('button', { name: 'Import…' }).click();
const shift = list.text.replace(/^M/gm, 'Q').replace(/,1(\d{3}),/g, ',9$1,');
const began = Date.now();
await page
  .locator('input[type=file]')
  .setInputFiles({ name: 'again.csv', mimeType: 'text/csv', buffer: Buffer.from(shift) });
await page.getByText(/marks will be written/).waitFor();
console.log(`10 000 rows previewed in ${Date.now() - began} ms (1000 asked)`);

// A drawing of 100 000 elements: read, cancelled, taken, and moved about.
const ELEMENTS = 100_000;
const bays = Math.ceil(Math.sqrt(ELEMENTS));
const element = (i) => {
  const [e, n] = [2000 + (i % bays) * 1.5, 5000 + Math.floor(i / bays) * 1.5];
  return i % 4 === 0
    ? `0\nLWPOLYLINE\n8\nROOMS\n90\n4\n70\n1\n10\n${e}\n20\n${n}\n10\n${e + 1}\n20\n${n}\n42\n0.4\n10\n${e + 1}\n20\n${n + 1}\n10\n${e}\n20\n${n + 1}`
    : `0\nLINE\n8\nLINES-${i % 5}\n10\n${e}\n20\n${n}\n11\n${e + 1.2}\n21\n${n + 0.7}`;
};
const drawing = Buffer.from(
  `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n6\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n${Array.from({ length: ELEMENTS }, (_, i) => element(i)).join('\n')}\n0\nENDSEC\n0\nEOF\n`,
);
const empty = await siteWithMarks(4);
await enter(empty.site);
await page.goto(`${base}/sites/${empty.site}/design`);
await page.getByRole('button', { name: 'Import drawing…' }).click();
await page.evaluate(() => {
  globalThis.longTasks = [];
  new globalThis.PerformanceObserver((list) =>
    globalThis.longTasks.push(...list.getEntries().map((each) => each.duration)),
  ).observe({ type: 'longtask' });
});
const longest = async () => {
  const found = await page.evaluate(() => globalThis.longTasks.splice(0));
  return found.length === 0
    ? 'no long task'
    : `${found.length} long tasks, the longest ${Math.max(...found).toFixed(0)} ms`;
};
// By its path: handed over as bytes it would be decoded in the page, which is nobody's work but this script's.
const folder = await mkdtemp(join(tmpdir(), 'idle-marker-'));
const file = join(folder, 'large.dxf');
await writeFile(file, drawing);
await page.locator('input[type=file]').setInputFiles(file);
await page.getByRole('progressbar').waitFor();
const cancelling = Date.now();
await page.getByRole('button', { name: 'Cancel' }).first().click();
await page.getByRole('progressbar').waitFor({ state: 'detached' });
console.log(
  `drawing of ${ELEMENTS} elements (${(drawing.length / 1e6).toFixed(1)} MB): canceled within ${Date.now() - cancelling} ms`,
);
await longest();
await page.locator('input[type=file]').setInputFiles([]);
const reading = Date.now();
await page.locator('input[type=file]').setInputFiles(file);
await page.getByText(/100000 elements on/).waitFor({ timeout: 120_000 });
console.log(`read in ${((Date.now() - reading) / 1000).toFixed(1)} s, ${await longest()} (100 ms asked)`);
await page.getByRole('button', { name: 'Import drawing' }).click();
await page.getByText(/Drawing large: large\.dxf, in meters/).waitFor();
await page.getByText(/Reading, \d+ %/).waitFor({ state: 'detached', timeout: 120_000 });
await page.waitForTimeout(2000);
console.log(`kept and drawn: ${await longest()}`);
await page.getByRole('button', { name: 'Show everything' }).click();
await page.waitForTimeout(1000);
await page.evaluate(() => performance.clearMeasures('board paint'));
await page.mouse.move(400, 400);
await page.mouse.down();
for (let i = 0; i < 120; i++) await page.mouse.move(400 + 120 * Math.sin(i / 8), 400 + 90 * Math.cos(i / 9));
await page.mouse.up();
await page.mouse.wheel(0, -600);
await page.waitForTimeout(800);
const moved = await page.evaluate(() => performance.getEntriesByName('board paint').map((each) => each.duration));
console.log(
  `panning it: median ${quantile(moved, 0.5).toFixed(1)} ms, 95th percentile ${quantile(moved, 0.95).toFixed(1)} ms of script a frame over ${moved.length} frames (16 asked); ${await longest()} (100 ms asked)`,
);

// A ground of a million triangles as LandXML: read in the worker, with what its memory comes to.
const SIDE = 720;
const ground = (e, n) => (50 + 8 * Math.sin(e / 90) * Math.cos(n / 130)).toFixed(15);
const out = createWriteStream(join(folder, 'ground.xml'));
const write = async (text) => {
  if (!out.write(text)) await new Promise((resolve) => out.once('drain', resolve));
};
await write(
  '<?xml version="1.0"?><LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units><Surfaces><Surface name="Large"><Definition surfType="TIN"><Pnts>\n',
);
for (let r = 0; r < SIDE; r++) {
  let row = '';
  for (let c = 0; c < SIDE; c++)
    row += `<P id="${r * SIDE + c + 1}">${(5000 + r * 1.5).toFixed(16)} ${(2000 + c * 1.5).toFixed(16)} ${ground(c * 1.5, r * 1.5)}</P>\n`;
  await write(row);
}
await write('</Pnts><Faces>\n');
for (let r = 0; r + 1 < SIDE; r++) {
  let row = '';
  for (let c = 0; c + 1 < SIDE; c++) {
    const at = r * SIDE + c + 1;
    row += `<F i="0" n="${at} ${at + 1} ${at + 2}">${at} ${at + 1} ${at + SIDE + 1}</F>\n<F i="0" n="${at} ${at + 1} ${at + 2}">${at} ${at + SIDE + 1} ${at + SIDE}</F>\n`;
  }
  await write(row);
}
await write('</Faces></Definition></Surface></Surfaces></LandXML>');
await new Promise((resolve) => out.end(resolve));
const { size } = await stat(join(folder, 'ground.xml'));

/** Asks the worker of the page for its memory while it works; the largest of what it said. */
async function workerMemory() {
  const cdp = await page.context().newCDPSession(page);
  const peak = { heap: 0, buffers: 0 };
  let session = null;
  let id = 0;
  cdp.on('Target.attachedToTarget', ({ sessionId, targetInfo }) => {
    if (targetInfo.type === 'worker') session = sessionId;
  });
  cdp.on('Target.receivedMessageFromTarget', ({ message }) => {
    const { result } = JSON.parse(message);
    if (!result?.usedSize) return;
    peak.heap = Math.max(peak.heap, result.usedSize);
    peak.buffers = Math.max(peak.buffers, result.backingStorageSize ?? 0);
  });
  await cdp.send('Target.setAutoAttach', { autoAttach: true, waitForDebuggerOnStart: false, flatten: false });
  const timer = setInterval(() => {
    if (session)
      void cdp
        .send('Target.sendMessageToTarget', {
          sessionId: session,
          message: JSON.stringify({ id: ++id, method: 'Runtime.getHeapUsage' }),
        })
        .catch(() => {});
  }, 100);
  return () => {
    clearInterval(timer);
    return peak;
  };
}
const another = await siteWithMarks(4);
await enter(another.site);
await page.goto(`${base}/sites/${another.site}/design`);
await page.getByRole('button', { name: 'Import drawing…' }).click();
const memory = await workerMemory();
await page.evaluate(() => globalThis.longTasks?.splice(0));
const groundBegan = Date.now();
await page.locator('input[type=file]').setInputFiles(join(folder, 'ground.xml'));
await page.getByText(new RegExp(`^${2 * (SIDE - 1) ** 2} elements on`)).waitFor({ timeout: 300_000 });
const groundSeconds = (Date.now() - groundBegan) / 1000;
const peak = memory();
console.log(
  `LandXML of ${(size / 1e6).toFixed(0)} MB, a million triangles: read and placed in ${groundSeconds.toFixed(1)} s; the worker's heap at most ${(peak.heap / 1e6).toFixed(0)} MB, with ${(peak.buffers / 1e6).toFixed(0)} MB of buffers (600 asked)`,
);
await rm(folder, { recursive: true });
await browser.close();
await own?.stop();

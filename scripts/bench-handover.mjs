// Measures what is handed over of a package of 500 marks, in Chromium and at the server: cut sheet, sketch, labels, and
// the longest task of the page meanwhile. Starts the application by itself, unless it is told where it runs: node
// scripts/bench-handover.mjs [http://127.0.0.1:4180]
import { execFileSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { randomUUID } from 'node:crypto';
import { started } from './started.mjs';

const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const own = process.argv[2] ? null : await started();
const base = own?.url ?? process.argv[2];
/** Of pads with eight each. */
const MARKS = 504;

const site = randomUUID();
const { who, work, facts } = JSON.parse(
  execFileSync(
    'node',
    [new URL('run.mjs', import.meta.url).pathname, new URL('manyMarks.ts', import.meta.url).pathname, String(MARKS)],
    { maxBuffer: 1e9 },
  ),
);
const ask = async (method, url, body) => {
  const response = await fetch(base + url, {
    method,
    body: JSON.stringify(body),
    headers: { 'Content-Type': 'application/json' },
  });
  if (!response.ok) throw new Error(`${url}: ${response.status} ${await response.text()}`);
  return response;
};
// Who speaks comes before what is said.
for (const fact of facts.toSorted((a, b) => (b.type === 'member') - (a.type === 'member')))
  await ask('PUT', `/api/v1/sites/${site}/facts/${fact.id}`, fact);
console.log(`${facts.length} facts, ${MARKS} marks`);

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
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, acceptDownloads: true });
await page.addInitScript(() => {
  globalThis.longTasks = [];
  new globalThis.PerformanceObserver((list) =>
    globalThis.longTasks.push(...list.getEntries().map((each) => each.duration)),
  ).observe({ type: 'longtask' });
});
const longest = async () => {
  await page.waitForTimeout(300);
  const found = await page.evaluate(() => globalThis.longTasks.splice(0));
  return found.length === 0
    ? 'no long task'
    : `${found.length} long tasks, the longest ${Math.max(...found).toFixed(0)} ms`;
};
/** Says how long something took until it was seen, and the longest task meanwhile. */
async function timed(what, act, asked) {
  await longest();
  const began = Date.now();
  const said = await act();
  const took = Date.now() - began;
  console.log(`${what}: ${(took / 1000).toFixed(2)} s${said ? `, ${said}` : ''}; ${await longest()} (${asked})`);
}
const file = async (press) => {
  const [download] = await Promise.all([page.waitForEvent('download'), press()]);
  const chunks = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk);
  const bytes = Buffer.concat(chunks);
  return `${download.suggestedFilename()} of ${(bytes.length / 1e6).toFixed(2)} MB`;
};
const button = (name, exact = true) => page.getByRole('button', { name, exact });

await page.goto(`${base}/sites/${site}/today`);
await button('Mara Lindqvist').click();
await page.getByRole('heading', { level: 1 }).waitFor();
await page.waitForTimeout(2000);
const ASKED = '3 s and 100 ms asked';
await timed(
  'Cut sheets opened',
  async () => {
    await page.getByRole('link', { name: 'Hand over' }).click();
    await page.getByText(`${MARKS} of ${MARKS} marks`).waitFor();
    await button(`Show all ${MARKS} marks`).waitFor();
  },
  ASKED,
);
await timed(
  'issued',
  async () => {
    await button('Issue cut sheet…').click();
    await button('Issue cut sheet').click();
    await page.getByText(/Pads · 504 marks/).waitFor();
  },
  ASKED,
);
await timed(
  'PDF of the sheet with its sketch',
  () => file(() => page.getByRole('button', { name: /^PDF/ }).first().click()),
  `${ASKED}, 2 MB`,
);
await timed(
  'Sketch drawn',
  async () => {
    await page.getByRole('link', { name: 'Sketch' }).click();
    await page.getByRole('img', { name: /^Pads/ }).waitFor();
  },
  ASKED,
);
await timed(
  'drawn again on A3',
  async () => {
    await page.getByLabel('Paper').selectOption('A3');
    await page.getByText('drawn for A3').waitFor();
  },
  ASKED,
);
await timed('PDF of the sketch', () => file(() => button('PDF').click()), ASKED);
await timed('DXF of the sketch', () => file(() => button('DXF').click()), ASKED);
await timed(
  'Stakes opened',
  async () => {
    await page.getByRole('link', { name: 'Stakes', exact: true }).click();
    await page.getByRole('heading', { name: /^P-1A S/ }).waitFor();
  },
  ASKED,
);
await timed(
  'labels',
  async () => {
    await button('Labels…').click();
    return file(() => button('Create PDF').click());
  },
  ASKED,
);
await browser.close();
const xlsx = Date.now();
const { sheets } = await (await fetch(`${base}/api/v1/sites/${site}/sheets`)).json();
const table = await (await fetch(`${base}/api/v1/sites/${site}/sheets/${sheets[0].id}/xlsx`)).arrayBuffer();
console.log(
  `XLSX of the sheet: ${Date.now() - xlsx} ms, ${(table.byteLength / 1e6).toFixed(2)} MB; package ${work}, by ${who}`,
);
await own?.stop();

// Takes the pictures in docs/screenshots from the demo site. Start the application on a new data folder with a fixed
// clock:
//   IDLE_DATA=$(mktemp -d) IDLE_NOW=2026-11-24T10:30:00Z ./start        then: node scripts/pictures.mjs [URL]
import { createRequire } from 'node:module';
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const { chromium } = createRequire(new URL('../e2e/package.json', import.meta.url))('@playwright/test');
const base = process.argv[2] ?? 'http://127.0.0.1:4180';
const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
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
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, timezoneId: 'Europe/Copenhagen' });
const shoot = async (name) => {
  await page.mouse.move(640, 2);
  await page.waitForTimeout(700);
  await page.screenshot({ path: `${folder}${name}.png` });
};
const place = (name) =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: new RegExp(`^${name}`) });
const idle = () => page.getByRole('button', { name: 'Cancel' }).waitFor({ state: 'hidden', timeout: 60_000 });

await page.goto(base);
await page.getByRole('link', { name: /Ternhaven/ }).click();
await page.getByRole('button', { name: 'Mara Lindqvist' }).click();
await page.getByRole('heading', { level: 1 }).waitFor();
await shoot('today');
await page.getByRole('button', { name: /^(Connected|Not connected)/ }).click();
await page.getByLabel('Demo speed').selectOption('20');
await page.getByLabel('Walking near stops').selectOption('on');
await page.getByRole('button', { name: 'Done' }).click();
await place('Control').click();
await shoot('control');
await place('Work').click();
await shoot('work');

// Mark: the pole half a metre off the hub, then the hub set and shot.
await place('Mark').click();
await page.getByRole('button', { name: 'Walk to point' }).click();
await page.getByText('Walking…').waitFor({ state: 'hidden', timeout: 60_000 });
await page.getByRole('button', { name: 'Search', exact: true }).click();
await page.waitForTimeout(1500);
await page.getByRole('button', { name: 'Pole toward the instrument' }).focus();
for (let i = 0; i < 18; i++) {
  await page.getByRole('button', { name: i % 3 === 0 ? 'Pole right' : 'Pole away from the instrument' }).click();
  await page.waitForTimeout(150);
}
await shoot('mark');
// Carried: a tablet at dusk, and a phone in sun. T turns dusk, sun, day.
await page.setViewportSize({ width: 1024, height: 768 });
await page.keyboard.press('t');
await shoot('mark-dusk');
await page.setViewportSize({ width: 390, height: 844 });
await page.keyboard.press('t');
await shoot('mark-phone');
await page.keyboard.press('t');
await page.setViewportSize({ width: 1280, height: 800 });
await page.getByRole('button', { name: 'Walk to point' }).click();
await page.getByText('Walking…').waitFor({ state: 'hidden', timeout: 60_000 });
const set = page.getByRole('button', { name: /^Set mark/ });
for (let i = 0; i < 8 && !(await set.isVisible()); i++) {
  await page
    .getByRole('button', { name: /^Shoot/ })
    .last()
    .click();
  await idle();
  await page.waitForTimeout(300);
}
await set.click();
await page.getByRole('button', { name: /^Shoot hub/ }).click();
await page.getByRole('button', { name: /^Next mark/ }).waitFor();
await shoot('stake');

// What stands there: a column that is twisted, and bolts of which one is bent.
const atThePole = (name) =>
  page.getByRole('navigation', { name: 'What is done at the pole' }).getByRole('link', { name, exact: true });
await atThePole('Columns').click();
await page.getByRole('button', { name: 'A-3', exact: true }).click();
await atThePole('As-built').click();
await page.getByRole('heading', { name: /^Bolt group GB/ }).waitFor();
await shoot('as-built');

// Along the road: the pole half a metre outside of the kerb, in the curve.
await atThePole('Road').click();
await page.getByLabel('Position of').selectOption({ label: 'the pole, live' });
await page.getByLabel('Offset line', { exact: true }).selectOption({ label: 'face of right kerb' });
await page.getByLabel('Offset (m)').fill('0.5');
await page.getByRole('textbox', { name: 'Station', exact: true }).fill('0+160');
await page.getByRole('button', { name: 'Walk to point' }).click();
await page.getByText('Walking…').waitFor();
await page.getByText('Walking…').waitFor({ state: 'hidden', timeout: 60_000 });
await page.getByRole('button', { name: 'Search', exact: true }).click();
await page.getByText('Tracking').waitFor();
await shoot('road');

await place('Prove').click();
await page.getByRole('button', { name: 'Prove on P2' }).click();
await page.getByText(/^P2 measures/).waitFor({ timeout: 60_000 });
await shoot('prove');

await place('Hand over').click();
await page.getByRole('button', { name: 'Issue cut sheet…' }).click();
await page.getByRole('button', { name: 'Issue cut sheet', exact: true }).click();
await page
  .getByText(/revision 1$/)
  .first()
  .waitFor();
await shoot('hand-over');
const [download] = await Promise.all([
  page.waitForEvent('download'),
  page
    .getByRole('button', { name: /^PDF of/ })
    .first()
    .click(),
]);
const sheet = join(mkdtempSync(join(tmpdir(), 'idle-marker-')), 'sheet.pdf');
await download.saveAs(sheet);
execFileSync('pdftoppm', ['-r', '80', '-f', '1', '-l', '1', '-singlefile', '-png', sheet, `${folder}cut-sheet`]);

const part = (name) =>
  page
    .getByRole('navigation', { name: /What is handed over|Field book sections/ })
    .getByRole('link', { name, exact: true });
await part('Stakes').click();
await page.getByRole('button', { name: 'TH-D4 E', exact: true }).click();
await shoot('stakes');
await part('Sketch').click();
await shoot('sketch');
await part('Crew links').click();
await page.getByRole('button', { name: 'Add crew link…' }).click();
await page.getByRole('button', { name: 'Create crew link' }).click();
const crew = new URL(await page.getByRole('link', { name: 'Open page' }).getAttribute('href'));
const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
await phone.goto(`${base}${crew.pathname}/TH-D4%20E`);
await phone.getByRole('heading', { level: 1 }).waitFor();
await phone.screenshot({ path: `${folder}crew-phone.png` });
await phone.close();

await place('Field book').click();
await part('Days').click();
await shoot('field-book');

// Station, with the knocked mark being judged.
await place('Station').click();
await page.getByRole('button', { name: 'New setup…' }).click();
await page.getByLabel(/^Air temperature/).fill('17');
await shoot('new-station');
await page.getByRole('button', { name: 'Start sighting' }).click();
for (const mark of ['K1', 'K2', 'K3', 'K7', 'K5']) {
  await page
    .getByRole('button', { name: `Sight ${mark}`, exact: true })
    .first()
    .click();
  await page.getByRole('switch', { name: `${mark} in plan` }).waitFor({ timeout: 60_000 });
}
await shoot('station');

await page.getByRole('button', { name: 'New setup…' }).click();
await page.getByLabel('Station method').selectOption('heightOnly');
await page.getByRole('button', { name: 'Start sighting' }).click();
for (const mark of ['BM1', 'K2', 'K3']) {
  await page.getByRole('button', { name: `Sight ${mark}`, exact: true }).click();
  await page.getByRole('row', { name: new RegExp(`^${mark}`) }).waitFor({ timeout: 60_000 });
  await idle();
}
for (const spot of ['footing, north-east', 'sill of the gate']) {
  await page.getByLabel('Point measured').fill(spot);
  await page.getByRole('button', { name: /^Measure elevation of/ }).click();
  await page.getByRole('row', { name: new RegExp(`^${spot}`) }).waitFor({ timeout: 60_000 });
  await idle();
}

// A receiver on the same pole: proved on a known mark, then to a mark.
await page.getByRole('link', { name: 'Mark with GNSS plan' }).click();
await page.getByRole('button', { name: 'Set up receiver and prism…' }).click();
const pair = page.getByRole('dialog');
await pair.getByLabel('Receiver name or serial no.').fill('Receiver 7');
await pair.getByLabel('Receiver offset above prism').fill('0.120');
await pair.getByLabel('Antenna height in receiver').fill('1.620');
await pair.getByRole('button', { name: 'Use this combination' }).click();
await page.getByRole('button', { name: /receiver on$/ }).click();
await page.getByLabel('Tilt compensation').uncheck();
await page
  .getByRole('group', { name: 'Plan from the receiver' })
  .getByText(/^fixed/)
  .waitFor();
await page.getByRole('button', { name: /^Start with/ }).click();
await page.getByRole('button', { name: 'Prove on P1' }).click();
await page.getByText(/^P1 measures/).waitFor({ timeout: 60_000 });
await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Gangway piles' });
await page.getByRole('button', { name: 'Walk to point' }).click();
await page.getByText('Walking…').waitFor({ state: 'hidden', timeout: 60_000 });
await shoot('receiver');
await browser.close();

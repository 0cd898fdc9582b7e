/**
 * What is handed over, through the real interface: stakes and their convention, labels, the crew's page, sketch, files,
 * the end of the day.
 */
import { readFileSync } from 'node:fs';
import { mkdir, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Download, Page } from '@playwright/test';
import { largePhoto } from './largePhoto.ts';
import { pdfPieces, textOf } from './pdfText.ts';
import { DEMO, enter, expect, noSeriousFault, place, prove, stored, test } from './site.ts';

test.use({ ownSite: 'handover' });
// Each one goes on from what the one before has left on the site.
test.describe.configure({ mode: 'serial' });

const part = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: /What is handed over|Field book sections/ })
    .getByRole('link', { name, exact: true });
/** The cut sheets, whichever part of what is handed over was open last. */
async function sheets(page: Page): Promise<void> {
  await place(page, 'Hand over').click();
  await part(page, 'Cut sheets').click();
}
const download = async (page: Page, act: () => Promise<void>): Promise<Download> => {
  const [file] = await Promise.all([page.waitForEvent('download'), act()]);
  return file;
};
const pdfText = async (file: Download): Promise<string> => textOf(await pdfPieces(await file.path()));
const text = async (file: Download): Promise<string> => readFileSync(await file.path(), 'utf8');

async function handOver(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await enter(page);
  await place(page, 'Hand over').click();
  await part(page, name).click();
}

test('a convention is adapted with a preview, made usual, and written on the stake in large letters', async ({
  page,
}) => {
  await handOver(page, 'Stake convention');
  await page.getByRole('button', { name: /^Hubs with elevations/ }).click();
  await expect(page.getByRole('img', { name: /^Front: H-B3 E; PEG 5\.918; UP 0\.332 to FLOOR/ })).toBeVisible();
  await page.getByRole('button', { name: 'Copy and edit…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').first().fill('Pegs, as the paving crew wants them');
  await dialog.getByLabel('Word for fill').fill('+');
  await expect(dialog.getByText(/The word for fill has no letters: half of all crews read a bare sign/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Save convention' })).toBeDisabled();
  await dialog.getByLabel('Word for fill').fill('RAISE');
  await dialog.getByLabel('Side of tolerance').selectOption('back');
  await expect(dialog.getByRole('img', { name: /^Front: H-B3 E; PEG 5\.918; RAISE 0\.332 to FLOOR/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Save convention' }).click();
  await page.getByRole('button', { name: 'Make site default' }).click();
  await expect(page.getByRole('button', { name: 'Site default', exact: true })).toBeDisabled();
  await stored(page);

  await part(page, 'Stakes').click();
  await page.getByRole('button', { name: 'TH-D4 E', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Front: TH-D4 E; PEG 5\.\d{3}; RAISE 0\.\d{3} to FLOOR/ })).toBeVisible();
  await expect(page.getByText(/^Written on the stake: .* m offset/)).toBeVisible();
  await page.getByRole('button', { name: 'Write it' }).click();
  await expect(page.getByText('TH-D4 E', { exact: true }).last()).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('dialog').getByText(/^PEG 5\.\d{3}$/)).toBeVisible();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowDown');
  await expect(page.getByText('All written')).toBeVisible();
  await page
    .getByRole('dialog')
    .getByLabel('Photo of TH-D4 E')
    .setInputFiles({ name: 'lath.png', mimeType: 'image/png', buffer: PIXEL });
  await expect(page.getByRole('img', { name: 'Photo of TH-D4 E' }).first()).toBeVisible();
  await page
    .getByRole('dialog')
    .getByLabel('Photo of TH-D4 E')
    .setInputFiles({ name: 'lath.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') });
  await expect(page.getByText(/lath\.jpg can’t be read as a picture/).first()).toBeVisible();
  // By its path: what is handed over as bytes may be 50 MB at most.
  const photo = join(test.info().outputDir, 'lath.png');
  await mkdir(test.info().outputDir, { recursive: true });
  await writeFile(photo, largePhoto(4500));
  expect((await stat(photo)).size).toBeGreaterThan(60e6);
  await page.getByRole('dialog').getByLabel('Photo of TH-D4 E').setInputFiles(photo);
  const picture = page.getByRole('dialog').getByRole('img', { name: 'Photo of TH-D4 E' }).nth(1);
  await expect(picture).toBeVisible({ timeout: 30_000 });
  expect(await picture.evaluate((image: HTMLImageElement) => Math.max(image.naturalWidth, image.naturalHeight))).toBe(
    1600,
  );
  await stored(page);
  await rm(photo);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/rewritten \d\d:\d\d by Mara Lindqvist/)).toBeVisible();
  await expect(page.getByText(/^Written on the stake: /)).toBeHidden();
  await page.getByRole('button', { name: 'Record rewritten stakes…' }).click();
  await expect(
    page
      .getByRole('dialog')
      .getByText(/^before: /)
      .first(),
  ).toBeVisible();
  await expect(page.getByRole('dialog').getByText('TH-D4 E', { exact: true })).toBeHidden();
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click();
  await page.getByLabel('Language').selectOption({ label: 'Español' });
  await expect(page.getByText(/MÁS ALTO que el punto \(clavo\)/)).toBeVisible();
});

/** The smallest picture that is one. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test('a crew finds its stake on a phone, says that it is gone, and is told when its page is closed', async ({
  page,
  browser,
  baseURL,
}) => {
  await handOver(page, 'Crew links');
  await expect(page.getByRole('heading', { name: 'Phones can’t reach this server yet' })).toBeVisible();
  await page.getByLabel('Server address for phones').fill('phone me');
  await expect(page.getByText(/^Enter an address such as/)).toBeVisible();
  await page.getByLabel('Server address for phones').fill(`${baseURL!}/`);
  await page.getByRole('button', { name: 'Save address' }).click();
  await expect(page.getByText(/reaches this computer only: no phone can open it/)).toBeVisible();
  await page.getByRole('button', { name: 'Add crew link…' }).click();
  await page.getByLabel('Crew', { exact: true }).fill('Formwork east');
  await page.getByLabel('Contact on site').fill('Mara, 555 0100');
  await page.getByRole('button', { name: 'Create crew link' }).click();
  const address = await page.getByRole('link', { name: 'Open page' }).getAttribute('href');
  await stored(page);

  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 }, locale: 'es-MX' })).newPage();
  const scripts: Promise<number>[] = [];
  phone.on('response', (response) => {
    if (response.url().endsWith('.js')) scripts.push(response.body().then(({ length }) => length));
  });
  await phone.goto(address!);
  await expect(phone.getByRole('button', { name: /TH-A1 W/ })).toBeVisible();
  // A phone behind a hedge: what the technician's pages say and do is not fetched for the crew.
  const weight = (await Promise.all(scripts)).reduce((sum, length) => sum + length, 0);
  expect(weight).toBeGreaterThan(100_000);
  expect(weight).toBeLessThan(800_000);
  await phone.getByLabel('Número de la estaca').fill('a1');
  await phone.keyboard.press('Enter');
  await expect(phone.getByText(/^Estas llevan a1 en su número/)).toBeVisible();
  await phone.getByRole('button', { name: /^TH-A1 S/ }).click();
  await expect(phone.getByRole('heading', { level: 1, name: 'TH-A1 S' })).toBeVisible();
  await phone.getByLabel('Número de la estaca').fill('th a1w');
  await phone.keyboard.press('Enter');
  await expect(phone.getByRole('heading', { level: 1, name: 'TH-A1 W' })).toBeVisible();
  await expect(phone.getByText(/MÁS ALTO que el punto/)).toBeVisible();
  await noSeriousFault(phone);
  await phone.getByLabel('Idioma').selectOption('en');
  await expect(phone.getByText('good to build from')).toBeVisible();
  await phone.getByText('Tape ties: A1').click();
  await expect(phone.getByText(/^Check first: .* is \d+\.\d{3} m, level/)).toBeVisible();
  await phone.getByRole('button', { name: 'Report a problem' }).click();
  await phone.getByLabel('Your name').fill('Jo');
  await phone.getByRole('button', { name: 'Gone', exact: true }).click();
  await expect(phone.getByText('Reported. Do not build from it until it is set again.')).toBeVisible();
  await expect(phone.getByText(/DO NOT BUILD FROM THIS MARK/)).toBeVisible();
  expect(await phone.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBe(0);
  await phone.getByLabel('Number on the stake').fill('TH-Z9');
  await phone.keyboard.press('Enter');
  await expect(phone.getByText(/^No stake TH-Z9/)).toBeVisible();

  await place(page, 'Today').click();
  await expect(page.getByRole('region', { name: 'Issued, but changed since' }).getByText('TH-A1 W')).toBeVisible();
  await expect(page.getByText(/^Reported gone by Jo/)).toBeVisible();
  // The rail leads to the part used last.
  await place(page, 'Hand over').click();
  await expect(page).toHaveURL(/hand-over\/crew$/);
  await sheets(page);
  await expect(page.getByText(/TH-A1 W: reported gone/)).toBeVisible();
  await part(page, 'Crew links').click();
  await page.getByRole('button', { name: 'Confirm in position' }).click();
  await page.getByLabel('Evidence').fill('it was TH-A1 S that Jo meant');
  await page.getByRole('button', { name: 'Withdraw report' }).click();
  await expect(page.getByText(/No stake is reported gone or hit/)).toBeVisible();
  await page.getByRole('button', { name: 'Revoke link…' }).click();
  await page.getByRole('button', { name: /^Revoke link/ }).click();
  await expect(page.getByText(/^closed /)).toBeVisible();
  await phone.reload();
  await expect(phone.getByText('This link is no longer valid. Ask the layout crew for a new one.')).toBeVisible();
  await phone.context().close();
});

test('a sheet of a part goes to who asked for it, and what happens to its marks is told to whom', async ({ page }) => {
  await handOver(page, 'Cut sheets');
  await page.getByRole('button', { name: 'Issue cut sheet…' }).click();
  await page.getByLabel('Issued to').fill('Ada, formwork');
  await page.getByLabel('Selected marks only').check();
  await page.getByLabel('Part name').fill('east side');
  for (const mark of ['TH-A1 S', 'TH-A1 W', 'TH-C4 NE', 'TH-C5 E', 'TH-C5 N'])
    await page
      .getByRole('list', { name: 'Marks of this part' })
      .getByLabel(new RegExp(`^${mark}`))
      .uncheck();
  await page.getByRole('button', { name: 'Issue cut sheet', exact: true }).click();
  await expect(page.getByText(/Ticket hall hubs: east side · 4 marks/)).toBeVisible();
  const pdf = await pdfText(
    await download(page, () =>
      page
        .getByRole('button', { name: /^PDF of cut sheet/ })
        .first()
        .click(),
    ),
  );
  expect(pdf).toContain('Ticket hall hubs: east side');
  expect(pdf).toContain('Issued to: Ada, formwork');
  expect(pdf).toContain('How to read ');
  const xlsx = await download(page, () =>
    page
      .getByRole('button', { name: /^XLSX of cut sheet/ })
      .first()
      .click(),
  );
  expect(
    readFileSync(await xlsx.path())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK');
  await stored(page);

  await part(page, 'Stakes').click();
  await page.getByRole('button', { name: 'TH-D4 N', exact: true }).click();
  await page.getByRole('button', { name: 'Gone or hit…' }).click();
  await page.getByLabel('Details', { exact: true }).fill('the loader leaned on it');
  await page.getByRole('button', { name: 'Report hit or moved' }).click();
  await expect(page.getByRole('heading', { name: 'Reported hit or moved' })).toBeVisible();
  await stored(page);
  await place(page, 'Today').click();
  await expect(page.getByText(/Ada, formwork has cut sheet \d+, revision 1 of Ticket hall hubs/)).toBeVisible();
  await sheets(page);
  await expect(page.getByText(/^Tell Ada, formwork: TH-D4 N: reported hit or moved/)).toBeVisible();
  const noticed = await pdfText(
    await download(page, () =>
      page
        .getByRole('button', { name: /^PDF of cut sheet/ })
        .first()
        .click(),
    ),
  );
  expect(noticed).toContain('Since this sheet was issued: TH-D4 N');
});

test('labels, cards and the sketch come as files that others read', async ({ page }) => {
  await handOver(page, 'Stakes');
  await page.getByLabel('Print TH-D1 E').check();
  await page.getByRole('button', { name: 'Labels…' }).click();
  await expect(page.getByRole('heading', { name: '1 label' })).toBeVisible();
  await page.getByLabel('Labels', { exact: true }).selectOption('roll62');
  expect(await pdfText(await download(page, () => page.getByRole('button', { name: 'Create PDF' }).click()))).toContain(
    'TH-D1 E',
  );
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Print crew cards…' }).click();
  await page.getByLabel('Español').check();
  const cards = await pdfText(await download(page, () => page.getByRole('button', { name: 'Create PDF' }).click()));
  expect(cards).toContain('How to read TH-D1 E');
  expect(cards).toContain('Cómo se lee TH-D1 E');
  await page.keyboard.press('Escape');

  await part(page, 'Sketch').click();
  await page.getByLabel('Paper').selectOption('A3');
  await expect(page.getByText('1 : 200', { exact: true })).toBeVisible();
  expect(await pdfText(await download(page, () => page.getByRole('button', { name: 'PDF' }).click()))).toContain(
    'TH-C4 NE',
  );
  const svg = await text(await download(page, () => page.getByRole('button', { name: 'SVG' }).click()));
  expect(svg).toContain('@font-face{font-family:Barlow');
  expect(svg).toContain('TH-C4 NE');
  const png = readFileSync(
    await (await download(page, () => page.getByRole('button', { name: 'PNG' }).click())).path(),
  );
  expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([Math.round(1190.55 * 3), Math.round(841.89 * 3)]);
  expect(await text(await download(page, () => page.getByRole('button', { name: 'DXF' }).click()))).toContain(
    'THING-TO-BUILD',
  );
});

test('files for others have the columns that were chosen, and the whole site is the same when it comes back', async ({
  page,
}) => {
  await handOver(page, 'Files');
  await page.getByRole('button', { name: 'Northing (m) earlier' }).click();
  await page.getByRole('button', { name: 'Leave out Note' }).click();
  await page.getByRole('button', { name: 'Add Standing' }).click();
  const csv = await text(await download(page, () => page.getByRole('button', { name: 'CSV' }).click()));
  const lines = csv.split('\r\n');
  expect(lines[0]).toBe(`\uFEFF# Site: ${DEMO}`);
  expect(lines.find((line) => !/^\uFEFF?# /.test(line))).toBe(
    'Point,Northing (m),Easting (m),Height (m),Group,Code,Standing',
  );
  expect(csv).toMatch(/^TH-A1 S,.*,marks,Ticket hall hubs,verified$/m);
  const xml = await text(await download(page, () => page.getByRole('button', { name: 'LandXML' }).click()));
  expect(xml).toContain('<RawObservation setupID="setup-3"');
  for (const [button, sign] of [
    ['DXF', 'AC1009'],
    ['GeoJSON', '"FeatureCollection"'],
  ] as const)
    expect(await text(await download(page, () => page.getByRole('button', { name: button }).click()))).toContain(sign);
  const sights = await text(
    await download(page, () => page.getByRole('button', { name: 'Save', exact: true }).click()),
  );
  expect(sights.split('\n')[0]).toContain('idle-marker raw sights');
  const archive = await download(page, () => page.getByRole('link', { name: 'Save the archive' }).click());
  const path = await archive.path();

  await page.goto('/');
  await page
    .getByLabel('Archive of a site')
    .setInputFiles({ name: 'site.zip', mimeType: 'application/zip', buffer: readFileSync(path) });
  await expect(page.getByText(`${DEMO} was here already, the same to the last entry.`)).toBeVisible({
    timeout: 60_000,
  });
  await page
    .getByLabel('Archive of a site')
    .setInputFiles({ name: 'letter.zip', mimeType: 'application/zip', buffer: Buffer.from('dear sirs') });
  await expect(page.getByText(/^letter\.zip wasn’t taken in\. .*Nothing was saved\.$/)).toBeVisible();
});

test('the day is not finished while the closing proof is missing; its page comes as PDF and JSON', async ({ page }) => {
  await page.goto('/');
  await enter(page);
  await place(page, 'Field book').click();
  await part(page, 'Close day').click();
  await expect(page.getByRole('heading', { name: 'Not yet: something is missing' })).toBeVisible();
  await expect(page.getByText('Closing check shot missing at S3')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Close day' })).toBeDisabled();
  await page.getByRole('link', { name: 'Prove it now' }).click();
  await prove(page, 'P2');
  await stored(page);
  await place(page, 'Field book').click();
  await part(page, 'Close day').click();
  await expect(page.getByRole('heading', { name: 'You may pack up' })).toBeVisible();
  await page.getByLabel('Shift handover note').fill('The key is at the gate.');
  await page.getByRole('button', { name: 'Close day' }).click();
  await expect(page.getByText(/^Day closed at /)).toBeVisible();
  await stored(page);

  await part(page, 'Days').click();
  await expect(page.getByText(/For who comes next: The key is at the gate\./)).toBeVisible();
  const pdf = await pdfText(await download(page, () => page.getByRole('button', { name: 'PDF', exact: true }).click()));
  for (const said of [
    'Setup S3',
    'Sights, as read and reduced',
    'Later corrections and withdrawals',
    'The key is at the gate.',
  ])
    expect(pdf).toContain(said);
  const book = JSON.parse(
    await text(await download(page, () => page.getByRole('button', { name: 'JSON', exact: true }).first().click())),
  ) as {
    setups: { name: string; sights: unknown[] }[];
  };
  expect(book.setups.map(({ name }) => name)).toEqual(['S1', 'S2', 'S3']);
  expect(book.setups[2]!.sights.length).toBeGreaterThan(50);
});

test('an entry that was wrong is put right with every mark that it moves; the next person gets a page, and tapes are drawn', async ({
  page,
}) => {
  await page.goto('/');
  await enter(page);
  await place(page, 'Station').click();
  await page.getByRole('button', { name: 'Correct an entry…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Entry to correct').selectOption({ label: 'Target (prism constant)' });
  await dialog.getByLabel('Actual target').selectOption({ label: 'another, with the constant' });
  await dialog.getByLabel('Correct constant (mm)').fill('-30');
  const from = dialog.getByLabel('First sight');
  // Every shot to the mark, from the first look to its driven hub.
  const shots = from.locator('option', { hasText: 'TH-A1 W' });
  const [first, last] = [await shots.first().getAttribute('value'), await shots.last().getAttribute('value')];
  await from.selectOption(first);
  await dialog.getByLabel('Last sight').selectOption(last);
  await expect(dialog.getByText(/marks? changes? position:$/)).toBeVisible();
  await expect(dialog.getByRole('listitem').filter({ hasText: 'TH-A1 W' })).toContainText(/\d+ mm in plan.*: out/);
  await dialog.getByRole('button', { name: 'Save correction' }).click();
  await expect(dialog.getByText('Say how you know: it goes into the book.')).toBeVisible();
  await dialog.getByLabel('Evidence').fill('the small prism was on the pole');
  await dialog.getByRole('button', { name: 'Save correction' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText('An entry was corrected after it was accepted')).toBeVisible();
  await stored(page);
  await place(page, 'Field book').click();
  await expect(
    page.getByText(/S3: prism constant of \d+ sights? corrected to −30\.0 mm: the small prism was on the pole/),
  ).toBeVisible();
  await part(page, 'Close day').click();
  const next = await pdfText(
    await download(page, () => page.getByRole('button', { name: 'Shift handover (PDF)' }).click()),
  );
  for (const said of ['Shift handover', 'The key is at the gate.', 'TH-A1 W', 'proved good'])
    expect(next).toContain(said);

  await place(page, 'Hand over').click();
  await part(page, 'Tape ties').click();
  await page.getByLabel('Point').selectOption({ label: 'D1 of Ticket hall outline' });
  await expect(page.getByRole('img', { name: 'Tape ties to D1' })).toBeVisible();
  await expect(page.getByText(/^Check first: /)).toBeVisible();

  await part(page, 'Files').click();
  const xml = await text(await download(page, () => page.getByRole('button', { name: 'LandXML' }).click()));
  const sights = await text(
    await download(page, () => page.getByRole('button', { name: 'Save', exact: true }).click()),
  );
  await place(page, 'Station').click();
  await page.getByRole('button', { name: 'Close setup…' }).click();
  await page.getByRole('button', { name: 'Close it' }).click();
  await place(page, 'Hand over').click();
  await part(page, 'Files').click();
  const file = page.getByLabel('File of raw sights');
  await file.setInputFiles({
    name: 'cut.sights.jsonl',
    mimeType: 'application/x-ndjson',
    buffer: Buffer.from(sights.replace('"face":1', '"face":3')),
  });
  await expect(page.getByText(/^cut\.sights\.jsonl wasn’t taken\. Line \d+, /)).toBeVisible();
  await file.setInputFiles({ name: 's3.sights.jsonl', mimeType: 'application/x-ndjson', buffer: Buffer.from(sights) });
  await expect(page.getByRole('dialog', { name: /sights from S3 of / })).toBeVisible();
  await page.keyboard.press('Escape');
  await file.setInputFiles({ name: 'morning.xml', mimeType: 'application/xml', buffer: Buffer.from(xml) });
  await page.getByLabel('Setup to import').selectOption({ index: 2 });
  await expect(page.getByText(/doesn’t state the precision of the instrument/)).toBeVisible();
  await page.getByRole('button', { name: 'Import sights' }).click();
  await expect(page).toHaveURL(/\/station$/);
  await stored(page);
});

import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import {
  enter,
  expect,
  hurry,
  newPackage,
  noSeriousFault,
  place,
  prove,
  setMark,
  stored,
  test,
  walkNear,
} from './site.ts';
import { pdfPieces, textOf } from './pdfText.ts';

test.use({ ownSite: 'structures' });

const FORECOURT = new URL('../../demo/ternhaven/forecourt.xml', import.meta.url);
const HALL = new URL('../../demo/ternhaven/ticket-hall.dxf', import.meta.url);

const atThePole = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'What is done at the pole' }).getByRole('link', { name, exact: true });

/** Lines are named with their grid where there are several. */
async function lineLabel(page: Page, line: string): Promise<string> {
  const lines = page.getByLabel('Line', { exact: true });
  await expect(lines).toBeVisible();
  const named = `Ticket hall ${line}`;
  return (await lines.getByRole('option', { name: named, exact: true }).count()) > 0 ? named : line;
}

async function search(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Search(?! or run)/ }).click();
}

test('bolts: a group is drawn, its centre line set, and what was cast measured and reported', async ({ page }) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Work').click();
  await newPackage(page, 'Kiosk bases', 'Steel', 'KB');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Tolerance class').selectOption('kerb');
  await dialog.getByLabel('Offset').fill('1');
  await dialog.getByLabel('Outline name').fill('Bases');
  await dialog.getByLabel('Hub layout').selectOption('bolts');
  await dialog.getByLabel('Pattern azimuth').fill('30');
  await dialog.getByLabel('Spacing along pattern').fill('0.4');
  await dialog.getByLabel('Spacing across pattern').fill('0.3');
  await dialog.getByLabel('Design elevation').fill('5.6');
  await dialog.getByLabel(/^Centers of the groups/).fill('K1, 4196, 8092');
  await expect(dialog.getByText('8 marks')).toBeVisible();
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Make package' }).click();
  const bases = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Kiosk bases' }) });
  await bases.getByRole('button', { name: 'Details of Kiosk bases' }).click();
  await expect(bases.getByText(/1 group of bolts, center/)).toBeVisible();

  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Kiosk bases' });
  await setMark(page);
  await atThePole(page, 'As-built').click();
  await page.getByLabel('Compare with').selectOption({ label: 'Kiosk bases' });
  await page.getByRole('button', { name: 'bolt', exact: true }).click();
  for (const bolt of ['K1.1', 'K1.2', 'K1.3', 'K1.4']) {
    await page.getByRole('button', { name: `Measure ${bolt}` }).click();
    await expect(page.getByRole('button', { name: `Withdraw ${bolt}` })).toBeVisible({ timeout: 60_000 });
  }
  await expect(page.getByRole('heading', { name: 'Bolt group K1: Group in tolerance' })).toBeVisible();
  await expect(page.getByText(/4 of 4 measured/)).toBeVisible();
  // The bearing that was cast this morning has a bolt that is bent.
  await expect(page.getByRole('heading', { name: /Bolt group GB: GB\.6 is out of the pattern/ })).toBeVisible();
  await noSeriousFault(page);

  // Any point, with the code that is up, and its distance to another.
  await page.getByLabel('Compare with').selectOption('free');
  await page.getByLabel('Name', { exact: true }).fill('cover 1');
  await page.getByRole('button', { name: 'Measure cover 1' }).click();
  await expect(page.getByRole('button', { name: 'Withdraw cover 1' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('cover 2');
  await stored(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'As PDF' }).click(),
  ]);
  const text = textOf(await pdfPieces(await download.path()));
  expect(text).toContain('Group K1, Kiosk bases');
  expect(text).toMatch(/GB\.6 is out of the pattern by \d mm/);
  expect(text).toMatch(/Column A-3: twisted/);
});

test('a design surface: pegs get its heights, the ground is read against it, and an arc is read along and off', async ({
  page,
}) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Import drawing…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(/^A DXF drawing/).setInputFiles(fileURLToPath(FORECOURT));
  await expect(dialog.getByText(/^22 elements on 1 layer, in meters/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Import drawing' }).click();
  await expect(dialog).toBeHidden();

  await newPackage(page, 'Forecourt pegs', 'Paving', 'FC');
  await dialog.getByLabel('Tolerance class').selectOption('kerb');
  await dialog.getByLabel('Outline name').fill('Paving');
  await dialog.getByLabel('Hub layout').selectOption('points');
  await dialog.getByLabel('Elevation source').selectOption({ label: 'Forecourt grade, of forecourt' });
  await dialog.getByLabel(/^Points to mark/).fill('1, 4200, 8088\n2, 4192, 8092\n3, 4204, 8096');
  await expect(dialog.getByText('5.540 to 5.560 m at these places.')).toBeVisible();
  await expect(dialog.getByText('No elevation at 2: off the surface.')).toBeVisible();
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Make package' }).click();
  await expect(dialog).toBeHidden();

  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Forecourt pegs' });
  await page.getByRole('button', { name: 'FC-1', exact: true }).click();
  expect(await setMark(page)).toBe('FC-1');
  await expect(page.getByText(/^(CUT|FILL) 0\.\d{3} m to design surface$/).first()).toBeVisible();

  await atThePole(page, 'As-built').click();
  await page.getByLabel('Compare with').selectOption({ label: 'surface Forecourt grade, of forecourt' });
  await expect(page.getByTestId('over-surface')).toHaveText(
    /^0\.\d{3} m (above|below) Forecourt grade: (CUT|FILL) 0\.\d{3}/,
  );
  await page.getByLabel('Name', { exact: true }).fill('spot 1');
  await page.getByRole('button', { name: 'Measure spot 1' }).click();
  await expect(page.getByRole('button', { name: 'Withdraw spot 1' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('row', { name: /^spot 1 .*(above|below) Forecourt grade: (CUT|FILL)/ })).toBeVisible();
  await noSeriousFault(page);

  await atThePole(page, 'Reference line').click();
  await page.getByLabel('Line', { exact: true }).selectOption({ label: 'between two points' });
  await page.getByLabel('From', { exact: true }).selectOption({ label: 'K3' });
  await page.getByLabel('To', { exact: true }).selectOption({ label: 'FC-1' });
  await page.getByLabel('Shape').selectOption('right');
  await page.getByLabel('Radius').fill('60');
  await expect(page.getByText(/^Arc K3–FC-1, starting \S+ and turning right, \d+\.\d{3} m long/)).toBeVisible();
  await expect(page.getByTestId('off-line')).toHaveText(/^\d+\.\d+ m |On the line/);
  await page.getByRole('button', { name: /^Measure L\d+/ }).click();
  await expect(page.getByRole('row', { name: /arc K3–FC-1/ })).toBeVisible({ timeout: 60_000 });
  await noSeriousFault(page);
});

test('leaning piles are set where they come through the ground that is there', async ({ page }) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Gangway piles' });
  await page.getByRole('button', { name: 'GP-1', exact: true }).click();
  await expect(page.getByText(/Rake 5:1 \(V:H\), toe to the north/)).toBeVisible();
  expect(await setMark(page)).toBe('GP-1');
  await expect(page.getByText(/position shifted \d+ mm (away from|toward) the toe/)).toBeVisible();
  await noSeriousFault(page);
});

test('blocked here: what stands there is said, and the hub goes to another offset on its line', async ({ page }) => {
  await enter(page);
  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Gangway piles' });
  await page.getByRole('button', { name: 'GP-12 N', exact: true }).click();
  await expect(page.getByText(/^Offset hub, 2\.000 m/)).toBeVisible();
  // The way there on the plan, before one walks.
  await page.getByRole('button', { name: /^Plan/ }).click();
  await expect(page.getByRole('img', { name: /^Plan with the route from \S+ to GP-12 N/ })).toBeVisible();
  await noSeriousFault(page);
  await page.getByRole('button', { name: /^Axes view/ }).click();
  await page.getByRole('button', { name: /^Blocked…/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: /^3\.000 m off/ }).click();
  await expect(dialog.getByText('Enter what is in the way, so that the next person knows.')).toBeVisible();
  await dialog.getByLabel('Obstruction').fill('Stack of sheet piles');
  await dialog.getByRole('button', { name: /^3\.000 m off/ }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText(/^Offset hub, 3\.000 m/)).toBeVisible();
  await stored(page);
  await place(page, 'Field book').click();
  await expect(page.getByText(/GP-12 N blocked: Stack of sheet piles/)).toBeVisible();
});

test('corners are painted themselves before their hubs, from the same package', async ({ page }) => {
  await enter(page);
  await hurry(page);
  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Ticket hall hubs' });
  const heading = page.getByRole('heading', { name: /^Ticket hall hubs ·/ });
  await page.getByLabel('Staking method').selectOption({ label: 'Paint the corners themselves first, then hubs' });
  const first = (await heading.innerText()).match(/· (\S+)/)![1]!;
  await expect(page.getByText(/^On \S+ itself, /)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Blocked…/ })).toBeHidden();
  await walkNear(page);
  await page
    .getByRole('button', { name: /^Shoot/ })
    .last()
    .click();
  // Nothing is driven here: the corner is painted, and the next one is gone to.
  await page.getByRole('button', { name: /^Rough mark/ }).click();
  await expect(heading).not.toContainText(`· ${first} `);
  await expect(page.getByText(/^On \S+ itself, /)).toBeVisible();
  await expect(page.getByRole('table').getByRole('button', { name: first, exact: true })).toBeHidden();
  // Hubs wait behind the corners, as they were.
  await page.getByLabel('Staking method').selectOption({ label: 'walk and follow the figures' });
  await expect(page.getByText(/^Offset hub, /)).toBeVisible();

  // A point put in measurements where one stands: compared with what is listed, and gone to, with no package made first.
  await page.getByRole('button', { name: 'Point by measurements…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Point by measurements' });
  await dialog.getByLabel('Method').selectOption('direction');
  await dialog.getByLabel('From point').selectOption('control K2');
  await dialog.getByLabel('Azimuth', { exact: true }).fill('0');
  await dialog.getByLabel('Horizontal distance').fill('0.3');
  await dialog.getByLabel('Elevation', { exact: true }).selectOption('difference');
  await dialog.getByRole('textbox', { name: 'Difference in elevation' }).fill('0.25');
  await expect(dialog.getByTestId('compared')).toHaveText('K2 as listed is 0.300 m to the south, 0.250 m lower.');
  await dialog.getByLabel('Point name').fill('Post');
  await dialog.getByRole('button', { name: 'Stake it out' }).click();
  await expect(page.getByRole('heading', { name: /· SP-Post/ })).toBeVisible();
  await expect(page.getByText('On Post itself, center')).toBeVisible();
  await stored(page);
});

test('a row of columns: both edges, the width, what to write; and a line read live, with another at once', async ({
  page,
}) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Mark').click();
  await atThePole(page, 'Columns').click();
  // Another test may have drawn a grid too.
  const grid = page.getByLabel('Grid', { exact: true });
  await expect(page.getByLabel('Grid line', { exact: true })).toBeVisible();
  if (await grid.isVisible()) await grid.selectOption({ label: 'Ticket hall' });
  // As it was measured in the morning: one is twisted, one off its line, one leans.
  await page.getByRole('button', { name: 'A-3', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Column A-3: twisted' })).toBeVisible();
  await expect(
    page.getByText(/It is twisted by \d\.\d\d°: the edge to the north stands \d+ mm farther east/),
  ).toBeVisible();
  await noSeriousFault(page);
  await page.getByLabel('Grid line', { exact: true }).selectOption('B');
  await expect(page.getByRole('heading', { name: /^Column B-1/ })).toBeVisible();
  await page.getByLabel('Shots, averaged').selectOption('1');
  await page.getByRole('button', { name: /^Shoot the south edge/ }).click();
  await expect(page.getByText('Shoot the other edge too: a single edge can’t show a twist.')).toBeVisible({
    timeout: 60_000,
  });
  await page.getByLabel('Column width across line').fill('0.3');
  await page.getByRole('button', { name: /^Shoot the north edge/ }).click();
  await expect(page.getByRole('heading', { name: /^Column B-1 is in tolerance|^Column B-1: / })).toBeVisible({
    timeout: 60_000,
  });
  await expect(page.getByText(/^face 0\.1\d\d to line B$/)).toBeVisible();
  await expect(page.getByText('1 of 5 done')).toBeVisible();

  await atThePole(page, 'Reference line').click();
  await page.getByLabel('Line', { exact: true }).selectOption({ label: await lineLabel(page, 'B') });
  await page.getByLabel('Second line').selectOption({ label: await lineLabel(page, '2') });
  await search(page);
  await expect(page.getByTestId('off-line')).toHaveText(
    /^\d+\.\d{3} m (left|right) \(\w+\) of line (Ticket hall )?B$|^On the line$/,
    { timeout: 60_000 },
  );
  await expect(page.getByTestId('off-second')).toHaveText(/line (Ticket hall )?2$/);
  const before = await page.getByTestId('off-line').innerText();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('off-line')).not.toHaveText(before);
  await page.getByLabel('Start elevation').fill('5.5');
  await expect(page.getByTestId('along-line')).toHaveText(/(high|low|on design elevation) from the line/);
  // A place that is touched on the plan is what is gone to, along and off the line, and staked from there.
  const plan = page.getByRole('img', { name: /^Plan with the chosen line/ });
  const { width, height } = (await plan.boundingBox())!;
  await plan.click({ position: { x: width * 0.42, y: height * 0.4 } });
  await expect(page.getByLabel('Go to: distance along (m)')).toHaveValue(/^\d+(\.\d+)?$/);
  await expect(page.getByLabel('Go to: offset (m)')).toHaveValue(/^\d+(\.\d+)?$/);
  await expect(page.getByText(/^(Walk|Move): .* along the line/)).toBeVisible();
  // A pole that is still on its way is refused; it is held, and shot again.
  await expect(async () => {
    await page.getByRole('button', { name: /^Measure L\d+/ }).click();
    await expect(page.getByRole('cell', { name: /^L\d+ line (Ticket hall )?B$/ }).first()).toBeVisible({
      timeout: 10_000,
    });
  }).toPass({ timeout: 60_000 });
  await noSeriousFault(page);
});

test('the hall from its drawing: a heap avoided, a hub set and proved; then a newer drawing moves a wall', async ({
  page,
}) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Work').click();
  await newPackage(page, 'Hall cladding', 'Cladding', 'HC');
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Offset').fill('1.5');
  await dialog.getByRole('button', { name: 'In drawing Ticket hall…' }).click();
  await dialog.getByRole('button', { name: /outline on WALL-OUTSIDE: 6 corners$/ }).click();
  await dialog.getByLabel('Outline name').fill('Cladding line');
  await dialog.getByLabel('Design elevation').fill('6.25');
  await expect(dialog.getByText('11 marks')).toBeVisible();
  await dialog.getByRole('button', { name: 'Make package' }).click();
  const work = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Hall cladding' }) });
  await work.getByRole('button', { name: 'Details of Hall cladding' }).click();
  const cell = work.getByRole('row', { name: /^HC-D1 S/ }).getByRole('cell');
  const [east, north] = [1, 2].map((i) =>
    cell
      .nth(i)
      .innerText()
      .then((text) => Number(text.replace(/\s/g, ''))),
  );
  const [e, n] = [await east!, await north!];
  await page.getByRole('button', { name: 'Add keep-out area…' }).click();
  await dialog.getByLabel('Name').fill('Heap at D1');
  await dialog.getByLabel(/Corners in order/).fill(
    [
      [-0.6, -0.6],
      [0.6, -0.6],
      [0.6, 0.4],
      [-0.6, 0.4],
    ]
      .map(([de, dn], i) => `${i + 1}, ${(e + de!).toFixed(2)}, ${(n + dn!).toFixed(2)}`)
      .join('\n'),
  );
  await dialog.getByRole('button', { name: 'Save area' }).click();
  await work.getByRole('button', { name: 'Clear obstructions…' }).click();
  await expect(dialog.getByRole('row', { name: /^HC-D1 S/ })).toContainText('Heap at D1');
  await dialog.getByRole('button', { name: 'Use these offsets' }).click();
  await expect(dialog).toBeHidden();

  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Hall cladding' });
  await page.getByRole('button', { name: 'HC-D1 E', exact: true }).click();
  expect(await setMark(page)).toBe('HC-D1 E');
  await prove(page, 'P2');
  await place(page, 'Mark').click();
  await expect(page.getByRole('row', { name: /HC-D1 E/ })).toContainText('verified');

  // A newer drawing: the wall at corner D1 stands 30 mm farther east.
  const [, layer] = /WALL-OUTSIDE[\s\S]*?(10\r?\n[\s\S]*)/.exec(readFileSync(HALL, 'utf8'))!;
  const corners = [...layer!.matchAll(/^\s*10\r?\n\s*([\d.]+)\r?\n\s*20\r?\n\s*([\d.]+)/gm)].map((found) => found[1]!);
  const text = readFileSync(HALL, 'utf8').replace(corners[1]!, (Number(corners[1]) + 0.03).toFixed(4));
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Replace Ticket hall', exact: true }).click();
  await dialog
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'ticket-hall-b.dxf', mimeType: 'application/dxf', buffer: Buffer.from(text) });
  await expect(dialog.getByText('1 corner moved, by up to 30 mm')).toBeVisible();
  await expect(dialog.getByText(/Hall cladding: 1 of its corners moved, by up to 30 mm/)).toBeVisible();
  await expect(dialog.getByText(/affected: .*HC-D1 E by \d+ mm/)).toBeVisible();
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Save as new revision' }).click();
  await expect(page.getByText(/Drawing Ticket hall: .*a later revision/)).toBeVisible();
  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Hall cladding' });
  await expect(page.getByRole('row', { name: /HC-D1 E/ })).toContainText('from an earlier revision');
  await stored(page);
});

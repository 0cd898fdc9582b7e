import type { Page } from '@playwright/test';
import { enter, expect, hurry, newPackage, noSeriousFault, place, setMark, stored, test } from './site.ts';

test.use({ ownSite: 'receiver' });

const card = (page: Page, title: string | RegExp) => page.getByRole('heading', { level: 3, name: title });

/** The instrument for heights alone, with one benchmark. */
async function heightsAlone(page: Page): Promise<void> {
  await place(page, 'Station').click();
  await page.getByRole('button', { name: 'New setup…' }).click();
  await page.getByLabel('Station method').selectOption('heightOnly');
  const stands = page.getByRole('region', { name: 'Setup positions' });
  await stands.getByLabel('Work to cover').selectOption({ label: 'along Landing Road' });
  await expect(stands.getByText(/sees two benchmarks|sees three benchmarks|sees \w+ benchmarks/).first()).toBeVisible();
  await stands.getByRole('button', { name: 'Set up here' }).first().click();
  await expect(stands.getByRole('button', { name: 'Chosen' })).toBeVisible();
  await page.getByLabel(/^Air temperature/).fill('18');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  await page.getByRole('button', { name: 'Sight BM1', exact: true }).first().click();
  await expect(card(page, 'One benchmark: nothing checks it')).toBeVisible({ timeout: 60_000 });
}

async function pair(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Set up receiver and prism…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Receiver name or serial no.').fill('Receiver 7');
  await dialog.getByLabel('Receiver offset above prism').fill('0.120');
  const antenna = dialog.getByLabel('Antenna height in receiver');
  // The target height went into the receiver: the offset is forgotten.
  await antenna.fill('1.500');
  await expect(dialog.getByText(/120 mm too small for the target height/)).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Use this combination' })).toBeDisabled();
  await antenna.fill('1.620');
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Use this combination' }).click();
}

test('plan from a receiver, heights from the instrument: begun in order, proved apart, and nothing kept without lock, corrections, or one pole for both', async ({
  page,
}) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Work').click();
  const dialog = await newPackage(page, 'Topsoil strip', 'Diggers', 'TS');
  await dialog.getByLabel('Tolerance class').selectOption('earthworks');
  await dialog.getByLabel('Outline name').fill('Strip');
  await dialog.getByLabel('Hub layout').selectOption('points');
  await dialog.getByLabel(/^Points to mark/).fill('1, 4120.00, 8090.00\n2, 4064.00, 8075.50');
  await dialog.getByLabel('Design elevation').fill('5.10');
  await dialog.getByRole('button', { name: 'Make package' }).click();
  await heightsAlone(page);

  // The station has no place: marks lead to the receiver, and so does proving.
  await place(page, 'Mark').click();
  await expect(page.getByRole('heading', { name: /gives elevations only$/ })).toBeVisible();
  await page.getByRole('link', { name: 'Mark with GNSS plan' }).click();
  const begin = page.getByRole('region', { name: 'Before you start' });
  await expect(begin.getByRole('button', { name: 'Start with one benchmark' })).toBeDisabled();
  await pair(page);
  await page.getByRole('button', { name: 'Turn receiver on' }).click();
  const plan = page.getByRole('group', { name: 'Plan from the receiver' });
  const height = page.getByRole('group', { name: 'Elevation from the instrument' });
  await expect(plan).toContainText(/fixed, corrections [\d.]+ s old, tilt compensation ON/, { timeout: 30_000 });
  await begin.getByRole('button', { name: 'Start with one benchmark' }).click();
  await expect(card(page, 'Switch tilt compensation off')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Shoot/ })).toBeDisabled();
  await page.getByLabel('Tilt compensation').uncheck();
  await expect(plan).toContainText(/leans [\d.]+°/);
  await expect(plan).toContainText(/± \d+ mm/);
  await expect(height).toContainText(/± \d+ mm/);
  await expect(page.getByText(/^The receiver reads \d+ mm (above|below) the instrument; up to \d+ mm/)).toBeVisible();

  // Both are asked for, and proved apart on marks that are known.
  await expect(card(page, 'Plan not checked yet')).toBeVisible();
  await expect(card(page, 'One benchmark: nothing checks the elevation')).toBeVisible();
  await expect(page.getByRole('contentinfo', { name: 'Instrument and station' })).toContainText('Plan unchecked');
  await page.getByRole('button', { name: 'Prove on K2' }).click();
  await expect(
    page.getByText(/^K2 measures \d+ mm off in plan by the receiver .* listed elevation by the instrument/),
  ).toBeVisible({ timeout: 60_000 });
  await expect(card(page, 'Plan not checked yet')).toBeHidden();
  await expect(card(page, 'One benchmark: nothing checks the elevation')).toBeHidden();
  await noSeriousFault(page);

  // One is set: it hangs on both.
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Topsoil strip' });
  await page.getByRole('button', { name: 'TS-1', exact: true }).click();
  expect(await setMark(page)).toBe('TS-1');
  await expect(page.getByText(/GNSS plan, elevation from BM1/)).toBeVisible();
  await expect(page.getByRole('contentinfo', { name: 'Instrument and station' })).toContainText('Plan check due');

  const book = place(page, 'Field book');
  const facts = async () => Number((await book.innerText()).match(/\d+/)![0]);

  // Behind the cabins the instrument loses the prism: the height goes, and the receiver’s is not put in its place.
  await page.getByRole('button', { name: 'TS-2', exact: true }).click();
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await expect(height).toContainText('tracking prism');
  const before = await facts();
  await page.getByRole('button', { name: 'Walk to point' }).click();
  await expect(height).toContainText('– Lock lost: no elevation', { timeout: 30_000 });
  await expect(card(page, 'Lock lost: no elevation')).toBeVisible();
  await expect(plan).toContainText(/E 4.06[34]\.\d{2}N/);
  await expect(page.getByText(/^The receiver reads/)).toBeHidden();
  await page
    .getByRole('button', { name: /^Shoot/ })
    .last()
    .click();
  await expect(page.getByText('The site cabins hides the prism from the instrument.')).toBeVisible({ timeout: 30_000 });
  expect(await facts()).toBe(before);
  await page.getByRole('button', { name: 'Close' }).click();
  await noSeriousFault(page);

  // In sight again, it is searched for, and the height is back.
  await page.getByRole('button', { name: 'TS-1', exact: true }).click();
  await page.getByRole('button', { name: 'Walk to point' }).click();
  await expect(page.getByText('Walking…')).toBeHidden({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Search', exact: true }).click();
  await expect(height).toContainText(/\d\.\d{2,3}.*tracking prism/, { timeout: 30_000 });

  // Along a road the ground is kept as well, told as what it is: both sources stay in sight, no finer than they are.
  const atThePole = (name: string) =>
    page.getByRole('navigation', { name: 'What is done at the pole' }).getByRole('link', { name, exact: true });
  await atThePole('Road').click();
  await expect(plan).toContainText(/± \d+ mm/);
  await expect(height).toContainText('tracking prism');
  await expect(page.getByTestId('road-where')).toContainText(/\d\.\d{2} m (left|right)/);
  await page.getByText('Measure on alignment').click();
  await page.getByRole('button', { name: 'Shoot G1 here' }).click();
  await expect(page.getByRole('row', { name: /G1 ground.*plan by receiver/ })).toBeVisible({ timeout: 60_000 });
  await atThePole('GNSS').click();

  // Without corrections the fix is of yesterday.
  await page.getByLabel('Corrections received').uncheck();
  await expect(card(page, /^Corrections are \d+ s old$/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('button', { name: /^(Shoot|Shoot hub)/ }).last()).toBeDisabled();
  await expect(plan).toContainText(/not fixed|no corrections/, { timeout: 30_000 });
  await page.getByLabel('Corrections received').check();
  await expect(plan).toContainText('fixed, corrections 0', { timeout: 30_000 });

  // A section is put into the pole, and only the target height follows.
  await page.getByRole('button', { name: /^(Connected|Not connected)/ }).click();
  await page.getByLabel(/^(Target height|Pole reading)/).fill('1.700');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(card(page, 'Antenna height and target height don’t belong together')).toBeVisible();
  await page.getByRole('button', { name: 'Enter both again…' }).click();
  const again = page.getByRole('dialog');
  await again.getByLabel('Antenna height in receiver').fill('1.820');
  await again.getByRole('button', { name: 'Use this combination' }).click();
  await expect(card(page, 'Antenna height and target height don’t belong together')).toBeHidden();

  // The field book tells what was read by which.
  await book.click();
  await expect(page.getByText(/G1 \(ground\).*, plan by receiver/)).toBeVisible();
  await expect(page.getByText(/plan from receiver Receiver 7 .*antenna 1\.820/)).toBeVisible();
  await expect(page.getByText(/receiver at K2, E [^,]+.*fixed, corrections/)).toBeVisible();
  await stored(page);
});

import type { Page } from '@playwright/test';
import { accept, enter, expect, hurry, newStation, place, prove, sight, stored, test } from './site.ts';

test.use({ ownSite: 'methods' });

const card = (page: Page, title: string | RegExp) => page.getByRole('heading', { level: 3, name: title });
const METHOD = 'Station method';

/** Opens the page of a new station and chooses how it will be found. */
async function placing(page: Page, method: string): Promise<void> {
  await place(page, 'Station').click();
  await page.getByRole('button', { name: 'New setup…' }).click();
  await page.getByLabel(METHOD).selectOption(method);
  await page.getByLabel(/^Air temperature/).fill('18');
}

async function sightOf(page: Page, what: string): Promise<void> {
  await page
    .getByRole('button', { name: `Sight ${what}`, exact: true })
    .first()
    .click();
  // Its row is there once it is taken: benchmark, line or mark.
  await expect(page.getByRole('row', { name: new RegExp(`^${what}\\b`) }).first()).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: 'Cancel' })).toBeHidden({ timeout: 30_000 });
}

test('heights alone: one benchmark checks nothing, two do, and every spot gets its height', async ({ page }) => {
  await enter(page);
  await hurry(page);
  await placing(page, 'heightOnly');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  await expect(page.getByText('Elevation only', { exact: true })).toBeVisible();
  await sightOf(page, 'BM1');
  await expect(card(page, 'One benchmark: nothing checks it')).toBeVisible();
  await sightOf(page, 'K2');
  await expect(card(page, '2 benchmarks agree')).toBeVisible();
  await page.getByLabel('Point measured').fill('footing, north-east');
  await page.getByRole('button', { name: /^Measure elevation of footing/ }).click();
  const heights = page.getByRole('region', { name: 'Elevations measured from here' });
  await expect(heights.getByRole('row', { name: /^footing, north-east/ })).toBeVisible({ timeout: 60_000 });
  await heights.getByRole('button', { name: 'Withdraw footing, north-east' }).click();
  await expect(heights.getByRole('table')).toBeHidden();
  await page.getByRole('button', { name: 'used' }).first().click();
  await expect(card(page, 'One benchmark: nothing checks it')).toBeVisible();
});

test('leapfrog: a mark of one’s own forward, the ground behind, and both errors go along', async ({ page }) => {
  await enter(page);
  await hurry(page);
  await newStation(page);
  for (const mark of ['K1', 'K2', 'K3', 'K7', 'K8']) await sight(page, mark);
  await accept(page);
  const station = (await page.getByRole('heading', { level: 1 }).innerText()).match(/Station (\S+)/)![1]!;
  await prove(page, 'P1');
  await place(page, 'Station').click();
  await page.getByRole('button', { name: 'Mark point under instrument…' }).click();
  await expect(page.getByText(`The ground under it is listed as ${station}`)).toBeVisible();
  await page.getByRole('button', { name: 'Add secondary control…' }).click();
  const dialog = page.getByRole('dialog');
  const name = await dialog.getByLabel('Name', { exact: true }).inputValue();
  await dialog.getByRole('button', { name: /^Measure mark/ }).click();
  await expect(card(page, `${name} is listed`)).toBeVisible({ timeout: 90_000 });
  await dialog.getByRole('button', { name: 'Done' }).click();

  await page.getByRole('button', { name: 'New setup…' }).click();
  await page.getByLabel(METHOD).selectOption('overMark');
  await page.getByLabel('Station mark').selectOption({ label: name });
  await page.getByLabel(/^Air temperature/).fill('18');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  // Where it came from is what is looked back to first.
  await sightOf(page, station);
  await expect(card(page, `Carried forward from ${station}`)).toBeVisible();
  // Carried forward it is good to 6 mm at best: at the far end of the site no building grid is set from it.
  await page.getByLabel('Check against class').selectOption('earthworks');
  await page.getByRole('button', { name: 'Accept or reject…' }).click();
  await page.getByRole('dialog').getByLabel('Reason').fill('the front can’t be seen from any control');
  await page.getByRole('button', { name: 'Accept as provisional' }).click();
  // Nothing but one look back checks it: the proof comes at once.
  await expect(page.getByRole('heading', { name: /^Prove .*so far$/ })).toBeVisible();
  await place(page, 'Station').click();
  await expect(page.getByText(`over ${name}, carried forward from the station before`)).toBeVisible();
  await prove(page, 'K3');
  await expect(card(page, 'Station proven')).toBeVisible();
  await stored(page);
});

test('on drawn lines, and with a typed direction', async ({ page }) => {
  await enter(page);
  await hurry(page);
  await placing(page, 'onLines');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  const lines = page.getByRole('button', { name: /^Sight Ticket hall/ });
  await expect(lines.first()).toBeVisible();
  const names = (
    await lines.evaluateAll((buttons) =>
      buttons.map((button) => button.getAttribute('aria-label')!.replace('Sight ', '')),
    )
  ).slice(0, 4);
  for (const name of names) await sightOf(page, name);
  await expect(card(page, 'Points on lines')).toBeVisible();
  await expect(page.getByText('No elevation yet')).toBeVisible();
  await page.getByRole('button', { name: `Withdraw the sight to ${names[3]}` }).click();
  // Three lines alone often fit two places: a touch on the plan says which.
  await expect(page.getByText(/two places fit these lines equally well/)).toBeVisible();
  await page.locator('canvas').first().click();
  await expect(card(page, 'Computed, but not checked')).toBeVisible();

  await placing(page, 'overMark');
  await page.getByLabel('Station mark').selectOption({ label: 'K2' });
  await page.getByText('No backsight: assumed direction').click();
  await page.getByLabel('Sighted object').fill('corner of the shed');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  await expect(card(page, 'The direction is assumed')).toBeVisible();
  await page.getByRole('button', { name: 'Accept or reject…' }).click();
  await expect(page.getByRole('dialog').getByText(/marks used, the class asks for/)).toBeVisible();
});

/**
 * A site of one’s own for three trades, in US feet, on the ground of a practice site: a pool beside a house, a deck of
 * inserts, a kerb with a driveway and an angle. Every press that a hand makes is counted.
 */
import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
  accept,
  expect,
  hurry,
  newPackage,
  noSeriousFault,
  place,
  prove,
  setMark,
  sight,
  stored,
  test,
} from './site.ts';

test.use({ ownSite: 'trades' });

const CONTROL = new URL('../../demo/cobbleford/control.csv', import.meta.url);

/** Counts buttons pressed and keys that are no typing, from now on. */
async function counting(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counter = window as unknown as { presses: number };
    counter.presses = 0;
    const isTyping = (target: EventTarget | null) =>
      target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
    document.addEventListener('pointerdown', () => counter.presses++, true);
    document.addEventListener('keydown', (event) => isTyping(event.target) || counter.presses++, true);
  });
  return () => page.evaluate(() => (window as unknown as { presses: number }).presses);
}

const corners = (rows: readonly (readonly [string, number, number])[]) =>
  rows.map(([name, n, e]) => `${name}, ${n}, ${e}`).join('\n');

test('a pool, a deck and a kerb on a site of one’s own, each in as few presses as by hand', async ({ page }) => {
  test.setTimeout(180_000);
  await page.goto('/');
  await page.getByRole('button', { name: 'Add site…' }).click();
  await page.getByLabel('Site name').fill('Quarry House');
  await page.getByLabel('Your name').fill('Ines Brandt');
  await page.getByRole('radio', { name: 'US feet' }).click();
  await page.getByRole('button', { name: 'Continue' }).click();
  await page.getByRole('button', { name: 'Change Instrument connection' }).click();
  await page.getByLabel('Instrument connection').selectOption('cobbleford');
  await page.getByRole('button', { name: 'Create site' }).click();
  await page.getByRole('button', { name: 'Import…' }).click();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'control.csv', mimeType: 'text/csv', buffer: readFileSync(CONTROL) });
  await page.getByRole('button', { name: 'Import marks' }).click();
  await expect(page.getByRole('button', { name: 'About Q1' })).toBeVisible();
  await hurry(page);
  await place(page, 'Work').click();
  const dialog = page.getByRole('dialog');

  // The pool lies three feet from the house, and the work asks for five: that is told, and a reason is wanted.
  await page.getByRole('button', { name: 'Add keep-out area…' }).click();
  await dialog.getByLabel('Name').fill('House');
  await dialog.getByLabel('Type', { exact: true }).selectOption('building');
  await dialog.getByLabel(/Corners in order/).fill(
    corners([
      ['1', 5200, 10150],
      ['2', 5230, 10150],
      ['3', 5230, 10190],
      ['4', 5200, 10190],
    ]),
  );
  await dialog.getByRole('button', { name: 'Save area' }).click();
  const pool = await newPackage(page, 'Pool', 'Diggers', 'PO');
  await pool.getByLabel('Outline name').fill('Pool shell');
  await pool.getByLabel('Offset (US ft)').fill('5');
  await pool.getByLabel('Least clearance').fill('5');
  await pool.getByLabel('Design elevation').fill('411');
  await pool.getByLabel(/^Corners in order/).fill(
    corners([
      ['1', 5177, 10150],
      ['2', 5197, 10150],
      ['3', 5197, 10190],
      ['4', 5177, 10190],
    ]),
  );
  await expect(pool.getByText(/3\.000 US ft.*House/).first()).toBeVisible();
  await noSeriousFault(page);
  await pool.getByRole('button', { name: 'Make package' }).click();
  await expect(dialog).toBeHidden();

  // 24 inserts of the deck, painted: nothing is driven.
  const deck = await newPackage(page, 'Deck inserts', 'Deck', 'DK');
  await deck.getByLabel('Outline name').fill('Inserts');
  await deck.getByLabel('Hub layout').selectOption('points');
  await deck.getByLabel('Mark type').selectOption('paintCross');
  await deck
    .getByLabel(/^Points to mark/)
    .fill(
      corners(Array.from({ length: 24 }, (_, i) => [`${i + 1}`, 5130 + 2 * (i % 6), 10130 + 2 * Math.floor(i / 6)])),
    );
  await deck.getByLabel('Design elevation').fill('411.5');
  await deck.getByRole('button', { name: 'Make package' }).click();
  await expect(dialog).toBeHidden();

  // A kerb that turns by an angle, let down for a driveway.
  await page.getByRole('button', { name: 'Add road…' }).click();
  const typed = page.getByRole('dialog', { name: 'New alignment' });
  await typed.getByLabel('Name', { exact: true }).fill('House drive');
  const points = typed.getByRole('table', { name: 'Intersection points' });
  for (const [i, n, e] of [
    [1, 5130, 10060],
    [2, 5130, 10120],
    [3, 5160, 10180],
  ] as const) {
    await points.getByLabel(`Northing, row ${i}`).fill(String(n));
    await points.getByLabel(`Easting, row ${i}`).fill(String(e));
  }
  const profile = typed.getByRole('region', { name: 'Profile' });
  await profile.getByLabel('Station, row 1').evaluate((element) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', '0+00\t411\n1+20\t412.2');
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  const strings = typed.getByRole('region', { name: 'Cross-section lines and curbs' });
  await strings.getByRole('button', { name: 'As text' }).click();
  await strings
    .getByLabel('Cross-section lines and curbs, as text')
    .fill(
      'edge; right 9; falls 2\nright curb; kerb on edge; face 0.1; top 0.5, 0.5 @ 0+20, 0.08 @ 0+26, 0.08 @ 0+38, 0.5 @ 0+44; back 0.5',
    );
  await strings.getByRole('button', { name: 'As a table' }).click();
  await typed.getByRole('button', { name: 'Save alignment' }).click();
  await expect(typed).toBeHidden();

  // Station and proof.
  await place(page, 'Station').click();
  await page.getByLabel(/^Air temperature/).fill('64');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  for (const mark of ['C1', 'C2', 'C3', 'C5', 'C6']) await sight(page, mark);
  await accept(page);
  await prove(page, 'Q1');

  // The deck: one key each, after the way of working is chosen once.
  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Deck inserts' });
  await page
    .getByLabel('Staking method')
    .selectOption({ label: 'One key: shoot, keep if inside, go on (painted or drilled marks)' });
  await page.getByRole('button', { name: 'Walk to point' }).click();
  await expect(page.getByText('Walking…')).toBeHidden({ timeout: 60_000 });
  const deckPresses = await counting(page);
  const done = page.getByRole('cell', { name: /^confirmed/ });
  const turn = page.getByRole('heading', { name: /^Deck inserts · DK-/ });
  for (let kept = 0; kept < 24; kept++) {
    const before = (await turn.textContent())!;
    await page.keyboard.press(' ');
    await expect(page.getByText(/^DK-\d+ kept: /)).toBeVisible({ timeout: 30_000 });
    await expect(done).toHaveCount(kept + 1, { timeout: 30_000 });
    // A press before the next one has its turn is taken for a second press at once.
    if (kept < 23) await expect(turn).not.toHaveText(before, { timeout: 30_000 });
    await expect(page.getByText('Walking…')).toBeHidden({ timeout: 30_000 });
  }
  await expect(done).toHaveCount(24);
  expect(await deckPresses()).toBeLessThanOrEqual(26);

  // The pool: a hub stands five feet off, and its stake says so; the corner nearest the house warns.
  await page.getByLabel('Staking method').selectOption({ label: 'walk and follow the figures' });
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Pool' });
  await expect(page.getByText(/^Offset hub, 5\.000 US ft/)).toBeVisible();

  // The kerb: from its own page in three choices; the driveway and the angle are stations of their own.
  await page.getByRole('navigation', { name: 'What is done at the pole' }).getByRole('link', { name: 'Road' }).click();
  const kerbPresses = await counting(page);
  await page.getByRole('button', { name: 'Add road points…' }).click();
  const kerb = page.getByRole('dialog');
  await kerb.getByLabel('Name', { exact: true }).fill('Drive curb');
  await kerb.getByRole('textbox', { name: 'Crew', exact: true }).fill('Curb crew');
  await kerb.getByLabel('Mark prefix').fill('DC');
  await kerb.getByLabel('Offset line').selectOption({ label: 'back of right curb' });
  await kerb.getByLabel('Cut/fill to', { exact: true }).selectOption({ label: 'top of right curb' });
  await expect(kerb.getByRole('row', { name: /^DC-0\+20 / })).toContainText('in the next 6.000 US ft');
  await expect(kerb.getByRole('row', { name: /^DC-0\+26 / })).toContainText(
    '0.500 US ft to 0.080 US ft in the last 6.000 US ft',
  );
  await expect(kerb.getByRole('row', { name: /^DC-0\+60/ }).first()).toContainText('angle point');
  await noSeriousFault(page);
  await kerb.getByRole('button', { name: 'Make package' }).click();
  await expect(kerb).toBeHidden();
  expect(await kerbPresses()).toBeLessThanOrEqual(8);
  await page
    .getByRole('navigation', { name: 'What is done at the pole' })
    .getByRole('link', { name: 'Layout points' })
    .click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Drive curb' });
  await page.getByRole('button', { name: 'DC-0+20', exact: true }).click();
  await setMark(page);
  await expect(page.getByText(/^curb height 0\.500 US ft to 0\.080 US ft in the next 6\.000 US ft$/)).toBeVisible();
  await prove(page, 'Q1');
  await stored(page);
});

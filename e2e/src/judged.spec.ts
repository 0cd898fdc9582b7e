import type { Page } from '@playwright/test';
import { accept, enter, expect, hurry, newStation, place, prove, setMark, sight as take, test } from './site.ts';

test.use({ ownSite: 'judged' });

/** A made-up site whose readings are keyed in, so that each fault is exactly what the test says. */
const MARKS: Readonly<Record<string, readonly [number, number, number]>> = {
  K1: [2042.3, 3038.8, 14.2],
  K2: [2118.9, 3021.5, 14.6],
  K3: [2236.1, 3033.9, 17.0],
  K4: [2208.9, 3152.7, 15.9],
  K5: [2096.8, 3168.1, 12.7],
  K6: [2040.2, 3120.4, 15.1],
  K7: [2300.5, 3210.7, 16.3],
  /** A second target on the post of K1. */
  K8: [2042.4, 3038.85, 15.7],
};
const STAND = { e: 2120.0, n: 3090.0, axis: 16.1, orientation: 33 };
const TARGET = 1.5;

interface Off {
  readonly e?: number;
  readonly n?: number;
  readonly z?: number;
  readonly slope?: number;
}

function reading(mark: string, off: Off = {}) {
  const [e, n, z] = MARKS[mark]!;
  const de = e + (off.e ?? 0) - STAND.e;
  const dn = n + (off.n ?? 0) - STAND.n;
  const level = Math.hypot(de, dn);
  const rise = z + (off.z ?? 0) + TARGET - STAND.axis - (0.87 * level * level) / (2 * 6371000);
  return {
    circle: (((Math.atan2(de, dn) * 180) / Math.PI - STAND.orientation + 720) % 360).toFixed(4),
    zenith: ((Math.atan2(level, rise) * 180) / Math.PI).toFixed(4),
    slope: (Math.hypot(level, rise) + (off.slope ?? 0)).toFixed(3),
  };
}

async function key(page: Page, at: ReturnType<typeof reading>): Promise<void> {
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Horizontal circle').fill(at.circle);
  await dialog.getByLabel('Zenith angle').fill(at.zenith);
  await dialog.getByLabel('Slope distance (m)').fill(at.slope);
  await dialog.getByLabel('Target height (m)').fill(String(TARGET));
  await dialog.getByRole('checkbox', { name: /target height/ }).check();
  await dialog.getByRole('button', { name: 'Save shot' }).click();
  await expect(dialog).toBeHidden();
}

/** Sights a mark by its name, while the pole really stands where `at` says. */
async function sight(page: Page, name: string, at = reading(name)): Promise<void> {
  await page
    .getByRole('button', { name: `Sight ${name}`, exact: true })
    .first()
    .click();
  await key(page, at);
}

const card = (page: Page, title: string | RegExp) => page.getByRole('heading', { level: 3, name: title });

test('every single fault of a station is named, and put right or left out', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Add site…' }).click();
  await page.getByLabel('Site name').fill('Judged yard');
  await page.getByLabel('Your name').fill('Rosa Quint');
  await page.getByRole('button', { name: 'Continue' }).click();
  await page.getByRole('button', { name: 'Change Angle unit' }).click();
  await page.getByLabel('Angle unit').selectOption('degree');
  await page.getByRole('button', { name: 'Create site' }).click();
  await page.getByRole('button', { name: 'Import…' }).click();
  const rows = Object.entries(MARKS).map(([name, place]) => [name, ...place].join(','));
  await page.locator('input[type=file]').setInputFiles({
    name: 'control.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Point,Easting,Northing,Elev\n${rows.join('\n')}\n`),
  });
  await page.getByRole('button', { name: 'Import marks' }).click();
  await expect(page.getByRole('button', { name: 'About K8' })).toBeVisible();

  await test.step('two marks were exchanged', async () => {
    await newStation(page);
    for (const mark of ['K1', 'K4', 'K5', 'K6']) await sight(page, mark);
    await sight(page, 'K2', reading('K3'));
    await page.getByRole('button', { name: 'Keep K2' }).click();
    await sight(page, 'K3', reading('K2'));
    await expect(card(page, 'K2 and K3 were swapped')).toBeVisible();
    await page.getByRole('button', { name: 'Exchange K2 and K3' }).click();
    await expect(card(page, 'Six marks agree')).toBeVisible();
  });

  await test.step('the wrong prism', async () => {
    await newStation(page);
    for (const mark of ['K1', 'K2', 'K3', 'K4', 'K5']) await sight(page, mark, reading(mark, { slope: 0.0344 }));
    await expect(card(page, /^All distances are 3[345] mm too long$/)).toBeVisible();
    await page.getByRole('button', { name: /^Correct all distances/ }).click();
    await expect(card(page, 'Five marks agree')).toBeVisible();
  });

  await test.step('a heaved mark: its height alone is left out', async () => {
    await newStation(page);
    for (const mark of ['K1', 'K2', 'K3', 'K5']) await sight(page, mark);
    await sight(page, 'K4', reading('K4', { z: 0.016 }));
    await expect(card(page, 'The elevation of K4 doesn’t fit')).toBeVisible();
    await page.getByRole('button', { name: 'Leave out of elevation' }).click();
    await expect(page.getByRole('switch', { name: 'K4 in elevation' })).not.toBeChecked();
    await expect(page.getByRole('switch', { name: 'K4 in plan' })).toBeChecked();
    await expect(card(page, 'Five marks agree')).toBeVisible();
  });

  await test.step('a knocked mark: sighted again, left out, accepted', async () => {
    await newStation(page);
    for (const mark of ['K1', 'K2', 'K3', 'K4', 'K6']) await sight(page, mark);
    const knocked = reading('K5', { e: 0.018, n: 0.018 });
    await sight(page, 'K5', knocked);
    await expect(card(page, 'K5 doesn’t fit the other five')).toBeVisible();
    await expect(page.getByText(/Without it, K5 measures 2\d mm north-east/)).toBeVisible();
    await page.getByRole('button', { name: 'Sight again' }).click();
    await key(page, knocked);
    await expect(page.getByText(/: it repeats\.$/)).toBeVisible();
    await page.getByRole('button', { name: 'Leave out of plan' }).click();
    await expect(card(page, 'Five marks agree')).toBeVisible();
    await accept(page);
  });

  await test.step('two marks: unproven, then proven by a third', async () => {
    await newStation(page);
    await sight(page, 'K1');
    await sight(page, 'K3');
    await expect(card(page, 'Solvable, but unchecked')).toBeVisible();
    await expect(page.getByText('Good to continue.')).toBeHidden();
    // Coarse work may stand on two marks; it is called unproven until a third one proves it.
    await page.getByLabel('Check against class').selectOption('earthworks');
    await page.getByRole('button', { name: 'Accept or reject…' }).click();
    const dialog = page.getByRole('dialog', { name: /^Nothing checks S\d+ yet$/ });
    await expect(dialog.getByText(/An error that matters could go unseen/)).toBeVisible();
    await expect(dialog.getByRole('button', { name: /^Sight K\d/ })).toBeVisible();
    await dialog.getByRole('button', { name: 'Accept unchecked' }).click();
    // Its proof comes next, and until then that is said everywhere.
    await expect(page.getByRole('heading', { name: /unchecked so far$/ })).toBeVisible();
    await expect(place(page, 'Prove')).toContainText('unchecked');
    await page.getByRole('button', { name: 'Prove on K5' }).click();
    await key(page, reading('K5'));
    await expect(card(page, 'Station proven')).toBeVisible();
    await expect(place(page, 'Prove')).toContainText('min');
  });
});

test('two targets on one post are one place: refused, until a third place is sighted', async ({ page }) => {
  await enter(page, 'Judged yard', 'Rosa Quint');
  await newStation(page);
  for (const mark of ['K1', 'K8', 'K3']) await sight(page, mark);
  await page.getByLabel('Check against class').selectOption('grid');
  await expect(card(page, 'Solvable, but unchecked')).toBeVisible();
  await expect(page.getByText(/^K1 and K8 stand on one post: that is one place\./)).toBeVisible();
  await expect(
    page.getByText(/^Sight another mark, best to the north: K5 would bring what could go unseen to \d+ mm\.$/),
  ).toBeVisible();
  await test.step('it is not accepted, and the reason is told', async () => {
    await page.getByRole('button', { name: 'Accept or reject…' }).click();
    const dialog = page.getByRole('dialog', { name: /doesn’t meet class building grid/ });
    await expect(dialog.getByText('2 places with marks used, the class asks for 3')).toBeVisible();
    await dialog.getByRole('button', { name: 'Back' }).click();
  });
  await test.step('what could go unseen is listed, and the plan shows which way', async () => {
    await page.getByText(/A shift of any size of both together/).click();
    await expect(page.getByRole('row', { name: /^K1 and K8 any any/ })).toBeVisible();
    await page.getByRole('button', { name: 'K3', exact: true }).first().click();
    await expect(page.getByText('Thick line: the way in which the chosen mark is watched least')).toBeVisible();
  });
  await test.step('a third place checks it: accepted, and what was shown is kept', async () => {
    await sight(page, 'K5');
    await expect(card(page, 'Four marks agree')).toBeVisible();
    await accept(page);
    await expect(page.getByText(/^(Checked|Checked, and traceable)\. An error that matters would show/)).toBeVisible();
    await place(page, 'Prove').click();
    await expect(page.getByRole('row', { name: /K6 Not used: proves the station/ })).toBeVisible();
  });
});

test('a failed proof puts marks in doubt, and a mark sighted again clears them', async ({ page }) => {
  await enter(page);
  await hurry(page);
  await test.step('a mark is set, then the proof on a knocked mark fails', async () => {
    await place(page, 'Mark').click();
    // The morning's own marks are left to the morning.
    await page.getByLabel('Work package').selectOption('Gangway piles');
    await setMark(page);
    await prove(page, 'K5');
    await expect(card(page, /^Stop: check shot out of tolerance in plan/)).toBeVisible();
    await expect(place(page, 'Prove')).toContainText('failed');
    // Sighted again it takes the place of the first one; it is still the same mark against the station.
    await page.getByRole('button', { name: 'Sight K5 again' }).click();
    await expect(page.locator('tr.line-through', { hasText: 'K5' })).toHaveCount(1, { timeout: 60_000 });
    await expect(place(page, 'Prove')).toContainText('failed');
    await place(page, 'Today').click();
    await expect(page.getByRole('heading', { name: 'How to clear the doubt' })).toBeVisible();
  });
  await test.step('from a fresh, proven station the mark is sighted again', async () => {
    await newStation(page);
    for (const mark of ['K1', 'K2', 'K3', 'K7']) await take(page, mark);
    await accept(page);
    await prove(page, 'P1');
    await expect(card(page, 'Station proven')).toBeVisible();
    await page.getByRole('button', { name: 'Sight mark' }).first().click();
    await expect(card(page, 'The mark is where it was set')).toBeVisible({ timeout: 60_000 });
    await prove(page, 'P2');
    await page.getByRole('tab', { name: 'Set mark' }).click();
    await expect(page.getByRole('cell', { name: 'verified' }).first()).toBeVisible();
  });
});

import type { Browser, Locator, Page } from '@playwright/test';
import { expect, openPlace, stored, test } from './site.ts';

test.use({ ownSite: 'hands' });

/** A way of working the application: by keys alone, or by touch alone. */
interface Hand {
  press(target: Locator): Promise<void>;
  /** `typed` is enough of the option's words for the list to find it. */
  choose(target: Locator, typed: string, label: string): Promise<void>;
  write(target: Locator, text: string): Promise<void>;
  /** Presses a field action's own key where the hand has keys, else its button. */
  act(key: string, button: Locator): Promise<void>;
}

const MOST_TABS = 150;

/** Goes on with Tab until the element has the focus, as somebody without a pointer would. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  await expect(target).toBeVisible();
  for (let i = 0; i < MOST_TABS; i++) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`not reached with Tab: ${target.toString()}`);
}

const keys = (page: Page): Hand => ({
  press: async (target) => {
    await tabTo(page, target);
    await page.keyboard.press('Enter');
  },
  choose: async (target, typed, label) => {
    await tabTo(page, target);
    const chosen = () =>
      target.evaluate((element) => (element as HTMLSelectElement).selectedOptions[0]?.textContent ?? '');
    // A list takes a letter that comes late as the first of another word: whoever sees that waits, and types again.
    await expect(async () => {
      await page.keyboard.type(typed);
      expect(await chosen()).toBe(label);
    }).toPass({ intervals: [1500] });
  },
  write: async (target, text) => {
    await tabTo(page, target);
    await page.keyboard.press('Control+A');
    await page.keyboard.type(text);
  },
  act: async (key, button) => {
    await expect(button).toBeEnabled();
    await page.keyboard.press(key);
  },
});

const touch = (): Hand => ({
  press: (target) => target.tap(),
  // The list that opens is the system's own; a finger picks from it.
  choose: async (target, _typed, label) => {
    await target.tap();
    await target.selectOption({ label });
  },
  write: async (target, text) => {
    await target.tap();
    await target.fill(text);
  },
  act: (_key, button) => button.tap(),
});

async function playMorning(page: Page, hand: Hand, who: string, corner: string): Promise<void> {
  await page.goto('/');
  await hand.press(page.getByRole('link', { name: 'Ternhaven Ferry Landing' }));
  await hand.press(page.getByRole('button', { name: who }));
  await hand.press(page.getByRole('button', { name: /^(Connected|Not connected)/ }));
  await hand.choose(page.getByLabel('Walking near stops'), 'right', 'right on the place');
  await hand.choose(page.getByLabel('Demo speed'), '60', '60 times as fast');
  await hand.press(page.getByRole('button', { name: 'Done' }));

  await openPlace(page, 'Station', hand.press);
  await hand.press(page.getByRole('button', { name: 'New setup…' }));
  await hand.write(page.getByLabel(/^Air temperature/), '17');
  await hand.press(page.getByRole('button', { name: 'Start sighting' }));
  for (const mark of ['K1', 'K2', 'K3', 'K7']) {
    await hand.press(page.getByRole('button', { name: `Sight ${mark}`, exact: true }).first());
    await expect(page.locator(`[data-sighted=${mark}]`)).toBeVisible({ timeout: 60_000 });
  }
  await hand.act('Enter', page.getByRole('button', { name: 'Accept station' }));
  await hand.press(page.getByRole('dialog').getByRole('button', { name: 'Accept station', exact: true }));
  await hand.act('p', page.getByRole('button', { name: /^Prove station/ }));
  await hand.press(page.getByRole('button', { name: 'Prove on P1' }));
  await expect(page.getByRole('heading', { name: 'Station proven' })).toBeVisible({ timeout: 60_000 });

  await openPlace(page, 'Mark', hand.press);
  // Carried, the whole screen is the one mark: everything else stands behind More.
  const more = page.getByRole('button', { name: 'More…', exact: true });
  await expect(page.getByRole('button', { name: 'Walk to point' })).toBeVisible();
  const isCarried = await more.isVisible();
  if (isCarried) await hand.press(more);
  await hand.choose(page.getByLabel('Work package'), 'Ticket hall g', 'Ticket hall grid');
  if (isCarried) await hand.press(more);
  await hand.press(
    page
      .getByRole('row', { name: new RegExp(`^${corner} `) })
      .getByRole('button')
      .first(),
  );
  await hand.act('w', page.getByRole('button', { name: 'Walk to point' }));
  await expect(page.getByText('Walking…')).toBeHidden({ timeout: 60_000 });
  const set = page.getByRole('button', { name: /^Set mark/ });
  // Focus on a row's button would take the space bar for itself.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  const next = page.getByRole('button', { name: /^Next mark/ });
  const outside = page.getByRole('heading', { name: 'Outside the tolerance' }).or(page.getByText('rejected'));
  // Driving can push a hub out of the tolerance: then it is pulled and set again.
  for (let attempt = 0; attempt < 4 && !(await next.isVisible()); attempt++) {
    for (let shots = 0; shots < 8 && !(await set.isVisible()); shots++) {
      await hand.act('Space', page.getByRole('button', { name: /^Shoot/ }).last());
      await expect(page.getByText(new RegExp(`^shot ${shots + 1}[:,]`, 'i'))).toBeVisible({ timeout: 30_000 });
    }
    await hand.act('Space', set);
    // Nothing is driven before somebody has said that the services are located.
    const due = page.getByRole('region', { name: 'What is due' });
    const hub = page.getByRole('button', { name: /^Shoot hub/ });
    await expect(due.or(hub)).toBeVisible();
    if (await due.isVisible()) {
      await hand.press(due.getByRole('button', { name: 'Services located' }));
      await hand.press(page.getByRole('button', { name: /due/, expanded: true }));
      await hand.act('Space', set);
    }
    await hand.act('Space', page.getByRole('button', { name: /^Shoot hub/ }));
    await expect(next.or(outside)).toBeVisible({ timeout: 30_000 });
    if (await next.isVisible()) break;
    await hand.press(page.getByRole('button', { name: 'Set again' }));
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await hand.act('w', page.getByRole('button', { name: 'Walk to point' }));
    await expect(page.getByText('Walking…')).toBeHidden({ timeout: 60_000 });
  }
  await expect(next).toBeVisible();
  if (isCarried) await hand.press(more);
  await expect(page.getByRole('img', { name: new RegExp(`^Stake text: .*${corner};`) })).toBeVisible();
  if (isCarried) await hand.press(page.getByRole('button', { name: 'Back to guidance' }).first());

  await openPlace(page, 'Hand over', hand.press);
  await hand.choose(page.getByLabel('Work package'), 'Ticket hall g', 'Ticket hall grid');
  await stored(page);
  await hand.press(page.getByRole('button', { name: 'Issue cut sheet…' }));
  await hand.press(page.getByRole('button', { name: 'Issue cut sheet', exact: true }));
  await expect(page.getByText(/Ticket hall grid · \d+ marks?/).first()).toBeVisible();
}

test('the morning by keyboard alone', async ({ page }) => {
  await playMorning(page, keys(page), 'Ines Varga', 'TG-A1 S');
});

for (const [where, viewport, corner] of [
  ['', { width: 1280, height: 800 }, 'TG-A1 W'],
  [' on a phone', { width: 390, height: 844 }, 'TG-A5 W'],
] as const)
  test(`the morning by touch alone${where}`, async ({ browser }: { browser: Browser }) => {
    const context = await browser.newContext({ hasTouch: true, viewport });
    const page = await context.newPage();
    await playMorning(page, touch(), 'Tomas Okafor', corner);
    await context.close();
  });

/** Every place and every dialog, by day on a tablet and at dusk on a phone: nothing that keeps somebody out. */
import type { Page } from '@playwright/test';
import { enter, expect, noSeriousFault, test } from './site.ts';

const DIALOGS: readonly (readonly [place: string, button: RegExp])[] = [
  ['today', /^Settings…/],
  ['today', /^(Connected|Typed)/],
  ['today', /^Saved/],
  ['control', /^Add mark…/],
  ['control', /^About K1$/],
  ['control', /^Import…/],
  ['design', /^Add work package…/],
  ['design', /^Edit…/],
  ['station', /^Record event…/],
  ['station', /^Correct an entry…/],
  ['station', /^Add secondary control…/],
  ['station', /^Close setup…/],
  ['mark', /^Signs and lights/],
  ['mark', /^Blocked…/],
  ['design', /^Add road…/],
  ['mark/road', /^Add road points…/],
  ['mark/road', /^Add curb return…/],
  ['hand-over', /^Issue cut sheet…/],
  ['hand-over/stakes', /^Write it$/],
  ['hand-over/stakes', /^Labels…/],
  ['hand-over/stakes', /^Gone or hit…/],
  ['hand-over/crew', /^Add crew link…/],
  ['hand-over/writing', /^Copy and edit…/],
];
/** Views within a place that a button opens. */
const VIEWS: readonly (readonly [place: string, button: string])[] = [
  ['control', 'Site walk'],
  ['control', 'Pair check'],
  ['station', 'New setup…'],
  ['mark/road', 'Section'],
];
const HANDED = [
  'hand-over',
  ...['stakes', 'sketch', 'crew', 'tape', 'writing', 'files'].map((part) => `hand-over/${part}`),
];
const BEFORE = ['today', 'control', 'design', 'station', 'prove', 'mark', 'mark/road'];
/** A tablet upright and on its side, and a desk. */
const WIDER = [
  [768, 1024],
  [1024, 768],
  [1280, 800],
] as const;
const AFTER = [...HANDED, 'field-book', 'field-book/day', 'field-book/close'];
const PLACES = [...BEFORE, ...AFTER];

async function eachPlace(
  page: Page,
  look: (place: string) => Promise<void>,
  places: readonly string[] = PLACES,
): Promise<void> {
  await expect(page).toHaveURL(/\/today$/);
  const site = page.url().replace(/\/today$/, '');
  for (const place of places) {
    await page.goto(`${site}/${place}`);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    await look(place);
  }
}

/**
 * What is touched and smaller than a gloved thumb needs, by its words. Links within a sentence are as large as the
 * sentence.
 */
const tooSmall = (page: Page): Promise<string[]> =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, select, input, nav a, [role=switch]')]
      .filter((element) => {
        const { width, height } = element.getBoundingClientRect();
        return width > 0 && element.tabIndex >= 0 && !element.closest('label') && (width < 44 || height < 44);
      })
      .map((element) => element.textContent || element.getAttribute('aria-label') || element.outerHTML),
  );

/**
 * Labels that are cut off by what they stand in, or stick out of it, once every letter is a third larger: as it is for
 * who has set the letters of a phone larger. Tables that scroll by themselves may be wider than the screen.
 */
const cutOff = (page: Page): Promise<string[]> =>
  page.evaluate((larger) => {
    const all = [...document.querySelectorAll<HTMLElement>('body *')];
    const sizes = all.map((each) => parseFloat(getComputedStyle(each).fontSize));
    all.forEach((each, i) => each.style.setProperty('font-size', `${sizes[i]! * larger}px`));
    const scrolls = (element: Element): boolean => {
      for (let each: Element | null = element; each; each = each.parentElement)
        if (/auto|scroll/.test(getComputedStyle(each).overflowX) && each.scrollWidth > each.clientWidth) return true;
      return false;
    };
    const found = [...document.querySelectorAll<HTMLElement>('button, label, legend, th, summary, nav a, h1, h2, h3')]
      .filter((each) => {
        const { width, right, left } = each.getBoundingClientRect();
        const { textOverflow } = getComputedStyle(each);
        if (width === 0 || textOverflow === 'ellipsis' || each.closest('.sr-only')) return false;
        if (each.scrollWidth > each.clientWidth + 1 && each.clientWidth > 0) return true;
        return (right > window.innerWidth + 1 || left < -1) && !scrolls(each);
      })
      .map((each) => each.textContent || each.getAttribute('aria-label') || each.outerHTML);
    all.forEach((each) => each.style.removeProperty('font-size'));
    return found;
  }, 1.3);

// axe looks at every screen and dialog in turn: on a busy machine that takes its time.
test.setTimeout(240_000);

for (const [part, places] of [
  ['before and in the field', BEFORE],
  ['after', AFTER],
] as const)
  test(`every screen by day, ${part}`, async ({ page }) => {
    await page.goto('/');
    await noSeriousFault(page);
    await enter(page);
    await eachPlace(
      page,
      async (place) => {
        await noSeriousFault(page);
        for (const [, button] of DIALOGS.filter(([where]) => where === place)) {
          await page.getByRole('button', { name: button }).first().click();
          await expect(page.getByRole('dialog')).toBeVisible();
          await noSeriousFault(page);
          await page.keyboard.press('Escape');
          await expect(page.getByRole('dialog')).toBeHidden();
        }
        for (const [, button] of VIEWS.filter(([where]) => where === place)) {
          await page.getByRole('button', { name: button }).click();
          await noSeriousFault(page);
        }
        if (place !== 'today') return;
        await page.getByRole('button', { name: /^(Connected|Typed)/ }).click();
        await page.getByRole('button', { name: 'Equipment library…' }).click();
        await noSeriousFault(page);
        await page.getByRole('button', { name: 'Add an instrument' }).click();
        await noSeriousFault(page);
      },
      places,
    );
  });

test.describe('at dusk, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });
  test('every screen', async ({ page }) => {
    await enter(page);
    await page.getByRole('button', { name: 'Dark' }).click();
    // In the wording whose words are longer.
    await page.getByRole('button', { name: /^Settings…/ }).click();
    await page.getByRole('radio', { name: 'British and Commonwealth' }).click();
    expect(await cutOff(page)).toEqual([]);
    await page.getByRole('button', { name: 'Save settings' }).click();
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.goto(page.url());
    await eachPlace(page, async (place) => {
      expect(await page.evaluate(() => document.documentElement.dataset['theme'])).toBe('dusk');
      await noSeriousFault(page, ['color-contrast']);
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
        'what sticks out at the side',
      ).toBe(0);
      expect(await tooSmall(page)).toEqual([]);
      expect([place, await cutOff(page)]).toEqual([place, []]);
      for (const theme of ['sun', 'paper']) {
        await page.evaluate((name) => void (document.documentElement.dataset['theme'] = name), theme);
        await noSeriousFault(page, ['color-contrast']);
      }
      await page.evaluate(() => void (document.documentElement.dataset['theme'] = 'dusk'));
      for (const [width, height] of WIDER) {
        await page.setViewportSize({ width, height });
        expect([
          place,
          width,
          await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
          await cutOff(page),
        ]).toEqual([place, width, 0, []]);
      }
      await page.setViewportSize({ width: 390, height: 844 });
      for (const [, button] of VIEWS.filter(([where]) => where === place)) {
        await page.getByRole('button', { name: button }).click();
        expect(
          await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
          `what sticks out of ${button}`,
        ).toBe(0);
        expect(await tooSmall(page)).toEqual([]);
      }
    });
  });
});

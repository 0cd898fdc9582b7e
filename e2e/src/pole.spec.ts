/** What is carried: sizes, contrast and order of the view at the pole, in every theme, upright and on its side. */
import type { BrowserContextOptions, Page } from '@playwright/test';
import { enter, expect, hurry, openPlace, test } from './site.ts';

test.use({ ownSite: 'pole', hasTouch: true, viewport: { width: 390, height: 844 } });
test.setTimeout(180_000);

const SCREENS: readonly (readonly [string, NonNullable<BrowserContextOptions['viewport']>, least: number])[] = [
  ['a phone', { width: 390, height: 844 }, 80],
  ['a small phone', { width: 360, height: 640 }, 80],
  ['a phone on its side', { width: 844, height: 390 }, 80],
  ['a tablet', { width: 768, height: 1024 }, 112],
  ['a tablet on its side', { width: 1024, height: 768 }, 112],
  ['a large tablet', { width: 1280, height: 800 }, 112],
];

/** Messages of the simulated instrument as if it had lost the prism, from when the page says so. */
const losing = (page: Page) =>
  page.addInitScript(() => {
    const Real = window.Worker;
    window.Worker = class extends Real {
      override set onmessage(hear: ((event: MessageEvent) => void) | null) {
        super.onmessage = (event) => {
          const isLost = (window as { lost?: boolean }).lost && event.data && 'lock' in event.data;
          hear?.(isLost ? new MessageEvent('message', { data: { ...event.data, lock: 'lost', live: null } }) : event);
        };
      }
    };
  });
const lose = (page: Page, lost: boolean) =>
  page.evaluate((is) => void ((window as { lost?: boolean }).lost = is), lost);

interface Seen {
  readonly text: string;
  readonly size: number;
  readonly contrast: number;
}

/** Every text of the view with its size and its contrast against what it stands on; hollow figures by their outline. */
const texts = (page: Page): Promise<Seen[]> =>
  page.evaluate(() => {
    const channels = (colour: string) => colour.match(/[\d.]+/g)!.map(Number);
    const light = (colour: readonly number[]) => {
      const [r, g, b] = colour.slice(0, 3).map((each) => {
        const share = each / 255;
        return share <= 0.03928 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
      }) as [number, number, number];
      return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    const under = (element: Element): readonly number[] => {
      for (let each: Element | null = element; each; each = each.parentElement) {
        const colour = channels(getComputedStyle(each).backgroundColor);
        if ((colour[3] ?? 1) > 0.99) return colour;
      }
      return [255, 255, 255];
    };
    return [...document.querySelectorAll('.pole-view *')].flatMap((element) => {
      const own = [...element.childNodes].filter((node) => node.nodeType === 3 && node.textContent!.trim() !== '');
      const { width, height } = element.getBoundingClientRect();
      if (own.length === 0 || width < 2 || height < 2 || element.closest('.sr-only')) return [];
      const style = getComputedStyle(element);
      const isSvg = element instanceof SVGElement;
      const isHollow = style.webkitTextStrokeWidth !== '0px';
      const colour = channels(isSvg ? style.fill : isHollow ? style.webkitTextStrokeColor : style.color);
      const [a, b] = [light(colour), light(under(element))].sort((x, y) => y - x) as [number, number];
      return [
        { text: element.textContent.trim(), size: parseFloat(style.fontSize), contrast: (a + 0.05) / (b + 0.05) },
      ];
    });
  });

/** Parts of the view from top to bottom, and whatever is cut off by what it stands in. */
const layout = (page: Page) =>
  page.evaluate(() => {
    const box = (part: string) => document.querySelector(`.pole-${part}`)!.getBoundingClientRect();
    const cut = [
      ...document.querySelectorAll<HTMLElement>(
        '.pole-figure-row, .pole-way, .pole-action-label, .pole-head h1, .pole-lesser button, .pole-height-said',
      ),
    ]
      .filter((each) => each.scrollWidth > each.clientWidth + 1 && getComputedStyle(each).textOverflow !== 'ellipsis')
      .map((each) => each.textContent);
    const outside = [...document.querySelectorAll<HTMLElement>('.pole-view button, .pole-figure, .pole-way')]
      .filter((each) => {
        const { left, right, top, bottom } = each.getBoundingClientRect();
        return left < -1 || top < -1 || right > innerWidth + 1 || bottom > innerHeight + 1;
      })
      .map((each) => each.textContent);
    const figures = box('figures');
    const hidden = [...document.querySelectorAll('.pole-way')]
      .filter((each) => each.getBoundingClientRect().bottom > figures.bottom + 1)
      .map((each) => each.textContent);
    return { cut, outside, hidden, action: box('action').height, figures: figures.top };
  });

const setTheme = (page: Page, theme: string) =>
  page.evaluate((name) => void (document.documentElement.dataset['theme'] = name), theme);
const stripOf = (page: Page) => page.getByTestId('reading-strip');

async function toThePole(page: Page): Promise<void> {
  await enter(page);
  await hurry(page);
  await openPlace(page, 'Mark', (target) => target.tap());
  await page.getByRole('button', { name: 'Walk to point' }).tap();
  await expect(page.getByText('Walking…')).toBeHidden({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Search', exact: true }).tap();
  await expect(stripOf(page)).toContainText('Tracking', { timeout: 30_000 });
}

test('figures are as large as the body needs them and can be read in sun, at dusk and by day', async ({ page }) => {
  await losing(page);
  await toThePole(page);
  await expect(page.getByText('Hold', { exact: true })).toBeVisible({ timeout: 30_000 });
  for (const [name, viewport, least] of SCREENS) {
    await page.setViewportSize(viewport);
    for (const held of [true, false]) {
      // A step of five millimetres, twice: out of the tolerance, or back into it.
      if (!held) for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
      await expect(page.getByText('Hold', { exact: true })).toBeVisible({ visible: held });
      const sizes = (selector: string) =>
        page.locator(selector).evaluateAll((all) => all.map((each) => parseFloat(getComputedStyle(each).fontSize)));
      for (const size of await sizes('.pole-figure')) expect(size, name).toBeGreaterThanOrEqual(held ? 43 : least);
      for (const size of await sizes('.pole-height-figure')) expect(size, name).toBeGreaterThanOrEqual(43);
      const { cut, outside, hidden, action } = await layout(page);
      expect([name, held, cut, outside, hidden]).toEqual([name, held, [], [], []]);
      expect(action).toBeGreaterThanOrEqual(64);
      for (const theme of ['sun', 'paper', 'dusk']) {
        await setTheme(page, theme);
        const seen = await texts(page);
        expect(seen.length).toBeGreaterThan(15);
        expect(seen.filter(({ size }) => size < 16).map(({ text, size }) => [name, theme, text, size])).toEqual([]);
        const enough = theme === 'sun' ? 7 : 4.5;
        expect(
          seen.filter(({ contrast }) => contrast < enough).map(({ text, contrast }) => [name, theme, text, contrast]),
        ).toEqual([]);
      }
      if (!held) for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowLeft');
    }
  }
});

test('nothing is shot, set or written while the prism is lost, and a second tap never sets a mark', async ({
  page,
}) => {
  await losing(page);
  await toThePole(page);
  const top = (await layout(page)).figures;
  await lose(page, true);
  await expect(stripOf(page)).toContainText('Lock lost');
  await expect(page.getByRole('button', { name: /^Search stand still/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^(Shoot|Set mark)/ })).toBeHidden();
  for (const side of ['‹ Turn left', 'All round', 'Turn right ›'])
    await expect(page.getByRole('button', { name: side, exact: true })).toBeVisible();
  await expect(page.getByTestId('move')).toContainText('was ');
  await expect(page.getByTestId('pole-height')).toContainText('do not write');
  expect((await layout(page)).figures).toBe(top);
  await page.keyboard.press('Space');
  await expect(page.getByText('shot 1,')).toBeHidden();
  await lose(page, false);
  await expect(stripOf(page)).toContainText('Tracking', { timeout: 30_000 });

  // Two taps one after the other: the second one is not for the word that stands there by then.
  await page.evaluate(() => {
    const action = () => document.querySelector<HTMLButtonElement>('.pole-action')!;
    const watch = new MutationObserver(() => {
      if (!action().textContent.startsWith('Set mark')) return;
      watch.disconnect();
      action().click();
    });
    watch.observe(document.querySelector('.pole-view')!, { subtree: true, childList: true, characterData: true });
  });
  await page.getByRole('button', { name: /^Shoot/ }).tap();
  const set = page.getByRole('button', { name: /^Set mark shot 1,/ });
  await expect(set).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('region', { name: 'What is due' })).toBeHidden();
  // What is due for safety is asked about first, once; it covers the board and never the figures.
  await set.tap();
  const due = page.getByRole('region', { name: 'What is due' });
  await expect(due).toBeVisible();
  expect((await due.boundingBox())!.y).toBeGreaterThanOrEqual(
    (await page.getByTestId('move').boundingBox())!.y + (await page.getByTestId('move').boundingBox())!.height - 1,
  );
  await due.getByRole('button', { name: 'Services located' }).tap();
  await expect(page.getByRole('button', { name: /due.*services/ })).toBeHidden();
});

test('the theme turns by holding the strip, and the columns change sides with the hand', async ({ page }) => {
  await toThePole(page);
  const theme = () => page.evaluate(() => document.documentElement.dataset['theme']);
  const strip = (await stripOf(page).boundingBox())!;
  for (const wanted of ['dusk', 'sun', 'paper']) {
    await page.mouse.move(strip.x + 40, strip.y + 20);
    await page.mouse.down();
    await expect.poll(theme).toBe(wanted);
    await page.mouse.up();
  }
  await page.keyboard.press('t');
  expect(await theme()).toBe('dusk');
  await page.setViewportSize({ width: 1024, height: 768 });
  const left = async (part: string) => (await page.locator(`.pole-${part}`).boundingBox())!.x;
  expect(await left('board')).toBeLessThan(await left('figures'));
  await page.getByRole('button', { name: 'Menu', exact: true }).tap();
  await page.getByRole('group', { name: 'Screen held in' }).getByRole('button', { name: 'Left hand' }).tap();
  for (const what of ['Vibration', 'Sound'])
    await expect(
      page.getByRole('group', { name: what }).getByRole('button', { name: 'On', exact: true }),
    ).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Close', exact: true }).tap();
  expect(await left('board')).toBeGreaterThan(await left('figures'));
});

test('lines, roads, columns and what was built are read on the same screen', async ({ page }) => {
  await toThePole(page);
  const site = page.url().replace(/\/mark.*$/, '');
  for (const [path, action] of [
    ['mark/line', /^Measure L\d/],
    ['mark/road', /^Shoot G\d/],
    ['mark/columns', /^(Next column|Shoot )/],
    ['mark/as-built', /^Measure GB/],
  ] as const) {
    await page.goto(`${site}/${path}`);
    await expect(page.locator('.pole-action').first()).toHaveText(action);
    const { cut, outside } = await layout(page);
    expect([path, cut, outside]).toEqual([path, [], []]);
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
    await page.getByRole('button', { name: 'More…', exact: true }).tap();
    await expect(page.getByRole('navigation', { name: 'What is done at the pole' })).toBeVisible();
    await page.getByRole('button', { name: 'Back to guidance' }).first().tap();
  }
});

/** What the tests share: a page that may talk to nobody but this machine, and the steps of a morning. */
import axe from 'axe-core';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { DEMO_DATABASE, database, freePort, serve, type Cluster } from './server.ts';

export const test = base.extend<
  { page: Page },
  { server: string; ownSite: string; mayGoAway: boolean; cluster: Cluster | null }
>({
  // A file that says its name here begins with a site that no other file has worked on: another value is another
  // worker.
  ownSite: ['', { scope: 'worker', option: true }],
  // Each worker has a server and a database of its own: what one does on a site the other must not see.
  server: [
    async ({ ownSite, cluster }, use, { workerIndex }) => {
      const name = `idle_e2e_${ownSite}_${workerIndex}`;
      if (!cluster) await database('copy', DEMO_DATABASE, name);
      const own = cluster
        ? {
            IDLE_PG_PORT: cluster.port,
            IDLE_PG_PASSWORD: (await database('make', cluster.folder, cluster.port)).trim(),
          }
        : {};
      const { url, stop } = await serve({ IDLE_PG_DATABASE: name, ...own });
      try {
        await use(url);
      } finally {
        await stop();
        if (cluster) await database('stop', cluster.folder);
      }
    },
    { scope: 'worker' },
  ],
  mayGoAway: [false, { scope: 'worker', option: true }],
  cluster: [
    async ({ mayGoAway }, use, { workerIndex }) =>
      use(
        mayGoAway
          ? { folder: `${process.env['IDLE_TEST_FOLDER']}/cluster-${workerIndex}`, port: String(await freePort()) }
          : null,
      ),
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server),
  page: async ({ page }, use) => {
    const away: string[] = [];
    const errors: string[] = [];
    page.on('request', (request) => {
      const { protocol, hostname } = new URL(request.url());
      if (protocol.startsWith('http') && hostname !== '127.0.0.1') away.push(request.url());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    await use(page);
    expect(away, 'requests that left this machine').toEqual([]);
    expect(errors, 'errors of the page').toEqual([]);
  },
});
export { expect };

/**
 * No fault that axe calls serious or critical on the page as it is now; of some rules alone where the others were
 * looked at elsewhere. While a dialog is open everything behind it is hidden from everybody, so the dialog is the page.
 */
export async function noSeriousFault(page: Page, rules: readonly string[] = []): Promise<void> {
  // Put into the page once: by far the most of its time is reading it.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  const serious = await page.evaluate(async (only) => {
    const { axe: here } = window as unknown as { axe: typeof axe };
    const { violations } = await here.run(document.querySelector('[role=dialog]') ? '[role=dialog]' : document, {
      resultTypes: ['violations'],
      iframes: false,
      ...(only.length > 0 ? { runOnly: [...only] } : {}),
    });
    return violations
      .filter((each) => each.impact === 'serious' || each.impact === 'critical')
      .map((each) => `${each.id}: ${each.nodes.map((node) => node.html).join(' ')}`.slice(0, 300));
  }, rules);
  expect(serious).toEqual([]);
}

export const DEMO = 'Ternhaven Ferry Landing';

/** Opens a site from the list and says who works. */
export async function enter(page: Page, site = DEMO, who = 'Mara Lindqvist'): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: site }).click();
  await page.getByRole('button', { name: who }).click();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** Lets the simulated site run sixty times as fast. */
export async function hurry(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^(Connected|Not connected)/ }).click();
  await page.getByLabel('Demo speed').selectOption('60');
  await page.getByLabel('Walking near stops').selectOption('on');
  await page.getByRole('button', { name: 'Done' }).click();
}

export const place = (page: Page, name: string): Locator =>
  page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: new RegExp(`^${name}`) });

/** Which part of the day a place belongs to: what a phone's bar opens. */
const PARTS: Readonly<Record<string, string>> = {
  Today: 'Before',
  Control: 'Before',
  Work: 'Before',
  Station: 'In the field',
  Prove: 'In the field',
  Mark: 'In the field',
  'Hand over': 'After',
  'Field book': 'After',
};

/** The way to a place whatever is carried: the rail, the bar of a phone, or the menu of the view at the pole. */
export async function openPlace(page: Page, name: string, press: (target: Locator) => Promise<void>): Promise<void> {
  const menu = page.getByRole('button', { name: 'Menu', exact: true });
  const group = page.getByRole('button', { name: PARTS[name]!, exact: true });
  await expect(menu.or(group).or(place(page, name)).first()).toBeVisible();
  if (await menu.isVisible()) await press(menu);
  else if (await group.isVisible()) await press(group);
  await press(place(page, name));
}

/** Opens a new work package from Work, with what every package needs. */
export async function newPackage(page: Page, name: string, crew: string, prefix: string): Promise<Locator> {
  await page.getByRole('button', { name: 'Add work package…' }).click();
  const dialog = page.getByRole('dialog', { name: 'New work package' });
  await dialog.getByLabel('Name', { exact: true }).fill(name);
  await dialog.getByRole('textbox', { name: 'Crew', exact: true }).fill(crew);
  await dialog.getByLabel('Mark prefix').fill(prefix);
  return dialog;
}

/** Starts a new station, wherever the work was left. */
export async function newStation(page: Page): Promise<void> {
  await place(page, 'Station').click();
  const again = page.getByRole('button', { name: 'New setup…' });
  const temperature = page.getByLabel(/^Air temperature/);
  await expect(again.or(temperature).first()).toBeVisible();
  if (await again.isVisible()) await again.click();
  await temperature.fill('18');
  await page.getByRole('button', { name: 'Start sighting' }).click();
  await expect(page.getByRole('heading', { name: /no sight yet/ })).toBeVisible();
}

/** Takes one sight to a mark; the table then lists it. */
export async function sight(page: Page, mark: string): Promise<void> {
  await page
    .getByRole('button', { name: `Sight ${mark}`, exact: true })
    .first()
    .click();
  await expect(page.getByRole('switch', { name: new RegExp(`^${mark} in`) }).first()).toBeVisible({ timeout: 60_000 });
}

export async function accept(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Accept station' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Accept station', exact: true }).click();
  await expect(page.getByRole('heading', { name: /in use since/ })).toBeVisible();
}

export async function prove(page: Page, mark: string): Promise<void> {
  await place(page, 'Prove').click();
  await page.getByRole('button', { name: `Prove on ${mark}` }).click();
  await expect(page.getByText(new RegExp(`^${mark} measures`))).toBeVisible({ timeout: 60_000 });
}

export async function walkNear(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Walk to point' }).click();
  await expect(page.getByText('Walking…')).toBeHidden({ timeout: 60_000 });
}

/** Sets the mark that is up: walk, shoot until inside, set, shoot the driven hub. Gives its name. */
export async function setMark(page: Page): Promise<string> {
  const heading = page.getByRole('heading', { level: 1, name: /\d+ of \d+/ });
  await expect(heading).toBeVisible();
  const name = (await heading.innerText()).match(/· (.+?)\s+\d+ of/)![1]!;
  await walkNear(page);
  const set = page.getByRole('button', { name: /^Set mark/ });
  const next = page.getByRole('button', { name: /^Next mark/ });
  const anew = page.getByRole('button', { name: 'Set again' });
  const outside = page.getByRole('heading', { name: 'Outside the tolerance' });
  // Driving can push a hub out of the tolerance: then it is pulled and set again, as on site.
  for (let attempt = 0; attempt < 4; attempt++) {
    for (let shots = 0; shots < 8 && !(await set.isVisible()); shots++) {
      // Where the ground decides the place, it is walked to once more after the shot that found the ground.
      if (shots > 0) await walkNear(page);
      await page
        .getByRole('button', { name: /^Shoot/ })
        .last()
        .click();
      await expect(page.getByRole('button', { name: 'Cancel' })).toBeHidden({ timeout: 30_000 });
      await expect(page.getByText(/^Shot \d/)).toBeVisible();
    }
    await set.click();
    await page.getByRole('button', { name: /^Shoot hub/ }).click();
    await expect(next.or(outside)).toBeVisible({ timeout: 30_000 });
    if (await next.isVisible()) break;
    await anew.click();
    await walkNear(page);
  }
  await expect(next).toBeVisible();
  return name;
}

/** Waits until the server has everything. */
export async function stored(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: 'Saved · 0 waiting' })).toBeVisible({ timeout: 30_000 });
}

/** A station of four marks that agree, proved on one that it did not use, and stored. */
export async function provedStation(page: Page): Promise<void> {
  await newStation(page);
  for (const mark of ['K1', 'K2', 'K3', 'K7']) await sight(page, mark);
  await accept(page);
  await prove(page, 'P1');
  await stored(page);
}

/** A place of the site. */
export interface At {
  readonly e: number;
  readonly n: number;
}

/** Where a place of the site is on the screen, as the plan lies now. */
export async function onScreen(board: Locator, { e, n }: At): Promise<{ x: number; y: number }> {
  await expect(board).toHaveAttribute('data-resolution', /./);
  const [centre, resolution] = [
    await board.getAttribute('data-centre'),
    Number(await board.getAttribute('data-resolution')),
  ];
  const [ce, cn] = centre!.split(' ').map(Number) as [number, number];
  const box = (await board.boundingBox())!;
  return { x: box.x + box.width / 2 + (e - ce) / resolution, y: box.y + box.height / 2 - (n - cn) / resolution };
}

/** Touches the plan at a place of the site. */
export async function touch(page: Page, board: Locator, at: At): Promise<void> {
  const { x, y } = await onScreen(board, at);
  await page.mouse.click(x, y);
  // A second touch at once would be a double one, which zooms.
  await page.waitForTimeout(400);
}

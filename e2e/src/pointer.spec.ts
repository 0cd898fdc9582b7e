import { readFileSync } from 'node:fs';
import { enter, expect, newPackage, noSeriousFault, onScreen, place, stored, test, touch, type At } from './site.ts';

test.use({ ownSite: 'pointer' });

/** Corners of the hall's outline, in order round it. */
function hallCorners(): At[] {
  const text = readFileSync(new URL('../../demo/ternhaven/ticket-hall.dxf', import.meta.url), 'utf8');
  const entities = text.slice(text.indexOf('ENTITIES'));
  const outline = entities.slice(entities.indexOf('WALL-OUTSIDE'));
  return [...outline.matchAll(/^\s*10\r?\n\s*([\d.]+)\r?\n\s*20\r?\n\s*([\d.]+)/gm)]
    .slice(0, 6)
    .map(([, e, n]) => ({ e: Number(e), n: Number(n) }));
}
const between = (a: At, b: At): At => ({ e: (a.e + b.e) / 2, n: (a.n + b.n) / 2 });
/** A coordinate as it is written, with whatever space stands between its thousands. */
const figure = (value: number) =>
  value
    .toFixed(3)
    .replace('.', '\\.')
    .replace(/(\d)(?=(\d{3})+\\)/g, '$1\\s');

test('places and whole rings are picked on the drawing, and an offset is dragged on the plan', async ({ page }) => {
  test.slow();
  const corners = hallCorners();
  const [a, b] = [corners[0]!, corners[1]!];
  await enter(page);
  await place(page, 'Work').click();
  const dialog = await newPackage(page, 'Picked hubs', 'Formwork', 'PH');
  await dialog.getByLabel('Outline name').fill('Hall');
  await dialog.getByRole('button', { name: 'In drawing Ticket hall…' }).click();
  await dialog.getByRole('button', { name: 'Pick points on the drawing…' }).click();
  const picking = page.getByRole('dialog', { name: 'Pick points on Ticket hall' });
  const board = picking.getByRole('img', { name: /^The drawing on the plan/ });

  await picking.getByLabel('Select', { exact: true }).selectOption({ label: 'Single points' });
  await touch(page, board, { e: a.e - 0.12, n: a.n - 0.1 });
  const list = picking.getByRole('list', { name: 'Picked places' });
  await expect(list.getByRole('listitem')).toHaveText([new RegExp(`E ${figure(a.e)}\\s+N ${figure(a.n)}`)]);
  await touch(page, board, { e: a.e - 8, n: a.n - 8 });
  await expect(
    picking.getByText('Nothing to snap to is there. Touch nearer, zoom in, or switch on another kind.'),
  ).toBeVisible();
  await touch(page, board, a);
  await expect(picking.getByText('That place is picked already.')).toBeVisible();
  await picking.getByRole('button', { name: 'Undo last point' }).click();
  await expect(list.getByRole('listitem')).toHaveCount(0);

  await picking.getByLabel('Select', { exact: true }).selectOption({ label: 'Whole line or ring' });
  await touch(page, board, between(a, b));
  await expect(picking.getByText('6 corners of a ring on WALL-OUTSIDE')).toBeVisible();
  await noSeriousFault(page);
  await picking.getByRole('button', { name: 'Use points' }).click();
  await dialog.getByLabel('Design elevation').fill('6.25');
  await expect(dialog.getByText('11 marks')).toBeVisible();
  await dialog.getByRole('button', { name: 'Make package' }).click();

  // One hub is dragged away from the wall, by half a metre as the plan lies, and stays on its line.
  const work = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Picked hubs' }) });
  await work.getByRole('button', { name: 'Details of Picked hubs' }).click();
  const row = work.getByRole('row', { name: /^PH-/ }).first();
  const name = await row.getByRole('cell').first().innerText();
  const cells = (await row.getByRole('cell').allInnerTexts())
    .slice(1, 3)
    .map((text) => Number(text.replace(/\s/g, '')));
  const hub = { e: cells[0]!, n: cells[1]! };
  await work.getByRole('button', { name: 'Clear obstructions…' }).click();
  const offsets = page.getByRole('dialog', { name: 'Picked hubs: clear obstructions' });
  await offsets.getByRole('combobox', { name: 'Mark' }).selectOption({ label: name });
  const plan = offsets.getByRole('img', { name: /^Plan/ }).first();
  const corner = corners.reduce((best, each) =>
    Math.hypot(each.e - hub.e, each.n - hub.n) < Math.hypot(best.e - hub.e, best.n - hub.n) ? each : best,
  );
  const out = Math.hypot(hub.e - corner.e, hub.n - corner.n);
  const [from, to] = [
    await onScreen(plan, hub),
    await onScreen(plan, {
      e: hub.e + ((hub.e - corner.e) / out) * 1.05,
      n: hub.n + ((hub.n - corner.n) / out) * 1.05,
    }),
  ];
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move((from.x + to.x) / 2, (from.y + to.y) / 2, { steps: 4 });
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
  await expect(offsets.getByText(/^1 by hand, /)).toBeVisible();
  await expect(offsets.getByText('3.00 m', { exact: true })).toBeVisible();
  await offsets.getByRole('button', { name: 'Use these offsets' }).click();
  await expect(offsets).toBeHidden();
  const moved = (await row.getByRole('cell').allInnerTexts())
    .slice(1, 3)
    .map((text) => Number(text.replace(/\s/g, '')));
  expect(Math.hypot(moved[0]! - hub.e, moved[1]! - hub.n)).toBeCloseTo(1, 1);
  await stored(page);
});

test('a drawing in coordinates of its own is laid over the site by touching its corners', async ({ page }) => {
  test.slow();
  const corners = hallCorners();
  await enter(page);
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Import drawing…' }).click();
  const dialog = page.getByRole('dialog');
  // The same ring, turned by a right angle and drawn from its own corner.
  const own = corners.map(({ e, n }) => ({ e: n - corners[0]!.n, n: -(e - corners[0]!.e) }));
  const pairs = (...codes: (readonly [number, string | number])[]) =>
    codes.map(([code, value]) => `${code}\n${value}\n`).join('');
  const dxf = [
    pairs([0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, 6], [0, 'ENDSEC'], [0, 'SECTION'], [2, 'ENTITIES']),
    pairs(
      [0, 'LWPOLYLINE'],
      [8, 'SLAB'],
      [90, own.length],
      [70, 1],
      ...own.flatMap(({ e, n }) => [[10, e.toFixed(4)] as const, [20, n.toFixed(4)] as const]),
    ),
    pairs([0, 'ENDSEC'], [0, 'EOF']),
  ].join('');
  await dialog
    .getByLabel(/^A DXF drawing/)
    .setInputFiles({ name: 'slab.dxf', mimeType: 'application/dxf', buffer: Buffer.from(dxf) });
  await dialog.getByLabel(/^Drawing has local coordinates: fit it to the site with point pairs/).check();
  const board = dialog.getByRole('img', { name: /^The drawing in its own coordinates/ });
  for (const [i, k] of [0, 2, 4].entries()) {
    await touch(page, board, own[k]!);
    const named = dialog.getByLabel(`Place ${i + 1}`, { exact: true });
    await named.selectOption({ label: 'typed coordinates' });
    const row = dialog.getByRole('row').filter({ has: page.getByLabel(`Place ${i + 1}`, { exact: true }) });
    await row.getByLabel('Easting').fill(corners[k]!.e.toFixed(3));
    // The last pin was found 12 mm out of its place.
    await row.getByLabel('Northing').fill((corners[k]!.n + (k === 4 ? 0.012 : 0)).toFixed(3));
  }
  await expect(dialog.getByRole('row').filter({ has: page.getByLabel('Place 3', { exact: true }) })).toContainText(
    /\d mm/,
  );
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Import drawing' }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText(/Drawing slab: .*placed by 3 pairs within \d+(\.\d)? mm/)).toBeVisible();
  await expect(page.getByText(/^Residuals: pair 1 .*; pair 2 .*; pair 3 .*\.$/)).toBeVisible();
  await stored(page);
});

import { enter, expect, newPackage, noSeriousFault, place, stored, test } from './site.ts';

test.use({ ownSite: 'design' });

test('a grid, a package from its lines, a heap, and offsets that stay clear of it', async ({ page }) => {
  await enter(page);
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'New grid…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Bicycle shed');
  await dialog.getByLabel('Lettered lines').first().fill('A-C');
  await dialog.getByLabel('Spacing, lettered lines').fill('2 x 4.5');
  await dialog.getByLabel('Numbered lines').first().fill('1-3');
  await dialog.getByLabel('Spacing, numbered lines').fill('5, 5');
  await dialog.getByLabel('Easting of A-1').fill('4230');
  await dialog.getByLabel('Northing of A-1').fill('8080');
  await dialog.getByLabel('Easting of second point (A)').fill('4240');
  await dialog.getByLabel('Northing of second point (A)').fill('8080');
  await expect(dialog.getByText('Spacings and coordinates agree where A meets 3.')).toBeVisible();
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Save grid' }).click();
  await expect(page.getByText(/Grid Bicycle shed: A B C by 1 2 3/)).toBeVisible();

  await newPackage(page, 'Shed hubs', 'Formwork', 'BS');
  await dialog.getByRole('button', { name: 'Bicycle shed: its four corners' }).click();
  await expect(dialog.getByText('8 marks')).toBeVisible();
  // Without any height it is asked about once.
  await dialog.getByRole('button', { name: 'Make package' }).click();
  await dialog.getByRole('button', { name: 'Make it in plan only' }).click();
  await expect(page.getByRole('heading', { name: 'Shed hubs' })).toBeVisible();

  // North-west of the shed lies a heap: the hub off its west face stands in it.
  await page.getByRole('button', { name: 'Add keep-out area…' }).click();
  await dialog.getByLabel('Name').fill('Heap at the shed');
  await dialog
    .getByLabel(/Corners in order/)
    .fill('1, 4227.4, 8079.4\n2, 4228.6, 8079.4\n3, 4228.6, 8080.6\n4, 4227.4, 8080.6');
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Save area' }).click();
  await expect(
    page.getByText(/Heap at the shed: spoil heap, marks keep 0.50 m away; nothing is seen through it/),
  ).toBeVisible();

  const shed = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Shed hubs' }) });
  await shed.getByRole('button', { name: 'Details of Shed hubs' }).click();
  await shed.getByRole('button', { name: 'Clear obstructions…' }).click();
  const row = dialog.getByRole('row', { name: /^BS-A-1 W/ });
  await expect(row.getByText('in or too near to Heap at the shed')).toBeVisible();
  await expect(row.getByRole('cell').nth(1)).toHaveText('2.00');
  const now = await row.getByRole('cell').nth(2).innerText();
  expect(Number(now)).toBeGreaterThan(0);
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Use these offsets' }).click();
  await expect(dialog).toBeHidden();
  await shed.getByRole('button', { name: 'Clear obstructions…' }).click();
  await expect(dialog.getByText('Nothing has to move')).toBeVisible();
  await page.keyboard.press('Escape');
  await stored(page);

  await place(page, 'Field book').click();
  await expect(page.getByText('Grid Bicycle shed drawn: A to C by 1 to 3')).toBeVisible();
  await expect(page.getByText('Spoil heap Heap at the shed drawn on the plan')).toBeVisible();
  await expect(page.getByText(/Work package Shed hubs revised: 8 marks/)).toBeVisible();
});

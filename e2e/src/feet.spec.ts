import { readFileSync } from 'node:fs';
import { enter, expect, hurry, noSeriousFault, place, prove, setMark, stored, test } from './site.ts';
import { pdfPieces, textOf } from './pdfText.ts';

test.use({ ownSite: 'feet' });

test('a site in US feet, north first, feet and inches for the crews: from the pole to the sheet', async ({ page }) => {
  test.slow();
  await enter(page, 'Cobbleford Transit Yard', 'Dario Pell');
  await hurry(page);
  await expect(page.getByText('US survey feet · degrees · N then E')).toBeVisible();
  await place(page, 'Work').click();
  // Coordinates stand north first, as the site has it.
  const slab = page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Canopy slab' }) });
  await slab.getByRole('button', { name: 'Details of Canopy slab' }).click();
  await expect(slab.getByRole('columnheader').nth(1)).toHaveText('Northing');
  await expect(page.getByText(/Drawing Canopy: canopy\.dxf, in US survey feet/)).toBeVisible();
  await page.getByRole('button', { name: 'Details of Island kerb' }).click();
  await expect(page.getByText(/Island face: along a line of 8 corners, edge/)).toBeVisible();
  await noSeriousFault(page);

  await place(page, 'Mark').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Canopy slab' });
  const name = await setMark(page);
  await expect(page.getByText(/^(4′ 11 15\/16|5′ 0( 1\/(16|8))?)″ O\/S$/)).toBeVisible();
  await expect(
    page.getByText(/^(CUT|FILL) 0′ \d+( \d+\/\d+)?″ to FF$|^(CUT|FILL) 0′ \d+( \d+\/\d+)?″/).first(),
  ).toBeVisible();
  await prove(page, 'Q1');
  await stored(page);

  await place(page, 'Hand over').click();
  await page.getByRole('button', { name: 'Issue cut sheet…' }).click();
  await page.getByRole('button', { name: 'Issue cut sheet', exact: true }).click();
  await expect(page.getByText(/Cut sheet \d+, revision \d+/).first()).toBeVisible();
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: /^PDF of/ })
      .first()
      .click(),
  ]);
  const text = textOf(await pdfPieces(await pdf.path()));
  expect(text).toContain(name);
  expect(text).toMatch(/FILL 0' \d+( \d+\/\d+)?"/);
  expect(text).toContain('for slab forms and the first course');
  expect(text).toContain('Lengths and elevations in US ft');
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: /^CSV of/ })
      .first()
      .click(),
  ]);
  const rows = readFileSync(await csv.path(), 'utf8');
  // The exact height stays beside what is rounded for the crew.
  expect(rows).toMatch(/Hub elevation \(US ft\)/);
  expect(rows).toMatch(/411\.\d{3}/);
  await noSeriousFault(page);
});

import { readFileSync } from 'node:fs';
import {
  accept,
  DEMO,
  enter,
  expect,
  hurry,
  newStation,
  noSeriousFault,
  place,
  prove,
  setMark,
  sight,
  stored,
  test,
} from './site.ts';
import { pdfPieces, pdfRows, textOf } from './pdfText.ts';

test.use({ ownSite: 'morning' });

test('the whole morning, from control to a cut sheet', async ({ page }) => {
  await enter(page);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await noSeriousFault(page);
  await hurry(page);

  await place(page, 'Control').click();
  await expect(page.getByRole('button', { name: 'About K5' })).toBeVisible();
  await noSeriousFault(page);

  await newStation(page);
  await sight(page, 'K1');
  await expect(page.getByText('One more mark and there is a station')).toBeVisible();
  await sight(page, 'K2');
  await expect(page.getByText('Solvable, but unchecked')).toBeVisible();
  await expect(page.getByText(/half of the error shows at each/)).toBeVisible();
  await sight(page, 'K3');
  await sight(page, 'K7');
  await sight(page, 'K5');
  await expect(page.getByRole('heading', { name: 'K5 doesn’t fit the other four' })).toBeVisible();
  await expect(page.getByText(/Without it, K5 measures \d\d mm north-east of its listed position/)).toBeVisible();
  await noSeriousFault(page);

  // Sighted again it repeats; left out of plan the rest agree.
  await page.getByRole('button', { name: 'Sight again' }).click();
  await expect(page.getByText(/Sighted 2 times/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Leave out of plan' }).click();
  await expect(page.getByRole('heading', { name: 'Four marks agree' })).toBeVisible();
  await accept(page);
  await expect(page.getByText('K5 plan')).toBeVisible();
  await noSeriousFault(page);

  await prove(page, 'P1');
  await expect(page.getByRole('heading', { name: 'Station proven' })).toBeVisible();
  await noSeriousFault(page);

  await place(page, 'Mark').click();
  const names = [await setMark(page)];
  await noSeriousFault(page);
  await page.getByRole('button', { name: /^Next mark/ }).click();
  names.push(await setMark(page));
  await prove(page, 'P2');

  await place(page, 'Hand over').click();
  await stored(page);
  for (const name of names) await expect(page.getByRole('cell', { name, exact: true })).toBeVisible();
  for (const name of names)
    await expect(page.getByRole('row', { name: new RegExp(`^${name} .* verified$`) })).toBeVisible();
  await page.getByRole('button', { name: 'Issue cut sheet…' }).click();
  await page.getByLabel('Also show elevations above site zero').uncheck();
  await page.getByRole('button', { name: 'Issue cut sheet', exact: true }).click();
  await expect(page.getByText(/^Cut sheet \d+, revision 1$/).first()).toBeVisible();
  await noSeriousFault(page);

  const [csvDownload] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: /^CSV of/ })
      .first()
      .click(),
  ]);
  const [pdfDownload] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: /^PDF of/ })
      .first()
      .click(),
  ]);
  const csv = readFileSync(await csvDownload.path(), 'utf8');
  const pieces = await pdfPieces(await pdfDownload.path());
  const pdf = textOf(pieces);
  expect(csv).toMatch(/^\uFEFF# Site: .*\r\n# Cut sheet \d+, revision 1: /);
  const lines = csv.trim().split('\r\n');
  const [header, ...rows] = lines
    .filter((line) => !/^\uFEFF?# /.test(line))
    .map((line) => line.split(/,(?=(?:[^"]*"[^"]*")*[^"]*$)/).map((cell) => cell.replace(/"/g, '')));
  expect(rows).toHaveLength(11);
  const column = (row: string[], name: string) => row[header!.indexOf(name)]!;
  const onPdf = pdfRows(
    pieces,
    rows.map((row) => row[0]!),
  );
  const signed = (text: string) => (Number(text) > 0 ? `+${text}` : text.replace('-', '−'));
  for (const row of rows) {
    // The row of the one, cell by cell, is the row of the other, and nothing else stands in it.
    const cells = [
      'Mark',
      'Offset to',
      'Offset (m)',
      'Cut or fill',
      'Design elevation (m)',
      'Hub elevation (m)',
      'Ground elevation (m)',
    ].map((name) => column(row, name));
    const off = `${signed(column(row, 'dE (mm)'))} / ${signed(column(row, 'dN (mm)'))}`;
    const proofs = `${column(row, 'Check shot before')} / ${column(row, 'Check shot after')}`;
    expect(onPdf.get(column(row, 'Mark'))).toBe(
      [...cells, off, column(row, 'Station'), column(row, 'Time set'), proofs, column(row, 'Status')].join(' '),
    );
    // What holds for the whole sheet stands in its head and foot.
    expect(pdf).toContain(`Station ${column(row, 'Station')}: `);
    expect(pdf).toContain(`95 %: ${column(row, 'Station 95 %')}`);
    expect(pdf).toContain(column(row, 'Date set'));
    expect(pdf).toContain(
      `tolerance plan ${column(row, 'Tolerance plan (mm)')} mm, elevation ${column(row, 'Tolerance elevation (mm)')} mm`,
    );
    expect(pdf).toContain(`Site zero, 0.000, is ${column(row, 'Site zero (m)')} m`);
    expect(pdf).toContain(`Design: ${column(row, 'Design')}`);
    expect(pdf).toContain(`Cut sheet ${column(row, 'Sheet')}, revision ${column(row, 'Revision')}`);
    // The stake says the same as the sheet.
    expect(column(row, 'Stake text')).toContain(column(row, 'Cut or fill'));
    expect(column(row, 'Stake text')).toContain(`${column(row, 'Offset (m)')} m offset`);
    // The figure on the sheet is the hub's height against the floor.
    const [word, figure] = column(row, 'Cut or fill').split(' ');
    const difference = Number(column(row, 'Hub elevation (m)')) - Number(column(row, 'Design elevation (m)'));
    expect(word).toBe(difference > 0 ? 'CUT' : 'FILL');
    expect(Math.abs(Number(figure) - Math.abs(difference))).toBeLessThan(0.0011);
  }
  expect(onPdf.size).toBe(rows.length);
  for (const name of names) expect(rows.some((row) => column(row, 'Mark') === name)).toBe(true);
  expect(pdf).toContain(DEMO);
  expect(pdf).toContain('Have buried services located before digging');

  await place(page, 'Field book').click();
  await expect(page.getByText(/Cut sheet \d+, revision 1: 11 marks/)).toBeVisible();
  await page.getByLabel('Add a note').fill('Crew told to mind the haul road.');
  await page.getByRole('button', { name: 'Save note' }).click();
  await expect(page.getByRole('cell', { name: 'Crew told to mind the haul road.' })).toBeVisible();
  await noSeriousFault(page);

  await place(page, 'Today').click();
  await expect(page.getByText(/^\d+ of \d+ set/)).toBeVisible();
  await noSeriousFault(page);
});

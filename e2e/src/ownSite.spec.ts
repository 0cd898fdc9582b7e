import { expect, newPackage, noSeriousFault, place, stored, test } from './site.ts';

test.use({ ownSite: 'ownsite' });

/** True sights from 500 000 m further east, in US feet, decimal degrees: a site that is nothing like the demo. */
const MARKS = [
  ['A', 2_000_100, 500_100, 412.1],
  ['B', 2_000_480, 500_140, 413.0],
  ['C', 2_000_420, 500_520, 414.2],
  ['D', 2_000_060, 500_470, 412.9],
  ['P1', 2_000_300, 500_050, 412.4],
] as const;
const STATION = { e: 2_000_250, n: 500_300, z: 413.2, ih: 5.25 };
const FT = 1200 / 3937;

function reading(e: number, n: number, z: number, targetHeight: number) {
  const de = e - STATION.e;
  const dn = n - STATION.n;
  const d = Math.hypot(de, dn);
  const v = z + targetHeight - STATION.z - STATION.ih - (0.87 * (d * FT) ** 2) / (2 * 6371000) / FT;
  const circle = ((Math.atan2(de, dn) * 180) / Math.PI - 33 + 720) % 360;
  return {
    circle: circle.toFixed(4),
    zenith: ((Math.atan2(d, v) * 180) / Math.PI).toFixed(4),
    slope: Math.hypot(d, v).toFixed(3),
  };
}

test('a site of one’s own: US feet, northing first, typed readings', async ({ page }) => {
  const type = async (at: { circle: string; zenith: string; slope: string }) => {
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Horizontal circle').fill(at.circle);
    await dialog.getByLabel('Zenith angle').fill(at.zenith);
    await dialog.getByLabel('Slope distance (US ft)').fill(at.slope);
    await dialog.getByLabel('Target height (US ft)').fill('5');
    await dialog.getByRole('checkbox', { name: /target height/ }).check();
    await dialog.getByRole('button', { name: 'Save shot' }).click();
    await expect(dialog).toBeHidden();
  };
  await page.goto('/');
  await noSeriousFault(page);
  await page.getByRole('button', { name: 'Add site…' }).click();
  await noSeriousFault(page);
  await page.getByRole('button', { name: 'Continue' }).click();
  await expect(page.getByText('Enter a name for the site.')).toBeVisible();
  await page.getByLabel('Site name').fill('Ternhaven ferry landing');
  await expect(page.getByText(/names that look alike/)).toBeVisible();
  await page.getByLabel('Site name').fill('Layover yard');
  await page.getByLabel('Your name').fill('Rosa Quint');
  await page.getByRole('radio', { name: 'US feet' }).click();
  await page.getByRole('button', { name: 'Continue' }).click();
  await noSeriousFault(page);
  await page.getByRole('button', { name: 'Change Angle unit' }).click();
  await page.getByLabel('Angle unit').selectOption('degree');
  await page.getByRole('button', { name: 'Create site' }).click();

  // Control from a list with a fault; nothing is written until it is left out.
  await expect(page.getByText('No control yet')).toBeVisible();
  await page.getByRole('button', { name: 'Import…' }).click();
  // A file that takes long is read beside the page, which can end it and take another.
  const endless = `<LandXML><Parcels>${'<Parcel name="x" area="1"/>'.repeat(400_000)}</Parcels></LandXML>`;
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'parcels.xml', mimeType: 'text/xml', buffer: Buffer.from(endless) });
  // At once, without waiting for it to stand still: a quick machine would be through before.
  await page.getByRole('button', { name: 'Stop reading' }).dispatchEvent('click');
  await expect(page.getByText('Reading parcels.xml')).toBeHidden();
  const rows = MARKS.map(([name, e, n, z]) => `${name},${n},${e},${z}`);
  await page.locator('input[type=file]').setInputFiles({
    name: 'control.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Point,Northing,Easting,Elev\n${rows.join('\n')}\nZ9,500000,oops,3\n`),
  });
  await expect(page.getByText(/Error: Easting: “oops” isn’t a number/)).toBeVisible();
  await noSeriousFault(page);
  await expect(page.getByRole('button', { name: 'Import marks' })).toBeDisabled();
  await page.getByRole('button', { name: 'Leave them out' }).click();
  await page.getByRole('button', { name: 'Import marks' }).click();
  await expect(page.getByRole('button', { name: 'About P1' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^About A / })).toContainText('2\u2009000\u2009100.000');

  // The scale bar of the plan counts in the unit of the site.
  await expect(page.getByText(/^\d+ US ft$/)).toBeVisible();

  // One more by hand, one that is probably listed twice.
  await page.getByRole('button', { name: 'Add mark…' }).click();
  await page.getByLabel('Name', { exact: true }).fill('B2');
  await page.getByLabel('Northing (US ft)').fill('500140.5');
  await page.getByLabel('Easting (US ft)').fill('2000480.5');
  await expect(page.getByText(/Less than 1 m from B/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  // Work: a typed outline.
  await place(page, 'Work').click();
  await newPackage(page, 'Canopy', 'Concrete', 'CA');
  await page.getByLabel('Offset (US ft)').fill('6');
  await page.getByLabel('Outline name').fill('Canopy slab');
  await page.getByLabel('Design elevation (US ft)').fill('414');
  await page
    .getByLabel(/^Corners in order/)
    .fill('1, 500280, 2000300\n2, 500320, 2000300\n3, 500320, 2000360\n4, 500280, 2000360');
  await expect(page.getByText('8 marks')).toBeVisible();
  await noSeriousFault(page);
  await page.getByRole('button', { name: 'Make package' }).click();
  await expect(page.getByRole('heading', { name: 'Canopy', exact: true })).toBeVisible();
  await noSeriousFault(page);

  // Station by typed readings.
  await place(page, 'Station').click();
  await page.getByLabel(/^Instrument height/).fill(String(STATION.ih));
  await page.getByLabel(/^Air temperature/).fill('54');
  await page.getByLabel(/^Pressure/).fill('29.92');
  await expect(page.getByText(/Correction of distances: [+−]?0\.\d ppm/)).toBeVisible();
  await page.getByRole('button', { name: 'Start sighting' }).click();
  for (const [name, e, n, z] of MARKS.slice(0, 4)) {
    await page
      .getByRole('button', { name: `Sight ${name}`, exact: true })
      .first()
      .click();
    if (name === 'A') {
      const dialog = page.getByRole('dialog');
      await dialog.getByLabel('Slope distance (US ft)').fill('0');
      await expect(dialog.getByText(/A slope distance of 0 can’t be measured/)).toBeVisible();
      await dialog.getByLabel('Zenith angle').fill('0');
      await expect(dialog.getByText(/straight up or down/)).toBeVisible();
      await noSeriousFault(page);
      await dialog.getByRole('button', { name: 'Save shot' }).click();
      await expect(dialog.getByText(/tick the target height: it was carried over/)).toBeVisible();
    }
    await type(reading(e, n, z, 5));
  }
  await expect(page.getByRole('heading', { name: 'Four marks agree' })).toBeVisible();
  await expect(page.getByText('2\u2009000\u2009250.0').first()).toBeVisible();
  await page.getByRole('button', { name: 'Accept station' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Accept station/ })
    .click();
  await place(page, 'Prove').click();
  await page.getByRole('button', { name: 'Prove on P1' }).click();
  const [, e, n, z] = MARKS[4];
  await type(reading(e, n, z, 5));
  await expect(page.getByRole('heading', { name: 'Station proven' })).toBeVisible();

  // A hub by typed readings: right on the spot, then driven.
  await place(page, 'Mark').click();
  const corner = { '1': [2_000_300, 500_280] as const };
  await page.getByRole('button', { name: /^CA-1 S/ }).click();
  await page.getByRole('button', { name: 'Shoot' }).click();
  await type(reading(corner['1'][0], corner['1'][1] - 6, 413.1, 5));
  await expect(page.getByRole('heading', { name: /^Within/ })).toBeVisible();
  await page.getByRole('button', { name: /^Set mark/ }).click();
  await page.getByRole('button', { name: /^Shoot hub/ }).click();
  await type(reading(corner['1'][0], corner['1'][1] - 6, 413.35, 5));
  await expect(page.getByText('FILL 0.650').first()).toBeVisible();
  await expect(
    page.getByRole('img', {
      name: /Stake text: 6\.000 US ft offset; to 1, outside face; FILL 0\.650 US ft to finished floor/,
    }),
  ).toBeVisible();
  await stored(page);

  // Find or do: to a mark by its name, to the field book by a station's.
  await page.keyboard.press('Control+k');
  await page.keyboard.type('CA-3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: /CA-3/ })).toBeVisible();
  await page.keyboard.press('Control+k');
  await noSeriousFault(page);
  await page.keyboard.type('proved on');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('cell', { name: /S1 proved on P1/ })).toBeVisible();
});

import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { enter, expect, hurry, noSeriousFault, place, setMark, stored, test, touch } from './site.ts';

test.use({ ownSite: 'roads' });

const CASES = new URL('../../cli/test/reference/geometry/', import.meta.url);
const fileOf = (name: string) => new URL(name, CASES).pathname;
const atThePole = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'What is done at the pole' }).getByRole('link', { name, exact: true });

/** Opens what is done along roads, with a place typed. */
async function typePlace(page: Page, e: string, n: string, z = ''): Promise<void> {
  await page.getByLabel('Position of').selectOption({ label: 'a place, typed or touched on the plan' });
  await page.getByRole('textbox', { name: 'Easting' }).fill(e);
  await page.getByRole('textbox', { name: 'Northing' }).fill(n);
  await page.getByRole('textbox', { name: 'Elevation' }).fill(z);
}

test('anything lies at a station and an offset: marks, the instrument, typed places, beyond the ends', async ({
  page,
}) => {
  // The longest one here: beside all the other checks it takes its time.
  test.slow();
  await enter(page);
  await place(page, 'Mark').click();
  await atThePole(page, 'Road').click();
  const where = page.getByTestId('road-where');
  await page.getByLabel('Position of').selectOption({ label: 'mark K4' });
  await expect(where).toHaveText('0+635.998 · 63.851 m right');
  await expect(page.getByText(/^Outside the 25 m corridor of Landing Road/)).toBeVisible();
  await page.getByLabel('Position of').selectOption('instrument');
  await expect(where).toContainText(/^0\+\d{3}\.\d{3} · \d+\.\d{3} m (left|right)$/);
  // On the curve, between the strings; then straight on before the start.
  await typePlace(page, '4150', '8042', '5.7');
  await expect(where).toHaveText('0+133.208 · 1.520 m left');
  await expect(page.getByTestId('road-height')).toHaveText(
    'on the curve to the left, radius 80.0 m; centerline 5.895 m · FILL 0.195 m to centerline',
  );
  await typePlace(page, '4000', '8052');
  await expect(where).toContainText('before its start');
  await expect(page.getByText('Extended straight beyond the end: not designed here.')).toBeVisible();
  await expect(page.getByTestId('road-height')).toHaveText('no elevation: beyond the end of the line');
  await noSeriousFault(page);

  // A station of a string, the way there, and on to the next one over the jump with one key.
  await typePlace(page, '4150', '8042', '5.7');
  await page.getByLabel('Offset line', { exact: true }).selectOption({ label: 'face of right kerb' });
  await page.getByRole('textbox', { name: 'Station' }).fill('0+180');
  await expect(page.getByTestId('goal-place')).toContainText('0+180.000: E 4');
  await expect(page.getByTestId('road-move')).toContainText(
    /^Walk: 46\.792 m ahead, 5\.\d{3} m right; (CUT|FILL) \d\.\d{3} m to top of right kerb$/,
  );
  await page.getByRole('heading', { name: 'Landing Road' }).click();
  await page.keyboard.press('.');
  await page.keyboard.press('.');
  await expect(page.getByRole('textbox', { name: 'Station' })).toHaveValue('0+500.000');
  await page.keyboard.press('.');
  await expect(page.getByRole('textbox', { name: 'Station' })).toHaveValue('0+510.000');
  await page.keyboard.press(',');
  await page.keyboard.press(',');
  await expect(page.getByRole('textbox', { name: 'Station' })).toHaveValue('0+190.000');
  await page.getByRole('textbox', { name: 'Station' }).fill('0+300');
  await expect(page.getByText('That station isn’t on this alignment.')).toBeVisible();

  // Cut across, with the ground; and its heights.
  await page.getByRole('button', { name: 'Section' }).click();
  await page.getByLabel('Surface', { exact: true }).selectOption({ label: 'Ground, of Ground' });
  await expect(page.getByText(/^Landing Road at 0\+133\.208, looking ahead.*the ground is dashed/)).toBeVisible();
  await expect(page.getByTestId('on-surface')).toContainText(/^Ground 5\.\d{3} m · (CUT|FILL) 0\.\d{3} m$/);
  await page.getByRole('button', { name: 'Profile' }).click();
  await expect(page.getByText(/^high 0\+114\.57/)).toBeVisible();
  await page.getByText('Station list').click();
  await expect(page.getByRole('row', { name: /high point/ })).toBeVisible();
  await noSeriousFault(page);

  // A slope from the edge is caught on the ground; a pole that stands too near is sent out.
  await page.getByText('Slope stake').click();
  await page.getByLabel('Hinge point').selectOption({ label: 'right edge' });
  await expect(page.getByTestId('designed-catch')).toContainText(
    /^By Ground at 0\+133\.2: fill 1 in 2, caught \d\.\d\d m out of right edge, elevation \d\.\d\d\.$/,
  );
  await typePlace(page, '4150', '8035', '5.2');
  await expect(page.getByTestId('catch-move')).toContainText(/^(Out|In) \d\.\d\d m, and shoot again/);
  await typePlace(page, '4150', '8042', '5.7');

  // What stands at the top is one's own choice, kept on the device.
  await page.getByText('Figures shown').click();
  await page.getByLabel('Coordinates and elevation').check();
  await expect(page.getByTestId('road-coordinates')).toHaveText(/^E 4.150\.000, N 8.042\.000, elevation 5\.700$/);
  await page.getByLabel('Geometry, design elevation, cut/fill').uncheck();
  await expect(page.getByTestId('road-height')).toBeHidden();
  await page.reload();
  await typePlace(page, '4150', '8042', '5.7');
  await expect(where).toBeVisible();
  await expect(page.getByTestId('road-height')).toBeHidden();
  await page.getByText('Figures shown').click();
  await page.getByLabel('Geometry, design elevation, cut/fill').check();
  await page.getByLabel('Coordinates and elevation').uncheck();

  // The other road in one step, from anywhere.
  await page
    .getByRole('contentinfo', { name: 'Instrument and station' })
    .getByRole('combobox')
    .selectOption({ label: 'Slip Lane' });
  await expect(page.getByRole('heading', { name: 'Slip Lane' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: /^Find a mark/ }).fill('along landing');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Landing Road' })).toBeVisible();
});

test('hubs behind a kerb: along the spiral and the curve, set, and written with both heights', async ({ page }) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Mark').click();
  await atThePole(page, 'Road').click();
  await page.getByRole('button', { name: 'Add road points…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Road points: Landing Road' });
  await dialog.getByLabel('Name', { exact: true }).fill('Right curb');
  await dialog.getByRole('textbox', { name: 'Crew', exact: true }).fill('Curb crew');
  await dialog.getByLabel('Mark prefix').fill('RK');
  await dialog.getByLabel('Offset line').selectOption({ label: 'face of right kerb' });
  await dialog.getByLabel('Offset (m)').fill('1');
  await dialog.getByLabel('Cut/fill to', { exact: true }).selectOption({ label: 'top of right kerb' });
  await dialog.getByLabel('Second cut/fill to').selectOption({ label: 'flow line of right kerb' });
  await dialog.getByLabel('From').fill('0+140');
  await dialog.getByRole('textbox', { name: 'To', exact: true }).fill('0+190');
  await dialog.getByLabel('Check elevations against').selectOption({ label: 'Ground, of Ground' });
  await expect(dialog.getByText(/stations, template and surface differ by more than 6 mm/)).toBeVisible();
  await dialog.getByLabel('Individual offsets (station: offset)').fill('0+150: 2');
  const row = (name: string) => dialog.getByRole('row', { name: new RegExp(`^${name.replace('+', '\\+')} `) });
  await expect(row('RK-0+150')).toContainText('2.000');
  await expect(row('RK-0+184')).toContainText('curve ends, spiral begins');
  // The dropped kerb: its top lies only 20 mm above the flow line.
  await expect(row('RK-0+146')).toContainText('curb height 0.020 m to 0.120 m in the next 2.000 m');
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Make package' }).click();
  await expect(dialog).toBeHidden();

  await atThePole(page, 'Layout points').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Right curb' });
  await expect(
    page.getByText(/^Offset hub, 1\.000 m right of face of right kerb at 0\+1\d\d of Landing Road/),
  ).toBeVisible();
  await setMark(page);
  await expect(page.getByText('to face of right kerb').first()).toBeVisible();
  await expect(page.getByText(/^(CUT|FILL) \d\.\d{3} m to top of right kerb$/).first()).toBeVisible();
  await expect(page.getByText(/^(CUT|FILL) \d\.\d{3} m to flow line of right kerb$/).first()).toBeVisible();

  // The road is shifted: it is said loudly, and the package offers to come along.
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Change Landing Road' }).click();
  const change = page.getByRole('dialog', { name: 'Landing Road: new revision' });
  await change.getByLabel('Alignment shift').fill('0.5');
  await change.getByLabel('Reason for shift').fill('services found in the verge');
  await change.getByRole('button', { name: 'Save as new revision' }).click();
  await expect(page.getByText(/^Landing Road was changed since: these places are the older one’s\./)).toBeVisible();
  await page.getByRole('button', { name: 'Bring Right curb along' }).click();
  await page
    .getByRole('dialog', { name: 'Right curb: new revision' })
    .getByRole('button', { name: 'Save as new revision' })
    .click();
  await expect(page.getByText(/^Landing Road was changed since/)).toBeHidden();
  await place(page, 'Mark').click();
  await atThePole(page, 'Road').click();
  await expect(
    page.getByText('Landing Road IS SHIFTED 0.500 M RIGHT of its design: services found in the verge'),
  ).toBeVisible();
});

test('seen along the road at the pole: to a station, the ground kept there, a slope caught and kept, and a road that is touched', async ({
  page,
}) => {
  test.slow();
  await enter(page);
  await hurry(page);
  await place(page, 'Mark').click();
  await atThePole(page, 'Road').click();
  await page
    .getByRole('contentinfo', { name: 'Instrument and station' })
    .getByRole('combobox')
    .selectOption({ label: 'Landing Road' });
  await page.getByLabel('Position of').selectOption({ label: 'the pole, live' });
  const where = page.getByTestId('road-where');
  const move = page.getByTestId('road-move');
  const station = page.getByRole('textbox', { name: 'Station' });
  const walk = async () => {
    await page.getByRole('button', { name: 'Walk to point' }).click();
    await expect(page.getByRole('button', { name: 'Walk to point' })).toBeEnabled({ timeout: 60_000 });
    await page.getByRole('button', { name: 'Search', exact: true }).click();
    await expect(page.getByText('Tracking')).toBeVisible({ timeout: 30_000 });
    await expect(move).toContainText(/^(Hold|Nudge)/, { timeout: 60_000 });
  };
  // On the curve, half a metre outside of the kerb: the pole is led by the line, and its height against the kerb.
  await page.getByLabel('Offset line', { exact: true }).selectOption({ label: 'face of right kerb' });
  await page.getByLabel('Offset (m)').fill('0.5');
  await station.fill('0+160');
  await walk();
  await expect(where).toContainText(/^0\+(159\.9|160\.0)\d{2} · \d\.\d{3} m right/);
  await expect(move).toContainText(
    /^(Hold|Nudge): 0\.0\d{2} m (ahead|back), (on line|0\.0\d{2} m (left|right)); (CUT|FILL) \d\.\d{3} m to top of right kerb$/,
  );

  // The offset is switched off for the kerb itself, and on again.
  await page.getByLabel('Use offset: 0.5 m right').uncheck();
  await expect(page.getByLabel('Use offset (now on face of right kerb)')).not.toBeChecked();
  await expect(move).toContainText(/, 0\.5\d{2} m left;|, 0\.4\d{2} m left;/);
  await page.getByLabel('Use offset (now on face of right kerb)').check();

  // The ground there is kept with its station, and stands in the section.
  await page.getByText('Measure on alignment').click();
  await page.getByRole('button', { name: 'Shoot G1 here' }).click();
  const kept = page.getByRole('row', { name: /G1 ground/ });
  await expect(kept).toContainText(/0\+(159\.9|160\.0)\d/, { timeout: 30_000 });
  await expect(kept).toContainText(/m (above|below) /);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('G2');
  await page.getByRole('button', { name: 'Section' }).click();
  await expect(page.getByRole('img', { name: /^Cross section/ }).getByText('G1')).toBeVisible();
  await page.getByRole('button', { name: 'Plan', exact: true }).click();

  // Out to where the slope from the edge meets the ground, as it is found under the pole.
  await page.getByText('Slope stake').click();
  await page.getByLabel('Hinge point').selectOption({ label: 'right edge' });
  const catchMove = page.getByTestId('catch-move');
  const keep = page.getByRole('button', { name: 'Save slope stake' });
  let off = 0.5;
  for (let tries = 0; tries < 8; tries++) {
    const said = await catchMove.innerText();
    const found = /^(Out|In) (\d+\.\d+)/.exec(said);
    if (!found) break;
    off += (found[1] === 'Out' ? 1 : -1) * Number(found[2]);
    // Inside of the kerb the other side is meant.
    await page.getByLabel('Offset (m)').fill(Math.abs(off).toFixed(2));
    await page
      .getByRole('group', { name: 'Go to station' })
      .getByLabel('Side')
      .selectOption(off >= 0 ? 'right' : 'left');
    await walk();
  }
  await expect(catchMove).toHaveText('On the catch point: set the slope stake here.');
  await keep.click();
  const stake = page.getByRole('row', { name: /SS1 slope stake/ });
  await expect(stake).toBeVisible({ timeout: 30_000 });
  await expect(stake).toContainText(/2:1/);
  await noSeriousFault(page);

  // Another road is touched on the plan; and from the plan of the work one goes along it.
  const board = page.locator('[data-resolution]').first();
  await touch(page, board, { e: 4084.6, n: 8080.0 });
  await expect(page.getByRole('heading', { name: 'Slip Lane' })).toBeVisible();
  await place(page, 'Field book').click();
  await expect(
    page.getByText(
      /^SS1 \(slope stake\) measured along Landing Road at 0\+1[56]\d\.\d{3}, .*, catch point of the (cut|fill) slope/,
    ),
  ).toBeVisible();
  await stored(page);
});

test('heights of a road’s marks from a surface instead of its strings: cut and fill follow the surface', async ({
  page,
}) => {
  await enter(page);
  await hurry(page);
  await place(page, 'Mark').click();
  await atThePole(page, 'Road').click();
  await page
    .getByRole('contentinfo', { name: 'Instrument and station' })
    .getByRole('combobox')
    .selectOption({ label: 'Landing Road' });
  await page.getByRole('button', { name: 'Add road points…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Road points: Landing Road' });
  await dialog.getByLabel('Name', { exact: true }).fill('Strip edge');
  await dialog.getByRole('textbox', { name: 'Crew', exact: true }).fill('Diggers');
  await dialog.getByLabel('Mark prefix').fill('SE');
  await dialog.getByLabel('From').fill('0+150');
  await dialog.getByRole('textbox', { name: 'To', exact: true }).fill('0+170');
  const first = dialog
    .getByRole('row', { name: /^SE-0\+150 / })
    .getByRole('cell')
    .nth(2);
  const byStrings = Number(await first.innerText());
  expect(byStrings).toBeGreaterThan(5);
  await dialog.getByLabel('Check elevations against').selectOption({ label: 'Ground, of Ground' });
  await dialog.getByLabel('Use elevations of Ground').check();
  await expect(first).not.toHaveText(byStrings.toFixed(3));
  // Where the hub stands the ground has another height than on the line.
  const onLine = await first.innerText();
  await dialog.getByLabel('Take surface elevation at the hub').check();
  await expect(first).not.toHaveText(onLine);
  const bySurface = Number(await first.innerText());
  expect(Math.abs(bySurface - byStrings)).toBeLessThan(3);
  await dialog.getByRole('button', { name: 'Make package' }).click();
  await expect(dialog).toBeHidden();
  await atThePole(page, 'Layout points').click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'Strip edge' });
  await page.getByRole('button', { name: 'SE-0+150', exact: true }).click();
  await expect(page.getByText(bySurface.toFixed(3)).first()).toBeVisible();
  await setMark(page);
  // What is written is counted from the hub to the surface: from what both are, so that the last digit may be another
  // one than that of the difference of what is shown of them.
  const hub = Number(
    (await page.getByText('Hub', { exact: true }).locator('xpath=following-sibling::dd').innerText()).match(
      /\d+\.\d{3}/,
    )![0],
  );
  const written = [-0.001, 0, 0.001]
    .map((last) => (Math.abs(hub - bySurface) + last).toFixed(3).replace('.', '\\.'))
    .join('|');
  await expect(
    page.getByText(new RegExp(`${hub > bySurface ? 'CUT' : 'FILL'} (${written}) m to centerline`)).first(),
  ).toBeVisible();
});

test('a junction return: its points and its radius point, with heights of both roads, set from the road’s own page', async ({
  page,
}) => {
  test.slow();
  await enter(page);
  await place(page, 'Mark').click();
  await atThePole(page, 'Road').click();
  await page
    .getByRole('contentinfo', { name: 'Instrument and station' })
    .getByRole('combobox')
    .selectOption({ label: 'Landing Road' });
  await page.getByRole('button', { name: 'Add curb return…' }).click();
  const dialog = page.getByRole('dialog', { name: 'New curb return' });
  await dialog.getByLabel('Name', { exact: true }).fill('West return');
  await dialog.getByRole('textbox', { name: 'Crew', exact: true }).fill('Curb crew');
  await dialog.getByLabel('Mark prefix').fill('WR');
  await dialog.getByLabel('Radius').fill('9');
  const [from, to] = [
    dialog.getByRole('group', { name: 'First curb' }),
    dialog.getByRole('group', { name: 'Second curb' }),
  ];
  // Both curbs are touched on the plan, each near where the return meets it.
  const plan = dialog.getByRole('img', { name: 'The return as it would lie on the site' });
  await expect(dialog.getByText('Touch the first curb near where the return begins')).toBeVisible();
  await plan.scrollIntoViewIfNeeded();
  await touch(page, plan, { e: 4055, n: 8050.75 });
  await expect(dialog.getByText('Touch the second curb near where the return ends')).toBeVisible();
  await touch(page, plan, { e: 4077.3, n: 8063 });
  await expect(from.getByLabel('Road', { exact: true })).toHaveValue(/./);
  await expect(from.getByLabel('Curb line')).toHaveValue('left kerb.face');
  await expect(from.getByLabel('Elevations from').locator('option:checked')).toHaveText('top of left kerb');
  await expect(to.getByLabel('Curb line')).toHaveValue('left edge');
  await expect(to.getByLabel('Elevations from')).toHaveValue('left edge');
  await expect(from.getByLabel('Direction along road')).toHaveValue('up');
  await expect(to.getByLabel('Direction along road')).toHaveValue('up');
  // The arc of the design, which the drawing shows as the western kerb: 82 degrees to the left on a radius of nine
  // metres.
  await expect(dialog.getByTestId('return-figures')).toContainText('Turns 82°00′00″ to the left; 12.881 m long');
  await expect(dialog.getByText('6 marks')).toBeVisible();
  await expect(
    dialog.getByRole('row', {
      name: /^WR-radius point radius point: swing the radius by tape – \d\.\d{3} \d\.\d{3}$/,
    }),
  ).toBeVisible();
  await dialog.getByLabel('Radius').fill('90');
  await expect(dialog.getByText(/^The arc would touch (Slip Lane|Landing Road) beyond its end/)).toBeVisible();
  await dialog.getByLabel('Radius').fill('2');
  await expect(dialog.getByText('A return this small can be taped from its radius point.')).toBeVisible();
  await dialog.getByLabel('Radius').fill('9');
  await dialog.getByRole('button', { name: 'Make package' }).click();
  await expect(dialog).toBeHidden();
  await place(page, 'Work').click();
  await expect(page.getByRole('heading', { name: 'West return' })).toBeVisible();

  // Its middle is set, with the height between both roads; and the radius point, with the heights of both ends.
  await hurry(page);
  await place(page, 'Mark').click();
  await page
    .getByRole('navigation', { name: 'What is done at the pole' })
    .getByRole('link', { name: 'Layout points' })
    .click();
  await page.getByLabel('Work package', { exact: true }).selectOption({ label: 'West return' });
  for (const [mark, lines] of [
    ['WR-middle', [/^(CUT|FILL) \d\.\d{3} m to /]],
    [
      'WR-radius point',
      [
        /radius point/,
        /^(CUT|FILL) \d\.\d{3} m to begin of West return$/,
        /^(CUT|FILL) \d\.\d{3} m to end of West return$/,
      ],
    ],
  ] as const) {
    await page.getByRole('button', { name: mark, exact: true }).click();
    await setMark(page);
    for (const line of lines) await expect(page.getByText(line).first()).toBeVisible();
  }
  await stored(page);
});

/** A straight line of 60 m, with the finished road and the subgrade cut across at both ends. */
const WITH_SECTIONS = `<?xml version="1.0"?><LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units><Alignments>
<Alignment name="Yard lane" length="60" staStart="0"><CoordGeom><Line length="60"><Start>8100 4060</Start><End>8100 4120</End></Line></CoordGeom>
<CrossSects>${[0, 60]
  .map(
    (
      sta,
    ) => `<CrossSect sta="${sta}"><DesignCrossSectSurf name="Finished"><PntList2D>-4 ${5.4 + sta / 100} 0 ${5.5 + sta / 100} 4 ${5.4 + sta / 100}</PntList2D></DesignCrossSectSurf>
<DesignCrossSectSurf name="Subgrade"><PntList2D>-4.5 ${5 + sta / 100} 4.5 ${5 + sta / 100}</PntList2D></DesignCrossSectSurf></CrossSect>`,
  )
  .join('')}</CrossSects></Alignment></Alignments></LandXML>`;

test('a newer file of a road takes the place of the one before, line by line', async ({ page }) => {
  await enter(page);
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Replace Landing Road kerbs', exact: true }).click();
  const dialog = page.getByRole('dialog');
  // The same road, a hand's breadth higher.
  const file = new URL('../../demo/ternhaven/landing-road.xml', import.meta.url);
  const text = readFileSync(file, 'utf8').replaceAll('name="Slip Lane"', 'name="Slip Lane, eastern"');
  await dialog
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'landing-road-b.xml', mimeType: 'application/xml', buffer: Buffer.from(text) });
  await expect(dialog.getByText(/replaces Landing Road as it is now/)).toBeVisible();
  await expect(dialog.getByText('Slip Lane, eastern')).toBeVisible();
  await dialog.getByRole('checkbox', { name: /^Slip Lane, eastern/ }).uncheck();
  await dialog.getByRole('button', { name: 'Save as new revision' }).click();
  await expect(dialog).toBeHidden();
  // Strings and kerbs that were typed for it are still its own; the line that was not taken is as it was.
  await expect(page.getByText('Road Landing Road').locator('xpath=ancestor::p')).toContainText(
    '11 strings. Source: landing-road-b.xml',
  );
  await expect(page.getByText('Road Slip Lane').locator('xpath=ancestor::p')).toContainText('Source: landing-road.xml');
  await expect(page.getByText('Slip Lane, eastern')).toBeHidden();
  await stored(page);
});

test('designed cross sections come with their line: drawn, read at the pole’s offset, and taken for the heights of marks', async ({
  page,
}) => {
  await enter(page);
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Import drawing…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import drawing' });
  await dialog
    .locator('input[type=file]')
    .setInputFiles({ name: 'yard-lane.xml', mimeType: 'application/xml', buffer: Buffer.from(WITH_SECTIONS) });
  await expect(dialog.getByText(/2 cross sections\./)).toBeVisible();
  await dialog.getByRole('button', { name: 'Import drawing' }).click();
  await expect(dialog).toBeHidden();
  await page
    .getByText('Road Yard lane')
    .locator('xpath=ancestor::p')
    .getByRole('link', { name: 'Work along road' })
    .click();
  await expect(page.getByRole('heading', { name: 'Yard lane' })).toBeVisible();
  await typePlace(page, '4090', '8098', '5.5');
  await expect(page.getByTestId('by-sections')).toHaveText(
    'By its cross sections: Finished 5.750 m · FILL 0.250 m; Subgrade 5.300 m · CUT 0.200 m',
  );
  await page.getByRole('button', { name: 'Section' }).click();
  await expect(page.getByRole('img', { name: /^Cross section/ }).getByText('Subgrade')).toBeVisible();
  await typePlace(page, '4090', '8092');
  await expect(page.getByText('The designed cross sections have no elevation here.')).toBeVisible();
  await page.getByRole('button', { name: 'Add road points…' }).click();
  const marks = page.getByRole('dialog', { name: 'Road points: Yard lane' });
  await marks.getByRole('textbox', { name: 'Interval (m)', exact: true }).fill('30');
  await marks.getByLabel('Check elevations against').selectOption({ label: 'Cross sections Subgrade' });
  await marks.getByLabel('Use elevations of Subgrade').check();
  await expect(marks.getByRole('row', { name: /^\S*-?0\+030 1\.000 5\.300/ })).toBeVisible();
});

test('lines come in from a file: which to take, which station is meant where it comes twice, and what is refused', async ({
  page,
}) => {
  await enter(page);
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Import drawing…' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import drawing' });
  const choose = (name: string) => dialog.locator('input[type=file]').setInputFiles(fileOf(name));
  for (const [file, sentence] of [
    ['bad-doctype.xml', /declares a DOCTYPE \(line 2\).*Nothing was expanded or fetched/],
    ['bad-missing-end.xml', /Line 1 of Alignment “Test” \(line \d+ of the file\) has no End/],
    ['bad-not-a-number.xml', /has “two” where a number is needed/],
    ['bad-wrong-root.xml', /its root is “Drawing” instead of LandXML/],
  ] as const) {
    await choose(file);
    await expect(dialog.getByText(sentence)).toBeVisible();
    await expect(dialog.getByRole('button', { name: 'Import drawing' })).toBeDisabled();
  }
  await choose('bad-gap.xml');
  await expect(
    dialog.getByText(/There is a gap of 0\.012 m between the end of the element before and the start of Line 2/),
  ).toBeVisible();
  await choose('kestrel-way.xml');
  await expect(dialog.getByText('1 line with stations')).toBeVisible();
  await expect(
    dialog.getByText(
      /7 elements, 2 of them spirals.*No profile, so no design elevations.*Stations from 1\+400 to 1\+440 come twice/,
    ),
  ).toBeVisible();
  await noSeriousFault(page);
  await dialog.getByRole('button', { name: 'Import drawing' }).click();
  await expect(dialog).toBeHidden();

  await page
    .getByText('Road Kestrel Way')
    .locator('xpath=ancestor::p')
    .getByRole('link', { name: 'Work along road' })
    .click();
  await expect(page.getByRole('heading', { name: 'Kestrel Way' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Station' }).fill('1+420');
  await expect(page.getByText('This station comes 2 times along the line: which one?')).toBeVisible();
  await page.getByRole('button', { name: /^440\.0 m from the start, after the equation / }).click();
  await expect(page.getByTestId('goal-place')).toContainText('no elevation here');

  // Taken a second time it would be a second one of that name.
  await place(page, 'Work').click();
  await page.getByRole('button', { name: 'Import drawing…' }).click();
  await choose('kestrel-way.xml');
  await expect(
    dialog.getByText(
      'There is a line “Kestrel Way” already: replace the drawing that it came from, or leave this one out.',
    ),
  ).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  // One that is typed, by its intersection points.
  await page.getByRole('button', { name: 'Add road…' }).click();
  const typed = page.getByRole('dialog', { name: 'New alignment' });
  await typed.getByLabel('Name', { exact: true }).fill('Haul road');
  const cell = (name: string) => typed.getByLabel(name, { exact: true });
  const points = typed.getByRole('table', { name: 'Intersection points' });
  await points.getByLabel('Easting, row 1').fill('4040');
  await points.getByLabel('Northing, row 1').fill('8150');
  await points.getByLabel('Easting, row 2').fill('4120');
  await points.getByLabel('Northing, row 2').fill('8180');
  await points.getByLabel('Radius, row 2').fill('300');
  await typed.getByRole('button', { name: 'Save alignment' }).click();
  await expect(
    typed.getByText('The first and the last point have no curve: take their radius away, or give the point after it.'),
  ).toBeVisible();
  await points.getByLabel('Radius, row 2').fill('30');
  await points.getByLabel('Spiral in, row 2').fill('10');
  await points.getByLabel('Spiral out, row 2').fill('10');
  await points.getByLabel('Easting, row 3').fill('4140');
  await points.getByLabel('Northing, row 3').fill('8130');
  // A profile out of a spreadsheet, and strings as the text somebody sent.
  await cell('Station, row 1').evaluate((element) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text', '0+000\t5\n0+060\t6\tlength\t20\n0+120\t5.2');
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  await expect(cell('Length or radius, row 2')).toHaveValue('20');
  const strings = typed.getByRole('region', { name: 'Cross-section lines and curbs' });
  await strings.getByRole('button', { name: 'As text' }).click();
  await strings.getByLabel('Cross-section lines and curbs, as text').fill('edge; right 3; falls 2.5');
  await strings.getByRole('button', { name: 'As a table' }).click();
  await expect(cell('Offset, row 1')).toHaveValue('3');
  await expect(typed.getByRole('img', { name: 'Cross section: centerline, edge' })).toBeVisible();
  await noSeriousFault(page);
  await typed.getByRole('button', { name: 'Save alignment' }).click();
  await expect(typed).toBeHidden();
  await expect(page.getByText('Road Haul road')).toBeVisible();
});

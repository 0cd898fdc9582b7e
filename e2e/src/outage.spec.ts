import type { AnyFact } from '@idle-marker/contract';
import { database } from './server.ts';
import { enter, expect, hurry, place, provedStation, setMark, stored, test } from './site.ts';

test.use({ ownSite: 'outage', mayGoAway: true });

test('marks set while the database is away wait through a closed tab, and are stored once each', async ({
  page,
  context,
  cluster,
}) => {
  await enter(page, undefined, 'Tomas Okafor');
  await hurry(page);
  await provedStation(page);
  const site = /sites\/([0-9a-f-]+)/.exec(page.url())![1]!;

  const { folder, port } = cluster!;
  await database('stop', folder);
  const names: string[] = [];
  try {
    await place(page, 'Mark').click();
    await page.getByLabel('Work package').selectOption('Gangway piles');
    for (let i = 0; i < 5; i++) {
      await page
        .getByRole('row', { name: /to set|now/ })
        .last()
        .getByRole('button')
        .first()
        .click();
      names.push(await setMark(page));
    }
    await expect(page.getByRole('button', { name: /^Database away · \d+ waiting$/ })).toBeVisible();
    await page.getByRole('button', { name: /^Database away/ }).click();
    await expect(page.getByText(/Everything you do is kept in this browser/)).toBeVisible();
    await page.close();

    const later = await context.newPage();
    await later.goto(`/sites/${site}/mark`);
    await expect(later.getByRole('button', { name: /^Database away · \d+ waiting$/ })).toBeVisible();
    await later.getByLabel('Work package').selectOption('Gangway piles');
    for (const name of names)
      await expect(later.getByRole('row', { name: new RegExp(`^${name} [\\d.]+ confirmed`) })).toBeVisible();
  } finally {
    await database('start', folder, port);
  }
  const last = context.pages().at(-1)!;
  await stored(last);
  const facts: AnyFact[] = [];
  for (let after = 0, more = true; more;) {
    const answer = await last.request.get(`/api/v1/sites/${site}/facts?after=${after}`);
    const body = (await answer.json()) as { facts: AnyFact[]; cursor: number; more: boolean };
    facts.push(...body.facts);
    after = body.cursor;
    more = body.more;
  }
  for (const name of names) {
    const marks = facts.filter((fact) => fact.type === 'mark' && fact.body.name === name);
    const states = marks.map((mark) => (mark.type === 'mark' ? mark.body.state : ''));
    // Set and confirmed, once each; a hub that driving pushed out was set anew before.
    expect(states.filter((each) => each === 'confirmed')).toHaveLength(1);
    expect(new Set(marks.map((mark) => mark.id)).size).toBe(marks.length);
    expect(states.at(-1)).toBe('confirmed');
  }
});

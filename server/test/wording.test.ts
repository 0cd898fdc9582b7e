/** Every site is answered in its own wording, two of them at once. */
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import type { AnyFact, Fact } from '@idle-marker/contract';
import { loadDemo } from '../src/demo/loadDemo.ts';
import { id, startHarness, type Harness } from './harness.ts';
import { textOf } from './pdfText.ts';

const TERNHAVEN = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c01';
const COBBLEFORD = '7e2b1c40-51d6-4f0e-9a37-0d6b5a1f2c02';
const NOW = '2031-05-06T10:00:00.000Z';
let harness: Harness;
beforeAll(async () => {
  harness = await startHarness('wording');
  for (const site of ['ternhaven', 'cobbleford'])
    await loadDemo(harness.orm, join(import.meta.dirname, '../../demo', site), NOW, pino({ level: 'silent' }));
}, 240_000);
afterAll(() => harness.stop());

const factsOf = async (site: string): Promise<AnyFact[]> =>
  (await request(harness.app).get(`/api/v1/sites/${site}/facts`)).body.facts as AnyFact[];

/** The site says how it is worded from now on; what became of the entry. */
async function word(site: string, wording: Fact<'site'>['body']['wording'], seq = 1): Promise<Result> {
  const facts = await factsOf(site);
  const last = facts.findLast((fact): fact is Fact<'site'> => fact.type === 'site')!;
  const by = facts.find((fact) => fact.type === 'member')!.id;
  const at = new Date(Date.parse(NOW) + seq * 1000).toISOString();
  const fact = { id: id(), type: 'site', at, device: 'tablet', seq, by, body: { ...last.body, wording } };
  const answer = await request(harness.app)
    .post(`/api/v1/sites/${site}/facts`)
    .send({ facts: [fact] })
    .expect(200);
  return (answer.body as { results: Result[] }).results[0]!;
}
interface Result {
  readonly written?: boolean;
  readonly problem?: object;
}

const shift = async (site: string): Promise<string> => {
  const by = (await factsOf(site)).find((fact) => fact.type === 'member')!.id;
  const answer = await request(harness.app)
    .post(`/api/v1/sites/${site}/papers/setup`)
    .send({
      at: NOW,
      by,
      timeZone: 'UTC',
      occupation: (await factsOf(site)).findLast(({ type }) => type === 'occupation')!.id,
    })
    .expect(200);
  return textOf(answer.body as Buffer);
};

describe('a paper', () => {
  it('is in the wording of its site, while another is written for another site', async () => {
    await word(TERNHAVEN, { preset: 'british' });
    const [british, american] = await Promise.all([shift(TERNHAVEN), shift(COBBLEFORD)]);
    expect(british).toMatch(/\bLevel\b/);
    expect(british).not.toMatch(/\b[Ee]levation/);
    expect(american).toMatch(/\b[Ee]levation/);
  });
  it('has the words of the site’s own', async () => {
    await word(COBBLEFORD, { preset: 'northAmerican', own: { elevation: 'height' } });
    expect(await shift(COBBLEFORD)).toMatch(/\bheight\b/i);
    expect(await shift(COBBLEFORD)).not.toMatch(/\b[Ee]levation/);
  });
  it('is not worded with what is no word', async () => {
    const result = await word(COBBLEFORD, { preset: 'british', own: { hub: '=1+1' } }, 2);
    expect([result.written ?? false, JSON.stringify(result.problem)]).toEqual([
      false,
      expect.stringMatching(/wording.own.hub/),
    ]);
  });
});

describe('a crew’s page', () => {
  it('says which wording it is read in', async () => {
    const link = (
      await request(harness.app)
        .put(`/api/v1/sites/${TERNHAVEN}/crew-links/${id()}`)
        .send({ label: 'Formwork', who: 'Mara', roots: null, days: 30 })
    ).body as { token: string };
    const view = await request(harness.app).get(`/api/v1/crew/${link.token}`).expect(200);
    expect((view.body as { wording: unknown }).wording).toEqual({ preset: 'british' });
  });
});

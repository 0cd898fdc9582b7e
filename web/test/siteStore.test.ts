/** The open site as it is shown: whole, judged, and gone when its facts are. */
import { beforeEach, describe, expect, it } from '@jest/globals';
import { waitFor } from '@testing-library/react';
import { openSite, say, tryNow } from '../src/data/ledger.ts';
import { forgetFacts } from '../src/data/storage.ts';
import { siteSnapshot, untilShown } from '../src/site/siteStore.ts';
import { begin, server, SITE_ID, Story } from './page.tsx';

const OTHER = '44444444-4444-4444-8444-444444444444';
let story: Story;

beforeEach(async () => {
  await begin();
  await forgetFacts(SITE_ID);
  await openSite(OTHER);
  story = new Story().control();
  server.stored.push(...story.facts);
  await openSite(SITE_ID);
  await waitFor(() =>
    expect(siteSnapshot()).toMatchObject({ id: SITE_ID, site: { state: { settings: { name: 'Quay extension' } } } }),
  );
});

describe('the open site', () => {
  it('has what was said once that is shown', async () => {
    const [note] = await say(SITE_ID, story.who, [{ type: 'note', body: { text: 'x' } }]);
    await untilShown([note!.id]);
    expect(siteSnapshot().site!.state.byId.has(note!.id)).toBe(true);
  });

  it('is gone when the server’s data were exchanged for some without it', async () => {
    server.stored.length = 0;
    server.ledger = 'another';
    tryNow();
    await waitFor(() => expect(siteSnapshot()).toMatchObject({ id: SITE_ID, site: null, failure: null }));
    // Nobody waits for what can't be shown any more.
    await untilShown(['55555555-5555-4555-8555-555555555555']);
  });

  it('says what went wrong where it can’t be judged, and is there again once it can', async () => {
    // No schema lets this through; a fault of the program would do the same.
    const bad = {
      ...story.facts.at(-1)!,
      id: '66666666-6666-4666-8666-666666666666',
      seq: 9000,
      type: 'solution',
      body: { occupation: 'none', uses: null },
    };
    const decision = {
      ...bad,
      id: '77777777-7777-4777-8777-777777777777',
      seq: 9001,
      type: 'decision',
      body: { solution: bad.id, verdict: 'accepted', reason: '' },
    };
    const occupation = {
      ...bad,
      id: 'none',
      seq: 8999,
      type: 'occupation',
      body: { name: 'S1', instrument: { name: 'i' } },
    };
    server.stored.push(occupation as never, bad as never, decision as never);
    tryNow();
    await waitFor(() => expect(siteSnapshot().failure).toBeInstanceOf(Error));
    await untilShown([bad.id]);
    server.stored.length = 0;
    server.stored.push(...story.facts);
    server.ledger = 'a third';
    tryNow();
    await waitFor(() =>
      expect(siteSnapshot()).toMatchObject({
        site: { state: { settings: { name: 'Quay extension' } } },
        failure: null,
      }),
    );
  });
});

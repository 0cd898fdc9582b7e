import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import type { FactBody } from '@idle-marker/contract';
import { markLife } from '@idle-marker/records';
import { BringControl } from '../src/features/control/BringControl.tsx';
import { MarkPage } from '../src/features/control/MarkPage.tsx';
import { newId } from '../../records/test/story.ts';
import { begin, said, server, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

/** Another site of the server, where K1 was used and looked at. */
function elsewhere(site: Partial<FactBody<'site'>> = {}) {
  const other = new Story({ name: 'Old depot', ...site }).control();
  other.station('S1');
  const k1 = other.state.control.find(({ revision }) => revision.body.name === 'K1')!;
  other.say('visit', { mark: k1.id, outcome: 'found', labelRead: true, note: 'under leaves' });
  server.elsewhere.push({ id: newId(), name: 'Old depot', facts: other.facts });
  return { other, k1 };
}

describe('marks from another site', () => {
  it('come with their figures and what was known of them there', async () => {
    const { other, k1 } = elsewhere();
    const { user } = show(new Story().control(['K2']), <BringControl onClose={nothing} />);
    await user.click(await screen.findByLabelText(/^K1, /));
    // Listed here already: both would be mixed up.
    expect(screen.getByText(/isn’t brought: this site lists one of that name/)).toBeTruthy();
    expect(screen.queryByLabelText(/^K2, /)).toBeNull();
    expect(screen.queryByText(/may be a different point/)).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Copy 1 mark' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    const { e, n, z } = k1.revision.body;
    expect(said()[0]).toMatchObject({
      type: 'control',
      body: { name: 'K1', e, n, z, source: expect.stringMatching(/^Old depot: /), supersedes: null },
    });
    const { brought, mark } = (said()[0] as { body: FactBody<'control'> }).body;
    expect(mark).not.toBe(k1.id);
    expect(brought).toMatchObject({ siteName: 'Old depot', mark: k1.id });
    expect(brought!.history.map(({ text }) => text)).toEqual([
      expect.stringMatching(/^K1 listed: E /),
      expect.stringMatching(/^used by S1: measured less listed E /),
      'on the ground: found; under leaves',
    ]);
    expect(brought!.history).toEqual(markLife(other.state, k1));
  });

  it('warn where the sites name another frame, and say when the server is away or has no other site', async () => {
    elsewhere({ heightDatum: 'harbour datum' });
    const shown = show(new Story(), <BringControl onClose={nothing} />);
    expect(
      await screen.findByText(/The sites name another height datum: the same coordinates may be a different point/),
    ).toBeTruthy();
    shown.unmount();
    server.elsewhere.length = 0;
    show(new Story(), <BringControl onClose={nothing} />).unmount();
    server.away = true;
    const { user } = show(new Story(), <BringControl onClose={nothing} />);
    expect(await screen.findByText(/The server doesn’t answer/)).toBeTruthy();
    server.away = false;
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText(/There is no other site on this server/)).toBeTruthy();
  });

  it('show that life on their page, and carry it on with the next move', () => {
    const story = new Story().control(['K2']);
    const history = [
      { at: '2030-01-05T08:00:00Z', text: 'used by S4: measured less listed E +1 mm, N 0 mm, elevation –' },
    ];
    story.control(['K1'], { brought: { site: newId(), siteName: 'Old depot', mark: newId(), history } });
    const mark = story.state.control.find(({ revision }) => revision.body.name === 'K1')!;
    show(story, <MarkPage mark={mark} onClose={nothing} onRevise={nothing} onMoved={nothing} />);
    expect(screen.getByRole('heading', { name: 'Previous revisions, on Old depot' })).toBeTruthy();
    expect(screen.getByText(/used by S4: measured less listed E \+1 mm, N 0 mm, elevation –$/)).toBeTruthy();
    expect(markLife(story.state, mark)[0]).toEqual(history[0]);
  });
});

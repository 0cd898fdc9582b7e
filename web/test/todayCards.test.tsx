/**
 * What Today tells until somebody has seen to it: entries that no rule would let in, clocks that were ahead, and what
 * two have revised.
 */
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import type { AnyFact } from '@idle-marker/contract';
import { ClockAheadCard } from '../src/features/today/ClockAheadCard.tsx';
import { MissingClassCard } from '../src/features/today/MissingClassCard.tsx';
import { QuarantineCard } from '../src/features/today/QuarantineCard.tsx';
import { RevisedTwiceCards } from '../src/features/today/RevisedTwiceCards.tsx';
import { begin, said, server, show, Story } from './page.tsx';

beforeEach(begin);

describe('entries that would not be taken today', () => {
  it('are told with what is wrong in each, and nothing is told where there are none', async () => {
    const story = new Story().control(['K1', 'K2']);
    const [first, second] = story.facts.filter(({ type }) => type === 'control');
    const { unmount } = show(story, <QuarantineCard />);
    expect(screen.queryByText(/wouldn’t be taken today/)).toBeNull();
    unmount();
    server.quarantined.push({ id: first!.id, path: '/body/e', message: 'e must be at most 100000000' });
    const alone = show(story, <QuarantineCard />);
    expect(await screen.findByRole('heading', { name: 'An entry wouldn’t be taken today' })).toBeTruthy();
    expect(screen.getByRole('listitem').textContent).toMatch(/^K1 listed: E 3.950\.000.*e must be at most 100000000$/);
    alone.unmount();
    server.quarantined.push(
      { id: second!.id, path: '/body/note', message: 'too long' },
      { id: 'of another site', path: '', message: 'not here' },
    );
    show(story, <QuarantineCard />);
    expect(await screen.findByRole('heading', { name: '2 entries wouldn’t be taken today' })).toBeTruthy();
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
  });

  it('are many in an import: eight are named, and the rest counted', async () => {
    const story = new Story();
    for (let i = 0; i < 11; i++) {
      const { id } = story.say('note', { text: `note ${i}` });
      server.quarantined.push({ id, path: '/body/text', message: 'is wrong' });
    }
    show(story, <QuarantineCard />);
    expect(await screen.findByText('and 3 more')).toBeTruthy();
  });
});

describe('a clock that was ahead', () => {
  it('is told with what changed in order by it, until somebody has seen it', async () => {
    const story = new Story();
    const ahead = story.say('note', { text: 'stamped tomorrow' });
    const other = { ...story.say('note', { text: 'made after it' }, 10), device: 'the other tablet' };
    const { facts } = story;
    facts[facts.findIndex(({ id }) => id === ahead.id)] = {
      ...ahead,
      at: '2031-05-07T08:00:00.000Z',
      orderedAt: ahead.at,
    } as AnyFact;
    facts[facts.findIndex(({ id }) => id === other.id)] = other;
    const { user } = show(story, <ClockAheadCard />);
    expect(screen.getByRole('heading', { name: /^A clock was .* ahead$/ })).toBeTruthy();
    expect(screen.getByRole('listitem').textContent).toContain('made after it');
    await user.click(screen.getByRole('button', { name: 'Seen' }));
    expect(screen.queryByRole('heading')).toBeNull();
  });
});

describe('a tolerance class that is not there', () => {
  it('is told with the work that asks for it', () => {
    const story = new Story().control();
    story.work({ name: 'Hall' }, 'H');
    const { unmount } = show(story, <MissingClassCard />);
    expect(screen.queryByRole('heading')).toBeNull();
    unmount();
    story.work({ name: 'Frame', class: 'steel' }, 'F');
    show(story, <MissingClassCard />);
    expect(screen.getByRole('heading', { name: 'A tolerance class is missing' })).toBeTruthy();
    expect(screen.getByText(/^Frame uses the class “steel”/)).toBeTruthy();
  });
});

describe('a control mark that two tablets have revised', () => {
  it('is told until somebody says which revision stands', async () => {
    const story = new Story().control();
    const listed = story.state.control.find(({ revision }) => revision.body.name === 'K1')!.revision;
    const first = story.say('control', { ...listed.body, e: 3950.02, source: 'the surveyor', supersedes: listed.id });
    const second = story.say('control', { ...listed.body, z: 5.2, source: 'levelled', supersedes: listed.id });
    const { user } = show(story, <RevisedTwiceCards />);
    expect(screen.getByRole('heading', { name: 'Control mark K1 was revised twice at once' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Say which stands…' }));
    const dialog = screen.getByRole('dialog', { name: 'Which revision of K1 stands?' });
    const [older, newer] = within(dialog).getAllByRole('region');
    expect(older!.textContent).toMatch(/E 3.950\.020/);
    expect(newer!.textContent).toMatch(/in use.*levelled/);
    await user.click(within(older!).getByRole('button', { name: 'This one stands' }));
    await waitFor(() =>
      expect(said()).toMatchObject([
        { type: 'withdrawal', body: { record: second.id, reason: expect.stringContaining('K1 was revised twice') } },
      ]),
    );
    expect(first.id).not.toBe(second.id);
  });
});

import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import { USUALLY_ASKED } from '@idle-marker/core';
import { stationDraft } from '@idle-marker/records';
import { AcceptedStation } from '../src/features/station/AcceptedStation.tsx';
import { JudgementCard } from '../src/features/station/JudgementCard.tsx';
import { Unseen } from '../src/features/station/Unseen.tsx';
import { HiddenCard } from '../src/features/prove/HiddenCard.tsx';
import { FallenCard } from '../src/features/today/FallenCard.tsx';
import type { ControlName } from '../../records/test/story.ts';
import { begin, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;
const EVERYTHING: readonly ControlName[] = ['K1', 'K2', 'K3', 'K4', 'P1', 'P2', 'Q1'];

/** Accepted before the figures were kept, from two targets on one post and a third mark; two marks set from it. */
function onTwoPosts() {
  const story = new Story().control(EVERYTHING);
  const work = story.work();
  const solution = story.station('S1', ['K1', 'Q1', 'K3']);
  const set = [0, 4].map((i) => story.set(solution, work, i));
  return { story, solution, set };
}

describe('a station that was called checked before', () => {
  it('is told on Today with what to sight again, until a proof holds its marks', () => {
    const { story, solution, set } = onTwoPosts();
    const { unmount } = show(story, <FallenCard />);
    const region = screen.getByRole('region', { name: 'Stations that aren’t checked' });
    expect(within(region).getByRole('heading', { name: 'S1 isn’t checked under today’s rules' })).toBeTruthy();
    for (const mark of set)
      expect(within(region).getByText(new RegExp(`in this order: .*${mark.body.name}`))).toBeTruthy();
    unmount();
    story.prove(solution, 'P1');
    show(story, <FallenCard />);
    expect(screen.getByText('Everything set from it is verified by other evidence: nothing to do.')).toBeTruthy();
  });

  it('says so on its own page, and one that stays checked says what it was called then', () => {
    const { story, solution } = onTwoPosts();
    const { unmount } = show(story, <AcceptedStation solution={solution} onSightMore={nothing} onNew={nothing} />);
    expect(screen.getByRole('heading', { name: 'S1 isn’t checked under today’s rules' })).toBeTruthy();
    unmount();
    const good = new Story().control();
    good.work();
    show(good, <AcceptedStation solution={good.station('S1')} onSightMore={nothing} onNew={nothing} />);
    expect(screen.getByText(/The same by the rules of then\./)).toBeTruthy();
    expect(screen.queryByRole('heading', { name: /not checked/ })).toBeNull();
  });
});

describe('what a station leaves unseen', () => {
  const draft = () => {
    const story = new Story().control(EVERYTHING);
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'Q1', 'K3'] as const) story.sight(occupation, name);
    const { outcome, groups } = stationDraft(story.state, occupation, {}, { asked: USUALLY_ASKED });
    if (!outcome?.ok) throw new Error('no station');
    return { story, groups, ...outcome.value };
  };

  it('is named first where nothing checks it, and never left out', () => {
    const { story, judgement } = draft();
    show(story, <Unseen reliability={judgement.reliability!} chosen={story.markId('K3')} />);
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows[0]!.textContent).toMatch(/^K1 and Q1anyany/);
    expect(rows[1]!.textContent).toMatch(/^K3anyany/);
  });

  it('asks for another mark in place of going on', () => {
    const { story, judgement, groups } = draft();
    show(
      story,
      <JudgementCard
        judgement={judgement}
        groups={groups}
        onSight={nothing}
        onLeaveOut={nothing}
        onRestate={nothing}
        busy={false}
      />,
    );
    expect(screen.getByText(/^K1 and Q1 stand on one post/)).toBeTruthy();
    expect(
      screen.getByText(/^Sight another mark, best to the .*: K[24] would bring what could go unseen to \d+ mm\.$/),
    ).toBeTruthy();
    expect(screen.queryByText('Good to continue.')).toBeNull();
  });

  it('is said where it is to be proved, as long as no proof has spoken', () => {
    const { story, solution } = onTwoPosts();
    const { unmount } = show(story, <HiddenCard solution={solution} proven={false} />);
    expect(screen.getByRole('heading', { name: 'K1 and Q1 are hardly checked' })).toBeTruthy();
    unmount();
    expect(show(story, <HiddenCard solution={solution} proven />).container.textContent).toBe('');
  });
});

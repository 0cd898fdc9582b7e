import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import type { Fact } from '@idle-marker/contract';
import { heightDraft, pairedBodies } from '@idle-marker/records';
import { LibraryDialog } from '../src/features/equipment/LibraryDialog.tsx';
import { PairDialog } from '../src/features/paired/PairDialog.tsx';
import { pairedSet } from '../src/pole/usePaired.ts';
import { Place as WithReceiver } from '../src/features/paired/PairedPlace.tsx';
import { Place as Mark } from '../src/features/mark/MarkPlace.tsx';
import { Place as Prove } from '../src/features/prove/ProvePlace.tsx';
import { currentLink, openTyped } from '../src/link/linkStore.ts';
import { newId } from '../../records/test/story.ts';
import { begin, said, show, SITE_ID, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

/** Heights alone from two benchmarks, keyed in from any instrument, with a receiver on the pole. */
function paired(): { story: Story; occupation: Fact<'occupation'> } {
  const story = new Story().control();
  const occupation = story.occupy('L1', { method: 'heightOnly', link: 'typed' });
  for (const name of ['K1', 'K2'] as const) story.sight(occupation, name);
  const pairing = story.say('pairing', {
    occupation: occupation.id,
    item: null,
    name: 'Pole 2',
    receiver: 'Receiver 7',
    offset: 0.12,
    antennaHeight: 1.62,
    targetHeight: 1.5,
    fit: { sdPlanMm: 5, sdHeightMm: 15, on: null },
    note: '',
    supersedes: null,
  });
  const bodies = pairedBodies(
    story.state,
    occupation,
    pairing,
    heightDraft(story.state, occupation, new Set()),
    'earthworks',
  )!;
  const solution = story.say('solution', bodies.solution);
  story.say('decision', { solution: solution.id, ...bodies.decision });
  return { story, occupation };
}

describe('a receiver whose readings are keyed in', () => {
  it('sets a mark with its place, at the height of the instrument, and keeps both readings together', async () => {
    const { story } = paired();
    const work = story.work({ class: 'earthworks' });
    openTyped(SITE_ID);
    const { user } = show(story, <WithReceiver />);
    expect(screen.getByRole('heading', { level: 3, name: 'No receiver' })).toBeTruthy();
    const shoot = screen.getByRole('button', { name: /^Shoot/ });
    expect(shoot.hasAttribute('disabled')).toBe(true);
    const at = within(screen.getByRole('region', { name: 'GNSS receiver' }));
    const chosen = screen.getByRole('heading', { level: 1 }).textContent;
    expect(chosen).toContain('Hall hubs');
    const plan = work.body.plans.find(({ name }) => chosen.includes(name)) ?? work.body.plans[0]!;
    await user.type(at.getByLabelText('Easting'), String(plan.place.e + 0.02));
    await user.type(at.getByLabelText('Northing'), String(plan.place.n));
    await user.type(at.getByLabelText('Receiver elevation'), '7.32');
    // Until somebody says so, compensation may be on.
    await user.click(at.getByRole('button', { name: 'Use for next shot' }));
    expect(screen.getByRole('heading', { level: 3, name: 'Switch tilt compensation off' })).toBeTruthy();
    await user.click(at.getByLabelText('Tilt compensation is off, the pole is plumb'));
    await user.click(at.getByRole('button', { name: 'Reading ready' }));
    expect(screen.queryByRole('heading', { level: 3, name: 'Switch tilt compensation off' })).toBeNull();
    await user.click(screen.getByRole('button', { name: /^Shoot/ }));
    const link = currentLink();
    if (link?.kind !== 'typed') throw new Error('not typed');
    // Level to the prism: the tip stands 1.5 m below the tilting axis at 7.2 m.
    act(() =>
      link.give({
        circle: 10,
        zenith: 90,
        slope: 30,
        angleUnit: 'degree',
        lengthUnit: 'metre',
        angleDecimals: 4,
        lengthDecimals: 3,
        keyed: null,
      }),
    );
    await waitFor(() => expect(said().map(({ type }) => type)).toEqual(['sight', 'position']));
    const [sight, position] = said();
    expect(position!.body).toMatchObject({
      sight: sight!.id,
      antennaHeight: 1.62,
      read: { e: plan.place.e + 0.02, sdPlanMm: 10, fix: 'fixed', compensating: false },
    });
    await user.click(await screen.findByRole('button', { name: /^Set mark/ }));
    await waitFor(() => expect(said().at(-1)!.type).toBe('mark'));
    const mark = said().at(-1) as Fact<'mark'>;
    expect(mark.body).toMatchObject({ position: position!.id, sight: sight!.id, within: true });
    expect(mark.body.dEMm).toBeCloseTo(20, 6);
    expect(mark.body.groundZ).toBeCloseTo(5.7, 3);
  });

  it('is where marking and proving lead while the instrument gives heights alone', () => {
    const { story } = paired();
    story.work();
    const { unmount } = show(story, <Mark />);
    expect(screen.getByRole('link', { name: 'Mark with GNSS plan' })).toBeTruthy();
    unmount();
    show(story, <Prove />);
    expect(screen.getByRole('link', { name: 'Prove with GNSS' })).toBeTruthy();
  });

  it('needs an instrument that is set up for heights alone', () => {
    show(new Story().control(), <WithReceiver />);
    expect(screen.getByText('Start an elevation-only setup first')).toBeTruthy();
  });
});

describe('a pairing that is changed', () => {
  it('keeps its offset to the last digit unless that is edited', async () => {
    const { story, occupation } = paired();
    const offset = 0.1234567;
    const before = pairedSet(story.state, occupation).pairing!;
    story.say('pairing', { ...before.body, offset, supersedes: before.id });
    openTyped(SITE_ID);
    const set = pairedSet(story.state, occupation);
    const { user } = show(story, <PairDialog set={set} onClose={nothing} />);
    await user.type(screen.getByLabelText(/^Antenna height in receiver/), '1.623');
    await user.click(screen.getByRole('button', { name: 'Use this combination' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'pairing', body: { offset, antennaHeight: 1.623 } });
  });
});

describe('a pair in the library', () => {
  it('is listed with its offset, and wants one that can be', async () => {
    const story = new Story().control();
    story.say('equipment', {
      item: newId(),
      what: { kind: 'target', name: 'All-round prism', form: 'allRound', constantMm: 7, ownHeight: 0.1 },
      retired: false,
      supersedes: null,
    });
    const { user } = show(story, <LibraryDialog onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Add GNSS and prism' }));
    await user.type(screen.getByLabelText('GNSS and prism name or serial no.'), 'Pole 2');
    await user.type(screen.getByLabelText('Receiver name or serial no.'), 'Receiver 7');
    await user.selectOptions(screen.getByLabelText('Target below it'), 'All-round prism');
    await user.type(screen.getByLabelText(/^Receiver offset above prism/), '3');
    await user.click(screen.getByRole('button', { name: 'Save equipment' }));
    expect(screen.getByText(/its data sheet and the adapter’s say it/)).toBeTruthy();
    expect(said()).toHaveLength(0);
    await user.clear(screen.getByLabelText(/^Receiver offset above prism/));
    await user.type(screen.getByLabelText(/^Receiver offset above prism/), '0.12');
    await user.click(screen.getByRole('button', { name: 'Save equipment' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        body: { what: { kind: 'pair', name: 'Pole 2', receiver: 'Receiver 7', offset: 0.12, checked: null } },
      }),
    );
  });
});

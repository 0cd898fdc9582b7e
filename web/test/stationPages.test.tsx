import { beforeEach, describe, expect, it } from '@jest/globals';
import { USUALLY_ASKED } from '@idle-marker/core';
import { act, screen, waitFor, within } from '@testing-library/react';
import { siteLines, stationDraft } from '@idle-marker/records';
import { AcceptedStation } from '../src/features/station/AcceptedStation.tsx';
import { HeightWork } from '../src/features/station/HeightWork.tsx';
import { NewStation } from '../src/features/station/NewStation.tsx';
import { OwnControl } from '../src/features/station/OwnControl.tsx';
import { StationWork } from '../src/features/station/StationWork.tsx';
import { WithoutTable } from '../src/features/station/WithoutTable.tsx';
import { FirstDayCard } from '../src/features/today/FirstDayCard.tsx';
import { BeginCard, useBegin } from '../src/pole/BeginCard.tsx';
import { CoarserCard } from '../src/pole/CoarserCard.tsx';
import { Beside } from '../src/features/prove/Beside.tsx';
import { judgeProof } from '@idle-marker/records';
import { currentLink, openTyped } from '../src/link/linkStore.ts';
import { PLACES } from '../../records/test/story.ts';
import { begin, jest, said, show, SITE_ID, Story } from './page.tsx';

beforeEach(async () => {
  await begin();
  openTyped(SITE_ID);
});
const nothing = () => undefined;

function day() {
  const story = new Story().control();
  const work = story.work();
  const solution = story.station('S1');
  return { story, work, solution };
}

/** Gives the reading that the typed link waits for. */
const give = (circle: number, slope: number | null) =>
  act(() => {
    const link = currentLink();
    if (link?.kind !== 'typed') throw new Error('not typed');
    link.give({
      circle,
      zenith: 90,
      slope,
      angleUnit: 'degree',
      lengthUnit: 'metre',
      angleDecimals: 4,
      lengthDecimals: 3,
      keyed: null,
    });
  });

function Begin(about: Omit<Parameters<typeof BeginCard>[0], 'onConfirm'>) {
  const { isOpen, confirm } = useBegin(about.solution, about.work);
  return isOpen && <BeginCard {...about} onConfirm={confirm} />;
}

describe('heights alone', () => {
  const yard = () => {
    const story = new Story().control();
    const occupation = story.occupy('L1', { method: 'heightOnly', link: 'typed' });
    return { story, occupation };
  };

  it('say what one benchmark can’t show, and offer those that have a height', () => {
    const { story, occupation } = yard();
    story.sight(occupation, 'K1');
    show(story, <HeightWork occupation={occupation} onNew={nothing} />);
    expect(screen.getByRole('heading', { name: 'One benchmark: nothing checks it' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Sight K1' }).textContent).toBe('Again');
    expect(screen.getByRole('button', { name: 'Sight K2' }).textContent).toBe('Sight');
  });

  it('say how far they replace a level, and how steady the pole reads', () => {
    const story = new Story().control();
    const instrument = { name: 'instrument 4', angleSdSec: 5, distSdMm: 2, distSdPpm: 2 };
    const occupation = story.occupy('L1', { method: 'heightOnly', link: 'typed', instrument });
    for (const name of ['K1', 'K2', 'K3'] as const) story.sight(occupation, name);
    show(story, <HeightWork occupation={occupation} onNew={nothing} />);
    expect(screen.getByText('Range for trig leveling')).toBeTruthy();
    const figures = ['20 m', '50 m', '100 m', '200 m'].map((distance) =>
      Number(/(\d+) mm$/.exec(screen.getByRole('row', { name: new RegExp(`^${distance}`) }).textContent ?? '')?.[1]),
    );
    expect(figures).toEqual([...figures].sort((a, b) => a - b));
    expect(figures[3]).toBeGreaterThan(figures[0]!);
    expect(screen.getByText(/^Up to \d+ m from here no level has to be run for 5 mm\./)).toBeTruthy();
    expect(screen.getByText(/^While the prism is tracked, the scatter of its elevation is shown here\./)).toBeTruthy();
  });

  it('name the benchmark that does not fit, and leave it out', async () => {
    const { story, occupation } = yard();
    story.sight(occupation, 'K1');
    story.sight(occupation, 'K2', 'station', { z: 0.05 });
    story.sight(occupation, 'K3');
    story.sight(occupation, 'K4');
    const { user } = show(story, <HeightWork occupation={occupation} onNew={nothing} />);
    expect(screen.getByRole('heading', { name: 'K2 disagrees with the others' })).toBeTruthy();
    const row = screen.getByRole('row', { name: /^K2/ });
    await user.click(within(row).getByRole('button', { name: 'used' }));
    expect(screen.getByRole('heading', { name: '3 benchmarks agree' })).toBeTruthy();
  });

  it('list the spots with their heights, and take one back', async () => {
    const { story, occupation } = yard();
    story.sight(occupation, 'K1');
    story.sight(occupation, 'K2');
    story.shoot(occupation, 'spot', { kind: 'spot', name: 'sill' }, { e: 4000, n: 8000, z: 6.5 });
    const { user } = show(story, <HeightWork occupation={occupation} onNew={nothing} />);
    const row = screen.getByRole('row', { name: /^sill/ });
    expect(within(row).getByText('6.500')).toBeTruthy();
    // The site calls 6.25 zero.
    expect(within(row).getByText('0.250')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Withdraw sill' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({ type: 'withdrawal', body: { reason: 'the elevation of sill was withdrawn' } }),
    );
  });

  it('keep a spot by the name that it is given', async () => {
    const { story, occupation } = yard();
    story.sight(occupation, 'K1');
    const { user } = show(story, <HeightWork occupation={occupation} onNew={nothing} />);
    await user.type(screen.getByLabelText('Point measured'), 'sill');
    await user.click(screen.getByRole('button', { name: 'Measure elevation of sill' }));
    await screen.findByRole('dialog', { name: 'Reading at sill' });
    give(10, 20);
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        type: 'sight',
        body: { purpose: 'spot', target: { kind: 'spot', name: 'sill' } },
      }),
    );
  });
});

describe('an accepted station', () => {
  it('marks the ground under it, to be looked back to', async () => {
    const { story, solution } = day();
    const { user } = show(story, <AcceptedStation solution={solution} onSightMore={nothing} onNew={nothing} />);
    expect(screen.getByText('resection, 4 marks in plan')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Mark point under instrument…' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        type: 'control',
        body: { name: 'S1', forProof: true, parent: solution.fact.id },
      }),
    );
  });

  it('changes places with a target on a tripod: the next one begins over it', async () => {
    const { story, solution } = day();
    const onNew = jest.fn();
    const { user } = show(story, <AcceptedStation solution={solution} onSightMore={nothing} onNew={onNew} />);
    await user.click(screen.getByRole('button', { name: 'Change places with a tripod target…' }));
    const dialog = within(screen.getByRole('dialog', { name: 'Change places with a tripod target' }));
    expect(dialog.queryByLabelText('Type')).toBeNull();
    await user.click(dialog.getByRole('button', { name: 'Measure mark, 3 shots' }));
    for (let i = 0; i < 3; i++) {
      await waitFor(() => expect(currentLink()!.state().busy).toBe('measuring'));
      give(90, 50);
    }
    await user.click(await dialog.findByRole('button', { name: 'The instrument stands there now' }));
    await waitFor(() => expect(onNew).toHaveBeenCalledTimes(1));
    const controls = () => said().filter((fact) => fact.type === 'control');
    // The target’s place, and the ground that is left behind: the sight back goes there.
    await waitFor(() => expect(controls().map((fact) => (fact.body as { name: string }).name)).toEqual(['N1', 'S1']));
    expect(onNew).toHaveBeenCalledWith((controls()[0]!.body as { mark: string }).mark);
  });

  it('whose heights were corrected since is to be taken up again', async () => {
    const { story, solution } = day();
    const [sight] = [...story.state.sights.keys()];
    story.say('correction', {
      what: 'targetHeight',
      occupation: solution.occupation.id,
      sights: [sight!],
      value: 1.6,
      reason: 'pole up',
    });
    const again = jest.fn();
    const { user } = show(story, <AcceptedStation solution={solution} onSightMore={again} onNew={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Reopen station' }));
    expect(again).toHaveBeenCalledTimes(1);
  });

  it('says how it was found, also where that proves nothing', () => {
    const story = new Story().control();
    const k1 = story.state.control.find((mark) => mark.revision.body.name === 'K1')!;
    const over = { mark: k1.id, revision: k1.revision.id, centringSdMm: 1 };
    const occupation = story
      .stand(PLACES.K1)
      .occupy('S1', { method: 'overMark', over, assumed: { azimuthDeg: 0, circleDeg: 0, to: 'the mast' } });
    const solution = story.decide(occupation, 'provisional', {}, 'a yard of its own');
    show(story, <AcceptedStation solution={solution} onSightMore={nothing} onNew={nothing} />);
    expect(screen.getByText('over K1, direction assumed: nothing tests it')).toBeTruthy();
    expect(screen.getByText(/a yard of its own/)).toBeTruthy();
  });
});

describe('a mark of one’s own', () => {
  it('is measured three times, listed with its parent, and asks for a second station', async () => {
    const { story, solution } = day();
    const { user } = show(story, <OwnControl solution={solution} onClose={nothing} />);
    expect(screen.getByRole('heading', { name: 'This station is not proven' })).toBeTruthy();
    await user.type(screen.getByLabelText('Exact point'), 'dimple');
    await user.click(screen.getByRole('button', { name: 'Measure mark, 3 shots' }));
    for (const slope of [50.001, 50.002, 50.003]) {
      await waitFor(() => expect(currentLink()!.state().busy).toBe('measuring'));
      give(90, slope);
    }
    await screen.findByRole('heading', { name: 'N1 is listed' });
    await waitFor(() => expect(said().some((fact) => fact.type === 'control')).toBe(true));
    const control = said().find((fact) => fact.type === 'control')!;
    expect(control.body).toMatchObject({
      name: 'N1',
      kind: 'nail',
      spot: 'dimple',
      parent: solution.fact.id,
      forProof: false,
    });
    expect(said().filter((fact) => fact.type === 'sight')).toHaveLength(3);
  });
});

describe('a new station', () => {
  it('keeps what was entered, ticked and confirmed', async () => {
    const { story } = day();
    const started = jest.fn();
    const { user } = show(story, <NewStation onStarted={started} onCancel={null} />);
    expect(screen.getByText('3 not confirmed', { exact: false })).toBeTruthy();
    expect(screen.getByText(/only you can confirm this/)).toBeTruthy();
    await user.click(screen.getByLabelText(/^Level brought in/));
    await user.click(screen.getByLabelText(/^Instrument: instrument 7/));
    await user.clear(screen.getByLabelText('Air temperature (°C)'));
    await user.type(screen.getByLabelText('Air temperature (°C)'), '21');
    await user.click(screen.getByLabelText('Windy'));
    expect(screen.getByText(/a check shot is due every 30 minutes/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: /^Start sighting/ }));
    await waitFor(() => expect(started).toHaveBeenCalledTimes(1));
    await waitFor(() => expect(said().map((fact) => fact.type)).toEqual(['close', 'occupation']));
    expect(said()[1]!.body).toMatchObject({
      name: 'S2',
      temperatureC: 21,
      windy: true,
      method: 'free',
      link: 'typed',
      checklist: [{ step: 'level' }],
      confirmed: expect.arrayContaining(['instrument', 'weather']),
    });
  });

  it('with a typed direction says that it is assumed, and needs to know to what', async () => {
    const { story } = day();
    const { user } = show(story, <NewStation onStarted={nothing} onCancel={nothing} />);
    await user.selectOptions(screen.getByLabelText('Station method'), 'overMark');
    await user.click(screen.getByLabelText('No backsight: assumed direction'));
    expect(
      screen.getByText(
        /^Assumed direction: fine for a local coordinate system\. Nothing checks it, and everything set from it is labeled assumed\./,
      ),
    ).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Start sighting/ }).disabled).toBe(true);
    // Why it can’t be pressed stands beside it.
    expect(document.querySelector('[aria-live="polite"].text-ochre')?.textContent).toMatch(/\S/);
    await user.type(screen.getByLabelText('Sighted object'), 'mast');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Start sighting/ }).disabled).toBe(false);
  });
});

describe('a station in work', () => {
  it('on lines offers the lines of the drawing, and judges what it has', () => {
    const story = new Story().control();
    story.work();
    const occupation = story.occupy('S1', { method: 'onLines' });
    for (const [i, line] of siteLines(story.state).entries()) {
      const f = 0.3 + 0.15 * i;
      story.shoot(occupation, 'station', line.target, {
        e: line.from.e + f * (line.to.e - line.from.e),
        n: line.from.n + f * (line.to.n - line.from.n),
        z: 5.5,
      });
    }
    show(story, <StationWork occupation={occupation} onDone={nothing} onNew={nothing} reopened={false} />);
    expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('on lines from 4 sights');
    expect(screen.getByRole('button', { name: 'Sight Hall B–C' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Get help…' })).toBeTruthy();
  });

  it('asks for no pole at a wall target, and keeps the one that is carried', async () => {
    const story = new Story().control(['K1', 'K2']).control(['K3'], { kind: 'target' });
    const occupation = story.occupy('S1', { link: 'typed' });
    const { user } = show(
      story,
      <StationWork occupation={occupation} onDone={nothing} onNew={nothing} reopened={false} />,
    );
    await user.click(screen.getByRole('button', { name: 'Sight K3' }));
    const dialog = await screen.findByRole('dialog');
    expect(within(dialog).queryByLabelText('Target height')).toBeNull();
    expect(within(dialog).queryByLabelText(/Pole on bipod/)).toBeNull();
    await user.type(within(dialog).getByLabelText('Horizontal circle'), '10 20 30');
    expect(within(dialog).getByText('= 10°20′30″')).toBeTruthy();
    // Bare decimals can be meant in two ways: it is asked, and what was understood is said.
    await user.type(within(dialog).getByLabelText('Zenith angle'), '90.3015');
    const asked = within(dialog).getByRole('group', { name: 'What 90.3015 means' });
    expect(
      within(asked)
        .getAllByRole('button')
        .map((button) => button.textContent),
    ).toEqual(['90°30′15″', '90.3015° = 90°18′05″']);
    await user.click(within(asked).getByRole('button', { name: '90°30′15″' }));
    expect(within(dialog).getByText('= 90°30′15″')).toBeTruthy();
    await user.type(within(dialog).getByLabelText(/^Slope distance/), '41.250');
    await user.click(within(dialog).getByLabelText('It is read to a target with the constant 0'));
    await user.click(within(dialog).getByRole('button', { name: 'Save shot' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]!.body).toMatchObject({ targetHeight: 0, targetHeightSdMm: 0 });
    expect(currentLink()!.state()).toMatchObject({ fixed: null, pole: { targetHeight: 1.5 } });
  });

  it('over a mark lets the height come from benchmarks, and the list be put right', async () => {
    const story = new Story().control().control(['K1'], { z: PLACES.K1.z - 0.3 });
    const mark = story.state.control.find((each) => each.id === story.markId('K1'))!;
    story.stand(PLACES.K1);
    const over = { mark: mark.id, revision: mark.revision.id, centringSdMm: 1 };
    const occupation = story.occupy('S1', { method: 'overMark', over, link: 'typed' });
    for (const name of ['K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const { user } = show(
      story,
      <StationWork occupation={occupation} onDone={nothing} onNew={nothing} reopened={false} />,
    );
    expect(screen.getByRole('heading', { name: 'The elevation of K1 doesn’t fit' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Take the elevation from the benchmarks' }));
    expect(screen.getByLabelText<HTMLSelectElement>('Elevation from').value).toBe('benchmarks');
    await user.click(await screen.findByRole('button', { name: /^Revise K1 to / }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'control',
      body: { name: 'K1', heightSource: 'by station S1 from K2, K3, K4', supersedes: mark.revision.id },
    });
  });

  it('can solve for a scale, and says what that means', async () => {
    const story = new Story({ combinedScaleFactor: 1.0004 }).control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const { user } = show(
      story,
      <StationWork occupation={occupation} onDone={nothing} onNew={nothing} reopened={false} />,
    );
    await user.click(screen.getByLabelText('Solve for scale factor'));
    expect(await screen.findByText(/^Distances here are −400 ± \d+ ppm/)).toBeTruthy();
    await user.click(screen.getByLabelText('Choose angle and distance separately'));
    await user.click(screen.getByRole('switch', { name: 'K1, direction' }));
    expect(screen.getByRole('switch', { name: 'K1, direction' }).getAttribute('aria-checked')).toBe('false');
  });

  it('shows what would become of it without each of its marks', () => {
    const { story, solution } = day();
    const draft = stationDraft(story.state, solution.occupation, {});
    if (!draft.outcome?.ok) throw new Error('no station');
    show(story, <WithoutTable input={draft.input} result={draft.outcome.value.result} asked={USUALLY_ASKED} />);
    expect(screen.getAllByRole('row')).toHaveLength(5);
    expect(screen.getByText(/Were the marks perfect, it would be good to \d mm/)).toBeTruthy();
  });
});

describe('on the way', () => {
  it('the first day is led through, until a station is accepted', () => {
    const story = new Story().control();
    story.say('visit', { mark: story.markId('K1'), outcome: 'found', labelRead: true, note: '' });
    show(story, <FirstDayCard />);
    expect(screen.getByText(/1 of 6 found/)).toBeTruthy();
    // Five to find, and two stands from which all six are sighted.
    expect(screen.getByText('2 h')).toBeTruthy();
    story.station('S1');
    expect(show(story, <FirstDayCard />).container.textContent).toBe('');
  });

  it('the first mark of a package asks to look at what it hangs on, once', async () => {
    const { story, work, solution } = day();
    const { user } = show(story, <Begin solution={solution} work={work} />);
    expect(await screen.findByText(/^Station S1, accuracy \d mm; not proven/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Confirm all' }));
    expect(screen.queryByText(/^Station S1/)).toBeNull();
    story.set(solution, work, 0);
    expect(show(story, <Begin solution={solution} work={work} />).container.textContent).toBe('');
  });

  it('a station that was accepted for coarser work says so as long as that is so', () => {
    const { story, work, solution } = day();
    expect(show(story, <CoarserCard solution={solution} work={work} />).container.textContent).toBe('');
    const occupation = story.occupy('S2');
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const coarse = story.decide(occupation, 'accepted', {}, '', {}, 'earthworks');
    show(story, <CoarserCard solution={coarse} work={work} />);
    expect(screen.getByRole('heading', { name: 'Not accepted for building grid' })).toBeTruthy();
    expect(
      screen.getByText(/^Station S2 was accepted for earthworks, 50 mm in plan; building grid asks for 6 mm\./),
    ).toBeTruthy();
  });

  it('a proof stands beside the first sight to the same mark, and beside the drawn line', () => {
    const { story, solution } = day();
    const k1 = story.state.control.find((mark) => mark.revision.body.name === 'K1')!;
    const sight = story.sight(solution.occupation, 'K1', 'proof', { e: 0.004 });
    const judged = judgeProof(story.state, solution, k1, sight, story.state.classes[0]!);
    if (!judged.ok) throw new Error('not judged');
    const last = { name: 'K1', judged: judged.value, sight, kind: 'repeat' as const, target: { control: k1 } };
    show(story, <Beside solution={solution} last={last} />);
    expect(
      screen.getByText(/^Against the first sight to it from here, at .*: E \+4 mm, N 0 mm, elevation 0 mm/),
    ).toBeTruthy();
    expect(screen.queryByText(/of the drawn line/)).toBeNull();
  });
});

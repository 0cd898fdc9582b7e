import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, screen, waitFor, within } from '@testing-library/react';
import { progressOf, proofCandidates } from '@idle-marker/records';
import { cornersDraft, NO_CORNERS, readCorners, withText } from '../src/features/design/cornerText.ts';
import { EditPackage } from '../src/features/design/EditPackage.tsx';
import { Place as FieldBook } from '../src/features/fieldbook/FieldBookPlace.tsx';
import { CandidateTable } from '../src/features/prove/CandidateTable.tsx';
import { ProofTable } from '../src/features/prove/ProofTable.tsx';
import { EditSite } from '../src/settings/EditSite.tsx';
import { ClockBehind } from '../src/frame/ClockBehind.tsx';
import { draftOf, emptySite, siteBody, siteErrors } from '../src/settings/siteDraft.ts';
import { DoubtCard } from '../src/features/today/DoubtCard.tsx';
import { nextStep } from '../src/features/today/nextStep.ts';
import { SiteCard } from '../src/features/today/SiteCard.tsx';
import { WorkCard } from '../src/features/today/WorkCard.tsx';
import { currentLink, openTyped } from '../src/link/linkStore.ts';
import { TypedReading } from '../src/pole/TypedReading.tsx';
import { indexScene, visibleSymbols } from '../src/board/visible.ts';
import { EMPTY_SCENE, joinScenes, sceneExtent } from '../src/board/scene.ts';
import { useKey } from '../src/ui/useKey.ts';
import { useSite, type OpenSite } from '../src/site/SiteContext.tsx';
import { unitsOf } from '../src/field/useUnits.ts';
import { SITE } from '../../records/test/story.ts';
import { begin, jest, said, show, SITE_ID, Story } from './page.tsx';

beforeEach(begin);

const METRES = unitsOf({ lengthUnit: 'metre', angleUnit: 'dms', axisOrder: 'EN' });
const FEET = unitsOf({ lengthUnit: 'usSurveyFoot', angleUnit: 'degree', axisOrder: 'NE' });

describe('a key that stands for an action', () => {
  function Two({ act, press }: { readonly act: () => void; readonly press: () => void }) {
    useKey(' ', act);
    return (
      <>
        <button type="button" onClick={press}>
          Firm
        </button>
        <input aria-label="Note" />
      </>
    );
  }
  it('is for it after a button was pressed with a pointer, and for a button that was gone to by keyboard', async () => {
    const [act, press] = [jest.fn(), jest.fn()];
    const { user } = show(new Story(), <Two act={act} press={press} />);
    const calls = () => [act.mock.calls.length, press.mock.calls.length];
    await user.click(screen.getByRole('button', { name: 'Firm' }));
    expect(calls()).toEqual([0, 1]);
    await user.keyboard(' ');
    expect(calls()).toEqual([1, 1]);
    await user.tab({ shift: true });
    await user.tab();
    screen.getByRole('button', { name: 'Firm' }).focus();
    await user.keyboard(' ');
    expect(calls()).toEqual([1, 2]);
    await user.type(screen.getByLabelText('Note'), 'a b');
    expect(calls()).toEqual([1, 2]);
  });
});

describe('a clock that is behind the last entry', () => {
  it('is said to be, since what is entered then would stand before it', () => {
    const story = new Story();
    story.say('note', { text: 'the last one' });
    const last = Date.parse(story.state.timeline.at(-1)!.at);
    const clock = jest.spyOn(Date, 'now');
    try {
      clock.mockReturnValue(last - 50_000);
      const { unmount } = show(story, <ClockBehind />);
      expect(screen.queryByRole('alert')).toBeNull();
      unmount();
      clock.mockReturnValue(last - 120_000);
      show(story, <ClockBehind />);
      expect(screen.getByRole('alert').textContent).toMatch(
        /^It is 6 May \d\d:\d\d now, but the last entry of this site is of 6 May \d\d:\d\d: a clock is wrong\./,
      );
    } finally {
      clock.mockRestore();
    }
  });
});

describe('corners as text', () => {
  it('are written and read in the order and the unit of the site', () => {
    const corners = [
      { name: 'A', e: 1200, n: 600 },
      { name: 'B', e: 0, n: 1200 },
    ];
    expect(cornersDraft(corners, METRES).text).toBe('A, 1200, 600\nB, 0, 1200');
    expect(cornersDraft(corners, FEET).text).toBe('A, 1968.5, 3937\nB, 3937, 0');
    for (const units of [METRES, FEET]) {
      const read = readCorners(withText(NO_CORNERS, cornersDraft(corners, units).text), units, false);
      if (!read.ok) throw new Error(read.error);
      expect(read.value.map((corner) => [corner.name, Math.round(corner.e), Math.round(corner.n)])).toEqual([
        ['A', 1200, 600],
        ['B', 0, 1200],
      ]);
    }
  });

  it.each([
    ['', 'No corners yet.'],
    ['A, 1', 'Line 1, “A, 1”, isn’t a name and two coordinates.'],
    ['A, 1, 2\nB, x, 3', 'Line 2, “B, x, 3”, isn’t a name and two coordinates.'],
    ['A, 1, 2\nA, 3, 4', 'Line 2: A is named twice.'],
  ])('%j is rejected by its line', (text, error) => {
    expect(readCorners(withText(NO_CORNERS, text), METRES, false)).toEqual({ ok: false, error });
  });

  it('offers both readings of a coordinate that could be two', () => {
    const read = readCorners(withText(NO_CORNERS, '5-6, 1, 2\nB, 5-6 1/2, 3'), METRES, false);
    expect(!read.ok && read.error).toMatch(
      /^Line 2, “B, 5-6 1\/2, 3”, isn’t a name and two coordinates\. “5-6 1\/2” can be read in two ways: 5′ 6 1\/2″/,
    );
    expect(readCorners(withText(NO_CORNERS, 'A, 1, 2\nB, 5-6 1/2, 3'), FEET, false)).toMatchObject({ ok: true });
  });

  it('of lines may share their ends', () => {
    expect(readCorners(withText(NO_CORNERS, 'A1, 0, 0\nA5, 0, 9\nA1, 0, 0\nD1, 9, 0'), METRES, true)).toMatchObject({
      ok: true,
    });
  });
});

describe('settings of a site', () => {
  it('come back from the fields as they were', () => {
    expect(siteBody(draftOf(SITE))).toMatchObject(SITE);
    const feet = {
      ...SITE,
      lengthUnit: 'usSurveyFoot' as const,
      siteZero: (412 * 1200) / 3937,
      combinedScaleFactor: 0.999871,
    };
    expect(siteBody(draftOf(feet)).siteZero).toBeCloseTo(feet.siteZero, 9);
    expect(siteBody(draftOf(feet)).combinedScaleFactor).toBe(0.999871);
  });

  it.each([
    [{ name: '' }, 'name'],
    [{ name: 'Quay Extensi0n' }, 'name'],
    [{ name: 'x', zero: { text: 'abc' } }, 'zero'],
    [{ name: 'x', scale: '2' }, 'scale'],
    [{ name: 'x', scale: '' }, 'scale'],
    [{ name: 'x', interval: '0' }, 'interval'],
    [{ name: 'x', interval: '12.5' }, 'interval'],
  ] as const)('%j are rejected by their field', (change, field) => {
    const errors = siteErrors({ ...emptySite(), ...change }, ['Quay extension']);
    expect(
      Object.entries(errors)
        .filter(([, error]) => error !== null)
        .map(([name]) => name),
    ).toEqual([field]);
  });

  it('are changed by a new entry', async () => {
    const story = new Story();
    const { user } = show(story, <EditSite onClose={() => undefined} />);
    const interval = screen.getByLabelText(/^Check interval \(min\)/);
    await user.clear(interval);
    await user.type(interval, '45');
    await user.selectOptions(screen.getByLabelText('Instrument connection'), 'Demo instrument (Ternhaven)');
    await user.click(screen.getByRole('button', { name: 'Save settings' }));
    await waitFor(() =>
      expect(said()).toMatchObject([
        { type: 'site', body: { proofIntervalMinutes: 45, name: 'Quay extension', practiceGround: 'ternhaven' } },
      ]),
    );
  });
});

describe('a work package', () => {
  it('is made from typed points, with marks on the points themselves', async () => {
    const story = new Story();
    const { user } = show(story, <EditPackage work={null} onClose={() => undefined} />);
    await user.type(screen.getByLabelText('Name'), 'Piles');
    await user.type(screen.getByLabelText('Crew'), 'Piling');
    await user.type(screen.getByLabelText('Mark prefix'), 'PL');
    await user.type(screen.getByLabelText('Outline name'), 'Row A');
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'On the points');
    await user.type(screen.getByLabelText(/^Points to mark/), '1, 4000, 8000{Enter}2, 4005, 8000');
    expect(screen.getByText('2 marks, 2 without elevation')).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'On the points, two reference points each');
    expect(screen.getByText('6 marks, 6 without elevation')).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Hub layout'), 'On the points');
    await user.type(screen.getByLabelText('Design elevation (m)'), '4.1');
    await user.click(screen.getByRole('button', { name: 'Make package' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      body: { plans: [{ name: 'PL-1', offset: 0, place: { e: 4000, n: 8000 } }, { name: 'PL-2' }] },
    });
  });

  it('says what is wrong with an outline before anything is kept', async () => {
    const { user } = show(new Story(), <EditPackage work={null} onClose={() => undefined} />);
    await user.type(screen.getByLabelText('Outline name'), 'Hall');
    await user.type(screen.getByLabelText(/^Corners in order/), 'A, 0, 0{Enter}B, 10, 0');
    expect(screen.getByText('Hall: At least three corners are needed; 2 are given.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Make package' }));
    expect(said()).toEqual([]);
  });
});

describe('Today', () => {
  /** The site as the interface has it, to ask for the next step. */
  function site(story: Story): OpenSite {
    let open: OpenSite | null = null;
    const Look = () => {
      open = useSite();
      return null;
    };
    show(story, <Look />);
    return open!;
  }
  const age = { minutes: 10, due: null, unproven: [], unchecked: false, proven: true, failed: false, lastProof: null };

  it('leads from an empty site to a held mark, one sentence at a time', () => {
    const story = new Story();
    const titles: string[] = [];
    const ask = (proof: Parameters<typeof nextStep>[1] = null, toSet = 8) =>
      titles.push(nextStep(site(story), proof, [], toSet).title);
    ask();
    story.control();
    ask();
    const work = story.work();
    ask();
    const occupation = story.occupy('S1');
    ask();
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation);
    ask({ ...age, unproven: ['plan', 'height'], proven: false });
    ask({ ...age, due: 'CLOCK', minutes: 61 });
    ask({ ...age, failed: true });
    ask(age);
    ask(age, 0);
    const mark = story.set(solution, work, 0);
    titles.push(nextStep(site(story), age, [mark], 7).title);
    expect(titles).toEqual([
      'List the control marks',
      'Add a work package',
      'Station the instrument',
      'Finish stationing S1',
      'Prove S1 before the first mark',
      'Prove S1 before the next mark',
      'Stop: check shot failed at station S1',
      'Go on marking: 8 to set',
      'Everything asked for is set',
      'One mark is in doubt',
    ]);
    story.say('report', { mark: mark.id, kind: 'destroyed', who: 'Jo', text: '' });
    expect(nextStep(site(story), age, [], 7).title).toBe('One mark has to be set again');
    expect(nextStep(site(story), age, [mark], 7).to).toBe(
      `mark?package=${work.id}&mark=${encodeURIComponent(mark.body.key)}`,
    );
  });

  it('counts what is set, held, blocked and in doubt', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    const first = story.set(solution, work, 0);
    const plan = work.body.plans[3]!;
    story.say('obstruction', { package: work.id, key: plan.key, name: plan.name, place: plan.place, what: 'Fence' });
    story.prove(solution, 'P2', { e: 0.04 });
    const trust = story.trust();
    show(story, <WorkCard progress={progressOf(story.state, trust)} />);
    expect(screen.getByText('1 of 8 set, 1 blocked')).toBeTruthy();
    expect(screen.getByText('0 verified, 0 set and not verified yet, 1 in doubt')).toBeTruthy();
    show(story, <DoubtCard marks={[first]} standings={new Map(trust.marks.map((mark) => [mark.id, mark]))} />);
    expect(screen.getByText(/^Set from S1: a check shot after it failed|Set from S1:/)).toBeTruthy();
  });

  it('tells where control and work come from and what figures refer to', () => {
    const story = new Story({ combinedScaleFactor: 0.9998 }).control();
    story.work();
    show(story, <SiteCard />);
    expect(screen.getByText('list.csv: 6 marks')).toBeTruthy();
    expect(screen.getByText('site grid, meters, grid coordinates, combined scale factor 0.9998')).toBeTruthy();
    expect(screen.getByText('benchmark at the gate; site zero is 6.250 m')).toBeTruthy();
  });
});

describe('Prove', () => {
  it('offers what the station did not use before what it did', () => {
    const story = new Story().control();
    const solution = story.station('S1', ['K1', 'K2', 'K3']);
    show(
      story,
      <CandidateTable
        candidates={proofCandidates(story.state, solution)}
        chosen={null}
        busy={false}
        onChoose={() => undefined}
        onProve={() => undefined}
      />,
    );
    const names = screen
      .getAllByRole('row')
      .slice(1)
      .map((row) => within(row).getAllByRole('button')[0]!.textContent);
    // Of the two that are kept for proofs, the one that leaves less hidden comes first.
    expect(names).toEqual(['P2', 'P1', 'K4', 'K1', 'K2', 'K3']);
    expect(screen.getAllByText('Not used: proves the station')).toHaveLength(3);
    expect(screen.getAllByText('used: a repeat')).toHaveLength(3);
  });

  it('lists proofs with signed millimetres and says which failed', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    const proofs = [story.prove(solution, 'P1'), story.prove(solution, 'P2', { e: 0.04 })];
    show(story, <ProofTable proofs={proofs} nameOf={() => 'P'} outcomeWords={() => ''} />);
    expect(screen.getByText('outside')).toBeTruthy();
    expect(screen.getByText('+40')).toBeTruthy();
  });
});

describe('the field book', () => {
  it('is filtered by topic, by words and by set-up, and takes notes', async () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.set(solution, work, 0);
    story.station('S2');
    const { user } = show(story, <FieldBook />);
    const all = story.facts.length;
    expect(screen.getByText(new RegExp(`^${all} entries, newest first`))).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Marks' }));
    expect(screen.getByText(new RegExp(`^2 of ${all} entries`))).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Marks' }));
    await user.type(screen.getByLabelText('Search field book'), 'S2 set up');
    expect(screen.getByText(new RegExp(`^1 of ${all} entries`))).toBeTruthy();
    await user.clear(screen.getByLabelText('Search field book'));
    await user.selectOptions(screen.getByLabelText('Setup'), solution.occupation.id);
    const page = within(screen.getByRole('region', { name: 'Page of S1' }));
    expect(page.getByText('instrument 7, 1″, 1 mm + 1.5 ppm, 1.600 m above ground')).toBeTruthy();
    expect(page.getByText(work.body.plans[0]!.name)).toBeTruthy();
    await user.type(screen.getByLabelText('Add a note'), ' Crew told. ');
    await user.click(screen.getByRole('button', { name: 'Save note' }));
    await waitFor(() => expect(said()).toMatchObject([{ type: 'note', body: { text: 'Crew told.' } }]));
  });
});

describe('a typed reading', () => {
  async function asked() {
    const story = new Story();
    openTyped(SITE_ID);
    const shown = show(story, <TypedReading title="Reading to K1" />);
    const link = currentLink()!;
    let reading: unknown = null;
    act(() => {
      link.measure(new AbortController().signal).then(
        (read) => (reading = read),
        () => (reading = 'cancelled'),
      );
    });
    await screen.findByRole('dialog', { name: 'Reading to K1' });
    return { ...shown, reading: () => reading };
  }

  it('is taken once the target height is confirmed', async () => {
    const { user, reading } = await asked();
    await user.type(screen.getByLabelText('Horizontal circle'), '143 27 08');
    await user.type(screen.getByLabelText('Zenith angle'), '89 51 40');
    await user.type(screen.getByLabelText('Slope distance (m)'), '93.006');
    await user.click(screen.getByRole('button', { name: 'Save shot' }));
    expect(screen.getByText(/it was carried over from the last sight/)).toBeTruthy();
    await user.click(screen.getByLabelText(/target height is still the one/));
    await user.click(screen.getByRole('button', { name: 'Save shot' }));
    await waitFor(() =>
      expect(reading()).toMatchObject({
        slope: 93.006,
        angleUnit: 'dms',
        keyed: { circle: '143 27 08', slope: '93.006' },
      }),
    );
  });

  it('asks about an angle that can be read in two ways, and says what was understood', async () => {
    const { user, reading } = await asked();
    await user.type(screen.getByLabelText('Horizontal circle'), '21.4249');
    const question = screen.getByRole('group', { name: 'What 21.4249 means' });
    expect(within(question).getByText('Degrees, minutes and seconds, or decimal degrees?')).toBeTruthy();
    await user.type(screen.getByLabelText('Zenith angle'), '90');
    await user.type(screen.getByLabelText('Slope distance (m)'), '20');
    await user.click(screen.getByLabelText(/target height is still the one/));
    // Nothing is taken while it is not answered.
    await user.click(screen.getByRole('button', { name: 'Save shot' }));
    expect(reading()).toBeNull();
    expect(within(question).getByRole('button', { name: '21.4249° = 21°25′30″' })).toBeTruthy();
    await user.click(within(question).getByRole('button', { name: '21°42′49″' }));
    expect(screen.queryByRole('group', { name: /^What / })).toBeNull();
    expect(screen.getByText('= 21°42′49″')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save shot' }));
    await waitFor(() => expect(reading()).toMatchObject({ keyed: { circle: '21°42′49″' } }));
  });

  it('says which field is wrong', async () => {
    const { user, reading } = await asked();
    await user.type(screen.getByLabelText('Horizontal circle'), '361');
    await user.type(screen.getByLabelText('Zenith angle'), '0');
    await user.type(screen.getByLabelText('Slope distance (m)'), '0');
    expect(screen.getByText(/Enter the circle reading from 0 to 360/)).toBeTruthy();
    expect(screen.getByText(/A sight straight up or down has no direction/)).toBeTruthy();
    expect(screen.getByText(/A slope distance of 0 can’t be measured/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(reading()).toBe('cancelled'));
  });
});

describe('what is painted', () => {
  const scene = (count: number) =>
    joinScenes({
      symbols: Array.from({ length: count }, (_, i) => ({
        id: String(i),
        at: { e: i % 200, n: Math.floor(i / 200) },
        symbol: 'toSet' as const,
        chosen: i === 5,
      })),
    });

  it('is all of a small scene, and what is in view of a large one', () => {
    expect(visibleSymbols(indexScene(scene(50)), [0, 0, 10, 10], 1).symbols).toHaveLength(50);
    const large = visibleSymbols(indexScene(scene(1000)), [0, 0, 9.5, 9.5], 0.1);
    expect(large).toMatchObject({ crowded: false });
    expect(large.symbols).toHaveLength(50);
  });

  it('is thinned where symbols lie too thick, the chosen one never', () => {
    const { symbols, crowded } = visibleSymbols(indexScene(scene(20_000)), [-1, -1, 200, 100], 1);
    expect(crowded).toBe(true);
    expect(symbols.length).toBeLessThan(200);
    expect(symbols.some((symbol) => symbol.id === '5')).toBe(true);
  });

  it('fits the view to everything that has a place', () => {
    expect(sceneExtent(EMPTY_SCENE)).toBeNull();
    expect(
      sceneExtent(joinScenes(scene(3), { instruments: [{ at: { e: -7, n: 40 }, label: 'S1', facing: null }] })),
    ).toEqual([-7, 0, 2, 40]);
  });
});

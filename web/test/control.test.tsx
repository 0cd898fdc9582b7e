/** The list of control: several at once, points of the design, and what revisions and proofs do to stations. */
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import type { FactBody } from '@idle-marker/contract';
import { ownStation, GRID, PLACES } from '../../records/test/story.ts';
import { EditControl } from '../src/evidence/EditControl.tsx';
import { ImportControl } from '../src/features/control/ImportControl.tsx';
import { FromDesign } from '../src/features/control/FromDesign.tsx';
import { Place as ControlList } from '../src/features/control/ControlPlace.tsx';
import { AcceptedStation } from '../src/features/station/AcceptedStation.tsx';
import { OlderCard } from '../src/features/today/OlderCard.tsx';
import { LiftProvision } from '../src/evidence/LiftProvision.tsx';
import { begin, said, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

describe('a control mark', () => {
  it('is refused when its name looks like another, when half its place is missing, or when nothing is given', async () => {
    const story = new Story().control(['K1']);
    const { user } = show(story, <EditControl mark={null} onClose={() => undefined} />);
    await user.type(screen.getByLabelText('Name'), 'Kl');
    await user.type(screen.getByLabelText('Easting (m)'), '4000');
    await user.click(screen.getByRole('button', { name: 'Add mark' }));
    expect(screen.getByText(/K1 is on the list already: two names that look alike get mixed up/)).toBeTruthy();
    expect(screen.getAllByText('Enter both coordinates, or neither.').length).toBeGreaterThan(0);
    expect(said()).toEqual([]);
  });

  it('whose name is taken: new figures, the mean of both, or another mark, and none is lost', async () => {
    const story = new Story().control(['K1', 'K2', 'K3', 'K4'], { kind: 'plate' });
    story.station('S1');
    const { user } = show(story, <EditControl mark={null} onClose={() => undefined} />);
    await user.type(screen.getByLabelText('Name'), 'K1');
    await user.type(screen.getByLabelText('Easting (m)'), '3950.010');
    await user.type(screen.getByLabelText('Northing (m)'), '7960');
    await user.type(screen.getByLabelText('Elevation (m)'), '5.104');
    expect(screen.getByText('K1 is there already: 10 mm away from what you give, 4 mm lower')).toBeTruthy();
    expect(screen.getByText(/^1 station used it\./)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'A different mark: K1-2' }));
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('K1-2');
    expect(screen.queryByText(/is there already/)).toBeNull();
    await user.clear(screen.getByLabelText('Name'));
    await user.type(screen.getByLabelText('Name'), 'K1');
    await user.click(screen.getByRole('button', { name: 'Mean of old and new' }));
    expect(screen.getByRole('dialog', { name: 'K1: new revision' })).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Easting (m)').value).toBe('3950.005');
    await user.type(screen.getByLabelText('Source, or reason for change'), 'taken twice');
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    const [known] = story.state.control;
    await waitFor(() =>
      expect(said()).toMatchObject([
        {
          type: 'control',
          body: { mark: known!.id, kind: 'plate', e: 3950.005, z: 5.102, supersedes: known!.revision.id },
        },
      ]),
    );
  });

  it('that stands next to another is pointed out, and is kept when that is wanted', async () => {
    const story = new Story().control(['K1']);
    const { user } = show(story, <EditControl mark={null} onClose={() => undefined} />);
    await user.type(screen.getByLabelText('Name'), 'N7');
    await user.type(screen.getByLabelText('Easting (m)'), '3950.4');
    await user.type(screen.getByLabelText('Northing (m)'), '7960.1');
    expect(screen.getByText(/Less than 1 m from K1/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Add mark' }));
    await waitFor(() =>
      expect(said()).toMatchObject([
        { type: 'control', body: { name: 'N7', e: 3950.4, n: 7960.1, z: null, sdZMm: null, supersedes: null } },
      ]),
    );
  });

  it('is changed by a new revision that knows the one before', async () => {
    const story = new Story().control(['K1']);
    const mark = story.state.control[0]!;
    const { user } = show(story, <EditControl mark={mark} onClose={() => undefined} />);
    await user.selectOptions(screen.getByLabelText('Condition'), 'Doubtful');
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    expect(screen.getByText(/Say where the new figures come from/)).toBeTruthy();
    await user.type(screen.getByLabelText(/^Source, or/), 'curb run over');
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    await waitFor(() =>
      expect(said()).toMatchObject([
        { body: { mark: mark.id, condition: 'doubtful', supersedes: mark.revision.id, e: 3950 } },
      ]),
    );
  });
});

describe('the control list', () => {
  it('says what the marks are good for, and is empty with a way to fill it', () => {
    show(new Story(), <ControlList />);
    expect(screen.getByText('0 usable in plan: two are needed')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Import…' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Short coordinates' })).toBeNull();
  });

  it('shortens large coordinates when asked, and says by how much', async () => {
    const story = new Story().control(['K1'], { e: 451_203.118, n: 5_433_870.25 });
    story.control(['K2'], { e: 451_380.5, n: 5_433_900.125 });
    const { user } = show(story, <ControlList />);
    await user.click(screen.getByRole('button', { name: 'Short coordinates' }));
    expect(screen.getByRole('columnheader', { name: 'Easting − 450000 (m)' })).toBeTruthy();
    expect(
      within(screen.getByRole('button', { name: 'About K1' }).closest('tr')!).getByText(/^1.203\.118$/),
    ).toBeTruthy();
    expect(
      within(screen.getByRole('button', { name: 'About K2' }).closest('tr')!).getByText(/^3.900\.125$/),
    ).toBeTruthy();
  });
});

describe('marks of the list', () => {
  it('several get a condition in one step', async () => {
    const story = new Story().control(['K1', 'K2', 'K3']);
    const { user } = show(story, <ControlList />);
    await user.click(screen.getByRole('button', { name: 'Choose several…' }));
    await user.click(screen.getByLabelText('Choose K1'));
    await user.click(screen.getByLabelText('Choose K3'));
    await user.click(screen.getByRole('button', { name: 'Change 2 at once…' }));
    const dialog = screen.getByRole('dialog', { name: '2 marks at once' });
    await user.selectOptions(within(dialog).getByLabelText('Condition'), 'lost');
    await user.click(within(dialog).getByRole('button', { name: 'Revise 2 marks' }));
    expect(within(dialog).getByText('Say what was found, or where the new figures come from.')).toBeTruthy();
    // What becomes of each is seen before it is kept.
    expect(
      within(within(dialog).getByRole('list', { name: 'What becomes of them' }))
        .getAllByRole('listitem')
        .map((item) => item.textContent),
    ).toEqual(['K1 sound → lost', 'K3 sound → lost']);
    await user.type(within(dialog).getByLabelText('What was found, or where it comes from'), 'the dig took them');
    await user.click(within(dialog).getByRole('button', { name: 'Revise 2 marks' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(
      said().map((fact) => [(fact.body as { name: string }).name, (fact.body as { condition: string }).condition]),
    ).toEqual([
      ['K1', 'lost'],
      ['K3', 'lost'],
    ]);
    expect(await screen.findByRole('heading', { name: '2 marks were revised' })).toBeTruthy();
  });

  it('one that is given a height can be used in height', async () => {
    const story = new Story().control(['K1'], { z: null, useHeight: false, sdZMm: null });
    const mark = story.state.control[0]!;
    const { user } = show(story, <EditControl mark={mark} onClose={() => undefined} />);
    await user.type(screen.getByLabelText(/^Elevation \(m\)/), '5.120');
    await user.type(screen.getByLabelText(/^Source, or/), 'levelled');
    await user.click(screen.getByRole('button', { name: 'Save as new revision' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ body: { z: 5.12, useHeight: true } });
  });
});

describe('points of the design', () => {
  it('become control with one press, once, with where they come from', async () => {
    const story = new Story().control(['K1']);
    story.say('grid', GRID);
    const { user, unmount } = show(story, <FromDesign onClose={nothing} />);
    await user.type(screen.getByRole('searchbox', { name: 'Find a point' }), 'A-1');
    const row = screen.getByRole('row', { name: /^A-1/ });
    await user.click(within(row).getByRole('button', { name: /^Make A-1 of .* control$/ }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'control',
      body: { name: 'A-1', from: 'grid', sdHMm: 5, useHeight: false },
    });
    expect((await screen.findByRole('status')).textContent).toBe('Listed: A-1.');
    unmount();
    story.say('control', said()[0]!.body as FactBody<'control'>);
    show(story, <FromDesign onClose={nothing} />);
    const again = screen.getByRole('row', { name: /^A-1 / });
    expect(within(again).queryByRole('button')).toBeNull();
    expect(within(again).getByText('listed')).toBeTruthy();
  });

  it('are none yet where nothing is drawn', () => {
    show(new Story(), <FromDesign onClose={nothing} />);
    expect(screen.getByText(/^Nothing is drawn or measured here yet/)).toBeTruthy();
  });
});

describe('a station on older figures', () => {
  it('says so on its page and on Today', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    show(story, <OlderCard />).unmount();
    expect(screen.queryByRole('region')).toBeNull();
    story.control(['K1'], { e: PLACES.K1.e + 0.05 });
    const title = 'S1 was computed before K1 was revised';
    const { unmount } = show(story, <OlderCard />);
    expect(
      within(screen.getByRole('region', { name: 'Stations on older figures of control' })).getByRole('heading', {
        name: title,
      }),
    ).toBeTruthy();
    unmount();
    show(story, <AcceptedStation solution={solution} onSightMore={nothing} onNew={nothing} />);
    expect(screen.getByRole('heading', { name: title })).toBeTruthy();
  });
});

describe('a provisional station on own marks', () => {
  it('is accepted again in one press once it was proved on given ones', async () => {
    const { story, second, now } = ownStation();
    const { unmount } = show(story, <LiftProvision solution={second} />);
    expect(screen.queryByRole('button')).toBeNull();
    unmount();
    story.prove(second, 'K1');
    const { user } = show(story, <LiftProvision solution={now()} />);
    expect(screen.getByRole('heading', { name: 'S2 need not be provisional any more' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Accept it without the provision' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'decision', body: { solution: second.fact.id, verdict: 'accepted' } });
  });
});

describe('a list from a file', () => {
  const dialog = (story = new Story().control(['K1'])) =>
    show(story, <ImportControl onClose={nothing} onWritten={nothing} onDesign={nothing} onOtherSite={nothing} />);
  const choose = (user: ReturnType<typeof show>['user'], text: string) =>
    user.upload(screen.getByLabelText(/header row/), new File([text], 'list.txt', { type: 'text/plain' }));

  it('without headings offers orders, shows what stands in each column, and lets each be said', async () => {
    const { user } = dialog();
    await choose(user, '101,8001.2,4012.3,6.25,PIN\n102,8010,4020,6.30,NAIL\n');
    expect(await screen.findByText(/No headings\. The columns are:/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Import marks' }).hasAttribute('disabled')).toBe(true);
    await user.click(screen.getByRole('button', { name: 'P N E Z D' }));
    expect(await screen.findByText('Read with the northing first.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLSelectElement>('Column 2 is').value).toBe('n');
    // A role belongs to one column.
    await user.selectOptions(screen.getByLabelText('Column 2 is'), 'Easting');
    expect(screen.getByLabelText<HTMLSelectElement>('Column 3 is').value).toBe('');
    await user.selectOptions(screen.getByLabelText('Column 3 is'), 'Northing');
    expect(await screen.findByText(/Read with the easting first/)).toBeTruthy();
  });

  it('shows how large it is and lies far off where its unit is another than the control’s', async () => {
    const { user } = dialog(new Story().control());
    await choose(user, 'Point,E,N\nA,4000.5,8000\nB,4021,8012.2\n');
    expect(await screen.findByText('2 marks, 20.5 east–west by 12.2 north–south (m).')).toBeTruthy();
    expect(screen.queryByText(/far from the control of this site/)).toBeNull();
    await user.selectOptions(screen.getByLabelText('Unit of the coordinates'), 'feet');
    expect(await screen.findByText(/far from the control of this site; read in meters, it would fit/)).toBeTruthy();
  });

  it('in the other feet than the site’s asks which, until somebody says', async () => {
    const { user } = dialog(new Story({ lengthUnit: 'usSurveyFoot' }).control([]));
    await choose(user, 'Point,N (ft),E (ft)\nA,5000,10000\nB,5100,10100\n');
    expect(
      await screen.findByText(
        /taken as feet; this site is in US survey feet\. Here the two differ by up to 0\.020 US ft/,
      ),
    ).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Unit of the coordinates'), 'US survey feet');
    await waitFor(() => expect(screen.queryByText(/Here the two differ/)).toBeNull());
  });

  it('shows its separator and letters, and its unit can be said to be another', async () => {
    const { user } = dialog();
    await choose(user, 'Point;E (ft);N (ft)\nA;100,5;200\nB;110,5;200\n');
    expect(await screen.findByText('Separated by semicolons; letters in Unicode.')).toBeTruthy();
    // By the figures it is a comma; a person may know better.
    const sign = screen.getByLabelText<HTMLSelectElement>('Decimal sign');
    expect(sign.selectedOptions[0]!.textContent).toBe('comma, by the figures');
    const unit = screen.getByLabelText<HTMLSelectElement>('Unit of the coordinates');
    expect(unit.selectedOptions[0]!.textContent).toBe('feet, as the file states');
    await user.selectOptions(unit, 'meters');
    expect(await screen.findByText(/unit/i, { selector: 'p.border-ochre' })).toBeTruthy();
  });
});

import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { Place as HandOver } from '../src/features/handover/HandOverPlace.tsx';
import { SetupPageCard } from '../src/features/fieldbook/SetupPageCard.tsx';
import { NewSite } from '../src/features/sites/NewSite.tsx';
import { Place as Station } from '../src/features/station/StationPlace.tsx';
import { Place as Mark } from '../src/features/mark/MarkPlace.tsx';
import { Place as Prove } from '../src/features/prove/ProvePlace.tsx';
import { useLocation } from 'react-router';
import { FindOrDo } from '../src/frame/FindOrDo.tsx';
import { Saved } from '../src/frame/Saved.tsx';
import { say } from '../src/data/ledger.ts';
import { begin, jest, said, server, show, SITE_ID, Story } from './page.tsx';

beforeEach(begin);

describe('empty places lead to what they lack', () => {
  const goTo = (name: string) => screen.getByRole('link', { name }).getAttribute('href');

  it('Station to control', () => {
    show(new Story(), <Station />);
    expect(screen.getByText('Nothing to sight yet')).toBeTruthy();
    expect(goTo('List the control marks')).toBe(`/sites/${SITE_ID}/control`);
  });

  it('Prove to a station', () => {
    show(new Story().control(), <Prove />);
    expect(goTo('Go to Station')).toBe(`/sites/${SITE_ID}/station`);
  });

  it('Mark to a work package, then to a station', () => {
    const story = new Story().control();
    const { unmount } = show(story, <Mark />);
    expect(goTo('Make a work package')).toBe(`/sites/${SITE_ID}/design`);
    unmount();
    story.work();
    show(story, <Mark />);
    expect(screen.getByText(/^8 marks wait in/)).toBeTruthy();
    expect(goTo('Go to Station')).toBe(`/sites/${SITE_ID}/station`);
  });

  it('Hand over to a work package, then to marks', () => {
    const story = new Story().control();
    const { unmount } = show(story, <HandOver />);
    expect(goTo('Make a work package')).toBe(`/sites/${SITE_ID}/design`);
    unmount();
    story.work();
    show(story, <HandOver />);
    expect(goTo('Go and mark')).toBe(`/sites/${SITE_ID}/mark`);
    expect(screen.getByRole('button', { name: 'Issue cut sheet…' })).toHaveProperty('disabled', true);
  });
});

describe('handing over', () => {
  const day = () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    const marks = [story.set(solution, work, 0), story.set(solution, work, 1)];
    story.prove(solution, 'P2');
    return { story, work, solution, marks };
  };

  it('shows what would be issued, and orders the sheet in the time of the place', async () => {
    const { story, work } = day();
    const { user } = show(story, <HandOver />);
    const rows = within(screen.getByRole('region', { name: 'Rows of the sheet' }))
      .getAllByRole('row')
      .slice(1);
    expect(rows.map((row) => within(row).getAllByRole('cell')[0]!.textContent).sort()).toEqual(
      work.body.plans
        .slice(0, 2)
        .map((plan) => plan.name)
        .sort(),
    );
    for (const row of rows) expect(within(row).getByText('verified')).toBeTruthy();
    expect(await screen.findByText(/^No sheet yet/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Issue cut sheet…' }));
    await user.click(screen.getByRole('button', { name: 'Issue cut sheet' }));
    await waitFor(() =>
      expect(server.orders).toMatchObject([
        { package: work.id, by: story.who, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone },
      ]),
    );
  });

  it('says why a sheet was not issued', async () => {
    server.refused.set('sheet', {
      status: 409,
      body: { code: 'MISSING_REFERENCE', detail: 'This work package hasn’t arrived. Nothing was issued.' },
    });
    const { user } = show(day().story, <HandOver />);
    await user.click(screen.getByRole('button', { name: 'Issue cut sheet…' }));
    await user.click(screen.getByRole('button', { name: 'Issue cut sheet' }));
    expect(await screen.findByText('This work package hasn’t arrived. Nothing was issued.')).toBeTruthy();
  });

  it('calls back a sheet whose mark fell in doubt', async () => {
    const { story, solution, marks } = day();
    story.prove(solution, 'P1', { e: 0.05 });
    const later = story.set(solution, story.state.packages[0]!, 2);
    const sheet = '44444444-4444-4444-8444-444444444444';
    const given = [marks[0]!, later].map((mark) => mark.id);
    story.say('handover', {
      sheet,
      number: 1,
      revision: 1,
      package: story.state.packages[0]!.id,
      marks: given,
      withheld: [],
      givenTo: 'Ada, formwork',
    });
    server.sheets.push({
      id: sheet,
      number: 1,
      revision: 1,
      package: 'Hall hubs',
      issuedAt: '2031-05-06T10:00:00.000Z',
      issuedBy: 'Mara',
      marks: [marks[0]!, later].map((mark) => ({ mark: mark.id, name: mark.body.name })),
    });
    show(story, <HandOver />);
    expect(
      await screen.findByText(new RegExp(`^Tell Ada, formwork: .*${later.body.name}: in doubt: don’t build from it`)),
    ).toBeTruthy();
    expect(screen.getByText(/mark is withheld|marks are withheld/)).toBeTruthy();
  });
});

describe('the page of a set-up', () => {
  it('tells what was remarked meanwhile, and goes to paper', async () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.say('event', { occupation: solution.occupation.id, kind: 'plant', note: 'roller' });
    story.say('note', { text: 'K2 stands low' });
    const print = jest.spyOn(window, 'print').mockImplementation(() => undefined);
    const { user } = show(story, <SetupPageCard occupation={solution.occupation} />);
    expect(screen.getByText(/heavy plant passed, roller; .*K2 stands low/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Print this page' }));
    expect(print).toHaveBeenCalledTimes(1);
  });
});

describe('a new site', () => {
  it('begins with the person who makes it, so that every entry carries one', async () => {
    const made: string[] = [];
    const { user } = show(
      new Story(),
      <NewSite open onClose={() => undefined} taken={['Quay']} onMade={(id) => made.push(id)} />,
    );
    await user.click(screen.getByRole('button', { name: 'Continue' }));
    expect(screen.getByText('Enter a name for the site.')).toBeTruthy();
    expect(screen.getByText(/Enter the name of the first person/)).toBeTruthy();
    await user.type(screen.getByLabelText('Site name'), 'Yard');
    await user.type(screen.getByLabelText('Your name'), 'Ines');
    await user.click(screen.getByRole('radio', { name: 'US feet' }));
    await user.click(screen.getByRole('radio', { name: 'British and Commonwealth' }));
    await user.click(screen.getByRole('button', { name: 'Continue' }));
    // What was assumed stands in a list, in the wording that was chosen, each with a way to change it.
    expect(screen.getByText('Level datum')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Change Check interval' }));
    await user.clear(screen.getByLabelText('Check interval (min)'));
    await user.type(screen.getByLabelText('Check interval (min)'), '45');
    await user.click(screen.getByRole('button', { name: 'Create site' }));
    await waitFor(() => expect(said()).toHaveLength(8));
    const [member, site, ...library] = said();
    // What most crews carry, each figure to be confirmed.
    expect(library.map(({ type, body }) => [type, (body as { toConfirm?: boolean }).toConfirm])).toEqual(
      library.map(() => ['equipment', true]),
    );
    expect(member).toMatchObject({ type: 'member', by: member!.id, body: { name: 'Ines' } });
    expect(site).toMatchObject({ type: 'site', by: member!.id, body: { name: 'Yard', practiceGround: null } });
    expect(site!.body).toMatchObject({
      lengthUnit: 'usSurveyFoot',
      axisOrder: 'NE',
      proofIntervalMinutes: 45,
      wording: { preset: 'british' },
    });
    // What is kept with the site is named as the site is worded, and round in its unit.
    expect((site!.body as { classes: object[] }).classes[1]).toMatchObject({
      name: 'Kerb and drainage',
      planMm: 9.144,
    });
    expect(made).toHaveLength(1);
  });
});

describe('what is stored', () => {
  it('names an entry that was refused, and why, until somebody has seen it', async () => {
    const story = new Story();
    server.refused.set('note', {
      status: 422,
      body: { code: 'INVALID_INPUT', detail: 'text is too long. Nothing was saved.' },
    });
    const { user } = show(story, <Saved />);
    await say(SITE_ID, story.who, [{ type: 'note', body: { text: 'x' } }]);
    await user.click(await screen.findByRole('button', { name: '1 rejected' }));
    expect(screen.getByText('text is too long. Nothing was saved.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Dismiss' }));
    await waitFor(() => expect(screen.queryByText('text is too long. Nothing was saved.')).toBeNull());
  });
});

describe('find or do', () => {
  const Where = () => <output>{useLocation().pathname + useLocation().search}</output>;
  const open = async () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    const { user } = show(
      story,
      <>
        <FindOrDo />
        <Where />
      </>,
    );
    await user.keyboard('{Control>}k{/Control}');
    return { user, work, solution, where: () => screen.getByRole('status', { hidden: true }).textContent };
  };

  it('goes to a mark by its name, with keys alone', async () => {
    const { user, work, where } = await open();
    const plan = work.body.plans[3]!;
    await user.type(screen.getByRole('combobox'), `${plan.name.toLowerCase()}{Enter}`);
    expect(where()).toBe(`/sites/${SITE_ID}/mark?package=${work.id}&mark=${encodeURIComponent(plan.key)}`);
    expect(screen.queryByRole('combobox')).toBeNull();
  });

  it('notes an event of the instrument that stands', async () => {
    const { user, solution } = await open();
    await user.type(screen.getByRole('combobox'), 'bumped');
    await user.click(screen.getByRole('option', { name: /S1 was bumped/ }));
    await waitFor(() =>
      expect(said()).toMatchObject([{ type: 'event', body: { occupation: solution.occupation.id, kind: 'bump' } }]),
    );
  });

  it('says that there is nothing of a name', async () => {
    const { user } = await open();
    await user.type(screen.getByRole('combobox'), 'zebra');
    expect(screen.getByText('No match.')).toBeTruthy();
  });
});

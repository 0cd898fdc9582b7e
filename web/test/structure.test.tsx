import type { FactBody } from '@idle-marker/contract';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { useState } from 'react';
import { screen, waitFor, within } from '@testing-library/react';
import { Place as AsBuilt } from '../src/features/structure/AsBuiltPlace.tsx';
import { Place as Columns } from '../src/features/structure/ColumnsPlace.tsx';
import { Place as Marking } from '../src/features/mark/MarkPlace.tsx';
import { Place as HandOver } from '../src/features/handover/HandOverPlace.tsx';
import { CodeField } from '../src/pole/CodeField.tsx';
import { lineAt, lineBetween, lineChoices } from '../src/features/structure/lineChoices.ts';
import { Place as OnLine } from '../src/features/structure/LinePlace.tsx';
import { CareDialog } from '../src/pole/CareDialog.tsx';
import { CallingDialog } from '../src/pole/CallingDialog.tsx';
import { GRID, HALL, newId } from '../../records/test/story.ts';
import { begin, said, show, Story } from './page.tsx';

beforeEach(async () => {
  localStorage.clear();
  await begin();
});
const nothing = () => undefined;

const face = (crossing: string, edge: 'first' | 'second', level: 'low' | 'high' = 'low') =>
  ({ kind: 'face', grid: GRID.grid, line: 'A', crossing, edge, level, targetOffset: 0, width: 0.3 }) as const;

describe('a code', () => {
  function Typed({ onCode }: { onCode(code: string): void }) {
    const [code, setCode] = useState('');
    onCode(code);
    return <CodeField value={code} codes={['road', 'kerb']} onChange={setCode} />;
  }

  it('that looks like another is asked about, and taken as it is when one says so', async () => {
    let code = '';
    const { user } = show(new Story(), <Typed onCode={(now) => (code = now)} />);
    await user.type(screen.getByLabelText('Code'), 'RD');
    expect(screen.getByText('RD: did you mean road?')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'No, RD' }));
    expect([code, screen.queryByText(/did you mean/)]).toEqual(['RD', null]);
    await user.clear(screen.getByLabelText('Code'));
    await user.type(screen.getByLabelText('Code'), 'kreb');
    expect(screen.queryByText(/did you mean/)).toBeNull();
    await user.clear(screen.getByLabelText('Code'));
    await user.type(screen.getByLabelText('Code'), 'Kerb');
    await user.click(screen.getByRole('button', { name: 'kerb' }));
    expect([code, screen.queryByText(/did you mean/)]).toEqual(['kerb', null]);
  });
});

describe('columns along a line', () => {
  const row = () => {
    const story = new Story().control();
    story.say('grid', GRID);
    const station = story.station('S1');
    // Line A runs north at E 3990; its faces look east.
    story.measure(station, { e: 3990.15, n: 7989.85, z: 5.5 }, { name: 'A-1 first low', against: face('1', 'first') });
    story.measure(
      station,
      { e: 3990.151, n: 7990.15, z: 5.5 },
      { name: 'A-1 second low', against: face('1', 'second') },
    );
    story.measure(station, { e: 3990.15, n: 7995.85, z: 5.5 }, { name: 'A-2 first low', against: face('2', 'first') });
    return story;
  };

  it('lead to the first that is not complete, and say what is asked of it', () => {
    show(row(), <Columns />);
    expect(screen.getByRole('heading', { level: 1, name: /^Column A-2 1 of 3 done/ })).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Column A-2: not complete' })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Shoot the north edge/ })).toBeTruthy();
    const table = within(screen.getByRole('table'));
    expect(table.getByRole('row', { name: /^A-1 0\.150 0\.150 0\.151 done/ })).toBeTruthy();
    expect(table.getByRole('row', { name: /^A-3 – – – to do/ })).toBeTruthy();
  });

  it('are gone to by the table, and told with what to write there', async () => {
    const { user } = show(row(), <Columns />);
    await user.click(screen.getByRole('button', { name: 'A-1' }));
    expect(screen.getByRole('heading', { name: 'Column A-1 is in tolerance' })).toBeTruthy();
    expect(screen.getByText(/^face 0\.15[01] to line A$/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Withdraw A-1 first low' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'withdrawal', body: { reason: 'A-1 first low withdrawn' } });
    await user.selectOptions(screen.getByLabelText('Grid line'), '2');
    expect(screen.getByRole('heading', { level: 1, name: /^Column 2-A/ })).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Check lean'), 'Yes: shots low and high');
    expect(screen.getByRole('button', { name: /^Shoot the west edge, low/ })).toBeTruthy();
  });

  it('take a width that is taped after shooting at once, and keep the same shots with it', async () => {
    const { user } = show(row(), <Columns />);
    await user.click(screen.getByRole('button', { name: 'A-1' }));
    const width = screen.getByLabelText(/^Column width across line/);
    await user.clear(width);
    await user.type(width, '0.320');
    const table = within(screen.getByRole('table'));
    expect(table.getByRole('row', { name: /^A-1 0\.160/ })).toBeTruthy();
    await user.tab();
    await waitFor(() => expect(said()).toHaveLength(2));
    for (const fact of said())
      expect(fact).toMatchObject({
        type: 'asBuilt',
        body: { against: { width: 0.32 }, supersedes: expect.any(String) },
      });
  });

  it('keep a width to its last digit when its field is only walked through', async () => {
    const story = row();
    const station = story.station('S2');
    const width = 0.300043;
    story.measure(
      station,
      { e: 3990.15, n: 7996.15, z: 5.5 },
      { name: 'A-2 second low', against: { ...face('2', 'second'), width } },
    );
    const { user } = show(story, <Columns />);
    await user.click(screen.getByRole('button', { name: 'A-2' }));
    const field = screen.getByLabelText<HTMLInputElement>(/^Column width across line/);
    expect(field.value).toBe('0.3');
    await user.click(field);
    await user.tab();
    expect(said()).toEqual([]);
    await user.type(field, '5');
    await user.tab();
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[1]).toMatchObject({ body: { against: { width: 0.35 } } });
  });

  it('want a grid and a station first', () => {
    const story = new Story().control();
    show(story, <Columns />).unmount();
    story.say('grid', GRID);
    show(story, <Columns />);
    expect(screen.getByText('Station the instrument first')).toBeTruthy();
  });
});

describe('as built', () => {
  const day = () => {
    const story = new Story().control();
    const pattern = {
      kind: 'rectangle',
      along: 0.4,
      across: 0.3,
      alongCount: 2,
      acrossCount: 2,
      azimuthDeg: 0,
    } as const;
    const work = story.work({
      name: 'Bases',
      items: [
        {
          ...HALL,
          name: 'Base',
          rule: 'bolts',
          meaning: 'centre',
          corners: [{ name: 'B1', e: 4005, n: 8003 }],
          designZ: 6,
          pattern,
        },
      ],
      offset: 0.5,
    });
    const station = story.station('S1');
    for (const plan of work.body.plans.filter(({ offset }) => offset === 0).slice(0, 3))
      story.measure(
        station,
        { e: plan.design.e + 0.02, n: plan.design.n, z: 6 },
        { name: plan.corner, code: 'bolt', against: { kind: 'plan', package: work.id, key: plan.key } },
      );
    story.measure(station, { e: 4009, n: 8003, z: 6 }, { name: 'pin 7' }, 3);
    return story;
  };

  it('says of a group of bolts where it lies, and goes on to the one that is left', () => {
    show(day(), <AsBuilt />);
    expect(
      screen.getByRole('heading', { name: 'Bolt group B1: The pattern is good, but it sits 20 mm off' }),
    ).toBeTruthy();
    expect(screen.getByText(/3 of 4 measured/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Measure B1\.4/ })).toBeTruthy();
    const table = screen.getAllByRole('table').at(-1)!;
    expect(
      within(table).getByRole('row', { name: /^B1\.1 bolt 20 mm east out of tolerance on design elevation/ }),
    ).toBeTruthy();
    expect(within(table).getByRole('row', { name: /^pin 7 no code spread 2 mm/ })).toBeTruthy();
  });

  it('lists what has no code, gives it one, and makes a pin control', async () => {
    const { user } = show(day(), <AsBuilt />);
    await user.selectOptions(screen.getByLabelText('Filter by code'), 'without a code');
    const table = () => within(screen.getAllByRole('table').at(-1)!);
    expect(table().getAllByRole('row')).toHaveLength(2);
    await user.click(screen.getByRole('button', { name: 'corner' }));
    await user.click(screen.getByRole('button', { name: 'Give pin 7 the code corner' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'asBuilt',
      body: { name: 'pin 7', code: 'corner', supersedes: expect.any(String) },
    });
    await user.click(screen.getByRole('button', { name: 'Make pin 7 control' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[1]).toMatchObject({ type: 'control', body: { name: 'pin 7', source: 'measured, station S1' } });
  });

  it('shows what the instrument could not take beside what it did', () => {
    const story = day();
    story.measure(
      story.state.accepted[0]!,
      { e: 4012, n: 8003, z: 6 },
      { name: 'cover 3', note: 'cover to invert 1.42' },
    );
    show(story, <AsBuilt />);
    expect(screen.getByRole('row', { name: /^cover 3 no code cover to invert 1\.42/ })).toBeTruthy();
    expect(screen.getByLabelText('Taped figures and notes')).toBeTruthy();
  });

  it('refuses a name that is measured already, and compares two things', async () => {
    const { user } = show(day(), <AsBuilt />);
    await user.selectOptions(screen.getByLabelText('Compare with'), 'None (free point)');
    await user.clear(screen.getByLabelText('Name'));
    await user.type(screen.getByLabelText('Name'), 'pin 7');
    expect(screen.getByText(/This name is already used by a measured point/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Measure pin 7/ }).disabled).toBe(true);
    await user.selectOptions(screen.getByLabelText('Between'), 'B1.1');
    await user.selectOptions(screen.getByLabelText('and'), 'pin 7');
    expect(screen.getByText(/^Horizontal distance \d\.\d{3} m; pin 7 is 0\.000 (higher|lower)\.$/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'As CSV' }).getAttribute('href')).toMatch(
      /as-built\.csv\?at=.*&by=.*&timeZone=/,
    );
  });
});

describe('on a line', () => {
  const site = () => {
    const story = new Story().control();
    story.say('grid', GRID);
    story.work();
    return story;
  };

  it('lines are those of grids and outlines, and the one that is touched', () => {
    const { state } = site();
    const lines = lineChoices(state);
    expect(lines.map(({ name }) => name)).toEqual([
      'A',
      'B',
      '1',
      '2',
      '3',
      'Hall A–B',
      'Hall B–C',
      'Hall C–D',
      'Hall D–A',
    ]);
    expect(lines[0]!.crossed).toHaveLength(3);
    expect(lineAt(lines, { e: 3995, n: 7996.2 }, 0.5)?.name).toBe('2');
    expect(lineAt(lines, { e: 3950, n: 7950 }, 0.5)).toBeNull();
    expect(lineBetween({ name: 'K1', e: 0, n: 0 }, { name: 'K2', e: 0, n: 5 })).toMatchObject({
      name: 'K1–K2',
      azimuth: 0,
    });
  });

  it('what was measured stands along and off it, by the compass; a line needs two points', async () => {
    const story = site();
    const station = story.station('S1');
    const against = {
      kind: 'line',
      name: 'line A',
      from: { e: 3990, n: 7990, z: null },
      to: { e: 3990, n: 8002, z: null },
    } as const;
    const fact = story.measure(station, { e: 3989.9, n: 7993, z: 5.5 }, { name: 'L1', against }, 2);
    const { user } = show(story, <OnLine />);
    expect(screen.getByText(/^Line A, running north, 12\.000 m long/)).toBeTruthy();
    expect(screen.getByRole('row', { name: /^L1 line A 3\.000 0\.\d{3} west spread 1 mm/ })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Withdraw L1' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'withdrawal', body: { record: fact.id } });
    await user.selectOptions(screen.getByLabelText('Line'), 'between two points');
    await user.selectOptions(screen.getByLabelText('To'), 'K1');
    expect(screen.getByText('A line runs between two different points.')).toBeTruthy();
    expect(screen.getByText('No line is chosen')).toBeTruthy();
  });

  it('is staked along and off in five entries, the next a step on in two', async () => {
    const story = site();
    story.station('S1');
    const { user } = show(story, <OnLine />);
    await user.type(screen.getByLabelText('Start elevation (m)'), '5');
    await user.type(screen.getByLabelText('End elevation (m)'), '5.6');
    await user.type(screen.getByLabelText(/^Go to: distance along/), '3');
    // Nothing typed for the second distance is no nought.
    expect(screen.queryByRole('button', { name: /^Stake A/ })).toBeNull();
    await user.type(screen.getByLabelText(/^Go to: offset/), '2');
    // Pressed twice in a hurry it is still one.
    await user.dblClick(screen.getByRole('button', { name: 'Stake A 3 R2, 5.150 m' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    const plansSaid = () => (said().at(-1)!.body as FactBody<'package'>).plans;
    expect(plansSaid()).toMatchObject([
      { name: 'SP-A 3 R2', place: { e: 3992, n: 7993 }, designZ: expect.closeTo(5.15, 6) },
    ]);
    await user.type(screen.getByLabelText('Step along (m)'), '1.5');
    await user.click(screen.getByRole('button', { name: 'Next, 1.5 m on' }));
    await user.click(screen.getByRole('button', { name: 'Stake A 4.5 R2, 5.225 m' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    // This page keeps the site as it began: the package is made anew each time.
    expect(plansSaid().map(({ name }) => name)).toEqual(['SP-A 4.5 R2']);
  });

  it('an arc between two points says which way it turns, and which side is which', async () => {
    const story = site();
    story.station('S1');
    const { user } = show(story, <OnLine />);
    await user.selectOptions(screen.getByLabelText('Line'), 'between two points');
    await user.selectOptions(screen.getByLabelText('From'), 'K1');
    await user.selectOptions(screen.getByLabelText('To'), 'K2');
    await user.selectOptions(screen.getByLabelText('Shape'), 'Arc, curving left');
    await user.type(screen.getByLabelText(/^Radius/), '1');
    expect(screen.getByText(/^Too small: the points lie \d+\.\d{3} m apart/)).toBeTruthy();
    await user.type(screen.getByLabelText(/^Radius/), '00');
    expect(screen.getByText(/^Arc K1–K2, starting \S+ and turning left, \d+\.\d{3} m long/)).toBeTruthy();
    expect(screen.getByText('Looking along the arc, right is its outer side, away from the center.')).toBeTruthy();
  });

  it('arcs and heights of kerbs that are marked along are there to be read against', () => {
    const story = site();
    const corners = [
      { name: 'K', e: 4000, n: 8000, z: 5, bulge: Math.tan(Math.PI / 8) },
      { name: 'L', e: 4010, n: 8010, z: null },
    ];
    story.work({
      name: 'Kerb',
      items: [
        {
          ...HALL,
          name: 'Island',
          rule: 'along',
          corners,
          designZ: 5.2,
          along: { spacing: { interval: 5 }, side: 'on', closed: false },
        },
      ],
    });
    const arc = lineChoices(story.state).at(-1)!;
    expect(arc).toMatchObject({
      name: 'Island K–L',
      length: expect.closeTo(5 * Math.PI, 6),
      side: { from: { z: 5 }, to: { z: 5.2 } },
    });
    expect(lineAt([arc], { e: 4000 + 10.2 * Math.sin(1), n: 8010 - 10.2 * Math.cos(1) }, 0.3)).toBe(arc);
    expect(lineAt([arc], { e: 4000, n: 8010 }, 0.3)).toBeNull();
  });
});

describe('care and pacing', () => {
  it('are noted with what was done and to what', async () => {
    const story = new Story();
    const item = newId();
    story.say('equipment', {
      item,
      what: { kind: 'pole', name: 'Pole 2', bubbleMinutes: 3, bubbleChecked: null },
      retired: false,
      supersedes: null,
    });
    const { user } = show(story, <CareDialog onClose={nothing} />);
    await user.selectOptions(screen.getByLabelText('Equipment'), 'Pole 2');
    await user.type(screen.getByLabelText('Details and findings'), 'bubble set against a corner');
    await user.click(screen.getByRole('button', { name: 'Add log entry' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'care',
      body: { what: 'adjustment', about: item, text: 'bubble set against a corner' },
    });
  });

  it('a pace is counted over a taped distance', async () => {
    const { user } = show(new Story(), <CallingDialog open onClose={nothing} />);
    const mine = screen.getByRole<HTMLButtonElement>('button', { name: 'Save my pace' });
    expect(mine.disabled).toBe(true);
    await user.type(screen.getByLabelText('Taped (m)'), '30');
    await user.type(screen.getByLabelText('Paces'), '40');
    await user.click(mine);
    expect(screen.getByText(/^Your pace is 0\.75 m/)).toBeTruthy();
  });
});

describe('coming back', () => {
  it('finds the line, the side and the figures as they were left', async () => {
    const story = new Story().control();
    story.work();
    story.station('S1');
    const first = show(story, <OnLine />);
    const line = screen.getByLabelText<HTMLSelectElement>('Line');
    const other = [...line.options].map((option) => option.value)[2]!;
    await first.user.selectOptions(line, other);
    await first.user.type(screen.getByLabelText(/^Go to: distance along/), '3.25');
    first.unmount();
    show(story, <OnLine />);
    expect(screen.getByLabelText<HTMLSelectElement>('Line').value).toBe(other);
    expect(screen.getByLabelText<HTMLInputElement>(/^Go to: distance along/).value).toBe('3.25');
  });

  it('reaches what needs no work package from a site without one', () => {
    show(new Story().control(), <Marking />);
    const ways = within(screen.getByRole('navigation', { name: 'What is done at the pole' }));
    expect(ways.getAllByRole('link').map((link) => link.textContent)).toEqual([
      'Layout points',
      'Reference line',
      'Road',
      'Columns',
      'As-built',
    ]);
    show(new Story().control(), <HandOver />);
    expect(
      within(screen.getByRole('navigation', { name: 'What is handed over' })).getByRole('link', { name: 'Files' }),
    ).toBeTruthy();
  });
});

import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { nextNumbered, reservedFor } from '@idle-marker/records';
import { EditPackage } from '../src/features/design/EditPackage.tsx';
import { CustomsDialog } from '../src/settings/CustomsDialog.tsx';
import { EditSite } from '../src/settings/EditSite.tsx';
import { Place as AsBuilt } from '../src/features/structure/AsBuiltPlace.tsx';
import { Place as OnLine } from '../src/features/structure/LinePlace.tsx';
import { SITE } from '../../records/test/story.ts';
import { begin, said, show, Story } from './page.tsx';

beforeEach(async () => {
  localStorage.clear();
  await begin();
});
const nothing = () => undefined;
const NUMBERS = { asBuilt: 5000, lines: 6000, ownControl: 9000 };

describe('names that count up', () => {
  it('begin where the site says, skip what is taken, and know whose range a number lies in', () => {
    const plain = new Story().control();
    expect([
      nextNumbered(plain.state, 'asBuilt'),
      nextNumbered(plain.state, 'lines'),
      nextNumbered(plain.state, 'ownControl'),
    ]).toEqual(['1', 'L1', 'N1']);
    expect(reservedFor(plain.state, '5000')).toBeNull();
    const story = new Story({ numbers: NUMBERS }).control();
    const station = story.station('S1');
    for (const name of ['5000', '5001', 'L4']) story.measure(station, { e: 4000, n: 8000, z: 5 }, { name });
    expect(nextNumbered(story.state, 'asBuilt')).toBe('5002');
    expect(nextNumbered(story.state, 'lines')).toBe('6000');
    expect(['4999', '5500', '6000', '12000', 'K7'].map((name) => reservedFor(story.state, name))).toEqual([
      null,
      'asBuilt',
      'lines',
      'ownControl',
      null,
    ]);
    plain.measure(plain.station('S1'), { e: 4000, n: 8000, z: 5 }, { name: 'L4' });
    expect(nextNumbered(plain.state, 'lines')).toBe('L5');
  });

  it('are offered where something is measured, and a number of another range is told', async () => {
    const story = new Story({ numbers: NUMBERS, alongWord: 'chainage' }).control();
    const station = story.station('S1');
    const against = {
      kind: 'line',
      name: 'line A',
      from: { e: 3990, n: 7990, z: null },
      to: { e: 3990, n: 8002, z: null },
    } as const;
    story.measure(station, { e: 3989.9, n: 7993, z: 5.5 }, { name: '6000', against });
    const { user, unmount } = show(story, <AsBuilt />);
    expect(screen.getByRole('button', { name: /^Measure 5000/ })).toBeTruthy();
    await user.clear(screen.getByLabelText('Name'));
    await user.type(screen.getByLabelText('Name'), '9001');
    expect(screen.getByText('Numbers from there are for secondary control.')).toBeTruthy();
    unmount();
    show(story, <OnLine />);
    expect(screen.getByRole('columnheader', { name: 'Chainage' })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Measure 6001/ })).toBeTruthy();
  });

  it('are kept with the settings, which refuse two ranges that begin at once', async () => {
    const { user } = show(new Story(), <EditSite onClose={nothing} />);
    const numbers = screen.getAllByLabelText(/^First (as-built number|number on lines|secondary control number)$/);
    await user.type(numbers[0]!, '5000');
    await user.type(numbers[1]!, '5000');
    expect(screen.getByText(/^Two ranges begin at the same number/)).toBeTruthy();
    await user.clear(numbers[1]!);
    await user.type(numbers[1]!, 'x');
    expect(screen.getByText(/^Enter whole numbers such as 5000/)).toBeTruthy();
    await user.clear(numbers[1]!);
    await user.selectOptions(screen.getByLabelText('Word for distance along a line'), 'chainage');
    await user.type(screen.getByLabelText('Building grid, hubs usually off by'), '3');
    await user.click(screen.getByRole('button', { name: 'Save settings' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      body: {
        numbers: { asBuilt: 5000, lines: null, ownControl: null },
        alongWord: 'chainage',
        classes: expect.arrayContaining([expect.objectContaining({ id: 'grid', offset: 3 })]),
      },
    });
  });
});

describe('the usual offset of a class', () => {
  it('is taken over with the class until somebody gives a figure', async () => {
    const classes = SITE.classes.map((each) => ({ ...each, offset: each.id === 'grid' ? 3 : 1 }));
    const kerb = { id: 'kerb', name: 'Kerb', planMm: 10, heightMm: 5, leastMarks: 3, offset: 1 };
    const { user } = show(
      new Story({ classes: [...classes.filter(({ id }) => id !== 'kerb'), kerb] }),
      <EditPackage work={null} onClose={nothing} />,
    );
    const offset = () => screen.getByLabelText<HTMLInputElement>('Offset (m)').value;
    expect(Number(offset())).toBe(3);
    await user.selectOptions(screen.getByLabelText('Tolerance class'), 'kerb');
    expect(Number(offset())).toBe(1);
    await user.clear(screen.getByLabelText('Offset (m)'));
    await user.type(screen.getByLabelText('Offset (m)'), '1.5');
    await user.selectOptions(screen.getByLabelText('Tolerance class'), 'grid');
    expect(Number(offset())).toBe(1.5);
  });
});

describe('where people differ', () => {
  it('the schools are named, what holds here stands beside them, and one’s own choices are made there', async () => {
    const classes = SITE.classes.map((each) => ({ ...each, offset: 2.5 }));
    const { user, unmount } = show(
      new Story({ alongWord: 'station', siteZero: 6.25, classes }),
      <CustomsDialog onClose={nothing} onSettings={nothing} />,
    );
    const about = (question: string) => within(screen.getByRole('heading', { name: question }).closest('section')!);
    expect(about('Station or chainage?').getByText('Here: station.')).toBeTruthy();
    expect(about('Elevations from floor, or true?').getByText('Zero here is 6.250 m.')).toBeTruthy();
    expect(about('How far off do hubs stand?').getByText(/^Usual here: .* 2\.500 m/)).toBeTruthy();
    expect(about('Does cut or fill carry a sign?').getByText(/a dash · a plus · neither/)).toBeTruthy();
    await user.selectOptions(about('How does one come to a point?').getByLabelText('On this device'), 'tape');
    await user.selectOptions(about('Whose left and right?').getByLabelText('On this device'), 'north');
    unmount();
    show(new Story(), <CustomsDialog onClose={nothing} onSettings={nothing} />);
    expect(about('How does one come to a point?').getByLabelText<HTMLSelectElement>('On this device').value).toBe(
      'tape',
    );
    expect(about('Whose left and right?').getByLabelText<HTMLSelectElement>('On this device').value).toBe('north');
    expect(about('How far off do hubs stand?').getByText('No usual offset is set here.')).toBeTruthy();
  });
});

import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { EditArea } from '../src/features/design/EditArea.tsx';
import { OffsetsDialog } from '../src/features/design/OffsetsDialog.tsx';
import { EditGrid } from '../src/features/design/EditGrid.tsx';
import { EditPackage } from '../src/features/design/EditPackage.tsx';
import { readLabels, readSpacings } from '../src/features/design/gridDraft.ts';
import { unitsOf } from '../src/field/useUnits.ts';
import { newId } from '../../records/test/story.ts';
import { begin, keptDrawing, said, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;
const metres = unitsOf({ lengthUnit: 'metre', angleUnit: 'dms', axisOrder: 'EN' });
const feet = unitsOf({ lengthUnit: 'foot', angleUnit: 'dms', axisOrder: 'EN' });

describe('what people write for a grid', () => {
  it.each([
    ['A-D', ['A', 'B', 'C', 'D']],
    ['8 – 11', ['8', '9', '10', '11']],
    ['A, B, B.5; C', ['A', 'B', 'B.5', 'C']],
    ['1', ['1']],
    ['D-A', null],
    ['A-4', null],
    ['', null],
    ['a-name-too-long-for-a-line', null],
  ])('labels %s', (text, labels) => expect(readLabels(text)).toEqual(labels));

  it('spacings, once or several at a time, in feet and inches too', () => {
    expect(readSpacings('3 x 7.2', metres)).toEqual([7.2, 7.2, 7.2]);
    expect(readSpacings('6 6,5', metres)).toBeNull();
    expect(readSpacings('6; 6.5', metres)).toEqual([6, 6.5]);
    expect(readSpacings('6 6 7.5', metres)).toEqual([6, 6, 7.5]);
    expect(readSpacings(`2 × 24' 6", 25'`, feet)!.map((each) => Math.round(each * 1000))).toEqual([7468, 7468, 7620]);
    expect(readSpacings('2 x 24-6 1/2 25-0 1/4', feet)!.map((each) => Math.round(each * 1000))).toEqual([
      7480, 7480, 7626,
    ]);
    expect(readSpacings('6, six', metres)).toBeNull();
    expect(readSpacings(' ', metres)).toEqual([]);
  });
});

describe('an offset by hand', () => {
  it('goes by round steps, refuses a place that is not clear, and is kept', async () => {
    const story = new Story().control();
    const work = story.work();
    const { user } = show(story, <OffsetsDialog work={work} onClose={nothing} />);
    const [plan] = work.body.plans;
    await user.click(screen.getByRole('button', { name: `${plan!.name} farther` }));
    expect(screen.getByText(/^1 by hand, /)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Use these offsets' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    const [kept] = said();
    expect(kept).toMatchObject({
      type: 'package',
      body: { plans: expect.arrayContaining([expect.objectContaining({ key: plan!.key, offset: 2.5 })]) },
    });
  });
});

describe('a grid', () => {
  it('is drawn from what is typed, says what is wrong first, and is kept', async () => {
    const { user } = show(new Story().control(), <EditGrid grid={null} onClose={nothing} />);
    const type = async (label: string, text: string) => {
      await user.clear(screen.getByLabelText(label));
      await user.type(screen.getByLabelText(label), text);
    };
    await user.click(screen.getByRole('button', { name: 'Save grid' }));
    expect(screen.getByText('Enter a name for the grid.')).toBeTruthy();
    expect(screen.getAllByText('4 lines have 3 spacings between them; 0 are given.').length).toBeGreaterThan(0);
    await type('Name', 'Hall');
    await type('Spacing, lettered lines (m)', '3 x 7.2');
    await type('Numbered lines', '1-3');
    await type('Spacing, numbered lines (m)', '6, 0');
    expect(screen.getAllByText('The spacing between 2 and 3 must be over 0.').length).toBeGreaterThan(0);
    await type('Spacing, numbered lines (m)', '6, 6');
    await type('Easting of A-1 (m)', '4000');
    await type('Northing of A-1 (m)', '8000');
    await type('Easting of second point (A) (m)', '4012.003');
    await type('Northing of second point (A) (m)', '8000');
    expect(screen.getByText('4 by 3 lines, 12 crossings')).toBeTruthy();
    expect(screen.getByText(/The second place is 0.003 m from where A meets 3 by the spacings/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save grid' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'grid',
      body: {
        name: 'Hall',
        origin: { e: 4000, n: 8000 },
        letters: { azimuthDeg: 90, labels: ['A', 'B', 'C', 'D'] },
        numbers: { azimuthDeg: 180, spacings: [6, 6] },
      },
    });
  });

  it('comes from a drawing', async () => {
    const story = new Story().control();
    await keptDrawing(
      story,
      'ticket-hall.dxf',
      readFileSync(`${import.meta.dirname}/../../demo/ternhaven/ticket-hall.dxf`),
    );
    const { user } = show(story, <EditGrid grid={null} onClose={nothing} />);
    await user.click(await screen.findByRole('button', { name: 'GRID: A B C D by 1 2 3 4 5' }));
    expect(screen.getByText('4 by 5 lines, 20 crossings')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save grid' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      body: { name: 'GRID', source: 'ticket-hall.dxf', letters: { spacings: [7.2, 7.2, 7.2] } },
    });
  });

  it('takes marks that suit who builds from them, and says why', async () => {
    const { user } = show(new Story().control(['K1', 'K2']), <EditPackage work={null} onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Laser' }));
    expect(screen.getByLabelText<HTMLInputElement>('Use').value).toBe('setting up a laser for elevations');
    expect(screen.getByLabelText<HTMLSelectElement>('Mark type').value).toBe('nail');
    expect(screen.getByText(/few elevations and firm ones/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Dig' }));
    expect(screen.getByLabelText<HTMLSelectElement>('Rounding').value).toBe('hundredth');
    expect(screen.getByRole('button', { name: 'Dig' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('finds a point again from two taped distances, or where lines meet', async () => {
    const { user } = show(new Story().control(['K1', 'K2']), <EditPackage work={null} onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Add point by measurements…' }));
    const words = within(screen.getByRole('region', { name: 'Point by measurements' }));
    await user.selectOptions(words.getByLabelText('Method'), 'Intersection of lines or distances');
    const [first, second] = words.getAllByLabelText('Distance (m)');
    await user.type(first!, '10');
    await user.type(second!, '10');
    expect(words.getByText(/These don’t intersect/)).toBeTruthy();
    await user.clear(first!);
    await user.clear(second!);
    await user.type(first!, '66');
    await user.type(second!, '66');
    // K1 is 3950, 7960 and K2 4060, 7950: the two places lie north and south of the line between them.
    const which = words.getByLabelText('Intersection to use');
    expect(
      within(which)
        .getAllByRole('option')
        .map((option) => option.textContent),
    ).toEqual(['south one', 'north one']);
    await user.selectOptions(which, 'north one');
    const text = words.getByText(/^E 4.*N 7.*/).textContent.replace(/\u2009/g, '');
    const [e, n] = [...text.matchAll(/[\d.]+/g)].map(Number) as [number, number];
    expect(Math.hypot(e - 3950, n - 7960)).toBeCloseTo(66, 2);
    expect(Math.hypot(e - 4060, n - 7950)).toBeCloseTo(66, 2);
    expect(n).toBeGreaterThan(7960);
    await user.selectOptions(words.getByLabelText('Second element'), 'Line through two points');
    expect(words.getByLabelText('End point')).toBeTruthy();
  });

  it('gives the points of a package, and places that are put in words', async () => {
    const story = new Story().control();
    story.say('grid', {
      grid: newId(),
      name: 'Hall',
      origin: { e: 4000, n: 8000 },
      letters: { azimuthDeg: 90, labels: ['A', 'B', 'C'], spacings: [5, 5] },
      numbers: { azimuthDeg: 0, labels: ['1', '2', '3'], spacings: [8, 8] },
      spacingMeasured: 'perpendicular',
      source: 'typed',
      retired: false,
      supersedes: null,
    });
    const { user } = show(story, <EditPackage work={null} onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Add point by measurements…' }));
    const words = within(screen.getByRole('region', { name: 'Point by measurements' }));
    const list = () => screen.getByLabelText<HTMLTextAreaElement>(/one a line/).value;
    // 2.5 from line 3 toward 2, 1.25 from line A toward B.
    const [fromNumber, fromLetter] = words.getAllByLabelText('Offset (m)');
    await user.type(fromNumber!, '2.5');
    await user.selectOptions(words.getAllByLabelText('Grid line')[0]!, '3');
    await user.selectOptions(words.getAllByLabelText('Toward grid line')[0]!, '2');
    await user.type(fromLetter!, '1.25');
    await user.selectOptions(words.getAllByLabelText('Grid line')[1]!, 'A');
    await user.selectOptions(words.getAllByLabelText('Toward grid line')[1]!, 'B');
    await user.click(words.getByRole('button', { name: 'Add point' }));
    expect(list()).toBe('A-3 P1, 4013.5, 8001.25');
    // Along a line and to a side of it: no sign is taken.
    await user.selectOptions(words.getByLabelText('Method'), 'line');
    await user.selectOptions(
      words.getByLabelText('Start point'),
      words.getAllByRole<HTMLOptionElement>('option', { name: 'A-1' })[0]!.value,
    );
    await user.selectOptions(
      words.getByLabelText('End point'),
      words.getAllByRole<HTMLOptionElement>('option', { name: 'A-3' })[0]!.value,
    );
    await user.type(words.getByLabelText('Distance along (m)'), '-3');
    expect(words.getByText(/without a sign/)).toBeTruthy();
    await user.clear(words.getByLabelText('Distance along (m)'));
    await user.type(words.getByLabelText('Distance along (m)'), '3');
    await user.type(words.getByLabelText('Offset (m)'), '1.5');
    await user.selectOptions(words.getByLabelText('Side'), 'left');
    await user.type(words.getByLabelText('Point name'), 'Post{Enter}');
    expect(list()).toBe('A-3 P1, 4013.5, 8001.25\nPost, 4003, 8001.5');
    await user.click(screen.getByRole('button', { name: 'Hall: 9 crossings' }));
    expect(list().split('\n')).toHaveLength(9);
  });

  it('puts a point at a direction and a distance, with the grade from where it is measured', async () => {
    const { user } = show(new Story().control(['K1', 'K2']), <EditPackage work={null} onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Add point by measurements…' }));
    const words = within(screen.getByRole('region', { name: 'Point by measurements' }));
    const list = () => screen.getByLabelText<HTMLTextAreaElement>(/one a line/).value;
    await user.selectOptions(words.getByLabelText('Method'), 'Direction and distance');
    // K1 is 3950, 7960.
    await user.type(words.getByLabelText('Azimuth'), '90');
    await user.type(words.getByLabelText('Horizontal distance (m)'), '20');
    await user.selectOptions(words.getByLabelText('Elevation'), 'Grade');
    await user.type(words.getByLabelText('Grade (%)'), '2.5');
    await user.selectOptions(words.getByLabelText('Up or down'), 'Down');
    await user.click(words.getByRole('button', { name: 'Add point' }));
    const [first] = list().split('\n');
    const [name, e, n, z] = first!.split(', ');
    expect([name, e, n]).toEqual(['P1', '3970', '7960']);
    expect(Number(z)).toBeCloseTo(new Story().control(['K1']).state.control[0]!.revision.body.z! - 0.5, 6);
    // Turned right by a quarter from the sight to K2, which lies east by south.
    await user.selectOptions(words.getByLabelText('Direction by'), 'Angle right');
    await user.selectOptions(words.getByLabelText('Elevation'), 'None');
    await user.click(words.getByRole('button', { name: 'Add point' }));
    const [, turned] = list().split('\n');
    const [, te, tn] = turned!.split(', ').map(Number);
    expect(Math.hypot(te! - 3950, tn! - 7960)).toBeCloseTo(20, 3);
    expect((te! - 3950) * 110 + (tn! - 7960) * -10).toBeCloseTo(0, 1);
    expect(tn!).toBeLessThan(7960);
  });

  it('asks whether the side is right when the other one would be inside', async () => {
    const story = new Story().control();
    const work = story.work();
    const { user } = show(story, <EditPackage work={work} onClose={nothing} />);
    await user.click(screen.getAllByRole('button', { name: 'Add point by measurements…' })[0]!);
    const words = within(screen.getByRole('region', { name: 'Point by measurements' }));
    await user.type(words.getByLabelText('Distance along (m)'), '2');
    await user.type(words.getByLabelText('Offset (m)'), '1');
    if (words.queryByText(/Is the side right/) === null) await user.selectOptions(words.getByLabelText('Side'), 'left');
    await user.click(words.getByRole('button', { name: 'Switch side' }));
    expect(words.queryByText(/outside of every outline/)).toBeNull();
  });
});

describe('an area to keep out of', () => {
  it('is drawn, and the hubs in it move with the reason', async () => {
    const story = new Story().control();
    const work = story.work();
    const hub = work.body.plans[0]!;
    const { user, unmount } = show(story, <EditArea area={null} onClose={nothing} />);
    await user.click(screen.getByRole('button', { name: 'Save area' }));
    expect(screen.getByText('Enter a name that the crew knows.')).toBeTruthy();
    expect(screen.getByText(/Touch the plan at its corners/)).toBeTruthy();
    await user.type(screen.getByLabelText('Name'), 'Heap');
    await user.selectOptions(screen.getByLabelText('Type'), 'Fence');
    expect(screen.getByLabelText<HTMLInputElement>(/^Clearance from edge/).value).toBe('0.3');
    await user.selectOptions(screen.getByLabelText('Type'), 'Spoil heap');
    const corners = screen.getByLabelText(/Corners in order/);
    const { e, n } = hub.place;
    await user.type(corners, `1, ${e - 0.3}, ${n - 0.3}\n2, ${e + 0.3}, ${n - 0.3}`);
    expect(screen.getByText('At least three corners are needed; 2 are given.')).toBeTruthy();
    await user.type(corners, `\n3, ${e + 0.3}, ${n + 0.3}\n4, ${e - 0.3}, ${n + 0.3}`);
    await user.click(screen.getByRole('button', { name: 'Save area' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'area',
      body: { name: 'Heap', kind: 'spoilHeap', margin: 0.5, blocksSight: true },
    });
    unmount();
    story.say('area', said()[0]!.body as never);
    const again = show(story, <OffsetsDialog work={work} onClose={nothing} />);
    expect(screen.getByText('1 mark moves')).toBeTruthy();
    const row = within(screen.getByRole('row', { name: new RegExp(`^${hub.name}`) }));
    expect(row.getByText('in or too near to Heap')).toBeTruthy();
    await again.user.click(screen.getByRole('button', { name: 'Use these offsets' }));
    await waitFor(() => expect(said().at(-1)?.type).toBe('package'));
  });
});

describe('an outline that runs into a house', () => {
  it('is not made before somebody has given the reason, and the smallest gap is told as it is typed', async () => {
    const story = new Story().control(['K1', 'K2']);
    story.say('area', {
      area: newId(),
      name: 'House',
      kind: 'building',
      corners: [
        { e: 3990, n: 7990 },
        { e: 3999.4, n: 7990 },
        { e: 3999.4, n: 8020 },
        { e: 3990, n: 8020 },
      ],
      margin: 0,
      blocksSight: true,
      source: 'x',
      retired: false,
      supersedes: null,
    });
    const { user } = show(story, <EditPackage work={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Name'), 'Pool');
    await user.type(screen.getByLabelText('Crew'), 'Diggers');
    await user.type(screen.getByLabelText('Mark prefix'), 'P');
    await user.type(screen.getByLabelText('Outline name'), 'Pool');
    const corners = screen.getByLabelText(/^Corners/);
    await user.click(corners);
    await user.paste('P1, 4000, 8000\nP2, 4008, 8000\nP3, 4008, 8004\nP4, 4000, 8004');
    expect(screen.getByText('Smallest gap: 0.600 m, from Pool at P1 to House.')).toBeTruthy();
    await user.type(screen.getByLabelText('Least clearance (m)'), '1');
    expect(screen.getByText('Pool comes within 0.600 m of House at P1; it asks for 1.000 m.')).toBeTruthy();
    await user.clear(corners);
    await user.click(corners);
    await user.paste('P1, 3999, 8000\nP2, 4008, 8000\nP3, 4008, 8004\nP4, 3999, 8004');
    expect(screen.getByText('Pool runs into House at P1.')).toBeTruthy();
    const save = screen.getByRole('button', { name: 'Make package' });
    await user.click(save);
    expect(screen.getByText('Change the outline, or give the reason to go on as it is.')).toBeTruthy();
    expect(said()).toEqual([]);
    await user.type(screen.getByLabelText('Reason to go on'), 'The wall is taken down first.');
    await user.click(screen.getByRole('button', { name: 'Go on' }));
    await user.click(screen.getByRole('button', { name: 'Make it in plan only' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({
      type: 'package',
      body: { clearance: { least: 1, reason: 'The wall is taken down first.' } },
    });
  });
});

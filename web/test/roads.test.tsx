import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import type { Fact } from '@idle-marker/contract';
import { EditRoad } from '../src/features/design/EditRoad.tsx';
import { begin, said, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

describe('a line that was typed element after element', () => {
  it('is changed as it was typed', async () => {
    const story = new Story().control();
    const { user, unmount } = show(story, <EditRoad fact={null} onClose={nothing} />);
    const way = 'start 4000, 8000, direction 90\nline 40\ncurve 20 radius 50 right';
    await user.type(screen.getByLabelText('Name'), 'Haul road');
    await user.selectOptions(screen.getByLabelText('Horizontal alignment given by'), 'elements');
    await user.click(screen.getAllByRole('button', { name: 'As text' })[0]!);
    await user.click(screen.getByLabelText('Horizontal alignment, as text'));
    await user.paste(way);
    const keep = screen.getByRole('button', { name: 'Save alignment' });
    await user.click(keep);
    await waitFor(() => expect(said()).toHaveLength(1));
    unmount();
    const kept = said()[0] as Fact<'alignment'>;
    expect(kept.body.typed).toEqual({ text: way, unit: 'metre' });
    show(story, <EditRoad fact={kept} onClose={nothing} />);
    const cell = (name: string) => screen.getByLabelText<HTMLInputElement>(name).value;
    expect(cell('Direction, row 1')).toBe('90');
    expect(screen.getAllByLabelText<HTMLInputElement>('Length, row 1').map((each) => each.value)).toContain('40');
    expect(cell('Radius, row 2')).toBe('50');
    expect(cell('Turns, row 2')).toBe('right');
  });
});

describe('a road typed as a table', () => {
  const cell = (name: string) => screen.getByLabelText<HTMLInputElement>(name);

  it('is typed cell by cell, with what is wrong said in the cell', async () => {
    const { user } = show(new Story().control(), <EditRoad fact={null} onClose={nothing} />);
    await user.type(screen.getByLabelText('Name'), 'Haul road');
    for (const [name, text] of [
      ['Easting, row 1', '4040'],
      ['Northing, row 1', '8150'],
      ['Easting, row 2', '4120'],
      ['Northing, row 2', '81x80'],
      ['Radius, row 2', '30'],
      ['Easting, row 3', '4140'],
      ['Northing, row 3', '8130'],
    ] as const)
      await user.type(cell(name), text);
    expect(cell('Northing, row 2').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText('not a length')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save alignment' }));
    expect(said()).toHaveLength(0);
    await user.clear(cell('Northing, row 2'));
    await user.type(cell('Northing, row 2'), '8180');
    expect(screen.queryByText('not a length')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Save alignment' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    const { body } = said()[0] as Fact<'alignment'>;
    expect(body.intersections).toHaveLength(3);
    expect(body.intersections![1]).toMatchObject({ e: 4120, n: 8180, radius: 30 });
  });

  it('takes a block from a spreadsheet where the cursor stands, and gives it back when asked', async () => {
    const { user } = show(new Story().control(), <EditRoad fact={null} onClose={nothing} />);
    await user.click(cell('Station, row 1'));
    await user.paste('0+000\t5\tnone\n0+060\t6\tlength\t20\n0+120\t5.2');
    expect(cell('Elevation, row 2').value).toBe('6');
    expect(cell('Vertical curve, row 2').value).toBe('curve');
    expect(cell('Length or radius, row 2').value).toBe('20');
    expect(cell('Station, row 3').value).toBe('0+120');
    // The next row waits.
    expect(cell('Station, row 4').value).toBe('');
    await user.click(screen.getByRole('button', { name: 'Undo paste or removal' }));
    expect(cell('Station, row 1').value).toBe('');
  });

  it('goes on to the next row with Enter, and a row is taken away', async () => {
    const { user } = show(new Story().control(), <EditRoad fact={null} onClose={nothing} />);
    await user.type(cell('Station back, row 1'), '0+200{Enter}');
    await waitFor(() => expect(document.activeElement).toBe(cell('Station back, row 2')));
    await user.type(cell('Station ahead, row 1'), '0+500');
    const table = screen.getByRole('table', { name: 'Station equations' });
    await user.click(within(table).getByRole('button', { name: 'Remove row 1' }));
    expect(cell('Station back, row 1').value).toBe('');
  });
});

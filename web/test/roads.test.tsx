import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
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
    const field = screen.getByLabelText('Horizontal alignment');
    await user.click(field);
    await user.paste(way);
    const keep = screen.getByRole('button', { name: 'Save alignment' });
    await user.click(keep);
    await waitFor(() => expect(said()).toHaveLength(1));
    unmount();
    const kept = said()[0] as Fact<'alignment'>;
    expect(kept.body.typed).toEqual({ text: way, unit: 'metre' });
    show(story, <EditRoad fact={kept} onClose={nothing} />);
    expect(screen.getByLabelText<HTMLTextAreaElement>('Horizontal alignment').value).toBe(way);
  });
});

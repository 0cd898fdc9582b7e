/**
 * What is handed over, and what is taken in, without a browser: lists of any length, the sketch, tapes, files of
 * sights.
 */
import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { siteLandXml } from '@idle-marker/formats';
import { exportedAbout, exportedPoints, exportedSetups, rawSightsOf } from '@idle-marker/records';
import { rawSightsText } from '@idle-marker/contract';
import { HALL } from '../../records/test/story.ts';
import { Place as HandOver } from '../src/features/handover/HandOverPlace.tsx';
import { Place as Sketch } from '../src/features/handover/SketchPlace.tsx';
import { Place as Stakes } from '../src/features/handover/StakesPlace.tsx';
import { Place as Tape } from '../src/features/handover/TapePlace.tsx';
import { Place as Writing } from '../src/features/handover/WritingPlace.tsx';
import { TakeRawSights } from '../src/features/handover/TakeRawSights.tsx';
import { begin, said, show, Story } from './page.tsx';

beforeEach(begin);

/** Pads in a row, each with eight hubs; so many of them set. */
function pads(count: number) {
  const story = new Story().control();
  const items = Array.from({ length: count }, (_, i) => ({
    ...HALL,
    name: `Pad ${i + 1}`,
    corners: HALL.corners.map((corner, k) => ({
      name: `${i + 1}${corner.name}`,
      e: 3990 + i * 4 + (k === 1 || k === 2 ? 2 : 0),
      n: 7990 + (k > 1 ? 2 : 0),
    })),
  }));
  const work = story.work({ name: 'Pads', items, offset: 1 }, 'P');
  const solution = story.station('S1');
  work.body.plans.forEach((_plan, i) => story.set(solution, work, i));
  return { story, work, solution };
}

describe('a long list', () => {
  it('shows its first rows, and all of them when asked', async () => {
    const { story, work } = pads(14);
    const { user } = show(story, <HandOver />);
    const rows = () => within(screen.getByRole('region', { name: 'Rows of the sheet' })).getAllByRole('row').length - 1;
    expect(rows()).toBe(100);
    await user.click(screen.getByRole('button', { name: `Show all ${work.body.plans.length} marks` }));
    await waitFor(() => expect(rows()).toBe(work.body.plans.length));
    expect(screen.queryByRole('button', { name: /^Show all/ })).toBeNull();
  });

  it('of stakes is searched by a part of the name', async () => {
    const { story } = pads(4);
    const { user } = show(story, <Stakes />);
    await user.type(screen.getByLabelText('Find a stake'), '3a');
    const names = within(screen.getByRole('region', { name: 'Stakes' }))
      .getAllByRole('button')
      .map((button) => button.textContent)
      .filter((name) => name.startsWith('P-'));
    expect(names).toEqual(['P-3A S', 'P-3A W']);
    expect(screen.getByRole('heading', { name: 'P-3A S' })).toBeTruthy();
    await user.type(screen.getByLabelText('Find a stake'), 'x');
    expect(screen.getByText('No stake has that in its name.')).toBeTruthy();
  });
});

describe('stakes that would be written otherwise', () => {
  it('are kept as written anew, in one go or one by one, and no others', async () => {
    const { story, work } = pads(1);
    const { user, unmount } = show(story, <Stakes />);
    expect(screen.queryByRole('button', { name: 'Record rewritten stakes…' })).toBeNull();
    unmount();
    story.say('site', { ...story.state.settings, convention: 'pegLevels' });
    show(story, <Stakes />);
    expect(screen.getByText(`${work.body.plans.length} stakes differ from the current text`)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Record rewritten stakes…' }));
    const dialog = screen.getByRole('dialog');
    await user.click(within(dialog).getByRole('checkbox', { name: /^P-1A S/ }));
    await user.click(within(dialog).getByRole('button', { name: `Record ${work.body.plans.length - 1} stakes` }));
    await waitFor(() =>
      expect(said().filter(({ type }) => type === 'writing')).toHaveLength(work.body.plans.length - 1),
    );
    expect(screen.queryByRole('dialog')).toBeNull();
    await user.click(screen.getByRole('button', { name: 'P-1A S' }));
    expect(screen.getByText(/^Written on the stake: .* m offset/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Write it' }));
    for (let i = 0; i < 10; i++) await user.keyboard('{ArrowDown}');
    await user.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(said().filter(({ type }) => type === 'writing')).toHaveLength(work.body.plans.length));
    const mark = [...story.state.marks.values()].find(({ body }) => body.name === 'P-1A S')!;
    expect(said().at(-1)).toMatchObject({
      type: 'writing',
      body: { mark: mark.id, written: { convention: 'pegLevels' } },
    });
  });
});

describe('the sketch', () => {
  it('is drawn in pieces, and drawn again for other paper', async () => {
    const { story } = pads(2);
    const { user } = show(story, <Sketch />);
    expect(await screen.findByRole('img', { name: 'Pads' })).toBeTruthy();
    expect(screen.getByText('drawn for A4')).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Paper'), 'A3');
    expect(await screen.findByText('drawn for A3')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'SVG' }).disabled).toBe(false);
  });
});

describe('tape it back', () => {
  it('draws the tapes of the pair that is chosen, in the language that is chosen', async () => {
    const { story } = pads(1);
    const { user } = show(story, <Tape />);
    await user.selectOptions(screen.getByLabelText('Point'), '1B of Pad 1');
    expect(screen.getByRole('img', { name: 'Tape ties to 1B' })).toBeTruthy();
    const pairs = within(screen.getByLabelText('From these two marks')).getAllByRole('option');
    expect(pairs.length).toBeGreaterThan(3);
    const other = pairs.find(({ textContent }) => textContent.startsWith('P-1A S + P-1C N'))!;
    await user.selectOptions(screen.getByLabelText('From these two marks'), other);
    expect(screen.getByText(/Check first: P-1A S to P-1C N/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Language'), 'Español');
    expect(screen.getByRole('img', { name: 'Medir 1B con dos cintas' })).toBeTruthy();
  });
});

describe('sights of a file', () => {
  const morning = () => {
    const story = new Story().control();
    const solution = story.station('S1');
    const second = story.station('S2');
    return { story, solution, second };
  };
  it('come from the survey of a LandXML file: which placing, and what the file does not say', async () => {
    const { story } = morning();
    const text = siteLandXml(exportedPoints(story.state, story.trust()), exportedSetups(story.state), {
      ...exportedAbout(story.state, story.trust(), { at: '2031-05-06T08:00:00.000Z', by: 'nobody' }),
      site: 'Quay',
    });
    const { user } = show(new Story(), <TakeRawSights />);
    await user.upload(screen.getByLabelText('File of raw sights'), new File([text], 'quay.xml'));
    const dialog = await screen.findByRole('dialog', { name: '4 sights from S1 of Quay' });
    expect(within(dialog).getByText(/doesn’t state the precision of the instrument/)).toBeTruthy();
    await user.selectOptions(within(dialog).getByLabelText('Setup to import'), '1');
    expect(screen.getByRole('dialog', { name: '4 sights from S2 of Quay' })).toBeTruthy();
    expect(within(screen.getByRole('dialog')).getByText(/^New on this site: K1, K2, K3, K4/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Import sights' }));
    await waitFor(() => expect(said().filter(({ type }) => type === 'sight')).toHaveLength(4));
    expect(said().find(({ type }) => type === 'occupation')).toMatchObject({ body: { name: 'S2', link: 'typed' } });
  });

  it('of a set-up whose name is taken get another name, which can be changed', async () => {
    const { story, solution } = morning();
    story.say('close', { occupation: solution.occupation.id, note: '' });
    const text = rawSightsText(rawSightsOf(story.state, solution.occupation));
    const { user } = show(story, <TakeRawSights />);
    await user.upload(screen.getByLabelText('File of raw sights'), new File([text], 'quay.jsonl'));
    const name = await screen.findByLabelText<HTMLInputElement>('Setup name');
    expect(name.value).toBe('S1-2');
    await user.clear(name);
    await user.type(name, 's1');
    expect(screen.getByText('There is S1 already.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Import sights' }).disabled).toBe(true);
    await user.clear(name);
    await user.type(name, 'S1 once more');
    await user.click(screen.getByRole('button', { name: 'Import sights' }));
    await waitFor(() =>
      expect(said().find(({ type }) => type === 'occupation')).toMatchObject({ body: { name: 'S1 once more' } }),
    );
    const sights = rawSightsOf(story.state, solution.occupation).sights.length;
    await waitFor(() => expect(said().filter(({ type }) => type === 'sight')).toHaveLength(sights));
  });

  it('are refused by what is wrong with the file, and nothing is said', async () => {
    const { story, solution } = morning();
    const { user } = show(new Story(), <TakeRawSights />);
    const tried = async (text: string, name: string) => {
      await user.upload(screen.getByLabelText('File of raw sights'), new File([text], name));
      return (await screen.findByRole('alert')).textContent;
    };
    expect(
      await tried('<LandXML version="1.2"><Units><Metric linearUnit="meter"/></Units></LandXML>', 'empty.xml'),
    ).toContain('empty.xml wasn’t taken: it is LandXML, but holds no observations.');
    const raw = rawSightsText(rawSightsOf(story.state, solution.occupation));
    await waitFor(async () =>
      expect(await tried(raw.replace('"face":1', '"face":3'), 'cut.sights.jsonl')).toMatch(
        /cut\.sights\.jsonl wasn’t taken\. Line \d+, .*face/,
      ),
    );
    await waitFor(async () => expect(await tried('hello', 'x.jsonl')).toContain('isn’t a file of raw sights'));
    expect(said()).toEqual([]);
  });
});

describe('how stakes are written', () => {
  it('has signs that no keyboard has, put in where one typed last', async () => {
    const { user } = show(new Story(), <Writing />);
    await user.click(screen.getByRole('button', { name: 'Copy and edit…' }));
    const dialog = within(screen.getByRole('dialog'));
    const cut = dialog.getByLabelText<HTMLInputElement>('Word for cut');
    await user.clear(cut);
    await user.type(cut, 'C ');
    await user.click(dialog.getByRole('button', { name: '▼, cut, down to' }));
    expect(cut.value).toBe('C ▼');
    await user.click(dialog.getByRole('button', { name: 'Save convention' }));
    await waitFor(() => expect(said()[0]).toMatchObject({ type: 'convention', body: { rules: { cut: 'C ▼' } } }));
  });
});

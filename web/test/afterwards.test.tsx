import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { obstaclesTo, USUALLY_ASKED } from '@idle-marker/core';
import { defaultUse, siteLines, stationDraft } from '@idle-marker/records';
import { ExportControl } from '../src/features/control/ExportControl.tsx';
import { MarkPhotos } from '../src/pole/MarkPhotos.tsx';
import { TagLife } from '../src/features/control/TagLife.tsx';
import { WalkRound } from '../src/features/control/WalkRound.tsx';
import { pairScene } from '../src/features/control/pairScene.ts';
import { MarkHeights } from '../src/pole/MarkHeights.tsx';
import { DriftCard } from '../src/features/prove/DriftCard.tsx';
import { OutsideCard } from '../src/features/prove/OutsideCard.tsx';
import { AcceptDialog } from '../src/features/station/AcceptDialog.tsx';
import { CorrectEntries } from '../src/features/station/CorrectEntries.tsx';
import { HelpButton } from '../src/features/station/HelpButton.tsx';
import { LineSights } from '../src/features/station/LineSights.tsx';
import { ConcernCard } from '../src/features/today/ConcernCard.tsx';
import { keepPhoto, sendPhotos } from '../src/data/photos.ts';
import { pairsOf, roundOf } from '@idle-marker/records';
import { HALL, newId } from '../../records/test/story.ts';
import { begin, jest, said, server, show, SITE_ID, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

function day() {
  const story = new Story().control();
  const work = story.work();
  const solution = story.station('S1');
  const mark = story.set(solution, work, 0);
  return { story, work, solution, mark };
}

describe('a height that was entered wrongly', () => {
  it('shows every mark that it concerns before it is said, and says both', async () => {
    const { story, solution, mark } = day();
    const { user } = show(story, <CorrectEntries solution={solution} onClose={nothing} />);
    await user.type(screen.getByLabelText('Correct value (m)'), '1.6');
    expect(screen.getByText('No mark set from here changes.')).toBeTruthy();
    expect(screen.getByText(/cancels: the station comes out as much too high/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('First sight'), mark.body.sight);
    const concerned = within(screen.getByRole('region', { name: 'Marks affected' }));
    expect(concerned.getByText('1 mark changes position:')).toBeTruthy();
    expect(concerned.getByText(/100 mm.*out/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save correction' }));
    expect(screen.getByText(/Say how you know/)).toBeTruthy();
    expect(said()).toHaveLength(0);
    await user.type(screen.getByLabelText('Evidence'), 'pole up');
    await user.click(screen.getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[0]).toMatchObject({
      type: 'correction',
      body: { what: 'targetHeight', sights: [mark.body.sight], value: 1.6 },
    });
    expect(said()[1]).toMatchObject({
      type: 'finding',
      body: { cause: 'recomputed', effects: [{ mark: mark.id, heightMm: -100 }] },
    });
  });

  it('is the station: only marks can be given to another, and that one is named', async () => {
    const { story, solution, mark } = day();
    const alone = show(story, <CorrectEntries solution={solution} onClose={nothing} />);
    await alone.user.selectOptions(screen.getByLabelText('Entry to correct'), 'Station the sights belong to');
    expect(screen.getByText('No other station was accepted here: accept the right one first.')).toBeTruthy();
    alone.unmount();
    story.stand({ ...story.standsAt, e: story.standsAt.e + 0.05 });
    const second = story.station('S2');
    const { user } = show(story, <CorrectEntries solution={solution} onClose={nothing} />);
    await user.selectOptions(screen.getByLabelText('Entry to correct'), 'Station the sights belong to');
    expect(within(screen.getByLabelText<HTMLSelectElement>('First sight')).getAllByRole('option')).toHaveLength(1);
    expect(screen.getByText(/50 mm in plan.*out/)).toBeTruthy();
    await user.type(screen.getByLabelText('Evidence'), 'the legs were hit');
    await user.click(screen.getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[0]).toMatchObject({
      type: 'correction',
      body: { what: 'station', sights: [mark.body.sight], station: second.fact.id },
    });
    expect(said()[1]).toMatchObject({
      type: 'finding',
      body: { plan: true, height: true, effects: [{ mark: mark.id }] },
    });
  });

  it('is the target: one of the library, or its constant', async () => {
    const { story, solution, mark } = day();
    const what = {
      kind: 'target' as const,
      name: 'Small 7',
      form: 'small' as const,
      constantMm: -17.5,
      ownHeight: 0.1,
    };
    story.say('equipment', { item: newId(), what, retired: false, supersedes: null });
    const { user } = show(story, <CorrectEntries solution={solution} onClose={nothing} />);
    await user.selectOptions(screen.getByLabelText('Entry to correct'), 'Target (prism constant)');
    await user.selectOptions(screen.getByLabelText('First sight'), mark.body.sight);
    expect(screen.getByText(/1[78] mm in plan/)).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Actual target'), 'another, with the constant');
    await user.type(screen.getByLabelText('Correct constant (mm)'), '−900');
    expect(screen.getByText('Enter the constant, between −500 and 500 mm.')).toBeTruthy();
    await user.clear(screen.getByLabelText('Correct constant (mm)'));
    await user.type(screen.getByLabelText('Correct constant (mm)'), '-30');
    await user.type(screen.getByLabelText('Evidence'), 'looked at it');
    await user.click(screen.getByRole('button', { name: 'Save correction' }));
    await waitFor(() => expect(said()).toHaveLength(2));
    expect(said()[0]).toMatchObject({ type: 'correction', body: { what: 'prismConstant', value: -0.03 } });
  });

  it('stands beside the one on the stake', () => {
    const { story, work, mark } = day();
    story.say('finding', {
      cause: 'recomputed',
      revision: null,
      plan: false,
      height: true,
      effects: [{ mark: mark.id, planMm: null, heightMm: -4 }],
      reason: 'x',
      supersedes: null,
    });
    const [stop] = roundOf(story.state, story.trust(), work, null);
    show(story, <MarkHeights work={work} stop={stop!} groundZ={null} stands hasHeight />);
    expect(
      screen.getByText(`recomputed: ${(mark.body.hubZ! - 0.004).toFixed(3)}; the stake says what was found first`),
    ).toBeTruthy();
  });
});

describe('who may accept', () => {
  it('is told who does, and can still refuse', () => {
    const { story, solution } = day();
    const { settings } = story.state;
    story.say('site', {
      ...settings,
      roles: [{ member: story.who, role: 'apprentice' }],
      mayAccept: { accepted: ['lead', 'technician'], provisional: ['lead'] },
    });
    const draft = stationDraft(story.state, solution.occupation, {});
    if (!draft.outcome?.ok) throw new Error('no station');
    const asked = story.state.classes[0]!;
    const obstacles = obstaclesTo(draft.outcome.value, { plan: 0.006, height: 0.005, leastMarks: 9 }, true);
    show(
      story,
      <AcceptDialog
        open
        onClose={nothing}
        occupation={solution.occupation}
        draft={draft}
        result={draft.outcome.value.result}
        judgement={draft.outcome.value.judgement}
        asked={asked}
        wanted={USUALLY_ASKED}
        obstacles={obstacles}
        usageOf={(sight) => defaultUse(story.state, sight)}
        next={null}
        onSight={() => undefined}
        onProve={() => undefined}
        onAccepted={nothing}
      />,
    );
    expect(screen.getByText(/is accepted by a lead\. Call for help/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Accept as provisional' }).disabled).toBe(true);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Reject station' }).disabled).toBe(false);
  });
});

describe('a call for help', () => {
  it('saves one file with the question, the facts and the sentences', async () => {
    const { story, solution } = day();
    const saved: Blob[] = [];
    URL.createObjectURL = (blob: Blob | MediaSource) => `blob:${saved.push(blob as Blob)}`;
    URL.revokeObjectURL = nothing;
    const click = jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(nothing);
    const draft = stationDraft(story.state, solution.occupation, {});
    const judgement = draft.outcome?.ok ? draft.outcome.value.judgement : null;
    const { user } = show(story, <HelpButton occupation={solution.occupation} judgement={judgement} />);
    await user.click(screen.getByRole('button', { name: 'Get help…' }));
    await user.type(screen.getByLabelText('What is the trouble?'), 'is K2 right?');
    await user.click(screen.getByRole('button', { name: 'Save help file' }));
    expect(click).toHaveBeenCalledTimes(1);
    click.mockRestore();
    const text = await new Promise<string>((resolve) => {
      const reader = new FileReader();
      reader.onload = () => resolve(reader.result as string);
      reader.readAsText(saved[0]!);
    });
    const packed = JSON.parse(text) as { question: string; sentences: string[]; facts: unknown[] };
    expect(packed.question).toBe('is K2 right?');
    expect(packed.sentences.join(' ')).toContain('Four marks agree');
    expect(packed.facts.length).toBeGreaterThan(4);
  });
});

describe('points on lines', () => {
  it('are listed with how they lie, and can be taken back', async () => {
    const story = new Story().control();
    story.work();
    const occupation = story.occupy('S1', { method: 'onLines' });
    for (const [i, line] of siteLines(story.state).entries()) {
      const f = 0.3 + 0.15 * i;
      const place = {
        e: line.from.e + f * (line.to.e - line.from.e),
        n: line.from.n + f * (line.to.n - line.from.n),
        z: 5.5,
      };
      story.shoot(occupation, 'station', line.target, place);
    }
    const { lines } = stationDraft(story.state, occupation, {}, { near: { e: 4030, n: 8000 } });
    const shooting = { doing: null, trouble: null, shoot: jest.fn(), walk: jest.fn(), cancel: nothing, clear: nothing };
    const { user } = show(story, <LineSights lines={lines} shooting={shooting as never} />);
    expect(screen.getAllByRole('row')).toHaveLength(5);
    await user.click(screen.getByRole('button', { name: 'Withdraw the sight to Hall A–B' }));
    await waitFor(() => expect(said()[0]).toMatchObject({ type: 'withdrawal', body: { record: lines[0]!.sight.id } }));
  });
});

describe('after a proof', () => {
  it('the moment of a step is told', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    for (const z of [0, 0, 0, 0.02, 0.02, 0.02]) story.wait(20).prove(solution, 'P1', { z });
    show(story, <DriftCard solution={solution} />);
    expect(screen.getByRole('heading', { name: /^Sudden change in elevation between/ })).toBeTruthy();
    expect(screen.getByText(/differ by 20 mm/)).toBeTruthy();
  });

  it('work outside of the control asks for one out there', async () => {
    const story = new Story().control();
    story.work({ items: [{ ...HALL, corners: HALL.corners.map((corner) => ({ ...corner, n: corner.n - 110 })) }] });
    const proved = jest.fn();
    const { user } = show(story, <OutsideCard solution={story.station('S1')} busy={false} onProve={proved} />);
    await user.click(screen.getByRole('button', { name: 'Prove on P1' }));
    expect(proved).toHaveBeenCalledTimes(1);
  });
});

describe('control', () => {
  it('that the works will take is told on the first page', () => {
    const story = new Story().control(['K1', 'K2']);
    const pit = { ...HALL, corners: HALL.corners.map((corner) => ({ ...corner, e: corner.e - 45, n: corner.n - 35 })) };
    story.work({ items: [pit], ground: { kind: 'dig', on: '2031-05-20', reach: 1 } });
    show(story, <ConcernCard />);
    expect(screen.getByText('K1 will be lost.')).toBeTruthy();
    expect(screen.getByText(/digs the ground there from 2031-05-20. Only one usable mark is left then/)).toBeTruthy();
    expect(show(new Story().control(), <ConcernCard />).container.textContent).toBe('');
  });

  it('is walked round with one tap a mark, the nearest first', async () => {
    const { story } = day();
    const { user } = show(story, <WalkRound onChoose={nothing} onOpen={nothing} />);
    expect(screen.getByText('0 of 6 looked at today.')).toBeTruthy();
    const [first] = screen.getAllByRole('listitem');
    expect(within(first!).getByText(/ m (north|south|east|west).* of S1/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'K3 found' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        type: 'visit',
        body: { mark: story.markId('K3'), outcome: 'found', labelRead: true },
      }),
    );
    await user.click(screen.getByRole('button', { name: 'K4 missing' }));
    await waitFor(() =>
      expect(said().at(-1)).toMatchObject({ type: 'control', body: { name: 'K4', condition: 'lost' } }),
    );
  });

  it('on a tag ends when it is taken away, and its place with it', async () => {
    const story = new Story().control(['K1'], { kind: 'tag', validFor: 'pour 3' });
    const { user } = show(story, <TagLife mark={story.state.control[0]!} />);
    await user.click(screen.getByRole('button', { name: 'Record removal' }));
    expect(screen.getByText('Say where it went.')).toBeTruthy();
    await user.type(screen.getByLabelText('Moved to'), 'pour 4');
    await user.click(screen.getByRole('button', { name: 'Record removal' }));
    await waitFor(() =>
      expect(said()[0]).toMatchObject({
        type: 'control',
        body: { condition: 'lost', retired: expect.stringContaining('pour 4') },
      }),
    );
  });

  it('has photos, told when one has not arrived', async () => {
    const story = new Story().control();
    story.say('photo', {
      mark: story.markId('K1'),
      image: newId(),
      mediaType: 'image/jpeg',
      bytes: 10,
      caption: 'nail at the gate',
    });
    const { user } = show(story, <MarkPhotos mark={story.markId('K1')} name="K1" />);
    const picture = await screen.findByAltText<HTMLImageElement>('nail at the gate');
    expect(picture.src).toContain(`/api/v1/sites/${SITE_ID}/images/`);
    await user.upload(screen.getByLabelText('Photo of K1'), new File(['text'], 'list.jpg', { type: 'image/jpeg' }));
    expect(await screen.findByText(/list.jpg can’t be read as a picture/)).toBeTruthy();
    expect(said()).toHaveLength(0);
  });

  it('photos wait while the server is away, and go out by themselves', async () => {
    server.away = true;
    const image = newId();
    expect(await keepPhoto(SITE_ID, image, { mediaType: 'image/png', bytes: new ArrayBuffer(8) })).toContain(
      'waits in this browser',
    );
    const sent: string[] = [];
    const before = globalThis.fetch;
    globalThis.fetch = (url) => {
      sent.push(url as string);
      return Promise.resolve({ ok: true, status: 201, json: () => Promise.resolve({ id: image }) } as Response);
    };
    expect(await sendPhotos(SITE_ID)).toBeNull();
    expect(await sendPhotos(SITE_ID)).toBeNull();
    globalThis.fetch = before;
    expect(sent).toEqual([`/api/v1/sites/${SITE_ID}/images/${image}`]);
  });

  it('goes out as a list or as a report for the other trades', async () => {
    const story = new Story().control();
    const { user } = show(story, <ExportControl />);
    await user.click(screen.getByRole('button', { name: 'Export…' }));
    const report = await screen.findByRole<HTMLAnchorElement>('menuitem', { name: 'Control report, one page (PDF)' });
    expect(report.href).toContain(`/sites/${SITE_ID}/control-report?at=`);
    expect(report.href).toContain(`by=${story.who}`);
  });

  it('is drawn pair by pair, the misfits with their figure', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3'] as const) story.sight(occupation, name);
    story.sight(occupation, 'K4', 'station', { e: 0.05 });
    const drawn = pairScene(story.state, pairsOf(story.state, occupation), 'metre');
    expect(drawn.lines).toHaveLength(6);
    expect(drawn.lines!.filter((line) => line.ink === 'brick').length).toBeGreaterThan(0);
    expect(drawn.texts!.every((text) => /^[+−]\d+ mm$/.test(text.text))).toBe(true);
  });
});

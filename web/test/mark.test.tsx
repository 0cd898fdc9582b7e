import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { roundOf, roundRows } from '@idle-marker/records';
import { BlockedDialog } from '../src/pole/BlockedDialog.tsx';
import { CallingDialog } from '../src/pole/CallingDialog.tsx';
import { CutFill } from '../src/pole/CutFill.tsx';
import { GuidanceBoard } from '../src/pole/GuidanceBoard.tsx';
import { MarkHeights } from '../src/pole/MarkHeights.tsx';
import { RoundTable } from '../src/pole/RoundTable.tsx';
import { StakePicture } from '../src/pole/StakePicture.tsx';
import { MarkSlip } from '../src/pole/MarkSlip.tsx';
import { unitsOf } from '../src/field/useUnits.ts';
import { useDueItems, useMeasuringDue } from '../src/pole/useDueItems.tsx';
import type { Measuring } from '../src/pole/useMeasuring.ts';
import { plannedHeight } from '../src/pole/view/plannedHeight.ts';
import { useMarkActs } from '../src/pole/useMarkActs.tsx';
import type { Staking } from '../src/pole/useStaking.ts';
import { newId, SITE } from '../../records/test/story.ts';
import { begin, jest, said, show, Story } from './page.tsx';

beforeEach(begin);

const nothing = () => undefined;
const idle = {
  due: 'shoot',
  tolerance: 0.006,
  shot: null,
  out: null,
  fault: null,
  kept: null,
  act: nothing,
  shooting: { doing: null, trouble: null, cancel: nothing, clear: nothing },
} as unknown as Staking;

/** Everything that is due at a mark, one under the other. */
function Due({ work, stop, solution }: Pick<Parameters<typeof useDueItems>[0] & object, 'work' | 'stop' | 'solution'>) {
  const items = useDueItems({ work, stop, solution, staking: idle, push: null, onOthers: nothing });
  return items.map(({ key, card }) => <div key={key}>{card}</div>);
}

function MeasuringDue({ measuring }: { measuring: Measuring }) {
  return useMeasuringDue(measuring).map(({ key, card }) => <div key={key}>{card}</div>);
}

/** The slip as the place shows it: with what can be done and what is due. */
function WholeSlip(about: Omit<Parameters<typeof MarkSlip>[0], 'acts' | 'due'>) {
  const { work, stop, round, staking, solution } = about;
  const acts = useMarkActs({ work, stop, round, staking, solution });
  const due = useDueItems({ work, stop, solution, staking, push: null, onOthers: acts.block });
  return (
    <>
      <MarkSlip {...about} acts={acts} due={due} />
      {acts.dialogs}
    </>
  );
}

function day() {
  const story = new Story().control();
  const work = story.work();
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  story.set(solution, work, 0);
  story.prove(solution, 'P2');
  const round = () => roundOf(story.state, story.trust(), work, null);
  return { story, work, solution, round };
}

describe('cut and fill', () => {
  it.each([
    [0.1234, 'CUT 0.123'],
    [-0.332, 'FILL 0.332'],
    [0.0002, 'ON GRADE'],
    [null, 'no elevation'],
  ])('of %p is said as %s, never as a bare sign', (cutFill, words) => {
    show(new Story(), <CutFill cutFill={cutFill} />);
    expect(screen.getByText(words)).toBeTruthy();
  });

  it('carry a wedge only where there is a way to go', () => {
    const { container } = show(new Story(), <CutFill cutFill={-0.3} />);
    expect(container.querySelectorAll('svg path')).toHaveLength(1);
    expect(show(new Story(), <CutFill cutFill={0} />).container.querySelectorAll('svg')).toHaveLength(0);
  });
});

const AROUND = { instrument: { e: 4030, n: 8000 }, minutesPerMark: null, onFirst: () => undefined };

describe('the round', () => {
  it('says of each mark what became of it', () => {
    const { story, work, solution, round } = day();
    const plans = work.body.plans;
    story.set(solution, work, 1, { as: 'rough' });
    story.say('obstruction', {
      package: work.id,
      key: plans[2]!.key,
      name: plans[2]!.name,
      place: plans[2]!.place,
      what: 'Fence',
    });
    show(
      story,
      <RoundTable
        rows={roundRows(round(), { e: 4030, n: 8000 })}
        chosen={plans[3]!.key}
        {...AROUND}
        onChoose={() => undefined}
      />,
    );
    const row = (i: number) => within(screen.getByRole('row', { name: new RegExp(`^${plans[i]!.name} `) }));
    expect(row(0).getByText('confirmed, verified')).toBeTruthy();
    expect(row(1).getByText('rough')).toBeTruthy();
    expect(row(2).getByText('blocked: Fence')).toBeTruthy();
    expect(row(3).getByText('now')).toBeTruthy();
    expect(row(4).getByText('to set')).toBeTruthy();
  });

  it('chooses the mark that is pressed', async () => {
    const { story, work, round } = day();
    let chosen = '';
    const { user } = show(
      story,
      <RoundTable rows={roundRows(round(), { e: 0, n: 0 })} chosen="" {...AROUND} onChoose={(key) => (chosen = key)} />,
    );
    await user.click(screen.getByRole('button', { name: work.body.plans[4]!.name }));
    expect(chosen).toBe(work.body.plans[4]!.key);
  });
});

describe('the round as it will be walked', () => {
  it('puts what is hidden behind a heap last, says why, and works the next proof in', async () => {
    const { story, work, round } = day();
    const stops = round();
    const open = stops.filter((stop) => stop.mark === null);
    const hidden = open[0]!.plan;
    const { e, n } = hidden.place;
    story.say('area', {
      area: newId(),
      name: 'Heap',
      kind: 'spoilHeap',
      corners: [
        { e: e - 0.4, n: n - 0.4 },
        { e: e + 0.4, n: n - 0.4 },
        { e: e + 0.4, n: n + 0.4 },
        { e: e - 0.4, n: n + 0.4 },
      ],
      margin: 0,
      blocksSight: true,
      source: 'plan',
      retired: false,
      supersedes: null,
    });
    let first = '';
    const { user } = show(
      story,
      <RoundTable
        rows={roundRows(stops, { e: 4030, n: 8000 })}
        chosen=""
        {...AROUND}
        minutesPerMark={25}
        onFirst={(key) => (first = key)}
        onChoose={() => undefined}
      />,
    );
    const rows = screen.getAllByRole('row').slice(1);
    expect(
      within(screen.getByRole('row', { name: new RegExp(`^${hidden.name} `) })).getByText('not seen from here: Heap'),
    ).toBeTruthy();
    const at = (pattern: RegExp) => rows.findIndex((row) => pattern.test(row.textContent ?? ''));
    // After two marks of 25 minutes the hour is nearly over.
    expect(at(/Prove on P\d.*due in \d+ min/)).toBeLessThanOrEqual(2);
    expect(at(new RegExp(`^${hidden.name}`))).toBe(open.length);
    await user.click(screen.getByRole('button', { name: `Put ${open[2]!.plan.name} first` }));
    expect(first).toBe(open[2]!.plan.key);
    expect(work.body.plans.length).toBe(stops.length);
  });
});

describe('cautions', () => {
  it('stand until somebody says what was done, and are not asked again that day', async () => {
    const { story, work, solution, round } = day();
    const stop = round().find((each) => each.mark === null)!;
    const { e, n } = stop.plan.place;
    story.say('area', {
      area: newId(),
      name: 'Haul road',
      kind: 'traffic',
      corners: [
        { e: e - 1, n: n - 1 },
        { e: e + 1, n: n - 1 },
        { e: e + 1, n: n + 1 },
      ],
      margin: 0.5,
      blocksSight: false,
      source: 'plan',
      retired: false,
      supersedes: null,
    });
    const { user, unmount } = show(story, <Due work={work} stop={stop} solution={solution} />);
    expect(screen.getByText('Before driving: buried services')).toBeTruthy();
    expect(screen.getByText('This mark is in a lane')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Services located' }));
    await waitFor(() => expect(said()).toHaveLength(1));
    expect(said()[0]).toMatchObject({ type: 'care', body: { what: 'services', about: work.id } });
    unmount();
    story.say('care', { what: 'services', about: work.id, text: '' });
    show(story, <Due work={work} stop={stop} solution={solution} />);
    expect(screen.queryByText('Before driving: buried services')).toBeNull();
    expect(screen.getByText('This mark is in a lane')).toBeTruthy();
  });

  it('ask for an independent check of what is bolted together, until there is one', () => {
    const story = new Story({
      classes: [{ id: 'steel', name: 'Steel', planMm: 5, heightMm: 4, leastMarks: 3 }, ...SITE.classes],
    }).control();
    const work = story.work({ class: 'steel' });
    const solution = story.station('S1');
    const mark = story.set(solution, work, 0);
    const other = story.set(solution, work, 1);
    const stop = () =>
      roundOf(story.state, story.trust(), work, { e: 4030, n: 8000 }).find(({ plan }) => plan.key === mark.body.key)!;
    const shown = show(story, <Due work={work} stop={stop()} solution={solution} />);
    expect(screen.getByText('Wants an independent check')).toBeTruthy();
    shown.unmount();
    story.say('tape', { from: mark.id, to: other.id, taped: 4, measured: 4, within: true, note: '' });
    show(story, <Due work={work} stop={stop()} solution={solution} />);
    expect(screen.queryByText('Wants an independent check')).toBeNull();
  });
});

describe('heights at a mark', () => {
  it('are counted from the hub once it stands, against the floor and site zero', () => {
    const { story, work, round } = day();
    const stop = round().find((each) => each.mark !== null)!;
    show(story, <MarkHeights work={work} stop={stop} groundZ={5.8} stands hasHeight />);
    expect(screen.getByText('Hub')).toBeTruthy();
    expect(screen.getByText('FILL 0.350')).toBeTruthy();
    expect(screen.getByText('from the hub')).toBeTruthy();
    expect(screen.getByText('0.000 above site zero')).toBeTruthy();
    expect(screen.getByRole('img', { name: /FILL 0.350 m to finished floor/ })).toBeTruthy();
  });

  it('are counted from the ground before that, and the stake is not shown yet', () => {
    const { story, work, round } = day();
    const stop = round().find((each) => each.mark === null)!;
    show(story, <MarkHeights work={work} stop={stop} groundZ={6.5} stands={false} hasHeight />);
    expect(screen.getByText('CUT 0.250')).toBeTruthy();
    expect(screen.queryByRole('img', { name: /Stake text/ })).toBeNull();
  });

  it('are none from a plan-only station', () => {
    const { story, work, round } = day();
    const stop = round().find((each) => each.mark === null)!;
    show(story, <MarkHeights work={work} stop={stop} groundZ={null} stands={false} hasHeight={false} />);
    expect(screen.getByText('No cut/fill: the station has no elevation')).toBeTruthy();
  });

  it('tell themselves in feet and inches when they are pressed', async () => {
    const { story, work, round } = day();
    const { user } = show(story, <MarkHeights work={work} stop={round()[0]!} groundZ={1.5} stands={false} hasHeight />);
    await user.click(screen.getByRole('button', { name: '1.500' }));
    const box = within(await screen.findByRole('dialog', { name: 'The same in other units' }));
    expect(box.getByText('4′ 11 1/16″')).toBeTruthy();
    expect(box.getByText('4.9213 ft')).toBeTruthy();
  });
});

describe('a blocked mark', () => {
  it('wants to know what stands there before anything is said', async () => {
    const { story, work, round } = day();
    let left = false;
    const { user } = show(
      story,
      <BlockedDialog work={work} stop={round()[4]!} onClose={() => undefined} onLeave={() => (left = true)} />,
    );
    await user.click(screen.getByRole('button', { name: 'Skip for now' }));
    expect(screen.getByText('Enter what is in the way, so that the next person knows.')).toBeTruthy();
    expect(left).toBe(false);
    await user.click(screen.getByRole('button', { name: 'Water' }));
    await user.click(screen.getByRole('button', { name: 'Skip for now' }));
    await waitFor(() => expect(left).toBe(true));
    await waitFor(() => expect(said()).toMatchObject([{ type: 'obstruction', body: { what: 'Water' } }]));
  });

  it('is offered other offsets on its line, and moving it revises the package', async () => {
    const { story, work, round } = day();
    const stop = round()[4]!;
    const { user } = show(
      story,
      <BlockedDialog work={work} stop={stop} onClose={() => undefined} onLeave={() => undefined} />,
    );
    await user.type(screen.getByLabelText('Obstruction'), 'Skip');
    await user.click(screen.getByRole('button', { name: /^4\.000 m off/ }));
    await waitFor(() => expect(said()).toHaveLength(2));
    const revised = said()[1]!;
    if (revised.type !== 'package') throw new Error(revised.type);
    expect(revised.body.supersedes).toBe(work.id);
    expect(revised.body.plans.filter((plan) => plan.offset === 4).map((plan) => plan.key)).toEqual([stop.plan.key]);
  });
});

describe('guidance', () => {
  const board = (stale: boolean) => (
    <GuidanceBoard
      move={{ up: 0.6, right: -0.1 }}
      trail={[]}
      viewpoint="facingInstrument"
      tolerance={0.006}
      toleranceWords="within 6 mm"
      ahead={stale ? null : 'S1, 30 m ahead'}
      stale={stale}
      onViewpoint={nothing}
    />
  );

  it('says what the top of the board is, how near is near enough, and that an old figure is old', () => {
    show(new Story(), board(true));
    expect(screen.getByText('toward instrument')).toBeTruthy();
    expect(screen.getByText('within 6 mm')).toBeTruthy();
    expect(screen.getByText('last seen')).toBeTruthy();
    show(new Story(), board(false));
    expect(screen.getByText('pole')).toBeTruthy();
  });

  it('can be called out with arms', () => {
    show(new Story(), <CallingDialog open onClose={() => undefined} />);
    for (const sign of ['Look here.', 'Move this way.', 'Hold.', 'Good.', 'Come.'])
      expect(screen.getByText(sign)).toBeTruthy();
  });

  it('writes the stake line by line', () => {
    show(new Story(), <StakePicture lines={['2.000 m offset', 'to A, outside face', 'TH-A N']} />);
    expect(screen.getByRole('img', { name: 'Stake text: 2.000 m offset; to A, outside face; TH-A N' })).toBeTruthy();
  });
});

describe('carried', () => {
  it('the figure of a hub that stands gets no older with the last reading; that of the ground does', () => {
    const { work, round } = day();
    const stop = round().find((each) => each.mark !== null)!;
    const units = unitsOf({ lengthUnit: 'metre', angleUnit: 'dms', axisOrder: 'EN' });
    const about = { work, stop, groundZ: 6.5, hasHeight: true, isFar: false, units };
    expect(plannedHeight({ ...about, stands: true })).toMatchObject({ written: 'FILL 0.350', isKept: true });
    expect(plannedHeight({ ...about, stands: false })).toMatchObject({ written: 'CUT 0.250', isKept: false });
    expect(plannedHeight({ ...about, stands: false, isFar: true }).written).toBe('CUT 0.3');
  });

  it('why nothing was kept is closed with a press, whichever it was', async () => {
    const clear = jest.fn();
    const measuring = { shooting: { doing: null, trouble: null }, fault: 'No distance.', remark: null, clear };
    const { user } = show(new Story().control(), <MeasuringDue measuring={measuring as unknown as Measuring} />);
    expect(screen.getByText('No distance.')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(clear).toHaveBeenCalledTimes(1);
  });
});

describe('while a proof is overdue', () => {
  const slip = (minutes: number) => {
    const { story, work, solution, round } = day();
    story.wait(minutes);
    story.say('note', { text: 'later' }, 0);
    const act = jest.fn();
    const stops = round();
    const stop = stops.find((each) => !each.mark)!;
    const staking = {
      due: 'shoot',
      tolerance: 0.006,
      shot: null,
      fault: null,
      act,
      shooting: { doing: null, trouble: null, cancel: nothing, clear: nothing },
    };
    const shown = show(
      story,
      <WholeSlip
        work={work}
        stop={stop}
        round={{
          work,
          ordering: false,
          stop,
          stops,
          choose: nothing,
          chooseWork: nothing,
          next: nothing,
          putFirst: nothing,
        }}
        way="follow"
        onWay={nothing}
        staking={staking as never}
        solution={solution}
        viewpoint="facingInstrument"
        lineAzimuth={0}
        groundZ={null}
        pole={{ e: 4030, n: 8000 }}
      />,
    );
    return { ...shown, act, solution };
  };

  it('going on is asked about, and needs a reason that stands in the book', async () => {
    const { user, act, solution } = slip(90);
    await user.click(screen.getByRole('button', { name: /^Shoot/ }));
    expect(screen.getByRole('dialog', { name: 'Check shot overdue. Continue anyway?' })).toBeTruthy();
    expect(act).not.toHaveBeenCalled();
    await user.click(screen.getByRole('button', { name: 'Postpone check shot' }));
    expect(act).not.toHaveBeenCalled();
    await user.type(screen.getByLabelText('Reason'), 'rain');
    await user.click(screen.getByRole('button', { name: 'Postpone check shot' }));
    await waitFor(() => expect(act).toHaveBeenCalledTimes(1));
    await waitFor(() =>
      expect(said()).toMatchObject([{ type: 'deferral', body: { solution: solution.fact.id, reason: 'rain' } }]),
    );
  });

  it('and not otherwise', async () => {
    const { user, act } = slip(5);
    await user.click(screen.getByRole('button', { name: /^Shoot/ }));
    expect(act).toHaveBeenCalledTimes(1);
  });
});

import { beforeEach, describe, expect, it } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import { stationDraft } from '@idle-marker/records';
import { FoundMovedDialog } from '../src/evidence/FoundMovedDialog.tsx';
import { MarkPage } from '../src/features/control/MarkPage.tsx';
import { PairTable } from '../src/features/control/PairTable.tsx';
import { ClearCard } from '../src/evidence/ClearCard.tsx';
import { FarDirections } from '../src/features/prove/FarDirections.tsx';
import { HappenedRow } from '../src/features/prove/HappenedRow.tsx';
import { SetMarks } from '../src/features/prove/SetMarks.tsx';
import { TapeBetween } from '../src/features/prove/TapeBetween.tsx';
import { ArithmeticButton } from '../src/features/station/ArithmeticDialog.tsx';
import { GeometryCard } from '../src/features/station/GeometryCard.tsx';
import { JudgementCard } from '../src/features/station/JudgementCard.tsx';
import { Unseen } from '../src/features/station/Unseen.tsx';
import { SetupChecklist, type TickedStep } from '../src/features/station/SetupChecklist.tsx';
import { begin, said, show, Story } from './page.tsx';

beforeEach(begin);
const nothing = () => undefined;

describe('the page of a control mark', () => {
  const proven = () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    story.prove(solution, 'P1', { z: 0.02 });
    return story;
  };
  const page = (story: Story, name: 'P1' | 'K1' = 'P1') => {
    const mark = story.state.control.find((each) => each.id === story.markId(name))!;
    return show(story, <MarkPage mark={mark} onClose={nothing} onRevise={nothing} onMoved={nothing} />);
  };

  it('tells what was found and since when it disagrees', () => {
    page(proven());
    expect(screen.getByRole('heading', { name: /^Disagrees in elevation since/ })).toBeTruthy();
    expect(screen.getByText(/Once isn’t enough to blame it/)).toBeTruthy();
    const rows = within(screen.getByRole('table')).getAllByRole('row');
    expect(rows).toHaveLength(3);
    expect(within(rows[1]!).getByText('off')).toBeTruthy();
    expect(within(rows[1]!).getByText('+20')).toBeTruthy();
  });

  it('a look on the ground is noted; a missing mark is listed as lost', async () => {
    const { user } = page(proven());
    await user.click(screen.getByRole('button', { name: 'Found' }));
    await waitFor(() => expect(said()).toMatchObject([{ type: 'visit', body: { outcome: 'found', labelRead: true } }]));
    await user.click(screen.getByRole('button', { name: 'Missing' }));
    await waitFor(() =>
      expect(said().at(-1)).toMatchObject({ type: 'control', body: { name: 'P1', condition: 'lost' } }),
    );
    expect(screen.getByText('Noted: missing.')).toBeTruthy();
  });

  it('says which marks are concerned before it is said to have moved', async () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.set(solution, work, 0);
    const mark = story.state.control.find((each) => each.id === story.markId('K2'))!;
    const { user } = show(story, <FoundMovedDialog mark={mark} onClose={nothing} />);
    expect(
      within(screen.getByRole('list', { name: 'Marks affected' })).getByText(
        /0 mm in plan: inside its tolerance, stands/,
      ),
    ).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Say so' }));
    expect(screen.getByText(/Enter the evidence/)).toBeTruthy();
    await user.type(screen.getByLabelText('Evidence'), 'run over by the digger');
    await user.click(screen.getByRole('button', { name: 'Say so' }));
    await waitFor(() => expect(said().map((fact) => fact.type)).toEqual(['finding', 'control']));
    expect(said()[0]).toMatchObject({
      body: { cause: 'controlMoved', revision: mark.revision.id, plan: true, height: false },
    });
    expect(said()[1]).toMatchObject({ body: { condition: 'doubtful', supersedes: mark.revision.id } });
  });
});

describe('pairs of marks', () => {
  it('are compared with the list, the worst first', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K3', 'K4'] as const) story.sight(occupation, name);
    story.sight(occupation, 'K2', 'station', { e: 0.05 });
    show(story, <PairTable onChoose={nothing} onPairs={nothing} />);
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows).toHaveLength(6);
    expect(rows[0]!.textContent).toMatch(/K2.*doesn’t fit/);
  });

  it('wait for a station that sighted two', () => {
    show(new Story().control(), <PairTable onChoose={nothing} onPairs={nothing} />);
    expect(screen.getByText(/No station has sighted two marks yet/)).toBeTruthy();
  });
});

describe('what would clear it', () => {
  const doubtful = () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    const mark = story.set(solution, work, 0);
    story.prove(solution, 'P1', { e: 0.03 });
    return { story, mark, solution };
  };

  it('names the step, the mark and the reason', async () => {
    const { story, mark } = doubtful();
    const asked: string[] = [];
    const { user } = show(story, <ClearCard onResight={(id) => asked.push(id)} />);
    expect(
      screen.getByText(
        new RegExp(`^Sight ${mark.body.name} again from a proven station: a check shot of its station failed`),
      ),
    ).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Sight mark' }));
    expect(asked).toEqual([mark.id]);
  });

  it('puts the mark that is asked for first in the list', () => {
    const { story, mark } = doubtful();
    show(story, <SetMarks busy={false} onResight={nothing} />);
    const row = screen.getByRole('row', { name: new RegExp(`^${mark.body.name}`) });
    expect(within(row).getByText('sight this one next')).toBeTruthy();
    expect(within(row).getByText('here')).toBeTruthy();
  });
});

describe('the tape', () => {
  it('agrees or does not, and is kept either way', async () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.set(solution, work, 0);
    story.set(solution, work, 1);
    const { user } = show(story, <TapeBetween />);
    const apart = /Computed from the marks: ([\d.]+) m/.exec(document.body.textContent ?? '')![1]!;
    await user.type(screen.getByLabelText(/^Taped/), apart);
    expect(screen.getByRole('heading', { name: 'The tape agrees' })).toBeTruthy();
    await user.clear(screen.getByLabelText(/^Taped/));
    await user.type(screen.getByLabelText(/^Taped/), String(Number(apart) + 0.1));
    expect(screen.getByRole('heading', { name: 'The tape doesn’t agree' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save tape check' }));
    await waitFor(() => expect(said()).toMatchObject([{ type: 'tape', body: { within: false } }]));
  });

  it('is offered for the distances between marks that are set, worst first', async () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    story.set(solution, work, 0);
    const off = story.set(solution, work, 2, { off: { e: 0.02 } });
    story.set(solution, work, 4);
    const { user } = show(story, <TapeBetween />);
    const table = within(screen.getByRole('region', { name: 'Distances between set marks' }));
    const first = table.getAllByRole('row')[1]!;
    expect(first.textContent).toContain(off.body.name);
    expect(within(first).getByText(/\d+ mm (longer|shorter)/)).toBeTruthy();
    await user.click(within(first).getByRole('button', { name: 'Enter taped distance' }));
    const chosen = ['From', 'To'].map((label) => screen.getByLabelText<HTMLSelectElement>(label).value);
    expect(chosen).toContain(off.id);
  });
});

describe('what happens to the instrument', () => {
  it('is one tap; a proof that is due may be put off with a reason', async () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    story.say('event', { occupation: solution.occupation.id, kind: 'bump', note: '' });
    const { user } = show(story, <HappenedRow solution={solution} />);
    await user.click(screen.getByRole('button', { name: 'Plant passed' }));
    await waitFor(() => expect(said()).toMatchObject([{ type: 'event', body: { kind: 'plant' } }]));
    await user.click(screen.getByRole('button', { name: 'Postpone check shot…' }));
    await user.click(screen.getByRole('button', { name: 'Postpone check shot' }));
    expect(screen.getByText(/Say why the check shot/)).toBeTruthy();
    await user.type(screen.getByLabelText('Reason'), 'crane in the sight');
    await user.click(screen.getByRole('button', { name: 'Postpone check shot' }));
    await waitFor(() =>
      expect(said().at(-1)).toMatchObject({ type: 'deferral', body: { reason: 'crane in the sight' } }),
    );
  });

  it('a far direction tells whether it has turned', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    const sight = story.sight(solution.occupation, 'P1', 'proof');
    const direction = story.say('direction', {
      solution: solution.fact.id,
      sight: sight.id,
      name: 'Mast',
      azimuthDeg: 12,
    });
    const shared = {
      solution: solution.fact.id,
      sight: sight.id,
      control: null,
      revision: null,
      direction: direction.id,
      class: 'grid',
      height: 'notMeasured',
      supersedes: null,
    } as const;
    story.say('proof', { ...shared, plan: 'outside', result: { turnSec: 41.2 } });
    const shooting = {
      doing: null,
      trouble: null,
      shoot: () => Promise.resolve(null),
      walk: () => Promise.resolve(true),
      cancel: nothing,
      clear: nothing,
    };
    show(story, <FarDirections solution={solution} shooting={shooting} />);
    expect(screen.getByRole('row', { name: /^Mast/ }).textContent).toMatch(/\+41\.2″ it has turned/);
    expect(story.trust().solutions[0]!.plan).toBe('failed');
  });
});

describe('a faulty entry', () => {
  it('is named and can be put right', async () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K3', 'K4', 'P1'] as const) story.sight(occupation, name);
    story.sight(occupation, 'K2', 'station', { z: 0.3 });
    const draft = stationDraft(story.state, occupation, {});
    if (!draft.outcome?.ok) throw new Error('no station');
    const put: string[] = [];
    const { user } = show(
      story,
      <JudgementCard
        judgement={draft.outcome.value.judgement}
        groups={draft.groups}
        onSight={nothing}
        onLeaveOut={nothing}
        onRestate={(explanation) => put.push(explanation.code)}
        busy={false}
      />,
    );
    expect(screen.getByRole('heading', { name: 'The target height at K2 is wrong' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Correct the target height at K2' }));
    expect(put).toEqual(['TARGET_HEIGHT']);
  });
});

describe('behind the figures', () => {
  const solved = () => {
    const story = new Story().control();
    story.work();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const draft = stationDraft(story.state, occupation, {});
    if (!draft.outcome?.ok) throw new Error('no station');
    return { story, occupation, ...draft.outcome.value };
  };

  it('stand the sums, and why the rules are as they are', async () => {
    const { story, occupation, result } = solved();
    const { user } = show(story, <ArithmeticButton result={result} occupation={occupation} />);
    await user.click(screen.getByRole('button', { name: 'Show calculation' }));
    expect(screen.getByText('Horizontal distance')).toBeTruthy();
    await user.selectOptions(screen.getByLabelText('Sight to'), 'K3');
    expect(screen.getByText(/N 8.060\.000, elevation 5\.700/)).toBeTruthy();
    expect(screen.getByText('Why three marks?')).toBeTruthy();
  });

  it('stands how the control lies, and what would go unseen', () => {
    const { story, result, judgement } = solved();
    show(
      story,
      <>
        <GeometryCard result={result} />
        <Unseen reliability={judgement.reliability!} chosen={null} />
      </>,
    );
    expect(screen.getByText('Geometry: good.')).toBeTruthy();
    expect(
      screen.getAllByText(/would go unseen and put (this station|what is set from here up to) \d+ mm off/),
    ).toBeTruthy();
  });
});

describe('setting up', () => {
  it('asks for what matters here, keeps when each was ticked, and says why', async () => {
    const ticked: TickedStep[][] = [];
    const { user } = show(
      new Story(),
      <SetupChecklist
        byHand={false}
        isLevel
        ticked={[]}
        onChange={(next) => ticked.push([...next])}
        ground="concrete"
        unsteady={false}
        overMark={false}
      />,
    );
    expect(screen.queryByLabelText(/^Plummet over the mark/)).toBeNull();
    await user.click(screen.getByLabelText(/^Strap or star/));
    expect(ticked[0]).toEqual([{ step: 'strap', at: expect.stringMatching(/Z$/) }]);
    expect(screen.getByText(/Two surfaces move differently/)).toBeTruthy();
  });
});

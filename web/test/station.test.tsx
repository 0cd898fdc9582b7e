import { beforeEach, describe, expect, it } from '@jest/globals';
import { LEVEL_GOOD, RADIANS_PER_SECOND, USUALLY_ASKED } from '@idle-marker/core';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { defaultUse, nextSights, stationDraft } from '@idle-marker/records';
import { AcceptDialog } from '../src/features/station/AcceptDialog.tsx';
import { JudgementCard } from '../src/features/station/JudgementCard.tsx';
import { levelRings } from '../src/features/station/levelRings.ts';
import { NextMark } from '../src/features/station/NextMark.tsx';
import { instrumentOf, precisionDraft, precisionError } from '../src/features/station/PrecisionFields.tsx';
import { Promise95 } from '../src/features/station/Promise95.tsx';
import { SightTable } from '../src/features/station/SightTable.tsx';
import { useDraft } from '../src/pole/useDraft.ts';
import { EXAGGERATION, stationScene } from '../src/features/station/stationScene.ts';
import { MisnamedCard } from '../src/pole/MisnamedCard.tsx';
import { begin, said, show, Story } from './page.tsx';
import type { ControlName } from '../../records/test/story.ts';

beforeEach(begin);

const POLE = { targetHeight: 1.5, targetHeightSd: 0.001, targetCentringSd: 0.001 };

function work(marks: readonly ControlName[], off: Partial<Record<ControlName, number>> = {}) {
  const story = new Story().control();
  const occupation = story.occupy('S1');
  for (const name of marks) story.sight(occupation, name, 'station', { e: off[name] ?? 0 });
  const draft = stationDraft(story.state, occupation, {});
  const solved = draft.outcome?.ok ? draft.outcome.value : null;
  return { story, occupation, draft, solved };
}

describe('the bubble of a level', () => {
  it('lies inside the inner ring when, and only when, it is in', () => {
    const good = LEVEL_GOOD / RADIANS_PER_SECOND;
    expect([900, 400, 121, 119, 31, 29].map(levelRings).map(({ rim }) => rim)).toEqual([600, 600, 600, 120, 120, 30]);
    for (const tilt of [0, good - 0.1, good + 0.1, 28, 100, 500])
      expect(tilt < levelRings(tilt).inner).toBe(tilt < good);
  });
});

describe('the table of sights', () => {
  const table = (marks: readonly ControlName[], planOnly = false, off: Partial<Record<ControlName, number>> = {}) => {
    const { story, draft, solved } = work(marks, off);
    const used: unknown[] = [];
    const shown = show(
      story,
      <SightTable
        groups={draft.groups}
        result={solved?.result ?? null}
        offMarks={new Set(off.K2 ? [story.markId('K2')] : [])}
        chosen={null}
        onChoose={() => undefined}
        usageOf={(sight) => defaultUse(story.state, sight)}
        busy={false}
        onSight={() => undefined}
        setUse={(sights, use) => used.push([sights.length, use])}
        byPart={false}
        planOnly={planOnly}
      />,
    );
    return { ...shown, used };
  };

  it('gives differences in millimetres and how improbable each is', () => {
    table(['K1', 'K2', 'K3', 'K4'], false, { K2: 0.03 });
    const row = within(screen.getByRole('row', { name: /^K2/ }));
    expect(Number(row.getAllByRole('cell')[2]!.textContent.replace('+', ''))).toBeGreaterThan(10);
    expect(Number(row.getAllByRole('cell')[5]!.textContent)).toBeGreaterThan(3.3);
    expect(screen.getByText(/Measured minus listed, mm/)).toBeTruthy();
  });

  it('switches plan and height of a mark apart', async () => {
    const { user, used } = table(['K1', 'K2', 'K3']);
    await user.click(screen.getByRole('switch', { name: 'K1 in plan' }));
    await user.click(screen.getByRole('switch', { name: 'K3 in elevation' }));
    expect(used).toEqual([
      [1, { plan: false }],
      [1, { height: false }],
    ]);
  });

  it('shows no heights when work is plan only', () => {
    table(['K1', 'K2', 'K3']);
    expect(screen.getByRole('columnheader', { name: 'Elev.' })).toBeTruthy();
    cleanup();
    table(['K1', 'K2', 'K3'], true);
    expect(screen.queryByRole('columnheader', { name: 'Elev.' })).toBeNull();
    expect(screen.queryByRole('switch', { name: 'K1 in elevation' })).toBeNull();
  });
});

describe('what to sight next', () => {
  it('names the best mark and what it would add', async () => {
    const { story, draft, solved } = work(['K1', 'K2']);
    const adds = nextSights(story.state, draft, USUALLY_ASKED);
    const asked: string[] = [];
    const { user } = show(
      story,
      <NextMark
        sighted={new Set(draft.groups.map((group) => group.mark))}
        adds={adds}
        chosen={null}
        onChoose={() => undefined}
        onSight={(mark) => asked.push(mark)}
        onSightAll={null}
        busy={false}
        at={solved!.result}
      />,
    );
    const best = story.state.control.find((mark) => mark.id === adds[0]!.name)!.revision.body.name;
    expect(screen.getByText(`Best next: ${best}.`)).toBeTruthy();
    expect(screen.getByText(/an error that matters (would show|could still go unseen)/)).toBeTruthy();
    const rows = screen.getAllByRole('row').slice(1);
    expect(within(rows[0]!).getByRole('button', { name: best })).toBeTruthy();
    expect(within(rows.at(-1)!).getByText('reserved for check shots')).toBeTruthy();
    await user.click(screen.getByRole('button', { name: `Sight ${best}` }));
    expect(asked).toEqual([adds[0]!.name]);
  });

  it('takes a mark that was missing from the list on the spot', async () => {
    const story = new Story().control(['K1']);
    const { user } = show(
      story,
      <NextMark
        sighted={new Set()}
        adds={[]}
        chosen={null}
        onChoose={() => undefined}
        onSight={() => undefined}
        onSightAll={null}
        busy={false}
        at={null}
      />,
    );
    await user.click(screen.getByRole('button', { name: 'Add unlisted mark…' }));
    const dialog = within(screen.getByRole('dialog'));
    await user.type(dialog.getByLabelText('Name'), 'N9');
    await user.type(dialog.getByLabelText(/^Easting/), '4100');
    await user.type(dialog.getByLabelText(/^Northing/), '8100');
    await user.click(dialog.getByRole('button', { name: 'Add mark' }));
    await waitFor(() => expect(said()).toMatchObject([{ type: 'control', body: { name: 'N9', e: 4100, n: 8100 } }]));
  });

  it('says when every usable mark has been sighted', () => {
    const story = new Story().control(['K1']);
    show(
      story,
      <NextMark
        sighted={new Set([story.markId('K1')])}
        adds={[]}
        chosen={null}
        onChoose={() => undefined}
        onSight={() => undefined}
        onSightAll={null}
        busy={false}
        at={null}
      />,
    );
    expect(screen.getByText('Every usable mark has been sighted.')).toBeTruthy();
  });
});

describe('the judgement', () => {
  it('names the mark that is off, and offers to sight it again or to leave it out', async () => {
    const { story, draft, solved } = work(['K1', 'K2', 'K3', 'K4', 'P1'], { K2: 0.03 });
    const done: string[] = [];
    const { user } = show(
      story,
      <JudgementCard
        judgement={solved!.judgement}
        groups={draft.groups}
        onSight={() => done.push('sight')}
        onLeaveOut={(mark, part) => done.push(`${mark === story.markId('K2')} ${part}`)}
        onRestate={() => undefined}
        busy={false}
      />,
    );
    expect(screen.getByRole('heading', { name: 'K2 doesn’t fit the other four' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Sight again' }));
    await user.click(screen.getByRole('button', { name: 'Leave out of plan' }));
    expect(done).toEqual(['sight', 'true plan']);
  });
});

describe('accepting', () => {
  const dialog = (
    marks: readonly ControlName[],
    obstacles: readonly { code: 'TOO_FEW_MARKS'; used: number; needed: number }[] = [],
    next: ControlName | null = null,
  ) => {
    const { story, occupation, draft, solved } = work(marks);
    let accepted = false;
    const went: string[] = [];
    const shown = show(
      story,
      <AcceptDialog
        open
        onClose={() => undefined}
        occupation={occupation}
        draft={draft}
        result={solved!.result}
        judgement={solved!.judgement}
        asked={story.state.classes[0]!}
        wanted={USUALLY_ASKED}
        obstacles={obstacles}
        usageOf={(sight) => defaultUse(story.state, sight)}
        next={next === null ? null : story.state.control.find((mark) => mark.id === story.markId(next))!}
        onSight={() => went.push('sight')}
        onProve={() => went.push('prove')}
        onAccepted={() => (accepted = true)}
      />,
    );
    return { ...shown, went, accepted: () => accepted };
  };

  it('keeps the solution with its digest, and does not list the station as a mark', async () => {
    const { user, accepted } = dialog(['K1', 'K2', 'K3', 'K4']);
    await user.click(screen.getByRole('button', { name: 'Accept station' }));
    await waitFor(() => expect(accepted()).toBe(true));
    await waitFor(() => expect(said().map((fact) => fact.type)).toEqual(['solution', 'decision']));
    expect(said()[0]).toMatchObject({ body: { name: 'S1', inputDigest: expect.stringMatching(/^[0-9a-f]{64}$/) } });
  });

  it('lists the station as a mark when it is asked to', async () => {
    const { user } = dialog(['K1', 'K2', 'K3', 'K4']);
    await user.click(screen.getByLabelText(/Also list S1 as a control mark/));
    await user.click(screen.getByRole('button', { name: 'Accept station' }));
    await waitFor(() => expect(said().at(-1)).toMatchObject({ type: 'control', body: { name: 'S1', forProof: true } }));
  });

  it('of a station that nothing checks is never the button that stands out: it asks for one mark more', async () => {
    const { user, went } = dialog(['K1', 'K2'], [], 'K3');
    expect(screen.getByRole('heading', { name: 'Nothing checks S1 yet' })).toBeTruthy();
    expect(screen.getByText(/An error that matters could go unseen\. Sight one mark more, or prove it/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Accept station' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Sight K3' }));
    expect(went).toEqual(['sight']);
    expect(said()).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Accept unchecked' }));
    await waitFor(() => expect(went).toEqual(['sight', 'prove']));
    await waitFor(() =>
      expect(said()[1]).toMatchObject({ body: { verdict: 'accepted', judged: { checkability: 'unchecked' } } }),
    );
  });

  it('where no mark is left leads to its proof at once', async () => {
    const { user, went } = dialog(['K1', 'K2']);
    await user.click(screen.getByRole('button', { name: 'Accept, then prove it' }));
    await waitFor(() => expect(went).toEqual(['prove']));
    // Both have gone out before another test begins.
    await waitFor(() => expect(said()).toHaveLength(2));
  });

  it('against the class is provisional and needs a reason', async () => {
    const { user, accepted } = dialog(['K1', 'K2'], [{ code: 'TOO_FEW_MARKS', used: 2, needed: 3 }]);
    expect(screen.queryByRole('button', { name: 'Accept station' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'Accept as provisional' }));
    expect(screen.getByText(/Enter a reason/)).toBeTruthy();
    expect(accepted()).toBe(false);
    await user.type(screen.getByLabelText('Reason'), 'only two in sight');
    await user.click(screen.getByRole('button', { name: 'Accept as provisional' }));
    await waitFor(() =>
      expect(said()[1]).toMatchObject({ body: { verdict: 'provisional', reason: 'only two in sight' } }),
    );
  });
});

describe('what a station promises', () => {
  it('is told for every package', () => {
    const story = new Story().control();
    story.work();
    show(story, <Promise95 solution={story.station('S1')} />);
    expect(within(screen.getByRole('row', { name: /^Hall hubs/ })).getByText('8 of 8')).toBeTruthy();
  });
});

describe('a reading under the wrong name', () => {
  it('is asked about', async () => {
    const story = new Story().control();
    const sight = story.sight(story.occupy('S1'), 'K1');
    const chosen: string[] = [];
    const likely = { name: story.markId('K3'), distance: 0.012, namedDistance: 156.2 };
    const { user } = show(
      story,
      <MisnamedCard
        doubt={{ sight, named: story.markId('K1'), likely }}
        onRename={() => chosen.push('rename')}
        onKeep={() => chosen.push('keep')}
      />,
    );
    expect(screen.getByRole('heading', { name: 'Was that K3?' })).toBeTruthy();
    expect(screen.getByText(/lands 156\.20 m from K1, but 0\.01 m from K3/)).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Rename to K3' }));
    await user.click(screen.getByRole('button', { name: 'Keep K1' }));
    expect(chosen).toEqual(['rename', 'keep']);
  });
});

describe('the plan of a station', () => {
  it('draws a sight line and an exaggerated arrow for every mark, and the ellipse', () => {
    const { story, solved } = work(['K1', 'K2', 'K3'], { K2: 0.01 });
    const scene = stationScene(story.state, solved!.result, 'S1', null, new Set());
    expect(scene.lines).toHaveLength(3);
    expect(scene.arrows).toHaveLength(3);
    expect(scene.ellipses![0]!.a).toBeCloseTo(solved!.result.ellipse95.a * EXAGGERATION, 9);
    const point = solved!.result.points[1]!;
    expect(scene.arrows![1]!.to.e - scene.arrows![1]!.from.e).toBeCloseTo(point.dE! * EXAGGERATION, 6);
  });
});

describe('the precision of an instrument', () => {
  it('is carried over from the last one, read from text, and checked', () => {
    const draft = precisionDraft({ name: 'old one', angleSdSec: 5, distSdMm: 3, distSdPpm: 2 });
    expect(instrumentOf({ ...draft, distanceMm: '1,5' })).toEqual({
      name: 'old one',
      angleSdSec: 5,
      distSdMm: 1.5,
      distSdPpm: 2,
    });
    expect(precisionError(draft)).toBeNull();
    for (const bad of [{ angleSd: '' }, { angleSd: '0' }, { distanceMm: 'two' }, { distancePpm: '-1' }])
      expect(precisionError({ ...draft, ...bad })).not.toBeNull();
    expect(instrumentOf(precisionDraft(undefined)).name).toBe('instrument read by hand');
  });
});

describe('what sights are used for', () => {
  it('keeps every change, also when several come before the page is drawn again', async () => {
    const { story, occupation } = work(['K1', 'K2', 'K3', 'K4']);
    const { sights } = story.state;
    function Harness() {
      const draft = useDraft(occupation, USUALLY_ASKED, POLE);
      const all = [...sights.values()];
      return (
        <button type="button" onClick={() => all.forEach((sight) => draft.setUse([sight], { height: false }))}>
          {all.filter((sight) => draft.usageOf(sight).height).length} with height
        </button>
      );
    }
    const { user } = show(story, <Harness />);
    await user.click(screen.getByRole('button', { name: '4 with height' }));
    expect(screen.getByRole('button', { name: '0 with height' })).toBeTruthy();
  });
});

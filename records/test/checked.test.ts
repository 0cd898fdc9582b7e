import { describe, expect, it } from '@jest/globals';
import { addedSight, USUALLY_ASKED } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { invalidFact } from '@idle-marker/contract';
import {
  askedBy,
  askedOf,
  checkOf,
  cutSheet,
  fallenStations,
  judgedBody,
  nextSights,
  promiseFor,
  reliabilityOf,
  setupBook,
  sheetNotices,
  stationDraft,
  toBeSet,
} from '@idle-marker/records';
import { Story, type ControlName } from './story.ts';

const POLE = { targetHeight: 1.5, targetHeightSd: 0.001, targetCentringSd: 0.001 };
const ON_TWO_POSTS = ['K1', 'Q1', 'K3'] as const;

/** A station accepted before the figures were kept, and four marks set from it. */
function before(marks: readonly ControlName[] = ON_TWO_POSTS) {
  const story = new Story().control(['K1', 'K2', 'K3', 'K4', 'P1', 'P2', 'Q1']);
  const work = story.work();
  const solution = story.station('S1', marks);
  const set = [0, 2, 4, 6].map((i) => story.set(solution, work, i));
  return { story, work, solution, set };
}
const sheetOf = ({ story, work }: Pick<ReturnType<typeof before>, 'story' | 'work'>) =>
  cutSheet(
    story.state,
    story.trust(),
    { package: work, issuedBy: 'Mara Lindqvist', issuedAt: story.instant(), timeZone: 'UTC' },
    null,
  );

describe('what the work asks of a station', () => {
  it('are the figures of its class, and the marks that are still to be set', () => {
    const { story, work } = before();
    const all = work.body.plans.length;
    expect(toBeSet(story.state, work)).toHaveLength(all - 4);
    expect(askedOf(story.state, 'grid')).toMatchObject({ plan: 0.006, height: 0.005, reach: 300 });
    expect(askedOf(story.state, 'grid').work).toHaveLength(all - 4);
    expect(askedOf(story.state, 'earthworks')).toMatchObject({ plan: 0.05, work: [] });
    expect(askedBy(story.state, work).work).toHaveLength(all - 4);
  });

  it('is promised for each package by itself', () => {
    const { story, solution, work } = before(['K1', 'K2', 'K3', 'K4']);
    const far = {
      ...work.body.items[0]!,
      corners: work.body.items[0]!.corners.map((corner) => ({ ...corner, n: corner.n + 250 })),
    };
    const other = story.work({ name: 'Far hall', items: [far] }, 'F');
    const promised = [work, other].map((each) => promiseFor(story.state, solution, each, POLE).reliability!);
    expect(promised[1]!.unnoticed[0]!.effect!).toBeGreaterThan(2 * promised[0]!.unnoticed[0]!.effect!);
  });
});

describe('a station accepted before', () => {
  it('is marked by the rules of then, and judged anew beside it', () => {
    const { story, solution } = before(['K1', 'K2', 'K3', 'K4']);
    expect(checkOf(story.state, solution)).toMatchObject({
      then: 'traceable',
      now: 'traceable',
      byRulesOfThen: true,
      fell: false,
    });
    expect(fallenStations(story.state, story.trust())).toEqual([]);
    const [book] = [setupBook(story.state, story.trust(), solution.occupation)];
    expect(book.decisions[0]!.judged).toMatchObject({ byRulesOfThen: 'traceable' });
  });

  it('on two posts was called checked and is not: what hangs on it alone is to be sighted again, the worst first', () => {
    const { story, solution, set } = before();
    expect(checkOf(story.state, solution)).toMatchObject({
      then: 'checked',
      now: 'unchecked',
      byRulesOfThen: true,
      fell: true,
      worst: { effect: null },
    });
    const [fallen, ...others] = fallenStations(story.state, story.trust());
    expect(others).toEqual([]);
    expect(fallen!.again.map((mark) => mark.id).sort()).toEqual(set.map((mark) => mark.id).sort());
    expect(sheetOf({ story, work: story.state.packages[0]! }).stations[0]!.checked).toEqual({
      checkability: 'unchecked',
      fell: true,
      hiddenMm: null,
    });
  });

  it('with three places too near to each other has its marks ordered by what could be hidden at each', () => {
    const story = new Story().control(['K1', 'K3', 'Q1']);
    // A metre beside the post: a place of its own, and yet next to no check.
    story.control(['Q1'], { e: 3951.2, n: 7960.1 });
    const work = story.work();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K3'] as const) story.sight(occupation, name);
    story.sight(occupation, 'Q1', 'station', { e: 1 });
    const solution = story.decide(occupation);
    for (const i of [0, 3, 6]) story.set(solution, work, i);
    const [fallen] = fallenStations(story.state, story.trust());
    const asked = askedOf(story.state, 'grid');
    const hidden = fallen!.again.map(
      (mark) => reliabilityOf(story.state, solution, { ...asked, work: [mark.body.place] })!.unnoticed[0]!.effect!,
    );
    expect(hidden).toEqual([...hidden].sort((a, b) => b - a));
    expect(hidden[0]!).toBeGreaterThan(hidden.at(-1)!);
  });

  it('tells whoever has a sheet with its marks, until a proof holds them', () => {
    const { story, work, solution, set } = before();
    const sheet = {
      sheet: story.who,
      number: 1,
      revision: 1,
      package: work.id,
      marks: set.map(({ id }) => id),
      withheld: [],
    };
    story.say('handover', sheet);
    const [notice] = sheetNotices(story.state, story.trust());
    expect(notice!.marks.map((each) => each.trouble)).toEqual([
      'stationFell',
      'stationFell',
      'stationFell',
      'stationFell',
    ]);
    story.prove(solution, 'P1');
    expect(sheetNotices(story.state, story.trust())).toEqual([]);
    expect(fallenStations(story.state, story.trust())).toMatchObject([{ again: [] }]);
  });
});

describe('a new decision', () => {
  const decided = () => {
    const story = new Story().control(['K1', 'K2', 'K3', 'K4', 'P1', 'P2', 'Q1']);
    story.work();
    const occupation = story.occupy('S1');
    for (const name of ON_TWO_POSTS) story.sight(occupation, name);
    const asked = askedOf(story.state, 'grid');
    const draft = stationDraft(story.state, occupation, {}, { asked });
    if (!draft.outcome?.ok) throw new Error('no station');
    return { story, occupation, asked, draft, outcome: draft.outcome.value };
  };

  it('keeps the state and the figures that were shown, and they count from then on', () => {
    const { story, occupation, asked, outcome } = decided();
    const accepted = story.decide(occupation, 'provisional', {}, 'nothing else in sight');
    const body: Fact<'decision'>['body'] = { ...accepted.decision.body, judged: judgedBody(outcome.judgement, asked) };
    const decision = { ...accepted.decision, body };
    expect(invalidFact(decision)).toBeNull();
    expect(body.judged).toMatchObject({
      verdict: 'unchecked',
      checkability: 'unchecked',
      askedMm: { plan: 6, height: 5 },
    });
    expect(body.judged!.unnoticed.map(({ effectMm }) => effectMm)).toEqual([null, null]);
    expect(checkOf(story.state, { ...accepted, decision })).toMatchObject({
      then: 'unchecked',
      now: 'unchecked',
      byRulesOfThen: false,
      fell: false,
    });
  });

  it('is made on a page that names the mark which would check the station', () => {
    const { story, outcome } = decided();
    const [step] = outcome.judgement.doThis;
    expect(step).toMatchObject({ code: 'SIGHT_ANOTHER' });
    const named =
      step?.code === 'SIGHT_ANOTHER'
        ? story.state.control.find((mark) => mark.id === step.name)?.revision.body.name
        : null;
    expect(['K2', 'K4']).toContain(named);
    const proofs = story.state.control.filter((mark) => mark.revision.body.forProof).map((mark) => mark.id);
    expect(proofs).not.toContain(step?.code === 'SIGHT_ANOTHER' ? step.name : null);
    const kept =
      outcome.extensible &&
      addedSight(
        outcome.extensible,
        { name: 'x', e: 4060, n: 7950, z: null, sdPlan: 0.001, sdHeight: null },
        USUALLY_ASKED,
      );
    expect(kept!.checkability).not.toBe('unchecked');
  });
});

describe('over a mark', () => {
  const over = (backsights: readonly ControlName[]) => {
    const story = new Story().control();
    story.work();
    const mark = story.state.control.find((each) => each.revision.body.name === 'P2')!;
    const occupation = story.occupy('S1', {
      method: 'overMark',
      over: { mark: mark.id, revision: mark.revision.id, centringSdMm: 1 },
    });
    story.stand({ e: 3985, n: 8075, z: 5.5 });
    for (const name of backsights) story.sight(occupation, name);
    const { outcome } = stationDraft(story.state, occupation, {});
    if (!outcome?.ok) throw new Error('no station');
    const draft = stationDraft(story.state, occupation, {});
    const next = nextSights(story.state, draft, USUALLY_ASKED).map(
      (each) => story.state.control.find((mark) => mark.id === each.name)!.revision.body.name,
    );
    return { ...outcome.value.judgement, next };
  };

  it('the mark under the instrument is one place, its backsights are others', () => {
    expect(over(['K1'])).toMatchObject({ verdict: 'unchecked', checkability: 'unchecked' });
    const two = over(['K1', 'K3']);
    expect(two.checkability).toBe('checked');
    expect(two.reliability!.places).toHaveLength(3);
    // What the station itself is off by is what the mark under it is off by.
    const [worst] = two.reliability!.unnoticed;
    expect(worst!.effect!).toBeCloseTo(worst!.noticed!, 3);
    expect(over(['K1', 'K2', 'K3']).checkability).toBe('traceable');
    // A further backsight is ranked by what it leaves hidden; the mark under the instrument is none.
    const one = over(['K1']);
    expect([...one.next].sort()).toEqual(['K2', 'K3', 'K4']);
    expect(one.doThis[0]).toMatchObject({ code: 'SIGHT_ANOTHER', effect: expect.any(Number) });
  });
});

describe('a station accepted while it can’t be told what is wrong', () => {
  it('promises its packages no more than the range that was shown', () => {
    const { story, work, solution } = before(['K1', 'K2', 'K3', 'K4']);
    const shown = (goodToMm: number | null): typeof solution => {
      const judged = {
        verdict: 'refused',
        checkability: 'checked',
        goodToMm,
        askedMm: { plan: 6, height: 5 },
        unnoticed: [],
      } as const;
      return {
        ...solution,
        decision: { ...solution.decision, body: { ...solution.decision.body, judged: { ...judged, unnoticed: [] } } },
      };
    };
    const sure = promiseFor(story.state, solution, work, POLE);
    const unsure = promiseFor(story.state, shown(31), work, POLE);
    expect(sure.good).toBe(sure.marks);
    expect(unsure.worst!).toBeGreaterThan(0.028);
    expect(unsure.good).toBe(0);
    expect(promiseFor(story.state, shown(null), work, POLE)).toMatchObject({ worst: null, good: 0 });
  });
});

/**
 * Heights of stations over a mark, on lines, and with a typed direction: where they come from, and what hangs on that.
 */
import { describe, expect, it } from '@jest/globals';
import {
  effectsOfMove,
  heightRevision,
  heldUses,
  nextSights,
  proofCandidates,
  reliabilityOf,
  siteLines,
  stationDraft,
  trustRecords,
  usedBy,
} from '@idle-marker/records';
import { newId, PLACES, Story, type ControlName } from './story.ts';

const outcomeOf = (draft: ReturnType<typeof stationDraft>) => {
  if (!draft.outcome?.ok) throw new Error(draft.outcome?.error.code ?? 'nothing yet');
  return draft.outcome.value;
};
const codesOf = (draft: ReturnType<typeof stationDraft>) =>
  outcomeOf(draft).judgement.because.map((reason) => reason.code);

/** Over K1, which is listed so much higher than it stands. */
function overK1(off = 0, sights: readonly ControlName[] = ['K2', 'K3', 'K4'], more = {}) {
  const story = new Story().control().control(['K1'], { z: PLACES.K1.z + off });
  const mark = story.state.control.find((each) => each.id === story.markId('K1'))!;
  const occupation = story.stand(PLACES.K1).occupy('S1', {
    method: 'overMark',
    over: { mark: mark.id, revision: mark.revision.id, centringSdMm: 1 },
    ...more,
  });
  for (const name of sights) story.sight(occupation, name);
  return { story, occupation, mark };
}

describe('the height of a station over a mark', () => {
  it('comes from benchmarks in one choice, with what it hangs on', () => {
    const { story, occupation, mark } = overK1(-0.3);
    expect(codesOf(stationDraft(story.state, occupation, {}))).toContain('OCCUPIED_HEIGHT_OFF');
    const solution = story.decide(occupation, 'accepted', {}, '', { heightFrom: 'benchmarks' });
    expect(solution.fact.body).toMatchObject({
      method: 'overMark',
      heightFrom: 'benchmarks',
      result: { z: expect.closeTo(PLACES.K1.z, 4) },
    });
    const held = heldUses(solution.fact, occupation);
    expect(held.filter((use) => use.height).map((use) => use.control)).toEqual([
      story.markId('K2'),
      story.markId('K3'),
      story.markId('K4'),
    ]);
    expect(held.find((use) => use.control === mark.id)).toMatchObject({ plan: true, height: false });
    // Later it is computed again from the same, and nothing else.
    const { unnoticed } = reliabilityOf(story.state, solution, { plan: 0.01, height: 0.01, work: [] })!.height!;
    expect(unnoticed.filter((each) => each.effect === 0).map((each) => each.names)).toEqual([[mark.id]]);
    expect(unnoticed).toHaveLength(4);
  });

  it('hangs on the mark alone where it is taken from it: a benchmark that was compared can prove it', () => {
    const { story, occupation } = overK1();
    const solution = story.decide(occupation);
    expect(solution.fact.body).not.toHaveProperty('heightFrom');
    expect(usedBy(solution, story.markId('K2'))).toEqual({ plan: true, height: false });
    const record = trustRecords(story.state).find((each) => each.type === 'solution')!;
    expect(record.uses.filter((use) => use.height).map((use) => use.control)).toEqual([story.markId('K1')]);
    expect(
      proofCandidates(story.state, solution, ['height']).find((each) => each.mark.id === story.markId('K2'))!.proves,
    ).toEqual(['height']);
    const held = story.decide(occupation, 'accepted', {}, '', { heightFrom: 'both' });
    expect(usedBy(held, story.markId('K2'))).toEqual({ plan: true, height: true });
    expect(usedBy(held, story.markId('K1'))).toEqual({ plan: true, height: true });
  });

  it('revises the mark in one step, with its source, and leaves what was judged by the older figure as it was', () => {
    const { story, occupation, mark } = overK1(-0.3);
    const { result } = outcomeOf(stationDraft(story.state, occupation, {}, { heightFrom: 'benchmarks' }));
    const body = heightRevision(mark, result.height!, 'by station S1 from K2, K3, K4');
    expect(body).toMatchObject({
      z: expect.closeTo(PLACES.K1.z, 4),
      e: PLACES.K1.e,
      supersedes: mark.revision.id,
      heightSource: 'by station S1 from K2, K3, K4',
    });
    story.say('control', body);
    const again = stationDraft(story.state, occupation, {}, { heightFrom: 'benchmarks' });
    expect(codesOf(again)).toContain('OCCUPIED_HEIGHT_OFF');
    expect(story.state.control.find((each) => each.id === mark.id)!.revisions).toHaveLength(3);
  });

  it('moves nothing with the mark under it where it was taken from benchmarks, and all of it where it was not', () => {
    const { story, occupation, mark } = overK1();
    const work = story.work();
    const parts = { plan: false, height: true };
    story.set(story.decide(occupation, 'accepted', {}, '', { heightFrom: 'benchmarks' }), work, 0);
    expect(effectsOfMove(story.state, mark.revision, parts)).toEqual([]);
    expect(effectsOfMove(story.state, mark.revision, { plan: true, height: false })).toHaveLength(1);
    const held = story.set(story.decide(occupation), work, 1);
    expect(effectsOfMove(story.state, mark.revision, parts).map((each) => each.mark)).toEqual([held.id]);
  });

  it('is not there in plan alone, whatever the mark has', () => {
    const { story, occupation } = overK1();
    const solution = story.decide(occupation, 'accepted', { height: false }, '', { heightFrom: null });
    expect(solution.fact.body.result.z).toBeNull();
    expect(
      trustRecords(story.state)
        .find((each) => each.type === 'solution')!
        .uses.some((use) => use.height),
    ).toBe(false);
  });

  it('of a leapfrog comes from benchmarks, too', () => {
    const story = new Story().control();
    const first = story.station('S1');
    const front = { e: 4090, n: 7960, z: 5.4 };
    const mark = newId();
    story.shoot(first.occupation, 'control', { kind: 'control', mark }, front);
    const listed = {
      name: 'N1',
      ...front,
      z: front.z - 0.2,
      sdHMm: 2,
      sdZMm: 2,
      kind: 'nail',
      usePlan: true,
      useHeight: true,
      forProof: false,
    } as const;
    const fact = story.say('control', {
      mark,
      ...listed,
      condition: 'usable',
      note: '',
      source: '',
      parent: first.fact.id,
      supersedes: null,
    });
    const next = story
      .stand(front)
      .occupy('S2', { method: 'overMark', over: { mark, revision: fact.id, centringSdMm: 1 } });
    for (const name of ['K2', 'K3'] as const) story.sight(next, name);
    const draft = stationDraft(story.state, next, {}, { heightFrom: 'benchmarks' });
    expect(outcomeOf(draft).result.height!.z).toBeCloseTo(front.z, 4);
  });
});

describe('sights with a typed direction', () => {
  const assumed = { azimuthDeg: 10, circleDeg: 10, to: 'the gate' };

  it('are compared with it, and hold nothing', () => {
    const { story, occupation } = overK1(0, ['K2', 'K3'], { assumed });
    const unused = Object.fromEntries([...story.state.sights.keys()].map((id) => [id, { plan: false, height: true }]));
    const draft = stationDraft(story.state, occupation, unused);
    expect(codesOf(draft)).toEqual(
      expect.arrayContaining(['ASSUMED_DIRECTION', 'TYPED_DIRECTION_FITS', 'HEIGHTS_AGREE']),
    );
    const solution = story.decide(occupation, 'provisional', { plan: false }, 'a yard of its own');
    expect(solution.fact.body.method).toBe('assumed');
    expect(usedBy(solution, story.markId('K2'))).toEqual({ plan: false, height: false });
    expect(proofCandidates(story.state, solution).find((each) => each.mark.id === story.markId('K2'))!.proves).toEqual([
      'plan',
      'height',
    ]);
  });

  it('tell a direction that was typed wrongly, used or not', () => {
    const { story, occupation } = overK1(0, ['K2', 'K3'], { assumed: { ...assumed, azimuthDeg: 10.1 } });
    const unused = Object.fromEntries([...story.state.sights.keys()].map((id) => [id, { plan: false, height: true }]));
    const typed = outcomeOf(stationDraft(story.state, occupation, unused)).judgement;
    expect(typed.because).toContainEqual(expect.objectContaining({ code: 'TYPED_DIRECTION_OFF', isUsed: true }));
    expect(typed.verdict).toBe('refused');
    // With the backsights in its place it is still told, but holds nobody up.
    const { judgement } = outcomeOf(stationDraft(story.state, occupation, {}));
    expect(judgement.because).toContainEqual(expect.objectContaining({ code: 'TYPED_DIRECTION_OFF', isUsed: false }));
    expect(judgement.verdict).not.toBe('refused');
  });
});

describe('the height of a station on lines', () => {
  it('comes from benchmarks that are sighted from it', () => {
    const story = new Story().control();
    story.work();
    const occupation = story.occupy('S1', { method: 'onLines' });
    siteLines(story.state).forEach((line, i) => {
      const f = 0.3 + 0.1 * i;
      const place = {
        e: line.from.e + f * (line.to.e - line.from.e),
        n: line.from.n + f * (line.to.n - line.from.n),
        z: 5.5,
      };
      story.shoot(occupation, 'station', line.target, place);
    });
    const near = { e: 4030, n: 8000 };
    expect(codesOf(stationDraft(story.state, occupation, {}, { near }))).toContain('NO_HEIGHT');
    story.sight(occupation, 'K2');
    expect(outcomeOf(stationDraft(story.state, occupation, {}, { near })).judgement.because).toContainEqual({
      code: 'HEIGHT_UNCHECKED',
      name: story.markId('K2'),
    });
    story.sight(occupation, 'K3');
    const solution = story.decide(occupation, 'provisional', {}, 'lines', { near });
    expect(solution.fact.body).toMatchObject({ method: 'onLines', result: { z: expect.closeTo(story.standsAt.z, 3) } });
    expect(usedBy(solution, story.markId('K2'))).toEqual({ plan: false, height: true });
  });
});

describe('the mark to sight next', () => {
  it('is never the one under the instrument, nor on its post', () => {
    const story = new Story().control().control(['Q1']);
    story.stand({ ...PLACES.Q1, e: PLACES.Q1.e + 0.7, z: PLACES.Q1.z });
    const occupation = story.occupy('S1');
    for (const name of ['K2', 'K3'] as const) story.sight(occupation, name);
    const asked = { plan: 0.01, height: 0.01, work: [] };
    const offered = nextSights(story.state, stationDraft(story.state, occupation, {}, { asked }), asked).map(
      (each) => each.name,
    );
    expect(offered).not.toContain(story.markId('Q1'));
    expect(offered).toContain(story.markId('K4'));
  });
});

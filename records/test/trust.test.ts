import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  effectsOfMove,
  familyOf,
  judgeTurn,
  isProvenControl,
  markHistory,
  markTrend,
  measuredMark,
  ownControlBody,
  pairsOf,
  promiseFor,
  rivalSolutions,
  stationDraft,
  type UseFlags,
} from '@idle-marker/records';
import { newId, PLACES, Story } from './story.ts';

const standingOf = (story: Story, mark: string) => story.trust().marks.find((each) => each.id === mark)!;

describe('a set mark sighted again', () => {
  const evening = () => {
    const story = new Story().control();
    const work = story.work();
    const first = story.station('S1');
    const mark = story.set(first, work, 0);
    story.say('close', { occupation: first.occupation.id, note: '' });
    const second = story.stand({ e: 3980, n: 8020, z: 5.5 }).station('S2', ['K1', 'K2', 'K3']);
    story.prove(second, 'P1');
    return { story, mark, first, second };
  };

  it('from a proven station proves where its own station stood', () => {
    const { story, mark, second } = evening();
    expect(standingOf(story, mark.id).plan).toMatchObject({ standing: 'unproven', because: ['NEVER_PROVEN'] });
    expect(story.trust().propose).toContainEqual(expect.objectContaining({ action: 'resight', mark: mark.id }));
    story.resight(second, mark);
    story.prove(second, 'P2');
    expect(standingOf(story, mark.id)).toMatchObject({ standing: 'held', plan: { because: ['RESIGHTED'] } });
    expect(story.trust().propose.filter((each) => each.mark === mark.id)).toEqual([]);
  });

  it('that is not where it was puts it in doubt', () => {
    const { story, mark, second } = evening();
    const resight = story.resight(second, mark, { e: 0.02 });
    expect(resight.body.plan).toBe('outside');
    expect(standingOf(story, mark.id)).toMatchObject({
      standing: 'inDoubt',
      plan: { because: ['PROOF_FAILED'], evidence: resight.id },
    });
  });

  it('compares no height where the hub was never shot', () => {
    const story = new Story().control();
    const work = story.work();
    const first = story.station('S1');
    const rough = story.set(first, work, 0, { as: 'set' });
    expect(story.resight(first, rough).body).toMatchObject({ plan: 'good', height: 'notMeasured' });
  });
});

describe('a control mark found moved', () => {
  it('recomputes every mark of every station that used it', () => {
    const story = new Story().control();
    const work = story.work();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K4'] as const) story.sight(occupation, name);
    // K3 was sighted 30 mm off when the station was made, and used all the same.
    story.sight(occupation, 'K3', 'station', { e: 0.03 });
    const solution = story.decide(occupation);
    const mark = story.set(solution, work, 0);
    story.prove(solution, 'P1');
    const revision = story.state.control.find((each) => each.id === story.markId('K3'))!.revision;
    const effects = effectsOfMove(story.state, revision, { plan: true, height: false });
    expect(effects).toEqual([{ mark: mark.id, planMm: expect.any(Number), heightMm: null }]);
    expect(effects[0]!.planMm!).toBeGreaterThan(6);
    expect(standingOf(story, mark.id).plan.standing).toBe('held');
    const finding = story.say('finding', {
      cause: 'controlMoved',
      revision: revision.id,
      plan: true,
      height: false,
      effects,
      reason: 'K3 was run over',
      supersedes: null,
    });
    expect(standingOf(story, mark.id).plan).toEqual({
      standing: 'inDoubt',
      because: ['CONTROL_MOVED'],
      evidence: finding.id,
    });
    story.say('withdrawal', { record: finding.id, occupation: null, reason: 'it was the pole' });
    expect(standingOf(story, mark.id).plan.standing).toBe('held');
  });

  it('can’t tell where two marks were all the station had', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1', ['K1', 'K3']);
    const mark = story.set(solution, work, 0);
    const revision = story.state.control.find((each) => each.id === story.markId('K1'))!.revision;
    expect(effectsOfMove(story.state, revision, { plan: true, height: true })).toEqual([
      { mark: mark.id, planMm: null, heightMm: null },
    ]);
  });
});

describe('the history of a mark', () => {
  it('tells since when it disagrees, and what to do about it', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    expect(markTrend(markHistory(story.state, story.markId('P1'))).propose).toBe('nothing');
    const first = story.prove(solution, 'P1', { z: 0.012 });
    expect(markTrend(markHistory(story.state, story.markId('P1')))).toEqual({
      since: first.at,
      part: 'height',
      propose: 'sightAgain',
    });
    story.prove(solution, 'P1', { z: 0.013 });
    expect(markTrend(markHistory(story.state, story.markId('P1')))).toEqual({
      since: first.at,
      part: 'height',
      propose: 'leaveOutOfHeight',
    });
    expect(markHistory(story.state, story.markId('K1')).map((look) => look.as)).toEqual(['used']);
  });
});

describe('control pair by pair', () => {
  it('blames the mark whose pairs do not fit', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K3', 'K4'] as const) story.sight(occupation, name);
    story.sight(occupation, 'K2', 'station', { e: 0.04, n: -0.03 });
    const pairs = pairsOf(story.state, occupation);
    expect(pairs).toHaveLength(6);
    expect([pairs[0]!.from, pairs[0]!.to]).toContain(story.markId('K2'));
    expect(
      pairs.filter((pair) => pair.exceeds).every((pair) => [pair.from, pair.to].includes(story.markId('K2'))),
    ).toBe(true);
  });
});

describe('control of one’s own', () => {
  it('carries its parent and its uncertainty, and is proven by a second station alone', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    const sights = [0, 1, 2].map(() => story.sight(solution.occupation, 'P2', 'proof'));
    const measured = measuredMark(story.state, solution, sights)!;
    expect(measured.e).toBeCloseTo(PLACES.P2.e, 3);
    const body = ownControlBody(solution, measured, {
      mark: newId(),
      name: 'N1',
      kind: 'nail',
      note: '',
      spot: 'dimple',
    });
    const fact = story.say('control', body);
    const mark = () => story.state.control.find((each) => each.revision.id === fact.id)!;
    expect(body.sdHMm!).toBeGreaterThan(solution.fact.body.result.ellipse95.bMm / 2.4477);
    expect(familyOf(story.state, mark())).toMatchObject({
      generation: 1,
      station: 'S1',
      parents: ['K1', 'K2', 'K3', 'K4'],
    });
    expect(isProvenControl(story.state, mark())).toBe(false);
    expect(
      isProvenControl(
        story.state,
        story.state.control.find((each) => each.id === story.markId('K1'))!,
      ),
    ).toBe(true);
    const proofBody = {
      class: 'grid',
      plan: 'good',
      height: 'good',
      result: {},
      supersedes: null,
      control: body.mark,
      revision: fact.id,
    } as const;
    const own = story.sight(solution.occupation, 'P2', 'proof');
    story.say('proof', { ...proofBody, solution: solution.fact.id, sight: own.id });
    expect(isProvenControl(story.state, mark())).toBe(false);
    const second = story.station('S2');
    const sight = story.sight(second.occupation, 'P2', 'proof');
    story.say('proof', { ...proofBody, solution: second.fact.id, sight: sight.id });
    expect(isProvenControl(story.state, mark())).toBe(true);
  });
});

describe('a station over a mark', () => {
  it('is held by the mark and its backsights, and says what one of them proves', () => {
    const story = new Story().control();
    const k1 = story.state.control.find((each) => each.id === story.markId('K1'))!;
    story.stand({ ...PLACES.K1 });
    const occupation = story.occupy('S1', {
      method: 'overMark',
      over: { mark: k1.id, revision: k1.revision.id, centringSdMm: 1 },
    });
    expect(stationDraft(story.state, occupation, {}).outcome).toBeNull();
    story.sight(occupation, 'K3');
    const one = stationDraft(story.state, occupation, {});
    expect(one.over).toBe(k1.id);
    if (!one.outcome?.ok) throw new Error('no station');
    expect(one.outcome.value.result.e).toBe(PLACES.K1.e);
    expect(one.outcome.value.judgement).toMatchObject({
      verdict: 'unchecked',
      because: [{ code: 'OVER_ONE_BACKSIGHT' }, { code: 'HEIGHTS_AGREE' }],
    });
    story.sight(occupation, 'K2', 'station', { n: 0.05 });
    const two = stationDraft(story.state, occupation, {});
    if (!two.outcome?.ok) throw new Error('no station');
    expect(two.outcome.value.judgement.verdict).toBe('refused');
    expect(two.outcome.value.judgement.because.map((reason) => reason.code)).toContain('BACKSIGHTS_DISAGREE');
    story.sight(occupation, 'K4', 'station', { n: 0.05 });
    const three = stationDraft(story.state, occupation, {});
    expect(three.outcome?.ok && three.outcome.value.judgement.because).toContainEqual(
      expect.objectContaining({ code: 'BACKSIGHT_OFF', name: story.markId('K4') }),
    );
    const solution = story.decide(occupation, 'provisional', {}, 'one of the two is off');
    expect(solution.fact.body).toMatchObject({ method: 'overMark' });
    expect(solution.fact.body.uses.map((use) => use.control)).toContain(k1.id);
  });
});

describe('one station accepted on two devices', () => {
  it('is told: the later one is in force, both stay', () => {
    const story = new Story().control();
    const first = story.station('S1');
    expect(rivalSolutions(story.state, first)).toEqual([]);
    const again = story.decide(first.occupation);
    expect(rivalSolutions(story.state, again)).toEqual([]);
    const apart = story.say('solution', { ...again.fact.body, supersedes: first.fact.id });
    story.say('decision', { solution: apart.id, verdict: 'accepted', reason: '' }, 0);
    const later = story.state.accepted.find((each) => each.fact.id === apart.id)!;
    expect(rivalSolutions(story.state, later).map((each) => each.fact.id)).toEqual([again.fact.id]);
  });
});

describe('what a station can promise', () => {
  it('names the worst mark, and what would meet the class there', () => {
    const story = new Story({
      classes: [{ id: 'grid', name: 'Tight', planMm: 5, heightMm: 5, leastMarks: 3 }],
    }).control();
    const work = story.work();
    const solution = story.station('S1');
    const pole = (targetHeight: number, targetCentringSd: number) => ({
      targetHeight,
      targetHeightSd: 0.001,
      targetCentringSd,
    });
    expect(promiseFor(story.state, solution, work, pole(0.3, 0.0007))).toMatchObject({ good: 8, marks: 8, cure: null });
    const loose = promiseFor(story.state, solution, work, pole(1.5, 0.0025));
    expect(loose.good).toBe(0);
    expect(loose.worstMark).not.toBeNull();
    expect(loose.cure).toEqual({ code: 'LEGS' });
    const high = promiseFor(story.state, solution, work, pole(4, 0.004));
    expect(high.cure?.code === 'LEGS' || high.cure?.code === 'LOW_PRISM').toBe(true);
  });
});

describe('a far direction', () => {
  it('is judged by what the turn does at the work, not by chance alone', () => {
    const story = new Story().control();
    story.work();
    const solution = story.station('S1');
    const turn = (seconds: number) => judgeTurn(story.state, solution, (seconds / 3600) * (Math.PI / 180)).outcome;
    expect([2, -4, 12, -12, 90, 3600].map(turn)).toEqual([
      'good',
      'good',
      'moreThanChance',
      'moreThanChance',
      'outside',
      'outside',
    ]);
  });
});

describe('leaving out and putting back', () => {
  it('is the identity, whatever was left out in between', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3', 'K4', 'P1'] as const)
      story.sight(occupation, name, 'station', { e: 0.003, z: -0.002 });
    const sights = [...story.state.sights.keys()];
    const before = stationDraft(story.state, occupation, {});
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(4), fc.boolean(), fc.boolean()), { maxLength: 8 }), (steps) => {
        const flags: Record<string, UseFlags> = {};
        for (const [i, plan, height] of steps) flags[sights[i]!] = { plan, height };
        const between = stationDraft(story.state, occupation, flags);
        expect(between.groups.map((group) => group.mark)).toEqual(before.groups.map((group) => group.mark));
        for (const id of Object.keys(flags)) flags[id] = { plan: true, height: true };
        expect(stationDraft(story.state, occupation, flags)).toEqual(before);
      }),
      { numRuns: 40 },
    );
  });
});

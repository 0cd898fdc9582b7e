import { describe, expect, it } from '@jest/globals';
import type { FactBody } from '@idle-marker/contract';
import {
  broughtFrom,
  bookLine,
  canBeRehung,
  effectsOfCorrection,
  factsOfOccupation,
  measuredWith,
  partsOfCorrections,
  recomputed,
  recomputedBefore,
  groupSights,
  heightDraft,
  isGroundOf,
  measuredMark,
  placeForControl,
  ownControlBody,
  siteLines,
  solutionBody,
  stationDraft,
  stationMark,
  trustRecords,
} from '@idle-marker/records';
import { newId, PLACES, Story } from './story.ts';

const outcomeOf = (draft: ReturnType<typeof stationDraft>) => {
  if (!draft.outcome?.ok) throw new Error(draft.outcome?.error.code ?? 'nothing yet');
  return draft.outcome.value;
};

describe('a station carried forward', () => {
  const FRONT = { e: 4090, n: 7960, z: 5.4 };
  const leapfrog = () => {
    const story = new Story().control();
    const first = story.station('S1');
    const mark = newId();
    const sights = [0, 1, 2].map(() => story.shoot(first.occupation, 'control', { kind: 'control', mark }, FRONT));
    const measured = measuredMark(story.state, first, sights)!;
    const front = story.say(
      'control',
      ownControlBody(first, measured, { mark, name: 'N1', kind: 'nail', note: '', spot: '' }),
    );
    const ground = story.say('control', stationMark(newId(), first.occupation, first.fact.body.result, first.fact.id));
    story.say('close', { occupation: first.occupation.id, note: '' });
    story.stand(FRONT);
    const next = story.occupy('S2', { method: 'overMark', over: { mark, revision: front.id, centringSdMm: 1 } });
    return { story, first, next, ground, mark, front };
  };

  it('looks back to where it came from, and carries both errors', () => {
    const { story, first, next, ground } = leapfrog();
    expect(broughtFrom(story.state, next)?.from.fact.id).toBe(first.fact.id);
    expect(isGroundOf(story.state, first, ground.body.mark)).toBe(true);
    const { e, n, z } = ground.body;
    story.shoot(next, 'station', { kind: 'control', mark: ground.body.mark }, { e: e!, n: n!, z: z! });
    const { result, judgement } = outcomeOf(stationDraft(story.state, next, {}));
    expect(judgement.because[0]).toMatchObject({ code: 'CARRIED_FORWARD', from: 'S1' });
    expect((judgement.because[0] as { distanceOff: number }).distanceOff).toBeCloseTo(0, 3);
    expect(result.e).toBeCloseTo(FRONT.e, 3);
    // Worse than the station it comes from, better than if the two errors were strangers to each other.
    const [[firstVariance]] = first.fact.body.result.covariance as [[number]];
    expect(result.covariance[0]![0]).toBeGreaterThan(firstVariance);
    expect(result.sdOrientation).toBeGreaterThan(0);
    const body = solutionBody(
      story.state,
      next,
      stationDraft(story.state, next, {}),
      result,
      'grid',
      () => ({ plan: true, height: true }),
      null,
    );
    expect(body.method).toBe('carried');
    expect(body.uses.some((use) => use.control === next.body.over!.mark)).toBe(true);
  });

  it('is an ordinary one with two backsights, and where the mark was given', () => {
    const { story, next, ground } = leapfrog();
    const { e, n, z } = ground.body;
    story.shoot(next, 'station', { kind: 'control', mark: ground.body.mark }, { e: e!, n: n!, z: z! });
    story.sight(next, 'K2');
    expect(outcomeOf(stationDraft(story.state, next, {})).judgement.because.map((each) => each.code)).toContain(
      'OVER_SEVERAL_BACKSIGHTS',
    );
    const given = new Story().control();
    const over = given.occupy('S9', {
      method: 'overMark',
      over: { mark: given.markId('K1'), revision: given.state.control[0]!.revision.id, centringSdMm: 1 },
    });
    expect(broughtFrom(given.state, over)).toBeNull();
  });
});

describe('a place for control of one’s own', () => {
  it('lies outside of the works, clear of them, and where the control leaves a gap', () => {
    // All control stands in the west: the widest gap is in the east.
    const story = new Story().control(['K1', 'K4', 'P2']);
    story.work({ ground: { kind: 'dig', on: null, reach: 3 } });
    const place = placeForControl(story.state, story.station('S1', ['K1', 'K4']));
    expect(place.e).toBeGreaterThan(4040);
    const inside = (e: number, n: number) => e > 3979 && e < 4021 && n > 7979 && n < 8021;
    expect(inside(place.e, place.n)).toBe(false);
    expect(Math.hypot(place.e - 4030, place.n - 8000)).toBeGreaterThan(8);
  });

  it('is found on an empty site too', () => {
    const story = new Story().control(['K1', 'K2', 'K3']);
    const place = placeForControl(story.state, story.station('S1', ['K1', 'K2', 'K3']));
    expect(Number.isFinite(place.e) && Number.isFinite(place.n)).toBe(true);
  });
});

describe('a typed direction', () => {
  it('gives a station without any sight, and the mark under it still holds what hangs on it', () => {
    const story = new Story().control();
    const k1 = story.state.control.find((mark) => mark.revision.body.name === 'K1')!;
    const occupation = story.occupy('S1', {
      method: 'overMark',
      over: { mark: k1.id, revision: k1.revision.id, centringSdMm: 1 },
      assumed: { azimuthDeg: 90, circleDeg: 0, to: 'the shed' },
    });
    const draft = stationDraft(story.state, occupation, {});
    const { result, judgement } = outcomeOf(draft);
    expect(judgement.because[0]!.code).toBe('ASSUMED_DIRECTION');
    const body = solutionBody(
      story.state,
      occupation,
      draft,
      result,
      'grid',
      () => ({ plan: true, height: true }),
      null,
    );
    expect(body).toMatchObject({ method: 'assumed', uses: [] });
    const solution = story.say('solution', body);
    story.say('decision', { solution: solution.id, verdict: 'provisional', reason: 'a yard of its own' });
    const record = trustRecords(story.state).find((each) => each.type === 'solution')!;
    expect(record).toMatchObject({ uses: [{ control: k1.id, revision: k1.revision.id, plan: true, height: true }] });
    // A backsight takes its place as soon as there is one.
    story.stand({ ...PLACES.K1, z: PLACES.K1.z }).sight(occupation, 'K2');
    expect(outcomeOf(stationDraft(story.state, occupation, {})).judgement.because[0]!.code).toBe('OVER_ONE_BACKSIGHT');
  });
});

describe('a station on drawn lines', () => {
  it('takes the sides of outlines, and any point along them', () => {
    const story = new Story().control();
    story.work();
    const lines = siteLines(story.state);
    expect(lines.map((line) => line.name)).toEqual(['Hall A–B', 'Hall B–C', 'Hall C–D', 'Hall D–A']);
    const occupation = story.occupy('S1', { method: 'onLines' });
    lines.forEach((line, i) => {
      const f = 0.3 + 0.1 * i;
      const place = {
        e: line.from.e + f * (line.to.e - line.from.e),
        n: line.from.n + f * (line.to.n - line.from.n),
        z: 5.5,
      };
      story.shoot(occupation, 'station', line.target, place);
      if (i === 1)
        expect(stationDraft(story.state, occupation, {})).toMatchObject({
          outcome: null,
          lines: [{ residual: null }, { residual: null }],
        });
    });
    const draft = stationDraft(story.state, occupation, {}, { near: { e: 4030, n: 8000 } });
    const { result } = outcomeOf(draft);
    expect(result.e).toBeCloseTo(4030, 3);
    expect(result.n).toBeCloseTo(8000, 3);
    expect(draft).toMatchObject({ alsoHeld: 4 });
    expect(draft.lines.every((each) => Math.abs(each.residual!.off) < 1e-3)).toBe(true);
    expect(
      solutionBody(story.state, occupation, draft, result, 'grid', () => ({ plan: true, height: true }), null).method,
    ).toBe('onLines');
  });
});

describe('direction and distance of a sight', () => {
  it('count apart when that is asked', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    const sight = story.sight(occupation, 'K1');
    const [distanceOnly] = groupSights([sight], () => ({ plan: true, height: true, direction: false }));
    expect(distanceOnly!.observation).toMatchObject({ useDirection: false, useHeight: true });
    const [directionOnly] = groupSights([sight], () => ({ plan: true, height: true, distance: false }));
    expect(directionOnly!.observation).toMatchObject({ slope: null, useHeight: false, useDirection: true });
  });

  it('quick readings are weighed as half as good, and never averaged with careful ones', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    const target = { kind: 'control' as const, mark: story.markId('K1') };
    story.shoot(occupation, 'station', target, PLACES.K1);
    story.shoot(occupation, 'station', target, PLACES.K1, { tracking: true });
    const groups = groupSights([...story.state.sights.values()], () => ({ plan: true, height: true }));
    expect(groups).toHaveLength(2);
    expect(groups.map((group) => group.observation.errorFactor ?? 1)).toEqual([1, 2]);
  });
});

describe('a free scale', () => {
  it('is found, kept with the station, and counts for what is measured from there', () => {
    const story = new Story({ combinedScaleFactor: 1.0004 }).control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const { result } = outcomeOf(stationDraft(story.state, occupation, {}, { freeScale: true }));
    // The site's factor was wrong by 400 ppm: the free one takes it back.
    expect((result.scale! - 1) * 1e6).toBeCloseTo(-400, -1);
    const draft = stationDraft(story.state, occupation, {}, { freeScale: true });
    const solution = story.say(
      'solution',
      solutionBody(story.state, occupation, draft, result, 'grid', () => ({ plan: true, height: true }), null),
    );
    story.say('decision', { solution: solution.id, verdict: 'accepted', reason: '' });
    const proof = story.prove(story.state.accepted[0]!, 'P1');
    expect(proof.body.result['horizontalMm'] as number).toBeLessThan(0.5);
  });
});

describe('heights alone', () => {
  const yard = () => {
    const story = new Story().control();
    return { story, occupation: story.occupy('L1', { method: 'heightOnly' }) };
  };

  it('need one benchmark, are checked by two, and give every spot its height', () => {
    const { story, occupation } = yard();
    expect(heightDraft(story.state, occupation, new Set()).outcome).toBeNull();
    story.sight(occupation, 'K1');
    expect(heightDraft(story.state, occupation, new Set())).toMatchObject({ benchmarks: 1, otherPole: false });
    story.sight(occupation, 'K2');
    story.shoot(occupation, 'spot', { kind: 'spot', name: 'footing' }, { e: 4000, n: 8000, z: 6.123 });
    const draft = heightDraft(story.state, occupation, new Set());
    expect(draft.benchmarks).toBe(2);
    expect(draft.spots).toHaveLength(1);
    expect(draft.spots[0]!.z).toBeCloseTo(6.123, 3);
    expect(draft.spots[0]!.sd).toBeGreaterThan(0.0005);
  });

  it('check the pole, not the benchmark, by another target height; and say which one is off', () => {
    const { story, occupation } = yard();
    story.sight(occupation, 'K1');
    const target = { kind: 'control' as const, mark: story.markId('K1') };
    story.shoot(occupation, 'station', target, { ...PLACES.K1, z: PLACES.K1.z - 0.3 }, { slip: -0.3 });
    expect(heightDraft(story.state, occupation, new Set())).toMatchObject({ benchmarks: 1, otherPole: true });
    story.sight(occupation, 'K2', 'station', { z: 0.04 });
    story.sight(occupation, 'K3');
    const draft = heightDraft(story.state, occupation, new Set());
    const off = draft.outcome?.ok
      ? draft.outcome.value.points.filter((point) => point.leaveOneOutHeight?.exceeds).map((point) => point.name)
      : [];
    expect(off).toContain(story.markId('K2'));
    const without = heightDraft(story.state, occupation, new Set([story.markId('K2')]));
    expect(without.outcome?.ok && without.outcome.value.points.some((point) => point.leaveOneOutHeight?.exceeds)).toBe(
      false,
    );
  });
});

describe('an entry that was wrong', () => {
  const slipped = () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1');
    const marks = [0, 1].map((i) => story.set(solution, work, i));
    return { story, solution, marks };
  };
  const correction = (sights: readonly string[], occupation: string, value: number) => ({
    what: 'targetHeight' as const,
    occupation,
    sights: [...sights],
    value,
    reason: 'the pole was up',
  });

  it('changes the marks whose sights it is for by as much, and no others', () => {
    const { story, solution, marks } = slipped();
    const effects = effectsOfCorrection(story.state, correction([marks[0]!.body.sight], solution.occupation.id, 1.6));
    expect(effects).toEqual([{ mark: marks[0]!.id, planMm: null, heightMm: -100 }]);
  });

  it('at one of the control marks moves the station, and all marks with it', () => {
    const { story, solution, marks } = slipped();
    const k1 = [...story.state.sights.values()].find(
      (sight) => sight.body.target.kind === 'control' && sight.body.target.mark === story.markId('K1'),
    )!;
    const effects = effectsOfCorrection(story.state, correction([k1.id], solution.occupation.id, 1.6));
    expect(effects.map((effect) => effect.mark)).toEqual(marks.map((mark) => mark.id));
    expect(effects[0]!.heightMm).toBeCloseTo(effects[1]!.heightMm!, 3);
    expect(effects[0]!.heightMm).toBeGreaterThan(15);
  });

  it('everywhere cancels', () => {
    const { story, solution } = slipped();
    expect(
      effectsOfCorrection(story.state, correction([...story.state.sights.keys()], solution.occupation.id, 1.6)),
    ).toEqual([]);
  });

  it('is kept beside what was entered: the raw sight stays, later figures use the right one, and trust follows', () => {
    const { story, solution, marks } = slipped();
    const body = correction([marks[0]!.body.sight], solution.occupation.id, 1.6);
    const effects = effectsOfCorrection(story.state, body);
    story.say('correction', body);
    story.say('finding', {
      cause: 'recomputed',
      revision: null,
      plan: false,
      height: true,
      effects,
      reason: 'recomputed',
      supersedes: null,
    });
    expect(story.state.sights.get(marks[0]!.body.sight)!.body.targetHeight).toBe(1.6);
    const raw = story.facts.find((fact) => fact.id === marks[0]!.body.sight) as { body: FactBody<'sight'> };
    expect(raw.body.targetHeight).toBe(1.5);
    expect(recomputed(story.state, marks[0]!.id)).toMatchObject({ planMm: null, heightMm: -100 });
    expect(recomputed(story.state, marks[1]!.id)).toBeNull();
    const standing = story.trust().marks.find((mark) => mark.id === marks[0]!.id)!;
    expect(standing.height).toMatchObject({ standing: 'inDoubt', because: ['RECOMPUTED'] });
  });

  it('of the instrument moves nothing on a free station, and everything over a mark', () => {
    const { story, solution } = slipped();
    const of = (occupation: string) => ({ what: 'instrumentHeight' as const, occupation, sights: [], value: 1.7 });
    expect(effectsOfCorrection(story.state, of(solution.occupation.id))).toEqual([]);
    const other = new Story().control();
    const work = other.work();
    const k1 = other.state.control.find((mark) => mark.revision.body.name === 'K1')!;
    const over = other
      .stand(PLACES.K1)
      .occupy('S1', { method: 'overMark', over: { mark: k1.id, revision: k1.revision.id, centringSdMm: 1 } });
    other.sight(over, 'K2');
    other.sight(over, 'K3');
    const station = other.decide(over);
    const mark = other.set(station, work, 0);
    const effects = effectsOfCorrection(other.state, of(over.id));
    expect(effects).toHaveLength(1);
    expect(effects[0]!.mark).toBe(mark.id);
    expect(effects[0]!.heightMm).toBeCloseTo(100, 0);
    other.say('correction', { ...of(over.id), reason: 'measured to the wrong dot' });
    expect(other.state.occupations[0]!.body.instrumentHeight).toBe(1.7);
  });

  it('corrected once more, counts against what the marks were set with, and takes the place of the finding before', () => {
    const { story, solution, marks } = slipped();
    const { id } = solution.occupation;
    const keep = (body: ReturnType<typeof correction>) => {
      const effects = effectsOfCorrection(story.state, body);
      const supersedes = recomputedBefore(story.state, id)?.id ?? null;
      story.say('correction', body);
      return story.say('finding', {
        cause: 'recomputed',
        revision: null,
        ...partsOfCorrections(story.state, body),
        effects,
        reason: 'x',
        supersedes,
      });
    };
    const first = keep(correction([marks[0]!.body.sight], id, 1.6));
    const second = keep(correction([marks[0]!.body.sight], id, 1.502));
    expect(second.body.supersedes).toBe(first.id);
    expect(second.body.effects).toEqual([{ mark: marks[0]!.id, planMm: null, heightMm: -2 }]);
    expect(story.trust().marks.find((mark) => mark.id === marks[0]!.id)!.notes).toContain('RECOMPUTED_WITHIN');
    expect(keep(correction([marks[0]!.body.sight], id, 1.5)).body.effects).toEqual([]);
    expect(story.trust().marks.find((mark) => mark.id === marks[0]!.id)!.notes).not.toContain('RECOMPUTED_WITHIN');
  });

  it('of the target at the marks moves them along their sights, and the plan is put in doubt', () => {
    const { story, solution, marks } = slipped();
    const body = {
      what: 'prismConstant' as const,
      occupation: solution.occupation.id,
      sights: [marks[0]!.body.sight],
      value: -0.03,
      reason: 'the small prism',
    };
    const effects = effectsOfCorrection(story.state, body);
    expect(effects.map((effect) => effect.mark)).toEqual([marks[0]!.id]);
    expect(effects[0]!.planMm).toBeCloseTo(30, 0);
    expect(Math.abs(effects[0]!.heightMm!)).toBeLessThan(5);
    story.say('correction', body);
    story.say('finding', {
      cause: 'recomputed',
      revision: null,
      ...partsOfCorrections(story.state, body),
      effects,
      reason: 'x',
      supersedes: null,
    });
    expect(story.state.sights.get(marks[0]!.body.sight)!.body.prismConstantMm).toBe(-30);
    const standing = story.trust().marks.find((mark) => mark.id === marks[0]!.id)!;
    expect(standing.plan).toMatchObject({ standing: 'inDoubt', because: ['RECOMPUTED'] });
    expect(recomputed(story.state, marks[0]!.id)!.planMm).toBeCloseTo(30, 0);
  });

  it('of the target at all marks of the station cannot be told from the place alone: the fit shows it', () => {
    const { story, solution } = slipped();
    const sights = [...story.state.sights.keys()];
    const effects = effectsOfCorrection(story.state, {
      what: 'prismConstant',
      occupation: solution.occupation.id,
      sights,
      value: -0.03,
    });
    // Control all round holds the station where it is; the marks come 30 mm nearer.
    for (const effect of effects) expect(effect.planMm!).toBeGreaterThan(15);
  });

  it('of the station: marks are where that one puts them, and hang on its evidence', () => {
    const story = new Story().control();
    const work = story.work();
    const first = story.station('S1');
    const sound = story.set(first, work, 1);
    const { e, n, z } = story.standsAt;
    // The legs were hit: everything read from then on is read from elsewhere.
    story.stand({ e: e + 0.05, n: n - 0.03, z: z + 0.02 });
    const off = story.set(first, work, 0);
    const second = story.station('S2');
    const body = {
      what: 'station' as const,
      occupation: first.occupation.id,
      sights: [off.body.sight],
      station: second.fact.id,
      reason: 'the legs were hit before',
    };
    expect([...story.state.sights.values()].filter(canBeRehung).map((sight) => sight.id)).toEqual([
      sound.body.sight,
      off.body.sight,
    ]);
    const effects = effectsOfCorrection(story.state, body);
    expect(effects).toHaveLength(1);
    expect(effects[0]!.mark).toBe(off.id);
    expect(effects[0]!.planMm!).toBeCloseTo(Math.hypot(50, 30), 0);
    expect(effects[0]!.heightMm!).toBeCloseTo(20, 0);
    story.say('correction', body);
    expect([...story.state.marks.values()].map((mark) => mark.body.solution)).toEqual([first.fact.id, second.fact.id]);
    expect(story.state.sights.get(off.body.sight)!.body.occupation).toBe(second.occupation.id);
    expect(story.facts.find((fact) => fact.id === off.id)).toMatchObject({ body: { solution: first.fact.id } });
    story.prove(second, 'P1');
    const standing = (id: string) => story.trust().marks.find((mark) => mark.id === id)!.plan.standing;
    expect(standing(off.id)).toBe('held');
    expect(standing(sound.id)).not.toBe('held');
    for (const station of [first, second])
      expect(factsOfOccupation(story.state, station.occupation.id).some((fact) => fact.type === 'correction')).toBe(
        true,
      );
    expect(bookLine(story.state, story.state.corrections[0]!).text).toBe(
      'S1: 1 sight reassigned to station S2: the legs were hit before',
    );
  });

  it('of marks that hang on another station since counts them there, and keeps what was told of the others', () => {
    const story = new Story().control();
    const work = story.work();
    const first = story.station('S1');
    const other = story.set(first, work, 1);
    story.stand({ ...story.standsAt, e: story.standsAt.e + 0.02 });
    const off = story.set(first, work, 0);
    const second = story.station('S2');
    const keep = (body: Parameters<typeof effectsOfCorrection>[1]) => {
      const effects = effectsOfCorrection(story.state, body);
      const supersedes = recomputedBefore(story.state, body.occupation)?.id ?? null;
      const parts = partsOfCorrections(story.state, body);
      story.say('correction', { ...body, reason: 'x' });
      return story.say('finding', { cause: 'recomputed', revision: null, ...parts, effects, reason: 'x', supersedes });
    };
    const rose = keep({
      what: 'targetHeight',
      occupation: first.occupation.id,
      sights: [other.body.sight],
      value: 1.6,
    });
    const rehung = keep({
      what: 'station',
      occupation: first.occupation.id,
      sights: [off.body.sight],
      station: second.fact.id,
    });
    const last = keep({
      what: 'targetHeight',
      occupation: second.occupation.id,
      sights: [off.body.sight],
      value: 1.52,
    });
    expect([rehung.body.supersedes, last.body.supersedes]).toEqual([rose.id, rehung.id]);
    const told = new Map(last.body.effects.map((effect) => [effect.mark, effect]));
    expect(told.get(off.id)!.heightMm).toBeCloseTo(-20, 0);
    expect(told.get(off.id)!.planMm).toBeCloseTo(20, 0);
    // The one from before is told again, so that nothing is lost with the finding that it stood in.
    expect(told.get(other.id)!.heightMm).toBeCloseTo(-100, 0);
    expect(last.body.plan).toBe(true);
  });

  it('leaves what was measured as it stands, and names it', () => {
    const { story, solution } = slipped();
    const measured = story.measure(solution, PLACES.P1, { name: 'Kerb 1' });
    const about = { occupation: solution.occupation.id, value: 1.6 };
    expect(measuredWith(story.state, { what: 'targetHeight', ...about, sights: measured.body.sights })).toEqual([
      measured,
    ]);
    expect(measuredWith(story.state, { what: 'instrumentHeight', ...about, sights: [] })).toEqual([measured]);
    expect(measuredWith(story.state, { what: 'targetHeight', ...about, sights: [newId()] })).toEqual([]);
  });
});

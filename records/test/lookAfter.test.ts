import { describe, expect, it } from '@jest/globals';
import {
  controlConcerns,
  controlReport,
  dayDrift,
  helpPackage,
  isOverdue,
  mayDecide,
  outsideWork,
  proofAge,
  roleOf,
  stationDraft,
} from '@idle-marker/records';
import { HALL, newId, Story } from './story.ts';

const NOW = new Date('2031-05-06T09:00:00Z');
const codes = (story: Story, now = NOW) =>
  controlConcerns(story.state, now).map((concern) => `${concern.code} ${concern.mark.revision.body.name}`);

describe('control that wants looking after', () => {
  it('is nothing on a site of firm marks', () => {
    expect(codes(new Story().control())).toEqual([]);
  });

  it('soft marks are told of a week before their day, and after it', () => {
    const story = new Story().control(['K1'], { kind: 'stake', useBefore: '2031-05-12' });
    expect(controlConcerns(story.state, NOW)).toMatchObject([{ code: 'USE_SOON', days: 6 }]);
    expect(controlConcerns(story.state, new Date('2031-05-14T09:00:00Z'))[0]).toMatchObject({
      code: 'USE_SOON',
      days: -2,
    });
    expect(codes(new Story().control(['K1'], { useBefore: '2031-06-20' }))).toEqual([]);
  });

  it('marks inside what a package digs are told before they are lost, with how many remain', () => {
    const story = new Story().control();
    const pit = { ...HALL, corners: HALL.corners.map((corner) => ({ ...corner, e: corner.e - 45, n: corner.n - 35 })) };
    story.work({ items: [pit], ground: { kind: 'dig', on: '2031-05-20', reach: 1 } });
    const [concern, ...others] = controlConcerns(story.state, NOW);
    expect(others).toEqual([]);
    expect(concern).toMatchObject({ code: 'WORKS', kind: 'dig', on: '2031-05-20', left: 5 });
    expect(concern!.mark.revision.body.name).toBe('K1');
  });

  it('crosses that nobody saw for two weeks are to be looked at; a look ends it', () => {
    const story = new Story().control(['K1'], { kind: 'cross' });
    const later = new Date('2031-05-24T09:00:00Z');
    expect(codes(story, later)).toEqual(['REFRESH K1']);
    story
      .wait(17 * 24 * 60)
      .say('visit', { mark: story.markId('K1'), outcome: 'refreshed', labelRead: false, note: '' });
    expect(codes(story, later)).toEqual([]);
  });

  it('names that look alike are told, lost marks are not', () => {
    const story = new Story().control(['K1']);
    const twin = { ...story.state.control[0]!.revision.body, mark: newId(), name: 'KI', e: 3900, supersedes: null };
    story.say('control', twin);
    expect(codes(story)).toEqual(['ALIKE KI']);
    story.say('control', { ...twin, condition: 'lost', supersedes: story.state.control[1]!.revision.id });
    expect(codes(story)).toEqual([]);
  });
});

describe('the control report', () => {
  it('tells what was used, left out, proved on and off, the worst first', () => {
    const story = new Story({ surveyor: 'the survey office' }).control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation);
    story.prove(solution, 'P1', { e: 0.03 });
    const report = controlReport(story.state, story.instant(), story.who);
    expect(report).toMatchObject({
      by: 'Mara Lindqvist',
      surveyor: 'the survey office',
      usable: 4,
      unproven: [],
      pairs: [],
    });
    // What a station is worth goes along with what it found.
    expect(report.notices.join(' ')).toMatch(/A check shot of station S1 failed in plan and is still unanswered/);
    expect(report.rows[0]).toMatchObject({ name: 'P1', propose: 'sightAgain', proof: true, usedBy: [] });
    expect(report.rows.find((row) => row.name === 'K1')).toMatchObject({
      usedBy: ['S1'],
      leftOutBy: [],
      propose: 'nothing',
    });
    expect(report.rows.find((row) => row.name === 'P2')).toMatchObject({ usedBy: [], proof: false, dEMm: null });
  });

  it('names the pairs of a mark that is off', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3'] as const) story.sight(occupation, name);
    story.sight(occupation, 'K4', 'station', { e: 0.05 });
    const { pairs } = controlReport(story.state, story.instant(), story.who);
    expect(pairs.length).toBeGreaterThan(0);
    expect(pairs.every((pair) => pair.from === 'K4' || pair.to === 'K4')).toBe(true);
  });
});

describe('work outside of the control', () => {
  it('asks for a proof on that side, until there is a good one', () => {
    const story = new Story().control();
    const far = { ...HALL, corners: HALL.corners.map((corner) => ({ ...corner, n: corner.n - 110 })) };
    story.work({ items: [far] });
    const solution = story.station('S1');
    const asked = outsideWork(story.state, solution)!;
    expect(asked.names).toHaveLength(8);
    expect(asked.best?.revision.body.name).toBe('P1');
    expect(asked.proven).toBe(false);
    story.prove(solution, 'P1');
    expect(outsideWork(story.state, solution)!.proven).toBe(true);
  });

  it('is none where all of it lies inside', () => {
    const story = new Story().control();
    story.work();
    expect(outsideWork(story.state, story.station('S1'))).toBeNull();
  });
});

describe('the day’s drift', () => {
  it('finds the step that a bump left in the direction, and nothing on a quiet day', () => {
    const quiet = new Story().control();
    const still = quiet.station('S1');
    for (const name of ['P1', 'P2', 'P1', 'P2', 'P1'] as const) quiet.wait(30).prove(still, name);
    expect(dayDrift(quiet.state, still).map((each) => each.drift.kind)).toEqual(['none', 'none']);
    const story = new Story().control();
    const solution = story.station('S1');
    for (const z of [0, 0, 0, 0.02, 0.02, 0.02]) story.wait(30).prove(solution, 'P1', { z });
    const [height, turn] = dayDrift(story.state, solution);
    expect(height).toMatchObject({ of: 'height', drift: { kind: 'step' } });
    expect((height!.drift as { size: number }).size).toBeCloseTo(0.02, 3);
    expect(turn!.drift.kind).toBe('none');
  });
});

describe('who may decide', () => {
  it('is everybody until a lead says otherwise', () => {
    const story = new Story().control();
    expect(roleOf(story.state, story.who)).toBe('technician');
    expect(mayDecide(story.state, story.who, 'provisional')).toBe(true);
    story.say('site', {
      ...story.state.settings,
      roles: [{ member: story.who, role: 'apprentice' }],
      mayAccept: { accepted: ['lead', 'technician'], provisional: ['lead'] },
    });
    expect(roleOf(story.state, story.who)).toBe('apprentice');
    expect(mayDecide(story.state, story.who, 'accepted')).toBe(false);
    expect(mayDecide(story.state, null, 'accepted')).toBe(true);
    expect(mayDecide(story.state, null, 'provisional')).toBe(false);
  });
});

describe('a due proof', () => {
  it('is asked about until it is put off, and again after a while or a bump', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    const ask = () => {
      const now = new Date(story.instant());
      return isOverdue(
        story.state,
        proofAge(story.state, story.trust(), story.state.accepted[0]!, now),
        story.state.accepted[0]!,
        now,
      );
    };
    expect(ask()).toBe(false);
    story.wait(70);
    expect(ask()).toBe(true);
    story.say('deferral', { solution: solution.fact.id, reason: 'crane in the sight' });
    expect(ask()).toBe(false);
    story.say('event', { occupation: solution.occupation.id, kind: 'bump', note: '' });
    expect(ask()).toBe(true);
    story.say('deferral', { solution: solution.fact.id, reason: 'still there' });
    story.wait(20);
    expect(ask()).toBe(true);
  });
});

describe('a set-up packed for a colleague', () => {
  it('holds every sight and every revision that it rests on', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    story.sight(occupation, 'K1');
    story.sight(occupation, 'K2');
    story.control(['K1'], { note: 'surveyed again' });
    const draft = stationDraft(story.state, occupation, {});
    const packed = helpPackage(story.state, occupation, {
      at: story.instant(),
      question: 'K1?',
      judgement: draft.contradiction,
      sentences: ['x'],
    });
    expect(packed).toMatchObject({ form: 'idle-marker-set-up', station: 'S1', question: 'K1?', sentences: ['x'] });
    expect(packed.facts.filter((fact) => fact.type === 'sight')).toHaveLength(2);
    expect(packed.control.filter((revision) => revision.body.name === 'K1')).toHaveLength(2);
    expect(packed.control).toHaveLength(7);
    expect(JSON.parse(JSON.stringify(packed))).toEqual(packed);
  });
});

/** What is said of a station is what its evidence shows: by parts, and by how it was decided on. */
import { describe, expect, it } from '@jest/globals';
import { clearWords, proofVerdict, stationNotices, unprovenShort, unprovenWords } from '@idle-marker/words';
import {
  asBuiltReport,
  claimOf,
  coarserClass,
  cutSheet,
  exportedPoints,
  proofAge,
  proofCandidates,
  type AcceptedSolution,
} from '@idle-marker/records';
import { PLACES, Story } from './story.ts';

const names = (story: Story, solution: AcceptedSolution, wanted: Parameters<typeof proofCandidates>[2] = []) =>
  proofCandidates(story.state, solution, wanted).map(({ mark }) => mark.revision.body.name);
const ageOf = (story: Story, solution: AcceptedSolution) =>
  proofAge(story.state, story.trust(), solution, new Date(story.instant()))!;
const claim = (story: Story, solution: AcceptedSolution) => claimOf(story.state, story.trust(), solution);

/** P1 is known in plan alone, P2 in both. */
const withPlanOnlyProof = () =>
  new Story().control(['K1', 'K2', 'K3', 'K4', 'P2']).control(['P1'], { useHeight: false, z: null });

describe('a station that is used for finer work than it was accepted for', () => {
  it('says so on the sheet, and of several works for the finest', () => {
    const story = new Story().control();
    const work = story.work();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation, 'accepted', {}, '', {}, 'earthworks');
    story.set(solution, work, 0);
    expect(coarserClass(story.state, solution.fact, ['grid', 'earthworks'])).toEqual({
      accepted: 'Earthworks',
      asked: 'Building grid',
      part: 'plan',
      acceptedMm: 50,
      askedMm: 6,
    });
    expect(coarserClass(story.state, solution.fact, ['earthworks'])).toBeNull();
    const said = 'Station S1 was accepted for earthworks, 50 mm in plan; building grid asks for 6 mm.';
    const sheet = cutSheet(
      story.state,
      story.trust(),
      { package: work, issuedBy: 'Mara', issuedAt: story.instant(), timeZone: 'UTC' },
      null,
    );
    expect(sheet.stations.flatMap((each) => stationNotices(each, 'metre'))).toContain(said);
    // For what it was accepted it has nothing to say.
    const fine = story.station('S2');
    expect(coarserClass(story.state, fine.fact, ['grid'])).toBeNull();
  });
});

describe('a station of which one part is proved', () => {
  it('is not proven: the part is named, in every place that speaks of it', () => {
    const story = withPlanOnlyProof();
    const solution = story.station('S1');
    expect(claim(story, solution).unproven).toEqual(['plan', 'height']);
    expect(unprovenShort(ageOf(story, solution).unproven)).toBe('not proven');
    const proof = story.prove(solution, 'P1');
    expect(proof.body).toMatchObject({ plan: 'good', height: 'notMeasured' });
    const age = ageOf(story, solution);
    expect(age).toMatchObject({ unproven: ['height'], proven: false, failed: false });
    expect(unprovenShort(age.unproven)).toBe('elevation not proven');
    expect(unprovenWords({ name: 'S1', ...claim(story, solution) })).toEqual({
      title: 'The elevation of S1 is unproven',
      text: 'Its plan is proved; nothing independent has checked its elevation.',
      todo: 'Sight a mark with an elevation that it didn’t use before the first stake.',
    });
    expect(proofVerdict('good', 'notMeasured', true, age.unproven)).toMatchObject({
      tone: 'ochre',
      title: 'Station proven in plan',
    });
    const [wish] = story.trust().propose;
    expect(clearWords(wish!, null, 'S1', age.unproven)).toBe(
      'Sight one mark with an elevation that S1 didn’t use: nothing independent has proved its elevation yet.',
    );
    story.prove(solution, 'P2');
    expect(ageOf(story, solution)).toMatchObject({ unproven: [], proven: true });
    expect(proofVerdict('good', 'good', true, [])).toMatchObject({ tone: 'good', title: 'Station proven' });
  });

  it('is not said to hold by a good proof while an earlier one is unanswered', () => {
    const story = withPlanOnlyProof();
    const solution = story.station('S1');
    story.prove(solution, 'P1', { e: 0.021 });
    story.prove(solution, 'P2');
    const { unproven, failed } = claim(story, solution);
    expect(failed).toEqual(['plan']);
    const verdict = proofVerdict('good', 'good', true, unproven, failed);
    expect(verdict).toMatchObject({ tone: 'brick', title: 'This one is good, an earlier one wasn’t' });
    expect(verdict.text).toMatch(/failed in plan: sight a third mark/);
    expect(unprovenWords({ name: 'S1', basis: 'fits', unproven: ['height'], failed: ['plan'] }).text).not.toMatch(
      /is proved/,
    );
  });

  it('is offered marks that can prove that part', () => {
    const story = withPlanOnlyProof();
    const solution = story.station('S1', ['K1', 'K2', 'K3']);
    story.prove(solution, 'P2');
    story.wait(5);
    expect(names(story, solution)[0]).toBe('P1');
    expect(names(story, solution, ['height'])[0]).toBe('P2');
    const of = (name: string) =>
      proofCandidates(story.state, solution, ['height']).find(({ mark }) => mark.revision.body.name === name)!;
    expect(of('P1').proves).toEqual(['plan']);
    expect(of('P2').proves).toEqual(['plan', 'height']);
    expect(of('K1').proves).toEqual([]);
  });

  it('for plan alone asks for no height', () => {
    const story = withPlanOnlyProof();
    const solution = story.station('S1', ['K1', 'K2', 'K3'], 'accepted', { height: false });
    story.prove(solution, 'P1');
    expect(ageOf(story, solution)).toMatchObject({ unproven: [], proven: true });
  });
});

describe('what a station rests on', () => {
  it('is good sights, sights that do not check it, a decision against its class, or nothing that was sighted', () => {
    const story = new Story().control();
    expect(claim(story, story.station('S1')).basis).toBe('fits');
    expect(claim(story, story.station('S2', ['K1', 'K2'])).basis).toBe('unchecked');
    const provisional = claim(story, story.station('S3', ['K1', 'K2', 'K3'], 'provisional', {}, 'wind'));
    expect(provisional).toMatchObject({ basis: 'provisional', provisionalBecause: 'wind' });
    expect(unprovenWords({ name: 'S3', ...provisional }).text).not.toMatch(/fit/);
    story.stand(PLACES.K1);
    const over = story.state.control.find((mark) => mark.id === story.markId('K1'))!;
    const occupation = story.occupy('K1', {
      over: { mark: over.id, revision: over.revision.id, centringSdMm: 1 },
      assumed: { azimuthDeg: 10, circleDeg: 0, to: 'the gate' },
    });
    const typed = claim(story, story.decide(occupation));
    expect(typed.basis).toBe('nothing');
    expect(typed.unproven).toContain('plan');
    expect(unprovenWords({ name: 'K1', ...typed }).text).not.toMatch(/fit/);
  });
});

describe('marks to prove on', () => {
  it('are never the one under the tripod, nor any that is too near to be measured', () => {
    const story = new Story().control();
    story.stand(PLACES.K1);
    const over = story.state.control.find((mark) => mark.id === story.markId('K1'))!;
    const occupation = story.occupy('K1', { over: { mark: over.id, revision: over.revision.id, centringSdMm: 1 } });
    for (const name of ['K2', 'K3'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation);
    expect(names(story, solution)).not.toContain('K1');
    // On the same post, 0.2 m beside it.
    story.control(['Q1']);
    expect(names(story, solution)).not.toContain('Q1');
    expect(names(story, solution)).toContain('K4');
    const beside = new Story().control();
    beside.stand({ ...PLACES.P1, e: PLACES.P1.e + 0.8 });
    expect(names(beside, beside.station('S1'))).not.toContain('P1');
  });
});

describe('a station that nothing checks', () => {
  it('is called so with everything that hangs on it, until a proof stands', () => {
    const story = new Story().control();
    const solution = story.station('S1', ['K1', 'K2']);
    story.measure(solution, { e: 4000, n: 8000, z: 5.2 }, { name: 'Kerb 1' });
    const notices = () =>
      asBuiltReport(story.state, story.instant(), story.who).stations.flatMap((station) =>
        stationNotices(station, 'metre'),
      );
    expect(ageOf(story, solution)).toMatchObject({ unchecked: true });
    expect(unprovenShort(['plan', 'height'], ageOf(story, solution).unchecked)).toBe('unchecked');
    expect(notices()[0]).toMatch(/^Station S1 is unchecked: an error of any size could be hidden in it\.$/);
    story.prove(solution, 'P1');
    expect(ageOf(story, solution)).toMatchObject({ unchecked: false, proven: true });
    expect(notices()).toEqual([]);
  });
});

describe('what leaves', () => {
  /** A provisional station with a failed proof, a mark set and a kerb measured from it. */
  function doubtful() {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1', ['K1', 'K2', 'K3'], 'provisional', {}, 'wind, tripod on fill');
    story.set(solution, work, 0);
    story.measure(solution, { e: 4000, n: 8000, z: 5.2 }, { name: 'Kerb 1' });
    story.prove(solution, 'P1', { e: 0.021 });
    return { story, work };
  }
  const SAID = [
    'Station S1 is provisional: wind, tripod on fill.',
    'A check shot of station S1 failed in plan and is still unanswered.',
  ];

  it('carries why its station is provisional, for which class it was accepted, and what has proved it', () => {
    const { story, work } = doubtful();
    const report = asBuiltReport(story.state, story.instant(), story.who);
    expect(report.rows).toMatchObject([
      {
        name: 'Kerb 1',
        station: 'S1',
        className: 'Building grid',
        provisionalBecause: 'wind, tripod on fill',
        standing: 'inDoubt',
      },
    ]);
    const sheet = cutSheet(
      story.state,
      story.trust(),
      { package: work, issuedBy: 'Mara', issuedAt: story.instant(), timeZone: 'UTC' },
      null,
    );
    // The mark is in doubt and kept back, so that nothing on the sheet hangs on the station.
    expect(sheet.rows).toEqual([]);
    const [station] = report.stations;
    expect(station).toMatchObject({
      evidence: { basis: 'provisional', className: 'Building grid', failed: ['plan'], proofs: { good: 0, missed: 1 } },
    });
    expect(stationNotices(station!, 'metre')).toEqual(expect.arrayContaining(SAID));
  });

  it('is the same in the files', () => {
    const { story } = doubtful();
    const points = exportedPoints(story.state, story.trust());
    expect(points.find(({ name, group }) => name === 'S1' && group === 'stations')!.note).toContain(SAID.join('; '));
    expect(points.find(({ name }) => name === 'Kerb 1')!.standing).toBe('in doubt');
  });

  it('says nothing of a station that is checked and proved', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.measure(solution, { e: 4000, n: 8000, z: 5.2 }, { name: 'Kerb 1' });
    story.prove(solution, 'P1');
    const { stations, rows } = asBuiltReport(story.state, story.instant(), story.who);
    expect(stationNotices(stations[0]!, 'metre')).toEqual([]);
    expect(rows[0]).toMatchObject({ standing: 'held', provisionalBecause: null });
  });
});

import { describe, expect, it } from '@jest/globals';
import { USUALLY_ASKED } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  alternativesFor,
  bookLine,
  controlSources,
  CONTROL_PACE,
  controlTime,
  cornerStops,
  cutSheet,
  factsOfOccupation,
  isForPlan,
  isOpen,
  isRoughCorner,
  keepMoved,
  leftOut,
  likelierMark,
  nextOpen,
  nextSights,
  paceOf,
  paintedCorners,
  progressOf,
  promiseFor,
  proofAge,
  proofInterval,
  roundOf,
  roundRows,
  setupPage,
  shapesOf,
  solutionInForce,
  stationDraft,
  stationMark,
  stationOfSolution,
  stationSights,
  trustOf,
  withOffset,
  type CutSheet,
} from '@idle-marker/records';
import { HALL, newId, Story } from './story.ts';

const POLE = { targetHeight: 1.5, targetHeightSd: 0.001, targetCentringSd: 0.001 };

/** A station proved before and after three hubs. */
function day() {
  const story = new Story().control();
  const work = story.work();
  const solution = story.station('S1');
  const before = story.prove(solution, 'P1');
  const marks = [0, 1, 2].map((i) => story.set(solution, work, i));
  const after = story.prove(solution, 'P2');
  return { story, work, solution, marks, before, after };
}
const asked = (work: Fact<'package'>) => ({
  package: work,
  issuedBy: 'Mara Lindqvist',
  issuedAt: '2031-05-06T12:00:00.000Z',
  timeZone: 'Europe/Lisbon',
});
const sheetOf = (story: Story, work: Fact<'package'>, previous: CutSheet | null = null) =>
  cutSheet(story.state, story.trust(), asked(work), previous);

describe('a day from perfect readings', () => {
  it('stations where the instrument stands, sets marks where they are planned, and holds them', () => {
    const { story, solution, marks } = day();
    expect(solution.fact.body.result.e).toBeCloseTo(4030, 5);
    expect(solution.fact.body.result.n).toBeCloseTo(8000, 5);
    expect(solution.fact.body.result.z).toBeCloseTo(5.6, 5);
    for (const mark of marks) {
      expect(Math.hypot(mark.body.dEMm, mark.body.dNMm)).toBeLessThan(0.01);
      expect(mark.body.cutFill).toBeCloseTo(5.9 - 6.25, 5);
      expect(story.trust().marks.find((each) => each.id === mark.id)?.standing).toBe('held');
    }
  });

  it('puts the input of the station into its digest: the same sights give the same', () => {
    const { story, solution } = day();
    const again = stationDraft(story.state, solution.occupation, {});
    expect(again.outcome?.ok && again.outcome.value.result.e).toBeCloseTo(solution.fact.body.result.e, 9);
    expect(solution.fact.body.inputDigest).toMatch(/^[0-9a-f]{64}$/);
  });
});

describe('the age of the last proof', () => {
  const ageAt = (story: Story, minutes: number) => {
    const trust = trustOf(story.state, story.instant(minutes));
    return proofAge(story.state, trust, solutionInForce(story.state, trust), new Date(story.instant(minutes)));
  };

  it('counts from the last good one and is due by the clock', () => {
    const { story, after } = day();
    expect(ageAt(story, 20)).toMatchObject({
      minutes: 20,
      due: null,
      proven: true,
      failed: false,
      lastProof: { id: after.id },
    });
    expect(ageAt(story, 61)).toMatchObject({ due: 'CLOCK' });
  });

  it('counts from the acceptance while there is none', () => {
    const story = new Story().control();
    story.station('S1');
    expect(ageAt(story, 5)).toMatchObject({ minutes: 5, proven: false, lastProof: null });
  });

  it('is due at once after an event', () => {
    const { story, solution } = day();
    story.say('event', { occupation: solution.occupation.id, kind: 'bump', note: '' });
    expect(ageAt(story, 0)).toMatchObject({ due: 'EVENT' });
  });

  it('says that one failed', () => {
    const { story, solution } = day();
    story.prove(solution, 'P1', { e: 0.03 });
    expect(ageAt(story, 0)).toMatchObject({ failed: true });
  });

  it('is none without a station', () => {
    expect(ageAt(new Story().control(), 0)).toBeNull();
  });

  it('lasts half an hour on a deck, on asphalt and in wind', () => {
    for (const change of [{ ground: 'deck' }, { ground: 'asphalt' }, { windy: true }]) {
      const story = new Story().control();
      story.occupy('S1', change);
      expect(proofInterval(story.state)).toBe(30);
    }
    const story = new Story({ proofIntervalMinutes: 20 }).control();
    expect(proofInterval(story.state)).toBe(20);
    story.occupy('S1', { windy: true });
    expect(proofInterval(story.state)).toBe(20);
  });
});

describe('the round of a package', () => {
  it('goes to the nearest first, tells what is set, and puts what is open before what is done', () => {
    const { story, work, solution } = day();
    const at = { e: solution.fact.body.result.e, n: solution.fact.body.result.n };
    const round = roundOf(story.state, story.trust(), work, at);
    expect(round).toHaveLength(8);
    expect(round.filter((stop) => stop.mark !== null)).toHaveLength(3);
    const rows = roundRows(round, at);
    expect(rows.slice(0, 5).every(isOpen)).toBe(true);
    expect(rows.slice(5).every((row) => row.standing === 'held')).toBe(true);
    const first = Math.min(...round.map((stop) => Math.hypot(stop.plan.place.e - at.e, stop.plan.place.n - at.n)));
    expect(Math.hypot(round[0]!.plan.place.e - at.e, round[0]!.plan.place.n - at.n)).toBe(first);
  });

  it('goes on round the end, past what is set or blocked', () => {
    const { story, work } = day();
    const plan = work.body.plans[3]!;
    story.say('obstruction', {
      package: work.id,
      key: plan.key,
      name: plan.name,
      place: plan.place,
      what: 'Spoil heap',
    });
    const round = roundOf(story.state, story.trust(), work, null);
    const blocked = round.find((stop) => stop.plan.key === plan.key)!;
    expect(blocked.obstruction?.body.what).toBe('Spoil heap');
    const seen: string[] = [];
    for (let stop = nextOpen(round, null); stop && !seen.includes(stop.plan.key); stop = nextOpen(round, stop.plan.key))
      seen.push(stop.plan.key);
    expect(seen).toHaveLength(4);
    expect(seen).not.toContain(plan.key);
  });

  it('has nothing left when all is set', () => {
    const { story, work, solution } = day();
    for (let i = 3; i < 8; i++) story.set(solution, work, i);
    expect(nextOpen(roundOf(story.state, story.trust(), work, null), null)).toBeNull();
  });

  it('comes back to a mark that fell in doubt, and to a rough one', () => {
    const { story, work, solution } = day();
    story.set(solution, work, 3, { as: 'rough' });
    story.set(solution, work, 4);
    story.prove(solution, 'P1', { n: 0.05 });
    const open = roundOf(story.state, story.trust(), work, null).filter(isOpen);
    expect(open.map((stop) => stop.mark?.body.state ?? 'none').sort()).toEqual([
      'confirmed',
      'none',
      'none',
      'none',
      'rough',
    ]);
  });

  it('can paint the corners themselves first, once each, and leaves what is to be set as it is', () => {
    const { story, work, solution } = day();
    const hubs = roundOf(story.state, story.trust(), work, null);
    const before = progressOf(story.state, story.trust());
    const first = cornerStops(story.state, work, { e: 0, n: 0 });
    expect(first).toHaveLength(new Set(work.body.plans.map(({ corner }) => corner)).size);
    const [stop] = first;
    expect(isRoughCorner(stop!.plan)).toBe(true);
    expect(work.body.plans.some(isRoughCorner)).toBe(false);
    expect(stop!.plan).toMatchObject({ place: stop!.plan.design, offset: 0, offFace: null });
    expect(work.body.plans.map(({ name }) => name)).not.toContain(stop!.plan.name);
    const painted = story.set(solution, work, stop!.plan, { as: 'rough' });
    expect(cornerStops(story.state, work, null).map(({ plan }) => plan.key)).toEqual(
      expect.not.arrayContaining([stop!.plan.key]),
    );
    expect(paintedCorners(story.state, work).map(({ id }) => id)).toEqual([painted.id]);
    // The hubs wait as before, and a corner is nothing that could be handed over.
    expect(roundOf(story.state, story.trust(), work, null).map(({ mark }) => mark?.id)).toEqual(
      hubs.map(({ mark }) => mark?.id),
    );
    expect(progressOf(story.state, story.trust())).toEqual(before);
  });

  it('frees a mark when the obstruction is withdrawn or the mark is moved', () => {
    const { story, work } = day();
    const plan = work.body.plans[5]!;
    const said = story.say('obstruction', {
      package: work.id,
      key: plan.key,
      name: plan.name,
      place: plan.place,
      what: 'Fence',
    });
    expect(progressOf(story.state, story.trust())[0]).toMatchObject({
      marks: 8,
      set: 3,
      held: 3,
      inDoubt: 0,
      blocked: 1,
    });
    const [other] = alternativesFor(work, plan, 'metre');
    const moved = story.say('package', withOffset(work, plan.key, other!));
    expect(story.state.obstructions.size).toBe(0);
    expect(moved.body.plans.find((each) => each.key === plan.key)).toMatchObject({ offset: 2.5 });
    story.say('withdrawal', { record: said.id, occupation: null, reason: 'the place is free again' });
    expect(story.state.obstructions.size).toBe(0);
  });
});

describe('plans that change', () => {
  it('keep a mark’s own offset while its corner and the package’s offset stay', () => {
    const { work } = day();
    const plan = work.body.plans[1]!;
    const before = withOffset(work, plan.key, alternativesFor(work, plan, 'metre')[0]!);
    expect(keepMoved(before, work.body.plans, 2).find((each) => each.key === plan.key)!.offset).toBe(2.5);
    expect(keepMoved(before, work.body.plans, 2.5)).toBe(work.body.plans);
    const shifted = work.body.plans.map((each) => ({ ...each, design: { e: each.design.e + 1, n: each.design.n } }));
    expect(keepMoved(before, shifted, 2).find((each) => each.key === plan.key)!.offset).toBe(2);
  });

  it('keep back a mark that was set for an earlier place or height', () => {
    const { story, work, marks } = day();
    const items = [{ ...HALL, designZ: 6.3 }];
    const revised = story.work({ items, supersedes: work.id });
    const sheet = sheetOf(story, revised);
    expect(sheet.rows).toEqual([]);
    expect(sheet.withheld.map((each) => each.reason)).toEqual(['PLAN_CHANGED', 'PLAN_CHANGED', 'PLAN_CHANGED']);
    expect(isForPlan(marks[0]!.body, revised.body.plans[0]!)).toBe(false);
    expect(isForPlan(marks[0]!.body, work.body.plans[0]!)).toBe(true);
    expect(roundOf(story.state, story.trust(), revised, null).filter((stop) => stop.outdated)).toHaveLength(3);
  });

  it('draw outlines closed, lines one by one, and points not at all', () => {
    expect(shapesOf(HALL)).toEqual([{ closed: true, points: HALL.corners }]);
    expect(shapesOf({ ...HALL, rule: 'lineEnds' }).map((shape) => shape.points.map((point) => point.name))).toEqual([
      ['A', 'B'],
      ['C', 'D'],
    ]);
    expect(shapesOf({ ...HALL, rule: 'points' })).toEqual([]);
  });
});

describe('a cut sheet', () => {
  it('gives each mark with its station, the proofs before and after it, and how it is used', () => {
    const { story, work, before, after, marks } = day();
    const sheet = sheetOf(story, work);
    expect(sheet).toMatchObject({
      withheld: [],
      setBy: ['Mara Lindqvist'],
      setFrom: marks[0]!.at,
      setTo: marks[2]!.at,
    });
    expect(sheet.notSet).toHaveLength(5);
    for (const row of sheet.rows) {
      expect(row).toMatchObject({
        station: 'S1',
        provisional: false,
        standing: 'held',
        proofBefore: before.at,
        proofAfter: after.at,
        reach: 'face',
        offset: 2,
      });
      expect(row.cutFill).toBeCloseTo(row.hubZ! - row.designZ!, 9);
    }
    expect(sheet.stations).toMatchObject([{ name: 'S1', marks: ['K1', 'K2', 'K3', 'K4'], provisionalBecause: null }]);
  });

  it('keeps back what was set after a failed proof, and says why', () => {
    const { story, work, solution } = day();
    const late = story.set(solution, work, 3);
    story.prove(solution, 'P1', { e: 0.03 });
    const sheet = sheetOf(story, work);
    expect(sheet.rows).toHaveLength(3);
    expect(sheet.withheld).toMatchObject([{ mark: late.id, standing: 'inDoubt', reason: 'PROOF_FAILED' }]);
  });

  it('carries the reason of a provisional station', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1', ['K1', 'K2'], 'provisional', {}, 'only two in sight');
    story.set(solution, work, 0);
    const sheet = sheetOf(story, work);
    expect(sheet.stations[0]!.provisionalBecause).toBe('only two in sight');
    expect(sheet.rows[0]).toMatchObject({
      provisional: true,
      standing: 'unproven',
      proofBefore: null,
      proofAfter: null,
    });
  });

  it('does not list a rough mark, nor the hub that it replaced', () => {
    const { story, work, solution, marks } = day();
    story.set(solution, work, 0, { as: 'rough', supersedes: marks[0]!.id });
    expect(sheetOf(story, work).rows.map((row) => row.mark)).not.toContain(marks[0]!.id);
    expect(story.trust().marks.map((mark) => mark.id)).not.toContain(marks[0]!.id);
  });

  it('tells what changed since the sheet before it', () => {
    const { story, work, solution, marks } = day();
    const first = sheetOf(story, work);
    const again = story.set(solution, work, 0, { supersedes: marks[0]!.id, off: { e: 0.001 } });
    story.set(solution, work, 3);
    const changes = sheetOf(story, work, first).changes;
    expect(changes).toContainEqual({ name: again.body.name, change: 'setAgain' });
    expect(changes).toContainEqual({ name: work.body.plans[3]!.name, change: 'added' });
  });

  it('has no cut or fill from a plan-only station', () => {
    const story = new Story().control();
    const work = story.work();
    const solution = story.station('S1', ['K1', 'K2', 'K3', 'K4'], 'accepted', { height: false });
    expect(solution.fact.body.result.z).toBeNull();
    const mark = story.set(solution, work, 0);
    expect(mark.body).toMatchObject({ hubZ: null, cutFill: null, measured: { plan: true, height: false } });
    expect(mark.body.stakeText).toContain('no elevation');
  });
});

describe('sights', () => {
  it('that are taken next are ranked by what they add, those kept for proofs left aside', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    for (const name of ['K1', 'K2'] as const) story.sight(occupation, name);
    const draft = stationDraft(story.state, occupation, {});
    const next = nextSights(story.state, draft, USUALLY_ASKED);
    expect(next.map((each) => each.name).sort()).toEqual([story.markId('K3'), story.markId('K4')].sort());
    expect(next[0]!.radius95).toBeLessThanOrEqual(next[1]!.radius95);
    const none = stationDraft(story.state, story.occupy('S2'), {});
    expect(nextSights(story.state, none, USUALLY_ASKED)).toEqual([]);
  });

  it('under a wrong name are recognised by where they land', () => {
    const { story, solution } = day();
    const station = stationOfSolution(solution.fact.body.result);
    const right = story.sight(solution.occupation, 'K3', 'proof');
    expect(likelierMark(story.state, solution.occupation, station, right)).toBeNull();
    const wrong = story.say('sight', { ...right.body, target: { kind: 'control', mark: story.markId('K1') } });
    expect(likelierMark(story.state, solution.occupation, station, wrong)).toMatchObject({ name: story.markId('K3') });
    const toPlan = story.say('sight', { ...right.body, target: { kind: 'plan', package: newId(), key: 'x' } });
    expect(likelierMark(story.state, solution.occupation, station, toPlan)).toBeNull();
  });

  it('that were withdrawn do not count for the station', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    const sight = story.sight(occupation, 'K1');
    story.sight(occupation, 'K2');
    expect(stationSights(story.state, occupation.id)).toHaveLength(2);
    story.say('withdrawal', { record: sight.id, occupation: null, reason: 'wrong name' });
    expect(stationSights(story.state, occupation.id)).toHaveLength(1);
  });

  it('of the ground under the station can be kept as a mark, for proofs alone', () => {
    const { solution } = day();
    const body = stationMark(newId(), solution.occupation, solution.fact.body.result, solution.fact.id);
    expect(body).toMatchObject({ name: 'S1', forProof: true, condition: 'usable', useHeight: true });
    expect(body.e).toBeCloseTo(4030, 5);
    expect(body.sdHMm).toBeGreaterThan(0);
  });
});

describe('what a station promises', () => {
  it('is met at near marks and not at ones that are asked too much of', () => {
    const { story, work, solution } = day();
    expect(promiseFor(story.state, solution, work, POLE)).toMatchObject({ good: 8, marks: 8 });
    const strict = new Story({
      classes: [{ id: 'grid', name: 'Building grid', planMm: 0.5, heightMm: 0.5, leastMarks: 3 }],
    }).control();
    const own = strict.work();
    expect(promiseFor(strict.state, strict.station('S1'), own, POLE)).toMatchObject({ good: 0, marks: 8 });
  });
});

describe('the page of a set-up', () => {
  it('tells who, on which marks, how they fit, and what came of it', () => {
    const { story, solution, marks } = day();
    story.say('event', { occupation: solution.occupation.id, kind: 'plant', note: 'roller' });
    story.say('note', { text: 'K2 stands low, sighted over the fence' });
    story.say('close', { occupation: solution.occupation.id, note: '' });
    story.say('note', { text: 'rain after lunch' });
    const page = setupPage(story.state, solution.occupation);
    expect(page.remarks.map((fact) => ('text' in fact.body ? fact.body.text : fact.body.note))).toEqual([
      'roller',
      'K2 stands low, sighted over the fence',
    ]);
    expect(page).toMatchObject({ closed: true, leftOut: [], from: solution.occupation.at });
    expect(page.used.map((mark) => mark.name)).toEqual(['K1', 'K2', 'K3', 'K4']);
    for (const mark of page.used) expect(Math.abs(mark.dEMm!)).toBeLessThan(0.01);
    expect(page.proofs).toHaveLength(2);
    expect(page.marks.map((mark) => mark.id)).toEqual(marks.map((mark) => mark.id));
  });

  it('holds only what belongs to it', () => {
    const { story, solution } = day();
    const other = story.station('S2');
    const own = factsOfOccupation(story.state, solution.occupation.id);
    expect(own.some((fact) => fact.id === other.fact.id)).toBe(false);
    expect(own.some((fact) => fact.type === 'control')).toBe(false);
    expect(factsOfOccupation(story.state, other.occupation.id).map((fact) => fact.type)).toEqual([
      'occupation',
      'sight',
      'sight',
      'sight',
      'sight',
      'solution',
      'decision',
    ]);
  });

  it('of a refused station says so, and what was left out', () => {
    const story = new Story().control();
    const refused = story.station('S1', ['K1', 'K2', 'K3'], 'refused', { height: false }, 'nothing fits');
    const page = setupPage(story.state, refused.occupation);
    expect(page.solution?.decision.body).toMatchObject({ verdict: 'refused', reason: 'nothing fits' });
    expect(page.leftOut).toEqual(['K1 height', 'K2 height', 'K3 height']);
    expect(leftOut(story.state, refused)).toEqual(page.leftOut);
    expect(setupPage(story.state, story.occupy('S2'))).toMatchObject({ solution: null, used: [], closed: false });
  });
});

describe('figures of the day', () => {
  it('count the shots a mark took, of one person and one station', () => {
    const { story, solution } = day();
    expect(paceOf(story.state, solution.fact.id, story.who)).toMatchObject({ marks: 3, shotsPerMark: 2 });
    expect(paceOf(story.state, solution.fact.id, newId())).toBeNull();
  });

  it('name each source of control once, without its rows', () => {
    const story = new Story().control(['K1', 'K2']);
    story.control(['K3'], { source: 'typed' });
    expect(controlSources(story.state)).toEqual(['list.csv', 'typed']);
  });

  it('put a line in the book for every fact that there is', () => {
    const { story, solution, work } = day();
    const plan = work.body.plans[6]!;
    story.say('obstruction', { package: work.id, key: plan.key, name: plan.name, place: plan.place, what: 'Machine' });
    story.say('event', { occupation: solution.occupation.id, kind: 'battery', note: '' });
    story.say('handover', {
      sheet: newId(),
      number: 1,
      revision: 2,
      package: work.id,
      marks: [newId()],
      withheld: [newId()],
    });
    story.say('note', { text: 'Crew told.' });
    story.say('close', { occupation: solution.occupation.id, note: 'packed up' });
    story.say('withdrawal', { record: solution.fact.id, occupation: null, reason: 'slipped' });
    const { settings } = story.state;
    story.say('site', { ...settings, siteZero: 7, convention: 'pegLevels' });
    story.say('site', { ...settings, siteZero: 7, convention: 'pegLevels' });
    const lines = story.facts.map((fact) => bookLine(story.state, fact).text);
    expect(lines.filter((line) => line.startsWith('Site settings'))).toEqual([
      `Site settings: ${settings.name}`,
      'Site settings changed: site zero, stake convention',
      'Site settings kept as they were',
    ]);
    expect(lines).toContain(`${plan.name} blocked: Machine`);
    expect(lines).toContain('S1: battery changed');
    expect(lines).toContain('Cut sheet 1, revision 2: 1 mark, 1 withheld');
    expect(lines).toContain('Crew told.');
    expect(lines).toContain('S1 closed: packed up');
    expect(lines).toContainEqual(expect.stringMatching(/^Withdrawn, slipped: “S1 solved from K1, K2, K3, K4: .*”$/));
    expect(lines.some((line) => line.startsWith('S1 proved on P1: plan good'))).toBe(true);
    expect(lines.some((line) => /^S1 solved from K1, K2, K3, K4: E 4\s030\.000 m/.test(line))).toBe(true);
    expect(lines.every((line) => line.length > 3)).toBe(true);
  });

  it('tell how long the control of a first day takes, less what is done', () => {
    const story = new Story().control(['K1', 'K2', 'K3', 'K4']);
    const all = controlTime(story.state);
    expect(all).toEqual({
      marks: 4,
      toFind: 4,
      stands: 2,
      minutes: 4 * CONTROL_PACE.find + 2 * (CONTROL_PACE.setUp + 4 * CONTROL_PACE.sight),
    });
    story.say('visit', { mark: story.markId('K1'), outcome: 'found', labelRead: true, note: '' });
    expect(controlTime(story.state).minutes).toBe(all.minutes - CONTROL_PACE.find);
    story.station('S1');
    expect(controlTime(story.state)).toMatchObject({ toFind: 3, stands: 1 });
    story.station('S2');
    expect(controlTime(story.state)).toMatchObject({ stands: 0, minutes: 3 * CONTROL_PACE.find });
  });
});

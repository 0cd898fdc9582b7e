/**
 * What a crew gets, and what becomes of it afterwards: stakes as set, how they are read, reports, notices and tapes.
 */
import { describe, expect, it } from '@jest/globals';
import { planDistance, SHIPPED_CONVENTIONS } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  bookLine,
  conventionFor,
  conventionsOf,
  crewView,
  cutSheet,
  isOpen,
  isPerson,
  offsetAsSet,
  pointOfMark,
  pointsToFind,
  progressOf,
  restakeList,
  roundOf,
  sheetNotices,
  stakeReading,
  writingBody,
  type CutSheet,
} from '@idle-marker/records';
import { HALL, Story } from './story.ts';

/** A hall with all its hubs set and proven. */
function hall(change: Partial<FactBody<'package'>> = {}) {
  const story = new Story().control();
  const work = story.work(change);
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  const marks = work.body.plans.map((_plan, i) => story.set(solution, work, i));
  story.prove(solution, 'P2');
  return { story, work, solution, marks };
}
const asked = (work: Fact<'package'>) => ({
  package: work,
  issuedBy: 'Mara',
  issuedAt: '2031-05-06T12:00:00.000Z',
  timeZone: 'UTC',
});
const handOver = (story: Story, work: Fact<'package'>, marks: readonly Fact<'mark'>[], revision = 1) =>
  story.say('handover', {
    sheet: '44444444-4444-4444-8444-44444444444' + revision,
    number: 1,
    revision,
    package: work.id,
    marks: marks.map(({ id }) => id),
    withheld: [],
  });

describe('a stake', () => {
  it('keeps what was written, by sides, from where the hub stands', () => {
    const { story, work, solution } = hall();
    const plan = work.body.plans[0]!;
    const away = { e: (plan.place.e - plan.design.e) / plan.offset, n: (plan.place.n - plan.design.n) / plan.offset };
    const off = story.set(solution, work, 0, { off: { e: away.e * 0.004, n: away.n * 0.004 } });
    expect(off.body.offset).toBeCloseTo(plan.offset + 0.004, 3);
    expect(off.body.written).toMatchObject({ convention: 'plainWords', point: 'nail', left: [], right: [] });
    expect(off.body.written!.front[0]).toEqual({
      part: 'offset',
      text: `${(plan.offset + 0.004).toFixed(3)} m offset`,
      ruled: true,
      unusual: false,
    });
    expect(off.body.stakeText).toEqual([...off.body.written!.front, ...off.body.written!.back].map(({ text }) => text));
  });
  it('follows what is written anew everywhere but in the book, which has both', () => {
    const { story, work, marks } = hall();
    const [mark, other] = marks as [Fact<'mark'>, Fact<'mark'>];
    const plan = work.body.plans[0]!;
    expect(writingBody(story.state, work, plan, mark)).toBeNull();
    // A line that stands on another side is another stake, though the lines in order read the same.
    const { front, back, ...sides } = mark.body.written!;
    const written = { ...sides, front: front.slice(0, -1), back: [front.at(-1)!, ...back] };
    expect(writingBody(story.state, work, plan, { ...mark, body: { ...mark.body, written } })).toMatchObject({
      stakeText: mark.body.stakeText,
    });
    handOver(story, work, marks);
    const issued = cutSheet(story.state, story.trust(), asked(work), null);
    const rules = structuredClone(SHIPPED_CONVENTIONS.plainWords) as FactBody<'convention'>['rules'];
    story.say('convention', {
      convention: story.markId('K1'),
      rules: { ...rules, fill: 'RAISE' },
      retired: false,
      supersedes: null,
    });
    story.say('site', { ...story.state.settings, convention: story.markId('K1') });
    expect(sheetNotices(story.state, story.trust())).toEqual([]);
    const body = writingBody(story.state, work, plan, mark)!;
    expect(body.stakeText.filter((line, i) => line !== mark.body.stakeText[i])).toEqual([
      expect.stringMatching(/^RAISE 0\.\d{3} m to finished floor$/),
    ]);
    const writing = story.say('writing', body);
    const { state } = story;
    expect(
      writingBody(
        state,
        work,
        plan,
        [...state.marks.values()].find(({ id }) => id === mark.id)!,
      ),
    ).toBeNull();
    const crew = crewView(state, story.trust(), { label: 'x', roots: null, who: 'Mara', at: story.instant() });
    expect(crew.marks.find(({ id }) => id === mark.id)).toMatchObject({
      stakeText: body.stakeText,
      written: { convention: story.markId('K1') },
    });
    expect(crew.marks.find(({ id }) => id === other.id)!.stakeText).toEqual(other.body.stakeText);
    const sheet = cutSheet(state, story.trust(), asked(work), issued);
    expect(sheet.rows.find((row) => row.mark === mark.id)).toMatchObject({
      stakeText: body.stakeText,
      hubZ: mark.body.hubZ,
    });
    expect(sheet.changes).toEqual([{ name: mark.body.name, change: 'writtenAnew' }]);
    expect(sheetNotices(state, story.trust())[0]!.marks).toEqual([{ name: mark.body.name, trouble: 'rewritten' }]);
    expect(state.timeline.find(({ id }) => id === mark.id)!.body).toMatchObject({ stakeText: mark.body.stakeText });
    expect(bookLine(state, writing).text).toBe(
      `The stake of ${mark.body.name} is rewritten: ${body.stakeText.join(' · ')}`,
    );
    story.say('withdrawal', { record: writing.id, occupation: null, reason: 'the wrong stake' });
    expect([...story.state.marks.values()].find(({ id }) => id === mark.id)!.body.stakeText).toEqual(
      mark.body.stakeText,
    );
  });
  it('is off by what it stands off along its way, and by nothing on the thing itself', () => {
    const plan = { place: { e: 2, n: 0 }, design: { e: 0, n: 0 }, offset: 2 };
    expect(offsetAsSet(plan, { e: 2.01, n: 0.5 })).toBeCloseTo(2.01, 12);
    expect(offsetAsSet({ ...plan, offset: 0, place: plan.design }, { e: 0.2, n: 0 })).toBe(0);
    // Off both sides of a corner the way is longer than the offset.
    expect(offsetAsSet({ place: { e: 2, n: 2 }, design: { e: 0, n: 0 }, offset: 2 }, { e: 2.01, n: 2.01 })).toBeCloseTo(
      2.01,
      12,
    );
  });
  it('follows the convention of its package, of its site, or plain words', () => {
    const story = new Story().control();
    const own = story.say('convention', {
      convention: '77777777-7777-4777-8777-777777777777',
      rules: {
        ...structuredClone(SHIPPED_CONVENTIONS.pegLevels),
        name: 'Ours',
      } as unknown as FactBody<'convention'>['rules'],
      retired: false,
      supersedes: null,
    });
    const work = story.work({ convention: own.body.convention });
    expect(conventionFor(story.state, work.body).convention.name).toBe('Ours');
    expect(conventionFor(story.state, null).id).toBe('plainWords');
    expect(conventionsOf(story.state).map(({ id }) => id)[0]).toBe(own.body.convention);
    story.say('convention', { ...own.body, retired: true, supersedes: own.id });
    expect(conventionFor(story.state, work.body).id).toBe('plainWords');
    expect(bookLine(story.state, own).text).toBe('How stakes are written: Ours');
  });
  it('is read by its own figures, and says what is not as usual here', () => {
    const { story, work, marks } = hall({ convention: 'kerbFace' });
    const reading = stakeReading(story.state, work.body, work.body.plans[0]!, marks[0]!);
    expect(reading.unusual.map(({ what, usual }) => [what, usual])).toEqual([
      ['outsideFace', ['face']],
      ['finishedFloor', ['topOfKerb']],
    ]);
    expect(reading).toMatchObject({
      name: work.body.plans[0]!.name,
      carrier: 'lath',
      point: 'nail',
      rounding: { offset: 'hundredth', height: 'hundredth' },
    });
    expect(reading.reach.way).toMatch(/^(face|line)$/);
    expect(reading.lines[0]).toHaveLength(3);
    expect(reading.heights).toHaveLength(1);
  });
});

describe('a mark that is reported gone or hit', () => {
  it('comes off the sheet and the crew’s page, has to be set again, and is good once it was', () => {
    const { story, work, solution, marks } = hall();
    story.say('report', { mark: marks[0]!.id, kind: 'destroyed', who: 'Jo', text: 'loader' });
    const { state } = story;
    const sheet = cutSheet(state, story.trust(), asked(work), null);
    expect(sheet.withheld).toMatchObject([{ name: marks[0]!.body.name, reason: 'REPORTED_DESTROYED' }]);
    expect(restakeList(state)).toMatchObject([{ why: 'destroyed', report: { body: { who: 'Jo' } } }]);
    expect(progressOf(state, story.trust())[0]).toMatchObject({ set: marks.length - 1 });
    expect(isOpen(roundOf(state, story.trust(), work, null).find(({ mark }) => mark?.id === marks[0]!.id)!)).toBe(true);
    expect(
      crewView(state, story.trust(), { label: 'x', roots: null, who: 'Mara', at: story.instant() }).marks.find(
        ({ id }) => id === marks[0]!.id,
      )!.standing,
    ).toBe('destroyed');
    story.set(solution, work, 0);
    expect(restakeList(story.state)).toEqual([]);
    expect(
      bookLine(
        state,
        state.timeline.findLast((fact) => fact.type === 'report')!,
      ).text,
    ).toBe(`${marks[0]!.body.name} reported gone, by Jo: loader`);
  });
  it('that was only hit is good again after a good sight to it, not after a bad one or one from before', () => {
    const { story, work, solution, marks } = hall();
    story.resight(solution, marks[1]!);
    story.say('report', { mark: marks[1]!.id, kind: 'moved', who: '', text: '' });
    expect(restakeList(story.state)).toHaveLength(1);
    expect(progressOf(story.state, story.trust())[0]).toMatchObject({ inDoubt: 1, set: marks.length });
    story.resight(solution, marks[1]!, { e: 0.05 });
    expect(restakeList(story.state)).toHaveLength(1);
    story.resight(solution, marks[1]!);
    expect(restakeList(story.state)).toEqual([]);
    expect(cutSheet(story.state, story.trust(), asked(work), null).withheld).toEqual([]);
  });
  it('is as it was when the report is taken back, which stays in the book', () => {
    const { story, marks } = hall();
    const report = story.say('report', { mark: marks[0]!.id, kind: 'destroyed', who: 'Jo', text: '' });
    story.say('withdrawal', { record: report.id, occupation: null, reason: 'the wrong number' });
    expect(restakeList(story.state)).toEqual([]);
    expect(story.state.timeline).toContainEqual(report);
  });
});

describe('a sheet that was issued', () => {
  it('has a notice for each mark that is not as it was, to whom has it, and only on its last revision', () => {
    const { story, work, solution, marks } = hall();
    handOver(story, work, marks);
    expect(sheetNotices(story.state, story.trust())).toEqual([]);
    story.prove(solution, 'P1', { e: 0.05 });
    const later = story.set(solution, work, 2);
    handOver(story, work, [...marks.slice(0, 2), later], 2);
    story.say('report', { mark: marks[0]!.id, kind: 'moved', who: '', text: '' });
    const [notice, ...others] = sheetNotices(story.state, story.trust());
    expect(others).toEqual([]);
    expect(notice).toMatchObject({ number: 1, revision: 2, givenTo: work.body.crew });
    const trouble = new Map(notice!.marks.map(({ name, trouble: what }) => [name, what]));
    expect(trouble.get(marks[0]!.body.name)).toBe('moved');
    expect(trouble.get(later.body.name)).toBe('inDoubt');
  });
  it('tells that a mark was set again, but not that the same hub was shot once more', () => {
    const { story, work, solution, marks } = hall();
    handOver(story, work, marks);
    story.set(solution, work, 1, { supersedes: marks[1]!.id });
    expect(sheetNotices(story.state, story.trust())).toEqual([]);
    story.set(solution, work, 0, { off: { e: 0.004, n: 0.003 }, supersedes: marks[0]!.id });
    expect(sheetNotices(story.state, story.trust())[0]!.marks).toEqual([
      { name: marks[0]!.body.name, trouble: 'setAgain' },
    ]);
  });
  it('can be of a part of the package, says both heights, until when it holds, and what changed by its figures', () => {
    const { story, work } = hall();
    const keys = work.body.plans.slice(0, 3).map(({ key }) => key);
    const part = cutSheet(
      story.state,
      story.trust(),
      {
        ...asked(work),
        selection: { name: 'north', keys },
        bothHeights: true,
        validUntil: '2031-06-01',
        givenTo: 'Ada',
        remarks: 'pour',
      },
      null,
    );
    expect(part).toMatchObject({
      selection: 'north',
      bothHeights: true,
      validUntil: '2031-06-01',
      givenTo: 'Ada',
      remarks: 'pour',
      convention: 'Plain words',
    });
    expect(part.rows).toHaveLength(3);
    const other = {
      ...part,
      rows: part.rows.map((row, i) => (i === 0 ? { ...row, designZ: row.designZ! + 0.1 } : row)),
    } as CutSheet;
    expect(
      cutSheet(story.state, story.trust(), { ...asked(work), selection: { name: 'north', keys } }, other).changes,
    ).toEqual([{ name: part.rows[0]!.name, change: 'figures' }]);
  });
});

describe('the crew’s page', () => {
  it('shows the packages of its link and no others, each mark with how it is read', () => {
    const { story, work, marks } = hall();
    const other = story.work({ name: 'Other hubs' }, 'O');
    const view = crewView(story.state, story.trust(), {
      label: 'Formwork',
      roots: [work.id],
      who: 'Mara 555',
      at: story.instant(),
    });
    expect(view.packages).toEqual([work.body.name]);
    expect(view.marks.map(({ id }) => id).sort()).toEqual(marks.map(({ id }) => id).sort());
    expect(view).toMatchObject({ who: 'Mara 555', label: 'Formwork', languages: ['en'] });
    expect(
      crewView(story.state, story.trust(), { label: '', roots: null, who: 'x', at: story.instant() }).packages,
    ).toContain(other.body.name);
  });
  it('speaks as a crew, in whose name nobody works', () => {
    const story = new Story();
    const crew = story.say('member', { name: 'Formwork', crew: true });
    expect(isPerson(crew)).toBe(false);
    expect(story.state.members.filter(isPerson)).toHaveLength(1);
  });
});

describe('points taped back', () => {
  it('come from marks that stand, and say which are gone', () => {
    const { story, work, marks } = hall();
    const before = pointsToFind(story.state, story.trust(), work);
    const first = before.find(({ corner }) => corner === work.body.plans[0]!.corner)!;
    expect(first.gone).toEqual([]);
    const away = first.marks.map((mark) => planDistance(mark, first.point));
    expect(away).toEqual([...away].sort((a, b) => a - b));
    expect(first.marks.map(({ name }) => name)).toContain(marks[0]!.body.name);
    story.say('report', { mark: marks[0]!.id, kind: 'destroyed', who: '', text: '' });
    const after = pointsToFind(story.state, story.trust(), work).find(({ corner }) => corner === first.corner)!;
    expect(after.gone).toEqual([{ name: marks[0]!.body.name, why: 'destroyed' }]);
    expect(after.marks.map(({ name }) => name)).not.toContain(marks[0]!.body.name);
    expect(after.marks.length).toBeGreaterThan(1);
  });
  it('are told apart by place where two things have a corner of the same name', () => {
    const story = new Story().control();
    const far = { ...HALL, name: 'Annexe', corners: HALL.corners.map((corner) => ({ ...corner, e: corner.e + 24 })) };
    const work = story.work({ items: [HALL, far] });
    const solution = story.station('S1');
    work.body.plans.forEach((_plan, i) => story.set(solution, work, i));
    const view = crewView(story.state, story.trust(), { label: 'x', roots: null, who: 'Mara', at: story.instant() });
    for (const mark of view.marks) expect(pointOfMark(view, mark)!.point).toMatchObject(mark.reading.design);
    expect(new Set(view.marks.map((mark) => pointOfMark(view, mark)!.item))).toEqual(new Set(['Hall', 'Annexe']));
  });
});

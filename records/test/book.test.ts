/** The field book's pages and the end of the day. */
import { describe, expect, it } from '@jest/globals';
import type { FactBody } from '@idle-marker/contract';
import { closingWords, proofFigureWords } from '@idle-marker/words';
import {
  activityTimes,
  bookLine,
  closingOf,
  controlListVersion,
  dayBook,
  dayOf,
  daysOf,
  setupBook,
  shiftHandover,
} from '@idle-marker/records';
import { Story } from './story.ts';

const UTC = 'UTC';

function morning() {
  const story = new Story().control();
  const solution = story.station('S1');
  story.prove(solution, 'P1');
  const work = story.work();
  const mark = story.set(solution, work, 0);
  return { story, solution, work, mark };
}
const codes = (story: Story, waiting = 0) => {
  const { missing, open, tomorrow } = closingOf(story.state, story.trust(), waiting);
  return {
    missing: missing.map(({ code }) => code),
    open: open.map(({ code }) => code),
    tomorrow: tomorrow.map(({ code }) => code),
  };
};

describe('the page of a set-up', () => {
  it('has what was sighted again and what was measured as it stands, and the day does not tell it twice', () => {
    const { story, solution, mark } = morning();
    story.resight(solution, mark);
    story.measure(solution, { e: 4000, n: 8000, z: 5.2 }, { name: 'Kerb 1' });
    const slipped = story.measure(solution, { e: 4001, n: 8000, z: 5.2 }, { name: 'Kerb 2' });
    story.say('withdrawal', { record: slipped.id, occupation: null, reason: 'pole slipped.' });
    const { measured, corrections } = setupBook(story.state, story.trust(), solution.occupation);
    expect(measured.map(({ text }) => text)).toEqual([
      expect.stringMatching(/sighted again/),
      expect.stringMatching(/^Kerb 1 measured/),
    ]);
    expect(corrections).toEqual([]);
    const day = dayBook(story.state, story.trust(), dayOf(story.instant(), UTC), UTC);
    expect(day.entries.map(({ text }) => text).filter((text) => /measured|again/.test(text))).toEqual([
      expect.stringMatching(/^Withdrawn, pole slipped: “Kerb 2 measured/),
    ]);
  });
});

describe('the end of the day', () => {
  it('is not finished while the closing proof is missing, and is once it was taken', () => {
    const { story, solution, mark } = morning();
    expect(codes(story).missing).toEqual(['CLOSING_PROOF_MISSING']);
    const [missing] = closingOf(story.state, story.trust(), 0).missing;
    expect(missing).toEqual({ code: 'CLOSING_PROOF_MISSING', station: 'S1', marks: [mark.body.name], measured: [] });
    expect(closingWords(missing!).title).toBe('Closing check shot missing at S1');
    story.prove(solution, 'P2');
    expect(codes(story)).toEqual({ missing: [], open: ['STILL_SET_UP', 'NOT_HANDED_OVER'], tomorrow: ['LEFT_TO_SET'] });
    story.say('close', { occupation: solution.occupation.id, note: '' });
    expect(codes(story).open).toEqual(['NOT_HANDED_OVER']);
  });
  it('says so when the instrument left without it, when entries are not stored, and what else is open', () => {
    const { story, solution, work, mark } = morning();
    story.say('close', { occupation: solution.occupation.id, note: '' });
    expect(codes(story, 3)).toMatchObject({ missing: ['NOT_STORED'], open: ['LEFT_UNPROVEN'] });
    story.say('handover', {
      sheet: '44444444-4444-4444-8444-444444444444',
      number: 1,
      revision: 1,
      package: work.id,
      marks: [mark.id],
      withheld: [],
    });
    story.say('report', { mark: mark.id, kind: 'destroyed', who: '', text: '' });
    expect(codes(story).open).toEqual(['TO_SET_AGAIN', 'TELL']);
    for (const item of Object.values(closingOf(story.state, story.trust(), 2)).flat()) {
      const { title, text } = closingWords(item);
      expect([item.code, title.length > 3, text.length > 3]).toEqual([item.code, true, true]);
    }
  });
  it('with a failed proof is in doubt rather than missing one', () => {
    const { story, solution } = morning();
    story.prove(solution, 'P2', { e: 0.05 });
    const second = story.set(solution, story.state.packages[0]!, 1);
    expect(codes(story).open).toContain('IN_DOUBT');
    expect(JSON.stringify(closingOf(story.state, story.trust(), 0).open)).toContain(second.body.name);
  });
  it('is not finished while what was measured from the station is held by nothing', () => {
    const story = new Story().control();
    const solution = story.station('S1', ['K1', 'K2', 'K3'], 'provisional', {}, 'wind');
    for (const [i, name] of ['Kerb 1', 'Kerb 2', 'Wall', 'Sill'].entries())
      story.measure(solution, { e: 4000 + i, n: 8000, z: 5.2 }, { name });
    const [missing] = closingOf(story.state, story.trust(), 0).missing;
    expect(missing).toEqual({
      code: 'CLOSING_PROOF_MISSING',
      station: 'S1',
      marks: [],
      measured: ['Kerb 1', 'Kerb 2', 'Sill', 'Wall'],
    });
    // A closing sight 21 mm off: nothing is held, and that asks for an answer.
    story.prove(solution, 'P1', { e: 0.021 });
    const closing = closingOf(story.state, story.trust(), 0);
    expect(closing.missing).toEqual([
      { code: 'PROOF_UNANSWERED', station: 'S1', parts: ['plan'], measured: ['Kerb 1', 'Kerb 2', 'Sill', 'Wall'] },
    ]);
    expect(closing.open).toContainEqual({ code: 'MEASURED_IN_DOUBT', measured: ['Kerb 1', 'Kerb 2', 'Sill', 'Wall'] });
    for (const item of [...closing.missing, ...closing.open]) expect(closingWords(item).text).toMatch(/\.$/);
    story.say('close', { occupation: solution.occupation.id, note: '' });
    expect(codes(story)).toMatchObject({ missing: [], open: ['MEASURED_IN_DOUBT'] });
  });
  it('is finished once a proof came after what was measured, in all of its parts', () => {
    const story = new Story().control(['K1', 'K2', 'K3', 'K4', 'P2']).control(['P1'], { useHeight: false, z: null });
    const solution = story.station('S1');
    story.measure(solution, { e: 4000, n: 8000, z: 5.2 }, { name: 'Kerb 1' });
    story.prove(solution, 'P1');
    expect(codes(story).missing).toEqual(['CLOSING_PROOF_MISSING']);
    story.prove(solution, 'P2');
    expect(codes(story).missing).toEqual([]);
  });
  it('counts control of one’s own, and a station left without a proof after it', () => {
    const story = new Story().control();
    const solution = story.station('S1');
    story.prove(solution, 'P1');
    story.control(['Q1'], { name: 'T1', parent: solution.fact.id });
    expect(closingOf(story.state, story.trust(), 0).missing).toMatchObject([
      { code: 'CLOSING_PROOF_MISSING', measured: ['T1'] },
    ]);
    story.say('close', { occupation: solution.occupation.id, note: '' });
    expect(closingOf(story.state, story.trust(), 0).open).toMatchObject([{ code: 'LEFT_UNPROVEN', measured: ['T1'] }]);
  });
  it('is said once, with what was unfinished', () => {
    const { story } = morning();
    const day = dayOf(story.instant(), UTC);
    const fact = story.say('dayEnd', { day, note: 'key at the gate', unfinished: 'rain' });
    expect(bookLine(story.state, fact).text).toBe(
      'The day ends, unfinished: rain. For who comes next: key at the gate',
    );
    expect(dayBook(story.state, story.trust(), day, UTC).ended).toMatchObject({
      note: 'key at the gate',
      unfinished: 'rain',
    });
  });
});

describe('a page of the book', () => {
  it('of a set-up has every sight raw and reduced, how the control fitted, decisions, proofs and marks', () => {
    const { story, solution } = morning();
    const book = setupBook(story.state, story.trust(), solution.occupation);
    expect(book.sights).toHaveLength([...story.state.sights.values()].length);
    for (const sight of book.sights) {
      expect(sight.horizontal).toBeCloseTo(sight.read.slope! * Math.sin((sight.read.zenith * Math.PI) / 180), 1);
      expect([sight.targetHeightWas, sight.prismConstantWas, sight.withdrawn]).toEqual([null, null, null]);
    }
    expect(book.control.map(({ name }) => name)).toEqual(expect.arrayContaining(['K1', 'K2', 'P1']));
    expect(book.fits.length).toBeGreaterThan(2);
    expect(book.decisions).toMatchObject([{ station: 'S1', verdict: 'accepted', judged: { verdict: 'checked' } }]);
    expect(book.control.map(({ revision }) => revision)).toEqual(book.control.map(() => 1));
    expect(book.proofs).toMatchObject([{ on: 'P1', plan: 'good' }]);
    expect(book.marks).toHaveLength(1);
    expect(JSON.stringify(JSON.parse(JSON.stringify(book)))).toBe(JSON.stringify(book));
  });
  it('shows a height that was put right beside what was entered, and a sight that was taken back with its reason', () => {
    const { story, solution } = morning();
    const [first, second] = [...story.state.sights.values()];
    const was = first!.body.targetHeight;
    story.say('correction', {
      what: 'targetHeight',
      occupation: solution.occupation.id,
      sights: [first!.id],
      value: was + 0.1,
      reason: 'pole was up',
    });
    story.say('correction', {
      what: 'instrumentHeight',
      occupation: solution.occupation.id,
      sights: [],
      value: 1.7,
      reason: 'taped again',
    });
    story.say('withdrawal', { record: second!.id, occupation: null, reason: 'wrong mark' });
    const book = setupBook(story.state, story.trust(), story.state.occupations[0]!);
    expect(book.sights[0]).toMatchObject({ targetHeight: was + 0.1, targetHeightWas: was });
    expect(book.sights[1]).toMatchObject({ withdrawn: 'wrong mark' });
    expect(book).toMatchObject({
      instrumentHeight: 1.7,
      instrumentHeightWas: solution.occupation.body.instrumentHeight,
    });
    expect(book.corrections.map(({ text }) => text).join('; ')).toMatch(/pole was up.*taped again/);
  });
  it('has what the judgement said when it was decided on, whatever came later, and the photos of its marks', () => {
    const story = new Story().control();
    const occupation = story.occupy('S1');
    story.sight(occupation, 'K1', 'station', { e: 0.05 });
    for (const name of ['K2', 'K3', 'K4'] as const) story.sight(occupation, name);
    const solution = story.decide(occupation, 'provisional', {}, 'no time');
    const mark = story.set(solution, story.work(), 0);
    story.say('photo', {
      mark: mark.id,
      image: '55555555-5555-4555-8555-555555555555',
      mediaType: 'image/jpeg',
      bytes: 9,
      caption: 'front',
      written: true,
    });
    const book = () => setupBook(story.state, story.trust(), story.state.occupations[0]!);
    const [decision] = book().decisions;
    expect(decision!.judged!.verdict).not.toBe('checked');
    expect(decision!.judged!.because.join(' ')).toContain('K1');
    expect(decision).toMatchObject({ verdict: 'provisional', reason: 'no time' });
    const [k1] = story.state.control;
    story.say('control', { ...k1!.revision.body, e: k1!.revision.body.e! + 0.05, supersedes: k1!.revision.id });
    expect(book().decisions[0]!.judged).toEqual(decision!.judged);
    expect(book().control.find(({ name }) => name === 'K1')!.revision).toBe(1);
    expect(book().photos).toMatchObject([{ of: mark.body.name, caption: 'front' }]);
  });
  it('of a day has its people, set-ups, sheets, what control was not used and why, and everything else', () => {
    const { story, work, mark } = morning();
    story.say('control', {
      ...story.state.control[0]!.revision.body,
      condition: 'doubtful',
      note: 'loader hit it',
      supersedes: story.state.control[0]!.revision.id,
    });
    story.say('handover', {
      sheet: '44444444-4444-4444-8444-444444444444',
      number: 7,
      revision: 2,
      package: work.id,
      marks: [mark.id],
      withheld: [],
      givenTo: 'Ada',
    });
    const [day] = daysOf(story.state, UTC);
    const book = dayBook(story.state, story.trust(), day!, UTC);
    expect(book.people).toEqual(['Mara Lindqvist']);
    expect(book.setups.map(({ name }) => name)).toEqual(['S1']);
    expect(book.sheets).toMatchObject([{ number: 7, revision: 2, givenTo: 'Ada', marks: 1 }]);
    expect(book.rejected).toEqual([
      { name: story.state.control[0]!.revision.body.name, why: 'doubtful: loader hit it' },
    ]);
    expect(book.entries.some(({ text }) => /Hall hubs/.test(text))).toBe(true);
    expect(dayBook(story.state, story.trust(), '1999-01-01', UTC)).toMatchObject({
      setups: [],
      entries: [],
      people: [],
    });
  });
});

describe('the diary', () => {
  it('gives the time between entries to what they tell of, and long pauses to waiting', () => {
    const story = new Story();
    const begin = story.facts.length;
    const occupation = story.occupy('S1');
    const said = (type: 'note' | 'event', body: FactBody<'note'> | FactBody<'event'>, minutes: number) =>
      story.say(type, body, minutes);
    said('event', { occupation: occupation.id, kind: 'bump', note: '' }, 5);
    said('note', { text: 'x' }, 4);
    said('event', { occupation: occupation.id, kind: 'plant', note: '' }, 10);
    said('note', { text: 'y' }, 40);
    const times = new Map(activityTimes(story.facts.slice(begin)).map((each) => [each.activity, each]));
    expect(times.get('setUp')).toMatchObject({ minutes: 5 });
    expect(times.get('office')).toMatchObject({ minutes: 4 });
    expect(times.get('waiting')).toMatchObject({ minutes: 50, count: 1 });
  });
  it('knows the day by the clock of the place', () => {
    expect(dayOf('2031-05-06T23:30:00.000Z', 'UTC')).toBe('2031-05-06');
    expect(dayOf('2031-05-06T23:30:00.000Z', 'Pacific/Auckland')).toBe('2031-05-07');
  });
});

describe('for who comes next', () => {
  it('there is where the instrument stood, what control last proved good for, and what is left', () => {
    const { story, solution, work } = morning();
    const before = shiftHandover(story.state, story.trust());
    expect(before.stood).toMatchObject({
      name: 'S1',
      isStanding: true,
      verdict: 'accepted',
      marks: ['K1', 'K2', 'K3', 'K4'],
      place: { e: solution.fact.body.result.e },
    });
    const say = { at: story.instant(), by: 'Mara', text: 'key at the gate', unfinished: '' };
    expect(shiftHandover(story.state, story.trust(), say).note).toEqual(say);
    const last = (name: string) =>
      shiftHandover(story.state, story.trust()).control.find((mark) => mark.name === name)!.last;
    expect(last('K1')).toMatchObject({ as: 'used' });
    expect(last('P2')).toBeNull();
    const proof = story.prove(solution, 'P2');
    expect(last('P2')).toEqual({ as: 'proved', at: proof.at });
    story.prove(solution, 'P2', { e: 0.2 });
    // A proof that failed says nothing good.
    expect(last('P2')).toEqual({ as: 'proved', at: proof.at });
    const visit = story.say('visit', { mark: story.markId('K1'), outcome: 'found', labelRead: false, note: '' });
    expect(last('K1')).toEqual({ as: 'found', at: visit.at });
    story.say('dayEnd', { day: '2031-05-06', note: 'the fence is new', unfinished: '' });
    story.say('close', { occupation: solution.occupation.id, note: '' });
    const after = shiftHandover(story.state, story.trust());
    expect(after.stood!.isStanding).toBe(false);
    expect(after.note).toMatchObject({ text: 'the fence is new', by: 'Mara Lindqvist' });
    expect(after.packages).toMatchObject([{ name: work.body.name, marks: 8, set: 1 }]);
    expect(shiftHandover(new Story().state, new Story().trust()).stood).toBeNull();
  });
});

describe('a mark that only a part of was used', () => {
  it('is told with that part, since what was left out is no evidence', () => {
    const story = new Story().control();
    story.station('S1', ['K1', 'K2', 'K3'], 'accepted', { height: false });
    const last = shiftHandover(story.state, story.trust()).control.find((mark) => mark.name === 'K1')!.last;
    expect(last).toMatchObject({ as: 'usedForPlan' });
  });
});

describe('the control list', () => {
  it('has a version that counts up with every change of it', () => {
    const story = new Story();
    expect(controlListVersion(story.state)).toEqual({ version: 0, at: null });
    story.control(['K1', 'K2']);
    expect(controlListVersion(story.state).version).toBe(2);
    const { revision } = story.state.control[0]!;
    const change = story.say('control', { ...revision.body, condition: 'doubtful', supersedes: revision.id });
    expect(controlListVersion(story.state)).toEqual({ version: 3, at: change.at });
    story.say('note', { text: 'x' });
    expect(controlListVersion(story.state).version).toBe(3);
    story.say('withdrawal', { record: change.id, occupation: null, reason: 'it was another' });
    expect(controlListVersion(story.state).version).toBe(4);
  });
});

describe('what the book prints', () => {
  it('has angles in the form of the site, units with every figure, and the figures of each proof', () => {
    const story = new Story({ angleUnit: 'dms' }).control();
    const solution = story.station('S1', ['K1', 'K2'], 'provisional', {}, 'two marks in sight');
    story.prove(solution, 'P1', { e: 0.004 });
    const sight = story.facts.find((fact) => fact.type === 'sight')!;
    expect(bookLine(story.state, sight).text).toMatch(
      /circle \d+°\d\d′\d\d\.\d″, zenith \d+°\d\d′\d\d\.\d″, slope \d+\.\d+ m, target 1\.500 m$/,
    );
    const gon = new Story({ angleUnit: 'gon' }).control();
    gon.station('S1');
    expect(
      bookLine(
        gon.state,
        gon.facts.find((fact) => fact.type === 'sight')!,
      ).text,
    ).toMatch(/circle \d+\.\d{5} gon, zenith \d+\.\d{5} gon/);
    const book = setupBook(story.state, story.trust(), solution.occupation);
    expect(book.proofs[0]!.figures).toMatchObject({
      dEMm: expect.closeTo(4, 0),
      dNMm: expect.closeTo(0, 0),
      dZMm: expect.closeTo(0, 0),
    });
    expect(proofFigureWords(book.proofs[0]!.figures, 'metre', 'NE')).toMatch(
      /^plan 4 mm \(N 0, E \+4\), elevation 0 mm$/,
    );
    expect(book.notices).toContain('Station S1 is provisional: two marks in sight.');
  });
});

describe('heights alone at the end of the day', () => {
  it('count as long as nothing checks them', () => {
    const story = new Story().control();
    const occupation = story.occupy('L1', { method: 'heightOnly' });
    story.sight(occupation, 'K1');
    const closing = () => closingOf(story.state, story.trust(), 0);
    expect(closing().missing).toEqual([]);
    story.shoot(occupation, 'spot', { kind: 'spot', name: 'sill' }, { e: 4020, n: 8010, z: 5.4 });
    expect(closing().missing).toEqual([
      { code: 'HEIGHTS_UNCHECKED', station: 'L1', measured: ['sill'], disagree: false },
    ]);
    expect(closing().missing.map((item) => closingWords(item).title)).toEqual(['Nothing checks the elevations of L1']);
    story.sight(occupation, 'K2');
    expect(closing().missing).toEqual([]);
    story.sight(occupation, 'K3', 'station', { z: 0.05 });
    expect(closing().missing).toMatchObject([{ disagree: true }]);
    story.say('close', { occupation: occupation.id, note: '' });
    expect(closing().missing).toEqual([]);
    expect(closing().open).toContainEqual({
      code: 'HEIGHTS_UNCHECKED',
      station: 'L1',
      measured: ['sill'],
      disagree: true,
    });
  });
});

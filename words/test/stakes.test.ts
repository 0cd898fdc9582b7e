/** What is written on a stake, under each of the conventions that ship and under one that was adapted. */
import { describe, expect, it } from '@jest/globals';
import {
  conventionFaults,
  fitStake,
  roomOn,
  SHIPPED_CONVENTIONS,
  type StakeContent,
  type StakeConvention,
  type StakeReading,
} from '@idle-marker/core';
import {
  crewWords,
  allLanguages,
  otherReadings,
  readingSentences,
  stakeTextOf,
  wordsOnStake,
  writtenStake,
  type CrewWords,
} from '../src/index.ts';

const HALL: StakeContent = {
  name: 'TH-B3',
  offset: 2,
  offsetAsSet: 2.004,
  within: true,
  to: 'B3',
  meaning: 'outsideFace',
  cutFill: -0.332,
  heightReference: 'finishedFloor',
  hubZ: 5.918,
  designZ: 6.25,
  also: null,
  road: null,
  package: 'Ticket hall',
  point: 'nail',
  tolerance: { plan: 0.006, height: 0.005 },
  set: { day: '2026-11-24', by: 'Mara' },
};
const KERB: StakeContent = {
  ...HALL,
  name: 'K-0+040',
  offset: 1,
  offsetAsSet: 1.003,
  to: '0+040',
  heightReference: 'string',
  cutFill: 0.128,
  road: { name: 'Landing Road', to: 'left kerb.face', gradeTo: 'left kerb.face', why: 'curve begins' },
  tolerance: { plan: 0.01, height: 0.006 },
};
const SPOT: StakeReading = {
  name: 'TH-B3',
  carrier: 'lath',
  point: 'nail',
  reach: { way: 'on' },
  offset: 0,
  to: 'B3',
  meaning: 'outsideFace',
  string: null,
  heights: [],
  place: { e: 0, n: 0 },
  design: { e: 0, n: 0 },
  lines: [],
  unusual: [],
  facing: SHIPPED_CONVENTIONS.plainWords.facing,
  colours: null,
  tolerance: null,
  rounding: { offset: 'finest', height: 'finest' },
};
const write = (
  content: StakeContent,
  convention: StakeConvention,
  rounding?: 'tenth' | 'hundredth' | 'sixteenth',
  unit: 'metre' | 'foot' = 'metre',
) => writtenStake(content, { convention, unit, rounding });
const { plainWords, shortForms, kerbFace, kerbBack, pegLevels, buildingGrid, steelMarks } = SHIPPED_CONVENTIONS;

describe('a stake', () => {
  it('is written from the mark as set, in plain words', () => {
    const { faces, notices } = write(HALL, plainWords);
    expect(faces.front.map(({ text }) => text)).toEqual([
      '2.004 m offset',
      'to B3, outside face',
      'FILL 0.332 m to finished floor',
    ]);
    expect(faces.front[0]!.ruled).toBe(true);
    expect(faces.back.map(({ text }) => text)).toEqual(['TH-B3', 'hub 5.918 m', 'design 6.250 m']);
    expect(notices).toEqual([]);
  });
  it('is written the evening before but for what the driven hub gives', () => {
    const before = { ...HALL, hubZ: null, cutFill: null, offsetAsSet: HALL.offset, set: null };
    expect(stakeTextOf(write(before, plainWords).faces)).toEqual([
      '2.000 m offset',
      'to B3, outside face',
      'CUT / FILL ________ m to finished floor',
      'TH-B3',
      'hub ________ m',
      'design 6.250 m',
    ]);
    expect(
      stakeTextOf(write({ ...before, also: { heightReference: 'topOfWall', cutFill: null } }, plainWords).faces),
    ).toContain('CUT / FILL ________ m to top of wall');
    // Without a design height there is nothing to leave room for.
    expect(stakeTextOf(write({ ...before, designZ: null }, plainWords).faces).join()).not.toContain('____');
  });
  it('says the planned offset where the convention wants that, but never of a mark outside its tolerance', () => {
    const planned: StakeConvention = { ...plainWords, offsetFigure: 'plannedWithin' };
    expect(stakeTextOf(write(HALL, planned).faces)[0]).toBe('2.000 m offset');
    expect(stakeTextOf(write({ ...HALL, within: false, offsetAsSet: 2.031 }, planned).faces)[0]).toBe('2.031 m offset');
  });
  it('uses the short forms of its convention, each with one meaning', () => {
    expect(stakeTextOf(write({ ...HALL, cutFill: 0.12 }, shortForms).faces)).toEqual([
      '2.004 O/S',
      'to B3, outside face',
      'CUT 0.120 to FFL',
      'TH-B3',
      'hub 5.918',
      'design 6.250',
    ]);
  });
  it('says grade, no height, and that the mark stands on the thing itself', () => {
    expect(stakeTextOf(write({ ...HALL, cutFill: 0.0004 }, plainWords).faces)).toContain('ON GRADE, finished floor');
    expect(stakeTextOf(write({ ...HALL, cutFill: 0.004 }, plainWords, 'hundredth').faces)).toContain(
      'ON GRADE, finished floor',
    );
    expect(stakeTextOf(write({ ...HALL, cutFill: null, hubZ: null }, plainWords).faces)).toContain('no elevation');
    expect(stakeTextOf(write({ ...HALL, offset: 0, offsetAsSet: 0 }, plainWords).faces).slice(0, 2)).toEqual([
      'no offset',
      'on B3, outside face',
    ]);
  });
  it('stands for two features', () => {
    const both = { ...HALL, also: { cutFill: 1.6, heightReference: 'underside' as const } };
    expect(stakeTextOf(write(both, plainWords, 'hundredth').faces)).toContain('CUT 1.60 m to underside');
  });
  it('follows each school of the kerb in order, features and rounding', () => {
    expect(write(KERB, kerbFace).faces.front.map(({ text }) => text)).toEqual([
      '1.00 O/S',
      'to FACE K left kerb',
      'CUT 0.13 to TOP K left kerb',
      'curve begins',
    ]);
    const back = { ...KERB, road: { ...KERB.road!, to: 'left kerb.back', gradeTo: 'left kerb.back' } };
    expect(
      write(back, kerbBack)
        .faces.front.map(({ text }) => text)
        .slice(0, 3),
    ).toEqual(['0+040 Landing Road', '1.00 O/S', 'to BACK K left kerb']);
  });
  it('points out what is unusual here', () => {
    const back = { ...KERB, road: { ...KERB.road!, to: 'left kerb.back' } };
    expect(write(back, kerbFace).notices).toContainEqual({ code: 'UNUSUAL', text: 'to BACK K left kerb' });
    expect(write(KERB, kerbFace).notices).toEqual([]);
    expect(write(back, kerbBack).faces.front.some((line) => line.unusual && line.part === 'to')).toBe(false);
  });
  it('of a peg says up and down from its own level', () => {
    const { faces } = write(HALL, pegLevels);
    expect(faces.front.map(({ text }) => text)).toEqual(['TH-B3', 'PEG 5.918', 'UP 0.332 to FLOOR']);
    expect(faces.left.map(({ text }) => text)).toEqual(['FIN 6.250']);
  });
  it('of a grid and of steel has what belongs there', () => {
    expect(stakeTextOf(write(HALL, buildingGrid).faces)).toEqual(
      expect.arrayContaining(['Ticket hall', 'within 6 / 5 mm', 'to B3, OUT F']),
    );
    expect(stakeTextOf(write({ ...HALL, offset: 0, point: 'crossing' }, steelMarks).faces)).toContain(
      'figures start at the crossing of the lines',
    );
  });
  it('can be in another language from its first to its last word', () => {
    const spanish: StakeConvention = { ...plainWords, languages: ['es'], cut: 'CORTE', fill: 'RELLENO' };
    expect(write(HALL, spanish).faces.front.map(({ text }) => text)).toEqual([
      '2.004 m distancia',
      'a B3, cara exterior',
      'RELLENO 0.332 m a piso terminado',
    ]);
  });
});

describe('what is noticed', () => {
  it('letters with two meanings, with the word to write instead', () => {
    const bc: StakeConvention = {
      ...kerbFace,
      abbreviations: [{ term: 'back', short: 'B.C.' }],
      usual: { offsetTo: [], heightTo: [] },
    };
    const back = { ...KERB, road: { ...KERB.road!, to: 'left kerb.back' } };
    expect(write(back, bc).notices).toContainEqual({
      code: 'AMBIGUOUS',
      short: 'B.C.',
      term: 'back',
      meanings: ['begin of curve', 'back of curb', 'bottom of curb'],
      better: 'back of curb',
    });
    expect(write(KERB, bc).notices.map(({ code }) => code)).not.toContain('AMBIGUOUS');
    expect(otherReadings('O/S')).toEqual([]);
  });
  it('a figure that is rounded past the tolerance', () => {
    const tenth = write({ ...HALL, cutFill: 0.332 }, plainWords, 'tenth');
    expect(tenth.notices).toContainEqual({
      code: 'ROUNDED',
      figure: '0.3',
      exact: 0.332,
      by: expect.closeTo(0.032, 9),
      tolerance: 0.005,
    });
    expect(write({ ...HALL, cutFill: 0.332 }, plainWords, 'hundredth').notices).toEqual([]);
  });
  it('none of the conventions that ship has letters that can be misread, or is at fault', () => {
    for (const convention of Object.values(SHIPPED_CONVENTIONS)) {
      expect(conventionFaults(convention)).toEqual([]);
      for (const { short } of convention.abbreviations) expect([short, otherReadings(short)]).toEqual([short, []]);
      for (const content of [HALL, KERB])
        expect(
          write(content, convention).notices.filter(({ code }) => code === 'WORD_TOO_LONG' || code === 'NO_ROOM'),
        ).toEqual([]);
    }
  });
});

describe('the room on a lath', () => {
  const line = (text: string) => ({ part: 'name' as const, text, ruled: false, unusual: false });
  const small = { length: 0.2, width: 0.06, inGround: 0.1, letterHeight: 0.01, writing: 'across' as const };

  it('is counted in lines and letters', () => {
    expect(roomOn(small)).toEqual({ lines: 6, characters: 9 });
    expect(roomOn({ ...small, writing: 'along' })).toEqual({ lines: 3, characters: 17 });
  });
  it('is kept: what does not fit goes to a side, and from there to the back, and is told', () => {
    const sides = {
      front: [line('one two'), line('three four five six'), line('seven'), line('eight'), line('nine ten')],
      back: [],
      left: [],
      right: [],
    };
    const { faces, notices } = fitStake(sides, small);
    expect(faces.front.map(({ rows }) => rows)).toEqual([
      ['one two'],
      ['three', 'four five', 'six'],
      ['seven'],
      ['eight'],
    ]);
    expect(faces.right.map(({ text }) => text)).toEqual(['nine ten']);
    expect(notices).toEqual([{ code: 'MOVED', text: 'nine ten', from: 'front', to: 'right' }]);
  });
  it('never loses a line, and says what has no room anywhere', () => {
    const many = Array.from({ length: 40 }, (_, i) => line(`line ${i}`));
    const { faces, notices } = fitStake({ front: many, back: [], left: [], right: [] }, small);
    expect(Object.values(faces).flat()).toHaveLength(40);
    expect(notices.filter(({ code }) => code === 'NO_ROOM')).toHaveLength(40 - 24);
    expect(fitStake({ front: [line('unbreakable')], back: [], left: [], right: [] }, small).notices).toEqual([
      { code: 'WORD_TOO_LONG', text: 'unbreakable', characters: 9 },
    ]);
  });
});

describe('a convention', () => {
  const codes = (change: Partial<StakeConvention>) =>
    conventionFaults({ ...plainWords, ...change }).map(({ code }) => code);
  it('is refused where its stakes could not be read rightly', () => {
    expect(codes({ cut: '−' })).toEqual(['NO_LETTER']);
    expect(codes({ cut: 'Grade', fill: 'GRADE ' })).toEqual(['CUT_IS_FILL']);
    expect(codes({ sides: { ...plainWords.sides, front: [] } })).toEqual(['NOTHING_ON_FRONT']);
    expect(codes({ sides: { ...plainWords.sides, left: [{ part: 'name', ruled: false }] } })).toEqual(['PART_TWICE']);
    expect(
      codes({
        abbreviations: [
          { term: 'back', short: 'BK' },
          { term: 'edge', short: 'bk' },
        ],
      }),
    ).toEqual(['SHORT_TWICE']);
    expect(codes({ lath: { ...plainWords.lath, inGround: 1.2 } })).toEqual(['ALL_IN_GROUND']);
    expect(codes({ lath: { ...plainWords.lath, letterHeight: 0.15 } })).toEqual(['LETTERS_TOO_LARGE']);
  });
});

describe('words on a stake', () => {
  const told = (content: StakeContent, convention: StakeConvention, code: string) =>
    readingSentences(
      { ...SPOT, words: wordsOnStake(content, { convention, unit: 'metre' }) },
      { words: crewWords(code), unit: 'metre', standing: 'held', who: 'Mara' },
    )
      .map(({ text }) => text)
      .find((text) => / = /.test(text));
  it('are explained to who reads other words, and to nobody else', () => {
    expect(told(HALL, plainWords, 'en')).toBeUndefined();
    expect(told(HALL, plainWords, 'es')).toBe(
      'En la estaca dice: offset = distancia; outside face = cara exterior; FILL = RELLENO; finished floor = piso terminado; hub = estaca; design = proyecto.',
    );
    expect(told({ ...HALL, cutFill: 0.12 }, shortForms, 'en')).toBe(
      'On the stake: O/S = offset; FFL = finished floor.',
    );
    expect(told({ ...HALL, cutFill: 0.12 }, { ...plainWords, cut: 'DIG' }, 'en')).toBe('On the stake: DIG = CUT.');
    expect(told(KERB, kerbFace, 'en')).toMatch(/= face of curb; .*= top of curb/);
    expect(told({ ...HALL, offset: 0, offsetAsSet: 0, cutFill: null }, shortForms, 'en')).toBeUndefined();
  });
});

describe('the languages', () => {
  const braces = (text: string) => [...text.matchAll(/\{(\w+)\}/g)].map(([, name]) => name!).sort();
  const leaves = (table: object, path = ''): [string, string][] =>
    Object.entries(table).flatMap(([key, value]) =>
      typeof value === 'string'
        ? [[`${path}/${key}`, value] as [string, string]]
        : leaves(value as object, `${path}/${key}`),
    );

  it('say the same figures in every sentence, and nothing is left empty', () => {
    const [english, ...others] = allLanguages() as readonly [CrewWords, ...CrewWords[]];
    const first = new Map(leaves(english));
    expect(others.length).toBeGreaterThan(0);
    for (const table of others)
      for (const [path, text] of leaves(table)) {
        expect(text.trim()).not.toBe('');
        // English has no list of its own colours.
        if (path.includes('colours')) continue;
        expect([table.code, path, new Set(braces(text))]).toEqual([
          table.code,
          path,
          new Set(braces(first.get(path)!)),
        ]);
      }
  });
  it('name the colours of the shipped conventions, and leave what was typed otherwise', () => {
    const spanish = crewWords('es');
    const shipped = Object.values(SHIPPED_CONVENTIONS).flatMap((each) =>
      each.colours.flatMap(({ ribbon, paint }) => [ribbon, paint].filter(Boolean)),
    );
    expect(shipped.filter((each) => !(each in spanish.reading.colours))).toEqual([]);
    const said = (ribbon: string) =>
      readingSentences(
        { ...SPOT, colours: { ribbon, paint: '' } },
        { words: spanish, unit: 'metre', standing: 'held', who: 'Mara' },
      ).map(({ text }) => text);
    expect(said('Orange ')).toContain('Cinta: naranja. Pintura: –.');
    expect(said('teal stripes')).toContain('Cinta: teal stripes. Pintura: –.');
  });
});

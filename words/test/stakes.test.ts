/** What is written on a stake, under each of the conventions that ship and under one that was adapted. */
import { describe, expect, it } from '@jest/globals';
import {
  conventionFaults,
  fitStake,
  openSides,
  roomOn,
  rowsOf,
  SHIPPED_CONVENTIONS,
  STATION_TERMS,
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
/** A kerb that is let down for a driveway, where a curve begins. */
const DROPPED: StakeContent = {
  ...KERB,
  road: {
    ...KERB.road!,
    why: 'curve begins, curb height 0.150 m to 0.025 m in the next 2.000 m',
    reasons: [{ words: 'curve begins', term: 'curveBegins' }],
    transitions: [{ kerb: 'left kerb', part: 'top', from: 0.15, to: 0.025, over: 2, here: 'begins' }],
    displayed: 1040.2536,
  },
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
      // The kerb is named once.
      'CUT 0.13 to TOP K',
      'curve begins',
    ]);
    const back = { ...KERB, road: { ...KERB.road!, to: 'left kerb.back', gradeTo: 'left kerb.back' } };
    expect(
      write(back, kerbBack)
        .faces.front.map(({ text }) => text)
        .slice(0, 3),
    ).toEqual(['0+040 Landing Road', '1.00 O/S', 'to BACK K left kerb']);
  });
  it('says at a transition from which height to which over what length, whatever heights are rounded to', () => {
    expect(write(DROPPED, kerbFace).faces.back.map(({ text }) => text)).toContain(
      'K HT 0.150 to 0.025 in the next 2.00',
    );
    expect(stakeTextOf(write(DROPPED, plainWords).faces)).toEqual(
      expect.arrayContaining(['curve begins', 'curb height 0.150 m to 0.025 m in the next 2.000 m']),
    );
    const [change] = DROPPED.road!.transitions!;
    const at = (part: Partial<typeof change>) => ({
      ...DROPPED,
      road: { ...DROPPED.road!, transitions: [{ ...change!, ...part }] },
    });
    expect(stakeTextOf(write(at({ here: 'ends', part: 'back' }), plainWords).faces)).toContain(
      'curb height at the back 0.150 m to 0.025 m in the last 2.000 m',
    );
    expect(stakeTextOf(write(at({ here: 'steps', over: 0 }), plainWords).faces)).toContain(
      'curb height steps from 0.150 m to 0.025 m',
    );
  });
  it('has a short form for what changes in every convention, with one meaning, and the words of its language', () => {
    for (const convention of Object.values(SHIPPED_CONVENTIONS)) {
      const forms = STATION_TERMS.map((term) => convention.abbreviations.find((each) => each.term === term)?.short);
      expect(new Set(forms).size).toBe(STATION_TERMS.length);
      for (const short of forms) expect(otherReadings(short!)).toEqual([]);
    }
    expect(stakeTextOf(write(DROPPED, kerbFace).faces)).toContain('BEG CRV');
    expect(wordsOnStake(DROPPED, { convention: kerbFace, unit: 'metre' })).toContainEqual({
      word: 'BEG CRV',
      means: 'curveBegins',
    });
    expect(stakeTextOf(write(DROPPED, { ...plainWords, languages: ['es'] }).faces)).toContain('empieza la curva');
  });
  it('gives the station as finely as offsets are written, in the form of the site', () => {
    expect(stakeTextOf(write(DROPPED, kerbFace).faces)).toContain('1+040.25 Landing Road');
    expect(stakeTextOf(write(DROPPED, plainWords).faces)).toContain('1+040.254 Landing Road');
    expect(
      stakeTextOf(writtenStake(DROPPED, { convention: kerbFace, unit: 'metre', stations: 'hundred' }).faces),
    ).toContain('10+40.25 Landing Road');
    // Of what was kept before there is the name alone.
    expect(stakeTextOf(write(KERB, kerbFace).faces)).toContain('0+040 Landing Road');
  });
  it('on a point says no more than that, and beyond the end of a wall says so', () => {
    const point = { ...HALL, to: 'P1', meaning: 'centre' as const, offset: 0, offsetAsSet: 0 };
    expect(stakeTextOf(write(point, plainWords).faces)).toContain('on P1');
    const peg = { ...HALL, to: 'W1', meaning: 'wallCentre' as const, offset: 0.5, offsetAsSet: 0.5, beyond: true };
    expect(stakeTextOf(write(peg, plainWords).faces).slice(0, 2)).toEqual([
      '0.500 m offset',
      'beyond W1, center of wall',
    ]);
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
    expect(rowsOf(faces.front, small).map((row) => row.map(({ text }) => text))).toEqual([
      ['one two'],
      ['three'],
      ['four five'],
      ['six'],
      ['seven'],
      ['eight'],
    ]);
    expect(faces.back.map(({ text }) => text)).toEqual(['nine ten']);
    expect(notices).toEqual([{ code: 'MOVED', text: 'nine ten', from: 'front', to: 'back' }]);
  });
  it('along a lath is shared by several lines, a stroke between them', () => {
    const along = { ...small, length: 0.31, writing: 'along' as const };
    expect(roomOn(along)).toEqual({ lines: 3, characters: 37 });
    const lines = ['one two', 'three four', 'five six seven', 'eight nine ten eleven', 'twelve'].map(line);
    expect(rowsOf(lines, along).map((row) => row.map(({ text }) => text))).toEqual([
      ['one two', 'three four', 'five six seven'],
      ['eight nine ten eleven', 'twelve'],
    ]);
    expect(fitStake({ front: lines, back: [], left: [], right: [] }, along).notices).toEqual([]);
  });
  it('is not looked for on the edge of a lath or behind a surface, where nothing can be written', () => {
    const many = Array.from({ length: 8 }, (_, i) => line(`line ${i}`));
    const sides = { front: many, back: many.slice(0, 6), left: [], right: [] };
    const lath = fitStake(sides, small, openSides({ carrier: 'lath', sides }));
    expect(lath.notices.map(({ code }) => code)).toEqual(['NO_ROOM', 'NO_ROOM']);
    const peg = fitStake(sides, small, openSides({ carrier: 'peg', sides }));
    expect(peg.notices.map(({ code }) => code)).toEqual(['MOVED', 'MOVED']);
    expect(openSides({ carrier: 'surface', sides: { ...sides, back: [] } })).toEqual(['front']);
  });
  it('is counted for letters that are read at arm’s length in every convention that ships', () => {
    for (const { lath } of Object.values(SHIPPED_CONVENTIONS)) expect(lath.letterHeight).toBe(0.02);
    for (const convention of [kerbFace, kerbBack, plainWords, shortForms]) {
      const { faces, notices } = write(DROPPED, convention);
      expect(notices.filter(({ code }) => code === 'NO_ROOM' || code === 'WORD_TOO_LONG')).toEqual([]);
      // What is built from stays in front.
      expect(faces.front.map(({ part }) => part)).toEqual(expect.arrayContaining(['offset', 'to', 'cutFill']));
    }
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

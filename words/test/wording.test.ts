/** The two presets of wording, and words of a site's own. */
import { afterEach, describe, expect, it } from '@jest/globals';
import { IntlMessageFormat } from 'intl-messageformat';
import { BRITISH_MESSAGES } from '../src/messages/british/index.ts';
import { MESSAGES } from '../src/messages/index.ts';
import {
  BRITISH,
  crewWords,
  drawingUnitWords,
  heightReferenceWords,
  msg,
  NORTH_AMERICAN,
  presetText,
  sayIn,
  wordingKey,
  worded,
} from '../src/index.ts';

type Table = Readonly<Record<string, string>>;
const WHOLE = Object.entries(MESSAGES).flatMap(([table, texts]) =>
  Object.entries(texts as Table).map(([name, text]) => ({ key: `${table}.${name}`, text })),
);
const OTHERWISE = Object.entries(BRITISH_MESSAGES).flatMap(([table, texts]) =>
  Object.entries(texts as Table).map(([name, text]) => ({ key: `${table}.${name}`, text })),
);

type Element = ReturnType<IntlMessageFormat['getAst']>[number];
const ARGUMENT = 1;
/** The values that a text asks for, those within its plurals too. */
const asked = (elements: readonly Element[]): string[] =>
  elements.flatMap((element) => {
    if ('options' in element)
      return [element.value, ...Object.values(element.options).flatMap(({ value }) => asked(value))];
    return (element.type as number) === ARGUMENT && 'value' in element ? [element.value] : [];
  });
const formatOf = (text: string) => new IntlMessageFormat(text, 'en', undefined, { ignoreTag: true });
const valuesOf = (text: string): string[] => [...new Set(asked(formatOf(text).getAst()))].sort();
/** What a person reads of a text, without the names of its values and what is quoted from a file or a field. */
const said = (text: string): string => text.replace(/\{\w+(, (plural|select),)?/g, ' ').replace(/“[^”]*”/g, ' ');

/** Words that tell the presets apart, as what is typed and cited in syntax of its own is written. */
const SYNTAX =
  /^(design\.(oneALine|intersectionPoints|needsTheRadius|beginsWith|hasWhichIsNeither)|landXml\.|frame\.place|presets\.|schools\.|site\.chainage|equipment\.inThisAir)/;
const BRITISH_SPELLING =
  /\b\w*(colour|metre(?!d)|centre|centring|kerb|grey|levell|cancell|labell(?!ed, )|towards|neighbour|behaviour|favour|recognis|organis|minimis|maximis|optimis|programme\b|aluminium|licence|travell|modell|practis|judgement|chainage)\w*/i;
const AMERICAN_WORDS =
  /\b(\w*(color|center|gray|leveled|leveling|canceled|neighbor|recogniz|organiz)\w*|(milli|centi|deci|micro|kilo)?meters?|toward|elevations?|hubs?|laths?|curbs?|shots?|shoot|azimuths?|benchmarks?|slope stakes?|layout points?|spirals?)\b/i;

/** All texts of a table of the crew's words, whose values stand in plain braces. */
const textsOf = (table: object): string[] =>
  Object.values(table).flatMap((each: string | object) =>
    typeof each === 'string' ? [each.replace(/\{\w+\}/g, '')] : textsOf(each),
  );

afterEach(() => sayIn(NORTH_AMERICAN));

describe('the two presets', () => {
  it('have every message, asking for the same values', () => {
    expect(WHOLE.length).toBeGreaterThan(4000);
    expect(OTHERWISE.length).toBeGreaterThan(500);
    for (const { key, text } of OTHERWISE) {
      const whole = presetText(key, 'northAmerican');
      expect([key, valuesOf(text)]).toEqual([key, valuesOf(whole)]);
      expect([key, text]).not.toEqual([key, whole]);
    }
    for (const { key } of WHOLE)
      for (const preset of ['northAmerican', 'british'] as const)
        expect(() => formatOf(presetText(key, preset))).not.toThrow();
  });
  it('are each spelled in one way, and call each thing by one of its names', () => {
    const wrong = (preset: 'northAmerican' | 'british', never: RegExp) =>
      WHOLE.filter(({ key }) => !SYNTAX.test(key))
        .map(({ key }) => [key, said(presetText(key, preset))] as const)
        .filter(([, text]) => never.test(text));
    expect(wrong('northAmerican', BRITISH_SPELLING)).toEqual([]);
    expect(wrong('british', AMERICAN_WORDS)).toEqual([]);
  });
  it('tell themselves apart by the words of each, whichever stands', () => {
    expect(OTHERWISE.filter(({ key }) => key.startsWith('presets.'))).toEqual([]);
    expect(presetText('presets.northAmericanAbout', 'british')).toContain('hub, lath, station, elevation');
  });
  it('spell the units of drawings, which are kept in one spelling', () => {
    expect(['metres', 'millimetres', 'US survey feet'].map(drawingUnitWords)).toEqual([
      'meters',
      'millimeters',
      'US survey feet',
    ]);
    sayIn(BRITISH);
    expect(drawingUnitWords('millimetres')).toBe('millimetres');
  });
  it('go through the words of the crew, whose Spanish stays', () => {
    expect(crewWords('en').onGrade).toBe('ON GRADE');
    sayIn(BRITISH);
    const british = crewWords('en');
    expect([british.onGrade, british.term.station, british.point.hubCentre]).toEqual([
      'ON LEVEL',
      'chainage',
      'centre of the peg',
    ]);
    expect(british.term.topOfKerb).toBe(heightReferenceWords().topOfKerb);
    expect(textsOf(british).filter((text) => AMERICAN_WORDS.test(said(text)))).toEqual([]);
    expect(crewWords('es').term.hub).toBe('estaca');
    sayIn(NORTH_AMERICAN);
    expect(textsOf(crewWords('en')).filter((text) => BRITISH_SPELLING.test(said(text)))).toEqual([]);
  });
});

describe('labels', () => {
  /** A label is a word or a few, without an end of a sentence. */
  const labels = WHOLE.filter(({ text }) => text.split(' ').length < 9 && !/[.?!:…]$/.test(text));
  it('stand by themselves: none begins with a pronoun or asks its field to complete it', () => {
    const allowed = new Set([
      'handover.itsStationComputedAgainHeight',
      'judgement.itWas',
      'judgement.theyWereReadInFeet',
      'judgement.theyWereReadInMetres',
      'pole.itIsReadTo',
      'today.itStands',
      'today.theyStand',
    ]);
    const begins = /^(It|Its|Where|Whom|Off it|They|Who|To what|Of it|Off by)\b/;
    expect(labels.filter(({ key, text }) => begins.test(text) && !allowed.has(key))).toEqual([]);
  });
  it('are none of those that nobody on a site says', () => {
    const banned = [
      'How it will be known where it stands',
      'Circle there',
      'To what',
      'Judge it for',
      'Take it up again',
      'A control mark of one’s own',
      'It was',
      'They were taken from',
      'Without',
      'Good to',
      'Others within',
      'Still shows',
      'Instead of a level: how far?',
      'For the station it is',
      'It is',
      'They meet twice; it is the',
      'Off by',
      'from line',
      'toward line',
      'A touch picks',
      'Take the last back',
      'Take them',
      'The toe lies toward, from north',
      'Down for 1 to the side',
      'The marked line lies',
      'of the given one',
      'by the',
      'Cut and fill also to',
      'which lies',
      'of the design height',
      'Its way',
      'Where its stations jump',
      'Belongs to it, each side',
      'Offset is measured to',
      'Hubs off it by',
      'on its',
      'It touches',
      'Heights of',
      'The way round goes',
      'Off it by',
      'to the',
      'Then every',
      'It starts at',
      'and runs to the',
      'The ground is',
      'It runs',
      'Wanted along',
      'and off',
      'The face looks',
      'Lean too',
      'Asked',
      'It states for plan, mm',
      'It is proved for work of class',
      'Grid distance over ground distance',
      'Heights are counted from',
      'A proof lasts',
      'Made for air of, °C',
      'Bubble good to, arc minutes',
      'Handed over, and not as it was',
      'Whom it says to ask',
      'It stays open for',
      'For who comes next',
      'Of it in the ground',
      'Its front',
      'What stands where',
    ].map((label) => label.toLowerCase());
    expect(WHOLE.filter(({ text }) => banned.includes(text.toLowerCase()))).toEqual([]);
  });
});

describe('words of a site’s own', () => {
  const textOf = (key: string): string => msg(key as 'pole.saveShot');
  const own = (preset: 'northAmerican' | 'british', words: NonNullable<typeof NORTH_AMERICAN.own>) =>
    sayIn({ preset, own: words });
  it('stand in the place of the preset’s, in one and in many, with their article', () => {
    own('northAmerican', { hub: 'iron pin' });
    expect(textOf('pole.bothArmsUpTheShotIsTaken')).toBe('Both arms up. The shot is taken: drive the iron pin.');
    expect(textOf('cautions.ifAHubIsLeaningLowOr')).toBe(
      'If an iron pin is leaning, low or gone, don’t guess: report it.',
    );
    own('northAmerican', { hub: 'post' });
    expect(textOf('pole.paintAllRoughlyFirst')).toBe('Paint all first, posts later');
  });
  it('are looked for where the thing is meant: a station of the road, and not of the instrument', () => {
    own('northAmerican', { along: 'chainage' });
    expect(textOf('packages.andAtTheseStations')).toBe('Extra chainages');
    expect(textOf('common.stationTheInstrumentFirst')).toBe('Station the instrument first');
    own('british', { elevation: 'height' });
    expect(textOf('common.level')).toBe('Level');
    expect(textOf('design.heightOfTheHeads')).toBe('Pile cut-off height');
  });
  it('leave “check shot” alone where the single shot is called otherwise', () => {
    own('northAmerican', { shot: 'observation' });
    expect(textOf('pole.saveShot')).toBe('Save observation');
    expect(textOf('common.proofs')).toBe('Check shots');
  });
  it('keep by the wording what is put together from messages', () => {
    const table = worded(() => textOf('pole.saveShot'));
    expect(table()).toBe('Save shot');
    sayIn(BRITISH);
    expect(table()).toBe('Save reading');
    sayIn(NORTH_AMERICAN);
    expect(table()).toBe('Save shot');
    expect(wordingKey({ preset: 'british', own: { hub: ' ' } })).toBe(wordingKey(BRITISH));
  });
});

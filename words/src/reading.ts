/** How one stake is read, in sentences of the crew's language. */
import {
  CENTRELINE,
  kerbPartOf,
  type LengthUnit,
  type Metres,
  type ReadHeight,
  type Standing,
  type StakeReading,
} from '@idle-marker/core';
import { filled, type CrewWords } from './languages/index.ts';
import { isNothing, writtenLength } from './rounding.ts';
import { unitAbbreviationWords } from './vocabulary.ts';
import { toleranceFigures } from './small.ts';

export interface ReadingSentence {
  /** A warning stands apart from the steps; below them what the words on the stake mean, and all else. */
  readonly kind: 'warning' | 'step' | 'words' | 'note';
  readonly text: string;
}

/** Figure with its unit, rounded as this crew reads it. */
export const readLength = (
  metres: Metres,
  unit: LengthUnit,
  rounding: StakeReading['rounding'],
  of: 'offset' | 'height',
): string =>
  `${writtenLength(Math.abs(metres), unit, rounding[of])}${rounding[of] === 'sixteenth' ? '' : ` ${unitAbbreviationWords()[unit]}`}`;

/** What a line of a road is called, as an offset leads to it or as a height does. */
function stringName(string: string, words: CrewWords, as: 'partOf' | 'gradeOf'): string {
  if (string === CENTRELINE) return words.term.centreline;
  const part = kerbPartOf(string);
  return part === null ? string : filled(words.line[as][part], { name: string.replace(/\.\w+$/, '') });
}

/** What the offset leads to. */
export const offsetThing = ({ string, meaning }: StakeReading, words: CrewWords): string =>
  string === null ? words.term[meaning] : stringName(string, words, 'partOf');
export const heightThing = ({ string, reference }: ReadHeight, words: CrewWords): string =>
  string === null ? words.term[reference] : stringName(string, words, 'gradeOf');

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

export interface ReadingAsked {
  readonly words: CrewWords;
  readonly unit: LengthUnit;
  readonly standing: Standing | 'destroyed';
  /** Whom the crew has to ask. */
  readonly who: string;
}

/** The sentences in the order in which they are followed: warnings, steps, notes. */
export function readingSentences(
  reading: StakeReading,
  { words, unit, standing, who }: ReadingAsked,
): ReadingSentence[] {
  const { reading: form } = words;
  const colour = (typed: string): string => form.colours[typed.trim().toLowerCase()] ?? (typed || '–');
  const point = words.point[reading.point];
  const said = (
    kind: ReadingSentence['kind'],
    template: string,
    facts: Readonly<Record<string, string>> = {},
  ): ReadingSentence => ({
    kind,
    text: filled(template, { name: reading.name, point, who, ...facts }),
  });
  const sentences: ReadingSentence[] = [];
  if (standing === 'inDoubt' || standing === 'destroyed') sentences.push(said('warning', form.inDoubt));
  else if (standing === 'unproven') sentences.push(said('warning', form.notProven));
  for (const { what, usual } of reading.unusual)
    sentences.push(
      said('warning', form.unusual, {
        what: words.term[what],
        usual: usual.map((term) => words.term[term]).join(' / '),
      }),
    );
  sentences.push(said('step', form.start[reading.carrier]), levelStep(reading, said, words, unit));
  for (const height of reading.heights) {
    const what = capital(heightThing(height, words));
    if (isNothing(height.cutFill, unit, reading.rounding.height)) sentences.push(said('step', form.same, { what }));
    else
      sentences.push(
        said('step', height.cutFill > 0 ? form.lower : form.higher, {
          what,
          length: readLength(height.cutFill, unit, reading.rounding, 'height'),
        }),
      );
  }
  if (reading.heights.length === 0) sentences.push(said('step', form.noHeight));
  const meant = (reading.words ?? []).flatMap(({ word, means }) => {
    const own = means === 'cut' || means === 'fill' || means === 'onGrade' ? words[means] : words.term[means];
    return own.toLowerCase() === word.toLowerCase() ? [] : [`${word} = ${own}`];
  });
  if (meant.length > 0) sentences.push(said('words', form.onStake, { words: meant.join('; ') }));
  if (reading.tolerance) sentences.push(said('note', form.tolerance, toleranceFigures(reading.tolerance, unit)));
  if (reading.carrier === 'lath') sentences.push(said('note', form.facing[reading.facing]));
  if (reading.colours && (reading.colours.ribbon || reading.colours.paint))
    sentences.push(
      said('note', form.ribbon, { ribbon: colour(reading.colours.ribbon), paint: colour(reading.colours.paint) }),
    );
  return sentences;
}

function levelStep(
  reading: StakeReading,
  said: (kind: 'step', template: string, facts: Readonly<Record<string, string>>) => ReadingSentence,
  words: CrewWords,
  unit: LengthUnit,
): ReadingSentence {
  const { reach, to } = reading;
  const { reading: form } = words;
  const what = offsetThing(reading, words);
  const length = readLength(reading.offset, unit, reading.rounding, 'offset');
  switch (reach.way) {
    case 'face':
      return said('step', form.squareToFace, { length, from: reach.from, until: reach.until, what: `${to}, ${what}` });
    case 'line':
      return said('step', form.alongLine, { length, from: reach.from, until: reach.until, to, what });
    case 'straight':
      return said('step', form.straight, { length, to, what });
    case 'road':
      if (reach.angle?.part === 'inside')
        return said('step', form.inside, {
          length,
          corner: readLength(reach.angle.toCorner, unit, reading.rounding, 'offset'),
        });
      return said('step', form.squareToRoad, {
        length,
        side: form.side[reach.side === 'left' ? 'right' : 'left'],
        what: `${what}, ${to}`,
      });
    case 'on':
      return reading.string === null
        ? said('step', form.stands, { to, what })
        : said('step', form.standsOnString, { what: `${what}, ${to}` });
  }
}

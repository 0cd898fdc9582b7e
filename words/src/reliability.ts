/** Sentences about what could be wrong with a station without being noticed. */
import {
  compassWord,
  lengthFromMetres,
  type Checkability,
  type Explanation,
  type HeightReliability,
  type LengthUnit,
  type Radians,
  type Spread,
  type Unnoticed,
} from '@idle-marker/core';
import type { Naming } from './judgement.ts';
import { listOf } from './lists.ts';
import { smallLength } from './small.ts';

/** What holds of a station by its own sights: the same words on the page, in the dialog and on every sheet. */
export const CHECKABILITY_WORDS: Readonly<Record<Checkability, { readonly title: string; readonly text: string }>> = {
  unchecked: { title: 'Unchecked', text: 'A mistake that matters could go unseen.' },
  checked: { title: 'Checked', text: 'A mistake that matters would show, though not always whose it is.' },
  traceable: { title: 'Checked, and traceable', text: 'A mistake that matters would show, and one bad mark could be named.' },
};

/** What follows from it for whoever accepts it. */
export const ACCEPT_WORDS: Readonly<Record<Checkability, string>> = {
  unchecked: 'Sight one mark more, or prove it on one that it did not use before the first stake: until then everything set from it is called unchecked.',
  checked: 'Prove it on a mark that was not used, before the first stake.',
  traceable: 'Prove it on a mark that was not used, before the first stake.',
};

/** What one more sight would make of the station. */
export const ADDS: Readonly<Record<Checkability, string>> = {
  unchecked: 'a mistake that matters could still go unseen',
  checked: 'a mistake that matters would show',
  traceable: 'one bad mark would show, and could be named',
};

/** A length that nobody needs to the millimetre: "12 mm", "0.95 m", "1.7 m"; "0.04 ft", "5.6 ft". */
export function aboutLength(metres: number, unit: LengthUnit): string {
  const size = Math.abs(metres);
  if (unit === 'metre') return size < 0.5 ? `${Math.max(1, Math.round(size * 1000))} mm` : `${size.toFixed(size < 1 ? 2 : size < 10 ? 1 : 0)} m`;
  const feet = lengthFromMetres(size, unit);
  return `${feet.toFixed(feet < 0.1 ? 3 : feet < 1 ? 2 : 1)} ft`;
}

/** What a station is good to; null where nothing bounds it. */
export const goodToWords = (metres: number | null, unit: LengthUnit): string => (metres === null ? 'can’t be said' : smallLength(metres, unit));

/** Both ends of a line on the ground: "north-east or south-west". */
export const eitherWay = (azimuth: Radians): string => `${compassWord(azimuth)} or ${compassWord(azimuth + Math.PI)}`;

/** What it is that could be wrong. */
export function unnoticedSubject({ fault, names }: Unnoticed, naming: Naming): string {
  switch (fault) {
    case 'PLACE':
      return listOf(names.map((name) => naming.nameOf(name)));
    case 'LINE':
      return `the sight to ${names[0] ?? 'a line'}`;
    case 'PRISM_CONSTANT':
      return 'the prism constant';
    case 'SCALE':
      return 'the scale of all distances';
  }
}

/** How much of it would go unseen: "a shift of up to 1.7 m", "any shift". */
function unseenSize({ fault, noticed, names, blind }: Unnoticed, { unit }: Naming): string {
  const several = names.length > 2 ? ' of all together' : names.length > 1 ? ' of both together' : '';
  const way = blind === null ? '' : `, least seen to the ${eitherWay(blind)},`;
  switch (fault) {
    case 'PLACE':
      return noticed === null ? `a shift of any size${several}${way}` : `a shift${several} of up to ${aboutLength(noticed, unit)}${way}`;
    case 'LINE':
      return noticed === null ? 'standing beside the line by any distance' : `standing up to ${aboutLength(noticed, unit)} beside the line`;
    case 'PRISM_CONSTANT':
      return noticed === null ? 'a wrong constant of any size' : `a constant that is wrong by up to ${aboutLength(noticed, unit)}`;
    case 'SCALE':
      return noticed === null ? 'a wrong scale of any size' : `a scale that is wrong by up to ${Math.round(noticed * 1e6)} ppm`;
  }
}

/** "A shift of up to 1.7 m would go unseen and put this station 0.95 m off." */
export function unnoticedWords(of: Unnoticed, naming: Naming, what = of.at === 'work' ? 'what is set from here up to' : 'this station'): string {
  const size = unseenSize(of, naming);
  const unseen = `${size.charAt(0).toUpperCase()}${size.slice(1)} would go unseen`;
  return of.effect === null ? `${unseen}.` : `${unseen} and put ${what} ${aboutLength(of.effect, naming.unit)} off.`;
}

const isAre = (of: Unnoticed): string => (of.fault === 'PLACE' && of.names.length > 1 ? 'are' : 'is');
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "C is hardly checked." */
export const hardlyChecked = (of: Unnoticed, naming: Naming): string => `${capital(unnoticedSubject(of, naming))} ${isAre(of)} hardly checked`;
export const partlyChecked = (of: Unnoticed, naming: Naming): string => `${capital(unnoticedSubject(of, naming))} ${isAre(of)} checked only in part`;

/** An explanation as a condition: "if K2 moved". */
export function ifWords({ code, points }: Explanation, naming: Naming): string {
  const name = naming.nameOf(points[0] ?? '');
  switch (code) {
    case 'NONE':
      return 'if nothing is wrong';
    case 'MARK_MOVED_PLAN':
      return `if ${listOf(points.map((point) => naming.nameOf(point)))} moved`;
    case 'MARK_MOVED_HEIGHT':
      return `if ${name} moved in height`;
    case 'TARGET_HEIGHT':
      return `if the target height at ${name} is wrong`;
    case 'POINTS_SWAPPED':
      return `if ${listOf(points.map((point) => naming.nameOf(point)))} were exchanged`;
    case 'POINT_MISNAMED':
      return `if ${name} was ${naming.nameOf(points[1] ?? '')}`;
    case 'PRISM_CONSTANT':
      return 'if the prism constant is wrong';
    case 'LENGTH_UNIT':
      return 'if the unit is wrong';
    case 'SCALE':
      return 'if the scale is wrong';
    case 'DIRECTION_READING':
      return `if the direction to ${name} was misread`;
  }
}

/** So many possibilities are told one by one. */
const TOLD = 3;

/** What a station is good to while it can't be told what is wrong: "good to 31 mm at best: 31 mm if K3 moved, 4 mm if K2 moved". */
export function spreadWords({ goodTo, under }: Spread, naming: Naming): string {
  if (goodTo === null) return 'Until that is known nothing bounds what this station is off by: two places can’t tell. Sight a third.';
  const each = under.slice(0, TOLD).map(({ explanation, off }) => `${aboutLength(off, naming.unit)} ${ifWords(explanation, naming)}`);
  return `Until that is known this station is good to no better than ${smallLength(goodTo, naming.unit)}: it is off by ${each.join(', ')}.`;
}

const STATE_SAID: Readonly<Record<Checkability, string>> = { unchecked: 'unchecked', checked: 'checked', traceable: 'traceable' };

/** How a station was called when it was decided on by rules of before, beside what it is called now. */
export const thenWords = (then: Checkability, now: Checkability): string =>
  then === now ? `The same by the rules of then.` : `By the rules of then it was called ${STATE_SAID[then]}.`;

/** So many marks are named in the order in which to sight them. */
const NAMED = 12;

interface Fallen {
  readonly station: string;
  readonly worst: Unnoticed | null;
  /** Marks set from it, and of these the ones that nothing holds, in the order in which to sight them. */
  readonly set: number;
  readonly again: readonly string[];
  /** The instrument stands there still. */
  readonly inForce: boolean;
}

/** A station that was called checked and is not: why, and which marks to sight again. */
export function fallenWords(
  { station, worst, set, again, inForce }: Fallen,
  naming: Naming,
): { readonly title: string; readonly text: string; readonly todo: string } {
  const rest = again.length - NAMED;
  const names = `${again.slice(0, NAMED).join(', ')}${rest > 0 ? `, and ${rest} more` : ''}`;
  const hold = inForce ? 'The instrument stands there still: sight another mark from it, or prove it on one that it did not use. ' : '';
  const subject = worst && capital(unnoticedSubject(worst, naming));
  return {
    title: `${station} is not checked by the rules of today`,
    text: `It was accepted as checked, by the rules of then. ${worst ? `${subject}: ${unnoticedWords(worst, naming, worst.at === 'work' ? 'what was set from it up to' : 'it')}` : 'Nothing tests it.'}`,
    todo:
      again.length > 0
        ? `${hold}${hold ? 'Else' : 'Not held:'} sight again from a station that is checked, in this order: ${names}.`
        : set > 0
          ? 'All that was set from it is held by other evidence: nothing has to be done.'
          : inForce
            ? `${hold.trimEnd()} Nothing has been set from it yet.`
            : 'Nothing that stands was set from it: nothing has to be done.',
  };
}

/** What a sheet says of a station's check: "unchecked: up to 0.95 m could be hidden in it". */
export function sheetCheckWords(
  { checkability, fell, hiddenMm }: { readonly checkability: Checkability; readonly fell: boolean; readonly hiddenMm: number | null },
  unit: LengthUnit,
): string {
  const hidden = hiddenMm === null ? 'a mistake of any size could be hidden in it' : `up to ${aboutLength(hiddenMm / 1000, unit)} could be hidden in it`;
  if (fell) return `called checked by the rules of then, unchecked by those of today: ${hidden}`;
  return checkability === 'unchecked' ? `unchecked: ${hidden}` : `${STATE_SAID[checkability]} by its own sights`;
}

/** What of a height from benchmarks could be wrong unseen: "A wrong spot or figure at BM1 shows from 9 mm on; up to 4 mm of it could hide in every height." */
export function heightCheckWords({ state, unnoticed: [worst] }: HeightReliability, naming: Naming): string {
  if (!worst || worst.noticed === null || worst.effect === null) {
    return 'They stand on one place: a wrong figure there, or a post that sank, shows nowhere. Sight a benchmark that stands elsewhere.';
  }
  const name = listOf(worst.names.map((each) => naming.nameOf(each)));
  const sentence = `A wrong spot or figure at ${name} shows from ${aboutLength(worst.noticed, naming.unit)} on; below that up to ${aboutLength(worst.effect, naming.unit)} could hide in every height.`;
  return state === 'unchecked' ? `${sentence} That is too much: sight another benchmark.` : sentence;
}

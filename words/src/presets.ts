/** The presets of wording, and the words in them that a site can replace, as they are chosen from. */
import { msg, worded } from './message.ts';
import type { InchFraction, Preset, Term } from './wording.ts';

export const presetWords = worded((): Readonly<Record<Preset, { readonly title: string; readonly about: string }>> => ({
  northAmerican: { title: msg('presets.northAmerican'), about: msg('presets.northAmericanAbout') },
  british: { title: msg('presets.british'), about: msg('presets.britishAbout') },
}));

/** What each word that can be replaced stands for. */
export const termWords = worded((): Readonly<Record<Term, string>> => ({
  hub: msg('presets.hub'),
  lath: msg('presets.lath'),
  along: msg('presets.along'),
  elevation: msg('presets.elevation'),
  benchmark: msg('presets.benchmark'),
  shot: msg('presets.shot'),
  checkShot: msg('presets.checkShot'),
  curb: msg('presets.curb'),
  azimuth: msg('presets.azimuth'),
  grade: msg('presets.grade'),
}));

/** What tolerances, residuals and moves are said in on a site in feet. */
export const smallLengthChoices = worded((): Readonly<Record<InchFraction | 'decimal', string>> => ({
  decimal: msg('presets.decimalFeet'),
  sixteenth: msg('presets.inchesToTheSixteenth'),
  thirtySecond: msg('presets.inchesToTheThirtySecond'),
}));

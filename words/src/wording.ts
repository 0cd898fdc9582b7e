/**
 * The wording of a site: one of two presets, each a table of messages, and single words of its own in their place. What
 * asks for a message asks in the wording that stands then: a page shows one site, a server writes for one request.
 */

/** North American tables are whole; British and Commonwealth ones have what differs from them. */
export const PRESETS = ['northAmerican', 'british'] as const;
export type Preset = (typeof PRESETS)[number];

/** A word in one and in many of the things. */
type Forms = readonly [one: string, many: string];

const regular = (one: string): Forms => [one, `${one}s`];

/** The words that a site can put its own for, with what they are called in either preset. */
export const TERMS = {
  hub: { northAmerican: regular('hub'), british: regular('peg') },
  lath: { northAmerican: regular('lath'), british: regular('stake') },
  along: { northAmerican: regular('station'), british: regular('chainage') },
  elevation: { northAmerican: regular('elevation'), british: regular('level') },
  benchmark: { northAmerican: regular('benchmark'), british: regular('TBM') },
  shot: { northAmerican: regular('shot'), british: regular('reading') },
  checkShot: { northAmerican: regular('check shot'), british: regular('check sight') },
  curb: { northAmerican: regular('curb'), british: regular('kerb') },
  azimuth: { northAmerican: regular('azimuth'), british: regular('bearing') },
  grade: { northAmerican: regular('grade'), british: regular('level') },
} as const satisfies Readonly<Record<string, Readonly<Record<Preset, Forms>>>>;
export type Term = keyof typeof TERMS;
export const ALL_TERMS = Object.keys(TERMS) as Term[];

/** Parts of an inch. */
export const INCH_FRACTIONS = ['sixteenth', 'thirtySecond'] as const;
export type InchFraction = (typeof INCH_FRACTIONS)[number];

export interface Wording {
  readonly preset: Preset;
  /** Sites in feet: tolerances, residuals and moves in inches, with decimal feet beside; decimal feet alone without. */
  readonly small?: InchFraction;
  /** Words of the site's own, in the singular. */
  readonly own?: Readonly<Partial<Record<Term, string>>>;
}

export const NORTH_AMERICAN: Wording = { preset: 'northAmerican' };
export const BRITISH: Wording = { preset: 'british' };

/** Sites that were made before there was a choice stay with the words they had. */
export const wordingOf = (settings: { readonly wording?: Wording } | null | undefined): Wording =>
  settings?.wording ?? NORTH_AMERICAN;

let source: () => Wording = () => NORTH_AMERICAN;

/** Where the wording comes from: a server has one for each request. */
export function wordingFrom(from: () => Wording): void {
  source = from;
}

/** All that is said from now on is said in this wording: on a page, in a worker. */
export const sayIn = (wording: Wording): void => wordingFrom(() => wording);

export const wordingNow = (): Wording => source();

/** The same for the same words, to keep by it what is made from them. */
export function wordingKey({ preset, small, own = {} }: Wording): string {
  const words = ALL_TERMS.flatMap((term) => (own[term]?.trim() ? [`${term}=${own[term].trim()}`] : []));
  return [preset, ...(small ? [small] : []), ...words].join('|');
}

/** English plurals as far as tools, marks and figures need them. */
function manyOf(one: string): string {
  if (/(s|x|z|ch|sh)$/i.test(one)) return `${one}es`;
  return /[^aeiou]y$/i.test(one) ? `${one.slice(0, -1)}ies` : `${one}s`;
}

const wordPattern = (word: string): string => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** Both forms of a word as they stand in a text, with the article before them; "check shot" is no shot. */
const patternOf = ([one, many]: Forms, term: Term): RegExp =>
  new RegExp(
    `(?<![\\w{-])(?:(an?) )?${term === 'shot' ? '(?<!check )(?<!Check )' : ''}(${wordPattern(many)}|${wordPattern(one)})(?![\\w}]|, plural)`,
    'gi',
  );

const timesIn = (text: string, forms: Forms, term: Term): number => [...text.matchAll(patternOf(forms, term))].length;

/**
 * A message with a site's own words. Where one preset's word means two things (a station of the road and of the
 * instrument, a level), the other preset's text for the same message tells which of them it is.
 */
export function inOwnWords(texts: Readonly<Record<Preset, string>>, { preset, own = {} }: Wording): string {
  let text = texts[preset];
  for (const term of ALL_TERMS) {
    const word = own[term]?.trim();
    if (!word) continue;
    const other = preset === 'british' ? 'northAmerican' : 'british';
    const meant = timesIn(texts[other], TERMS[term][other], term);
    const [one, many] = TERMS[term][preset];
    if (meant === 0 || timesIn(texts[preset], TERMS[term][preset], term) !== meant) continue;
    text = text.replace(patternOf([one, many], term), (found: string, article: string | undefined, said: string) => {
      const put = said.toLowerCase() === many.toLowerCase() ? manyOf(word) : word;
      const begins = !article && /^[A-Z]/.test(found) && /^[a-z]/.test(one);
      const cased = said === said.toUpperCase() && one !== one.toUpperCase() ? put.toUpperCase() : put;
      const first = begins ? cased.charAt(0).toUpperCase() + cased.slice(1) : cased;
      if (!article) return first;
      const fits = /^[aeiou]/i.test(put) ? 'an' : 'a';
      return `${/^A/.test(article) ? fits.charAt(0).toUpperCase() + fits.slice(1) : fits} ${first}`;
    });
  }
  return text;
}

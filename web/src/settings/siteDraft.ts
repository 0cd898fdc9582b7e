/** Settings of a site while they are typed: text as it stands in the fields, and what it reads as. */
import { lengthFromMetres, parseLength, type AngleUnit, type LengthUnit, type Metres } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { alikeName, NUMBERED, type Numbered } from '@idle-marker/records';
import { ALL_TERMS, BRITISH, msg, NORTH_AMERICAN, worded, type Wording } from '@idle-marker/words';
import { typed, valueOf, written, type Draft } from '../field/draft.ts';
import { defaultClasses } from './defaultClasses.ts';

type Site = FactBody<'site'>;

export interface SiteDraft {
  readonly name: string;
  readonly lengthUnit: LengthUnit;
  readonly angleUnit: AngleUnit;
  readonly axisOrder: Site['axisOrder'];
  readonly convention: Site['convention'];
  /** Metres; null for none. */
  readonly zero: Draft<Metres | null>;
  readonly coordinateSystem: string;
  readonly heightDatum: string;
  readonly scale: string;
  readonly interval: string;
  readonly classes: Site['classes'];
  readonly practiceGround: string | null;
  readonly paint: string;
  readonly surveyor: string;
  readonly roles: NonNullable<Site['roles']>;
  readonly mayAccept: NonNullable<Site['mayAccept']>;
  /** Not there where nobody has chosen. */
  readonly alongWord?: NonNullable<Site['alongWord']>;
  readonly stationFormat: NonNullable<Site['stationFormat']> | 'usual';
  readonly paper: NonNullable<Site['paper']> | 'usual';
  /** Not there where nobody has chosen. */
  readonly wording?: Wording;
  /** As typed; empty for letters of their own. */
  readonly numbers: Readonly<Record<Numbered, string>>;
}

/** Countries that measure in chainages and levels, as far as a device says where it is used. */
const BRITISH_LOCALES = /^en-(GB|IE|AU|NZ|ZA|IN|HK|SG|MY|KE|NG|GH|MT|JM|TT)\b/i;
export const deviceWording = (locale = navigator.language): Wording =>
  BRITISH_LOCALES.test(locale) ? BRITISH : NORTH_AMERICAN;

/** Without the words that were left empty. */
function ownOnly({ own = {}, ...wording }: Wording): Wording {
  const kept = ALL_TERMS.flatMap((term) => (own[term]?.trim() ? [[term, own[term].trim()] as const] : []));
  return kept.length === 0 ? wording : { ...wording, own: Object.fromEntries(kept) };
}

export const emptySite = worded((): SiteDraft => ({
  name: '',
  lengthUnit: 'metre',
  angleUnit: 'dms',
  axisOrder: 'EN',
  convention: 'plainWords',
  zero: typed(''),
  coordinateSystem: '',
  heightDatum: '',
  scale: '1',
  interval: '60',
  classes: defaultClasses('metre'),
  practiceGround: null,
  paint: '',
  surveyor: '',
  roles: [],
  mayAccept: { accepted: [], provisional: [] },
  alongWord: 'along',
  stationFormat: 'usual',
  paper: 'usual',
  wording: deviceWording(),
  numbers: { asBuilt: '', lines: '', ownControl: '' },
}));

const zeroDraft = (zero: Metres | null, unit: LengthUnit): Draft<Metres | null> =>
  written(zero, zero === null ? '' : String(Number(lengthFromMetres(zero, unit).toFixed(4))));

const zeroOf = ({ zero, lengthUnit }: Pick<SiteDraft, 'zero' | 'lengthUnit'>): Metres | null =>
  valueOf(zero, (text) => (text.trim() === '' ? null : parseLength(text, lengthUnit)));

/** In another unit the same height has another figure; one that was typed is meant in the unit that is chosen now. */
export const inLengthUnit = ({ zero }: SiteDraft, lengthUnit: LengthUnit): Pick<SiteDraft, 'lengthUnit' | 'zero'> => ({
  lengthUnit,
  zero: 'exact' in zero ? zeroDraft(zero.exact, lengthUnit) : zero,
});

export const draftOf = ({ siteZero, combinedScaleFactor, proofIntervalMinutes, ...site }: Site): SiteDraft => ({
  ...site,
  paint: site.paint ?? '',
  surveyor: site.surveyor ?? '',
  roles: site.roles ?? [],
  mayAccept: site.mayAccept ?? { accepted: [], provisional: [] },
  stationFormat: site.stationFormat ?? 'usual',
  paper: site.paper ?? 'usual',
  numbers: {
    asBuilt: String(site.numbers?.asBuilt ?? ''),
    lines: String(site.numbers?.lines ?? ''),
    ownControl: String(site.numbers?.ownControl ?? ''),
  },
  zero: zeroDraft(siteZero, site.lengthUnit),
  scale: String(combinedScaleFactor),
  interval: String(proofIntervalMinutes),
});

const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

/** What is wrong with the draft, by field; null where nothing is. */
export function siteErrors(draft: SiteDraft, taken: readonly string[]) {
  const alike = alikeName(draft.name, taken);
  const scale = number(draft.scale);
  const interval = number(draft.interval);
  return {
    name:
      draft.name.trim() === ''
        ? msg('settings.giveTheSiteAName')
        : alike !== null
          ? msg('settings.thereIsASiteAlreadyTwoNames', { alike })
          : null,
    zero: draft.zero.text.trim() !== '' && zeroOf(draft) === null ? msg('settings.giveAHeightSuchAs6250') : null,
    scale: scale >= 0.9 && scale <= 1.1 ? null : msg('settings.giveAFactorNear1SuchAs'),
    interval:
      Number.isInteger(interval) && interval >= 5 && interval <= 480
        ? null
        : msg('settings.giveWholeMinutesFrom5To480'),
    numbers: numbersError(draft.numbers),
    wording: Object.values(draft.wording?.own ?? {}).every((word) => /^[\p{L} '’-]{0,24}$/u.test(word))
      ? null
      : msg('settings.giveWordsOfLetters'),
    classes: draft.classes.some((each) => !(each.planMm > 0) || !(each.heightMm > 0))
      ? msg('settings.everyClassNeedsAPlanAndA')
      : null,
  };
}

/** Whole numbers or nothing, and no two ranges that begin at once. */
function numbersError(numbers: SiteDraft['numbers']): string | null {
  const given = NUMBERED.map((kind) => numbers[kind].trim()).filter((text) => text !== '');
  if (given.some((text) => !/^[1-9]\d{0,7}$/.test(text))) return msg('settings.giveWholeNumbersSuchAs5000Or');
  return new Set(given.map(Number)).size < given.length ? msg('settings.twoRangesBeginAtTheSameNumber') : null;
}

const rangeStart = (text: string): number | null => (text.trim() === '' ? null : Number(text));

/** The settings as they are kept. Only for a draft without errors. */
export const siteBody = ({
  zero,
  scale,
  interval,
  classes,
  numbers,
  stationFormat,
  paper,
  wording,
  ...draft
}: SiteDraft): Site => ({
  ...draft,
  ...(stationFormat === 'usual' ? {} : { stationFormat }),
  ...(paper === 'usual' ? {} : { paper }),
  ...(wording ? { wording: ownOnly(wording) } : {}),
  name: draft.name.trim(),
  coordinateSystem: draft.coordinateSystem.trim(),
  heightDatum: draft.heightDatum.trim(),
  siteZero: zeroOf({ zero, lengthUnit: draft.lengthUnit }),
  combinedScaleFactor: number(scale),
  proofIntervalMinutes: number(interval),
  classes: [...classes],
  paint: draft.paint.trim(),
  surveyor: draft.surveyor.trim(),
  numbers: {
    asBuilt: rangeStart(numbers.asBuilt),
    lines: rangeStart(numbers.lines),
    ownControl: rangeStart(numbers.ownControl),
  },
});

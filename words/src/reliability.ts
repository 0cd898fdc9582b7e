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
import { msg, worded } from './message.ts';
import type { Naming } from './judgement.ts';
import { listOf } from './lists.ts';
import { smallLength } from './small.ts';

/** What holds of a station by its own sights: the same words on the page, in the dialog and on every sheet. */
export const checkabilityWords = worded(
  (): Readonly<Record<Checkability, { readonly title: string; readonly text: string }>> => ({
    unchecked: { title: msg('reliability.unchecked'), text: msg('reliability.aMistakeThatMattersCouldGoUnseen') },
    checked: { title: msg('common.checked'), text: msg('reliability.aMistakeThatMattersWouldShowThough') },
    traceable: {
      title: msg('reliability.checkedAndTraceable'),
      text: msg('reliability.aMistakeThatMattersWouldShowAnd'),
    },
  }),
);

/** What follows from it for whoever accepts it. */
export const acceptWords = worded((): Readonly<Record<Checkability, string>> => ({
  unchecked: msg('reliability.sightOneMarkMoreOrProveIt'),
  checked: msg('reliability.proveItOnAMarkThatWas'),
  traceable: msg('reliability.proveItOnAMarkThatWas'),
}));

/** What one more sight would make of the station. */
export const addsWords = worded((): Readonly<Record<Checkability, string>> => ({
  unchecked: msg('reliability.aMistakeThatMattersCouldStillGo'),
  checked: msg('reliability.aMistakeThatMattersWouldShow'),
  traceable: msg('reliability.oneBadMarkWouldShowAndCould'),
}));

/** A length that nobody needs to the millimetre: "12 mm", "0.95 m", "1.7 m"; "0.04 ft", "5.6 ft". */
export function aboutLength(metres: number, unit: LengthUnit): string {
  const size = Math.abs(metres);
  if (unit === 'metre')
    return size < 0.5
      ? msg('reliability.mm', { max: Math.max(1, Math.round(size * 1000)) })
      : `${size.toFixed(size < 1 ? 2 : size < 10 ? 1 : 0)} m`;
  const feet = lengthFromMetres(size, unit);
  return msg('reliability.ft', { feet: feet.toFixed(feet < 0.1 ? 3 : feet < 1 ? 2 : 1) });
}

/** What a station is good to; null where nothing bounds it. */
export const goodToWords = (metres: number | null, unit: LengthUnit): string =>
  metres === null ? msg('reliability.cantBeSaid') : smallLength(metres, unit);

/** Both ends of a line on the ground: "north-east or south-west". */
export const eitherWay = (azimuth: Radians): string =>
  msg('reliability.or', { compassWord: compassWord(azimuth), compassWord2: compassWord(azimuth + Math.PI) });

/** What it is that could be wrong. */
export function unnoticedSubject({ fault, names }: Unnoticed, naming: Naming): string {
  switch (fault) {
    case 'PLACE':
      return listOf(names.map((name) => naming.nameOf(name)));
    case 'LINE':
      return msg('reliability.theSightTo', { names: names[0] ?? 'a line' });
    case 'PRISM_CONSTANT':
      return msg('reliability.thePrismConstant');
    case 'SCALE':
      return msg('reliability.theScaleOfAllDistances');
  }
}

/** How much of it would go unseen: "a shift of up to 1.7 m", "any shift". */
function unseenSize({ fault, noticed, names, blind }: Unnoticed, { unit }: Naming): string {
  const several =
    names.length > 2 ? msg('reliability.ofAllTogether') : names.length > 1 ? msg('reliability.ofBothTogether') : '';
  const way = blind === null ? '' : msg('reliability.leastSeenToThe', { eitherWay: eitherWay(blind) });
  switch (fault) {
    case 'PLACE':
      return noticed === null
        ? msg('reliability.aShiftOfAnySize', { several, way })
        : msg('reliability.aShiftOfUpTo', { several, aboutLength: aboutLength(noticed, unit), way });
    case 'LINE':
      return noticed === null
        ? msg('reliability.standingBesideTheLineByAnyDistance')
        : msg('reliability.standingUpToBesideTheLine', { aboutLength: aboutLength(noticed, unit) });
    case 'PRISM_CONSTANT':
      return noticed === null
        ? msg('reliability.aWrongConstantOfAnySize')
        : msg('reliability.aConstantThatIsWrongByUp', { aboutLength: aboutLength(noticed, unit) });
    case 'SCALE':
      return noticed === null
        ? msg('reliability.aWrongScaleOfAnySize')
        : msg('reliability.aScaleThatIsWrongByUp', { noticed: Math.round(noticed * 1e6) });
  }
}

/** "A shift of up to 1.7 m would go unseen and put this station 0.95 m off." */
export function unnoticedWords(
  of: Unnoticed,
  naming: Naming,
  what = of.at === 'work' ? msg('reliability.whatIsSetFromHereUpTo') : msg('reliability.thisStation'),
): string {
  const size = unseenSize(of, naming);
  const unseen = msg('reliability.wouldGoUnseen', { charAt: size.charAt(0).toUpperCase(), size: size.slice(1) });
  return of.effect === null
    ? `${unseen}.`
    : msg('reliability.andPutOff', { unseen, what, aboutLength: aboutLength(of.effect, naming.unit) });
}

const isAre = (of: Unnoticed): string => (of.fault === 'PLACE' && of.names.length > 1 ? 'are' : 'is');
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "C is hardly checked." */
export const hardlyChecked = (of: Unnoticed, naming: Naming): string =>
  msg('reliability.hardlyChecked', { capital: capital(unnoticedSubject(of, naming)), isAre: isAre(of) });
export const partlyChecked = (of: Unnoticed, naming: Naming): string =>
  msg('reliability.checkedOnlyInPart', { capital: capital(unnoticedSubject(of, naming)), isAre: isAre(of) });

/** An explanation as a condition: "if K2 moved". */
export function ifWords({ code, points }: Explanation, naming: Naming): string {
  const name = naming.nameOf(points[0] ?? '');
  switch (code) {
    case 'NONE':
      return msg('reliability.ifNothingIsWrong');
    case 'MARK_MOVED_PLAN':
      return msg('reliability.ifMoved', { list: listOf(points.map((point) => naming.nameOf(point))) });
    case 'MARK_MOVED_HEIGHT':
      return msg('reliability.ifMovedInHeight', { name });
    case 'TARGET_HEIGHT':
      return msg('reliability.ifTheTargetHeightAtIsWrong', { name });
    case 'POINTS_SWAPPED':
      return msg('reliability.ifWereExchanged', { list: listOf(points.map((point) => naming.nameOf(point))) });
    case 'POINT_MISNAMED':
      return msg('reliability.ifWas', { name, name2: naming.nameOf(points[1] ?? '') });
    case 'PRISM_CONSTANT':
      return msg('reliability.ifThePrismConstantIsWrong');
    case 'LENGTH_UNIT':
      return msg('reliability.ifTheUnitIsWrong');
    case 'SCALE':
      return msg('reliability.ifTheScaleIsWrong');
    case 'DIRECTION_READING':
      return msg('reliability.ifTheDirectionToWasMisread', { name });
  }
}

/** So many possibilities are told one by one. */
const TOLD = 3;

/**
 * What a station is good to while it can't be told what is wrong: "good to 31 mm at best: 31 mm if K3 moved, 4 mm if K2
 * moved".
 */
export function spreadWords({ goodTo, under }: Spread, naming: Naming): string {
  if (goodTo === null) return msg('reliability.untilThatIsKnownNothingBoundsWhat');
  const each = under
    .slice(0, TOLD)
    .map(({ explanation, off }) => `${aboutLength(off, naming.unit)} ${ifWords(explanation, naming)}`);
  return msg('reliability.untilThatIsKnownThisStationIs', {
    smallLength: smallLength(goodTo, naming.unit),
    each: each.join(', '),
  });
}

const STATE_SAID: Readonly<Record<Checkability, string>> = {
  unchecked: 'unchecked',
  checked: 'checked',
  traceable: 'traceable',
};

/** How a station was called when it was decided on by rules of before, beside what it is called now. */
export const thenWords = (then: Checkability, now: Checkability): string =>
  then === now
    ? msg('reliability.theSameByTheRulesOfThen')
    : msg('reliability.byTheRulesOfThenItWas', { stateSaid: STATE_SAID[then] });

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
  const names = `${again.slice(0, NAMED).join(', ')}${rest > 0 ? msg('reliability.andMore', { rest }) : ''}`;
  const hold = inForce ? msg('reliability.theInstrumentStandsThereStillSight') : '';
  const subject = worst && capital(unnoticedSubject(worst, naming));
  return {
    title: msg('reliability.isNotCheckedByTheRulesOf', { station }),
    text: msg('reliability.itWasAcceptedAsCheckedByThe', {
      worst: worst
        ? `${subject}: ${unnoticedWords(worst, naming, worst.at === 'work' ? msg('reliability.whatWasSetFromItUpTo') : 'it')}`
        : msg('reliability.nothingTestsIt'),
    }),
    todo:
      again.length > 0
        ? msg('reliability.sightAgainFromAStationThatIs', {
            hold,
            hold2: hold ? msg('reliability.else') : msg('reliability.notHeld'),
            names,
          })
        : set > 0
          ? msg('reliability.allThatWasSetFromItIs')
          : inForce
            ? msg('reliability.nothingHasBeenSetFromItYet', { trimEnd: hold.trimEnd() })
            : msg('reliability.nothingThatStandsWasSetFromIt'),
  };
}

/** What a sheet says of a station's check: "unchecked: up to 0.95 m could be hidden in it". */
export function sheetCheckWords(
  {
    checkability,
    fell,
    hiddenMm,
  }: { readonly checkability: Checkability; readonly fell: boolean; readonly hiddenMm: number | null },
  unit: LengthUnit,
): string {
  const hidden =
    hiddenMm === null
      ? msg('reliability.aMistakeOfAnySizeCouldBe')
      : msg('reliability.upToCouldBeHiddenInIt', { aboutLength: aboutLength(hiddenMm / 1000, unit) });
  if (fell) return msg('reliability.calledCheckedByTheRulesOfThen', { hidden });
  return checkability === 'unchecked'
    ? `unchecked: ${hidden}`
    : msg('reliability.byItsOwnSights', { stateSaid: STATE_SAID[checkability] });
}

/**
 * What of a height from benchmarks could be wrong unseen: "A wrong spot or figure at BM1 shows from 9 mm on; up to 4 mm
 * of it could hide in every height."
 */
export function heightCheckWords({ state, unnoticed: [worst] }: HeightReliability, naming: Naming): string {
  if (!worst || worst.noticed === null || worst.effect === null) {
    return msg('reliability.theyStandOnOnePlaceAWrong');
  }
  const name = listOf(worst.names.map((each) => naming.nameOf(each)));
  const sentence = msg('reliability.aWrongSpotOrFigureAtShows', {
    name,
    aboutLength: aboutLength(worst.noticed, naming.unit),
    aboutLength2: aboutLength(worst.effect, naming.unit),
  });
  return state === 'unchecked' ? msg('reliability.thatIsTooMuchSightAnotherBenchmark', { sentence }) : sentence;
}

/** How conventions are told about: their parts, choices and faults. */
import type { ConventionFault, ShippedConvention, StakeConvention, StakeMarkKind, StakePart } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { english } from './languages/index.ts';

export const stakePartWords = worded((): Readonly<Record<StakePart, string>> => ({
  offset: 'offset',
  to: msg('convention.whatTheOffsetLeadsTo'),
  station: msg('convention.stationOfTheRoad'),
  angle: msg('convention.howItStandsAtAnAngle'),
  cutFill: msg('convention.cutOrFill'),
  also: msg('convention.cutOrFillToASecondFeature'),
  hubHeight: msg('convention.heightOfTheHub'),
  designHeight: msg('convention.designHeight'),
  why: msg('convention.whatChangesThere'),
  name: msg('convention.nameOfTheMark'),
  package: msg('convention.workPackage'),
  startsAt: msg('convention.whatExactlyIsThePoint'),
  tolerance: 'tolerance',
  set: msg('convention.whenItWasSetAndByWhom'),
}));

export const carrierWords = worded((): Readonly<Record<StakeConvention['carrier'], string>> => ({
  lath: msg('convention.aLathBesideTheHub'),
  peg: msg('convention.thePegItself'),
  surface: msg('convention.theSurfaceThatCarriesTheMark'),
}));

export const facingWords = worded((): Readonly<Record<StakeConvention['facing'], string>> => ({
  toItem: msg('convention.facesWhatIsToBeBuilt'),
  angled: msg('convention.turnedHalfwayTowardItReadFromThe'),
  alongRoad: msg('convention.facesAlongTheRoad'),
}));

export const stakeMarkKindWords = worded((): Readonly<Record<StakeMarkKind, string>> => ({
  hubAndLath: msg('convention.hubAndLath'),
  nail: msg('convention.nail'),
  paintCross: msg('convention.paintCross'),
  plateLine: msg('convention.lineOnAPlate'),
  scribedLine: msg('convention.scribedLine'),
}));

/** What has to be changed before a convention can be used. */
export function conventionFaultWords(fault: ConventionFault): string {
  switch (fault.code) {
    case 'NOTHING_ON_FRONT':
      return msg('convention.nothingIsOnTheFrontPutAt');
    case 'PART_TWICE':
      return msg('convention.standsOnTwoSidesLeaveItOn', { stakePart: stakePartWords()[fault.part] });
    case 'NO_LETTER':
      return msg('convention.theWordForHasNoLetterA', {
        value: { cut: 'cut', fill: 'fill', onGrade: msg('convention.onGrade') }[fault.which],
      });
    case 'CUT_IS_FILL':
      return msg('convention.cutAndFillAreTheSameWord');
    case 'SHORT_TWICE':
      return msg('convention.standsForGiveEachItsOwn', {
        short: fault.short,
        terms: fault.terms.map((term) => english().term[term]).join(' and '),
      });
    case 'ALL_IN_GROUND':
      return msg('convention.theLathIsInTheGroundFrom');
    case 'LETTERS_TOO_LARGE':
      return msg('convention.theLettersAreTooLargeForThe');
  }
}

/** What the conventions are called that ship. */
export const shippedNames = worded((): Readonly<Record<ShippedConvention, string>> => ({
  plainWords: msg('convention.plainWords'),
  shortForms: msg('convention.shortForms'),
  kerbFace: msg('convention.curbFace'),
  kerbBack: msg('convention.curbBack'),
  pegLevels: msg('convention.pegLevels'),
  buildingGrid: msg('convention.buildingGrid'),
  steelMarks: msg('convention.steel'),
}));

/** Names of things, as they are said on screens, stakes and sheets. */
import type {
  CornerMeaning,
  HeightFrom,
  HeightReference,
  LengthUnit,
  Standing,
  StandingReason,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';

export const unitAbbreviationWords = worded((): Readonly<Record<LengthUnit, string>> => ({
  metre: 'm',
  foot: 'ft',
  usSurveyFoot: msg('vocabulary.usFt'),
}));
export const unitNameWords = worded((): Readonly<Record<LengthUnit, string>> => ({
  metre: msg('vocabulary.meters'),
  foot: 'feet',
  usSurveyFoot: msg('vocabulary.usSurveyFeet'),
}));

/** Decimals that lengths are shown with: millimetres, or thousandths of a foot. */
export const LENGTH_DECIMALS = 3;

export const HEIGHT_FROM: Readonly<Record<HeightFrom, (mark: string) => string>> = {
  mark: (mark) => msg('vocabulary.theMarkUnderTheInstrument', { mark }),
  benchmarks: () => msg('vocabulary.theBenchmarksSighted'),
  both: (mark) => msg('vocabulary.theBenchmarksAndTogether', { mark }),
};

export const meaningWords = worded((): Readonly<Record<CornerMeaning, string>> => ({
  outsideFace: msg('vocabulary.outsideFace'),
  insideFace: msg('vocabulary.insideFace'),
  wallCentre: msg('vocabulary.centreOfWall'),
  gridLine: msg('vocabulary.gridLine'),
  waterLine: msg('vocabulary.waterLine'),
  centre: msg('vocabulary.center'),
  edge: 'edge',
}));

export const heightReferenceWords = worded((): Readonly<Record<HeightReference, string>> => ({
  finishedFloor: msg('vocabulary.finishedFloor'),
  topOfWall: msg('vocabulary.topOfWall'),
  underside: 'underside',
  invert: 'invert',
  topOfKerb: msg('vocabulary.topOfKerb'),
  subgrade: 'subgrade',
  surface: msg('vocabulary.designSurface'),
  string: msg('vocabulary.lineNamedOnTheStake'),
}));

export const standingWords = worded((): Readonly<Record<Standing, string>> => ({
  held: msg('vocabulary.verified'),
  open: msg('vocabulary.notVerifiedYet'),
  unproven: msg('vocabulary.stationNotProven'),
  inDoubt: msg('vocabulary.inDoubt'),
  notMeasured: msg('vocabulary.notMeasured'),
}));

/** Why a mark stands as it does, as the end of a sentence about it. */
export const standingReasonWords = worded((): Readonly<Record<StandingReason, string>> => ({
  NOT_NEEDED: msg('vocabulary.thisPartWasNotAskedFor'),
  NOT_MEASURED: msg('vocabulary.thisPartWasNotMeasured'),
  RESIGHTED: msg('vocabulary.itWasSightedAgainFromAnotherStation'),
  STATION_UNKNOWN: msg('vocabulary.itsStationHasNotArrivedYet'),
  STATION_WITHDRAWN: msg('vocabulary.itsStationWasWithdrawn'),
  SET_AFTER_END: msg('vocabulary.itWasSetAfterTheInstrumentHad'),
  CONTROL_MOVED: msg('vocabulary.aControlMarkOfItsStationWas'),
  RECOMPUTED: msg('vocabulary.itWasComputedAgainAndIsOff'),
  PROOF_FAILED: msg('vocabulary.aProofOfItsStationFailed'),
  PROOFS_DISAGREE: msg('vocabulary.theProofsOfItsStationDisagree'),
  SET_AFTER_FAILURE: msg('vocabulary.itWasSetAfterTheFailedProof'),
  MARK_DISTURBED: msg('vocabulary.itWasSightedAgainAndWasNot'),
  REPEAT_FAILED: msg('vocabulary.itWasSightedAgainFromItsOwn'),
  PROVEN_AFTER: msg('vocabulary.aGoodProofCameAfterIt'),
  VOUCHED_BY_OPEN: msg('vocabulary.aLaterSightVouchesForItFrom'),
  NEVER_PROVEN: msg('vocabulary.itsStationWasNeverProven'),
  ONLY_REPEATS: msg('vocabulary.onlyMarksThatTheStationUsedWere'),
  NOT_PROVEN_SINCE: msg('vocabulary.noProofCameAfterItYet'),
  ENDED: msg('vocabulary.theInstrumentHasLeftWithoutALast'),
  EVENT: msg('vocabulary.somethingHappenedAtTheInstrumentSince'),
  CLOCK: msg('vocabulary.theTimeForAProofHasCome'),
}));

/** Why a mark is not on a sheet. */
export const withheldReasonWords = worded(
  () =>
    ({
      ...standingReasonWords(),
      PLAN_CHANGED: msg('vocabulary.itWasSetForAnEarlierRevision'),
      REPORTED_DESTROYED: msg('vocabulary.somebodySaidThatItIsGone'),
      REPORTED_MOVED: msg('vocabulary.somebodySaidThatItWasHitOr'),
    }) as const,
);

/** What a control mark is, as it is said in a table. */
export const controlKindWords = worded(
  () =>
    ({
      pin: 'pin',
      plate: msg('vocabulary.castPlate'),
      nail: 'nail',
      screw: 'screw',
      cross: 'cross',
      stake: 'stake',
      target: msg('vocabulary.wallTarget'),
      tag: 'tag',
      benchmark: 'benchmark',
      other: 'other',
    }) as const,
);

type ControlKind = keyof ReturnType<typeof controlKindWords>;
export type Firmness = 'firm' | 'fair' | 'soft';

/** How firm a kind of mark is, before anybody has looked at the one that is meant. */
const FIRMNESS_OF_KIND: Readonly<Record<ControlKind, Firmness>> = {
  pin: 'firm',
  plate: 'firm',
  benchmark: 'firm',
  nail: 'fair',
  screw: 'fair',
  cross: 'fair',
  target: 'fair',
  stake: 'soft',
  tag: 'soft',
  other: 'soft',
};
export const firmnessWords = worded((): Readonly<Record<Firmness, string>> => ({
  firm: 'firm',
  fair: 'fair',
  soft: msg('vocabulary.softUseSoonReplaceByAFirm'),
}));

/** From its kind, unless somebody who looked at it said otherwise. */
export const firmnessOf = (mark: {
  readonly kind: ControlKind;
  readonly firmness?: { readonly rating: Firmness } | null;
}): Firmness => mark.firmness?.rating ?? FIRMNESS_OF_KIND[mark.kind];

/** What was found when somebody looked for a mark. */
export const VISIT = { found: 'found', refreshed: 'refreshed', disturbed: 'disturbed', missing: 'missing' } as const;

/** What to do about a mark that disagrees. */
export const trendProposalWords = worded(
  () =>
    ({
      nothing: '',
      sightAgain: msg('vocabulary.onceIsNotEnoughToBlameIt'),
      leaveOutOfHeight: msg('vocabulary.itRepeatsInHeightAloneLeaveIts'),
      newRevision: msg('vocabulary.itRepeatsDoNotUseItSay'),
    }) as const,
);

/** Of what a point is that can become control. */
export const CANDIDATE_OF = {
  drawing: (of: string) => msg('vocabulary.drawing', { ofValue: of }),
  grid: (of: string) => `grid ${of}`,
  package: (of: string) => of,
  asBuilt: (of: string) => msg('vocabulary.asItStandsFrom', { ofValue: of }),
} as const;

/** How a control mark was found. */
export const conditionWords = worded(() => ({
  secure: msg('vocabulary.sound'),
  usable: msg('vocabulary.usable'),
  doubtful: msg('vocabulary.doubtful'),
  lost: msg('vocabulary.lost'),
}));

/** The unit of a drawing, which is kept under one name, spelled as the site does: "millimeters", "millimetres". */
export const drawingUnitWords = (name: string): string => name.replace(/metres$/, unitNameWords().metre);

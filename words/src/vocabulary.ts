/** Names of things, as they are said on screens, stakes and sheets. */
import type { CornerMeaning, HeightFrom, HeightReference, LengthUnit, Standing, StandingReason } from '@idle-marker/core';

export const UNIT_ABBREVIATION: Readonly<Record<LengthUnit, string>> = { metre: 'm', foot: 'ft', usSurveyFoot: 'US ft' };
export const UNIT_NAME: Readonly<Record<LengthUnit, string>> = { metre: 'metres', foot: 'feet', usSurveyFoot: 'US survey feet' };

/** Decimals that lengths are shown with: millimetres, or thousandths of a foot. */
export const LENGTH_DECIMALS = 3;

export const HEIGHT_FROM: Readonly<Record<HeightFrom, (mark: string) => string>> = {
  mark: (mark) => `${mark}, the mark under the instrument`,
  benchmarks: () => 'the benchmarks sighted',
  both: (mark) => `the benchmarks and ${mark} together`,
};

export const MEANING: Readonly<Record<CornerMeaning, string>> = {
  outsideFace: 'outside face',
  insideFace: 'inside face',
  wallCentre: 'centre of wall',
  gridLine: 'grid line',
  waterLine: 'water line',
  centre: 'centre',
  edge: 'edge',
};

export const HEIGHT_REFERENCE: Readonly<Record<HeightReference, string>> = {
  finishedFloor: 'finished floor',
  topOfWall: 'top of wall',
  underside: 'underside',
  invert: 'invert',
  topOfKerb: 'top of kerb',
  subgrade: 'subgrade',
  surface: 'design surface',
  string: 'line named on the stake',
};

export const STANDING: Readonly<Record<Standing, string>> = {
  held: 'held',
  open: 'open',
  unproven: 'unproven',
  inDoubt: 'in doubt',
  notMeasured: 'not measured',
};

/** Why a mark stands as it does, as the end of a sentence about it. */
export const STANDING_REASON: Readonly<Record<StandingReason, string>> = {
  NOT_NEEDED: 'this part was not asked for',
  NOT_MEASURED: 'this part was not measured',
  RESIGHTED: 'it was sighted again from another station and was where it belongs',
  STATION_UNKNOWN: 'its station has not arrived yet',
  STATION_WITHDRAWN: 'its station was withdrawn',
  SET_AFTER_END: 'it was set after the instrument had left',
  CONTROL_MOVED: 'a control mark of its station was found moved',
  RECOMPUTED: 'it was computed again, and is off by more than its tolerance',
  PROOF_FAILED: 'a proof of its station failed',
  PROOFS_DISAGREE: 'the proofs of its station disagree',
  SET_AFTER_FAILURE: 'it was set after the failed proof',
  MARK_DISTURBED: 'it was sighted again and was not where it belongs',
  REPEAT_FAILED: 'it was sighted again from its own station and had moved, or the instrument had',
  PROVEN_AFTER: 'a good proof came after it',
  VOUCHED_BY_OPEN: 'a later sight vouches for it, from a station that waits for its own proof',
  NEVER_PROVEN: 'its station was never proven',
  ONLY_REPEATS: 'only marks that the station used were sighted again',
  NOT_PROVEN_SINCE: 'no proof came after it yet',
  ENDED: 'the instrument has left without a last proof',
  EVENT: 'something happened at the instrument since',
  CLOCK: 'the time for a proof has come',
};

/** Why a mark is not on a sheet. */
export const WITHHELD_REASON = {
  ...STANDING_REASON,
  PLAN_CHANGED: 'it was set for an earlier revision of the package',
  REPORTED_DESTROYED: 'somebody said that it is gone',
  REPORTED_MOVED: 'somebody said that it was hit or moved',
} as const;

/** What a control mark is, as it is said in a table. */
export const CONTROL_KIND = {
  pin: 'pin',
  plate: 'cast plate',
  nail: 'nail',
  screw: 'screw',
  cross: 'cross',
  stake: 'stake',
  target: 'wall target',
  tag: 'tag',
  benchmark: 'benchmark',
  other: 'other',
} as const;

type ControlKind = keyof typeof CONTROL_KIND;
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
export const FIRMNESS: Readonly<Record<Firmness, string>> = { firm: 'firm', fair: 'fair', soft: 'soft: use soon, replace by a firm one' };

/** From its kind, unless somebody who looked at it said otherwise. */
export const firmnessOf = (mark: { readonly kind: ControlKind; readonly firmness?: { readonly rating: Firmness } | null }): Firmness =>
  mark.firmness?.rating ?? FIRMNESS_OF_KIND[mark.kind];

/** What was found when somebody looked for a mark. */
export const VISIT = { found: 'found', refreshed: 'refreshed', disturbed: 'disturbed', missing: 'missing' } as const;

/** What to do about a mark that disagrees. */
export const TREND_PROPOSAL = {
  nothing: '',
  sightAgain: 'Once is not enough to blame it: sight it again, pole plumb, from here or from the next station.',
  leaveOutOfHeight: 'It repeats, in height alone: leave its height out, keep its plan, and have it levelled again.',
  newRevision: 'It repeats: do not use it. Say that it moved, and have it surveyed anew or retired.',
} as const;

/** Of what a point is that can become control. */
export const CANDIDATE_OF = {
  drawing: (of: string) => `drawing ${of}`,
  grid: (of: string) => `grid ${of}`,
  package: (of: string) => of,
  asBuilt: (of: string) => `as it stands, from ${of}`,
} as const;

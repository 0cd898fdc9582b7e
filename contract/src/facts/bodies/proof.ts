/** What a station is proved by, and what later evidence does to marks. */
import {
  closed,
  Name,
  NullableNumber,
  nullableReference,
  NullableUuid,
  reference,
  Text,
  Type,
  Words,
} from '../parts.ts';

export const ProofOutcomeWord = Words('good', 'moreThanChance', 'outside', 'notMeasured');

export const ProofBody = closed({
  solution: reference('solution'),
  sight: reference('sight'),
  /** The mark and its revision; null when a fixed direction was sighted. */
  control: NullableUuid,
  revision: nullableReference('control'),
  direction: Type.Optional(nullableReference('direction')),
  /** What the receiver read, where the plan comes from it. */
  position: Type.Optional(reference('position')),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  plan: ProofOutcomeWord,
  height: ProofOutcomeWord,
  result: Type.Unsafe<Record<string, unknown>>({ type: 'object' }),
  supersedes: nullableReference('proof'),
});

/** Something far away and fixed (a church spire, a mast) whose direction is compared, without a distance. */
export const DirectionBody = closed({
  solution: reference('solution'),
  sight: reference('sight'),
  name: Name,
  azimuthDeg: Type.Number({ minimum: 0, maximum: 360 }),
});

/** A set mark sighted again, compared with where it was measured when it was set. */
export const ResightBody = closed({
  solution: reference('solution'),
  sight: reference('sight'),
  mark: reference('mark'),
  class: Type.String({ minLength: 1, maxLength: 40 }),
  plan: ProofOutcomeWord,
  height: ProofOutcomeWord,
  result: Type.Unsafe<Record<string, unknown>>({ type: 'object' }),
  supersedes: nullableReference('resight'),
});

/**
 * What a later look at the evidence does to marks that are set: by how much each moves, null when that can't be told.
 */
export const FindingBody = closed({
  cause: Words('controlMoved', 'recomputed'),
  /** The revision found moved; null when something entered was corrected. */
  revision: nullableReference('control'),
  plan: Type.Boolean(),
  height: Type.Boolean(),
  effects: Type.Array(closed({ mark: reference('mark'), planMm: NullableNumber, heightMm: NullableNumber }), {
    maxItems: 20_000,
  }),
  reason: Type.String({ minLength: 1, maxLength: 2000 }),
  supersedes: nullableReference('finding'),
});

/** Work goes on although a proof is due, and why. */
export const DeferralBody = closed({
  solution: reference('solution'),
  reason: Type.String({ minLength: 1, maxLength: 500 }),
});

/** A distance taped between two set marks, compared with the one between their measured places. */
export const TapeBody = closed({
  from: reference('mark'),
  to: reference('mark'),
  taped: Type.Number({ exclusiveMinimum: 0, maximum: 200 }),
  measured: Type.Number({ minimum: 0 }),
  within: Type.Boolean(),
  note: Text,
});

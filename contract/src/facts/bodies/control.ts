/** Control marks and looks at them on the ground. */
import {
  closed,
  Instant,
  Name,
  NullableCoordinate,
  NullableDay,
  NullableSdMm,
  NullableString,
  nullableReference,
  Text,
  Type,
  Uuid,
  Words,
} from '../parts.ts';

export const ControlBody = closed({
  /** Identity of the mark, the same over all its revisions. */
  mark: Uuid,
  name: Name,
  e: NullableCoordinate,
  n: NullableCoordinate,
  z: NullableCoordinate,
  sdHMm: NullableSdMm,
  sdZMm: NullableSdMm,
  kind: Words('pin', 'plate', 'nail', 'screw', 'cross', 'stake', 'target', 'tag', 'benchmark', 'other'),
  usePlan: Type.Boolean(),
  useHeight: Type.Boolean(),
  /** Kept for proving: offered for check sights rather than for stationing. */
  forProof: Type.Boolean(),
  condition: Words('secure', 'usable', 'doubtful', 'lost'),
  note: Text,
  /** Where the coordinates come from; the height too, unless it has a source of its own. */
  source: Type.String({ maxLength: 200 }),
  heightSource: Type.Optional(Type.String({ maxLength: 200 })),
  /** Which spot of the thing is the point: nail head, top of the upper nut, centre of the cross. */
  spot: Type.Optional(Type.String({ maxLength: 200 })),
  setBy: Type.Optional(Type.String({ maxLength: 120 })),
  setOn: Type.Optional(NullableDay),
  /** How firm it stands, where somebody knows better than its kind tells. */
  firmness: Type.Optional(
    Type.Unsafe<{ rating: 'firm' | 'fair' | 'soft'; reason: string } | null>({
      anyOf: [
        { type: 'null' },
        closed({ rating: Words('firm', 'fair', 'soft'), reason: Type.String({ minLength: 1, maxLength: 500 }) }),
      ],
    }),
  ),
  /** A soft mark is to be used by then, or replaced. */
  useBefore: Type.Optional(NullableDay),
  /** What a reusable tag is valid for while it is here. */
  validFor: Type.Optional(Type.String({ maxLength: 200 })),
  /** Why it is not used any more; a tag that was taken away, a mark that the dig has swallowed. */
  retired: Type.Optional(NullableString),
  /** The station that measured it, when it is control of one's own making. */
  parent: Type.Optional(nullableReference('solution')),
  /** What it was made control from, where it was no mark before: a point that is drawn, or something that stands. */
  from: Type.Optional(Words('drawing', 'grid', 'package', 'asBuilt')),
  /** Where it comes from when it was brought from another site, and what was known of it there, oldest first. */
  brought: Type.Optional(
    closed({
      site: Uuid,
      siteName: Name,
      mark: Uuid,
      history: Type.Array(closed({ at: Instant, text: Type.String({ maxLength: 300 }) }), { maxItems: 200 }),
    }),
  ),
  supersedes: nullableReference('control'),
});

/** A look at a mark on the ground: whether it is there, and is the one on the list. */
export const VisitBody = closed({
  mark: Uuid,
  outcome: Words('found', 'missing', 'disturbed', 'refreshed'),
  /** Whether the label on the ground was compared with the list. */
  labelRead: Type.Boolean(),
  note: Text,
});

export const IMAGE_TYPES = ['image/jpeg', 'image/png', 'image/webp'] as const;

/**
 * A photograph of a mark, or of a set-up with what is round it; the picture itself is kept beside the ledger, under
 * `image`.
 */
export const PhotoBody = closed({
  mark: Uuid,
  image: Uuid,
  mediaType: Words(...IMAGE_TYPES),
  bytes: Type.Integer({ minimum: 1 }),
  caption: Type.String({ maxLength: 200 }),
  /** What was really written on the lath, rather than the mark itself. */
  written: Type.Optional(Type.Boolean()),
});

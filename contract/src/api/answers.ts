/** What the server answers, as far as it is no file. */
import type { StoredFact } from '../facts/fact.ts';
import type { Problem } from '../problem.ts';
import type { RawSights } from '../rawSights.ts';
import { NullableString, Type, type Static } from '../schema.ts';

/** Stand for schemas that the description has under these names. */
const StoredFactRef = Type.Unsafe<StoredFact>({ $ref: '#/components/schemas/Fact' });
const ProblemRef = Type.Unsafe<Problem>({ $ref: '#/components/schemas/Problem' });

export const SitesAnswer = Type.Object({
  sites: Type.Array(Type.Object({ id: Type.String(), name: Type.String(), lastAt: NullableString })),
});
export type SiteLine = Static<typeof SitesAnswer>['sites'][number];

/** The server’s clock, and whether it stands still. */
export const ClockAnswer = Type.Object({ now: Type.String(), fixed: Type.Boolean() });

export const FactsAnswer = Type.Object({
  facts: Type.Array(StoredFactRef),
  cursor: Type.Integer(),
  more: Type.Boolean(),
  /** Which ledger of this site answers; another one means that the server's data was exchanged. */
  ledger: NullableString,
});

/** What came of each, in the order in which they were sent. */
export const OutcomesAnswer = Type.Object({
  results: Type.Array(
    Type.Object({
      id: NullableString,
      written: Type.Optional(Type.Boolean()),
      problem: Type.Optional(ProblemRef),
    }),
  ),
});

export const QuarantineAnswer = Type.Object({
  quarantined: Type.Array(Type.Object({ id: Type.String(), path: Type.String(), message: Type.String() })),
});

export const KeptAnswer = Type.Object({ id: Type.String() });

export const ControlListAnswer = Type.Object({ written: Type.Integer(), rows: Type.Integer() });

const Shown = Type.Object({ mark: Type.String(), name: Type.String() });
export const SheetsAnswer = Type.Object({
  sheets: Type.Array(
    Type.Object({
      id: Type.String(),
      number: Type.Integer(),
      revision: Type.Integer(),
      package: Type.String(),
      packageRoot: Type.String(),
      selection: NullableString,
      crew: Type.String(),
      givenTo: NullableString,
      validUntil: NullableString,
      issuedAt: Type.String(),
      issuedBy: Type.String(),
      marks: Type.Array(Shown),
      withheld: Type.Array(Type.Object({ name: Type.String(), reason: Type.String() })),
    }),
  ),
});
export type IssuedSheet = Static<typeof SheetsAnswer>['sheets'][number];

/** A sheet as issued: its number, and its rows as they were frozen. */
export const SheetAnswer = Type.Object({
  number: Type.Integer(),
  revision: Type.Integer(),
  rows: Type.Array(Type.Object({})),
});

export const CrewLinkAnswer = Type.Object({
  id: Type.String(),
  token: Type.String(),
  label: Type.String(),
  who: Type.String(),
  roots: Type.Unsafe<readonly string[] | null>({ type: ['array', 'null'], items: { type: 'string' } }),
  createdAt: Type.String(),
  expiresAt: Type.String(),
  revokedAt: NullableString,
});
export type CrewLink = Static<typeof CrewLinkAnswer>;
export const CrewLinksAnswer = Type.Object({ links: Type.Array(CrewLinkAnswer), now: Type.String() });

/** The marks of a link, each with how it is read. */
export const CrewPageAnswer = Type.Object({
  site: Type.String(),
  label: Type.String(),
  who: Type.String(),
  at: Type.String(),
  marks: Type.Array(Type.Object({})),
});

/** What was taken in from an archive. */
export const ArchiveAnswer = Type.Object({
  site: Type.String(),
  name: Type.String(),
  facts: Type.Integer(),
  files: Type.Integer(),
});
export type ArchiveTaken = Static<typeof ArchiveAnswer>;

export const RawSightsAnswer = Type.Unsafe<RawSights>(
  Type.Object({ header: Type.Object({}), sights: Type.Array(Type.Object({})) }),
);

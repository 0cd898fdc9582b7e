/**
 * An issued sheet as it stands in an archive: whatever a paper is written from has to be there, and to be what it says.
 */
import { closed, FACT_BODIES, Instant, Type, Uuid, Words, type TSchema } from '@idle-marker/contract';
import { STAKE_TERMS } from '@idle-marker/core';
import type { CutSheet } from '@idle-marker/records';
import { withheldReasonWords } from '@idle-marker/words';

const MOST_ROWS = 10_000;
/** Sheets and rows are numbered as the database keeps them. */
const Numbered = Type.Integer({ minimum: 1, maximum: 2 ** 31 - 1 });
const Line = Type.String({ maxLength: 2000 });
const Lines = Type.Array(Line, { maxItems: MOST_ROWS });
const Length = Type.Number({ minimum: -1e8, maximum: 1e8 });
const orNull = <T>(schema: TSchema) => Type.Unsafe<T | null>({ anyOf: [{ type: 'null' }, schema] });
const LengthOrNull = orNull<number>(Length);
const LineOrNull = orNull<string>(Line);
const Plan = Type.Object({ e: Length, n: Length });
const { planned, written } = FACT_BODIES.mark.properties;
const { also, heightReference, markKind, rounding } = FACT_BODIES.package.properties;
const { meaning } = FACT_BODIES.package.properties.items.items.properties;
const { method } = FACT_BODIES.solution.properties;
const { lengthUnit } = FACT_BODIES.site.properties;
const { carrier, facing, languages, rounding: rounded } = FACT_BODIES.convention.properties.rules.properties;
const Term = Words(...STAKE_TERMS);
const StandingWord = Words('inDoubt', 'unproven', 'notMeasured', 'open', 'held');
const PartWord = Words('plan', 'height');

const Reading = Type.Object({
  name: Line,
  carrier,
  point: written.properties.point,
  reach: Type.Unsafe<object>({
    anyOf: [
      Type.Object({ way: Words('face', 'line'), from: Line, until: Line }),
      Type.Object({ way: Words('straight', 'on') }),
      Type.Object({
        way: Words('road'),
        side: Words('left', 'right'),
        angle: orNull(Type.Object({ part: Words('back', 'ahead', 'inside'), toCorner: Length })),
      }),
    ],
  }),
  offset: Length,
  to: Line,
  meaning,
  string: LineOrNull,
  heights: Type.Array(Type.Object({ reference: heightReference, string: LineOrNull, cutFill: Length }), {
    maxItems: 10,
  }),
  place: Plan,
  design: Plan,
  lines: Type.Array(Type.Array(Plan, { maxItems: MOST_ROWS }), { maxItems: 100 }),
  unusual: Type.Array(Type.Object({ what: Term, usual: Type.Array(Term, { maxItems: 100 }) }), { maxItems: 100 }),
  facing,
  colours: orNull(Type.Object({ ribbon: Line, paint: Line })),
  tolerance: orNull(Type.Object({ plan: Length, height: Length })),
  rounding: rounded,
  words: Type.Optional(
    Type.Array(Type.Object({ word: Line, means: Words(...STAKE_TERMS, 'cut', 'fill', 'onGrade') }), { maxItems: 100 }),
  ),
});

const Row = Type.Object({
  mark: Uuid,
  name: Line,
  corner: Line,
  item: Line,
  meaning,
  offset: Length,
  // How the offset leads there, on sheets since it is kept.
  reach: Type.Optional(Words('face', 'line', 'point', 'on')),
  hubZ: LengthOrNull,
  groundZ: LengthOrNull,
  designZ: LengthOrNull,
  cutFill: LengthOrNull,
  dEMm: Length,
  dNMm: Length,
  station: Line,
  provisional: Type.Boolean(),
  standing: StandingWord,
  setAt: Instant,
  proofBefore: orNull(Instant),
  proofAfter: orNull(Instant),
  stakeText: Type.Array(Line, { maxItems: 20 }),
  place: planned,
  design: planned,
  reading: Type.Optional(Reading),
  written,
});

const Station = Type.Object({
  name: Line,
  marks: Lines,
  method: Type.Optional(method),
  radius95Mm: LengthOrNull,
  sdZMm: LengthOrNull,
  notConfirmed: Type.Optional(Lines),
  provisionalBecause: LineOrNull,
  checked: Type.Optional(
    orNull(
      Type.Object({
        checkability: Words('unchecked', 'checked', 'traceable'),
        fell: Type.Boolean(),
        hiddenMm: LengthOrNull,
      }),
    ),
  ),
  evidence: Type.Optional(
    Type.Object({
      basis: Words('nothing', 'provisional', 'unchecked', 'fits'),
      className: Line,
      unproven: Type.Array(PartWord, { maxItems: 2 }),
      failed: Type.Array(PartWord, { maxItems: 2 }),
      proofs: Type.Object({ good: Length, missed: Length, last: orNull(Instant) }),
    }),
  ),
  coarser: Type.Optional(
    orNull(Type.Object({ accepted: Line, asked: Line, part: PartWord, acceptedMm: Length, askedMm: Length })),
  ),
});

const CONTENT = {
  site: Line,
  lengthUnit,
  axes: Type.Optional(Words('EN', 'NE')),
  siteZero: LengthOrNull,
  package: Line,
  crew: Line,
  className: Line,
  planMm: Length,
  heightMm: Length,
  heightReference,
  rounding,
  markKind,
  use: Type.Optional(Line),
  also,
  issuedBy: Line,
  issuedAt: Instant,
  timeZone: Line,
  setFrom: orNull(Instant),
  setTo: orNull(Instant),
  setBy: Lines,
  stations: Type.Array(Station, { maxItems: MOST_ROWS }),
  rows: Type.Array(Row, { maxItems: MOST_ROWS }),
  withheld: Type.Array(
    Type.Object({
      mark: Uuid,
      name: Line,
      standing: StandingWord,
      reason: Words(...Object.keys(withheldReasonWords())),
    }),
    {
      maxItems: MOST_ROWS,
    },
  ),
  notSet: Lines,
  shapes: Type.Array(
    Type.Object({
      closed: Type.Boolean(),
      points: Type.Array(Type.Object({ e: Length, n: Length, name: Line }), { maxItems: MOST_ROWS }),
    }),
    { maxItems: MOST_ROWS },
  ),
  open: Type.Optional(
    Type.Array(
      Type.Object({
        code: Words(
          'services',
          'traffic',
          'machine',
          'edge',
          'overhead',
          'keepOut',
          'laser',
          'unattended',
          'independent',
          'setTwice',
        ),
        marks: Lines,
      }),
      { maxItems: 100 },
    ),
  ),
  gaps: Type.Optional(
    Type.Array(Type.Object({ other: Line, gap: Length, at: Plan, to: Plan }), { maxItems: MOST_ROWS }),
  ),
  changes: Type.Array(
    Type.Object({ name: Line, change: Words('added', 'removed', 'setAgain', 'withheld', 'figures', 'writtenAnew') }),
    {
      maxItems: MOST_ROWS,
    },
  ),
  selection: Type.Optional(LineOrNull),
  givenTo: Type.Optional(LineOrNull),
  bothHeights: Type.Optional(Type.Boolean()),
  coordinateSystem: Type.Optional(Line),
  heightDatum: Type.Optional(Line),
  scaleFactor: Type.Optional(Length),
  paper: Type.Optional(Words('A4', 'letter')),
  coordinates: Type.Optional(Type.Boolean()),
  validUntil: Type.Optional(LineOrNull),
  remarks: Type.Optional(Line),
  convention: Type.Optional(Line),
  languages: Type.Optional(languages),
} satisfies Record<keyof CutSheet, TSchema>;

export const SheetLineSchema = closed({
  id: Uuid,
  number: Numbered,
  revision: Numbered,
  issuedAt: Instant,
  content: closed({ ...CONTENT, packageRoot: Uuid }),
});

export interface SheetLine {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly issuedAt: string;
  readonly content: CutSheet & { readonly packageRoot: string };
}

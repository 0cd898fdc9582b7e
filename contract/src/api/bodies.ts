/** What the server is sent beside facts. */
import { closed, Day, Device, Instant, Name, Sequence, Uuid } from '../facts/parts.ts';
import { MOST_FACTS_AT_ONCE } from '../problem.ts';
import { Type, Words, type Static } from '../schema.ts';

/** Name of a time zone, as the time zone database has it. */
export const TimeZone = Type.String({ minLength: 1, maxLength: 60, pattern: '^[A-Za-z0-9_+/-]+$' });

/** Each is looked at by itself: what is wrong with one does not keep the others back. */
export const FactsSchema = closed({
  facts: Type.Array(Type.Object({}), { minItems: 1, maxItems: MOST_FACTS_AT_ONCE }),
});

/** What a person says of a list of points; goes before what the file says. */
export const ListSaidSchema = closed({
  unit: Type.Optional(Words('m', 'mm', 'cm', 'dm', 'km', 'in', 'ft', 'ftUS', 'yd')),
  decimal: Type.Optional(Words('.', ',')),
  /** What each column is; an empty word leaves it aside. */
  columns: Type.Optional(Type.Array(Type.String({ maxLength: 20 }), { minItems: 1, maxItems: 200 })),
});
export type ListSaidAsked = Static<typeof ListSaidSchema>;

const RowNumbers = Type.Array(Type.Integer({ minimum: 1 }), { maxItems: 50_000 });

export const ControlImportSchema = closed({
  at: Instant,
  by: Uuid,
  fileName: Type.String({ minLength: 1, maxLength: 120 }),
  unit: Words('metre', 'foot', 'usSurveyFoot'),
  xIsNorth: Type.Boolean(),
  /** Standard deviations for rows that give none. */
  sdHMm: Type.Number({ minimum: 0, maximum: 10_000 }),
  sdZMm: Type.Number({ minimum: 0, maximum: 10_000 }),
  /** Lines of the file that are not to be taken. */
  skipRows: RowNumbers,
  /** Lines whose easting and northing are to change places. */
  swapRows: RowNumbers,
  said: Type.Optional(ListSaidSchema),
});
export type ControlImport = Static<typeof ControlImportSchema>;

export const ReportOptionsSchema = closed({ at: Instant, by: Uuid, timeZone: TimeZone });
export type ReportOptions = Static<typeof ReportOptionsSchema>;

/** Keys of marks of a package. */
const Keys = Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { minItems: 1, maxItems: 5000 });

export const IssueSchema = closed({
  package: Uuid,
  fact: Uuid,
  at: Instant,
  device: Device,
  seq: Sequence,
  by: Uuid,
  timeZone: TimeZone,
  selection: Type.Optional(closed({ name: Name, keys: Keys })),
  givenTo: Type.Optional(Name),
  bothHeights: Type.Optional(Type.Boolean()),
  /** Coordinates of the marks as columns. */
  coordinates: Type.Optional(Type.Boolean()),
  validUntil: Type.Optional(Day),
  remarks: Type.Optional(Type.String({ maxLength: 1000 })),
});
export type IssueRequest = Static<typeof IssueSchema>;

export const CrewLinkSchema = closed({
  label: Name,
  who: Type.String({ minLength: 1, maxLength: 120 }),
  /** First revisions of the packages that it is for; all of the site when there is none. */
  roots: Type.Unsafe<string[] | null>({ anyOf: [{ type: 'null' }, Type.Array(Uuid, { minItems: 1, maxItems: 500 })] }),
  days: Type.Integer({ minimum: 1, maximum: 400 }),
});
export type CrewLinkAsked = Static<typeof CrewLinkSchema>;

export const CrewReportSchema = closed({
  mark: Uuid,
  kind: Words('destroyed', 'moved'),
  who: Type.String({ maxLength: 80 }),
  text: Type.String({ maxLength: 500 }),
});

/** Labels by the paper they are on: sheets and how many, rolls and how wide. */
const LabelFormats = Words('a4of24', 'a4of14', 'a4of8', 'letterOf30', 'letterOf10', 'roll24', 'roll36', 'roll62');
export type LabelFormat = Static<typeof LabelFormats>;

const Always = { at: Instant, by: Uuid, timeZone: TimeZone };
const OfPackage = {
  ...Always,
  /** The revision in force of the package. */
  package: Uuid,
  /** Keys of its marks; all that are set when there are none. */
  keys: Type.Optional(Type.Array(Type.String({ minLength: 1, maxLength: 200 }), { maxItems: 5000 })),
  /** The crew's link that codes lead to. */
  link: Type.Optional(Uuid),
};

export const PaperSchemas = {
  /** `before`: of the marks that are not set yet, with room for the figures of the driven hub. */
  labels: closed({ ...OfPackage, format: LabelFormats, before: Type.Optional(Type.Boolean()) }),
  cards: closed({
    ...OfPackage,
    languages: Type.Array(Type.String({ minLength: 2, maxLength: 12 }), { minItems: 1, maxItems: 6 }),
  }),
  sketch: closed({
    ...OfPackage,
    paper: Words('A4', 'A3', 'letter', 'tabloid'),
    upright: Type.Boolean(),
    dimensions: Type.Boolean(),
    diagonals: Type.Boolean(),
    heights: Type.Boolean(),
    offsets: Type.Boolean(),
  }),
  setup: closed({ ...Always, occupation: Uuid }),
  day: closed({ ...Always, day: Day }),
  /** `note`: what is said for who comes next, where the day has not been closed with it yet. */
  shift: closed({
    ...Always,
    note: Type.Optional(Type.String({ maxLength: 2000 })),
    unfinished: Type.Optional(Type.String({ maxLength: 500 })),
  }),
  controlCard: closed({ ...Always, mark: Uuid }),
  controlLabels: closed({ ...Always, format: LabelFormats }),
} as const;
export type PaperKind = keyof typeof PaperSchemas;
export type PaperAsked<K extends PaperKind> = Static<(typeof PaperSchemas)[K]>;

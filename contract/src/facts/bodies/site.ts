/** The site, its people, and what is said about it. */
import { ConventionId } from './convention.ts';
import {
  AngleUnitName,
  closed,
  Day,
  laterReference,
  LengthUnitName,
  Name,
  NullableCoordinate,
  nullableReference,
  NullableString,
  Text,
  Type,
  Words,
} from '../parts.ts';

export const ToleranceClassBody = closed({
  id: Type.String({ minLength: 1, maxLength: 40, pattern: '^[a-z0-9-]+$' }),
  name: Name,
  planMm: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
  heightMm: Type.Number({ exclusiveMinimum: 0, maximum: 10_000 }),
  leastMarks: Type.Integer({ minimum: 2, maximum: 20 }),
  /** How far off hubs of such work stand as a rule here, metres. */
  offset: Type.Optional(Type.Unsafe<number | null>({ type: ['number', 'null'], exclusiveMinimum: 0, maximum: 1000 })),
});

const RangeStart = Type.Unsafe<number | null>({ type: ['integer', 'null'], minimum: 1, maximum: 99_999_999 });

export const RoleWord = Words('lead', 'technician', 'apprentice');

/** A word or two, as they stand in a sentence; empty for the preset's. */
const OwnWord = Type.Optional(Type.String({ maxLength: 24, pattern: "^[\\p{L} '’-]*$" }));

export const SiteBody = closed({
  name: Name,
  lengthUnit: LengthUnitName,
  angleUnit: AngleUnitName,
  axisOrder: Words('EN', 'NE'),
  /** True height that the site calls zero; null when heights are true heights. */
  siteZero: NullableCoordinate,
  /** System and zone of the plan coordinates, and what heights are counted from, as people name them. */
  coordinateSystem: Type.String({ maxLength: 120 }),
  heightDatum: Type.String({ maxLength: 120 }),
  /** Grid distance over horizontal distance: 1 where coordinates are ground distances. */
  combinedScaleFactor: Type.Number({ minimum: 0.9, maximum: 1.1 }),
  proofIntervalMinutes: Type.Integer({ minimum: 5, maximum: 480 }),
  classes: Type.Array(ToleranceClassBody, { minItems: 1, maxItems: 40 }),
  /** How stakes are written where a package says nothing else. */
  convention: ConventionId,
  /** Which simulated ground truth belongs to this site; null when there is none. */
  practiceGround: NullableString,
  /** Colours of paint and what they mean here, and where paint has to be discreet. */
  paint: Type.Optional(Type.String({ maxLength: 500 })),
  /** Who set the control, and how to reach them. */
  surveyor: Type.Optional(Type.String({ maxLength: 200 })),
  /** What people are here; who is not named is a technician. */
  roles: Type.Optional(Type.Array(closed({ member: laterReference('member'), role: RoleWord }), { maxItems: 200 })),
  /** Where names that count up begin, by kind; null for letters of their own. */
  numbers: Type.Optional(closed({ asBuilt: RangeStart, lines: RangeStart, ownControl: RangeStart })),
  /** What a place along a line is called. */
  alongWord: Type.Optional(Words('chainage', 'station', 'along')),
  /** The English of the site: one of two presets, and single words of its own, in the singular. */
  wording: Type.Optional(
    closed({
      preset: Words('northAmerican', 'british'),
      /** Sites in feet: small lengths in inches to such a part, with decimal feet beside. */
      small: Type.Optional(Words('sixteenth', 'thirtySecond')),
      own: Type.Optional(
        closed({
          hub: OwnWord,
          lath: OwnWord,
          along: OwnWord,
          elevation: OwnWord,
          benchmark: OwnWord,
          shot: OwnWord,
          checkShot: OwnWord,
          curb: OwnWord,
          azimuth: OwnWord,
          grade: OwnWord,
        }),
      ),
    }),
  ),
  /** How stations along a line are written: 12+34.56, 1+234.567, or as a plain number. */
  stationFormat: Type.Optional(Words('hundred', 'thousand', 'plain')),
  /** What its papers are printed on: letter for sites in feet, A4 for those in metres, where nothing is said. */
  paper: Type.Optional(Words('A4', 'letter')),
  /** Address under which phones reach the crew’s page, such as http://192.168.1.20:4181. */
  publicAddress: Type.Optional(Type.String({ maxLength: 200, pattern: '^(https?://[^\\s/?#]+)?$' })),
  /** Which roles may accept a station that meets its class, and one that does not. Nobody named: everybody. */
  mayAccept: Type.Optional(
    closed({ accepted: Type.Array(RoleWord, { maxItems: 3 }), provisional: Type.Array(RoleWord, { maxItems: 3 }) }),
  ),
});

/** Who works here; a crew is one that speaks through its page alone. */
export const MemberBody = closed({ name: Name, crew: Type.Optional(Type.Boolean()) });

export const WithdrawalBody = closed({
  record: nullableReference('any'),
  occupation: nullableReference('occupation'),
  reason: Text,
});

/**
 * The end of a day, and what whoever comes next has to know. `unfinished`: why it ended although something was missing;
 * empty when nothing was.
 */
export const DayEndBody = closed({ day: Day, note: Text, unfinished: Type.String({ maxLength: 500 }) });

export const NoteBody = closed({ text: Type.String({ minLength: 1, maxLength: 2000 }) });

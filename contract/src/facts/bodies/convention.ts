/** How stakes are written here: a convention that was chosen and adapted. */
import { STAKE_MARK_KINDS, STAKE_PARTS, STAKE_TERMS } from '@idle-marker/core';
import { closed, Name, nullableReference, Type, Uuid, Words } from '../parts.ts';

const Lines = Type.Array(closed({ part: Words(...STAKE_PARTS), ruled: Type.Boolean() }), {
  maxItems: STAKE_PARTS.length,
});
const Written = Type.String({ minLength: 1, maxLength: 24, pattern: '^\\S([^\\r\\n\\t]*\\S)?$' });
const Colour = Type.String({ maxLength: 40 });
export const RoundingWord = Words('finest', 'hundredth', 'tenth', 'sixteenth');

/** One that ships, by its name, or one of this site, by its identity. */
export const ConventionId = Type.String({ minLength: 1, maxLength: 40, pattern: '^[A-Za-z0-9-]+$' });
export const PointOnMarkWord = Words('nail', 'tack', 'hubCentre', 'top', 'crossing', 'punch');

export const ConventionBody = closed({
  /** Identity over all revisions. */
  convention: Uuid,
  /** Lengths of the lath in metres. */
  rules: closed({
    name: Name,
    carrier: Words('lath', 'peg', 'surface'),
    sides: closed({ front: Lines, back: Lines, left: Lines, right: Lines }),
    abbreviate: Type.Boolean(),
    showUnit: Type.Boolean(),
    cut: Written,
    fill: Written,
    onGrade: Written,
    rounding: closed({ offset: RoundingWord, height: RoundingWord }),
    offsetFigure: Words('asSet', 'plannedWithin'),
    abbreviations: Type.Array(closed({ term: Words(...STAKE_TERMS), short: Written }), { maxItems: 60 }),
    usual: closed({
      offsetTo: Type.Array(Words(...STAKE_TERMS), { maxItems: 60 }),
      heightTo: Type.Array(Words(...STAKE_TERMS), { maxItems: 60 }),
    }),
    unusualPaint: Colour,
    facing: Words('toItem', 'angled', 'alongRoad'),
    lath: closed({
      length: Type.Number({ minimum: 0.05, maximum: 5 }),
      width: Type.Number({ minimum: 0.01, maximum: 1 }),
      inGround: Type.Number({ minimum: 0, maximum: 5 }),
      letterHeight: Type.Number({ minimum: 0.003, maximum: 0.2 }),
      writing: Words('across', 'along'),
    }),
    colours: Type.Array(closed({ kind: Words(...STAKE_MARK_KINDS), ribbon: Colour, paint: Colour }), { maxItems: 10 }),
    languages: Type.Array(Type.String({ pattern: '^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$' }), { minItems: 1, maxItems: 10 }),
  }),
  retired: Type.Boolean(),
  supersedes: nullableReference('convention'),
});

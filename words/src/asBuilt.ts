/** What was measured as it stands, in words: never a bare sign. */
import {
  compassWord,
  formatLength,
  lengthToMetres,
  type AngleUnit,
  type FaceResult,
  type LengthUnit,
  type Metres,
  type PatternFit,
  type Radians,
} from '@idle-marker/core';
import { coarseAngle, type SiteUnits } from './angles.ts';
import { ALONG_WORD, type AlongWord } from './schools.ts';
import { smallLength } from './small.ts';
import { cutFillWords } from './stakeLines.ts';
import { LENGTH_DECIMALS, UNIT_ABBREVIATION } from './vocabulary.ts';

export const FACE_EDGE = { first: 'first edge', second: 'second edge', middle: 'middle' } as const;

/** "12 mm east, 3 mm south"; "on its place" when both round to nothing. */
export function offWords(dE: Metres, dN: Metres, unit: LengthUnit): string {
  const part = (metres: Metres, plus: string, minus: string): string[] => {
    const said = smallLength(metres, unit);
    return /[1-9]/.test(said) ? [`${said} ${metres > 0 ? plus : minus}`] : [];
  };
  const parts = [...part(dE, 'east', 'west'), ...part(dN, 'north', 'south')];
  return parts.length === 0 ? 'on its place' : parts.join(', ');
}

/** "4 mm high" or "4 mm low". */
export function heightOffWords(dZ: Metres | null, unit: LengthUnit): string {
  if (dZ === null) return 'no height';
  const said = smallLength(dZ, unit);
  return /[1-9]/.test(said) ? `${said} ${dZ > 0 ? 'high' : 'low'}` : 'at its height';
}

/**
 * "0.120 m above Finished grade: CUT 0.120": of ground, what is to be done about it stands beside it.
 *
 * @param over height of the ground less that of the surface; null where there is none
 */
export function overSurfaceWords(over: Metres | null, surface: string, unit: LengthUnit): string {
  if (over === null) return `Off ${surface}: no height here`;
  const figure = formatLength(Math.abs(over), unit, LENGTH_DECIMALS);
  if (!/[1-9]/.test(figure)) return `On ${surface}`;
  return `${figure} ${UNIT_ABBREVIATION[unit]} ${over > 0 ? 'above' : 'below'} ${surface}: ${cutFillWords(over, unit)}`;
}

/** "0.150 m right of line A, looking along it": the side by the hand and by the compass. */
export function sideWords(offset: Metres, azimuth: Radians, unit: LengthUnit): string {
  const figure = formatLength(Math.abs(offset), unit, LENGTH_DECIMALS);
  if (!/[1-9]/.test(figure)) return 'on the line';
  const side = compassWord(azimuth + (offset > 0 ? Math.PI / 2 : -Math.PI / 2));
  return `${figure} ${UNIT_ABBREVIATION[unit]} ${side} of the line`;
}

interface FaceSaid {
  readonly line: string;
  /** Direction of the line. */
  readonly azimuth: Radians;
  readonly crossing: string;
  readonly crossingAlong: Metres;
  readonly tolerance: Metres;
  readonly unit: LengthUnit;
  readonly angleUnit: AngleUnit;
}

export interface FaceJudgement {
  readonly tone: 'good' | 'ochre' | 'brick';
  readonly title: string;
  /** One sentence a matter. */
  readonly lines: readonly string[];
  /** What to write on the column, so that nobody measures again. */
  readonly write: readonly string[];
}

/** What a face says about its column: on line or not, turned, leaning, centred on the crossing line. */
export function faceWords(face: FaceResult, { line, azimuth, crossing, crossingAlong, tolerance, unit, angleUnit }: FaceSaid): FaceJudgement {
  const lines = [`The face stands ${sideWords(face.offset, azimuth, unit).replace('the line', `line ${line}`)}.`];
  const faults: string[] = [];
  const small = (metres: Metres) => smallLength(metres, unit);
  // Nothing is measured to nothing: the finest figure that is written is the least that is claimed.
  const within = (metres: Metres) => small(Math.max(Math.abs(metres), unit === 'metre' ? 0.001 : lengthToMetres(0.001, unit)));
  const toSide = (metres: Metres) => compassWord(azimuth + (metres > 0 ? Math.PI / 2 : -Math.PI / 2));
  const ahead = compassWord(azimuth);
  const back = compassWord(azimuth + Math.PI);
  if (face.centreOffset === null) lines.push('Tape the width across the line: half of it tells whether the middle is on the line.');
  else if (Math.abs(face.centreOffset) <= tolerance) lines.push(`Its middle is on line ${line} within ${within(face.centreOffset)}.`);
  else {
    faults.push('off line');
    lines.push(`Its middle is ${small(face.centreOffset)} ${toSide(face.centreOffset)} of line ${line}.`);
  }
  if (face.twist === null) lines.push('Shoot the other edge too: one edge alone does not show a twist.');
  else if (Math.abs(face.twist.across) <= tolerance) lines.push(`Both edges agree within ${within(face.twist.across)}.`);
  else {
    faults.push('twisted');
    lines.push(
      `It is twisted by ${coarseAngle(Math.abs(face.twist.angle), angleUnit, 2)}: the edge to the ${ahead} stands ${small(face.twist.across)} farther ${toSide(face.twist.across)}.`,
    );
  }
  if (face.centreAlong !== null) {
    const off = face.centreAlong - crossingAlong;
    if (Math.abs(off) <= tolerance) lines.push(`It is centred on line ${crossing} within ${within(off)}.`);
    else {
      faults.push(`off line ${crossing}`);
      lines.push(`Along the line it is ${small(off)} ${off > 0 ? ahead : back} of line ${crossing}.`);
    }
  }
  if (face.lean) {
    const over = formatLength(face.lean.over, unit, 2);
    if (Math.abs(face.lean.across) <= tolerance) lines.push(`It is plumb within ${within(face.lean.across)} over ${over} ${UNIT_ABBREVIATION[unit]}.`);
    else {
      faults.push('leaning');
      lines.push(`It leans ${small(face.lean.across)} to the ${toSide(face.lean.across)} over ${over} ${UNIT_ABBREVIATION[unit]}.`);
    }
  }
  const spread = Math.max(0, ...face.sides.map((side) => side.spread ?? 0));
  if (spread > tolerance) lines.push(`Shots to the same spot differ by ${small(spread)}: hold the target flat to the face and turned to the instrument.`);
  return {
    tone: faults.length > 0 ? 'brick' : face.twist === null || face.centreOffset === null ? 'ochre' : 'good',
    title:
      faults.length > 0
        ? `Column ${line}-${crossing}: ${faults.join(', ')}`
        : face.twist === null || face.centreOffset === null
          ? `Column ${line}-${crossing}: not complete`
          : `Column ${line}-${crossing} stands where it should`,
    lines,
    write: [
      `face ${formatLength(Math.abs(face.offset), unit, LENGTH_DECIMALS)} to line ${line}`,
      `line ${line} is ${compassWord(azimuth + (face.offset > 0 ? -Math.PI / 2 : Math.PI / 2))} of here`,
    ],
  };
}

/** Bolts as a group: where the template lies, and what is left at the worst of them. */
export function patternWords(
  fit: PatternFit,
  bolts: number,
  tolerance: Metres,
  { lengthUnit: unit, angleUnit }: SiteUnits,
): { readonly tone: 'good' | 'brick'; readonly title: string; readonly text: string } {
  const whole = Math.hypot(fit.shift.e, fit.shift.n);
  const good = whole <= tolerance && fit.worst.by <= tolerance;
  const turn =
    Math.abs(fit.turn) > 1e-5 ? `turned ${coarseAngle(Math.abs(fit.turn), angleUnit, 2)} ${fit.turn > 0 ? 'clockwise' : 'counterclockwise'}` : 'not turned';
  const left = `${fit.worst.name} is then left ${smallLength(fit.worst.by, unit)} from its place in the pattern`;
  return {
    tone: good ? 'good' : 'brick',
    title:
      fit.worst.by > tolerance
        ? `${fit.worst.name} is out of the pattern by ${smallLength(fit.worst.by, unit)}`
        : whole > tolerance
          ? `The pattern is good, but stands ${smallLength(whole, unit)} off`
          : 'The group is where it should be',
    text: `As a whole the ${bolts} bolts lie ${offWords(fit.shift.e, fit.shift.n, unit)}, ${turn}; ${left}. Allowed are ${smallLength(tolerance, unit)}.`,
  };
}

/** Off a line, in its figure and its way: "0.152" and "m right of line A, its east side". */
export function offLineParts(
  offset: Metres,
  azimuth: Radians,
  line: string,
  unit: LengthUnit,
  kind: 'line' | 'arc' = 'line',
): { readonly figure: string | null; readonly way: string } {
  const figure = formatLength(Math.abs(offset), unit, LENGTH_DECIMALS);
  if (!/[1-9]/.test(figure)) return { figure: null, way: `on ${kind} ${line}` };
  const right = offset > 0;
  const side = compassWord(azimuth + (right ? Math.PI / 2 : -Math.PI / 2));
  return { figure, way: `${UNIT_ABBREVIATION[unit]} ${right ? 'right' : 'left'} (${side}) of ${kind} ${line}` };
}

/** Along a line: "7.320 m along it", or before its start or beyond its end. */
export function alongWords(chainage: Metres, position: 'before' | 'on' | 'after', unit: LengthUnit, word: AlongWord = 'along'): string {
  const figure = `${formatLength(Math.abs(chainage), unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]}`;
  const on = word === 'along' ? `${figure} along it` : `${ALONG_WORD[word]} ${figure}`;
  return position === 'before' ? `${figure} before its start` : `${on}${position === 'after' ? ', beyond its end' : ''}`;
}

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
import { msg, worded } from './message.ts';
import { coarseAngle, type SiteUnits } from './angles.ts';
import { alongLabel, type AlongWord } from './schools.ts';
import { smallLength, steelLength } from './small.ts';
import { cutFillWords } from './stakeLines.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

export const faceEdgeWords = worded(
  () =>
    ({
      first: msg('asBuilt.firstEdge'),
      second: msg('asBuilt.secondEdge'),
      middle: 'middle',
    }) as const,
);

/** "12 mm east, 3 mm south"; "on its place" when both round to nothing. */
export function offWords(dE: Metres, dN: Metres, unit: LengthUnit): string {
  const part = (metres: Metres, plus: string, minus: string): string[] => {
    const said = smallLength(metres, unit);
    return /[1-9]/.test(said) ? [`${said} ${metres > 0 ? plus : minus}`] : [];
  };
  const parts = [...part(dE, 'east', 'west'), ...part(dN, 'north', 'south')];
  return parts.length === 0 ? msg('asBuilt.onItsPlace') : parts.join(', ');
}

/** "4 mm high" or "4 mm low". */
export function heightOffWords(dZ: Metres | null, unit: LengthUnit): string {
  if (dZ === null) return msg('asBuilt.noHeight');
  const said = smallLength(dZ, unit);
  return /[1-9]/.test(said) ? `${said} ${dZ > 0 ? 'high' : 'low'}` : msg('asBuilt.atItsHeight');
}

/**
 * "0.120 m above Finished grade: CUT 0.120": of ground, what is to be done about it stands beside it.
 *
 * @param over height of the ground less that of the surface; null where there is none
 */
export function overSurfaceWords(over: Metres | null, surface: string, unit: LengthUnit): string {
  if (over === null) return msg('asBuilt.offNoHeightHere', { surface });
  const figure = formatLength(Math.abs(over), unit, LENGTH_DECIMALS);
  if (!/[1-9]/.test(figure)) return msg('asBuilt.on', { surface });
  return `${figure} ${unitAbbreviationWords()[unit]} ${over > 0 ? 'above' : 'below'} ${surface}: ${cutFillWords(over, unit)}`;
}

/** "0.150 m right of line A, looking along it": the side by the hand and by the compass. */
export function sideWords(offset: Metres, azimuth: Radians, unit: LengthUnit): string {
  const figure = formatLength(Math.abs(offset), unit, LENGTH_DECIMALS);
  if (!/[1-9]/.test(figure)) return msg('asBuilt.onTheLine');
  const side = compassWord(azimuth + (offset > 0 ? Math.PI / 2 : -Math.PI / 2));
  return msg('asBuilt.ofTheLine', { figure, unitAbbreviation: unitAbbreviationWords()[unit], side });
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
export function faceWords(
  face: FaceResult,
  { line, azimuth, crossing, crossingAlong, tolerance, unit, angleUnit }: FaceSaid,
): FaceJudgement {
  const lines = [
    msg('asBuilt.theFaceStands', { side: sideWords(face.offset, azimuth, unit).replace('the line', `line ${line}`) }),
  ];
  const faults: string[] = [];
  const small = (metres: Metres) => smallLength(metres, unit);
  // Nothing is measured to nothing: the finest figure that is written is the least that is claimed.
  const within = (metres: Metres) =>
    small(Math.max(Math.abs(metres), unit === 'metre' ? 0.001 : lengthToMetres(0.001, unit)));
  const toSide = (metres: Metres) => compassWord(azimuth + (metres > 0 ? Math.PI / 2 : -Math.PI / 2));
  const ahead = compassWord(azimuth);
  const back = compassWord(azimuth + Math.PI);
  if (face.centreOffset === null) lines.push(msg('asBuilt.tapeTheWidthAcrossTheLineHalf'));
  else if (Math.abs(face.centreOffset) <= tolerance)
    lines.push(msg('asBuilt.itsMiddleIsOnLineWithin', { line, within: within(face.centreOffset) }));
  else {
    faults.push(msg('asBuilt.offLine'));
    lines.push(
      msg('asBuilt.itsMiddleIsOfLine', { small: small(face.centreOffset), toSide: toSide(face.centreOffset), line }),
    );
  }
  if (face.twist === null) lines.push(msg('asBuilt.shootTheOtherEdgeTooOneEdge'));
  else if (Math.abs(face.twist.across) <= tolerance)
    lines.push(msg('asBuilt.bothEdgesAgreeWithin', { within: within(face.twist.across) }));
  else {
    faults.push('twisted');
    lines.push(
      msg('asBuilt.itIsTwistedByTheEdgeTo', {
        coarseAngle: coarseAngle(Math.abs(face.twist.angle), angleUnit, 2),
        ahead,
        small: small(face.twist.across),
        toSide: toSide(face.twist.across),
      }),
    );
  }
  if (face.centreAlong !== null) {
    const off = face.centreAlong - crossingAlong;
    if (Math.abs(off) <= tolerance)
      lines.push(msg('asBuilt.itIsCentredOnLineWithin', { crossing, within: within(off) }));
    else {
      faults.push(msg('asBuilt.offLine2', { crossing }));
      lines.push(msg('asBuilt.alongTheLineItIsOfLine', { small: small(off), off: off > 0 ? ahead : back, crossing }));
    }
  }
  if (face.lean) {
    const over = formatLength(face.lean.over, unit, 2);
    if (Math.abs(face.lean.across) <= tolerance)
      lines.push(
        msg('asBuilt.itIsPlumbWithinOver', {
          within: within(face.lean.across),
          over,
          unitAbbreviation: unitAbbreviationWords()[unit],
        }),
      );
    else {
      faults.push('leaning');
      lines.push(
        msg('asBuilt.itLeansToTheOver', {
          small: small(face.lean.across),
          toSide: toSide(face.lean.across),
          over,
          unitAbbreviation: unitAbbreviationWords()[unit],
        }),
      );
    }
  }
  /** The other line of the crossing, from the middle of the column: what stands at both is set by both. */
  const crossingWritten = (off: Metres | null): string[] => {
    if (off === null) return [];
    const length = steelLength(off, unit);
    return [
      /[1-9]/.test(length)
        ? msg('asBuilt.crossingFromMiddle', { crossing, length, compassWord: off > 0 ? back : ahead })
        : msg('asBuilt.crossingOnMiddle', { crossing }),
    ];
  };
  const spread = Math.max(0, ...face.sides.map((side) => side.spread ?? 0));
  if (spread > tolerance) lines.push(msg('asBuilt.shotsToTheSameSpotDifferBy', { small: small(spread) }));
  return {
    tone: faults.length > 0 ? 'brick' : face.twist === null || face.centreOffset === null ? 'ochre' : 'good',
    title:
      faults.length > 0
        ? msg('asBuilt.column', { line, crossing, faults: faults.join(', ') })
        : face.twist === null || face.centreOffset === null
          ? msg('asBuilt.columnNotComplete', { line, crossing })
          : msg('asBuilt.columnStandsWhereItShould', { line, crossing }),
    lines,
    write: [
      msg('asBuilt.faceToLine', { length: steelLength(face.offset, unit), line }),
      msg('asBuilt.lineIsOfHere', {
        line,
        compassWord: compassWord(azimuth + (face.offset > 0 ? -Math.PI / 2 : Math.PI / 2)),
      }),
      ...crossingWritten(face.centreAlong === null ? null : face.centreAlong - crossingAlong),
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
    Math.abs(fit.turn) > 1e-5
      ? msg('asBuilt.turned', {
          coarseAngle: coarseAngle(Math.abs(fit.turn), angleUnit, 2),
          turn: fit.turn > 0 ? 'clockwise' : 'counterclockwise',
        })
      : msg('asBuilt.notTurned');
  const left = msg('asBuilt.isThenLeftFromItsPlaceIn', {
    name: fit.worst.name,
    smallLength: smallLength(fit.worst.by, unit),
  });
  return {
    tone: good ? 'good' : 'brick',
    title:
      fit.worst.by > tolerance
        ? msg('asBuilt.isOutOfThePatternBy', { name: fit.worst.name, smallLength: smallLength(fit.worst.by, unit) })
        : whole > tolerance
          ? msg('asBuilt.thePatternIsGoodButStandsOff', { smallLength: smallLength(whole, unit) })
          : msg('asBuilt.theGroupIsWhereItShouldBe'),
    text: msg('asBuilt.asAWholeTheBoltsLieAllowed', {
      bolts,
      off: offWords(fit.shift.e, fit.shift.n, unit),
      turn,
      left,
      smallLength: smallLength(tolerance, unit),
    }),
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
  if (!/[1-9]/.test(figure)) return { figure: null, way: msg('asBuilt.on2', { kind, line }) };
  const right = offset > 0;
  const side = compassWord(azimuth + (right ? Math.PI / 2 : -Math.PI / 2));
  return {
    figure,
    way: msg('asBuilt.of', {
      unitAbbreviation: unitAbbreviationWords()[unit],
      right: right ? 'right' : 'left',
      side,
      kind,
      line,
    }),
  };
}

/** Along a line: "7.320 m along it", or before its start or beyond its end. */
export function alongWords(
  chainage: Metres,
  position: 'before' | 'on' | 'after',
  unit: LengthUnit,
  word: AlongWord = 'along',
): string {
  const figure = `${formatLength(Math.abs(chainage), unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  const on = word === 'along' ? msg('asBuilt.alongIt', { figure }) : `${alongLabel()[word]} ${figure}`;
  return position === 'before'
    ? msg('asBuilt.beforeItsStart', { figure })
    : `${on}${position === 'after' ? msg('asBuilt.beyondItsEnd') : ''}`;
}

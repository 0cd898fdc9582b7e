/** Words along a road: stations as this site writes them, what happens at them, where something lies. */
import {
  CENTRELINE,
  formatLength,
  formatStation,
  lengthFromMetres,
  lengthToMetres,
  parseStation,
  type AlignmentError,
  type IntersectionError,
  type JunctionName,
  type LengthUnit,
  type Metres,
  type ProfileError,
  type StationFormat,
  type StationListError,
  type StationReason,
  type TemplateError,
  type TypedElementError,
} from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { elementFaultWords, profileFaultWords } from './landXml.ts';
import { templateFaultWords } from './template.ts';
import { LENGTH_DECIMALS, unitAbbreviationWords } from './vocabulary.ts';

export const alignmentKindWords = worded(
  () =>
    ({
      road: msg('common.road'),
      rail: msg('roadWords.railLine'),
      pipe: msg('roadWords.pipeRun'),
      wall: msg('roadWords.wallLine'),
      other: msg('common.line'),
    }) as const,
);

/** How stations are written where the site says nothing: hundreds of feet, thousands of metres. */
export const usualStationFormat = (unit: LengthUnit): StationFormat => (unit === 'metre' ? 'thousand' : 'hundred');

export const stationFormatChoices = worded((): readonly (readonly [StationFormat, string])[] => [
  ['hundred', msg('roadWords.n123456HundredsBeforeThePlus')],
  ['thousand', msg('roadWords.n1234567ThousandsBeforeThePlus')],
  ['plain', msg('roadWords.n1234567APlainNumber')],
]);

/** How this site writes stations. */
export interface StationStyle {
  readonly unit: LengthUnit;
  readonly format: StationFormat;
}

/** A station or chainage as written on stakes, with a true minus sign. */
export const stationText = (station: Metres, { unit, format }: StationStyle, decimals = LENGTH_DECIMALS): string =>
  formatStation(lengthFromMetres(station, unit), format, decimals).replace(/^-/, '−');

/** As short as it can be told: 0+120, not 0+120.000. */
export function shortStation(station: Metres, style: StationStyle): string {
  for (let decimals = 0; decimals < LENGTH_DECIMALS; decimals++)
    if (
      Math.abs(
        Number(lengthFromMetres(station, style.unit).toFixed(decimals)) - lengthFromMetres(station, style.unit),
      ) < 0.0005
    )
      return stationText(station, style, decimals);
  return stationText(station, style);
}

/**
 * Which stretch of a line with station equations: by the equations at its ends, as they are written on the drawing.
 *
 * @param region equations passed, 0 before the first
 */
export function regionWords(
  jumps: readonly { readonly back: Metres; readonly ahead: Metres }[],
  region: number,
  style: StationStyle,
): string {
  const equation = (i: number): string =>
    `${shortStation(jumps[i]!.back, style)} = ${shortStation(jumps[i]!.ahead, style)}`;
  if (jumps.length === 0) return '';
  if (region === 0) return msg('road.beforeEquation', { equation: equation(0) });
  if (region >= jumps.length) return msg('road.afterEquation', { equation: equation(jumps.length - 1) });
  return msg('road.betweenEquations', { first: equation(region - 1), second: equation(region) });
}

/** A station as somebody types it; null when it is none. */
export function readStation(text: string, { unit, format }: StationStyle): Metres | null {
  const value = parseStation(text.replace('−', '-').replace(',', '.'), format);
  return value === null ? null : lengthToMetres(value, unit);
}

export const junctionWords = worded((): Readonly<Record<JunctionName, string>> => ({
  BOP: msg('roadWords.startOfTheLine'),
  EOP: msg('roadWords.endOfTheLine'),
  TS: msg('roadWords.spiralBegins'),
  SC: msg('roadWords.spiralEndsCurveBegins'),
  CS: msg('roadWords.curveEndsSpiralBegins'),
  ST: msg('roadWords.spiralEnds'),
  SS: msg('roadWords.spiralMeetsSpiral'),
  PC: msg('roadWords.curveBegins'),
  PT: msg('roadWords.curveEnds'),
  PCC: msg('roadWords.curveMeetsACurveOfTheSame'),
  PRC: msg('roadWords.curveMeetsACurveOfTheOther'),
  PI: msg('roadWords.bendWithoutACurve'),
}));

/** Why a station is in a list, in a few words. */
export function stationReasonWords(reason: StationReason, style: StationStyle): string {
  switch (reason.kind) {
    case 'interval':
      return msg('roadWords.roundStation');
    case 'start':
      return junctionWords().BOP;
    case 'end':
      return junctionWords().EOP;
    case 'junction':
      return junctionWords()[reason.name];
    case 'verticalBegin':
      return msg('roadWords.verticalCurveBegins');
    case 'verticalEnd':
      return msg('roadWords.verticalCurveEnds');
    case 'gradeBreak':
      return msg('roadWords.gradeBreak');
    case 'high':
      return msg('roadWords.highPoint');
    case 'low':
      return msg('roadWords.lowPoint');
    case 'equation':
      return msg('roadWords.stationsJumpBack', { station: stationText(reason.back, style) });
    case 'stringChange':
      return msg('roadWords.changes', { string: stringWords(reason.string) });
    case 'part':
      return partWords(reason.part, reason.parts);
    case 'extra':
      return msg('roadWords.askedFor');
  }
}

const partNames = worded((): Readonly<Record<string, string>> => ({
  '1/2': 'middle',
  '1/4': msg('roadWords.firstQuarter'),
  '3/4': msg('roadWords.thirdQuarter'),
  '1/3': msg('roadWords.firstThird'),
  '2/3': msg('roadWords.secondThird'),
}));
function partWords(part: number, parts: number): string {
  const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
  const by = divisor(part, parts);
  return partNames()[`${part / by}/${parts / by}`]
    ? msg('roadWords.ofTheCurve', { parts: partNames()[`${part / by}/${parts / by}`] })
    : msg('roadWords.ofPartsOfTheCurve', { part, parts });
}

/** What somebody who asked for a list has to change. */
export function stationListFaultWords(fault: StationListError, style: StationStyle): string {
  switch (fault.code) {
    case 'INTERVAL_NOT_POSITIVE':
      return msg('roadWords.giveAnIntervalOver0');
    case 'TOO_MANY_STATIONS':
      return msg('roadWords.thatWouldBeStationsTakeALonger', { stations: fault.stations });
    case 'NOTHING_BETWEEN':
      return msg('roadWords.thereIsNothingOfTheLineBetween', {
        station: stationText(fault.from, style),
        station2: stationText(fault.to, style),
      });
  }
}

/** Why a line can't be used as it is. */
export function roadFaultWords(
  fault: AlignmentError | ProfileError | TemplateError | IntersectionError | TypedElementError,
  style: StationStyle,
): string {
  const length = (metres: Metres) =>
    `${formatLength(metres, style.unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[style.unit]}`;
  switch (fault.code) {
    case 'ALIGNMENT_WITHOUT_ELEMENTS':
      return msg('roadWords.theLineHasNoElements');
    case 'ELEMENT_FAULT':
      return msg('roadWords.elementA', {
        element: fault.element + 1,
        kind: fault.kind,
        elementFault: elementFaultWords(fault.fault),
      });
    case 'EQUATION_OUTSIDE':
      return msg('roadWords.theStationsJumpAtWhichLiesOutside', { station: stationText(fault.at, style) });
    case 'EQUATIONS_AT_ONE_PLACE':
      return msg('roadWords.theStationsJumpTwiceAtOnePlace', { station: stationText(fault.at, style) });
    case 'PROFILE_TOO_SHORT':
    case 'PROFILE_NOT_RISING':
    case 'PROFILE_CURVE_AT_END':
    case 'PROFILE_CURVE_WITHOUT_SIZE':
    case 'PROFILE_CURVES_OVERLAP':
      return msg('roadWords.theProfile', {
        profileFault: profileFaultWords(fault, (value) => stationText(value, style)),
      });
    case 'STRING_TWICE':
    case 'STRING_UNKNOWN':
    case 'STRINGS_IN_A_RING':
    case 'TABLE_EMPTY':
    case 'TABLE_NOT_RISING':
      return templateFaultWords(fault);
    case 'TOO_FEW_INTERSECTIONS':
      return msg('roadWords.aLineNeedsAtLeastItsTwo');
    case 'INTERSECTIONS_IN_ONE_PLACE':
      return msg('roadWords.pointLiesOnTheOneBeforeIt', { point: fault.point + 1 });
    case 'INTERSECTION_RADIUS_NOT_POSITIVE':
      return msg('roadWords.theRadiusOfPointMustBeOver', { point: fault.point + 1 });
    case 'SPIRAL_WITHOUT_RADIUS':
      return msg('roadWords.pointHasSpiralsButNoRadius', { point: fault.point + 1 });
    case 'NO_TURN_TO_ROUND':
      return msg('roadWords.theLineDoesNotTurnAtPoint', { point: fault.point + 1 });
    case 'SPIRALS_TURN_TOO_FAR':
      return msg('roadWords.theSpiralsOfPointTurnByMore', { point: fault.point + 1 });
    case 'CURVES_OVERLAP':
      return msg('roadWords.betweenPointsAndTheCurvesNeedMore', {
        point: fault.point,
        point2: fault.point + 1,
        length: length(fault.by),
      });
    case 'TYPED_ELEMENT_WITHOUT_LENGTH':
      return msg('roadWords.elementNeedsALength', { element: fault.element + 1 });
    case 'TYPED_RADIUS_NOT_POSITIVE':
      return msg('roadWords.theRadiusOfElementMustBeOver', { element: fault.element + 1 });
    case 'TYPED_SPIRAL_STRAIGHT':
      return msg('roadWords.elementIsASpiralAndNeedsA', { element: fault.element + 1 });
    case 'TYPED_ELEMENT_WINDS':
      return msg('roadWords.elementGoesRoundMoreThanOnceIs', { element: fault.element + 1 });
  }
}

type RoadRemark =
  | { readonly code: 'NO_PROFILE' }
  | { readonly code: 'PROFILE_STARTS_LATE'; readonly by: Metres; readonly station: Metres }
  | { readonly code: 'PROFILE_ENDS_EARLY'; readonly by: Metres; readonly station: Metres }
  | { readonly code: 'STATIONS_TWICE'; readonly from: Metres; readonly to: Metres };

export function roadRemarkWords(remark: RoadRemark, style: StationStyle): string {
  const length = (metres: Metres) => `${formatLength(metres, style.unit, 1)} ${unitAbbreviationWords()[style.unit]}`;
  switch (remark.code) {
    case 'NO_PROFILE':
      return msg('roadWords.itHasNoProfileThereAreNo');
    case 'PROFILE_STARTS_LATE':
      return msg('roadWords.theProfileBeginsAfterTheLineAt', {
        length: length(remark.by),
        station: stationText(remark.station, style),
      });
    case 'PROFILE_ENDS_EARLY':
      return msg('roadWords.theProfileEndsBeforeTheLineAt', {
        length: length(remark.by),
        station: stationText(remark.station, style),
      });
    case 'STATIONS_TWICE':
      return msg('roadWords.stationsFromToComeTwiceSayWhich', {
        shortStation: shortStation(remark.from, style),
        shortStation2: shortStation(remark.to, style),
      });
  }
}

/** Why there is no height at a place, in one sentence. */
export const noHeightHere = worded(
  () =>
    ({
      noProfile: msg('roadWords.noHeightTheLineHasNoProfile'),
      beyondProfile: msg('roadWords.noHeightTheProfileDoesNotReach'),
      beyondLine: msg('roadWords.noHeightBeyondTheEndOfThe'),
      offSurface: msg('roadWords.noHeightOffTheEdgeOfThe'),
    }) as const,
);

/** Grade in percent, rising positive, with a true minus sign. */
export const gradeText = (grade: number): string =>
  `${grade < 0 ? '−' : grade > 0 ? '+' : ''}${Math.abs(grade * 100).toFixed(2)} %`;

/** To which side of a line something lies: "2.350 m right", "on the line". */
export function offsetWords(offset: Metres, unit: LengthUnit, decimals = LENGTH_DECIMALS): string {
  const figure = formatLength(Math.abs(offset), unit, decimals);
  return /[1-9]/.test(figure)
    ? `${figure} ${unitAbbreviationWords()[unit]} ${offset > 0 ? 'right' : 'left'}`
    : msg('roadWords.onTheLine');
}

/** Where along a line and how far off it, for a book or a report. */
export const roadPlaceWords = (displayed: Metres, offset: Metres, style: StationStyle): string =>
  `${stationText(displayed, style)}, ${offsetWords(offset, style.unit)}`;

/** What the way is like at a place: "on the curve to the left, radius 80.000 m". */
export function shapeWords(kind: 'line' | 'curve' | 'spiral', curvature: number, unit: LengthUnit): string {
  if (kind === 'line') return msg('roadWords.onTheStraight');
  const way = curvature > 0 ? msg('roadWords.toTheRight') : msg('roadWords.toTheLeft');
  const radius = `${formatLength(1 / Math.abs(curvature), unit, 1)} ${unitAbbreviationWords()[unit]}`;
  if (kind === 'curve') return msg('roadWords.onTheCurveRadius', { way, radius });
  return Math.abs(curvature) < 1e-5
    ? msg('roadWords.onTheSpiralWhereItIsStraight')
    : msg('roadWords.onTheSpiralRadiusHere', { way, radius });
}

/** The line itself is kept under one name, whatever the wording; strings have the names they were given. */
const plainString = (name: string): string => (name === CENTRELINE ? msg('roadWords.centerline') : name);

/** A string as it is said: the face, the back and the flow line of a kerb. */
export function stringWords(name: string): string {
  const part = /^(.*)\.(face|back|flowLine)$/.exec(name);
  return part
    ? msg('roadWords.of', {
        value: { face: 'face', back: 'back', flowLine: msg('roadWords.flowLine') }[
          part[2] as 'face' | 'back' | 'flowLine'
        ],
        part: part[1],
      })
    : plainString(name);
}

/** A string as heights are given to it: of a kerb's face and back it is the top. */
export function gradeWords(name: string): string {
  const part = /^(.*)\.(face|back|flowLine)$/.exec(name);
  return part
    ? `${{ face: msg('roadWords.topOf'), back: msg('roadWords.topAtTheBackOf'), flowLine: msg('roadWords.flowLineOf') }[part[2] as 'face' | 'back' | 'flowLine']} ${part[1]}`
    : plainString(name);
}

interface CatchAt {
  readonly kind: 'cut' | 'fill';
  /** From the hinge, level. */
  readonly distance: Metres;
  /** Ground there above the hinge, negative below. */
  readonly overHinge: Metres;
}

/**
 * What is written on a slope stake, a line each: what slope, how far to the hinge, and how much it lies below or above.
 */
export function slopeStakeWords(
  { kind, distance, overHinge }: CatchAt,
  hinge: string,
  run: number,
  unit: LengthUnit,
): string[] {
  const length = (metres: Metres) =>
    `${formatLength(Math.abs(metres), unit, LENGTH_DECIMALS)} ${unitAbbreviationWords()[unit]}`;
  return [
    msg('roadWords.slopeStake1In', { kind, run: Number(run.toFixed(3)) }),
    msg('roadWords.to', { length: length(distance), string: stringWords(hinge) }),
    msg('roadWords.to2', {
      overHinge: overHinge >= 0 ? 'CUT' : 'FILL',
      length: length(overHinge),
      string: stringWords(hinge),
    }),
  ];
}

/** Where the pole has to go to stand on the catch point. */
export function catchMoveWords(move: Metres, unit: LengthUnit, within: Metres): string {
  if (Math.abs(move) <= within) return msg('roadWords.onTheCatchPointTheSlopeMeets');
  const length = `${formatLength(Math.abs(move), unit, 2)} ${unitAbbreviationWords()[unit]}`;
  return msg('roadWords.andShootAgainTheGroundChangesOn', {
    move: move > 0 ? msg('roadWords.out') : msg('roadWords.in'),
    length,
  });
}

type ReturnFault =
  | { readonly code: 'RETURN_PARALLEL' }
  | { readonly code: 'RETURN_OFF_THE_LINE'; readonly road: string }
  | { readonly code: 'RETURN_DOES_NOT_SETTLE' };

/** Why no return joins two kerbs, and what to change. */
export function returnFaultWords(fault: ReturnFault): string {
  switch (fault.code) {
    case 'RETURN_PARALLEL':
      return msg('roadWords.theTwoKerbsRunTheSameWay');
    case 'RETURN_OFF_THE_LINE':
      return msg('roadWords.theArcWouldTouchBeyondItsEnd', { road: fault.road });
    case 'RETURN_DOES_NOT_SETTLE':
      return msg('roadWords.noArcOfThisRadiusTouchesBoth');
  }
}

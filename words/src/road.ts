/** Words along a road: stations as this site writes them, what happens at them, where something lies. */
import {
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
import { elementFaultWords, profileFaultWords } from './landXml.ts';
import { templateFaultWords } from './template.ts';
import { LENGTH_DECIMALS, UNIT_ABBREVIATION } from './vocabulary.ts';

export const ALIGNMENT_KIND = { road: 'Road', rail: 'Rail line', pipe: 'Pipe run', wall: 'Wall line', other: 'Line' } as const;

/** How stations are written where the site says nothing: hundreds of feet, thousands of metres. */
export const usualStationFormat = (unit: LengthUnit): StationFormat => (unit === 'metre' ? 'thousand' : 'hundred');

export const STATION_FORMAT: readonly (readonly [StationFormat, string])[] = [
  ['hundred', '12+34.56, hundreds before the plus'],
  ['thousand', '1+234.567, thousands before the plus'],
  ['plain', '1234.567, a plain number'],
];

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
    if (Math.abs(Number(lengthFromMetres(station, style.unit).toFixed(decimals)) - lengthFromMetres(station, style.unit)) < 0.0005)
      return stationText(station, style, decimals);
  return stationText(station, style);
}

/** A station as somebody types it; null when it is none. */
export function readStation(text: string, { unit, format }: StationStyle): Metres | null {
  const value = parseStation(text.replace('−', '-').replace(',', '.'), format);
  return value === null ? null : lengthToMetres(value, unit);
}

export const JUNCTION: Readonly<Record<JunctionName, string>> = {
  BOP: 'start of the line',
  EOP: 'end of the line',
  TS: 'spiral begins',
  SC: 'spiral ends, curve begins',
  CS: 'curve ends, spiral begins',
  ST: 'spiral ends',
  SS: 'spiral meets spiral',
  PC: 'curve begins',
  PT: 'curve ends',
  PCC: 'curve meets a curve of the same hand',
  PRC: 'curve meets a curve of the other hand',
  PI: 'bend without a curve',
};

/** Why a station is in a list, in a few words. */
export function stationReasonWords(reason: StationReason, style: StationStyle): string {
  switch (reason.kind) {
    case 'interval':
      return 'round station';
    case 'start':
      return JUNCTION.BOP;
    case 'end':
      return JUNCTION.EOP;
    case 'junction':
      return JUNCTION[reason.name];
    case 'verticalBegin':
      return 'vertical curve begins';
    case 'verticalEnd':
      return 'vertical curve ends';
    case 'gradeBreak':
      return 'grade break';
    case 'high':
      return 'high point';
    case 'low':
      return 'low point';
    case 'equation':
      return `stations jump: back ${stationText(reason.back, style)}`;
    case 'stringChange':
      return `${stringWords(reason.string)} changes`;
    case 'part':
      return partWords(reason.part, reason.parts);
    case 'extra':
      return 'asked for';
  }
}

const PARTS: Readonly<Record<string, string>> = {
  '1/2': 'middle',
  '1/4': 'first quarter',
  '3/4': 'third quarter',
  '1/3': 'first third',
  '2/3': 'second third',
};
function partWords(part: number, parts: number): string {
  const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));
  const by = divisor(part, parts);
  return PARTS[`${part / by}/${parts / by}`] ? `${PARTS[`${part / by}/${parts / by}`]} of the curve` : `${part} of ${parts} parts of the curve`;
}

/** What somebody who asked for a list has to change. */
export function stationListFaultWords(fault: StationListError, style: StationStyle): string {
  switch (fault.code) {
    case 'INTERVAL_NOT_POSITIVE':
      return 'Give an interval over 0.';
    case 'TOO_MANY_STATIONS':
      return `That would be ${fault.stations} stations: take a longer interval or a shorter stretch.`;
    case 'NOTHING_BETWEEN':
      return `There is nothing of the line between ${stationText(fault.from, style)} and ${stationText(fault.to, style)}.`;
  }
}

/** Why a line can't be used as it is. */
export function roadFaultWords(fault: AlignmentError | ProfileError | TemplateError | IntersectionError | TypedElementError, style: StationStyle): string {
  const length = (metres: Metres) => `${formatLength(metres, style.unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[style.unit]}`;
  switch (fault.code) {
    case 'ALIGNMENT_WITHOUT_ELEMENTS':
      return 'The line has no elements.';
    case 'ELEMENT_FAULT':
      return `Element ${fault.element + 1}, a ${fault.kind}, ${elementFaultWords(fault.fault)}.`;
    case 'EQUATION_OUTSIDE':
      return `The stations jump at ${stationText(fault.at, style)}, which lies outside of the line.`;
    case 'EQUATIONS_AT_ONE_PLACE':
      return `The stations jump twice at ${stationText(fault.at, style)}: one place can have one jump.`;
    case 'PROFILE_TOO_SHORT':
    case 'PROFILE_NOT_RISING':
    case 'PROFILE_CURVE_AT_END':
    case 'PROFILE_CURVE_WITHOUT_SIZE':
    case 'PROFILE_CURVES_OVERLAP':
      return `The profile ${profileFaultWords(fault, (value) => stationText(value, style))}.`;
    case 'STRING_TWICE':
    case 'STRING_UNKNOWN':
    case 'STRINGS_IN_A_RING':
    case 'TABLE_EMPTY':
    case 'TABLE_NOT_RISING':
      return templateFaultWords(fault);
    case 'TOO_FEW_INTERSECTIONS':
      return 'A line needs at least its two ends.';
    case 'INTERSECTIONS_IN_ONE_PLACE':
      return `Point ${fault.point + 1} lies on the one before it.`;
    case 'INTERSECTION_RADIUS_NOT_POSITIVE':
      return `The radius of point ${fault.point + 1} must be over 0; leave it empty for a bend without a curve.`;
    case 'SPIRAL_WITHOUT_RADIUS':
      return `Point ${fault.point + 1} has spirals but no radius.`;
    case 'NO_TURN_TO_ROUND':
      return `The line does not turn at point ${fault.point + 1}, or turns right back: take the radius away.`;
    case 'SPIRALS_TURN_TOO_FAR':
      return `The spirals of point ${fault.point + 1} turn by more than the line does there: shorten them, or take a larger radius.`;
    case 'CURVES_OVERLAP':
      return `Between points ${fault.point} and ${fault.point + 1} the curves need ${length(fault.by)} more than there is: take smaller radii or shorter spirals.`;
    case 'TYPED_ELEMENT_WITHOUT_LENGTH':
      return `Element ${fault.element + 1} needs a length.`;
    case 'TYPED_RADIUS_NOT_POSITIVE':
      return `The radius of element ${fault.element + 1} must be over 0.`;
    case 'TYPED_SPIRAL_STRAIGHT':
      return `Element ${fault.element + 1} is a spiral and needs a radius at one of its ends.`;
    case 'TYPED_ELEMENT_WINDS':
      return `Element ${fault.element + 1} goes round more than once: is its radius too small?`;
  }
}

type RoadRemark =
  | { readonly code: 'NO_PROFILE' }
  | { readonly code: 'PROFILE_STARTS_LATE'; readonly by: Metres; readonly station: Metres }
  | { readonly code: 'PROFILE_ENDS_EARLY'; readonly by: Metres; readonly station: Metres }
  | { readonly code: 'STATIONS_TWICE'; readonly from: Metres; readonly to: Metres };

export function roadRemarkWords(remark: RoadRemark, style: StationStyle): string {
  const length = (metres: Metres) => `${formatLength(metres, style.unit, 1)} ${UNIT_ABBREVIATION[style.unit]}`;
  switch (remark.code) {
    case 'NO_PROFILE':
      return 'It has no profile: there are no heights along it.';
    case 'PROFILE_STARTS_LATE':
      return `The profile begins ${length(remark.by)} after the line, at ${stationText(remark.station, style)}: there is no height before.`;
    case 'PROFILE_ENDS_EARLY':
      return `The profile ends ${length(remark.by)} before the line, at ${stationText(remark.station, style)}: there is no height after.`;
    case 'STATIONS_TWICE':
      return `Stations from ${shortStation(remark.from, style)} to ${shortStation(remark.to, style)} come twice: say which one is meant.`;
  }
}

/** Why there is no height at a place, in one sentence. */
export const NO_HEIGHT_HERE = {
  noProfile: 'no height: the line has no profile',
  beyondProfile: 'no height: the profile does not reach so far',
  beyondLine: 'no height: beyond the end of the line',
  offSurface: 'no height: off the edge of the surface, or in a hole of it',
} as const;

/** Grade in percent, rising positive, with a true minus sign. */
export const gradeText = (grade: number): string => `${grade < 0 ? '−' : grade > 0 ? '+' : ''}${Math.abs(grade * 100).toFixed(2)} %`;

/** To which side of a line something lies: "2.350 m right", "on the line". */
export function offsetWords(offset: Metres, unit: LengthUnit): string {
  const figure = formatLength(Math.abs(offset), unit, LENGTH_DECIMALS);
  return /[1-9]/.test(figure) ? `${figure} ${UNIT_ABBREVIATION[unit]} ${offset > 0 ? 'right' : 'left'}` : 'on the line';
}

/** Where along a line and how far off it, for a book or a report. */
export const roadPlaceWords = (displayed: Metres, offset: Metres, style: StationStyle): string =>
  `${stationText(displayed, style)}, ${offsetWords(offset, style.unit)}`;

/** What the way is like at a place: "on the curve to the left, radius 80.000 m". */
export function shapeWords(kind: 'line' | 'curve' | 'spiral', curvature: number, unit: LengthUnit): string {
  if (kind === 'line') return 'on the straight';
  const way = curvature > 0 ? 'to the right' : 'to the left';
  const radius = `${formatLength(1 / Math.abs(curvature), unit, 1)} ${UNIT_ABBREVIATION[unit]}`;
  if (kind === 'curve') return `on the curve ${way}, radius ${radius}`;
  return Math.abs(curvature) < 1e-5 ? 'on the spiral, where it is straight' : `on the spiral ${way}, radius ${radius} here`;
}

/** A string as it is said: the face, the back and the flow line of a kerb. */
export function stringWords(name: string): string {
  const part = /^(.*)\.(face|back|flowLine)$/.exec(name);
  return part ? `${{ face: 'face', back: 'back', flowLine: 'flow line' }[part[2] as 'face' | 'back' | 'flowLine']} of ${part[1]}` : name;
}

/** A string as heights are given to it: of a kerb's face and back it is the top. */
export function gradeWords(name: string): string {
  const part = /^(.*)\.(face|back|flowLine)$/.exec(name);
  return part ? `${{ face: 'top of', back: 'top at the back of', flowLine: 'flow line of' }[part[2] as 'face' | 'back' | 'flowLine']} ${part[1]}` : name;
}

interface CatchAt {
  readonly kind: 'cut' | 'fill';
  /** From the hinge, level. */
  readonly distance: Metres;
  /** Ground there above the hinge, negative below. */
  readonly overHinge: Metres;
}

/** What is written on a slope stake, a line each: what slope, how far to the hinge, and how much it lies below or above. */
export function slopeStakeWords({ kind, distance, overHinge }: CatchAt, hinge: string, run: number, unit: LengthUnit): string[] {
  const length = (metres: Metres) => `${formatLength(Math.abs(metres), unit, LENGTH_DECIMALS)} ${UNIT_ABBREVIATION[unit]}`;
  return [
    `SLOPE STAKE, ${kind} 1 in ${Number(run.toFixed(3))}`,
    `${length(distance)} to ${stringWords(hinge)}`,
    `${overHinge >= 0 ? 'CUT' : 'FILL'} ${length(overHinge)} to ${stringWords(hinge)}`,
  ];
}

/** Where the pole has to go to stand on the catch point. */
export function catchMoveWords(move: Metres, unit: LengthUnit, within: Metres): string {
  if (Math.abs(move) <= within) return 'On the catch point: the slope meets the ground here.';
  const length = `${formatLength(Math.abs(move), unit, 2)} ${UNIT_ABBREVIATION[unit]}`;
  return `${move > 0 ? 'Out' : 'In'} ${length}, and shoot again: the ground changes on the way.`;
}

type ReturnFault =
  { readonly code: 'RETURN_PARALLEL' } | { readonly code: 'RETURN_OFF_THE_LINE'; readonly road: string } | { readonly code: 'RETURN_DOES_NOT_SETTLE' };

/** Why no return joins two kerbs, and what to change. */
export function returnFaultWords(fault: ReturnFault): string {
  switch (fault.code) {
    case 'RETURN_PARALLEL':
      return 'The two kerbs run the same way there: no arc joins them. Choose other stations, or turn one of the ways round.';
    case 'RETURN_OFF_THE_LINE':
      return `The arc would touch ${fault.road} beyond its end: take a smaller radius, or turn one of the ways round.`;
    case 'RETURN_DOES_NOT_SETTLE':
      return 'No arc of this radius touches both kerbs near there: give stations nearer to the corner, or a smaller radius.';
  }
}

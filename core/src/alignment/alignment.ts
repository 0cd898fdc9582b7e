/**
 * A horizontal alignment: lines, curves and clothoids one after the other, with stations along it and offsets square to
 * it, positive to the right. Source: W. Schofield, M. Breach, Engineering Surveying, chapters 10 (curves) and 11.
 */
import { planDistance, polar, type PlanPoint } from '../plane/point.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import {
  directionOn,
  placeOn,
  shapeOf,
  type ElementFault,
  type ElementShape,
  type HorizontalElement,
} from './element.ts';
import {
  displayedStation,
  SAME_STATION,
  stationBack,
  type DisplayedStation,
  type StationEquation,
} from './equations.ts';
import { piecesOf, type Pieces } from './pieces.ts';

export interface AlignmentDefinition {
  readonly startStation: Metres;
  readonly elements: readonly HorizontalElement[];
  readonly equations: readonly StationEquation[];
}
export interface AlignmentElement extends ElementShape {
  readonly startStation: Metres;
  readonly endStation: Metres;
}
export interface Alignment {
  readonly startStation: Metres;
  readonly endStation: Metres;
  readonly length: Metres;
  readonly elements: readonly AlignmentElement[];
  /** In order along the line. */
  readonly equations: readonly StationEquation[];
  /** Stretches small enough to be searched one by one. */
  readonly pieces: Pieces;
}
export type AlignmentError =
  | { readonly code: 'ALIGNMENT_WITHOUT_ELEMENTS' }
  /** `element` counted from 0. */
  | {
      readonly code: 'ELEMENT_FAULT';
      readonly element: number;
      readonly kind: HorizontalElement['kind'];
      readonly fault: ElementFault;
    }
  | { readonly code: 'EQUATION_OUTSIDE'; readonly at: Metres }
  | { readonly code: 'EQUATIONS_AT_ONE_PLACE'; readonly at: Metres };

/** What a design should be asked about, though it can be worked with. */
export type AlignmentNote =
  | { readonly code: 'GAP'; readonly element: number; readonly size: Metres }
  | { readonly code: 'CENTRE_OFF'; readonly element: number; readonly size: Metres };

/** Names of the points where elements meet: line, spiral, curve; see `junctionName`. */
export type JunctionName = 'BOP' | 'EOP' | 'TS' | 'SC' | 'CS' | 'ST' | 'SS' | 'PC' | 'PT' | 'PCC' | 'PRC' | 'PI';
export interface KeyPoint extends DisplayedStation, PlanPoint {
  readonly name: JunctionName;
  readonly station: Metres;
}
export interface PlaceAlong extends DisplayedStation, PlanPoint {
  readonly station: Metres;
  readonly azimuth: Radians;
  /** Per metre, positive turning right. */
  readonly curvature: number;
  readonly kind: HorizontalElement['kind'];
  /** Counted from 0. */
  readonly element: number;
  /** Where elements meet, else null. */
  readonly point: JunctionName | null;
}

/** A place nearer than this to where elements meet has its name. */
const AT_JUNCTION: Metres = 1e-4;
/** A gap larger than this is asked about. */
const GAP: Metres = 0.001;
/** A centre that lies nearer to one end than to the other by more than this is asked about. */
const CENTRE_OFF: Metres = 0.005;
/**
 * Two lines that meet at less than this are one line; of all other elements at more than `BEND` they were not meant to.
 */
const STRAIGHT_ON: Radians = 1e-6;
export const BEND: Radians = 1e-4;

export function alignmentOf({
  startStation,
  elements,
  equations,
}: AlignmentDefinition): Result<Alignment, AlignmentError> {
  if (elements.length === 0) return fail({ code: 'ALIGNMENT_WITHOUT_ELEMENTS' });
  const shaped: AlignmentElement[] = [];
  let station = startStation;
  for (const [i, element] of elements.entries()) {
    const shape = shapeOf(element);
    if (!shape.ok) return fail({ code: 'ELEMENT_FAULT', element: i, kind: element.kind, fault: shape.error });
    shaped.push({ ...shape.value, startStation: station, endStation: station + shape.value.length });
    station += shape.value.length;
  }
  const inOrder = [...equations].sort((a, b) => a.at - b.at);
  const outside = inOrder.find(({ at }) => at < startStation - SAME_STATION || at > station + GAP);
  if (outside) return fail({ code: 'EQUATION_OUTSIDE', at: outside.at });
  const doubled = inOrder.find(({ at }, i) => i > 0 && at - inOrder[i - 1]!.at < SAME_STATION);
  if (doubled) return fail({ code: 'EQUATIONS_AT_ONE_PLACE', at: doubled.at });
  return ok({
    startStation,
    endStation: station,
    length: station - startStation,
    elements: shaped,
    equations: inOrder,
    pieces: piecesOf(shaped),
  });
}

/**
 * What of a definition does not fit together: gaps between elements, centres that lie unevenly.
 *
 * @param metresPerUnit size of the unit that the definition is in: the limits are in metres
 */
export function alignmentNotes({ elements }: AlignmentDefinition, metresPerUnit = 1): AlignmentNote[] {
  const notes: AlignmentNote[] = [];
  elements.forEach((element, i) => {
    const before = elements[i - 1];
    if (before) {
      const size = planDistance(before.end, element.start);
      if (size * metresPerUnit > GAP) notes.push({ code: 'GAP', element: i, size });
    }
    if (element.kind === 'curve') {
      const size = Math.abs(planDistance(element.centre, element.start) - planDistance(element.centre, element.end));
      if (size * metresPerUnit > CENTRE_OFF) notes.push({ code: 'CENTRE_OFF', element: i, size });
    }
  });
  return notes;
}

/**
 * The angle by which the way bends where an element meets the one before, positive to the right; 0 where it goes on.
 */
export const bendBefore = ({ elements }: Pick<Alignment, 'elements'>, element: number): Radians =>
  element === 0 ? 0 : wrapHalfTurn(elements[element]!.azimuthStart - elements[element - 1]!.azimuthEnd);

/** Which point two elements make where they meet; null where a line only goes on. */
export function junctionName(before: ElementShape | undefined, after: ElementShape | undefined): JunctionName | null {
  if (!before) return 'BOP';
  if (!after) return 'EOP';
  const turns = ({ curvatureStart, curvatureEnd }: ElementShape) => Math.sign(curvatureStart + curvatureEnd);
  switch (`${before.kind}-${after.kind}` as const) {
    case 'line-line':
      return Math.abs(wrapHalfTurn(after.azimuthStart - before.azimuthEnd)) > STRAIGHT_ON ? 'PI' : null;
    case 'line-curve':
      return 'PC';
    case 'line-spiral':
      return 'TS';
    case 'curve-line':
      return 'PT';
    case 'curve-curve':
      return turns(before) === turns(after) ? 'PCC' : 'PRC';
    case 'curve-spiral':
      return 'CS';
    case 'spiral-line':
      return 'ST';
    case 'spiral-curve':
      return 'SC';
    case 'spiral-spiral':
      return 'SS';
  }
}

export function keyPoints(alignment: Alignment): KeyPoint[] {
  const { elements } = alignment;
  const points = elements.flatMap((element, i): KeyPoint[] => {
    const name = junctionName(elements[i - 1], element);
    return name
      ? [
          {
            name,
            station: element.startStation,
            ...displayedStation(alignment, element.startStation),
            e: element.start.e,
            n: element.start.n,
          },
        ]
      : [];
  });
  const { end } = elements.at(-1)!;
  return [
    ...points,
    {
      name: 'EOP',
      station: alignment.endStation,
      ...displayedStation(alignment, alignment.endStation),
      e: end.e,
      n: end.n,
    },
  ];
}

/** The element that a station lies in; where two meet, the one that starts there. */
export function elementAt({ elements, startStation, endStation }: Alignment, station: Metres): number | null {
  if (!(station >= startStation - SAME_STATION && station <= endStation + SAME_STATION)) return null;
  let [low, high] = [0, elements.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (elements[middle]!.startStation <= station + SAME_STATION) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * The place at a station, `offset` to the right of it.
 *
 * @param station without equations
 * @param skew clockwise angle by which the offset is turned from square; its length is taken along the turned line
 * @returns null before the start and after the end
 */
export function placeAlong(
  alignment: Alignment,
  station: Metres,
  offset: Metres = 0,
  skew: Radians = 0,
): PlaceAlong | null {
  const index = elementAt(alignment, station);
  if (index === null) return null;
  const element = alignment.elements[index]!;
  const along = Math.min(Math.max(station - element.startStation, 0), element.length);
  const { azimuth: direction, curvature } = directionOn(element, along);
  const on = placeOn(element, along);
  const place = offset === 0 ? on : polar(on, direction + Math.PI / 2 + skew, offset);
  return {
    e: place.e,
    n: place.n,
    station,
    ...displayedStation(alignment, station),
    azimuth: direction,
    curvature,
    kind: element.kind,
    element: index,
    point: junctionNear(alignment, index, station),
  };
}

/** The place that continues the line straight on beyond an end; null on the line itself. */
export function placeBeyond(
  alignment: Alignment,
  station: Metres,
  offset: Metres = 0,
): (PlanPoint & { readonly azimuth: Radians }) | null {
  const before = station < alignment.startStation - SAME_STATION;
  if (!before && station <= alignment.endStation + SAME_STATION) return null;
  const [first, last] = [alignment.elements[0]!, alignment.elements.at(-1)!];
  const [from, direction, along] = before
    ? [first.start, first.azimuthStart, station - alignment.startStation]
    : [last.end, last.azimuthEnd, station - alignment.endStation];
  return { ...polar(polar(from, direction, along), direction + Math.PI / 2, offset), azimuth: direction };
}

function junctionNear({ elements }: Alignment, index: number, station: Metres): JunctionName | null {
  const element = elements[index]!;
  if (Math.abs(station - element.startStation) < AT_JUNCTION) return junctionName(elements[index - 1], element);
  if (Math.abs(station - element.endStation) < AT_JUNCTION) return junctionName(element, elements[index + 1]);
  return null;
}

/** Jumps of the stations along a line: what is shown just before and just after each equation. */
export const equationJumps = (
  alignment: Alignment,
): readonly { readonly at: Metres; readonly back: Metres; readonly ahead: Metres }[] =>
  alignment.equations.map(({ at, ahead }, i) => ({ at, back: stationBack(alignment, i), ahead }));

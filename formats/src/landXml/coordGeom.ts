/**
 * Elements of a `CoordGeom` while they are read: places may be given by the name of a point that comes later in the
 * file.
 */
import {
  alignmentNotes,
  alignmentOf,
  planDistance,
  shapeOf,
  type AlignmentDefinition,
  type HorizontalElement,
  type Metres,
  type PlanPoint,
  type SitePoint,
  type StationEquation,
} from '@idle-marker/core';
import { Refused, type LandXmlWarning, type XmlPlace } from './landXmlFault.ts';

export type PlaceText = { readonly place: SitePoint } | { readonly pointName: string; readonly at: XmlPlace };
export type GeomPart = 'Start' | 'End' | 'Center' | 'PI';
export interface RawElement {
  readonly kind: 'Line' | 'Curve' | 'Spiral';
  readonly at: XmlPlace;
  readonly parts: Map<GeomPart, PlaceText>;
  readonly rotation: 'cw' | 'ccw' | null;
  /** Of a curve as it says. */
  readonly radius: number | null;
  readonly radiusStart: number | null;
  readonly radiusEnd: number | null;
  readonly length: number | null;
  /** As it states them, to be held against the geometry. */
  readonly stated?: { readonly length: number | null; readonly station: number | null };
}
export type PointByName = (name: string) => SitePoint | undefined;

/** Radius at the centre and radius as given may differ by this, metres. */
const RADIUS_OFF = 0.001;
/** Lengths and stations as stated may differ from the geometry by this, metres. */
const STATED_OFF = 0.001;
const SPIRAL_OFF = 0.005;
/** A line goes no farther than this: stations along it are counted one by one. */
const LONGEST: Metres = 1e6;

function placeOf(raw: RawElement, part: GeomPart, named: PointByName): SitePoint {
  const text = raw.parts.get(part);
  if (!text) throw new Refused({ code: 'XML_PART_MISSING', at: raw.at, part });
  if ('place' in text) return text.place;
  const point = named(text.pointName);
  if (!point) throw new Refused({ code: 'XML_POINT_UNKNOWN', at: text.at, name: text.pointName });
  return point;
}

/** The heights at both ends as well, for lines that are drawn. */
export interface ReadElement {
  readonly raw: RawElement;
  readonly element: HorizontalElement;
  readonly startZ: number | null;
  readonly endZ: number | null;
}

export function elementOf(raw: RawElement, named: PointByName): ReadElement {
  const [from, to] = [placeOf(raw, 'Start', named), placeOf(raw, 'End', named)];
  const plan = ({ e, n }: PlanPoint): PlanPoint => ({ e, n });
  const ends = { start: plan(from), end: plan(to) };
  const made = (element: HorizontalElement): ReadElement => ({ raw, element, startZ: from.z, endZ: to.z });
  if (raw.kind === 'Line') return made({ kind: 'line', ...ends });
  if (raw.rotation === null) throw new Refused({ code: 'XML_PART_MISSING', at: raw.at, part: 'rot' });
  if (raw.kind === 'Curve')
    return made({ kind: 'curve', ...ends, centre: plan(placeOf(raw, 'Center', named)), rotation: raw.rotation });
  if (raw.length === null) throw new Refused({ code: 'XML_PART_MISSING', at: raw.at, part: 'length' });
  return made({
    kind: 'spiral',
    ...ends,
    radiusStart: raw.radiusStart,
    radiusEnd: raw.radiusEnd,
    length: raw.length,
    rotation: raw.rotation,
  });
}

/** Where an element states another length or station than its geometry has. A spiral is as long as it says. */
function statedOff(
  { at, stated }: RawElement,
  length: number | null,
  running: number,
  metresPerUnit: number,
): LandXmlWarning[] {
  const off = (given: number | null | undefined, found: number | null) =>
    given === null || given === undefined || found === null ? 0 : Math.abs(given - found) * metresPerUnit;
  const [byLength, byStation] = [off(stated?.length, length), off(stated?.station, running)];
  return [
    ...(byLength > STATED_OFF ? [{ code: 'XML_LENGTH_OFF' as const, at, size: byLength }] : []),
    ...(byStation > STATED_OFF ? [{ code: 'XML_STATION_OFF' as const, at, size: byStation }] : []),
  ];
}

/** An alignment from its elements, refused where they can't be, with what should be asked about. */
export function definitionOf(
  at: XmlPlace,
  read: readonly ReadElement[],
  startStation: number,
  equations: readonly StationEquation[],
  metresPerUnit: number,
  statedLength: number | null = null,
): { readonly definition: AlignmentDefinition; readonly warnings: readonly LandXmlWarning[] } {
  const warnings: LandXmlWarning[] = [];
  let length: Metres = 0;
  for (const { raw, element } of read) {
    const shape = shapeOf(element);
    if (!shape.ok) throw new Refused({ code: 'XML_ELEMENT', at: raw.at, fault: shape.error });
    const running = startStation + length / metresPerUnit;
    length += shape.value.length * metresPerUnit;
    warnings.push(...statedOff(raw, element.kind === 'spiral' ? null : shape.value.length, running, metresPerUnit));
    if (length > LONGEST)
      throw new Refused({ code: 'XML_ELEMENT', at: raw.at, fault: { code: 'ELEMENT_TOO_LONG', length } });
    if (element.kind === 'curve' && raw.radius !== null) {
      const off = Math.abs(planDistance(element.centre, element.start) - raw.radius);
      if (off * metresPerUnit > RADIUS_OFF)
        warnings.push({ code: 'XML_RADIUS_OFF', at: raw.at, size: off * metresPerUnit });
    }
    if (element.kind === 'spiral') {
      // What it was stretched by to reach from one end to the other.
      const off = Math.abs(shape.value.length - element.length);
      if (off * metresPerUnit > SPIRAL_OFF)
        warnings.push({ code: 'XML_SPIRAL_OFF', at: raw.at, size: off * metresPerUnit });
    }
  }
  if (statedLength !== null) {
    const size = Math.abs(statedLength * metresPerUnit - length);
    if (size > STATED_OFF) warnings.push({ code: 'XML_LENGTH_OFF', at, size });
  }
  const definition: AlignmentDefinition = { startStation, elements: read.map(({ element }) => element), equations };
  const made = alignmentOf(definition);
  if (!made.ok) throw new Refused({ code: 'XML_ALIGNMENT', at, fault: made.error });
  for (const note of alignmentNotes(definition, metresPerUnit)) {
    const { raw } = read[note.element]!;
    if (note.code === 'GAP') warnings.push({ code: 'XML_GAP', at: raw.at, size: note.size * metresPerUnit });
    else if (raw.radius === null)
      warnings.push({ code: 'XML_RADIUS_OFF', at: raw.at, size: note.size * metresPerUnit });
  }
  return { definition, warnings };
}

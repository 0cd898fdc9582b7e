/**
 * Roads and other lines with stations, made ready to be asked: where something lies along them, and how high they run
 * there.
 */
import {
  againstAlignment,
  alignmentOf,
  CENTRELINE,
  equationJumps,
  feetWithin,
  ok,
  orderedSections,
  placeAlong,
  placeBeyond,
  placeOnString,
  profileAt,
  profileOf,
  templateOf,
  type AgainstAlignment,
  type Alignment,
  type AlignmentDefinition,
  type AlignmentError,
  type DesignedSection,
  type GradePoint,
  type Foot,
  type KerbDefinition,
  type Metres,
  type PlaceAlong,
  type PlaceOnString,
  type PlanPoint,
  type Profile,
  type ProfileError,
  type Radians,
  type Result,
  type Template,
  type TemplateError,
} from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';

export type AlignmentFactBody = FactBody<'alignment'>;

export interface Road {
  readonly name: string;
  readonly alignment: Alignment;
  readonly profile: Profile | null;
  readonly template: Template;
  readonly kerbs: readonly KerbDefinition[];
  /** As they were designed, in order. */
  readonly sections: readonly DesignedSection[];
  /** Everything lies so far to the right of its design. */
  readonly shift: Metres;
  readonly corridor: Metres;
}
export type RoadError = AlignmentError | ProfileError | TemplateError;
type RoadParts = Pick<
  AlignmentFactBody,
  | 'name'
  | 'startStation'
  | 'elements'
  | 'equations'
  | 'profile'
  | 'strings'
  | 'kerbs'
  | 'shift'
  | 'corridor'
  | 'sections'
>;

/** More than these are left in the file: what a line is worked along with has to stay small enough to be sent about. */
const MOST_SECTIONS = 2000;
const MOST_SECTION_POINTS = 20_000;
const MOST_LINES = 20;
const MOST_LINE_POINTS = 500;

/** Whether the cross sections of a line are kept with it. */
export const keepsSections = (sections: readonly DesignedSection[]): boolean =>
  sections.length > 0 &&
  sections.length <= MOST_SECTIONS &&
  sections.every(
    ({ lines }) => lines.length <= MOST_LINES && lines.every(({ points }) => points.length <= MOST_LINE_POINTS),
  ) &&
  sections.reduce((sum, { lines }) => sum + lines.reduce((points, line) => points + line.points.length, 0), 0) <=
    MOST_SECTION_POINTS;

/** What of a fact a design's line gives: its way, its equations and one of its profiles. */
export function alignmentPart(
  read: {
    readonly definition: AlignmentDefinition;
    readonly profiles: readonly { readonly name: string; readonly points: readonly GradePoint[] }[];
    readonly crossSections: readonly DesignedSection[];
  },
  profile = 0,
): Pick<AlignmentFactBody, 'startStation' | 'elements' | 'equations' | 'profile' | 'sections'> {
  const { startStation, elements, equations } = read.definition;
  const chosen = read.profiles[profile];
  return {
    startStation,
    elements: elements.map((element) => ({ ...element })),
    equations: equations.map((equation) => ({ ...equation })),
    profile: chosen ? { name: chosen.name, points: chosen.points.map((point) => ({ ...point })) } : null,
    ...(keepsSections(read.crossSections)
      ? {
          sections: read.crossSections.map(({ station, lines }) => ({
            station,
            lines: lines.map(({ name, points }) => ({ name, points: points.map(({ offset, z }) => ({ offset, z })) })),
          })),
        }
      : {}),
  };
}

const made = new WeakMap<RoadParts, Result<Road, RoadError>>();

/** Made once for a revision. */
export function roadOf(body: RoadParts): Result<Road, RoadError> {
  const known = made.get(body);
  if (known) return known;
  const road = makeRoad(body);
  made.set(body, road);
  return road;
}

function makeRoad(body: RoadParts): Result<Road, RoadError> {
  const alignment = alignmentOf({
    startStation: body.startStation,
    elements: body.elements,
    equations: body.equations,
  });
  if (!alignment.ok) return alignment;
  const profile = body.profile ? profileOf(body.profile.points) : null;
  if (profile && !profile.ok) return profile;
  const template = templateOf({ strings: body.strings, kerbs: body.kerbs });
  if (!template.ok) return template;
  const { name, shift, corridor } = body;
  const sections = orderedSections(body.sections ?? []);
  return ok({
    name,
    alignment: alignment.value,
    profile: profile?.value ?? null,
    template: template.value,
    kerbs: body.kerbs,
    sections,
    shift,
    corridor,
  });
}

/** Where a place lies against a road, its shift taken into account. */
export interface AgainstRoad {
  readonly nearest: AgainstAlignment;
  /** Every foot in the corridor, by station: of a bend or a loop there may be several. */
  readonly feet: readonly Foot[];
  /** Farther off than the road's corridor reaches. */
  readonly outside: boolean;
  /** Of the centreline at the nearest foot; null where the profile has none. */
  readonly profileZ: Metres | null;
  /** Shape of the line at the nearest foot; null beyond its ends. */
  readonly on: PlaceAlong | null;
}

export function againstRoad(road: Road, point: PlanPoint): AgainstRoad {
  const { alignment, profile, shift, corridor } = road;
  const designed = againstAlignment(alignment, point);
  const nearest: AgainstAlignment = { ...designed, offset: designed.offset - shift };
  const feet = feetWithin(alignment, point, corridor + Math.abs(shift))
    .map((foot) => ({ ...foot, offset: foot.offset - shift }))
    .filter(({ offset }) => Math.abs(offset) <= corridor);
  const station = 'station' in nearest ? nearest.station : null;
  return {
    nearest,
    feet,
    outside: Math.abs(nearest.offset) > corridor,
    profileZ: station === null || !profile ? null : (profileAt(profile, station)?.z ?? null),
    on: station === null ? null : placeAlong(alignment, station),
  };
}

/** A place along a road, its shift taken into account; null beyond its ends or where there is no such string. */
export function placeOnRoad(
  road: Road,
  at: {
    readonly station: Metres;
    readonly string?: string;
    readonly extraOffset?: Metres;
    readonly extraHeight?: Metres;
  },
): PlaceOnString | null {
  const { alignment, profile, template, shift } = road;
  const place = placeOnString(alignment, profile, template, {
    ...at,
    string: at.string ?? CENTRELINE,
    extraOffset: (at.extraOffset ?? 0) + shift,
  });
  return place && { ...place, offset: place.offset - shift };
}

/** Straight on beyond an end. */
export const placeBeyondRoad = (
  { alignment, shift }: Road,
  station: Metres,
  offset: Metres,
): (PlanPoint & { readonly azimuth: Radians }) | null => placeBeyond(alignment, station, offset + shift);

/** The strings of a road across a station, from left to right, with their heights where there is a profile. */
export interface AcrossRoad {
  readonly name: string;
  /** The string that it is built on from: it is joined to it in a drawing; null for the centreline. */
  readonly from: string | null;
  readonly offset: Metres;
  readonly z: Metres | null;
}

export function crossSection(road: Road, station: Metres): AcrossRoad[] {
  const seen = new Set<string>();
  return road.template.names
    .flatMap((name): AcrossRoad[] => {
      const place = placeOnRoad(road, { station, string: name });
      if (!place) return [];
      // A kerb's flow line is the string that it stands on.
      const key = `${place.stringOffset.toFixed(6)} ${place.stringZ?.toFixed(6) ?? ''}`;
      if (seen.has(key) && name.endsWith('.flowLine')) return [];
      seen.add(key);
      return [{ name, from: road.template.from.get(name) ?? null, offset: place.stringOffset, z: place.stringZ }];
    })
    .sort((a, b) => a.offset - b.offset || (a.z ?? 0) - (b.z ?? 0));
}

/** Which kind of tool a line needs: one with spirals or jumping stations can't be set out from its two ends. */
export function toolFor({
  elements,
  equations,
}: Pick<AlignmentFactBody, 'elements' | 'equations'>): 'referenceLine' | 'referenceArc' | 'road' {
  if (equations.length > 0 || elements.length > 1 || elements[0]?.kind === 'spiral') return 'road';
  return elements[0]?.kind === 'curve' ? 'referenceArc' : 'referenceLine';
}

/** What of a road is worth saying before it is used: it was read, but something ends early or is not there. */
export type RoadRemark =
  | { readonly code: 'NO_PROFILE' }
  | { readonly code: 'PROFILE_STARTS_LATE'; readonly by: Metres; readonly station: Metres }
  | { readonly code: 'PROFILE_ENDS_EARLY'; readonly by: Metres; readonly station: Metres }
  | { readonly code: 'STATIONS_TWICE'; readonly from: Metres; readonly to: Metres };

const WORTH_SAYING: Metres = 0.01;

export function roadRemarks({ alignment, profile }: Road): RoadRemark[] {
  const remarks: RoadRemark[] = [];
  if (!profile) remarks.push({ code: 'NO_PROFILE' });
  else {
    const [late, early] = [profile.start - alignment.startStation, alignment.endStation - profile.end];
    if (late > WORTH_SAYING) remarks.push({ code: 'PROFILE_STARTS_LATE', by: late, station: profile.start });
    if (early > WORTH_SAYING) remarks.push({ code: 'PROFILE_ENDS_EARLY', by: early, station: profile.end });
  }
  // Where the stations jump back, some of them are shown twice.
  equationJumps(alignment).forEach(({ back, ahead }, i) => {
    if (alignment.equations[i]!.counts > 0 && ahead < back)
      remarks.push({ code: 'STATIONS_TWICE', from: ahead, to: back });
  });
  return remarks;
}

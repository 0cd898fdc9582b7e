/**
 * The command line's kinds about alignments and surfaces of design files: lengths in the file's unit, angles in
 * degrees.
 */
import {
  againstAlignment,
  alignmentOf,
  besideReturn,
  displayedStation,
  fail,
  feetWithin,
  heightOn,
  kerbReturn,
  keyPoints,
  ok,
  placeAlong,
  placeOnString,
  profileAt,
  profileExtremes,
  profileOf,
  RADIANS_PER_DEGREE,
  stationsShown,
  surfaceOf,
  templateOf,
  wrapTurn,
  type Alignment,
  type Profile,
  type Result,
} from '@idle-marker/core';
import { msg, templateFaultWords } from '@idle-marker/words';
import { NullableNumber, Type, Words, type Static, type TSchema } from '../schema.ts';
import type { DesignFile } from './designFiles.ts';
import { designFileOf, type CaseFiles, type Kind, type KindError } from './kind.ts';

const deg = (radians: number): number => radians / RADIANS_PER_DEGREE;
const azimuthDeg = (radians: number): number => deg(wrapTurn(radians));

const Plan = Type.Object({ e: Type.Number(), n: Type.Number() });

/** A kind that is computed from the design file of its case. */
const fromFile = <S extends TSchema>(
  schema: S,
  run: (input: Static<S>, file: DesignFile) => Result<object, KindError>,
): Kind => ({
  schema,
  run: (input: Static<S>, files: CaseFiles) => {
    const file = designFileOf(files);
    if (!file.ok) return file;
    const outcome = run(input, file.value);
    const { linearUnit, metresPerUnit, warnings } = file.value;
    return outcome.ok ? ok({ linearUnit, metresPerUnit, ...outcome.value, warnings }) : outcome;
  },
});

/** One of a list by its name, or an error that tells which there are. */
function named<T extends { readonly name: string }>(
  list: readonly T[],
  name: string,
  field: string,
  what: string,
): Result<T, KindError> {
  const found = list.find((each) => each.name === name);
  if (found) return ok(found);
  const known =
    list.length === 0
      ? msg('validation.itHasNone')
      : msg('validation.itHas', { list: list.map((each) => each.name).join(', ') });
  return fail({ code: 'NOT_IN_FILE', path: [field], message: msg('validation.theFileHasNo', { what, name, known }) });
}

function alignmentIn(
  file: DesignFile,
  name: string,
): Result<DesignFile['alignments'][number] & { readonly alignment: Alignment }, KindError> {
  const found = named(file.alignments, name, 'alignmentName', 'alignment');
  if (!found.ok) return found;
  const alignment = alignmentOf(found.value.definition);
  if (!alignment.ok) throw new Error(`an alignment that was read can't be made: ${alignment.error.code}`);
  return ok({ ...found.value, alignment: alignment.value });
}

function profileIn(alignment: DesignFile['alignments'][number], name: string): Result<Profile, KindError> {
  const found = named(alignment.profiles, name, 'profileName', msg('validation.profileOf', { name: alignment.name }));
  if (!found.ok) return found;
  const profile = profileOf(found.value.points);
  if (!profile.ok) throw new Error(`a profile that was read can't be made: ${profile.error.code}`);
  return ok(profile.value);
}

const horizontalKind = fromFile(
  Type.Object({
    alignmentName: Type.String(),
    stationOffsets: Type.Array(
      Type.Object({ station: Type.Number(), offset: Type.Number(), skewDeg: Type.Optional(Type.Number()) }),
    ),
    points: Type.Array(Plan),
    corridorWidth: Type.Number({ minimum: 0 }),
    displayedStations: Type.Array(Type.Number()),
  }),
  (input, file) => {
    const found = alignmentIn(file, input.alignmentName);
    if (!found.ok) return found;
    const { alignment } = found.value;
    const shown = (station: number) => {
      const { displayed, region } = displayedStation(alignment, station);
      return { displayedStation: displayed, region };
    };
    return ok({
      staStart: alignment.startStation,
      staEnd: alignment.endStation,
      length: alignment.length,
      keyPoints: keyPoints(alignment).map(({ name, station, e, n }) => ({ name, station, ...shown(station), e, n })),
      positions: input.stationOffsets.map(({ station, offset, skewDeg }) => {
        const place = placeAlong(alignment, station, offset, (skewDeg ?? 0) * RADIANS_PER_DEGREE);
        return (
          place && {
            e: place.e,
            n: place.n,
            azimuthDeg: azimuthDeg(place.azimuth),
            curvature: place.curvature,
            elementType: place.kind,
            pointName: place.point,
            ...shown(station),
          }
        );
      }),
      projections: input.points.map((point) => {
        const against = againstAlignment(alignment, point);
        const feet = feetWithin(alignment, point, input.corridorWidth).map(({ station, displayed, offset: off }) => ({
          station,
          displayedStation: displayed,
          offset: off,
        }));
        const { offset, distance } = against;
        return 'station' in against
          ? {
              status: against.status,
              station: against.station,
              ...shown(against.station),
              offset,
              extension: null,
              distance,
              feet,
            }
          : {
              status: against.status,
              station: null,
              displayedStation: null,
              region: null,
              offset,
              extension: against.extension,
              distance,
              feet,
            };
      }),
      internalStations: input.displayedStations.map((displayed) =>
        stationsShown(alignment, displayed).map(({ station }) => station),
      ),
    });
  },
);

const verticalKind = fromFile(
  Type.Object({ alignmentName: Type.String(), profileName: Type.String(), stations: Type.Array(Type.Number()) }),
  (input, file) => {
    const found = alignmentIn(file, input.alignmentName);
    if (!found.ok) return found;
    const profile = profileIn(found.value, input.profileName);
    if (!profile.ok) return profile;
    return ok({
      profileStart: profile.value.start,
      profileEnd: profile.value.end,
      elevations: input.stations.map((station) => {
        const at = profileAt(profile.value, station);
        return at && { z: at.z, gradePercent: at.grade * 100 };
      }),
      verticalCurves: profile.value.curves.map(({ kind, begin, intersection, end, gradeIn, gradeOut }) => ({
        type: kind,
        pvcStation: begin.station,
        pvcZ: begin.z,
        pviStation: intersection.station,
        pviZ: intersection.z,
        pvtStation: end.station,
        pvtZ: end.z,
        gradeInPercent: gradeIn * 100,
        gradeOutPercent: gradeOut * 100,
      })),
      extremes: profileExtremes(profile.value).map(({ kind, station, z }) => ({ type: kind, station, z })),
    });
  },
);

const Table = Type.Array(Type.Object({ station: Type.Number(), value: Type.Number() }));
const crossfallKind = fromFile(
  Type.Object({
    alignmentName: Type.String(),
    profileName: Type.String(),
    template: Type.Object({
      strings: Type.Array(
        Type.Object({
          name: Type.String(),
          from: Type.Optional(Type.String()),
          offset: Table,
          height: Type.Object({ rule: Words('fall', 'difference'), values: Table }),
        }),
      ),
      kerbs: Type.Optional(
        Type.Array(
          Type.Object({
            name: Type.String(),
            flowLine: Type.String(),
            faceOffset: Type.Number(),
            topHeight: Type.Number(),
            backOffset: Type.Number(),
            backHeight: Type.Optional(Type.Number()),
          }),
        ),
      ),
    }),
    queries: Type.Array(
      Type.Object({
        station: Type.Number(),
        string: Type.String(),
        extraOffset: Type.Number(),
        extraHeight: Type.Number(),
      }),
    ),
  }),
  (input, file) => {
    const found = alignmentIn(file, input.alignmentName);
    if (!found.ok) return found;
    const profile = profileIn(found.value, input.profileName);
    if (!profile.ok) return profile;
    const always = (value: number) => [{ station: 0, value }];
    const template = templateOf({
      strings: input.template.strings.map((string) => ({ ...string, from: string.from ?? null })),
      kerbs: (input.template.kerbs ?? []).map((kerb) => ({
        ...kerb,
        topHeight: always(kerb.topHeight),
        backHeight: kerb.backHeight === undefined ? null : always(kerb.backHeight),
      })),
    });
    if (!template.ok)
      return fail({ code: template.error.code, path: ['template'], message: templateFaultWords(template.error) });
    const unknown = input.queries.findIndex(({ string }) => !template.value.strings.has(string));
    if (unknown >= 0) {
      const { string } = input.queries[unknown]!;
      return fail({
        code: 'STRING_UNKNOWN',
        path: ['queries', unknown, 'string'],
        message: msg('validation.theTemplateHasNoString', { string }),
      });
    }
    return ok({
      points: input.queries.map((query) => {
        const place = placeOnString(found.value.alignment, profile.value, template.value, query);
        if (!place || place.z === null) return null;
        const { e, n, z, offset, stringOffset, stringZ, centrelineZ } = place;
        return { e, n, z, offset, stringOffset, stringZ, centrelineZ };
      }),
    });
  },
);

/** Heights nearer than this to the design are on it. */
const ON_GRADE = 0.0005;
const surfaceKind = fromFile(
  Type.Object({
    surfaceName: Type.String(),
    points: Type.Array(Type.Object({ e: Type.Number(), n: Type.Number(), measuredZ: NullableNumber })),
  }),
  (input, file) => {
    const found = named(file.surfaces, input.surfaceName, 'surfaceName', 'surface');
    if (!found.ok) return found;
    const surface = surfaceOf(found.value.triangles);
    return ok({
      points: input.points.map(({ e, n, measuredZ }) => {
        const z = surface.ok ? heightOn(surface.value, { e, n }) : null;
        if (z === null) return { status: 'outside', z: null, cutFill: null, label: null };
        if (measuredZ === null) return { status: 'inside', z, cutFill: null, label: null };
        const cutFill = measuredZ - z;
        return {
          status: 'inside',
          z,
          cutFill,
          label: Math.abs(cutFill) < ON_GRADE ? 'grade' : cutFill > 0 ? 'cut' : 'fill',
        };
      }),
    });
  },
);

const Line = Type.Object({ from: Plan, to: Plan });
const kerbReturnKind: Kind = {
  schema: Type.Object({
    returns: Type.Array(
      Type.Object({ tangentIn: Line, tangentOut: Line, radius: Type.Number(), offsets: Type.Array(Type.Number()) }),
    ),
  }),
  run: ({
    returns,
  }: {
    returns: readonly {
      tangentIn: Static<typeof Line>;
      tangentOut: Static<typeof Line>;
      radius: number;
      offsets: readonly number[];
    }[];
  }) =>
    ok({
      returns: returns.map(({ tangentIn, tangentOut, radius, offsets }) => {
        const arc = kerbReturn(tangentIn, tangentOut, radius);
        if (!arc) return { status: 'noSolution' };
        const { delta, intersection, radiusPoint, tangentLength, length, chord, externalDistance, points } = arc;
        return {
          status: 'ok',
          deltaDeg: deg(delta),
          rotation: delta > 0 ? 'cw' : 'ccw',
          intersection,
          radiusPoint,
          tangentLength,
          length,
          chord,
          externalDistance,
          points: points.map((point) => ({
            name: point.name,
            e: point.e,
            n: point.n,
            azimuthDeg: azimuthDeg(point.azimuth),
            offsetPoints: offsets.map((offset) => ({ offset, ...besideReturn(point, offset) })),
          })),
        };
      }),
    }),
};

const malformedKind: Kind = {
  schema: Type.Object({ files: Type.Array(Type.String(), { maxItems: 1000 }) }),
  run: ({ files }: { files: readonly string[] }, { open }: CaseFiles) =>
    ok({
      outcomes: files.map((file) => {
        const opened = open(file);
        if (!opened.ok) return { file, outcome: 'error', message: opened.error, warnings: [] };
        const { warnings } = opened.value;
        return { file, outcome: warnings.length > 0 ? 'warning' : 'ok', message: warnings.join(' '), warnings };
      }),
    }),
};

export const ALIGNMENT_KINDS: Readonly<Record<string, Kind>> = {
  horizontal: horizontalKind,
  vertical: verticalKind,
  crossfall: crossfallKind,
  surface: surfaceKind,
  kerbReturn: kerbReturnKind,
  malformed: malformedKind,
};

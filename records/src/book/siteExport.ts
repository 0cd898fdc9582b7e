/** A site's points, lines and sights for other programs. */
import { angleFromRadians, type TrustResult } from '@idle-marker/core';
import type { SiteAbout, SitePoint } from '@idle-marker/formats';
import { exportLines, leadsToWords, standingWords, stationNotices, stationStanding } from '@idle-marker/words';
import { measuredFromStations } from '../proof/hungOn.ts';
import { readingOf } from '../station/observations.ts';
import { isOutline } from '../work/packagePlans.ts';
import { rawSightsOf } from './rawSights.ts';
import { decidedSolution, markKey, type SiteState } from '../site/state.ts';
import { memberName } from '../stake/cutSheet.ts';
import { stationsOnPaper } from '../stake/stationsOnPaper.ts';

const NOTHING = {
  code: '',
  note: '',
  z: null,
  designZ: null,
  offset: null,
  cutFill: null,
  dEMm: null,
  dNMm: null,
  station: '',
  standing: '',
} as const;

/** What files of this site say of themselves: every station that stands, and how. */
export function exportedAbout(
  state: SiteState,
  trust: TrustResult,
  { at, by }: { readonly at: string; readonly by: string },
): SiteAbout {
  const { name, coordinateSystem, heightDatum, lengthUnit, axisOrder, combinedScaleFactor } = state.settings;
  const standing = new Set(state.accepted.filter(({ withdrawn }) => !withdrawn).map(({ fact }) => fact.id));
  const about = {
    site: name,
    coordinateSystem,
    heightDatum,
    unit: lengthUnit,
    axes: axisOrder,
    scaleFactor: combinedScaleFactor,
    at,
    by: memberName(state, by),
    stations: stationsOnPaper(state, trust, standing).map((station) => ({
      name: station.name,
      standing: [stationStanding(station, lengthUnit), ...stationNotices(station, lengthUnit)].join('; '),
    })),
  };
  return { ...about, lines: exportLines(about) };
}

/**
 * Control with a place, marks as set, marks still to be set, stations and things measured; in that order, each by name
 * within its kind.
 */
export function exportedPoints(state: SiteState, trust: TrustResult): SitePoint[] {
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark.standing]));
  const stationOf = (solution: string) => decidedSolution(state, solution)?.fact.body.name ?? '';
  const control = state.control.flatMap(({ revision: { at, body } }): SitePoint[] =>
    body.e === null || body.n === null
      ? []
      : [{ ...NOTHING, name: body.name, group: 'control', note: body.note, e: body.e, n: body.n, z: body.z, at }],
  );
  const work = state.packages.flatMap((each) => {
    const root = state.packageRoots.get(each.id)!;
    return each.body.plans.map((plan): SitePoint => {
      const mark = state.marks.get(markKey(root, plan.key));
      const to = leadsToWords({ ...plan, string: plan.road?.to ?? null });
      const shared = {
        ...NOTHING,
        name: plan.name,
        // What the drawing or list called it says more than the package it is in.
        code: plan.code ?? each.body.name,
        note: to,
        designZ: plan.designZ,
        offset: plan.offset,
      };
      if (!mark || mark.body.state === 'rough') return { ...shared, group: 'planned', ...plan.place, at: each.at };
      const { place, hubZ, cutFill, dEMm, dNMm, solution, offset } = mark.body;
      const standing = state.reports.has(mark.id) ? 'inDoubt' : (standings.get(mark.id) ?? 'unproven');
      return {
        ...shared,
        group: 'marks',
        e: place.e,
        n: place.n,
        z: hubZ ?? place.z,
        offset: offset ?? plan.offset,
        cutFill,
        dEMm,
        dNMm,
        station: stationOf(solution),
        standing: standingWords()[standing],
        at: mark.at,
      };
    });
  });
  const stations = state.accepted
    .filter(({ withdrawn }) => !withdrawn)
    .map(({ fact, decision }): SitePoint => {
      const { e, n, z } = fact.body.result;
      const notices = stationsOnPaper(state, trust, new Set([fact.id])).flatMap((station) =>
        stationNotices(station, state.settings.lengthUnit),
      );
      return {
        ...NOTHING,
        name: fact.body.name,
        group: 'stations',
        note: [decision.body.verdict, ...notices].join('; '),
        e,
        n,
        z,
        at: decision.at,
      };
    });
  const measured = new Map(measuredFromStations(state).map((each) => [each.fact.id, each.standing]));
  const asBuilt = state.asBuilt.map(({ id, at, body }): SitePoint => ({
    ...NOTHING,
    name: body.name,
    group: 'asBuilt',
    code: body.code,
    note: body.note,
    ...body.place,
    station: stationOf(body.solution),
    standing: standingWords()[measured.get(id) ?? 'unproven'],
    at,
  }));
  return [
    ...control,
    ...work.filter(({ group }) => group === 'marks'),
    ...work.filter(({ group }) => group === 'planned'),
    ...stations,
    ...asBuilt,
  ];
}

/** What is to be built: outlines, and pairs of line ends. */
export const exportedLines = ({ packages }: SiteState) =>
  packages.flatMap(({ body }) =>
    body.items.flatMap((item) => {
      const points = item.corners.map(({ e, n }) => ({ e, n }));
      if (isOutline(item)) return [{ name: item.name, closed: true, points }];
      if (item.rule === 'along' || item.rule === 'road')
        return [{ name: item.name, closed: item.along?.closed ?? false, points }];
      return item.rule === 'lineEnds'
        ? points.flatMap((from, i) =>
            i % 2 === 0 && points[i + 1] ? [{ name: item.name, closed: false, points: [from, points[i + 1]!] }] : [],
          )
        : [];
    }),
  );

/** Every placing with its sights, reduced to metres and decimal degrees as they were read. */
export const exportedSetups = (state: SiteState) =>
  state.occupations.map((occupation, i) => {
    const raw = rawSightsOf(state, occupation);
    const { result } = raw.station ?? { result: null };
    const placed =
      result &&
      raw.station!.verdict !== 'refused' &&
      raw.station!.method !== 'paired' &&
      raw.station!.method !== 'heightOnly';
    return {
      id: `setup-${i + 1}`,
      name: occupation.body.name,
      instrument: occupation.body.instrument.name,
      instrumentHeight: occupation.body.instrumentHeight,
      at: occupation.at,
      place: placed ? { e: result.e, n: result.n, z: result.z } : null,
      sights: raw.sights.map(({ target, used: _used, by: _by, at, ...read }) => {
        const reading = readingOf({ ...read, occupation: occupation.id, target: { kind: 'spot', name: target.name } });
        return {
          target: target.name,
          at,
          purpose: read.purpose,
          face: read.face,
          horizontal: angleFromRadians(reading.circle, 'degree'),
          zenith: angleFromRadians(reading.zenith, 'degree'),
          slope: reading.slope,
          targetHeight: reading.targetHeight,
        };
      }),
    };
  });

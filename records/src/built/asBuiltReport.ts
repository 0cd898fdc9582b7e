/**
 * Everything that was measured as it stands, as one report: against the design, bolts as groups, columns, lines, single
 * points.
 */
import type { AngleUnit, LengthUnit, Metres, SitePoint, Standing } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { msg, roadPlaceWords, usualStationFormat, type StationStyle } from '@idle-marker/words';
import {
  boltGroups,
  columnsAlong,
  designDifferences,
  heightOverRoad,
  heightOverSurface,
  lineDifferences,
  type BoltGroup,
  type ColumnRow,
  type DesignDifference,
} from './asBuilt.ts';
import { memberName } from '../stake/cutSheet.ts';
import { measuredFromStations } from '../proof/hungOn.ts';
import { stationsOnPaper, type StationOnPaper } from '../stake/stationsOnPaper.ts';
import { compareNames, decidedSolution, type SiteState } from '../site/state.ts';
import { trustOf } from '../proof/trust.ts';
import { sitePaper, type SitePaper } from '../site/sitePaper.ts';
import { classOf, usualClass } from '../site/toleranceClass.ts';

export interface AsBuiltReport {
  readonly site: string;
  readonly lengthUnit: LengthUnit;
  readonly angleUnit: AngleUnit;
  readonly axes: 'EN' | 'NE';
  readonly paper: SitePaper;
  readonly siteZero: Metres | null;
  readonly at: string;
  readonly by: string;
  readonly rows: readonly AsBuiltRow[];
  readonly groups: readonly BoltGroup[];
  /** Columns with anything measured, with what their class allows. */
  readonly columns: readonly ColumnRow[];
  readonly columnTolerance: Metres;
  /** Drawings that were laid over what was found, with what is left at each pair. */
  readonly laid: readonly {
    readonly drawing: string;
    readonly scale: number;
    readonly misfits: readonly { name: string; dEMm: number; dNMm: number }[];
  }[];
  /** Stations that it was measured from, with all that goes along. */
  readonly stations: readonly StationOnPaper[];
}

export interface AsBuiltRow {
  readonly fact: Fact<'asBuilt'>;
  readonly name: string;
  readonly code: string;
  readonly place: SitePoint;
  readonly against: string;
  readonly dE: Metres | null;
  readonly dN: Metres | null;
  readonly dZ: Metres | null;
  /** Along and off the line that it was read against, off to the right positive. */
  readonly along: Metres | null;
  readonly off: Metres | null;
  /** Null when there is nothing that it could be outside of. */
  readonly within: boolean | null;
  readonly station: string;
  /** Name of the class that its station was accepted for. */
  readonly className: string;
  /** Why its station was accepted against the class's terms; null when it met them. */
  readonly provisionalBecause: string | null;
  /** As a mark would stand that was set when it was measured. */
  readonly standing: Standing;
  readonly by: string;
}

function againstName(against: Fact<'asBuilt'>['body']['against'], style: StationStyle): string {
  switch (against?.kind) {
    case 'face':
      return msg('records.line', { line: against.line });
    case 'surface':
      return against.z === null ? msg('records.offTheSurface', { name: against.name }) : `surface ${against.name}`;
    case 'plan':
      return msg('records.aDesignThatIsGone');
    case 'road':
      return msg('records.along', {
        roadPlace: roadPlaceWords(against.displayed, against.offset, style),
        name: against.name,
      });
    default:
      return '';
  }
}

export function asBuiltReport(state: SiteState, at: string, by: string): AsBuiltReport {
  const differences = new Map(designDifferences(state).map((each): [string, DesignDifference] => [each.fact.id, each]));
  const lines = new Map(lineDifferences(state).map((each) => [each.fact.id, each]));
  const standings = new Map(measuredFromStations(state).map((each) => [each.fact.id, each.standing]));
  const { lengthUnit: unit, stationFormat } = state.settings;
  const style = { unit, format: stationFormat ?? usualStationFormat(unit) };
  const rows = state.asBuilt.map((fact): AsBuiltRow => {
    const difference = differences.get(fact.id);
    const line = lines.get(fact.id);
    const { against, name, code, place } = fact.body;
    const solution = decidedSolution(state, fact.body.solution);
    return {
      fact,
      name,
      code,
      place,
      against: difference
        ? `${difference.work.body.name}, ${difference.plan.corner}`
        : (line?.name ?? againstName(against, style)),
      dE: difference?.dE ?? null,
      dN: difference?.dN ?? null,
      dZ: difference?.dZ ?? line?.heightDifference ?? heightOverSurface(fact.body) ?? heightOverRoad(fact.body),
      along: line?.chainage ?? null,
      off: line?.offset ?? null,
      within: difference?.within ?? null,
      station: solution?.fact.body.name ?? 'unknown',
      className: solution ? classOf(state, solution.fact.body.class).name : '',
      provisionalBecause: solution?.decision.body.verdict === 'provisional' ? solution.decision.body.reason : null,
      standing: standings.get(fact.id) ?? 'unproven',
      by: memberName(state, fact.by),
    };
  });
  const columns = state.grids.flatMap((grid) =>
    [...grid.body.letters.labels, ...grid.body.numbers.labels].flatMap((label) =>
      (columnsAlong(state, grid, label) ?? []).filter(({ shots }) => shots.length > 0),
    ),
  );
  return {
    site: state.settings.name,
    lengthUnit: state.settings.lengthUnit,
    angleUnit: state.settings.angleUnit,
    axes: state.settings.axisOrder,
    paper: sitePaper(state.settings),
    siteZero: state.settings.siteZero,
    at,
    by: memberName(state, by),
    rows: rows.sort((a, b) => compareNames(a.name, b.name)),
    groups: boltGroups(state).filter(({ bolts }) => bolts.some(({ difference }) => difference !== null)),
    columns,
    columnTolerance: usualClass(state, 'steel').plan,
    laid: state.drawings.flatMap(({ body: { name, placing } }) =>
      placing?.misfits ? [{ drawing: name, scale: placing.scale, misfits: placing.misfits }] : [],
    ),
    stations: stationsOnPaper(
      state,
      trustOf(state, at),
      new Set(state.asBuilt.map(({ body }) => body.solution)),
      [...differences.values()].map(({ work }) => work.body.class),
    ),
  };
}

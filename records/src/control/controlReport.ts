/**
 * One page about the control for the other trades: what was used, what was refused, how it differs, and what is
 * proposed.
 */
import type { ControlPair, Metres, PlanPoint } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { stationNotices } from '@idle-marker/words';
import { memberName } from '../stake/cutSheet.ts';
import { controlConcerns, type Concern } from '../station/lookAfter.ts';
import { isProvenControl, markHistory, markTrend, type MarkTrend } from '../work/markHistory.ts';
import { pairsOf } from '../proof/pairs.ts';
import { stationSights } from '../station/stationDraft.ts';
import { stationsOnPaper } from '../stake/stationsOnPaper.ts';
import { sitePaper, type SitePaper } from '../site/sitePaper.ts';
import { trustOf } from '../proof/trust.ts';
import { compareNames, type ControlMark, type SiteState } from '../site/state.ts';

export interface ReportRow {
  readonly name: string;
  readonly kind: FactBody<'control'>['kind'];
  readonly condition: FactBody<'control'>['condition'];
  readonly usePlan: boolean;
  readonly useHeight: boolean;
  /** Accepted stations that used it, and that sighted it and left it out. */
  readonly usedBy: readonly string[];
  readonly leftOutBy: readonly string[];
  /** Sighted as a proof. */
  readonly proof: boolean;
  readonly place: PlanPoint | null;
  /** Last comparison with the list, measured minus listed, millimetres. */
  readonly dEMm: number | null;
  readonly dNMm: number | null;
  readonly dZMm: number | null;
  /** What a receiver found there last, by itself; null where none did. */
  readonly byReceiver: {
    readonly at: string;
    readonly planMm: number;
    readonly radius95Mm: number | null;
    readonly isBeyond: boolean;
  } | null;
  readonly since: string | null;
  readonly propose: MarkTrend['propose'];
  readonly source: string;
  readonly revision: number;
}

export interface ReportPair {
  readonly from: string;
  readonly to: string;
  readonly dDistance: Metres | null;
  readonly dHeight: Metres | null;
  readonly station: string;
}

/** Which list somebody has: it counts up by one whenever a mark is added, revised or taken back. */
export interface ControlListVersion {
  readonly version: number;
  /** Of the last change; null for an empty list. */
  readonly at: string | null;
}

export function controlListVersion({ timeline }: SiteState): ControlListVersion {
  const entries = new Set(timeline.flatMap((fact) => (fact.type === 'control' ? [fact.id] : [])));
  const changes = timeline.filter(
    (fact) =>
      entries.has(fact.id) ||
      (fact.type === 'withdrawal' && fact.body.record !== null && entries.has(fact.body.record)),
  );
  return { version: changes.length, at: changes.at(-1)?.at ?? null };
}

export interface ControlReport {
  readonly site: Pick<
    FactBody<'site'>,
    'name' | 'lengthUnit' | 'coordinateSystem' | 'heightDatum' | 'siteZero' | 'combinedScaleFactor' | 'axisOrder'
  >;
  readonly paper: SitePaper;
  readonly surveyor: string;
  readonly by: string;
  readonly at: string;
  readonly rows: readonly ReportRow[];
  /** Pairs that do not fit, the worst first. */
  readonly pairs: readonly ReportPair[];
  readonly concerns: readonly Concern[];
  readonly list: ControlListVersion;
  /** Control of one's own that no second station has proven. */
  readonly unproven: readonly string[];
  /** What goes along with the stations that these figures hang on. */
  readonly notices: readonly string[];
  readonly usable: number;
}

function rowOf(state: SiteState, mark: ControlMark): ReportRow {
  const { body } = mark.revision;
  const looks = markHistory(state, mark.id);
  // A receiver's plan is told apart: it is of another kind than what the instrument compares.
  const last = looks.findLast((look) => look.as !== 'receiver');
  const received = looks.findLast((look) => look.as === 'receiver' && look.dEMm !== null && look.dNMm !== null);
  const trend = markTrend(looks);
  const stations = (as: 'used' | 'leftOut') => [
    ...new Set(looks.filter((look) => look.as === as).map((look) => look.station)),
  ];
  return {
    name: body.name,
    kind: body.kind,
    condition: body.condition,
    usePlan: body.usePlan,
    useHeight: body.useHeight,
    usedBy: stations('used'),
    leftOutBy: stations('leftOut'),
    proof: looks.some((look) => look.as === 'proof'),
    place: body.e === null || body.n === null ? null : { e: body.e, n: body.n },
    dEMm: last?.dEMm ?? null,
    dNMm: last?.dNMm ?? null,
    dZMm: last?.dZMm ?? null,
    byReceiver: received
      ? {
          at: received.at,
          planMm: Math.hypot(received.dEMm!, received.dNMm!),
          radius95Mm: received.radius95Mm ?? null,
          isBeyond: received.offInPlan,
        }
      : null,
    since: trend.since,
    propose: trend.propose,
    source: body.source,
    revision: mark.revisions.length,
  };
}

const badFirst = (row: ReportRow): number =>
  row.propose !== 'nothing' || row.leftOutBy.length > 0 ? 0 : row.condition === 'lost' ? 2 : 1;

export function controlReport(state: SiteState, at: string, by: string): ControlReport {
  const {
    name,
    lengthUnit,
    coordinateSystem,
    heightDatum,
    siteZero,
    combinedScaleFactor,
    axisOrder,
    surveyor = '',
  } = state.settings;
  const nameOf = (id: string) => state.control.find((mark) => mark.id === id)?.revision.body.name ?? '?';
  const pairs = state.occupations
    .filter((occupation) => stationSights(state, occupation.id).length > 1)
    .flatMap((occupation) =>
      pairsOf(state, occupation).map((pair): ControlPair & { station: string } => ({
        ...pair,
        station: occupation.body.name,
      })),
    )
    .filter((pair) => pair.exceeds)
    .sort((a, b) => (b.ratio ?? 0) - (a.ratio ?? 0));
  const usedIn = new Set(state.accepted.filter((each) => !each.withdrawn).map((each) => each.fact.id));
  return {
    site: { name, lengthUnit, coordinateSystem, heightDatum, siteZero, combinedScaleFactor, axisOrder },
    paper: sitePaper(state.settings),
    surveyor,
    by: memberName(state, by),
    at,
    rows: state.control
      .map((mark) => rowOf(state, mark))
      .sort((a, b) => badFirst(a) - badFirst(b) || compareNames(a.name, b.name)),
    pairs: pairs.map(({ from, to, dDistance, dHeight, station }) => ({
      from: nameOf(from),
      to: nameOf(to),
      dDistance,
      dHeight,
      station,
    })),
    list: controlListVersion(state),
    concerns: controlConcerns(state, new Date(at)),
    unproven: state.control.filter((mark) => !isProvenControl(state, mark)).map((mark) => mark.revision.body.name),
    notices: stationsOnPaper(state, trustOf(state, at), usedIn).flatMap((station) =>
      stationNotices(station, lengthUnit),
    ),
    usable: state.control.filter(
      ({ revision: { body } }) => body.condition !== 'lost' && body.usePlan && !body.forProof,
    ).length,
  };
}

/**
 * A cut sheet as data: what the crew gets, from the marks as set. Metres inside; units are put to it when it is
 * written.
 */
import type {
  CornerMeaning,
  HeightReference,
  LengthUnit,
  MarkStanding,
  Metres,
  PlanPoint,
  StakeReading,
  Standing,
  StandingReason,
  TrustResult,
} from '@idle-marker/core';
import { inOrder } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { cutFillAsWritten, type Rounding } from '@idle-marker/words';
import { conventionFor, saysTheSame } from './conventions.ts';
import { stakeReading } from './stakeReading.ts';
import { packageTooNear } from '../work/clearance.ts';
import { isForPlan, shapesOf } from '../work/packagePlans.ts';
import { openCautions, type OpenCaution } from '../book/cautions.ts';
import { stationsOnPaper, type StationOnPaper } from './stationsOnPaper.ts';
import { compareNames, decidedSolution, markKey, type SiteState } from '../site/state.ts';
import { sitePaper, type SitePaper } from '../site/sitePaper.ts';
import { inMm } from '../site/stored.ts';
import { classOf } from '../site/toleranceClass.ts';

export interface CutSheetRow {
  readonly mark: string;
  readonly name: string;
  readonly corner: string;
  readonly item: string;
  readonly meaning: CornerMeaning;
  readonly offset: Metres;
  /** How the offset leads to the feature: square to a face, along a line, or the mark stands on it. */
  readonly reach: 'face' | 'line' | 'point' | 'on';
  readonly hubZ: Metres | null;
  readonly groundZ: Metres | null;
  readonly designZ: Metres | null;
  readonly cutFill: Metres | null;
  readonly dEMm: number;
  readonly dNMm: number;
  readonly station: string;
  readonly provisional: boolean;
  readonly standing: Standing;
  readonly setAt: string;
  readonly proofBefore: string | null;
  readonly proofAfter: string | null;
  readonly stakeText: readonly string[];
  readonly place: PlanPoint;
  readonly design: PlanPoint;
  /** How the stake is read, and what is written on which side of it; not on sheets of before they were kept. */
  readonly reading?: StakeReading;
  readonly written?: FactBody<'mark'>['written'];
}

/**
 * Why a mark is kept back: its standing, what was said of it, or that the package asks for another place or height by
 * now.
 */
export type WithheldReason = StandingReason | 'PLAN_CHANGED' | 'REPORTED_DESTROYED' | 'REPORTED_MOVED';

export interface CutSheet {
  readonly site: string;
  readonly lengthUnit: LengthUnit;
  /** Order of coordinates; east first on sheets of before it was kept. */
  readonly axes?: 'EN' | 'NE';
  readonly siteZero: Metres | null;
  /** System of the coordinates, what heights are counted from, and grid over ground; not on sheets of before. */
  readonly coordinateSystem?: string;
  readonly heightDatum?: string;
  readonly scaleFactor?: number;
  /** What it is printed on; by its unit on sheets of before it was kept. */
  readonly paper?: SitePaper;
  readonly package: string;
  readonly crew: string;
  readonly className: string;
  readonly planMm: number;
  readonly heightMm: number;
  readonly heightReference: HeightReference;
  /** How finely the crew reads; to the finest on sheets of before it was kept. */
  readonly rounding?: Rounding;
  readonly markKind?: FactBody<'package'>['markKind'];
  /** What the crew uses the marks for. */
  readonly use?: string;
  /** A second feature, so far above the design height. */
  readonly also?: FactBody<'package'>['also'];
  readonly issuedBy: string;
  readonly issuedAt: string;
  /** IANA name of the time zone that times are printed in. */
  readonly timeZone: string;
  readonly setFrom: string | null;
  readonly setTo: string | null;
  readonly setBy: readonly string[];
  readonly stations: readonly StationOnPaper[];
  readonly rows: readonly CutSheetRow[];
  /** Marks kept back, and why. */
  readonly withheld: readonly {
    readonly mark: string;
    readonly name: string;
    readonly standing: Standing;
    readonly reason: WithheldReason;
  }[];
  /** Marks of the package not set yet. */
  readonly notSet: readonly string[];
  readonly shapes: readonly {
    readonly closed: boolean;
    readonly points: readonly (PlanPoint & { readonly name: string })[];
  }[];
  /** Where less is left to something else than the work asks for; on sheets of before it was kept, nothing. */
  readonly gaps?: readonly {
    readonly other: string;
    readonly gap: Metres;
    readonly at: PlanPoint;
    readonly to: PlanPoint;
  }[];
  /** What nobody has answered when the marks were set; not on sheets of before it was kept. */
  readonly open?: readonly OpenCaution[];
  /** Changes since the revision before; empty in revision 1. */
  readonly changes: readonly {
    readonly name: string;
    readonly change: 'added' | 'removed' | 'setAgain' | 'withheld' | 'figures' | 'writtenAnew';
  }[];
  /** Which part of the package it is, where it is not all of it. */
  readonly selection?: string | null;
  /** Who has it, where that is not just the crew. */
  readonly givenTo?: string | null;
  /** Heights against the site's zero stand beside true ones. */
  readonly bothHeights?: boolean;
  /** Coordinates of the marks stand on it as columns. */
  readonly coordinates?: boolean;
  /** Last day that it is to be built from; null for as long as nothing else is said. */
  readonly validUntil?: string | null;
  readonly remarks?: string;
  /** The convention that its stakes are written by. */
  readonly convention?: string;
  /** Languages that the crew reads; English on sheets of before it was kept. */
  readonly languages?: readonly string[];
}

export interface NumberedSheet extends CutSheet {
  readonly number: number;
  readonly revision: number;
}

interface Asked {
  readonly package: Fact<'package'>;
  readonly issuedBy: string;
  readonly issuedAt: string;
  readonly timeZone: string;
  /** A part of the package, with a name of its own; all of it otherwise. */
  readonly selection?: { readonly name: string; readonly keys: readonly string[] } | null;
  readonly givenTo?: string | null;
  readonly bothHeights?: boolean;
  readonly coordinates?: boolean;
  readonly validUntil?: string | null;
  readonly remarks?: string;
}

/** Collects the sheet. Marks in doubt are withheld. */
export function cutSheet(state: SiteState, trust: TrustResult, asked: Asked, previous: CutSheet | null): CutSheet {
  const { settings } = state;
  const { convention } = conventionFor(state, asked.package.body);
  const body = asked.package.body;
  const tolerance = classOf(state, body.class);
  const root = state.packageRoots.get(asked.package.id)!;
  const standings = new Map(trust.marks.map((mark) => [mark.id, mark]));
  const chosen = asked.selection ? new Set(asked.selection.keys) : null;
  const plans = body.plans.filter((plan) => chosen === null || chosen.has(plan.key));
  const set = plans.flatMap((plan) => {
    const mark = state.marks.get(markKey(root, plan.key));
    if (!mark || mark.body.state === 'rough') return [];
    return [
      {
        plan,
        mark,
        standing: standings.get(mark.id),
        outdated: !isForPlan(mark.body, plan),
        report: state.reports.get(mark.id),
      },
    ];
  });
  const isGiven = ({ standing, outdated, report }: (typeof set)[number]) =>
    standing !== undefined && standing.standing !== 'inDoubt' && !outdated && report === undefined;
  const given = set.filter(isGiven).sort((a, b) => compareNames(a.plan.name, b.plan.name));
  const rows = given.map(({ plan, mark, standing }) => rowOf(state, body, plan, mark, standing!));
  const withheld = set
    .filter((each) => !isGiven(each))
    .map(({ mark, standing, outdated, report }) => ({
      mark: mark.id,
      name: mark.body.name,
      standing: standing?.standing ?? ('unproven' as const),
      reason: withheldReason(standing, outdated, report),
    }));
  const times = given.map(({ mark }) => mark.at).sort();
  const setKeys = new Set(set.map(({ plan }) => plan.key));
  return {
    site: settings.name,
    lengthUnit: settings.lengthUnit,
    axes: settings.axisOrder,
    siteZero: settings.siteZero,
    coordinateSystem: settings.coordinateSystem,
    heightDatum: settings.heightDatum,
    scaleFactor: settings.combinedScaleFactor,
    paper: sitePaper(settings),
    package: body.name,
    crew: body.crew,
    className: tolerance.name,
    planMm: inMm(tolerance.plan),
    heightMm: inMm(tolerance.height),
    heightReference: body.heightReference,
    ...(body.rounding ? { rounding: body.rounding } : {}),
    ...(body.markKind ? { markKind: body.markKind } : {}),
    ...(body.use ? { use: body.use } : {}),
    ...(body.also ? { also: body.also } : {}),
    issuedBy: asked.issuedBy,
    issuedAt: asked.issuedAt,
    timeZone: asked.timeZone,
    setFrom: times[0] ?? null,
    setTo: times.at(-1) ?? null,
    setBy: [...new Set(given.map(({ mark }) => memberName(state, mark.by)))],
    stations: stationsOnPaper(
      state,
      trust,
      new Set(given.map(({ mark }) => state.rehung.get(mark.id) ?? mark.body.solution)),
      [body.class],
    ),
    rows,
    withheld,
    open: openCautions(
      state,
      asked.package,
      given.map(({ mark }) => mark),
    ),
    notSet: plans.filter((plan) => !setKeys.has(plan.key)).map((plan) => plan.name),
    // What nothing on the sheet leads to would only make the drawing smaller.
    shapes: body.items
      .filter((item) => rows.length === 0 || rows.some((row) => row.item === item.name))
      .flatMap(shapesOf),
    gaps: packageTooNear(state, asked.package)
      .filter(({ item }) => rows.length === 0 || rows.some((row) => row.item === item))
      .map(({ other, gap, at: { e, n }, to }) => ({ other, gap, at: { e, n }, to: { e: to.e, n: to.n } })),
    changes: changesSince(previous, rows, withheld),
    selection: asked.selection?.name ?? null,
    givenTo: asked.givenTo ?? null,
    bothHeights: (asked.bothHeights ?? false) && settings.siteZero !== null,
    coordinates: asked.coordinates ?? false,
    validUntil: asked.validUntil ?? null,
    remarks: asked.remarks ?? '',
    convention: convention.name,
    languages: convention.languages,
  };
}

function withheldReason(
  standing: MarkStanding | undefined,
  outdated: boolean,
  report: Fact<'report'> | undefined,
): WithheldReason {
  if (report) return report.body.kind === 'destroyed' ? 'REPORTED_DESTROYED' : 'REPORTED_MOVED';
  if (outdated) return 'PLAN_CHANGED';
  const doubtful = standing && [standing.plan, standing.height].find((part) => part.standing === 'inDoubt');
  return doubtful?.because[0] ?? 'STATION_UNKNOWN';
}

export const memberName = (state: SiteState, id: string | null): string =>
  state.members.find((member) => member.id === id)?.body.name ?? 'unknown';

function rowOf(
  state: SiteState,
  work: FactBody<'package'>,
  plan: FactBody<'package'>['plans'][number],
  mark: Fact<'mark'>,
  standing: MarkStanding,
): CutSheetRow {
  const solution = decidedSolution(state, mark.body.solution);
  // Good or bad, each proof is told with its own time: the last before the mark and the first at or after it.
  const proofs = state.proofs.filter((proof) => proof.body.solution === mark.body.solution).sort(inOrder);
  return {
    mark: mark.id,
    name: mark.body.name,
    corner: plan.corner,
    item: plan.item,
    meaning: plan.meaning,
    offset: plan.offset,
    reach: plan.offset === 0 ? 'on' : plan.offFace ? 'face' : plan.onLine ? 'line' : 'point',
    hubZ: mark.body.hubZ,
    groundZ: mark.body.groundZ,
    designZ: mark.body.designZ,
    cutFill: cutFillAsWritten(mark.body.hubZ, mark.body.designZ, state.settings.lengthUnit) ?? mark.body.cutFill,
    dEMm: mark.body.dEMm,
    dNMm: mark.body.dNMm,
    station: solution?.fact.body.name ?? 'unknown',
    provisional: solution?.decision.body.verdict === 'provisional',
    standing: standing.standing,
    setAt: mark.at,
    proofBefore: proofs.findLast((proof) => inOrder(proof, mark) < 0)?.at ?? null,
    proofAfter: proofs.find((proof) => inOrder(proof, mark) >= 0)?.at ?? null,
    stakeText: mark.body.stakeText,
    place: { e: mark.body.place.e, n: mark.body.place.n },
    design: plan.design,
    reading: stakeReading(state, work, plan, mark),
    ...(mark.body.written ? { written: mark.body.written } : {}),
  };
}

function changesSince(
  previous: CutSheet | null,
  rows: readonly CutSheetRow[],
  withheld: CutSheet['withheld'],
): CutSheet['changes'] {
  if (!previous) return [];
  const before = new Map(previous.rows.map((row) => [row.name, row]));
  const after = new Map(rows.map((row) => [row.name, row.mark]));
  const kept = new Set(withheld.map((each) => each.name));
  return [
    ...rows.filter((row) => !before.has(row.name)).map((row) => ({ name: row.name, change: 'added' as const })),
    ...rows
      .filter((row) => before.has(row.name) && before.get(row.name)!.mark !== row.mark)
      .map((row) => ({ name: row.name, change: 'setAgain' as const })),
    ...rows
      .filter((row) => before.get(row.name)?.mark === row.mark && figuresOf(before.get(row.name)!) !== figuresOf(row))
      .map((row) => ({ name: row.name, change: 'figures' as const })),
    ...rows
      .filter((row) => before.get(row.name)?.mark === row.mark && figuresOf(before.get(row.name)!) === figuresOf(row))
      .filter((row) => !saysTheSame(before.get(row.name)!, row))
      .map((row) => ({ name: row.name, change: 'writtenAnew' as const })),
    ...previous.rows
      .filter((row) => !after.has(row.name))
      .map((row) => ({ name: row.name, change: kept.has(row.name) ? ('withheld' as const) : ('removed' as const) })),
  ];
}

/** What a crew would read differently. */
const figuresOf = ({ offset, corner, hubZ, designZ, cutFill }: CutSheetRow): string =>
  // Where both elevations stand, the cut or fill follows from them.
  JSON.stringify([offset, corner, hubZ, designZ, hubZ === null || designZ === null ? cutFill : null]);

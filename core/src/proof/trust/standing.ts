/** Standing of every mark and solution, from the lines of evidence. */
import { grouped } from './grouped.ts';
import { PARTS, type FindingRecord, type MarkRecord, type Part, type Ranked } from './records.ts';
import { vouching, witnessedLines, type Line, type Lines } from './lines.ts';
import { sightingsOf, type MarkSighting, type Sightings } from './sightings.ts';
import type { Occupied, TrustSite } from './site.ts';

export type Standing = 'inDoubt' | 'unproven' | 'notMeasured' | 'open' | 'held';
export type StandingReason =
  | 'NOT_NEEDED'
  | 'NOT_MEASURED'
  | 'RESIGHTED'
  | 'STATION_UNKNOWN'
  | 'STATION_WITHDRAWN'
  | 'SET_AFTER_END'
  | 'CONTROL_MOVED'
  | 'RECOMPUTED'
  | 'PROOF_FAILED'
  | 'PROOFS_DISAGREE'
  | 'SET_AFTER_FAILURE'
  | 'MARK_DISTURBED'
  | 'REPEAT_FAILED'
  | 'PROVEN_AFTER'
  | 'VOUCHED_BY_OPEN'
  | 'NEVER_PROVEN'
  | 'ONLY_REPEATS'
  | 'NOT_PROVEN_SINCE'
  | 'ENDED'
  | 'EVENT'
  | 'CLOCK';
export type MarkNote = 'CONTROL_MOVED_WITHIN' | 'MORE_THAN_CHANCE' | 'PROVISIONAL' | 'RECOMPUTED_WITHIN' | 'REPEATED';

export interface PartStanding {
  readonly standing: Standing;
  readonly because: readonly StandingReason[];
  /** Id of the record that it rests on. */
  readonly evidence: string | null;
}
export interface MarkStanding {
  readonly id: string;
  readonly plan: PartStanding;
  readonly height: PartStanding;
  /** The worst of the parts that it needs. */
  readonly standing: Standing;
  readonly notes: readonly MarkNote[];
}
export type SolutionPartState = 'proven' | 'unproven' | 'failed' | 'disagree' | 'notUsed' | 'withdrawn';
export type ProofDue = 'CLOCK' | 'EVENT' | null;
export interface SolutionStanding {
  readonly id: string;
  readonly occupation: string;
  readonly inForce: boolean;
  readonly plan: SolutionPartState;
  readonly height: SolutionPartState;
  readonly lastGoodPlan: string | null;
  readonly lastGoodHeight: string | null;
  readonly due: ProofDue;
}

/** Everything that one part is judged from. */
export interface PartView {
  readonly part: Part;
  readonly site: TrustSite;
  readonly sightings: Sightings;
  readonly lines: Lines;
  /** Re-sights by the solution that their mark was set with. */
  readonly resightsAbout: ReadonlyMap<string, readonly MarkSighting[]>;
  /** Ids of re-sights from another solution that count. */
  readonly witnessed: ReadonlyMap<string, { readonly firm: boolean }>;
  /** Findings by the marks that they give a difference for. */
  readonly effects: ReadonlyMap<
    string,
    readonly { readonly finding: Ranked<FindingRecord>; readonly size: number | null }[]
  >;
  /** Rank of the last bad re-sight of a mark from its own solution that nothing has settled. */
  readonly lastBadRepeatOf: ReadonlyMap<string, number>;
  /** Ids of good sights that came out at more than chance. */
  readonly moreThanChance: ReadonlySet<string>;
}

export function partView(site: TrustSite, part: Part): PartView {
  const sightings = sightingsOf(site, part);
  const { lines, witnessed } = witnessedLines(site, sightings);
  const effects = new Map<string, { finding: Ranked<FindingRecord>; size: number | null }[]>();
  for (const finding of site.findings) {
    for (const effect of finding.record.effects) {
      const list = effects.get(effect.mark) ?? [];
      list.push({ finding, size: effect[part] === null ? null : Math.abs(effect[part]) });
      effects.set(effect.mark, list);
    }
  }
  const counted = new Map(witnessed.map(({ sighting, firm }) => [sighting.id, { firm }]));
  return {
    part,
    site,
    sightings,
    lines,
    resightsAbout: grouped(sightings.resights, ({ about }) => about),
    effects,
    witnessed: counted,
    lastBadRepeatOf: badRepeats(sightings, counted),
    moreThanChance: new Set(
      [...sightings.proofs, ...sightings.resights].filter((each) => each.moreThanChance).map((each) => each.id),
    ),
  };
}

const NONE: readonly never[] = [];

const usesIn = (solution: Occupied, part: Part): boolean => solution.record.uses.some((use) => use[part]);

export function solutionPart(view: PartView, solution: Occupied): SolutionPartState {
  if (solution.withdrawal) return 'withdrawn';
  if (!usesIn(solution, view.part)) return 'notUsed';
  const { good, bad } = view.lines.of(solution.record.id);
  const [firstBad] = bad;
  if (firstBad) return good.some((each) => each.rank > firstBad.rank) ? 'disagree' : 'failed';
  return good.length > 0 ? 'proven' : 'unproven';
}

/**
 * Whether a proof is due for a part of the solution in force; where something bad stands it is not a proof that is
 * wanted.
 */
export function dueFor(view: PartView, solution: Occupied): ProofDue {
  const { record } = solution;
  const line = view.lines.of(record.id);
  if (!solution.inForce || !usesIn(solution, view.part) || line.bad.length > 0) return null;
  const last = Math.max(solution.rank, line.good.at(-1)?.rank ?? -1);
  const event = view.site.lastEventOf.get(record.occupation) ?? -1;
  const badRepeat = view.lastBadRepeatOf.get(record.id) ?? -1;
  if (event > last || badRepeat > last) return 'EVENT';
  return Date.parse(view.site.input.now) - Date.parse(view.site.ranked[last]!.record.at) >=
    view.site.input.intervalMinutes * 60_000
    ? 'CLOCK'
    : null;
}

const judged = (standing: Standing, because: readonly StandingReason[], evidence: string | null): PartStanding => ({
  standing,
  because,
  evidence,
});

// What most marks of a site share is made once: a site has thousands of them.
const NOT_NEEDED = judged('notMeasured', ['NOT_NEEDED'], null);
const NOT_MEASURED = judged('notMeasured', ['NOT_MEASURED'], null);
const PROVEN_AFTER: readonly StandingReason[] = ['PROVEN_AFTER'];
const RESIGHTED: readonly StandingReason[] = ['RESIGHTED'];

/**
 * The re-sights of a mark that stand against it. One from a witness stands until a later good one from a witness; one
 * from the mark's own solution until a later good one from a witness or from its own solution.
 */
function allAgainst(witnessed: PartView['witnessed'], resights: readonly MarkSighting[]): MarkSighting[] {
  let against: MarkSighting[] = [];
  for (const sighting of resights) {
    const own = sighting.from === sighting.about;
    if (!own && !witnessed.has(sighting.id)) continue;
    if (!sighting.good) against.push(sighting);
    else against = own ? against.filter((each) => each.from !== each.about) : [];
  }
  return against;
}

const standingAgainst = (view: PartView, resights: readonly MarkSighting[]): MarkSighting | null =>
  allAgainst(view.witnessed, resights).at(-1) ?? null;

/**
 * By solution: the last bad re-sight from itself that still stands. What was settled asks for no proof at once any
 * more.
 */
function badRepeats({ resightsOfMark }: Sightings, witnessed: PartView['witnessed']): Map<string, number> {
  const last = new Map<string, number>();
  for (const resights of resightsOfMark.values()) {
    for (const each of allAgainst(witnessed, resights)) {
      if (each.from === each.about) last.set(each.from, Math.max(last.get(each.from) ?? -1, each.rank));
    }
  }
  return last;
}

export const isSpokenAgainst = (view: PartView, mark: string): boolean =>
  standingAgainst(view, view.sightings.resightsOfMark.get(mark) ?? NONE) !== null;

/** The latest good re-sight from a witness since the last bad one from a witness; a firm one when there is any. */
function goodResight(
  view: PartView,
  resights: readonly MarkSighting[],
): { readonly sighting: MarkSighting; readonly firm: boolean } | null {
  const fromWitness = resights.filter((each) => view.witnessed.has(each.id));
  const lastBad = fromWitness.findLastIndex((each) => !each.good);
  const since = fromWitness
    .slice(lastBad + 1)
    .map((sighting) => ({ sighting, firm: view.witnessed.get(sighting.id)!.firm }));
  return since.findLast((each) => each.firm) ?? since.at(-1) ?? null;
}

/** What one part knows of all marks set with one solution: looked up once for the many marks of a station. */
interface StationView {
  readonly view: PartView;
  readonly solution: Occupied | undefined;
  readonly line: Line;
  readonly concerns: readonly Ranked<FindingRecord>[];
}

const stationView = (view: PartView, solution: string): StationView => ({
  view,
  solution: view.site.solutions.get(solution),
  line: view.lines.of(solution),
  concerns: view.sightings.concerns.get(solution) ?? NONE,
});

interface Finding {
  readonly finding: FindingRecord;
  /** It puts the mark out of its tolerance. */
  readonly out: boolean;
}

/** Findings that tell something about the mark, in order. */
function findingsFor({ view, concerns }: StationView, mark: Ranked<MarkRecord>): readonly Finding[] {
  const effects = view.effects.get(mark.record.id) ?? NONE;
  if (effects.length === 0 && concerns.length === 0) return NONE;
  const tolerance = view.site.input.classes[mark.record.class]?.[view.part] ?? 0;
  const sizeIn = (finding: Ranked<FindingRecord>) => effects.find((each) => each.finding === finding)?.size ?? null;
  const moved = concerns.map((finding) => {
    const size = sizeIn(finding);
    return { finding, out: size === null || size > tolerance };
  });
  const recomputed = effects
    .filter(({ finding, size }) => finding.record.cause === 'recomputed' && finding.record[view.part] && size !== null)
    .map(({ finding, size }) => ({ finding, out: size! > tolerance }));
  return [...moved, ...recomputed]
    .sort((a, b) => a.finding.rank - b.finding.rank)
    .map(({ finding, out }) => ({ finding: finding.record, out }));
}

/** The rows of the table below a good re-sight. `against` is the re-sight that stands against the mark. */
function withoutResight(
  { view, solution, line }: StationView,
  mark: Ranked<MarkRecord>,
  findings: readonly Finding[],
  against: MarkSighting | null,
): PartStanding {
  if (!solution) return judged('unproven', ['STATION_UNKNOWN'], null);
  if (solution.withdrawal) return judged('inDoubt', ['STATION_WITHDRAWN'], solution.withdrawal.id);
  if (solution.end && mark.rank > solution.end.rank)
    return judged('inDoubt', ['SET_AFTER_END'], solution.end.record.id);
  const out = findings.find((each) => each.out);
  if (out)
    return judged('inDoubt', [out.finding.cause === 'controlMoved' ? 'CONTROL_MOVED' : 'RECOMPUTED'], out.finding.id);
  const { firm, any } = vouching(line, mark.rank);
  if (line.bad.length > 0 && !any) return failed(line, mark.rank);
  if (against) {
    const disturbed = against.from !== against.about || line.good.some((each) => each.rank > against.rank);
    return judged('inDoubt', [disturbed ? 'MARK_DISTURBED' : 'REPEAT_FAILED'], against.id);
  }
  if (firm) return judged('held', PROVEN_AFTER, firm.id);
  if (any) return judged('open', ['VOUCHED_BY_OPEN'], any.id);
  const last = line.good.at(-1);
  if (!last) return judged('unproven', [line.goodRepeat ? 'ONLY_REPEATS' : 'NEVER_PROVEN'], null);
  const due = solution.inForce ? dueFor(view, solution) : 'ENDED';
  return judged('open', due ? ['NOT_PROVEN_SINCE', due] : ['NOT_PROVEN_SINCE'], last.id);
}

function failed(line: Line, rank: number): PartStanding {
  const first = line.bad[0]!;
  const because: StandingReason[] = [
    line.good.some((each) => each.rank > first.rank) ? 'PROOFS_DISAGREE' : 'PROOF_FAILED',
  ];
  if (first.mark === null && rank > first.rank) because.push('SET_AFTER_FAILURE');
  return judged('inDoubt', because, first.id);
}

const WORST_FIRST: readonly Standing[] = ['inDoubt', 'unproven', 'notMeasured', 'open', 'held'];
const worth = (standing: Standing): number => WORST_FIRST.indexOf(standing);

const worse = (a: Standing | null, b: Standing | null): Standing | null =>
  a === null || (b !== null && worth(b) < worth(a)) ? b : a;

/** A good re-sight that nothing stands against holds a mark, unless what lies below it in the table is better. */
function withResights(
  station: StationView,
  mark: Ranked<MarkRecord>,
  findings: readonly Finding[],
  resights: readonly MarkSighting[],
): PartStanding {
  const against = standingAgainst(station.view, resights);
  const below = withoutResight(station, mark, findings, against);
  const good = against ? null : goodResight(station.view, resights);
  if (!good) return below;
  const standing = good.firm ? 'held' : 'open';
  return worth(standing) >= worth(below.standing) ? judged(standing, RESIGHTED, good.sighting.id) : below;
}

/** One part of a mark; what is to be noted about it is added to `notes`. */
function partStanding(station: StationView, mark: Ranked<MarkRecord>, notes: MarkNote[]): PartStanding {
  const { view } = station;
  if (!mark.record.needs[view.part]) return NOT_NEEDED;
  if (!mark.record.measured[view.part]) return NOT_MEASURED;
  const findings = findingsFor(station, mark);
  const resights = view.sightings.resightsOfMark.get(mark.record.id);
  const standing = resights
    ? withResights(station, mark, findings, resights)
    : withoutResight(station, mark, findings, null);
  for (const { finding, out } of findings)
    if (!out) notes.push(finding.cause === 'controlMoved' ? 'CONTROL_MOVED_WITHIN' : 'RECOMPUTED_WITHIN');
  if (standing.evidence !== null && view.moreThanChance.has(standing.evidence)) notes.push('MORE_THAN_CHANCE');
  if (resights?.some((each) => each.good && each.from === each.about)) notes.push('REPEATED');
  return standing;
}

function markStanding(stations: Readonly<Record<Part, StationView>>, mark: Ranked<MarkRecord>): MarkStanding {
  const notes: MarkNote[] = [];
  const plan = partStanding(stations.plan, mark, notes);
  const height = partStanding(stations.height, mark, notes);
  const { needs } = mark.record;
  if (stations.plan.solution?.record.acceptedAs === 'provisional') notes.push('PROVISIONAL');
  return {
    id: mark.record.id,
    plan,
    height,
    standing: worse(needs.plan ? plan.standing : null, needs.height ? height.standing : null) ?? 'notMeasured',
    notes: notes.length < 2 ? notes : [...new Set(notes)].sort(),
  };
}

export interface JudgedMark {
  readonly rank: number;
  readonly standing: MarkStanding;
}

/** The standings of marks that were all set with one solution, in the order given. */
export function standingsAt(
  views: Readonly<Record<Part, PartView>>,
  solution: string,
  marks: readonly Ranked<MarkRecord>[],
): JudgedMark[] {
  const stations = { plan: stationView(views.plan, solution), height: stationView(views.height, solution) };
  return marks.map((mark) => ({ rank: mark.rank, standing: markStanding(stations, mark) }));
}

export function solutionStanding(views: Readonly<Record<Part, PartView>>, solution: Occupied): SolutionStanding {
  const { id, occupation } = solution.record;
  const due = PARTS.map((part) => dueFor(views[part], solution));
  const lastGood = (part: Part) => (solution.withdrawal ? null : (views[part].lines.of(id).good.at(-1)?.id ?? null));
  return {
    id,
    occupation,
    inForce: solution.inForce,
    plan: solutionPart(views.plan, solution),
    height: solutionPart(views.height, solution),
    lastGoodPlan: lastGood('plan'),
    lastGoodHeight: lastGood('height'),
    due: due.includes('EVENT') ? 'EVENT' : due.includes('CLOCK') ? 'CLOCK' : null,
  };
}

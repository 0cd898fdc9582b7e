/** Standing of every mark and solution, from the lines of evidence. */
import { PARTS, type FindingRecord, type MarkRecord, type Part } from './records.ts';
import { isInDoubtAt, vouching, witnessedLines, type Line, type Lines } from './lines.ts';
import { sightingsOf, type MarkSighting, type Sightings } from './sightings.ts';
import type { Occupied, Ranked, TrustSite } from './site.ts';

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
  /** Ids of re-sights from another solution that count. */
  readonly witnessed: ReadonlyMap<string, { readonly firm: boolean }>;
  /** Findings by the marks that they give a difference for. */
  readonly effects: ReadonlyMap<string, readonly { readonly finding: Ranked<FindingRecord>; readonly size: number | null }[]>;
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
  return { part, site, sightings, lines, effects, witnessed: new Map(witnessed.map(({ sighting, firm }) => [sighting.id, { firm }])) };
}

const usesIn = (solution: Occupied, part: Part): boolean => solution.record.uses.some((use) => use[part]);

export function solutionPart(view: PartView, solution: Occupied): SolutionPartState {
  if (solution.withdrawal) return 'withdrawn';
  if (!usesIn(solution, view.part)) return 'notUsed';
  const { good, bad } = view.lines.of(solution.record.id);
  const [firstBad] = bad;
  if (firstBad) return good.some((each) => each.rank > firstBad.rank) ? 'disagree' : 'failed';
  return good.length > 0 ? 'proven' : 'unproven';
}

/** Whether a proof is due for a part of the solution in force; where something bad stands it is not a proof that is wanted. */
export function dueFor(view: PartView, solution: Occupied): ProofDue {
  const { record } = solution;
  const line = view.lines.of(record.id);
  if (!solution.inForce || !usesIn(solution, view.part) || line.bad.length > 0) return null;
  const last = Math.max(solution.rank, line.good.at(-1)?.rank ?? -1);
  const event = view.site.lastEventOf.get(record.occupation) ?? -1;
  const badRepeat = view.sightings.lastBadRepeatOf.get(record.id) ?? -1;
  if (event > last || badRepeat > last) return 'EVENT';
  return Date.parse(view.site.input.now) - view.site.times[last]! >= view.site.input.intervalMinutes * 60_000 ? 'CLOCK' : null;
}

interface Judged extends PartStanding {
  readonly moreThanChance: boolean;
}
const judged = (standing: Standing, because: readonly StandingReason[], evidence: string | null, moreThanChance = false): Judged => ({
  standing,
  because,
  evidence,
  moreThanChance,
});

/**
 * The latest re-sight that stands against the mark. One from a witness stands until a later good one from a witness; one from
 * the mark's own solution until a later good one from a witness or from its own solution.
 */
export function standingAgainst(view: PartView, mark: string): MarkSighting | null {
  let against: MarkSighting[] = [];
  for (const sighting of view.sightings.resightsOfMark.get(mark) ?? []) {
    const own = sighting.from === sighting.about;
    if (!own && !view.witnessed.has(sighting.id)) continue;
    if (!sighting.good) against.push(sighting);
    else against = own ? against.filter((each) => each.from !== each.about) : [];
  }
  return against.at(-1) ?? null;
}

/** The latest good re-sight from a witness since the last bad one from a witness; a firm one when there is any. */
function goodResight(view: PartView, mark: Ranked<MarkRecord>): { readonly sighting: MarkSighting; readonly firm: boolean } | null {
  const seen = view.sightings.resightsOfMark.get(mark.record.id);
  if (!seen) return null;
  const fromWitness = seen.filter((each) => view.witnessed.has(each.id));
  const lastBad = fromWitness.findLastIndex((each) => !each.good);
  const since = fromWitness.slice(lastBad + 1).map((sighting) => ({ sighting, firm: view.witnessed.get(sighting.id)!.firm }));
  return since.findLast((each) => each.firm) ?? since.at(-1) ?? null;
}

const toleranceOf = (view: PartView, mark: MarkRecord): number => view.site.input.classes[mark.class]?.[view.part] ?? 0;

/** Findings that tell something about the mark, in order: whether each puts it out. */
function findingsFor(view: PartView, mark: Ranked<MarkRecord>): { readonly finding: FindingRecord; readonly out: boolean }[] {
  const effects = view.effects.get(mark.record.id) ?? [];
  const concerns = view.sightings.concerns.get(mark.record.solution) ?? [];
  if (effects.length === 0 && concerns.length === 0) return [];
  const tolerance = toleranceOf(view, mark.record);
  const sizeIn = (finding: Ranked<FindingRecord>) => effects.find((each) => each.finding === finding)?.size ?? null;
  const moved = concerns.map((finding) => {
    const size = sizeIn(finding);
    return { finding, out: size === null || size > tolerance };
  });
  const recomputed = effects
    .filter(({ finding, size }) => finding.record.cause === 'recomputed' && finding.record[view.part] && size !== null)
    .map(({ finding, size }) => ({ finding, out: size! > tolerance }));
  return [...moved, ...recomputed].sort((a, b) => a.finding.rank - b.finding.rank).map(({ finding, out }) => ({ finding: finding.record, out }));
}

/** The rows of the table below a good re-sight. */
function withoutResight(view: PartView, mark: Ranked<MarkRecord>): Judged {
  const solution = view.site.solutions.get(mark.record.solution);
  if (!solution) return judged('unproven', ['STATION_UNKNOWN'], null);
  if (solution.withdrawal) return judged('inDoubt', ['STATION_WITHDRAWN'], solution.withdrawal.id);
  if (solution.end && mark.rank > solution.end.rank) return judged('inDoubt', ['SET_AFTER_END'], solution.end.record.id);
  const out = findingsFor(view, mark).find((each) => each.out);
  if (out) return judged('inDoubt', [out.finding.cause === 'controlMoved' ? 'CONTROL_MOVED' : 'RECOMPUTED'], out.finding.id);
  const line = view.lines.of(solution.record.id);
  if (isInDoubtAt(line, mark.rank)) return failed(line, mark.rank);
  const against = standingAgainst(view, mark.record.id);
  if (against) {
    const disturbed = against.from !== against.about || line.good.some((each) => each.rank > against.rank);
    return judged('inDoubt', [disturbed ? 'MARK_DISTURBED' : 'REPEAT_FAILED'], against.id);
  }
  const { firm, any } = vouching(line, mark.rank);
  if (firm) return judged('held', ['PROVEN_AFTER'], firm.id, firm.moreThanChance);
  if (any) return judged('open', ['VOUCHED_BY_OPEN'], any.id, any.moreThanChance);
  const last = line.good.at(-1);
  if (!last) return judged('unproven', [line.goodRepeat ? 'ONLY_REPEATS' : 'NEVER_PROVEN'], null);
  const due = solution.inForce ? dueFor(view, solution) : 'ENDED';
  return judged('open', due ? ['NOT_PROVEN_SINCE', due] : ['NOT_PROVEN_SINCE'], last.id, last.moreThanChance);
}

function failed(line: Line, rank: number): Judged {
  const first = line.bad[0]!;
  const because: StandingReason[] = [line.good.some((each) => each.rank > first.rank) ? 'PROOFS_DISAGREE' : 'PROOF_FAILED'];
  if (first.mark === null && rank > first.rank) because.push('SET_AFTER_FAILURE');
  return judged('inDoubt', because, first.id);
}

const WORST_FIRST: readonly Standing[] = ['inDoubt', 'unproven', 'notMeasured', 'open', 'held'];
const worth = (standing: Standing): number => WORST_FIRST.indexOf(standing);

function partStanding(view: PartView, mark: Ranked<MarkRecord>): Judged {
  if (!mark.record.needs[view.part]) return judged('notMeasured', ['NOT_NEEDED'], null);
  if (!mark.record.measured[view.part]) return judged('notMeasured', ['NOT_MEASURED'], null);
  const below = withoutResight(view, mark);
  const good = goodResight(view, mark);
  if (good && !standingAgainst(view, mark.record.id)) {
    const standing = good.firm ? 'held' : 'open';
    if (worth(standing) >= worth(below.standing)) return judged(standing, ['RESIGHTED'], good.sighting.id, good.sighting.moreThanChance);
  }
  return below;
}

function addNotes(view: PartView, mark: Ranked<MarkRecord>, standing: Judged, notes: MarkNote[]): void {
  if (!mark.record.needs[view.part] || !mark.record.measured[view.part]) return;
  for (const { finding, out } of findingsFor(view, mark)) if (!out) notes.push(finding.cause === 'controlMoved' ? 'CONTROL_MOVED_WITHIN' : 'RECOMPUTED_WITHIN');
  if (standing.moreThanChance) notes.push('MORE_THAN_CHANCE');
  if (view.sightings.resightsOfMark.get(mark.record.id)?.some((each) => each.good && each.from === each.about)) notes.push('REPEATED');
}

const plain = ({ standing, because, evidence }: PartStanding): PartStanding => ({ standing, because, evidence });

export function markStanding(views: Readonly<Record<Part, PartView>>, mark: Ranked<MarkRecord>): MarkStanding {
  const parts = { plan: partStanding(views.plan, mark), height: partStanding(views.height, mark) };
  let worst: Standing | null = null;
  const notes: MarkNote[] = [];
  for (const part of PARTS) {
    if (mark.record.needs[part] && (worst === null || worth(parts[part].standing) < worth(worst))) worst = parts[part].standing;
    addNotes(views[part], mark, parts[part], notes);
  }
  if (views.plan.site.solutions.get(mark.record.solution)?.record.acceptedAs === 'provisional') notes.push('PROVISIONAL');
  return {
    id: mark.record.id,
    plan: plain(parts.plan),
    height: plain(parts.height),
    standing: worst ?? 'notMeasured',
    notes: notes.length < 2 ? notes : [...new Set(notes)].sort(),
  };
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

/**
 * Standing of every mark and station: a pure function of all records of a site. Nothing it computes is stored.
 *
 * Plan and height are judged apart. Evidence is taken from proofs on control marks that the solution did not use
 * (independent), and from repeats, which carry independent evidence forward. An instrument that has moved does not
 * move back: the first bad evidence that stands puts in doubt everything set after the last good one before it.
 */
export type Part = 'plan' | 'height';
export const PARTS: readonly Part[] = ['plan', 'height'];

/** How a proof came out in one part. `moreThanChance` is inside the tolerance and counts as good. */
export type ProofOutcome = 'good' | 'moreThanChance' | 'outside' | 'notMeasured';
export type Condition = 'secure' | 'usable' | 'doubtful' | 'lost';

interface Stamped {
  readonly id: string;
  /** ISO 8601 instant of the field clock. */
  readonly at: string;
  readonly device: string;
  readonly seq: number;
}

export interface ControlRevisionRecord extends Stamped {
  readonly type: 'controlRevision';
  readonly control: string;
  readonly condition: Condition;
}
export interface SolutionRecord extends Stamped {
  readonly type: 'solution';
  readonly occupation: string;
  readonly instrument: string;
  readonly acceptedAs: 'good' | 'provisional';
  readonly supersedes: string | null;
  readonly uses: readonly { readonly control: string; readonly revision: string; readonly plan: boolean; readonly height: boolean }[];
  readonly directions: readonly string[];
}
export interface CloseRecord extends Stamped {
  readonly type: 'close';
  readonly occupation: string;
}
export interface EventRecord extends Stamped {
  readonly type: 'event';
  readonly occupation: string;
  readonly kind: string;
}
export interface ProofRecord extends Stamped {
  readonly type: 'proof';
  readonly solution: string;
  readonly target: { readonly kind: 'control'; readonly id: string; readonly revision: string } | { readonly kind: 'direction'; readonly id: string };
  readonly plan: ProofOutcome;
  readonly height: ProofOutcome;
  readonly supersedes: string | null;
}
export interface MarkRecord extends Stamped {
  readonly type: 'mark';
  readonly solution: string;
  readonly class: string;
  readonly needs: Readonly<Record<Part, boolean>>;
  readonly measured: Readonly<Record<Part, boolean>>;
  readonly supersedes: string | null;
}
export interface WithdrawalRecord extends Stamped {
  readonly type: 'withdrawal';
  readonly record: string | null;
  readonly occupation: string | null;
}
export type TrustRecord = ControlRevisionRecord | SolutionRecord | CloseRecord | EventRecord | ProofRecord | MarkRecord | WithdrawalRecord;

export interface TrustInput {
  /** Instant for which `CLOCK` is asked, ISO 8601. */
  readonly now: string;
  readonly intervalMinutes: number;
  readonly records: readonly TrustRecord[];
}

export type Standing = 'inDoubt' | 'unproven' | 'notMeasured' | 'open' | 'held';
export type StandingReason =
  | 'NOT_NEEDED'
  | 'NOT_MEASURED'
  | 'STATION_UNKNOWN'
  | 'STATION_WITHDRAWN'
  | 'SET_AFTER_END'
  | 'PROOF_FAILED'
  | 'PROOFS_DISAGREE'
  | 'SET_AFTER_FAILURE'
  | 'PROVEN_AFTER'
  | 'NEVER_PROVEN'
  | 'ONLY_REPEATS'
  | 'NOT_PROVEN_SINCE'
  | 'ENDED'
  | 'EVENT'
  | 'CLOCK';

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
  readonly standing: Standing;
  readonly notes: readonly ('MORE_THAN_CHANCE' | 'PROVISIONAL')[];
}

export type SolutionPartState = 'proven' | 'unproven' | 'failed' | 'disagree' | 'notUsed' | 'withdrawn';
export interface SolutionStanding {
  readonly id: string;
  readonly occupation: string;
  readonly inForce: boolean;
  readonly plan: SolutionPartState;
  readonly height: SolutionPartState;
  readonly lastGoodPlan: string | null;
  readonly lastGoodHeight: string | null;
  readonly due: 'CLOCK' | 'EVENT' | null;
}

export interface TrustResult {
  readonly marks: readonly MarkStanding[];
  readonly solutions: readonly SolutionStanding[];
}

const codeUnits = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The one order of a site: instant, device, sequence, id. */
export function inOrder(a: Stamped, b: Stamped): number {
  return Date.parse(a.at) - Date.parse(b.at) || codeUnits(a.device, b.device) || a.seq - b.seq || codeUnits(a.id, b.id);
}

interface Evidence {
  readonly record: ProofRecord;
  readonly good: boolean;
  readonly independent: boolean;
  readonly moreThanChance: boolean;
}

interface Site {
  readonly input: TrustInput;
  readonly solutions: ReadonlyMap<string, SolutionRecord>;
  readonly withdrawnBy: ReadonlyMap<string, WithdrawalRecord>;
  readonly proofs: readonly ProofRecord[];
  readonly events: readonly EventRecord[];
  readonly conditions: ReadonlyMap<string, Condition>;
  readonly ends: ReadonlyMap<string, CloseRecord | SolutionRecord>;
  readonly lastOf: ReadonlyMap<string, string>;
}

function readSite(input: TrustInput): { site: Site; marks: MarkRecord[] } {
  const records = [...new Map(input.records.map((record) => [record.id, record])).values()].sort(inOrder);
  const withdrawals = records.filter((record) => record.type === 'withdrawal');
  const withdrawnBy = new Map<string, WithdrawalRecord>();
  const claim = (id: string, by: WithdrawalRecord) => {
    if (!withdrawnBy.has(id)) withdrawnBy.set(id, by);
  };
  for (const withdrawal of withdrawals) {
    if (withdrawal.record !== null) claim(withdrawal.record, withdrawal);
    if (withdrawal.occupation === null) continue;
    for (const record of records) if (record.type === 'solution' && record.occupation === withdrawal.occupation) claim(record.id, withdrawal);
  }
  const standing = records.filter((record) => record.type !== 'withdrawal' && !withdrawnBy.has(record.id));
  const accepted = standing.filter((record) => record.type === 'solution');
  const replaced = new Set(standing.filter((record) => record.type === 'mark').map((mark) => mark.supersedes));
  return {
    marks: standing.filter((record) => record.type === 'mark').filter((mark) => !replaced.has(mark.id)),
    site: {
      input,
      solutions: new Map(records.filter((record) => record.type === 'solution').map((solution) => [solution.id, solution])),
      withdrawnBy,
      proofs: standing.filter((record) => record.type === 'proof'),
      events: standing.filter((record) => record.type === 'event'),
      conditions: new Map(standing.filter((record) => record.type === 'controlRevision').map((revision) => [revision.id, revision.condition])),
      ends: occupationEnds(standing, accepted),
      lastOf: new Map(accepted.map((solution) => [solution.occupation, solution.id])),
    },
  };
}

/** The record that ended each occupation: its close, or the first solution of another one by the same instrument. */
function occupationEnds(standing: readonly TrustRecord[], accepted: readonly SolutionRecord[]): Map<string, CloseRecord | SolutionRecord> {
  const ends = new Map<string, CloseRecord | SolutionRecord>();
  const started = new Map<string, SolutionRecord>();
  for (const solution of accepted) if (!started.has(solution.occupation)) started.set(solution.occupation, solution);
  for (const [occupation, first] of started) {
    const end = standing.find(
      (record): record is CloseRecord | SolutionRecord =>
        inOrder(record, first) > 0 &&
        ((record.type === 'close' && record.occupation === occupation) ||
          (record.type === 'solution' &&
            record.instrument === first.instrument &&
            record.occupation !== occupation &&
            started.get(record.occupation) === record)),
    );
    if (end) ends.set(occupation, end);
  }
  return ends;
}

const usesIn = (solution: SolutionRecord, part: Part): boolean => solution.uses.some((use) => use[part]);

/** Later proofs on the same target with the same solution that take this one's place in the part. */
function isSuperseded(site: Site, proof: ProofRecord, part: Part): boolean {
  return site.proofs.some(
    (later) =>
      later.supersedes === proof.id &&
      later.solution === proof.solution &&
      later.target.kind === proof.target.kind &&
      later.target.id === proof.target.id &&
      inOrder(later, proof) > 0 &&
      outcomeOf(later, part) !== 'notMeasured',
  );
}

const outcomeOf = (proof: ProofRecord, part: Part): ProofOutcome => (part === 'height' && proof.target.kind === 'direction' ? 'notMeasured' : proof[part]);

function evidenceOf(site: Site, solution: SolutionRecord, part: Part, proof: ProofRecord): Evidence | null {
  const outcome = outcomeOf(proof, part);
  const end = site.ends.get(solution.occupation);
  if (outcome === 'notMeasured' || (end && inOrder(proof, end) > 0) || isSuperseded(site, proof, part)) return null;
  const good = outcome !== 'outside';
  const moreThanChance = outcome === 'moreThanChance';
  if (proof.target.kind === 'direction') {
    return solution.directions.includes(proof.target.id) ? { record: proof, good, independent: false, moreThanChance } : null;
  }
  const condition = site.conditions.get(proof.target.revision);
  if (!good && (condition === 'doubtful' || condition === 'lost')) return null;
  const control = proof.target.id;
  const independent = !solution.uses.some((use) => use.control === control && use[part]);
  return { record: proof, good, independent, moreThanChance };
}

interface Line {
  /** In order; good repeats before the first independent good evidence are not on it. */
  readonly evidence: readonly Evidence[];
  readonly onlyRepeats: boolean;
}

function lineOf(site: Site, solution: SolutionRecord, part: Part): Line {
  const all = site.proofs
    .filter((proof) => proof.solution === solution.id)
    .map((proof) => evidenceOf(site, solution, part, proof))
    .filter((each) => each !== null);
  const firstIndependent = all.findIndex((each) => each.good && each.independent);
  const evidence = all.filter((each, i) => !each.good || each.independent || (firstIndependent >= 0 && i > firstIndependent));
  return { evidence, onlyRepeats: firstIndependent < 0 && all.some((each) => each.good) };
}

const firstBad = (line: Line): Evidence | undefined => line.evidence.find((each) => !each.good);

function solutionPart(site: Site, solution: SolutionRecord, part: Part, line: Line): SolutionPartState {
  if (site.withdrawnBy.has(solution.id)) return 'withdrawn';
  if (!usesIn(solution, part)) return 'notUsed';
  const bad = firstBad(line);
  if (bad) return line.evidence.some((each) => each.good && inOrder(each.record, bad.record) > 0) ? 'disagree' : 'failed';
  return line.evidence.some((each) => each.good) ? 'proven' : 'unproven';
}

const isInForce = (site: Site, solution: SolutionRecord): boolean =>
  !site.withdrawnBy.has(solution.id) && site.lastOf.get(solution.occupation) === solution.id && !site.ends.has(solution.occupation);

/** Whether a proof is due for a part of the solution in force. */
function dueFor(site: Site, solution: SolutionRecord, part: Part, line: Line): 'CLOCK' | 'EVENT' | null {
  if (!isInForce(site, solution) || !usesIn(solution, part) || firstBad(line)) return null;
  const lastGood = line.evidence.findLast((each) => each.good)?.record;
  const since = lastGood && inOrder(lastGood, solution) > 0 ? lastGood : solution;
  if (site.events.some((event) => event.occupation === solution.occupation && inOrder(event, since) > 0)) return 'EVENT';
  return Date.parse(site.input.now) - Date.parse(since.at) >= site.input.intervalMinutes * 60_000 ? 'CLOCK' : null;
}

function standingOf(
  site: Site,
  mark: MarkRecord,
  part: Part,
  lines: (solution: SolutionRecord, part: Part) => Line,
): PartStanding & { moreThanChance?: boolean } {
  if (!mark.needs[part]) return { standing: 'notMeasured', because: ['NOT_NEEDED'], evidence: null };
  if (!mark.measured[part]) return { standing: 'notMeasured', because: ['NOT_MEASURED'], evidence: null };
  const solution = site.solutions.get(mark.solution);
  if (!solution) return { standing: 'unproven', because: ['STATION_UNKNOWN'], evidence: null };
  const withdrawal = site.withdrawnBy.get(solution.id);
  if (withdrawal) return { standing: 'inDoubt', because: ['STATION_WITHDRAWN'], evidence: withdrawal.id };
  const end = site.ends.get(solution.occupation);
  if (end && inOrder(mark, end) > 0) return { standing: 'inDoubt', because: ['SET_AFTER_END'], evidence: end.id };
  const line = lines(solution, part);
  const bad = firstBad(line);
  const vouching = line.evidence.find((each) => each.good && inOrder(each.record, mark) >= 0 && (!bad || inOrder(each.record, bad.record) < 0));
  if (bad && !vouching) {
    const disagree = line.evidence.some((each) => each.good && inOrder(each.record, bad.record) > 0);
    const because: StandingReason[] = [disagree ? 'PROOFS_DISAGREE' : 'PROOF_FAILED'];
    if (inOrder(mark, bad.record) > 0) because.push('SET_AFTER_FAILURE');
    return { standing: 'inDoubt', because, evidence: bad.record.id };
  }
  if (vouching) return { standing: 'held', because: ['PROVEN_AFTER'], evidence: vouching.record.id, moreThanChance: vouching.moreThanChance };
  const lastGood = line.evidence.findLast((each) => each.good);
  if (!lastGood) return { standing: 'unproven', because: [line.onlyRepeats ? 'ONLY_REPEATS' : 'NEVER_PROVEN'], evidence: null };
  const inForce = isInForce(site, solution);
  const due = inForce ? dueFor(site, solution, part, line) : 'ENDED';
  return {
    standing: 'open',
    because: due ? ['NOT_PROVEN_SINCE', due] : ['NOT_PROVEN_SINCE'],
    evidence: lastGood.record.id,
    moreThanChance: lastGood.moreThanChance,
  };
}

const WORST_FIRST: readonly Standing[] = ['inDoubt', 'unproven', 'notMeasured', 'open', 'held'];

/** Judges all marks and solutions of a site. The order and repetition of `records` do not matter. */
export function judgeTrust(input: TrustInput): TrustResult {
  const { site, marks } = readSite(input);
  const cache = new Map<string, Line>();
  const lines = (solution: SolutionRecord, part: Part): Line => {
    const key = `${part} ${solution.id}`;
    const line = cache.get(key) ?? lineOf(site, solution, part);
    cache.set(key, line);
    return line;
  };
  return {
    marks: marks
      .map((mark): MarkStanding => {
        const parts = { plan: standingOf(site, mark, 'plan', lines), height: standingOf(site, mark, 'height', lines) };
        const needed = PARTS.filter((part) => mark.needs[part]);
        const standing = WORST_FIRST.find((word) => needed.some((part) => parts[part].standing === word)) ?? 'notMeasured';
        const notes: MarkStanding['notes'][number][] = [];
        if (PARTS.some((part) => parts[part].moreThanChance)) notes.push('MORE_THAN_CHANCE');
        if (site.solutions.get(mark.solution)?.acceptedAs === 'provisional') notes.push('PROVISIONAL');
        return { id: mark.id, plan: plain(parts.plan), height: plain(parts.height), standing, notes };
      })
      .sort((a, b) => codeUnits(a.id, b.id)),
    solutions: [...site.solutions.values()]
      .map((solution): SolutionStanding => {
        const line = { plan: lines(solution, 'plan'), height: lines(solution, 'height') };
        const withdrawn = site.withdrawnBy.has(solution.id);
        const due = PARTS.map((part) => dueFor(site, solution, part, line[part]));
        const lastGood = (part: Part) => (withdrawn ? null : (line[part].evidence.findLast((each) => each.good)?.record.id ?? null));
        return {
          id: solution.id,
          occupation: solution.occupation,
          inForce: isInForce(site, solution),
          plan: solutionPart(site, solution, 'plan', line.plan),
          height: solutionPart(site, solution, 'height', line.height),
          lastGoodPlan: lastGood('plan'),
          lastGoodHeight: lastGood('height'),
          due: due.includes('EVENT') ? 'EVENT' : due.includes('CLOCK') ? 'CLOCK' : null,
        };
      })
      .sort((a, b) => codeUnits(a.id, b.id)),
  };
}

const plain = ({ standing, because, evidence }: PartStanding): PartStanding => ({ standing, because, evidence });

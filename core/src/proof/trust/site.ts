/** The records of a site, read once: ranks in the one order, what was withdrawn, replaced or ended. */
import { isBeginning } from './beginning.ts';
import { grouped } from './grouped.ts';
import {
  inOrder,
  ordered,
  type CloseRecord,
  type EventRecord,
  type FindingRecord,
  type ControlRevisionRecord,
  type MarkRecord,
  type Part,
  type ProofOutcome,
  type ProofRecord,
  type Ranked,
  type ResightRecord,
  type SolutionRecord,
  type TrustInput,
  type TrustRecord,
  type WithdrawalRecord,
} from './records.ts';

export interface Occupied extends Ranked<SolutionRecord> {
  /** What ended its occupation. */
  readonly end: Ranked<CloseRecord | SolutionRecord> | null;
  readonly withdrawal: WithdrawalRecord | null;
  readonly inForce: boolean;
}

/** A proof taken while its station stood, on a control mark or on a direction of that station. */
export interface ProofTaken extends Ranked<ProofRecord> {
  readonly solution: Occupied;
  /** Kind and id of the target in one. */
  readonly key: string;
}

/** A set mark sighted again from a station that stood. */
export interface ResightTaken extends Ranked<ResightRecord> {
  readonly mark: Ranked<MarkRecord>;
}

export interface TrustSite {
  readonly input: TrustInput;
  /** All records, by rank. */
  readonly ranked: readonly Ranked<TrustRecord>[];
  readonly solutions: ReadonlyMap<string, Occupied>;
  /** Marks that were not replaced by one set again, in order of setting. */
  readonly listed: readonly Ranked<MarkRecord>[];
  readonly proofs: readonly ProofTaken[];
  readonly resights: readonly ResightTaken[];
  /** Findings that no later one replaces. */
  readonly findings: readonly Ranked<FindingRecord>[];
  readonly revisions: ReadonlyMap<string, Ranked<ControlRevisionRecord>>;
  readonly lastEventOf: ReadonlyMap<string, number>;
  /** Proofs and re-sights by the id of what they supersede. */
  readonly successors: ReadonlyMap<string, readonly Ranked<ProofRecord | ResightRecord>[]>;
}

type ByType = <T extends TrustRecord['type']>(type: T) => readonly Ranked<Extract<TrustRecord, { type: T }>>[];

/** Records in their order and by type, to be gone on from where more of them come behind. */
export interface ReadRecords {
  readonly records: readonly TrustRecord[];
  readonly ranked: readonly Ranked<TrustRecord>[];
  readonly groups: ReadonlyMap<TrustRecord['type'], readonly Ranked<TrustRecord>[]>;
}
export const NOTHING_READ: ReadRecords = { records: [], ranked: [], groups: new Map() };

/**
 * Where records begin with those that were read before, in order, and all others come after these, only the others are
 * read.
 */
export function readRecords(records: readonly TrustRecord[], before: ReadRecords): ReadRecords {
  const count = before.records.length;
  const goesOn = count > 0 && before.ranked.length === count && isBeginning(before.records, records);
  const rest = goesOn ? records.slice(count) : records;
  const isBehind =
    goesOn && rest.every((record, i) => inOrder(rest[i - 1] ?? before.ranked[count - 1]!.record, record) < 0);
  if (!isBehind) {
    const ranked = ordered(records);
    return { records, ranked, groups: grouped(ranked, ({ record }) => record.type) };
  }
  const fresh = rest.map((record, i) => ({ record, rank: count + i }));
  const groups = new Map(before.groups);
  for (const [type, some] of grouped(fresh, ({ record }) => record.type))
    groups.set(type, [...(groups.get(type) ?? []), ...some]);
  return { records, ranked: [...before.ranked, ...fresh], groups };
}

const byType =
  (groups: ReadRecords['groups']): ByType =>
  (type) =>
    (groups.get(type) ?? []) as never;

function withdrawals(all: ByType): Map<string, WithdrawalRecord> {
  const by = new Map<string, WithdrawalRecord>();
  if (all('withdrawal').length === 0) return by;
  const solutionsOf = grouped(all('solution'), ({ record }) => record.occupation);
  for (const { record } of all('withdrawal')) {
    const occupied = record.occupation === null ? [] : (solutionsOf.get(record.occupation) ?? []);
    for (const id of [record.record, ...occupied.map((solution) => solution.record.id)])
      if (id !== null && !by.has(id)) by.set(id, record);
  }
  return by;
}

/**
 * Each occupation's end: its close, or the first solution of another occupation by the same instrument after its own
 * first one, also one accepted late in an occupation that has ended itself: the instrument stands in one place.
 */
function occupationEnds(is: ByType): Map<string, Ranked<CloseRecord | SolutionRecord>> {
  const firsts = new Map<string, Ranked<SolutionRecord>>();
  for (const each of is('solution')) if (!firsts.has(each.record.occupation)) firsts.set(each.record.occupation, each);
  const byInstrument = grouped(is('solution'), (each) => each.record.instrument);
  const closes = grouped(is('close'), (each) => each.record.occupation);
  const ends = new Map<string, Ranked<CloseRecord | SolutionRecord>>();
  for (const [occupation, first] of firsts) {
    const later = (each: Ranked<CloseRecord | SolutionRecord>) => each.rank > first.rank;
    const close = closes.get(occupation)?.find(later);
    const next = byInstrument
      .get(first.record.instrument)!
      .find((each) => later(each) && each.record.occupation !== occupation);
    const end = close && next ? (close.rank < next.rank ? close : next) : (close ?? next);
    if (end) ends.set(occupation, end);
  }
  return ends;
}

const stillThere = (solution: Occupied | undefined, rank: number): solution is Occupied =>
  !!solution && !solution.withdrawal && !(solution.end && rank > solution.end.rank);

function proofsTaken(proofs: readonly Ranked<ProofRecord>[], solutions: ReadonlyMap<string, Occupied>): ProofTaken[] {
  const taken: ProofTaken[] = [];
  for (const { record, rank } of proofs) {
    const { target } = record;
    const solution = solutions.get(record.solution);
    if (!stillThere(solution, rank) || (target.kind === 'direction' && !solution.record.directions.includes(target.id)))
      continue;
    taken.push({ record, rank, solution, key: `${target.kind} ${target.id}` });
  }
  return taken;
}

function resightsTaken(
  resights: readonly Ranked<ResightRecord>[],
  solutions: ReadonlyMap<string, Occupied>,
  marks: readonly Ranked<MarkRecord>[],
): ResightTaken[] {
  // Few of the marks are ever sighted again.
  const wanted = new Set(resights.map(({ record }) => record.mark));
  const marksById = new Map(marks.filter(({ record }) => wanted.has(record.id)).map((mark) => [mark.record.id, mark]));
  const taken: ResightTaken[] = [];
  for (const { record, rank } of resights) {
    const mark = marksById.get(record.mark);
    if (mark && stillThere(solutions.get(record.solution), rank)) taken.push({ record, rank, mark });
  }
  return taken;
}

export function readSite(input: TrustInput, { ranked, groups }: ReadRecords): TrustSite {
  const all = byType(groups);
  const withdrawnBy = withdrawals(all);
  const of: ByType = (type) =>
    withdrawnBy.size === 0 ? all(type) : all(type).filter(({ record }) => !withdrawnBy.has(record.id));
  const ends = occupationEnds(of);
  const lastOf = new Map(of('solution').map(({ record }) => [record.occupation, record.id]));
  const marks = of('mark');
  const replaced = new Set<string>();
  for (const { record } of marks) if (record.supersedes !== null) replaced.add(record.supersedes);
  const findings = of('finding');
  const proofs = of('proof');
  const resights = of('resight');
  const solutions = new Map(
    all('solution').map((each): [string, Occupied] => {
      const { id, occupation } = each.record;
      const end = ends.get(occupation) ?? null;
      const withdrawal = withdrawnBy.get(id) ?? null;
      return [
        id,
        {
          record: each.record,
          rank: each.rank,
          end,
          withdrawal,
          inForce: !withdrawal && !end && lastOf.get(occupation) === id,
        },
      ];
    }),
  );
  return {
    input,
    ranked,
    solutions,
    listed: marks.filter(({ record }) => !replaced.has(record.id)),
    proofs: proofsTaken(proofs, solutions),
    resights: resightsTaken(resights, solutions, marks),
    findings: findings.filter(
      (each) => !findings.some((later) => later.record.supersedes === each.record.id && later.rank > each.rank),
    ),
    revisions: new Map(of('controlRevision').map((each) => [each.record.id, each])),
    lastEventOf: new Map(of('event').map((each: Ranked<EventRecord>) => [each.record.occupation, each.rank])),
    successors: grouped(
      [...proofs, ...resights].filter(({ record }) => record.supersedes !== null),
      ({ record }) => record.supersedes!,
    ),
  };
}

/** A height given for a fixed direction is ignored. */
export const outcomeOf = (record: ProofRecord | ResightRecord, part: Part): ProofOutcome =>
  part === 'height' && record.type === 'proof' && record.target.kind === 'direction' ? 'notMeasured' : record[part];

const sameThing = (a: ProofRecord | ResightRecord, b: ProofRecord | ResightRecord): boolean =>
  a.type === 'proof'
    ? b.type === 'proof' && a.solution === b.solution && a.target.kind === b.target.kind && a.target.id === b.target.id
    : b.type === 'resight' && a.solution === b.solution && a.mark === b.mark;

/**
 * A later sight to the same thing from the same solution takes this one's place in the parts it measured, and in no
 * others.
 */
export const isSuperseded = (
  site: TrustSite,
  { record, rank }: Ranked<ProofRecord | ResightRecord>,
  part: Part,
): boolean =>
  site.successors
    .get(record.id)
    ?.some(
      (later) =>
        later.rank > rank && sameThing(later.record, record) && outcomeOf(later.record, part) !== 'notMeasured',
    ) ?? false;

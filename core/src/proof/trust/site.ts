/** The records of a site, read once: ranks in the one order, what was withdrawn, replaced or ended. */
import { grouped } from './grouped.ts';
import {
  ordered,
  type CloseRecord,
  type EventRecord,
  type FindingRecord,
  type ControlRevisionRecord,
  type MarkRecord,
  type Part,
  type ProofOutcome,
  type ProofRecord,
  type ResightRecord,
  type SolutionRecord,
  type TrustInput,
  type TrustRecord,
  type WithdrawalRecord,
} from './records.ts';

/** A record and its place in the order of the site. */
export interface Ranked<T> {
  readonly record: T;
  readonly rank: number;
}

export interface Occupied extends Ranked<SolutionRecord> {
  /** What ended its occupation. */
  readonly end: Ranked<CloseRecord | SolutionRecord> | null;
  readonly withdrawal: WithdrawalRecord | null;
  readonly inForce: boolean;
}

export interface TrustSite {
  readonly input: TrustInput;
  /** Milliseconds since 1970, by rank. */
  readonly times: readonly number[];
  readonly solutions: ReadonlyMap<string, Occupied>;
  /** Marks that were not withdrawn, replaced ones too. */
  readonly marks: ReadonlyMap<string, Ranked<MarkRecord>>;
  /** Marks that were not replaced by one set again, in order of setting. */
  readonly listed: readonly Ranked<MarkRecord>[];
  readonly proofs: readonly Ranked<ProofRecord>[];
  readonly resights: readonly Ranked<ResightRecord>[];
  /** Findings that no later one replaces. */
  readonly findings: readonly Ranked<FindingRecord>[];
  readonly revisions: ReadonlyMap<string, Ranked<ControlRevisionRecord>>;
  readonly lastEventOf: ReadonlyMap<string, number>;
  /** Proofs and re-sights by the id of what they supersede. */
  readonly successors: ReadonlyMap<string, readonly Ranked<ProofRecord | ResightRecord>[]>;
}

function withdrawals(records: readonly TrustRecord[]): Map<string, WithdrawalRecord> {
  const by = new Map<string, WithdrawalRecord>();
  const solutionsOf = grouped(
    records.filter((record) => record.type === 'solution'),
    (solution) => solution.occupation,
  );
  for (const record of records) {
    if (record.type !== 'withdrawal') continue;
    const occupied = record.occupation === null ? [] : (solutionsOf.get(record.occupation) ?? []);
    for (const id of [record.record, ...occupied.map((solution) => solution.id)]) if (id !== null && !by.has(id)) by.set(id, record);
  }
  return by;
}

type ByType = <T extends TrustRecord['type']>(type: T) => readonly Ranked<Extract<TrustRecord, { type: T }>>[];

const byType = (records: readonly Ranked<TrustRecord>[]): ByType => {
  const groups = grouped(records, ({ record }) => record.type);
  return (type) => (groups.get(type) ?? []) as never;
};

/** Each occupation's end: its close, or the first solution of another occupation by the same instrument. */
function occupationEnds(is: ByType): Map<string, Ranked<CloseRecord | SolutionRecord>> {
  const firsts = new Map<string, Ranked<SolutionRecord>>();
  for (const each of is('solution')) if (!firsts.has(each.record.occupation)) firsts.set(each.record.occupation, each);
  const byInstrument = grouped(firsts.values(), (each) => each.record.instrument);
  const closes = grouped(is('close'), (each) => each.record.occupation);
  const ends = new Map<string, Ranked<CloseRecord | SolutionRecord>>();
  for (const [occupation, first] of firsts) {
    const later = (each: Ranked<CloseRecord | SolutionRecord>) => each.rank > first.rank;
    const close = closes.get(occupation)?.find(later);
    const next = byInstrument.get(first.record.instrument)!.find(later);
    const end = close && next ? (close.rank < next.rank ? close : next) : (close ?? next);
    if (end) ends.set(occupation, end);
  }
  return ends;
}

export function readSite(input: TrustInput): TrustSite {
  const { records, times } = ordered(input.records);
  const withdrawnBy = withdrawals(records);
  const ranked = records.map((record, rank) => ({ record, rank }));
  const of = byType(withdrawnBy.size === 0 ? ranked : ranked.filter(({ record }) => !withdrawnBy.has(record.id)));
  const ends = occupationEnds(of);
  const lastOf = new Map(of('solution').map(({ record }) => [record.occupation, record.id]));
  const marks = of('mark');
  const replaced = new Set(marks.map(({ record }) => record.supersedes));
  const findings = of('finding');
  const proofs = of('proof');
  const resights = of('resight');
  return {
    input,
    times,
    solutions: new Map(
      byType(ranked)('solution').map((each): [string, Occupied] => {
        const { id, occupation } = each.record;
        const end = ends.get(occupation) ?? null;
        const withdrawal = withdrawnBy.get(id) ?? null;
        return [id, { ...each, end, withdrawal, inForce: !withdrawal && !end && lastOf.get(occupation) === id }];
      }),
    ),
    marks: new Map(marks.map((mark) => [mark.record.id, mark])),
    listed: marks.filter(({ record }) => !replaced.has(record.id)),
    proofs,
    resights,
    findings: findings.filter((each) => !findings.some((later) => later.record.supersedes === each.record.id && later.rank > each.rank)),
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

/** A later sight to the same thing from the same solution takes this one's place in the parts it measured, and in no others. */
export const isSuperseded = (site: TrustSite, { record, rank }: Ranked<ProofRecord | ResightRecord>, part: Part): boolean =>
  site.successors.get(record.id)?.some((later) => later.rank > rank && sameThing(later.record, record) && outcomeOf(later.record, part) !== 'notMeasured') ??
  false;

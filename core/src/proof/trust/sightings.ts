/**
 * What was sighted, in one part: the proofs and re-sights that can be evidence at all, and who is concerned by
 * findings.
 */
import { grouped } from './grouped.ts';
import type { FindingRecord, Part, Ranked } from './records.ts';
import { isSuperseded, outcomeOf, type ProofTaken, type ResightTaken, type TrustSite } from './site.ts';

/** A proof that may be evidence about its solution. */
export interface ProofSighting {
  readonly id: string;
  readonly rank: number;
  readonly solution: string;
  /** Control mark or fixed direction, whatever the revision. */
  readonly target: string;
  /** Kind and id of the target in one. */
  readonly key: string;
  readonly revision: string | null;
  readonly good: boolean;
  readonly moreThanChance: boolean;
  /** The solution did not use the mark in this part. */
  readonly independent: boolean;
}

/** A set mark sighted again. */
export interface MarkSighting {
  readonly id: string;
  readonly rank: number;
  readonly mark: string;
  /** When the mark was set: there its evidence lies. */
  readonly markRank: number;
  /** The solution with which the mark was set, and the one from which it was sighted again. */
  readonly about: string;
  readonly from: string;
  readonly good: boolean;
  readonly moreThanChance: boolean;
}

export interface Sightings {
  readonly part: Part;
  readonly proofs: readonly ProofSighting[];
  readonly proofsOf: ReadonlyMap<string, readonly ProofSighting[]>;
  /** Ranks at which a review of a target ends, ascending: good proofs on it, and revisions of it. */
  readonly clearedAt: ReadonlyMap<string, readonly number[]>;
  readonly resightsOfMark: ReadonlyMap<string, readonly MarkSighting[]>;
  readonly resights: readonly MarkSighting[];
  /** Control findings by the solutions that they concern. */
  readonly concerns: ReadonlyMap<string, readonly Ranked<FindingRecord>[]>;
}

const foundMoved = (site: TrustSite, part: Part): Map<string, number> => {
  const moved = new Map<string, number>();
  for (const { record, rank } of site.findings) {
    if (record.cause === 'controlMoved' && record[part] && record.revision !== null && !moved.has(record.revision))
      moved.set(record.revision, rank);
  }
  return moved;
};

function proofSighting(
  site: TrustSite,
  part: Part,
  moved: ReadonlyMap<string, number>,
  each: ProofTaken,
): ProofSighting | null {
  const { record, rank, solution, key } = each;
  const outcome = outcomeOf(record, part);
  if (outcome === 'notMeasured' || isSuperseded(site, each, part)) return null;
  const { target } = record;
  const control = target.kind === 'control';
  const good = outcome !== 'outside';
  const revision = control ? target.revision : null;
  if (revision !== null) {
    const movedAt = moved.get(revision) ?? Infinity;
    const condition = site.revisions.get(revision)?.record.condition;
    if (rank > movedAt || (!good && (movedAt < Infinity || condition === 'doubtful' || condition === 'lost')))
      return null;
  }
  return {
    id: record.id,
    rank,
    solution: record.solution,
    target: target.id,
    key,
    revision,
    good,
    moreThanChance: outcome === 'moreThanChance',
    independent: control && !solution.record.uses.some((use) => use.control === target.id && use[part]),
  };
}

function markSighting(site: TrustSite, part: Part, each: ResightTaken): MarkSighting | null {
  const { record, rank, mark } = each;
  const outcome = outcomeOf(record, part);
  // A part that was never measured when the mark was set has nothing that a second sight could be compared with.
  if (outcome === 'notMeasured' || !mark.record.measured[part] || isSuperseded(site, each, part)) return null;
  return {
    id: record.id,
    rank,
    mark: record.mark,
    markRank: mark.rank,
    about: mark.record.solution,
    from: record.solution,
    good: outcome !== 'outside',
    moreThanChance: outcome === 'moreThanChance',
  };
}

/**
 * Which solutions a mark found moved concerns: those that used that revision in that part and were accepted after the
 * last good independent proof on it before the finding; when there is none, all that used it.
 */
function concernsOf(
  site: TrustSite,
  part: Part,
  proofs: readonly ProofSighting[],
): Map<string, Ranked<FindingRecord>[]> {
  const concerns = new Map<string, Ranked<FindingRecord>[]>();
  for (const finding of site.findings) {
    const { cause, revision } = finding.record;
    if (cause !== 'controlMoved' || revision === null || !finding.record[part]) continue;
    const exonerated = proofs.findLast(
      (proof) => proof.revision === revision && proof.good && proof.independent && proof.rank < finding.rank,
    );
    for (const [id, solution] of site.solutions) {
      if (solution.withdrawal || !solution.record.uses.some((use) => use.revision === revision && use[part])) continue;
      if (exonerated && solution.rank < exonerated.rank) continue;
      concerns.set(id, [...(concerns.get(id) ?? []), finding]);
    }
  }
  return concerns;
}

/** Only targets that a bad proof spoke against can come under review. */
function clearancesOf(site: TrustSite, proofs: readonly ProofSighting[]): Map<string, number[]> {
  const cleared = new Map<string, number[]>();
  for (const { good, key } of proofs) if (!good) cleared.set(key, []);
  for (const { record, rank } of site.revisions.values()) cleared.get(`control ${record.control}`)?.push(rank);
  for (const { good, key, rank } of proofs) if (good) cleared.get(key)?.push(rank);
  for (const ranks of cleared.values()) ranks.sort((a, b) => a - b);
  return cleared;
}

export function sightingsOf(site: TrustSite, part: Part): Sightings {
  const moved = foundMoved(site, part);
  const proofs = site.proofs.map((each) => proofSighting(site, part, moved, each)).filter((each) => each !== null);
  const resights = site.resights.map((each) => markSighting(site, part, each)).filter((each) => each !== null);
  return {
    part,
    proofs,
    proofsOf: grouped(proofs, (proof) => proof.solution),
    clearedAt: clearancesOf(site, proofs),
    resights,
    resightsOfMark: grouped(resights, (resight) => resight.mark),
    concerns: concernsOf(site, part, proofs),
  };
}

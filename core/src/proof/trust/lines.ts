/**
 * Each solution's line of evidence, in one part: what speaks for it and against it, in order, and which targets were
 * outvoted.
 */
import { grouped } from './grouped.ts';
import type { MarkSighting, ProofSighting, Sightings } from './sightings.ts';
import type { TrustSite } from './site.ts';

export interface GoodEvidence {
  readonly id: string;
  /** Place on the line: a proof's own, a re-sight's that of its mark. */
  readonly rank: number;
  readonly independent: boolean;
  /** A witness that is itself only open is worth less than one that is held. */
  readonly firm: boolean;
}
export interface BadEvidence {
  readonly id: string;
  readonly rank: number;
  /** The mark whose re-sight it is; null for a proof. */
  readonly mark: string | null;
}

export interface Line {
  readonly good: readonly GoodEvidence[];
  readonly bad: readonly BadEvidence[];
  /** A repeat was good, whether or not it counts. */
  readonly goodRepeat: boolean;
}

/** A re-sight from a solution that could bear witness, and what it is worth. */
export interface Witnessed {
  readonly sighting: MarkSighting;
  readonly firm: boolean;
}

interface Review {
  readonly target: string;
  readonly key: string;
  readonly revision: string | null;
  readonly from: number;
  /** Infinity while nothing has cleared it. */
  readonly until: number;
}

export interface Lines {
  readonly drafts: ReadonlyMap<string, Draft>;
  readonly of: (solution: string) => Line;
  readonly suspects: readonly Review[];
}

const EMPTY: Line = { good: [], bad: [], goodRepeat: false };

/** Of several good re-sights of one mark the firm ones go before the soft ones, then the latest counts. */
const better = (a: Witnessed, b: Witnessed): Witnessed =>
  a.firm === b.firm ? (a.sighting.rank > b.sighting.rank ? a : b) : a.firm ? a : b;

function goodOf(proofs: readonly ProofSighting[], witnessed: readonly Witnessed[]): GoodEvidence[] {
  const byMark = new Map<string, Witnessed>();
  for (const each of witnessed) {
    if (!each.sighting.good) continue;
    const other = byMark.get(each.sighting.mark);
    byMark.set(each.sighting.mark, other ? better(other, each) : each);
  }
  const good: GoodEvidence[] = [];
  for (const { sighting, firm } of byMark.values()) {
    good.push({ id: sighting.id, rank: sighting.markRank, independent: true, firm });
  }
  for (const proof of proofs)
    if (proof.good && proof.independent) good.push({ id: proof.id, rank: proof.rank, independent: true, firm: true });
  let first = Infinity;
  let firstFirm = Infinity;
  for (const { rank, firm } of good) {
    first = Math.min(first, rank);
    if (firm) firstFirm = Math.min(firstFirm, rank);
  }
  // Good repeats carry independent good evidence forward; before there is any they are worth nothing.
  for (const { id, rank, good: isGood, independent } of proofs) {
    if (isGood && !independent && first < rank) good.push({ id, rank, independent, firm: firstFirm < rank });
  }
  return good.sort((a, b) => a.rank - b.rank);
}

interface Vote {
  readonly rank: number;
  readonly voter: string;
  readonly repeat: boolean;
}

/**
 * Bad proofs of one line that good other voters after them outnumber, with the place on the line where that happened.
 * One against one, or two against two, stays undecided.
 */
function outvoted(
  proofs: readonly ProofSighting[],
  witnessed: readonly Witnessed[],
  good: readonly GoodEvidence[],
): ProofSighting[] {
  const bad = proofs.filter((proof) => !proof.good);
  if (bad.length === 0) return [];
  const votes: Vote[] = [
    ...proofs
      .filter((proof) => proof.good)
      .map((proof) => ({ rank: proof.rank, voter: proof.key, repeat: !proof.independent })),
    ...witnessed
      .filter(({ sighting }) => sighting.good)
      .map(({ sighting }) => ({ rank: sighting.markRank, voter: `solution ${sighting.from}`, repeat: false })),
  ].sort((a, b) => a.rank - b.rank);
  const firstIndependent = good.find((each) => each.independent)?.rank ?? Infinity;
  const decidedAt = new Map<ProofSighting, number>();
  for (const proof of bad) {
    const voters = new Set<string>();
    for (const vote of votes) {
      if (vote.rank <= proof.rank || vote.voter === proof.key || (vote.repeat && firstIndependent > proof.rank))
        continue;
      voters.add(vote.voter);
      const against = new Set(
        bad
          .filter((other) => other.rank <= vote.rank && !((decidedAt.get(other) ?? Infinity) < proof.rank))
          .map((other) => other.key),
      );
      if (voters.size > against.size) {
        decidedAt.set(proof, vote.rank);
        break;
      }
    }
  }
  return [...decidedAt.keys()];
}

/**
 * From an outvoted bad proof on, its target is under review until a good proof on it, from anywhere, or a new revision
 * of it.
 */
function reviewOf(sightings: Sightings, proof: ProofSighting): Review {
  const until = sightings.clearedAt.get(proof.key)?.find((rank) => rank > proof.rank) ?? Infinity;
  return { target: proof.target, key: proof.key, revision: proof.revision, from: proof.rank, until };
}

/** What one solution's line is made of before targets are reviewed. */
interface Draft {
  readonly proofs: readonly ProofSighting[];
  readonly seen: readonly Witnessed[];
  readonly good: readonly GoodEvidence[];
  readonly reviews: readonly Review[];
}

function draftOf(sightings: Sightings, proofs: readonly ProofSighting[], seen: readonly Witnessed[]): Draft {
  const good = goodOf(proofs, seen);
  return { proofs, seen, good, reviews: outvoted(proofs, seen, good).map((proof) => reviewOf(sightings, proof)) };
}

function lineOf({ proofs, seen, good }: Draft, reviewsOf: ReadonlyMap<string, readonly Review[]>): Line {
  const underReview = (proof: ProofSighting) =>
    (reviewsOf.get(proof.key) ?? []).some(
      (review) => review.revision === proof.revision && review.from <= proof.rank && proof.rank < review.until,
    );
  const lastGood = good.at(-1)?.rank ?? -1;
  const bad: BadEvidence[] = [];
  for (const proof of proofs)
    if (!proof.good && !underReview(proof)) bad.push({ id: proof.id, rank: proof.rank, mark: null });
  for (const { sighting } of seen) {
    // Good evidence at or after the mark was set: then the re-sight is against the mark alone.
    if (!sighting.good && lastGood < sighting.markRank)
      bad.push({ id: sighting.id, rank: sighting.markRank, mark: sighting.mark });
  }
  // Several re-sights of one mark lie at the same place; they stay in the order in which they were taken.
  bad.sort((a, b) => a.rank - b.rank);
  return { good, bad, goodRepeat: proofs.some((proof) => proof.good && !proof.independent) };
}

/**
 * The lines of all solutions, with the given re-sights from other solutions counted. `before` are the lines with more
 * re-sights and the solutions about which some were struck out: the others need no second look.
 */
export function linesOf(
  site: TrustSite,
  sightings: Sightings,
  witnessed: readonly Witnessed[],
  before?: { readonly lines: Lines; readonly changed: ReadonlySet<string> },
): Lines {
  const about = grouped(
    witnessed.filter(({ sighting }) => {
      const solution = site.solutions.get(sighting.about);
      return solution && !(solution.end && sighting.markRank > solution.end.rank);
    }),
    ({ sighting }) => sighting.about,
  );
  const drafts = new Map<string, Draft>();
  for (const id of new Set([...sightings.proofsOf.keys(), ...about.keys()])) {
    const known = before && !before.changed.has(id) ? before.lines.drafts.get(id) : undefined;
    drafts.set(id, known ?? draftOf(sightings, sightings.proofsOf.get(id) ?? [], about.get(id) ?? []));
  }
  const reviews = [...drafts.values()].flatMap((draft) => draft.reviews);
  const reviewsOf = grouped(reviews, (review) => review.key);
  const lines = new Map([...drafts].map(([id, draft]) => [id, lineOf(draft, reviewsOf)]));
  return {
    drafts,
    of: (solution) => lines.get(solution) ?? EMPTY,
    suspects: reviews.filter((review) => review.until === Infinity),
  };
}

/** The first good evidence at or after `rank` and before the first bad, and the first firm one among it. */
export function vouching(
  line: Line,
  rank: number,
): { readonly firm: GoodEvidence | null; readonly any: GoodEvidence | null } {
  const limit = line.bad[0]?.rank ?? Infinity;
  let any: GoodEvidence | null = null;
  for (const each of line.good) {
    if (each.rank >= limit) break;
    if (each.rank < rank) continue;
    any ??= each;
    if (each.firm) return { firm: each, any };
  }
  return { firm: null, any };
}

/** Bad evidence stands, and nothing good vouches for what was set at `rank`. */
export const isInDoubtAt = (line: Line, rank: number): boolean =>
  line.bad.length > 0 && vouching(line, rank).any === null;

/**
 * The re-sights that count. A witness is a solution from which a mark set at that moment would be held or open by its
 * own proofs alone, so that stations in a circle cannot prove each other. Good ones whose station turns out to be in
 * doubt are struck out and all is judged again, until nothing changes; bad ones stay.
 */
export function witnessedLines(
  site: TrustSite,
  sightings: Sightings,
): { readonly lines: Lines; readonly witnessed: readonly Witnessed[] } {
  const alone = linesOf(site, sightings, []);
  let witnessed = sightings.resights.flatMap((sighting): Witnessed[] => {
    const from = site.solutions.get(sighting.from)!;
    if (
      sighting.from === sighting.about ||
      from.record.acceptedAs === 'provisional' ||
      sightings.concerns.has(sighting.from)
    )
      return [];
    const line = alone.of(sighting.from);
    if (isInDoubtAt(line, sighting.rank) || !line.good.some((each) => each.independent)) return [];
    return [{ sighting, firm: vouching(line, sighting.rank).firm !== null }];
  });
  let lines = linesOf(site, sightings, witnessed, {
    lines: alone,
    changed: new Set(witnessed.map(({ sighting }) => sighting.about)),
  });
  for (;;) {
    const changed = new Set<string>();
    const kept = witnessed.filter(({ sighting }) => {
      const struck = sighting.good && isInDoubtAt(lines.of(sighting.from), sighting.rank);
      if (struck) changed.add(sighting.about);
      return !struck;
    });
    if (kept.length === witnessed.length) return { lines, witnessed };
    witnessed = kept;
    lines = linesOf(site, sightings, witnessed, { lines, changed });
  }
}

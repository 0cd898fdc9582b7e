/**
 * What was judged of each solution and its marks, and from what. A site is judged anew at every record, and most of it
 * is as it was: what is judged from the same is not judged again. Ranks are part of what it was judged from, so that a
 * record that arrives before others has everything after it judged anew.
 */
import { isBeginning } from './beginning.ts';
import { grouped } from './grouped.ts';
import type { Proposal } from './proposals.ts';
import { codeUnits, PARTS, type MarkRecord, type Part, type Ranked, type SolutionRecord } from './records.ts';
import { NOTHING_READ, type Occupied, type ReadRecords, type TrustSite } from './site.ts';
import { dueFor, type JudgedMark, type MarkStanding, type PartView, type SolutionStanding } from './standing.ts';

type Views = Readonly<Record<Part, PartView>>;

export interface JudgedSolution {
  readonly marks: readonly JudgedMark[];
  /** Null where marks name a solution that is not there. */
  readonly standing: SolutionStanding | null;
  readonly propose: readonly Proposal[];
}

interface Kept {
  readonly from: string;
  readonly solution: SolutionRecord | undefined;
  readonly set: readonly Ranked<MarkRecord>[];
  readonly judged: JudgedSolution;
}

/** Passed from one judgement to the next by whoever judges a site again and again. */
export interface TrustMemory {
  read: ReadRecords;
  /** Marks that were not replaced, and by the solution that they were set with. */
  listed: readonly Ranked<MarkRecord>[];
  setWith: ReadonlyMap<string, readonly Ranked<MarkRecord>[]>;
  solutions: ReadonlyMap<string, Kept>;
  /** The marks of the last result, by id. */
  marks: readonly MarkStanding[];
}

export const newTrustMemory = (): TrustMemory => ({
  read: NOTHING_READ,
  listed: [],
  setWith: new Map(),
  solutions: new Map(),
  marks: [],
});

/** What is the same for all solutions: the rules, and findings, which may concern any mark. */
export function siteFrom(site: TrustSite): string {
  const { classes, intervalMinutes } = site.input;
  return JSON.stringify([classes, intervalMinutes, site.findings.map(({ record, rank }) => [record.id, rank])]);
}

/** Everything else that a solution and its marks are judged from, but for the marks themselves. */
export function solutionFrom(views: Views, id: string, solution: Occupied | undefined): string {
  const { end = null, withdrawal = null } = solution ?? {};
  const parts = PARTS.map((part) => {
    const view = views[part];
    const { good, bad, goodRepeat } = view.lines.of(id);
    return [
      good.map((each) => [each.id, each.rank, each.firm]),
      bad.map((each) => [each.id, each.rank, each.mark]),
      goodRepeat,
      view.sightings.concerns.get(id)?.map(({ record }) => record.id),
      view.resightsAbout.get(id)?.map((each) => [each.id, each.rank, each.good, view.witnessed.get(each.id)?.firm]),
      solution && dueFor(view, solution),
    ];
  });
  return JSON.stringify([end && [end.record.id, end.rank], withdrawal?.id, solution?.inForce, parts]);
}

/** Marks by the solution that they were set with, in order of setting. */
export function setWith(memory: TrustMemory, listed: readonly Ranked<MarkRecord>[]): TrustMemory['setWith'] {
  const goesOn = isBeginning(memory.listed, listed);
  const sets = new Map(goesOn ? memory.setWith : []);
  for (const [id, set] of grouped(
    goesOn ? listed.slice(memory.listed.length) : listed,
    ({ record }) => record.solution,
  ))
    sets.set(id, [...(sets.get(id) ?? []), ...set]);
  Object.assign(memory, { listed, setWith: sets });
  return sets;
}

const isSameSet = (a: readonly Ranked<MarkRecord>[], b: readonly Ranked<MarkRecord>[]): boolean =>
  a === b || (a.length === b.length && a.every((mark, i) => mark.rank === b[i]!.rank && mark.record === b[i]!.record));

/** What was judged before from the very same; undefined where anything differs. */
export function recalled(
  memory: TrustMemory,
  id: string,
  from: string,
  solution: SolutionRecord | undefined,
  set: readonly Ranked<MarkRecord>[],
): Kept | undefined {
  const kept = memory.solutions.get(id);
  return kept && kept.from === from && kept.solution === solution && isSameSet(kept.set, set) ? kept : undefined;
}

/** Where an id stands among marks in the order of their ids, or would stand. */
function placeOf(marks: readonly MarkStanding[], id: string): number {
  let [low, high] = [0, marks.length];
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (marks[middle]!.id < id) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** With more than this to be put in its place it is quicker to sort anew. */
const FEW = 500;

/** All marks by their ids: those of before with what has changed in its place. */
export function marksById(memory: TrustMemory, now: TrustMemory['solutions']): MarkStanding[] {
  const gone: MarkStanding[] = [];
  const come: MarkStanding[] = [];
  const standings = (kept: Kept | undefined) => kept?.judged.marks.map(({ standing }) => standing) ?? [];
  for (const [id, kept] of memory.solutions) if (now.get(id) !== kept) gone.push(...standings(kept));
  for (const [id, kept] of now) if (memory.solutions.get(id) !== kept) come.push(...standings(kept));
  if (gone.length + come.length > FEW)
    return [...now.values()].flatMap(standings).sort((a, b) => codeUnits(a.id, b.id));
  const marks = [...memory.marks];
  for (const { id } of gone) marks.splice(placeOf(marks, id), 1);
  for (const standing of come) marks.splice(placeOf(marks, standing.id), 0, standing);
  return marks;
}

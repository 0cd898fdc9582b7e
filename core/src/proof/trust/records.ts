/** What the standing of marks and stations is judged by: records of a site, in any order, late or twice. */
import type { Metres } from '../../quantity/unit.ts';

/** Plan and height are judged apart throughout. */
export type Part = 'plan' | 'height';
export const PARTS: readonly Part[] = ['plan', 'height'];

/** How a sight to something known came out in one part. `moreThanChance` is inside the tolerance and counts as good. */
export type ProofOutcome = 'good' | 'moreThanChance' | 'outside' | 'notMeasured';
export type Condition = 'secure' | 'usable' | 'doubtful' | 'lost';

export interface Stamped {
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
  readonly uses: readonly {
    readonly control: string;
    readonly revision: string;
    readonly plan: boolean;
    readonly height: boolean;
  }[];
  /** Fixed directions first taken with it. */
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
export type ProofTarget =
  | { readonly kind: 'control'; readonly id: string; readonly revision: string }
  | { readonly kind: 'direction'; readonly id: string };
export interface ProofRecord extends Stamped {
  readonly type: 'proof';
  readonly solution: string;
  readonly target: ProofTarget;
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
/** A set mark sighted again from `solution`. */
export interface ResightRecord extends Stamped {
  readonly type: 'resight';
  readonly solution: string;
  readonly mark: string;
  readonly plan: ProofOutcome;
  readonly height: ProofOutcome;
  readonly supersedes: string | null;
}
/** By how much a mark moves when its station is computed anew; the size counts. Null: not computable. */
export interface FindingEffect {
  readonly mark: string;
  readonly plan: Metres | null;
  readonly height: Metres | null;
}
export interface FindingRecord extends Stamped {
  readonly type: 'finding';
  readonly cause: 'controlMoved' | 'recomputed';
  /** The revision found moved; null for `recomputed`. */
  readonly revision: string | null;
  /** In which parts. */
  readonly plan: boolean;
  readonly height: boolean;
  readonly effects: readonly FindingEffect[];
  readonly supersedes: string | null;
}
export interface WithdrawalRecord extends Stamped {
  readonly type: 'withdrawal';
  readonly record: string | null;
  readonly occupation: string | null;
}
export type TrustRecord =
  | ControlRevisionRecord
  | SolutionRecord
  | CloseRecord
  | EventRecord
  | ProofRecord
  | MarkRecord
  | ResightRecord
  | FindingRecord
  | WithdrawalRecord;

export interface TrustInput {
  /** Instant for which `CLOCK` is asked, ISO 8601. */
  readonly now: string;
  readonly intervalMinutes: number;
  /** Tolerance of each class. */
  readonly classes: Readonly<Record<string, Readonly<Record<Part, Metres>>>>;
  readonly records: readonly TrustRecord[];
}

export const codeUnits = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** An instant as `Date.toISOString` writes it; two of them compare as text. */
const isPlain = (at: string): boolean => at.length === 24 && at[10] === 'T' && at[23] === 'Z';

const byInstant = (a: string, b: string): number =>
  isPlain(a) && isPlain(b) ? codeUnits(a, b) : Date.parse(a) - Date.parse(b);

/** The one order of a site: instant, device, sequence, id. */
export function inOrder(a: Stamped, b: Stamped): number {
  return byInstant(a.at, b.at) || codeUnits(a.device, b.device) || a.seq - b.seq || codeUnits(a.id, b.id);
}

/** A record and its place in the order of the site. */
export interface Ranked<T> {
  readonly record: T;
  readonly rank: number;
}

/** Records by the site's order, each id once. */
export function ordered(records: readonly TrustRecord[]): Ranked<TrustRecord>[] {
  // Most sites arrive in the order in which they were made, each record once; those need no sorting.
  const isSorted = records.every((record, i) => i === 0 || inOrder(records[i - 1]!, record) < 0);
  const seen = new Set<string>();
  const sorted = isSorted ? records : records.filter(({ id }) => seen.size < seen.add(id).size).sort(inOrder);
  return sorted.map((record, rank) => ({ record, rank }));
}

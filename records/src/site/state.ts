/**
 * What the facts of a site amount to. Nothing here is stored: `fold` makes it, the same in the browser and on the
 * server.
 */
import type { Metres } from '@idle-marker/core';
import type { AnyFact, Fact, FactBody, FactType } from '@idle-marker/contract';

/** How good work, marks and stations of a kind have to be. */
export interface ToleranceClass {
  readonly id: string;
  readonly name: string;
  readonly plan: Metres;
  readonly height: Metres;
  readonly leastMarks: number;
  /** How far off hubs of such work stand as a rule; null where nothing is said. */
  readonly offset: Metres | null;
}

export interface ControlMark {
  /** Identity over all revisions. */
  readonly id: string;
  readonly revision: Fact<'control'>;
  /** All there were, newest first; the one in force is the first of them that was not withdrawn. */
  readonly revisions: readonly Fact<'control'>[];
}

export interface AcceptedSolution {
  readonly fact: Fact<'solution'>;
  readonly decision: Fact<'decision'>;
  readonly occupation: Fact<'occupation'>;
  readonly withdrawn: boolean;
}

/**
 * Heights from benchmarks that were accepted for a pole with a receiver: it has no place, so it is no station to be
 * sighted from.
 */
export interface PairedSolution {
  readonly solution: Fact<'solution'>;
  readonly decision: Fact<'decision'>;
  readonly occupation: Fact<'occupation'>;
  readonly pairing: Fact<'pairing'>;
  readonly withdrawn: boolean;
}

export interface SiteState {
  readonly settings: FactBody<'site'>;
  /** Tolerance classes of the settings, in metres. */
  readonly classes: readonly ToleranceClass[];
  readonly members: readonly Fact<'member'>[];
  /** By name, natural order. */
  readonly control: readonly ControlMark[];
  readonly occupations: readonly Fact<'occupation'>[];
  readonly sights: ReadonlyMap<string, Fact<'sight'>>;
  /** Accepted or provisional solutions in the order of their decisions. */
  readonly accepted: readonly AcceptedSolution[];
  readonly refused: readonly AcceptedSolution[];
  /** Accepted heights with the plan from a receiver, in the order of their decisions. */
  readonly paired: readonly PairedSolution[];
  /** Pairs of receiver and instrument, each for one placing; the last one of a placing counts. */
  readonly pairings: readonly Fact<'pairing'>[];
  readonly proofs: readonly Fact<'proof'>[];
  readonly resights: readonly Fact<'resight'>[];
  readonly findings: readonly Fact<'finding'>[];
  /** Fixed directions, each first taken with one solution. */
  readonly directions: readonly Fact<'direction'>[];
  readonly tapes: readonly Fact<'tape'>[];
  readonly deferrals: readonly Fact<'deferral'>[];
  /** Looks at the marks on the ground, by mark, oldest first. */
  readonly visits: ReadonlyMap<string, readonly Fact<'visit'>[]>;
  readonly photos: ReadonlyMap<string, readonly Fact<'photo'>[]>;
  /** The library, by name; the latest revision of each item that is not retired. */
  readonly equipment: readonly Fact<'equipment'>[];
  /** How stakes are written here, by name, beside what ships. */
  readonly conventions: readonly Fact<'convention'>[];
  readonly corrections: readonly Fact<'correction'>[];
  /** Grids in force, by name. */
  readonly grids: readonly Fact<'grid'>[];
  /** Ground that marks keep out of, by name. */
  readonly areas: readonly Fact<'area'>[];
  /** Roads and other lines with stations in force, by name. */
  readonly alignments: readonly Fact<'alignment'>[];
  /** Drawings in force, by name. */
  readonly drawings: readonly Fact<'drawing'>[];
  /** Work packages in force, by id of the latest revision. */
  readonly packages: readonly Fact<'package'>[];
  /** Id of the first revision of the package that each revision belongs to. */
  readonly packageRoots: ReadonlyMap<string, string>;
  /** Marks in force by `markKey`. */
  readonly marks: ReadonlyMap<string, Fact<'mark'>>;
  /**
   * Marks beside the one in force that nothing has replaced, by `markKey`, oldest first: two people set them without
   * knowing of each other.
   */
  readonly marksBeside: ReadonlyMap<string, readonly Fact<'mark'>[]>;
  /** The station that marks were really set from, by the fact of the mark, where it was corrected afterwards. */
  readonly rehung: ReadonlyMap<string, string>;
  /** The last time that a stake was written anew, by the fact of the mark; `marks` have its text. */
  readonly writings: ReadonlyMap<string, Fact<'writing'>>;
  /** Things as they were measured, in force, in the order of the site. */
  readonly asBuilt: readonly Fact<'asBuilt'>[];
  /** What was done for safety and for the equipment. */
  readonly care: readonly Fact<'care'>[];
  /** What was said to be wrong with marks that are set, by the fact of the mark; the last one counts. */
  readonly reports: ReadonlyMap<string, Fact<'report'>>;
  /** Marks at whose place something stands, by `markKey`. */
  readonly obstructions: ReadonlyMap<string, Fact<'obstruction'>>;
  /** All facts in the order of the site, withdrawn ones too. */
  readonly timeline: readonly AnyFact[];
  readonly byId: ReadonlyMap<string, AnyFact>;
  /** The same by their types, each in the order of the site. */
  readonly ofType: { readonly [T in FactType]: readonly Extract<AnyFact, { type: T }>[] };
  readonly withdrawn: ReadonlyMap<string, Fact<'withdrawal'>>;
}

/** Packages are revised; the first revision's id names the package for good. */
export const markKey = (packageRoot: string, key: string): string => `${packageRoot}/${key}`;

const byName = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });
export const compareNames = (a: string, b: string): number => byName.compare(a, b);

/** A crew speaks through its page alone, and nobody works here in its name. */
export const isPerson = ({ body }: Fact<'member'>): boolean => body.crew !== true;

/** What an accepted solution of either kind is called and how it was decided, by its id. */
export function decidedSolution(
  { accepted, paired }: SiteState,
  id: string,
): {
  readonly fact: Fact<'solution'>;
  readonly decision: Fact<'decision'>;
  readonly occupation: Fact<'occupation'>;
} | null {
  const station = accepted.find(({ fact }) => fact.id === id);
  if (station) return station;
  const heights = paired.find(({ solution }) => solution.id === id);
  return heights ? { ...heights, fact: heights.solution } : null;
}

/**
 * What the facts of a site amount to: a pure fold, the same in the browser and on the server. Nothing here is stored.
 */
import { inOrder, planDistance, type Metres } from '@idle-marker/core';
import type { AnyFact, Fact, FactBody } from '@idle-marker/contract';
import { notSuperseded } from './branches.ts';
import { inItsPlace } from './stampedAhead.ts';

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

/** Heights from benchmarks that were accepted for a pole with a receiver: it has no place, so it is no station to be sighted from. */
export interface PairedSolution {
  readonly solution: Fact<'solution'>;
  readonly decision: Fact<'decision'>;
  readonly occupation: Fact<'occupation'>;
  readonly pairing: Fact<'pairing'>;
  readonly withdrawn: boolean;
}

export interface SiteState {
  readonly settings: FactBody<'site'>;
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
  /** Marks beside the one in force that nothing has replaced, by `markKey`, oldest first: two people set them without knowing of each other. */
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
  readonly withdrawn: ReadonlyMap<string, Fact<'withdrawal'>>;
}

/** Packages are revised; the first revision's id names the package for good. */
export const markKey = (packageRoot: string, key: string): string => `${packageRoot}/${key}`;

const byName = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });
export const compareNames = (a: string, b: string): number => byName.compare(a, b);

const SAME_PLACE: Metres = 0.001;

export class NoSiteError extends Error {}

/** Folds facts into the state of the site. Throws `NoSiteError` when no fact tells what site it is. */
export function siteState(facts: readonly AnyFact[]): SiteState {
  const timeline = [...new Map(facts.map((fact) => [fact.id, inItsPlace(fact)])).values()].sort(inOrder);
  const of = <T extends AnyFact['type']>(type: T) => timeline.filter((fact): fact is Extract<AnyFact, { type: T }> => fact.type === type);
  const withdrawn = new Map<string, Fact<'withdrawal'>>();
  for (const withdrawal of of('withdrawal')) if (withdrawal.body.record !== null) withdrawn.set(withdrawal.body.record, withdrawal);
  const standing = <T extends AnyFact['type']>(type: T) => of(type).filter((fact) => !withdrawn.has(fact.id));
  const settings = standing('site').at(-1)?.body;
  if (!settings) throw new NoSiteError('no fact of type site');
  const corrections = standing('correction');
  const rehung = stationsCorrected(of('mark'), corrections);
  const writings = new Map(standing('writing').map((writing) => [writing.body.mark, writing]));
  const occupations = correctedOccupations(standing('occupation'), corrections);
  const pairings = standing('pairing');
  // A mark stays with its package though the revision that it was set from was withdrawn.
  const roots = packageRoots(of('package'));
  const all = decided(of('solution'), standing('decision'), occupations, withdrawn);
  const solutions = all.filter(({ fact }) => fact.body.method !== 'paired');
  return {
    settings,
    members: standing('member'),
    control: controlMarks(of('control'), withdrawn),
    occupations,
    sights: correctedSights(of('sight'), corrections, of('solution')),
    accepted: solutions.filter((each) => each.decision.body.verdict !== 'refused'),
    refused: solutions.filter((each) => each.decision.body.verdict === 'refused'),
    paired: all.flatMap(({ fact, ...rest }) => {
      const pairing = pairings.find((each) => each.id === fact.body.pairing);
      return pairing ? [{ solution: fact, pairing, ...rest }] : [];
    }),
    pairings,
    proofs: standing('proof'),
    resights: standing('resight'),
    findings: standing('finding'),
    directions: standing('direction'),
    tapes: standing('tape'),
    deferrals: standing('deferral'),
    visits: byMark(standing('visit')),
    photos: byMark(standing('photo')),
    equipment: inForceByName(
      standing('equipment'),
      ({ body }) => body.item,
      ({ body }) => body.what.name,
    ),
    conventions: inForceByName(
      standing('convention'),
      ({ body }) => body.convention,
      ({ body }) => body.rules.name,
    ),
    corrections,
    grids: inForceByName(
      standing('grid'),
      ({ body }) => body.grid,
      ({ body }) => body.name,
    ),
    areas: inForceByName(
      standing('area'),
      ({ body }) => body.area,
      ({ body }) => body.name,
    ),
    alignments: inForceByName(
      standing('alignment'),
      ({ body }) => body.alignment,
      ({ body }) => body.name,
    ),
    drawings: inForceByName(
      standing('drawing'),
      ({ body }) => body.drawing,
      ({ body }) => body.name,
    ),
    packages: latestPackages(standing('package'), roots),
    packageRoots: roots,
    ...marksInForce(
      standing('mark').map((mark) => {
        const written = writings.get(mark.id)?.body;
        const solution = rehung.get(mark.id);
        if (!written && solution === undefined) return mark;
        const text = written ? { stakeText: written.stakeText, written: written.written } : {};
        return { ...mark, body: { ...mark.body, ...text, ...(solution === undefined ? {} : { solution }) } };
      }),
      roots,
    ),
    rehung,
    writings,
    asBuilt: notSuperseded(standing('asBuilt')),
    care: standing('care'),
    reports: reportsInForce(standing('report'), standing('resight')),
    obstructions: obstructionsInForce(standing('obstruction'), standing('package'), roots),
    timeline,
    withdrawn,
  };
}

/** A crew speaks through its page alone, and nobody works here in its name. */
export const isPerson = ({ body }: Fact<'member'>): boolean => body.crew !== true;

/** What an accepted solution of either kind is called and how it was decided, by its id. */
export function decidedSolution(
  { accepted, paired }: SiteState,
  id: string,
): { readonly fact: Fact<'solution'>; readonly decision: Fact<'decision'>; readonly occupation: Fact<'occupation'> } | null {
  const station = accepted.find(({ fact }) => fact.id === id);
  if (station) return station;
  const heights = paired.find(({ solution }) => solution.id === id);
  return heights ? { ...heights, fact: heights.solution } : null;
}

/** A mark that was said to have been hit is good again once it was sighted again and was where it belongs. */
function reportsInForce(reports: readonly Fact<'report'>[], resights: readonly Fact<'resight'>[]): Map<string, Fact<'report'>> {
  const found = new Map(reports.map((report) => [report.body.mark, report]));
  for (const { body, ...resight } of resights) {
    const report = found.get(body.mark);
    const good = body.plan === 'good' && body.height !== 'outside';
    if (report?.body.kind === 'moved' && good && inOrder(report, resight) < 0) found.delete(body.mark);
  }
  return found;
}

function byMark<T extends { readonly body: { readonly mark: string } }>(facts: readonly T[]): Map<string, T[]> {
  const found = new Map<string, T[]>();
  for (const fact of facts) {
    const list = found.get(fact.body.mark);
    if (list) list.push(fact);
    else found.set(fact.body.mark, [fact]);
  }
  return found;
}

/** The latest revision of each thing that is not retired, by name. */
function inForceByName<T extends { readonly body: { readonly retired: boolean } }>(
  revisions: readonly T[],
  idOf: (each: T) => string,
  nameOf: (each: T) => string,
): T[] {
  const latest = new Map(revisions.map((revision) => [idOf(revision), revision]));
  return [...latest.values()].filter((each) => !each.body.retired).sort((one, other) => compareNames(nameOf(one), nameOf(other)));
}

/** What a correction puts in the place of what was entered with a sight. */
function correctedEntry(body: FactBody<'correction'>, occupationOf: (solution: string) => string | undefined): Partial<FactBody<'sight'>> {
  switch (body.what) {
    case 'targetHeight':
      return { targetHeight: body.value };
    case 'prismConstant':
      return { prismConstantMm: Math.round(body.value * 1e5) / 100 };
    case 'station': {
      const occupation = occupationOf(body.station);
      return occupation === undefined ? {} : { occupation };
    }
    case 'instrumentHeight':
      return {};
  }
}

/** What was entered with a sight is put right by a later entry; what was read stays as it was read. */
function correctedSights(
  sights: readonly Fact<'sight'>[],
  corrections: readonly Fact<'correction'>[],
  solutions: readonly Fact<'solution'>[],
): Map<string, Fact<'sight'>> {
  const found = new Map(sights.map((sight) => [sight.id, sight]));
  const occupations = new Map(solutions.map((solution) => [solution.id, solution.body.occupation]));
  for (const { body } of corrections) {
    const entry = correctedEntry(body, (solution) => occupations.get(solution));
    for (const id of body.sights) {
      const sight = found.get(id);
      if (sight) found.set(id, { ...sight, body: { ...sight.body, ...entry } });
    }
  }
  return found;
}

/** Marks whose sights were taken from another station than they were kept with: that one, by the fact of the mark. */
function stationsCorrected(marks: readonly Fact<'mark'>[], corrections: readonly Fact<'correction'>[]): Map<string, string> {
  const stations = new Map(corrections.flatMap(({ body }) => (body.what === 'station' ? body.sights.map((sight) => [sight, body.station] as const) : [])));
  return new Map(
    marks.flatMap((mark) => {
      const station = stations.get(mark.body.sight);
      return station === undefined ? [] : [[mark.id, station] as const];
    }),
  );
}

function correctedOccupations(occupations: readonly Fact<'occupation'>[], corrections: readonly Fact<'correction'>[]): Fact<'occupation'>[] {
  const heights = new Map(corrections.flatMap(({ body }) => (body.what === 'instrumentHeight' ? [[body.occupation, body.value] as const] : [])));
  return occupations.map((each) => {
    const height = heights.get(each.id);
    return height === undefined ? each : { ...each, body: { ...each.body, instrumentHeight: height } };
  });
}

function controlMarks(revisions: readonly Fact<'control'>[], withdrawn: ReadonlyMap<string, unknown>): ControlMark[] {
  const byMark = new Map<string, Fact<'control'>[]>();
  for (const revision of revisions) {
    const list = byMark.get(revision.body.mark);
    if (list) list.unshift(revision);
    else byMark.set(revision.body.mark, [revision]);
  }
  return [...byMark]
    .flatMap(([id, list]) => {
      const revision = list.find((each) => !withdrawn.has(each.id));
      return revision ? [{ id, revision, revisions: list }] : [];
    })
    .sort((a, b) => compareNames(a.revision.body.name, b.revision.body.name));
}

function decided(
  solutions: readonly Fact<'solution'>[],
  decisions: readonly Fact<'decision'>[],
  occupations: readonly Fact<'occupation'>[],
  withdrawn: ReadonlyMap<string, unknown>,
): AcceptedSolution[] {
  const byId = new Map(solutions.map((solution) => [solution.id, solution]));
  const occupationById = new Map(occupations.map((occupation) => [occupation.id, occupation]));
  const latest = new Map(decisions.map((decision) => [decision.body.solution, decision]));
  return [...latest.values()].sort(inOrder).flatMap((decision) => {
    const fact = byId.get(decision.body.solution);
    const occupation = fact && occupationById.get(fact.body.occupation);
    return occupation ? [{ fact, decision, occupation, withdrawn: withdrawn.has(fact.id) || withdrawn.has(occupation.id) }] : [];
  });
}

/** Id of the first revision of the package that a revision belongs to. */
export function packageRoots(packages: readonly Fact<'package'>[]): Map<string, string> {
  const roots = new Map<string, string>();
  for (const revision of packages) {
    const previous = revision.body.supersedes;
    roots.set(revision.id, previous === null ? revision.id : (roots.get(previous) ?? previous));
  }
  return roots;
}

function latestPackages(packages: readonly Fact<'package'>[], roots: ReadonlyMap<string, string>): Fact<'package'>[] {
  const latest = new Map(packages.map((revision) => [roots.get(revision.id)!, revision]));
  return [...latest.values()];
}

function marksInForce(marks: readonly Fact<'mark'>[], roots: ReadonlyMap<string, string>): Pick<SiteState, 'marks' | 'marksBeside'> {
  const found = new Map<string, Fact<'mark'>>();
  const beside = new Map<string, Fact<'mark'>[]>();
  for (const mark of notSuperseded(marks)) {
    const key = markKey(roots.get(mark.body.package) ?? mark.body.package, mark.body.key);
    const before = found.get(key);
    if (before) beside.set(key, [...(beside.get(key) ?? []), before]);
    found.set(key, mark);
  }
  return { marks: found, marksBeside: beside };
}

/** An obstruction holds for the place that was planned when it was found: a mark moved elsewhere is free of it. */
function obstructionsInForce(
  obstructions: readonly Fact<'obstruction'>[],
  packages: readonly Fact<'package'>[],
  roots: ReadonlyMap<string, string>,
): Map<string, Fact<'obstruction'>> {
  const plans = new Map(
    latestPackages(packages, roots).flatMap((work) => work.body.plans.map((plan) => [markKey(roots.get(work.id)!, plan.key), plan] as const)),
  );
  const found = new Map<string, Fact<'obstruction'>>();
  for (const fact of obstructions) {
    const key = markKey(roots.get(fact.body.package) ?? fact.body.package, fact.body.key);
    const plan = plans.get(key);
    if (plan && planDistance(plan.place, fact.body.place) < SAME_PLACE) found.set(key, fact);
  }
  return found;
}

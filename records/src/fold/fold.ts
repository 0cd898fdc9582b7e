/**
 * Folds facts into the state of the site: a pure function, and one that goes on from what was folded before. What a new
 * fact does not touch keeps its identity, so that whoever computes from a part of the state has nothing to compute
 * anew.
 */
import { inOrder, isBeginning } from '@idle-marker/core';
import { FACT_TYPES, instantOf, type AnyFact, type Fact, type FactType } from '@idle-marker/contract';
import { notSuperseded } from '../proof/branches.ts';
import { thingOf } from '../facts/registry.ts';
import { inItsPlace } from '../site/stampedAhead.ts';
import type { SiteState } from '../site/state.ts';
import { GrownMap } from './grownMap.ts';
import { marksInForce, marksAsWritten, withMarks, obstructionsInForce, reportsInForce } from './marks.ts';
import { correctedOccupations, correctedSights, withSights, decided, stationsCorrected } from './stations.ts';
import { byMark, classesOf, controlMarks, inForceByName, latestPackages, packageRoots } from './things.ts';

export class NoSiteError extends Error {}

type OfType = SiteState['ofType'];
type Of<T extends FactType> = Extract<AnyFact, { type: T }>;

/** The facts of a site in their order. */
interface Ordered {
  readonly timeline: readonly AnyFact[];
  readonly byId: GrownMap<string, AnyFact>;
  readonly ofType: OfType;
}

/** What was made of the same inputs before is what is made of them now. */
class Memory {
  readonly #made = new Map<string, { readonly inputs: readonly unknown[]; readonly value: unknown }>();

  make<T>(name: string, inputs: readonly unknown[], make: () => T): T {
    const before = this.#made.get(name);
    if (before && before.inputs.every((input, i) => input === inputs[i])) return before.value as T;
    const value = make();
    this.#made.set(name, { inputs, value });
    return value;
  }

  /**
   * The same of a list that grows at its end: `add` puts what is new to what was made of the list before; null where it
   * can't.
   */
  grow<F, T>(
    name: string,
    list: readonly F[],
    others: readonly unknown[],
    make: () => T,
    add: (value: T, fresh: readonly F[]) => T | null,
  ): T {
    const before = this.#made.get(name);
    const [known, ...rest] = before?.inputs ?? [];
    const goesOn =
      before !== undefined && rest.every((input, i) => input === others[i]) && isBeginning(known as readonly F[], list);
    const fresh = goesOn ? list.slice((known as readonly F[]).length) : [];
    const value =
      (goesOn ? (fresh.length === 0 ? (before.value as T) : add(before.value as T, fresh)) : null) ?? make();
    this.#made.set(name, { inputs: [list, ...others], value });
    return value;
  }
}

/** A state, and what the next one goes on from. */
export interface SiteFold {
  readonly state: SiteState;
  /** As they were given. */
  readonly facts: readonly AnyFact[];
  readonly ordered: Ordered;
  readonly memory: Memory;
}

function ordered(facts: readonly AnyFact[]): Ordered {
  const timeline = [...new Map(facts.map((fact) => [fact.id, inItsPlace(fact)])).values()].sort(inOrder);
  const ofType = Object.fromEntries(FACT_TYPES.map((type) => [type, [] as AnyFact[]])) as Record<FactType, AnyFact[]>;
  for (const fact of timeline) ofType[fact.type].push(fact);
  return { timeline, byId: new GrownMap(timeline.map((fact) => [fact.id, fact])), ofType: ofType as unknown as OfType };
}

/**
 * Facts that a fold does not have yet, in their order; null where it has to begin anew: one has gone, or has got
 * another place.
 */
function since({ state: { byId }, facts: before }: SiteFold, facts: readonly AnyFact[]): AnyFact[] | null {
  const fresh = new Map<string, AnyFact>();
  let known = 0;
  for (const [i, fact] of facts.entries()) {
    // A fact is never changed: the same id in the same place is the same fact, whatever the server has put beside it.
    if (fact === before[i]) known++;
    else {
      const kept = byId.get(fact.id);
      if (kept && kept.at !== instantOf(fact)) return null;
      if (kept) known++;
      else fresh.set(fact.id, inItsPlace(fact));
    }
  }
  return known === byId.size ? [...fresh.values()].sort(inOrder) : null;
}

/** Puts facts where they belong among others; both in order. Those that are last are put behind. */
function merged<F extends AnyFact>(kept: readonly F[], fresh: readonly F[]): F[] {
  const last = kept.at(-1);
  const all = [...kept, ...fresh];
  return !last || fresh.every((fact) => inOrder(last, fact) <= 0) ? all : all.sort(inOrder);
}

function withFresh({ timeline: before, byId, ofType }: Ordered, fresh: readonly AnyFact[]): Ordered {
  const timeline = merged(before, fresh);
  const isBehind = timeline[before.length] === fresh[0];
  const types = [...new Set(fresh.map(({ type }) => type))];
  const changed = types.map((type) => {
    const ofIt = fresh.filter((fact) => fact.type === type);
    return [type, merged<AnyFact>(ofType[type], ofIt)] as const;
  });
  return {
    timeline,
    byId: isBehind
      ? byId.grown((entries) => {
          for (const fact of fresh) entries.set(fact.id, fact);
        })
      : new GrownMap(timeline.map((fact) => [fact.id, fact])),
    ofType: { ...ofType, ...(Object.fromEntries(changed) as Partial<OfType>) },
  };
}

/** The latest of each thing of a type that is not retired, by name. */
type Named = 'equipment' | 'convention' | 'grid' | 'area' | 'alignment' | 'drawing';

function stateOf({ timeline, byId, ofType }: Ordered, memory: Memory): SiteState {
  const withdrawn = memory.make('withdrawn', [ofType.withdrawal], () => {
    const found = new Map<string, Fact<'withdrawal'>>();
    for (const withdrawal of ofType.withdrawal)
      if (withdrawal.body.record !== null) found.set(withdrawal.body.record, withdrawal);
    return found;
  });
  const standing = <T extends FactType>(type: T): readonly Of<T>[] =>
    memory.grow<Of<T>, readonly Of<T>[]>(
      `standing ${type}`,
      ofType[type],
      [withdrawn],
      () => (ofType[type] as readonly Of<T>[]).filter((fact) => !withdrawn.has(fact.id)),
      (standing, fresh) => [...standing, ...fresh.filter((fact) => !withdrawn.has(fact.id))],
    );
  const from = <const I extends readonly unknown[], R>(name: string, inputs: I, make: (...inputs: I) => R): R =>
    memory.make(name, inputs, () => make(...inputs));
  const named = <T extends Named>(type: T, nameOf: (fact: Of<T>) => string): readonly Of<T>[] =>
    from(
      `named ${type}`,
      [standing(type)],
      (facts) =>
        inForceByName(
          facts as readonly Of<Named>[],
          (fact) => thingOf(type, fact.body as never)!,
          nameOf as never,
        ) as Of<T>[],
    );

  const settings = standing('site').at(-1)?.body;
  if (!settings) throw new NoSiteError('no fact of type site');
  const corrections = standing('correction');
  const rehung = from('rehung', [ofType.mark, corrections], stationsCorrected);
  const writings = from(
    'writings',
    [standing('writing')],
    (facts) => new Map(facts.map((writing) => [writing.body.mark, writing])),
  );
  const occupations = from('occupations', [standing('occupation'), corrections], correctedOccupations);
  const pairings = standing('pairing');
  // A mark stays with its package though the revision that it was set from was withdrawn.
  const roots = from('roots', [ofType.package], packageRoots);
  const solutions = from('decided', [ofType.solution, standing('decision'), occupations, withdrawn], decided);
  const stations = from('stations', [solutions], (all) => all.filter(({ fact }) => fact.body.method !== 'paired'));
  const written = from('written', [standing('mark'), writings, rehung], marksAsWritten);
  return {
    settings,
    classes: from('classes', [settings], classesOf),
    members: standing('member'),
    control: from('control', [ofType.control, withdrawn], controlMarks),
    occupations,
    sights: memory.grow(
      'sights',
      ofType.sight,
      [corrections, corrections.length === 0 ? null : ofType.solution],
      () => correctedSights(ofType.sight, corrections, ofType.solution),
      (sights, fresh) => withSights(sights, corrections, fresh),
    ),
    accepted: from('accepted', [stations], (all) => all.filter((each) => each.decision.body.verdict !== 'refused')),
    refused: from('refused', [stations], (all) => all.filter((each) => each.decision.body.verdict === 'refused')),
    paired: from('paired', [solutions, pairings], (all, pairs) =>
      all.flatMap(({ fact, ...rest }) => {
        const pairing = fact.body.method === 'paired' ? pairs.find((each) => each.id === fact.body.pairing) : undefined;
        return pairing ? [{ solution: fact, pairing, ...rest }] : [];
      }),
    ),
    pairings,
    proofs: standing('proof'),
    resights: standing('resight'),
    findings: standing('finding'),
    directions: standing('direction'),
    tapes: standing('tape'),
    deferrals: standing('deferral'),
    visits: from('visits', [standing('visit')], byMark),
    photos: from('photos', [standing('photo')], byMark),
    equipment: named('equipment', ({ body }) => body.what.name),
    conventions: named('convention', ({ body }) => body.rules.name),
    corrections,
    grids: named('grid', ({ body }) => body.name),
    areas: named('area', ({ body }) => body.name),
    alignments: named('alignment', ({ body }) => body.name),
    drawings: named('drawing', ({ body }) => body.name),
    packages: from('packages', [standing('package'), roots], latestPackages),
    packageRoots: roots,
    ...memory.grow(
      'marks',
      written,
      [roots],
      () => marksInForce(written, roots),
      (marks, fresh) => withMarks(marks, roots, fresh),
    ),
    rehung,
    writings,
    asBuilt: from('as built', [standing('asBuilt')], notSuperseded),
    care: standing('care'),
    reports: from('reports', [standing('report'), standing('resight')], reportsInForce),
    obstructions: from('obstructions', [standing('obstruction'), standing('package'), roots], obstructionsInForce),
    timeline,
    byId,
    ofType,
    withdrawn,
  };
}

/**
 * Folds all facts; where `before` is given, what was made of those that are in it is gone on from. Throws `NoSiteError`
 * when no fact tells what site it is.
 */
export function foldSite(facts: readonly AnyFact[], before: SiteFold | null = null): SiteFold {
  const fresh = before && since(before, facts);
  if (before && fresh?.length === 0) return { ...before, facts };
  const memory = (fresh && before?.memory) ?? new Memory();
  const all = before && fresh ? withFresh(before.ordered, fresh) : ordered(facts);
  return { state: stateOf(all, memory), facts, ordered: all, memory };
}

/** The state of a site from all its facts. */
export const siteState = (facts: readonly AnyFact[]): SiteState => foldSite(facts).state;

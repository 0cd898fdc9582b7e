/** Placings, sights and solutions as they are after what was decided and put right. */
import { inOrder } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import type { AcceptedSolution } from '../site/state.ts';
import { GrownMap } from './grownMap.ts';

/** What a correction puts in the place of what was entered with a sight. */
function correctedEntry(
  body: FactBody<'correction'>,
  occupationOf: (solution: string) => string | undefined,
): Partial<FactBody<'sight'>> {
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
export function correctedSights(
  sights: readonly Fact<'sight'>[],
  corrections: readonly Fact<'correction'>[],
  solutions: readonly Fact<'solution'>[],
): GrownMap<string, Fact<'sight'>> {
  const found = new Map(sights.map((sight) => [sight.id, sight]));
  const occupations = new Map(solutions.map((solution) => [solution.id, solution.body.occupation]));
  for (const { body } of corrections) {
    const entry = correctedEntry(body, (solution) => occupations.get(solution));
    for (const id of body.sights) {
      const sight = found.get(id);
      if (sight) found.set(id, { ...sight, body: { ...sight.body, ...entry } });
    }
  }
  return new GrownMap(found);
}

/** With sights that came after; null where something that was put right is among them. */
export function withSights(
  sights: GrownMap<string, Fact<'sight'>>,
  corrections: readonly Fact<'correction'>[],
  fresh: readonly Fact<'sight'>[],
): GrownMap<string, Fact<'sight'>> | null {
  const corrected = new Set(corrections.flatMap(({ body }) => body.sights));
  if (fresh.some(({ id }) => corrected.has(id))) return null;
  return sights.grown((entries) => {
    for (const sight of fresh) entries.set(sight.id, sight);
  });
}

const NONE: ReadonlyMap<string, string> = new Map();

/** Marks whose sights were taken from another station than they were kept with: that one, by the fact of the mark. */
export function stationsCorrected(
  marks: readonly Fact<'mark'>[],
  corrections: readonly Fact<'correction'>[],
): ReadonlyMap<string, string> {
  if (!corrections.some(({ body }) => body.what === 'station')) return NONE;
  const stations = new Map(
    corrections.flatMap(({ body }) =>
      body.what === 'station' ? body.sights.map((sight) => [sight, body.station] as const) : [],
    ),
  );
  return new Map(
    marks.flatMap((mark) => {
      const station = stations.get(mark.body.sight);
      return station === undefined ? [] : [[mark.id, station] as const];
    }),
  );
}

export function correctedOccupations(
  occupations: readonly Fact<'occupation'>[],
  corrections: readonly Fact<'correction'>[],
): Fact<'occupation'>[] {
  const heights = new Map(
    corrections.flatMap(({ body }) =>
      body.what === 'instrumentHeight' ? [[body.occupation, body.value] as const] : [],
    ),
  );
  return occupations.map((each) => {
    const height = heights.get(each.id);
    return height === undefined ? each : { ...each, body: { ...each.body, instrumentHeight: height } };
  });
}

export function decided(
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
    return occupation
      ? [{ fact, decision, occupation, withdrawn: withdrawn.has(fact.id) || withdrawn.has(occupation.id) }]
      : [];
  });
}

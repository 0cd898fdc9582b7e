/**
 * What hangs on a station beside the marks set from it: what was measured as it stands, slope stakes, and control of
 * one's own.
 */
import { judgeTrust, type Standing } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { compareNames, decidedSolution, type SiteState } from '../site/state.ts';
import { trustInput } from './trust.ts';

export interface Measured {
  readonly name: string;
  readonly fact: Fact<'asBuilt'> | Fact<'control'>;
  readonly solution: string;
  /** By the rules by which a mark stands that was set then. */
  readonly standing: Standing;
}

const known = new WeakMap<SiteState, readonly Measured[]>();

/**
 * Ground shots, slope stakes and everything as built, and marks of one's own that are still listed with what a station
 * gave.
 */
export function measuredFromStations(state: SiteState): readonly Measured[] {
  const before = known.get(state);
  if (before) return before;
  const built = state.asBuilt.map((fact) => ({
    fact,
    name: fact.body.name,
    solution: fact.body.solution,
    hasHeight: fact.body.place.z !== null,
  }));
  const own = state.control.flatMap(({ revision }) => {
    const { parent, name, z } = revision.body;
    return parent ? [{ fact: revision, name, solution: parent, hasHeight: z !== null }] : [];
  });
  const all = [...built, ...own].filter(({ solution }) => decidedSolution(state, solution) !== null);
  // They are judged as marks in thought; the facts themselves are none.
  const inThought = (id: string) => `measured ${id}`;
  const input = trustInput(state, state.timeline.at(-1)!.at);
  const records = all.map(({ fact: { id, at, device, seq }, solution, hasHeight }) => {
    const parts = { plan: true, height: hasHeight };
    const { class: asked } = decidedSolution(state, solution)!.fact.body;
    return {
      type: 'mark' as const,
      id: inThought(id),
      at,
      device,
      seq,
      solution,
      class: asked,
      needs: parts,
      measured: parts,
      supersedes: null,
    };
  });
  const judged = new Map(
    judgeTrust({ ...input, records: [...input.records, ...records] }).marks.map((mark) => [mark.id, mark.standing]),
  );
  const found = all
    .map(({ fact, name, solution }) => ({
      fact,
      name,
      solution,
      standing: judged.get(inThought(fact.id)) ?? ('unproven' as const),
    }))
    .sort((a, b) => compareNames(a.name, b.name));
  known.set(state, found);
  return found;
}

/** The station being worked on: sights so far, what they give, and what to think of it. */
import { judgeResection, ok, resection, type Judgement, type ResectionInput, type ResectionResult, type Result, type StationError } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { groupSights, pointsOf, precisionOf, reductionOf, setupOf, type SightGroup, type UseFlags } from './observations.ts';
import type { SiteState } from './state.ts';

export interface StationDraft {
  readonly groups: readonly SightGroup[];
  readonly input: ResectionInput;
  /** Null while fewer than two marks are sighted. */
  readonly outcome: Result<{ readonly result: ResectionResult; readonly judgement: Judgement }, StationError> | null;
}

/** What a sight may be used for unless the person says otherwise: what its mark is trusted for. */
export function defaultUse(state: SiteState, sight: Fact<'sight'>): UseFlags {
  const { target } = sight.body;
  const mark = target.kind === 'control' ? state.control.find((each) => each.id === target.mark) : undefined;
  if (!mark) return { plan: false, height: false };
  const { body } = mark.revision;
  const lost = body.condition === 'lost';
  return {
    plan: !lost && body.usePlan && body.e !== null && body.n !== null,
    height: !lost && body.useHeight && body.z !== null && sight.body.read.slope !== null,
  };
}

export const stationSights = (state: SiteState, occupation: string): Fact<'sight'>[] =>
  [...state.sights.values()].filter((sight) => sight.body.occupation === occupation && sight.body.purpose === 'station' && !state.withdrawn.has(sight.id));

export function stationDraft(state: SiteState, occupation: Fact<'occupation'>, flags: Readonly<Record<string, UseFlags>>): StationDraft {
  const sights = stationSights(state, occupation.id);
  const groups = groupSights(sights, (sight) => flags[sight.id] ?? defaultUse(state, sight));
  const input: ResectionInput = {
    instrument: precisionOf(occupation.body),
    setup: setupOf(occupation.body),
    reduction: reductionOf(state.settings),
    freeScale: false,
    points: pointsOf(state.control, new Set(groups.map((group) => group.mark))),
    observations: groups.map((group) => group.observation),
  };
  const inPlan = new Set(groups.filter((group) => group.observation.usePlan).map((group) => group.mark));
  if (inPlan.size < 2) return { groups, input, outcome: null };
  const solved = resection(input);
  if (!solved.ok) return { groups, input, outcome: solved };
  const repeated = new Set(groups.filter((group) => group.sights.length > 1).map((group) => group.mark));
  return { groups, input, outcome: ok({ result: solved.value, judgement: judgeResection(solved.value, repeated) }) };
}

/** The station being worked on: sights so far, what they give, and what to think of it. */
import {
  judgeStation,
  ok,
  resection,
  stationOverMark,
  type KnownStationInput,
  type Judgement,
  type ResectionInput,
  type ResectionResult,
  type Result,
  type StationError,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { controlPointOf, groupSights, pointsOf, precisionOf, reductionOf, setupOf, type SightGroup, type UseFlags } from './observations.ts';
import type { SiteState } from './state.ts';

export interface StationDraft {
  readonly groups: readonly SightGroup[];
  readonly input: ResectionInput;
  /** Null while fewer than two marks are sighted. */
  readonly outcome: Result<{ readonly result: ResectionResult; readonly judgement: Judgement }, StationError> | null;
  /** The mark under the instrument; null for a free station. */
  readonly over: string | null;
  /** What explains sights that, as they are, give no station. */
  readonly contradiction: Judgement | null;
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
  const over = overOf(state, occupation);
  const shared = { groups, input, over: over?.station.name ?? null, contradiction: null };
  if (over) return { ...shared, outcome: inPlan.size === 0 ? null : stationOverMark({ ...input, ...over }) };
  if (inPlan.size < 2) return { ...shared, outcome: null };
  const solved = resection(input);
  const times = new Map<string, number>();
  for (const { mark, sights: own } of groups) times.set(mark, (times.get(mark) ?? 0) + own.length);
  // Every listed mark may be the one that was really sighted.
  const judged = judgeStation({ ...input, points: state.control.map((mark) => controlPointOf(mark.revision.body)) }, times);
  if (!solved.ok) return { ...shared, outcome: solved, contradiction: judged.ok ? judged.value.judgement : null };
  return { ...shared, outcome: judged.ok ? ok({ result: solved.value, judgement: judged.value.judgement }) : judged };
}

/** The mark under the instrument and how it is centred; null for a free station. */
export function overOf(state: SiteState, { body }: Fact<'occupation'>): Pick<KnownStationInput, 'station' | 'setup'> | null {
  const { over } = body;
  const revision = over && state.control.find((mark) => mark.id === over.mark)?.revisions.find((each) => each.id === over.revision)?.body;
  if (!over || !revision || revision.e === null || revision.n === null) return null;
  return {
    station: {
      name: revision.mark,
      e: revision.e,
      n: revision.n,
      z: revision.useHeight ? revision.z : null,
      sdPlan: (revision.sdHMm ?? 0) / 1000,
      sdZ: revision.sdZMm === null ? null : revision.sdZMm / 1000,
    },
    setup: { ...setupOf(body), instrumentCentringSd: over.centringSdMm / 1000 },
  };
}

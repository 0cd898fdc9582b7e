/**
 * What it does to the marks when a control mark is found moved: each station that used it is computed again without it.
 */
import { measurePoint, reduceReading, resection, stationOfResection, type Station } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { supportingUses } from './heldUses.ts';
import {
  groupSights,
  pointsOf,
  precisionOf,
  readingOf,
  reductionFrom,
  reductionOf,
  setupOf,
  stationOfSolution,
} from '../station/observations.ts';
import { pairedEffects } from '../station/paired.ts';
import { controlAsUsed } from '../station/stationDraft.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { setMarks } from '../site/indexes.ts';

type Effect = FactBody<'finding'>['effects'][number];
export interface Parts {
  readonly plan: boolean;
  readonly height: boolean;
}

/** The station of a solution without the sights to one mark, in the parts given; null when the rest gives none. */
export function stationWithout(
  state: SiteState,
  solution: AcceptedSolution,
  mark: string,
  parts: Parts,
): Station | null {
  const { uses } = solution.fact.body;
  const sights = uses.flatMap((use) => state.sights.get(use.sight) ?? []);
  const flagsOf = (sight: Fact<'sight'>) => {
    const use = uses.find((each) => each.sight === sight.id)!;
    const out = use.control === mark;
    return {
      plan: use.plan && !(out && parts.plan),
      height: use.height && !(out && parts.height),
      direction: use.direction ?? true,
      distance: use.distance ?? true,
    };
  };
  const groups = groupSights(sights, flagsOf);
  const solved = resection(
    {
      instrument: precisionOf(solution.occupation.body),
      setup: setupOf(solution.occupation.body),
      reduction: reductionOf(state.settings),
      freeScale: (solution.fact.body.result.scale ?? null) !== null,
      points: pointsOf(controlAsUsed(state, solution.fact.body), new Set(groups.map((group) => group.mark))),
      observations: groups.map((group) => group.observation),
    },
    { leaveOneOut: false },
  );
  return solved.ok ? stationOfResection(solved.value) : null;
}

/** Where a mark's sight puts it from a station. */
function placeFrom(state: SiteState, solution: AcceptedSolution, station: Station, mark: Fact<'mark'>) {
  const sight = state.sights.get(mark.body.sight);
  if (!sight) return null;
  const { body } = solution.occupation;
  return measurePoint(
    station,
    setupOf(body),
    reduceReading(readingOf(sight.body), precisionOf(body), reductionFrom(state, solution)),
  );
}

const MM = 1000;

/**
 * By how much each mark set with the solutions that used `revision` moves without it; null where that can't be told.
 */
export function effectsOfMove(state: SiteState, revision: Fact<'control'>, parts: Parts): Effect[] {
  const concerned = state.accepted.filter(
    (each) =>
      !each.withdrawn &&
      supportingUses(each.fact, each.occupation).some(
        (use) => use.revision === revision.id && ((parts.plan && use.plan) || (parts.height && use.height)),
      ),
  );
  const marks = setMarks(state);
  const paired = state.paired.filter(
    (each) =>
      parts.height &&
      !each.withdrawn &&
      each.solution.body.uses.some((use) => use.revision === revision.id && use.height),
  );
  const stations = concerned.flatMap((solution) => {
    const without = stationWithout(state, solution, revision.body.mark, parts);
    const before = stationOfSolution(solution.fact.body.result);
    return marks
      .filter((mark) => mark.body.solution === solution.fact.id)
      .map((mark): Effect => {
        const was = placeFrom(state, solution, before, mark);
        const is = without && placeFrom(state, solution, without, mark);
        if (!was || !is) return { mark: mark.id, planMm: null, heightMm: null };
        return {
          mark: mark.id,
          planMm: parts.plan ? Math.hypot(is.e - was.e, is.n - was.n) * MM : null,
          heightMm: parts.height && is.z !== null && was.z !== null ? (is.z - was.z) * MM : null,
        };
      });
  });
  return [...stations, ...paired.flatMap((each) => pairedEffects(state, state, each, revision.body.mark))];
}

/**
 * Stations that hang on figures of control that were revised since they were accepted, and what today's figures would
 * change.
 */
import { angleToRadians, carriedAlong, planDistance, wrapHalfTurn, type Metres, type Radians } from '@idle-marker/core';
import { supportingUses } from './heldUses.ts';
import { draftAsUsed } from '../station/stationDraft.ts';
import type { AcceptedSolution, SiteState } from '../site/state.ts';
import { marksFrom } from '../site/indexes.ts';

/** A mark as the station used it, and by how much it is listed elsewhere now; null for a part that was not used. */
export interface RevisedMark {
  readonly name: string;
  readonly plan: Metres | null;
  readonly height: Metres | null;
}

export interface OlderControl {
  readonly solution: AcceptedSolution;
  readonly marks: readonly RevisedMark[];
  /** What today's figures would do to the station; null where they give none. */
  readonly change: { readonly plan: Metres; readonly height: Metres | null; readonly turn: Radians } | null;
  /**
   * Marks that hang on it, and the most that one of them would move in plan and height; null where nothing can be said.
   */
  readonly set: number;
  readonly most: { readonly plan: Metres; readonly height: Metres | null } | null;
}

/** What is listed differently by less than this was only rounded. */
const LEAST: Metres = 0.0005;

const moved = (a: number | null, b: number | null): Metres =>
  a === null || b === null ? (a === b ? 0 : Infinity) : Math.abs(a - b);

/** Marks that the station took a part from whose figure is another one today. */
function revisedMarks(state: SiteState, { fact, occupation }: AcceptedSolution): RevisedMark[] {
  const held = supportingUses(fact, occupation);
  return [...new Set(held.map((use) => use.control))].flatMap((control): RevisedMark[] => {
    const own = held.filter((use) => use.control === control);
    const mark = state.control.find((each) => each.id === control);
    const then = mark?.revisions.find((each) => each.id === own[0]!.revision)?.body;
    if (!mark || !then || mark.revision.id === own[0]!.revision) return [];
    const now = mark.revision.body;
    const plan = own.some((use) => use.plan) ? Math.hypot(moved(then.e, now.e), moved(then.n, now.n)) : null;
    const height = own.some((use) => use.height) ? moved(then.z, now.z) : null;
    return (plan ?? 0) > LEAST || (height ?? 0) > LEAST ? [{ name: now.name, plan, height }] : [];
  });
}

/** What the revisions since do to the station and to what was set from it; null when it hangs on none. */
export function olderControl(state: SiteState, solution: AcceptedSolution): OlderControl | null {
  if (solution.withdrawn) return null;
  const marks = revisedMarks(state, solution);
  if (marks.length === 0) return null;
  const { fact, occupation } = solution;
  const { over } = occupation.body;
  const revision = over && state.control.find((each) => each.id === over.mark)?.revision.id;
  const today =
    over && revision ? { ...occupation, body: { ...occupation.body, over: { ...over, revision } } } : occupation;
  const { outcome } = draftAsUsed(state, today, fact.body);
  const now = outcome?.ok ? outcome.value.result : null;
  const then = fact.body.result;
  const set = marksFrom(state, fact.id);
  if (!now) return { solution, marks, change: null, set: set.length, most: null };
  const turn = wrapHalfTurn(now.orientation - angleToRadians(then.orientationDeg, 'degree'));
  const height = now.height && then.z !== null ? Math.abs(now.height.z - then.z) : null;
  const moves = set.map(({ body: { place } }) => planDistance(place, carriedAlong(place, then, now, turn)));
  return {
    solution,
    marks,
    change: { plan: planDistance(then, now), height, turn },
    set: set.length,
    most: moves.length === 0 ? null : { plan: Math.max(...moves), height },
  };
}

/** Of all stations: those in force, and those on which marks still hang. */
export function stationsOnOlderControl(state: SiteState): OlderControl[] {
  return state.accepted.flatMap((solution, i) => {
    const isLast = i === state.accepted.length - 1;
    const found = isLast || marksFrom(state, solution.fact.id).length > 0 ? olderControl(state, solution) : null;
    return found ? [found] : [];
  });
}

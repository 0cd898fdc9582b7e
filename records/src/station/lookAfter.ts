/**
 * Control that wants looking after: soft marks to use soon, marks the works will take, looks that are long ago, alike
 * names.
 */
import { distanceToPolygon, insidePolygon, planDistance, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { alikePairs } from '../site/names.ts';
import { isOutline } from '../work/packagePlans.ts';
import type { ControlMark, SiteState } from '../site/state.ts';

export type Concern =
  /** To be used or replaced by a day, and how many days are left. */
  | { readonly code: 'USE_SOON'; readonly mark: ControlMark; readonly on: string; readonly days: number }
  /** Inside what a package digs, pours over or demolishes. */
  | {
      readonly code: 'WORKS';
      readonly mark: ControlMark;
      readonly work: string;
      readonly kind: 'dig' | 'pour' | 'demolish';
      readonly on: string | null;
      readonly left: number;
    }
  /** Painted or scratched, and not seen for long. */
  | { readonly code: 'REFRESH'; readonly mark: ControlMark; readonly days: number }
  /** Few usable marks while the work has begun: one or two will be lost. */
  | { readonly code: 'SPARE'; readonly mark: ControlMark; readonly left: number }
  | { readonly code: 'ALIKE'; readonly mark: ControlMark; readonly other: string };

const MS_PER_DAY = 86_400_000;
/** Reminders begin so many days before. */
const SOON_DAYS = 7;
/** Crosses wear off, are swept or covered. */
const REFRESH_DAYS = 14;
const WEARS_OFF: ReadonlySet<FactBody<'control'>['kind']> = new Set(['cross', 'stake']);

/** With four usable marks one bad one can be named; of four, two may be gone before the job is done. */
const ENOUGH = 4;

const daysUntil = (day: string, now: Date): number =>
  Math.ceil((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${now.toISOString().slice(0, 10)}T00:00:00Z`)) / MS_PER_DAY);
const isHere = ({ revision: { body } }: ControlMark): boolean => body.condition !== 'lost';
const placeOf = ({ revision: { body } }: ControlMark): PlanPoint | null =>
  body.e === null || body.n === null ? null : { e: body.e, n: body.n };

function isTaken(place: PlanPoint, work: Fact<'package'>, reach: Metres): boolean {
  return work.body.items.some((item) => {
    if (isOutline(item)) return insidePolygon(place, item.corners) || distanceToPolygon(place, item.corners) <= reach;
    return item.corners.some((corner) => planDistance(corner, place) <= reach);
  });
}

/**
 * All concerns, the most pressing kinds first. `left` counts the usable marks that remain once the works have begun.
 */
export function controlConcerns(state: SiteState, now: Date): Concern[] {
  const here = state.control.filter(isHere);
  const soon = here.flatMap((mark): Concern[] => {
    const on = mark.revision.body.useBefore;
    if (!on) return [];
    const days = daysUntil(on, now);
    return days <= SOON_DAYS ? [{ code: 'USE_SOON', mark, on, days }] : [];
  });
  const works = state.packages.flatMap((work): Concern[] => {
    const { ground } = work.body;
    if (!ground) return [];
    const taken = here.filter((mark) => {
      const place = placeOf(mark);
      return place !== null && isTaken(place, work, ground.reach);
    });
    const usable = here.filter((mark) => mark.revision.body.usePlan && !taken.includes(mark)).length;
    return taken.map((mark) => ({
      code: 'WORKS',
      mark,
      work: work.body.name,
      kind: ground.kind,
      on: ground.on,
      left: usable,
    }));
  });
  const refresh = here.flatMap((mark): Concern[] => {
    if (!WEARS_OFF.has(mark.revision.body.kind)) return [];
    const seen = (state.visits.get(mark.id) ?? []).findLast(
      (visit) => visit.body.outcome === 'found' || visit.body.outcome === 'refreshed',
    )?.at;
    const since = seen ?? mark.revisions.at(-1)!.at;
    const days = Math.floor((now.getTime() - Date.parse(since)) / MS_PER_DAY);
    return days >= REFRESH_DAYS ? [{ code: 'REFRESH', mark, days }] : [];
  });
  const alike = alikePairs(here.map((mark) => mark.revision.body.name)).map(([at, other]): Concern => ({
    code: 'ALIKE',
    mark: here[at]!,
    other,
  }));
  const usable = here.filter(({ revision: { body } }) => body.usePlan && !body.forProof);
  const spare: Concern[] =
    state.packages.length > 0 && usable.length > 0 && usable.length < ENOUGH
      ? [{ code: 'SPARE', mark: usable[0]!, left: usable.length }]
      : [];
  return [...spare, ...works, ...soon, ...refresh, ...alike];
}

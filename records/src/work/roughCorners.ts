/**
 * Corners of a package that are painted themselves before any hub stands: for a machine to dig by. They are no marks of
 * the package to be set; digging takes them away again.
 */
import type { PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { markKey, type SiteState } from '../site/state.ts';
import type { RoundStop } from './round.ts';

type Package = FactBody<'package'>;
type Plan = Package['plans'][number];

const SIGN = '=';
const keyOf = ({ item, corner }: Pick<Plan, 'item' | 'corner'>): string => `${item}/${SIGN}${corner}`;

/** Whether a plan is of a corner itself, and not of a mark that the package asks for. */
export const isRoughCorner = ({ key, item, corner }: Pick<Plan, 'key' | 'item' | 'corner'>): boolean =>
  key === keyOf({ item, corner });

/** One plan for each corner that hubs stand off, on the corner. */
export function roughCorners({ plans }: Pick<Package, 'plans'>): Plan[] {
  const corners = new Map<string, Plan>();
  const keys = new Set(plans.map(({ key }) => key));
  for (const plan of plans) {
    const key = keyOf(plan);
    if (plan.offset === 0 || corners.has(key) || keys.has(key)) continue;
    const { road: _road, rake: _rake, ...rest } = plan;
    corners.set(key, {
      ...rest,
      key,
      name: nameOf(plan),
      place: { ...plan.design },
      offset: 0,
      offFace: null,
      alsoOffFace: null,
      onLine: null,
    });
  }
  return [...corners.values()];
}

/** "TH-B3 E" stands off the corner "TH-B3". */
const nameOf = ({ name, corner }: Plan): string => {
  const at = name.lastIndexOf(`-${corner}`);
  return at < 0 ? corner : name.slice(0, at + corner.length + 1);
};

/** Corners that are not painted yet, each the nearest to the one before, from `start`. */
export function cornerStops(state: SiteState, work: Fact<'package'>, start: PlanPoint | null): RoundStop[] {
  const root = state.packageRoots.get(work.id)!;
  const left = roughCorners(work.body).filter(({ key }) => !state.marks.has(markKey(root, key)));
  const walked: Plan[] = [];
  let at = start ?? left[0]?.place ?? null;
  while (at !== null && left.length > 0) {
    const from = at;
    const away = ({ place }: Plan) => Math.hypot(place.e - from.e, place.n - from.n);
    const nearest = left.reduce((best, plan) => (away(plan) < away(best) ? plan : best));
    left.splice(left.indexOf(nearest), 1);
    walked.push(nearest);
    at = nearest.place;
  }
  return walked.map((plan) => ({
    plan,
    mark: null,
    standing: null,
    outdated: false,
    obstruction: null,
    report: null,
  }));
}

/** The corners that are painted, for the plan. */
export const paintedCorners = (state: SiteState, work: Fact<'package'>): Fact<'mark'>[] =>
  roughCorners(work.body).flatMap(({ key }) => state.marks.get(markKey(state.packageRoots.get(work.id)!, key)) ?? []);

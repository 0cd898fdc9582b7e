/** Marks on the points themselves, such as pile centres or points that were keyed in: no offset. */
import { fail, ok, type Result } from '../result.ts';
import type { Corner, HubPlan } from './outline.ts';

export type PointsError = { readonly code: 'NO_POINTS' } | { readonly code: 'POINT_NAMED_TWICE'; readonly name: string };

/** One mark a point, at its place. */
export function pointMarks(points: readonly Corner[]): Result<HubPlan[], PointsError> {
  if (points.length === 0) return fail({ code: 'NO_POINTS' });
  const twice = points.find((point, i) => points.findIndex((each) => each.name === point.name) < i);
  if (twice) return fail({ code: 'POINT_NAMED_TWICE', name: twice.name });
  return ok(
    points.map(({ name, e, n }) => ({
      key: name,
      corner: name,
      place: { e, n },
      designPlace: { e, n },
      offset: 0,
      offFace: null,
      alsoOffFace: null,
      onLine: null,
      direction: 0,
      clear: true,
    })),
  );
}

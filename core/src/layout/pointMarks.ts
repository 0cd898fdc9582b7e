/**
 * Marks on the points themselves, such as pile centres or points that were keyed in, and recovery marks beside them.
 */
import { azimuth, polar } from '../plane/point.ts';
import { wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { Corner, HubPlan, OutlineError } from './outline.ts';

export type PointsError =
  | Extract<OutlineError, { code: 'OFFSET_NOT_POSITIVE' }>
  | { readonly code: 'NO_POINTS' }
  | { readonly code: 'POINT_NAMED_TWICE'; readonly name: string };

/** What makes a list of points unfit to be marked; null when nothing does. */
export function pointsError(points: readonly Corner[]): PointsError | null {
  if (points.length === 0) return { code: 'NO_POINTS' };
  const names = new Set<string>();
  const twice = points.find(({ name }) => names.size === names.add(name).size);
  return twice ? { code: 'POINT_NAMED_TWICE', name: twice.name } : null;
}

/** A mark on the point itself, keyed by its name. */
export const markOn = ({ name, e, n, z = null }: Corner): HubPlan => ({
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
  z,
});

/** One mark a point, at its place. */
export function pointMarks(points: readonly Corner[]): Result<HubPlan[], PointsError> {
  const error = pointsError(points);
  return error ? fail(error) : ok(points.map(markOn));
}

/**
 * Direction of the row at a point: from the one before it to the one after it; a single point has none and takes north.
 */
function rowDirection(points: readonly Corner[], i: number): Radians {
  const [before, after] = [points[Math.max(i - 1, 0)]!, points[Math.min(i + 1, points.length - 1)]!];
  return before.e === after.e && before.n === after.n ? 0 : azimuth(before, after);
}

/**
 * One mark a point, and two recovery marks square to the row on both sides of it: a string between them goes over the
 * point, which lies in its middle.
 *
 * @param points in the order of the row
 * @param offset from the point to each recovery mark, metres
 */
export function pointsWithRecoveries(points: readonly Corner[], offset: Metres): Result<HubPlan[], PointsError> {
  if (!(offset > 0) || !Number.isFinite(offset)) return fail({ code: 'OFFSET_NOT_POSITIVE', offset });
  const error = pointsError(points);
  if (error) return fail(error);
  return ok(
    points.flatMap((point, i) => {
      const row = rowDirection(points, i);
      const recovery = (side: 'right' | 'left'): HubPlan => {
        const direction = wrapTurn(row + (side === 'right' ? Math.PI / 2 : -Math.PI / 2));
        return {
          ...markOn(point),
          key: `${point.name}/${side}`,
          place: polar(point, direction, offset),
          offset,
          direction,
        };
      };
      return [markOn(point), recovery('right'), recovery('left')];
    }),
  );
}

/** An outline moved square to its sides: by the thickness of a wall, the step of a footing, or the batter of a face. */
import { intersectLines } from '../plane/line.ts';
import { azimuth, polar, type PlanPoint } from '../plane/point.ts';
import { signedArea } from '../plane/polygon.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import { outlineError, type Corner, type OutlineError } from './outline.ts';

export type MovedOutlineError =
  | Exclude<OutlineError, { code: 'OFFSET_NOT_POSITIVE' }>
  /** A side would vanish or turn round: the outline is not that wide. */
  | { readonly code: 'MOVED_TOO_FAR'; readonly side: readonly [string, string] };

/** Corners that turn less than this are on a straight side. */
const STRAIGHT: Radians = 1e-4;

/**
 * The outline with every side moved by the same distance, corners keeping their names.
 *
 * @param outward metres, negative inward
 */
export function movedOutline(corners: readonly Corner[], outward: Metres): Result<Corner[], MovedOutlineError> {
  const invalid = outlineError(corners, 1);
  if (invalid) return fail(invalid as Exclude<OutlineError, { code: 'OFFSET_NOT_POSITIVE' }>);
  if (outward === 0) return ok([...corners]);
  // Counterclockwise has the outside on the right of every side.
  const out = signedArea(corners) > 0 ? Math.PI / 2 : -Math.PI / 2;
  const count = corners.length;
  const directions = corners.map((corner, i) => azimuth(corner, corners[(i + 1) % count]!));
  const moved = corners.map((corner, i) => {
    const [arriving, leaving] = [directions[(i + count - 1) % count]!, directions[i]!];
    return { name: corner.name, ...cornerOf(corner, arriving, leaving, out, outward), z: corner.z ?? null };
  });
  const turned = moved.findIndex((corner, i) => {
    const next = moved[(i + 1) % count]!;
    return (
      Math.hypot(next.e - corner.e, next.n - corner.n) < 1e-6 ||
      Math.abs(wrapHalfTurn(azimuth(corner, next) - directions[i]!)) > 0.1
    );
  });
  if (turned >= 0)
    return fail({ code: 'MOVED_TOO_FAR', side: [corners[turned]!.name, corners[(turned + 1) % count]!.name] });
  return ok(moved);
}

function cornerOf(corner: PlanPoint, arriving: Radians, leaving: Radians, out: Radians, distance: Metres): PlanPoint {
  const a = polar(corner, arriving + out, distance);
  if (Math.abs(wrapHalfTurn(leaving - arriving)) < STRAIGHT) return a;
  const b = polar(corner, leaving + out, distance);
  const crossing = intersectLines(a, polar(a, arriving, 1), b, polar(b, leaving, 1));
  return crossing ?? a;
}

/**
 * How far a battered face stands out at a height above or below the one it is drawn at, positive where it is wider
 * below.
 */
export const batterShift = (batter: number, drawnZ: Metres, z: Metres): Metres => batter * (drawnZ - z);

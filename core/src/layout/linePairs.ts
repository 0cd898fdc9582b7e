/**
 * A pair of hubs for every side of a closed outline, on the side itself carried on beyond both its ends: a string
 * between the two is the side, whatever becomes of the corners.
 */
import { azimuth, polar } from '../plane/point.ts';
import { distanceToPolygon, insidePolygon, signedArea } from '../plane/polygon.ts';
import { wrapHalfTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import { outlineError, type Corner, type HubPlan, type OutlineError } from './outline.ts';

/** Sides that turn less than this at a corner are one line: about half a degree. */
const STRAIGHT: Radians = 0.01;
/** A hub keeps at least this share of its offset to every part of the outline. */
const CLEAR_SHARE = 0.5;
/** Farther beyond its end a side is not carried on. */
const FARTHEST: Metres = 100;

/**
 * Hubs `offset` beyond the ends of every side. Where a side carried on runs into the work, as at a re-entrant corner,
 * the hub goes on by whole `step`s until it stands beyond; one that finds no place within 100 m is given at its offset,
 * not clear. Sides that are one straight line are taken as one.
 *
 * @param corners in order round it, either way
 */
export function linePairs(corners: readonly Corner[], offset: Metres, step: Metres): Result<HubPlan[], OutlineError> {
  const invalid = outlineError(corners, offset);
  if (invalid) return fail(invalid);
  const ordered = signedArea(corners) > 0 ? corners : [...corners].reverse();
  const turns = ordered.filter((corner, i) => {
    const [before, after] = [ordered.at(i - 1)!, ordered[(i + 1) % ordered.length]!];
    return Math.abs(wrapHalfTurn(azimuth(corner, after) - azimuth(before, corner))) >= STRAIGHT;
  });
  return ok(
    turns.flatMap((from, i) => {
      const to = turns[(i + 1) % turns.length]!;
      return [beyond(to, from, offset, step, ordered), beyond(from, to, offset, step, ordered)];
    }),
  );
}

function beyond(from: Corner, to: Corner, offset: Metres, step: Metres, outline: readonly Corner[]): HubPlan {
  const direction = azimuth(from, to);
  const isClear = (distance: Metres): boolean => {
    const place = polar(to, direction, distance);
    return !insidePolygon(place, outline) && distanceToPolygon(place, outline) >= offset * CLEAR_SHARE;
  };
  let distance = offset;
  while (distance <= FARTHEST && !isClear(distance)) distance += step;
  const clear = distance <= FARTHEST;
  if (!clear) distance = offset;
  return {
    key: `${from.name}-${to.name}`,
    corner: to.name,
    place: polar(to, direction, distance),
    designPlace: { e: to.e, n: to.n },
    offset: distance,
    offFace: null,
    alsoOffFace: null,
    onLine: [from.name, to.name],
    direction,
    clear,
    z: to.z ?? null,
  };
}

/**
 * Reference hubs beyond both ends of straight lines, such as the lines of a column grid: on the line itself,
 * so that a string between the two hubs is the line.
 */
import { azimuth, planDistance, polar } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { Corner, HubPlan, OutlineError } from './outline.ts';

export type LineEndsError =
  | Extract<OutlineError, { code: 'OFFSET_NOT_POSITIVE' }>
  | { readonly code: 'LINE_WITHOUT_END'; readonly name: string }
  | { readonly code: 'LINE_TOO_SHORT'; readonly from: string; readonly to: string };

const SHORTEST: Metres = 0.01;

/**
 * Two hubs a line, each `offset` metres beyond its end.
 *
 * @param ends the lines' ends, two by two: from, to, from, to, …
 */
export function lineEndHubs(ends: readonly Corner[], offset: Metres): Result<HubPlan[], LineEndsError> {
  if (!(offset > 0) || !Number.isFinite(offset)) return fail({ code: 'OFFSET_NOT_POSITIVE', offset });
  if (ends.length % 2 === 1) return fail({ code: 'LINE_WITHOUT_END', name: ends.at(-1)!.name });
  const hubs: HubPlan[] = [];
  for (let i = 0; i < ends.length; i += 2) {
    const [from, to] = [ends[i]!, ends[i + 1]!];
    if (planDistance(from, to) < SHORTEST) return fail({ code: 'LINE_TOO_SHORT', from: from.name, to: to.name });
    hubs.push(beyond(to, from, offset), beyond(from, to, offset));
  }
  return ok(hubs);
}

function beyond(from: Corner, to: Corner, offset: Metres): HubPlan {
  const direction = azimuth(from, to);
  return {
    key: `${from.name}-${to.name}`,
    corner: to.name,
    place: polar(to, direction, offset),
    designPlace: { e: to.e, n: to.n },
    offset,
    offFace: null,
    alsoOffFace: null,
    onLine: [from.name, to.name],
    direction,
    clear: true,
    z: to.z ?? null,
  };
}

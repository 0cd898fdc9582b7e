/** Groups of bolts by their pattern, and the centre lines that a template is laid to. */
import { polar, type PlanPoint } from '../plane/point.ts';
import { wrapTurn } from '../quantity/angle.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { fail, ok, type Result } from '../result.ts';
import type { Corner, HubPlan } from './outline.ts';
import { markOn, pointsError, type PointsError } from './pointMarks.ts';

export type BoltPattern =
  /** Bolts in rows: `along` the pattern's direction and `across` it, spacings centre to centre. */
  | {
      readonly kind: 'rectangle';
      readonly along: Metres;
      readonly across: Metres;
      readonly alongCount: number;
      readonly acrossCount: number;
      readonly azimuth: Radians;
    }
  /** Bolts evenly round a circle, the first in the pattern's direction. */
  | { readonly kind: 'circle'; readonly diameter: Metres; readonly count: number; readonly azimuth: Radians };

export type BoltsError = PointsError | { readonly code: 'PATTERN_IMPOSSIBLE'; readonly why: 'size' | 'count' };

const MOST = 200;

function patternError(pattern: BoltPattern): BoltsError | null {
  const [sizes, counts] =
    pattern.kind === 'circle'
      ? [[pattern.diameter], [pattern.count]]
      : [
          [pattern.along, pattern.across],
          [pattern.alongCount, pattern.acrossCount],
        ];
  if (sizes.some((size) => !(size > 0) || !Number.isFinite(size))) return { code: 'PATTERN_IMPOSSIBLE', why: 'size' };
  const bolts = counts.reduce((product, each) => product * each, 1);
  if (counts.some((count) => !Number.isInteger(count) || count < 1) || bolts < 2 || bolts > MOST)
    return { code: 'PATTERN_IMPOSSIBLE', why: 'count' };
  return null;
}

/**
 * Bolts of one group, clockwise round a circle, and row by row in a rectangle: from its back left, looking along its
 * direction.
 */
export function boltsOf(centre: PlanPoint, pattern: BoltPattern): PlanPoint[] {
  if (pattern.kind === 'circle')
    return Array.from({ length: pattern.count }, (_, i) =>
      polar(centre, pattern.azimuth + (2 * Math.PI * i) / pattern.count, pattern.diameter / 2),
    );
  const { along, across, alongCount, acrossCount, azimuth } = pattern;
  return Array.from({ length: alongCount * acrossCount }, (_, i) => {
    const [row, place] = [Math.floor(i / acrossCount), i % acrossCount];
    const ahead = polar(centre, azimuth, (row - (alongCount - 1) / 2) * along);
    return polar(ahead, azimuth + Math.PI / 2, (place - (acrossCount - 1) / 2) * across);
  });
}

/**
 * For every group its bolts, and four marks on its two centre lines at `reach` from the centre: a template is laid to
 * those.
 *
 * @param reach metres; 0 leaves the centre lines out
 */
export function boltMarks(
  centres: readonly Corner[],
  pattern: BoltPattern,
  reach: Metres,
): Result<HubPlan[], BoltsError> {
  const error = pointsError(centres) ?? patternError(pattern);
  if (error) return fail(error);
  return ok(
    centres.flatMap((centre) => {
      const bolts = boltsOf(centre, pattern).map((bolt, i): HubPlan => {
        return markOn({ name: `${centre.name}.${i + 1}`, e: bolt.e, n: bolt.n, z: centre.z ?? null });
      });
      const lines =
        reach > 0
          ? (['along', 'right', 'back', 'left'] as const).map((way, i): HubPlan => {
              const direction = wrapTurn(pattern.azimuth + (i * Math.PI) / 2);
              return {
                ...markOn(centre),
                key: `${centre.name}/${way}`,
                place: polar(centre, direction, reach),
                offset: reach,
                direction,
              };
            })
          : [];
      return [...lines, ...bolts];
    }),
  );
}

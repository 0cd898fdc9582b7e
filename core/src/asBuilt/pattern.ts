/**
 * A group of things as they were built against the design: how far the whole is shifted and turned, and what is left at
 * each.
 */
import { fitSimilarity, type SimilarityError } from '../adjust/similarity.ts';
import type { PlanPoint } from '../plane/point.ts';
import type { Metres, Radians } from '../quantity/unit.ts';
import { ok, type Result } from '../result.ts';

export interface BuiltPoint {
  readonly name: string;
  readonly design: PlanPoint;
  readonly built: PlanPoint;
}
export interface PatternFit {
  /** Mean of built less design. */
  readonly shift: PlanPoint;
  /** Clockwise, about the middle of the group. */
  readonly turn: Radians;
  /** Built less the design as shifted and turned: what a template laid to its best place would leave. */
  readonly misfits: readonly { readonly name: string; readonly e: Metres; readonly n: Metres }[];
  readonly worst: { readonly name: string; readonly by: Metres };
}

/** Shape and size are held: a template does not stretch. */
export function fitPattern(points: readonly BuiltPoint[]): Result<PatternFit, SimilarityError> {
  const fit = fitSimilarity(
    points.map(({ design, built }) => ({ source: design, target: built })),
    1,
  );
  if (!fit.ok) return fit;
  const mean = (of: (point: BuiltPoint) => number) => points.reduce((sum, point) => sum + of(point), 0) / points.length;
  const misfits = fit.value.residuals.map(({ e, n }, i) => ({ name: points[i]!.name, e: -e, n: -n }));
  const [worst] = misfits.map(({ name, e, n }) => ({ name, by: Math.hypot(e, n) })).sort((a, b) => b.by - a.by);
  return ok({
    shift: { e: mean(({ design, built }) => built.e - design.e), n: mean(({ design, built }) => built.n - design.n) },
    turn: fit.value.rotation,
    misfits,
    worst: worst!,
  });
}

import { insidePolygon } from '../plane/polygon.ts';
import type { PlanPoint } from '../plane/point.ts';
import type { Metres } from '../quantity/unit.ts';

/** A mark where it really is. The simulator knows this and never the list. */
export interface TrueMark extends PlanPoint {
  readonly name: string;
  readonly z: Metres;
  /** Covered or gone: nobody can stand a pole on it. */
  readonly covered?: boolean;
}

/** What stands in the way of a line of sight. */
export interface TrueObstruction {
  readonly name: string;
  readonly outline: readonly PlanPoint[];
  /** Top above the ground. */
  readonly height: Metres;
}

/** A site as it really is. */
export interface GroundTruth {
  readonly marks: readonly TrueMark[];
  /** Ground as a plane through a point, with a long wave on it. */
  readonly ground: {
    readonly e: Metres;
    readonly n: Metres;
    readonly z: Metres;
    readonly slopeE: number;
    readonly slopeN: number;
    readonly waveHeight: Metres;
    readonly waveLength: Metres;
  };
  readonly obstructions: readonly TrueObstruction[];
  /** Fixed things far away, to which directions are taken without a distance. */
  readonly far?: readonly (PlanPoint & { readonly name: string; readonly z: Metres })[];
  /**
   * How far coordinates of a receiver are off from the site's, where they are: its fit to the control is never perfect.
   */
  readonly receiver?: { readonly dE: Metres; readonly dN: Metres; readonly dZ: Metres };
}

export function groundHeight(truth: GroundTruth, place: PlanPoint): Metres {
  const { ground } = truth;
  const de = place.e - ground.e;
  const dn = place.n - ground.n;
  const wave = (2 * Math.PI) / ground.waveLength;
  return (
    ground.z + ground.slopeE * de + ground.slopeN * dn + ground.waveHeight * Math.sin(wave * de) * Math.cos(wave * dn)
  );
}

/** Name of the first obstruction that hides `to` (at height `toZ`) from `from`; null when the sight is free. */
export function hiddenBy(
  truth: GroundTruth,
  from: PlanPoint,
  fromZ: Metres,
  to: PlanPoint,
  toZ: Metres,
): string | null {
  const length = Math.hypot(to.e - from.e, to.n - from.n);
  const steps = Math.max(2, Math.ceil(length / 0.5));
  for (const obstruction of truth.obstructions) {
    for (let i = 1; i < steps; i++) {
      const f = i / steps;
      const place = { e: from.e + f * (to.e - from.e), n: from.n + f * (to.n - from.n) };
      if (!insidePolygon(place, obstruction.outline)) continue;
      if (fromZ + f * (toZ - fromZ) < groundHeight(truth, place) + obstruction.height) return obstruction.name;
    }
  }
  return null;
}

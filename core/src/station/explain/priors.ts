/**
 * What is plausible for the size of each fault, before anything was measured. Ranges are wide, and a small diffuse part
 * keeps strange sizes possible; typing slips come in round numbers, and a mark is seldom knocked by metres.
 *
 * The price of an estimated size is the Occam factor of the Laplace approximation,
 *   O = -2 ln( prior density at the estimate · (2π)^(k/2) · |C|^(1/2) ), not below 0.
 * Sources: MacKay, "Bayesian Interpolation" (1992); Kass, Raftery, "Bayes Factors" (1995).
 */
import { RADIANS_PER_DEGREE, type Metres, type Radians } from '../../quantity/unit.ts';

/** A share of the belief, spread evenly over the logarithm of the size. */
interface LogUniform {
  readonly share: number;
  readonly from: number;
  readonly to: number;
}

/** Sizes that people slip by, each as likely as the next, with either sign. */
interface Listed {
  readonly share: number;
  readonly sizes: readonly number[];
}

const MM = 1e-3;

const MOVED_PLAN: readonly LogUniform[] = [
  { share: 0.95, from: 5 * MM, to: 0.5 },
  { share: 0.05, from: 0.5, to: 100 },
];
const MOVED_HEIGHT: readonly LogUniform[] = [
  { share: 0.96, from: 4 * MM, to: 60 * MM },
  { share: 0.03, from: 60 * MM, to: 0.4 },
  { share: 0.01, from: 0.4, to: 20 },
];
const PRISM: readonly LogUniform[] = [{ share: 1, from: 4 * MM, to: 0.15 }];
const SCALE: readonly LogUniform[] = [{ share: 1, from: 80e-6, to: 4000e-6 }];

const multiples = (step: number, count: number): number[] => Array.from({ length: count }, (_, i) => (i + 1) * step);

/** Poles are set to whole tenths, less often to half tenths. */
const TARGET_HEIGHT_LISTS: readonly Listed[] = [
  { share: 0.6, sizes: multiples(0.1, 20) },
  { share: 0.2, sizes: multiples(0.1, 10).map((size) => size + 0.05) },
];
const TARGET_HEIGHT_ELSE: readonly LogUniform[] = [
  { share: 0.02, from: 4 * MM, to: 80 * MM },
  { share: 0.18, from: 80 * MM, to: 4 },
];

/** One wrong digit of degrees or minutes, or the other face. */
const DIRECTION_LISTS: readonly Listed[] = [
  {
    share: 0.75,
    sizes: [1 / 60, 10 / 60, 1, 10, 100]
      .flatMap((step) => multiples(step, 9))
      .map((degrees) => degrees * RADIANS_PER_DEGREE),
  },
  { share: 0.05, sizes: [Math.PI] },
];
const DIRECTION_ELSE: readonly LogUniform[] = [{ share: 0.2, from: (20 / 3600) * RADIANS_PER_DEGREE, to: Math.PI }];

/** Density of a size, without its sign; below the least size that counts it is taken as that of the least. */
function logDensity(parts: readonly LogUniform[], size: number): number {
  const least = Math.min(...parts.map((part) => part.from));
  const at = Math.max(size, least);
  const part = parts.find((each) => at >= each.from && at <= each.to);
  return part ? part.share / (at * Math.log(part.to / part.from)) : 0;
}

const ROOT_TWO_PI = Math.sqrt(2 * Math.PI);

/** -2 ln of an average likelihood, not below 0: a size that was bound to be seen costs nothing and earns nothing. */
const price = (averageLikelihood: number): number => Math.max(0, -2 * Math.log(averageLikelihood));

function signed(
  parts: readonly LogUniform[],
  lists: readonly Listed[],
  value: number,
  sd: number,
  wrap = false,
): number {
  const size = Math.abs(value);
  let likelihood = (logDensity(parts, size) / 2) * ROOT_TWO_PI * sd;
  for (const { share, sizes } of lists) {
    let sum = 0;
    for (const each of sizes) {
      const off = wrap ? Math.min(Math.abs(each - size), 2 * Math.PI - each - size) : each - size;
      sum += Math.exp(-0.5 * (off / sd) ** 2);
    }
    likelihood += (share * sum) / (2 * sizes.length);
  }
  return price(likelihood);
}

/** A mark moved by `distance` in any direction; `determinant` of the shift's covariance, m⁴. */
export const priceOfShift = (distance: Metres, determinant: number): number => {
  const least = MOVED_PLAN[0]!.from;
  const at = Math.max(distance, least);
  return price((logDensity(MOVED_PLAN, distance) / (2 * Math.PI * at)) * 2 * Math.PI * Math.sqrt(determinant));
};
export const priceOfHeave = (dZ: Metres, sd: Metres): number => signed(MOVED_HEIGHT, [], dZ, sd);
export const priceOfTargetHeight = (error: Metres, sd: Metres): number =>
  signed(TARGET_HEIGHT_ELSE, TARGET_HEIGHT_LISTS, error, sd);
export const priceOfDirection = (error: Radians, sd: Radians): number =>
  signed(DIRECTION_ELSE, DIRECTION_LISTS, error, sd, true);
export const priceOfPrism = (constant: Metres, sd: Metres): number => signed(PRISM, [], constant, sd);
export const priceOfScale = (ratio: number, sd: number): number => signed(SCALE, [], ratio, sd);

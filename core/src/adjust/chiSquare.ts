/**
 * Chi-square distribution: lower tail and quantile.
 * Regularised incomplete gamma by its series and continued fraction, after
 * Abramowitz, Stegun, "Handbook of Mathematical Functions", 6.5.29 and 6.5.31;
 * log-gamma by Lanczos' approximation (g = 7, n = 9).
 */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
] as const;

function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const shifted = x - 1;
  let sum: number = LANCZOS[0];
  for (let i = 1; i < LANCZOS.length; i++) sum += LANCZOS[i]! / (shifted + i);
  const t = shifted + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum);
}

function lowerGamma(a: number, x: number): number {
  if (x <= 0) return 0;
  const front = Math.exp(a * Math.log(x) - x - logGamma(a));
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < 1000 && Math.abs(term) > Math.abs(sum) * 1e-17; n++) {
      term *= x / (a + n);
      sum += term;
    }
    return sum * front;
  }
  // Lentz's evaluation of the continued fraction; `tiny` only keeps it off division by zero.
  const tiny = 1e-300;
  let b = x + 1 - a;
  let c = 1 / tiny;
  let d = 1 / b;
  let h = d;
  for (let n = 1; n < 1000; n++) {
    const an = -n * (n - a);
    b += 2;
    d = 1 / (Math.abs(an * d + b) < tiny ? tiny : an * d + b);
    c = Math.abs(b + an / c) < tiny ? tiny : b + an / c;
    const step = d * c;
    h *= step;
    if (Math.abs(step - 1) < 1e-16) break;
  }
  return 1 - h * front;
}

/** P(X ≤ x) for chi-square with `dof` degrees of freedom. */
export const chiSquareProbability = (x: number, dof: number): number => lowerGamma(dof / 2, x / 2);

const quantiles = new Map<number, Map<number, number>>();

/** The value that chi-square with `dof` degrees of freedom stays below with probability `p` (0 < p < 1). */
export function chiSquareQuantile(p: number, dof: number): number {
  // The same few (p, dof) are asked for at every sight; remembering them changes no result.
  const known = quantiles.get(p)?.get(dof);
  if (known !== undefined) return known;
  let low = 0;
  let high = dof + 10;
  while (chiSquareProbability(high, dof) < p) high *= 2;
  for (let i = 0; i < 200 && high - low > 1e-15 * high; i++) {
    const middle = (low + high) / 2;
    if (chiSquareProbability(middle, dof) < p) low = middle;
    else high = middle;
  }
  const value = (low + high) / 2;
  const ofP = quantiles.get(p) ?? new Map<number, number>();
  quantiles.set(p, ofP.set(dof, value));
  return value;
}

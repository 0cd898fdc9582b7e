/**
 * How many whole units a number holds, rounded to the nearest, exact ties away from zero, judged on the exact value of
 * the double: a product in floating point can make a tie where there is none, and then the figure on a stake is the
 * wrong one.
 *
 * @param value a number; one that is not finite is given back
 * @param numerator, denominator units in one of `value`, as a ratio of whole numbers: 192 and 1 for sixteenths of an
 *   inch in feet
 * @returns the count, never -0; exact while it is below 2^53
 */
export function exactCount(value: number, numerator: number, denominator = 1): number {
  if (value === 0) return 0;
  if (!Number.isFinite(value)) return value;
  const [mantissa, exponent] = binaryParts(Math.abs(value));
  let over = mantissa * BigInt(numerator);
  let under = BigInt(denominator);
  if (exponent >= 0) over <<= BigInt(exponent);
  else under <<= BigInt(-exponent);
  const count = Number((2n * over + under) / (2n * under));
  return value < 0 && count > 0 ? -count : count;
}

/** A positive double as a whole number times a power of two. */
function binaryParts(value: number): [bigint, number] {
  const view = new DataView(new ArrayBuffer(8));
  view.setFloat64(0, value);
  const bits = view.getBigUint64(0);
  const fraction = bits & 0xfffffffffffffn;
  const exponent = Number((bits >> 52n) & 0x7ffn);
  return exponent === 0 ? [fraction, -1074] : [fraction | 0x10000000000000n, exponent - 1075];
}

/** Round figures between two ends, about as many as are wanted: 1, 2 or 5 times a power of ten apart. */
export function niceTicks(low: number, high: number, wanted = 4): number[] {
  if (!(high > low)) return [low];
  const rough = (high - low) / wanted;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => each >= rough * (1 - 1e-9))!;
  const first = Math.ceil(low / step - 1e-9);
  const count = Math.floor(high / step + 1e-9) - first + 1;
  // A multiple of the step is written as one: 0.30000000000000004 is no round figure.
  const decimals = Math.max(0, -Math.floor(Math.log10(step)));
  return Array.from({ length: Math.max(count, 0) }, (_, i) => Number(((first + i) * step).toFixed(decimals)) || 0);
}

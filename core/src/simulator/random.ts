/** Seeded random numbers. The state is a number that the caller keeps, so that a run can be repeated to the digit. */
export interface Draw {
  readonly value: number;
  readonly state: number;
}

/** Uniform in [0, 1). Mulberry32, a public-domain generator by T. Ettinger. */
export function uniform(state: number): Draw {
  const next = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(next ^ (next >>> 15), 1 | next);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return { value: ((t ^ (t >>> 14)) >>> 0) / 4294967296, state: next };
}

/**
 * Standard normal, by the polar form of Box and Muller ("A Note on the Generation of Random Normal Deviates", 1958).
 */
export function normal(state: number): Draw {
  const a = uniform(state);
  const b = uniform(a.state);
  return { value: Math.sqrt(-2 * Math.log(1 - a.value)) * Math.cos(2 * Math.PI * b.value), state: b.state };
}

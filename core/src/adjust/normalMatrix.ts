/**
 * Small symmetric systems (up to 4 unknowns) held row by row in flat arrays: the normal equations of a station.
 * A Cholesky decomposition of the matrix scaled to unit diagonal, which also shows how near to singular it is.
 */
export interface Solved {
  /** Inverse, flat, `size` × `size`. */
  readonly inverse: Float64Array;
  /** Reciprocal condition number of the scaled matrix, in the 1-norm. */
  readonly reciprocalCondition: number;
}

/**
 * Room to work in for up to four unknowns, kept so that an inversion makes no garbage; nothing is kept in it between
 * calls.
 */
const ROOM = {
  scale: new Float64Array(4),
  scaled: new Float64Array(16),
  lower: new Float64Array(16),
  column: new Float64Array(4),
};

/** Inverts a positive definite matrix; null when it is not (numerically) positive definite. */
export function invertNormal(matrix: Float64Array, size: number): Solved | null {
  const { scale, scaled } = ROOM;
  for (let i = 0; i < size; i++) {
    const diagonal = matrix[i * size + i]!;
    if (!(diagonal > 0)) return null;
    scale[i] = 1 / Math.sqrt(diagonal);
  }
  for (let i = 0; i < size; i++)
    for (let j = 0; j < size; j++) scaled[i * size + j] = matrix[i * size + j]! * scale[i]! * scale[j]!;
  const inverse = invertCholesky(scaled, size);
  if (!inverse) return null;
  const reciprocalCondition = 1 / (oneNorm(scaled, size) * oneNorm(inverse, size));
  for (let i = 0; i < size; i++) for (let j = 0; j < size; j++) inverse[i * size + j]! *= scale[i]! * scale[j]!;
  return { inverse, reciprocalCondition };
}

function oneNorm(matrix: Float64Array, size: number): number {
  let largest = 0;
  for (let j = 0; j < size; j++) {
    let sum = 0;
    for (let i = 0; i < size; i++) sum += Math.abs(matrix[i * size + j]!);
    largest = Math.max(largest, sum);
  }
  return largest;
}

function invertCholesky(matrix: Float64Array, size: number): Float64Array | null {
  const { lower, column } = ROOM;
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * size + j]!;
      for (let k = 0; k < j; k++) sum -= lower[i * size + k]! * lower[j * size + k]!;
      if (i === j) {
        if (!(sum > 0)) return null;
        lower[i * size + i] = Math.sqrt(sum);
      } else lower[i * size + j] = sum / lower[j * size + j]!;
    }
  }
  const inverse = new Float64Array(size * size);
  for (let c = 0; c < size; c++) {
    for (let i = 0; i < size; i++) {
      let sum = i === c ? 1 : 0;
      for (let k = 0; k < i; k++) sum -= lower[i * size + k]! * column[k]!;
      column[i] = sum / lower[i * size + i]!;
    }
    for (let i = size - 1; i >= 0; i--) {
      let sum = column[i]!;
      for (let k = i + 1; k < size; k++) sum -= lower[k * size + i]! * column[k]!;
      column[i] = sum / lower[i * size + i]!;
      inverse[i * size + c] = column[i]!;
    }
  }
  return inverse;
}

/**
 * Solves matrix · step = right in place of `step`; false when the matrix is not (numerically) positive definite.
 * `lower` and `scale` are room to work in, so that an iteration makes no garbage.
 */
export function solveNormal(
  matrix: Float64Array,
  right: Float64Array,
  size: number,
  step: Float64Array,
  lower: Float64Array,
  scale: Float64Array,
): boolean {
  for (let i = 0; i < size; i++) {
    const diagonal = matrix[i * size + i]!;
    if (!(diagonal > 0)) return false;
    scale[i] = 1 / Math.sqrt(diagonal);
  }
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i * size + j]! * scale[i]! * scale[j]!;
      for (let k = 0; k < j; k++) sum -= lower[i * size + k]! * lower[j * size + k]!;
      if (i !== j) lower[i * size + j] = sum / lower[j * size + j]!;
      else if (sum > 0) lower[i * size + i] = Math.sqrt(sum);
      else return false;
    }
  }
  for (let i = 0; i < size; i++) {
    let sum = right[i]! * scale[i]!;
    for (let k = 0; k < i; k++) sum -= lower[i * size + k]! * step[k]!;
    step[i] = sum / lower[i * size + i]!;
  }
  for (let i = size - 1; i >= 0; i--) {
    let sum = step[i]!;
    for (let k = i + 1; k < size; k++) sum -= lower[k * size + i]! * step[k]!;
    step[i] = sum / lower[i * size + i]!;
  }
  for (let i = 0; i < size; i++) step[i]! *= scale[i]!;
  return true;
}

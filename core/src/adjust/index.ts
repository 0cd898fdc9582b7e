/** Least squares: adjustments, their tests, ellipses. */
export { fitSimilarity, transformed, type PointPair, type Similarity, type SimilarityFit } from './similarity.ts';
export { CRITICAL_T, CRITICAL_W, NORMAL_95_FACTOR } from './criticalValues.ts';
export { ELLIPSE_95_FACTOR, type Ellipse } from './ellipse.ts';
export { fitsByChance, type Fit } from './globalTest.ts';

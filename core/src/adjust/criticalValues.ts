/** Critical values of the tests on single points, at a level of 0.001. */

/** Chi-square, two degrees of freedom: -2 ln 0.001 = 13.816. */
export const CRITICAL_T = -2 * Math.log(0.001);
/** Standard normal, two-sided: 3.2905. */
export const CRITICAL_W = 3.290526731491926;
/**
 * Non-centrality of Baarda's detectable bias for a level of 0.001 and a power of 0.80.
 * Source: Baarda, "A Testing Procedure for Use in Geodetic Networks" (1968).
 */
export const DETECTABLE_NONCENTRALITY = 4.13;
/** The same to more digits, squared: chi-square with one degree of freedom. */
export const DETECTABLE_NONCENTRALITY_ONE = 17.0746;
/** And with two degrees of freedom: a shift in plan. A test computes both from the non-central distribution. */
export const DETECTABLE_NONCENTRALITY_PLAN = 19.6624;
/** 95 % of a normal distribution lie within this many standard deviations. */
export const NORMAL_95_FACTOR = 1.96;

/** Messages of missingClass. */
export const missingClass = {
  andMore: ' and {askedBy} more',
  theClassIsAskedForByAnd:
    '{named}{more} uses the class “{id}”, which the site doesn’t have. Until it does, the tightest tolerances of the site apply.',
} as const;

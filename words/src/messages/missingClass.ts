/** Messages of missingClass. */
export const missingClass = {
  andMore: ' and {askedBy} more',
  theClassIsAskedForByAnd:
    'The class “{id}” is asked for by {named}{more}, and the site has none of that name. Until it has, the finest figures of the site are held to.',
} as const;

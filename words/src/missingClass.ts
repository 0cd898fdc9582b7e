const MOST_NAMED = 6;

/** A tolerance class that is asked for and is not there; what is judged by it meanwhile. */
export function missingClassWords({ id, askedBy }: { readonly id: string; readonly askedBy: readonly string[] }): string {
  const named = askedBy.slice(0, MOST_NAMED).join(', ');
  const more = askedBy.length > MOST_NAMED ? ` and ${askedBy.length - MOST_NAMED} more` : '';
  return `The class “${id}” is asked for by ${named}${more}, and the site has none of that name. Until it has, the finest figures of the site are held to.`;
}

/**
 * A set with one of its members put in or taken out, the other way round when nothing is said; the set itself stays as
 * it is.
 */
export function toggled<T>(set: ReadonlySet<T>, member: T, on = !set.has(member)): ReadonlySet<T> {
  const next = new Set(set);
  if (on) next.add(member);
  else next.delete(member);
  return next;
}

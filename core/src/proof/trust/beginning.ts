/**
 * Whether a list begins with the very elements of another: asked of thousands at every fact, so that it is a plain
 * loop.
 */
export function isBeginning<T>(known: readonly T[], all: readonly T[]): boolean {
  if (known === all) return true;
  if (known.length > all.length) return false;
  for (let i = 0; i < known.length; i++) if (known[i] !== all[i]) return false;
  return true;
}

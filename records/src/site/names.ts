/**
 * Names that a hurried eye takes for each other: apart only in case, blanks and signs, or in figures that look like
 * letters.
 */
const LOOKS: readonly (readonly [RegExp, string])[] = [
  [/[^\p{L}\p{N}]/gu, ''],
  [/0/g, 'o'],
  [/[1l|]/g, 'i'],
  [/5/g, 's'],
  [/8/g, 'b'],
];

const looks = (name: string): string =>
  LOOKS.reduce((text, [shape, as]) => text.replace(shape, as), name.toLowerCase());

/**
 * The first of the taken names that looks like `name`; null when none does. Two that differ in a figure only are told
 * apart.
 */
export function alikeName(name: string, taken: readonly string[]): string | null {
  if (name.trim() === '') return null;
  const wanted = looks(name);
  // K1 and KI look alike, K1 and K7 do not, and neither do K5 and K8: signs are compared as they look.
  return taken.find((other) => looks(other) === wanted) ?? null;
}

/** A name like `name` that none of the others looks like. */
export function freeName(name: string, taken: readonly string[]): string {
  for (let i = 2; ; i++) {
    const wanted = `${name.slice(0, 76)}-${i}`;
    if (alikeName(wanted, taken) === null) return wanted;
  }
}

/** Names of a list that look like one before them, with that one: one pass, however long the list. */
export function alikePairs(names: readonly string[]): (readonly [number, string])[] {
  const seen = new Map<string, string>();
  return names.flatMap((name, i) => {
    const look = looks(name);
    const other = seen.get(look);
    if (other === undefined) seen.set(look, name);
    return other === undefined ? [] : [[i, other] as const];
  });
}

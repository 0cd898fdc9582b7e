/**
 * A code that is likely another one that is in use already: the same word is entered three ways in one morning
 * otherwise.
 */

const plain = (code: string): string => code.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Letters that have to be put in, taken out or changed; stops counting beyond `most`. */
function edits(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next.push(Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1)));
    row = next;
  }
  return row[b.length]!;
}

/** RD for road, KB for kerb: its first letter and some of the others, in their order. */
function isShortFor(short: string, long: string): boolean {
  if (short.length < 2 || short.length >= long.length || short[0] !== long[0]) return false;
  let at = 0;
  for (const letter of short) {
    at = long.indexOf(letter, at) + 1;
    if (at === 0) return false;
  }
  return true;
}

/**
 * The code in use that `typed` may have been meant for; null where it is one of them, or like none. The first that fits
 * is the one.
 */
export function nearCode(typed: string, used: readonly string[]): string | null {
  const code = typed.trim();
  if (code === '' || used.includes(code)) return null;
  const own = plain(code);
  if (own === '') return null;
  const others = used.map((each) => [each, plain(each)] as const).filter(([, other]) => other !== '');
  const found =
    others.find(([, other]) => other === own) ??
    others.find(([, other]) => isShortFor(own, other) || isShortFor(other, own)) ??
    others.find(([, other]) => Math.min(own.length, other.length) > 3 && edits(own, other, 1) <= 1);
  return found?.[0] ?? null;
}

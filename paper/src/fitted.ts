import type { Measure, Weight } from './scene.ts';

/** Cut at the end where it would run out of its room, and said to be cut. */
export function fitted(
  words: string,
  width: number,
  size: number,
  measure: Measure,
  weight: Weight = 'regular',
): string {
  if (measure(words, size, weight) <= width) return words;
  let letters = [...words];
  while (letters.length > 1 && measure(`${letters.join('')}…`, size, weight) > width)
    letters = letters.slice(0, Math.max(1, Math.floor(letters.length * 0.95) - 1));
  return `${letters.join('').trimEnd()}…`;
}

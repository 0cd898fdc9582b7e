import { msg } from './message.ts';
/** "A, B and C". */
export function listOf(names: readonly string[]): string {
  if (names.length < 2) return names[0] ?? '';
  return msg('lists.and', { names: names.slice(0, -1).join(', '), names2: names.at(-1) });
}

/** Corners as lines of text, one a line: name and two coordinates in the site's order and unit. */
import { fail, ok, type Corner, type Result } from '@idle-marker/core';
import type { Units } from '../../site/useUnits.ts';

export const writeCorners = (corners: readonly Corner[], units: Units): string =>
  corners.map((corner) => [corner.name, ...units.axes.map((axis) => units.edit(corner[axis]))].join(', ')).join('\n');

/** Reads the lines; the sentence names the first line that is not a corner. Lines of a grid may share their ends. */
export function readCorners(text: string, units: Units, shared: boolean): Result<Corner[], string> {
  const corners: Corner[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const parts = line
      .split(/[,;\t]|\s{2,}/)
      .map((part) => part.trim())
      .filter((part) => part !== '');
    const places = parts.slice(1).map((part) => units.readLength(part));
    if (parts.length !== 3 || places.some((place) => place === null))
      return fail(`Line ${i + 1}, “${line.trim().slice(0, 40)}”, is not a name and two coordinates.`);
    const [first, second] = places as [number, number];
    if (!shared && corners.some((corner) => corner.name === parts[0])) return fail(`Line ${i + 1}: ${parts[0]} is named twice.`);
    corners.push(units.axes[0] === 'e' ? { name: parts[0]!, e: first, n: second } : { name: parts[0]!, e: second, n: first });
  }
  return corners.length === 0 ? fail('No corners yet.') : ok(corners);
}

/** Corners as lines of text, one a line: name, two coordinates in the site's order and unit, and where wanted height and arc. */
import { fail, ok, planDistance, type Metres, type PathCorner, type Result } from '@idle-marker/core';
import { afterSentence, withBothReadings } from '../../site/doubtfulLength.ts';
import type { Units } from '../../site/useUnits.ts';

/** Radius of the arc that a side with a bulge is. */
function radiusOf(chord: Metres, bulge: number): Metres {
  const delta = 4 * Math.atan(Math.abs(bulge));
  return chord / 2 / Math.sin(delta / 2);
}

function arcText(corner: PathCorner, next: PathCorner | undefined, units: Units): string[] {
  if (!corner.bulge || !next) return [];
  const radius = radiusOf(planDistance(corner, next), corner.bulge);
  return [`arc ${corner.bulge > 0 ? 'left' : 'right'} ${units.edit(radius)}${Math.abs(corner.bulge) > 1 ? ' long' : ''}`];
}

export const writeCorners = (corners: readonly PathCorner[], units: Units): string =>
  corners
    .map((corner, i) =>
      [
        corner.name,
        ...units.axes.map((axis) => units.edit(corner[axis])),
        ...(corner.z === undefined || corner.z === null ? [] : [units.edit(corner.z)]),
        ...arcText(corner, corners[(i + 1) % corners.length], units),
      ].join(', '),
    )
    .join('\n');

interface Arc {
  readonly line: number;
  readonly left: boolean;
  readonly radius: Metres;
  readonly long: boolean;
}
const ARC = /^arc (left|right) (\S+?)( long)?$/i;

/** Where semicolons or tabs part the line, a comma is a decimal comma. */
const partsOf = (line: string): string[] =>
  line
    .split(/[;\t]/.test(line) ? /[;\t]/ : /,|\s{2,}/)
    .map((part) => part.trim())
    .filter((part) => part !== '');

/**
 * Reads the lines; the sentence names the first line that is not a corner.
 *
 * @param shared the same name may stand twice, as ends of grid lines do
 * @param withMore heights and arcs are understood
 */
export const readCorners = (text: string, units: Units, shared: boolean, withMore = false): Result<PathCorner[], string> =>
  withBothReadings(units, (watched) => cornersIn(text, watched, shared, withMore), afterSentence);

function cornersIn(text: string, units: Units, shared: boolean, withMore: boolean): Result<PathCorner[], string> {
  const corners: PathCorner[] = [];
  const arcs: Arc[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const [name = '', ...rest] = partsOf(line);
    const said = `Line ${i + 1}, “${line.trim().slice(0, 40)}”,`;
    const arc = withMore ? rest.map((part) => ARC.exec(part)).find((found) => found !== null) : undefined;
    const figures = rest.filter((part) => part !== arc?.[0]).map((part) => units.readLength(part));
    if (figures.some((figure) => figure === null) || figures.length < 2 || figures.length > (withMore ? 3 : 2))
      return fail(`${said} is not a name and two coordinates${withMore ? ', with a height and an arc where wanted' : ''}.`);
    const [first, second, z] = figures as number[];
    if (!shared && corners.some((corner) => corner.name === name)) return fail(`Line ${i + 1}: ${name} is named twice.`);
    if (arc) {
      const radius = units.readLength(arc[2]!);
      if (radius === null || radius <= 0) return fail(`${said} has an arc without a radius.`);
      arcs.push({ line: corners.length, left: arc[1]!.toLowerCase() === 'left', radius, long: arc[3] !== undefined });
    }
    const [e, n] = units.axes[0] === 'e' ? [first!, second!] : [second!, first!];
    corners.push({ name, e, n, ...(z === undefined ? {} : { z }) });
  }
  if (corners.length === 0) return fail('No corners yet.');
  for (const arc of arcs) {
    const [corner, next] = [corners[arc.line]!, corners[(arc.line + 1) % corners.length]!];
    const chord = planDistance(corner, next);
    if (corners.length < 2 || chord > 2 * arc.radius + 1e-6)
      return fail(`The arc from ${corner.name} to ${next.name} has a radius of ${units.edit(arc.radius)}, and its ends lie farther apart than twice that.`);
    const half = Math.asin(Math.min(1, chord / (2 * arc.radius)));
    const delta = arc.long ? 2 * Math.PI - 2 * half : 2 * half;
    corners[arc.line] = { ...corner, bulge: (arc.left ? 1 : -1) * Math.tan(delta / 4) };
  }
  return ok(corners);
}

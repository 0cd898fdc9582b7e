/**
 * Whether a drawing lies on its site: one in another unit, or with its axes exchanged, lies far off, and where tells
 * which.
 */
import { METRES_PER_UNIT, type LengthUnit, type Metres } from '../quantity/unit.ts';
import type { PlanPoint } from './point.ts';

/** West, south, east, north; metres. */
export type Extent = readonly [Metres, Metres, Metres, Metres];

export type FarOff =
  /** Near the site if its figures were `unit`, and not what they were taken for. */
  | { readonly code: 'OTHER_UNIT'; readonly unit: string }
  | { readonly code: 'AXES_EXCHANGED' }
  | { readonly code: 'FAR'; readonly distance: Metres };

/** What the figures may be instead, with the metres of one. */
const UNITS = [
  ['metres', 1],
  ['feet', 0.3048],
  ['US survey feet', 1200 / 3937],
  ['inches', 0.0254],
  ['centimetres', 0.01],
  ['millimetres', 0.001],
] as const;

/** Sites are worked on within this many of their own sizes. */
const NEAR = 2;
const FAR = 10;
/** A site with one mark has a size too. */
const LEAST_SIZE: Metres = 100;

const middleOf = ([w, s, e, n]: Extent): PlanPoint => ({ e: (w + e) / 2, n: (s + n) / 2 });

/** Of several at once; null of none. */
export function extentOf(places: readonly PlanPoint[]): Extent | null {
  if (places.length === 0) return null;
  let [west, south, east, north] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { e, n } of places) {
    [west, east] = [Math.min(west, e), Math.max(east, e)];
    [south, north] = [Math.min(south, n), Math.max(north, n)];
  }
  return [west, south, east, north];
}

/**
 * What to ask about a drawing that lies far from where it should; null where it lies there.
 * @param site extent of the control
 * @param metresPerUnit of the figures as they were taken
 */
export function farOff(site: Extent, drawn: Extent, metresPerUnit: number): FarOff | null {
  const size = Math.max(site[2] - site[0], site[3] - site[1], drawn[2] - drawn[0], drawn[3] - drawn[1], LEAST_SIZE);
  const [here, there] = [middleOf(site), middleOf(drawn)];
  const off = ({ e, n }: PlanPoint): Metres => Math.hypot(e - here.e, n - here.n);
  if (off(there) <= FAR * size) return null;
  const siteSize = Math.max(site[2] - site[0], site[3] - site[1], LEAST_SIZE);
  const figures = { e: there.e / metresPerUnit, n: there.n / metresPerUnit };
  const other = UNITS.map(([unit, metres]) => ({
    unit,
    off: off({ e: figures.e * metres, n: figures.n * metres }),
  })).sort((a, b) => a.off - b.off)[0]!;
  if (other.off <= NEAR * siteSize) return { code: 'OTHER_UNIT', unit: other.unit };
  if (off({ e: there.n, n: there.e }) <= NEAR * siteSize) return { code: 'AXES_EXCHANGED' };
  return { code: 'FAR', distance: off(there) };
}

/** Two places nearer than this are not worth a question. */
const TOLD: Metres = 0.001;

/**
 * How far what was drawn in one kind of feet would move if they were the site's, which are of the other kind: they
 * differ by two millionths, which is a hand's breadth at coordinates of a hundred thousand. Null where both are the same,
 * or no feet, or where nobody would notice.
 *
 * @param metresPerUnit of the figures as they were taken
 */
export function feetApart(siteUnit: LengthUnit, drawn: Extent, metresPerUnit: number): Metres | null {
  const own = METRES_PER_UNIT[siteUnit];
  const ratio = own / metresPerUnit;
  const isOtherFoot = siteUnit !== 'metre' && ratio !== 1 && Math.abs(ratio - 1) < 1e-5;
  const apart = Math.max(...drawn.map(Math.abs)) * Math.abs(ratio - 1);
  return isOtherFoot && apart >= TOLD ? apart : null;
}

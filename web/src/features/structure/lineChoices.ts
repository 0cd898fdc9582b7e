/** Lines and arcs that something can be read against: of grids, of packages, and between two points. */
import {
  azimuth,
  drawnSide,
  measuredAgainstSide,
  pathOf,
  planDistance,
  type Metres,
  type PlanPoint,
  type Radians,
  type ReferenceSide,
} from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { gridOf, siteLines, type SiteState } from '@idle-marker/records';

export interface ChosenLine {
  readonly id: string;
  /** As it is said: "A", or "Hall A–B". */
  readonly name: string;
  readonly side: ReferenceSide;
  readonly length: Metres;
  /** By which it is drawn; more than two when it is an arc. */
  readonly places: readonly PlanPoint[];
  /** Where it starts. */
  readonly azimuth: Radians;
  /** Lines that cross it in the same grid; none for others. */
  readonly crossed: readonly string[];
}

const SHORTEST: Metres = 0.01;

function chosen(id: string, name: string, side: ReferenceSide, crossed: readonly string[] = []): ChosenLine {
  const { length, places } = drawnSide(side);
  return { id, name, side, length, places, azimuth: azimuth(places[0]!, places[1]!), crossed };
}

const straight = (from: PlanPoint, to: PlanPoint): ReferenceSide => ({
  from: { e: from.e, n: from.n, z: null },
  to: { e: to.e, n: to.n, z: null },
  bulge: 0,
});

export function lineChoices(state: SiteState): ChosenLine[] {
  const grids = state.grids.flatMap(({ body }) => {
    const grid = gridOf(body);
    if (!grid.ok) return [];
    const { letters, numbers } = grid.value;
    const idOf = (label: string) => `grid ${body.grid} ${label}`;
    const of = (lines: typeof letters, others: typeof letters) =>
      lines
        .filter(({ from, to }) => planDistance(from, to) > SHORTEST)
        .map((line) =>
          chosen(
            idOf(line.label),
            state.grids.length > 1 ? `${body.name} ${line.label}` : line.label,
            straight(line.from, line.to),
            others.map(({ label }) => idOf(label)),
          ),
        );
    return [...of(letters, numbers), ...of(numbers, letters)];
  });
  const sides = siteLines(state)
    .filter(({ from, to }) => planDistance(from, to) > SHORTEST)
    .map(({ name, from, to }) => chosen(`side ${name}`, name, straight(from, to)));
  return [...grids, ...sides, ...state.packages.flatMap(pathSides)];
}

/** Sides and arcs of lines that are marked along, with their own heights. */
const pathSides = ({ body, id }: Fact<'package'>): ChosenLine[] =>
  body.items.flatMap((item) => {
    const path = item.rule === 'along' ? pathOf(item.corners, item.along?.closed ?? false) : null;
    if (!path?.ok) return [];
    return path.value.sides.map(({ from, to }) => {
      const at = ({ e, n, z }: typeof from) => ({ e, n, z: z ?? item.designZ });
      return chosen(`path ${id} ${item.name} ${from.name}`, `${item.name} ${from.name}–${to.name}`, {
        from: at(from),
        to: at(to),
        bulge: from.bulge ?? 0,
      });
    });
  });

/** The line between two points of the site, or an arc when it is bent. */
export const lineBetween = (
  from: PlanPoint & { readonly name: string },
  to: PlanPoint & { readonly name: string },
  bulge = 0,
): ChosenLine => chosen('points', `${from.name}–${to.name}`, { ...straight(from, to), bulge });

/** The line that was touched on the plan; null when none runs within `reach` of it. */
export function lineAt(lines: readonly ChosenLine[], point: PlanPoint, reach: Metres): ChosenLine | null {
  const away = ({ side, length }: ChosenLine): Metres => {
    const found = measuredAgainstSide(side, { ...point, z: null });
    if (!found) return Infinity;
    const beyond =
      found.position === 'before' ? -found.chainage : found.position === 'after' ? found.chainage - length : 0;
    return Math.hypot(found.offset, beyond);
  };
  const [nearest] = lines.map((line) => ({ line, by: away(line) })).sort((a, b) => a.by - b.by);
  return nearest && nearest.by <= reach ? nearest.line : null;
}

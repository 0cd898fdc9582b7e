/** Lines that something can be read against: of grids, of outlines, and between two points. */
import { azimuth, planDistance, type Metres, type PlanPoint, type Radians } from '@idle-marker/core';
import { gridOf, siteLines, type SiteState } from '@idle-marker/records';

export interface ChosenLine {
  readonly id: string;
  /** As it is said: "A", or "Hall A–B". */
  readonly name: string;
  readonly from: PlanPoint;
  readonly to: PlanPoint;
  readonly azimuth: Radians;
  /** Lines that cross it in the same grid; none for others. */
  readonly crossed: readonly string[];
}

const SHORTEST: Metres = 0.01;

export function lineChoices(state: SiteState): ChosenLine[] {
  const grids = state.grids.flatMap(({ body }) => {
    const grid = gridOf(body);
    if (!grid.ok) return [];
    const { letters, numbers } = grid.value;
    const idOf = (label: string) => `grid ${body.grid} ${label}`;
    const of = (lines: typeof letters, others: typeof letters) =>
      lines
        .filter(({ from, to }) => planDistance(from, to) > SHORTEST)
        .map((line): ChosenLine => ({
          id: idOf(line.label),
          name: state.grids.length > 1 ? `${body.name} ${line.label}` : line.label,
          from: line.from,
          to: line.to,
          azimuth: line.azimuth,
          crossed: others.map(({ label }) => idOf(label)),
        }));
    return [...of(letters, numbers), ...of(numbers, letters)];
  });
  const sides = siteLines(state)
    .filter(({ from, to }) => planDistance(from, to) > SHORTEST)
    .map(({ name, from, to }): ChosenLine => ({ id: `side ${name}`, name, from, to, azimuth: azimuth(from, to), crossed: [] }));
  return [...grids, ...sides];
}

/** The line between two points of the site. */
export const lineBetween = (from: PlanPoint & { readonly name: string }, to: PlanPoint & { readonly name: string }): ChosenLine => ({
  id: 'points',
  name: `${from.name}–${to.name}`,
  from,
  to,
  azimuth: azimuth(from, to),
  crossed: [],
});

/** The line that was touched on the plan; null when none runs within `reach` of it. */
export function lineAt(lines: readonly ChosenLine[], point: PlanPoint, reach: Metres): ChosenLine | null {
  const away = ({ from, to }: ChosenLine): Metres => {
    const length = planDistance(from, to);
    const share = Math.max(0, Math.min(1, ((point.e - from.e) * (to.e - from.e) + (point.n - from.n) * (to.n - from.n)) / length ** 2));
    return planDistance(point, { e: from.e + share * (to.e - from.e), n: from.n + share * (to.n - from.n) });
  };
  const [nearest] = lines.map((line) => ({ line, by: away(line) })).sort((a, b) => a.by - b.by);
  return nearest && nearest.by <= reach ? nearest.line : null;
}

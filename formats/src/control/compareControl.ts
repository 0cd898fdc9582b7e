/** What a new control list says against itself and against the marks a site already has. */
import Flatbush from 'flatbush';
import { METRES_PER_UNIT, planDistance, type Metres, type PlanPoint } from '@idle-marker/core';
import type { ControlRow } from './controlCsv.ts';

export interface ListedMark {
  readonly name: string;
  readonly e: Metres | null;
  readonly n: Metres | null;
}

export type ListRemark =
  | { readonly code: 'DUPLICATE_NAME'; readonly row: number; readonly name: string; readonly firstRow: number }
  /** The name is on the site already: the row becomes a new revision. */
  | { readonly code: 'NEW_REVISION'; readonly row: number; readonly name: string; readonly moved: Metres | null }
  | { readonly code: 'PROBABLY_TWICE'; readonly row: number; readonly name: string; readonly other: string; readonly apart: Metres }
  | { readonly code: 'PROBABLY_SWAPPED'; readonly row: number; readonly name: string; readonly away: Metres }
  | { readonly code: 'FEET_MIXED'; readonly factor: number; readonly names: readonly string[]; readonly misfit: Metres };

/** Nearer than this, two names are probably one mark listed twice. */
export const TWIN_DISTANCE: Metres = 1;
export const FOOT_RATIO = METRES_PER_UNIT.usSurveyFoot / METRES_PER_UNIT.foot;

type Placed = ControlRow & PlanPoint;
const isPlaced = (row: ControlRow): row is Placed => row.e !== null && row.n !== null && row.issues.length === 0;

export function compareControl(rows: readonly ControlRow[], listed: readonly ListedMark[]): ListRemark[] {
  const placed = rows.filter(isPlaced);
  return [...duplicates(rows), ...revisions(rows, listed), ...twins(placed, listed), ...swapped(placed, listed), ...mixedFeet(placed, listed)];
}

/** Names are compared as people read them: without case and blanks. */
export const sameName = (name: string): string => name.toLowerCase().replace(/\s+/g, '');

function duplicates(rows: readonly ControlRow[]): ListRemark[] {
  const first = new Map<string, number>();
  const remarks: ListRemark[] = [];
  for (const { row, name } of rows) {
    const key = sameName(name);
    const firstRow = first.get(key);
    if (firstRow === undefined) first.set(key, row);
    else if (name !== '') remarks.push({ code: 'DUPLICATE_NAME', row, name, firstRow });
  }
  return remarks;
}

function revisions(rows: readonly ControlRow[], listed: readonly ListedMark[]): ListRemark[] {
  const byName = new Map(listed.map((mark) => [sameName(mark.name), mark]));
  return rows.flatMap((row): ListRemark[] => {
    const mark = byName.get(sameName(row.name));
    if (!mark) return [];
    const comparable = isPlaced(row) && mark.e !== null && mark.n !== null;
    return [{ code: 'NEW_REVISION', row: row.row, name: row.name, moved: comparable ? planDistance(row, mark as PlanPoint) : null }];
  });
}

function twins(placed: readonly Placed[], listed: readonly ListedMark[]): ListRemark[] {
  const others = [
    ...placed.map((row) => ({ name: row.name, e: row.e, n: row.n, row: row.row })),
    ...listed.filter((mark) => mark.e !== null && mark.n !== null).map((mark) => ({ name: mark.name, e: mark.e!, n: mark.n!, row: 0 })),
  ];
  if (placed.length === 0 || others.length === 0) return [];
  const index = new Flatbush(others.length);
  for (const other of others) index.add(other.e, other.n, other.e, other.n);
  index.finish();
  return placed.flatMap((row): ListRemark[] =>
    index
      .search(row.e - TWIN_DISTANCE, row.n - TWIN_DISTANCE, row.e + TWIN_DISTANCE, row.n + TWIN_DISTANCE)
      .map((i) => others[i]!)
      // Each pair of the file once, from its later row.
      .filter((other) => other.row < row.row && sameName(other.name) !== sameName(row.name) && planDistance(row, other) < TWIN_DISTANCE)
      .map((other) => ({ code: 'PROBABLY_TWICE', row: row.row, name: row.name, other: other.name, apart: planDistance(row, other) })),
  );
}

const median = (values: readonly number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** A row far from all the rest that lands among them when its two coordinates change places. */
function swapped(placed: readonly Placed[], listed: readonly ListedMark[]): ListRemark[] {
  const reference = listed.filter((mark) => mark.e !== null && mark.n !== null) as (ListedMark & PlanPoint)[];
  const cloud: readonly PlanPoint[] = reference.length >= 2 ? reference : placed;
  if (cloud.length < 2 || placed.length === 0) return [];
  const centre = { e: median(cloud.map((p) => p.e)), n: median(cloud.map((p) => p.n)) };
  const spread = Math.max(median(cloud.map((p) => planDistance(p, centre))), 50);
  return placed.flatMap((row): ListRemark[] => {
    const away = planDistance(row, centre);
    const turned = planDistance({ e: row.n, n: row.e }, centre);
    return away > 5 * spread && turned < away / 5 ? [{ code: 'PROBABLY_SWAPPED', row: row.row, name: row.name, away }] : [];
  });
}

/** Marks of the same name that agree only after the ratio of the two feet, 1.000002. */
function mixedFeet(placed: readonly Placed[], listed: readonly ListedMark[]): ListRemark[] {
  const byName = new Map(listed.filter((mark) => mark.e !== null && mark.n !== null).map((mark) => [sameName(mark.name), mark as ListedMark & PlanPoint]));
  const pairs = placed.flatMap((row) => {
    const mark = byName.get(sameName(row.name));
    return mark ? [{ row, mark }] : [];
  });
  if (pairs.length === 0) return [];
  const misfit = (factor: number) => median(pairs.map(({ row, mark }) => planDistance({ e: row.e * factor, n: row.n * factor }, mark)));
  const plain = misfit(1);
  for (const factor of [FOOT_RATIO, 1 / FOOT_RATIO]) {
    // Under 30 mm the two feet can't be told apart from ordinary differences between two surveys.
    if (plain > 0.03 && misfit(factor) < plain / 4) return [{ code: 'FEET_MIXED', factor, names: pairs.map(({ row }) => row.name), misfit: plain }];
  }
  return [];
}

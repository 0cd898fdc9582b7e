/** What a new control list says against itself and against the marks a site already has. */
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
  | {
      readonly code: 'PROBABLY_TWICE';
      readonly row: number;
      readonly name: string;
      readonly other: string;
      readonly apart: Metres;
    }
  | { readonly code: 'PROBABLY_SWAPPED'; readonly row: number; readonly name: string; readonly away: Metres }
  | {
      readonly code: 'FEET_MIXED';
      readonly factor: number;
      readonly names: readonly string[];
      readonly misfit: Metres;
    };

/** Nearer than this, two names are probably one mark listed twice. */
export const TWIN_DISTANCE: Metres = 1;
export const FOOT_RATIO = METRES_PER_UNIT.usSurveyFoot / METRES_PER_UNIT.foot;

type Placed = ControlRow & PlanPoint;
const isPlaced = (row: ControlRow): row is Placed => row.e !== null && row.n !== null && row.issues.length === 0;

export function compareControl(rows: readonly ControlRow[], listed: readonly ListedMark[]): ListRemark[] {
  const placed = rows.filter(isPlaced);
  return [
    ...duplicates(rows),
    ...revisions(rows, listed),
    ...twins(placed, listed),
    ...swapped(placed, listed),
    ...mixedFeet(placed, listed),
  ];
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
    return [
      {
        code: 'NEW_REVISION',
        row: row.row,
        name: row.name,
        moved: comparable ? planDistance(row, mark as PlanPoint) : null,
      },
    ];
  });
}

function twins(placed: readonly Placed[], listed: readonly ListedMark[]): ListRemark[] {
  const earlier = new NearPlaces();
  for (const mark of listed) if (mark.e !== null && mark.n !== null) earlier.add(mark as ListedMark & PlanPoint);
  return placed.flatMap((row): ListRemark[] => {
    const other = earlier.twinOf(row);
    earlier.add(row);
    return other
      ? [{ code: 'PROBABLY_TWICE', row: row.row, name: row.name, other: other.name, apart: planDistance(row, other) }]
      : [];
  });
}

interface NamedPlace extends PlanPoint {
  readonly name: string;
}

/**
 * Places in square cells whose diagonal is `TWIN_DISTANCE`: two in one cell are always twins, so that a list of one
 * place a thousand times costs no more than one of a thousand places.
 */
class NearPlaces {
  /** By column, then by row, then by name. */
  readonly #columns = new Map<number, Map<number, Map<string, NamedPlace>>>();
  static readonly #SIDE = TWIN_DISTANCE / Math.SQRT2;
  /** Cells beyond these are farther than a twin can be; the own one first. */
  static readonly #AROUND = [0, -1, 1, -2, 2];

  /** The first place of another name nearer than `TWIN_DISTANCE`. */
  twinOf(place: NamedPlace): NamedPlace | null {
    const name = sameName(place.name);
    const [column, row] = NearPlaces.#cellOf(place);
    for (const de of NearPlaces.#AROUND) {
      const cells = this.#columns.get(column + de);
      if (!cells) continue;
      for (const dn of NearPlaces.#AROUND)
        for (const [otherName, other] of cells.get(row + dn) ?? NONE)
          if (otherName !== name && planDistance(place, other) < TWIN_DISTANCE) return other;
    }
    return null;
  }

  add(place: NamedPlace): void {
    const [column, row] = NearPlaces.#cellOf(place);
    const cells = this.#columns.get(column) ?? new Map<number, Map<string, NamedPlace>>();
    this.#columns.set(column, cells);
    const cell = cells.get(row) ?? new Map<string, NamedPlace>();
    cells.set(row, cell);
    const name = sameName(place.name);
    if (!cell.has(name)) cell.set(name, place);
  }

  static #cellOf({ e, n }: PlanPoint): [number, number] {
    return [Math.floor(e / NearPlaces.#SIDE), Math.floor(n / NearPlaces.#SIDE)];
  }
}

const NONE: readonly (readonly [string, NamedPlace])[] = [];

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
    return away > 5 * spread && turned < away / 5
      ? [{ code: 'PROBABLY_SWAPPED', row: row.row, name: row.name, away }]
      : [];
  });
}

/** Marks of the same name that agree only after the ratio of the two feet, 1.000002. */
function mixedFeet(placed: readonly Placed[], listed: readonly ListedMark[]): ListRemark[] {
  const byName = new Map(
    listed
      .filter((mark) => mark.e !== null && mark.n !== null)
      .map((mark) => [sameName(mark.name), mark as ListedMark & PlanPoint]),
  );
  const pairs = placed.flatMap((row) => {
    const mark = byName.get(sameName(row.name));
    return mark ? [{ row, mark }] : [];
  });
  if (pairs.length === 0) return [];
  const misfit = (factor: number) =>
    median(pairs.map(({ row, mark }) => planDistance({ e: row.e * factor, n: row.n * factor }, mark)));
  const plain = misfit(1);
  for (const factor of [FOOT_RATIO, 1 / FOOT_RATIO]) {
    // Under 30 mm the two feet can't be told apart from ordinary differences between two surveys.
    if (plain > 0.03 && misfit(factor) < plain / 4)
      return [{ code: 'FEET_MIXED', factor, names: pairs.map(({ row }) => row.name), misfit: plain }];
  }
  return [];
}

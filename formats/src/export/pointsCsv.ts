/** Points as CSV with the columns that were chosen, in their order. */
import { lengthFromMetres, type LengthUnit } from '@idle-marker/core';
import { csvText, type CsvCell, type CsvHead } from '../csvText.ts';
import type { TableAbout } from './siteAbout.ts';
import { EXPORT_DECIMALS, UNIT_WORD, type SitePoint } from './sitePoint.ts';

export const POINT_COLUMNS = [
  'name',
  'e',
  'n',
  'z',
  'group',
  'code',
  'note',
  'designZ',
  'offset',
  'cutFill',
  'dEMm',
  'dNMm',
  'station',
  'standing',
  'at',
] as const;
export type PointColumn = (typeof POINT_COLUMNS)[number];

const TITLE: Readonly<Record<PointColumn, string>> = {
  name: 'Point',
  e: 'Easting',
  n: 'Northing',
  z: 'Height',
  group: 'Group',
  code: 'Code',
  note: 'Note',
  designZ: 'Design height',
  offset: 'Offset',
  cutFill: 'Hub over design',
  dEMm: 'East off mm',
  dNMm: 'North off mm',
  station: 'Station',
  standing: 'Standing',
  at: 'Time',
};
const LENGTHS: ReadonlySet<PointColumn> = new Set(['e', 'n', 'z', 'designZ', 'offset', 'cutFill']);

/** What a column is called at the head of the file, with its unit. */
export const columnTitle = (column: PointColumn, unit: LengthUnit): string =>
  LENGTHS.has(column) ? `${TITLE[column]} (${UNIT_WORD[unit]})` : TITLE[column];

/** @param about the unit, and the lines above the headings: none for a bare table */
export function pointsCsv(
  points: readonly SitePoint[],
  columns: readonly PointColumn[],
  { unit, lines }: Pick<TableAbout, 'unit' | 'lines'>,
  form: Pick<CsvHead, 'separator' | 'headings'> = {},
): string {
  const cell = (point: SitePoint, column: PointColumn): CsvCell => {
    const value = point[column];
    if (typeof value !== 'number') return value;
    return LENGTHS.has(column) ? lengthFromMetres(value, unit).toFixed(EXPORT_DECIMALS) : value.toFixed(1);
  };
  return csvText(
    columns.map((column) => columnTitle(column, unit)),
    points.map((point) => columns.map((column) => cell(point, column))),
    { ...form, comments: lines },
  );
}

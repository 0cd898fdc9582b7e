/** What is wrong with a control list, by row and column, and what to do about it. */
import type { LengthUnit } from '@idle-marker/core';
import { formatLength, formatSigned } from '@idle-marker/core';
import { landXmlFaultWords } from './landXml.ts';
import { smallUnit } from './small.ts';
import { UNIT_ABBREVIATION, UNIT_NAME } from './vocabulary.ts';

/** Structural copies of the reader's issues: this room knows no file formats. */
type FileIssue =
  | { readonly code: 'NO_ROWS' }
  | { readonly code: 'NO_HEADER'; readonly firstRow: string }
  | { readonly code: 'MISSING_COLUMN'; readonly role: string }
  | { readonly code: 'REPEATED_COLUMN'; readonly role: string; readonly columns: readonly string[] }
  | { readonly code: 'MIXED_UNITS'; readonly units: readonly LengthUnit[] }
  | { readonly code: 'TOO_MANY_ROWS'; readonly rows: number | null; readonly most: number }
  | { readonly code: 'TOO_MANY_CELLS'; readonly row: number; readonly cells: number; readonly most: number }
  | { readonly code: 'XML'; readonly fault: Parameters<typeof landXmlFaultWords>[0] }
  | { readonly code: 'OTHER_XML'; readonly root: string }
  | { readonly code: 'UNKNOWN_UNIT'; readonly text: string }
  | { readonly code: 'EMPTY_FILE' }
  | { readonly code: 'NOT_TEXT' };

export function controlFileWords(issue: FileIssue): string {
  switch (issue.code) {
    case 'NO_ROWS':
    case 'EMPTY_FILE':
      return 'The file has no marks in it: the first row names the columns, each further row is a mark.';
    case 'NOT_TEXT':
      return 'This is not a text file: save the list as CSV (UTF-8) and choose that.';
    case 'NO_HEADER':
      return `Row 1 (“${issue.firstRow}”) is no header. Put a first row that names the columns, such as name, E, N, height.`;
    case 'MISSING_COLUMN':
      return issue.role === 'name'
        ? 'No column is called name (or point, id, mark): name one.'
        : 'Columns for easting and northing are needed both (E, N), or one for the height.';
    case 'REPEATED_COLUMN':
      return `Two columns can both be the ${issue.role}: ${issue.columns.join(' and ')}. Rename one.`;
    case 'MIXED_UNITS':
      return `The header mixes ${issue.units.map((unit) => UNIT_NAME[unit]).join(' and ')}. Bring all columns to one unit.`;
    case 'XML':
      return landXmlFaultWords(issue.fault);
    case 'OTHER_XML':
      return `This XML is ${issue.root === '' ? 'empty' : `“${issue.root}”`}, not LandXML: choose a LandXML file with CgPoints, or a CSV.`;
    case 'UNKNOWN_UNIT':
      return `The linear unit “${issue.text}” is not known here: metre, foot and US survey foot are.`;
    case 'TOO_MANY_ROWS':
      return `${issue.rows === null ? 'More rows' : `${issue.rows} rows are more`} than the ${issue.most} that are taken at once: split the file.`;
    case 'TOO_MANY_CELLS':
      return `Row ${issue.row} has ${issue.cells} cells, more than the ${issue.most} of a list: choose the file that has one mark in each row.`;
  }
}

type RowIssue =
  | { readonly code: 'NO_NAME' }
  | { readonly code: 'NAME_TOO_LONG' }
  | { readonly code: 'NOT_A_NUMBER' | 'OTHER_UNIT' | 'NOT_POSITIVE'; readonly column: string; readonly text: string }
  | { readonly code: 'HALF_A_PLACE' }
  | { readonly code: 'NO_COORDINATES' }
  | { readonly code: 'UNKNOWN_WORD'; readonly column: string; readonly text: string; readonly known: readonly string[] }
  | { readonly code: 'TOO_FEW_CELLS'; readonly cells: number; readonly columns: number };

export function controlRowWords(issue: RowIssue): string {
  switch (issue.code) {
    case 'NO_NAME':
      return 'has no name';
    case 'NAME_TOO_LONG':
      return 'has a name over 80 letters';
    case 'NOT_A_NUMBER':
      return `${issue.column}: “${issue.text}” is not a number`;
    case 'OTHER_UNIT':
      return `${issue.column}: “${issue.text}” carries a unit of its own; one unit for the whole column, in the header`;
    case 'NOT_POSITIVE':
      return `${issue.column}: “${issue.text}” can’t be negative`;
    case 'HALF_A_PLACE':
      return 'has an easting or a northing alone: give both, or neither';
    case 'NO_COORDINATES':
      return 'has neither a place nor a height';
    case 'UNKNOWN_WORD':
      return `${issue.column}: “${issue.text}” is none of ${issue.known.join(', ')}`;
    case 'TOO_FEW_CELLS':
      return `has ${issue.cells} of ${issue.columns} cells: check separators and quotes`;
  }
}

type Remark =
  | { readonly code: 'DUPLICATE_NAME'; readonly name: string; readonly firstRow: number }
  | { readonly code: 'NEW_REVISION'; readonly name: string; readonly moved: number | null }
  | { readonly code: 'PROBABLY_TWICE'; readonly name: string; readonly other: string; readonly apart: number }
  | { readonly code: 'PROBABLY_SWAPPED'; readonly name: string; readonly away: number }
  | { readonly code: 'FEET_MIXED'; readonly factor: number; readonly names: readonly string[]; readonly misfit: number };

export function listRemarkWords(remark: Remark, unit: LengthUnit): string {
  const length = (metres: number, decimals = 3) => `${formatLength(metres, unit, decimals)} ${UNIT_ABBREVIATION[unit]}`;
  switch (remark.code) {
    case 'DUPLICATE_NAME':
      return `${remark.name} is in row ${remark.firstRow} already: leave one out`;
    case 'NEW_REVISION':
      return `${remark.name} is on the site: becomes a new revision${remark.moved === null ? '' : `, ${length(remark.moved)} from the one in force`}`;
    case 'PROBABLY_TWICE':
      return `only ${length(remark.apart)} from ${remark.other}: probably one mark listed twice`;
    case 'PROBABLY_SWAPPED':
      return `${length(remark.away, 0)} away from the rest, but among them with E and N exchanged`;
    case 'FEET_MIXED':
      return `${remark.names.length} known marks differ by ${length(remark.misfit)} and fit after a factor of ${remark.factor.toFixed(6)}: international and US survey feet are mixed. Choose the other foot.`;
  }
}

interface Listed {
  readonly e: number | null;
  readonly n: number | null;
  readonly z: number | null;
  readonly sdHMm: number | null;
  readonly sdZMm: number | null;
  readonly condition: string;
  readonly usePlan: boolean;
  readonly useHeight: boolean;
  readonly forProof: boolean;
}

/** What a revision changes of a mark: "secure → lost; E +10 mm". */
export function controlChangeWords(before: Listed, after: Listed, unit: LengthUnit): string {
  const small = smallUnit(unit);
  const moved = (name: string, from: number | null, to: number | null): string | null =>
    from === null || to === null || from === to ? null : `${name} ${formatSigned((to - from) * small.perMetre, small.decimals)} ${small.name}`;
  const turned = (name: string, from: boolean, to: boolean): string | null => (from === to ? null : to ? name : `not ${name}`);
  return [
    before.condition === after.condition ? null : `${before.condition} → ${after.condition}`,
    moved('E', before.e, after.e),
    moved('N', before.n, after.n),
    moved('height', before.z, after.z),
    before.sdHMm === after.sdHMm ? null : `sd in plan ${before.sdHMm ?? '–'} → ${after.sdHMm ?? '–'} mm`,
    before.sdZMm === after.sdZMm ? null : `sd in height ${before.sdZMm ?? '–'} → ${after.sdZMm ?? '–'} mm`,
    turned('used in plan', before.usePlan, after.usePlan),
    turned('used in height', before.useHeight, after.useHeight),
    turned('kept for proofs', before.forProof, after.forProof),
  ]
    .filter((each) => each !== null)
    .join('; ');
}

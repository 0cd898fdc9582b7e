/** What the columns of a list of points are called, in the many ways people call them. */
import { writtenUnit, type FileUnit } from '../list/fileUnits.ts';

export const COLUMN_ROLES = ['name', 'e', 'n', 'z', 'sdPlan', 'sdHeight', 'kind', 'condition', 'code', 'note'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

const NAMES: Readonly<Record<ColumnRole, readonly string[]>> = {
  name: [
    'name',
    'point',
    'pointname',
    'pointid',
    'pointno',
    'pointnumber',
    'pnt',
    'pt',
    'ptid',
    'ptno',
    'p',
    'id',
    'mark',
    'no',
    'nr',
    'number',
    'label',
    'control',
    'punkt',
    'punktnummer',
    'punktnr',
    'pkt',
  ],
  e: ['e', 'east', 'easting', 'eastings', 'x', 'ost', 'ostwert', 'rechtswert'],
  n: ['n', 'north', 'northing', 'northings', 'y', 'nord', 'nordwert', 'hochwert'],
  z: [
    'z',
    'h',
    'height',
    'elev',
    'elevation',
    'el',
    'rl',
    'level',
    'hoehe',
    'höhe',
    'hubheight',
    'hubelevation',
    'peglevel',
  ],
  sdPlan: ['sdplan', 'sdh', 'sdxy', 'sden', 'plansd', 'sigmaplan'],
  sdHeight: ['sdheight', 'sdelevation', 'sdlevel', 'sdz', 'sdv', 'heightsd', 'sigmaheight'],
  kind: ['kind', 'type', 'markkind', 'marktype'],
  condition: ['condition', 'state'],
  code: ['code', 'pcode', 'pointcode', 'featurecode', 'd', 'desc', 'description', 'beschreibung'],
  note: ['note', 'notes', 'remark', 'remarks', 'comment', 'comments', 'bemerkung'],
};

export interface HeaderCell {
  readonly role: ColumnRole | null;
  readonly unit: FileUnit | null;
  /** It says X or Y, whose order differs between regions. */
  readonly letter: 'x' | 'y' | null;
  /** It is the name only where nothing else is. */
  readonly isStation: boolean;
}

const wordOf = (label: string): string => label.replace(/[^a-zäöü0-9]/g, '');

/** The heading without its unit, and the unit: `Easting (US ft)`, `N [m]`, `height_ft`, `East US ft`. */
function apart(text: string): { readonly label: string; readonly unit: FileUnit | null } {
  const lower = text.trim().toLowerCase();
  const bracketed = /^(.*?)\s*[([{]\s*([^)\]}]*?)\s*[)\]}]\s*$/.exec(lower);
  if (bracketed) return { label: bracketed[1]!, unit: writtenUnit(bracketed[2]!) };
  const words = lower.split(/[_\s]+/);
  for (let from = 1; from < words.length; from++) {
    const unit = writtenUnit(words.slice(from).join(' '));
    if (unit) return { label: words.slice(0, from).join(' '), unit };
  }
  return { label: lower, unit: null };
}

/** Reads one header cell. */
export function readHeaderCell(text: string): HeaderCell {
  const { label, unit } = apart(text);
  const plain = wordOf(label);
  const role = COLUMN_ROLES.find((each) => NAMES[each].includes(plain)) ?? null;
  return { role, unit, letter: plain === 'x' || plain === 'y' ? plain : null, isStation: plain === 'station' };
}

const isFigure = (cell: string): boolean => /^[-+−]?[\d.,' ]*\d[\d.,' ]*$/.test(cell.trim());

/** Whether a first row is one of headings: a row with two figures is a point already. */
export const hasHeadings = (cells: readonly string[]): boolean => cells.filter(isFigure).length < 2;

/** Whether a header uses X and Y, whose order differs between regions. */
export const usesXY = (header: readonly string[]): boolean =>
  header.some((cell) => readHeaderCell(cell).letter !== null);

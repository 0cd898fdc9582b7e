/** What the columns of a control list are called, in the many ways people call them. */
import type { LengthUnit } from '@idle-marker/core';

export const COLUMN_ROLES = ['name', 'e', 'n', 'z', 'sdPlan', 'sdHeight', 'kind', 'condition', 'note'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

const NAMES: Readonly<Record<ColumnRole, readonly string[]>> = {
  name: [
    'name',
    'point',
    'pointname',
    'pointid',
    'pt',
    'ptid',
    'id',
    'mark',
    'no',
    'nr',
    'number',
    'label',
    'station',
    'control',
  ],
  e: ['e', 'east', 'easting', 'eastings', 'x', 'ostwert', 'rechtswert'],
  n: ['n', 'north', 'northing', 'northings', 'y', 'nordwert', 'hochwert'],
  z: ['z', 'h', 'height', 'elev', 'elevation', 'el', 'rl', 'level', 'hoehe', 'höhe'],
  sdPlan: ['sdplan', 'sdh', 'sdxy', 'sden', 'plansd', 'sigmaplan'],
  sdHeight: ['sdheight', 'sdz', 'sdv', 'heightsd', 'sigmaheight'],
  kind: ['kind', 'type', 'markkind', 'marktype'],
  condition: ['condition', 'state'],
  note: ['note', 'notes', 'remark', 'remarks', 'description', 'desc', 'comment', 'code', 'pcode'],
};

const UNIT_WORDS: readonly (readonly [RegExp, LengthUnit])[] = [
  [/^(us[- ]?ft|us ?survey ?f(oo|ee)?t|usft|ftus|sft|us ?f(oo|ee)t)$/, 'usSurveyFoot'],
  [/^(ft|foot|feet|ift|intl? ?ft|international f(oo|ee)t)$/, 'foot'],
  [/^(m|metre|metres|meter|meters)$/, 'metre'],
];

export interface HeaderCell {
  readonly role: ColumnRole | null;
  readonly unit: LengthUnit | null;
}

/** Reads one header cell: `Easting (US ft)`, `N [m]`, `height_ft`. */
export function readHeaderCell(text: string): HeaderCell {
  const lower = text.trim().toLowerCase();
  const bracketed = /^(.*?)\s*[([{]\s*(.*?)\s*[)\]}]\s*$/.exec(lower);
  const underscored = /^(.*?)[_ ](m|ft|usft|us_?ft|sft)$/.exec(lower);
  const [label, unitText] = bracketed
    ? [bracketed[1]!, bracketed[2]!]
    : underscored
      ? [underscored[1]!, underscored[2]!.replace('_', '')]
      : [lower, ''];
  const plain = label.replace(/[^a-zäöü0-9]/g, '');
  const role = COLUMN_ROLES.find((each) => NAMES[each].includes(plain)) ?? null;
  const unit = UNIT_WORDS.find(([pattern]) => pattern.test(unitText))?.[1] ?? null;
  return { role, unit };
}

/** Whether a header uses X and Y, whose order differs between regions. */
export const usesXY = (header: readonly string[]): boolean => header.some((cell) => /^[xy]\b/i.test(cell.trim()));

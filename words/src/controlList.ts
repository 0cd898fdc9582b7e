/** What is wrong with a control list, by row and column, and what to do about it. */
import type { LengthUnit } from '@idle-marker/core';
import { formatLength, formatSigned } from '@idle-marker/core';
import { msg, worded } from './message.ts';
import { landXmlFaultWords } from './landXml.ts';
import { smallUnit, smallFigure } from './small.ts';
import { unitAbbreviationWords, unitNameWords } from './vocabulary.ts';
import { conditionWords } from './vocabulary.ts';

type ColumnRole = 'name' | 'e' | 'n' | 'z' | 'sdPlan' | 'sdHeight' | 'kind' | 'condition' | 'code' | 'note';
type FileUnit = 'm' | 'mm' | 'cm' | 'dm' | 'km' | 'in' | 'ft' | 'ftUS' | 'yd';

/** What a column of a list is. */
export const columnRoleWords = worded((): Readonly<Record<ColumnRole, string>> => ({
  name: msg('controlList.roleName'),
  e: msg('common.east'),
  n: msg('common.north'),
  z: msg('common.height'),
  sdPlan: msg('controlList.roleSdPlan'),
  sdHeight: msg('controlList.roleSdHeight'),
  kind: msg('common.kind'),
  condition: msg('common.condition'),
  code: msg('controlList.roleCode'),
  note: msg('common.note'),
}));

/** Units that files are in. */
export const fileUnitWords = worded((): Readonly<Record<FileUnit, string>> => ({
  m: unitNameWords().metre,
  mm: msg('controlList.millimeters'),
  cm: msg('controlList.centimeters'),
  dm: msg('controlList.decimeters'),
  km: msg('controlList.kilometers'),
  in: msg('controlList.inches'),
  ft: unitNameWords().foot,
  ftUS: unitNameWords().usSurveyFoot,
  yd: msg('controlList.yards'),
}));

/** What was taken without being said. */
export const listWarningWords = worded(
  () =>
    ({
      DECIMAL_COMMA_ASSUMED: msg('controlList.everyCommaStandsBeforeThreeDigits'),
      UNIT_OVERRIDDEN: msg('controlList.anotherUnitThanTheFileStates'),
      ENCODING_ASSUMED: msg('controlList.theFileDoesNotSayItsEncoding'),
    }) as const,
);

/** Structural copies of the reader's issues: this room knows no file formats. */
type FileIssue =
  | { readonly code: 'NO_ROWS' }
  | { readonly code: 'NO_HEADER'; readonly firstRow: string }
  | { readonly code: 'MISSING_COLUMN'; readonly role: string }
  | { readonly code: 'REPEATED_COLUMN'; readonly role: string; readonly columns: readonly string[] }
  | { readonly code: 'MIXED_UNITS'; readonly units: readonly FileUnit[] }
  | { readonly code: 'NO_UNIT_STATED' }
  | { readonly code: 'XY_ORDER_UNKNOWN' }
  | { readonly code: 'DECIMAL_MIXED'; readonly comma: string; readonly point: string }
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
      return msg('controlList.theFileHasNoMarksInIt');
    case 'NOT_TEXT':
      return msg('controlList.thisIsNotATextFileSave');
    case 'NO_HEADER':
      return msg('controlList.row1IsNoHeaderPutA', { firstRow: issue.firstRow });
    case 'MISSING_COLUMN':
      return issue.role === 'name'
        ? msg('controlList.noColumnIsCalledNameOrPoint')
        : msg('controlList.columnsForEastingAndNorthingAreNeeded');
    case 'REPEATED_COLUMN':
      return msg('controlList.twoColumnsCanBothBeTheRename', {
        role: issue.role,
        columns: issue.columns.join(' and '),
      });
    case 'MIXED_UNITS':
      return msg('controlList.theHeaderMixesBringAllColumnsTo', {
        units: issue.units.map((unit) => fileUnitWords()[unit]).join(' and '),
      });
    case 'NO_UNIT_STATED':
      return msg('controlList.noUnitIsStated');
    case 'XY_ORDER_UNKNOWN':
      return msg('controlList.sayWhichOfXAndYIsEast');
    case 'DECIMAL_MIXED':
      return msg('controlList.bothDecimalSigns', { comma: issue.comma, point: issue.point });
    case 'XML':
      return landXmlFaultWords(issue.fault);
    case 'OTHER_XML':
      return msg('controlList.thisXmlIsNotLandxmlChooseA', { root: issue.root === '' ? 'empty' : `“${issue.root}”` });
    case 'UNKNOWN_UNIT':
      return msg('controlList.theLinearUnitIsNotKnownHere', { text: issue.text });
    case 'TOO_MANY_ROWS':
      return msg('controlList.thanTheThatAreTakenAtOnce', {
        rows: issue.rows === null ? msg('controlList.moreRows') : msg('controlList.rowsAreMore', { rows: issue.rows }),
        most: issue.most,
      });
    case 'TOO_MANY_CELLS':
      return msg('controlList.rowHasCellsMoreThanTheOf', { row: issue.row, cells: issue.cells, most: issue.most });
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
      return msg('controlList.hasNoName');
    case 'NAME_TOO_LONG':
      return msg('controlList.hasANameOver80Letters');
    case 'NOT_A_NUMBER':
      return msg('controlList.isNotANumber', { column: issue.column, text: issue.text });
    case 'OTHER_UNIT':
      return msg('controlList.carriesAUnitOfItsOwnOne', { column: issue.column, text: issue.text });
    case 'NOT_POSITIVE':
      return msg('controlList.cantBeNegative', { column: issue.column, text: issue.text });
    case 'HALF_A_PLACE':
      return msg('controlList.hasAnEastingOrANorthingAlone');
    case 'NO_COORDINATES':
      return msg('controlList.hasNeitherAPlaceNorAHeight');
    case 'UNKNOWN_WORD':
      return msg('controlList.isNoneOf', { column: issue.column, text: issue.text, known: issue.known.join(', ') });
    case 'TOO_FEW_CELLS':
      return msg('controlList.hasOfCellsCheckSeparatorsAndQuotes', { cells: issue.cells, columns: issue.columns });
  }
}

type Remark =
  | { readonly code: 'DUPLICATE_NAME'; readonly name: string; readonly firstRow: number }
  | { readonly code: 'NEW_REVISION'; readonly name: string; readonly moved: number | null }
  | { readonly code: 'PROBABLY_TWICE'; readonly name: string; readonly other: string; readonly apart: number }
  | { readonly code: 'PROBABLY_SWAPPED'; readonly name: string; readonly away: number }
  | {
      readonly code: 'FEET_MIXED';
      readonly factor: number;
      readonly names: readonly string[];
      readonly misfit: number;
    };

export function listRemarkWords(remark: Remark, unit: LengthUnit): string {
  const length = (metres: number, decimals = 3) =>
    `${formatLength(metres, unit, decimals)} ${unitAbbreviationWords()[unit]}`;
  switch (remark.code) {
    case 'DUPLICATE_NAME':
      return msg('controlList.isInRowAlreadyLeaveOneOut', { name: remark.name, firstRow: remark.firstRow });
    case 'NEW_REVISION':
      return msg('controlList.isOnTheSiteBecomesANew', {
        name: remark.name,
        moved: remark.moved === null ? '' : msg('controlList.fromTheOneInForce', { length: length(remark.moved) }),
      });
    case 'PROBABLY_TWICE':
      return msg('controlList.onlyFromProbablyOneMarkListedTwice', {
        length: length(remark.apart),
        other: remark.other,
      });
    case 'PROBABLY_SWAPPED':
      return msg('controlList.awayFromTheRestButAmongThem', { length: length(remark.away, 0) });
    case 'FEET_MIXED':
      return msg('controlList.knownMarksDifferByAndFitAfter', {
        names: remark.names.length,
        length: length(remark.misfit),
        factor: remark.factor.toFixed(6),
      });
  }
}

interface Listed {
  readonly e: number | null;
  readonly n: number | null;
  readonly z: number | null;
  readonly sdHMm: number | null;
  readonly sdZMm: number | null;
  readonly condition: keyof ReturnType<typeof conditionWords>;
  readonly usePlan: boolean;
  readonly useHeight: boolean;
  readonly forProof: boolean;
}

const sdChange = (before: number | null, after: number | null, unit: LengthUnit) => ({
  before: smallFigure(before, unit),
  after: smallFigure(after, unit),
  unit: smallUnit(unit).name,
});

/** What a revision changes of a mark: "secure → lost; E +10 mm". */
export function controlChangeWords(before: Listed, after: Listed, unit: LengthUnit): string {
  const small = smallUnit(unit);
  const moved = (name: string, from: number | null, to: number | null): string | null =>
    from === null || to === null || from === to
      ? null
      : `${name} ${formatSigned((to - from) * small.perMetre, small.decimals)} ${small.name}`;
  const turned = (name: string, from: boolean, to: boolean): string | null =>
    from === to ? null : to ? name : msg('controlList.not', { name });
  return [
    before.condition === after.condition
      ? null
      : `${conditionWords()[before.condition]} → ${conditionWords()[after.condition]}`,
    moved('E', before.e, after.e),
    moved('N', before.n, after.n),
    moved(msg('claim.elevation'), before.z, after.z),
    before.sdHMm === after.sdHMm ? null : msg('controlList.sdInPlanMm', sdChange(before.sdHMm, after.sdHMm, unit)),
    before.sdZMm === after.sdZMm ? null : msg('controlList.sdInHeightMm', sdChange(before.sdZMm, after.sdZMm, unit)),
    turned(msg('controlList.usedInPlan'), before.usePlan, after.usePlan),
    turned(msg('controlList.usedInHeight'), before.useHeight, after.useHeight),
    turned(msg('controlList.keptForProofs'), before.forProof, after.forProof),
  ]
    .filter((each) => each !== null)
    .join('; ');
}

export { textOf, type TextError } from './text.ts';
export { csvText, type CsvCell } from './csvText.ts';
export { COLUMN_ROLES, type ColumnRole } from './control/columns.ts';
export {
  MOST_CONTROL_ROWS,
  readControlCsv,
  type ControlCondition,
  type ControlCsvOptions,
  type ControlKind,
  type ControlList,
  type ControlRow,
  type FileIssue,
  type RowIssue,
} from './control/controlCsv.ts';
export { compareControl, FOOT_RATIO, sameName, TWIN_DISTANCE, type ListedMark, type ListRemark } from './control/compareControl.ts';

/** Messages of field. */
export const field = {
  degreesMinutesAndSecondsOrDecimal: 'Degrees, minutes and seconds, or decimal degrees?',
  mm: '{length} mm',
  usSurveyFeet: 'US survey feet',
  ft: '{length} ft',
  feetInches16ths: 'feet, inches, 16ths',
  inOtherUnits: 'In other units',
  theSameInOtherUnits: 'The same in other units',
  metres: 'Meters',
  feetInternational03048M: 'Feet (international, 0.3048 m)',
  usSurveyFeet12003937M: 'US survey feet (1200/3937 m)',
  cellNeeded: 'needed',
  row: 'Row',
  removeRow: 'Remove row',
  removeRowNumber: 'Remove row {row}',
  cell: '{column}, row {row}',
  undoRows: 'Undo paste or removal',
} as const;

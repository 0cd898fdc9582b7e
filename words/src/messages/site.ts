/** Messages of site. */
export const site = {
  before: 'Before',
  today: 'Today',
  inTheField: 'In the field',
  after: 'After',
  alongARoad: 'Road',
  columns: 'Columns',
  cutSheets: 'Cut sheets',
  stakes: 'Stakes',
  files: 'Files',
  pages: 'Days',
  withAReceiver: 'GNSS',
  marks: '{control} marks',
  min: '{minutes} min',
  sheets: '{sheets, plural, one {# sheet} other {# sheets}}',
  chainage: 'Chainage',
} as const;

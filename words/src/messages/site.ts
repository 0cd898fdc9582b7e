/** Messages of site. */
export const site = {
  before: 'Before',
  today: 'Today',
  inTheField: 'In the field',
  after: 'After',
  alongARoad: 'Along a road',
  columns: 'Columns',
  cutSheets: 'Cut sheets',
  stakes: 'Stakes',
  files: 'Files',
  pages: 'Pages',
  withAReceiver: 'With a receiver',
  marks: '{control} marks',
  min: '{minutes} min',
  sheets: '{sheets, plural, one {# sheet} other {# sheets}}',
  chainage: 'Chainage',
} as const;

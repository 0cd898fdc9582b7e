/** A place of the rail: its address within a site, its name, and the path of its icon. */
export interface Place {
  readonly path: string;
  readonly name: string;
  readonly icon: string;
}

/** The rail reads in the order of the day. Places that are not built yet are not shown. */
export const RAIL: readonly (readonly [string, readonly Place[]])[] = [
  [
    'Before',
    [
      { path: 'today', name: 'Today', icon: 'M4 5h16v15H4zM4 9h16M8 3v4M16 3v4' },
      { path: 'control', name: 'Control', icon: 'M5 5h14v14H5zM12 10.5v3M10.5 12h3' },
      { path: 'design', name: 'Work', icon: 'M4 19V8l8-4 8 4v11M4 19h16M9 19v-6h6v6' },
    ],
  ],
  [
    'In the field',
    [
      { path: 'station', name: 'Station', icon: 'M12 4v5M8 9h8M12 9L6 20M12 9l6 11M12 9v9' },
      { path: 'prove', name: 'Prove', icon: 'M4 12l5 6L20 6' },
      { path: 'mark', name: 'Mark', icon: 'M8 21V4l9 3.5L8 11' },
    ],
  ],
  [
    'After',
    [
      { path: 'hand-over', name: 'Hand over', icon: 'M6 3h9l4 4v14H6zM9 12h7M9 16h7' },
      { path: 'field-book', name: 'Field book', icon: 'M5 4h6l1 1 1-1h6v15h-6l-1 1-1-1H5zM12 5v15' },
    ],
  ],
];

/** What is done at the pole besides setting marks: within Mark, not on the rail. */
export const AT_THE_POLE: readonly Pick<Place, 'path' | 'name'>[] = [
  { path: 'mark/line', name: 'On a line' },
  { path: 'mark/road', name: 'Along a road' },
  { path: 'mark/columns', name: 'Columns' },
  { path: 'mark/as-built', name: 'As built' },
];

/** What is handed over, within Hand over. */
export const HAND_OVER: readonly Pick<Place, 'path' | 'name'>[] = [
  { path: 'hand-over', name: 'Cut sheets' },
  { path: 'hand-over/stakes', name: 'Stakes' },
  { path: 'hand-over/sketch', name: 'Sketch' },
  { path: 'hand-over/crew', name: 'Crew page' },
  { path: 'hand-over/tape', name: 'Tape it back' },
  { path: 'hand-over/writing', name: 'How stakes are written' },
  { path: 'hand-over/files', name: 'Files' },
];

/** What the book shows, within Field book. */
export const BOOK: readonly Pick<Place, 'path' | 'name'>[] = [
  { path: 'field-book', name: 'Entries' },
  { path: 'field-book/day', name: 'Pages' },
  { path: 'field-book/close', name: 'Close the day' },
];

/** The same with the plan from a receiver: only while the instrument is set up for heights alone. */
export const WITH_RECEIVER: Pick<Place, 'path' | 'name'> = { path: 'mark/receiver', name: 'With a receiver' };

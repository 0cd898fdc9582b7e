import { msg, worded } from '@idle-marker/words';
/** A place of the rail: its address within a site, its name, and the path of its icon. */
export interface Place {
  readonly path: string;
  readonly name: string;
  readonly icon: string;
}

/** The rail reads in the order of the day. Places that are not built yet are not shown. */
export const railPlaces = worded((): readonly (readonly [string, readonly Place[]])[] => [
  [
    msg('site.before'),
    [
      { path: 'today', name: msg('site.today'), icon: 'M4 5h16v15H4zM4 9h16M8 3v4M16 3v4' },
      { path: 'control', name: msg('common.control'), icon: 'M5 5h14v14H5zM12 10.5v3M10.5 12h3' },
      { path: 'design', name: msg('common.work'), icon: 'M4 19V8l8-4 8 4v11M4 19h16M9 19v-6h6v6' },
    ],
  ],
  [
    msg('site.inTheField'),
    [
      { path: 'station', name: msg('common.station'), icon: 'M12 4v5M8 9h8M12 9L6 20M12 9l6 11M12 9v9' },
      { path: 'prove', name: msg('common.prove'), icon: 'M4 12l5 6L20 6' },
      { path: 'mark', name: msg('common.mark'), icon: 'M8 21V4l9 3.5L8 11' },
    ],
  ],
  [
    msg('site.after'),
    [
      { path: 'hand-over', name: msg('common.handOver'), icon: 'M6 3h9l4 4v14H6zM9 12h7M9 16h7' },
      { path: 'field-book', name: msg('common.fieldBook'), icon: 'M5 4h6l1 1 1-1h6v15h-6l-1 1-1-1H5zM12 5v15' },
    ],
  ],
]);

/** What is done at the pole besides setting marks: within Mark, not on the rail. */
export const placesAtThePole = worded((): readonly Pick<Place, 'path' | 'name'>[] => [
  { path: 'mark/line', name: msg('common.onALine') },
  { path: 'mark/road', name: msg('site.alongARoad') },
  { path: 'mark/columns', name: msg('site.columns') },
  { path: 'mark/as-built', name: msg('common.asBuilt') },
]);

/** What is handed over, within Hand over. */
export const handOverPlaces = worded((): readonly Pick<Place, 'path' | 'name'>[] => [
  { path: 'hand-over', name: msg('site.cutSheets') },
  { path: 'hand-over/stakes', name: msg('site.stakes') },
  { path: 'hand-over/sketch', name: msg('common.sketch') },
  { path: 'hand-over/crew', name: msg('common.crewPage') },
  { path: 'hand-over/tape', name: msg('common.tapeItBack') },
  { path: 'hand-over/writing', name: msg('common.howStakesAreWritten') },
  { path: 'hand-over/files', name: msg('site.files') },
]);

/** What the book shows, within Field book. */
export const bookPlaces = worded((): readonly Pick<Place, 'path' | 'name'>[] => [
  { path: 'field-book', name: msg('common.entries') },
  { path: 'field-book/day', name: msg('site.pages') },
  { path: 'field-book/close', name: msg('common.closeTheDay') },
]);

/** The same with the plan from a receiver: only while the instrument is set up for heights alone. */
export const placeWithReceiver = worded((): Pick<Place, 'path' | 'name'> => ({
  path: 'mark/receiver',
  name: msg('site.withAReceiver'),
}));

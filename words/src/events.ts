/** What may happen to an instrument: on a button, in a list to choose from, and in the book. */
export const EVENT_WORDS = {
  bump: { tap: 'Bumped', said: 'Tripod or instrument was bumped', book: 'bumped' },
  plant: { tap: 'Plant passed', said: 'Heavy plant passed', book: 'heavy plant passed' },
  relevel: { tap: 'Levelled again', said: 'Levelled again', book: 'levelled again' },
  battery: { tap: 'Battery', said: 'Battery changed', book: 'battery changed' },
  person: { tap: 'Other person', said: 'Other person at the instrument', book: 'other person at the instrument' },
  pause: { tap: 'Pause', said: 'Longer pause', book: 'longer pause' },
} as const;
export type EventKind = keyof typeof EVENT_WORDS;
export const EVENT_KINDS = Object.keys(EVENT_WORDS) as EventKind[];

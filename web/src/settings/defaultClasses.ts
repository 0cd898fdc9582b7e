import type { FactBody } from '@idle-marker/contract';

/** Usual classes: a start to be edited, not a law. */
export const DEFAULT_CLASSES: FactBody<'site'>['classes'] = [
  { id: 'earthworks', name: 'Earthworks', planMm: 50, heightMm: 30, leastMarks: 2 },
  { id: 'kerb', name: 'Kerb and drainage', planMm: 10, heightMm: 6, leastMarks: 3 },
  { id: 'grid', name: 'Building grid', planMm: 6, heightMm: 5, leastMarks: 3 },
  { id: 'steel', name: 'Steel and precast', planMm: 5, heightMm: 4, leastMarks: 4 },
  { id: 'bolts', name: 'Anchor bolts', planMm: 4, heightMm: 3, leastMarks: 4 },
];

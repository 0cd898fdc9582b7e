import type { FactBody } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';

/** Usual classes: a start to be edited, not a law. */
export const defaultClasses = worded((): FactBody<'site'>['classes'] => [
  { id: 'earthworks', name: msg('settings.earthworks'), planMm: 50, heightMm: 30, leastMarks: 2 },
  { id: 'kerb', name: msg('settings.kerbAndDrainage'), planMm: 10, heightMm: 6, leastMarks: 3 },
  { id: 'grid', name: msg('settings.buildingGrid'), planMm: 6, heightMm: 5, leastMarks: 3 },
  { id: 'steel', name: msg('settings.steelAndPrecast'), planMm: 5, heightMm: 4, leastMarks: 4 },
  { id: 'bolts', name: msg('settings.anchorBolts'), planMm: 4, heightMm: 3, leastMarks: 4 },
]);

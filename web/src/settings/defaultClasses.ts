import { lengthToMetres, type LengthUnit } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';

/** Usual classes: a start to be edited, not a law. */
const metric = worded((): FactBody<'site'>['classes'] => [
  { id: 'earthworks', name: msg('settings.earthworks'), planMm: 50, heightMm: 30, leastMarks: 2 },
  { id: 'kerb', name: msg('settings.kerbAndDrainage'), planMm: 10, heightMm: 6, leastMarks: 3 },
  { id: 'grid', name: msg('settings.buildingGrid'), planMm: 6, heightMm: 5, leastMarks: 3 },
  { id: 'steel', name: msg('settings.steelAndPrecast'), planMm: 5, heightMm: 4, leastMarks: 4 },
  { id: 'bolts', name: msg('settings.anchorBolts'), planMm: 4, heightMm: 3, leastMarks: 4 },
]);

/** Round hundredths of a foot beside them: plan, height. */
const FEET: Readonly<Record<string, readonly [plan: number, height: number]>> = {
  earthworks: [0.15, 0.1],
  kerb: [0.03, 0.02],
  grid: [0.02, 0.015],
  steel: [0.015, 0.015],
  bolts: [0.01, 0.01],
};

/** Usual classes of a site, round in its unit; kept in millimetres, to a thousandth. */
export function defaultClasses(unit: LengthUnit): FactBody<'site'>['classes'] {
  if (unit === 'metre') return metric();
  const mm = (feet: number) => Math.round(lengthToMetres(feet, unit) * 1e6) / 1e3;
  return metric().map((each) => ({ ...each, planMm: mm(FEET[each.id]![0]), heightMm: mm(FEET[each.id]![1]) }));
}

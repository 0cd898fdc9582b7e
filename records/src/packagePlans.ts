/** The marks that a work package asks for, generated from its items by rule. Keys are stable, so that regenerating keeps what is set. */
import { offsetHubs, fail, ok, type OutlineError, type Radians, type Result } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';

type Package = FactBody<'package'>;

const COMPASS_LETTERS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;
const compassLetters = (direction: Radians): string => COMPASS_LETTERS[Math.round(direction / (Math.PI / 4)) % 8]!;

export type PlanError = OutlineError & { readonly item: string };

/** Offset hubs for every corner of every item. `prefix` goes before each mark's name. */
export function hubPlans(items: Package['items'], offset: number, prefix: string): Result<Package['plans'], PlanError> {
  const plans: Package['plans'] = [];
  const taken = new Set<string>();
  for (const item of items) {
    const hubs = offsetHubs(item.corners, offset);
    if (!hubs.ok) return fail({ ...hubs.error, item: item.name });
    for (const hub of hubs.value) {
      plans.push({
        key: `${item.name}/${hub.key}`,
        name: freeName(`${prefix}-${hub.corner} ${compassLetters(hub.direction)}`, taken),
        place: hub.place,
        design: hub.designPlace,
        corner: hub.corner,
        item: item.name,
        meaning: item.meaning,
        offset: hub.offset,
        offFace: [...hub.offFace],
        alsoOffFace: hub.alsoOffFace && [...hub.alsoOffFace],
        onLine: hub.onLine && [...hub.onLine],
        designZ: item.designZ,
      });
    }
  }
  return ok(plans);
}

/** Two items can have corners of one name; the later mark gets a number. */
function freeName(wanted: string, taken: Set<string>): string {
  let name = wanted;
  for (let i = 2; taken.has(name); i++) name = `${wanted} ${i}`;
  taken.add(name);
  return name;
}

/** What sentences of a site are told in: the names of its control marks, and its units. */
import type { Naming } from '@idle-marker/words';
import { msg } from '@idle-marker/words';
import type { SiteState } from './state.ts';

export function namingOf({ control, settings: { lengthUnit, angleUnit } }: SiteState): Naming {
  const names = new Map(control.map((mark) => [mark.id, mark.revision.body.name]));
  return { nameOf: (mark) => names.get(mark) ?? msg('records.anUnknownMark'), unit: lengthUnit, angleUnit };
}

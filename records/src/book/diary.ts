/** Where the time of a day went: told from what was said and measured, and when. */
import type { AnyFact } from '@idle-marker/contract';
import type { Activity } from '../facts/kind.ts';
import { kindOf, toldOf } from '../facts/registry.ts';

export type { Activity } from '../facts/kind.ts';

export interface ActivityTime {
  readonly activity: Activity;
  readonly minutes: number;
  /** Marks set, sights to control, proofs: what came of it. */
  readonly count: number;
}

/** Between two entries farther apart than this nobody worked at the instrument. */
const LONGEST_PAUSE_MS = 15 * 60_000;

/**
 * Minutes by activity: the time up to an entry was spent on what it tells of. Longer pauses were waiting: for plant,
 * for people, for whatever it was. Facts in order of time.
 */
export function activityTimes(facts: readonly AnyFact[]): ActivityTime[] {
  const order: readonly Activity[] = ['setUp', 'control', 'proof', 'marking', 'office', 'waiting'];
  const spent = new Map(order.map((activity) => [activity, { ms: 0, count: 0 }]));
  const marks = new Set<string>();
  facts.forEach((fact, i) => {
    const before = facts[i - 1];
    const kind = kindOf(fact);
    const activity = toldOf(kind.activity, fact);
    const gap = before ? Math.max(0, Date.parse(fact.at) - Date.parse(before.at)) : 0;
    spent.get(gap > LONGEST_PAUSE_MS ? 'waiting' : activity)!.ms += gap;
    // A mark that was shot again after driving is one mark.
    if (fact.type === 'mark' && fact.body.state !== 'rough') marks.add(`${fact.body.package}/${fact.body.key}`);
    // Counted: stations decided on, looks at control, proofs, sheets, and what the work stood still for.
    else if (toldOf(kind.isDone ?? false, fact)) spent.get(activity)!.count++;
  });
  spent.get('marking')!.count += marks.size;
  return order.map((activity) => ({
    activity,
    minutes: Math.round(spent.get(activity)!.ms / 60_000),
    count: spent.get(activity)!.count,
  }));
}

/** The day of an instant as people there call it, YYYY-MM-DD. */
export function dayOf(at: string, timeZone: string): string {
  let format = formats.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
    formats.set(timeZone, format);
  }
  return format.format(new Date(at));
}
const formats = new Map<string, Intl.DateTimeFormat>();

/** When something that goes out of adjustment was last tested, and whether that is long ago. */
import type { FactBody } from '@idle-marker/contract';

const MS_PER_DAY = 86_400_000;
/** A test older than this is a suspect when figures do not fit. */
const OLD_DAYS = 180;

export interface LastTest {
  /** The day; null when no test is noted. */
  readonly on: string | null;
  readonly old: boolean;
}

/** Null for what nobody tests. */
export function lastTest(item: FactBody<'equipment'>['what'] | undefined, now: Date): LastTest | null {
  if (item?.kind === 'target') return null;
  const on =
    (item?.kind === 'pole' ? item.bubbleChecked : item?.kind === 'pair' ? item.checked : item?.adjusted) ?? null;
  return { on, old: on === null || now.getTime() - Date.parse(on) > OLD_DAYS * MS_PER_DAY };
}

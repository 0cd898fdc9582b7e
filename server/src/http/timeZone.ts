import { Type } from '@idle-marker/contract';

/** Name of a time zone, as the time zone database has it. */
export const TimeZone = Type.String({ minLength: 1, maxLength: 60, pattern: '^[A-Za-z0-9_+/-]+$' });

export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en-GB', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

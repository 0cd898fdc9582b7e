import { closed, Instant, invalidAgainst, Uuid } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { ProblemError } from './problems.ts';
import { isTimeZone, TimeZone } from './timeZone.ts';

/** When a report is made, by whom, and in whose time it is printed. */
export const ReportOptionsSchema = closed({ at: Instant, by: Uuid, timeZone: TimeZone });
export interface ReportOptions {
  readonly at: string;
  readonly by: string;
  readonly timeZone: string;
}

export function reportOptions(asked: unknown): ReportOptions {
  const options = { ...(asked as Record<string, unknown>) };
  const invalid = invalidAgainst(ReportOptionsSchema, options);
  if (invalid) throw new ProblemError(invalid.code, `${invalid.message}.`, invalid.path);
  const { at, by, timeZone } = options as unknown as ReportOptions;
  if (!isTimeZone(timeZone))
    throw new ProblemError('INVALID_INPUT', msg('answers.timezoneIsNotATimeZoneThat'), '/timeZone');
  return { at, by, timeZone };
}

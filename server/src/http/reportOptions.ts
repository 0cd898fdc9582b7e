import { invalidAgainst, ReportOptionsSchema, type ReportOptions } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { ProblemError } from './problems.ts';
import { isTimeZone } from '@idle-marker/archive';

/** When a report is made, by whom, and in whose time it is printed. */
export function reportOptions(asked: unknown): ReportOptions {
  const options = { ...(asked as Record<string, unknown>) };
  const invalid = invalidAgainst(ReportOptionsSchema, options);
  if (invalid) throw new ProblemError(invalid.code, `${invalid.message}.`, invalid.path);
  const { at, by, timeZone } = options as unknown as ReportOptions;
  if (!isTimeZone(timeZone))
    throw new ProblemError('INVALID_INPUT', msg('answers.timezoneIsNotATimeZoneThat'), '/timeZone');
  return { at, by, timeZone };
}

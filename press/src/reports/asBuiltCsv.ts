import { lengthFromMetres } from '@idle-marker/core';
import { csvText, type CsvCell } from '@idle-marker/formats';
import type { AsBuiltReport } from '@idle-marker/records';
import { msg, LENGTH_DECIMALS, sheetClock, standingWords, unitAbbreviationWords } from '@idle-marker/words';

/**
 * What was measured, a row each, figures in the site's unit; differences are measured less design.
 *
 * @param lines stand above the headings and say what it is; none for a bare table
 */
export function asBuiltCsv(report: AsBuiltReport, timeZone: string, lines: readonly string[]): string {
  const unit = unitAbbreviationWords()[report.lengthUnit];
  const length = (metres: number | null): CsvCell =>
    metres === null ? null : lengthFromMetres(metres, report.lengthUnit).toFixed(LENGTH_DECIMALS + 1);
  const clock = sheetClock(timeZone, report.at);
  const inOrder = <T>(east: T, north: T): readonly T[] => (report.axes === 'NE' ? [north, east] : [east, north]);
  return csvText(
    [
      msg('common.name'),
      msg('papers.code'),
      ...inOrder(msg('papers.east', { unit }), msg('papers.north', { unit })),
      msg('papers.height', { unit }),
      msg('papers.comparedWith'),
      ...inOrder(msg('papers.eastOff', { unit }), msg('papers.northOff', { unit })),
      msg('papers.heightOff', { unit }),
      msg('papers.along', { unit }),
      msg('papers.rightOfTheLine', { unit }),
      msg('papers.withinItsClass'),
      msg('papers.shots'),
      msg('papers.spreadMm'),
      msg('common.station'),
      msg('papers.class'),
      msg('papers.provisionalBecause'),
      msg('papers.standing'),
      msg('papers.measuredOn'),
      msg('papers.measuredAt'),
      msg('papers.by'),
      msg('common.note'),
    ],
    report.rows.map((row) => [
      row.name,
      row.code,
      ...inOrder(length(row.place.e), length(row.place.n)),
      length(row.place.z),
      row.against,
      ...inOrder(length(row.dE), length(row.dN)),
      length(row.dZ),
      length(row.along),
      length(row.off),
      row.within === null ? null : row.within ? 'yes' : 'no',
      row.fact.body.sights.length,
      row.fact.body.spread.planMm,
      row.station,
      row.className,
      row.provisionalBecause,
      standingWords()[row.standing],
      clock.day(row.fact.at),
      clock.time(row.fact.at),
      row.by,
      row.fact.body.note,
    ]),
    { comments: lines },
  );
}

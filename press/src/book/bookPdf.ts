/** Pages of the field book on paper: of a set-up and of a day, with room left to draw what no record holds. */
import type { DayBook, SetupBook } from '@idle-marker/records';
import { msg, activityWords } from '@idle-marker/words';
import { finish } from '../pdf/pdfPage.ts';
import { drawSetup } from './drawSetup.ts';
import { penOf, type BookAsked } from './pen.ts';

export async function setupPdf(book: SetupBook, asked: BookAsked): Promise<Buffer> {
  const pen = penOf(msg('papers.fieldBookSetUp', { name: book.name, site: asked.site }), asked, book.from, 'lying');
  await drawSetup(pen, book);
  pen.flow.foot(`${asked.site} · ${pen.clock.day(book.from)}`, { by: asked.timeZone });
  return finish(pen.flow.page);
}

/** A set-up begins where so much is left of a page. */
const LEAST_FOR_SETUP = 150;

export async function dayPdf(book: DayBook, asked: BookAsked): Promise<Buffer> {
  const own = book.setups[0]?.from ?? book.entries[0]?.at ?? `${book.day}T12:00:00.000Z`;
  const pen = penOf(msg('papers.fieldBook', { day: book.day, site: asked.site }), asked, own, 'lying');
  const { flow, clock } = pen;
  flow.title(msg('papers.fieldBook2', { day: clock.day(own) }));
  flow.pairs([
    [msg('common.site'), book.site],
    [msg('papers.people'), book.people.join(', ')],
    [
      'Set-ups',
      book.setups
        .map((setup) =>
          msg('papers.to', { name: setup.name, time: clock.time(setup.from), time2: clock.time(setup.to) }),
        )
        .join('; ') || 'none',
    ],
    [
      msg('papers.time'),
      book.times
        .filter(({ minutes, count }) => minutes > 0 || count > 0)
        .map(({ activity, minutes, count }) =>
          msg('papers.min', { activity: activityWords()[activity], minutes, count: count > 0 ? ` (${count})` : '' }),
        )
        .join('; ') || 'none',
    ],
    [
      msg('papers.sheets'),
      book.sheets
        .map((sheet) =>
          msg('papers.cutSheetRevisionMarksTo', {
            time: clock.time(sheet.at),
            number: sheet.number,
            revision: sheet.revision,
            package: sheet.package,
            marks: sheet.marks,
            givenTo: sheet.givenTo,
          }),
        )
        .join('; ') || 'none',
    ],
    [msg('papers.controlNotUsed'), book.rejected.map(({ name, why }) => `${name}: ${why}`).join('; ') || 'none'],
    [
      msg('papers.endOfTheDay'),
      book.ended
        ? msg('papers.by3', {
            time: clock.time(book.ended.at),
            by: book.ended.by,
            unfinished: book.ended.unfinished ? msg('papers.unfinished', { unfinished: book.ended.unfinished }) : '',
            note: book.ended.note ? `. ${book.ended.note}` : '',
          })
        : msg('papers.notClosed'),
    ],
  ]);
  if (book.entries.length > 0) {
    flow.heading(msg('papers.entriesOutsideOfSetUps'));
    for (const { at, by, text } of book.entries) flow.text(`${clock.time(at)}  ${by}: ${text}`);
  }
  for (const [i, setup] of book.setups.entries()) {
    // On from where the one before ended: a page for each would be half empty.
    if (flow.left < LEAST_FOR_SETUP) flow.newPage();
    else flow.space(16);
    await drawSetup(pen, setup);
    await asked.progress(i + 1, book.setups.length);
  }
  flow.foot(`${msg('papers.fieldBook2', { day: clock.day(own) })} · ${book.site}`, { by: book.timeZone });
  return finish(flow.page);
}

/** One page for whoever comes next: where the instrument stood, which control holds, what is left, what to beware of. */
import type { ClosingItem, ShiftHandover } from '@idle-marker/records';
import { closingWords, UNIT_ABBREVIATION } from '@idle-marker/words';
import { finish, footPages, INKS, MARGIN, widthOf, write } from '../pdf/pdfPage.ts';
import { heading, line, pairs, penOf, table, type BookAsked } from './pen.ts';

const LAST = {
  used: 'used',
  usedForPlan: 'used for its place, not its height,',
  usedForHeight: 'used for its height, not its place,',
  proved: 'proved good',
  found: 'found',
} as const;

export async function shiftPdf(shift: ShiftHandover, asked: BookAsked & { readonly at: string; readonly by: string }): Promise<Buffer> {
  const pen = penOf(`For who comes next, ${shift.site}`, asked, asked.at);
  const { page, clock, length } = pen;
  const unit = UNIT_ABBREVIATION[asked.unit];
  const when = (at: string) => `${clock.day(at)}, ${clock.time(at)}`;
  write(page, 'For who comes next', MARGIN, MARGIN, 'bold', 18, INKS.ink);
  write(page, when(asked.at), MARGIN, MARGIN + 6, 'regular', 9.5, INKS.ink2, { width: widthOf(page), align: 'right' });
  const { stood, note } = shift;
  const place = stood?.place;
  let y = pairs(pen, MARGIN + 26, [
    ['Site', shift.site],
    ['From', asked.by],
    ['Said', note ? [note.text, note.unfinished && `UNFINISHED: ${note.unfinished}`, `(${note.by}, ${when(note.at)})`].filter(Boolean).join(' ') : 'nothing'],
    [
      'Instrument',
      stood
        ? [
            `${stood.name}, set up ${when(stood.at)}${stood.ground ? ` on ${stood.ground}` : ''}, ${stood.isStanding ? 'still set up' : 'closed'}`,
            place &&
              `${asked.axes === 'EN' ? `E ${length(place.e)}, N ${length(place.n)}` : `N ${length(place.n)}, E ${length(place.e)}`}, height ${length(place.z)} ${unit}`,
            stood.verdict === 'provisional' ? 'accepted as provisional' : stood.verdict === null ? 'no station was accepted' : null,
            stood.marks.length > 0 && `from ${stood.marks.join(', ')}`,
          ]
            .filter(Boolean)
            .join('; ')
        : 'has not been set up',
    ],
  ]);
  const items = (title: string, list: readonly ClosingItem[], colour: string) => {
    if (list.length === 0) return;
    y = heading(pen, y, title);
    for (const item of list) {
      const words = closingWords(item);
      y = line(pen, y, `${words.title}. ${words.text}`, colour);
    }
  };
  items('Missing', shift.closing.missing, INKS.brick);
  items('Open', shift.closing.open, INKS.ink);
  items('To do', shift.closing.tomorrow, INKS.ink);
  y = heading(pen, y, 'Control');
  y = await table(
    pen,
    y,
    [
      { title: 'Mark', width: 110, text: (row) => row.name },
      { title: 'Is', width: 90, text: (row) => row.condition },
      { title: 'Last good', width: 240, text: (row) => (row.last ? `${LAST[row.last.as]} ${when(row.last.at)}` : 'never: prove it before it is used') },
    ],
    shift.control,
  );
  y = heading(pen, y + 4, 'Work');
  await table(
    pen,
    y,
    [
      { title: 'Package', width: 200, text: (row) => row.name },
      { title: 'Marks', width: 50, right: true, text: (row) => String(row.marks) },
      { title: 'Set', width: 50, right: true, text: (row) => String(row.set) },
      { title: 'Held', width: 50, right: true, text: (row) => String(row.held) },
      { title: 'In doubt', width: 60, right: true, text: (row) => String(row.inDoubt) },
      { title: 'Blocked', width: 60, right: true, text: (row) => String(row.blocked) },
    ],
    shift.packages,
  );
  footPages(page, `${shift.site} · ${when(asked.at)} · ${asked.timeZone}`, '');
  return finish(page);
}

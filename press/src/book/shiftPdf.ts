/**
 * One page for whoever comes next: where the instrument stood, which control holds, what is left, what to beware of.
 */
import type { ClosingItem, ShiftHandover } from '@idle-marker/records';
import { msg, closingWords, unitAbbreviationWords, worded } from '@idle-marker/words';
import { finish, INKS } from '../pdf/pdfPage.ts';
import { penOf, type BookAsked } from './pen.ts';

const lastUse = worded(
  () =>
    ({
      used: 'used',
      usedForPlan: msg('papers.usedForItsPlaceNotItsHeight'),
      usedForHeight: msg('papers.usedForItsHeightNotItsPlace'),
      proved: msg('papers.provedGood'),
      found: 'found',
    }) as const,
);

export async function shiftPdf(
  shift: ShiftHandover,
  asked: BookAsked & { readonly at: string; readonly by: string },
): Promise<Buffer> {
  const pen = penOf(msg('papers.forWhoComesNext', { site: shift.site }), asked, asked.at, 'upright');
  const { flow, clock, length } = pen;
  const unit = unitAbbreviationWords()[asked.unit];
  const when = (at: string) => `${clock.day(at)}, ${clock.time(at)}`;
  flow.title(msg('papers.forWhoComesNext2'), when(asked.at));
  const { stood, note } = shift;
  const place = stood?.place;
  flow.pairs([
    [msg('common.site'), shift.site],
    [msg('papers.handedOverBy'), asked.by],
    [
      msg('papers.said'),
      note
        ? [
            note.text,
            note.unfinished && msg('papers.unfinished2', { unfinished: note.unfinished }),
            `(${note.by}, ${when(note.at)})`,
          ]
            .filter(Boolean)
            .join(' ')
        : 'nothing',
    ],
    [
      msg('common.instrument'),
      stood
        ? [
            msg('papers.setUp2', {
              name: stood.name,
              when: when(stood.at),
              ground: stood.ground ? msg('papers.on', { ground: stood.ground }) : '',
              isStanding: stood.isStanding ? msg('papers.stillSetUp') : 'closed',
            }),
            place &&
              msg('papers.height4', {
                axes:
                  asked.axes === 'EN'
                    ? `E ${length(place.e)}, N ${length(place.n)}`
                    : `N ${length(place.n)}, E ${length(place.e)}`,
                length: length(place.z),
                unit,
              }),
            stood.verdict === 'provisional'
              ? msg('papers.acceptedAsProvisional')
              : stood.verdict === null
                ? msg('papers.noStationWasAccepted')
                : null,
            stood.marks.length > 0 && msg('papers.from', { marks: stood.marks.join(', ') }),
          ]
            .filter(Boolean)
            .join('; ')
        : msg('papers.hasNotBeenSetUp'),
    ],
  ]);
  const items = (title: string, list: readonly ClosingItem[], colour: string) => {
    if (list.length === 0) return;
    flow.heading(title);
    for (const item of list) {
      const words = closingWords(item);
      flow.text(`${words.title}. ${words.text}`, { colour });
    }
  };
  items(msg('papers.missing'), shift.closing.missing, INKS.brick);
  items(msg('papers.open'), shift.closing.open, INKS.ink);
  items(msg('papers.toDo'), shift.closing.tomorrow, INKS.ink);
  flow.heading(msg('common.control'));
  await flow.table(
    [
      { title: msg('common.mark'), text: (row) => row.name },
      { title: msg('papers.is'), text: (row) => row.condition },
      {
        title: msg('papers.lastGood'),
        text: (row) =>
          row.last ? `${lastUse()[row.last.as]} ${when(row.last.at)}` : msg('papers.neverProveItBeforeItIsUsed'),
      },
    ],
    shift.control,
  );
  flow.heading(msg('common.work'));
  await flow.table(
    [
      { title: msg('papers.package'), text: (row) => row.name },
      { title: msg('common.marks'), right: true, text: (row) => String(row.marks) },
      { title: msg('papers.set'), right: true, text: (row) => String(row.set) },
      { title: msg('papers.held'), right: true, text: (row) => String(row.held) },
      { title: msg('papers.inDoubt'), right: true, text: (row) => String(row.inDoubt) },
      { title: msg('papers.blocked'), right: true, text: (row) => String(row.blocked) },
    ],
    shift.packages,
  );
  flow.foot(`${msg('papers.forWhoComesNext2')} · ${shift.site}`, { by: `${when(asked.at)}, ${asked.timeZone}` });
  return finish(flow.page);
}

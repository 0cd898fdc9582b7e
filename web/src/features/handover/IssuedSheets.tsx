import { useMemo } from 'react';
import { sheetNotices } from '@idle-marker/records';
import type { IssuedSheet } from '@idle-marker/contract';
import { msg, sheetTroubleWords } from '@idle-marker/words';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';
import { dayAndTime } from '../../ui/time.ts';

/** The last one holds all of them, with the sketch, the control and the photos. */
const ENDINGS = ['pdf', 'xlsx', 'csv', 'zip'] as const;
const READ = { pdf: 'sheetPdf', xlsx: 'sheetXlsx', csv: 'sheetCsv', zip: 'sheetZip' } as const;

/** Sheets as they were issued, the newest first, and what has happened to their marks since. */
export function IssuedSheets({
  sheets,
  away,
}: {
  readonly sheets: readonly IssuedSheet[] | null;
  readonly away: boolean;
}) {
  const { id, state, trust, now } = useSite();
  const papers = usePaper();
  const notices = useMemo(
    () => new Map(sheetNotices(state, trust).map((notice) => [notice.sheet, notice])),
    [state, trust],
  );
  const latest = new Map((sheets ?? []).map((sheet) => [sheet.number, sheet.revision]));
  const today = now.toISOString().slice(0, 10);
  return (
    <section
      className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
      aria-label={msg('handover.issuedSheets')}
    >
      <h2 className="mb-2 text-xl">{msg('handover.issued')}</h2>
      {away && <p className="text-ochre">{msg('handover.theIssuedSheetsCantBeReadJust')}</p>}
      {sheets?.length === 0 && <p className="text-ink2">{msg('handover.noSheetYetIssuingGivesItA')}</p>}
      <PaperProgress papers={papers} />
      <ul className="flex flex-col gap-3">
        {[...(sheets ?? [])].reverse().map((sheet) => {
          const notice = notices.get(sheet.id);
          const isOld = sheet.revision < (latest.get(sheet.number) ?? 0);
          return (
            <li
              key={sheet.id}
              className={`border-l-4 pl-3 ${notice ? 'border-brick' : isOld ? 'border-rule' : 'border-ink'}`}
            >
              <p className="font-semibold">
                {msg('handover.cutSheetRevision', { number: sheet.number, revision: sheet.revision })}
                {isOld && <span className="font-normal text-ink2"> {msg('handover.replaced')}</span>}
              </p>
              <p className="text-[13px] text-ink2">
                {msg('handover.byWith', {
                  package: sheet.package,
                  selection: sheet.selection && `: ${sheet.selection}`,
                  marks: sheet.marks.length,
                  dayAndTime: dayAndTime(sheet.issuedAt),
                  issuedBy: sheet.issuedBy,
                  givenTo: sheet.givenTo ?? sheet.crew,
                })}
              </p>
              {sheet.validUntil && !isOld && (
                <p className={`text-[13px] ${sheet.validUntil < today ? 'font-medium text-brick' : 'text-ink2'}`}>
                  {sheet.validUntil < today ? msg('handover.ranOut2') : msg('handover.validUntil')} {sheet.validUntil}
                </p>
              )}
              {notice && (
                <p className="mt-1 font-medium text-brick">
                  {msg('handover.tell', { givenTo: notice.givenTo, sheetTrouble: sheetTroubleWords(notice.marks) })}
                </p>
              )}
              <p className="mt-1 flex flex-wrap gap-x-4">
                {ENDINGS.map((ending) => (
                  <button
                    key={ending}
                    type="button"
                    className={LINK}
                    aria-label={msg('handover.ofCutSheetRevision', {
                      ending: ending.toUpperCase(),
                      number: sheet.number,
                      revision: sheet.revision,
                    })}
                    onClick={() => void papers.fetchPaper(READ[ending], { site: id, id: sheet.id })}
                  >
                    {ending.toUpperCase()}
                  </button>
                ))}
                <button
                  type="button"
                  className={LINK}
                  aria-label={msg('handover.bareCsvOfCutSheetRevision', {
                    number: sheet.number,
                    revision: sheet.revision,
                  })}
                  onClick={() =>
                    void papers.fetchPaper('sheetCsv', { site: id, id: sheet.id }, { query: { head: 'no' } })
                  }
                >
                  {msg('handover.csvTableAlone')}
                </button>
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

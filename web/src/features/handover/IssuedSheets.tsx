import { useMemo } from 'react';
import { sheetNotices } from '@idle-marker/records';
import { sheetTroubleWords } from '@idle-marker/words';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';
import { dayAndTime } from '../../ui/time.ts';

export interface IssuedSheet {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly package: string;
  readonly selection: string | null;
  readonly crew: string;
  readonly givenTo: string | null;
  readonly validUntil: string | null;
  readonly issuedAt: string;
  readonly issuedBy: string;
  readonly marks: readonly { readonly mark: string; readonly name: string }[];
}

/** The last one holds all of them, with the sketch, the control and the photos. */
const ENDINGS = ['pdf', 'xlsx', 'csv', 'zip'] as const;

/** Sheets as they were issued, the newest first, and what has happened to their marks since. */
export function IssuedSheets({ sheets, away }: { readonly sheets: readonly IssuedSheet[] | null; readonly away: boolean }) {
  const { id, state, trust, now } = useSite();
  const papers = usePaper();
  const notices = useMemo(() => new Map(sheetNotices(state, trust).map((notice) => [notice.sheet, notice])), [state, trust]);
  const latest = new Map((sheets ?? []).map((sheet) => [sheet.number, sheet.revision]));
  const today = now.toISOString().slice(0, 10);
  return (
    <section className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3" aria-label="Issued sheets">
      <h2 className="mb-2 text-xl">Issued</h2>
      {away && <p className="text-ochre">The issued sheets can’t be read just now.</p>}
      {sheets?.length === 0 && (
        <p className="text-ink2">No sheet yet. Issuing gives it a number and freezes it; a later one of the same package is its next revision.</p>
      )}
      <PaperProgress papers={papers} />
      <ul className="flex flex-col gap-3">
        {[...(sheets ?? [])].reverse().map((sheet) => {
          const notice = notices.get(sheet.id);
          const isOld = sheet.revision < (latest.get(sheet.number) ?? 0);
          return (
            <li key={sheet.id} className={`border-l-4 pl-3 ${notice ? 'border-brick' : isOld ? 'border-rule' : 'border-ink'}`}>
              <p className="font-semibold">
                Cut sheet {sheet.number}, revision {sheet.revision}
                {isOld && <span className="font-normal text-ink2"> · replaced</span>}
              </p>
              <p className="text-[13px] text-ink2">
                {sheet.package}
                {sheet.selection && `: ${sheet.selection}`} · {sheet.marks.length} {sheet.marks.length === 1 ? 'mark' : 'marks'} · {dayAndTime(sheet.issuedAt)}{' '}
                by {sheet.issuedBy} · with {sheet.givenTo ?? sheet.crew}
              </p>
              {sheet.validUntil && !isOld && (
                <p className={`text-[13px] ${sheet.validUntil < today ? 'font-medium text-brick' : 'text-ink2'}`}>
                  {sheet.validUntil < today ? 'Ran out' : 'Valid until'} {sheet.validUntil}
                </p>
              )}
              {notice && (
                <p className="mt-1 font-medium text-brick">
                  Tell {notice.givenTo}: {sheetTroubleWords(notice.marks)}
                </p>
              )}
              <p className="mt-1 flex gap-4">
                {ENDINGS.map((ending) => (
                  <button
                    key={ending}
                    type="button"
                    className={LINK}
                    aria-label={`${ending.toUpperCase()} of cut sheet ${sheet.number}, revision ${sheet.revision}`}
                    onClick={() => void papers.fetchPaper({ address: `/api/v1/sites/${id}/sheets/${sheet.id}/${ending}` })}
                  >
                    {ending.toUpperCase()}
                  </button>
                ))}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

import { useMemo } from 'react';
import { Link } from 'react-router';
import { memberName, restakeList, sheetNotices } from '@idle-marker/records';
import { msg, sheetTroubleWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { LINK } from '../../ui/link.ts';
import { dayAndTime } from '../../ui/time.ts';

const SHOWN = 12;

/** What has happened since to marks that crews build from: whom to tell what, and which are to be set again. */
export function HandedOverCard() {
  const { id, state, trust } = useSite();
  const notices = useMemo(() => sheetNotices(state, trust), [state, trust]);
  const restake = useMemo(() => restakeList(state), [state]);
  if (notices.length === 0 && restake.length === 0) return null;
  return (
    <section
      className="border-[1.5px] border-brick bg-sheet p-[18px]"
      aria-label={msg('today.handedOverAndNotAsItWas')}
    >
      {notices.length > 0 && (
        <>
          <h2 className="mb-2 text-xl text-brick">{msg('today.tellWhoHasTheSheet')}</h2>
          <ul className="mb-3 flex flex-col">
            {notices.map((notice) => (
              <li key={notice.sheet} className="border-b border-rule py-1.5">
                <strong>{notice.givenTo}</strong>{' '}
                {msg('today.hasCutSheetRevisionOfIssued', {
                  number: notice.number,
                  revision: notice.revision,
                  package: notice.package,
                  dayAndTime: dayAndTime(notice.issuedAt),
                })}{' '}
                <span className="font-medium text-brick">{sheetTroubleWords(notice.marks)}</span>
              </li>
            ))}
          </ul>
          <Link className={LINK} to={`/sites/${id}/hand-over`}>
            {msg('common.toTheSheets')}
          </Link>
        </>
      )}
      {restake.length > 0 && (
        <>
          <h2 className="mt-3 mb-1 text-xl text-brick">{msg('common.toSetAgain')}</h2>
          <ul className="flex flex-col">
            {restake.slice(0, SHOWN).map(({ mark, work, why, report }) => (
              <li key={mark.id} className="flex flex-wrap items-center gap-x-6 border-b border-rule py-1">
                <strong className="min-w-28 text-brick">{mark.body.name}</strong>
                <span>
                  {why === 'destroyed'
                    ? msg('common.saidToBeGone')
                    : why === 'moved'
                      ? msg('common.saidToHaveBeenHitOrMoved')
                      : msg('today.setForAnEarlierRevision')}
                  {report &&
                    msg('today.by', {
                      who: report.body.who || memberName(state, report.by),
                      dayAndTime: dayAndTime(report.at),
                    })}
                </span>
                <Link
                  className={`${LINK} ml-auto whitespace-nowrap`}
                  to={`/sites/${id}/mark?package=${work.id}&mark=${encodeURIComponent(mark.body.key)}`}
                >
                  {msg('common.setItAgain')}
                </Link>
              </li>
            ))}
          </ul>
          {restake.length > SHOWN && (
            <p className="mt-2 text-ink2">{msg('today.andMore3', { restake: restake.length - SHOWN })}</p>
          )}
        </>
      )}
    </section>
  );
}

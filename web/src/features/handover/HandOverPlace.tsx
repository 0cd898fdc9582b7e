import { memo, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { cutSheet, memberName, type CutSheet, uncheckedMarks } from '@idle-marker/records';
import {
  msg,
  allCautions,
  heightReferenceWords,
  leadsToWords,
  openCautionWords,
  smallLength,
  standingWords,
  stationNotices,
  withheldReasonWords,
  writtenLength,
  offAxesHead,
  offAxes,
} from '@idle-marker/words';
import { call } from '../../data/server.ts';
import { useLedger } from '../../data/useLedger.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { Card, Figures } from '../../ui/Slip.tsx';
import { useIsPhone } from '../../ui/useMedia.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime, TIME_ZONE } from '../../ui/time.ts';
import { useLongList } from '../../ui/LongList.tsx';
import { CutFill } from '../../pole/CutFill.tsx';
import { LINK } from '../../ui/link.ts';
import { HandOverWays } from './HandOverWays.tsx';
import { IssueDialog } from './IssueDialog.tsx';
import { IssuedSheets } from './IssuedSheets.tsx';
import { useWork } from './useWork.ts';

/** Can a crew build from this? */
export function Place() {
  const { id, state, trust, who, now: instant } = useSite();
  const ledger = useLedger();
  const [work, setWork] = useWork();
  const [issuing, setIssuing] = useState(false);
  const sheets = useQuery({
    queryKey: ['sheets', id],
    queryFn: async () => (await call('listSheets', { site: id })).sheets,
  });
  const preview = useMemo(
    () =>
      work
        ? cutSheet(
            state,
            trust,
            { package: work, issuedBy: memberName(state, who), issuedAt: instant.toISOString(), timeZone: TIME_ZONE },
            null,
          )
        : null,
    [work, state, trust, who, instant],
  );
  if (!work || !preview) {
    return (
      <EmptyTo
        title={msg('handover.nothingToHandOverYet')}
        place="design"
        label={msg('common.makeAWorkPackage')}
        ways={<HandOverWays />}
      >
        {msg('handover.aCutSheetIsMadeFromThe')}
      </EmptyTo>
    );
  }
  const unchecked = uncheckedMarks(state, work);
  // What wants an independent check has a card of its own, with the way to it.
  const asked = (preview.open ?? []).filter(({ code }) => code !== 'independent');
  const nothing = preview.rows.length === 0 && preview.withheld.length === 0;
  return (
    <div className="flex h-full flex-col">
      <HandOverWays />
      <div className="grid min-h-0 flex-1 grid-cols-1 content-start gap-4 overflow-y-auto p-5 max-md:p-3 xl:grid-cols-[1fr_270px]">
        <section
          className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3"
          aria-label={msg('handover.sheetToIssue')}
        >
          <div className="flex flex-wrap items-start justify-between gap-3 border-b-2 border-ink pb-3">
            <div>
              <h1 className="text-2xl">{preview.package}</h1>
              <p className="text-ink2">
                {msg('handover.forWithinPlanHeightOfMarks', {
                  crew: preview.crew,
                  smallLength: smallLength(preview.planMm / 1000, preview.lengthUnit),
                  smallLength2: smallLength(preview.heightMm / 1000, preview.lengthUnit),
                  rows: preview.rows.length,
                  rows2: preview.rows.length + preview.withheld.length + preview.notSet.length,
                })}
              </p>
            </div>
            <div className="flex flex-wrap items-end gap-2">
              {state.packages.length > 1 && (
                <Choice
                  label={msg('common.workPackage')}
                  value={work.id}
                  options={state.packages.map((each) => [each.id, each.body.name] as const)}
                  onChange={setWork}
                />
              )}
              <Button look="primary" disabled={nothing || ledger.waiting !== 0} onClick={() => setIssuing(true)}>
                {msg('handover.issueCutSheet')}
              </Button>
            </div>
          </div>
          {ledger.waiting !== null && ledger.waiting > 0 && (
            <Card tone="ochre" title={msg('handover.entriesAreNotStoredYet', { waiting: ledger.waiting })}>
              {msg('handover.aSheetIsMadeFromWhatIs')}
            </Card>
          )}
          {preview.stations.map((station) => {
            const notices = stationNotices(station, state.settings.lengthUnit);
            return (
              notices.length > 0 && (
                <Card key={station.name} tone="ochre" title={msg('handover.whatGoesAlongWith', { name: station.name })}>
                  {notices.map((notice) => (
                    <p key={notice}>{notice}</p>
                  ))}
                  <p>{msg('handover.thisIsPrintedOnTheSheet')}</p>
                </Card>
              )
            );
          })}
          {asked.length > 0 && (
            <Card tone="ochre" title={msg('handover.nobodyHasAnswered')}>
              {asked.map((each) => (
                <p key={each.code}>{openCautionWords(each)}</p>
              ))}
              <p>{msg('handover.thisIsPrintedOnTheSheet')}</p>
            </Card>
          )}
          {unchecked.length > 0 && (
            <Card
              tone="ochre"
              title={msg('handover.anIndependentCheck', { unchecked: unchecked.length })}
              actions={
                <Link className={LINK} to={`/sites/${id}/prove`}>
                  {msg('handover.goToProve')}
                </Link>
              }
            >
              {msg('handover.forWhatIsBoltedTogetherOrStands', {
                unchecked: unchecked.map(({ body }) => body.name).join(', '),
              })}
            </Card>
          )}
          {preview.withheld.length > 0 && (
            <Card tone="brick" title={msg('handover.withheld', { withheld: preview.withheld.length })}>
              {preview.withheld.map((each) => `${each.name}: ${withheldReasonWords()[each.reason]}`).join('. ')}.
            </Card>
          )}
          {nothing ? (
            <p className="py-8 text-ink2">
              {msg('handover.noMarkOfThisPackageIsSet')}{' '}
              <Link className={LINK} to={`/sites/${id}/mark`}>
                {msg('handover.goAndMark')}
              </Link>
            </p>
          ) : (
            <SheetTable sheet={preview} />
          )}
          <p className="mt-4 text-[13px] leading-snug text-ink2">{allCautions().join(' ')}</p>
        </section>
        <IssuedSheets sheets={sheets.data ?? null} away={sheets.isError} />
      </div>
      {issuing && <IssueDialog work={work} onClose={() => setIssuing(false)} />}
    </div>
  );
}

function SheetTable({ sheet }: { sheet: CutSheet }) {
  const { shown, rest } = useLongList(sheet.rows, 'marks');
  return (
    <>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={msg('handover.rowsOfTheSheet')}>
        <table className={`${TABLE} lg:min-w-[680px]`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.mark')}</th>
              <th className={TH_WORD}>{msg('handover.offsetTo')}</th>
              <th className={TH}>{msg('handover.offset')}</th>
              <th className={`${TH} max-lg:hidden`}>{msg('common.hub')}</th>
              <th className={`${TH} first-letter:uppercase max-md:hidden`}>
                {heightReferenceWords()[sheet.heightReference]}
              </th>
              <th className={TH_WORD}>{msg('handover.cutFill')}</th>
              <th className={`${TH} max-md:hidden`}>{offAxesHead(sheet.axes ?? 'EN', sheet.lengthUnit)}</th>
              <th className={`${TH_WORD} max-md:hidden`}>{msg('common.station')}</th>
              <th className={`${TH_WORD} max-md:hidden`}>{msg('handover.proofBeforeAfter')}</th>
              <th className={TH_WORD}>{msg('handover.standing')}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <SheetRow key={row.mark} row={row} sheet={sheet} />
            ))}
          </tbody>
        </table>
      </div>
      {rest}
    </>
  );
}

const SheetRow = memo(function SheetRow({
  row,
  sheet,
}: {
  readonly row: CutSheet['rows'][number];
  readonly sheet: CutSheet;
}) {
  const units = useUnits();
  const isPhone = useIsPhone();
  const [isOpen, setOpen] = useState(false);
  const proofs = `${row.proofBefore ? clockTime(row.proofBefore) : 'none'} / ${row.proofAfter ? clockTime(row.proofAfter) : 'none'}`;
  const off = offAxes(row, sheet.axes ?? 'EN', sheet.lengthUnit);
  return (
    <>
      <tr>
        <td className={`${TD_WORD} font-semibold whitespace-nowrap`}>
          {isPhone ? (
            <button
              type="button"
              className="min-h-11 min-w-11 text-left underline decoration-dotted"
              aria-expanded={isOpen}
              onClick={() => setOpen(!isOpen)}
            >
              {row.name}
            </button>
          ) : (
            row.name
          )}
        </td>
        <td className={TD_WORD}>{leadsToWords({ ...row, string: row.reading?.string ?? null })}</td>
        <td className={TD}>
          {writtenLength(row.reading?.offset ?? row.offset, sheet.lengthUnit, row.reading?.rounding.offset ?? 'finest')}
        </td>
        <td className={`${TD} max-lg:hidden`}>{units.length(row.hubZ)}</td>
        <td className={`${TD} max-md:hidden`}>{units.length(row.designZ)}</td>
        <td className={TD_WORD}>
          <CutFill cutFill={row.cutFill} small rounding={row.reading?.rounding.height ?? sheet.rounding} />
        </td>
        <td className={`${TD} max-md:hidden`}>{off}</td>
        <td className={`${TD_WORD} max-md:hidden`}>{row.station}</td>
        <td className={`${TD_WORD} whitespace-nowrap max-md:hidden`}>{proofs}</td>
        <td className={`${TD_WORD} ${row.standing === 'held' ? 'text-good' : 'text-ochre'}`}>
          {standingWords()[row.standing]}
        </td>
      </tr>
      {isPhone && isOpen && (
        <tr>
          <td colSpan={5} className="border-b border-rule bg-paper p-2">
            <Figures
              items={[
                [msg('common.hub'), units.length(row.hubZ)],
                [heightReferenceWords()[sheet.heightReference], units.length(row.designZ)],
                [offAxesHead(sheet.axes ?? 'EN', sheet.lengthUnit), off],
                [msg('common.station'), row.station],
                [msg('handover.proofBeforeAfter'), proofs],
              ]}
            />
          </td>
        </tr>
      )}
    </>
  );
});

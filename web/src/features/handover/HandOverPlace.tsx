import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import type { Problem } from '@idle-marker/contract';
import { cutSheet, memberName, type CutSheet, uncheckedMarks } from '@idle-marker/records';
import { CAUTIONS, HEIGHT_REFERENCE, MEANING, smallLength, STANDING, WITHHELD_REASON } from '@idle-marker/words';
import { formatSigned } from '@idle-marker/core';
import { now } from '../../ledger/clock.ts';
import { tryNow } from '../../ledger/ledger.ts';
import { stamp } from '../../ledger/storage.ts';
import { useLedger } from '../../ledger/useLedger.ts';
import { newId } from '../../ledger/uuid.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime, dayAndTime, TIME_ZONE } from '../../ui/time.ts';
import { CutFill } from '../mark/CutFill.tsx';
import { LINK } from '../../ui/link.ts';

interface IssuedSheet {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly package: string;
  readonly issuedAt: string;
  readonly issuedBy: string;
  readonly marks: readonly { readonly mark: string; readonly name: string }[];
}

/** Can a crew build from this? */
export function Place() {
  const { id, state, trust, who, now: instant } = useSite();
  const ledger = useLedger();
  const queries = useQueryClient();
  const [packageId, setPackageId] = useState(state.packages[0]?.id ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const [issuing, setIssuing] = useState(false);
  const work = state.packages.find((each) => each.id === packageId) ?? state.packages[0] ?? null;
  const sheets = useQuery({
    queryKey: ['sheets', id],
    queryFn: async () => {
      const response = await fetch(`/api/v1/sites/${id}/sheets`);
      if (!response.ok) throw new Error('away');
      return ((await response.json()) as { sheets: IssuedSheet[] }).sheets;
    },
  });
  const preview = useMemo(
    () =>
      work ? cutSheet(state, trust, { package: work, issuedBy: memberName(state, who), issuedAt: instant.toISOString(), timeZone: TIME_ZONE }, null) : null,
    [work, state, trust, who, instant],
  );
  const doubtful = useMemo(() => new Set(trust.marks.filter((mark) => mark.standing === 'inDoubt').map((mark) => mark.id)), [trust]);

  const issue = async () => {
    if (!work) return;
    setIssuing(true);
    setProblem(null);
    try {
      const { device, seq } = await stamp();
      const response = await fetch(`/api/v1/sites/${id}/sheets/${newId()}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ package: work.id, fact: newId(), at: now().toISOString(), device, seq, by: who, timeZone: TIME_ZONE }),
      });
      if (!response.ok) setProblem(((await response.json()) as Problem).detail);
      await queries.invalidateQueries({ queryKey: ['sheets', id] });
      tryNow();
    } catch {
      setProblem('The server does not answer. Nothing was issued; try again when it is back.');
    } finally {
      setIssuing(false);
    }
  };
  if (!work || !preview) {
    return (
      <EmptyTo title="Nothing to hand over yet" place="design" label="Make a work package">
        A cut sheet is made from the marks of a work package.
      </EmptyTo>
    );
  }
  const unchecked = uncheckedMarks(state, work);
  const nothing = preview.rows.length === 0 && preview.withheld.length === 0;
  return (
    <div className="grid h-full grid-cols-1 gap-4 overflow-y-auto p-5 max-md:p-3 xl:grid-cols-[1fr_250px]">
      <section className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3" aria-label="Sheet to issue">
        <div className="flex flex-wrap items-start justify-between gap-3 border-b-2 border-ink pb-3">
          <div>
            <h1 className="text-2xl">{preview.package}</h1>
            <p className="text-ink2">
              for {preview.crew} · within {smallLength(preview.planMm / 1000, preview.lengthUnit)} plan,{' '}
              {smallLength(preview.heightMm / 1000, preview.lengthUnit)} height · {preview.rows.length} of{' '}
              {preview.rows.length + preview.withheld.length + preview.notSet.length} marks
            </p>
          </div>
          <div className="flex flex-wrap items-end gap-2">
            {state.packages.length > 1 && (
              <Choice label="Work package" value={work.id} options={state.packages.map((each) => [each.id, each.body.name] as const)} onChange={setPackageId} />
            )}
            <Button look="primary" disabled={nothing || issuing || ledger.waiting > 0} onClick={() => void issue()}>
              {issuing ? 'Issuing…' : 'Issue cut sheet'}
            </Button>
          </div>
        </div>
        {problem && (
          <Card tone="brick" title="The sheet was not issued">
            {problem}
          </Card>
        )}
        {ledger.waiting > 0 && (
          <Card tone="ochre" title={`${ledger.waiting} entries are not stored yet`}>
            A sheet is made from what is stored. It can be issued once everything has gone out.
          </Card>
        )}
        {preview.stations
          .filter((station) => station.provisionalBecause !== null)
          .map((station) => (
            <Card key={station.name} tone="ochre" title={`${station.name} is provisional`}>
              {station.provisionalBecause} This is printed on the sheet.
            </Card>
          ))}
        {unchecked.length > 0 && (
          <Card
            tone="ochre"
            title={`${unchecked.length} ${unchecked.length === 1 ? 'mark wants' : 'marks want'} an independent check`}
            actions={
              <Link className={LINK} to={`/sites/${id}/prove`}>
                Go to Prove
              </Link>
            }
          >
            {unchecked.map(({ body }) => body.name).join(', ')}: for what is bolted together or stands beside a building. Tape them to another mark, or sight
            them from another station, before they go out.
          </Card>
        )}
        {preview.withheld.length > 0 && (
          <Card tone="brick" title={`${preview.withheld.length} ${preview.withheld.length === 1 ? 'mark is' : 'marks are'} withheld`}>
            {preview.withheld.map((each) => `${each.name}: ${WITHHELD_REASON[each.reason]}`).join('. ')}.
          </Card>
        )}
        {nothing ? (
          <p className="py-8 text-ink2">
            No mark of this package is set yet.{' '}
            <Link className={LINK} to={`/sites/${id}/mark`}>
              Go and mark
            </Link>
          </p>
        ) : (
          <SheetTable sheet={preview} />
        )}
        <p className="mt-4 text-[13px] leading-snug text-ink2">{CAUTIONS.join(' ')}</p>
      </section>
      <section className="min-w-0 self-start border-[1.5px] border-ink bg-sheet p-5 max-md:p-3" aria-label="Issued sheets">
        <h2 className="mb-2 text-xl">Issued</h2>
        {sheets.isError && <p className="text-ochre">The issued sheets can’t be read just now.</p>}
        {sheets.data?.length === 0 && (
          <p className="text-ink2">No sheet yet. Issuing gives it a number and freezes it; a later one of the same package is its next revision.</p>
        )}
        <ul className="flex flex-col gap-3">
          {[...(sheets.data ?? [])].reverse().map((sheet) => {
            const inDoubt = sheet.marks.filter((each) => doubtful.has(each.mark));
            return (
              <li key={sheet.id} className="border-l-4 border-ink pl-3">
                <p className="font-semibold">
                  Cut sheet {sheet.number}, revision {sheet.revision}
                </p>
                <p className="text-[13px] text-ink2">
                  {sheet.package} · {sheet.marks.length} {sheet.marks.length === 1 ? 'mark' : 'marks'} · {dayAndTime(sheet.issuedAt)} by {sheet.issuedBy}
                </p>
                {inDoubt.length > 0 && (
                  <p className="mt-1 font-medium text-brick">Call it back: {inDoubt.map((each) => each.name).join(', ')} fell in doubt after it was issued.</p>
                )}
                <p className="mt-1 flex gap-4">
                  <a className={LINK} href={`/api/v1/sites/${id}/sheets/${sheet.id}/pdf`} download>
                    PDF
                  </a>
                  <a className={LINK} href={`/api/v1/sites/${id}/sheets/${sheet.id}/csv`} download>
                    CSV
                  </a>
                </p>
              </li>
            );
          })}
        </ul>
      </section>
    </div>
  );
}

function SheetTable({ sheet }: { sheet: CutSheet }) {
  const units = useUnits();
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Rows of the sheet">
      <table className={`${TABLE} min-w-[680px] max-md:min-w-[840px]`}>
        <thead>
          <tr>
            <th className={TH_WORD}>Mark</th>
            <th className={TH_WORD}>Offset to</th>
            <th className={TH}>Offset</th>
            <th className={TH}>Hub</th>
            <th className={`${TH} first-letter:uppercase`}>{HEIGHT_REFERENCE[sheet.heightReference]}</th>
            <th className={TH_WORD}>Cut / fill</th>
            <th className={TH}>E / N off, mm</th>
            <th className={TH_WORD}>Station</th>
            <th className={TH_WORD}>Proof before / after</th>
            <th className={TH_WORD}>Standing</th>
          </tr>
        </thead>
        <tbody>
          {sheet.rows.map((row) => (
            <tr key={row.mark}>
              <td className={`${TD_WORD} font-semibold whitespace-nowrap`}>{row.name}</td>
              <td className={TD_WORD}>
                {row.corner}, {MEANING[row.meaning]}
              </td>
              <td className={TD}>{units.length(row.offset)}</td>
              <td className={TD}>{units.length(row.hubZ)}</td>
              <td className={TD}>{units.length(row.designZ)}</td>
              <td className={TD_WORD}>
                <CutFill cutFill={row.cutFill} small rounding={sheet.rounding} />
              </td>
              <td className={TD}>
                {formatSigned(row.dEMm, 0)} / {formatSigned(row.dNMm, 0)}
              </td>
              <td className={TD_WORD}>{row.station}</td>
              <td className={`${TD_WORD} whitespace-nowrap`}>
                {row.proofBefore ? clockTime(row.proofBefore) : 'none'} / {row.proofAfter ? clockTime(row.proofAfter) : 'none'}
              </td>
              <td className={`${TD_WORD} ${row.standing === 'held' ? 'text-good' : 'text-ochre'}`}>{STANDING[row.standing]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

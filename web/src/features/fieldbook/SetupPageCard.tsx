import { useMemo } from 'react';
import { formatSigned } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  bookLine,
  checkSentences,
  goodToOf,
  memberName,
  noticesOf,
  proofFigures,
  SETUP_CHECKED,
  setupPage,
} from '@idle-marker/records';
import {
  msg,
  goodToWords,
  proofOutcomeWords,
  proofFigureWords,
  setupSteps,
  smallUnit,
  worded,
  partWord,
  airWords,
} from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { clockTime, dayAndTime } from '../../ui/time.ts';
import { MarkPhotos } from '../../pole/MarkPhotos.tsx';
import { Explained } from '../../ui/Explained.tsx';

const verdictWords = worded(
  () =>
    ({
      accepted: 'accepted',
      provisional: msg('fieldbook.acceptedAsProvisional'),
      refused: msg('fieldbook.rejected'),
    }) as const,
);

/**
 * One set-up as a page of a field book: who, with what, in what weather, on which marks, how it fitted, and what came
 * of it.
 */
export function SetupPageCard({ occupation }: { occupation: Fact<'occupation'> }) {
  const { state, trust } = useSite();
  const units = useUnits();
  const page = useMemo(() => setupPage(state, occupation), [state, occupation]);
  const { name, instrument, temperatureC, pressureHPa, ppm, ground, windy, instrumentHeight } = occupation.body;
  const result = page.solution?.fact.body.result ?? null;
  const withdrawn = page.solution?.withdrawn ?? false;
  const names = (marks: readonly { readonly body: { readonly name: string } }[]) =>
    [...new Set(marks.map((mark) => mark.body.name))].join(', ');
  const nameOf = (id: string) => state.control.find((mark) => mark.id === id)?.revision.body.name ?? '?';
  const provenOn = ({ body }: Fact<'proof'>) =>
    body.control === null
      ? (state.directions.find((each) => each.id === body.direction)?.body.name ?? msg('fieldbook.aFixedDirection'))
      : nameOf(body.control);
  const steps = occupation.body.checklist ?? [];
  const ticked = setupSteps().flatMap((step) => {
    const at = steps.find((each) => each.step === step.id)?.at;
    return at ? [`${clockTime(at)} ${step.short}`] : [];
  });
  const carried = SETUP_CHECKED.filter((what) => !(occupation.body.confirmed ?? []).includes(what));
  const { tiltSec } = occupation.body;
  const small = smallUnit(units.lengthUnit);
  const check = useMemo(() => {
    const accepted = state.accepted.find((each) => each.fact.id === page.solution?.fact.id);
    return accepted ? checkSentences(state, trust, accepted) : [];
  }, [state, trust, page]);
  const notices = useMemo(() => {
    const accepted = state.accepted.find((each) => each.fact.id === page.solution?.fact.id);
    return accepted ? noticesOf(state, trust, accepted.fact.id) : [];
  }, [state, trust, page]);
  const off = (mm: number | null) => (mm === null ? '–' : formatSigned((mm / 1000) * small.perMetre, small.decimals));
  const lines: readonly (readonly [string, string])[] = [
    [msg('common.site'), state.settings.name],
    [msg('fieldbook.who'), memberName(state, occupation.by)],
    [
      msg('common.when'),
      msg('fieldbook.to', {
        dayAndTime: dayAndTime(page.from),
        clockTime: clockTime(page.to),
        closed: page.closed ? ', closed' : '',
      }),
    ],
    [
      msg('common.instrument'),
      msg('fieldbook.mmPpmAboveGround', {
        name: instrument.name,
        angleSdSec: instrument.angleSdSec,
        distSdMm: instrument.distSdMm,
        distSdPpm: instrument.distSdPpm,
        length: units.length(instrumentHeight),
        unit: units.unit,
      }),
    ],
    [
      msg('fieldbook.weather'),
      msg('fieldbook.cHpaPpmOn', {
        air: airWords(temperatureC, pressureHPa, units.lengthUnit),
        signed: formatSigned(ppm, 1),
        windy: windy ? ', windy' : '',
        ground,
      }),
    ],
    [
      msg('common.station'),
      result
        ? msg('fieldbook.height95', {
            axes: units.axes.map((axis) => `${axis.toUpperCase()} ${units.length(result[axis])}`).join(', '),
            length: units.length(result.z),
            goodTo: goodToWords(page.solution ? goodToOf(page.solution) : null, units.lengthUnit),
          })
        : msg('fieldbook.notDecided'),
    ],
    [
      msg('fieldbook.decision'),
      page.solution
        ? `${withdrawn ? msg('fieldbook.withdrawnWas') : ''}${verdictWords()[page.solution.decision.body.verdict]}${page.solution.decision.body.reason ? `: ${page.solution.decision.body.reason}` : ''}`
        : msg('common.noneYet'),
    ],
    ...(check.length > 0 ? [[msg('common.checked'), check.join(' ')] as const] : []),
    ...(notices.length > 0 ? [[msg('fieldbook.mind'), notices.join(' ')] as const] : []),
    [msg('fieldbook.setupChecklist'), ticked.join('; ') || msg('fieldbook.noStepTicked')],
    ...(tiltSec
      ? [
          [
            msg('common.level'),
            msg('fieldbook.leftAtFrontToBackSideTo', {
              along: Math.round(tiltSec.along),
              across: Math.round(tiltSec.across),
            }),
          ] as const,
        ]
      : []),
    ...(occupation.body.confirmed && carried.length > 0
      ? [[msg('common.carriedOver'), msg('fieldbook.notConfirmed', { carried: carried.join(', ') })] as const]
      : []),
    [msg('common.leftOut2'), page.leftOut.join(', ') || 'nothing'],
    [
      msg('common.proofs'),
      page.proofs
        .map((proof) => {
          const measured = proofFigureWords(proofFigures(proof.body), units.lengthUnit, state.settings.axisOrder);
          return msg('fieldbook.planHeight', {
            clockTime: clockTime(proof.at),
            provenOn: provenOn(proof),
            proofOutcome: proofOutcomeWords()[proof.body.plan],
            proofOutcome2: proofOutcomeWords()[proof.body.height],
            measured: measured && ` (${measured})`,
          });
        })
        .join('; ') || 'none',
    ],
    [msg('fieldbook.marksSet'), names(page.marks) || 'none'],
    ...(page.measured.length > 0
      ? [
          [
            msg('fieldbook.measuredToo'),
            page.measured.map((fact) => `${clockTime(fact.at)} ${bookLine(state, fact).text}`).join('; '),
          ] as const,
        ]
      : []),
    [
      msg('common.remarks'),
      page.remarks.map((fact) => `${clockTime(fact.at)} ${bookLine(state, fact).text}`).join('; ') || 'none',
    ],
  ];
  return (
    <section className="printed border-b-2 border-ink py-3" aria-label={msg('fieldbook.pageOf', { name })}>
      <div className="flex items-center justify-between gap-3">
        <h2 className="text-xl">{msg('fieldbook.setUp', { name })}</h2>
        <Button className="print:hidden" onClick={() => print()}>
          {msg('fieldbook.printThisPage')}
        </Button>
      </div>
      <div className="grid gap-x-6 gap-y-3 lg:grid-cols-[1fr_auto]">
        <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-1">
          {lines.map(([what, text]) => (
            <div key={what} className="contents">
              <dt className="text-ink2">{what}</dt>
              <dd className="figures">{text}</dd>
            </div>
          ))}
        </dl>
        {page.used.length > 0 && (
          <table className={`${TABLE} w-auto self-start`}>
            <caption className="text-left text-[13px] text-ink2">
              <Explained term="residual">{msg('fieldbook.measuredMinusListed', { name: small.name })}</Explained>
            </caption>
            <thead>
              <tr>
                <th className={TH_WORD}>{msg('common.mark')}</th>
                <th className={TH}>{msg('common.east')}</th>
                <th className={TH}>{msg('common.north')}</th>
                <th className={TH}>{msg('common.height')}</th>
                <th className={TH_WORD}>{msg('fieldbook.usedIn')}</th>
              </tr>
            </thead>
            <tbody>
              {page.used.map((mark) => (
                <tr key={mark.name}>
                  <td className={TD_WORD}>{mark.name}</td>
                  <td className={TD}>{off(mark.dEMm)}</td>
                  <td className={TD}>{off(mark.dNMm)}</td>
                  <td className={TD}>{off(mark.dZMm)}</td>
                  <td className={TD_WORD}>
                    {[mark.plan && 'plan', mark.height && partWord('height')].filter(Boolean).join(', ') || 'nothing'}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <MarkPhotos mark={occupation.id} name={name} />
      {/* On paper there is room to draw what no record holds. */}
      <div className="sketch-paper mt-4 hidden h-[78mm] break-inside-avoid border border-ink p-2 text-[13px] text-ink2 print:block">
        {msg('common.sketch')}
      </div>
    </section>
  );
}

import { useState, type ReactNode } from 'react';
import { alikeName, familyOf, isProvenControl, markHistory, markTrend, type ControlMark } from '@idle-marker/records';
import { CONTROL_KIND, firmnessOf, FIRMNESS, TREND_PROPOSAL, VISIT } from '@idle-marker/words';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { usePaper } from '../../print/usePaper.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Card } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { dayAndTime, TIME_ZONE } from '../../ui/time.ts';
import { TagLife } from './TagLife.tsx';
import { MarkPhotos } from '../../pole/MarkPhotos.tsx';
import { useVisit, type VisitOutcome } from './useVisit.ts';
import { MarkChart } from './LazyMarkChart.tsx';

interface MarkPageProps {
  readonly mark: ControlMark;
  onClose(): void;
  onRevise(): void;
  onMoved(): void;
}

const LOOK = { used: 'used', leftOut: 'left out', proof: 'proof', receiver: 'receiver' } as const;
const figure = (mm: number | null): string => (mm === null ? '–' : `${mm > 0 ? '+' : mm < 0 ? '−' : ''}${Math.abs(Math.round(mm))}`);

/** All that is known of one control mark: what it is, what was found on the ground, how it has fitted, where it comes from. */
export function MarkPage({ mark, onClose, onRevise, onMoved }: MarkPageProps) {
  const { id, state, who, now } = useSite();
  const papers = usePaper();
  const units = useUnits();
  const [noted, setNoted] = useState<string | null>(null);
  const { body } = mark.revision;
  const looks = markHistory(state, mark.id);
  const trend = markTrend(looks);
  const family = familyOf(state, mark);
  const visits = state.visits.get(mark.id) ?? [];
  const firmness = firmnessOf(body);
  const alike = alikeName(
    body.name,
    state.control.filter((each) => each.id !== mark.id && each.revision.body.condition !== 'lost').map((each) => each.revision.body.name),
  );
  const today = now.toISOString().slice(0, 10);
  const overdue = (body.useBefore ?? today) < today;
  const note = useVisit();
  const visit = async (outcome: VisitOutcome) => {
    await note(mark, outcome);
    setNoted(VISIT[outcome]);
  };
  const facts: readonly (readonly [string, ReactNode])[] = [
    ['What it is', `${CONTROL_KIND[body.kind]}${body.spot ? `; the point is ${body.spot}` : ''}`],
    ['Firmness', `${FIRMNESS[firmness]}${body.firmness ? `: ${body.firmness.reason}` : ', rated from its kind'}`],
    ['Set by', [body.setBy, body.setOn].filter(Boolean).join(', ') || 'not noted'],
    ['Coordinates from', body.source || 'not noted'],
    ['Height from', body.heightSource ?? (body.z === null ? 'it has none' : 'the same source')],
    ...(body.z !== null
      ? [
          [
            'Height',
            `${units.length(body.z)} ${units.unit} true height${state.settings.siteZero === null ? '' : `, ${units.length(body.z - state.settings.siteZero)} against site zero`}`,
          ] as const,
        ]
      : []),
    ['Use for', [body.usePlan && 'plan', body.useHeight && 'height'].filter(Boolean).join(' and ') || 'nothing'],
    ...(body.useBefore
      ? [
          [
            'Use before',
            <span className={overdue ? 'font-semibold text-brick' : ''}>{`${body.useBefore}${overdue ? ': overdue, replace it' : ''}`}</span>,
          ] as const,
        ]
      : []),
    ...(body.validFor ? [['Valid for', body.validFor] as const] : []),
    ...(body.retired ? [['Retired', body.retired] as const] : []),
    ...(family.generation > 0
      ? [
          [
            'Family',
            `measured from ${family.station}, which stood on ${family.parents.join(', ')}: generation ${family.generation}${family.generation > 2 ? '. The chain is long: each station adds error' : ''}`,
          ] as const,
          ['Proven', isProvenControl(state, mark) ? 'by a second station' : 'not yet by a second, fresh station: use it for nothing that matters'] as const,
        ]
      : []),
    ...(alike === null ? [] : [['Looks like', <span className="font-semibold text-ochre">{alike}: give one of them a new name</span>] as const]),
    ['Last seen', visits.length > 0 ? `${dayAndTime(visits.at(-1)!.at)}, ${VISIT[visits.at(-1)!.body.outcome]}` : 'never noted'],
  ];
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={`Mark ${body.name}`}
      foot={
        <>
          <Button
            disabled={papers.progress !== null}
            onClick={() =>
              void papers.fetchPaper({
                address: `/api/v1/sites/${id}/papers/controlCard`,
                body: { at: now.toISOString(), by: who, timeZone: TIME_ZONE, mark: mark.id },
              })
            }
          >
            Card (PDF)
          </Button>
          <Button onClick={onMoved}>Found moved…</Button>
          <Button look="primary" onClick={onRevise}>
            New revision…
          </Button>
        </>
      }
    >
      <PaperProgress papers={papers} />
      <div className="grid gap-x-8 gap-y-2 md:grid-cols-2">
        <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-1">
          {facts.map(([name, value]) => (
            <div key={name} className="contents">
              <dt className="text-ink2">{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
        <div>
          <TagLife mark={mark} />
          <h3 className="text-[15px]">On the ground</h3>
          <div className="mt-1 flex flex-wrap gap-2">
            {(Object.keys(VISIT) as VisitOutcome[]).map((outcome) => (
              <Button key={outcome} onClick={() => void visit(outcome)}>
                {VISIT[outcome].charAt(0).toUpperCase() + VISIT[outcome].slice(1)}
              </Button>
            ))}
          </div>
          <p className="mt-1 text-[13px] text-ink2" role="status">
            {noted ? `Noted: ${noted}.` : 'Found means: the label was read, and it is this mark.'}
          </p>
          {trend.propose !== 'nothing' && (
            <Card
              tone={trend.propose === 'sightAgain' ? 'ochre' : 'brick'}
              title={`It disagrees in ${trend.part === 'both' ? 'plan and height' : trend.part} since ${dayAndTime(trend.since!)}`}
            >
              {TREND_PROPOSAL[trend.propose]}
            </Card>
          )}
        </div>
      </div>
      <h3 className="mt-4 text-[15px]">What stations and proofs found</h3>
      {looks.length === 0 ? (
        <p className="text-ink2">No station has sighted it yet.</p>
      ) : (
        <>
          {looks.length > 1 && <MarkChart looks={looks} />}
          <div className="overflow-x-auto">
            <table className={TABLE}>
              <thead>
                <tr>
                  <th className={TH_WORD}>When</th>
                  <th className={TH_WORD}>Station</th>
                  <th className={TH_WORD}>As</th>
                  <th className={TH}>East</th>
                  <th className={TH}>North</th>
                  <th className={TH}>Height</th>
                </tr>
              </thead>
              <tbody>
                {[...looks].reverse().map((look) => (
                  <tr key={look.at + look.as} className={look.offInPlan || look.offInHeight ? 'text-brick' : ''}>
                    <td className={TD_WORD}>{dayAndTime(look.at)}</td>
                    <td className={TD_WORD}>{look.station}</td>
                    <td className={TD_WORD}>
                      {LOOK[look.as]} {(look.offInPlan || look.offInHeight) && <strong>off</strong>}
                    </td>
                    <td className={TD}>{figure(look.dEMm)}</td>
                    <td className={TD}>{figure(look.dNMm)}</td>
                    <td className={TD}>{figure(look.dZMm)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <p className="mt-1 text-[13px] text-ink2">Measured minus listed, mm; of a mark that was used, against what the others say.</p>
        </>
      )}
      {body.brought && (
        <>
          <h3 className="mt-4 text-[15px]">Before, on {body.brought.siteName}</h3>
          <ul className="figures text-[14px] text-ink2">
            {[...body.brought.history].reverse().map((line, i) => (
              <li key={i}>
                {dayAndTime(line.at)}: {line.text}
              </li>
            ))}
          </ul>
        </>
      )}
      <MarkPhotos mark={mark.id} name={body.name} />
      <h3 className="mt-4 text-[15px]">Revisions</h3>
      <ul className="figures text-[14px] text-ink2">
        {mark.revisions.map((revision, i) => (
          <li key={revision.id}>
            r{mark.revisions.length - i}, {dayAndTime(revision.at)}: {units.axes.map((which) => units.length(revision.body[which])).join(', ')},{' '}
            {units.length(revision.body.z)} · {revision.body.condition} · {revision.body.source}
            {revision.body.note && ` · ${revision.body.note}`}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

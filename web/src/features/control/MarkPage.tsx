import { useState, type ReactNode } from 'react';
import { alikeName, familyOf, isProvenControl, markHistory, markTrend, type ControlMark } from '@idle-marker/records';
import { msg, CONTROL_KIND, firmnessOf, FIRMNESS, TREND_PROPOSAL, VISIT } from '@idle-marker/words';
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

const LOOK = { used: 'used', leftOut: msg('common.leftOut'), proof: 'proof', receiver: 'receiver' } as const;
const figure = (mm: number | null): string =>
  mm === null ? '–' : `${mm > 0 ? '+' : mm < 0 ? '−' : ''}${Math.abs(Math.round(mm))}`;

/**
 * All that is known of one control mark: what it is, what was found on the ground, how it has fitted, where it comes
 * from.
 */
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
    state.control
      .filter((each) => each.id !== mark.id && each.revision.body.condition !== 'lost')
      .map((each) => each.revision.body.name),
  );
  const today = now.toISOString().slice(0, 10);
  const overdue = (body.useBefore ?? today) < today;
  const note = useVisit();
  const visit = async (outcome: VisitOutcome) => {
    await note(mark, outcome);
    setNoted(VISIT[outcome]);
  };
  const facts: readonly (readonly [string, ReactNode])[] = [
    [
      msg('common.whatItIs'),
      `${CONTROL_KIND[body.kind]}${body.spot ? msg('control.thePointIs', { spot: body.spot }) : ''}`,
    ],
    [
      msg('common.firmness'),
      `${FIRMNESS[firmness]}${body.firmness ? `: ${body.firmness.reason}` : msg('control.ratedFromItsKind')}`,
    ],
    [msg('common.setBy'), [body.setBy, body.setOn].filter(Boolean).join(', ') || msg('control.notNoted')],
    [msg('control.coordinatesFrom'), body.source || msg('control.notNoted')],
    [
      msg('common.heightFrom'),
      body.heightSource ?? (body.z === null ? msg('control.itHasNone') : msg('control.theSameSource')),
    ],
    ...(body.z !== null
      ? [
          [
            msg('common.height'),
            msg('control.trueHeight', {
              length: units.length(body.z),
              unit: units.unit,
              siteZero:
                state.settings.siteZero === null
                  ? ''
                  : msg('control.againstSiteZero2', { length: units.length(body.z - state.settings.siteZero) }),
            }),
          ] as const,
        ]
      : []),
    [
      msg('control.useFor'),
      [body.usePlan && 'plan', body.useHeight && 'height'].filter(Boolean).join(' and ') || 'nothing',
    ],
    ...(body.useBefore
      ? [
          [
            msg('control.useBefore'),
            <span
              className={overdue ? 'font-semibold text-brick' : ''}
            >{`${body.useBefore}${overdue ? msg('control.overdueReplaceIt') : ''}`}</span>,
          ] as const,
        ]
      : []),
    ...(body.validFor ? [[msg('control.validFor'), body.validFor] as const] : []),
    ...(body.retired ? [[msg('control.retired'), body.retired] as const] : []),
    ...(family.generation > 0
      ? [
          [
            msg('control.family'),
            msg('control.measuredFromWhichStoodOnGeneration', {
              station: family.station,
              parents: family.parents.join(', '),
              generation: family.generation,
              generation2: family.generation > 2 ? msg('control.theChainIsLongEachStationAdds') : '',
            }),
          ] as const,
          [
            msg('control.proven'),
            isProvenControl(state, mark) ? msg('control.byASecondStation') : msg('control.notYetByASecondFreshStation'),
          ] as const,
        ]
      : []),
    ...(alike === null
      ? []
      : [
          [
            msg('control.looksLike'),
            <span className="font-semibold text-ochre">{msg('control.giveOneOfThemANewName', { alike })}</span>,
          ] as const,
        ]),
    [
      msg('control.lastSeen'),
      visits.length > 0
        ? `${dayAndTime(visits.at(-1)!.at)}, ${VISIT[visits.at(-1)!.body.outcome]}`
        : msg('control.neverNoted'),
    ],
  ];
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('control.mark', { name: body.name })}
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
            {msg('control.cardPdf')}
          </Button>
          <Button onClick={onMoved}>{msg('control.foundMoved')}</Button>
          <Button look="primary" onClick={onRevise}>
            {msg('control.newRevision')}
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
          <h3 className="text-[15px]">{msg('control.onTheGround')}</h3>
          <div className="mt-1 flex flex-wrap gap-2">
            {(Object.keys(VISIT) as VisitOutcome[]).map((outcome) => (
              <Button key={outcome} onClick={() => void visit(outcome)}>
                {VISIT[outcome].charAt(0).toUpperCase() + VISIT[outcome].slice(1)}
              </Button>
            ))}
          </div>
          <p className="mt-1 text-[13px] text-ink2" role="status">
            {noted ? msg('control.noted', { noted }) : msg('control.foundMeansTheLabelWasReadAnd')}
          </p>
          {trend.propose !== 'nothing' && (
            <Card
              tone={trend.propose === 'sightAgain' ? 'ochre' : 'brick'}
              title={msg('control.itDisagreesInSince', {
                part: trend.part === 'both' ? msg('control.planAndHeight') : trend.part,
                dayAndTime: dayAndTime(trend.since!),
              })}
            >
              {TREND_PROPOSAL[trend.propose]}
            </Card>
          )}
        </div>
      </div>
      <h3 className="mt-4 text-[15px]">{msg('control.whatStationsAndProofsFound')}</h3>
      {looks.length === 0 ? (
        <p className="text-ink2">{msg('control.noStationHasSightedItYet')}</p>
      ) : (
        <>
          {looks.length > 1 && <MarkChart looks={looks} />}
          <div className="overflow-x-auto">
            <table className={TABLE}>
              <thead>
                <tr>
                  <th className={TH_WORD}>{msg('common.when')}</th>
                  <th className={TH_WORD}>{msg('common.station')}</th>
                  <th className={TH_WORD}>{msg('control.as')}</th>
                  <th className={TH}>{msg('common.east')}</th>
                  <th className={TH}>{msg('common.north')}</th>
                  <th className={TH}>{msg('common.height')}</th>
                </tr>
              </thead>
              <tbody>
                {[...looks].reverse().map((look) => (
                  <tr key={look.at + look.as} className={look.offInPlan || look.offInHeight ? 'text-brick' : ''}>
                    <td className={TD_WORD}>{dayAndTime(look.at)}</td>
                    <td className={TD_WORD}>{look.station}</td>
                    <td className={TD_WORD}>
                      {LOOK[look.as]} {(look.offInPlan || look.offInHeight) && <strong>{msg('control.off')}</strong>}
                    </td>
                    <td className={TD}>{figure(look.dEMm)}</td>
                    <td className={TD}>{figure(look.dNMm)}</td>
                    <td className={TD}>{figure(look.dZMm)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <p className="mt-1 text-[13px] text-ink2">{msg('control.measuredMinusListedMmOfAMark')}</p>
        </>
      )}
      {body.brought && (
        <>
          <h3 className="mt-4 text-[15px]">{msg('control.beforeOn', { siteName: body.brought.siteName })}</h3>
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
      <h3 className="mt-4 text-[15px]">{msg('common.revisions')}</h3>
      <ul className="figures text-[14px] text-ink2">
        {mark.revisions.map((revision, i) => (
          <li key={revision.id}>
            r{mark.revisions.length - i}, {dayAndTime(revision.at)}:{' '}
            {units.axes.map((which) => units.length(revision.body[which])).join(', ')}, {units.length(revision.body.z)}{' '}
            · {revision.body.condition} · {revision.body.source}
            {revision.body.note && ` · ${revision.body.note}`}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

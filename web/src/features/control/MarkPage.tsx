import { controlCorner } from '@idle-marker/records';
import { msg, partWord, trendProposalWords, VISIT, worded, conditionWords } from '@idle-marker/words';
import { PaperProgress } from '../../print/PaperProgress.tsx';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Card } from '../../ui/Slip.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { dayAndTime, TIME_ZONE } from '../../ui/time.ts';
import { TagLife } from './TagLife.tsx';
import { StakeOut } from '../../packages/StakeOut.tsx';
import { MarkPhotos } from '../../pole/MarkPhotos.tsx';
import { type VisitOutcome } from './useVisit.ts';
import { MarkChart } from './LazyMarkChart.tsx';
import { useMarkPage, type MarkPageProps } from './useMarkPage.tsx';

const lookWords = worded(
  () => ({ used: 'used', leftOut: msg('common.leftOut'), proof: 'proof', receiver: 'receiver' }) as const,
);

const figure = (mm: number | null): string =>
  mm === null ? '–' : `${mm > 0 ? '+' : mm < 0 ? '−' : ''}${Math.abs(Math.round(mm))}`;

/**
 * All that is known of one control mark: what it is, what was found on the ground, how it has fitted, where it comes
 * from.
 */
export function MarkPage({ mark, onClose, onRevise, onMoved }: MarkPageProps) {
  const { id, who, now, papers, units, noted, body, looks, trend, visit, facts } = useMarkPage({ mark });
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
              void papers.fetchPaper(
                'controlCardPaper',
                { site: id },
                {
                  body: { at: now.toISOString(), by: who, timeZone: TIME_ZONE, mark: mark.id },
                },
              )
            }
          >
            {msg('control.cardPdf')}
          </Button>
          {controlCorner(mark).map((point) => (
            <StakeOut key={point.name} point={point} />
          ))}
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
                part: trend.part === 'both' ? msg('control.planAndHeight') : partWord(trend.part!),
                dayAndTime: dayAndTime(trend.since!),
              })}
            >
              {trendProposalWords()[trend.propose]}
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
                      {lookWords()[look.as]}{' '}
                      {(look.offInPlan || look.offInHeight) && <strong>{msg('control.off')}</strong>}
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
            · {conditionWords()[revision.body.condition]} · {revision.body.source}
            {revision.body.note && ` · ${revision.body.note}`}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

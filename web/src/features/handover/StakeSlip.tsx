import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import {
  conventionFor,
  markCorner,
  memberName,
  stakeAsSet,
  stakeReading,
  writingBody,
  type RoundStop,
} from '@idle-marker/records';
import { msg, crewWords, allLanguages, stakeNoticeWords } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { LINK } from '../../ui/link.ts';
import { Card } from '../../ui/Slip.tsx';
import { clockTime } from '../../ui/time.ts';
import { StakeOut } from '../../packages/StakeOut.tsx';
import { MarkPhotos } from '../../pole/MarkPhotos.tsx';
import { LathPicture } from './LathPicture.tsx';
import { ReadingCard } from '../../stakes/ReadingCard.tsx';
import { ReportDialog } from './ReportDialog.tsx';
import { WriteDialog } from './WriteDialog.tsx';

interface StakeSlipProps {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop & { readonly mark: Fact<'mark'> };
}

/**
 * One stake: what to write on which side, what to notice, a photo of what was really written, and how a crew reads it.
 */
export function StakeSlip({ work, stop: { plan, mark, standing, report, outdated } }: StakeSlipProps) {
  const { id, state, who } = useSite();
  const [writing, setWriting] = useState(false);
  const [reporting, setReporting] = useState(false);
  const { convention } = conventionFor(state, work.body);
  const [language, setLanguage] = useState(convention.languages[0] ?? 'en');
  const written = useMemo(() => stakeAsSet(state, work.body, plan, mark), [state, work, plan, mark]);
  const reading = useMemo(() => stakeReading(state, work.body, plan, mark), [state, work, plan, mark]);
  const anew = useMemo(() => writingBody(state, work, plan, mark), [state, work, plan, mark]);
  const last = state.writings.get(mark.id);
  return (
    <section
      className="min-w-0 flex-1 border-ink bg-sheet p-5 max-md:border-t max-md:p-3 lg:overflow-y-auto lg:border-l"
      aria-label={msg('handover.stakeOf', { name: plan.name })}
    >
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h1 className="text-2xl">{plan.name}</h1>
          <p className="text-ink2">
            {msg('handover.setBy', {
              name: convention.name,
              clockTime: clockTime(mark.at),
              memberName: memberName(state, mark.by),
              clockTime2:
                last &&
                msg('handover.writtenAnewBy', {
                  clockTime: clockTime(last.at),
                  memberName: memberName(state, last.by),
                }),
            })}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <StakeOut point={markCorner(mark)} />
          <Button onClick={() => setReporting(true)}>{msg('handover.goneOrHit')}</Button>
          <Button look="primary" onClick={() => setWriting(true)}>
            {msg('handover.writeIt')}
          </Button>
        </div>
      </div>
      {report && (
        <Card
          tone="brick"
          title={report.body.kind === 'destroyed' ? msg('common.saidToBeGone') : msg('common.saidToHaveBeenHitOrMoved')}
          actions={
            <Link className={LINK} to={`/sites/${id}/mark?package=${work.id}&mark=${encodeURIComponent(plan.key)}`}>
              {msg('common.setItAgain')}
            </Link>
          }
        >
          {msg('handover.by2', {
            clockTime: clockTime(report.at),
            who: report.body.who || memberName(state, report.by),
            text: report.body.text && `: ${report.body.text}`,
          })}
        </Card>
      )}
      {outdated && (
        <Card tone="brick" title={msg('handover.thePackageAsksForAnotherPlaceOr')}>
          {msg('handover.whatStandsHereWasSetForAn')}
        </Card>
      )}
      {written.notices.length > 0 && (
        <Card
          tone="ochre"
          title={
            written.notices.length === 1
              ? msg('handover.oneThingToNotice')
              : msg('handover.thingsToNotice', { notices: written.notices.length })
          }
        >
          <ul className="list-disc pl-5">
            {written.notices.map((notice, i) => (
              <li key={i}>{stakeNoticeWords(notice, state.settings.lengthUnit)}</li>
            ))}
          </ul>
        </Card>
      )}
      <div className="mt-4">
        <LathPicture
          faces={written.faces}
          carrier={convention.carrier}
          lath={convention.lath}
          paint={convention.unusualPaint}
        />
      </div>
      {anew && (
        <p className="mt-2 text-[13px] text-ochre">
          {msg('handover.whatStandsOnItHowStakesAre', { stakeText: mark.body.stakeText.join(' · ') })}
        </p>
      )}
      <MarkPhotos mark={mark.id} name={plan.name} written />
      <div className="mt-5 flex flex-wrap items-end justify-between gap-3 border-t border-rule pt-3">
        <h2 className="text-xl">{msg('handover.howACrewReadsIt')}</h2>
        <Choice
          label={msg('handover.language')}
          value={language}
          options={allLanguages().map(({ code, name }) => [code, name] as const)}
          onChange={setLanguage}
        />
      </div>
      <div className="mt-2">
        <ReadingCard
          reading={reading}
          words={crewWords(language)}
          unit={state.settings.lengthUnit}
          standing={
            report?.body.kind === 'destroyed' ? 'destroyed' : report || outdated ? 'inDoubt' : (standing ?? 'unproven')
          }
          who={memberName(state, who)}
        />
      </div>
      {writing && (
        <WriteDialog
          name={plan.name}
          mark={mark.id}
          faces={written.faces}
          convention={convention}
          anew={anew}
          onClose={() => setWriting(false)}
        />
      )}
      {reporting && <ReportDialog name={plan.name} mark={mark.id} onClose={() => setReporting(false)} />}
    </section>
  );
}

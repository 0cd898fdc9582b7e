import type { Judgement } from '@idle-marker/core';
import type { SightGroup } from '@idle-marker/records';
import { reasonWords, stepWords, VERDICT_TONE } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { SpreadNote } from './SpreadNote.tsx';

interface JudgementCardProps {
  readonly judgement: Judgement;
  readonly groups: readonly SightGroup[];
  onSight(mark: string): void;
  onLeaveOut(mark: string, part: 'plan' | 'height'): void;
  readonly busy: boolean;
}

/** One card a finding: what, why, and what to do, with its buttons. */
export function JudgementCard({ judgement, groups, onSight, onLeaveOut, busy }: JudgementCardProps) {
  const naming = useNaming();
  const { because, doThis } = judgement;
  const findings = because.length > 0 ? because : [];
  return (
    <>
      {findings.map((reason, i) => {
        const { title, text } = reasonWords(reason, naming);
        const about = reason.code === 'MARK_OFF_PLAN' || reason.code === 'MARK_OFF_HEIGHT' ? reason.name : null;
        const steps = doThis.filter((step) => ('name' in step ? step.name === about : about === null && i === findings.length - 1));
        const tone = about ? 'brick' : reason.code === 'FITS' ? 'good' : VERDICT_TONE[judgement.verdict] === 'good' ? 'ochre' : VERDICT_TONE[judgement.verdict];
        return (
          <Card
            key={reason.code + (about ?? '')}
            tone={tone}
            title={title}
            actions={
              about && (
                <>
                  <Button look="primary" disabled={busy} onClick={() => onSight(about)}>
                    Sight again
                  </Button>
                  <Button disabled={busy} onClick={() => onLeaveOut(about, reason.code === 'MARK_OFF_PLAN' ? 'plan' : 'height')}>
                    Leave out of {reason.code === 'MARK_OFF_PLAN' ? 'plan' : 'height'}
                  </Button>
                </>
              )
            }
          >
            {text} {steps.map((step) => stepWords(step, naming)).join(' ')}
            {about && <SpreadNote groups={groups.filter((group) => group.mark === about)} />}
          </Card>
        );
      })}
    </>
  );
}

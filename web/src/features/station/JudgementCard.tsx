import type { ReactNode } from 'react';
import type { Explanation, Judgement, Reason, Step } from '@idle-marker/core';
import { isFixed, type SightGroup } from '@idle-marker/records';
import { msg, reasonWords, restateButton, spreadWords, stepWords, VERDICT_TONE } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { Button } from '../../ui/Button.tsx';
import { Card } from '../../ui/Slip.tsx';
import { MarkHints } from './MarkHints.tsx';
import { SpreadNote } from './SpreadNote.tsx';
import { canBeRestated } from './useRestating.ts';

interface JudgementCardProps {
  readonly judgement: Judgement;
  readonly groups: readonly SightGroup[];
  onSight(mark: string): void;
  onLeaveOut(mark: string, part: 'plan' | 'height' | 'direction'): void;
  /** Puts right what was entered wrongly, as the explanation says. */
  onRestate(explanation: Explanation): void;
  /** What is to be done about a mark under the instrument whose height does not fit. */
  onHeight?(reason: Extract<Reason, { code: 'OCCUPIED_HEIGHT_OFF' }>): ReactNode;
  readonly busy: boolean;
}

const TONE_OF: Partial<Record<Reason['code'], 'good' | 'ochre' | 'brick'>> = {
  EXPLAINED: 'brick',
  SIGHTED_OFTEN: 'ochre',
  HARDLY_CHECKED: 'ochre',
  PARTLY_HIDDEN: 'ochre',
  FEW_PLACES: 'ochre',
  TOO_COARSE: 'ochre',
  HEIGHTS_AGREE: 'good',
  TYPED_DIRECTION_FITS: 'good',
  OCCUPIED_HEIGHT_OFF: 'brick',
  HEIGHTS_DISAGREE: 'brick',
  BACKSIGHT_HEIGHT_OFF: 'brick',
};

/** Marks that a reason is about. */
function marksOf(reason: Reason): readonly string[] {
  if (reason.code === 'EXPLAINED') return reason.explanation.points;
  if (reason.code === 'BACKSIGHT_HEIGHT_OFF') return [reason.name];
  if (reason.code === 'HEIGHTS_DISAGREE') return reason.names;
  if (reason.code === 'CANNOT_TELL') return 'name' in reason.apart ? [reason.apart.name] : [];
  return [];
}

/** What another sight, or a proof, is asked for by. */
const WANTS_MORE: ReadonlySet<Reason['code']> = new Set([
  'TWO_MARKS',
  'FEW_PLACES',
  'HARDLY_CHECKED',
  'PARTLY_HIDDEN',
  'TOO_COARSE',
  'OVER_ONE_BACKSIGHT',
  'ASSUMED_DIRECTION',
]);
const OPEN: ReadonlySet<Reason['code']> = new Set([
  'PARTLY_HIDDEN',
  'NO_HEIGHT',
  'HEIGHT_UNCHECKED',
  'HEIGHT_HARDLY_CHECKED',
  'HEIGHT_GROWS',
]);
const OWN_STEPS: Partial<Record<Step['code'], Reason['code']>> = { HEIGHT_FROM_BENCHMARKS: 'OCCUPIED_HEIGHT_OFF' };
const isFurther = ({ code }: Step): boolean => code === 'SIGHT_ANOTHER' || code === 'PROVE_ON';

/** One card a finding: what, why, and what to do, with its buttons. */
export function JudgementCard({
  judgement,
  groups,
  onSight,
  onLeaveOut,
  onRestate,
  onHeight,
  busy,
}: JudgementCardProps) {
  const naming = useNaming();
  const { because, doThis } = judgement;
  // A step stands under the finding that it follows from; what is left, under the last one that is not about marks.
  const owner = (step: Step): Reason | undefined =>
    because.find((reason) => reason.code === OWN_STEPS[step.code]) ??
    because.find((reason) => 'name' in step && step.name !== null && marksOf(reason).includes(step.name)) ??
    because.find((reason) => isFurther(step) && WANTS_MORE.has(reason.code)) ??
    because.find((reason) => reason.code === 'EXPLAINED' || reason.code === 'CANNOT_TELL') ??
    because.at(-1);
  return (
    <>
      {because.map((reason, i) => {
        const { title, text } = reasonWords(reason, naming);
        // With something left to prove, nothing is said to stand against going on.
        const steps = doThis.filter(
          (step) => owner(step) === reason && !(step.code === 'ACCEPT' && because.some((each) => OPEN.has(each.code))),
        );
        const verdict = VERDICT_TONE[judgement.verdict];
        return (
          <Card
            key={`${reason.code} ${i}`}
            tone={
              reason.code === 'OCCUPIED_HEIGHT_OFF' && !reason.isUsed
                ? 'ochre'
                : reason.code === 'OVER_SEVERAL_BACKSIGHTS' || reason.code === 'FITS'
                  ? verdict
                  : (TONE_OF[reason.code] ?? (verdict === 'good' ? 'ochre' : verdict))
            }
            title={title}
            actions={
              reason.code === 'EXPLAINED' ? (
                <Actions explanation={reason.explanation} {...{ onSight, onLeaveOut, onRestate, busy }} />
              ) : reason.code === 'OCCUPIED_HEIGHT_OFF' ? (
                onHeight?.(reason)
              ) : reason.code === 'BACKSIGHT_HEIGHT_OFF' ? (
                <>
                  <Button disabled={busy} onClick={() => onSight(reason.name)}>
                    {msg('station.sightAgain')}
                  </Button>
                  <Button disabled={busy} onClick={() => onLeaveOut(reason.name, 'height')}>
                    {msg('station.leaveOutOfHeight')}
                  </Button>
                </>
              ) : null
            }
          >
            {text}
            {reason.code === 'CANNOT_TELL' && judgement.spread && (
              <p className="mt-1 font-semibold">{spreadWords(judgement.spread, naming)}</p>
            )}
            {steps.length > 0 && (
              <ol className={`mt-1 ${steps.length > 1 ? 'list-decimal pl-5' : ''}`}>
                {steps.map((step) => (
                  <li key={stepWords(step, naming)}>{stepWords(step, naming)}</li>
                ))}
              </ol>
            )}
            <MarkHints marks={marksOf(reason)} />
            {marksOf(reason).length > 0 && (
              <SpreadNote groups={groups.filter((group) => marksOf(reason).includes(group.mark))} />
            )}
          </Card>
        );
      })}
    </>
  );
}

function Actions({
  explanation,
  onSight,
  onLeaveOut,
  onRestate,
  busy,
}: { readonly explanation: Explanation } & Omit<JudgementCardProps, 'judgement' | 'groups' | 'onHeight'>) {
  const naming = useNaming();
  const { state } = useSite();
  const [mark] = explanation.points;
  const { code } = explanation;
  // A wall target has no height of target that could be put right.
  const restated =
    canBeRestated(explanation) &&
    !(code === 'TARGET_HEIGHT' && mark !== undefined && isFixed(state, { kind: 'control', mark }));
  const again =
    mark !== undefined &&
    (code === 'MARK_MOVED_PLAN' ||
      code === 'MARK_MOVED_HEIGHT' ||
      code === 'TARGET_HEIGHT' ||
      code === 'DIRECTION_READING');
  return (
    <>
      {restated && (
        <Button look="primary" disabled={busy} onClick={() => onRestate(explanation)}>
          {restateButton(explanation, naming)}
        </Button>
      )}
      {again && (
        <Button look={restated ? 'plain' : 'primary'} disabled={busy} onClick={() => onSight(mark)}>
          {msg('station.sightAgain')}
        </Button>
      )}
      {code === 'MARK_MOVED_PLAN' && (
        <Button disabled={busy} onClick={() => onLeaveOut(mark!, 'plan')}>
          {msg('station.leaveOutOfPlan')}
        </Button>
      )}
      {(code === 'MARK_MOVED_HEIGHT' || code === 'TARGET_HEIGHT') && (
        <Button disabled={busy} onClick={() => onLeaveOut(mark!, 'height')}>
          {msg('station.leaveOutOfHeight')}
        </Button>
      )}
      {code === 'DIRECTION_READING' && (
        <Button disabled={busy} onClick={() => onLeaveOut(mark!, 'direction')}>
          {msg('station.useItsDistanceAlone')}
        </Button>
      )}
    </>
  );
}

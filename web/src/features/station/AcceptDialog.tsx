import { useState } from 'react';
import type { AskedOfStation, Judgement, Obstacle, ResectionResult } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import {
  judgedBody,
  mayDecide,
  solutionBody,
  stationMark,
  type ControlMark,
  type StationDraft,
  type UseFlags,
  type ToleranceClass,
} from '@idle-marker/records';
import { msg, acceptWords, allowedRoles, checkabilityWords, obstacleWords } from '@idle-marker/words';
import type { Said } from '../../data/ledger.ts';
import { newId } from '../../data/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field, Tick } from '../../ui/Field.tsx';

interface AcceptDialogProps {
  readonly open: boolean;
  onClose(): void;
  readonly occupation: Fact<'occupation'>;
  readonly draft: StationDraft;
  readonly result: ResectionResult;
  readonly judgement: Judgement;
  readonly asked: ToleranceClass;
  /** The same as the computation takes it, with the marks that are still to be set. */
  readonly wanted: AskedOfStation;
  readonly obstacles: readonly Obstacle[];
  usageOf(sight: Fact<'sight'>): UseFlags;
  /** The mark to sight next, where one is left. */
  readonly next: ControlMark | null;
  onSight(mark: string): void;
  onAccepted(): void;
  /** Accepted although nothing checks it: the proof comes next. */
  onProve(): void;
}

/** Keeps the station as it is now. Against the class's terms it is provisional and needs a reason. */
export function AcceptDialog({
  open,
  onClose,
  occupation,
  draft,
  result,
  judgement,
  asked,
  wanted,
  obstacles,
  usageOf,
  next,
  onSight,
  onAccepted,
  onProve,
}: AcceptDialogProps) {
  const { state, say, inForce, who } = useSite();
  const naming = useNaming();
  const [reason, setReason] = useState('');
  const [tried, setTried] = useState(false);
  const [keep, setKeep] = useState(false);
  const provisional = obstacles.length > 0;
  const unchecked = judgement.checkability === 'unchecked';
  const known =
    Boolean(occupation.body.over) || state.control.some((mark) => mark.revision.body.name === occupation.body.name);
  const allowed = mayDecide(state, who, provisional ? 'provisional' : 'accepted');
  const decide = async (verdict: 'accepted' | 'provisional' | 'refused', then: () => void = onAccepted) => {
    setTried(true);
    if (verdict !== 'accepted' && reason.trim() === '') return;
    const solution = newId();
    const previous = inForce?.occupation.id === occupation.id ? inForce.fact.id : null;
    const body = solutionBody(state, occupation, draft, result, asked.id, usageOf, previous);
    const facts: Said[] = [
      { type: 'solution', id: solution, body },
      { type: 'decision', body: { solution, verdict, reason: reason.trim(), judged: judgedBody(judgement, wanted) } },
    ];
    if (keep && verdict !== 'refused')
      facts.push({ type: 'control', body: stationMark(newId(), occupation, body.result, solution) });
    await say(...facts);
    then();
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={
        provisional
          ? msg('station.doesNotMeet', { name: occupation.body.name, name2: asked.name.toLowerCase() })
          : unchecked
            ? msg('station.nothingChecksYet', { name: occupation.body.name })
            : msg('station.acceptFor', { name: occupation.body.name, name2: asked.name.toLowerCase() })
      }
      foot={
        <>
          <Button onClick={onClose}>{msg('station.notYet')}</Button>
          <Button look="danger" onClick={() => void decide('refused')}>
            {msg('station.refuse')}
          </Button>
          {unchecked && next && (
            <Button disabled={!allowed} onClick={() => void decide(provisional ? 'provisional' : 'accepted', onProve)}>
              {provisional ? msg('station.acceptAsProvisional') : msg('station.acceptUnchecked')}
            </Button>
          )}
          {unchecked && next ? (
            <Button look="primary" onClick={() => onSight(next.id)}>
              {msg('common.sight2', { name: next.revision.body.name })}
            </Button>
          ) : (
            <Button
              look="primary"
              disabled={!allowed}
              onClick={() => void decide(provisional ? 'provisional' : 'accepted', unchecked ? onProve : onAccepted)}
            >
              {provisional
                ? msg('station.acceptAsProvisional')
                : unchecked
                  ? msg('station.acceptThenProveIt')
                  : msg('station.accept')}
            </Button>
          )}
        </>
      }
    >
      {provisional ? (
        <>
          <p>{msg('station.itCanOnlyBeAcceptedAsProvisional')}</p>
          <ul className="my-2 list-disc pl-5">
            {obstacles.map((obstacle) => (
              <li key={obstacleWords(obstacle, naming)}>{obstacleWords(obstacle, naming)}</li>
            ))}
          </ul>
        </>
      ) : (
        <p>
          {checkabilityWords()[judgement.checkability].text} {acceptWords()[judgement.checkability]}
        </p>
      )}
      {!allowed && (
        <p className="mt-2 border-l-4 border-ochre pl-3">
          {msg('station.hereIsAcceptedByCallForHelp', {
            provisional: provisional ? msg('station.aProvisionalStation') : 'a station',
            allowedRoles: allowedRoles(state.settings.mayAccept?.[provisional ? 'provisional' : 'accepted'] ?? []),
          })}
        </p>
      )}
      <Field
        className="mt-3"
        label={provisional ? msg('common.reasonNeeded') : msg('station.remarkOrReasonForRefusing')}
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried && reason.trim() === '' ? msg('station.sayWhyProvisionalAndRefusedStations') : null}
      />
      {!known && (
        <>
          <Tick
            label={msg('station.keepThePlaceOfAsAMark', { name: occupation.body.name })}
            checked={keep}
            onChange={setKeep}
          />
          {keep && <p className="text-[13px] text-ink2">{msg('station.onlyIfTheGroundUnderTheInstrument')}</p>}
        </>
      )}
    </Dialog>
  );
}

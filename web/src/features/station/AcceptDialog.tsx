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
import { ACCEPT_WORDS, allowedRoles, CHECKABILITY_WORDS, obstacleWords } from '@idle-marker/words';
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
  const known = Boolean(occupation.body.over) || state.control.some((mark) => mark.revision.body.name === occupation.body.name);
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
    if (keep && verdict !== 'refused') facts.push({ type: 'control', body: stationMark(newId(), occupation, body.result, solution) });
    await say(...facts);
    then();
  };
  return (
    <Dialog
      open={open}
      onClose={onClose}
      title={
        provisional
          ? `${occupation.body.name} does not meet ${asked.name.toLowerCase()}`
          : unchecked
            ? `Nothing checks ${occupation.body.name} yet`
            : `Accept ${occupation.body.name} for ${asked.name.toLowerCase()}`
      }
      foot={
        <>
          <Button onClick={onClose}>Not yet</Button>
          <Button look="danger" onClick={() => void decide('refused')}>
            Refuse
          </Button>
          {unchecked && next && (
            <Button disabled={!allowed} onClick={() => void decide(provisional ? 'provisional' : 'accepted', onProve)}>
              {provisional ? 'Accept as provisional' : 'Accept unchecked'}
            </Button>
          )}
          {unchecked && next ? (
            <Button look="primary" onClick={() => onSight(next.id)}>
              Sight {next.revision.body.name}
            </Button>
          ) : (
            <Button look="primary" disabled={!allowed} onClick={() => void decide(provisional ? 'provisional' : 'accepted', unchecked ? onProve : onAccepted)}>
              {provisional ? 'Accept as provisional' : unchecked ? 'Accept, then prove it' : 'Accept'}
            </Button>
          )}
        </>
      }
    >
      {provisional ? (
        <>
          <p>It can only be accepted as provisional, and the reason goes along to every sheet. Against it stands:</p>
          <ul className="my-2 list-disc pl-5">
            {obstacles.map((obstacle) => (
              <li key={obstacleWords(obstacle, naming)}>{obstacleWords(obstacle, naming)}</li>
            ))}
          </ul>
        </>
      ) : (
        <p>
          {CHECKABILITY_WORDS[judgement.checkability].text} {ACCEPT_WORDS[judgement.checkability]}
        </p>
      )}
      {!allowed && (
        <p className="mt-2 border-l-4 border-ochre pl-3">
          Here {provisional ? 'a provisional station' : 'a station'} is accepted by{' '}
          {allowedRoles(state.settings.mayAccept?.[provisional ? 'provisional' : 'accepted'] ?? [])}. Call for help, or let one of them look at it on this
          device.
        </p>
      )}
      <Field
        className="mt-3"
        label={provisional ? 'Reason (needed)' : 'Remark, or reason for refusing'}
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried && reason.trim() === '' ? 'Say why: provisional and refused stations carry their reason.' : null}
      />
      {!known && (
        <>
          <Tick label={`Keep the place of ${occupation.body.name} as a mark, too`} checked={keep} onChange={setKeep} />
          {keep && (
            <p className="text-[13px] text-ink2">
              Only if the ground under the instrument is marked. It is listed as usable, for proofs alone, with the precision it has here.
            </p>
          )}
        </>
      )}
    </Dialog>
  );
}

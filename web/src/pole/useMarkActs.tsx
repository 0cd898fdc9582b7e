import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { isOverdue, type AcceptedSolution, type RoundStop } from '@idle-marker/records';
import type { Fact } from '@idle-marker/contract';
import { msg, worded } from '@idle-marker/words';
import { useProofAge } from '../site/railFacts.ts';
import { useSite } from '../site/SiteContext.tsx';
import { BlockedDialog } from './BlockedDialog.tsx';
import { CareDialog } from './CareDialog.tsx';
import { PutOffDialog } from './PutOffDialog.tsx';
import type { Round } from './useRound.ts';
import type { Due, Staking } from './useStaking.ts';

/** What the key does that is due. */
export const dueLabel = worded((): Readonly<Record<Due, string>> => ({
  rough: msg('pole.paintIt'),
  set: msg('pole.setMark'),
  shootHub: msg('pole.shootHub'),
  next: msg('pole.nextMark'),
  shoot: msg('pole.shoot'),
}));

export interface MarkActs {
  readonly label: string;
  readonly busy: boolean;
  /** A question is open: keys wait for its answer. */
  readonly isAsking: boolean;
  /** What is due; an overdue check is asked about first. */
  act(): void;
  block(): void;
  care(): void;
  readonly dialogs: ReactNode;
}

interface MarkActsOf {
  readonly work: Fact<'package'>;
  readonly stop: RoundStop;
  readonly round: Round;
  readonly staking: Staking;
  readonly solution: AcceptedSolution;
}

/** What can be done at one mark with a station, and the questions that come with it. */
export function useMarkActs(of: MarkActsOf | null): MarkActs {
  const { id, state, now } = useSite();
  const [blocking, setBlocking] = useState(false);
  const [caring, setCaring] = useState(false);
  const [asking, setAsking] = useState<(() => void) | null>(null);
  const navigate = useNavigate();
  const age = useProofAge();
  if (!of)
    return {
      label: '',
      busy: false,
      isAsking: false,
      act: () => undefined,
      block: () => undefined,
      care: () => undefined,
      dialogs: null,
    };
  const { work, stop, round, staking, solution } = of;
  const { due } = staking;
  const overdue = isOverdue(state, age, solution, now);
  return {
    label: staking.isOneKey && due === 'shoot' ? msg('pole.shootAndKeep') : dueLabel()[due],
    busy: staking.shooting.doing !== null,
    isAsking: asking !== null,
    // What puts a mark into the ground is asked about while a proof is overdue.
    act: () => (overdue && (due === 'set' || due === 'shoot') ? setAsking(() => staking.act) : staking.act()),
    block: () => setBlocking(true),
    care: () => setCaring(true),
    dialogs: (
      <>
        <PutOffDialog
          solution={solution}
          open={asking !== null}
          title={msg('pole.aProofIsOverdueGoOnAll')}
          onClose={() => setAsking(null)}
          onProve={() => void navigate(`/sites/${id}/prove`)}
          onPutOff={() => asking?.()}
        />
        {caring && <CareDialog onClose={() => setCaring(false)} />}
        {blocking && <BlockedDialog work={work} stop={stop} onClose={() => setBlocking(false)} onLeave={round.next} />}
      </>
    ),
  };
}

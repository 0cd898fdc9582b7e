import { useMemo, useState } from 'react';
import { checkJson, type Fact } from '@idle-marker/contract';
import {
  judgeProof,
  proofCandidates,
  stationOfSolution,
  usedBy,
  type AcceptedSolution,
  type ControlMark,
  type ProofCandidate,
  type ProofJudgement,
} from '@idle-marker/records';
import { stationErrorSentence } from '@idle-marker/words';
import { useMisnamed, type Misnamed } from '../../link/useMisnamed.ts';
import { useShooting, type Shooting } from '../../link/takeSight.ts';
import { useSite } from '../../site/SiteContext.tsx';

export interface Proven {
  readonly mark: ControlMark;
  readonly judged: ProofJudgement;
  readonly independent: boolean;
}

export interface Proving {
  readonly shooting: Shooting;
  /** Marks to prove on, the best first. */
  readonly candidates: readonly ProofCandidate[];
  /** The chosen one, else the best. */
  readonly target: ControlMark | null;
  choose(mark: string): void;
  readonly last: Proven | null;
  readonly fault: string | null;
  readonly misnamed: Misnamed;
  prove(mark: ControlMark): Promise<void>;
  rename(): Promise<void>;
  keepName(): Promise<void>;
}

/** One proof after the other; a reading that fits another mark better is asked about before it is judged. */
export function useProving(): Proving {
  const { state, inForce, say } = useSite();
  const shooting = useShooting();
  const misnamed = useMisnamed();
  const [chosen, choose] = useState<string | null>(null);
  const [last, setLast] = useState<Proven | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const markOf = (id: string | null) => state.control.find((mark) => mark.id === id) ?? null;

  const judge = async (solution: AcceptedSolution, mark: ControlMark, sight: Fact<'sight'>) => {
    const asked = state.settings.classes.find((each) => each.id === solution.fact.body.class) ?? state.settings.classes[0]!;
    const judged = judgeProof(state, solution, mark, sight, asked);
    if (!judged.ok) {
      setFault(stationErrorSentence(judged.error));
      return;
    }
    const { plan, height, check } = judged.value;
    // Sighting the same mark again after a poor proof takes its place; sighting something else never does.
    const earlier = state.proofs.findLast((proof) => proof.body.solution === solution.fact.id && proof.body.control === mark.id);
    const poor = earlier && [earlier.body.plan, earlier.body.height].some((part) => part === 'outside' || part === 'moreThanChance');
    await say({
      type: 'proof',
      body: {
        solution: solution.fact.id,
        sight: sight.id,
        control: mark.id,
        revision: mark.revision.id,
        class: asked.id,
        plan,
        height,
        result: checkJson(check),
        supersedes: poor ? earlier.id : null,
      },
    });
    const used = usedBy(solution, mark.id);
    setLast({ mark, judged: judged.value, independent: (plan !== 'notMeasured' && !used.plan) || (height !== 'notMeasured' && !used.height) });
  };
  const prove = async (mark: ControlMark) => {
    if (!inForce) return;
    choose(mark.id);
    setLast(null);
    setFault(null);
    misnamed.keep();
    const sight = await shooting.shoot('proof', { kind: 'control', mark: mark.id }, { name: mark.revision.body.name });
    if (!sight || misnamed.look(inForce.occupation, stationOfSolution(inForce.fact.body.result), sight)) return;
    await judge(inForce, mark, sight);
  };
  const rename = async () => {
    const sight = await misnamed.rename();
    const mark = sight?.body.target.kind === 'control' ? markOf(sight.body.target.mark) : null;
    if (!inForce || !sight || !mark) return;
    choose(mark.id);
    await judge(inForce, mark, sight);
  };
  const keepName = async () => {
    const { doubt } = misnamed;
    const mark = doubt && markOf(doubt.named);
    misnamed.keep();
    if (inForce && doubt && mark) await judge(inForce, mark, doubt.sight);
  };
  const candidates = useMemo(() => (inForce ? proofCandidates(state, inForce) : []), [state, inForce]);
  return { shooting, candidates, target: markOf(chosen) ?? candidates[0]?.mark ?? null, choose, last, fault, misnamed, prove, rename, keepName };
}

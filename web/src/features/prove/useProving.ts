import { useState } from 'react';
import { checkJson, type Fact } from '@idle-marker/contract';
import {
  judgeProof,
  judgeResight,
  stationOfSolution,
  usedBy,
  type AcceptedSolution,
  type ControlMark,
  type ProofCandidate,
  type ProofJudgement,
  classOf,
} from '@idle-marker/records';
import { stationErrorSentence } from '@idle-marker/words';
import { useMisnamed, type Misnamed } from '../../pole/useMisnamed.ts';
import { useShooting, type Shooting } from '../../pole/takeSight.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useProofCandidates } from '../../site/useProofCandidates.ts';

/** What came of the last sight: to a control mark, or to a set mark again. */
export interface Proven {
  readonly name: string;
  readonly judged: ProofJudgement;
  readonly sight: Fact<'sight'>;
  readonly kind: 'proof' | 'repeat' | 'resight' | 'ownResight';
  readonly target: { readonly control: ControlMark } | { readonly set: Fact<'mark'> };
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
  resight(mark: Fact<'mark'>): Promise<void>;
  /** The last sight once more; a poor one is replaced by it. */
  again(): Promise<void>;
  rename(): Promise<void>;
  keepName(): Promise<void>;
}

const isPoor = ({ body }: Fact<'proof'> | Fact<'resight'>): boolean =>
  [body.plan, body.height].some((part) => part === 'outside' || part === 'moreThanChance');

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
    const asked = classOf(state, solution.fact.body.class);
    const judged = judgeProof(state, solution, mark, sight, asked);
    if (!judged.ok) {
      setFault(stationErrorSentence(judged.error));
      return;
    }
    const { plan, height, check } = judged.value;
    // Sighting the same mark again after a poor proof takes its place; sighting something else never does.
    const earlier = state.proofs.findLast(
      (proof) => proof.body.solution === solution.fact.id && proof.body.control === mark.id,
    );
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
        supersedes: earlier && isPoor(earlier) ? earlier.id : null,
      },
    });
    const used = usedBy(solution, mark.id);
    const independent = (plan !== 'notMeasured' && !used.plan) || (height !== 'notMeasured' && !used.height);
    setLast({
      name: mark.revision.body.name,
      judged: judged.value,
      sight,
      kind: independent ? 'proof' : 'repeat',
      target: { control: mark },
    });
  };
  const resight = async (mark: Fact<'mark'>) => {
    if (!inForce) return;
    setFault(null);
    misnamed.keep();
    const { e, n } = mark.body.place;
    const hub = mark.body.hubZ === null ? {} : { hub: { e, n, z: mark.body.hubZ } };
    const sight = await shooting.shoot('resight', { kind: 'mark', mark: mark.id }, { name: mark.body.name, ...hub });
    if (!sight) return;
    const judged = judgeResight(state, inForce, mark, sight);
    if (!judged.ok) {
      setFault(stationErrorSentence(judged.error));
      return;
    }
    const { plan, height, check } = judged.value;
    const earlier = state.resights.findLast(
      (each) => each.body.solution === inForce.fact.id && each.body.mark === mark.id,
    );
    await say({
      type: 'resight',
      body: {
        solution: inForce.fact.id,
        sight: sight.id,
        mark: mark.id,
        class: mark.body.class,
        plan,
        height,
        result: checkJson(check),
        supersedes: earlier && isPoor(earlier) ? earlier.id : null,
      },
    });
    const kind = mark.body.solution === inForce.fact.id ? 'ownResight' : 'resight';
    setLast({ name: mark.body.name, judged: judged.value, sight, kind, target: { set: mark } });
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
  // Called from the page as it is now: the proof that was just made has to be known to be replaced.
  const again = async () => {
    if (!last) return;
    await ('control' in last.target ? prove(last.target.control) : resight(last.target.set));
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
  const candidates = useProofCandidates();
  return {
    shooting,
    candidates,
    target: markOf(chosen) ?? candidates[0]?.mark ?? null,
    choose,
    last,
    fault,
    misnamed,
    prove,
    resight,
    again,
    rename,
    keepName,
  };
}

import { useMemo, useState } from 'react';
import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { claimOf, type ControlMark } from '@idle-marker/records';
import { useProofAge } from '../../site/railFacts.ts';
import { useFacing } from '../../link/linkStore.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, marksScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { useKey } from '../../ui/useKey.ts';
import { useProving } from './useProving.ts';

/** What ProvePlace shows, and what its buttons do. */
export function useProvePlace() {
  const { id, state, trust, inForce, occupation } = useSite();
  const units = useUnits();
  const facing = useFacing(inForce && inForce.fact.body.result.orientationDeg * RADIANS_PER_DEGREE);
  const proving = useProving();
  const { shooting, target, last, fault, prove } = proving;
  const chosen = target?.id ?? null;
  const age = useProofAge();
  const claim = useMemo(() => inForce && claimOf(state, trust, inForce), [state, trust, inForce]);
  const [moved, setMoved] = useState<ControlMark | null>(null);
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const scene = useMemo(() => {
    if (!inForce) return joinScenes(outlineScene(state.packages), controlScene(state.control, null));
    const { result, name } = inForce.fact.body;
    const at = { e: result.e, n: result.n };
    return joinScenes(
      outlineScene(state.packages),
      marksScene(state, state.packages, standings, null),
      { instruments: [{ at, label: name, facing }] },
      controlScene(state.control, chosen),
    );
  }, [state, inForce, facing, chosen, standings]);
  const solution = inForce?.fact.id;
  const proofs = useMemo(
    () => state.proofs.filter((proof) => proof.body.solution === solution),
    [state.proofs, solution],
  );
  useKey('a', target && !shooting.doing ? () => void prove(target) : null);
  return {
    id,
    state,
    trust,
    inForce,
    occupation,
    units,
    proving,
    shooting,
    target,
    last,
    fault,
    prove,
    chosen,
    age,
    claim,
    moved,
    setMoved,
    scene,
    proofs,
  };
}

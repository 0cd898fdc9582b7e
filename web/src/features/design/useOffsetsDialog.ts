import { useMemo, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import {
  markKey,
  offsetProposals,
  ownOffset,
  setInAreas,
  usualLongest,
  withProposals,
  type OwnOffset,
} from '@idle-marker/records';
import { areaScene } from '../../board/areaScene.ts';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { lengthDraft, lengthOf } from '../../field/draft.ts';
import { useUnits } from '../../field/useUnits.ts';

/** What OffsetsDialog shows, and what its buttons do. */
export function useOffsetsDialog({
  work,
  onClose,
}: Pick<{ work: Fact<'package'>; onClose(): void }, 'work' | 'onClose'>) {
  const { state, say, inForce } = useSite();
  const units = useUnits();
  const [longest, setLongest] = useState(() => lengthDraft(usualLongest(units.lengthUnit), units));
  const [seen, setSeen] = useState(inForce !== null);
  const longestRead = lengthOf(longest, units);
  const isGood = longestRead !== null && longestRead > 0 && longestRead <= 200;
  const root = state.packageRoots.get(work.id)!;
  const instrument = seen && inForce ? inForce.fact.body.result : null;
  const proposals = useMemo(
    () =>
      isGood ? offsetProposals(state, work, (key) => state.marks.has(markKey(root, key)), longestRead, instrument) : [],
    [state, work, root, isGood, longestRead, instrument],
  );
  const lost = useMemo(
    () => setInAreas(state, work, (key) => state.marks.has(markKey(root, key))),
    [state, work, root],
  );
  const [own, setOwn] = useState<ReadonlyMap<string, OwnOffset>>(new Map());
  const [handKey, setHandKey] = useState('');
  const changed = proposals.filter((each) => each.hindrances.length > 0);
  const moved = changed.filter((each) => each.place !== null);
  const stuck = changed.filter((each) => each.place === null);
  const planOf = (key: string) => work.body.plans.find((plan) => plan.key === key)!;
  const scene = useMemo(() => {
    const kept = new Set(changed.map((each) => each.key));
    const symbols: SceneSymbol[] = [
      ...[...own].map(([key, { place, hindrances }]) => ({
        id: key,
        at: place,
        symbol: 'toSet' as const,
        label: planOf(key).name,
        ink: hindrances.length > 0 ? ('brick' as const) : ('spruce' as const),
        chosen: true,
      })),
      ...work.body.plans
        .filter((plan) => !kept.has(plan.key) && !own.has(plan.key))
        .map((plan) => ({
          id: plan.key,
          at: plan.place,
          symbol: 'toSet' as const,
          label: plan.name,
          ink: 'ink2' as const,
        })),
      ...changed
        .filter(({ key }) => !own.has(key))
        .map(({ key, place }) => ({
          id: key,
          at: place ?? planOf(key).place,
          symbol: 'toSet' as const,
          label: planOf(key).name,
          ink: place ? ('pencil' as const) : ('brick' as const),
          struck: place === null,
        })),
    ];
    return joinScenes(outlineScene(state.packages), areaScene(state.areas.map((each) => each.body)), {
      symbols,
      arrows: moved.map(({ key, place }) => ({ from: planOf(key).place, to: place!, ink: 'pencil' as const })),
      instruments: instrument ? [{ at: instrument, label: inForce!.fact.body.name, facing: null }] : [],
    });
    // oxlint-disable-next-line react/exhaustive-deps -- all else follows from the proposals
  }, [proposals, own, state, work]);
  const use = async () => {
    const body = withProposals(work, proposals);
    const plans = body.plans.map((plan) => {
      const moved = own.get(plan.key);
      return moved ? { ...plan, offset: moved.offset, place: moved.place } : plan;
    });
    await say({ type: 'package', body: { ...body, plans } });
    onClose();
  };
  const isOpen = (key: string) => !state.marks.has(markKey(root, key));
  const byHand = work.body.plans.filter((plan) => plan.offset > 0 && isOpen(plan.key));
  const hand = byHand.find((plan) => plan.key === handKey) ?? byHand[0] ?? null;
  const placeNow = (plan: (typeof byHand)[number]) =>
    own.get(plan.key)?.offset ?? proposals.find((each) => each.key === plan.key)?.offset ?? plan.offset;
  const moveTo = (key: string, offset: number) => {
    const plan = byHand.find((each) => each.key === key);
    const moved = plan && ownOffset(state, plan, offset, instrument);
    if (moved) setOwn(new Map(own).set(key, moved));
  };
  const bad = [...own].filter(([, { hindrances }]) => hindrances.length > 0);
  const lengths = [...new Set(moved.map((each) => units.length(each.offset)))];
  return {
    state,
    inForce,
    units,
    longest,
    setLongest,
    seen,
    setSeen,
    longestRead,
    isGood,
    lost,
    own,
    setOwn,
    setHandKey,
    changed,
    moved,
    stuck,
    planOf,
    scene,
    use,
    byHand,
    hand,
    placeNow,
    moveTo,
    bad,
    lengths,
  };
}

export type OffsetsDialogModel = ReturnType<typeof useOffsetsDialog>;

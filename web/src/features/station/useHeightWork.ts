import { useMemo, useState } from 'react';
import { fitsByChance, formatSigned } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { heightDraft } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useShooting } from '../../pole/takeSight.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../field/useUnits.ts';

const misfitOf = (point: { readonly leaveOneOutHeight: { readonly w: number } | null } | null): number =>
  Math.abs(point?.leaveOneOutHeight?.w ?? 0);

/** What HeightWork shows, and what its buttons do. */
export function useHeightWork({
  occupation,
}: Pick<{ readonly occupation: Fact<'occupation'>; onNew(): void }, 'occupation'>) {
  const { id, state, say } = useSite();
  const units = useUnits();
  const shooting = useShooting();
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [adding, setAdding] = useState(false);
  const [spot, setSpot] = useState('');
  const [reading, setReading] = useState('');
  const draft = useMemo(() => heightDraft(state, occupation, out), [state, occupation, out]);
  const result = draft.outcome?.ok ? draft.outcome.value : null;
  const scene = useMemo(() => joinScenes(outlineScene(state.packages), controlScene(state.control, null)), [state]);
  const small = smallUnit(units.lengthUnit);
  const benchmarks = state.control.filter(
    ({ revision: { body } }) => body.z !== null && body.useHeight && body.condition !== 'lost',
  );
  const sighted = new Set(draft.groups.map((group) => group.mark));
  // One bad benchmark pulls at the others: the one that fits worst is named.
  const off = result?.points
    .filter((point) => point.leaveOneOutHeight?.exceeds)
    .reduce<(typeof result.points)[number] | null>(
      (worst, point) => (misfitOf(point) > misfitOf(worst) ? point : worst),
      null,
    );
  const poor = (off ?? null) !== null || (result !== null && !fitsByChance(result.height.fit));
  const isChecked = result !== null && result.reliability.state !== 'unchecked';
  const formatOff = (metres: number | null) =>
    metres === null ? '–' : formatSigned(metres * small.perMetre, small.decimals);
  const naming = useNaming();
  const { nameOf } = naming;
  const busy = shooting.doing !== null;
  const sight = async (mark: string) => {
    setReading(msg('common.readingTo', { name: nameOf(mark) }));
    await shooting.shoot('station', { kind: 'control', mark }, { name: nameOf(mark) });
  };
  const readSpot = async () => {
    const name = spot.trim();
    if (name === '') return;
    setReading(msg('common.readingAt', { name }));
    const taken = await shooting.shoot('spot', { kind: 'spot', name }, null);
    if (taken) setSpot('');
  };
  const toggle = (mark: string) =>
    setOut((before) => new Set(before.has(mark) ? [...before].filter((each) => each !== mark) : [...before, mark]));
  return {
    id,
    state,
    say,
    units,
    shooting,
    out,
    adding,
    setAdding,
    spot,
    setSpot,
    reading,
    draft,
    result,
    scene,
    small,
    benchmarks,
    sighted,
    off,
    poor,
    isChecked,
    formatOff,
    naming,
    nameOf,
    busy,
    sight,
    readSpot,
    toggle,
  };
}

export type HeightWorkModel = ReturnType<typeof useHeightWork>;

import { useMemo } from 'react';
import type { FactBody } from '@idle-marker/contract';
import { shapesOf, type Clearance } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { areaScene } from '../../board/areaScene.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { joinScenes, type SceneSymbol } from '../../board/scene.ts';
import { useSite } from '../../site/SiteContext.tsx';

interface PackagePreviewProps {
  readonly items: FactBody<'package'>['items'];
  readonly plans: FactBody<'package'>['plans'];
  readonly clearances: readonly Clearance[];
}

/** What will be marked, on the plan, before the package is made. */
export function PackagePreview({ items, plans, clearances }: PackagePreviewProps) {
  const { areas } = useSite().state;
  const units = useUnits();
  const nearest = clearances[0];
  const underlay = useUnderlay();
  const scene = useMemo(
    () =>
      joinScenes(areaScene(areas.map((each) => each.body)), {
        lines: [
          ...items
            .flatMap(shapesOf)
            .map(({ closed, points }) => ({ points, ink: 'pencil' as const, closed, filled: closed })),
          ...(nearest ? [{ points: [nearest.at, nearest.to], ink: 'brick' as const, width: 3 }] : []),
        ],
        texts: nearest
          ? [{ at: nearest.to, text: `${units.length(nearest.gap)} ${units.unit}`, ink: 'brick' as const }]
          : [],
        symbols: plans.map((plan): SceneSymbol => ({
          id: plan.key,
          at: plan.place,
          symbol: 'toSet',
          label: plan.name,
          ink: 'pencil',
          pickable: false,
        })),
      }),
    [areas, items, plans, nearest, units],
  );
  const fitTo = useMemo(() => plans.map(({ place }) => place), [plans]);
  return (
    <div className="relative mt-3 h-[300px] border border-ink2">
      <Board
        scene={scene}
        underlay={underlay}
        description={msg('design.planWithTheMarksThatThisGives', { plans: plans.length })}
        fitTo={fitTo}
        fitKey={JSON.stringify(fitTo)}
      />
    </div>
  );
}

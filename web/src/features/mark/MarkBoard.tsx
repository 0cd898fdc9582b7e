import { planDistance, VIEWPOINTS } from '@idle-marker/core';
import { msg, smallLength } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { GuidanceBoard } from '../../pole/GuidanceBoard.tsx';
import { WayBoard } from '../../pole/WayBoard.tsx';
import type { MarkScene } from './markScene.ts';

/** The scales, or the way to the mark on the plan. */
export function MarkBoard({
  round,
  stop,
  solution,
  shown,
  stale,
  onPlan,
  move,
  trail,
  viewpoint,
  onViewpoint,
  staking: { tolerance },
}: MarkScene) {
  const units = useUnits();
  const { name, result } = solution.fact.body;
  if (onPlan)
    return (
      <WayBoard
        round={round}
        stop={stop}
        instrument={{ e: result.e, n: result.n, name }}
        pole={shown?.measured ?? null}
        stale={stale}
      />
    );
  const toInstrument = units.length(planDistance(shown?.measured ?? stop.plan.place, result), 0);
  return (
    <GuidanceBoard
      move={move}
      trail={trail}
      viewpoint={viewpoint}
      tolerance={tolerance}
      toleranceWords={msg('common.within', { smallLength: smallLength(tolerance, units.lengthUnit) })}
      ahead={viewpoint === 'facingInstrument' ? msg('mark.aheadOfYou', { name, toInstrument, unit: units.unit }) : null}
      stale={stale}
      onViewpoint={() => onViewpoint(VIEWPOINTS[(VIEWPOINTS.indexOf(viewpoint) + 1) % VIEWPOINTS.length]!)}
    />
  );
}

import { useMemo } from 'react';
import type { PlanPoint } from '@idle-marker/core';
import type { RoundStop } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { useUnderlay } from '../drawings/useDrawings.ts';
import { areaScene } from '../board/areaScene.ts';
import { Board } from '../board/LazyBoard.tsx';
import { joinScenes, type SceneSymbol, type SymbolName } from '../board/scene.ts';
import { outlineScene } from '../board/siteScene.ts';
import { useSite } from '../site/SiteContext.tsx';
import type { Round } from './useRound.ts';

interface WayBoardProps {
  readonly round: Round;
  readonly stop: RoundStop;
  /** Null where it gives heights alone. */
  readonly instrument: (PlanPoint & { readonly name: string }) | null;
  readonly pole: PlanPoint | null;
  readonly stale: boolean;
}

const stopSymbol = ({ mark, obstruction, standing }: RoundStop): SymbolName =>
  obstruction
    ? 'blocked'
    : !mark
      ? 'toSet'
      : standing === 'inDoubt'
        ? 'inDoubt'
        : mark.body.state === 'rough'
          ? 'rough'
          : mark.body.state === 'confirmed'
            ? 'confirmed'
            : 'set';

/**
 * The way to the mark on the plan, before one walks: the line of sight, the pole, the drawing, and what lies between.
 * Picking another mark goes to it.
 */
export function WayBoard({ round, stop, instrument, pole, stale }: WayBoardProps) {
  const { state } = useSite();
  const underlay = useUnderlay();
  const { place } = stop.plan;
  const scene = useMemo(
    () =>
      joinScenes(outlineScene(state.packages), areaScene(state.areas.map((each) => each.body)), {
        lines: [
          ...(instrument ? [{ points: [instrument, place], ink: 'ink2' as const, dash: [8, 5], width: 1.2 }] : []),
          ...(pole ? [{ points: [pole, place], ink: 'spruce' as const, dash: [4, 4], width: 1.6 }] : []),
        ],
        symbols: [
          ...round.stops.map((each): SceneSymbol => ({
            id: each.plan.key,
            at: each.plan.place,
            symbol: stopSymbol(each),
            label: each.plan.name,
            ink: each.mark && each.mark.body.state !== 'rough' ? 'ink' : 'pencil',
            chosen: each.plan.key === stop.plan.key,
          })),
          ...(pole
            ? [
                {
                  id: 'pole',
                  at: pole,
                  symbol: 'pole' as const,
                  label: stale ? msg('common.poleOld') : 'pole',
                  ink: 'spruce' as const,
                  pickable: false,
                },
              ]
            : []),
        ],
        instruments: instrument ? [{ at: instrument, label: instrument.name, facing: null }] : [],
      }),
    [state.packages, state.areas, round.stops, stop.plan.key, place, instrument, pole, stale],
  );
  return (
    <div className="relative h-full w-full">
      <Board
        scene={scene}
        underlay={underlay}
        description={msg('pole.planWithTheWayToPickingAnother', {
          instrument: instrument ? msg('pole.from', { name: instrument.name }) : '',
          name: stop.plan.name,
        })}
        onPick={round.choose}
        fitTo={[...(instrument ? [instrument] : []), place, ...(pole ? [pole] : [])]}
        fitKey={stop.plan.key}
      />
    </div>
  );
}

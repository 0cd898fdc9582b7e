import { useMemo } from 'react';
import type { PlanPoint } from '@idle-marker/core';
import type { StationStyle } from '@idle-marker/words';
import { roadScene } from '../../board/roadScene.ts';
import { joinScenes, type Scene } from '../../board/scene.ts';
import { controlScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import type { useRoads } from '../../site/useRoads.ts';

/** The plan: every road, the active one with its stations, what is looked at and where it should go. */
export function useRoadBoard(
  roads: ReturnType<typeof useRoads>,
  active: string | null,
  style: StationStyle,
  at: PlanPoint | null,
  stale: boolean,
  goal: PlanPoint | null,
): Scene {
  const { state, inForce } = useSite();
  const still = useMemo(
    () =>
      joinScenes(
        controlScene(state.control, null),
        ...roads.map((each) => roadScene(each.road, style, each.id === active ? 'active' : 'other')),
      ),
    [state.control, roads, active, style],
  );
  return useMemo(
    () =>
      joinScenes(still, {
        symbols: [
          ...(goal
            ? [
                {
                  id: 'goal',
                  at: goal,
                  symbol: 'toSet' as const,
                  label: 'here',
                  ink: 'spruce' as const,
                  chosen: true,
                  pickable: false,
                },
              ]
            : []),
          ...(at
            ? [
                {
                  id: 'at',
                  at,
                  symbol: 'pole' as const,
                  label: stale ? 'old' : '',
                  ink: 'spruce' as const,
                  pickable: false,
                },
              ]
            : []),
        ],
        instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
      }),
    [still, at, stale, goal, inForce],
  );
}

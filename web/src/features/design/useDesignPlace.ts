import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Fact } from '@idle-marker/contract';
import { gridOf, markKey, progressOf } from '@idle-marker/records';
import { useDrawings, useUnderlay } from '../../drawings/useDrawings.ts';
import { areaScene } from '../../board/areaScene.ts';
import { gridScene } from '../../board/gridScene.ts';
import { roadScene } from '../../board/roadScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, marksScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useRoads, useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import type { WorkState } from './workFilter.ts';

/** Rows of marks that are drawn by themselves; of more the packages are opened one by one. */
const MOST_ROWS = 40;

/** What DesignPlace shows, and what its buttons do. */
export function useDesignPlace() {
  const { id, state, trust } = useSite();
  const navigate = useNavigate();
  const roots = state.packageRoots;
  const units = useUnits();
  const [editing, setEditing] = useState<Fact<'package'> | 'new' | null>(null);
  const [area, setArea] = useState<Fact<'area'> | 'new' | null>(null);
  const [clearing, setClearing] = useState<Fact<'package'> | null>(null);
  const [grid, setGrid] = useState<Fact<'grid'> | 'new' | null>(null);
  const [drawing, setDrawing] = useState<{
    readonly of: Fact<'drawing'> | null;
    readonly sameFile: boolean;
    readonly file?: File;
  } | null>(null);
  const [taken, setTaken] = useState<string | null>(null);
  const [search, setSearch] = useState('');
  const [wanted, setWanted] = useState<WorkState>('all');
  const progress = useMemo(() => progressOf(state, trust), [state, trust]);
  const [editedRoad, setRoad] = useState<Fact<'alignment'> | 'new' | null>(null);
  const roads = useRoads();
  const style = useStationStyle();
  /** The road that the package to be changed was made along. */
  const along =
    editing === null || editing === 'new' ? undefined : editing.body.items.find(({ road }) => road !== undefined)?.road;
  const roadUnder = (along && roads.find((each) => each.id === along.line)) ?? null;
  const drawings = useDrawings();
  const underlay = useUnderlay();
  const standings = useMemo(() => new Map(trust.marks.map((mark) => [mark.id, mark])), [trust]);
  const scene = useMemo(
    () =>
      joinScenes(
        ...state.grids.map((each) => {
          const grid = gridOf(each.body);
          return grid.ok ? gridScene(grid.value) : {};
        }),
        ...roads.map(({ road }) => roadScene(road, style, 'other')),
        areaScene(state.areas.map((each) => each.body)),
        outlineScene(state.packages),
        controlScene(state.control, null),
        marksScene(state, state.packages, standings, null),
      ),
    [state, standings, roads, style],
  );
  const isShort = state.packages.reduce((sum, work) => sum + work.body.plans.length, 0) <= MOST_ROWS;
  const marked = useMemo(
    () => state.packages.flatMap((work) => work.body.plans.map((plan) => plan.place)),
    [state.packages],
  );
  const goTo = (key: string) => {
    const found = state.packages.flatMap((work) => {
      const plan = work.body.plans.find((each) => markKey(roots.get(work.id)!, each.key) === key);
      return plan ? [{ work, plan }] : [];
    })[0];
    if (found) void navigate(`/sites/${id}/mark?package=${found.work.id}&mark=${encodeURIComponent(found.plan.key)}`);
  };
  return {
    id,
    state,
    navigate,
    units,
    editing,
    setEditing,
    area,
    setArea,
    clearing,
    setClearing,
    grid,
    setGrid,
    drawing,
    setDrawing,
    search,
    setSearch,
    wanted,
    setWanted,
    progress,
    taken,
    setTaken,
    editedRoad,
    setRoad,
    roads,
    along,
    roadUnder,
    drawings,
    underlay,
    scene,
    isShort,
    marked,
    goTo,
  };
}

export type DesignPlaceModel = ReturnType<typeof useDesignPlace>;

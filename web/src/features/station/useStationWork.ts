import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { obstaclesTo, planDistance } from '@idle-marker/core';
import type { Fact } from '@idle-marker/contract';
import { useFacing, useLinkKind } from '../../link/linkStore.ts';
import { usePoleSet } from '../../pole/usePoleSet.ts';
import {
  askedOf,
  broughtFrom,
  isGroundOf,
  isProvenControl,
  nextSights,
  type ControlMark,
  type SiteState,
  type UseFlags,
  classOf,
} from '@idle-marker/records';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { useKey } from '../../ui/useKey.ts';
import { blindScene, stationScene } from './stationScene.ts';
import { useDraft, type Draft } from '../../pole/useDraft.ts';
import { useRestating } from './useRestating.ts';
import { useSighting } from './useSighting.ts';

export interface StationWorkProps {
  readonly occupation: Fact<'occupation'>;
  onDone(): void;
  /** Takes the instrument somewhere else. */
  onNew(): void;
  /** The occupation has an accepted station already; more sights make a new one. */
  readonly reopened: boolean;
}

/**
 * Back to where it came from when the mark was brought forward; else the longest, which turns least by what either mark
 * is off.
 */
function usualBacksight(
  state: SiteState,
  occupation: Fact<'occupation'>,
  over: Fact<'control'>,
  draft: Draft,
): ControlMark | null {
  const forward = broughtFrom(state, occupation);
  const back = forward && state.control.find((mark) => isGroundOf(state, forward.from, mark.id));
  if (back && !draft.groups.some((group) => group.mark === back.id)) return back;
  const at = { e: over.body.e!, n: over.body.n! };
  const open = state.control.filter(
    ({ id, revision: { body } }) =>
      id !== over.body.mark &&
      body.e !== null &&
      body.usePlan &&
      !body.forProof &&
      body.condition !== 'lost' &&
      !draft.groups.some((group) => group.mark === id),
  );
  const distance = (mark: ControlMark) => planDistance(at, { e: mark.revision.body.e!, n: mark.revision.body.n! });
  return open.reduce<ControlMark | null>(
    (far, mark) => (far === null || distance(mark) > distance(far) ? mark : far),
    null,
  );
}

/** What StationWork shows, and what its buttons do. */
export function useStationWork({ occupation }: Pick<StationWorkProps, 'occupation'>) {
  const { id, state } = useSite();
  const navigate = useNavigate();
  const units = useUnits();
  const pole = usePoleSet();
  const kind = useLinkKind();
  const [classId, setClassId] = useState(state.packages[0]?.body.class ?? state.classes[0]!.id);
  const asked = classOf(state, classId);
  const wanted = useMemo(() => askedOf(state, asked.id), [state, asked.id]);
  const draft = useDraft(occupation, wanted, pole);
  const [accepting, setAccepting] = useState(false);
  const solved = draft.outcome?.ok ? draft.outcome.value : null;
  const [readings, setReadings] = useState<'1' | '3' | '5' | 'faces' | 'quick'>('1');
  const [byPart, setByPart] = useState(false);
  const onLines = occupation.body.method === 'onLines';
  const { shooting, chosen, choose, sight, sightAll, notFound, misnamed, rename, unsteady } = useSighting(
    occupation,
    draft,
    solved?.result ?? null,
    readings === 'quick' ? 1 : readings === 'faces' ? 2 : Number(readings),
    readings === 'quick' ? 'tracking' : readings === 'faces' ? 'faces' : 'careful',
  );
  const unproven = useMemo(
    () => new Set(state.control.filter((mark) => !isProvenControl(state, mark)).map((mark) => mark.id)),
    [state],
  );
  const obstacles = solved ? obstaclesTo(solved, asked, !draft.planOnly, draft.alsoHeld, unproven) : [];
  // What the evidence speaks against is never the button that stands out.
  const isReady = solved !== null && obstacles.length === 0 && solved.judgement.checkability !== 'unchecked';
  const overMark = state.control.find((mark) => mark.id === occupation.body.over?.mark) ?? null;
  const over = overMark?.revision ?? null;
  const judgement = solved?.judgement ?? draft.contradiction;
  const blamed = useMemo(
    () => judgement?.because.flatMap((reason) => (reason.code === 'EXPLAINED' ? [reason.explanation] : [])) ?? [],
    [judgement],
  );
  const offMarks = useMemo(() => new Set(blamed.flatMap((each) => each.points)), [blamed]);
  const offInPlan = useMemo(
    () => new Set(blamed.filter((each) => each.part !== 'height').flatMap((each) => each.points)),
    [blamed],
  );
  const restate = useRestating(draft);
  const facing = useFacing(solved?.result.orientation ?? null);
  const scene = useMemo(
    () =>
      joinScenes(
        outlineScene(state.packages),
        solved ? stationScene(state, solved.result, occupation.body.name, facing, offInPlan) : {},
        solved ? blindScene(state, solved.judgement.reliability, chosen) : {},
        controlScene(state.control, chosen),
      ),
    [state, solved, chosen, occupation.body.name, facing, offInPlan],
  );
  const isBlind = scene.lines.some((line) => line.ink === 'ochre');
  const best = useMemo(() => nextSights(state, draft, wanted), [state, draft, wanted]);
  const target = onLines
    ? null
    : (state.control.find((mark) => mark.id === (chosen ?? best[0]?.name)) ??
      (over ? usualBacksight(state, occupation, over, draft) : null));
  const leaveOut = (markId: string, part: keyof UseFlags) =>
    draft.setUse(
      draft.groups.filter((group) => group.mark === markId).flatMap((group) => group.sights),
      { [part]: false },
    );
  useKey('a', target && !shooting.doing ? () => void sight(target.id) : null);
  useKey('Enter', solved && !shooting.doing ? () => setAccepting(true) : null);
  const sights = draft.groups.reduce((sum, group) => sum + group.sights.length, 0) + draft.lines.length;
  return {
    id,
    state,
    navigate,
    units,
    kind,
    classId,
    setClassId,
    asked,
    wanted,
    draft,
    accepting,
    setAccepting,
    solved,
    readings,
    setReadings,
    byPart,
    setByPart,
    onLines,
    shooting,
    chosen,
    choose,
    sight,
    sightAll,
    notFound,
    misnamed,
    rename,
    unsteady,
    obstacles,
    isReady,
    overMark,
    over,
    judgement,
    offMarks,
    restate,
    scene,
    isBlind,
    best,
    target,
    leaveOut,
    sights,
  };
}

export type StationWorkModel = ReturnType<typeof useStationWork>;

import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { RADIANS_PER_DEGREE, spanOf } from '@idle-marker/core';
import {
  checkOf,
  claimOf,
  closingOf,
  fallenStation,
  isGroundOf,
  leftOut,
  promiseFor,
  rivalSolutions,
  stationMark,
  type AcceptedSolution,
  olderControl,
} from '@idle-marker/records';
import { msg, closingWords, unprovenWords, type EventKind, HEIGHT_FROM } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { currentLink, useFacing } from '../../link/linkStore.ts';
import { usePoleSet } from '../../pole/usePoleSet.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene, outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../field/useUnits.ts';
import { useProofAge } from '../../site/railFacts.ts';

/** What AcceptedStation shows, and what its buttons do. */
export function useAcceptedStation({
  solution,
}: Pick<
  {
    solution: AcceptedSolution;
    onSightMore(): void;
    onNew(over: string | null): void;
  },
  'solution'
>) {
  const { id, state, trust, say } = useSite();
  const units = useUnits();
  const naming = useNaming();
  const facing = useFacing(solution.fact.body.result.orientationDeg * RADIANS_PER_DEGREE);
  const proof = useProofAge();
  const navigate = useNavigate();
  const [event, setEvent] = useState<EventKind | null>(null);
  const [note, setNote] = useState('');
  const [closing, setClosing] = useState(false);
  const [carrying, setCarrying] = useState(false);
  const [swapping, setSwapping] = useState(false);
  const [correcting, setCorrecting] = useState(false);
  const { result, name } = solution.fact.body;
  const missing = useMemo(
    () =>
      closing
        ? closingOf(state, trust, 0).missing.flatMap((item) =>
            'station' in item && item.station === name ? [closingWords(item)] : [],
          )
        : [],
    [closing, state, trust, name],
  );
  const provisional = solution.decision.body.verdict === 'provisional';
  const pole = usePoleSet();
  const shades = useMemo(
    () =>
      state.packages.flatMap((work) =>
        promiseFor(state, solution, work, pole).ratios.map(({ place, ratio }) => ({
          at: place,
          ink: ratio > 1 ? ('brick' as const) : ratio > 0.7 ? ('ochre' as const) : ('spruce' as const),
        })),
      ),
    [state, solution, pole],
  );
  const scene = useMemo(() => {
    const at = { e: result.e, n: result.n };
    const used = solution.fact.body.uses.filter((use) => use.plan || use.height).map((use) => use.control);
    const lines = state.control
      .filter((mark) => used.includes(mark.id) && mark.revision.body.e !== null)
      .map((mark) => ({
        points: [at, { e: mark.revision.body.e!, n: mark.revision.body.n! }],
        ink: 'ink2' as const,
        dash: [4, 4],
        width: 1,
      }));
    const inPlan = new Set(solution.fact.body.uses.filter((use) => use.plan).map((use) => use.control));
    const held = spanOf(
      at,
      state.control
        .filter((mark) => inPlan.has(mark.id) && mark.revision.body.e !== null)
        .map((mark) => ({ e: mark.revision.body.e!, n: mark.revision.body.n! })),
    );
    const span =
      held.length > 2 ? [{ points: held, ink: 'ink2' as const, closed: true, filled: true, width: 0.5 }] : [];
    return joinScenes(
      { shades, lines: span },
      outlineScene(state.packages),
      { lines, instruments: [{ at, label: name, facing }] },
      controlScene(state.control, null),
    );
  }, [state, result, name, facing, solution, shades]);
  const out = leftOut(state, solution);
  const check = checkOf(state, solution);
  const said = unprovenWords({ name, ...claimOf(state, trust, solution) });
  const fallen = useMemo(() => fallenStation(state, trust, solution), [state, trust, solution]);
  const older = useMemo(() => olderControl(state, solution), [state, solution]);
  const ground = state.control.find((mark) => isGroundOf(state, solution, mark.id)) ?? null;
  const correctedSince = state.corrections.some(
    (each) => each.body.occupation === solution.occupation.id && each.at > solution.decision.at,
  );
  const keepGround = async () => {
    const body = stationMark(newId(), solution.occupation, result, solution.fact.id);
    await say({ type: 'control', body });
    const current = currentLink();
    if (current?.kind === 'simulator') current.markGround(body.name);
  };
  const rivals = rivalSolutions(state, solution);
  const stoodOver =
    state.control.find((mark) => mark.id === solution.occupation.body.over?.mark)?.revision.body.name ?? null;
  const heightFrom = stoodOver
    ? msg('station.from', { value: HEIGHT_FROM[solution.fact.body.heightFrom ?? 'mark'](stoodOver) })
    : '';
  const marks = new Set(solution.fact.body.uses.filter((use) => use.plan).map((use) => use.control)).size;
  const record = async () => {
    if (!event) return;
    await say({ type: 'event', body: { occupation: solution.occupation.id, kind: event, note: note.trim() } });
    setEvent(null);
    setNote('');
  };
  const close = async () => {
    await say({ type: 'close', body: { occupation: solution.occupation.id, note: '' } });
    setClosing(false);
  };
  return {
    id,
    units,
    naming,
    proof,
    navigate,
    event,
    setEvent,
    note,
    setNote,
    closing,
    setClosing,
    carrying,
    setCarrying,
    swapping,
    setSwapping,
    correcting,
    setCorrecting,
    result,
    name,
    missing,
    provisional,
    shades,
    scene,
    out,
    check,
    said,
    fallen,
    older,
    ground,
    correctedSince,
    keepGround,
    rivals,
    stoodOver,
    heightFrom,
    marks,
    record,
    close,
  };
}

export type AcceptedStationModel = ReturnType<typeof useAcceptedStation>;

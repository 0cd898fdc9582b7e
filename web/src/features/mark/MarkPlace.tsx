import { useRef, useState } from 'react';
import { azimuth, moveFor, planDistance, RADIANS_PER_DEGREE, type Move } from '@idle-marker/core';
import { pushWords, msg } from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { StakeSaid } from '../../packages/said/StakeSaid.tsx';
import { Empty } from '../../ui/Slip.tsx';
import { useDueItems } from '../../pole/useDueItems.tsx';
import { useLiveStake } from '../../pole/useLiveStake.ts';
import { useMarkActs } from '../../pole/useMarkActs.tsx';
import { useRound } from '../../pole/useRound.ts';
import { useStaking, useStationSource } from '../../pole/useStaking.ts';
import { useIsCarried } from '../../pole/view/hand.ts';
import { useWayOfWorking, useViewpoint } from '../../pole/ways.ts';
import { MarkAtDesk } from './MarkAtDesk.tsx';
import { MarkAtPole } from './MarkAtPole.tsx';

/** Places of the pole that stay on the board. */
const TRAIL = 6;

/** Where does the pole go, and what do I write? */
export function Place() {
  const { inForce, occupation } = useSite();
  const units = useUnits();
  const [way, setWay] = useWayOfWorking();
  const round = useRound(way);
  const staking = useStaking(round, way, useStationSource());
  const [onPlan, setOnPlan] = useState(false);
  const [viewpoint, setViewpoint] = useViewpoint();
  const { work, stop, stops } = round;
  const plan = stop?.plan ?? null;
  const { stake: live, stale } = useLiveStake(inForce, plan);
  const lineAzimuth = plan?.road
    ? plan.road.azimuthDeg * RADIANS_PER_DEGREE
    : plan && planDistance(plan.design, plan.place) > 0
      ? azimuth(plan.design, plan.place)
      : 0;
  const shown = live ?? staking.shot?.stake ?? null;
  const move = shown ? moveFor(viewpoint, shown, lineAzimuth) : null;
  const trail = useTrail(live ? move : null, `${plan?.key} ${viewpoint}`);
  const isCarried = useIsCarried();
  const at = work && stop && inForce ? { work, stop, round, staking, solution: inForce } : null;
  const acts = useMarkActs(at);
  const push = staking.out && pushWords(moveFor(viewpoint, staking.out, lineAzimuth), viewpoint, units.lengthUnit);
  const due = useDueItems(at && { ...at, push, onOthers: acts.block });

  if (round.ordering)
    return (
      <Empty title={msg('mark.oneMoment')}>{msg('mark.theMarksOfArePutInWalking', { name: work!.body.name })}</Empty>
    );
  if (!work || !stop || !plan) {
    return (
      <EmptyTo
        title={msg('common.nothingToMarkYet')}
        place="design"
        label={msg('common.makeAWorkPackage')}
        ways={<MarkWays className="bg-sheet" />}
        also={inForce && <StakeSaid />}
      >
        {msg('mark.aWorkPackageSaysWhichCornersGet')}
      </EmptyTo>
    );
  }
  if (!inForce && occupation?.body.method === 'heightOnly') {
    return (
      <EmptyTo
        title={msg('common.givesHeightsAlone', { name: occupation.body.name })}
        place="mark/receiver"
        label={msg('common.markWithAReceiver')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('mark.theInstrumentHasNoPlaceThereSo')}
      </EmptyTo>
    );
  }
  if (!inForce) {
    return (
      <EmptyTo
        title={msg('common.stationTheInstrumentFirst')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('mark.marksWaitInNoneCanBeSet', { stops: stops.length, name: work.body.name })}
      </EmptyTo>
    );
  }
  const scene = {
    work,
    stop,
    round,
    staking,
    way,
    onWay: setWay,
    solution: inForce,
    viewpoint,
    onViewpoint: setViewpoint,
    lineAzimuth,
    shown,
    isLive: live !== null,
    move,
    trail,
    stale,
    onPlan,
    onView: setOnPlan,
    due,
    acts,
    ways: <StakeSaid />,
  };
  return (
    <>
      {isCarried ? <MarkAtPole {...scene} /> : <MarkAtDesk {...scene} />}
      {acts.dialogs}
      <TypedReading title={msg('common.readingAt', { name: plan.name })} />
    </>
  );
}

/** The last few places of the pole, oldest first; begun anew when `key` changes. */
function useTrail(move: Move | null, key: string): readonly Move[] {
  const trail = useRef<{ key: string; moves: Move[] }>({ key, moves: [] });
  if (trail.current.key !== key) trail.current = { key, moves: [] };
  const kept = trail.current.moves;
  const last = kept.at(-1);
  if (move && (!last || Math.hypot(last.up - move.up, last.right - move.right) > 0.002))
    trail.current.moves = [...kept, move].slice(-TRAIL);
  return trail.current.moves.slice(0, -1);
}

import { useRef, useState } from 'react';
import { azimuth, moveFor, moveGrade, planDistance, RADIANS_PER_DEGREE, type Move } from '@idle-marker/core';
import { placeAtGround } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { GuidanceBoard } from '../../pole/GuidanceBoard.tsx';
import { MarkSlip } from '../../pole/MarkSlip.tsx';
import { Empty } from '../../ui/Slip.tsx';
import { MoveHead } from '../../pole/MoveHead.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { WayBoard } from '../../pole/WayBoard.tsx';
import { MOTION_NOISE, useLiveStake } from '../../pole/useLiveStake.ts';
import { useRound } from '../../pole/useRound.ts';
import { useStaking, useStationSource } from '../../pole/useStaking.ts';
import { useWayOfWorking, useViewpoint } from '../../pole/ways.ts';

/** Places of the pole that stay on the board. */
const TRAIL = 6;

/** Where does the pole go, and what do I write? */
export function Place() {
  const { inForce, occupation } = useSite();
  const units = useUnits();
  const round = useRound();
  const [way, setWay] = useWayOfWorking();
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
  const { name, result } = inForce.fact.body;
  const pole = shown?.measured ?? { e: result.e, n: result.n };
  const distance = shown && Math.hypot(shown.deltaE, shown.deltaN);
  const toInstrument = units.length(planDistance(shown?.measured ?? plan.place, result), 0);
  const noise = shown ? Math.sqrt((shown.measured.plan.ee + shown.measured.plan.nn) / 2) : 0;
  const { shooting, tolerance } = staking;
  return (
    <>
      <div className="flex h-full min-h-0 flex-col lg:flex-row">
        <section
          className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1"
          aria-label={msg('common.guidance')}
        >
          <MoveHead
            name={plan.name}
            due={staking.due}
            way={way}
            doing={shooting.doing}
            move={move}
            distance={distance}
            grade={distance === null ? null : moveGrade(distance, tolerance)}
            tolerance={tolerance}
            noise={live ? Math.hypot(noise, MOTION_NOISE) : noise}
            stale={stale}
            viewpoint={viewpoint}
            onViewpoint={setViewpoint}
            onPlan={onPlan}
            onView={setOnPlan}
          />
          <div className="min-h-0 flex-1 p-3 max-lg:h-[210px] max-md:h-[170px] max-lg:flex-none max-lg:p-1">
            {onPlan ? (
              <WayBoard
                round={round}
                stop={stop}
                instrument={{ e: result.e, n: result.n, name }}
                pole={shown?.measured ?? null}
                stale={stale}
              />
            ) : (
              <GuidanceBoard
                move={move}
                trail={trail}
                viewpoint={viewpoint}
                tolerance={tolerance}
                toleranceWords={msg('common.within', { smallLength: smallLength(tolerance, units.lengthUnit) })}
                ahead={
                  viewpoint === 'facingInstrument'
                    ? msg('mark.aheadOfYou', { name, toInstrument, unit: units.unit })
                    : null
                }
                stale={stale}
              />
            )}
          </div>
          <PolePad
            distance={distance}
            busy={shooting.doing !== null}
            onWalk={() => void shooting.walk(placeAtGround(plan, shown?.measured.z ?? null), true)}
          />
        </section>
        <MarkSlip
          work={work}
          stop={stop}
          round={round}
          staking={staking}
          way={way}
          onWay={setWay}
          solution={inForce}
          viewpoint={viewpoint}
          lineAzimuth={lineAzimuth}
          groundZ={shown?.measured.z ?? null}
          pole={pole}
        />
      </div>
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

import { moveGrade } from '@idle-marker/core';
import { placeAtGround } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { GuidanceBoard } from '../../pole/GuidanceBoard.tsx';
import { MoveHead } from '../../pole/MoveHead.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { WayBoard } from '../../pole/WayBoard.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { Sources } from '../../pole/Sources.tsx';
import { VIEWPOINTS } from './usePairedWork.ts';
import type { PairedWorkModel } from './usePairedWork.ts';

export function PairedGuidance({ model }: { readonly model: PairedWorkModel }) {
  const {
    stop,
    plan,
    tolerance,
    proving,
    now,
    onPlan,
    setOnPlan,
    viewpoint,
    shooting,
    live,
    move,
    distance,
    groundZ,
    busy,
    due,
    noise,
  } = model;
  return (
    <section
      className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1"
      aria-label={msg('common.guidance')}
    >
      {now && <Sources now={now} />}
      {stop && plan ? (
        <>
          <MoveHead
            name={plan.name}
            due={due}
            way="follow"
            doing={shooting.doing ?? proving.shooting.doing}
            move={move}
            distance={distance}
            grade={distance === null ? null : moveGrade(distance, tolerance)}
            tolerance={tolerance}
            noise={live ? Math.hypot(noise, MOTION_NOISE) : noise}
            stale={now?.place.plan === null}
            isLive={live !== null}
            viewpoint={viewpoint}
            onPlan={onPlan}
            onView={setOnPlan}
          />
          <div className="relative min-h-0 flex-1">
            <PairedBoard model={model} />
          </div>
          <PolePad
            distance={distance}
            busy={busy}
            onWalk={() => void shooting.walk(placeAtGround(plan, groundZ), true)}
          />
        </>
      ) : (
        <EmptyTo title={msg('common.nothingToMarkYet')} place="design" label={msg('common.makeAWorkPackage')}>
          {msg('paired.knownMarksCanBeProvedAlreadyWhat')}
        </EmptyTo>
      )}
    </section>
  );
}

/** The scales, or the plan. */
export function PairedBoard({ model }: { readonly model: PairedWorkModel }) {
  const { units, round, stop, tolerance, now, onPlan, setViewpoint, viewpoint, move, pole } = model;
  if (!stop) return null;
  return onPlan ? (
    <WayBoard round={round} stop={stop} instrument={null} pole={pole} stale={now?.place.plan === null} />
  ) : (
    <GuidanceBoard
      move={move}
      trail={[]}
      viewpoint={viewpoint}
      tolerance={tolerance}
      toleranceWords={msg('common.within', { smallLength: smallLength(tolerance, units.lengthUnit) })}
      ahead={null}
      stale={now?.place.plan === null}
      onViewpoint={() => setViewpoint(VIEWPOINTS[(VIEWPOINTS.indexOf(viewpoint) + 1) % VIEWPOINTS.length]!)}
    />
  );
}

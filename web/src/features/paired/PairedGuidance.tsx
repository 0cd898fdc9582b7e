import { moveGrade } from '@idle-marker/core';
import { placeAtGround } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { GuidanceBoard } from '../../pole/GuidanceBoard.tsx';
import { MoveHead } from '../../pole/MoveHead.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { WayBoard } from '../../pole/WayBoard.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { Sources } from './Sources.tsx';
import { VIEWPOINTS } from './usePairedWork.ts';
import type { PairedWorkModel } from './usePairedWork.ts';

export function PairedGuidance({ model }: { readonly model: PairedWorkModel }) {
  const {
    units,
    round,
    stop,
    plan,
    tolerance,
    proving,
    now,
    onPlan,
    setOnPlan,
    setViewpoint,
    viewpoint,
    shooting,
    live,
    move,
    distance,
    groundZ,
    busy,
    due,
    noise,
    pole,
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
            viewpoint={viewpoint}
            viewpoints={VIEWPOINTS}
            onViewpoint={setViewpoint}
            onPlan={onPlan}
            onView={setOnPlan}
          />
          <div className="min-h-0 flex-1 p-3 max-lg:h-[210px] max-md:h-[170px] max-lg:flex-none max-lg:p-1">
            {onPlan ? (
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
              />
            )}
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

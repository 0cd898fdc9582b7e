import { moveGrade } from '@idle-marker/core';
import { placeAtGround } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { MarkSlip } from '../../pole/MarkSlip.tsx';
import { MoveHead } from '../../pole/MoveHead.tsx';
import { PolePad } from '../../pole/PolePad.tsx';
import { MOTION_NOISE } from '../../pole/useLiveStake.ts';
import { MarkBoard } from './MarkBoard.tsx';
import type { MarkScene } from './markScene.ts';

/** Board and slip beside each other. */
export function MarkAtDesk(scene: MarkScene) {
  const { stop, staking, shown, solution } = scene;
  const { plan } = stop;
  const { result } = solution.fact.body;
  const { shooting, tolerance } = staking;
  const distance = shown && Math.hypot(shown.deltaE, shown.deltaN);
  const noise = shown ? Math.sqrt((shown.measured.plan.ee + shown.measured.plan.nn) / 2) : 0;
  return (
    <div className="flex h-full min-h-0">
      <section className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet" aria-label={msg('common.guidance')}>
        <MoveHead
          name={plan.name}
          due={staking.due}
          way={scene.way}
          doing={shooting.doing}
          move={scene.move}
          distance={distance}
          grade={distance === null ? null : moveGrade(distance, tolerance)}
          tolerance={tolerance}
          noise={scene.isLive ? Math.hypot(noise, MOTION_NOISE) : noise}
          stale={scene.stale}
          isLive={scene.isLive}
          viewpoint={scene.viewpoint}
          onPlan={scene.onPlan}
          onView={scene.onView}
        />
        <div className="relative min-h-0 flex-1">
          <MarkBoard {...scene} />
        </div>
        <PolePad
          distance={distance}
          busy={shooting.doing !== null}
          onWalk={() => void shooting.walk(placeAtGround(plan, shown?.measured.z ?? null), true)}
        />
      </section>
      <MarkSlip {...scene} groundZ={shown?.measured.z ?? null} pole={shown?.measured ?? { e: result.e, n: result.n }} />
    </div>
  );
}

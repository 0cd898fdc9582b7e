import { useState } from 'react';
import { TAPE_UNDER, tapeAdvised, VIEWPOINTS, type Move, type MoveGrade, type Viewpoint } from '@idle-marker/core';
import { msg, moveGradeWords, moveParts, moveWords, tapeWords, viewpointWords } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { useLinked, useLinkKind } from '../link/linkStore.ts';
import { Steady } from '../ui/Steady.tsx';
import { useKey } from '../ui/useKey.ts';
import { CallingDialog } from './CallingDialog.tsx';
import type { WayOfWorking } from './ways.ts';
import type { Due } from './useStaking.ts';
import { useSpokenMove } from './useSpokenMove.ts';

interface MoveHeadProps {
  readonly name: string;
  readonly due: Due;
  readonly way: WayOfWorking;
  readonly doing: string | null;
  readonly move: Move | null;
  readonly distance: number | null;
  readonly grade: MoveGrade | null;
  readonly tolerance: number;
  /** Standard deviation of the reading that the figures come from, metres. */
  readonly noise: number;
  readonly stale: boolean;
  readonly viewpoint: Viewpoint;
  /** Those that are gone through; all of them when nothing is said. */
  readonly viewpoints?: readonly Viewpoint[];
  onViewpoint(next: Viewpoint): void;
  /** The plan is shown instead of the scales. */
  readonly onPlan: boolean;
  onView(onPlan: boolean): void;
}

/** The sentence for the person at the pole: one figure for each way, and what to do about it. */
export function MoveHead({
  name,
  due,
  way,
  doing,
  move,
  distance,
  grade,
  tolerance,
  noise,
  stale,
  viewpoint,
  viewpoints = VIEWPOINTS,
  onViewpoint,
  onPlan,
  onView,
}: MoveHeadProps) {
  const units = useUnits();
  const isLost = useLinked((link) => link?.lock === 'lost');
  const [calling, setCalling] = useState(false);
  const simulated = useLinkKind() === 'simulator';
  const isDone = due === 'next';
  const spoken = useSpokenMove(
    move && !stale ? moveWords(move, viewpoint, units.lengthUnit) : null,
    distance !== null && distance <= tolerance && !stale,
  );
  const turn = () => onViewpoint(viewpoints[(viewpoints.indexOf(viewpoint) + 1) % viewpoints.length]!);
  useKey('v', turn);
  useKey('m', () => onView(!onPlan));
  const advice = (): string => {
    if (doing) return doing;
    if (grade === null) return simulated ? msg('pole.sendThePoleOnItsWayAnd') : msg('pole.eachShotIsKeyedInTheFigures');
    if (isDone) return msg('pole.isConfirmedWriteTheStakeThenGo', { name });
    if (grade === 'hold')
      return due === 'shootHub' ? msg('pole.theHubIsDrivenShootItFor') : msg('pole.nowLookAtTheBubbleHoldPlumb');
    if (due === 'rough') return msg('pole.nearEnoughForPaintCrossItAnd');
    if (move && distance !== null && (way === 'tape' ? distance < TAPE_UNDER : tapeAdvised(distance, tolerance)))
      return tapeWords(move, viewpoint, units.lengthUnit);
    const left = msg('pole.toGo', {
      gradeWord: moveGradeWords()[grade],
      length: units.length(distance, distance !== null && distance < 1 ? 3 : 1),
      unit: units.unit,
    });
    if (grade === 'walk' && spoken.can && !spoken.on) return msg('pole.eyesOnTheWaySpeakReadsThe', { left });
    return distance !== null && distance > TAPE_UNDER && way !== 'rough'
      ? msg('pole.theTapeTakesOverAtTheEnd', { left })
      : left;
  };
  return (
    <div className="min-h-[148px] border-b border-ink px-6 py-3 max-lg:min-h-0 max-lg:px-4 max-lg:py-1">
      <div className="flex flex-wrap items-center gap-x-4 text-[15px] text-ink2 max-md:gap-x-2.5 max-md:text-[13px]">
        <button type="button" className="flex min-h-11 items-center gap-2 underline decoration-dotted" onClick={turn}>
          {viewpointWords()[viewpoint]}{' '}
          <kbd
            aria-hidden="true"
            className="rounded-sm border border-ink2 px-1.5 font-sans text-xs no-underline max-md:hidden"
          >
            V
          </kbd>
        </button>
        {spoken.can && (
          <button
            type="button"
            aria-pressed={spoken.on}
            onClick={spoken.toggle}
            className="min-h-11 min-w-11 underline decoration-dotted"
          >
            {spoken.on ? msg('common.speaking') : msg('common.speak')}
          </button>
        )}
        <button
          type="button"
          onClick={() => setCalling(true)}
          className="min-h-11 min-w-11 underline decoration-dotted"
        >
          {msg('pole.signsAndLights')}
        </button>
        <button
          type="button"
          aria-pressed={onPlan}
          onClick={() => onView(!onPlan)}
          className="min-h-11 min-w-11 underline decoration-dotted"
        >
          {onPlan ? msg('pole.scales') : msg('common.plan')}{' '}
          <kbd
            aria-hidden="true"
            className="rounded-sm border border-ink2 px-1.5 font-sans text-xs no-underline max-md:hidden"
          >
            M
          </kbd>
        </button>
        {isLost && <strong className="text-brick">{msg('pole.lockLostTheFiguresAreOld')}</strong>}
      </div>
      <div aria-live="polite" aria-atomic="true">
        <p
          className={`figures text-[33px] leading-tight font-semibold max-lg:text-[24px] ${stale ? 'text-ink2' : ''}`}
          data-testid="move"
        >
          {isDone && !move ? (
            msg('pole.isConfirmed', { name })
          ) : move ? (
            <MoveFigures move={move} viewpoint={viewpoint} noise={noise} />
          ) : simulated ? (
            msg('pole.noReadingOfThePole')
          ) : (
            msg('pole.shootToGetTheFirstFigure')
          )}
        </p>
        <p className="text-[17px] leading-snug">{advice()}</p>
      </div>
      <CallingDialog open={calling} onClose={() => setCalling(false)} />
    </div>
  );
}

function MoveFigures({ move, viewpoint, noise }: { move: Move; viewpoint: Viewpoint; noise: number }) {
  const units = useUnits();
  const parts = moveParts(move, viewpoint, units.lengthUnit);
  if (parts.length === 0) return msg('pole.onTheSpot');
  return parts.map(({ figure, way }, i) => (
    <span key={way}>
      {i > 0 && ', '}
      <Steady text={figure} noise={noise} unit={units.lengthUnit} /> {way}
    </span>
  ));
}

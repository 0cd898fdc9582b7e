import { useState } from 'react';
import { TAPE_UNDER, tapeAdvised, type Move, type MoveGrade, type Viewpoint } from '@idle-marker/core';
import { msg, moveGradeWords, moveWords, tapeWords, walkingLines } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { useLinked, useLinkKind } from '../link/linkStore.ts';
import { useKey } from '../ui/useKey.ts';
import { PoleFigures } from './view/PoleFigures.tsx';
import { useScreenAwake, useSignal } from './signals.ts';
import { useHeld } from './view/useHeld.ts';
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
  /** The figures are of this moment, not of the last shot. */
  readonly isLive: boolean;
  readonly viewpoint: Viewpoint;
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
  isLive,
  viewpoint,
  onPlan,
  onView,
}: MoveHeadProps) {
  const units = useUnits();
  const isLost = useLinked((link) => link?.lock === 'lost');
  const [calling, setCalling] = useState(false);
  const simulated = useLinkKind() === 'simulator';
  const isDone = due === 'next';
  const spoken = useSpokenMove(move && !stale ? moveWords(move, viewpoint, units.lengthUnit) : null);
  const isHeld = useHeld(isLive && !stale ? distance : null, tolerance);
  useSignal('hold', isHeld);
  useSignal('lost', isLost);
  useScreenAwake();
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
  const waiting =
    isDone && !move
      ? msg('pole.isConfirmed', { name })
      : move
        ? null
        : simulated
          ? msg('pole.noReadingOfThePole')
          : msg('pole.shootToGetTheFirstFigure');
  return (
    <div className="desk-figures border-b-2 border-ink">
      <div className="flex flex-wrap items-center gap-x-4 px-6 text-[15px] text-ink2">
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
          <kbd aria-hidden="true" className="rounded-sm border border-ink2 px-1.5 font-sans text-xs no-underline">
            M
          </kbd>
        </button>
        {isLost && <strong className="text-brick">{msg('pole.lockLostTheFiguresAreOld')}</strong>}
      </div>
      <PoleFigures
        lines={move ? walkingLines(move, viewpoint, units.lengthUnit) : []}
        waiting={waiting}
        isHeld={isHeld}
        isGone={stale && move !== null}
        noise={noise}
        unit={units.lengthUnit}
      />
      <p className="px-6 py-2 text-[17px] leading-snug" aria-live="polite">
        {advice()}
      </p>
      <CallingDialog open={calling} onClose={() => setCalling(false)} />
    </div>
  );
}

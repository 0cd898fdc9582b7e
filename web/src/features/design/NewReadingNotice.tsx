import { DRAWING_READING } from '@idle-marker/formats';
import { drawingUnitWords, msg } from '@idle-marker/words';
import type { ShownDrawing } from '../../drawings/useDrawings.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { Button } from '../../ui/Button.tsx';
import { useNewReading } from './useNewReading.ts';

/**
 * Files are read better than they were: what that changes of a drawing is said once. Nothing moves until somebody takes
 * it.
 */
export function NewReadingNotice({ drawing, onTake }: { readonly drawing: ShownDrawing; onTake(): void }) {
  const { say } = useSite();
  const reading = useNewReading(drawing);
  if (!reading) return null;
  const { fact } = drawing;
  const { elements, unit, gone, heights } = reading;
  const lines = [
    unit &&
      msg('design.keptInFileStates', { kept: drawingUnitWords(unit.kept), stated: drawingUnitWords(unit.stated) }),
    elements && msg('design.elementsWereAreNow', { before: elements.before, now: elements.now }),
    gone.length > 0 && msg('design.marksAtNothingAnyMore', { marks: gone.join(', ') }),
    heights.length > 0 && msg('design.marksWithOtherHeights', { marks: heights.join(', ') }),
  ].filter((line) => typeof line === 'string');
  return (
    <div className="mx-[18px] my-1.5 border-l-4 border-ochre pl-3" role="status">
      <p className="font-medium">{msg('design.readNowItGivesMore', { name: fact.body.name })}</p>
      <ul className="list-disc pl-5 text-[14px]">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="text-[14px] text-ink2">{msg('design.nothingMovesUntilYouTakeIt')}</p>
      <p className="mt-1 flex flex-wrap gap-3">
        <Button onClick={onTake}>{msg('design.lookAndTakeIt')}</Button>
        <Button
          look="quiet"
          onClick={() =>
            void say({
              type: 'drawing',
              body: { ...fact.body, reading: DRAWING_READING, supersedes: fact.id },
            })
          }
        >
          {msg('design.keepItAsItIs')}
        </Button>
      </p>
    </div>
  );
}

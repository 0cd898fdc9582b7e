import type { DrawnGrid } from '@idle-marker/formats';
import { msg, smallLength } from '@idle-marker/words';
import { useDrawings } from '../../drawings/useDrawings.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { FileInput } from './FileInput.tsx';

/** More than this between the drawn crossings and a grid of straight, parallel lines is worth a word. */
const QUIET_MISFIT = 0.001;

/** Grids found in the drawings of the site: lines of two directions on one layer. */
export function DrawnGrids({ onTake }: { onTake(found: DrawnGrid, file: string): void }) {
  const units = useUnits();
  const drawings = useDrawings();
  return (
    <div>
      <FileInput label={msg('design.fromADxfDrawingOrTypedBelow')} onTaken={() => undefined} />
      {drawings.map(({ fact, state }) => {
        const { name, fileName } = fact.body;
        if (state.status === 'reading') return null;
        if (state.status === 'failed')
          return (
            <p key={fact.id} className="text-[13px] font-medium text-brick">
              {`${name}: ${state.trouble}`}
            </p>
          );
        const { grids, layers, surfaces } = state.summary;
        // Surfaces alone are nobody’s grid.
        if (grids.length === 0 && layers.length === surfaces.length) return null;
        if (grids.length === 0)
          return (
            <p key={fact.id} className="text-[13px] text-ink2">
              {msg('design.noLayerOfHoldsLinesInJust', { fileName })}
            </p>
          );
        return grids.map((grid) => (
          <p key={`${fact.id} ${grid.layer}`} className="mt-2 flex flex-wrap items-center gap-3">
            <Button className="text-[14px]" onClick={() => onTake(grid, fileName)}>
              {msg('design.by4', {
                layer: grid.layer,
                labels: grid.definition.letters.labels.join(' '),
                labels2: grid.definition.numbers.labels.join(' '),
              })}
            </Button>
            {grid.misfit > QUIET_MISFIT && (
              <span className="text-[14px] font-medium text-ochre">
                {msg('design.itsLinesAreNotQuiteParallelA', {
                  smallLength: smallLength(grid.misfit, units.lengthUnit),
                })}
              </span>
            )}
          </p>
        ));
      })}
    </div>
  );
}

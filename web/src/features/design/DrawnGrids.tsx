import { useState } from 'react';
import { readDxf, type DrawnGrid } from '@idle-marker/formats';
import { drawingWords, smallLength } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { gridsOf, textOfFile } from './drawingFile.ts';

/** More than this between the drawn crossings and a grid of straight, parallel lines is worth a word. */
const QUIET_MISFIT = 0.001;

/** Grids found in a DXF drawing: lines of two directions on one layer. */
export function DrawnGrids({ onTake }: { onTake(found: DrawnGrid, file: string): void }) {
  const units = useUnits();
  const [file, setFile] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const [found, setFound] = useState<readonly DrawnGrid[] | null>(null);
  const read = async (chosen: File | undefined) => {
    setFault(null);
    setFound(null);
    if (!chosen) return;
    setFile(chosen.name);
    const text = await textOfFile(chosen);
    if (!text.ok) return setFault(text.error);
    const drawing = readDxf(text.value, units.lengthUnit);
    if (!drawing.ok) return setFault(drawingWords(drawing.error));
    setFound(gridsOf(drawing.value, units.lengthUnit));
  };
  return (
    <div>
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-ink2">From a DXF drawing in site coordinates, or typed below</span>
        <input type="file" accept=".dxf" onChange={(event) => void read(event.target.files?.[0])} className="min-h-11 rounded-sm border border-ink2 p-2" />
      </label>
      {fault && <p className="text-[13px] font-medium text-brick">{fault}</p>}
      {found?.length === 0 && <p className="text-[13px] font-medium text-brick">No layer of {file} holds lines in just two directions: no grid was found.</p>}
      {found?.map((grid) => (
        <p key={grid.layer} className="mt-2 flex flex-wrap items-center gap-3">
          <Button className="text-[14px]" onClick={() => onTake(grid, file)}>
            {grid.layer}: {grid.definition.letters.labels.join(' ')} by {grid.definition.numbers.labels.join(' ')}
          </Button>
          {grid.misfit > QUIET_MISFIT && (
            <span className="text-[14px] font-medium text-ochre">
              Its lines are not quite parallel: a crossing comes to lie up to {smallLength(grid.misfit, units.lengthUnit)} from where it is drawn.
            </span>
          )}
        </p>
      ))}
    </div>
  );
}

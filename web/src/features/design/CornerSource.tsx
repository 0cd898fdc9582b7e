import { useMemo, useState } from 'react';
import type { Corner } from '@idle-marker/core';
import { namedCorners, readControlCsv, readDxf } from '@idle-marker/formats';
import { controlFileWords, controlRowWords, drawingWords } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { gridsOf, textOfFile } from './drawingFile.ts';

export interface FoundOutline {
  readonly name: string;
  readonly corners: readonly Corner[];
  readonly rule: 'outline' | 'lineEnds';
  readonly isGrid: boolean;
}

interface Choice extends FoundOutline {
  readonly what: string;
}

interface CornerSourceProps {
  onCorners(found: FoundOutline, source: string): void;
}

/** Corners from a file: points as CSV, or an outline or a grid picked from a DXF drawing. */
export function CornerSource({ onCorners }: CornerSourceProps) {
  const units = useUnits();
  const [fault, setFault] = useState<string | null>(null);
  const [drawing, setDrawing] = useState<{ name: string; text: string } | null>(null);
  const read = useMemo(() => (drawing ? readDxf(drawing.text, units.lengthUnit) : null), [drawing, units.lengthUnit]);
  const outlines: Choice[] = read?.ok
    ? read.value.outlines.slice(0, 30).map((outline) => ({
        what: `outline on ${outline.layer}: ${outline.corners.length} corners`,
        name: outline.layer,
        corners: namedCorners(outline.corners, read.value.texts),
        rule: 'outline' as const,
        isGrid: false,
      }))
    : [];
  const grids: Choice[] = read?.ok
    ? gridsOf(read.value, units.lengthUnit).flatMap(({ layer, first, second, corners, lineEnds }): Choice[] => [
        { what: `corners of the grid on ${layer}: ${first.join(' ')} × ${second.join(' ')}`, name: layer, corners, rule: 'outline', isGrid: true },
        { what: `its ${lineEnds.length / 2} lines`, name: `${layer} lines`, corners: lineEnds, rule: 'lineEnds', isGrid: true },
      ])
    : [];

  const take = async (file: File | undefined) => {
    setFault(null);
    setDrawing(null);
    if (!file) return;
    const text = await textOfFile(file);
    if (!text.ok) {
      setFault(text.error);
      return;
    }
    if (/\.dxf$/i.test(file.name) || /^\s*0\s*\r?\n\s*SECTION/.test(text.value)) {
      setDrawing({ name: file.name, text: text.value });
      return;
    }
    const list = readControlCsv(text.value, { unit: units.lengthUnit, xIsNorth: false });
    if (!list.ok) {
      setFault(controlFileWords(list.error));
      return;
    }
    const bad = list.value.rows.find((row) => row.issues.length > 0 || row.e === null || row.n === null);
    if (bad) {
      setFault(`Row ${bad.row} ${bad.issues[0] ? controlRowWords(bad.issues[0]) : 'has no place'}.`);
      return;
    }
    const corners = list.value.rows.map((row) => ({ name: row.name, e: row.e!, n: row.n! }));
    onCorners({ name: file.name.replace(/\.[^.]+$/, ''), corners, rule: 'outline', isGrid: false }, file.name);
  };
  return (
    <div className="mt-2">
      <label className="flex flex-col gap-1">
        <span className="text-[13px] text-ink2">Or from a file: points as CSV in order round the outline, or a DXF drawing in site coordinates</span>
        <input
          type="file"
          accept=".csv,.txt,.dxf,text/csv"
          onChange={(event) => void take(event.target.files?.[0])}
          className="min-h-11 rounded-sm border border-ink2 p-2"
        />
      </label>
      {fault && <p className="text-[13px] font-medium text-brick">{fault}</p>}
      {read && !read.ok && <p className="text-[13px] font-medium text-brick">{drawingWords(read.error)}</p>}
      {read?.ok && drawing && (
        <div className="mt-2 border-l-4 border-pencil pl-3">
          <p className="text-[13px] text-ink2">
            {read.value.unitFromFile ? `The drawing is in ${read.value.unitFromFile}.` : `The drawing does not say its unit: ${units.unit} is taken.`}
            {read.value.leftOut.length > 0 && ` Not taken: ${read.value.leftOut.map((each) => `${each.count} ${each.what} on ${each.layer}`).join(', ')}.`}
          </p>
          <div className="mt-1 flex flex-wrap gap-2">
            {[...outlines, ...grids].map((each, i) => (
              <Button key={i} className="text-[14px]" onClick={() => onCorners(each, drawing.name)}>
                {each.what}
              </Button>
            ))}
          </div>
          {outlines.length + grids.length === 0 && <p className="text-[13px] font-medium text-brick">No closed outline and no grid was found in it.</p>}
        </div>
      )}
    </div>
  );
}

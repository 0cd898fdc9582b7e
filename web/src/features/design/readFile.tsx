/** Parts of a dialog that reads a file: choosing it, how far it is, its unit where it says none. */
import { useState } from 'react';
import { DRAWING_UNITS, unitOfLength, type DrawingUnit } from '@idle-marker/formats';
import { msg, drawingUnitWords } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { ReadingOn } from '../../ui/ReadingOn.tsx';
import type { ReadFile, TakeFile } from '../../drawings/useTakeFile.ts';

/** The kinds of files that a design comes in. */
export function ChooseFile({ label, onFile }: { label: string; onFile(file: File | undefined): void }) {
  return (
    <label className="flex flex-col gap-1">
      <span className="text-[13px] text-ink2">{label}</span>
      <input
        type="file"
        accept=".csv,.txt,.dxf,.xml,.json,.geojson,.dwg,text/csv"
        // The same file, mended meanwhile, can be chosen again.
        onClick={(event) => (event.currentTarget.value = '')}
        onChange={(event) => onFile(event.target.files?.[0])}
        className="min-h-11 rounded-sm border border-ink2 p-2"
      />
    </label>
  );
}

/** How far a file is read, with a way to stop; or why it was not taken. */
export function ReadingFile({ take: { reading, fault, cancel } }: { take: TakeFile }) {
  return (
    <div aria-live="polite">
      {reading && <ReadingOn fileName={reading.fileName} share={reading.share} onCancel={cancel} />}
      {fault && <p className="mt-1 text-[13px] font-medium text-brick">{fault}</p>}
    </div>
  );
}

/** The unit of a file that does not say it: shown by how large the drawing would be. */
export function AskUnit({ read, onUnit }: { read: ReadFile; onUnit(unit: DrawingUnit): void }) {
  const units = useUnits();
  const { lengthUnit } = units;
  const [name, setName] = useState(unitOfLength(lengthUnit).name);
  const { extent, unit } = read.summary;
  const size = extent ? ([extent[2] - extent[0], extent[3] - extent[1]] as const) : null;
  const said = (each: DrawingUnit) =>
    size
      ? `${drawingUnitWords(each.name)}: ${size.map((span) => units.length((span / unit.metres) * each.metres, 2)).join(' by ')} ${units.unit}`
      : drawingUnitWords(each.name);
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3 border-l-4 border-ochre pl-3">
      <Choice
        label={msg('design.doesNotSayItsUnitItIs', { fileName: read.fileName })}
        value={name}
        options={DRAWING_UNITS.map((each) => [each.name, said(each)] as const)}
        onChange={setName}
      />
      <Button onClick={() => onUnit(DRAWING_UNITS.find((each) => each.name === name)!)}>
        {msg('design.importFile')}
      </Button>
    </div>
  );
}

import { DRAWING_UNITS, METRES_PER_FILE_UNIT, type FileUnit } from '@idle-marker/formats';
import { drawingUnitWords, fileUnitWords, msg } from '@idle-marker/words';
import { Choice } from '../../ui/Field.tsx';
import type { ReadFile, UnitSaid } from '../../drawings/useTakeFile.ts';

const FILE_UNITS = Object.keys(METRES_PER_FILE_UNIT) as FileUnit[];

/** The unit that a file is read in: as it states, or as a person says instead. */
export function DrawingUnitField({ read, onUnit }: { readonly read: ReadFile; onUnit(said: UnitSaid): void }) {
  const { listUnit, unit, unitFromFile } = read.summary;
  const { said } = read;
  if (listUnit)
    return (
      <Choice<FileUnit | ''>
        className="mt-2"
        label={msg('design.unitOfTheFile')}
        value={said.listUnit ?? (listUnit.isStated ? '' : listUnit.unit)}
        options={[
          ...(listUnit.isStated
            ? [
                [
                  '',
                  said.listUnit
                    ? msg('design.asTheFileStates')
                    : msg('design.asTheFileStatesUnit', { unit: fileUnitWords()[listUnit.unit] }),
                ] as const,
              ]
            : []),
          ...FILE_UNITS.map((each) => [each, fileUnitWords()[each]] as const),
        ]}
        onChange={(each) => onUnit({ unit: null, listUnit: each === '' ? null : each })}
      />
    );
  const isOther = said.unit !== null && unitFromFile !== null && said.unit.name !== unitFromFile;
  return (
    <>
      <Choice
        className="mt-2"
        label={msg('design.unitOfTheFile')}
        value={said.unit === null && unitFromFile !== null ? '' : unit.name}
        options={[
          ...(unitFromFile === null
            ? []
            : [['', msg('design.asTheFileStatesUnit', { unit: drawingUnitWords(unitFromFile) })] as const]),
          ...DRAWING_UNITS.map((each) => [each.name, drawingUnitWords(each.name)] as const),
        ]}
        onChange={(name) => onUnit({ unit: DRAWING_UNITS.find((each) => each.name === name) ?? null, listUnit: null })}
      />
      {isOther && (
        <p className="mt-1 border-l-4 border-ochre pl-3 text-[14px] font-medium">
          {msg('design.theFileStatesAnotherUnit', { unit: drawingUnitWords(unitFromFile) })}
        </p>
      )}
    </>
  );
}

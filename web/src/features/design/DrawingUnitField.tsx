import { DRAWING_UNITS, METRES_PER_FILE_UNIT, type FileUnit } from '@idle-marker/formats';
import { drawingUnitWords, fileUnitWords, msg } from '@idle-marker/words';
import { Choice } from '../../ui/Field.tsx';
import type { FileSaid, ReadFile } from '../../drawings/useTakeFile.ts';

const FILE_UNITS = Object.keys(METRES_PER_FILE_UNIT) as FileUnit[];

/** The unit that a file is read in: as it states, or as a person says instead. */
export function DrawingUnitField({ read, onSaid }: { readonly read: ReadFile; onSaid(said: FileSaid): void }) {
  const { list, unit, unitFromFile } = read.summary;
  const { said } = read;
  if (list)
    return (
      <div className={`mt-2 grid gap-3 ${list.usesXY ? 'sm:grid-cols-2' : ''}`}>
        <Choice<FileUnit | ''>
          label={msg('design.unitOfTheFile')}
          value={said.list.unit ?? (list.isStated ? '' : list.unit)}
          options={[
            ...(list.isStated
              ? [
                  [
                    '',
                    said.list.unit
                      ? msg('design.asTheFileStates')
                      : msg('design.asTheFileStatesUnit', { unit: fileUnitWords()[list.unit] }),
                  ] as const,
                ]
              : []),
            ...FILE_UNITS.map((each) => [each, fileUnitWords()[each]] as const),
          ]}
          onChange={(each) => onSaid({ unit: null, list: { ...said.list, unit: each === '' ? null : each } })}
        />
        {list.usesXY && (
          <Choice
            label={msg('control.theHeaderSaysXAndY')}
            value={list.order}
            options={[
              ['EN', msg('control.xIsTheEasting')],
              ['NE', msg('control.xIsTheNorthing')],
            ]}
            onChange={(order) => onSaid({ unit: null, list: { ...said.list, order } })}
          />
        )}
      </div>
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
        onChange={(name) => onSaid({ ...said, unit: DRAWING_UNITS.find((each) => each.name === name) ?? null })}
      />
      {isOther && (
        <p className="mt-1 border-l-4 border-ochre pl-3 text-[14px] font-medium">
          {msg('design.theFileStatesAnotherUnit', { unit: drawingUnitWords(unitFromFile) })}
        </p>
      )}
    </>
  );
}

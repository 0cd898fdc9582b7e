import { METRES_PER_FILE_UNIT, type FileUnit } from '@idle-marker/formats';
import { fileUnitWords, msg } from '@idle-marker/words';
import { Choice } from '../../ui/Field.tsx';
import { SmallField } from '../../field/SmallField.tsx';
import { ListColumns } from '../../field/ListColumns.tsx';
import type { ImportControlModel } from './useImportControl.ts';

const FILE_UNITS = Object.keys(METRES_PER_FILE_UNIT) as FileUnit[];

/** How a list is read: its unit, signs and columns, each to be changed. */
export function ControlColumns({ model }: { readonly model: ImportControlModel }) {
  const { xIsNorth, setXIsNorth, said, setSaid, sdH, setSdH, sdZ, setSdZ, list, head } = model;
  return (
    <>
      {head && <ListColumns head={head} said={said} decimal={list?.decimal ?? null} onSaid={setSaid} />}
      {list && (
        <div className="mt-3 grid gap-3 sm:grid-cols-3">
          <Choice<FileUnit | ''>
            label={msg('control.unitOfTheCoordinates')}
            value={said.unit ?? (list.unitFromFile ? '' : list.unit)}
            options={[
              ...(list.unitFromFile
                ? [
                    [
                      '',
                      said.unit
                        ? msg('control.asTheFileStates')
                        : msg('control.asTheFileStatesUnit', { unit: fileUnitWords()[list.unit] }),
                    ] as const,
                  ]
                : []),
              ...FILE_UNITS.map((unit) => [unit, fileUnitWords()[unit]] as const),
            ]}
            onChange={(unit) => setSaid({ ...said, unit: unit === '' ? null : unit })}
          />
          <SmallField label={msg('control.standardDeviationInPlanWhereNoneIs')} draft={sdH} onDraft={setSdH} />
          <SmallField label={msg('control.standardDeviationInHeightWhereNoneIs')} draft={sdZ} onDraft={setSdZ} />
          {list.usesXY && (
            <Choice
              label={msg('control.theHeaderSaysXAndY')}
              value={xIsNorth ? 'n' : 'e'}
              options={[
                ['e', msg('control.xIsTheEasting')],
                ['n', msg('control.xIsTheNorthing')],
              ]}
              onChange={(value) => setXIsNorth(value === 'n')}
            />
          )}
          <p className="self-end text-[14px] text-ink2">
            {list.order === 'NE' ? msg('control.northingFirst') : msg('control.eastingFirst')}
          </p>
        </div>
      )}
    </>
  );
}

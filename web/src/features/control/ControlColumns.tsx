import { fileUnitWords, msg } from '@idle-marker/words';
import { Choice } from '../../ui/Field.tsx';
import { lengthChoices } from '../../field/lengthChoices.ts';

import type { ImportControlModel } from './useImportControl.ts';
import { SmallField } from '../../field/SmallField.tsx';

export function ControlColumns({ model }: { readonly model: ImportControlModel }) {
  const { unit, setUnit, xIsNorth, setXIsNorth, sdH, setSdH, sdZ, setSdZ, list } = model;
  if (!list) return null;
  return (
    <div className="mt-3 grid gap-3 sm:grid-cols-3">
      {list.unitFromFile ? (
        <p className="self-end">{msg('control.theHeaderSays', { unitName: fileUnitWords()[list.unit] })}</p>
      ) : (
        <Choice label={msg('control.unitOfTheCoordinates')} value={unit} options={lengthChoices()} onChange={setUnit} />
      )}
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
    </div>
  );
}

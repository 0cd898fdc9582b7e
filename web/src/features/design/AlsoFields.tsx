import { msg } from '@idle-marker/words';
import { DraftField } from '../../field/DraftField.tsx';
import { Choice } from '../../ui/Field.tsx';

import type { EditPackageModel } from './useEditPackage.ts';

export function AlsoFields({ model }: { readonly model: EditPackageModel }) {
  const { units, above, setAbove, isBelow, setIsBelow, errors, shown } = model;
  return (
    <>
      <DraftField
        label={msg('design.whichLies')}
        unit={units.unit}
        draft={above}
        onDraft={setAbove}
        error={shown(errors.also)}
      />
      <Choice
        label={msg('design.ofTheDesignHeight')}
        value={isBelow ? 'below' : 'above'}
        options={[
          ['below', 'below'],
          ['above', 'above'],
        ]}
        onChange={(way) => setIsBelow(way === 'below')}
      />
    </>
  );
}

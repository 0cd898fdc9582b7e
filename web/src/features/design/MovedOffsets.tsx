import { msg, hindranceWords } from '@idle-marker/words';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

import type { OffsetsDialogModel } from './useOffsetsDialog.ts';

export function MovedOffsets({ model }: { readonly model: OffsetsDialogModel }) {
  const { units, changed, planOf } = model;
  return (
    <table className={`${TABLE} mt-2`}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('common.mark')}</th>
          <th className={TH}>{msg('design.requestedOffset')}</th>
          <th className={TH}>{msg('design.now')}</th>
          <th className={TH_WORD}>{msg('design.byThe')}</th>
        </tr>
      </thead>
      <tbody>
        {changed.map(({ key, offset, hindrances }) => (
          <tr key={key}>
            <td className={`${TD_WORD} font-semibold`}>{planOf(key).name}</td>
            <td className={TD}>{units.length(planOf(key).offset, 2)}</td>
            <td className={`${TD} font-semibold ${offset === null ? 'text-brick' : 'text-pencil'}`}>
              {offset === null ? 'none' : units.length(offset, 2)}
            </td>
            <td className={TD_WORD}>{hindrances.map(hindranceWords).join('; ')}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

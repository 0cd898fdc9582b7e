import { RADIANS_PER_DEGREE } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../ui/table.ts';

import type { ReturnPackageModel } from './useReturnPackage.tsx';

export function ReturnMarks({ model }: { readonly model: ReturnPackageModel }) {
  const { units, plans } = model;
  if (!plans?.ok) return null;
  return (
    <table className={`${TABLE} mt-3`}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('common.mark')}</th>
          <th className={TH_WORD}>{msg('packages.point')}</th>
          <th className={TH}>{msg('common.direction')}</th>
          <th className={TH}>{msg('common.height')}</th>
          <th className={TH}>{msg('packages.secondElevation')}</th>
        </tr>
      </thead>
      <tbody>
        {plans.value.map((plan) => (
          <tr key={plan.key}>
            <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
            <td className={TD_WORD}>{plan.road?.why}</td>
            <td className={TD}>
              {plan.corner === 'radius point' ? '–' : units.angle((plan.road?.azimuthDeg ?? 0) * RADIANS_PER_DEGREE)}
            </td>
            <td className={TD}>{plan.designZ === null ? msg('packages.noHeight') : units.length(plan.designZ)}</td>
            <td className={TD}>{units.length(plan.road?.also?.z ?? null)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

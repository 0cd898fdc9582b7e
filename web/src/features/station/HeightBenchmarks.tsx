import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

import type { HeightWorkModel } from './useHeightWork.ts';

export function HeightBenchmarks({ model }: { readonly model: HeightWorkModel }) {
  const { units, out, draft, result, small, formatOff, nameOf, toggle } = model;
  if (!result) return null;
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          <th className={TH_WORD}>{msg('common.benchmark')}</th>
          <th className={TH}>{msg('common.off', { name: small.name })}</th>
          <th className={TH}>{msg('station.target')}</th>
          <th className={TH}>{msg('common.use')}</th>
        </tr>
      </thead>
      <tbody>
        {draft.groups.map((group) => {
          const point = result.points.find((each) => each.name === group.mark);
          return (
            <tr
              key={group.sights[0]!.id}
              className={point?.leaveOneOutHeight?.exceeds ? 'bg-brick-tint text-brick' : ''}
            >
              <td className={TD_WORD}>
                {nameOf(group.mark)}
                {group.sights.length > 1 && <span className="text-ink2"> ×{group.sights.length}</span>}
              </td>
              <td className={TD}>{formatOff(point?.dZ ?? null)}</td>
              <td className={TD}>{units.length(group.observation.targetHeight)}</td>
              <td className={TD}>
                <Button look="quiet" aria-pressed={!out.has(group.mark)} onClick={() => toggle(group.mark)}>
                  {out.has(group.mark) ? msg('common.leftOut') : 'used'}
                </Button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

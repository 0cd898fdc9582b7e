import type { Standing } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { STANDING } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

export interface RoundRow {
  readonly plan: FactBody<'package'>['plans'][number];
  readonly mark: Fact<'mark'> | null;
  readonly standing: Standing | null;
  readonly walk: number;
}

const STATE = { rough: 'rough', set: 'set', confirmed: 'confirmed' } as const;

/** All marks of the package in walking order. */
export function RoundTable({ rows, chosen, onChoose }: { rows: readonly RoundRow[]; chosen: string; onChoose(key: string): void }) {
  const units = useUnits();
  return (
    <table className={`${TABLE} mt-3`}>
      <thead>
        <tr>
          <th className={TH_WORD}>In walking order</th>
          <th className={TH}>Walk</th>
          <th className={TH}>State</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ plan, mark, standing, walk }) => (
          <tr key={plan.key} className={plan.key === chosen ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
            <td className={TD_WORD}>
              <button type="button" className="min-h-11 w-full text-left font-semibold" aria-current={plan.key === chosen} onClick={() => onChoose(plan.key)}>
                {plan.name}
              </button>
            </td>
            <td className={TD}>{units.length(walk, 1)}</td>
            <td className={`${TD} ${standing === 'inDoubt' ? 'font-semibold text-brick' : mark ? 'text-good' : 'text-ink2'}`}>
              {mark
                ? `${STATE[mark.body.state]}${standing && mark.body.state !== 'rough' ? `, ${STANDING[standing]}` : ''}`
                : plan.key === chosen
                  ? 'now'
                  : 'to set'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

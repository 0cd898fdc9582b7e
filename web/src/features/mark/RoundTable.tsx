import type { RoundStop } from '@idle-marker/records';
import { STANDING } from '@idle-marker/words';
import { useUnits } from '../../site/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

type RoundRow = RoundStop & { readonly walk: number };

const STATE = { rough: 'rough', set: 'set', confirmed: 'confirmed' } as const;

function stateWords({ mark, standing, outdated, obstruction }: RoundRow): { text: string; tone: string } {
  if (obstruction) return { text: `blocked: ${obstruction.body.what}`, tone: 'text-ochre' };
  if (!mark) return { text: 'to set', tone: 'text-ink2' };
  if (mark.body.state === 'rough') return { text: 'rough', tone: 'text-ink2' };
  if (outdated) return { text: 'of an earlier plan', tone: 'font-semibold text-brick' };
  const text = standing ? `${STATE[mark.body.state]}, ${STANDING[standing]}` : STATE[mark.body.state];
  return { text, tone: standing === 'inDoubt' ? 'font-semibold text-brick' : 'text-good' };
}

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
        {rows.map((row) => {
          const { key, name } = row.plan;
          const { text, tone } = stateWords(row);
          return (
            <tr key={key} className={key === chosen ? 'outline-2 -outline-offset-2 outline-spruce' : ''}>
              <td className={TD_WORD}>
                <button type="button" className="min-h-11 w-full text-left font-semibold" aria-current={key === chosen} onClick={() => onChoose(key)}>
                  {name}
                </button>
              </td>
              <td className={TD}>{units.length(row.walk, 1)}</td>
              <td className={`${TD} ${tone}`}>{row.mark === null && row.obstruction === null && key === chosen ? 'now' : text}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

import { lengthFromMetres, lengthToMetres, type LengthUnit } from '@idle-marker/core';
import { msg, unitAbbreviationWords } from '@idle-marker/words';
import type { FactBody } from '@idle-marker/contract';
import { TABLE, TD_WORD, TH_WORD } from '../ui/table.ts';

type Classes = FactBody<'site'>['classes'];

/** Tolerances by purpose, in millimetres, editable in place. */
export function ClassTable({
  unit,
  classes,
  onChange,
}: {
  unit: LengthUnit;
  classes: Classes;
  onChange(classes: Classes): void;
}) {
  const offset = (id: string, text: string) => {
    const value = Number(text);
    onChange(
      classes.map((each) =>
        each.id === id ? { ...each, offset: text === '' || !(value > 0) ? null : lengthToMetres(value, unit) } : each,
      ),
    );
  };
  const edit = (id: string, field: 'planMm' | 'heightMm' | 'leastMarks', value: number) =>
    onChange(
      classes.map((each) =>
        each.id === id ? { ...each, [field]: field === 'leastMarks' ? Math.max(2, Math.round(value)) : value } : each,
      ),
    );
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          {[
            msg('settings.class'),
            msg('settings.planWithinMm'),
            msg('settings.heightWithinMm'),
            msg('settings.leastControlMarks'),
            msg('settings.hubsUsuallyOffBy', { unitAbbreviation: unitAbbreviationWords()[unit] }),
          ].map((title) => (
            <th key={title} className={TH_WORD}>
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {classes.map((each) => (
          <tr key={each.id}>
            <td className={TD_WORD}>{each.name}</td>
            {(['planMm', 'heightMm', 'leastMarks'] as const).map((field) => (
              <td key={field} className={TD_WORD}>
                <input
                  type="number"
                  min={field === 'leastMarks' ? 2 : 0.1}
                  step={field === 'leastMarks' ? 1 : 'any'}
                  aria-label={`${each.name}, ${field === 'planMm' ? msg('settings.planWithin') : field === 'heightMm' ? msg('settings.heightWithin') : msg('settings.leastControlMarks2')}`}
                  value={each[field]}
                  onChange={(event) => edit(each.id, field, Number(event.target.value))}
                  className="figures min-h-10 w-24 rounded-sm border border-ink2 bg-sheet px-2"
                />
              </td>
            ))}
            <td className={TD_WORD}>
              <input
                type="number"
                min={0}
                step="any"
                aria-label={msg('settings.hubsUsuallyOffBy2', { name: each.name })}
                value={(each.offset ?? null) === null ? '' : Number(lengthFromMetres(each.offset!, unit).toFixed(4))}
                onChange={(event) => offset(each.id, event.target.value)}
                className="figures min-h-10 w-24 rounded-sm border border-ink2 bg-sheet px-2"
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

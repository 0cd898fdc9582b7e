import { useState } from 'react';
import { lengthFromMetres, lengthToMetres, type LengthUnit } from '@idle-marker/core';
import { msg, smallUnit, unitAbbreviationWords } from '@idle-marker/words';
import type { FactBody } from '@idle-marker/contract';
import { smallOf, typed } from '../field/draft.ts';
import { TABLE, TD_WORD, TH_WORD } from '../ui/table.ts';

type Classes = FactBody<'site'>['classes'];

/** Without needless noughts; empty for what was no figure. */
const figureText = (figure: number, decimals: number): string =>
  Number.isNaN(figure) ? '' : String(Number(figure.toFixed(decimals)));

/** Keeps the text as it is typed: a figure that is half written is not rounded under the hand. */
function FigureInput({ label, text, onText }: { label: string; text: string; onText(text: string): void }) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      inputMode="decimal"
      aria-label={label}
      value={typed ?? text}
      onChange={(event) => {
        setTyped(event.target.value);
        onText(event.target.value);
      }}
      onBlur={() => setTyped(null)}
      className="figures min-h-10 w-24 rounded-sm border border-ink2 bg-sheet px-2"
    />
  );
}

/** Tolerances by purpose, in the small unit of the site, editable in place. */
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
    const value = Number(text.replace(',', '.'));
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
  const small = smallUnit(unit);
  const words = {
    planMm: msg('settings.planWithin'),
    heightMm: msg('settings.heightWithin'),
    leastMarks: msg('settings.leastControlMarks2'),
  };
  return (
    <table className={TABLE}>
      <thead>
        <tr>
          {[
            msg('settings.class'),
            msg('settings.planWithinMm', { unit: small.name }),
            msg('settings.heightWithinMm', { unit: small.name }),
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
                <FigureInput
                  label={`${each.name}, ${words[field]}`}
                  text={
                    field === 'leastMarks'
                      ? String(each.leastMarks)
                      : figureText((each[field] / 1000) * small.perMetre, small.decimals + 1)
                  }
                  onText={(text) =>
                    edit(each.id, field, field === 'leastMarks' ? Number(text) : smallOf(typed(text), unit))
                  }
                />
              </td>
            ))}
            <td className={TD_WORD}>
              <FigureInput
                label={msg('settings.hubsUsuallyOffBy2', { name: each.name })}
                text={
                  (each.offset ?? null) === null ? '' : String(Number(lengthFromMetres(each.offset!, unit).toFixed(4)))
                }
                onText={(text) => offset(each.id, text)}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

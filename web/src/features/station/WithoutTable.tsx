import { useMemo } from 'react';
import { formatSigned, withoutEach, type AskedOfStation, type ResectionInput, type ResectionResult } from '@idle-marker/core';
import { aboutLength, smallLength, smallUnit } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../field/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

const LEFT = { unchecked: 'nothing', checked: 'a mistake', traceable: 'which one' } as const;

/** What people find out by toggling, at once: the station without each of its marks, and what would then still check it. */
export function WithoutTable({ input, result, asked }: { readonly input: ResectionInput; readonly result: ResectionResult; readonly asked: AskedOfStation }) {
  const units = useUnits();
  const naming = useNaming();
  const small = smallUnit(units.lengthUnit);
  const { marks, perfectMarks } = useMemo(() => withoutEach(input, result, asked), [input, result, asked]);
  if (marks.length < 3) return null;
  const off = (metres: number | null) => (metres === null ? '–' : formatSigned(metres * small.perMetre, small.decimals));
  return (
    <details className="mt-3">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">What if one mark were left out?</summary>
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>Without</th>
            <th className={TH}>{units.axes[0] === 'e' ? 'East' : 'North'}</th>
            <th className={TH}>{units.axes[0] === 'e' ? 'North' : 'East'}</th>
            <th className={TH}>Height</th>
            <th className={TH}>Good to</th>
            <th className={`${TH} max-sm:hidden`}>Others within</th>
            <th className={TH}>Unseen effect</th>
            <th className={TH_WORD}>Still shows</th>
          </tr>
        </thead>
        <tbody>
          {marks.map((mark) => (
            <tr key={mark.name} className={mark.ratio !== null && mark.ratio > 1 ? 'bg-brick-tint text-brick' : ''}>
              <td className={TD_WORD}>{naming.nameOf(mark.name)}</td>
              <td className={TD}>{off(units.axes[0] === 'e' ? mark.dE : mark.dN)}</td>
              <td className={TD}>{off(units.axes[0] === 'e' ? mark.dN : mark.dE)}</td>
              <td className={TD}>{off(mark.dZ)}</td>
              <td className={TD}>{smallLength(mark.radius95, units.lengthUnit)}</td>
              <td className={`${TD} max-sm:hidden`}>{mark.othersWithin === null ? '–' : smallLength(mark.othersWithin, units.lengthUnit)}</td>
              <td className={TD}>{!mark.worst ? '–' : mark.worst.effect === null ? 'any' : aboutLength(mark.worst.effect, units.lengthUnit)}</td>
              <td className={TD_WORD}>{LEFT[mark.checkability]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-ink2">
        How far the station would move, {small.name}, how good it would be (95 %), the largest mistake that could then hide in it, and what its own sights would
        still show. Figures that get prettier by leaving out are no proof.{' '}
        {perfectMarks !== null &&
          `Were the marks perfect, it would be good to ${smallLength(perfectMarks, units.lengthUnit)}: that is what instrument and pole do; the rest comes from control.`}
      </p>
    </details>
  );
}

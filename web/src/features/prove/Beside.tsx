import { formatSigned } from '@idle-marker/core';
import { againstFirst, besideLine, type AcceptedSolution } from '@idle-marker/records';
import { msg, smallLength, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { clockTime } from '../../ui/time.ts';
import type { Proven } from './useProving.ts';

/**
 * The last sight beside what else is known: the first one to the same mark from here, and the drawn line next to it.
 */
export function Beside({ solution, last }: { readonly solution: AcceptedSolution; readonly last: Proven }) {
  const { state } = useSite();
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const first = againstFirst(state, solution, last.sight);
  const { measured } = last.judged.check;
  const line = besideLine(state, measured);
  const figure = (metres: number) => `${formatSigned(metres * small.perMetre, small.decimals)} ${small.name}`;
  return (
    <>
      {first && (
        <p className="mt-1">
          {msg('prove.againstTheFirstSightToItFrom', {
            clockTime: clockTime(first.at),
            axes: units.axes
              .map((axis) => `${axis.toUpperCase()} ${figure(axis === 'e' ? first.dE : first.dN)}`)
              .join(', '),
            figure: first.dZ !== null && msg('prove.height', { figure: figure(first.dZ) }),
          })}
        </p>
      )}
      {line && (
        <p className="mt-1">
          {msg('prove.ofTheDrawnLine', {
            smallLength: smallLength(line.off, units.lengthUnit),
            off: line.off >= 0 ? 'right' : 'left',
            name: line.name,
          })}
        </p>
      )}
    </>
  );
}

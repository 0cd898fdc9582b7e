import { formatSigned } from '@idle-marker/core';
import { againstFirst, besideLine, type AcceptedSolution } from '@idle-marker/records';
import { smallLength, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { clockTime } from '../../ui/time.ts';
import type { Proven } from './useProving.ts';

/** The last sight beside what else is known: the first one to the same mark from here, and the drawn line next to it. */
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
          Against the first sight to it from here, at {clockTime(first.at)}:{' '}
          {units.axes.map((axis) => `${axis.toUpperCase()} ${figure(axis === 'e' ? first.dE : first.dN)}`).join(', ')}
          {first.dZ !== null && `, height ${figure(first.dZ)}`}. The mark’s own error drops out of that.
        </p>
      )}
      {line && (
        <p className="mt-1">
          {smallLength(line.off, units.lengthUnit)} {line.off >= 0 ? 'right' : 'left'} of the drawn line {line.name}.
        </p>
      )}
    </>
  );
}

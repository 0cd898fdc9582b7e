import { useMemo } from 'react';
import {
  formatSigned,
  withoutEach,
  type AskedOfStation,
  type ResectionInput,
  type ResectionResult,
} from '@idle-marker/core';
import { msg, aboutLength, smallLength, smallUnit, worded } from '@idle-marker/words';
import { useNaming } from '../../site/useNaming.ts';
import { useUnits } from '../../field/useUnits.ts';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

const leftWords = worded(
  () => ({ unchecked: 'nothing', checked: 'a mistake', traceable: msg('station.whichOne') }) as const,
);

/**
 * What people find out by toggling, at once: the station without each of its marks, and what would then still check it.
 */
export function WithoutTable({
  input,
  result,
  asked,
}: {
  readonly input: ResectionInput;
  readonly result: ResectionResult;
  readonly asked: AskedOfStation;
}) {
  const units = useUnits();
  const naming = useNaming();
  const small = smallUnit(units.lengthUnit);
  const { marks, perfectMarks } = useMemo(() => withoutEach(input, result, asked), [input, result, asked]);
  if (marks.length < 3) return null;
  const off = (metres: number | null) =>
    metres === null ? '–' : formatSigned(metres * small.perMetre, small.decimals);
  return (
    <details className="mt-3">
      <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
        {msg('station.whatIfOneMarkWereLeftOut')}
      </summary>
      <Explained term="leaveOneOut" />
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('station.without')}</th>
            <th className={TH}>{units.axes[0] === 'e' ? msg('common.east') : msg('common.north')}</th>
            <th className={TH}>{units.axes[0] === 'e' ? msg('common.north') : msg('common.east')}</th>
            <th className={TH}>{msg('common.height')}</th>
            <th className={TH}>{msg('station.goodTo')}</th>
            <th className={`${TH} max-sm:hidden`}>{msg('station.othersWithin')}</th>
            <th className={TH}>
              <Explained term="unseenEffect">{msg('common.unseenEffect')}</Explained>
            </th>
            <th className={TH_WORD}>{msg('station.stillShows')}</th>
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
              <td className={`${TD} max-sm:hidden`}>
                {mark.othersWithin === null ? '–' : smallLength(mark.othersWithin, units.lengthUnit)}
              </td>
              <td className={TD}>
                {!mark.worst
                  ? '–'
                  : mark.worst.effect === null
                    ? 'any'
                    : aboutLength(mark.worst.effect, units.lengthUnit)}
              </td>
              <td className={TD_WORD}>{leftWords()[mark.checkability]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-ink2">
        {msg('station.howFarTheStationWouldMoveHow', {
          name: small.name,
          smallLength:
            perfectMarks !== null &&
            msg('station.wereTheMarksPerfectItWouldBe', { smallLength: smallLength(perfectMarks, units.lengthUnit) }),
        })}
      </p>
    </details>
  );
}

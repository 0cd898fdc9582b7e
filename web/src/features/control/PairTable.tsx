import { useEffect, useMemo, useState } from 'react';
import { formatSigned, type ControlPair } from '@idle-marker/core';
import { pairsOf, stationSights } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Choice } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { Explained } from '../../ui/Explained.tsx';

const SHOWN = 60;

/**
 * Distance and height difference between every two marks, as one station measured them, against the list; the misfits
 * first.
 */
export function PairTable({
  onChoose,
  onPairs,
}: {
  onChoose(mark: string): void;
  onPairs(pairs: readonly ControlPair[]): void;
}) {
  const { state } = useSite();
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const stations = state.occupations.filter(
    (each) => new Set(stationSights(state, each.id).map((sight) => JSON.stringify(sight.body.target))).size > 1,
  );
  const [id, setId] = useState(stations.at(-1)?.id ?? '');
  const occupation = stations.find((each) => each.id === id) ?? stations.at(-1);
  const pairs = useMemo(() => (occupation ? pairsOf(state, occupation) : []), [state, occupation]);
  useEffect(() => onPairs(pairs), [pairs, onPairs]);
  const nameOf = (mark: string) => state.control.find((each) => each.id === mark)?.revision.body.name ?? '?';
  if (!occupation) return <p className="p-4 text-ink2">{msg('control.noStationHasSightedTwoMarksYet')}</p>;
  const difference = (metres: number | null) =>
    metres === null ? '–' : formatSigned(metres * small.perMetre, small.decimals);
  return (
    <div className="px-[14px] pb-4">
      <Choice
        className="my-2 max-w-xs"
        label={msg('control.sightedFrom')}
        value={occupation.id}
        options={stations.map((each) => [each.id, each.body.name] as const)}
        onChange={setId}
      />
      <table className={TABLE}>
        <thead>
          <tr>
            <th className={TH_WORD}>{msg('common.pair')}</th>
            <th className={TH}>{msg('control.distance', { unit: units.unit })}</th>
            <th className={TH}>{msg('common.off', { name: small.name })}</th>
            <th className={TH}>{msg('control.heightOff', { unit: small.name })}</th>
            <th className={TH}>
              <Explained term="residualRatio">{msg('common.ratio')}</Explained>
            </th>
          </tr>
        </thead>
        <tbody>
          {pairs.slice(0, SHOWN).map((pair) => (
            <tr key={`${pair.from} ${pair.to}`} className={pair.exceeds ? 'bg-brick-tint text-brick' : ''}>
              <td className={TD_WORD}>
                <button
                  type="button"
                  className="min-h-11 min-w-11 text-left font-semibold"
                  onClick={() => onChoose(pair.from)}
                >
                  {nameOf(pair.from)} – {nameOf(pair.to)}
                </button>
                {pair.exceeds && <strong> {msg('control.doesNotFit')}</strong>}
              </td>
              <td className={TD}>{units.length(pair.distance)}</td>
              <td className={TD}>{difference(pair.dDistance)}</td>
              <td className={TD}>{difference(pair.dHeight)}</td>
              <td className={TD}>{pair.ratio === null ? '–' : pair.ratio.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1.5 text-[13px] leading-snug text-ink2">
        {msg('control.measuredMinusListedNeitherTheStations')}
      </p>
    </div>
  );
}

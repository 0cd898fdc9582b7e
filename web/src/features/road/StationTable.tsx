import { useMemo, useState } from 'react';
import { CENTRELINE, displayedStation, stationList, type Metres, type StationListRule } from '@idle-marker/core';
import { placeOnRoad } from '@idle-marker/records';
import { stationListFaultWords, stationReasonWords, stationText } from '@idle-marker/words';
import { useStationStyle, type SiteRoad } from '../../site/useRoads.ts';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';

const CURVES = [
  ['interval', 'at the same interval'],
  ['parts', 'in equal parts'],
  ['chord', 'in equal parts, none longer than'],
  ['rise', 'so that an arc rises no more over its chord than'],
] as const;
type Curves = (typeof CURVES)[number][0];

/** Rows that are shown at once; the list itself is whole. */
const SHOWN = 60;

/** Every station that would be marked: round ones, closer on curves, and every place where something changes. */
export function StationTable({ active, onGo }: { readonly active: SiteRoad; onGo(station: Metres): void }) {
  const units = useUnits();
  const style = useStationStyle();
  const { road } = active;
  const [open, setOpen] = useState(false);
  const [interval, setInterval] = useState(style.unit === 'metre' ? '20' : '50');
  const [curves, setCurves] = useState<Curves>('interval');
  const [curveFigure, setCurveFigure] = useState('');
  const [special, setSpecial] = useState(true);
  const [direction, setDirection] = useState<'up' | 'down'>('up');
  const [string, setString] = useState(CENTRELINE);
  const [all, setAll] = useState(false);
  const onString = road.template.strings.has(string) ? string : CENTRELINE;
  const rule = useMemo((): StationListRule => {
    const figure = curves === 'parts' ? Number(curveFigure) : units.readLength(curveFigure);
    return {
      from: null,
      to: null,
      interval: interval.trim() === '' ? null : (units.readLength(interval) ?? 0),
      byRadius: [],
      equalParts: curves === 'interval' || !figure ? null : curves === 'parts' ? { parts: figure } : curves === 'chord' ? { chord: figure } : { rise: figure },
      special,
      extra: [],
      direction,
    };
  }, [interval, curves, curveFigure, special, direction, units]);
  const list = useMemo(
    () => (open ? stationList(road.alignment, road.profile, road.template, onString === CENTRELINE ? null : [onString], rule) : null),
    [open, road, onString, rule],
  );
  const rows = list?.ok ? (all ? list.value : list.value.slice(0, SHOWN)) : [];
  return (
    <details className="mt-4 border-t border-rule pt-2" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="min-h-11 cursor-pointer text-[17px]">Stations to mark</summary>
      <div className="mt-1 grid grid-cols-2 gap-3">
        <Field
          label="Every"
          unit={units.unit}
          value={interval}
          inputMode="decimal"
          onChange={(event) => setInterval(event.target.value)}
          help="Empty: only where something changes."
        />
        <Choice label="Of" value={onString} options={road.template.names.map((name) => [name, name] as const)} onChange={setString} />
        <Choice label="Curves" value={curves} options={CURVES} onChange={setCurves} />
        {curves !== 'interval' && (
          <Field
            label={curves === 'parts' ? 'How many' : 'Length'}
            unit={curves === 'parts' ? undefined : units.unit}
            value={curveFigure}
            inputMode="decimal"
            onChange={(event) => setCurveFigure(event.target.value)}
          />
        )}
        <Choice
          label="Order"
          value={direction}
          options={[
            ['up', 'up the stations'],
            ['down', 'down the stations'],
          ]}
          onChange={setDirection}
        />
        <Tick label="And where something changes" checked={special} onChange={setSpecial} />
      </div>
      {list && !list.ok && <p className="mt-2 font-medium text-brick">{stationListFaultWords(list.error, style)}</p>}
      {list?.ok && (
        <>
          <p className="mt-2 text-[14px] text-ink2">{list.value.length} stations.</p>
          <table className={TABLE}>
            <thead>
              <tr>
                <th className={TH}>Station</th>
                <th className={TH_WORD}>Because</th>
                <th className={TH}>Height</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => {
                const z = placeOnRoad(road, { station: row.station, string: onString })?.z ?? null;
                return (
                  <tr key={row.station}>
                    <td className={TD}>
                      <Button look="quiet" onClick={() => onGo(row.station)}>
                        {stationText(displayedStation(road.alignment, row.station).displayed, style)}
                      </Button>
                    </td>
                    <td className={TD_WORD}>{row.because.map((each) => stationReasonWords(each, style)).join(', ')}</td>
                    <td className={TD}>{units.length(z)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {rows.length < list.value.length && (
            <Button className="mt-2" onClick={() => setAll(true)}>
              Show all {list.value.length}
            </Button>
          )}
        </>
      )}
    </details>
  );
}

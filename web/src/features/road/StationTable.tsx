import { useMemo, useState } from 'react';
import { CENTRELINE, displayedStation, stationList, type Metres } from '@idle-marker/core';
import { placeOnRoad } from '@idle-marker/records';
import { msg, stationListFaultWords, stationReasonWords, stationText, stringWords } from '@idle-marker/words';
import { useStationStyle, useStationWord, type SiteRoad } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { RuleFields, ruleDraft, useRule } from '../../packages/RuleFields.tsx';

/** Rows that are shown at once; the list itself is whole. */
const SHOWN = 60;

/** Every station that would be marked: round ones, closer on curves, and every place where something changes. */
export function StationTable({ active, onGo }: { readonly active: SiteRoad; onGo(station: Metres): void }) {
  const units = useUnits();
  const style = useStationStyle();
  const word = useStationWord();
  const { road } = active;
  const [open, setOpen] = useState(false);
  const [draft, setDraft] = useState(() => ruleDraft(null, road, units, style));
  const rule = useRule(draft, road);
  const [string, setString] = useState(CENTRELINE);
  const [all, setAll] = useState(false);
  const onString = road.template.strings.has(string) ? string : CENTRELINE;
  const list = useMemo(
    () =>
      open && rule.ok
        ? stationList(
            road.alignment,
            road.profile,
            road.template,
            onString === CENTRELINE ? null : [onString],
            rule.value,
          )
        : null,
    [open, road, onString, rule],
  );
  const fault = !rule.ok ? rule.error : list && !list.ok ? stationListFaultWords(list.error, style) : null;
  const rows = list?.ok ? (all ? list.value : list.value.slice(0, SHOWN)) : [];
  return (
    <details
      className="mt-4 border-t border-rule pt-2"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary className="min-h-11 cursor-pointer text-[17px]">{msg('road.listOfStations')}</summary>
      <Choice
        label={msg('road.line')}
        value={onString}
        options={road.template.names.map((name) => [name, stringWords(name)] as const)}
        onChange={setString}
      />
      <RuleFields draft={draft} onChange={setDraft} road={road} />
      {fault && <p className="mt-2 font-medium text-brick">{fault}</p>}
      {list?.ok && (
        <>
          <p className="mt-2 text-[14px] text-ink2">{msg('road.stations', { value: list.value.length })}</p>
          <table className={TABLE}>
            <thead>
              <tr>
                <th className={TH}>{word}</th>
                <th className={TH_WORD}>{msg('road.because')}</th>
                <th className={TH}>{msg('common.height')}</th>
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
              {msg('road.showAll', { value: list.value.length })}
            </Button>
          )}
        </>
      )}
    </details>
  );
}

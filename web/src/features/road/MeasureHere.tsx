import { useState } from 'react';
import { displayedStation } from '@idle-marker/core';
import { heightOverRoad, measuredAlong, nextName, roadShot, usedCodes } from '@idle-marker/records';
import { msg, offsetWords, overSurfaceWords, stationText, stringWords, worded } from '@idle-marker/words';
import { CodeField } from '../../pole/CodeField.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { useStationStyle, useStationWord, type SiteRoad } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { TakeBack } from '../../pole/TakeBack.tsx';
import type { Measuring, Shots } from '../../pole/useMeasuring.ts';

interface MeasureHereProps {
  readonly active: SiteRoad;
  readonly measuring: Measuring;
  readonly shot: RoadShot;
  onGo(station: number): void;
}

const usualCodes = worded(() => ['ground', 'edge', msg('common.curb'), 'invert', 'fence']);
const CODES_SHOWN = 6;
const FIRST = 'G1';

/** What is shot next along a road: its name, code and shots, and the shot itself. */
export function useRoadShot(active: SiteRoad | null, measuring: Measuring, gradeString: string) {
  const { state } = useSite();
  const [name, setName] = useState(() =>
    state.asBuilt.some(({ body }) => body.name === FIRST) ? nextName(state, FIRST) : FIRST,
  );
  const [code, setCode] = useRemembered('road shot code', 'ground');
  const [shots, setShots] = useRemembered<Shots>('road shots', '1');
  const wanted = name.trim();
  const taken = state.asBuilt.some(({ body }) => body.name === wanted);
  const take = async () => {
    if (!active) return;
    const made = await measuring.take({
      name: wanted,
      code: code.trim(),
      against: (place) => Promise.resolve(roadShot(active.fact, active.road, gradeString, place)),
      note: '',
      supersedes: null,
      shots,
      onto: null,
    });
    if (made) setName(nextName(state, wanted));
  };
  return { name, setName, code, setCode, shots, setShots, wanted, taken, take };
}

export type RoadShot = ReturnType<typeof useRoadShot>;

/**
 * The ground, or what stands there, kept with its station and offset: spot shots, and cross sections point by point.
 */
export function MeasureHere({ active, measuring, shot: next, onGo }: MeasureHereProps) {
  const { state } = useSite();
  const units = useUnits();
  const style = useStationStyle();
  const word = useStationWord();
  const { road, id } = active;
  const { name, setName, code, setCode, shots, setShots, wanted, taken, take } = next;
  const measured = measuredAlong(state, id);
  const codes = [...new Set([...usedCodes(state), ...usualCodes()])].slice(0, CODES_SHOWN);
  const busy = measuring.shooting.doing !== null;
  return (
    <details className="mt-4 border-t border-rule pt-2">
      <summary className="min-h-11 cursor-pointer text-[17px]">
        {msg('road.measureAlongIt')}
        {measured.length > 0 && (
          <span className="text-[15px] text-ink2">{msg('road.kept', { measured: measured.length })}</span>
        )}
      </summary>
      {measuring.canMeasure ? (
        <>
          <div className="grid grid-cols-3 gap-3">
            <Field
              label={msg('common.name')}
              value={name}
              maxLength={80}
              onChange={(event) => setName(event.target.value)}
              error={taken ? msg('road.measuredAlreadyChooseAnother') : null}
            />
            <CodeField value={code} codes={usedCodes(state)} onChange={setCode} />
            <ShotsChoice shots={shots} onShots={setShots} />
          </div>
          <p className="mt-2 flex flex-wrap gap-2" role="group" aria-label={msg('common.codes')}>
            {codes.map((each) => (
              <Button key={each} look="quiet" aria-pressed={each === code} onClick={() => setCode(each)}>
                {each}
              </Button>
            ))}
          </p>
          <Button className="mt-2" disabled={busy || wanted === '' || taken} onClick={() => void take()}>
            {msg('road.shootHere', { wanted: wanted || 'it' })}
          </Button>
          {measuring.fault && <p className="mt-1 font-medium text-brick">{measuring.fault}</p>}
          {measuring.remark && <p className="mt-1 text-[14px] text-ochre">{measuring.remark}</p>}
        </>
      ) : (
        <p className="text-ink2">{msg('road.stationTheInstrumentThenTheGroundCan')}</p>
      )}
      {measured.length > 0 && (
        <table className={`mt-3 ${TABLE}`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{word}</th>
              <th className={TH_WORD}>{msg('road.point')}</th>
              <th className={TH}>{msg('common.height2', { unit: units.unit })}</th>
              <th className={TH}>
                <span className="sr-only">{msg('common.takeBack')}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {measured.map(({ fact: each, shot }) => {
              const over = heightOverRoad(each.body);
              return (
                <tr key={each.id}>
                  <td className={TD_WORD}>
                    <button
                      type="button"
                      className="min-h-11 text-left underline decoration-dotted"
                      onClick={() => onGo(shot.station)}
                    >
                      {stationText(displayedStation(road.alignment, shot.station).displayed, style, 2)}
                    </button>
                    <span className="block text-[13px] text-ink2">{offsetWords(shot.offset, units.lengthUnit)}</span>
                  </td>
                  <td className={TD_WORD}>
                    <strong>{each.body.name}</strong> <span className="text-ink2">{each.body.code}</span>
                    {each.body.positions && (
                      <span className="block text-[13px] text-ink2">{msg('road.planByReceiver')}</span>
                    )}
                    {each.body.note !== '' && (
                      <span className="block max-w-[150px] text-[13px] whitespace-normal">{each.body.note}</span>
                    )}
                  </td>
                  <td className={TD}>
                    {units.length(each.body.place.z)}
                    {over !== null && (
                      <span className="ml-auto block max-w-[110px] text-[13px] whitespace-normal text-ink2">
                        {overSurfaceWords(over, stringWords(shot.gradeString), units.lengthUnit)}
                      </span>
                    )}
                  </td>
                  <td className={TD}>
                    <TakeBack fact={each} />
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </details>
  );
}

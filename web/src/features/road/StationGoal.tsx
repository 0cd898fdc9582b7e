import { displayedStation, equationJumps } from '@idle-marker/core';
import type { Road } from '@idle-marker/records';
import { msg, gradeWords, regionWords, stationText, stringWords } from '@idle-marker/words';
import { useStationStyle, useStationWord } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { useKey } from '../../ui/useKey.ts';
import type { StationGoal as Goal } from './useStationGoal.ts';

/** Which station, string and offset the pole should come to; the next one with one key. */
export function StationGoal({ goal, road }: { readonly goal: Goal; readonly road: Road }) {
  const units = useUnits();
  const style = useStationStyle();
  const word = useStationWord();
  const { step } = goal;
  useKey('.', step && (() => step(1)));
  useKey(',', step && (() => step(-1)));
  const strings = road.template.names.map((name) => [name, stringWords(name)] as const);
  const grades = road.template.names.map((name) => [name, gradeWords(name)] as const);
  return (
    <fieldset className="mt-4 border-t border-rule pt-2">
      <legend className="pr-2 text-[17px]">{msg('road.goToA', { word: word.toLowerCase() })}</legend>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={word}
          value={goal.text}
          placeholder={stationText(road.alignment.startStation, style, 0)}
          onChange={(event) => goal.setText(event.target.value)}
          error={goal.fault}
        />
        <Field
          label={msg('road.thenEvery')}
          unit={units.unit}
          value={goal.interval}
          inputMode="decimal"
          onChange={(event) => goal.setInterval(event.target.value)}
        />
        <div className="col-span-2 flex gap-2">
          <Button disabled={!step} onClick={() => step?.(-1)} hint="," aria-label={msg('road.theStationBefore')}>
            {msg('road.previous')}
          </Button>
          <Button disabled={!step} onClick={() => step?.(1)} hint="." aria-label={msg('road.theNextStation')}>
            {msg('road.next')}
          </Button>
        </div>
        {goal.found.length > 1 && (
          <div className="col-span-2" role="group" aria-label={msg('road.whichOfThePlacesWithThisStation')}>
            <p className="font-medium text-ochre">
              {msg('road.thisStationComesTimesAlongTheLine', { found: goal.found.length })}
            </p>
            <div className="mt-1 flex flex-wrap gap-2">
              {goal.found.map((each, i) => (
                <Button
                  key={each.station}
                  look={i === goal.chosen ? 'primary' : 'plain'}
                  onClick={() => goal.choose(i)}
                >
                  {msg('road.fromTheStart', {
                    length: units.length(each.station - road.alignment.startStation, 1),
                    unit: units.unit,
                    region:
                      road.alignment.equations.length > 0 &&
                      `, ${regionWords(equationJumps(road.alignment), each.region, style)}`,
                  })}
                </Button>
              ))}
            </div>
          </div>
        )}
        <Choice label={msg('road.offsetLine')} value={goal.string} options={strings} onChange={goal.setString} />
        <Choice
          label={msg('common.cutAndFillTo')}
          value={goal.gradeString}
          options={grades}
          onChange={goal.setGradeString}
        />
        <Field
          label={msg('road.offItBy')}
          unit={units.unit}
          value={goal.off}
          inputMode="decimal"
          placeholder="0"
          onChange={(event) => goal.setOff(event.target.value)}
          error={goal.off.trim() !== '' && units.readLength(goal.off) === null ? msg('road.thisIsNoLength') : null}
        />
        <Choice
          label={msg('road.andRunsToThe')}
          value={goal.side}
          options={[
            ['right', 'right'],
            ['left', 'left'],
          ]}
          onChange={goal.setSide}
        />
        {goal.off.trim() !== '' && (
          <div className="col-span-2">
            <Tick
              label={
                goal.isOffset
                  ? msg('road.offsetOnToOfIt', { off: goal.off.trim(), unit: units.unit, side: goal.side })
                  : msg('road.offsetOffToItself', { string: stringWords(goal.string) })
              }
              checked={goal.isOffset}
              onChange={goal.switchOffset}
            />
          </div>
        )}
      </div>
      {goal.place && goal.station !== null && (
        <p className="mt-2 text-[14px] text-ink2" data-testid="goal-place">
          {stationText(displayedStation(road.alignment, goal.station).displayed, style)}:{' '}
          {units.axes[0] === 'e' ? 'E' : 'N'} {units.length(goal.place[units.axes[0]])},{' '}
          {units.axes[1] === 'n' ? 'N' : 'E'} {units.length(goal.place[units.axes[1]])},{' '}
          {goal.place.z === null
            ? msg('road.noHeightHere')
            : msg('road.height', { length: units.length(goal.place.z) })}
          .
        </p>
      )}
    </fieldset>
  );
}

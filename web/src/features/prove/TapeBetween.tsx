import { useState } from 'react';
import { planDistance } from '@idle-marker/core';
import { compareNames, pairTolerance } from '@idle-marker/records';
import { msg, smallLength } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';
import { PairsSet } from './PairsSet.tsx';
import { clockTime } from '../../ui/time.ts';

const TAPES_SHOWN = 5;

/**
 * A tape between two marks knows nothing of the instrument: the distance of their measured places has to agree with it.
 */
export function TapeBetween() {
  const { state, say } = useSite();
  const units = useUnits();
  const marks = [...state.marks.values()]
    .filter((mark) => mark.body.state !== 'rough')
    .sort((a, b) => compareNames(a.body.name, b.body.name));
  const [fromId, setFrom] = useState(marks[0]?.id ?? '');
  const [toId, setTo] = useState(marks[1]?.id ?? '');
  const [text, setText] = useState('');
  const from = marks.find((mark) => mark.id === fromId);
  const to = marks.find((mark) => mark.id === toId);
  if (marks.length < 2) return <p className="mt-3 text-ink2">{msg('prove.twoMarksHaveToBeSetBefore')}</p>;
  const taped = units.readLength(text);
  const measured = from && to ? planDistance(from.body.place, to.body.place) : null;
  const tolerance = pairTolerance(state, ...[from, to].flatMap((mark) => mark?.body.class ?? []));
  const ready = from && to && from !== to && taped !== null && taped > 0 && measured !== null;
  const within = ready && Math.abs(taped - measured) <= tolerance;
  const keep = async () => {
    if (!ready) return;
    await say({ type: 'tape', body: { from: from.id, to: to.id, taped, measured, within: within === true, note: '' } });
    setText('');
  };
  const options = marks.map((mark) => [mark.id, mark.body.name] as const);
  const nameOf = (id: string) => marks.find((mark) => mark.id === id)?.body.name ?? msg('prove.aMarkSetSinceAnew');
  return (
    <section className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3">
        <Choice label={msg('common.from')} value={fromId} options={options} onChange={setFrom} />
        <Choice label={msg('common.to2')} value={toId} options={options} onChange={setTo} />
      </div>
      <Field
        label={msg('prove.tapedLevel')}
        unit={units.unit}
        value={text}
        inputMode="decimal"
        onChange={(event) => setText(event.target.value)}
        error={
          text !== '' && taped === null
            ? msg('prove.giveTheDistanceAsReadFromThe')
            : from === to
              ? msg('prove.chooseTwoDifferentMarks')
              : null
        }
        help={
          measured === null
            ? undefined
            : msg('prove.theirMeasuredPlacesAreApart', { length: units.length(measured), unit: units.unit })
        }
      />
      {ready && (
        <Card
          tone={within ? 'good' : 'brick'}
          title={within ? msg('prove.theTapeAgrees') : msg('prove.theTapeDoesNotAgree')}
          actions={<Button onClick={() => void keep()}>{msg('prove.saveTapeCheck')}</Button>}
        >
          {msg('prove.thanFromCoordinatesTwoMarksMayDiffer', {
            smallLength: smallLength(taped - measured, units.lengthUnit),
            taped: taped > measured ? 'longer' : 'shorter',
            smallLength2: smallLength(tolerance, units.lengthUnit),
            value: !within && msg('prove.wasTheTapeLevelAndTheRight'),
          })}
        </Card>
      )}
      {state.tapes.length > 0 && (
        <ul className="text-[14px]">
          {state.tapes.slice(-TAPES_SHOWN).map((tape) => (
            <li key={tape.id} className={tape.body.within ? '' : 'font-semibold text-brick'}>
              {msg('prove.toTapedFromCoordinates', {
                clockTime: clockTime(tape.at),
                name: nameOf(tape.body.from),
                name2: nameOf(tape.body.to),
                length: units.length(tape.body.taped),
                length2: units.length(tape.body.measured),
                within: tape.body.within ? '' : ', outside',
              })}
            </li>
          ))}
        </ul>
      )}
      <PairsSet
        onChoose={(pair) => {
          setFrom(pair.from.id);
          setTo(pair.to.id);
          setText('');
        }}
      />
    </section>
  );
}

import { useState } from 'react';
import { planDistance } from '@idle-marker/core';
import { compareNames, pairTolerance } from '@idle-marker/records';
import { smallLength } from '@idle-marker/words';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Card } from '../../ui/Slip.tsx';
import { PairsSet } from './PairsSet.tsx';
import { clockTime } from '../../ui/time.ts';

const TAPES_SHOWN = 5;

/** A tape between two marks knows nothing of the instrument: the distance of their measured places has to agree with it. */
export function TapeBetween() {
  const { state, say } = useSite();
  const units = useUnits();
  const marks = [...state.marks.values()].filter((mark) => mark.body.state !== 'rough').sort((a, b) => compareNames(a.body.name, b.body.name));
  const [fromId, setFrom] = useState(marks[0]?.id ?? '');
  const [toId, setTo] = useState(marks[1]?.id ?? '');
  const [text, setText] = useState('');
  const from = marks.find((mark) => mark.id === fromId);
  const to = marks.find((mark) => mark.id === toId);
  if (marks.length < 2) return <p className="mt-3 text-ink2">Two marks have to be set before a distance can be taped between them.</p>;
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
  const nameOf = (id: string) => marks.find((mark) => mark.id === id)?.body.name ?? 'a mark set since anew';
  return (
    <section className="flex flex-col gap-3">
      <div className="grid grid-cols-2 gap-3">
        <Choice label="From" value={fromId} options={options} onChange={setFrom} />
        <Choice label="To" value={toId} options={options} onChange={setTo} />
      </div>
      <Field
        label="Taped, level"
        unit={units.unit}
        value={text}
        inputMode="decimal"
        onChange={(event) => setText(event.target.value)}
        error={text !== '' && taped === null ? 'Give the distance as read from the tape.' : from === to ? 'Choose two different marks.' : null}
        help={measured === null ? undefined : `Their measured places are ${units.length(measured)} ${units.unit} apart.`}
      />
      {ready && (
        <Card
          tone={within ? 'good' : 'brick'}
          title={within ? 'The tape agrees' : 'The tape does not agree'}
          actions={<Button onClick={() => void keep()}>Keep it</Button>}
        >
          {smallLength(taped - measured, units.lengthUnit)} {taped > measured ? 'longer' : 'shorter'} than from coordinates; two marks may differ by{' '}
          {smallLength(tolerance, units.lengthUnit)}.{!within && ' Was the tape level and the right marks used? Then sight both again.'}
        </Card>
      )}
      {state.tapes.length > 0 && (
        <ul className="text-[14px]">
          {state.tapes.slice(-TAPES_SHOWN).map((tape) => (
            <li key={tape.id} className={tape.body.within ? '' : 'font-semibold text-brick'}>
              {clockTime(tape.at)} {nameOf(tape.body.from)} to {nameOf(tape.body.to)}: {units.length(tape.body.taped)} taped, {units.length(tape.body.measured)}{' '}
              from coordinates{tape.body.within ? '' : ', outside'}
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

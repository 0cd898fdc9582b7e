import { useMemo, useState } from 'react';
import { azimuth, pointAtDirection, wrapTurn } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { AngleField } from '../../field/AngleField.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Choice, Field } from '../../ui/Field.tsx';
import { byId, type NamedPoint } from './namedPoints.ts';
import { PlaceOutcome, type Taking } from './PlaceOutcome.tsx';

interface ByDirectionProps extends Taking {
  readonly named: readonly NamedPoint[];
  readonly count: number;
}

/**
 * A point at a direction and a distance from one that is known: by azimuth, or by the angle turned right from another
 * point; with a height difference or a grade from there, where they are given.
 */
export function ByDirection({ named, count, ...taking }: ByDirectionProps) {
  const units = useUnits();
  const [from, setFrom] = useState(named[0]?.id ?? '');
  const [by, setBy] = useState<'azimuth' | 'turn'>('azimuth');
  const [back, setBack] = useState(named[1]?.id ?? '');
  const [angle, setAngle] = useState('');
  const [distance, setDistance] = useState('');
  const [height, setHeight] = useState<'none' | 'difference' | 'grade'>('none');
  const [typedRise, setTypedRise] = useState('');
  const [way, setWay] = useState<'up' | 'down'>('up');
  const [start, sighted] = [byId(named, from), byId(named, back)];
  const length = units.readLength(distance);
  const turn = units.readAngle(angle);
  const isGood = start !== undefined && turn !== null && length !== null && length > 0;
  const direction = !isGood
    ? null
    : by === 'azimuth'
      ? turn
      : sighted && sighted !== start
        ? wrapTurn(azimuth(start, sighted) + turn)
        : null;
  const risen =
    height === 'none' || length === null
      ? null
      : height === 'difference'
        ? units.readLength(typedRise)
        : percent(typedRise) === null
          ? null
          : (percent(typedRise)! / 100) * length;
  const startZ = start?.z ?? null;
  const rise = risen === null || way === 'up' ? risen : -risen;
  const place = direction === null ? null : pointAtDirection({ ...start!, z: startZ }, direction, length!, rise);
  const drawn = useMemo(
    () => ({
      lines: [start && place ? [start, place] : [], by === 'turn' && start && sighted ? [start, sighted] : []]
        .filter((points) => points.length > 0)
        .map((points) => ({ points, ink: 'ink2' as const, dash: [10, 3, 2, 3] })),
    }),
    // oxlint-disable-next-line react/exhaustive-deps
    [JSON.stringify([start, place, by, sighted])],
  );
  const options = named.map(({ id, name }) => [id, name] as const);
  const bare = (text: string, read: number | null) =>
    text.trim() === '' || (read !== null && read >= 0) ? null : msg('design.giveALengthWithoutASignThe');
  return (
    <>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        <Choice label={msg('design.fromPoint')} value={from} options={options} onChange={setFrom} />
        <Choice
          label={msg('design.directionBy')}
          value={by}
          options={[
            ['azimuth', msg('design.azimuth')],
            ['turn', msg('design.angleRight')],
          ]}
          onChange={setBy}
        />
        {by === 'turn' && <Choice label={msg('design.turnedFrom')} value={back} options={options} onChange={setBack} />}
        <AngleField
          label={by === 'azimuth' ? msg('design.azimuth') : msg('design.angleRight')}
          value={angle}
          onChange={setAngle}
          error={angle.trim() !== '' && turn === null ? msg('design.giveAnAngle') : null}
        />
        <Field
          label={msg('design.horizontalDistance')}
          unit={units.unit}
          value={distance}
          inputMode="decimal"
          onChange={(event) => setDistance(event.target.value)}
          error={bare(distance, length)}
        />
      </div>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        <Choice
          label={msg('design.heightByDirection')}
          value={height}
          options={[
            ['none', msg('design.noElevation')],
            ['difference', msg('design.byDifference')],
            ['grade', msg('design.byGrade')],
          ]}
          onChange={setHeight}
        />
        {height !== 'none' && (
          <>
            <Field
              label={height === 'grade' ? msg('design.gradePercent') : msg('design.differenceInElevation')}
              unit={height === 'grade' ? undefined : units.unit}
              value={typedRise}
              inputMode="decimal"
              onChange={(event) => setTypedRise(event.target.value)}
              error={bare(typedRise, height === 'grade' ? percent(typedRise) : units.readLength(typedRise))}
            />
            <Choice
              label={msg('design.upOrDown')}
              value={way}
              options={[
                ['up', msg('design.up')],
                ['down', msg('design.down')],
              ]}
              onChange={setWay}
            />
          </>
        )}
      </div>
      {height !== 'none' && start && startZ === null && (
        <p className="mt-2 text-[13px] font-medium text-ochre">{msg('design.hasNoElevation', { name: start.name })}</p>
      )}
      <PlaceOutcome place={place} mirrored={null} drawn={drawn} suggested={`P${count + 1}`} {...taking} />
    </>
  );
}

/** A grade in percent, without its sign; null for none. */
function percent(text: string): number | null {
  const figure = text.trim() === '' ? NaN : Number(text.replace(',', '.'));
  return Number.isFinite(figure) && figure >= 0 ? figure : null;
}

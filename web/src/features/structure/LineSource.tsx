import { planDistance } from '@idle-marker/core';
import { msg } from '@idle-marker/words';
import { Choice, Field } from '../../ui/Field.tsx';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { POINTS, NONE } from './useLinePlace.ts';
import type { LinePlaceModel } from './useLinePlace.ts';

export function LineSource({ model }: { readonly model: LinePlaceModel }) {
  const {
    units,
    lines,
    points,
    setFirst,
    firstId,
    secondId,
    setSecond,
    from,
    setFrom,
    to,
    setTo,
    bend,
    setBend,
    radius,
    setRadius,
    heights,
    setHeights,
    wanted,
    setWanted,
    name,
    setName,
    shots,
    setShots,
    start,
    end,
    bulge,
    line,
    startZ,
    usual,
  } = model;
  return (
    <div className="grid grid-cols-2 gap-3">
      <Choice
        label={msg('common.line')}
        value={firstId}
        options={[
          ...lines.map(({ id, name: each }) => [id, each] as const),
          [POINTS, msg('structure.betweenTwoPoints')],
        ]}
        onChange={setFirst}
      />
      <Choice
        label={msg('structure.andAtTheSameTime')}
        value={secondId}
        options={[
          [NONE, msg('structure.noOtherLine')],
          ...lines.filter(({ id }) => id !== firstId).map(({ id, name: each }) => [id, each] as const),
        ]}
        onChange={setSecond}
      />
      {firstId === POINTS && (
        <>
          <Choice
            label={msg('common.from')}
            value={from}
            options={points.map(({ id, name: each }) => [id, each] as const)}
            onChange={setFrom}
          />
          <Choice
            label={msg('common.to2')}
            value={to}
            options={points.map(({ id, name: each }) => [id, each] as const)}
            onChange={setTo}
          />
        </>
      )}
      {firstId === POINTS && (
        <>
          <Choice
            label={msg('structure.itRuns')}
            value={bend}
            options={[
              ['straight', 'straight'],
              ['left', msg('structure.inAnArcTurningLeft')],
              ['right', msg('structure.inAnArcTurningRight')],
            ]}
            onChange={setBend}
          />
          {bend === 'straight' ? (
            <span />
          ) : (
            <Field
              label={msg('common.radius')}
              unit={units.unit}
              value={radius}
              inputMode="decimal"
              onChange={(event) => setRadius(event.target.value)}
              error={
                radius !== '' && bulge === null && start && end && start !== end
                  ? msg('structure.tooSmallThePointsLieApartAn', {
                      length: units.length(planDistance(start, end)),
                      unit: units.unit,
                    })
                  : null
              }
            />
          )}
        </>
      )}
      {firstId === POINTS && start === end && (
        <p className="col-span-2 text-[13px] font-medium text-brick">
          {msg('structure.aLineRunsBetweenTwoDifferentPoints')}
        </p>
      )}
      <Field
        label={msg('structure.heightWhereItStarts')}
        unit={units.unit}
        value={heights[0]}
        inputMode="decimal"
        onChange={(event) => setHeights([event.target.value, heights[1]])}
        help={
          line && line.side.from.z !== null
            ? msg('structure.emptyAsDrawn', { length: units.length(line.side.from.z) })
            : msg('structure.emptyNoHeights')
        }
      />
      <Field
        label={msg('structure.heightWhereItEnds')}
        unit={units.unit}
        value={heights[1]}
        inputMode="decimal"
        onChange={(event) => setHeights([heights[0], event.target.value])}
        help={
          line && line.side.to.z !== null && startZ === null
            ? msg('structure.emptyAsDrawn', { length: units.length(line.side.to.z) })
            : msg('structure.emptyLevel')
        }
      />
      <Field
        label={msg('structure.wantedAlong')}
        unit={units.unit}
        value={wanted.along}
        inputMode="decimal"
        onChange={(event) => setWanted({ ...wanted, along: event.target.value })}
      />
      <div className="grid grid-cols-2 gap-2">
        <Field
          label={msg('structure.andOff')}
          unit={units.unit}
          value={wanted.off}
          inputMode="decimal"
          onChange={(event) => setWanted({ ...wanted, off: event.target.value })}
        />
        <Choice
          label={msg('structure.side')}
          value={wanted.side}
          options={[
            ['right', 'right'],
            ['left', 'left'],
          ]}
          onChange={(side) => setWanted({ ...wanted, side })}
        />
      </div>
      <Field
        label={msg('structure.stepAlong')}
        unit={units.unit}
        value={wanted.step}
        inputMode="decimal"
        onChange={(event) => setWanted({ ...wanted, step: event.target.value })}
      />
      <Field
        label={msg('common.name')}
        value={name}
        placeholder={usual}
        maxLength={80}
        onChange={(event) => setName(event.target.value)}
      />
      <ShotsChoice shots={shots} onShots={setShots} />
    </div>
  );
}

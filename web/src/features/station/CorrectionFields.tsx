import { formatSigned } from '@idle-marker/core';
import { msg, worded } from '@idle-marker/words';
import { Choice, Field } from '../../ui/Field.tsx';
import { clockTime } from '../../ui/time.ts';
import { OTHER } from './useCorrectEntries.ts';
import type { CorrectEntriesModel } from './useCorrectEntries.ts';
import { type What } from './useCorrectEntries.ts';

const whatIsWrong = worded((): readonly (readonly [What, string])[] => [
  ['targetHeight', msg('station.targetHeightOfARangeOfSights')],
  ['prismConstant', msg('station.targetOfARangeOfSights')],
  ['station', msg('station.stationOfARangeOfSights')],
  ['instrumentHeight', msg('station.heightOfTheInstrument')],
]);

export function CorrectionFields({ model }: { readonly model: CorrectEntriesModel }) {
  const {
    units,
    occupation,
    what,
    setWhat,
    stations,
    targets,
    target,
    setTarget,
    value,
    setValue,
    station,
    setStation,
    tried,
    carried,
    errors,
  } = model;
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <Choice
        label={msg('station.whatWasWrong')}
        value={what}
        options={whatIsWrong()}
        onChange={setWhat}
        help={
          what === 'instrumentHeight' && !occupation.body.over
            ? msg('station.onAFreeStationTheMarksGive')
            : msg('station.whatWasReadStaysAsItWas')
        }
      />
      {what === 'station' && (
        <Choice
          label={msg('station.theyWereTakenFrom')}
          value={station}
          options={
            stations.length === 0
              ? [['', msg('station.noOtherStation')]]
              : stations.map(
                  (each) =>
                    [
                      each.fact.id,
                      msg('station.accepted', { name: each.fact.body.name, clockTime: clockTime(each.decision.at) }),
                    ] as const,
                )
          }
          onChange={setStation}
          help={msg('station.theMarksHangOnTheEvidenceOf')}
        />
      )}
      {what === 'prismConstant' && (
        <Choice
          label={msg('station.itWas')}
          value={target}
          options={[
            ...targets.map(
              (each) =>
                [each.item, msg('station.mm2', { name: each.name, signed: formatSigned(each.constantMm, 1) })] as const,
            ),
            [
              OTHER,
              targets.length === 0 ? msg('station.aTargetWithTheConstant') : msg('station.anotherWithTheConstant'),
            ],
          ]}
          onChange={setTarget}
        />
      )}
      {what !== 'station' && !(what === 'prismConstant' && carried) && (
        <Field
          label={what === 'prismConstant' ? msg('station.rightConstant') : msg('station.rightValue')}
          unit={what === 'prismConstant' ? 'mm' : units.unit}
          value={value}
          inputMode={what === 'instrumentHeight' ? 'decimal' : 'text'}
          onChange={(event) => setValue(event.target.value)}
          error={tried || value !== '' ? errors.value : null}
        />
      )}
    </div>
  );
}

import { formatSigned } from '@idle-marker/core';
import { type AcceptedSolution } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { clockTime } from '../../ui/time.ts';
import { SightRange } from './SightRange.tsx';
import { useCorrectEntries, OTHER, type What } from './useCorrectEntries.ts';

const SHOWN = 40;

/** So many names are read in a sentence. */
const NAMED = 6;

const WHAT: readonly (readonly [What, string])[] = [
  ['targetHeight', msg('station.targetHeightOfARangeOfSights')],
  ['prismConstant', msg('station.targetOfARangeOfSights')],
  ['station', msg('station.stationOfARangeOfSights')],
  ['instrumentHeight', msg('station.heightOfTheInstrument')],
];

/**
 * Something that was entered wrongly: every mark that it concerns is shown first, computed again, and both figures are
 * kept.
 */
export function CorrectEntries({ solution, onClose }: { readonly solution: AcceptedSolution; onClose(): void }) {
  const {
    units,
    occupation,
    what,
    setWhat,
    sights,
    setPicked,
    choice,
    chosen,
    stations,
    targets,
    target,
    setTarget,
    value,
    setValue,
    station,
    setStation,
    reason,
    setReason,
    tried,
    carried,
    correction,
    rows,
    measured,
    errors,
    keep,
    asEntered,
    ownHeights,
  } = useCorrectEntries({ solution, onClose });
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={msg('station.somethingAtWasEnteredWrongly', { name: solution.fact.body.name })}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep()}>
            {msg('station.correctIt')}
          </Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <Choice
          label={msg('station.whatWasWrong')}
          value={what}
          options={WHAT}
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
                  [
                    each.item,
                    msg('station.mm2', { name: each.name, signed: formatSigned(each.constantMm, 1) }),
                  ] as const,
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
      {what !== 'instrumentHeight' && (
        <SightRange sights={sights} value={choice} onChange={setPicked} entered={asEntered} />
      )}
      {errors.station && <p className="font-medium text-brick">{errors.station}</p>}
      {(tried || sights.length === 0) && errors.range && <p className="font-medium text-brick">{errors.range}</p>}
      {ownHeights.length > 0 && (
        <p className="mt-2 text-ochre">
          {msg('station.itsCentreIsAboveThePolesMark', {
            length: units.length(carried!.ownHeight),
            unit: units.unit,
            ownHeights: ownHeights.length,
          })}
        </p>
      )}
      {correction && (
        <section className="mt-3" aria-label={msg('common.marksConcerned')}>
          <h3 className="text-[15px]">
            {rows.length === 0
              ? msg('station.everyMarkSetFromHereStaysWhere')
              : msg('station.elsewhereThanWasThought', { rows: rows.length })}
          </h3>
          {rows.length === 0 && what === 'targetHeight' && chosen.some((sight) => sight.body.purpose === 'station') && (
            <p className="text-ink2">{msg('station.theSameSlipAtTheControlAnd')}</p>
          )}
          <ul className="max-h-56 overflow-y-auto" tabIndex={0} role="region" aria-label={msg('station.listOfMarks')}>
            {rows.slice(0, SHOWN).map((row) => (
              <li key={row.effect.mark} className="flex justify-between gap-4 border-b border-rule py-0.5">
                <strong className="whitespace-nowrap">{row.name}</strong>
                <span className={row.out ? 'text-brick' : ''}>{row.text}</span>
              </li>
            ))}
          </ul>
          {rows.length > SHOWN && <p className="text-ink2">{msg('common.andMore', { rows: rows.length - SHOWN })}</p>}
          {errors.untold && <p className="font-medium text-brick">{errors.untold}</p>}
          {measured.length > 0 && (
            <p className="mt-1 text-ochre">
              {msg('station.measuredWithTheseSightsAsItStands', {
                measured: measured
                  .slice(0, NAMED)
                  .map(({ body }) => body.name)
                  .join(', '),
                measured2: measured.length > NAMED && msg('station.andMore', { measured: measured.length - NAMED }),
                measured3: measured.length,
              })}
            </p>
          )}
        </section>
      )}
      <Field
        className="mt-3"
        label={msg('station.howYouKnowNeeded')}
        value={reason}
        maxLength={500}
        onChange={(event) => setReason(event.target.value)}
        error={tried ? errors.reason : null}
      />
    </Dialog>
  );
}

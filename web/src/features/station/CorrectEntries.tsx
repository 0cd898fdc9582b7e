import { type AcceptedSolution } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Field } from '../../ui/Field.tsx';
import { SightRange } from './SightRange.tsx';
import { useCorrectEntries } from './useCorrectEntries.ts';
import { CorrectionFields } from './CorrectionFields.tsx';
import { ConcernedMarks } from './ConcernedMarks.tsx';

/**
 * Something that was entered wrongly: every mark that it concerns is shown first, computed again, and both figures are
 * kept.
 */
export function CorrectEntries({ solution, onClose }: { readonly solution: AcceptedSolution; onClose(): void }) {
  const model = useCorrectEntries({ solution, onClose });
  const {
    units,
    what,
    sights,
    setPicked,
    choice,
    reason,
    setReason,
    tried,
    carried,
    correction,
    errors,
    keep,
    asEntered,
    ownHeights,
  } = model;
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
      <CorrectionFields model={model} />
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
      {correction && <ConcernedMarks model={model} />}
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

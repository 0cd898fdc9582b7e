import { msg, worded } from '@idle-marker/words';
import { Choice, Field } from '../ui/Field.tsx';
import { type ControlFormProps } from './useControlForm.ts';
import type { ControlFormModel } from './useControlForm.ts';
import { type Body } from './useControlForm.ts';

/** What has to be said of the spot, where it is not plain. */
const spotHint = worded((): Partial<Record<Body['kind'], string>> => ({
  cross: msg('evidence.onThePointOrAtWhatOffset'),
  target: msg('evidence.howItIsFastenedSquareToThe'),
  benchmark: msg('evidence.topOfTheNutNailHeadWritten'),
  tag: msg('evidence.whichWallWhichCorner'),
}));

export function ControlDetails({ model, mark }: { readonly model: ControlFormModel } & Pick<ControlFormProps, 'mark'>) {
  const {
    kind,
    note,
    setNote,
    spot,
    setSpot,
    heightSource,
    setHeightSource,
    setBy,
    setSetBy,
    setOn,
    setSetOn,
    useBefore,
    setUseBefore,
    validFor,
    setValidFor,
    rating,
    setRating,
    ratingReason,
    setRatingReason,
    retired,
    setRetired,
    errors,
    shown,
  } = model;
  return (
    <details
      className="sm:col-span-3"
      open={mark !== null && Boolean(spot || setBy || useBefore || validFor || retired)}
    >
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{msg('evidence.moreAboutTheMark')}</summary>
      <div className="grid gap-3 sm:grid-cols-3">
        <Field
          label={msg('common.whichSpotIsThePoint')}
          value={spot}
          maxLength={200}
          placeholder={spotHint()[kind] ?? msg('evidence.centreOfTheNailHead')}
          onChange={(event) => setSpot(event.target.value)}
        />
        <Field
          label={msg('evidence.heightFromIfElsewhere')}
          value={heightSource}
          maxLength={200}
          placeholder={msg('evidence.labelOnTheKerb')}
          onChange={(event) => setHeightSource(event.target.value)}
        />
        <Field
          label={msg('common.setBy')}
          value={setBy}
          maxLength={120}
          onChange={(event) => setSetBy(event.target.value)}
        />
        <Field
          label={msg('evidence.setOn')}
          type="date"
          value={setOn}
          onChange={(event) => setSetOn(event.target.value)}
        />
        <Choice
          label={msg('common.firmness')}
          term="stability"
          value={rating}
          options={[
            ['kind', msg('evidence.asItsKind')],
            ['firm', msg('evidence.stable')],
            ['fair', msg('evidence.fair')],
            ['soft', msg('evidence.soft')],
          ]}
          onChange={setRating}
        />
        {rating !== 'kind' && (
          <Field
            label={msg('evidence.whyNeeded')}
            value={ratingReason}
            maxLength={500}
            onChange={(event) => setRatingReason(event.target.value)}
            error={shown(errors.rating, false)}
          />
        )}
        <Field
          label={msg('evidence.useBeforeIfItWillNotLast')}
          type="date"
          value={useBefore}
          onChange={(event) => setUseBefore(event.target.value)}
        />
        {kind === 'tag' && (
          <Field
            label={msg('evidence.validForWhichPart')}
            value={validFor}
            maxLength={200}
            onChange={(event) => setValidFor(event.target.value)}
          />
        )}
        <Field
          label={kind === 'tag' ? msg('evidence.takenAwayWhenWhereTo') : msg('evidence.retiredBecause')}
          value={retired}
          maxLength={500}
          onChange={(event) => setRetired(event.target.value)}
          help={retired.trim() === '' ? undefined : msg('evidence.itStaysInTheBookAndIn')}
        />
        <Field
          className="sm:col-span-3"
          label={msg('common.note')}
          value={note}
          maxLength={2000}
          onChange={(event) => setNote(event.target.value)}
        />
      </div>
    </details>
  );
}

import { useState } from 'react';
import { antennaHeightMisfit, antennaHeightOf, SAME_HEIGHT } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { msg, antennaMisfitWords, smallFigure, smallUnit } from '@idle-marker/words';
import { useLinked } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft, lengthOf, smallOf, smallDraft } from '../../field/draft.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { usePoleSet } from '../../pole/usePoleSet.ts';
import type { PairedSet } from '../../pole/usePaired.ts';
import { SmallField } from '../../field/SmallField.tsx';

const OTHER = 'other';
/** What a calibration to a handful of marks usually leaves. */
/** Millimetres; on sites in feet round ones of those. */
const USUAL_FIT = { plan: 10, height: 20 };
const USUAL_FIT_FEET = { plan: 9.144, height: 18.288 };

/** Which receiver stands above the prism, by how much, and how well it is fitted to this site. */
export function PairDialog({ set, onClose }: { readonly set: PairedSet; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const { targetHeight } = usePoleSet();
  const carried = useLinked((link) => link?.pole.target?.item ?? null);
  const before = set.pairing?.body ?? null;
  const pairs = state.equipment.flatMap((fact) =>
    fact.body.what.kind === 'pair' ? [{ item: fact.body.item, ...fact.body.what }] : [],
  );
  const [item, setItem] = useState(before ? (before.item ?? OTHER) : (pairs[0]?.item ?? OTHER));
  const [receiver, setReceiver] = useState(before?.receiver ?? '');
  const [typedOffset, setOffset] = useState(() => lengthDraft(before?.offset, units));
  const listed = pairs.find((each) => each.item === item) ?? null;
  const offset = listed ? listed.offset : lengthOf(typedOffset, units);
  const [antennaText, setAntenna] = useState('');
  const usual = units.lengthUnit === 'metre' ? USUAL_FIT : USUAL_FIT_FEET;
  const [plan, setPlan] = useState(() => smallDraft(before?.fit.sdPlanMm ?? usual.plan, units.lengthUnit));
  const [height, setHeight] = useState(() => smallDraft(before?.fit.sdHeightMm ?? usual.height, units.lengthUnit));
  const [on, setOn] = useState(before?.fit.on ?? '');
  const [note, setNote] = useState('');
  const antenna = units.readLength(antennaText);
  const misfit = antenna === null || offset === null ? null : antennaHeightMisfit(antenna, targetHeight, offset);
  const fit = { sdPlanMm: smallOf(plan, units.lengthUnit), sdHeightMm: smallOf(height, units.lengthUnit) };
  const errors = {
    receiver: !listed && receiver.trim() === '' ? msg('common.itsNameOrNumber') : null,
    offset: offset === null || offset < 0 || offset > 2 ? msg('paired.fromThePrismsCentreUpToThe') : null,
    antenna:
      antenna === null
        ? msg('paired.asItIsEnteredAtTheReceiver')
        : misfit !== null && Math.abs(misfit) > SAME_HEIGHT
          ? antennaMisfitWords(misfit, units.lengthUnit)
          : null,
    fit: !(fit.sdPlanMm >= 0 && fit.sdPlanMm <= 500 && fit.sdHeightMm >= 0 && fit.sdHeightMm <= 500)
      ? msg('paired.millimetresFrom0To500', {
          most: smallFigure(500, units.lengthUnit),
          unit: smallUnit(units.lengthUnit).name,
        })
      : null,
  };
  const otherTarget = listed !== null && listed.target !== null && carried !== null && listed.target !== carried;
  const wrong = Object.values(errors).some((each) => each !== null) || otherTarget;
  const keep = async () => {
    const body: FactBody<'pairing'> = {
      occupation: set.occupation.id,
      item: listed?.item ?? null,
      name: listed?.name ?? receiver.trim(),
      receiver: listed?.receiver ?? receiver.trim(),
      offset: offset!,
      antennaHeight: antenna!,
      targetHeight,
      fit: { ...fit, on: on || null },
      note: note.trim(),
      supersedes: set.pairing?.id ?? null,
    };
    await say({ type: 'pairing', body });
    onClose();
  };
  return (
    <Dialog
      open
      onClose={onClose}
      title={msg('paired.receiverAndPrismOnOnePole')}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" disabled={wrong} onClick={() => void keep()}>
            {msg('paired.pairThem')}
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-3">
        <Choice
          label={msg('paired.receiverAndPrism')}
          value={item}
          options={[
            ...pairs.map((each) => [each.item, each.name] as const),
            [OTHER, pairs.length === 0 ? msg('paired.noneIsListedTypedHere') : msg('paired.anotherTypedHere')] as const,
          ]}
          onChange={setItem}
          help={
            listed
              ? msg('paired.receiverAboveThePrismsCentre', {
                  receiver: listed.receiver,
                  length: units.length(listed.offset),
                  unit: units.unit,
                })
              : msg('paired.pairsThatAreUsedAgainAreListed')
          }
        />
        {otherTarget && (
          <p className="border-l-4 border-brick pl-3 text-brick">{msg('paired.thisPairIsListedWithAnotherTarget')}</p>
        )}
        {!listed && (
          <div className="grid grid-cols-2 gap-3">
            <Field
              label={msg('common.receiverNameOrNumber')}
              maxLength={80}
              value={receiver}
              onChange={(event) => setReceiver(event.target.value)}
            />
            <DraftField
              label={msg('common.prismsCentreUpToItsReferencePoint')}
              unit={units.unit}
              draft={typedOffset}
              onDraft={setOffset}
              error={typedOffset.text === '' ? null : errors.offset}
            />
          </div>
        )}
        <Field
          label={msg('paired.antennaHeightAsEnteredAtTheReceiver')}
          unit={units.unit}
          inputMode="decimal"
          value={antennaText}
          onChange={(event) => setAntenna(event.target.value)}
          error={antennaText === '' ? null : errors.antenna}
          help={
            offset === null
              ? msg('paired.theTargetHeightIs', { length: units.length(targetHeight), unit: units.unit })
              : msg('paired.targetHeightAndOffsetMake', {
                  length: units.length(targetHeight),
                  length2: units.length(offset),
                  length3: units.length(antennaHeightOf(targetHeight, offset)),
                  unit: units.unit,
                })
          }
        />
        <div className="grid grid-cols-3 gap-3">
          <SmallField
            label={msg('paired.fittedToTheSitePlanMm')}
            term="calibrationResidual"
            draft={plan}
            onDraft={setPlan}
            error={errors.fit}
          />
          <SmallField label={msg('paired.heightMm')} draft={height} onDraft={setHeight} />
          <Field
            label={msg('paired.calibratedOn')}
            type="date"
            value={on}
            onChange={(event) => setOn(event.target.value)}
          />
        </div>
        <p className="text-[13px] text-ink2">{msg('paired.whatTheCalibrationLeftAtTheMarks')}</p>
        <Field
          label={msg('common.note')}
          maxLength={300}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          placeholder={msg('paired.whichBaseOrNetwork')}
        />
      </div>
    </Dialog>
  );
}

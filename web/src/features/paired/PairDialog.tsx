import { useState } from 'react';
import { antennaHeightMisfit, antennaHeightOf, SAME_HEIGHT } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { antennaMisfitWords } from '@idle-marker/words';
import { useLinked } from '../../link/linkStore.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { usePoleSet } from '../../pole/usePoleSet.ts';
import type { PairedSet } from '../../pole/usePaired.ts';

const OTHER = 'other';
/** What a calibration to a handful of marks usually leaves. */
const USUAL_FIT = { plan: '10', height: '20' };

/** Which receiver stands above the prism, by how much, and how well it is fitted to this site. */
export function PairDialog({ set, onClose }: { readonly set: PairedSet; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const { targetHeight } = usePoleSet();
  const carried = useLinked((link) => link?.pole.target?.item ?? null);
  const before = set.pairing?.body ?? null;
  const pairs = state.equipment.flatMap((fact) => (fact.body.what.kind === 'pair' ? [{ item: fact.body.item, ...fact.body.what }] : []));
  const [item, setItem] = useState(before ? (before.item ?? OTHER) : (pairs[0]?.item ?? OTHER));
  const [receiver, setReceiver] = useState(before?.receiver ?? '');
  const [offsetText, setOffset] = useState(before ? units.edit(before.offset) : '');
  const listed = pairs.find((each) => each.item === item) ?? null;
  const offset = listed ? listed.offset : units.readLength(offsetText);
  const [antennaText, setAntenna] = useState('');
  const [plan, setPlan] = useState(before ? String(before.fit.sdPlanMm) : USUAL_FIT.plan);
  const [height, setHeight] = useState(before ? String(before.fit.sdHeightMm) : USUAL_FIT.height);
  const [on, setOn] = useState(before?.fit.on ?? '');
  const [note, setNote] = useState('');
  const antenna = units.readLength(antennaText);
  const misfit = antenna === null || offset === null ? null : antennaHeightMisfit(antenna, targetHeight, offset);
  const fit = { sdPlanMm: Number(plan.replace(',', '.')), sdHeightMm: Number(height.replace(',', '.')) };
  const errors = {
    receiver: !listed && receiver.trim() === '' ? 'Its name or number.' : null,
    offset: offset === null || offset < 0 || offset > 2 ? 'From the prism’s centre up to the receiver’s reference point, 0 to 2 m.' : null,
    antenna:
      antenna === null
        ? 'As it is entered at the receiver.'
        : misfit !== null && Math.abs(misfit) > SAME_HEIGHT
          ? antennaMisfitWords(misfit, units.lengthUnit)
          : null,
    fit: !(fit.sdPlanMm >= 0 && fit.sdPlanMm <= 500 && fit.sdHeightMm >= 0 && fit.sdHeightMm <= 500) ? 'Millimetres, from 0 to 500.' : null,
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
      title="Receiver and prism on one pole"
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" disabled={wrong} onClick={() => void keep()}>
            Pair them
          </Button>
        </>
      }
    >
      <div className="flex flex-col gap-3">
        <Choice
          label="Pair"
          value={item}
          options={[
            ...pairs.map((each) => [each.item, each.name] as const),
            [OTHER, pairs.length === 0 ? 'none is listed: typed here' : 'another, typed here'] as const,
          ]}
          onChange={setItem}
          help={
            listed
              ? `Receiver ${listed.receiver}, ${units.length(listed.offset)} ${units.unit} above the prism’s centre.`
              : 'Pairs that are used again are listed under Linked, Library.'
          }
        />
        {otherTarget && (
          <p className="border-l-4 border-brick pl-3 text-brick">
            This pair is listed with another target than the one on the pole. Change the target under Linked, or choose the right pair: the offset belongs to
            both.
          </p>
        )}
        {!listed && (
          <div className="grid grid-cols-2 gap-3">
            <Field label="Receiver: name or number" maxLength={80} value={receiver} onChange={(event) => setReceiver(event.target.value)} />
            <Field
              label="Prism’s centre up to its reference point"
              unit={units.unit}
              inputMode="decimal"
              value={offsetText}
              onChange={(event) => setOffset(event.target.value)}
              error={offsetText === '' ? null : errors.offset}
            />
          </div>
        )}
        <Field
          label="Antenna height, as entered at the receiver"
          unit={units.unit}
          inputMode="decimal"
          value={antennaText}
          onChange={(event) => setAntenna(event.target.value)}
          error={antennaText === '' ? null : errors.antenna}
          help={
            offset === null
              ? `The target height is ${units.length(targetHeight)} ${units.unit}.`
              : `Target height ${units.length(targetHeight)} and offset ${units.length(offset)} make ${units.length(antennaHeightOf(targetHeight, offset))} ${units.unit}.`
          }
        />
        <div className="grid grid-cols-3 gap-3">
          <Field label="Fitted to the site, plan, mm" inputMode="decimal" value={plan} onChange={(event) => setPlan(event.target.value)} error={errors.fit} />
          <Field label="Height, mm" inputMode="decimal" value={height} onChange={(event) => setHeight(event.target.value)} />
          <Field label="Calibrated on" type="date" value={on} onChange={(event) => setOn(event.target.value)} />
        </div>
        <p className="text-[13px] text-ink2">
          What the calibration left at the marks it was fitted to, as its report says. It is in every reading alike, so it counts in what is promised and in how
          far the two heights may differ.
        </p>
        <Field label="Note" maxLength={300} value={note} onChange={(event) => setNote(event.target.value)} placeholder="which base or network" />
      </div>
    </Dialog>
  );
}

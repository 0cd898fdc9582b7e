import { useState } from 'react';
import { planDistance } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { TWIN_DISTANCE } from '@idle-marker/formats';
import { alikeName, type ControlMark } from '@idle-marker/records';
import { newId } from '../../ledger/uuid.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../site/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { dayAndTime } from '../../ui/time.ts';

type Body = FactBody<'control'>;

const KINDS: readonly (readonly [Body['kind'], string])[] = [
  ['pin', 'Pin in concrete'],
  ['nail', 'Nail'],
  ['screw', 'Screw'],
  ['cross', 'Cross, cut or painted'],
  ['stake', 'Stake with nail'],
  ['target', 'Target on a wall'],
  ['benchmark', 'Benchmark'],
  ['other', 'Other'],
];
const CONDITIONS: readonly (readonly [Body['condition'], string])[] = [
  ['secure', 'Secure'],
  ['usable', 'Usable'],
  ['doubtful', 'Doubtful'],
  ['lost', 'Lost'],
];

/** Adds a mark, or writes a new revision of one; the older ones stay readable. */
export function EditControl({ mark, onClose }: { mark: ControlMark | null; onClose(): void }) {
  const { state, say } = useSite();
  const units = useUnits();
  const before = mark?.revision.body;
  const [name, setName] = useState(before?.name ?? '');
  const [places, setPlaces] = useState({ e: units.edit(before?.e ?? null), n: units.edit(before?.n ?? null), z: units.edit(before?.z ?? null) });
  const [sdH, setSdH] = useState(String(before?.sdHMm ?? 2));
  const [sdZ, setSdZ] = useState(String(before?.sdZMm ?? 2));
  const [kind, setKind] = useState<Body['kind']>(before?.kind ?? 'pin');
  const [condition, setCondition] = useState<Body['condition']>(before?.condition ?? 'usable');
  const [usePlan, setUsePlan] = useState(before?.usePlan ?? true);
  const [useHeight, setUseHeight] = useState(before?.useHeight ?? true);
  const [forProof, setForProof] = useState(before?.forProof ?? false);
  const [note, setNote] = useState(before?.note ?? '');
  const [tried, setTried] = useState(false);
  const read = (text: string) => (text.trim() === '' ? null : units.readLength(text));
  const place = { e: read(places.e), n: read(places.n), z: read(places.z) };
  const others = state.control.filter((each) => each.id !== mark?.id);
  const twin =
    place.e !== null && place.n !== null
      ? others.find(
          (each) =>
            each.revision.body.e !== null && planDistance({ e: place.e!, n: place.n! }, { e: each.revision.body.e, n: each.revision.body.n! }) < TWIN_DISTANCE,
        )
      : undefined;
  const notNumber = (text: string, value: number | null) => (text.trim() !== '' && value === null ? `“${text}” is not a length in ${units.unit}.` : null);
  const alike = alikeName(
    name,
    others.map((each) => each.revision.body.name),
  );
  const errors = {
    name:
      name.trim() === ''
        ? 'Give the mark its name.'
        : alike !== null
          ? `${alike} is on the list already${alike === name.trim() ? '' : ': two names that look alike get mixed up'}.`
          : null,
    e: notNumber(places.e, place.e) ?? (place.e === null && place.n !== null ? 'Give both coordinates, or neither.' : null),
    n: notNumber(places.n, place.n) ?? (place.n === null && place.e !== null ? 'Give both coordinates, or neither.' : null),
    z: notNumber(places.z, place.z) ?? (place.z === null && place.e === null ? 'Give a place, a height, or both.' : null),
    sdH: place.e !== null && !(Number(sdH) >= 0 && Number(sdH) <= 10_000 && sdH.trim() !== '') ? 'Give millimetres, 0 or more.' : null,
    sdZ: place.z !== null && !(Number(sdZ) >= 0 && Number(sdZ) <= 10_000 && sdZ.trim() !== '') ? 'Give millimetres, 0 or more.' : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null);
  const shown = (error: string | null, touched: boolean) => (tried || touched ? error : null);
  const save = async () => {
    setTried(true);
    if (faulty) return;
    const body: Body = {
      mark: mark?.id ?? newId(),
      name: name.trim(),
      ...place,
      sdHMm: place.e === null ? null : Number(sdH),
      sdZMm: place.z === null ? null : Number(sdZ),
      kind,
      usePlan: usePlan && place.e !== null,
      useHeight: useHeight && place.z !== null,
      forProof,
      condition,
      note: note.trim(),
      source: 'typed',
      supersedes: mark?.revision.id ?? null,
    };
    await say({ type: 'control', body });
    onClose();
  };
  const axis = { e: 'Easting', n: 'Northing' } as const;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={mark ? `${mark.revision.body.name}: new revision` : 'New control mark'}
      foot={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="primary" type="submit" form="control-mark">
            {mark ? 'Keep as new revision' : 'Add mark'}
          </Button>
        </>
      }
    >
      <form
        id="control-mark"
        className="grid gap-3 sm:grid-cols-3"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <Field label="Name" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} error={shown(errors.name, false)} autoFocus />
        <Choice label="Kind" value={kind} options={KINDS} onChange={setKind} />
        <Choice label="Condition" value={condition} options={CONDITIONS} onChange={setCondition} />
        {units.axes.map((which) => (
          <Field
            key={which}
            label={axis[which]}
            unit={units.unit}
            value={places[which]}
            inputMode="decimal"
            onChange={(event) => setPlaces({ ...places, [which]: event.target.value })}
            error={shown(errors[which], places[which] !== '')}
          />
        ))}
        <Field
          label="Height"
          unit={units.unit}
          value={places.z}
          inputMode="decimal"
          onChange={(event) => setPlaces({ ...places, z: event.target.value })}
          error={shown(errors.z, places.z !== '')}
        />
        <Field
          label="Standard deviation in plan, per axis"
          unit="mm"
          value={sdH}
          inputMode="decimal"
          onChange={(event) => setSdH(event.target.value)}
          error={errors.sdH}
        />
        <Field
          label="Standard deviation in height"
          unit="mm"
          value={sdZ}
          inputMode="decimal"
          onChange={(event) => setSdZ(event.target.value)}
          error={errors.sdZ}
        />
        <Field label="Note" value={note} maxLength={2000} onChange={(event) => setNote(event.target.value)} />
        <Tick label="Usable in plan" checked={usePlan} onChange={setUsePlan} />
        <Tick label="Usable in height" checked={useHeight} onChange={setUseHeight} />
        <Tick label="Kept for proofs" checked={forProof} onChange={setForProof} />
      </form>
      {twin && (
        <p className="mt-3 border-l-4 border-ochre pl-3">
          Less than 1 m from {twin.revision.body.name}: probably one mark listed twice. Keep it only if both really stand there.
        </p>
      )}
      {mark && mark.revisions.length > 0 && (
        <section className="mt-4">
          <h3 className="text-[15px]">Revisions</h3>
          <ul className="figures text-[14px] text-ink2">
            {mark.revisions.map((revision, i) => (
              <li key={revision.id}>
                r{mark.revisions.length - i}, {dayAndTime(revision.at)}: {units.axes.map((which) => units.length(revision.body[which])).join(', ')},{' '}
                {units.length(revision.body.z)} · {revision.body.condition} · {revision.body.source}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
}

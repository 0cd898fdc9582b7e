import { useState } from 'react';
import { formatSigned, planDistance } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { TWIN_DISTANCE } from '@idle-marker/formats';
import { alikeName, freeName, sameAsBefore, type ControlMark } from '@idle-marker/records';
import { newId } from '../data/uuid.ts';
import { DraftField } from '../field/DraftField.tsx';
import { lengthDraft, lengthOf, type Draft } from '../field/draft.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { Button } from '../ui/Button.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Field, Tick } from '../ui/Field.tsx';
import { dayAndTime } from '../ui/time.ts';
import { NameTaken, type GivenPlace } from './NameTaken.tsx';

type Body = FactBody<'control'>;

const KINDS: readonly (readonly [Body['kind'], string])[] = [
  ['pin', 'Pin in concrete'],
  ['plate', 'Cast plate'],
  ['nail', 'Nail'],
  ['screw', 'Screw'],
  ['cross', 'Cross, cut or painted'],
  ['stake', 'Stake with nail'],
  ['target', 'Target on a wall'],
  ['tag', 'Tag, reusable'],
  ['benchmark', 'Benchmark'],
  ['other', 'Other'],
];
const CONDITIONS: readonly (readonly [Body['condition'], string])[] = [
  ['secure', 'Secure'],
  ['usable', 'Usable'],
  ['doubtful', 'Doubtful'],
  ['lost', 'Lost'],
];

/** What has to be said of the spot, where it is not plain. */
const SPOT_HINT: Partial<Record<Body['kind'], string>> = {
  cross: 'on the point, or at what offset',
  target: 'how it is fastened: square to the wall, level',
  benchmark: 'top of the nut, nail head, written line',
  tag: 'which wall, which corner',
};

/** Adds a mark, or writes a new revision of one; the older ones stay readable. */
export function EditControl({ mark, onClose }: { mark: ControlMark | null; onClose(): void }) {
  const [meant, setMeant] = useState<{ readonly mark: ControlMark | null; readonly place: GivenPlace | null }>({ mark, place: null });
  return <ControlForm key={meant.mark?.id ?? ''} {...meant} onMeant={(known, place) => setMeant({ mark: known, place })} onClose={onClose} />;
}

interface ControlFormProps {
  /** The one that gets a new revision; null for a mark of its own. */
  readonly mark: ControlMark | null;
  /** New figures that were typed before it was known which mark is meant. */
  readonly place: GivenPlace | null;
  /** The name that was typed is that of a mark that is there, and it is meant. */
  onMeant(known: ControlMark, place: GivenPlace): void;
  onClose(): void;
}

function ControlForm({ mark, place: typed, onMeant, onClose }: ControlFormProps) {
  const { state, say } = useSite();
  const units = useUnits();
  const before = mark?.revision.body;
  const first = typed ?? before ?? null;
  const [name, setName] = useState(before?.name ?? '');
  const [places, setPlaces] = useState<Readonly<Record<'e' | 'n' | 'z', Draft<number>>>>(() => ({
    e: lengthDraft(first?.e, units),
    n: lengthDraft(first?.n, units),
    z: lengthDraft(first?.z, units),
  }));
  const [sdH, setSdH] = useState(String(before?.sdHMm ?? 2));
  const [sdZ, setSdZ] = useState(String(before?.sdZMm ?? 2));
  const [kind, setKind] = useState<Body['kind']>(before?.kind ?? 'pin');
  const [condition, setCondition] = useState<Body['condition']>(before?.condition ?? 'usable');
  const [usePlan, setUsePlan] = useState(before === undefined || before.e === null ? true : before.usePlan);
  const [useHeight, setUseHeight] = useState(before === undefined || before.z === null ? true : before.useHeight);
  const [forProof, setForProof] = useState(before?.forProof ?? false);
  const [note, setNote] = useState(before?.note ?? '');
  const [spot, setSpot] = useState(before?.spot ?? '');
  const [source, setSource] = useState(mark ? '' : 'typed');
  const [heightSource, setHeightSource] = useState(before?.heightSource ?? '');
  const [setBy, setSetBy] = useState(before?.setBy ?? '');
  const [setOn, setSetOn] = useState(before?.setOn ?? '');
  const [useBefore, setUseBefore] = useState(before?.useBefore ?? '');
  const [validFor, setValidFor] = useState(before?.validFor ?? '');
  const [rating, setRating] = useState<'kind' | 'firm' | 'fair' | 'soft'>(before?.firmness?.rating ?? 'kind');
  const [ratingReason, setRatingReason] = useState(before?.firmness?.reason ?? '');
  const [retired, setRetired] = useState(before?.retired ?? '');
  const [tried, setTried] = useState(false);
  const read = (draft: Draft<number>) => (draft.text.trim() === '' ? null : lengthOf(draft, units));
  const place = { e: read(places.e), n: read(places.n), z: read(places.z) };
  const others = state.control.filter((each) => each.id !== mark?.id);
  const twin =
    place.e !== null && place.n !== null
      ? others.find(
          (each) =>
            each.revision.body.e !== null && planDistance({ e: place.e!, n: place.n! }, { e: each.revision.body.e, n: each.revision.body.n! }) < TWIN_DISTANCE,
        )
      : undefined;
  const notNumber = ({ text }: Draft<number>, value: number | null) =>
    text.trim() !== '' && value === null ? `“${text}” is not a length in ${units.unit}.` : null;
  const alike = alikeName(
    name,
    others.map((each) => each.revision.body.name),
  );
  const known = mark === null && alike !== null ? (others.find((each) => each.revision.body.name === alike) ?? null) : null;
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
    source: mark && source.trim() === '' ? 'Say where the new figures come from, or what was changed.' : null,
    rating: rating !== 'kind' && ratingReason.trim() === '' ? 'Say why it is rated otherwise than its kind.' : null,
    sdH: place.e !== null && !(Number(sdH) >= 0 && Number(sdH) <= 10_000 && sdH.trim() !== '') ? 'Give millimetres, 0 or more.' : null,
    sdZ: place.z !== null && !(Number(sdZ) >= 0 && Number(sdZ) <= 10_000 && sdZ.trim() !== '') ? 'Give millimetres, 0 or more.' : null,
  };
  const faulty = Object.values(errors).some((error) => error !== null);
  const shown = (error: string | null, touched: boolean) => (tried || touched ? error : null);
  const save = async () => {
    setTried(true);
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
      // A retired mark is never deleted, and never used by mistake.
      condition: retired.trim() === '' ? condition : 'lost',
      note: note.trim(),
      source: source.trim(),
      ...(heightSource.trim() === '' ? {} : { heightSource: heightSource.trim() }),
      spot: spot.trim(),
      setBy: setBy.trim(),
      setOn: setOn === '' ? null : setOn,
      firmness: rating === 'kind' ? null : { rating, reason: ratingReason.trim() },
      useBefore: useBefore === '' ? null : useBefore,
      validFor: validFor.trim(),
      retired: retired.trim() === '' ? null : retired.trim(),
      parent: before?.parent ?? null,
      ...(before?.from ? { from: before.from } : {}),
      ...(before?.brought ? { brought: before.brought } : {}),
      supersedes: mark?.revision.id ?? null,
    };
    // Nothing was changed: there is no source to be asked for.
    const asBefore = before && source.trim() === '' ? sameAsBefore(state, { type: 'control', body: { ...body, source: before.source } }) : null;
    if (asBefore) {
      onClose();
      return;
    }
    if (faulty) return;
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
          <DraftField
            key={which}
            label={axis[which]}
            unit={units.unit}
            draft={places[which]}
            onDraft={(next) => setPlaces({ ...places, [which]: next })}
            error={shown(errors[which], places[which].text !== '')}
          />
        ))}
        <DraftField
          label="Height"
          unit={units.unit}
          draft={places.z}
          onDraft={(z) => setPlaces({ ...places, z })}
          error={shown(errors.z, places.z.text !== '')}
          help={
            before && before.z !== null && place.z !== null && Math.abs(place.z - before.z) > 5e-5
              ? `${formatSigned((place.z - before.z) * 1000, 1)} mm against the revision before.`
              : undefined
          }
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
        <Field
          label={mark ? 'Source, or what was changed (needed)' : 'Source'}
          value={source}
          maxLength={200}
          onChange={(event) => setSource(event.target.value)}
          error={shown(errors.source, false)}
        />
        <Tick label="Usable in plan" checked={usePlan} onChange={setUsePlan} />
        <Tick label="Usable in height" checked={useHeight} onChange={setUseHeight} />
        <Tick label="Kept for proofs" checked={forProof} onChange={setForProof} />
        <details className="sm:col-span-3" open={mark !== null && Boolean(spot || setBy || useBefore || validFor || retired)}>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">More about the mark</summary>
          <div className="grid gap-3 sm:grid-cols-3">
            <Field
              label="Which spot is the point"
              value={spot}
              maxLength={200}
              placeholder={SPOT_HINT[kind] ?? 'centre of the nail head'}
              onChange={(event) => setSpot(event.target.value)}
            />
            <Field
              label="Height from, if elsewhere"
              value={heightSource}
              maxLength={200}
              placeholder="label on the kerb"
              onChange={(event) => setHeightSource(event.target.value)}
            />
            <Field label="Set by" value={setBy} maxLength={120} onChange={(event) => setSetBy(event.target.value)} />
            <Field label="Set on" type="date" value={setOn} onChange={(event) => setSetOn(event.target.value)} />
            <Choice
              label="Firmness"
              value={rating}
              options={[
                ['kind', 'As its kind'],
                ['firm', 'Firm'],
                ['fair', 'Fair'],
                ['soft', 'Soft'],
              ]}
              onChange={setRating}
            />
            {rating !== 'kind' && (
              <Field
                label="Why (needed)"
                value={ratingReason}
                maxLength={500}
                onChange={(event) => setRatingReason(event.target.value)}
                error={shown(errors.rating, false)}
              />
            )}
            <Field label="Use before, if it will not last" type="date" value={useBefore} onChange={(event) => setUseBefore(event.target.value)} />
            {kind === 'tag' && <Field label="Valid for which part" value={validFor} maxLength={200} onChange={(event) => setValidFor(event.target.value)} />}
            <Field
              label={kind === 'tag' ? 'Taken away: when, where to' : 'Retired because'}
              value={retired}
              maxLength={500}
              onChange={(event) => setRetired(event.target.value)}
              help={retired.trim() === '' ? undefined : 'It stays in the book and in the stations that used it; nobody can choose it any more.'}
            />
            <Field className="sm:col-span-3" label="Note" value={note} maxLength={2000} onChange={(event) => setNote(event.target.value)} />
          </div>
        </details>
      </form>
      {known && (
        <NameTaken
          known={known}
          place={place}
          free={freeName(
            known.revision.body.name,
            others.map((each) => each.revision.body.name),
          )}
          onRevise={(next) => onMeant(known, next)}
          onRename={setName}
        />
      )}
      {twin && twin !== known && (
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

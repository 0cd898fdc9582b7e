import { useState } from 'react';
import { formatSigned, planDistance } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { TWIN_DISTANCE } from '@idle-marker/formats';
import { alikeName, freeName, sameAsBefore, type ControlMark } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
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
  ['pin', msg('common.pinInConcrete')],
  ['plate', msg('evidence.castPlate')],
  ['nail', msg('evidence.nail')],
  ['screw', msg('common.screw')],
  ['cross', msg('common.crossCutOrPainted')],
  ['stake', msg('common.stakeWithNail')],
  ['target', msg('common.targetOnAWall')],
  ['tag', msg('evidence.tagReusable')],
  ['benchmark', msg('common.benchmark')],
  ['other', msg('evidence.other')],
];
const CONDITIONS: readonly (readonly [Body['condition'], string])[] = [
  ['secure', msg('evidence.secure')],
  ['usable', msg('evidence.usable')],
  ['doubtful', msg('evidence.doubtful')],
  ['lost', msg('evidence.lost')],
];

/** What has to be said of the spot, where it is not plain. */
const SPOT_HINT: Partial<Record<Body['kind'], string>> = {
  cross: msg('evidence.onThePointOrAtWhatOffset'),
  target: msg('evidence.howItIsFastenedSquareToThe'),
  benchmark: msg('evidence.topOfTheNutNailHeadWritten'),
  tag: msg('evidence.whichWallWhichCorner'),
};

/** Adds a mark, or writes a new revision of one; the older ones stay readable. */
export function EditControl({ mark, onClose }: { mark: ControlMark | null; onClose(): void }) {
  const [meant, setMeant] = useState<{ readonly mark: ControlMark | null; readonly place: GivenPlace | null }>({
    mark,
    place: null,
  });
  return (
    <ControlForm
      key={meant.mark?.id ?? ''}
      {...meant}
      onMeant={(known, place) => setMeant({ mark: known, place })}
      onClose={onClose}
    />
  );
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
            each.revision.body.e !== null &&
            planDistance({ e: place.e!, n: place.n! }, { e: each.revision.body.e, n: each.revision.body.n! }) <
              TWIN_DISTANCE,
        )
      : undefined;
  const notNumber = ({ text }: Draft<number>, value: number | null) =>
    text.trim() !== '' && value === null ? msg('evidence.isNotALengthIn', { text, unit: units.unit }) : null;
  const alike = alikeName(
    name,
    others.map((each) => each.revision.body.name),
  );
  const known =
    mark === null && alike !== null ? (others.find((each) => each.revision.body.name === alike) ?? null) : null;
  const errors = {
    name:
      name.trim() === ''
        ? msg('evidence.giveTheMarkItsName')
        : alike !== null
          ? msg('evidence.isOnTheListAlready', {
              alike,
              alike2: alike === name.trim() ? '' : msg('evidence.twoNamesThatLookAlikeGetMixed'),
            })
          : null,
    e:
      notNumber(places.e, place.e) ??
      (place.e === null && place.n !== null ? msg('evidence.giveBothCoordinatesOrNeither') : null),
    n:
      notNumber(places.n, place.n) ??
      (place.n === null && place.e !== null ? msg('evidence.giveBothCoordinatesOrNeither') : null),
    z:
      notNumber(places.z, place.z) ??
      (place.z === null && place.e === null ? msg('evidence.giveAPlaceAHeightOrBoth') : null),
    source: mark && source.trim() === '' ? msg('evidence.sayWhereTheNewFiguresComeFrom') : null,
    rating: rating !== 'kind' && ratingReason.trim() === '' ? msg('evidence.sayWhyItIsRatedOtherwiseThan') : null,
    sdH:
      place.e !== null && !(Number(sdH) >= 0 && Number(sdH) <= 10_000 && sdH.trim() !== '')
        ? msg('common.giveMillimetres0OrMore')
        : null,
    sdZ:
      place.z !== null && !(Number(sdZ) >= 0 && Number(sdZ) <= 10_000 && sdZ.trim() !== '')
        ? msg('common.giveMillimetres0OrMore')
        : null,
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
    const asBefore =
      before && source.trim() === ''
        ? sameAsBefore(state, { type: 'control', body: { ...body, source: before.source } })
        : null;
    if (asBefore) {
      onClose();
      return;
    }
    if (faulty) return;
    await say({ type: 'control', body });
    onClose();
  };
  const axis = { e: msg('common.easting'), n: msg('common.northing') } as const;
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={mark ? msg('common.newRevision', { name: mark.revision.body.name }) : msg('evidence.newControlMark')}
      foot={
        <>
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" type="submit" form="control-mark">
            {mark ? msg('common.keepAsNewRevision') : msg('evidence.addMark')}
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
        <Field
          label={msg('common.name')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={shown(errors.name, false)}
          autoFocus
        />
        <Choice label={msg('common.kind')} value={kind} options={KINDS} onChange={setKind} />
        <Choice label={msg('common.condition')} value={condition} options={CONDITIONS} onChange={setCondition} />
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
          label={msg('common.height')}
          unit={units.unit}
          draft={places.z}
          onDraft={(z) => setPlaces({ ...places, z })}
          error={shown(errors.z, places.z.text !== '')}
          help={
            before && before.z !== null && place.z !== null && Math.abs(place.z - before.z) > 5e-5
              ? msg('evidence.mmAgainstTheRevisionBefore', { signed: formatSigned((place.z - before.z) * 1000, 1) })
              : undefined
          }
        />
        <Field
          label={msg('evidence.standardDeviationInPlanPerAxis')}
          unit="mm"
          value={sdH}
          inputMode="decimal"
          onChange={(event) => setSdH(event.target.value)}
          error={errors.sdH}
        />
        <Field
          label={msg('evidence.standardDeviationInHeight')}
          unit="mm"
          value={sdZ}
          inputMode="decimal"
          onChange={(event) => setSdZ(event.target.value)}
          error={errors.sdZ}
        />
        <Field
          label={mark ? msg('evidence.sourceOrWhatWasChangedNeeded') : msg('evidence.source')}
          value={source}
          maxLength={200}
          onChange={(event) => setSource(event.target.value)}
          error={shown(errors.source, false)}
        />
        <Tick label={msg('evidence.usableInPlan')} checked={usePlan} onChange={setUsePlan} />
        <Tick label={msg('evidence.usableInHeight')} checked={useHeight} onChange={setUseHeight} />
        <Tick label={msg('common.keptForProofs')} checked={forProof} onChange={setForProof} />
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
              placeholder={SPOT_HINT[kind] ?? msg('evidence.centreOfTheNailHead')}
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
              value={rating}
              options={[
                ['kind', msg('evidence.asItsKind')],
                ['firm', msg('common.firm')],
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
          {msg('evidence.lessThan1MFromProbablyOne', { name: twin.revision.body.name })}
        </p>
      )}
      {mark && mark.revisions.length > 0 && (
        <section className="mt-4">
          <h3 className="text-[15px]">{msg('common.revisions')}</h3>
          <ul className="figures text-[14px] text-ink2">
            {mark.revisions.map((revision, i) => (
              <li key={revision.id}>
                r{mark.revisions.length - i}, {dayAndTime(revision.at)}:{' '}
                {units.axes.map((which) => units.length(revision.body[which])).join(', ')},{' '}
                {units.length(revision.body.z)} · {revision.body.condition} · {revision.body.source}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Dialog>
  );
}

import { useState } from 'react';
import { planDistance, type LengthUnit } from '@idle-marker/core';
import type { FactBody } from '@idle-marker/contract';
import { TWIN_DISTANCE } from '@idle-marker/formats';
import { alikeName, sameAsBefore, type ControlMark } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { newId } from '../data/uuid.ts';
import { lengthDraft, lengthOf, type Draft, smallOf, smallDraft, usualSd } from '../field/draft.ts';
import { useSite } from '../site/SiteContext.tsx';
import { useUnits } from '../field/useUnits.ts';
import { type GivenPlace } from './NameTaken.tsx';

export type Body = FactBody<'control'>;

export interface ControlFormProps {
  /** The one that gets a new revision; null for a mark of its own. */
  readonly mark: ControlMark | null;
  /** New figures that were typed before it was known which mark is meant. */
  readonly place: GivenPlace | null;
  /** The name that was typed is that of a mark that is there, and it is meant. */
  onMeant(known: ControlMark, place: GivenPlace): void;
  onClose(): void;
}

const sdDraft = (mm: number | null | undefined, unit: LengthUnit): Draft<number> =>
  mm === null || mm === undefined ? usualSd(unit) : smallDraft(mm, unit);
const isSd = (mm: number): boolean => mm >= 0 && mm <= 10_000;

/** What ControlForm shows, and what its buttons do. */
export function useControlForm({ mark, place: typed, onClose }: Pick<ControlFormProps, 'mark' | 'place' | 'onClose'>) {
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
  const [sdH, setSdH] = useState(() => sdDraft(before?.sdHMm, units.lengthUnit));
  const [sdZ, setSdZ] = useState(() => sdDraft(before?.sdZMm, units.lengthUnit));
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
      place.e !== null && !isSd(smallOf(sdH, units.lengthUnit))
        ? msg('common.giveMillimetres0OrMore', { unit: smallUnit(units.lengthUnit).name })
        : null,
    sdZ:
      place.z !== null && !isSd(smallOf(sdZ, units.lengthUnit))
        ? msg('common.giveMillimetres0OrMore', { unit: smallUnit(units.lengthUnit).name })
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
      sdHMm: place.e === null ? null : smallOf(sdH, units.lengthUnit),
      sdZMm: place.z === null ? null : smallOf(sdZ, units.lengthUnit),
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
  return {
    units,
    before,
    name,
    setName,
    places,
    setPlaces,
    sdH,
    setSdH,
    sdZ,
    setSdZ,
    kind,
    setKind,
    condition,
    setCondition,
    usePlan,
    setUsePlan,
    useHeight,
    setUseHeight,
    forProof,
    setForProof,
    note,
    setNote,
    spot,
    setSpot,
    source,
    setSource,
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
    place,
    others,
    twin,
    known,
    errors,
    shown,
    save,
    axis,
  };
}

export type ControlFormModel = ReturnType<typeof useControlForm>;

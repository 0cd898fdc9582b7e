import { useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { alikeName, roadOf, type AlignmentFactBody } from '@idle-marker/records';
import { msg, readStation, roadFaultWords, stationText } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { roadScene } from '../../board/roadScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene } from '../../board/siteScene.ts';
import { ok } from '@idle-marker/core';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import {
  readEquations,
  readProfile,
  readStrings,
  readWay,
  writeEquations,
  writeIntersections,
  writeProfile,
  writeStrings,
} from './roadText.ts';

const MOST_TYPED = 40_000;

type Equations = ReturnType<typeof readEquations>;

type Profile = ReturnType<typeof readProfile>;

type Strings = ReturnType<typeof readStrings>;

/** What EditRoad shows, and what its buttons do. */
export function useEditRoad({
  fact,
  onClose,
}: Pick<{ readonly fact: Fact<'alignment'> | null; onClose(): void }, 'fact' | 'onClose'>) {
  const { state, say } = useSite();
  const units = useUnits();
  const style = useStationStyle();
  const ways = useMemo(() => ({ units, style }), [units, style]);
  const before = fact?.body ?? null;
  const [name, setName] = useState(before?.name ?? '');
  const [kind, setKind] = useState<AlignmentFactBody['kind']>(before?.kind ?? 'road');
  const [start, setStart] = useState<Draft<number>>(() =>
    written(before?.startStation ?? 0, stationText(before?.startStation ?? 0, style, 0).replace('−', '-')),
  );
  const [corridor, setCorridor] = useState<Draft<number>>(() =>
    lengthDraft(before?.corridor ?? units.round(25, 80), units),
  );
  const [shift, setShift] = useState<Draft<number>>(() =>
    lengthDraft(before && before.shift !== 0 ? Math.abs(before.shift) : null, units),
  );
  const [shiftSide, setShiftSide] = useState<'right' | 'left'>((before?.shift ?? 0) < 0 ? 'left' : 'right');
  const [reason, setReason] = useState(before?.shiftReason ?? '');
  /** Of a line that was not typed as points, the way stays as it came until it is typed anew. */
  const [wayBefore] = useState(() =>
    before?.typed && before.typed.unit === units.lengthUnit
      ? before.typed.text
      : before?.intersections
        ? writeIntersections(before.intersections, ways)
        : '',
  );
  const [way, setWay] = useState(wayBefore);
  const [equations, setEquations] = useState<Draft<Equations>>(() =>
    before ? written(ok(before.equations), writeEquations(before.equations, ways)) : typed(''),
  );
  const [profile, setProfile] = useState<Draft<Profile>>(() =>
    before?.profile ? written(ok(before.profile.points), writeProfile(before.profile.points, ways)) : typed(''),
  );
  const [strings, setStrings] = useState<Draft<Strings>>(() =>
    before ? written(ok({ strings: before.strings, kerbs: before.kerbs }), writeStrings(before, ways)) : typed(''),
  );
  const [tried, setTried] = useState(false);
  const keepsWay = before !== null && (way.trim() === '' || way === wayBefore);
  const read = useMemo(() => {
    return {
      way: keepsWay ? null : readWay(way, ways),
      equations: valueOf(equations, (text): Equations => readEquations(text, ways)),
      profile: valueOf(profile, (text): Profile => readProfile(text, ways)),
      strings: valueOf(strings, (text): Strings => readStrings(text, ways)),
    };
  }, [keepsWay, way, equations, profile, strings, ways]);
  const startRead = valueOf<number | null>(start, (text) => readStation(text, style));
  const [corridorRead, shiftRead] = [lengthOf(corridor, units), shift.text.trim() === '' ? 0 : lengthOf(shift, units)];
  const alike = alikeName(
    name,
    state.alignments.filter(({ body }) => body.alignment !== before?.alignment).map(({ body }) => body.name),
  );
  const errors = {
    name:
      name.trim() === ''
        ? msg('design.giveTheLineAName')
        : alike !== null
          ? msg('design.thereIsALineAlready', { alike })
          : null,
    start: startRead === null ? msg('design.writeItAs', { station: stationText(0, style, 0) }) : null,
    corridor: corridorRead === null || corridorRead <= 0 ? msg('common.giveALengthOver0') : null,
    shift: shiftRead === null || shiftRead < 0 ? msg('design.giveALengthOrNothing') : null,
    reason: shiftRead ? (reason.trim() === '' ? msg('design.sayWhyEverythingIsSetBesideIts') : null) : null,
    way: read.way && !read.way.ok ? read.way.error : null,
    equations: read.equations.ok ? null : read.equations.error,
    profile: read.profile.ok ? null : read.profile.error,
    strings: read.strings.ok ? null : read.strings.error,
  };
  const body = useMemo((): FactBody<'alignment'> | null => {
    if (
      startRead === null ||
      corridorRead === null ||
      shiftRead === null ||
      (read.way && !read.way.ok) ||
      !read.equations.ok ||
      !read.profile.ok ||
      !read.strings.ok
    )
      return null;
    const elements = read.way ? read.way.value.elements : before!.elements;
    const intersections = read.way ? read.way.value.intersections : (before!.intersections ?? null);
    return {
      alignment: before?.alignment ?? newId(),
      name: name.trim() || 'line',
      kind,
      startStation: startRead,
      elements: elements.map((each) => ({ ...each })),
      ...(intersections ? { intersections: intersections.map((each) => ({ ...each })) } : {}),
      ...(!read.way
        ? before?.typed
          ? { typed: before.typed }
          : {}
        : way.length <= MOST_TYPED
          ? { typed: { text: way, unit: units.lengthUnit } }
          : {}),
      equations: read.equations.value,
      profile:
        read.profile.value.length === 0 ? null : { name: before?.profile?.name ?? 'typed', points: read.profile.value },
      strings: read.strings.value.strings,
      kerbs: read.strings.value.kerbs,
      ...(!read.way && before?.sections ? { sections: before.sections } : {}),
      corridor: corridorRead,
      shift: shiftSide === 'right' ? shiftRead : -shiftRead,
      ...(shiftRead ? { shiftReason: reason.trim() } : {}),
      source: read.way ? 'typed' : before!.source,
      drawing: read.way ? null : before!.drawing,
      sourceName: read.way ? null : before!.sourceName,
      retired: false,
      supersedes: fact?.id ?? null,
    };
  }, [before, fact, name, kind, way, units.lengthUnit, startRead, read, corridorRead, shiftRead, shiftSide, reason]);
  const road = body && roadOf(body);
  const whole = road && !road.ok ? roadFaultWords(road.error, style) : null;
  const drawn = road?.ok ? road.value : null;
  const scene = useMemo(
    () => joinScenes(controlScene(state.control, null), drawn ? roadScene(drawn, style) : {}),
    [state.control, drawn, style],
  );
  const keep = async (retired: boolean) => {
    setTried(true);
    if (!body || !drawn || Object.values(errors).some((error) => error !== null)) return;
    await say({ type: 'alignment', body: { ...body, retired } });
    onClose();
  };
  const shown = (error: string | null, text: string) => (tried || text !== '' ? error : null);
  return {
    units,
    style,
    before,
    name,
    setName,
    kind,
    setKind,
    start,
    setStart,
    corridor,
    setCorridor,
    shift,
    setShift,
    shiftSide,
    setShiftSide,
    reason,
    setReason,
    way,
    setWay,
    equations,
    setEquations,
    profile,
    setProfile,
    strings,
    setStrings,
    tried,
    shiftRead,
    errors,
    whole,
    drawn,
    scene,
    keep,
    shown,
  };
}

export type EditRoadModel = ReturnType<typeof useEditRoad>;

import { useMemo, useState } from 'react';
import { stationsShown, type Metres, type PlanPoint } from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import {
  drawnReturn,
  hubPlans,
  returnBetween,
  returnItem,
  touchedString,
  waysRound,
  type ReturnSide,
  usualClass,
} from '@idle-marker/records';
import { msg, gradeWords, outlineErrorWords, readStation, returnFaultWords, stringWords } from '@idle-marker/words';
import { roadScene } from '../board/roadScene.ts';
import { joinScenes } from '../board/scene.ts';
import { DraftField } from '../field/DraftField.tsx';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../field/draft.ts';
import { useSite } from '../site/SiteContext.tsx';
import { typedStation, useRoads, useStationStyle, useStationWord, type SiteRoad } from '../site/useRoads.ts';
import { useUnits } from '../field/useUnits.ts';
import { usePackageHead } from './PackageHead.tsx';
import { usePackageWriting } from './PackageWriting.tsx';
import { Choice } from '../ui/Field.tsx';

type Package = FactBody<'package'>;

/** Pixels that a finger can't tell apart. */
const FINGER = 6;

type Way = 'up' | 'down';

type Marks = 'arc' | 'radiusPoint' | 'both';

interface DraftSide {
  readonly road: string;
  readonly string: string;
  readonly gradeString: string;
  readonly station: Draft<number>;
  readonly way: Way;
}

/** What ReturnPackage shows, and what its buttons do. */
export function useReturnPackage({
  active,
  work,
  onClose,
}: Pick<
  {
    readonly active: SiteRoad;
    readonly work: Fact<'package'> | null;
    onClose(): void;
  },
  'active' | 'work' | 'onClose'
>) {
  const { state, say } = useSite();
  const units = useUnits();
  const style = useStationStyle();
  const word = useStationWord();
  const roads = useRoads();
  const before = work?.body ?? null;
  const asked = before?.items[0]?.road;
  /** The road that it leads to: as before, or any other. */
  const onto = roads.find(({ id }) => id === asked?.return?.line) ?? roads.find(({ id }) => id !== active.id) ?? active;
  const head = usePackageHead(work);
  const writing = usePackageWriting(work?.body);
  const { name, crew, prefix } = head;
  const kerbClass = usualClass(state, 'kerb').id;
  const [classId, setClassId] = useState(before?.class ?? kerbClass);
  const [offset, setOffset] = useState<Draft<number>>(() => lengthDraft(before?.offset ?? 1, units));
  const [side, setSide] = useState<'on' | 'left' | 'right'>(asked?.side ?? 'left');
  const [radius, setRadius] = useState<Draft<number>>(() => lengthDraft(asked?.return?.radius, units));
  const [marks, setMarks] = useState<Marks>(asked?.return?.marks ?? 'both');
  const first = (road: SiteRoad) =>
    road.road.template.names.find((each) => each.endsWith('.face')) ??
    road.road.template.names.at(1) ??
    road.road.template.names[0]!;
  const [from, setFrom] = useState<DraftSide>(() => ({
    road: active.id,
    string: asked?.string ?? first(active),
    gradeString: asked?.gradeString ?? first(active),
    station: asked ? written(asked.rule.from ?? 0, typedStation(active.road, asked.rule.from ?? 0, style)) : typed(''),
    way: asked?.rule.direction ?? 'up',
  }));
  const [to, setTo] = useState<DraftSide>(() => ({
    road: onto.id,
    string: asked?.return?.string ?? first(onto),
    gradeString: asked?.return?.gradeString ?? first(onto),
    station: asked?.return
      ? written(asked.return.station, typedStation(onto.road, asked.return.station, style))
      : typed(''),
    way: asked?.return?.way ?? 'up',
  }));
  const [tried, setTried] = useState(false);
  const [picking, setPicking] = useState<'first' | 'second'>('first');
  const [picked, setPicked] = useState<ReturnType<typeof touchedString>>(null);
  const sideOf = (draft: DraftSide): ReturnSide | null => {
    const found = roads.find(({ id }) => id === draft.road);
    const station =
      found &&
      valueOf<number | undefined>(draft.station, (text) => {
        const read = readStation(text, style);
        return read === null ? undefined : stationsShown(found.road.alignment, read)[0]?.station;
      });
    if (!found || station === undefined) return null;
    const has = (string: string) => (found.road.template.strings.has(string) ? string : 'centreline');
    return {
      fact: found.fact,
      road: found.road,
      string: has(draft.string),
      gradeString: has(draft.gradeString),
      station,
      way: draft.way,
    };
  };
  const [a, b] = [sideOf(from), sideOf(to)];
  const radiusRead = lengthOf(radius, units);
  const found = a && b && radiusRead !== null && radiusRead > 0 ? returnBetween(a, b, radiusRead) : null;
  const made = found?.ok ? found.value : null;
  const offsetRead = lengthOf(offset, units);
  const item = a && b && made ? returnItem(a, b, made, { name: name.trim() || 'return', side, marks }) : null;
  const plans =
    item && offsetRead !== null && offsetRead > 0
      ? hubPlans([item], offsetRead, prefix.trim() || 'R', units.lengthUnit)
      : null;
  const errors = {
    ...head.errors,
    offset: offsetRead === null || offsetRead <= 0 ? msg('common.giveALengthOver0') : null,
    radius: radiusRead === null || radiusRead <= 0 ? msg('packages.giveTheRadius') : null,
    from: a ? null : msg('packages.giveAOfThisRoad', { word: word.toLowerCase() }),
    to: b ? null : msg('packages.giveAOfThisRoad', { word: word.toLowerCase() }),
    found: found && !found.ok ? returnFaultWords(found.error) : null,
    plans: plans && !plans.ok ? outlineErrorWords(plans.error) : null,
  };
  const shown = (error: string | null, text = '') => (tried || text !== '' ? error : null);
  const save = async () => {
    setTried(true);
    if (Object.values(errors).some((error) => error !== null) || !plans?.ok || !item) return;
    const body: Package = {
      name: name.trim(),
      crew: crew.trim(),
      class: classId,
      heightReference: 'string',
      offset: offsetRead!,
      items: [item],
      plans: plans.value,
      ...writing.body,
      supersedes: work?.id ?? null,
    };
    await say({ type: 'package', body });
    onClose();
  };
  const scene = useMemo(
    () =>
      joinScenes(
        ...roads.map((each) =>
          roadScene(each.road, style, each.id === from.road || each.id === to.road ? 'active' : 'other'),
        ),
        {
          lines: made ? [{ points: drawnReturn(made), ink: 'spruce' as const, width: 3 }] : [],
          symbols: (plans?.ok ? plans.value : []).map((plan) => ({
            id: plan.key,
            at: plan.place,
            symbol: 'toSet' as const,
            label: plan.corner,
            pickable: false,
          })),
        },
      ),
    [roads, style, from.road, to.road, made, plans],
  );
  /** A string touched on the plan: the first curb, then the second, then the first anew. */
  const touch = (point: PlanPoint, pixel: Metres) => {
    const touched = touchedString(
      roads.map(({ road }) => road),
      point,
      FINGER * pixel,
    );
    const found = touched && roads.find(({ road }) => road === touched.road);
    if (!touched || !found) return;
    const draft = (before: DraftSide): DraftSide => ({
      ...before,
      road: found.id,
      string: touched.string,
      gradeString: touched.string,
      station: written(touched.station, typedStation(found.road, Number(touched.station.toFixed(3)), style)),
    });
    if (picking === 'first') {
      setFrom(draft);
      setPicked(touched);
      setPicking('second');
      return;
    }
    const ways = picked && waysRound(picked, touched);
    setTo((before) => ({ ...draft(before), ...(ways ? { way: ways.to } : {}) }));
    if (ways) setFrom((before) => ({ ...before, way: ways.from }));
    setPicking('first');
  };
  const fields = (label: string, draft: DraftSide, change: (next: DraftSide) => void, error: string | null) => {
    const road = roads.find(({ id }) => id === draft.road) ?? active;
    const names = road.road.template.names;
    return (
      <fieldset className="grid grid-cols-2 gap-3 border-t border-rule pt-2">
        <legend className="pr-2 text-[15px] font-semibold">{label}</legend>
        <Choice
          label={msg('common.road')}
          value={draft.road}
          options={roads.map((each) => [each.id, each.road.name] as const)}
          onChange={(next) => change({ ...draft, road: next, station: typed(draft.station.text) })}
        />
        <DraftField
          label={msg('packages.near', { word: word.toLowerCase() })}
          inputMode="text"
          draft={draft.station}
          onDraft={(station) => change({ ...draft, station })}
          error={shown(error, draft.station.text)}
        />
        <Choice
          label={msg('packages.itTouches')}
          value={draft.string}
          options={names.map((each) => [each, stringWords(each)] as const)}
          onChange={(string) => change({ ...draft, string })}
        />
        <Choice
          label={msg('packages.heightsOf')}
          value={draft.gradeString}
          options={names.map((each) => [each, gradeWords(each)] as const)}
          onChange={(gradeString) => change({ ...draft, gradeString })}
        />
        <Choice
          label={msg('packages.theWayRoundGoes')}
          value={draft.way}
          options={[
            ['up', msg('packages.upItsStations')],
            ['down', msg('packages.downItsStations')],
          ]}
          onChange={(way) => change({ ...draft, way })}
        />
      </fieldset>
    );
  };
  return {
    units,
    style,
    head,
    writing,
    classId,
    setClassId,
    offset,
    setOffset,
    side,
    setSide,
    radius,
    setRadius,
    marks,
    setMarks,
    from,
    setFrom,
    to,
    setTo,
    tried,
    a,
    b,
    radiusRead,
    made,
    plans,
    errors,
    shown,
    save,
    scene,
    picking,
    touch,
    fields,
  };
}

export type ReturnPackageModel = ReturnType<typeof useReturnPackage>;

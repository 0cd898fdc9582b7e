import { useEffect, useMemo, useState } from 'react';
import {
  CENTRELINE,
  stationsShown,
  fail,
  ok,
  type Metres,
  type Result,
  type StationListRule,
  sectionHeight,
  type PlanPoint,
} from '@idle-marker/core';
import type { Fact, FactBody } from '@idle-marker/contract';
import { againstRoad, crossCheck, hubPlans, roadItem, roadWorkOf, classOf, usualClass } from '@idle-marker/records';
import {
  msg,
  gradeWords,
  outlineErrorWords,
  readStation,
  shortStation,
  stationListFaultWords,
  stationReasonWords,
  transitionWords,
  stringWords,
} from '@idle-marker/words';
import { heightsOf, useSurfaces } from '../drawings/useSurfaces.ts';
import { lengthDraft, lengthOf, valueOf, written, type Draft } from '../field/draft.ts';
import { useSite } from '../site/SiteContext.tsx';
import { typedStation, useStationStyle, type SiteRoad } from '../site/useRoads.ts';
import { afterSentence, withBothReadings } from '../field/doubtfulLength.ts';
import { useUnits, type Units } from '../field/useUnits.ts';
import { usePackageHead } from './PackageHead.tsx';
import { usePackageWriting } from './PackageWriting.tsx';
import { ruleDraft, useRule } from './RuleFields.tsx';

type Package = FactBody<'package'>;

type Side = 'on' | 'left' | 'right';

export interface RoadPackageProps {
  readonly active: SiteRoad;
  /** A new revision of it; null for a new package. */
  readonly work: Fact<'package'> | null;
  /** What was looked at when it is begun. */
  readonly string?: string | undefined;
  onClose(): void;
}

export const NONE = 'none';

export const STRINGS = 'strings';

export const BY_SECTION = 'section ';

type Own = readonly { readonly station: Metres; readonly offset: Metres }[];

const readOwn = (
  text: string,
  station: (text: string) => Metres | null,
  units: Units,
  road: SiteRoad['road'],
): Result<Own, string> =>
  withBothReadings(units, (watched) => ownIn(text, station, watched.readLength, road), afterSentence);

function ownIn(
  text: string,
  station: (text: string) => Metres | null,
  length: (text: string) => Metres | null,
  road: SiteRoad['road'],
): Result<Own, string> {
  const own: { station: Metres; offset: Metres }[] = [];
  for (const [i, line] of text.split('\n').entries()) {
    if (line.trim() === '') continue;
    const [first = '', second = ''] = line.split(':').map((part) => part.trim());
    const [shown, offset] = [station(first), length(second)];
    if (shown === null || offset === null || offset < 0)
      return fail(msg('packages.lineIsNotAStationAColon', { i: i + 1 }));
    const found = stationsShown(road.alignment, shown);
    if (found.length === 0) return fail(msg('packages.lineTheLineHasNoSuchStation', { i: i + 1 }));
    // Where a station comes twice, its offset holds at both.
    own.push(...found.map((each) => ({ station: each.station, offset })));
  }
  return ok(own);
}

/** What RoadPackage shows, and what its buttons do. */
export function useRoadPackage({
  active,
  work,
  string: looked,
  onClose,
}: Pick<RoadPackageProps, 'active' | 'work' | 'string' | 'onClose'>) {
  const { state, say } = useSite();
  const units = useUnits();
  const style = useStationStyle();
  const { fact, road } = active;
  const before = work?.body ?? null;
  const asked = before?.items[0] ? roadWorkOf(before.items[0]) : null;
  const kerbClass = usualClass(state, 'kerb').id;
  const head = usePackageHead(work);
  const { name, crew, prefix } = head;
  const [classId, setClassId] = useState(before?.class ?? kerbClass);
  const [offset, setOffset] = useState<Draft<Metres>>(() =>
    lengthDraft(before?.offset ?? classOf(state, kerbClass).offset ?? units.round(1, 3), units),
  );
  const [side, setSide] = useState<Side>(asked?.options.side ?? 'right');
  const [string, setString] = useState(asked?.options.string ?? looked ?? CENTRELINE);
  const [gradeString, setGradeString] = useState(asked?.options.gradeString ?? looked ?? CENTRELINE);
  const [alsoString, setAlsoString] = useState(asked?.options.alsoString ?? NONE);
  const writing = usePackageWriting(before);
  const [draft, setDraft] = useState(() =>
    ruleDraft((asked?.options.rule as StationListRule | undefined) ?? null, road, units, style),
  );
  const rule = useRule(draft, road);
  const [own, setOwn] = useState<Draft<Result<Own, string>>>(() =>
    written(
      ok(asked?.own ?? []),
      (asked?.own ?? [])
        .map((each) => `${typedStation(road, each.station, style)}: ${units.edit(each.offset)}`)
        .join('\n'),
    ),
  );
  const surfaces = useSurfaces();
  const [heightsFrom, setHeightsFrom] = useState(STRINGS);
  const [under, setUnder] = useState<readonly (Metres | null)[] | null>(null);
  const [tried, setTried] = useState(false);
  const offsetRead = lengthOf(offset, units);
  const ownRead = useMemo(
    () => valueOf(own, (lines): Result<Own, string> => readOwn(lines, (text) => readStation(text, style), units, road)),
    [own, style, units, road],
  );
  const item = useMemo(() => {
    if (!rule.ok || !ownRead.ok) return null;
    return roadItem(fact, road, {
      name: `${road.name}, ${stringWords(string)}`.slice(0, 80),
      string,
      gradeString,
      alsoString: alsoString === NONE ? null : alsoString,
      side,
      rule: rule.value,
      own: ownRead.value,
      write: (displayed) => shortStation(Number(displayed.toFixed(4)), style),
      why: (reason) => stationReasonWords(reason, style),
      transition: (change) => transitionWords(change, style.unit),
    });
  }, [rule, ownRead, fact, road, string, gradeString, alsoString, side, style]);
  const made = item?.ok ? item.value : null;
  const lines = [...new Set(road.sections.flatMap((section) => section.lines.map(({ name: line }) => line)))];
  const sectionLine = lines.find((line) => `${BY_SECTION}${line}` === heightsFrom) ?? null;
  const ground = surfaces.find(({ id }) => id === heightsFrom) ?? null;
  // Cross sections and surfaces are asked for the same: a height under each corner.
  const surface = useMemo(
    () =>
      ground
        ? { name: ground.name, drawing: ground.revision }
        : sectionLine !== null
          ? { name: sectionLine, alignment: fact.id }
          : null,
    [ground, sectionLine, fact],
  );
  const [useSurface, setUseSurface] = useState(false);
  /** The surface's height where the hub stands, not where its string is. */
  const [atHub, setAtHub] = useState(false);
  const askedAt = useMemo((): readonly PlanPoint[] => {
    if (!made) return [];
    const hubs =
      atHub && useSurface && offsetRead !== null && offsetRead > 0
        ? hubPlans([made], offsetRead, 'R', units.lengthUnit)
        : null;
    return hubs?.ok ? hubs.value.map(({ place }) => place) : made.corners;
  }, [made, atHub, useSurface, offsetRead, units.lengthUnit]);
  // The surface is asked under the string, whether it gives the heights or only checks them.
  useEffect(() => {
    setUnder(null);
    if (sectionLine !== null && made)
      setUnder(
        askedAt.map((corner) => {
          const { nearest } = againstRoad(road, corner);
          return 'station' in nearest
            ? sectionHeight(road.sections, sectionLine, nearest.station, nearest.offset)
            : null;
        }),
      );
    if (!ground || !made) return;
    let gone = false;
    void heightsOf(ground, askedAt).then((heights) => {
      if (!gone) setUnder(heights);
    });
    return () => {
      gone = true;
    };
  }, [ground, sectionLine, road, made, askedAt]);
  const whole = useMemo(() => {
    if (!made || !surface || !useSurface) return made;
    if (!under) return null;
    return {
      ...made,
      surface: { ...surface, heights: made.corners.map((corner, i) => ({ key: corner.name, z: under[i] ?? null })) },
    };
  }, [made, surface, useSurface, under]);
  const plans =
    whole && offsetRead !== null && offsetRead > 0
      ? hubPlans([whole], offsetRead, prefix.trim() || 'R', units.lengthUnit)
      : null;
  const { height: allowed } = classOf(state, classId);
  const differing = made && surface && under ? crossCheck(made, under, allowed) : [];
  const errors = {
    ...head.errors,
    offset:
      offsetRead === null || offsetRead <= 0 || offsetRead > 1000
        ? msg('common.giveTheOffsetSuchAs', { edit: units.edit(units.round(1, 3)) })
        : null,
    own: ownRead.ok ? null : ownRead.error,
    list: !rule.ok ? rule.error : item && !item.ok ? stationListFaultWords(item.error, style) : null,
    plans:
      plans && !plans.ok
        ? outlineErrorWords(plans.error)
        : plans?.ok && plans.value.length > 2000
          ? msg('packages.thatIsMoreThan2000MarksTake')
          : null,
  };
  const save = async () => {
    setTried(true);
    if (Object.values(errors).some((error) => error !== null) || !plans?.ok || !whole) return;
    const body: Package = {
      name: name.trim(),
      crew: crew.trim(),
      class: classId,
      heightReference: 'string',
      offset: offsetRead!,
      items: [whole],
      plans: plans.value,
      ...writing.body,
      supersedes: work?.id ?? null,
    };
    await say({ type: 'package', body });
    onClose();
  };
  const strings = road.template.names.map((each) => [each, stringWords(each)] as const);
  const grades = road.template.names.map((each) => [each, gradeWords(each)] as const);
  const rows = plans?.ok ? plans.value : [];
  return {
    units,
    style,
    road,
    head,
    classId,
    setClassId,
    offset,
    setOffset,
    side,
    setSide,
    string,
    setString,
    gradeString,
    setGradeString,
    alsoString,
    setAlsoString,
    writing,
    draft,
    setDraft,
    own,
    setOwn,
    surfaces,
    heightsFrom,
    setHeightsFrom,
    under,
    tried,
    made,
    lines,
    surface,
    useSurface,
    setUseSurface,
    atHub,
    setAtHub,
    plans,
    allowed,
    differing,
    errors,
    save,
    strings,
    grades,
    rows,
  };
}

export type RoadPackageModel = ReturnType<typeof useRoadPackage>;

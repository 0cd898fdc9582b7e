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
  angleWords,
  gradeWords,
  outlineErrorWords,
  readStation,
  shortStation,
  smallLength,
  stationListFaultWords,
  stationReasonWords,
  stationText,
  stringWords,
} from '@idle-marker/words';
import { heightsOf, useSurfaces } from '../drawings/useSurfaces.ts';
import { DraftField } from '../field/DraftField.tsx';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../field/draft.ts';
import { useSite } from '../site/SiteContext.tsx';
import { typedStation, useStationStyle, type SiteRoad } from '../site/useRoads.ts';
import { afterSentence, withBothReadings } from '../field/doubtfulLength.ts';
import { useUnits, type Units } from '../field/useUnits.ts';
import { ClassChoice, PackageFoot, PackageHeadFields, usePackageHead } from './PackageHead.tsx';
import { PackageWritingFields, usePackageWriting } from './PackageWriting.tsx';
import { Dialog } from '../ui/Dialog.tsx';
import { Choice, Tick } from '../ui/Field.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../ui/table.ts';
import { RuleFields, ruleDraft, useRule } from './RuleFields.tsx';

type Package = FactBody<'package'>;
type Side = 'on' | 'left' | 'right';

interface RoadPackageProps {
  readonly active: SiteRoad;
  /** A new revision of it; null for a new package. */
  readonly work: Fact<'package'> | null;
  /** What was looked at when it is begun. */
  readonly string?: string;
  onClose(): void;
}

const NONE = 'none';
const STRINGS = 'strings';
const BY_SECTION = 'section ';
/** Rows of the preview. */
const SHOWN = 40;

/** Stations of a road as a work package: which string, how far off, on which side, and what heights lead to. */
export function RoadPackage({ active, work, string: looked, onClose }: RoadPackageProps) {
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
    lengthDraft(before?.offset ?? classOf(state, kerbClass).offset ?? 1, units),
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
        ? msg('common.giveTheOffsetSuchAs', { edit: units.edit(1) })
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
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={
        work ? msg('common.newRevision', { name: work.body.name }) : msg('packages.marksAlong', { name: road.name })
      }
      foot={
        <PackageFoot
          isNew={work === null}
          said={plans?.ok ? msg('packages.marks', { value: plans.value.length }) : msg('common.noMarksYet')}
          onClose={onClose}
          onSave={() => void save()}
        />
      }
    >
      <div className="grid gap-3 sm:grid-cols-3">
        <PackageHeadFields head={head} tried={tried} />
        <Choice label={msg('packages.offsetIsMeasuredTo')} value={string} options={strings} onChange={setString} />
        <DraftField
          label={msg('packages.hubsOffItBy')}
          unit={units.unit}
          draft={offset}
          onDraft={setOffset}
          error={errors.offset}
        />
        <Choice
          label={msg('packages.onIts')}
          value={side}
          options={[
            ['right', msg('packages.rightLookingUpTheStations')],
            ['left', msg('packages.leftLookingUpTheStations')],
            ['on', msg('packages.ownLineNoOffset')],
          ]}
          onChange={setSide}
        />
        <Choice label={msg('common.cutAndFillTo')} value={gradeString} options={grades} onChange={setGradeString} />
        <Choice
          label={msg('packages.andAlsoTo')}
          value={alsoString}
          options={[[NONE, msg('common.nothingElse')], ...grades.filter(([each]) => each !== gradeString)]}
          onChange={setAlsoString}
        />
        <ClassChoice value={classId} onChange={setClassId} />
        <PackageWritingFields writing={writing} />
        {surfaces.length + lines.length > 0 && (
          <Choice
            label={msg('packages.heightsCheckedAgainst')}
            value={heightsFrom}
            options={[
              [STRINGS, msg('packages.nothingStringsAndProfileAlone')],
              ...surfaces.map(({ id, label }) => [id, label] as const),
              ...lines.map((line) => [`${BY_SECTION}${line}`, msg('packages.itsCrossSections', { line })] as const),
            ]}
            onChange={setHeightsFrom}
          />
        )}
      </div>
      {surface && (
        <div className="mt-2">
          <Tick
            label={msg('packages.heightsComeFromNotFromTheStrings', { name: surface.name })}
            checked={useSurface}
            onChange={setUseSurface}
          />
          {useSurface && <Tick label={msg('packages.atThePlaceOfEachHubNot')} checked={atHub} onChange={setAtHub} />}
          {differing.length > 0 && !atHub && (
            <p className="font-medium text-ochre">
              {msg('packages.atOfStationsStringsAndSurfaceDiffer', {
                differing: differing.length,
                corners: made?.corners.length,
                smallLength: smallLength(allowed, units.lengthUnit),
                name: differing[0]!.name,
                length: units.length(differing[0]!.fromRoad),
                length2: units.length(differing[0]!.fromSurface),
                unit: units.unit,
              })}
            </p>
          )}
          {under && differing.length === 0 && !atHub && (
            <p className="text-[14px] text-ink2">
              {msg('packages.stringsAndSurfaceAgreeWithinWherever', {
                smallLength: smallLength(allowed, units.lengthUnit),
              })}
            </p>
          )}
        </div>
      )}
      <RuleFields draft={draft} onChange={setDraft} road={road} />
      <label className="mt-3 flex flex-col gap-1">
        <span className="text-[13px] text-ink2">{msg('packages.offsetsOfTheirOwnOneALine')}</span>
        <textarea
          rows={2}
          value={own.text}
          onChange={(event) => setOwn(typed(event.target.value))}
          placeholder={`${stationText(110, style, 0)}: ${units.edit(3)}`}
          className="figures w-full rounded-sm border border-ink2 bg-sheet p-2"
          spellCheck={false}
        />
        {errors.own && <span className="text-[13px] font-medium text-brick">{errors.own}</span>}
      </label>
      {errors.list && <p className="mt-3 font-medium text-brick">{errors.list}</p>}
      {errors.plans && <p className="mt-3 font-medium text-brick">{errors.plans}</p>}
      {rows.length > 0 && (
        <table className={`${TABLE} mt-3`}>
          <thead>
            <tr>
              <th className={TH_WORD}>{msg('common.mark')}</th>
              <th className={TH}>{msg('common.off2')}</th>
              <th className={TH}>{gradeWords(gradeString)}</th>
              {alsoString !== NONE && <th className={TH}>{gradeWords(alsoString)}</th>}
              <th className={TH_WORD}>{msg('packages.there')}</th>
            </tr>
          </thead>
          <tbody>
            {rows.slice(0, SHOWN).map((plan) => (
              <tr key={plan.key}>
                <td className={`${TD_WORD} font-semibold`}>{plan.name}</td>
                <td className={TD}>{units.length(plan.offset)}</td>
                <td className={TD}>{plan.designZ === null ? msg('packages.noHeight') : units.length(plan.designZ)}</td>
                {alsoString !== NONE && <td className={TD}>{units.length(plan.road?.also?.z ?? null)}</td>}
                <td className={TD_WORD}>
                  {[plan.road?.why, plan.road?.angle && angleWords(plan.road.angle, units.lengthUnit)]
                    .filter((each) => each)
                    .join('; ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {rows.length > SHOWN && (
        <p className="mt-1 text-[14px] text-ink2">{msg('packages.andMore', { rows: rows.length - SHOWN })}</p>
      )}
    </Dialog>
  );
}

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

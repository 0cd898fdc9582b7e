import { useId, useMemo, useState } from 'react';
import type { Fact, FactBody } from '@idle-marker/contract';
import { alikeName, roadOf, type AlignmentFactBody } from '@idle-marker/records';
import { msg, ALIGNMENT_KIND, readStation, roadFaultWords, stationText } from '@idle-marker/words';
import { newId } from '../../data/uuid.ts';
import { Board } from '../../board/LazyBoard.tsx';
import { roadScene } from '../../board/roadScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { controlScene } from '../../board/siteScene.ts';
import { ok } from '@idle-marker/core';
import { DraftField } from '../../field/DraftField.tsx';
import { lengthDraft, lengthOf, typed, valueOf, written, type Draft } from '../../field/draft.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Dialog } from '../../ui/Dialog.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { SectionDrawing } from '../../board/SectionDrawing.tsx';
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

const KINDS = Object.entries(ALIGNMENT_KIND) as [AlignmentFactBody['kind'], string][];
const CORRIDOR = 25;

const MOST_TYPED = 40_000;

type Equations = ReturnType<typeof readEquations>;
type Profile = ReturnType<typeof readProfile>;
type Strings = ReturnType<typeof readStrings>;

/**
 * Types a line with stations, or a new revision of one: its way, heights and strings, drawn before anything is kept.
 */
export function EditRoad({ fact, onClose }: { readonly fact: Fact<'alignment'> | null; onClose(): void }) {
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
  const [corridor, setCorridor] = useState<Draft<number>>(() => lengthDraft(before?.corridor ?? CORRIDOR, units));
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
  return (
    <Dialog
      open
      onClose={onClose}
      wide
      title={before ? msg('common.newRevision', { name: before.name }) : msg('design.newRoadOrAnotherLineWithStations')}
      foot={
        <>
          {before && <Button onClick={() => void keep(true)}>{msg('design.noLongerUsed')}</Button>}
          <Button onClick={onClose}>{msg('common.cancel')}</Button>
          <Button look="primary" onClick={() => void keep(false)}>
            {before ? msg('common.keepAsNewRevision') : msg('common.keepIt')}
          </Button>
        </>
      }
    >
      <div className="grid gap-3 sm:grid-cols-4">
        <Field
          label={msg('common.name')}
          value={name}
          maxLength={80}
          onChange={(event) => setName(event.target.value)}
          error={shown(errors.name, name)}
          autoFocus
        />
        <Choice label={msg('common.kind')} value={kind} options={KINDS} onChange={setKind} />
        <DraftField
          label={msg('design.stationOfItsStart')}
          inputMode="text"
          draft={start}
          onDraft={setStart}
          error={errors.start}
        />
        <DraftField
          label={msg('design.belongsToItEachSide')}
          unit={units.unit}
          draft={corridor}
          onDraft={setCorridor}
          error={errors.corridor}
          help={msg('design.fartherOffItIsAskedWhetherThis')}
        />
        <DraftField
          label={msg('design.everythingShiftedBy')}
          unit={units.unit}
          draft={shift}
          placeholder="0"
          onDraft={setShift}
          error={errors.shift}
        />
        <Choice
          label={msg('common.toThe')}
          value={shiftSide}
          options={[
            ['right', 'right'],
            ['left', 'left'],
          ]}
          onChange={setShiftSide}
        />
        {shiftRead !== 0 && (
          <Field
            className="sm:col-span-2"
            label={msg('common.why')}
            value={reason}
            maxLength={300}
            onChange={(event) => setReason(event.target.value)}
            error={shown(errors.reason, reason)}
          />
        )}
      </div>
      <div className="mt-3 grid gap-4 md:grid-cols-2">
        <div className="flex flex-col gap-3">
          <Lines
            label={msg('design.itsWay')}
            value={way}
            onChange={setWay}
            error={errors.way !== null && (tried || way !== '') ? errors.way : null}
            help={
              before !== null && way.trim() === ''
                ? msg('design.asItCameFromElementsTypePoints', {
                    source: before.source,
                    elements: before.elements.length,
                  })
                : msg('design.intersectionPointsOneALineRadius80', {
                    axes: units.axes[0] === 'e' ? '4018, 8052' : '8052, 4018',
                  })
            }
            rows={7}
          />
          <Lines
            label={msg('design.whereItsStationsJump')}
            value={equations.text}
            onChange={(text) => setEquations(typed(text))}
            error={errors.equations}
            help={msg('design.backAheadOneALineEmptyWhen', {
              station: stationText(200, style, 0),
              station2: stationText(500, style, 0),
            })}
            rows={2}
          />
          <Lines
            label={msg('common.heights')}
            value={profile.text}
            onChange={(text) => setProfile(typed(text))}
            error={errors.profile}
            help={msg('design.gradePointsOneALine615', { station: stationText(110, style, 0) })}
            rows={5}
          />
          <Lines
            label={msg('design.stringsAndKerbs')}
            value={strings.text}
            onChange={(text) => setStrings(typed(text))}
            error={errors.strings}
            help={msg('design.oneALineLeftEdgeLeft3')}
            rows={7}
          />
        </div>
        <div className="flex min-h-[420px] flex-col gap-2">
          <div className="relative min-h-[260px] flex-1 border border-ink2">
            <Board
              scene={scene}
              description={msg('design.theLineAsItWouldLieOn')}
              fitTo={drawn ? drawn.alignment.elements.flatMap(({ start: from, end }) => [from, end]) : []}
              fitKey={String(drawn?.alignment.length)}
            />
          </div>
          {drawn && (
            <div className="h-[260px] border border-ink2">
              <SectionDrawing
                road={drawn}
                station={drawn.alignment.startStation}
                title={msg('design.at', { station: stationText(drawn.alignment.startStation, style) })}
                at={null}
                chosen={null}
              />
            </div>
          )}
        </div>
      </div>
      {whole && <p className="mt-3 font-medium text-brick">{whole}</p>}
    </Dialog>
  );
}

interface LinesProps {
  readonly label: string;
  readonly value: string;
  onChange(value: string): void;
  readonly error: string | null;
  readonly help: string;
  readonly rows: number;
}

/** Several lines of text, with what is wrong with them or how they are written. */
function Lines({ label, value, onChange, error, help, rows }: LinesProps) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-[13px] text-ink2">
        {label}
      </label>
      <textarea
        id={id}
        rows={rows}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-invalid={error ? true : undefined}
        aria-describedby={`${id}-note`}
        className={`figures w-full rounded-sm border bg-sheet p-2 ${error ? 'border-2 border-brick' : 'border-ink2'}`}
        spellCheck={false}
      />
      <span id={`${id}-note`} className={`text-[13px] ${error ? 'font-medium text-brick' : 'text-ink2'}`}>
        {error ?? help}
      </span>
    </div>
  );
}

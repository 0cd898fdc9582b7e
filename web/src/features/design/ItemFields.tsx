import { useId } from 'react';
import { msg, meaningWords, worded } from '@idle-marker/words';
import { DraftField } from '../../field/DraftField.tsx';
import { typed } from '../../field/draft.ts';
import { surfaceId, useSurfaces } from '../../drawings/useSurfaces.ts';
import { AngleField } from '../../field/AngleField.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field, Tick } from '../../ui/Field.tsx';
import { CornerSource } from './CornerSource.tsx';
import { cornersDraft, withCorner, withText } from './cornerText.ts';
import { GridSource } from './GridSource.tsx';
import { isPath, underRule, type DraftItem, type Item, type ReadItem } from './itemDraft.ts';
import { KnownPoints } from './KnownPoints.tsx';
import { SaidPlace } from '../../packages/said/SaidPlace.tsx';

const ruleChoices = worded(
  () =>
    [
      ['outline', msg('design.roundTheOutline')],
      ['linePairs', msg('design.beyondBothEndsOfEverySide')],
      ['lineEnds', msg('design.beyondBothEndsOfLines')],
      ['points', msg('design.onThePointsThemselves')],
      ['recoveries', msg('design.onThePointsTwoRecoveriesEach')],
      ['along', msg('design.alongALineAtAnIntervalAnd')],
      ['bolts', msg('design.onBoltsRoundEachPointWithCentre')],
      ['rakedPiles', msg('design.onLeaningPilesTwoRecoveriesEach')],
    ] as const,
);

const listedWords = worded((): Readonly<Record<DraftItem['rule'], string>> => ({
  outline: msg('design.cornersInOrderRoundTheOutline'),
  linePairs: msg('design.cornersInOrderRoundTheOutline'),
  lineEnds: msg('design.endsOfTheLinesFromAndTo'),
  points: msg('design.pointsToMark'),
  recoveries: msg('design.pointsToMarkInOrderAlongThe'),
  along: msg('design.cornersInOrderAlongTheLine'),
  road: msg('design.stationsOfTheRoad'),
  bolts: msg('design.centresOfTheGroupsOfBolts'),
  rakedPiles: msg('design.headsOfThePilesInOrderAlong'),
}));

const whyMoved = worded(
  () =>
    [
      ['wallThickness', msg('design.thicknessOfTheWall')],
      ['footing', msg('design.stepOfTheFooting')],
      ['batter', msg('design.batterOfTheFace')],
      ['other', msg('design.anotherReason')],
    ] as const,
);

const entries = <K extends string>(names: Readonly<Record<K, string>>) => Object.entries(names) as [K, string][];

interface ItemFieldsProps {
  readonly read: ReadItem;
  /** With the heights of its surface; null while something is wrong or being read. */
  readonly built: Item | null;
  /** What the item is called while it has no name. */
  readonly legend: string;
  readonly tried: boolean;
  onChange(next: Partial<DraftItem>): void;
  /** The steps of a footing as an outline each. */
  onSteps(): void;
}

/** One item of a package: what it is, where its corners come from, and how they become marks. */
export function ItemFields({ read, built, legend, tried, onChange, onSteps }: ItemFieldsProps) {
  const units = useUnits();
  const id = useId();
  const { draft: item, corners, faults } = read;
  const isOne = item.heights === 'design' || item.heights === 'rule';
  const shown = (fault: string | undefined, { text }: { readonly text: string }) =>
    tried || text !== '' ? fault : undefined;
  return (
    <fieldset className="mt-5 border-t border-rule pt-3">
      <legend className="pr-3 text-[15px] font-semibold">{legend}</legend>
      <div className="grid gap-3 sm:grid-cols-4">
        <Field
          label={msg('design.nameOfTheOutline')}
          value={item.name}
          maxLength={80}
          onChange={(event) => onChange({ name: event.target.value })}
          error={tried && item.name.trim() === '' ? msg('common.giveItAName') : null}
        />
        <Choice
          label={msg('design.itsCornersAre')}
          value={item.meaning}
          options={entries(meaningWords())}
          onChange={(meaning) => onChange({ meaning })}
        />
        <Choice
          label={msg('design.hubsStand')}
          value={item.rule}
          options={ruleChoices()}
          onChange={(rule) =>
            onChange({
              ...underRule(item, rule),
              // Where a leaning pile comes through depends on its head: a surface has no say in that.
              ...(rule === 'rakedPiles' && item.surface ? { heights: 'rule' as const, surface: null } : {}),
            })
          }
        />
        {!isOne || item.rule === 'rakedPiles' ? (
          <span className="max-sm:hidden" />
        ) : (
          <DraftField
            label={msg('design.designHeight')}
            unit={units.unit}
            draft={item.height}
            onDraft={(height) => onChange({ height })}
            error={shown(faults.height, item.height)}
          />
        )}
      </div>
      <HeightSource read={read} built={built} onChange={onChange} />
      {(item.rule === 'outline' || item.rule === 'linePairs') && (
        <MovedLine read={read} tried={tried} onChange={onChange} onSteps={onSteps} />
      )}
      {item.rule === 'along' && (
        <div className="mt-3 grid gap-3 sm:grid-cols-4">
          <Choice
            label={msg('design.points')}
            value={item.divide}
            options={[
              ['interval', msg('design.everySoFarFromTheStart')],
              ['parts', msg('design.dividingItIntoEqualParts')],
            ]}
            onChange={(divide) => onChange({ divide, spacing: typed(item.spacing.text) })}
          />
          <DraftField
            label={item.divide === 'interval' ? msg('common.every') : msg('design.howManyParts')}
            unit={item.divide === 'interval' ? units.unit : undefined}
            draft={item.spacing}
            onDraft={(spacing) => onChange({ spacing })}
            error={shown(faults.spacing, item.spacing)}
          />
          <Choice
            label={msg('design.marksStand')}
            value={item.side}
            options={[
              ['on', msg('design.onTheLineItself')],
              ['right', msg('design.offItToTheRightOnThe')],
              ['left', msg('design.offItToTheLeftOnThe')],
            ]}
            onChange={(side) => onChange({ side })}
          />
          <Tick
            label={msg('design.theEndJoinsTheStart')}
            checked={item.closed}
            onChange={(closed) => onChange({ closed })}
          />
        </div>
      )}
      {item.rule === 'bolts' && <BoltFields read={read} tried={tried} onChange={onChange} />}
      {item.rule === 'rakedPiles' && (
        <div className="mt-3 grid gap-3 sm:grid-cols-4">
          <AngleField
            label={msg('design.theToeLiesTowardFromNorth')}
            value={item.azimuth.text}
            onChange={(azimuth) => onChange({ azimuth: typed(azimuth) })}
            error={shown(faults.azimuth, item.azimuth)}
          />
          <Field
            label={msg('design.downFor1ToTheSide')}
            term="rake"
            value={item.ratio}
            inputMode="decimal"
            placeholder="4"
            onChange={(event) => onChange({ ratio: event.target.value })}
            error={shown(faults.ratio, { text: item.ratio })}
          />
          <DraftField
            label={msg('design.markedAtTheLevel')}
            unit={units.unit}
            draft={item.workingZ}
            onDraft={(workingZ) => onChange({ workingZ })}
            error={shown(faults.workingZ, item.workingZ)}
            help={msg('design.whereTheAxisComesThroughThereOn')}
          />
          {isOne ? (
            <DraftField
              label={msg('design.heightOfTheHeads')}
              unit={units.unit}
              draft={item.height}
              onDraft={(height) => onChange({ height })}
              error={shown(faults.height, item.height)}
            />
          ) : (
            tried && faults.height && <p className="text-[13px] font-medium text-brick">{faults.height}</p>
          )}
        </div>
      )}
      <CornerSource
        rule={item.rule}
        onCorners={({ corners: found, name, rule, isGrid, drawing }, source) =>
          onChange({
            corners: cornersDraft(found, units),
            source,
            drawing: drawing ?? null,
            grid: null,
            ...underRule(item, rule),
            name: item.name || name,
            ...(isGrid ? { meaning: 'gridLine' as const } : {}),
          })
        }
      />
      <GridSource
        onTake={(found, source) =>
          onChange({
            corners: cornersDraft(found.corners, units),
            source,
            drawing: null,
            grid: found.grid,
            // Bolts and piles stand on crossings as well as points do.
            rule:
              found.rule === 'points' && ['recoveries', 'bolts', 'rakedPiles'].includes(item.rule)
                ? item.rule
                : found.rule,
            name: item.name || found.name,
            ...(item.rule === 'bolts' || item.rule === 'rakedPiles' ? {} : { meaning: 'gridLine' as const }),
          })
        }
      />
      <SaidPlace
        points={corners.ok ? corners.value : []}
        onPlace={(corner) =>
          onChange({
            corners: withCorner(item.corners, corner, units),
            source: item.source === 'typed' || item.corners.text.trim() === '' ? msg('design.inWords') : item.source,
            ...(item.corners.text.trim() === '' && item.rule === 'outline' ? underRule(item, 'points') : {}),
          })
        }
      />
      <KnownPoints
        taken={new Set(corners.ok ? corners.value.map(({ name }) => name) : [])}
        onPoints={(found) =>
          onChange({
            corners: found.reduce((draft, corner) => withCorner(draft, corner, units), item.corners),
            source: item.corners.text.trim() === '' ? msg('design.knownPoints') : item.source,
            ...(item.corners.text.trim() === '' && item.rule === 'outline' ? underRule(item, 'points') : {}),
          })
        }
      />
      <label className="mt-2 block text-[13px] text-ink2" htmlFor={id}>
        {msg('design.oneALineNameIn', {
          listed: listedWords()[item.rule],
          axes: units.axes[0] === 'e' ? 'E, N' : 'N, E',
          unit: units.unit,
          isPath: isPath(item.rule) ? msg('design.thenItsHeightAndArcLeft25') : msg('design.thenItsHeightAndCode'),
        })}
      </label>
      <textarea
        id={id}
        rows={6}
        value={item.corners.text}
        onChange={(event) =>
          onChange({ corners: withText(item.corners, event.target.value), source: 'typed', drawing: null, grid: null })
        }
        className="figures w-full rounded-sm border border-ink2 bg-sheet p-2"
        spellCheck={false}
      />
      {!corners.ok && item.corners.text.trim() !== '' && (
        <p className="text-[13px] font-medium text-brick">{corners.error}</p>
      )}
    </fieldset>
  );
}

type Part = Pick<ItemFieldsProps, 'read' | 'tried' | 'onChange'>;

/** Marks without a height that are named; of more it is told how many. */
const MOST_NAMED = 6;

const plainSources = worded((): readonly (readonly [DraftItem['heights'], string])[] => [
  ['rule', msg('design.ownElevationElseDesign')],
  ['own', msg('design.ownElevations')],
  ['design', msg('design.theDesignHeight')],
]);

/** Where the design heights of an item come from: one for all, the points' own, a surface, or one after the other. */
function HeightSource({ read, built, onChange }: Pick<ItemFieldsProps, 'read' | 'built' | 'onChange'>) {
  const { draft } = read;
  const surfaces = useSurfaces();
  const { surface, heights } = draft;
  const open = surface && surfaces.find(({ id }) => id === surfaceId(surface));
  const known =
    draft.rule === 'rakedPiles'
      ? []
      : [
          ...surfaces.map(({ id, label }) => ({ id, label })),
          ...(surface && !open
            ? [{ id: surfaceId(surface), label: msg('design.notThereAnyMore', { name: surface.name }) }]
            : []),
        ];
  return (
    <div className="mt-3 grid items-end gap-3 sm:grid-cols-4">
      <Choice<string>
        className="sm:col-span-2"
        label={msg('design.heightsComeFrom')}
        value={surface ? `${heights} ${surfaceId(surface)}` : heights}
        options={[
          ...plainSources(),
          ...known.map(({ id, label }) => [`surface ${id}`, label] as const),
          ...known.map(({ id, label }) => [`rule ${id}`, msg('design.ownElevationElse', { label })] as const),
        ]}
        onChange={(next) => {
          const [source, id] = next.split(/ (.*)/s) as [DraftItem['heights'], string?];
          const chosen = surfaces.find((each) => each.id === id);
          onChange({ heights: source, surface: chosen ? { drawing: chosen.drawing, name: chosen.name } : null });
        }}
      />
      <p className="pb-2 text-[14px] sm:col-span-2" aria-live="polite">
        {surface && !open ? (
          <span className="font-medium text-brick">{msg('design.thisSurfaceIsNotThereOrIs')}</span>
        ) : (
          <>
            <OwnHeights read={read} />
            {open && <OnSurface open={open} heights={built?.surface?.heights} />}
          </>
        )}
      </p>
    </div>
  );
}

/** How many of the points came with a height. */
function OwnHeights({ read: { draft, corners } }: Pick<ItemFieldsProps, 'read'>) {
  const units = useUnits();
  if (!corners.ok || draft.heights === 'design' || draft.heights === 'surface') return null;
  const own = corners.value.flatMap(({ z = null }) => (z === null ? [] : [z]));
  if (own.length === 0)
    return draft.heights === 'own' ? (
      <span className="font-medium text-ochre">{msg('design.noneHasItsOwnElevation')} </span>
    ) : null;
  return (
    <>
      {msg('design.haveTheirOwnElevation', {
        own: own.length,
        ofValue: corners.value.length,
        length: units.length(Math.min(...own)),
        length2: units.length(Math.max(...own)),
        unit: units.unit,
      })}{' '}
    </>
  );
}

interface OnSurfaceProps {
  readonly open: ReturnType<typeof useSurfaces>[number];
  readonly heights: readonly { readonly key: string; readonly z: number | null }[] | undefined;
}

function OnSurface({ open, heights }: OnSurfaceProps) {
  const units = useUnits();
  if (!heights)
    return msg('design.trianglesTo', {
      triangles: open.summary.triangles,
      length: units.length(open.summary.low),
      length2: units.length(open.summary.high),
      unit: units.unit,
    });
  const known = heights.flatMap(({ z }) => (z === null ? [] : [z]));
  const without = [...new Set(heights.filter(({ z }) => z === null).map(({ key }) => key.split('/')[0]!))];
  if (known.length === 0) return msg('design.theSurfaceHasNoHeightAtAny');
  return (
    <>
      {msg('design.toAtThesePlaces', {
        length: units.length(Math.min(...known)),
        length2: units.length(Math.max(...known)),
        unit: units.unit,
      })}
      {without.length > 0 && (
        <span className="font-medium text-ochre">
          {' '}
          {msg('design.noHeightAtOffTheSurface', {
            without:
              without.length > MOST_NAMED ? msg('design.ofThem', { without: without.length }) : without.join(', '),
          })}
        </span>
      )}
    </>
  );
}

/** The line that is given is not always the one that is built to. */
function MovedLine({ read: { draft, faults }, onChange, onSteps }: Part & Pick<ItemFieldsProps, 'onSteps'>) {
  const units = useUnits();
  const change = (i: number, next: Partial<DraftItem['moved'][number]>) =>
    onChange({ moved: draft.moved.map((each, j) => (i === j ? { ...each, ...next } : each)) });
  return (
    <div className="mt-3">
      {draft.moved.map((each, i) => (
        <div key={i} className="mb-2 grid items-end gap-3 sm:grid-cols-4">
          <DraftField
            label={msg('design.theMarkedLineLies')}
            unit={units.unit}
            draft={each.by}
            onDraft={(by) => change(i, { by })}
          />
          <Choice
            label={msg('design.ofTheGivenOne')}
            value={each.way}
            options={[
              ['outward', 'outside'],
              ['inward', 'inside'],
            ]}
            onChange={(way) => change(i, { way })}
          />
          <Choice
            label={msg('design.byThe')}
            value={each.why}
            options={whyMoved()}
            onChange={(why) => change(i, { why })}
          />
          <Button look="quiet" onClick={() => onChange({ moved: draft.moved.filter((_, j) => j !== i) })}>
            {msg('design.takeAway')}
          </Button>
        </div>
      ))}
      {faults.moved && <p className="text-[13px] font-medium text-brick">{faults.moved}</p>}
      {draft.moved.length > 1 && (
        <Button className="mr-2 text-[14px]" disabled={faults.moved !== undefined} onClick={onSteps}>
          {msg('design.eachStepAsAnOutlineOfIts')}
        </Button>
      )}
      {draft.moved.length < 5 && (
        <Button
          className="text-[14px]"
          onClick={() => onChange({ moved: [...draft.moved, { by: typed(''), way: 'outward', why: 'wallThickness' }] })}
        >
          {draft.moved.length === 0 ? msg('design.moveTheLineByAThicknessOr') : msg('design.andBy')}
        </Button>
      )}
    </div>
  );
}

function BoltFields({ read: { draft, faults }, tried, onChange }: Part) {
  const units = useUnits();
  const length = (label: string, key: 'along' | 'across' | 'diameter') => (
    <DraftField label={label} unit={units.unit} draft={draft[key]} onDraft={(next) => onChange({ [key]: next })} />
  );
  const number = (label: string, key: 'alongCount' | 'acrossCount' | 'count') => (
    <Field
      label={label}
      value={draft[key]}
      inputMode="numeric"
      onChange={(event) => onChange({ [key]: event.target.value })}
    />
  );
  const untouched = [draft.along, draft.across, draft.diameter].every(({ text }) => text === '');
  return (
    <div className="mt-3 grid gap-3 sm:grid-cols-3">
      <Choice
        label={msg('design.patternOfTheBolts')}
        value={draft.bolts}
        options={[
          ['rectangle', 'rows'],
          ['circle', msg('design.roundACircle')],
        ]}
        onChange={(bolts) => onChange({ bolts })}
      />
      <AngleField
        label={msg('design.directionOfThePatternFromNorth')}
        value={draft.azimuth.text}
        onChange={(azimuth) => onChange({ azimuth: typed(azimuth) })}
        error={tried || draft.azimuth.text !== '' ? faults.azimuth : undefined}
      />
      {draft.bolts === 'rectangle' ? (
        <>
          <span className="max-sm:hidden" />
          {length(msg('design.apartInThatDirection'), 'along')}
          {number(msg('design.rows'), 'alongCount')}
          <span className="max-sm:hidden" />
          {length(msg('design.apartAcrossIt'), 'across')}
          {number(msg('design.inEachRow'), 'acrossCount')}
        </>
      ) : (
        <>
          <span className="max-sm:hidden" />
          {length(msg('design.diameterOfTheCircle'), 'diameter')}
          {number(msg('design.boltsOnIt'), 'count')}
        </>
      )}
      {faults.pattern && (tried || !untouched) && (
        <p className="text-[13px] font-medium text-brick sm:col-span-3">{faults.pattern}</p>
      )}
      <p className="text-[13px] text-ink2 sm:col-span-3">{msg('design.besidesTheBoltsFourMarksComeOn')}</p>
    </div>
  );
}

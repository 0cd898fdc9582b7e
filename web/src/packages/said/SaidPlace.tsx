import { useMemo, useState } from 'react';
import {
  azimuth,
  compassWord,
  crossCircles,
  crossLineCircle,
  crossLines,
  gridLine,
  placeInGrid,
  pointAlongOff,
  polar,
  type Circle,
  type ColumnGrid,
  type Corner,
  type PlanPoint,
  type Segment,
} from '@idle-marker/core';
import { crossingsOf, gridOf } from '@idle-marker/records';
import { msg } from '@idle-marker/words';
import { gridScene } from '../../board/gridScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { ByDirection } from './ByDirection.tsx';
import { byId, type NamedPoint } from './namedPoints.ts';
import { PlaceOutcome, type Taking } from './PlaceOutcome.tsx';

interface SaidPlaceProps {
  /** Points of the item that lines can be taken between, beside control and grid crossings. */
  readonly points: readonly Corner[];
  onPlace(corner: Corner): void;
  /** Open from the start, where nothing else is asked. */
  readonly isOpen?: boolean;
  /** What is done with the point. */
  readonly label?: string;
}

/** A place put in words: so far from two grid lines, or so far along a line and to a side of it. Never a bare sign. */
export function SaidPlace({ points, onPlace, isOpen = false, label }: SaidPlaceProps) {
  const { state } = useSite();
  const [open, setOpen] = useState(isOpen);
  const grids = useMemo(
    () =>
      state.grids.flatMap((fact) => {
        const grid = gridOf(fact.body);
        return grid.ok ? [{ id: fact.id, name: fact.body.name, grid: grid.value }] : [];
      }),
    [state.grids],
  );
  const named = useMemo(
    () => [
      ...points.map((point) => ({ ...point, id: `point ${point.name}` })),
      ...grids.flatMap(({ id, grid }) => crossingsOf(grid).map((point) => ({ ...point, id: `${id} ${point.name}` }))),
      ...state.control.flatMap(({ revision: { body } }) =>
        body.e === null || body.n === null
          ? []
          : [{ id: `control ${body.name}`, name: body.name, e: body.e, n: body.n, z: body.z }],
      ),
    ],
    [points, grids, state.control],
  );
  const [way, setWay] = useState<string>(grids.length > 0 ? grids[0]!.id : 'line');
  if (!open)
    return (
      <Button className="mt-2 text-[14px]" onClick={() => setOpen(true)}>
        {msg('design.putAPointInWords')}
      </Button>
    );
  const chosen = grids.find((each) => each.id === way);
  const taking = { onPlace, label, listed: named };
  return (
    <section className="mt-2 border-l-4 border-pencil pl-3" aria-label={msg('design.aPointInWords')}>
      <Choice
        label={msg('design.measuredFrom')}
        className="max-w-xs"
        value={way}
        options={[
          ...grids.map((each) => [each.id, msg('design.linesOfGrid', { name: each.name })] as const),
          ['line', msg('design.aLineBetweenTwoPoints')] as const,
          ['crossing', msg('design.twoLinesOrDistancesFromTwoPoints')] as const,
          ['direction', msg('design.directionAndDistance')] as const,
        ]}
        onChange={setWay}
      />
      {chosen ? (
        <InGrid key={chosen.id} grid={chosen.grid} count={points.length} {...taking} />
      ) : way === 'direction' ? (
        <ByDirection named={named} count={points.length} {...taking} />
      ) : way === 'crossing' ? (
        <Crossing named={named} count={points.length} {...taking} />
      ) : (
        <AlongLine named={named} count={points.length} {...taking} />
      )}
    </section>
  );
}

const partOf = (from: NamedPoint | undefined, to: NamedPoint | undefined): Part => ({
  kind: 'distance',
  from: from?.id ?? '',
  to: to?.id ?? '',
  radius: '',
});

interface OffLine {
  readonly line: string;
  readonly toward: string;
  readonly distance: string;
}

/** A length without a sign, or nothing yet. */
const isBare = (text: string, value: number | null): boolean => text.trim() === '' || (value !== null && value >= 0);

function InGrid({ grid, count, ...taking }: { grid: ColumnGrid; count: number } & Taking) {
  const units = useUnits();
  const neighbours = (label: string) => {
    const line = gridLine(grid, label);
    return [line?.right, line?.left].filter((each) => each !== null && each !== undefined);
  };
  const start = (labels: ColumnGrid['letters']): OffLine => ({
    line: labels[0]!.label,
    toward: neighbours(labels[0]!.label)[0] ?? '',
    distance: '',
  });
  const [first, setFirst] = useState(() => start(grid.numbers));
  const [second, setSecond] = useState(() => start(grid.letters));
  // Nothing typed is nothing said: on the line itself is 0.
  const distances = [first, second].map((each) => units.readLength(each.distance));
  const place =
    distances[0] === null || distances[1] === null || distances.some((each) => each! < 0)
      ? null
      : placeInGrid(grid, { ...first, distance: distances[0]! }, { ...second, distance: distances[1]! });
  const off = (value: OffLine, set: (next: OffLine) => void, labels: ColumnGrid['letters'], i: number) => (
    <div className="mt-2 grid grid-cols-3 gap-2">
      <Field
        label={msg('design.offBy')}
        unit={units.unit}
        value={value.distance}
        inputMode="decimal"
        onChange={(event) => set({ ...value, distance: event.target.value })}
        error={isBare(value.distance, distances[i]!) ? null : msg('design.giveALengthTheOtherSideIs')}
      />
      <Choice
        label={msg('design.fromLine')}
        value={value.line}
        options={labels.map(({ label }) => [label, label] as const)}
        onChange={(line) =>
          set({
            ...value,
            line,
            toward: neighbours(line).includes(value.toward) ? value.toward : (neighbours(line)[0] ?? ''),
          })
        }
      />
      <Choice
        label={msg('design.towardLine')}
        value={value.toward}
        options={neighbours(value.line).map((label) => [label, label] as const)}
        onChange={(toward) => set({ ...value, toward })}
      />
    </div>
  );
  const drawn = useMemo(() => gridScene(grid), [grid]);
  // B-2 is the crossing itself; a place beside it gets a name that says it is no crossing.
  const name = distances.some((each) => each)
    ? `${second.line}-${first.line} P${count + 1}`
    : `${second.line}-${first.line}`;
  return (
    <>
      {off(first, setFirst, grid.numbers, 0)}
      {off(second, setSecond, grid.letters, 1)}
      {place === null && (grid.letters.length < 2 || grid.numbers.length < 2) && (
        <p className="mt-2 text-[13px] text-ink2">{msg('design.thisGridHasOnlyOneLineIn')}</p>
      )}
      <PlaceOutcome place={place} mirrored={null} drawn={drawn} suggested={name} {...taking} />
    </>
  );
}

function AlongLine({ named, count, ...taking }: { named: readonly NamedPoint[]; count: number } & Taking) {
  const units = useUnits();
  const [from, setFrom] = useState(named[0]?.id ?? '');
  const [to, setTo] = useState((named[1] ?? named[0])?.id ?? '');
  const [along, setAlong] = useState('');
  const [way, setWay] = useState<'after' | 'before'>('after');
  const [off, setOff] = useState('');
  const [side, setSide] = useState<'right' | 'left'>('right');
  const [start, end] = [byId(named, from), byId(named, to)];
  const drawn = useMemo(
    () =>
      start && end
        ? {
            lines: [{ points: [start, end], ink: 'ink2' as const, dash: [10, 3, 2, 3] }],
            symbols: [start, end].map(asPoint),
          }
        : {},
    [start, end],
  );
  if (!start || !end || named.length < 2)
    return <p className="mt-2 text-[14px] text-ink2">{msg('design.thereAreNoTwoPointsYetTo')}</p>;
  const [alongRead, offRead] = [units.readLength(along), units.readLength(off)];
  const isGood = alongRead !== null && offRead !== null && alongRead >= 0 && offRead >= 0;
  const at = (toSide: 'right' | 'left') =>
    isGood
      ? pointAlongOff(start, end, way === 'after' ? alongRead : -alongRead, toSide === 'right' ? offRead : -offRead)
      : null;
  const options = named.map(({ id, name }) => [id, name] as const);
  const bare = (text: string, value: number | null) =>
    isBare(text, value) ? null : msg('design.giveALengthWithoutASignThe');
  return (
    <>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        <Choice label={msg('design.lineFrom')} value={from} options={options} onChange={setFrom} />
        <Choice label={msg('design.endPoint')} value={to} options={options} onChange={setTo} />
      </div>
      <div className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        <Field
          label={msg('design.alongIt')}
          unit={units.unit}
          value={along}
          inputMode="decimal"
          onChange={(event) => setAlong(event.target.value)}
          error={bare(along, alongRead)}
        />
        <Choice
          label={msg('design.measured2')}
          value={way}
          options={[
            ['after', msg('design.fromToward', { name: start.name, name2: end.name })],
            ['before', msg('design.backFrom', { name: start.name })],
          ]}
          onChange={setWay}
        />
        <Field
          label={msg('design.offIt')}
          unit={units.unit}
          value={off}
          inputMode="decimal"
          onChange={(event) => setOff(event.target.value)}
          error={bare(off, offRead)}
        />
        <Choice
          label={msg('design.ofTheGivenOne')}
          value={side}
          options={[
            ['right', msg('design.rightLookingTo', { name: end.name })],
            ['left', msg('design.leftLookingTo', { name: end.name })],
          ]}
          onChange={setSide}
        />
      </div>
      {start === end && (
        <p className="mt-2 text-[13px] font-medium text-brick">{msg('design.aLineRunsBetweenTwoDifferentPoints')}</p>
      )}
      <PlaceOutcome
        place={at(side)}
        mirrored={offRead ? at(side === 'right' ? 'left' : 'right') : null}
        onMirror={() => setSide(side === 'right' ? 'left' : 'right')}
        drawn={drawn}
        suggested={`P${count + 1}`}
        {...taking}
      />
    </>
  );
}

interface Part {
  readonly kind: 'line' | 'distance';
  readonly from: string;
  readonly to: string;
  readonly radius: string;
}

/**
 * Where two lines cross, a line comes a distance from a point, or two taped distances meet: a point found again from
 * its recoveries.
 */
function Crossing({ named, count, ...taking }: { named: readonly NamedPoint[]; count: number } & Taking) {
  const units = useUnits();
  const [first, setFirst] = useState<Part>(() => partOf(named[0], named[1]));
  const [second, setSecond] = useState<Part>(() => partOf(named[1], named[0]));
  const [which, setWhich] = useState<'0' | '1'>('0');
  const options = named.map(({ id, name }) => [id, name] as const);
  const shapeOf = ({ kind, from, to, radius }: Part): Segment | Circle | null => {
    const [start, end] = [byId(named, from), byId(named, to)];
    if (kind === 'line') return start && end && start !== end ? { from: start, to: end } : null;
    const length = units.readLength(radius);
    return start && length !== null && length > 0 ? { centre: start, radius: length } : null;
  };
  const [a, b] = [shapeOf(first), shapeOf(second)];
  const found = a && b ? meeting(a, b) : [];
  const place = found[Number(which)] ?? found[0] ?? null;
  const drawn = useMemo(
    () => ({
      lines: [a, b].flatMap((shape) =>
        shape
          ? [
              {
                points: 'centre' in shape ? circlePoints(shape) : [shape.from, shape.to],
                ink: 'ink2' as const,
                dash: [10, 3, 2, 3],
              },
            ]
          : [],
      ),
    }),
    // oxlint-disable-next-line react/exhaustive-deps
    [JSON.stringify([a, b])],
  );
  const part = (value: Part, set: (next: Part) => void, label: string) => (
    <div className="mt-2 grid grid-cols-3 gap-2">
      <Choice
        label={label}
        value={value.kind}
        options={[
          ['distance', msg('design.aDistanceFrom')],
          ['line', msg('design.theLineFrom')],
        ]}
        onChange={(kind) => set({ ...value, kind })}
      />
      <Choice
        label={msg('design.point')}
        value={value.from}
        options={options}
        onChange={(from) => set({ ...value, from })}
      />
      {value.kind === 'line' ? (
        <Choice
          label={msg('design.endPoint')}
          value={value.to}
          options={options}
          onChange={(to) => set({ ...value, to })}
        />
      ) : (
        <Field
          label={msg('design.of')}
          unit={units.unit}
          value={value.radius}
          inputMode="decimal"
          onChange={(event) => set({ ...value, radius: event.target.value })}
        />
      )}
    </div>
  );
  if (named.length < 2) return <p className="mt-2 text-[14px] text-ink2">{msg('design.thereAreNoTwoPointsYetTo2')}</p>;
  return (
    <>
      {part(first, setFirst, msg('design.firstElement'))}
      {part(second, setSecond, msg('design.secondElement'))}
      {found.length === 2 && (
        <Choice
          label={msg('design.theyMeetTwiceItIsThe')}
          className="mt-2 max-w-xs"
          value={which}
          options={found.map(
            (at, i) =>
              [
                i === 0 ? '0' : '1',
                msg('design.one', { compassWord: compassWord(azimuth(found[1 - i]!, at)) }),
              ] as const,
          )}
          onChange={setWhich}
        />
      )}
      {a && b && found.length === 0 && (
        <p className="mt-2 text-[13px] font-medium text-brick">{msg('design.theseTwoDoNotMeetIsA')}</p>
      )}
      <PlaceOutcome place={place} mirrored={null} drawn={drawn} suggested={`P${count + 1}`} {...taking} />
    </>
  );
}

function meeting(a: Segment | Circle, b: Segment | Circle): readonly PlanPoint[] {
  if ('centre' in a) return 'centre' in b ? crossCircles(a, b).points : (crossLineCircle(b, a)?.points ?? []);
  return 'centre' in b ? (crossLineCircle(a, b)?.points ?? []) : (crossLines(a, b)?.points ?? []);
}

const CIRCLE_STEPS = 48;
const circlePoints = ({ centre, radius }: Circle): PlanPoint[] =>
  Array.from({ length: CIRCLE_STEPS + 1 }, (_, i) => polar(centre, (2 * Math.PI * i) / CIRCLE_STEPS, radius));

const asPoint = (point: Corner) => ({
  id: point.name,
  at: point,
  symbol: 'set' as const,
  label: point.name,
  ink: 'ink2' as const,
});

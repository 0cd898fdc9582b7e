import { useMemo, useState } from 'react';
import { bulgeOf, compassWord, measuredAgainstSide, moveGrade, planDistance, type ReferenceSide } from '@idle-marker/core';
import { gridOf, lineDifferences, nextNumbered, spreadOf } from '@idle-marker/records';
import { ALONG_HEAD, alongWords, GRADE_WORD, heightOffWords, offLineParts, smallLength } from '@idle-marker/words';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { TypedReading } from '../../pole/TypedReading.tsx';
import { Board } from '../../board/LazyBoard.tsx';
import { gridScene } from '../../board/gridScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { EmptyTo } from '../../site/EmptyTo.tsx';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { useUnits } from '../../field/useUnits.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../ui/Field.tsx';
import { Slip } from '../../ui/Slip.tsx';
import { Steady } from '../../ui/Steady.tsx';
import { TABLE, TD, TD_WORD, TH, TH_WORD } from '../../ui/table.ts';
import { useKey } from '../../ui/useKey.ts';
import { PolePad } from '../../pole/PolePad.tsx';
import { MOTION_NOISE, useLivePlace } from '../../pole/useLiveStake.ts';
import { useSpokenMove } from '../../pole/useSpokenMove.ts';
import { lineAt, lineBetween, lineChoices, type ChosenLine } from './lineChoices.ts';
import { MarkWays } from '../../pole/MarkWays.tsx';
import { MeasuringNotice } from '../../pole/MeasuringNotice.tsx';
import { TakeBack } from '../../pole/TakeBack.tsx';
import { ShotsChoice } from '../../pole/ShotsChoice.tsx';
import { useMeasuring, type Shots } from '../../pole/useMeasuring.ts';

const POINTS = 'points';
const NONE = 'none';
/** A touch this near to a line means it, pixels. */
const TOUCH_PX = 20;

const isArc = ({ side }: ChosenLine): boolean => side.bulge !== 0;
const kindOf = (line: ChosenLine): 'line' | 'arc' => (isArc(line) ? 'arc' : 'line');

/** How far along and off a line is what the pole touches? One line, or two at once. */
export function Place() {
  const { state, inForce } = useSite();
  const units = useUnits();
  const underlay = useUnderlay();
  const lines = useMemo(() => lineChoices(state), [state]);
  const points = useMemo(
    () => [
      ...state.control.flatMap(({ revision: { body } }) => (body.e === null || body.n === null ? [] : [{ name: body.name, e: body.e, n: body.n, z: body.z }])),
      ...[...state.marks.values()].filter(({ body }) => body.state !== 'rough').map(({ body }) => ({ name: body.name, ...body.place })),
      ...state.asBuilt.map(({ body }) => ({ name: body.name, ...body.place })),
    ],
    [state],
  );
  const [kept, setFirst] = useRemembered<string>('line', lines[0]?.id ?? POINTS);
  // A line that is gone is no line to come back to.
  const firstId = kept === POINTS || lines.some(({ id }) => id === kept) ? kept : (lines[0]?.id ?? POINTS);
  const [secondId, setSecond] = useRemembered<string>('second line', NONE);
  const [from, setFrom] = useRemembered('line from', '0');
  const [to, setTo] = useRemembered('line to', '1');
  const [bend, setBend] = useRemembered<'straight' | 'left' | 'right'>('line bend', 'straight');
  const [radius, setRadius] = useRemembered('line radius', '');
  const [heights, setHeights] = useRemembered<readonly [string, string]>('line heights', ['', '']);
  const [wanted, setWanted] = useRemembered<{ readonly along: string; readonly off: string; readonly side: 'right' | 'left' }>('line wanted', {
    along: '',
    off: '',
    side: 'right',
  });
  const [name, setName] = useState('');
  const [shots, setShots] = useRemembered<Shots>('line shots', '1');
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const { place, stale } = useLivePlace(inForce);
  const [start, end] = [points[Number(from)], points[Number(to)]];
  const radiusRead = units.readLength(radius);
  const bulge = bend === 'straight' ? 0 : start && end && radiusRead !== null ? bulgeOf(start, end, radiusRead, bend) : null;
  const between = start && end && start !== end && bulge !== null ? lineBetween(start, end, bulge) : null;
  const line = firstId === POINTS ? between : (lines.find(({ id }) => id === firstId) ?? null);
  const second = lines.find(({ id }) => id === secondId) ?? null;
  const [startZ, endZ] = heights.map((text) => units.readLength(text)) as [number | null, number | null];
  const [alongWanted, offSize] = [units.readLength(wanted.along), units.readLength(wanted.off)];
  const offWanted = offSize === null ? null : wanted.side === 'right' ? offSize : -offSize;
  const reference: ReferenceSide | null = line && {
    from: { ...line.side.from, z: startZ ?? line.side.from.z },
    to: { ...line.side.to, z: endZ ?? startZ ?? line.side.to.z },
    bulge: line.side.bulge,
  };
  const live = place && reference ? measuredAgainstSide(reference, place) : null;
  const toSecond = place && second ? measuredAgainstSide(second.side, place) : null;
  const noise = place ? Math.hypot(Math.sqrt((place.plan.ee + place.plan.nn) / 2), MOTION_NOISE) : 0;
  const busy = shooting.doing !== null;
  const along = state.settings.alongWord ?? 'along';
  const usual = name.trim() || nextNumbered(state, 'lines');
  const keep = async () => {
    if (!reference || !line) return;
    const made = await measuring.take({
      name: usual,
      code: '',
      against: {
        kind: 'line',
        from: reference.from,
        to: reference.to,
        name: `${kindOf(line)} ${line.name}`,
        ...(isArc(line) ? { bulge: line.side.bulge } : {}),
      },
      supersedes: null,
      shots,
      onto: null,
    });
    if (made) setName('');
  };
  useKey(' ', busy || !line ? null : () => void keep());
  const scene = useMemo(
    () =>
      joinScenes(
        ...state.grids.map((each) => {
          const grid = gridOf(each.body);
          return grid.ok ? gridScene(grid.value) : {};
        }),
        outlineScene(state.packages),
        {
          lines: [line, second].flatMap((each, i) =>
            each ? [{ points: [...each.places], ink: i === 0 ? ('spruce' as const) : ('ochre' as const), width: 3 }] : [],
          ),
          symbols: [
            ...(firstId === POINTS ? [start, end] : []).flatMap((each) =>
              each ? [{ id: `end ${each.name}`, at: each, symbol: 'set' as const, label: each.name, ink: 'ink2' as const, pickable: false }] : [],
            ),
            ...(place
              ? [{ id: 'pole', at: place, symbol: 'pole' as const, label: stale ? 'pole, old' : 'pole', ink: 'spruce' as const, pickable: false }]
              : []),
          ],
          instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
        },
      ),
    [state, line, second, firstId, start, end, place, stale, inForce],
  );
  const offParts = live && line ? offLineParts(live.offset, live.azimuth, line.name, units.lengthUnit, kindOf(line)) : null;
  const spoken = useSpokenMove(offParts && !stale ? `${offParts.figure} ${offParts.way}` : null, false);
  if (!inForce)
    return (
      <EmptyTo title="Station the instrument first" place="station" label="Go to Station" ways={<MarkWays className="bg-sheet" />}>
        What lies along and off a line can be read once it is known where the instrument stands.
      </EmptyTo>
    );
  const pick = (point: { e: number; n: number }, pixel: number) => {
    const touched = lineAt(lines, point, TOUCH_PX * pixel);
    if (touched) setFirst(touched.id);
  };
  const rows = lineDifferences(state).slice(-12).reverse();
  const togo = live && alongWanted !== null && offWanted !== null ? { ahead: alongWanted - live.chainage, right: offWanted - live.offset } : null;
  return (
    <>
      <div className="flex h-full min-h-0 flex-col lg:flex-row">
        <section className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1" aria-label="Against the line">
          <div className="min-h-[148px] border-b border-ink px-6 py-3 max-lg:min-h-0 max-lg:px-4" aria-live="polite">
            <p className="flex flex-wrap items-center gap-x-4 text-[15px] text-ink2">
              {line
                ? `${isArc(line) ? 'Arc' : 'Line'} ${line.name}, ${isArc(line) ? `starting ${compassWord(line.azimuth)} and turning ${line.side.bulge > 0 ? 'left' : 'right'}` : `running ${compassWord(line.azimuth)}`}, ${units.length(line.length)} ${units.unit} long`
                : 'No line is chosen'}
              {spoken.can && (
                <button type="button" aria-pressed={spoken.on} onClick={spoken.toggle} className="min-h-11 min-w-11 underline decoration-dotted">
                  {spoken.on ? 'Speaking' : 'Speak'}
                </button>
              )}
              {stale && place && <strong className="text-brick">Lock lost or still: the figures are old</strong>}
            </p>
            {live && offParts ? (
              <>
                <p className={`figures text-[33px] leading-tight font-semibold max-lg:text-[24px] ${stale ? 'text-ink2' : ''}`} data-testid="off-line">
                  {offParts.figure === null ? (
                    `On the ${kindOf(line!)}`
                  ) : (
                    <>
                      <Steady text={offParts.figure} noise={noise} unit={units.lengthUnit} /> {offParts.way}
                    </>
                  )}
                </p>
                <p className="text-[17px] leading-snug" data-testid="along-line">
                  {alongWords(live.chainage, live.position, units.lengthUnit, along)}
                  {live.heightDifference !== null && `; ${heightOffWords(live.heightDifference, units.lengthUnit)} against the line`}
                  {toSecond && second && (
                    <>
                      {' '}
                      · <SecondLine off={toSecond.offset} azimuth={toSecond.azimuth} line={second} />
                    </>
                  )}
                </p>
                {togo && (
                  <p className="text-[17px] leading-snug font-semibold">
                    {GRADE_WORD[moveGrade(Math.hypot(togo.ahead, togo.right), 0.005)]}: {units.length(Math.abs(togo.ahead))}{' '}
                    {togo.ahead >= 0 ? 'ahead' : 'back'} along the line, {units.length(Math.abs(togo.right))} to the {togo.right >= 0 ? 'right' : 'left'} of it.
                  </p>
                )}
              </>
            ) : (
              <p className="text-[24px] font-semibold">{line ? 'Search for the pole, or shoot' : 'Choose a line, or touch one on the plan'}</p>
            )}
          </div>
          <div className="relative min-h-0 flex-1 max-lg:h-[230px] max-lg:flex-none">
            <Board
              scene={scene}
              underlay={underlay}
              description="Plan with the chosen line and the pole. Touching a line chooses it."
              onPlace={pick}
              fitTo={line ? [...line.places] : []}
              fitKey={line?.id ?? 'none'}
            />
          </div>
          <PolePad distance={live ? Math.abs(live.offset) : null} busy={busy} onWalk={() => line && void shooting.walk(line.side.from, true)} />
        </section>
        <Slip
          topic={line?.id ?? ''}
          head={
            <>
              <MarkWays />
              <h1 className="text-xl">On a line</h1>
              <p className="text-ink2">Whatever the pole touches, along and off a line.</p>
            </>
          }
          foot={
            <>
              {busy ? <Button onClick={shooting.cancel}>Cancel</Button> : <span />}
              <Button look="primary" hint="Space" disabled={busy || !line} onClick={() => void keep()}>
                Measure {usual}
              </Button>
            </>
          }
        >
          <div aria-live="polite">
            <MeasuringNotice measuring={measuring} />
          </div>
          <div className="grid grid-cols-2 gap-3">
            <Choice
              label="Line"
              value={firstId}
              options={[...lines.map(({ id, name: each }) => [id, each] as const), [POINTS, 'between two points']]}
              onChange={setFirst}
            />
            <Choice
              label="And at the same time"
              value={secondId}
              options={[[NONE, 'no other line'], ...lines.filter(({ id }) => id !== firstId).map(({ id, name: each }) => [id, each] as const)]}
              onChange={setSecond}
            />
            {firstId === POINTS && (
              <>
                <Choice label="From" value={from} options={points.map((point, i) => [String(i), point.name] as const)} onChange={setFrom} />
                <Choice label="To" value={to} options={points.map((point, i) => [String(i), point.name] as const)} onChange={setTo} />
              </>
            )}
            {firstId === POINTS && (
              <>
                <Choice
                  label="It runs"
                  value={bend}
                  options={[
                    ['straight', 'straight'],
                    ['left', 'in an arc, turning left'],
                    ['right', 'in an arc, turning right'],
                  ]}
                  onChange={setBend}
                />
                {bend === 'straight' ? (
                  <span />
                ) : (
                  <Field
                    label="Radius"
                    unit={units.unit}
                    value={radius}
                    inputMode="decimal"
                    onChange={(event) => setRadius(event.target.value)}
                    error={
                      radius !== '' && bulge === null && start && end && start !== end
                        ? `Too small: the points lie ${units.length(planDistance(start, end))} ${units.unit} apart, an arc needs half of that at least.`
                        : null
                    }
                  />
                )}
              </>
            )}
            {firstId === POINTS && start === end && <p className="col-span-2 text-[13px] font-medium text-brick">A line runs between two different points.</p>}
            <Field
              label="Height where it starts"
              unit={units.unit}
              value={heights[0]}
              inputMode="decimal"
              onChange={(event) => setHeights([event.target.value, heights[1]])}
              help={line && line.side.from.z !== null ? `Empty: ${units.length(line.side.from.z)}, as drawn.` : 'Empty: no heights.'}
            />
            <Field
              label="Height where it ends"
              unit={units.unit}
              value={heights[1]}
              inputMode="decimal"
              onChange={(event) => setHeights([heights[0], event.target.value])}
              help={line && line.side.to.z !== null && startZ === null ? `Empty: ${units.length(line.side.to.z)}, as drawn.` : 'Empty: level.'}
            />
            <Field
              label="Wanted along"
              unit={units.unit}
              value={wanted.along}
              inputMode="decimal"
              onChange={(event) => setWanted({ ...wanted, along: event.target.value })}
            />
            <div className="grid grid-cols-2 gap-2">
              <Field
                label="and off"
                unit={units.unit}
                value={wanted.off}
                inputMode="decimal"
                onChange={(event) => setWanted({ ...wanted, off: event.target.value })}
              />
              <Choice
                label="to the"
                value={wanted.side}
                options={[
                  ['right', 'right'],
                  ['left', 'left'],
                ]}
                onChange={(side) => setWanted({ ...wanted, side })}
              />
            </div>
            <Field label="Name" value={name} placeholder={usual} maxLength={80} onChange={(event) => setName(event.target.value)} />
            <ShotsChoice shots={shots} onShots={setShots} />
          </div>
          {line && (
            <p className="mt-2 text-[13px] text-ink2">
              {isArc(line) ? (
                `Right of the arc is ${line.side.bulge > 0 ? 'its outer side, away from the centre' : 'the side of its centre'}, looking along it.`
              ) : (
                <>
                  Right of the line is its {compassWord(line.azimuth + Math.PI / 2)}, left its {compassWord(line.azimuth - Math.PI / 2)}, looking along it.
                </>
              )}
            </p>
          )}
          {rows.length > 0 && (
            <table className={`${TABLE} mt-3`}>
              <thead>
                <tr>
                  <th className={TH_WORD}>Measured</th>
                  <th className={TH}>{ALONG_HEAD[along]}</th>
                  <th className={TH_WORD}>Off</th>
                  <th className={TH}>Height</th>
                  <th className={TH}>
                    <span className="sr-only">Take back</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {rows.map((row) => {
                  const spread = spreadOf(row.fact);
                  return (
                    <tr key={row.fact.id}>
                      <td className={TD_WORD}>
                        <strong>{row.fact.body.name}</strong>
                        <span className="block text-[13px] text-ink2">{row.name}</span>
                      </td>
                      <td className={TD}>{units.length(row.chainage)}</td>
                      <td className={TD_WORD}>
                        {units.length(Math.abs(row.offset))} {compassWord(row.azimuth + (row.offset >= 0 ? Math.PI / 2 : -Math.PI / 2))}
                        {spread.plan !== null && <span className="block text-[13px] text-ink2">spread {smallLength(spread.plan, units.lengthUnit)}</span>}
                      </td>
                      <td className={TD}>{row.heightDifference === null ? '–' : heightOffWords(row.heightDifference, units.lengthUnit)}</td>
                      <td className={TD}>
                        <TakeBack fact={row.fact} />
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          )}
        </Slip>
      </div>
      <TypedReading title={`Reading at ${usual}`} />
    </>
  );
}

function SecondLine({ off, azimuth, line }: { off: number; azimuth: number; line: ChosenLine }) {
  const units = useUnits();
  const parts = offLineParts(off, azimuth, line.name, units.lengthUnit, kindOf(line));
  return (
    <strong className="figures" data-testid="off-second">
      {parts.figure === null ? parts.way : `${parts.figure} ${parts.way}`}
    </strong>
  );
}

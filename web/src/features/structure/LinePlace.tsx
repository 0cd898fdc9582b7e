import { useMemo, useState } from 'react';
import {
  bulgeOf,
  compassWord,
  measuredAgainstSide,
  moveGrade,
  planDistance,
  type ReferenceSide,
} from '@idle-marker/core';
import { gridOf, lineDifferences, nextNumbered, spreadOf } from '@idle-marker/records';
import { msg, ALONG_HEAD, alongWords, GRADE_WORD, heightOffWords, offLineParts, smallLength } from '@idle-marker/words';
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
      ...state.control.flatMap(({ revision: { body } }) =>
        body.e === null || body.n === null ? [] : [{ name: body.name, e: body.e, n: body.n, z: body.z }],
      ),
      ...[...state.marks.values()]
        .filter(({ body }) => body.state !== 'rough')
        .map(({ body }) => ({ name: body.name, ...body.place })),
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
  const [wanted, setWanted] = useRemembered<{
    readonly along: string;
    readonly off: string;
    readonly side: 'right' | 'left';
  }>('line wanted', {
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
  const bulge =
    bend === 'straight' ? 0 : start && end && radiusRead !== null ? bulgeOf(start, end, radiusRead, bend) : null;
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
            each
              ? [{ points: [...each.places], ink: i === 0 ? ('spruce' as const) : ('ochre' as const), width: 3 }]
              : [],
          ),
          symbols: [
            ...(firstId === POINTS ? [start, end] : []).flatMap((each) =>
              each
                ? [
                    {
                      id: `end ${each.name}`,
                      at: each,
                      symbol: 'set' as const,
                      label: each.name,
                      ink: 'ink2' as const,
                      pickable: false,
                    },
                  ]
                : [],
            ),
            ...(place
              ? [
                  {
                    id: 'pole',
                    at: place,
                    symbol: 'pole' as const,
                    label: stale ? msg('common.poleOld') : 'pole',
                    ink: 'spruce' as const,
                    pickable: false,
                  },
                ]
              : []),
          ],
          instruments: inForce ? [{ at: inForce.fact.body.result, label: inForce.fact.body.name, facing: null }] : [],
        },
      ),
    [state, line, second, firstId, start, end, place, stale, inForce],
  );
  const offParts =
    live && line ? offLineParts(live.offset, live.azimuth, line.name, units.lengthUnit, kindOf(line)) : null;
  const spoken = useSpokenMove(offParts && !stale ? `${offParts.figure} ${offParts.way}` : null, false);
  if (!inForce)
    return (
      <EmptyTo
        title={msg('common.stationTheInstrumentFirst')}
        place="station"
        label={msg('common.goToStation')}
        ways={<MarkWays className="bg-sheet" />}
      >
        {msg('structure.whatLiesAlongAndOffALine')}
      </EmptyTo>
    );
  const pick = (point: { e: number; n: number }, pixel: number) => {
    const touched = lineAt(lines, point, TOUCH_PX * pixel);
    if (touched) setFirst(touched.id);
  };
  const rows = lineDifferences(state).slice(-12).reverse();
  const togo =
    live && alongWanted !== null && offWanted !== null
      ? { ahead: alongWanted - live.chainage, right: offWanted - live.offset }
      : null;
  return (
    <>
      <div className="flex h-full min-h-0 flex-col lg:flex-row">
        <section
          className="flex min-h-0 min-w-0 flex-col bg-sheet max-lg:flex-none lg:flex-1"
          aria-label={msg('structure.againstTheLine')}
        >
          <div className="min-h-[148px] border-b border-ink px-6 py-3 max-lg:min-h-0 max-lg:px-4" aria-live="polite">
            <p className="flex flex-wrap items-center gap-x-4 text-[15px] text-ink2">
              {line
                ? msg('structure.long', {
                    isArc: isArc(line) ? msg('structure.arc') : msg('common.line'),
                    name: line.name,
                    isArc2: isArc(line)
                      ? msg('structure.startingAndTurning', {
                          compassWord: compassWord(line.azimuth),
                          bulge: line.side.bulge > 0 ? 'left' : 'right',
                        })
                      : msg('structure.running', { compassWord: compassWord(line.azimuth) }),
                    length: units.length(line.length),
                    unit: units.unit,
                  })
                : msg('structure.noLineIsChosen')}
              {spoken.can && (
                <button
                  type="button"
                  aria-pressed={spoken.on}
                  onClick={spoken.toggle}
                  className="min-h-11 min-w-11 underline decoration-dotted"
                >
                  {spoken.on ? msg('common.speaking') : msg('common.speak')}
                </button>
              )}
              {stale && place && <strong className="text-brick">{msg('common.lockLostOrStillTheFiguresAre')}</strong>}
            </p>
            {live && offParts ? (
              <>
                <p
                  className={`figures text-[33px] leading-tight font-semibold max-lg:text-[24px] ${stale ? 'text-ink2' : ''}`}
                  data-testid="off-line"
                >
                  {offParts.figure === null ? (
                    msg('structure.onThe', { kind: kindOf(line!) })
                  ) : (
                    <>
                      <Steady text={offParts.figure} noise={noise} unit={units.lengthUnit} /> {offParts.way}
                    </>
                  )}
                </p>
                <p className="text-[17px] leading-snug" data-testid="along-line">
                  {alongWords(live.chainage, live.position, units.lengthUnit, along)}
                  {live.heightDifference !== null &&
                    msg('structure.againstTheLine2', {
                      heightOff: heightOffWords(live.heightDifference, units.lengthUnit),
                    })}
                  {toSecond && second && (
                    <>
                      {' '}
                      · <SecondLine off={toSecond.offset} azimuth={toSecond.azimuth} line={second} />
                    </>
                  )}
                </p>
                {togo && (
                  <p className="text-[17px] leading-snug font-semibold">
                    {msg('structure.alongTheLineToTheOfIt', {
                      gradeWord: GRADE_WORD[moveGrade(Math.hypot(togo.ahead, togo.right), 0.005)],
                      length: units.length(Math.abs(togo.ahead)),
                      ahead: togo.ahead >= 0 ? 'ahead' : 'back',
                      length2: units.length(Math.abs(togo.right)),
                      right: togo.right >= 0 ? 'right' : 'left',
                    })}
                  </p>
                )}
              </>
            ) : (
              <p className="text-[24px] font-semibold">
                {line ? msg('common.searchForThePoleOrShoot') : msg('structure.chooseALineOrTouchOneOn')}
              </p>
            )}
          </div>
          <div className="relative min-h-0 flex-1 max-lg:h-[230px] max-lg:flex-none">
            <Board
              scene={scene}
              underlay={underlay}
              description={msg('structure.planWithTheChosenLineAndThe')}
              onPlace={pick}
              fitTo={line ? [...line.places] : []}
              fitKey={line?.id ?? 'none'}
            />
          </div>
          <PolePad
            distance={live ? Math.abs(live.offset) : null}
            busy={busy}
            onWalk={() => line && void shooting.walk(line.side.from, true)}
          />
        </section>
        <Slip
          topic={line?.id ?? ''}
          head={
            <>
              <MarkWays />
              <h1 className="text-xl">{msg('common.onALine')}</h1>
              <p className="text-ink2">{msg('structure.whateverThePoleTouchesAlongAndOff')}</p>
            </>
          }
          foot={
            <>
              {busy ? <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button> : <span />}
              <Button look="primary" hint={msg('common.space')} disabled={busy || !line} onClick={() => void keep()}>
                {msg('structure.measure2', { usual })}
              </Button>
            </>
          }
        >
          <div aria-live="polite">
            <MeasuringNotice measuring={measuring} />
          </div>
          <div className="grid grid-cols-2 gap-3">
            <Choice
              label={msg('common.line')}
              value={firstId}
              options={[
                ...lines.map(({ id, name: each }) => [id, each] as const),
                [POINTS, msg('structure.betweenTwoPoints')],
              ]}
              onChange={setFirst}
            />
            <Choice
              label={msg('structure.andAtTheSameTime')}
              value={secondId}
              options={[
                [NONE, msg('structure.noOtherLine')],
                ...lines.filter(({ id }) => id !== firstId).map(({ id, name: each }) => [id, each] as const),
              ]}
              onChange={setSecond}
            />
            {firstId === POINTS && (
              <>
                <Choice
                  label={msg('common.from')}
                  value={from}
                  options={points.map((point, i) => [String(i), point.name] as const)}
                  onChange={setFrom}
                />
                <Choice
                  label={msg('common.to2')}
                  value={to}
                  options={points.map((point, i) => [String(i), point.name] as const)}
                  onChange={setTo}
                />
              </>
            )}
            {firstId === POINTS && (
              <>
                <Choice
                  label={msg('structure.itRuns')}
                  value={bend}
                  options={[
                    ['straight', 'straight'],
                    ['left', msg('structure.inAnArcTurningLeft')],
                    ['right', msg('structure.inAnArcTurningRight')],
                  ]}
                  onChange={setBend}
                />
                {bend === 'straight' ? (
                  <span />
                ) : (
                  <Field
                    label={msg('common.radius')}
                    unit={units.unit}
                    value={radius}
                    inputMode="decimal"
                    onChange={(event) => setRadius(event.target.value)}
                    error={
                      radius !== '' && bulge === null && start && end && start !== end
                        ? msg('structure.tooSmallThePointsLieApartAn', {
                            length: units.length(planDistance(start, end)),
                            unit: units.unit,
                          })
                        : null
                    }
                  />
                )}
              </>
            )}
            {firstId === POINTS && start === end && (
              <p className="col-span-2 text-[13px] font-medium text-brick">
                {msg('structure.aLineRunsBetweenTwoDifferentPoints')}
              </p>
            )}
            <Field
              label={msg('structure.heightWhereItStarts')}
              unit={units.unit}
              value={heights[0]}
              inputMode="decimal"
              onChange={(event) => setHeights([event.target.value, heights[1]])}
              help={
                line && line.side.from.z !== null
                  ? msg('structure.emptyAsDrawn', { length: units.length(line.side.from.z) })
                  : msg('structure.emptyNoHeights')
              }
            />
            <Field
              label={msg('structure.heightWhereItEnds')}
              unit={units.unit}
              value={heights[1]}
              inputMode="decimal"
              onChange={(event) => setHeights([heights[0], event.target.value])}
              help={
                line && line.side.to.z !== null && startZ === null
                  ? msg('structure.emptyAsDrawn', { length: units.length(line.side.to.z) })
                  : msg('structure.emptyLevel')
              }
            />
            <Field
              label={msg('structure.wantedAlong')}
              unit={units.unit}
              value={wanted.along}
              inputMode="decimal"
              onChange={(event) => setWanted({ ...wanted, along: event.target.value })}
            />
            <div className="grid grid-cols-2 gap-2">
              <Field
                label={msg('structure.andOff')}
                unit={units.unit}
                value={wanted.off}
                inputMode="decimal"
                onChange={(event) => setWanted({ ...wanted, off: event.target.value })}
              />
              <Choice
                label={msg('common.toThe')}
                value={wanted.side}
                options={[
                  ['right', 'right'],
                  ['left', 'left'],
                ]}
                onChange={(side) => setWanted({ ...wanted, side })}
              />
            </div>
            <Field
              label={msg('common.name')}
              value={name}
              placeholder={usual}
              maxLength={80}
              onChange={(event) => setName(event.target.value)}
            />
            <ShotsChoice shots={shots} onShots={setShots} />
          </div>
          {line && (
            <p className="mt-2 text-[13px] text-ink2">
              {isArc(line) ? (
                msg('structure.rightOfTheArcIsLookingAlong', {
                  bulge:
                    line.side.bulge > 0
                      ? msg('structure.itsOuterSideAwayFromTheCentre')
                      : msg('structure.theSideOfItsCentre'),
                })
              ) : (
                <>
                  {msg('structure.rightOfTheLineIsItsLeft', {
                    compassWord: compassWord(line.azimuth + Math.PI / 2),
                    compassWord2: compassWord(line.azimuth - Math.PI / 2),
                  })}
                </>
              )}
            </p>
          )}
          {rows.length > 0 && (
            <table className={`${TABLE} mt-3`}>
              <thead>
                <tr>
                  <th className={TH_WORD}>{msg('structure.measured')}</th>
                  <th className={TH}>{ALONG_HEAD[along]}</th>
                  <th className={TH_WORD}>{msg('common.off2')}</th>
                  <th className={TH}>{msg('common.height')}</th>
                  <th className={TH}>
                    <span className="sr-only">{msg('common.takeBack')}</span>
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
                        {units.length(Math.abs(row.offset))}{' '}
                        {compassWord(row.azimuth + (row.offset >= 0 ? Math.PI / 2 : -Math.PI / 2))}
                        {spread.plan !== null && (
                          <span className="block text-[13px] text-ink2">
                            {msg('common.spread', { smallLength: smallLength(spread.plan, units.lengthUnit) })}
                          </span>
                        )}
                      </td>
                      <td className={TD}>
                        {row.heightDifference === null ? '–' : heightOffWords(row.heightDifference, units.lengthUnit)}
                      </td>
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
      <TypedReading title={msg('structure.readingAt2', { usual })} />
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

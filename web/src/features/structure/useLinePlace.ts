import { useMemo, useState } from 'react';
import {
  bulgeOf,
  measuredAgainstSide,
  METRES_PER_UNIT,
  pointOnSide,
  type Corner,
  type LengthUnit,
  type Metres,
  type PlanPoint,
  type ReferenceSide,
} from '@idle-marker/core';
import { gridOf, nextNumbered } from '@idle-marker/records';
import { msg, offLineParts } from '@idle-marker/words';
import { useUnderlay } from '../../drawings/useDrawings.ts';
import { gridScene } from '../../board/gridScene.ts';
import { joinScenes } from '../../board/scene.ts';
import { outlineScene } from '../../board/siteScene.ts';
import { useSite } from '../../site/SiteContext.tsx';
import { useRemembered } from '../../site/useRemembered.ts';
import { useUnits } from '../../field/useUnits.ts';
import { useIsCarried } from '../../pole/view/hand.ts';
import { useKey } from '../../ui/useKey.ts';
import { MOTION_NOISE, useLivePlace } from '../../pole/useLiveStake.ts';
import { useSpokenMove } from '../../pole/useSpokenMove.ts';
import { lineBetween, lineChoices, type ChosenLine } from './lineChoices.ts';
import { useMeasuring, type Shots } from '../../pole/useMeasuring.ts';

export const POINTS = 'points';

export const NONE = 'none';

export const isArc = ({ side }: ChosenLine): boolean => side.bulge !== 0;

export const kindOf = (line: ChosenLine): 'line' | 'arc' => (isArc(line) ? 'arc' : 'line');

/** Round figures that a place on the plan is read to, in the site's unit. */
const READ_TO = [0.01, 0.05, 0.1, 0.5, 1, 5] as const;

/** A length read off the plan is no finer than a pixel of it. */
function readOff(size: Metres, pixel: Metres, unit: LengthUnit): Metres {
  const perUnit = METRES_PER_UNIT[unit];
  const step = (READ_TO.find((each) => each * perUnit >= pixel) ?? READ_TO.at(-1)!) * perUnit;
  return Math.round(size / step) * step;
}

/** What LinePlace shows, and what its buttons do. */
export function useLinePlace() {
  const { state, inForce } = useSite();
  const units = useUnits();
  const isCarried = useIsCarried();
  const underlay = useUnderlay();
  const lines = useMemo(() => lineChoices(state), [state]);
  const points = useMemo(
    () => [
      ...state.control.flatMap(({ revision: { body } }) =>
        body.e === null || body.n === null
          ? []
          : [{ id: `control ${body.name}`, name: body.name, e: body.e, n: body.n, z: body.z }],
      ),
      ...[...state.marks.values()]
        .filter(({ body }) => body.state !== 'rough')
        .map(({ body }) => ({ id: `mark ${body.name}`, name: body.name, ...body.place })),
      ...state.asBuilt.map(({ body }) => ({ id: `built ${body.name}`, name: body.name, ...body.place })),
    ],
    [state],
  );
  const [kept, setFirst] = useRemembered<string>('line', lines[0]?.id ?? POINTS);
  // A line that is gone is no line to come back to.
  const firstId = kept === POINTS || lines.some(({ id }) => id === kept) ? kept : (lines[0]?.id ?? POINTS);
  const [secondId, setSecond] = useRemembered<string>('second line', NONE);
  const [from, setFrom] = useRemembered('line from', points[0]?.id ?? '');
  const [to, setTo] = useRemembered('line to', points[1]?.id ?? '');
  const [bend, setBend] = useRemembered<'straight' | 'left' | 'right'>('line bend', 'straight');
  const [radius, setRadius] = useRemembered('line radius', '');
  const [heights, setHeights] = useRemembered<readonly [string, string]>('line heights', ['', '']);
  const [wanted, setWanted] = useRemembered<{
    readonly along: string;
    readonly off: string;
    readonly side: 'right' | 'left';
    /** By which the next one lies farther along. */
    readonly step: string;
  }>('line goal', { along: '', off: '', side: 'right', step: '' });
  const [name, setName] = useState('');
  const [shots, setShots] = useRemembered<Shots>('line shots', '1');
  const measuring = useMeasuring();
  const { shooting } = measuring;
  const { place, stale } = useLivePlace(inForce);
  const [start, end] = [from, to].map((id) => points.find((point) => point.id === id));
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
  /** What is gone to: both distances have to be said, 0 where it is on the line itself. */
  const goal =
    reference && line && alongWanted !== null && offWanted !== null
      ? pointOnSide(reference, alongWanted, offWanted)
      : null;
  const goalPoint: Corner | null =
    goal && line
      ? {
          name: [
            line.name,
            units.edit(alongWanted),
            ...(offWanted === 0 ? [] : [`${wanted.side === 'right' ? 'R' : 'L'}${units.edit(Math.abs(offWanted!))}`]),
          ].join(' '),
          ...goal,
        }
      : null;
  const step = units.readLength(wanted.step);
  const goOn = (by: number) => alongWanted !== null && setWanted({ ...wanted, along: units.edit(alongWanted + by) });
  /** A place that is touched is what is gone to, in round figures of what can be seen on the plan. */
  const goThere = (point: PlanPoint, pixel: Metres) => {
    if (!reference) return;
    const there = measuredAgainstSide(reference, { ...point, z: null });
    if (!there) return;
    const round = (size: Metres) => units.edit(readOff(size, pixel, units.lengthUnit));
    setWanted({
      ...wanted,
      along: round(there.chainage),
      off: round(Math.abs(there.offset)),
      side: there.offset < 0 ? 'left' : 'right',
    });
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
  useKey(' ', isCarried || busy || !line ? null : () => void keep());
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
            ...(goalPoint
              ? [
                  {
                    id: 'goal',
                    at: goalPoint,
                    symbol: 'toSet' as const,
                    label: goalPoint.name,
                    ink: 'pencil' as const,
                    chosen: true,
                    pickable: false,
                  },
                ]
              : []),
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
    // oxlint-disable-next-line react/exhaustive-deps -- the point is told by its name
    [state, line, second, firstId, start, end, place, stale, inForce, goalPoint?.name],
  );
  const offParts =
    live && line ? offLineParts(live.offset, live.azimuth, line.name, units.lengthUnit, kindOf(line)) : null;
  const spoken = useSpokenMove(offParts && !stale ? `${offParts.figure} ${offParts.way}` : null);
  return {
    isCarried,
    state,
    inForce,
    units,
    underlay,
    lines,
    points,
    setFirst,
    firstId,
    secondId,
    setSecond,
    from,
    setFrom,
    to,
    setTo,
    bend,
    setBend,
    radius,
    setRadius,
    heights,
    setHeights,
    wanted,
    setWanted,
    name,
    setName,
    shots,
    setShots,
    measuring,
    shooting,
    place,
    stale,
    start,
    end,
    bulge,
    line,
    second,
    startZ,
    alongWanted,
    offWanted,
    goalPoint,
    step,
    goOn,
    goThere,
    live,
    toSecond,
    noise,
    busy,
    along,
    usual,
    keep,
    scene,
    offParts,
    spoken,
  };
}

export type LinePlaceModel = ReturnType<typeof useLinePlace>;

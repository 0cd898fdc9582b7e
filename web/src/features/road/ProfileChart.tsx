import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import {
  displayedStation,
  lengthFromMetres,
  METRES_PER_UNIT,
  profileAt,
  profileExtremes,
  stationList,
  type LengthUnit,
} from '@idle-marker/core';
import type { Road } from '@idle-marker/records';
import { msg, gradeText, shortStation, stationText } from '@idle-marker/words';
import { useStationStyle } from '../../site/useRoads.ts';
import { useUnits } from '../../field/useUnits.ts';

const TICK = { fontSize: 12, fill: 'var(--ink2)' };
const SAMPLES = 240;

export interface ProfileChartProps {
  readonly road: Road;
  /** Without equations; null where nothing is looked at. */
  readonly station: number | null;
  readonly z: number | null;
  /** Heights of a surface under the line. */
  readonly ground: readonly { readonly station: number; readonly z: number | null }[];
}

/** The heights along a road: grades, vertical curves, high and low points, and the ground under it. */
export function ProfileChart({ road, station, z, ground }: ProfileChartProps) {
  const units = useUnits();
  const style = useStationStyle();
  const { alignment, profile } = road;
  const unit = units.lengthUnit;
  const edges = profile
    ? [
        ...profile.curves.flatMap(({ begin, end }) => [begin.station, end.station]),
        ...profile.breaks.map((each) => each.station),
      ]
    : [];
  const stations = [
    ...new Set([
      ...Array.from({ length: SAMPLES + 1 }, (_, i) => alignment.startStation + (alignment.length * i) / SAMPLES),
      ...edges,
      ...ground.map((each) => each.station),
    ]),
  ].sort((a, b) => a - b);
  const groundAt = new Map(ground.map((each) => [each.station, each.z]));
  const value = (height: number | null | undefined) =>
    height === null || height === undefined ? null : Number(lengthFromMetres(height, unit).toFixed(3));
  const points = stations.map((at) => ({
    at,
    design: value(profile && profileAt(profile, at)?.z),
    ground: groundAt.has(at) ? value(groundAt.get(at)) : undefined,
  }));
  const shown = (at: number) => displayedStation(alignment, at).displayed;
  const straight = profile
    ? profile.stretches.filter(
        ({ bend, circle, start, end }) => bend === 0 && circle === null && end - start > alignment.length / 25,
      )
    : [];
  return (
    <figure className="m-0 flex h-full min-h-0 flex-col p-3">
      <figcaption className="text-[15px] text-ink2">
        {msg('road.heightsAlong', {
          name: road.name,
          ground: ground.length > 0 ? msg('road.withTheGroundUnderItDashed') : '',
          unit: units.unit,
        })}
      </figcaption>
      <div className="min-h-[200px] flex-1">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 24, right: 16, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--rule)" />
            <XAxis
              dataKey="at"
              type="number"
              domain={[alignment.startStation, alignment.endStation]}
              tick={TICK}
              stroke="var(--ink2)"
              tickFormatter={(at: number) => stationText(shown(at), style, 0)}
              ticks={roundTicks(road, unit)}
            />
            <YAxis
              tick={TICK}
              stroke="var(--ink2)"
              width={48}
              domain={['auto', 'auto']}
              tickFormatter={(height: number) => height.toFixed(2)}
            />
            <Tooltip
              labelFormatter={(at) => stationText(shown(Number(at)), style)}
              formatter={(height, name) => [`${Number(height).toFixed(3)} ${units.unit}`, name]}
              contentStyle={{ background: 'var(--sheet)', borderColor: 'var(--ink)' }}
            />
            <Line
              name="ground"
              dataKey="ground"
              stroke="var(--ochre)"
              strokeDasharray="5 4"
              strokeWidth={1.5}
              dot={false}
              isAnimationActive={false}
              connectNulls
            />
            <Line
              name="design"
              dataKey="design"
              stroke="var(--pencil)"
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
            {profile &&
              profileExtremes(profile).map(({ kind, station: at, z: height }) => (
                <ReferenceDot
                  key={at}
                  x={at}
                  y={value(height)!}
                  r={5}
                  fill="var(--pencil)"
                  label={{
                    value: `${kind} ${shortStation(Number(shown(at).toFixed(2)), style)}, ${units.length(height, 2)}`,
                    position: kind === 'high' ? 'top' : 'bottom',
                    fontSize: 12,
                    fill: 'var(--ink)',
                  }}
                />
              ))}
            {straight.map(({ start, end, z: from, grade }) => (
              <ReferenceDot
                key={start}
                x={(start + end) / 2}
                y={value(from + (grade * (end - start)) / 2)!}
                r={0}
                label={{ value: gradeText(grade), position: 'top', offset: 14, fontSize: 12, fill: 'var(--pencil)' }}
              />
            ))}
            {station !== null && <ReferenceLine x={station} stroke="var(--spruce)" strokeWidth={1.5} />}
            {station !== null && z !== null && (
              <ReferenceDot x={station} y={value(z)!} r={6} fill="var(--spruce)" stroke="var(--sheet)" />
            )}
          </LineChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

/** Stations to write under the heights: round ones, about eight of them. */
function roundTicks({ alignment }: Road, unit: LengthUnit): number[] {
  const rough = lengthFromMetres(alignment.length, unit) / 8;
  const power = 10 ** Math.floor(Math.log10(rough));
  const interval = [1, 2, 5, 10].map((each) => each * power).find((each) => each >= rough)! * METRES_PER_UNIT[unit];
  const list = stationList(alignment, null, null, null, {
    from: null,
    to: null,
    interval,
    byRadius: [],
    equalParts: null,
    special: false,
    extra: [],
    direction: 'up',
  });
  return list.ok ? list.value.map(({ station }) => station) : [];
}

import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { DesignDifference } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { niceTicks } from '../../ui/niceTicks.ts';

/** Every thing that was measured, off its design: how far east and how far north. */
export function BuiltChart({ differences }: { differences: readonly DesignDifference[] }) {
  const units = useUnits();
  const small = smallUnit(units.lengthUnit);
  const points = differences.map(({ fact, dE, dN, within }) => ({
    name: fact.body.name,
    east: Number((dE * small.perMetre).toFixed(small.decimals + 1)),
    north: Number((dN * small.perMetre).toFixed(small.decimals + 1)),
    within,
  }));
  const reach =
    Math.max(
      ...points.flatMap(({ east, north }) => [Math.abs(east), Math.abs(north)]),
      small.name === 'mm' ? 2 : 0.007,
    ) * 1.25;
  const domain: [number, number] = [-reach, reach];
  const ticks = niceTicks(-reach, reach);
  const tick = { fontSize: 12, fill: 'var(--ink2)' };
  const format = (value: number) => value.toFixed(small.decimals);
  return (
    <figure className="mt-3">
      <div className="h-[220px]">
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart margin={{ top: 8, right: 12, bottom: 0, left: -24 }}>
            <CartesianGrid stroke="var(--rule)" />
            <XAxis
              type="number"
              dataKey="east"
              domain={domain}
              ticks={ticks}
              tickFormatter={format}
              tick={tick}
              stroke="var(--ink2)"
              name={msg('structure.east', { name: small.name })}
            />
            <YAxis
              type="number"
              dataKey="north"
              domain={domain}
              ticks={ticks}
              tickFormatter={format}
              tick={tick}
              stroke="var(--ink2)"
              width={58}
              name={msg('structure.north', { name: small.name })}
            />
            <ReferenceLine x={0} stroke="var(--ink2)" />
            <ReferenceLine y={0} stroke="var(--ink2)" />
            <Tooltip labelFormatter={() => ''} />
            <Scatter data={points.filter(({ within }) => within)} fill="var(--ink)" isAnimationActive={false} />
            <Scatter
              data={points.filter(({ within }) => !within)}
              fill="var(--brick)"
              shape="cross"
              isAnimationActive={false}
            />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-[13px] text-ink2">
        {msg('structure.offTheDesignRightIsEastUp', { name: small.name })}
      </figcaption>
    </figure>
  );
}

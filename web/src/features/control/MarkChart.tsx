import { Legend, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { MarkLook } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useUnits } from '../../field/useUnits.ts';
import { dayAndTime } from '../../ui/time.ts';

const TICK = { fontSize: 12, fill: 'var(--ink2)' };

/** How one mark has fitted over stations and days. */
export function MarkChart({ looks }: { readonly looks: readonly MarkLook[] }) {
  const { lengthUnit } = useUnits();
  const { name: unit, perMetre, decimals } = smallUnit(lengthUnit);
  const small = (mm: number) => Number(((mm / 1000) * perMetre).toFixed(decimals + 1));
  const points = looks.map((look, i) => ({
    i: i + 1,
    at: look.at,
    plan: look.dEMm === null || look.dNMm === null ? null : small(Math.hypot(look.dEMm, look.dNMm)),
    height: look.dZMm === null ? null : small(look.dZMm),
  }));
  return (
    <figure className="mt-1">
      <div className="h-[150px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 8, bottom: 0, left: -20 }}>
            <XAxis dataKey="i" tick={TICK} stroke="var(--ink2)" allowDecimals={false} />
            <YAxis tick={TICK} stroke="var(--ink2)" width={58} />
            <Tooltip
              labelFormatter={(i) => dayAndTime(points[Number(i) - 1]?.at ?? '')}
              formatter={(value, name) => [`${String(value)} ${unit}`, name]}
            />
            <Legend verticalAlign="top" height={22} wrapperStyle={{ fontSize: 13 }} />
            <ReferenceLine y={0} stroke="var(--ink2)" />
            <Line
              name={msg('control.offInPlan')}
              dataKey="plan"
              stroke="var(--ink)"
              strokeWidth={1.5}
              dot={{ r: 4, fill: 'var(--ink)' }}
              isAnimationActive={false}
              connectNulls
            />
            <Line
              name={msg('control.heightHigherThanListed')}
              dataKey="height"
              stroke="var(--pencil)"
              strokeWidth={1.5}
              strokeDasharray="5 4"
              dot={{ r: 3, fill: 'var(--pencil)' }}
              isAnimationActive={false}
              connectNulls
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-[13px] text-ink2">{msg('control.onePointAStationOrProofIn', { unit })}</figcaption>
    </figure>
  );
}

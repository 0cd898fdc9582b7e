import { Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Fact } from '@idle-marker/contract';
import { classOf } from '@idle-marker/records';
import { msg, smallUnit } from '@idle-marker/words';
import { useUnits } from '../field/useUnits.ts';
import { niceTicks } from '../ui/niceTicks.ts';
import { useSite } from '../site/SiteContext.tsx';
import { clockTime } from '../ui/time.ts';

interface Point {
  readonly at: number;
  readonly plan: number | null;
  readonly height: number | null;
}

/** Plan and height misfit of each proof over the day, against what the class allows. */
export function ProofChart({ proofs, classId }: { proofs: readonly Fact<'proof'>[]; classId: string }) {
  const asked = classOf(useSite().state, classId);
  const { name: unit, perMetre, decimals } = smallUnit(useUnits().lengthUnit);
  const figure = (metres: number) => Number((metres * perMetre).toFixed(decimals + 1));
  const round = (mm: unknown): number | null => (typeof mm === 'number' ? figure(mm / 1000) : null);
  const points = proofs
    .map((proof): Point => ({
      at: Date.parse(proof.at),
      plan: round(proof.body.result['horizontalMm']),
      height: round(proof.body.result['dZMm']),
    }))
    .filter((point) => point.plan !== null || point.height !== null);
  if (points.length === 0) return null;
  return (
    <>
      <Plot
        points={points}
        part="plan"
        limit={figure(asked.plan)}
        unit={unit}
        words={msg('evidence.proofsOffInPlanMmTheDashed', { unit })}
      />
      {points.some((point) => point.height !== null) && (
        <Plot
          points={points}
          part="height"
          limit={figure(asked.height)}
          unit={unit}
          words={msg('evidence.proofsOffInHeightMmPlusIs', { unit })}
        />
      )}
    </>
  );
}

interface PlotProps {
  readonly points: readonly Point[];
  readonly part: 'plan' | 'height';
  readonly limit: number;
  readonly unit: string;
  readonly words: string;
}

function Plot({ points, part, limit, unit, words }: PlotProps) {
  const label = (at: number) => clockTime(new Date(at));
  // Ticks at the proofs themselves, one a minute: an axis that says 13:10 five times tells nothing.
  const ticks = points.map(({ at }) => at).filter((at, i, all) => i === 0 || label(at) !== label(all[i - 1]!));
  const largest = Math.max(limit, ...points.map((point) => Math.abs(point[part] ?? 0)));
  const edge = largest * 1.3;
  const limits = part === 'plan' ? [limit] : [limit, -limit];
  return (
    <figure className="mt-3">
      <div className="h-[100px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={[...points]} margin={{ top: 8, right: 8, bottom: 0, left: -28 }}>
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              ticks={ticks}
              tickFormatter={label}
              tick={{ fontSize: 12, fill: 'var(--ink2)' }}
              stroke="var(--ink2)"
            />
            <YAxis
              domain={[part === 'plan' ? 0 : -edge, edge]}
              ticks={niceTicks(part === 'plan' ? 0 : -edge, edge, part === 'plan' ? 2 : 3)}
              tick={{ fontSize: 12, fill: 'var(--ink2)' }}
              stroke="var(--ink2)"
              width={58}
            />
            <Tooltip
              labelFormatter={(at) => label(Number(at))}
              formatter={(value) => [`${String(value)} ${unit}`, msg('evidence.offIn', { part })]}
            />
            {part === 'height' && <ReferenceLine y={0} stroke="var(--ink2)" />}
            {limits.map((y) => (
              <ReferenceLine key={y} y={y} stroke="var(--brick)" strokeDasharray="5 4" />
            ))}
            <Line
              dataKey={part}
              stroke="var(--ink)"
              strokeWidth={1.5}
              connectNulls
              dot={{ r: 4, fill: 'var(--ink)' }}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-[13px] text-ink2">{words}</figcaption>
    </figure>
  );
}

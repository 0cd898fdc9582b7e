import { Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import type { Fact } from '@idle-marker/contract';
import { clockTime } from '../../ui/time.ts';

/** Plan misfit of each proof over the day, against what the class allows. */
export function ProofChart({ proofs, limitMm }: { proofs: readonly Fact<'proof'>[]; limitMm: number }) {
  const points = proofs
    .filter((proof) => typeof proof.body.result['horizontalMm'] === 'number')
    .map((proof) => ({ at: Date.parse(proof.at), misfit: Number((proof.body.result['horizontalMm'] as number).toFixed(1)) }));
  const label = (at: number) => clockTime(new Date(at));
  // Ticks at the proofs themselves, one a minute: an axis that says 13:10 five times tells nothing.
  const ticks = points.map(({ at }) => at).filter((at, i, all) => i === 0 || label(at) !== label(all[i - 1]!));
  return (
    <figure className="mt-3">
      <div className="h-[120px]">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={points} margin={{ top: 8, right: 8, bottom: 0, left: -28 }}>
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              ticks={ticks}
              tickFormatter={label}
              tick={{ fontSize: 12, fill: 'var(--ink2)' }}
              stroke="var(--ink2)"
            />
            <YAxis domain={[0, Math.ceil(limitMm * 1.3)]} tick={{ fontSize: 12, fill: 'var(--ink2)' }} stroke="var(--ink2)" width={58} />
            <Tooltip labelFormatter={(at) => label(Number(at))} formatter={(value) => [`${String(value)} mm`, 'off in plan']} />
            <ReferenceLine y={limitMm} stroke="var(--brick)" strokeDasharray="5 4" />
            <Line dataKey="misfit" stroke="var(--ink)" strokeWidth={1.5} dot={{ r: 4, fill: 'var(--ink)' }} isAnimationActive={false} />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <figcaption className="text-[13px] text-ink2">Proofs off in plan, mm; the dashed line is what the class allows.</figcaption>
    </figure>
  );
}

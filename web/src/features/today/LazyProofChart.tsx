import { lazy, memo, Suspense, type ComponentProps } from 'react';

const Chart = lazy(async () => ({ default: (await import('./ProofChart.tsx')).ProofChart }));

/** Charts are slow to draw: only when their proofs have changed. */
export const ProofChart = memo(function ProofChart(props: ComponentProps<typeof Chart>) {
  return (
    <Suspense fallback={<div className="h-[120px]" />}>
      <Chart {...props} />
    </Suspense>
  );
});

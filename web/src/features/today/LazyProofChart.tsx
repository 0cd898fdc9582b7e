import { lazy, Suspense, type ComponentProps } from 'react';

const Chart = lazy(async () => ({ default: (await import('./ProofChart.tsx')).ProofChart }));

export function ProofChart(props: ComponentProps<typeof Chart>) {
  return (
    <Suspense fallback={<div className="h-[120px]" />}>
      <Chart {...props} />
    </Suspense>
  );
}

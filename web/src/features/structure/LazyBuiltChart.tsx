import { lazy, memo, Suspense, type ComponentProps } from 'react';

const Chart = lazy(async () => ({ default: (await import('./BuiltChart.tsx')).BuiltChart }));

/** Charts are slow to draw: only when what they show has changed. */
export const BuiltChart = memo(function BuiltChart(props: ComponentProps<typeof Chart>) {
  return (
    <Suspense fallback={<div className="h-[200px]" />}>
      <Chart {...props} />
    </Suspense>
  );
});

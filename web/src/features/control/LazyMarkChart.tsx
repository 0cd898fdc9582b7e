import { lazy, Suspense, type ComponentProps } from 'react';

const Chart = lazy(async () => ({ default: (await import('./MarkChart.tsx')).MarkChart }));

export function MarkChart(props: ComponentProps<typeof Chart>) {
  return (
    <Suspense fallback={<div className="h-[150px]" />}>
      <Chart {...props} />
    </Suspense>
  );
}

import { lazy, Suspense } from 'react';
import type { ProfileChartProps } from './ProfileChart.tsx';

const Chart = lazy(async () => ({ default: (await import('./ProfileChart.tsx')).ProfileChart }));

export function ProfileChart(props: ProfileChartProps) {
  return (
    <Suspense fallback={<div className="h-[230px]" />}>
      <Chart {...props} />
    </Suspense>
  );
}

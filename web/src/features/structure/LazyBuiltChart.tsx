import { memo, type ComponentProps } from 'react';
import { fetchedPart, moduleFrom } from '../../ui/fetchedPart.tsx';
import type { BuiltChart as Chart } from './BuiltChart.tsx';

/** Charts are slow to draw: only when what they show has changed. */
export const BuiltChart = memo(
  fetchedPart<ComponentProps<typeof Chart>>(
    'The chart of what was built',
    async (elsewhere) => (await moduleFrom(() => import('./BuiltChart.tsx'), elsewhere)).BuiltChart,
    <div className="h-[200px]" />,
  ),
);

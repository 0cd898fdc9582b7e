import { memo, type ComponentProps } from 'react';
import { msg } from '@idle-marker/words';
import { fetchedPart, moduleFrom } from '../../ui/fetchedPart.tsx';
import type { BuiltChart as Chart } from './BuiltChart.tsx';

/** Charts are slow to draw: only when what they show has changed. */
export const BuiltChart = memo(
  fetchedPart<ComponentProps<typeof Chart>>(
    () => msg('structure.theChartOfWhatWasBuilt'),
    async (elsewhere) => (await moduleFrom(() => import('./BuiltChart.tsx'), elsewhere)).BuiltChart,
    () => <div className="h-[200px]" />,
  ),
);

import type { ComponentProps } from 'react';
import { msg } from '@idle-marker/words';
import { fetchedPart, moduleFrom } from '../../ui/fetchedPart.tsx';
import type { MarkChart as Chart } from './MarkChart.tsx';

export const MarkChart = fetchedPart<ComponentProps<typeof Chart>>(
  () => msg('control.theChartOfTheMark'),
  async (elsewhere) => (await moduleFrom(() => import('./MarkChart.tsx'), elsewhere)).MarkChart,
  () => <div className="h-[150px]" />,
);

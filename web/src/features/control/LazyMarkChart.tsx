import type { ComponentProps } from 'react';
import { fetchedPart, moduleFrom } from '../../ui/fetchedPart.tsx';
import type { MarkChart as Chart } from './MarkChart.tsx';

export const MarkChart = fetchedPart<ComponentProps<typeof Chart>>(
  'The chart of the mark',
  async (elsewhere) => (await moduleFrom(() => import('./MarkChart.tsx'), elsewhere)).MarkChart,
  <div className="h-[150px]" />,
);

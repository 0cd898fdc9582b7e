import type { ComponentProps } from 'react';
import { fetchedPart } from '../../ui/fetchedPart.tsx';
import type { MarkChart as Chart } from './MarkChart.tsx';

export const MarkChart = fetchedPart<ComponentProps<typeof Chart>>(
  'The chart of the mark',
  async () => (await import('./MarkChart.tsx')).MarkChart,
  <div className="h-[150px]" />,
);

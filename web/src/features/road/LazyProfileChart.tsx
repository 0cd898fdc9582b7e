import { fetchedPart } from '../../ui/fetchedPart.tsx';
import type { ProfileChartProps } from './ProfileChart.tsx';

export const ProfileChart = fetchedPart<ProfileChartProps>(
  'The chart of the profile',
  async () => (await import('./ProfileChart.tsx')).ProfileChart,
  <div className="h-[230px]" />,
);

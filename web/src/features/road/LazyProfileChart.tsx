import { fetchedPart, moduleFrom } from '../../ui/fetchedPart.tsx';
import type { ProfileChartProps } from './ProfileChart.tsx';

export const ProfileChart = fetchedPart<ProfileChartProps>(
  'The chart of the profile',
  async (elsewhere) => (await moduleFrom(() => import('./ProfileChart.tsx'), elsewhere)).ProfileChart,
  <div className="h-[230px]" />,
);

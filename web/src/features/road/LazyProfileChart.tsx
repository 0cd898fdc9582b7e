import { msg } from '@idle-marker/words';
import { fetchedPart, moduleFrom } from '../../ui/fetchedPart.tsx';
import type { ProfileChartProps } from './ProfileChart.tsx';

export const ProfileChart = fetchedPart<ProfileChartProps>(
  () => msg('road.theChartOfTheProfile'),
  async (elsewhere) => (await moduleFrom(() => import('./ProfileChart.tsx'), elsewhere)).ProfileChart,
  () => <div className="h-[230px]" />,
);

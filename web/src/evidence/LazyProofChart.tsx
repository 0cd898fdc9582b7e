import { memo, type ComponentProps } from 'react';
import { msg } from '@idle-marker/words';
import { fetchedPart, moduleFrom } from '../ui/fetchedPart.tsx';
import type { ProofChart as Chart } from './ProofChart.tsx';

/** Charts are slow to draw: only when their proofs have changed. */
export const ProofChart = memo(
  fetchedPart<ComponentProps<typeof Chart>>(
    () => msg('evidence.theChartOfTheProofs'),
    async (elsewhere) => (await moduleFrom(() => import('./ProofChart.tsx'), elsewhere)).ProofChart,
    () => <div className="h-[120px]" />,
  ),
);

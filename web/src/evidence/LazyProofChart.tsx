import { memo, type ComponentProps } from 'react';
import { fetchedPart, moduleFrom } from '../ui/fetchedPart.tsx';
import type { ProofChart as Chart } from './ProofChart.tsx';

/** Charts are slow to draw: only when their proofs have changed. */
export const ProofChart = memo(
  fetchedPart<ComponentProps<typeof Chart>>(
    'The chart of the proofs',
    async (elsewhere) => (await moduleFrom(() => import('./ProofChart.tsx'), elsewhere)).ProofChart,
    <div className="h-[120px]" />,
  ),
);
